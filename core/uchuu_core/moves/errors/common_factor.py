"""Errors in taking out a common factor: what is left in the bracket, and with which sign."""

from collections.abc import Iterator
from fractions import Fraction
from itertools import product as choices
from math import gcd

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.conditions import Above
from uchuu_core.moves.errors.factor_lost import GCF_LOST
from uchuu_core.moves.errors.trinomials import divisors
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.moves.move import Common, Effect, Example, Move, Rewrite
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Number, Power, Signed, Sum, Symbol, Term

_MOST_TERMS = 4

GCF_ONE_TERM_ONLY = Move(
    key="gcf-one-term-only",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a*b + a*c", "a*(b + a*c)"),
        Rewrite("a*b - a*c", "a*(b - a*c)"),
    ),
    function=lambda part: _number_taken_once(part),
    distorts="common-factor",
    examples=(Example("6x+18", "6(x+18)"), Example("a*x+a*y", "a(x+a*y)")),
    refuses=("6x",),
    due=Family.FACTORS,
)


def _monomial(node: Expr) -> tuple[Fraction, Symbol, int] | None:
    """Return c, x, n of ``c·xⁿ`` with n from 1 up, None for anything else."""
    number, rest = coefficient_and_rest(node)
    match rest:
        case Symbol():
            return number, rest, 1
        case Power(Symbol() as x, Number() as n) if n.is_whole:
            return number, x, int(n.text)
        case _:
            return None


def _written(number: Fraction, x: Symbol, power: int) -> Expr:
    body: Expr = build.ONE if power == 0 else x if power == 1 else Power(x, Number(str(power)))
    return build.times(number, body)


def _power_taken_once(part: Sum) -> Iterator[Line]:
    found = [_monomial(term.body) for term in part.terms]
    if any(each is None for each in found):
        return
    number, x, power = found[0]  # type: ignore[misc]
    least = min(each[2] for each in found if each is not None)
    if all(each is not None and each[1] == x for each in found):
        for taken in range(1, least + 1):
            inside = Sum((Term("+", _written(number, x, power - taken)), *part.terms[1:]))
            yield build.product((_written(Fraction(1), x, taken), inside))


def _own_term_vanishes(part: Line) -> Iterator[Line]:
    """Take one of the terms out of all and leave nothing in its place."""
    if not isinstance(part, Sum) or len(part.terms) < 3:
        return
    found = [_monomial(term.body) for term in part.terms]
    for place, each in enumerate(found):
        if each is None or each[0] == 0:
            continue
        number, x, power = each
        others: list[Term] = []
        for at, other in enumerate(found):
            if at == place:
                continue
            if other is None or other[1] != x or other[2] < power or other[0] % number:
                break
            body = _written(other[0] / number, x, other[2] - power)
            others.append(Term(part.terms[at].sign, body))
        else:
            yield build.product((part.terms[place].body, build.total(others)))


def _number_taken_once(part: Line) -> Iterator[Line]:
    """Divide only the first term by a common number, or by a common power of a letter."""
    if not isinstance(part, Sum) or part.terms[0].sign != "+":
        return
    yield from _power_taken_once(part)
    first, *others = part.terms
    number, rest = coefficient_and_rest(first.body)
    numbers = [coefficient_and_rest(t.body)[0] for t in others]
    if number <= 1 or number.denominator != 1:
        return
    for factor in divisors(number):
        if all((n / factor).denominator == 1 for n in numbers):
            inside = Sum((Term("+", build.times(number / factor, rest)), *others))
            yield build.product((Number(str(factor)), inside))


GCF_ONE_VANISHES = Move(
    key="gcf-one-vanishes",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a*b + a", "a*b"),
        Rewrite("a*b - a", "a*b"),
        Rewrite("a + a*b", "a*b"),
    ),
    function=lambda part: _square_without_one(part),
    distorts="common-factor",
    examples=(Example("5x^2+5x", "5x*x"), Example("x*y+x", "x*y")),
    refuses=("5x",),
    common=Common.IN_EVERY_CLASS,
    due=Family.FACTORS,
)


def _square_without_one(part: Line) -> Iterator[Line]:
    """Return ``5x·x`` for ``5x² + 5x``, ``2x(2x² + 3x)`` for ``4x³ + 6x² + 2x``."""
    yield from _own_term_vanishes(part)
    match part:
        case Sum((Term("+", first), Term(_, second))):
            (a, rest), (b, other) = coefficient_and_rest(first), coefficient_and_rest(second)
            if (
                a == b
                and isinstance(rest, Power)
                and rest.base == other
                and rest.exponent == Number("2")
            ):
                yield (
                    build.product((Number(str(a)), other, other))
                    if a != 1
                    else build.product((other, other))
                )


GCF_NEGATIVE_SIGN = Move(
    key="gcf-negative-sign-inside",
    effect=Effect.WRONG,
    function=lambda part: _sign_not_turned(part),
    distorts="common-factor",
    examples=(Example("-3x-12", "-3(x-4)"),),
    refuses=("3x-12",),
    due=Family.FACTORS,
)


def _sign_not_turned(part: Line) -> Iterator[Line]:
    """Take a negative common number out and leave some signs inside as they were.

    Of the whole sum, and of two neighbours in a longer one (grouping).
    """
    match part:
        case Signed("-", Sum(terms)) if len(terms) <= _MOST_TERMS:
            turned = tuple(Term(build.OPPOSITE[term.sign], term.body) for term in terms)
            yield from (Signed("-", inside) for inside in _half_turned(turned))
    if not isinstance(part, Sum):
        return
    size = len(part.terms)
    runs = [(0, size)] if size <= _MOST_TERMS else []
    for start, end in (*runs, *((n, n + 2) for n in range(size - 1) if size > 2)):
        if part.terms[start].sign != "-":
            continue
        for inside in _half_turned(part.terms[start:end]):
            new = Term("-", inside)
            yield build.total((*part.terms[:start], new, *part.terms[end:]))


def _half_turned(terms: tuple[Term, ...]) -> Iterator[Expr]:
    """Yield ``f·(…)`` for −f taken out of *terms*, at least one sign inside not turned."""
    split = [coefficient_and_rest(term.body) for term in terms]
    if any(number.denominator != 1 for number, _ in split):
        return
    for factor in (1, *divisors(gcd(*(int(number) for number, _ in split)))):
        bodies = [build.times(number / factor, rest) for number, rest in split]
        for kept in choices((False, True), repeat=len(terms) - 1):
            if not any(kept):
                continue
            signs = [
                term.sign if keep else build.OPPOSITE[term.sign]
                for term, keep in zip(terms, (False, *kept), strict=True)
            ]
            inside = Sum(tuple(Term(s, b) for s, b in zip(signs, bodies, strict=True)))
            yield build.product((Number(str(factor)), inside)) if factor > 1 else inside


POWERS_LEFT_INSIDE = Move(
    key="gcf-powers-left-inside",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("x^m*y^n + x^k*y^h", "x^m*y^h*(y^n + x^k)"),
        Rewrite("x^k + x^m", "x^m*(x^k + 1)", (Above("m", 0),)),
    ),
    distorts="common-factor",
    examples=(Example("x^2*y^5+x^4*y^2", "x^2*y^2*(y^5+x^4)"),),
    refuses=("x^2*y^5",),
    common=Common.NOW_AND_THEN,
    due=Family.FACTORS,
)

ERRORS = (
    GCF_LOST,
    GCF_ONE_TERM_ONLY,
    GCF_ONE_VANISHES,
    GCF_NEGATIVE_SIGN,
    POWERS_LEFT_INSIDE,
)
