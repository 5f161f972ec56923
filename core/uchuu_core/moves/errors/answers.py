"""Errors at the end of the work: rounding, rejecting, and stopping before the asked form.

The stops change nothing, so they have no rewrite; they name an unmet form (``kernel.finished``).
"""

from collections.abc import Iterator
from fractions import Fraction

from uchuu_core.moves.conditions import numeral
from uchuu_core.moves.move import Common, Effect, Example, Move, error_in_part, error_on_line
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Line, Outcome, Quotient, Relation


def _rounded(part: Line) -> Iterator[Line]:
    """Yield a fraction of numerals rounded to one, two or three decimals, where that changes it."""
    if not isinstance(part, Quotient):
        return
    value = numeral(part)
    if value is None:
        return
    for places in (1, 2, 3):
        rounded = Fraction(round(value * 10**places), 10**places)
        if rounded != value:
            yield build.decimal(rounded)


def _rejected(line: Line) -> Iterator[Line]:
    if isinstance(line, Relation) and line.sign == "=":
        yield Outcome("no solution")


ROUNDED_TOO_EARLY = error_in_part(
    "rounded-too-early",
    _rounded,
    "x=2/3",
    "x=0.67",
    "x=1/2+x",
    common=Common.NOW_AND_THEN,
    is_invited=False,
)
SOLUTION_WRONGLY_REJECTED = error_on_line(
    "solution-wrongly-rejected",
    _rejected,
    "7x=0",
    "no solution",
    "7x",
    is_searched=False,
    is_invited=False,
)


def _stop(key: str, before: str, line: str) -> Move:
    return Move(key=key, effect=Effect.UNFINISHED, examples=(Example(before, line),))


STOP_NOT_LOWEST_TERMS = _stop("stop-not-lowest-terms", "8/12+2/12", "10/12")
STOP_UNKNOWN_NOT_ALONE = _stop("stop-unknown-not-alone", "4x-1=11", "4x=12")
STOP_LIKE_TERMS_LEFT = _stop("stop-like-terms-left", "(x+2)(x+5)", "x^2+5x+2x+10")
STOP_ROOT_NOT_SIMPLIFIED = _stop("stop-root-not-simplified", "sqrt(72)", "2sqrt(18)")
STOP_ROOT_IN_DENOMINATOR = _stop("stop-root-in-denominator", "10/sqrt(5)", "10/sqrt(5)")
STOP_NOT_FULLY_FACTORED = _stop("stop-not-fully-factored", "3x^2-12", "3(x^2-4)")
STOP_NEGATIVE_EXPONENT = _stop("stop-negative-exponent", "x^2/x^5", "x^(-3)")
STOP_POWERS_LEFT = _stop("stop-powers-left", "x^2*x^3", "x^2*x^3")
STOP_NOT_EXPANDED = _stop("stop-not-expanded", "2(x+3)", "2(x+3)")
STOP_SEVERAL_FRACTIONS = _stop("stop-several-fractions", "1/x+1/y", "1/x+1/y")
STOP_NOT_MIXED = _stop("stop-not-a-mixed-number", "3/2+2", "7/2")

ERRORS = (
    ROUNDED_TOO_EARLY,
    SOLUTION_WRONGLY_REJECTED,
    STOP_NOT_LOWEST_TERMS,
    STOP_UNKNOWN_NOT_ALONE,
    STOP_LIKE_TERMS_LEFT,
    STOP_ROOT_NOT_SIMPLIFIED,
    STOP_ROOT_IN_DENOMINATOR,
    STOP_NOT_FULLY_FACTORED,
    STOP_NEGATIVE_EXPONENT,
    STOP_POWERS_LEFT,
    STOP_NOT_EXPANDED,
    STOP_SEVERAL_FRACTIONS,
    STOP_NOT_MIXED,
)
