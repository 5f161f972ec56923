"""Laws of signs."""

from uchuu_core.lawbook.numbers import ADDING_NEGATIVE, TAKING_AWAY_NEGATIVE
from uchuu_core.moves.conditions import Unsigned
from uchuu_core.moves.move import Example, Move, Rewrite

MINUS_NEGATIVE = Move(
    key="minus-negative-is-plus",
    says=TAKING_AWAY_NEGATIVE,
    rewrites=(
        Rewrite("a - (-b)", "a + b", (Unsigned("b"),)),
        Rewrite("-(-b)", "b", (Unsigned("b"),)),
    ),
    examples=(Example("7-(-5)", "7+5"), Example("k-(-8)", "k+8")),
    refuses=("7-5",),
)
PLUS_NEGATIVE = Move(
    key="plus-negative-is-minus",
    says=ADDING_NEGATIVE,
    rewrites=(Rewrite("a + (-b)", "a - b", (Unsigned("b"),)),),
    examples=(Example("7+(-5)", "7-5"),),
    refuses=("7+5",),
)

LAWS = (MINUS_NEGATIVE, PLUS_NEGATIVE)
