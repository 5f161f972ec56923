"""How common an error is in class: a teacher's estimate in three steps, used where errors compete.

There is no count behind it. Where a class's papers have been marked, their count is better.
"""

from typing import Literal

Commonness = Literal[0, 1, 2]
"""0 met in every class, 1 met often, 2 met now and then."""

IN_EVERY_CLASS = frozenset(
    [
        "order-add-before-multiply",
        "order-multiply-before-power",
        "order-add-before-subtract",
        "sign-minus-negative",
        "sign-unlike-magnitudes-added",
        "sign-square-swallows-minus",
        "fraction-add-tops-and-bottoms",
        "fraction-divide-no-flip",
        "like-unlike-terms-joined",
        "distribute-first-term-only",
        "distribute-minus-first-term-only",
        "expand-square-termwise",
        "exponent-as-multiplier",
        "exponent-product-multiplied",
        "exponent-power-skips-factor",
        "exponent-negative-gives-negative",
        "exponent-zero-gives-zero",
        "radical-sum-merged",
        "radical-split-over-sum",
        "gcf-one-vanishes",
        "sum-squares-factored",
        "trinomial-signs-flipped",
        "cancel-equal-terms",
        "cancel-factor-of-one-term",
        "ratexpr-subtract-first-term-only",
        "lineq-same-sign-when-moved",
        "lineq-one-side-only",
        "lineq-part-of-side-divided",
        "lineq-clearing-missed-term",
        "lineq-negative-coefficient-lost",
        "quad-missing-plus-minus",
        "quad-divided-by-variable",
        "quad-zero-product-nonzero",
        "csq-one-side-only",
        "formula-minus-b-sign",
        "formula-denominator-not-shared",
        "rateq-lcd-missed-term",
        "rateq-extraneous-kept",
        "radical-eq-squared-termwise",
        "radical-eq-not-isolated",
        "radical-eq-extraneous-kept",
        "expeq-exponent-unbracketed",
        "branch-lost",
        "ratexpr-excluded-sign",
        "ratexpr-excluded-from-reduced",
        "ratfun-hole-as-asymptote",
        "ratfun-shift-sign",
    ]
)
NOW_AND_THEN = frozenset(
    [
        "order-fraction-bar-ungrouped",
        "sign-power-parity",
        "fraction-own-denominator-multiplied",
        "fraction-divide-wrong-flip",
        "distribute-over-product",
        "expand-conjugates-sum",
        "exponent-zero-takes-coefficient",
        "exponent-product-bases-multiplied",
        "exponent-quotient-reversed",
        "exponent-rational-swapped",
        "expeq-exponents-added-from-sum",
        "expeq-reciprocal-sign-lost",
        "radical-index-ignored",
        "radical-pairs-for-cube-root",
        "radical-like-radicands-added",
        "radical-negative-pulled-out",
        "gcf-powers-left-inside",
        "cubes-as-cube",
        "grouping-brackets-differ",
        "trinomial-lead-in-both-factors",
        "trinomial-factors-misplaced",
        "perfect-square-middle-unchecked",
        "expression-treated-as-equation",
        "cancelled-top-vanishes",
        "complex-fraction-part-multiplied",
        "lineq-identity-misread",
        "lineq-contradiction-misread",
        "lineq-constant-as-answer",
        "quad-plus-minus-merged",
        "quad-root-sign",
        "quad-root-coefficient-kept",
        "csq-outside-factor-forgotten",
        "csq-wrong-number-added",
        "formula-denominator-without-a",
        "formula-b-squared-negative",
        "rateq-cross-straight",
        "rateq-flipped-termwise",
        "radical-eq-coefficient-not-squared",
        "rounded-too-early",
        "ratfun-oblique-not-divided",
        "ratfun-end-sign",
        "ratfun-hole-height-zero",
    ]
)


def commonness(key: str) -> Commonness:
    """Return how common the error *key* is, 0 the most; 1 for one that a teacher added."""
    if key in IN_EVERY_CLASS:
        return 0
    return 2 if key in NOW_AND_THEN else 1
