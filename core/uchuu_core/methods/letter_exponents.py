"""Sums of powers with a letter in the exponent: 3^(n+1) − 3^n is 2·3^n."""

from collections.abc import Iterator
from fractions import Fraction
from typing import Any

from uchuu_core.failures import OutOfScope
from uchuu_core.lawbook.exponents import SPLIT_NUMBER_OFF
from uchuu_core.lawbook.factoring import TAKE_POWER_OUT
from uchuu_core.lawbook.fractions import DIVIDE_OUT_FACTORS
from uchuu_core.lawbook.numbers import WORK_OUT_BRACKET
from uchuu_core.methods.method import KEY, Method, Moment, Posed
from uchuu_core.moves.conditions import numeral
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Number, Power, Quotient, Relation, Sum, Term
from uchuu_core.tree.paths import letters, parts, rebuild

_MOST = 12


def _split(part: Line) -> Line:
    """Write b^(n+k) as b^k·b^n, worked out."""
    match part:
        case Power(Number() as base, Sum(terms)):
            number = Fraction(0)
            for term in terms:
                share = numeral(term.body) or Fraction(0)
                number += -share if term.sign == "-" else share
            rest = [t for t in terms if numeral(t.body) is None]
            if number.denominator != 1 or not 0 < abs(number) <= _MOST or not rest:
                return part
            power = Power(base, build.total(rest))
            value = base.value ** int(number)
            if value.denominator != 1:
                return Quotient(power, Number(str(value.denominator)))
            return build.product((build.number(value), power))
        case _:
            return part


def _coefficient(node: Expr) -> tuple[Fraction, Expr | None]:
    """Return number and power of a term."""
    number, power = Fraction(1), None
    rest: list[Expr] = [node]
    while rest:
        part = rest.pop()
        value = numeral(part)
        match part:
            case _ if value is not None:
                number *= value
            case Quotient(top, bottom, _) if numeral(bottom):
                number /= numeral(bottom) or 1
                rest.append(top)
            case Power() if power is None:
                power = part
            case _ if len(factors := build.factors_of(part)) > 1:
                rest += factors
            case _:
                raise OutOfScope("It is no sum of multiples of one power.")
    return number, power


def _collected(node: Expr) -> tuple[Expr, Expr, Fraction]:
    """Return the sum with its power taken out, collected, and the number.

    Raises:
        OutOfScope: the terms are no multiples of one power.
    """
    terms = build.terms_of(node)
    found = [_coefficient(term.body) for term in terms]
    powers = {power for _, power in found}
    if len(powers) != 1 or None in powers:
        raise OutOfScope("The terms are no multiples of one power.")
    (power,) = powers
    assert power is not None
    numbers = [Term(t.sign, build.number(n)) for t, (n, _) in zip(terms, found, strict=True)]
    total = sum(
        (n if t.sign == "+" else -n for t, (n, _) in zip(terms, found, strict=True)), Fraction(0)
    )
    return power, build.product((power, build.total(numbers))), total


def _multiple(number: Fraction, power: Expr) -> Expr:
    if number == 0:
        return build.ZERO
    return (
        build.times(number, power)
        if abs(number) != 1
        else (power if number > 0 else build.negative(power))
    )


def work(start: Expr) -> list[Moment]:
    """Return the lines.

    Raises:
        OutOfScope: it is of another kind.
    """
    if not any(isinstance(p, Power) and letters(p.exponent) for p in parts(start)):
        raise OutOfScope("No letter stands in an exponent.")
    if not any(
        isinstance(p, Sum) and any(isinstance(q, Power) for t in p.terms for q in parts(t.body))
        for p in parts(start)
    ):
        raise OutOfScope("It is no sum of powers.")
    found: list[Moment] = []
    now: Any = rebuild(start, _split)
    if now != start:
        says = SPLIT_NUMBER_OFF()
        found.append(Moment(now, says))
    top, bottom = (now.numerator, now.denominator) if isinstance(now, Quotient) else (now, None)
    power, factored, number = _collected(top)
    wrap = (lambda node: node) if bottom is None else (lambda node: Quotient(node, bottom))
    found.append(Moment(wrap(factored), TAKE_POWER_OUT(power)))
    collected = _multiple(number, power)
    found.append(Moment(wrap(collected), WORK_OUT_BRACKET(), KEY))
    if bottom is not None:
        below, other = _coefficient(bottom)
        if other != power:
            raise OutOfScope("The power below is another one.")
        found.append(Moment(build.number(number / below), DIVIDE_OUT_FACTORS(power), KEY))
    return found


def _refusal(posed: Posed) -> str | None:
    if isinstance(posed.given, Relation):
        return "this is an equation"
    try:
        work(build.without_brackets(posed.given))
    except OutOfScope as reason:
        return reason.clause
    return None


def _moments(posed: Posed) -> Iterator[Moment]:
    return iter(work(build.without_brackets(posed.given)))


LETTER_EXPONENTS = Method(
    key="collect-powers",
    tasks=("simplify",),
    refusal=_refusal,
    why="Every term is a number times one power: take the power out.",
    moments=_moments,
)
