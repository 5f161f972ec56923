"""Laws: moves that always hold under their conditions, one file per topic."""

from uchuu_core.moves.laws import (
    arithmetic,
    equations,
    expanding,
    exponents,
    factoring,
    fractions,
    radicals,
    signs,
)

LAWS = (
    *arithmetic.LAWS,
    *signs.LAWS,
    *expanding.LAWS,
    *exponents.LAWS,
    *radicals.LAWS,
    *fractions.LAWS,
    *factoring.LAWS,
    *equations.LAWS,
)
