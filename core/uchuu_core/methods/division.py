"""Polynomials divided: long, a term of the quotient a line, or synthetic, with the coefficients alone."""

from collections.abc import Iterator

from flint import fmpq_poly

from uchuu_core.kernel.features import Features
from uchuu_core.lawbook.functions import (
    BRING_DOWN,
    LONG_DIVISION_STEP,
    MULTIPLY_AND_ADD,
    SYNTHETIC_DIVISION,
)
from uchuu_core.lawbook.says import Says, listed
from uchuu_core.methods.method import Moment
from uchuu_core.methods.written import univariate
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Product, Quotient, Signed, Sum, Term

LONG, SYNTHETIC = "long-division", "synthetic-division"


def division(f: Features, way: str) -> Iterator[Moment]:
    """Yield the lines that divide top by bottom; synthetic where the bottom is linear and that is the *way*."""
    if way == SYNTHETIC and f.bottom.degree() == 1:
        yield Moment(_divided(f, f.quotient, f.remainder), _synthetic(f))
        return
    quotient, left = fmpq_poly([0]), f.top
    while left.degree() >= f.bottom.degree():
        lead = left[left.degree()] / f.bottom[f.bottom.degree()]
        term = fmpq_poly([0] * (left.degree() - f.bottom.degree()) + [lead])
        before, left = left, left - term * f.bottom
        quotient += term
        says = LONG_DIVISION_STEP(
            first=univariate(_lead(before), f.unknown),
            divisor=univariate(_lead(f.bottom), f.unknown),
            quotient=univariate(term, f.unknown),
            bottom=univariate(f.bottom, f.unknown),
            left=univariate(left, f.unknown),
        )
        yield Moment(_divided(f, quotient, left), says)


def _synthetic(f: Features) -> Says:
    zero = -f.bottom[0] / f.bottom[1]
    numbers = [f.top[n] for n in range(f.top.degree(), -1, -1)]
    now = numbers[0]
    steps = [BRING_DOWN(build.number_of(now))]
    for number in numbers[1:]:
        value = zero * now + number
        times = Product((build.number_of(zero), build.number_of(now)), ("*",))
        whole = build.add(times, build.number_of(number))
        steps.append(MULTIPLY_AND_ADD(whole, build.number_of(value)))
        now = value
    return SYNTHETIC_DIVISION(zero=build.number_of(zero), steps=listed(steps, before_last=", "))


def _divided(f: Features, quotient: fmpq_poly, remainder: fmpq_poly) -> Expr:
    """Write quotient plus remainder over the bottom."""
    rest = univariate(remainder, f.unknown)
    bottom = univariate(f.bottom, f.unknown)
    sign = "-" if isinstance(rest, Signed) else "+"
    rest = rest.body if isinstance(rest, Signed) else rest
    terms = build.terms_of(univariate(quotient, f.unknown))
    if rest == build.ZERO:
        return build.total(terms)
    return Sum((*terms, Term(sign, Quotient(rest, bottom))))  # type: ignore[arg-type]


def _lead(values: fmpq_poly) -> fmpq_poly:
    """Return the term of the highest degree."""
    return fmpq_poly([0] * values.degree() + [values[values.degree()]])
