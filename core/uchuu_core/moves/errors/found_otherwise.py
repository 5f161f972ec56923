"""Errors that follow from what the lines say, not from how they are written.

Whether somebody keeps an extra candidate, drops a branch or puts a hole on the axis is found by the judge; these
records give the errors their places in the catalogue.
"""

from typing import Unpack

from uchuu_core.moves.move import Common, Effect, Example, Known, Move


def _found(key: str, before: str, line: str, **known: Unpack[Known]) -> Move:
    return Move(key=key, effect=Effect.JUDGED, examples=(Example(before, line),), **known)


BRANCH_LOST = _found("branch-lost", "x-2=+-5", "x=7", common=Common.IN_EVERY_CLASS)
RATIONAL_EXTRANEOUS = _found(
    "rateq-extraneous-kept", "x/(x-3)=3/(x-3)", "x=3", common=Common.IN_EVERY_CLASS
)
RADICAL_EXTRANEOUS = _found(
    "radical-eq-extraneous-kept", "sqrt(x+6)=x", "x=3 or x=-2", common=Common.IN_EVERY_CLASS
)
FROM_REDUCED = _found(
    "ratexpr-excluded-from-reduced", "(x-3)/((x-3)(x+5))", "x != -5", common=Common.IN_EVERY_CLASS
)
EXCLUDED_SIGN = _found("ratexpr-excluded-sign", "5/(x+8)", "x != 8", common=Common.IN_EVERY_CLASS)
FACTOR_MISSED = _found("ratexpr-excluded-factor-missed", "(x+1)/(x^2-4x)", "x != 4")
HOLE_AS_ASYMPTOTE = _found(
    "ratfun-hole-as-asymptote",
    "(x^2-x-6)/(x-3)",
    "vertical asymptote: x = 3",
    common=Common.IN_EVERY_CLASS,
)
DEGREE_MIXUP = _found(
    "ratfun-horizontal-degree-mixup", "(3x)/(x^2+1)", "horizontal asymptote: y = 3"
)
COEFFICIENTS = _found(
    "ratfun-horizontal-coefficients", "(2x+9)/(5x+3)", "horizontal asymptote: y = 3"
)
INTERCEPT_AT_HOLE = _found(
    "ratfun-intercept-at-hole", "(x^2-2x)/(x^2-4)", "x-intercepts: (0, 0), (2, 0)"
)
INTERCEPTS_SWAPPED = _found("ratfun-intercepts-swapped", "(x-6)/(x+2)", "x-intercepts: (-2, 0)")
SHIFT_SIGN = _found(
    "ratfun-shift-sign", "1/(x-4)+2", "vertical asymptote: x = -4", common=Common.IN_EVERY_CLASS
)
HOLE_HEIGHT = _found(
    "ratfun-hole-height-zero", "(x^2-1)/(x-1)", "hole: (1, 0)", common=Common.NOW_AND_THEN
)
NOT_DIVIDED = _found(
    "ratfun-oblique-not-divided",
    "(x^2+3x+5)/(x+1)",
    "oblique asymptote: y = x",
    common=Common.NOW_AND_THEN,
)
END_SIGN = _found("ratfun-end-sign", "(5x+1)/(x-2)", "end left: -5", common=Common.NOW_AND_THEN)
Y_FROM_TOP = _found("ratfun-y-intercept-top-only", "(x+4)/(x-8)", "y-intercept: (0, 4)")
COORDINATES_SWAPPED = _found("ratfun-coordinates-swapped", "(2x-6)/(x+1)", "x-intercept: (0, 3)")
VERTICAL_SHIFT = _found("ratfun-shift-vertical-sign", "3/(x+6)-1", "horizontal asymptote: y = 1")
EXCLUDED_FROM_TOP = _found(
    "ratfun-excluded-from-top", "(x-2)/(x+5)", "x != 2", common=Common.NOW_AND_THEN
)
LETTERS_SWAPPED = _found(
    "ratfun-asymptote-letters-swapped", "(x+3)/(x-1)", "vertical asymptote: y = 1"
)
CHECK_MISCOPIED = _found("check-in-miscopied-equation", "2x+1=7", "2*3+2=7")

ERRORS = (
    BRANCH_LOST,
    RATIONAL_EXTRANEOUS,
    RADICAL_EXTRANEOUS,
    FROM_REDUCED,
    EXCLUDED_SIGN,
    FACTOR_MISSED,
    HOLE_AS_ASYMPTOTE,
    DEGREE_MIXUP,
    COEFFICIENTS,
    INTERCEPT_AT_HOLE,
    INTERCEPTS_SWAPPED,
    SHIFT_SIGN,
    HOLE_HEIGHT,
    NOT_DIVIDED,
    END_SIGN,
    Y_FROM_TOP,
    COORDINATES_SWAPPED,
    VERTICAL_SHIFT,
    EXCLUDED_FROM_TOP,
    LETTERS_SWAPPED,
    CHECK_MISCOPIED,
)
