"""Errors in reading the answers off a quadratic (or an odd power): numbers in front, signs, what is left."""

from collections.abc import Iterator

from uchuu_core.moves.conditions import NotNumeral, Numeral, numeral
from uchuu_core.moves.errors.quadratics import both_ways, either, linear, over, powers_of, rooted
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.moves.move import Common, Known, Rewrite, error_of, error_on_line
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Relation, Signed
from uchuu_core.tree.paths import letters

_RARE: Known = {"common": Common.NOW_AND_THEN}
_MOST_INDEX = 7


def _number_as_solution(line: Line) -> Iterator[Line]:
    """Take the 3 of ``3(x − 2)(x + 1) = 0`` for a solution, beside the others or for 0."""
    for side, other in both_ways(line):
        number, rest = coefficient_and_rest(side)
        if number in (0, 1) or numeral(other) != 0:
            continue
        found = [linear(factor) for factor in build.factors_of(rest)]
        values: list[Expr] = [build.number(number)]
        for part in found:
            if part is None:
                return
            values.append(build.number(-part[2] / part[1]))
        if len(values) > 1 and found[0] is not None:
            yield either(found[0][0], values)
            if build.ZERO in values:
                yield either(found[0][0], [value for value in values if value != build.ZERO])


def _negative_root(line: Line) -> Iterator[Line]:
    for base, value in powers_of(line, 2):
        plain = numeral(value)
        if plain is not None and plain < 0:
            yield Relation(base, "=", build.negative(rooted(2, build.number(-plain))))


def _odd_root(line: Line) -> Iterator[Line]:
    """Take ± at an odd root, or lose the sign of the radicand."""
    for index in range(3, _MOST_INDEX + 1, 2):
        for base, value in powers_of(line, index):
            plain = numeral(value)
            size = value if plain is None else build.number(abs(plain))
            yield Relation(base, "=", Signed("+-", rooted(index, size)))
            if plain is not None and plain < 0:
                yield Relation(base, "=", rooted(index, size))


def _nothing_left(line: Line) -> Iterator[Line]:
    """Divide both sides by the same factor and write 0 where 1 stays."""
    for side, other in both_ways(line):
        quotient = over(side, other) if letters(other) else None
        if quotient is not None and numeral(quotient) is None:
            yield Relation(quotient, "=", build.ZERO)


NUMBER_AS_SOLUTION = error_on_line(
    "quad-constant-factor-as-solution",
    _number_as_solution,
    "3(x-2)(x+1)=0",
    "x=3 or x=2 or x=-1",
    "(x-2)(x+1)=0",
    is_ending=True,
)
NEGATIVE_ROOTED = error_on_line(
    "quad-negative-rooted-negative", _negative_root, "x^2=-9", "x=-3", "x^2=9", **_RARE
)
ODD_ROOT = error_on_line("odd-root-plus-minus", _odd_root, "x^3=27", "x=+-3", "x^2=9", **_RARE)
DIVIDED_TO_ZERO = error_on_line(
    "quad-divided-to-zero", _nothing_left, "(x+1)^2=x+1", "x+1=0", "(x+1)^2=x+2", **_RARE
)
DIVIDED_THEN_LOST = error_of(
    "quad-divided-then-lost",
    (
        Rewrite("x = a + b/x", "x = a + b", (NotNumeral("x"), Numeral("b"))),
        Rewrite("x + b/x = a", "x + b = a", (NotNumeral("x"), Numeral("b"))),
    ),
    "x=6-9/x",
    "x=6-9",
    "x=6-9/2",
    **_RARE,
)

ERRORS = (NUMBER_AS_SOLUTION, NEGATIVE_ROOTED, ODD_ROOT, DIVIDED_TO_ZERO, DIVIDED_THEN_LOST)
