"""Errors in quadratic equations: roots taken, products that are zero, squares completed, the formula."""

from collections.abc import Callable, Iterator
from fractions import Fraction

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.conditions import numeral
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.moves.move import Common, error_on_line
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Either,
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
    Symbol,
    Term,
)
from uchuu_core.tree.paths import letters

TWO = Number("2")


def root_text(value: Expr) -> Expr:
    """Write a square root, worked out where it is whole."""
    number = numeral(value)
    if number is not None and number >= 0:
        top, below = round(number.numerator**0.5), round(number.denominator**0.5)
        if Fraction(top * top, below * below) == number:
            return build.number(Fraction(top, below))
    return Root(2, value)


def either(left: Expr, values: list[Expr]) -> Line:
    """Return ``left = v or …`` for each of the different *values*."""
    options = tuple(Relation(left, "=", value) for value in dict.fromkeys(values))
    return options[0] if len(options) == 1 else Either(options)


def rooted(index: int, value: Expr) -> Expr:
    """Return the root of *value* with this index, worked out where it is whole."""
    if index == 2:
        return root_text(value)
    number = numeral(value)
    if number is not None and number > 0:
        top, below = (round(part ** (1 / index)) for part in (number.numerator, number.denominator))
        if Fraction(top**index, below**index) == number:
            return build.number(Fraction(top, below))
    return Root(index, value)


def both_ways(line: Line) -> Iterator[tuple[Expr, Expr]]:
    """Yield the sides of an equation in both orders."""
    if isinstance(line, Relation) and line.sign == "=":
        yield line.left, line.right
        yield line.right, line.left


def powers_of(line: Line, exponent: int) -> Iterator[tuple[Expr, Expr]]:
    """Yield S and v of an equation ``S^exponent = v`` with the unknown in S."""
    for side, value in both_ways(line):
        if isinstance(side, Power) and side.exponent == Number(str(exponent)):
            if letters(side.base):
                yield side.base, value


def _squared(line: Line) -> Iterator[tuple[Expr, Fraction, Expr]]:
    """Yield S, a and v of ``a·S² = v`` with the unknown in S."""
    for side, value in both_ways(line):
        number, rest = coefficient_and_rest(side)
        if isinstance(rest, Power) and rest.exponent == TWO and letters(rest.base):
            yield rest.base, number, value


def _even_power(line: Line) -> Iterator[tuple[Expr, Expr]]:
    """Yield S and the positive root of ``S^n = v``, for an even n and for an even numerator."""
    for base, number, value in _squared(line):
        if number == 1 and numeral(value) != 0:
            yield base, root_text(value)
    for exponent in (4, 6):
        for base, value in powers_of(line, exponent):
            yield base, rooted(exponent, value)
    match line:
        case Relation(Power(base, Quotient(Number() as top, Number() as below)), "=", value):
            plain = numeral(value)
            if top.value % 2 == 0 and plain is not None and plain > 0 and letters(base):
                root = rooted(int(top.value), build.number(plain))
                inside = numeral(root)
                yield (
                    base,
                    Power(root, below)
                    if inside is None
                    else build.number(inside ** int(below.value)),
                )


def _missing_plus_minus(line: Line) -> Iterator[Line]:
    for base, root in _even_power(line):
        yield Relation(base, "=", root)


def _root_one_side_only(line: Line) -> Iterator[Line]:
    for base, number, value in _squared(line):
        if number == 1:
            plain = numeral(value)
            yield Relation(base, "=", value)
            yield Relation(base, "=", Signed("+-", value))
            if plain is not None:
                half = build.number(plain / 2)
                yield Relation(base, "=", half)
                yield Relation(base, "=", Signed("+-", half))


def _negative_under_root(line: Line) -> Iterator[Line]:
    for base, number, value in _squared(line):
        plain = numeral(value)
        if number == 1 and plain is not None and plain < 0:
            root = root_text(build.number(-plain))
            yield Relation(base, "=", Signed("+-", root))
            yield Relation(base, "=", root)


def _coefficient_kept(line: Line) -> Iterator[Line]:
    for base, number, value in _squared(line):
        if number not in (0, 1):
            left = build.times(number, base)
            yield Relation(left, "=", Signed("+-", root_text(value)))
            yield Relation(left, "=", root_text(value))


def _merged(line: Line) -> Iterator[Line]:
    """Return ``x = ±(a + b)`` for ``x = a ± b``."""
    match line:
        case Relation(
            Symbol() as x,
            "=",
            Sum((first, Term("+-", second))) | Sum((Term("+", Signed("+-", second)), first)),
        ):
            a, b = numeral(build.total((first,))), numeral(second)
            if a is not None and b is not None and a:
                for value in (a + b, abs(a) + b, abs(a + b)):
                    yield Relation(x, "=", Signed("+-", build.number(abs(value))))


def _nonzero_product(line: Line) -> Iterator[Line]:
    for factors, value in _products(line):
        if numeral(value) not in (0, None):
            yield Either(tuple(Relation(f, "=", value) for f in factors))


def _products(line: Line) -> Iterator[tuple[list[Expr], Expr]]:
    for side, value in both_ways(line):
        if isinstance(side, Product):
            held = [f for f in side.factors if letters(f)]
            if len(held) > 1:
                yield held, value


def linear(node: Expr) -> tuple[Expr, Fraction, Fraction] | None:
    """Return x, a, b of ``a x + b``, None for anything else."""
    letter: Expr | None = None
    a = b = Fraction(0)
    for term in build.terms_of(node):
        number, rest = coefficient_and_rest(term.body)
        number = -number if term.sign == "-" else number
        if isinstance(rest, Symbol):
            letter, a = rest, a + number
        elif rest == build.ONE:
            b += number
        else:
            return None
    return (letter, a, b) if letter is not None and a else None


def _solved(line: Line, value_of: Callable[[Fraction, Fraction], Fraction]) -> Iterator[Line]:
    """Yield lines in which some factors (or "or" parts) are solved by *value_of* wrongly."""
    found: list[tuple[Expr, Fraction, Fraction]] = []
    nodes: list[Expr] = []
    if isinstance(line, Either):
        nodes = [o.left for o in line.options if numeral(o.right) == 0]
        if len(nodes) != len(line.options):
            return
    else:
        for factors, value in _products(line):
            if numeral(value) == 0:
                nodes = factors
    for node in nodes:
        part = linear(node)
        if part is None:
            return
        found.append(part)
    for mask in range(1, 2 ** len(found)):
        values: list[Expr] = []
        for place, (_, a, b) in enumerate(found):
            wrong = bool(mask >> place & 1)
            values.append(build.number(value_of(a, b) if wrong else -b / a))
        if found:
            yield either(found[0][0], values)


def _root_sign(line: Line) -> Iterator[Line]:
    yield from _solved(line, lambda a, b: b / a)


def _coefficient_ignored(line: Line) -> Iterator[Line]:
    yield from _solved(line, lambda _a, b: -b)
    yield from _solved(line, lambda a, b: -b * a)


def _divided_by_variable(line: Line) -> Iterator[Line]:
    """Divide both sides by the unknown, or by the same bracket."""
    if not isinstance(line, Relation) or line.sign != "=":
        return
    sides = (line.left, line.right)
    bases = {f for side in sides for f in _factors(side) if letters(f)}
    for base in bases:
        quotients = [over(side, base) for side in sides]
        if all(q is not None for q in quotients) and numeral(line.left) != 0 != numeral(line.right):
            yield Relation(quotients[0], "=", quotients[1])  # type: ignore[arg-type]


def _factors(side: Expr) -> list[Expr]:
    found: list[Expr] = []
    for term in build.terms_of(side):
        for factor in build.factors_of(term.body):
            found.append(factor.base if isinstance(factor, Power) else factor)
    return found


def over(side: Expr, base: Expr) -> Expr | None:
    """Return *side* with one factor *base* divided out of every term, None where one has none."""
    terms = []
    for term in build.terms_of(side):
        factors = list(build.factors_of(term.body))
        for place, factor in enumerate(factors):
            if factor == base:
                factors[place : place + 1] = []
                break
            if isinstance(factor, Power) and factor.base == base and factor.exponent == TWO:
                factors[place] = base
                break
            if isinstance(factor, Power) and factor.base == base and factor.exponent == Number("3"):
                factors[place] = Power(base, TWO)
                break
        else:
            return None
        terms.append(build.as_term(build.product(factors), term.sign))
    return build.total(terms)


def _termwise(line: Line) -> Iterator[Line]:
    """Take the root of every term."""
    for side, other in both_ways(line):
        if isinstance(side, Sum) and numeral(other) is not None:
            rooted = []
            for term in side.terms:
                number, rest = coefficient_and_rest(term.body)
                root = root_text(build.number(number))
                if isinstance(rest, Power) and rest.exponent == TWO:
                    root = build.product(p for p in (root, rest.base) if p != build.ONE)
                elif rest != build.ONE:
                    return
                rooted.append(build.as_term(root, term.sign))
            yield Relation(build.total(rooted), "=", root_text(other))
            yield Relation(build.total(rooted), "=", Signed("+-", root_text(other)))


MISSING_PLUS_MINUS = error_on_line(
    "quad-missing-plus-minus",
    _missing_plus_minus,
    "x^2=81",
    "x=9",
    "x=81",
    common=Common.IN_EVERY_CLASS,
    due=Family.SQUARES,
)
ERRORS = (
    MISSING_PLUS_MINUS,
    error_on_line(
        "quad-plus-minus-merged",
        _merged,
        "x=-4+-9",
        "x=+-5",
        "x=+-9",
        common=Common.NOW_AND_THEN,
    ),
    error_on_line(
        "quad-zero-product-nonzero",
        _nonzero_product,
        "(x-2)(x+4)=16",
        "x-2=16 or x+4=16",
        "(x-2)(x+4)=0",
        common=Common.IN_EVERY_CLASS,
    ),
    error_on_line(
        "quad-root-sign",
        _root_sign,
        "(x-6)(x+2)=0",
        "x=-6 or x=2",
        "x-6=1",
        common=Common.NOW_AND_THEN,
        may_be_luck=False,
    ),
    error_on_line(
        "quad-factor-coefficient-ignored",
        _coefficient_ignored,
        "(3x-5)(x+1)=0",
        "x=5 or x=-1",
        "x-5=1",
        may_be_luck=False,
    ),
    error_on_line(
        "quad-divided-by-variable",
        _divided_by_variable,
        "x^2=11x",
        "x=11",
        "x^2=11",
        common=Common.IN_EVERY_CLASS,
    ),
    error_on_line(
        "quad-root-taken-termwise",
        _termwise,
        "x^2+9=25",
        "x+3=5",
        "x^2=25",
        due=Family.SQUARES,
    ),
    error_on_line(
        "quad-root-coefficient-kept",
        _coefficient_kept,
        "7x^2=42",
        "7x=+-sqrt(42)",
        "x^2=42",
        common=Common.NOW_AND_THEN,
        due=Family.SQUARES,
    ),
    error_on_line(
        "quad-root-one-side-only",
        _root_one_side_only,
        "(x-3)^2=16",
        "x-3=+-16",
        "x-3=16",
        due=Family.SQUARES,
        may_be_luck=False,
    ),
    error_on_line(
        "quad-negative-under-root-ignored",
        _negative_under_root,
        "x^2=-36",
        "x=+-6",
        "x^2=36",
    ),
)
