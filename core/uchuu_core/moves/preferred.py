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
    _wins("radical-number-joined-to-root", "order-add-before-multiply"),
    _wins("formula-not-set-to-zero", "formula-discriminant-sign"),
    _wins("exponent-coefficients-added", "product-coefficients-added"),
    _wins("complex-fraction-part-multiplied", "fraction-top-not-scaled"),
    _wins("quad-divided-then-lost", "rateq-lcd-missed-term"),
    _wins("expand-square-termwise", "radical-sum-merged"),
    _wins("radical-number-joined-to-root", "like-unlike-terms-joined"),
    _wins("like-letter-lost", "gcf-lost"),
    _wins("gcf-highest-power-taken", "like-unlike-terms-joined"),
    _wins("like-invisible-one", "lineq-one-side-only"),
    _wins("lineq-clearing-missed-term", "lineq-one-side-only"),
    _wins("gcf-one-vanishes", "lineq-one-side-only"),
    _wins("distribute-minus-first-term-only", "like-unlike-terms-joined"),
)
