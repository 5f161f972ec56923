"""Which error wins where two reproduce a line alike: the catalogue's convention, pair by pair."""

from dataclasses import dataclass

from uchuu_core.moves.catalogue import error_named
from uchuu_core.moves.move import Move


@dataclass(frozen=True, slots=True)
class Wins:
    """The first is named before the second, where it is found in as few steps."""

    winner: Move
    loser: Move


def _wins(winner: str, loser: str) -> Wins:
    return Wins(error_named(winner), error_named(loser))


PREFERRED = (
    _wins("radical-square-skips-coefficient", "exponent-power-skips-factor"),
    _wins("sign-power-parity", "sign-product-rule"),
    _wins("radical-number-joined-to-root", "order-add-before-multiply"),
    _wins("ratexpr-divided-termwise", "sum-squares-factored"),
    _wins("formula-not-set-to-zero", "formula-discriminant-sign"),
)
