"""Errors in completing the square and in the quadratic formula."""

from collections.abc import Iterator
from fractions import Fraction
from functools import lru_cache

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.conditions import numeral
from uchuu_core.moves.errors.quadratics import TWO, root_text
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.moves.move import Common, Move, error_on_line
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Expr,
    Line,
    Number,
    Power,
    Quotient,
    Relation,
    Root,
    Sign,
    Sum,
    Symbol,
    Term,
)

# completing the square


_Quadratic = tuple[Expr, Fraction, Fraction, Fraction, Expr]


@lru_cache(maxsize=1024)  # a dozen errors look at the same line
def _quadratic_sides(line: Line) -> tuple[_Quadratic, ...]:
    """Return each quadratic side of an equation; see ``_quadratic_side``."""
    return tuple(_quadratic_side(line))


def _quadratic_side(line: Line) -> Iterator[_Quadratic]:
    """Yield x, a, b, constant on that side, and the other side, of ``a x² + b x (+ k) = c``."""
    if not isinstance(line, Relation) or line.sign != "=":
        return
    for side, other in ((line.left, line.right), (line.right, line.left)):
        found: dict[int, Fraction] = {}
        letter: Expr | None = None
        for term in build.terms_of(side):
            number, rest = coefficient_and_rest(term.body)
            number = -number if term.sign == "-" else number
            match rest:
                case Power(Symbol() as x, Number("2")):
                    letter, degree = x, 2
                case Symbol():
                    degree = 1
                case Number("1"):
                    degree = 0
                case _:
                    break
            found[degree] = found.get(degree, Fraction(0)) + number
        else:
            if letter is not None and 2 in found:
                zero = Fraction(0)
                yield letter, found[2], found.get(1, zero), found.get(0, zero), other


def _trinomial(x: Expr, a: Fraction, b: Fraction, k: Expr) -> Expr:
    return build.add(build.times(a, Power(x, TWO)), build.times(b, x), k)


def _shifted(x: Expr, half: Fraction) -> Expr:
    return Power(build.add(x, build.number(half)), TWO)


def _sum_of(node: Expr) -> Fraction | None:
    """Return the value of a sum of plain numbers, None for anything else."""
    total = Fraction(0)
    for term in build.terms_of(node):
        value = numeral(term.body)
        if value is None or term.sign == "+-":
            return None
        total += -value if term.sign == "-" else value
    return total


def _csq(line: Line, kind: str) -> Iterator[Line]:
    for x, a, b, k, other in _quadratic_sides(line):
        if kind == "lead" and a != 1 and b and k:  # ax² + bx + k taken for (ax + b/2)²
            taken = Power(build.add(build.times(a, x), build.number(b / 2)), TWO)
            yield Relation(taken, "=", other)
        value = _sum_of(other)
        if value is None or not b:
            continue
        c = value - k
        half = b / (2 * a)
        square = half * half
        if kind == "one-side" and a == 1:
            full = _trinomial(x, a, b, build.number(square))
            yield Relation(full, "=", build.number(c))
            yield Relation(_shifted(x, half), "=", build.number(c))
        if kind == "lead" and a != 1:
            for h in (b / 2, b / (2 * a)):
                for added in (h * h, (b / 2) ** 2):
                    left = build.times(a, _shifted(x, h))
                    yield Relation(left, "=", build.number(c + added))
                    yield Relation(left, "=", build.add(build.number(c), build.number(added)))
            plain = _trinomial(x, a, b, build.number((b / 2) ** 2))
            yield Relation(plain, "=", build.number(c + (b / 2) ** 2))
        if kind == "sign-lost" and a == 1 and b < 0:
            yield Relation(_shifted(x, -half), "=", build.number(c + square))
        if kind == "number" and a == 1:
            for added in (half, b, b * b, half * half / 2, abs(half), abs(b), 2 * half):
                if added != square:
                    yield Relation(_shifted(x, half), "=", build.number(c + added))
                    yield Relation(
                        _shifted(x, half), "=", build.add(build.number(c), build.number(added))
                    )
            yield Relation(_shifted(x, b), "=", build.number(c + b * b))
            yield Relation(_shifted(x, b), "=", build.number(c + square))


def _outside_forgotten(line: Line) -> Iterator[Line]:
    """Add the square inside a bracket with a factor before it, and the bare square outside."""
    if not isinstance(line, Relation) or line.sign != "=":
        return
    number, rest = coefficient_and_rest(line.left)
    value = numeral(line.right)
    if number in (0, 1) or value is None or not isinstance(rest, Sum):
        return
    for x, a, b, k, _ in _quadratic_sides(Relation(rest, "=", build.ZERO)):
        if a == 1 and not k and b:
            square = (b / 2) ** 2
            whole = build.product((build.number(number), _trinomial(x, a, b, build.number(square))))
            for right in (
                build.number(value + square),
                build.add(line.right, build.number(square)),
            ):
                yield Relation(whole, "=", right)
                yield Relation(build.times(number, _shifted(x, b / 2)), "=", right)


# the formula


def _formula(line: Line, kind: str) -> Iterator[Line]:
    if not isinstance(line, Relation) or line.sign != "=":
        return
    for x, a, b, k, other in _quadratic_sides(line):
        value = numeral(other)
        if value is None:
            return
        c = k - value
        under = b * b - 4 * a * c
        minus_b, below = -b, 2 * a
        whole: list[tuple[Fraction, Fraction, Fraction]] = []
        if kind == "sign" and b:
            whole = [(b, under, below)]
        elif kind == "without-a" and a != 1:
            whole = [(minus_b, under, Fraction(2)), (minus_b, under, a)]
        elif kind == "discriminant" and c:
            whole = [(minus_b, b * b + 4 * a * c, below)]
        elif kind == "b-squared" and b:
            whole = [(minus_b, -b * b - 4 * a * c, below)]
        elif kind == "root-forgotten" and b:
            yield from _without_root(x, minus_b, under, below)
        elif kind == "plus-only" and isinstance(root_text(build.number(under)), Root):
            for sign in ("+", "-"):
                yield Relation(x, "=", _above(minus_b, under, below, sign))
        elif kind == "letter-below" and b and c:
            whole = [(minus_b, under, 2 * letter) for letter in (c, b) if letter != a]
        elif kind == "not-zero" and value:
            wrong = b * b - 4 * a * value if not k else b * b - 4 * a * k
            whole = [(minus_b, wrong, below)]
        for top, inside, bottom in whole:
            yield from _written(x, top, inside, bottom)
        if kind == "not-shared" and b:
            root = root_text(build.number(under))
            for term in (Quotient(root, build.number(below)),):
                yield Relation(
                    x, "=", Sum((build.as_term(build.number(minus_b)), Term("+-", term)))
                )


def _written(x: Expr, top: Fraction, inside: Fraction, bottom: Fraction) -> Iterator[Line]:
    yield Relation(x, "=", _above(top, inside, bottom, "+-"))


def _above(top: Fraction, inside: Fraction, bottom: Fraction, sign: Sign) -> Expr:
    root = Root(2, build.number(inside))
    return Quotient(Sum((build.as_term(build.number(top)), Term(sign, root))), build.number(bottom))


def _without_root(x: Expr, top: Fraction, inside: Fraction, bottom: Fraction) -> Iterator[Line]:
    above = Sum((build.as_term(build.number(top)), Term("+-", build.number(inside))))
    yield Relation(x, "=", Quotient(above, build.number(bottom)))


def _root_dropped(line: Line) -> Iterator[Line]:
    """Leave out the root of the discriminant, in the formula or in what it gave."""
    yield from _formula(line, "root-forgotten")
    match line:
        case Relation(
            Symbol() as x, "=", Quotient(Sum((first, Term("+-", Root(2, inside)))), below)
        ):
            yield Relation(x, "=", Quotient(Sum((first, Term("+-", inside))), below))


ERRORS: tuple[Move, ...] = (
    error_on_line(
        "csq-one-side-only",
        lambda line: _csq(line, "one-side"),
        "x^2+10x=11",
        "x^2+10x+25=11",
        "x^2=11",
        common=Common.IN_EVERY_CLASS,
        due=Family.SQUARES,
    ),
    error_on_line(
        "csq-leading-coefficient-kept",
        lambda line: _csq(line, "lead"),
        "2x^2+12x=14",
        "2(x+6)^2=50",
        "x^2+12x=14",
        due=Family.SQUARES,
    ),
    error_on_line(
        "csq-outside-factor-forgotten",
        _outside_forgotten,
        "3(x^2+4x)=15",
        "3(x^2+4x+4)=15+4",
        "x^2+4x=15",
        common=Common.NOW_AND_THEN,
        due=Family.SQUARES,
    ),
    error_on_line(
        "csq-wrong-number-added",
        lambda line: _csq(line, "number"),
        "x^2+6x=16",
        "(x+3)^2=16+3",
        "x^2=16",
        common=Common.NOW_AND_THEN,
        due=Family.SQUARES,
    ),
    error_on_line(
        "formula-minus-b-sign",
        lambda line: _formula(line, "sign"),
        "x^2-5x+3=0",
        "x=(-5+-sqrt(13))/2",
        "x^2=3",
        common=Common.IN_EVERY_CLASS,
        due=Family.FORMULA,
    ),
    error_on_line(
        "formula-denominator-not-shared",
        lambda line: _formula(line, "not-shared"),
        "x^2+6x+4=0",
        "x=-6+-sqrt(20)/2",
        "x^2=4",
        common=Common.IN_EVERY_CLASS,
        due=Family.FORMULA,
    ),
    error_on_line(
        "formula-denominator-without-a",
        lambda line: _formula(line, "without-a"),
        "3x^2+7x+1=0",
        "x=(-7+-sqrt(37))/2",
        "x^2+7x+1=0",
        common=Common.NOW_AND_THEN,
        due=Family.FORMULA,
    ),
    error_on_line(
        "formula-discriminant-sign",
        lambda line: _formula(line, "discriminant"),
        "x^2+3x+2=0",
        "x=(-3+-sqrt(17))/2",
        "x+3=0",
        due=Family.FORMULA,
    ),
    error_on_line(
        "formula-b-squared-negative",
        lambda line: _formula(line, "b-squared"),
        "x^2-7x-14=0",
        "x=(7+-sqrt(7))/2",
        "x-7=0",
        common=Common.NOW_AND_THEN,
        due=Family.FORMULA,
    ),
    error_on_line(
        "formula-not-set-to-zero",
        lambda line: _formula(line, "not-zero"),
        "x^2+5x=3",
        "x=(-5+-sqrt(13))/2",
        "x^2+4x+7=0",
        due=Family.FORMULA,
    ),
    error_on_line(
        "formula-plus-only",
        lambda line: _formula(line, "plus-only"),
        "x^2-5x+3=0",
        "x=(5+sqrt(13))/2",
        "x^2-5x+6=0",
        common=Common.OFTEN,
        due=Family.FORMULA,
    ),
    error_on_line(
        "formula-root-forgotten",
        _root_dropped,
        "x^2-5x+3=0",
        "x=(5+-13)/2",
        "x^2=3",
        common=Common.NOW_AND_THEN,
        due=Family.FORMULA,
    ),
    error_on_line(
        "formula-wrong-letter-below",
        lambda line: _formula(line, "letter-below"),
        "2x^2+3x-4=0",
        "x=(-3+-sqrt(41))/(-8)",
        "x^2=4",
        common=Common.NOW_AND_THEN,
        due=Family.FORMULA,
    ),
    error_on_line(
        "csq-sign-lost",
        lambda line: _csq(line, "sign-lost"),
        "x^2-8x+16=7",
        "(x+4)^2=7",
        "x^2+8x+16=7",
        due=Family.SQUARES,
    ),
)
