"""Errors with powers."""

from uchuu_core.moves.conditions import Above
from uchuu_core.moves.move import Effect, Example, Move, Rewrite

AS_MULTIPLIER = Move(
    key="exponent-as-multiplier",
    effect=Effect.WRONG,
    rewrites=(Rewrite("a^n", "a*n", (Above("n", 1),)),),
    distorts="work-out-power",
    examples=(Example("4^3", "4*3"),),
    refuses=("4^1",),
)

ERRORS = (AS_MULTIPLIER,)
