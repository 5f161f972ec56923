"""Laws: moves that always hold under their conditions, one file per topic."""

from uchuu_core.moves.laws import arithmetic, equations, expanding, signs

LAWS = (*arithmetic.LAWS, *signs.LAWS, *expanding.LAWS, *equations.LAWS)
