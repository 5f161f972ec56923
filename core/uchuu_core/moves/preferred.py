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
    _wins("distribute-minus-first-term-only", "distribute-first-term-only"),
    _wins("eq-minus-before-fraction", "lineq-clearing-missed-term"),
    _wins("lineq-negative-coefficient-lost", "lineq-one-side-only"),
    _wins("lineq-negative-coefficient-lost", "lineq-same-sign-when-moved"),
    _wins("lineq-same-sign-when-moved", "lineq-constant-as-answer"),
    _wins("lineq-clearing-missed-term", "distribute-first-term-only"),
    _wins("like-exponents-added", "like-unlike-terms-joined"),
    _wins("like-invisible-one", "like-unlike-terms-joined"),
    _wins("order-multiply-before-power", "expand-square-termwise"),
    _wins("complex-fraction-flip-termwise", "fraction-split-denominator"),
    _wins("radical-square-skips-coefficient", "exponent-power-skips-factor"),
    _wins("sign-power-parity", "sign-product-rule"),
    _wins("radical-number-joined-to-root", "order-add-before-multiply"),
    _wins("radical-number-joined-to-root", "like-unlike-terms-joined"),
    _wins("cancel-factor-of-one-term", "order-fraction-bar-ungrouped"),
    _wins("ratexpr-divided-termwise", "sum-squares-factored"),
    _wins("cancelled-top-vanishes", "ratexpr-divided-termwise"),
    _wins("diff-squares-coefficient-not-rooted", "order-multiply-before-power"),
    _wins("gcf-negative-sign-inside", "distribute-minus-first-term-only"),
    _wins("gcf-one-vanishes", "copy-term-lost"),
    _wins("quad-missing-plus-minus", "quad-root-one-side-only"),
    _wins("formula-not-set-to-zero", "formula-discriminant-sign"),
    _wins("formula-b-squared-negative", "formula-discriminant-sign"),
    _wins("rateq-lcd-missed-term", "rateq-cross-multiplied-sum"),
    _wins("radical-eq-not-isolated", "radical-eq-one-side-squared"),
    _wins("sign-square-swallows-minus", "copy-sign-changed"),
    _wins("fraction-top-not-scaled", "order-add-before-multiply"),
    _wins("lineq-subtracts-coefficient", "lineq-constant-as-answer"),
)
