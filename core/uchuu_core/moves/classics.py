"""Which errors each law is known for, the best known first: what a teacher warns of at its line."""

from uchuu_core.lawbook.law import Law
from uchuu_core.lawbook.register import LAWS
from uchuu_core.moves.catalogue import error_named
from uchuu_core.moves.move import Move


def _known_for(law: str, *errors: str) -> tuple[Law, tuple[Move, ...]]:
    return LAWS[law], tuple(error_named(error) for error in errors)


_ROOTS_OUT = (
    "radical-factor-not-rooted",
    "radical-split-over-sum",
    "radical-sum-merged",
    "radical-coefficient-added",
    "radical-halved",
    "radical-pairs-for-cube-root",
    "radical-index-ignored",
    "radical-exponent-rooted",
)
_BRACKET = (
    "distribute-first-term-only",
    "distribute-minus-first-term-only",
    "distribute-second-added",
)
_SQUARE_OUT = (
    "expand-square-termwise",
    "expand-middle-not-doubled",
    "expand-square-last-sign",
)
_PRODUCT_OUT = (
    "expand-first-and-last-only",
    "expand-last-sign",
    "expand-conjugates-sum",
    "expand-products-missed",
)
_COMMON_FACTOR = (
    "gcf-one-vanishes",
    "gcf-one-term-only",
    "gcf-negative-sign-inside",
    "gcf-lost",
    "gcf-powers-left-inside",
)
_TWO_SQUARES = (
    "diff-squares-as-square",
    "diff-squares-coefficient-not-rooted",
    "diff-squares-constant-not-rooted",
    "sum-squares-factored",
)
_TRINOMIAL = (
    "trinomial-signs-flipped",
    "trinomial-pair-wrong-sum",
    "trinomial-one-sign-wrong",
    "trinomial-pair-wrong-product",
)
_LEAD = (
    "trinomial-lead-not-divided-back",
    "trinomial-factors-misplaced",
    "trinomial-lead-in-both-factors",
    "trinomial-pair-wrong-sum",
)
_CANCELLING = (
    "cancel-equal-terms",
    "cancel-factor-of-one-term",
    "ratexpr-divided-termwise",
    "cancelled-top-vanishes",
)
_CLEARING = (
    "rateq-lcd-missed-term",
    "lineq-clearing-missed-term",
    "eq-minus-before-fraction",
    "rateq-cross-multiplied-sum",
    "clearing-bracket-forgotten",
    "rateq-own-denominator",
)
_ACROSS = ("lineq-same-sign-when-moved", "lineq-one-side-only")
_FORMULA = (
    "formula-minus-b-sign",
    "formula-denominator-not-shared",
    "formula-discriminant-sign",
    "formula-b-squared-negative",
    "formula-plus-only",
    "formula-not-set-to-zero",
)
_COMPLETING = (
    "csq-one-side-only",
    "csq-leading-coefficient-kept",
    "csq-wrong-number-added",
    "csq-outside-factor-forgotten",
)
_ROOTING = (
    "quad-missing-plus-minus",
    "quad-root-taken-termwise",
    "quad-root-one-side-only",
    "quad-negative-under-root-ignored",
    "quad-root-coefficient-kept",
    "odd-root-plus-minus",
)
_ADDING = (
    "fraction-add-tops-and-bottoms",
    "fraction-only-bottoms-added",
    "fraction-top-not-scaled",
    "lcd-one-denominator-swallowed",
    "expression-treated-as-equation",
)
_EXCLUDED = (
    "ratexpr-excluded-from-reduced",
    "ratexpr-excluded-factor-missed",
    "ratexpr-excluded-sign",
    "ratfun-excluded-from-top",
)

_TABLE = (
    _known_for(
        "work-out-power",
        "exponent-as-multiplier",
        "order-multiply-before-power",
        "sign-square-swallows-minus",
        "sign-power-parity",
    ),
    _known_for(
        "multiply-numbers",
        "order-add-before-multiply",
        "exponent-coefficients-added",
        "sign-product-rule",
    ),
    _known_for("divide-numbers", "order-multiply-before-divide", "order-add-before-multiply"),
    _known_for(
        "add-numbers",
        "order-add-before-subtract",
        "sign-unlike-magnitudes-added",
        "sign-two-negatives-sum-positive",
        "fraction-add-tops-and-bottoms",
        "like-denominators-multiplied",
        "fraction-own-denominator-multiplied",
    ),
    _known_for("subtract-numbers", "order-add-before-subtract", "sign-smaller-from-larger"),
    _known_for("minus-negative-is-plus", "sign-minus-negative"),
    _known_for("plus-negative-is-minus", "sign-unlike-magnitudes-added"),
    _known_for("common-denominator", *_ADDING, "fraction-own-denominator-multiplied"),
    _known_for(
        "add-fractions",
        "fraction-add-tops-and-bottoms",
        "like-denominators-multiplied",
        "fraction-own-denominator-multiplied",
    ),
    _known_for(
        "multiply-fractions", "fraction-product-crossed", "fraction-product-denominator-kept"
    ),
    _known_for(
        "multiply-by-reciprocal",
        "fraction-divide-no-flip",
        "complex-fraction-flip-termwise",
        "fraction-divide-both-flipped",
        "fraction-divide-wrong-flip",
    ),
    _known_for("reduce-fractions", *_CANCELLING),
    _known_for(
        "same-base",
        "exponent-product-multiplied",
        "exponent-quotient-divided",
        "exponent-left-on-the-wrong-side",
        "exponent-coefficients-added",
        "exponent-unwritten-one-ignored",
        "exponent-product-bases-multiplied",
    ),
    _known_for("power-of-power", "exponent-power-of-power-added", "exponent-power-raised"),
    _known_for("power-of-product", "exponent-power-skips-factor", "exponent-power-of-power-added"),
    _known_for(
        "zero-exponent",
        "exponent-zero-gives-zero",
        "exponent-zero-takes-coefficient",
        "exponent-zero-gives-base",
    ),
    _known_for(
        "negative-exponent",
        "exponent-negative-gives-negative",
        "exponent-negative-moves-coefficient",
        "exponent-negative-as-root",
    ),
    _known_for("rational-exponent", "exponent-rational-as-division", "exponent-rational-swapped"),
    _known_for("power-as-root", "exponent-rational-as-division", "exponent-rational-swapped"),
    _known_for("split-radicand", *_ROOTS_OUT),
    _known_for("split-root", *_ROOTS_OUT),
    _known_for("take-root-out", *_ROOTS_OUT),
    _known_for("simplify-root", *_ROOTS_OUT),
    _known_for("root-of-square", "radical-square-root-of-square", "radical-split-over-sum"),
    _known_for("multiply-roots", "radical-product-added", "radical-squared-twice"),
    _known_for(
        "collect-like-radicals",
        "radical-sum-merged",
        "radical-like-radicands-added",
        "radical-lost-when-joined",
        "radical-number-joined-to-root",
    ),
    _known_for("rationalise", "radical-rationalise-bottom-only", "radical-conjugate-sign"),
    _known_for("expand-brackets", *_PRODUCT_OUT, *_SQUARE_OUT, *_BRACKET),
    _known_for("multiply-into-bracket", *_BRACKET),
    _known_for("take-minus-into-bracket", "distribute-minus-first-term-only"),
    _known_for("multiply-brackets", *_PRODUCT_OUT, *_SQUARE_OUT),
    _known_for("power-as-product", *_SQUARE_OUT),
    _known_for("square-binomial", *_SQUARE_OUT),
    _known_for(
        "collect-like-terms",
        "sign-unlike-magnitudes-added",
        "like-unlike-terms-joined",
        "sign-two-negatives-sum-positive",
        "like-exponents-added",
        "like-invisible-one",
    ),
    _known_for("divide-each-term", "cancel-factor-of-one-term", "lineq-part-of-side-divided"),
    _known_for("common-factor", *_COMMON_FACTOR),
    _known_for("factor-out", *_COMMON_FACTOR),
    _known_for("factor", *_COMMON_FACTOR, *_TRINOMIAL, *_TWO_SQUARES),
    _known_for("difference-of-squares", *_TWO_SQUARES),
    _known_for("write-as-squares", *_TWO_SQUARES),
    _known_for("sum-of-cubes", "cubes-as-cube", "cubes-trinomial-wrong", "cubes-middle-missing"),
    _known_for("write-as-cubes", "cubes-as-cube", "cubes-trinomial-wrong", "cubes-middle-missing"),
    _known_for("perfect-square", "csq-sign-lost", "perfect-square-middle-unchecked", *_TRINOMIAL),
    _known_for("sum-product", *_TRINOMIAL),
    _known_for("split-middle", *_LEAD),
    _known_for("split-middle-and-group", *_LEAD),
    _known_for("group", "gcf-negative-sign-inside", "grouping-brackets-differ"),
    _known_for("grouping", "grouping-brackets-differ", *_COMMON_FACTOR),
    _known_for("divide-and-reduce", *_LEAD),
    _known_for("factor-by-trying", *_LEAD),
    _known_for("prime", "sum-squares-factored", "perfect-square-middle-unchecked"),
    _known_for("divide-out", *_CANCELLING),
    _known_for("factor-top-and-bottom", *_CANCELLING),
    _known_for("factor-everything", *_CANCELLING),
    _known_for("opposite-factors", "cancel-opposites-to-one"),
    _known_for(
        "one-numerator",
        "ratexpr-subtract-first-term-only",
        "fraction-add-tops-and-bottoms",
        "like-denominators-multiplied",
    ),
    _known_for("multiply-by-lcd", *_CLEARING, "complex-fraction-part-multiplied"),
    _known_for("clear-denominators", *_CLEARING),
    _known_for("add-on-both-sides", *_ACROSS),
    _known_for("subtract-on-both-sides", *_ACROSS),
    _known_for("multiply-both-sides", "lineq-one-side-only", "lineq-subtracts-coefficient"),
    _known_for(
        "divide-both-sides",
        "lineq-subtracts-coefficient",
        "lineq-negative-coefficient-lost",
        "lineq-part-of-side-divided",
        "lineq-divided-upside-down",
    ),
    _known_for("solve-linear", "branch-lost", "lineq-subtracts-coefficient", *_ACROSS),
    _known_for(
        "zero-on-one-side",
        "quad-zero-product-nonzero",
        "quad-divided-by-variable",
        "lineq-same-sign-when-moved",
    ),
    _known_for(
        "zero-product",
        "quad-root-sign",
        "quad-factor-coefficient-ignored",
        "quad-constant-factor-as-solution",
        "quad-divided-by-variable",
    ),
    _known_for("both-solutions", "branch-lost", "quad-plus-minus-merged"),
    _known_for("isolate-the-square", "quad-root-taken-termwise", *_ACROSS),
    _known_for("root-both-sides", *_ROOTING),
    _known_for("absolute-value", "absolute-value-one-case"),
    _known_for(
        "square-never-negative",
        "quad-negative-under-root-ignored",
        "quad-negative-rooted-negative",
    ),
    _known_for("constant-across", *_ACROSS, *_COMPLETING),
    _known_for("complete-the-square", *_COMPLETING),
    _known_for("discriminant", *_FORMULA),
    _known_for("quadratic-formula", *_FORMULA),
    _known_for("cross-multiply", "rateq-cross-straight", "rateq-own-denominator", *_CLEARING),
    _known_for("equal-numerators", "rateq-numerators-equated"),
    _known_for("reciprocal", "rateq-flipped-termwise"),
    _known_for("reject-candidate", "rateq-extraneous-kept", "radical-eq-extraneous-kept"),
    _known_for("isolate-radical", "radical-eq-not-isolated", "radical-eq-squared-termwise"),
    _known_for(
        "raise-both-sides",
        "radical-eq-squared-termwise",
        "radical-eq-one-side-squared",
        "radical-eq-coefficient-not-squared",
        "radical-eq-not-isolated",
        "radical-eq-rooted-instead",
    ),
    _known_for(
        "numbers-as-powers",
        "expeq-divides-by-base",
        "expeq-unlike-bases-equated",
        "expeq-reciprocal-sign-lost",
        "expeq-exponent-unbracketed",
    ),
    _known_for("equate-exponents", "expeq-unlike-bases-equated", "expeq-exponents-added-from-sum"),
    _known_for("power-positive", "expeq-negative-as-negative-exponent"),
    _known_for("denominator-zero", *_EXCLUDED),
    _known_for("domain", *_EXCLUDED),
    _known_for("hole", "ratfun-hole-as-asymptote", "ratfun-hole-height-zero"),
    _known_for(
        "vertical-asymptote",
        "ratfun-shift-sign",
        "ratfun-hole-as-asymptote",
        "ratfun-asymptote-letters-swapped",
    ),
    _known_for(
        "horizontal-asymptote",
        "ratfun-horizontal-degree-mixup",
        "ratfun-horizontal-coefficients",
        "ratfun-shift-vertical-sign",
    ),
    _known_for("oblique-asymptote", "ratfun-oblique-not-divided"),
    _known_for("x-intercept", "ratfun-intercept-at-hole", "ratfun-intercepts-swapped"),
    _known_for("y-intercept", "ratfun-y-intercept-top-only", "ratfun-coordinates-swapped"),
    _known_for("end-behaviour", "ratfun-end-sign"),
)
CLASSICS: dict[Law, tuple[Move, ...]] = dict(_TABLE)


def place_among_classics(error: str, laws: frozenset[Law]) -> int | None:
    """Return how well known *laws* are for *error*: 0 is what one warns of first; None: not at all."""
    places = [
        number
        for law in laws
        for number, move in enumerate(CLASSICS.get(law, ()))
        if move.key == error
    ]
    return min(places, default=None)
