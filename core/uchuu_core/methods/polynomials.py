"""expand-and-collect: brackets are multiplied out, then like terms joined."""

from collections.abc import Iterator

from uchuu_core import limits
from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.methods.method import BOARD, KEY, Method, Moment, Posed, shown
from uchuu_core.methods.written import polynomial_tree, ring_of
from uchuu_core.moves.laws import arithmetic, expanding, signs
from uchuu_core.moves.move import Move
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Absolute,
    Expr,
    Line,
    Number,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
    Term,
)
from uchuu_core.tree.paths import letters, rebuild, walk

_OPENING = (
    signs.MINUS_NEGATIVE,
    signs.PLUS_NEGATIVE,
    arithmetic.POWER,
    expanding.MULTIPLY_BRACKETS,
    expanding.INTO_BRACKET,
    expanding.MINUS_INTO_BRACKET,
    expanding.SPLIT_FRACTION,
    arithmetic.MULTIPLY,
    arithmetic.DIVIDE,
)
_SENTENCES = {
    "minus-negative-is-plus": "Taking away a negative is adding.",
    "plus-negative-is-minus": "Adding a negative is taking away.",
    "multiply-into-bracket": "Multiply every term of {}.",
    "multiply-brackets": "Multiply every term by every term: {}.",
    "take-minus-into-bracket": "The minus changes every sign in {}.",
    "divide-each-term": "Divide every term of the top: {}.",
    "work-out-power": "Work out {}.",
    "multiply-numbers": "Work out {}.",
    "divide-numbers": "Work out {}.",
}


def flattened(node: Expr) -> Expr:
    """Return *node* with sums inside sums written as one sum, and powers of letters joined."""

    def change(part: Line) -> Line:
        if isinstance(part, Sum) and any(
            isinstance(t.body, Sum) and t.sign == "+" for t in part.terms
        ):
            return build.add(*(build.total((t,)) for t in part.terms))
        if isinstance(part, Product) and not any(isinstance(f, Sum) for f in part.factors):
            number, rest = expanding.coefficient_and_rest(part)
            return build.times(number, expanding.joined_powers(list(build.factors_of(rest))))
        return part

    return rebuild(node, change)  # type: ignore[no-any-return]


def _high_power(part: Line) -> Line:
    """Write the fourth and higher powers of a sum out."""
    match part:
        case Power(Sum() as base, Number() as exponent) if exponent.is_whole and exponent.value > 3:
            algebra = ring_of(base)
            try:
                found = algebra.function(part)
            except (NotRational, Undefined):
                return part
            if len(found.numerator) > limits.WRITTEN_TERMS or not found.denominator.is_constant():
                return part
            return polynomial_tree(found.numerator, algebra)
        case _:
            return part


def _power_as_product(part: Line) -> Line:
    match part:
        case Power(Sum() as base, Number() as exponent) if exponent.text in ("2", "3"):
            return build.product([base] * int(exponent.text))
        case Power(Product(factors, _), Number() as exponent) if exponent.is_whole:
            return build.product(Power(factor, exponent) for factor in factors)
        case Power(Signed("-", body), Number() as exponent) if exponent.is_whole and letters(body):
            power = _power_as_product(Power(body, exponent))
            return power if exponent.value % 2 == 0 else build.negative(power)  # type: ignore[arg-type]
        case _:
            return part


def _signs_joined(part: Line) -> Line:
    """Write ``(-a) + b`` as ``-a + b``."""
    if not isinstance(part, Sum):
        return part
    return Sum(tuple(build.as_term(t.body, t.sign) for t in part.terms))


def opened(node: Expr, law: Move) -> tuple[Expr, list[Expr]]:
    """Return *node* with *law* applied at every innermost place at once, and the parts it met."""
    met: list[Expr] = []

    def change(part: Line) -> Line:
        assert law.function is not None or law.rewrites
        if law.function is None:
            return part
        for new in law.function(part):
            met.append(part)  # type: ignore[arg-type]
            return new
        return part

    return rebuild(node, change), met


def expansions(line: Line, weight: int = BOARD) -> Iterator[Moment]:
    """Yield the lines that open every bracket of an expression or equation."""
    now = build.without_brackets(line)
    powers = rebuild(now, _high_power)
    if powers != now:
        now = powers
        says = "Multiply the bracket by itself again and again; Pascal's triangle has the coefficients."
        yield Moment(now, "power-of-binomial", says, weight)
    written_out = rebuild(now, _power_as_product)
    if written_out != now:
        now = rebuild(written_out, _signs_joined)
        yield Moment(now, "power-as-product", "Write the power as a product.", weight)
    for _ in range(40):
        for law in _OPENING:
            new, says = _by_law(now, law)
            if new != now:
                now = new
                yield Moment(now, law.key, says, weight)
                break
        else:
            return


def _by_law(now: Line, law: Move) -> tuple[Line, str]:
    if law.function is None:
        for step in law.apply(now):
            return step.result, _SENTENCES[law.key]
        return now, ""
    new, met = opened(now, law)  # type: ignore[arg-type]
    if not met:
        return now, ""
    return flattened(new), _SENTENCES[law.key].format(", ".join(shown(part) for part in met[:3]))


def _bare_terms(part: Line) -> Line:
    """Open bare brackets: ``a - (b + c)`` holds the bracket as a term of the sum."""
    if not isinstance(part, Sum):
        return part
    terms: list[Term] = []
    for term in part.terms:
        inner = term.body.terms if isinstance(term.body, Sum) else (Term("+", term.body),)
        flip = term.sign == "-"
        terms.extend(Term(build.OPPOSITE[t.sign] if flip else t.sign, t.body) for t in inner)
    return build.total(terms)


def open_subtracted(line: Line) -> Line:
    """Return *line* with every subtracted bracket opened."""
    return rebuild(line, _bare_terms)  # type: ignore[no-any-return]


def moments(line: Line) -> Iterator[Moment]:
    """Yield the lines that expand an expression and collect its like terms."""
    now: Line = line
    for moment in expansions(line):
        now = moment.line
        yield moment
    new = open_subtracted(now)
    if new != now:
        now = new
        yield Moment(now, "take-minus-into-bracket", "The minus changes every sign in its bracket.")
    joined_powers = flattened(now)  # type: ignore[arg-type]
    if joined_powers != now:
        now = joined_powers
        yield Moment(now, "same-base", "Multiply powers of a letter: add the exponents.")
    if any(isinstance(f, Sum) for _, p in walk(now) for f in getattr(p, "factors", ())):
        raise OutOfScope("This is too long to be written out. Use fewer brackets.")
    if isinstance(now, Sum):
        joined = expanding.collected(now)
        if joined != now:
            yield Moment(joined, "collect-like-terms", _collected_says(now), KEY)


def _collected_says(node: Sum) -> str:
    groups: dict[str, list[Expr]] = {}
    for term in node.terms:
        _, rest = expanding.coefficient_and_rest(term.body)
        groups.setdefault(shown(rest), []).append(build.total((term,)))
    joined = [shown(build.add(*parts)) for parts in groups.values() if len(parts) > 1]
    return f"Collect like terms: {'; '.join(joined)}." if joined else "Collect like terms."


def _refusal(posed: Posed) -> str | None:
    line = posed.given
    if isinstance(line, Relation):
        return "this is an equation"
    if not letters(line):
        return "the expression holds only numbers"
    if posed.numbers.is_complex and "i" in letters(line):
        return "i² is −1, so it is worked as a complex number"
    if not any(isinstance(part, Sum) for _, part in walk(line)) and any(
        isinstance(part, Power) and isinstance(part.base, (Power, Product, Quotient))
        for _, part in walk(build.without_brackets(line))
    ):
        return "there is no sum to expand; the laws of exponents serve"
    for _, part in walk(line):
        if isinstance(part, (Root, Absolute)):
            return "roots and absolute values are not worked yet"
        if isinstance(part, Quotient) and letters(part.denominator):
            return "letters below a bar are not worked yet"
        if isinstance(part, Power) and not (
            isinstance(part.exponent, Number) and part.exponent.is_whole
        ):
            return "this exponent is not worked yet"
    return None


EXPAND_AND_COLLECT = Method(
    key="expand-and-collect",
    tasks=("simplify", "expand"),
    refusal=_refusal,
    why="Open every bracket, then join like terms.",
    moments=lambda posed: moments(posed.given),
)
