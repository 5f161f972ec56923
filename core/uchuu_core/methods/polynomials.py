"""expand-and-collect: brackets are multiplied out, then like terms joined."""

from collections.abc import Iterator
from itertools import islice
from math import gcd

from uchuu_core import limits
from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.lawbook.expanding import (
    BRACKETS_LEFT_OUT,
    DIVIDE_EVERY_TERM_OF_TOP,
    EVERY_TERM_BY_EVERY_TERM_OF,
    MINUS_CHANGES_EVERY_SIGN,
    MINUS_CHANGES_SIGNS_IN,
    MULTIPLY_EVERY_TERM_OF,
    PASCAL,
    WRITE_POWER_AS_PRODUCT,
)
from uchuu_core.lawbook.exponents import POWERS_OF_A_LETTER
from uchuu_core.lawbook.fractions import DIVIDE_OUT_COMMON, DIVIDE_TOP_AND_BOTTOM_BY
from uchuu_core.lawbook.numbers import (
    ADDING_NEGATIVE,
    TAKING_AWAY_NEGATIVE,
    WORK_POWERS_OUT,
    WORK_PRODUCTS_OUT,
    WORK_QUOTIENTS_OUT,
)
from uchuu_core.lawbook.says import Says, listed
from uchuu_core.methods.groups import group_by_group
from uchuu_core.methods.method import KEY, Method, Moment, Posed
from uchuu_core.methods.orders import Rule, chain, exhaust, first_of, rewritten
from uchuu_core.methods.written import polynomial_tree, ring_of
from uchuu_core.moves.conditions import numeral
from uchuu_core.moves.laws import arithmetic, expanding, signs
from uchuu_core.moves.move import Move
from uchuu_core.moves.said import collected_says
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
    signs.MINUS_NEGATIVE: TAKING_AWAY_NEGATIVE,
    signs.PLUS_NEGATIVE: ADDING_NEGATIVE,
    arithmetic.POWER: WORK_POWERS_OUT,
    expanding.MULTIPLY_BRACKETS: EVERY_TERM_BY_EVERY_TERM_OF,
    expanding.INTO_BRACKET: MULTIPLY_EVERY_TERM_OF,
    expanding.MINUS_INTO_BRACKET: MINUS_CHANGES_SIGNS_IN,
    expanding.SPLIT_FRACTION: DIVIDE_EVERY_TERM_OF_TOP,
    arithmetic.MULTIPLY: WORK_PRODUCTS_OUT,
    arithmetic.DIVIDE: WORK_QUOTIENTS_OUT,
}
MOST_NAMED = 3
"""So many of the parts that a law met are named in its sentence."""


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


def everywhere(law: Move) -> Rule:
    """Return the rule that applies *law* at every innermost place at once."""
    sentence = _SENTENCES[law]

    def work(line: Line) -> Iterator[Moment]:
        if law.function is None:
            for step in islice(law.apply(line), 1):
                yield Moment(step.result, sentence())
            return
        new, met = opened(line, law)  # type: ignore[arg-type]
        if met and flattened(new) != line:
            yield Moment(flattened(new), sentence(listed(met[:MOST_NAMED])))

    return work


def _written_out(line: Line) -> Line:
    """Write squares and cubes of sums as products."""
    new = rebuild(line, _power_as_product)
    return rebuild(new, _signs_joined) if new != line else line


_OPEN = chain(
    rewritten(lambda line: rebuild(line, _high_power), lambda _: PASCAL()),
    rewritten(_written_out, lambda _: WRITE_POWER_AS_PRODUCT()),
    exhaust(first_of(*map(everywhere, _OPENING))),
)


def expansions(line: Line) -> Iterator[Moment]:
    """Yield the lines that open every bracket of an expression or equation."""
    return _OPEN(build.without_brackets(line))


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


def said_of_opening(line: Line) -> Says:
    """Say how brackets without a factor are opened in *line*."""
    subtracted = any(
        isinstance(part, Sum) and any(t.sign == "-" and isinstance(t.body, Sum) for t in part.terms)
        for _, part in walk(line)
    )
    return MINUS_CHANGES_EVERY_SIGN() if subtracted else BRACKETS_LEFT_OUT()


def _not_too_long(line: Line) -> Iterator[Moment]:
    if any(isinstance(f, Sum) for _, p in walk(line) for f in getattr(p, "factors", ())):
        raise OutOfScope("This is too long to be written out. Use fewer brackets.")
    yield from ()


def collected_inside(line: Line) -> Line:
    """Return *line* with the like terms of every sum in it joined."""

    def change(part: Line) -> Line:
        return expanding.collected(part) if isinstance(part, Sum) and part in found else part

    found = expanding.open_sums(line)
    return rebuild(line, change) if found else line


def _reduced(part: Line) -> Line:
    """Write a fraction over a number in lowest terms, the numbers of its top divided out."""
    if not isinstance(part, Quotient) or _common(part) == 1:
        return part
    common = _common(part)
    number, rest = expanding.coefficient_and_rest(part)
    if isinstance(part.numerator, Sum):
        top = build.total(expanding.divided_terms(part.numerator.terms, common))
        below = numeral(part.denominator)
        assert below is not None
        return top if below == common else Quotient(top, build.number(below / common))
    return part if rest == build.ONE else build.times(number, rest)


def _common(part: Quotient) -> int:
    """Return the common factor of the numbers on top and the number below, 1 where there is none."""
    below, terms = numeral(part.denominator), build.terms_of(part.numerator)
    if below is None or below.denominator != 1 or any(term.sign == "+-" for term in terms):
        return 1
    return gcd(int(below), expanding.common_number(terms))


def _said_of_reducing(line: Line) -> Says:
    """Say by what top and bottom are divided, where it is one number."""
    found = {_common(part) for _, part in walk(line) if isinstance(part, Quotient)} - {1}
    if len(found) > 1:
        return DIVIDE_OUT_COMMON()
    return DIVIDE_TOP_AND_BOTTOM_BY(found.pop())


REDUCE = rewritten(lambda line: rebuild(line, _reduced), _said_of_reducing)
"""Fractions of one term over a number are brought to lowest terms."""
LEAVE_BRACKETS_OUT = rewritten(open_subtracted, said_of_opening)
"""Brackets without a factor before them are left out."""


def _collected(line: Line) -> Iterator[Moment]:
    """Yield the line with the like terms of every sum joined, group by group where every move is written."""
    new = collected_inside(line)
    if new != line:
        yield from group_by_group(line, new)
        yield Moment(new, collected_says(*expanding.open_sums(line)), KEY)


_EXPAND = chain(
    expansions,
    LEAVE_BRACKETS_OUT,
    rewritten(flattened, lambda _: POWERS_OF_A_LETTER()),
    REDUCE,
    _not_too_long,
    _collected,
)


def moments(line: Line) -> Iterator[Moment]:
    """Yield the lines that expand an expression and collect its like terms."""
    return _EXPAND(rebuild(line, _without_exponent_one))


def _without_exponent_one(part: Line) -> Line:
    return part.base if isinstance(part, Power) and part.exponent == build.ONE else part


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
