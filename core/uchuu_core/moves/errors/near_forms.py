"""Errors in factoring that take one form for another: roots not taken, signs, letters, squares that are none."""

from collections.abc import Iterator
from dataclasses import replace
from math import isqrt
from typing import Any

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.conditions import numeral
from uchuu_core.moves.errors.factoring import two_cubes, two_squares
from uchuu_core.moves.errors.trinomials import pairs, product_of, trinomial
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.moves.move import Common, Known, error_in_part
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Number, Power, Sum, Term
from uchuu_core.tree.paths import letters

TWO = Number("2")
_FACTORS: Known = {"due": Family.FACTORS, "is_ending": True}
_RARE: Known = {**_FACTORS, "common": Common.NOW_AND_THEN}


def _conjugates(a: Expr, b: Expr) -> Expr:
    return product_of(Sum((Term("+", a), Term("-", b))), Sum((Term("+", a), Term("+", b))))


def _difference(part: Line) -> Iterator[tuple[Expr, Expr, Any]]:
    """Yield √first, second and its value of ``first − second``, the second a plain number."""
    match part:
        case Sum((Term("+", Power(base, Number("2"))), Term("-", last))):
            value = numeral(last)
            if value is not None and letters(base):
                yield base, last, value


def _constant_not_rooted(part: Line) -> Iterator[Line]:
    for base, last, value in _difference(part):
        if value != 1:
            yield _conjugates(base, last)


def _halved(part: Line) -> Iterator[Line]:
    for base, _, value in _difference(part):
        if value != 4:
            yield _conjugates(base, build.number(value / 2))


def _square_of_last(part: Line) -> Iterator[Line]:
    found = trinomial(part)
    if found and found.a == 1 and found.c > 1:
        yield Power(found.bracket(found.c if found.b > 0 else -found.c), TWO)


def _one_sign(part: Line) -> Iterator[Line]:
    found = trinomial(part)
    if found and found.a == 1 and found.c:
        for p, q in pairs(found.c):
            if p + q == found.b and p != q:
                yield found.brackets(p, -q)
                yield found.brackets(-p, q)


def _highest_power(part: Line) -> Iterator[Line]:
    """Take ``x²`` out of ``x² + 6x``: ``x²(1 + 6)``."""
    if not isinstance(part, Sum):
        return
    split = [coefficient_and_rest(term.body) for term in part.terms]
    bases = {rest.base if isinstance(rest, Power) else rest for _, rest in split}
    if len(bases) != 1 or not letters(next(iter(bases))) or len({rest for _, rest in split}) == 1:
        return
    most = max((rest for _, rest in split), key=_degree)
    inside = build.total(
        build.as_term(build.number(number), term.sign)
        for (number, _), term in zip(split, part.terms, strict=True)
    )
    yield product_of(most, inside)


def _degree(node: Expr) -> int:
    return int(node.exponent.text) if isinstance(node, Power) and isinstance(node.exponent, Number) and node.exponent.is_whole else 1  # fmt: skip


def _squared(node: Expr) -> Expr:
    """Return the square of *node*, worked out where it is a number."""
    value = numeral(node)
    return Power(node, TWO) if value is None else build.number(value * value)


def _middle_missing(part: Line) -> Iterator[Line]:
    found = two_cubes(part)
    if found:
        a, b, sign = found
        for last in ("+", "-"):
            yield product_of(
                Sum((Term("+", a), Term(sign, b))),  # type: ignore[arg-type]
                Sum((Term("+", _squared(a)), Term(last, _squared(b)))),
            )


def _middle_as_factor(part: Line) -> Iterator[Line]:
    found = trinomial(part)
    if found and found.a == 1 and found.b and found.c:
        yield found.brackets(found.b, found.c)


def _as_conjugates(part: Line) -> Iterator[Line]:
    """Write a perfect square as sum times difference."""
    match part:
        case Sum((first, Term(_, middle), Term("+", last))):
            roots = two_squares(Sum((first, Term("+", last))), "+")
            if roots and letters(middle):
                yield _conjugates(*roots)


def _second_letter_lost(part: Line) -> Iterator[Line]:
    """Factor ``x² + 7xy + 10y²`` as ``(x + 2)(x + 5)``."""
    found = trinomial(part)
    if found and found.a == 1 and found.y != build.ONE:
        bare = replace(found, y=build.ONE)
        for p, q in pairs(found.c):
            if p + q == found.b:
                yield bare.brackets(p, q)


def _near_square(part: Line) -> Iterator[Line]:
    """Take ``x² − 10x − 25`` for a square."""
    found = trinomial(part)
    if found and found.a == 1 and found.b and found.c:
        root = isqrt(abs(found.c))
        if found.c == -root * root:
            yield Power(found.bracket(root if found.b > 0 else -root), TWO)


CONSTANT_NOT_ROOTED = error_in_part(
    "diff-squares-constant-not-rooted", _constant_not_rooted, "x^2-16", "(x-16)(x+16)", "x^2+16", **_FACTORS
)  # fmt: skip
HALVED = error_in_part("diff-squares-halved", _halved, "x^2-16", "(x-8)(x+8)", "x^2+16", **_RARE)
LAST_NOT_ROOTED = error_in_part(
    "perfect-square-last-not-rooted", _square_of_last, "x^2+10x+25", "(x+25)^2", "x^2+25", **_RARE
)
ONE_SIGN_WRONG = error_in_part(
    "trinomial-one-sign-wrong", _one_sign, "x^2-9x+20", "(x-4)(x+5)", "x^2-9", **_FACTORS
)
HIGHEST_POWER = error_in_part(
    "gcf-highest-power-taken", _highest_power, "x^2+6x", "x^2(1+6)", "x^2+6y", **_RARE
)
CUBES_MIDDLE_MISSING = error_in_part(
    "cubes-middle-missing", _middle_missing, "x^3+8", "(x+2)(x^2+4)", "x^3+9", **_FACTORS
)
MIDDLE_AS_FACTOR = error_in_part(
    "trinomial-middle-as-factor", _middle_as_factor, "x^2+5x+6", "(x+5)(x+6)", "x^2+6", **_RARE
)
AS_CONJUGATES = error_in_part(
    "perfect-square-as-conjugates", _as_conjugates, "x^2+6x+9", "(x-3)(x+3)", "x^2+9", **_RARE
)
SECOND_LETTER_LOST = error_in_part(
    "factor-second-letter-lost", _second_letter_lost, "x^2+7x*y+10y^2", "(x+2)(x+5)", "x^2+7x+10", **_RARE
)  # fmt: skip
NEAR_SQUARE = error_in_part(
    "not-a-perfect-square", _near_square, "x^2-10x-25", "(x-5)^2", "x^2-10x+25", **_RARE
)

ERRORS = (
    CONSTANT_NOT_ROOTED,
    HALVED,
    LAST_NOT_ROOTED,
    ONE_SIGN_WRONG,
    HIGHEST_POWER,
    CUBES_MIDDLE_MISSING,
    MIDDLE_AS_FACTOR,
    AS_CONJUGATES,
    SECOND_LETTER_LOST,
    NEAR_SQUARE,
)
