"""How each law is drawn on the lines. A law without marks says why a hand draws none."""

from uchuu_core.drawing.makers.parts import (
    comes_out,
    first_of,
    in_every_term,
    plus_minus,
    ringed,
    square_inside,
    trinomial,
    what_goes,
    whatever_goes,
)
from uchuu_core.drawing.makers.products import (
    crossed,
    crosses_the_bar,
    struck,
    struck_alike,
    struck_in_terms,
    times_by,
    times_lacking,
    times_to_lcd,
    turned_divisor,
)
from uchuu_core.drawing.makers.sides import (
    added,
    both_sides,
    boxes,
    cases,
    exponents,
    left_out,
    named_coefficients,
    rooted,
    scaled,
    sides_turned,
    to_each_fraction,
    tops,
)
from uchuu_core.drawing.makers.terms import (
    alike,
    into_brackets,
    joined,
    like_terms,
    minus_into_brackets,
    power_to_factors,
    sums_that_go,
    two_by_two,
)
from uchuu_core.drawing.mark import Maker
from uchuu_core.lawbook.equations import ADD_TO_EACH, SUBTRACT_FROM_EACH
from uchuu_core.lawbook.fractions import TOP_AND_BOTTOM_BY_LCD
from uchuu_core.lawbook.quadratics import ROOM_BY_ADDING, ROOM_BY_SUBTRACTING
from uchuu_core.lawbook.says import Sentence
from uchuu_core.tree.nodes import (
    Absolute,
    Mixed,
    Number,
    Power,
    Product,
    Quotient,
    Root,
    Signed,
    Sum,
)

_FACTORED = first_of(what_goes(Sum), whatever_goes)
_POWERS = alike(Power, lambda power: power.base)

MARKED: dict[str, Maker] = {
    # numbers and fractions
    "work-out-power": first_of(
        ringed("power", "root"), what_goes(Power, Root, Number, Quotient, Product)
    ),
    "multiply-numbers": first_of(ringed("product"), what_goes(Product)),
    "divide-numbers": first_of(
        struck("number"), ringed("quotient", "fraction"), what_goes(Quotient)
    ),
    "add-numbers": first_of(ringed("sum"), sums_that_go),
    "subtract-numbers": first_of(ringed("sum"), sums_that_go),
    "add-fractions": first_of(ringed("sum"), sums_that_go),
    "minus-negative-is-plus": what_goes(Signed),
    "plus-negative-is-minus": what_goes(Signed),
    "common-denominator": first_of(times_lacking, times_to_lcd),
    "multiply-by-reciprocal": turned_divisor,
    "decimal-as-fraction": what_goes(Number),
    "improper-fraction": first_of(ringed("fraction"), what_goes(Mixed, Quotient)),
    "reduce-fractions": what_goes(Quotient),
    "multiply-by-one": times_by("factor"),
    # exponents
    "same-base": first_of(_POWERS, what_goes(Sum)),
    "power-of-power": power_to_factors,
    "power-of-product": power_to_factors,
    "zero-exponent": what_goes(Power),
    "negative-exponent": first_of(crosses_the_bar, what_goes(Power)),
    "rational-exponent": what_goes(Power),
    "power-as-root": what_goes(Power),
    "numbers-as-powers": what_goes(Number, Quotient),
    "split-exponent": what_goes(Power, Sum),
    # radicals
    "split-radicand": first_of(square_inside, ringed("number")),
    "split-root": what_goes(Root),
    "take-root-out": comes_out,
    "root-of-square": comes_out,
    "multiply-roots": first_of(
        into_brackets(), alike(Root, lambda root: Number(str(root.index))), what_goes()
    ),
    "divide-roots": what_goes(Root, Quotient),
    "root-of-quotient": what_goes(Root),
    "root-of-fraction": times_by("factor"),
    "collect-like-radicals": first_of(joined("terms"), like_terms),
    "rationalise": times_by("factor", "conjugate"),
    "simplify-root": first_of(ringed("root"), what_goes()),
    "nested-root": ringed("radicand"),
    "imaginary-unit": what_goes(Power, Product),
    "root-of-negative": what_goes(Root),
    # expanding and collecting
    "multiply-into-bracket": into_brackets("parts"),
    "multiply-brackets": into_brackets("parts"),
    "take-minus-into-bracket": minus_into_brackets,
    "power-as-product": what_goes(Power),
    "square-binomial": what_goes(Power),
    "power-of-binomial": what_goes(Power),
    "collect-like-terms": first_of(joined("joined"), like_terms, what_goes(Sum)),
    # factoring
    "common-factor": first_of(in_every_term, _FACTORED),
    "difference-of-squares": _FACTORED,
    "write-as-squares": _FACTORED,
    "sum-of-cubes": _FACTORED,
    "write-as-cubes": _FACTORED,
    "perfect-square": first_of(ringed("part"), _FACTORED),
    "sum-product": first_of(trinomial("product", "sum"), _FACTORED),
    "split-middle": trinomial("", "sum", with_first=True),
    "split-middle-and-group": in_every_term,
    "grouping": in_every_term,
    "group": two_by_two,
    "divide-by-leading": trinomial("", "sum", with_first=True),
    "divide-and-reduce": what_goes(Quotient),
    "by-inspection": trinomial("", "", with_first=True),
    "factor": _FACTORED,
    "factor-by-trying": _FACTORED,
    "prime": trinomial("product", "sum"),
    # rational expressions
    "divide-out": first_of(
        struck("factors"), struck_in_terms("factor"), struck("factor"), struck_alike
    ),
    "factor-top-and-bottom": _FACTORED,
    "factor-everything": _FACTORED,
    "factor-denominator": _FACTORED,
    "factor-denominators": _FACTORED,
    "opposite-factors": _FACTORED,
    "multiply-by-lcd": first_of(scaled("lcd", "·", by_term=True), what_goes(Quotient)),
    "one-from-each": what_goes(Quotient),
    "common-top": first_of(ringed("top", every=True), tops),
    # equations
    "add-on-both-sides": first_of(added("term", "+"), like_terms),
    "subtract-on-both-sides": first_of(added("term", "-"), like_terms),
    "multiply-both-sides": first_of(scaled("factor", "·"), both_sides("beneath", "·(−1)")),
    "divide-both-sides": scaled("divisor", "÷"),
    "clear-denominators": scaled("lcd", "·", by_term=True),
    "turn-equation-round": sides_turned,
    "zero-on-one-side": added("terms", "-"),
    "constant-across": whatever_goes,
    "zero-product": cases,
    "both-solutions": plus_minus,
    "isolate-the-square": ringed("square"),
    "isolate-radical": ringed("root"),
    "isolate-the-power": ringed("power"),
    "collect-the-letter": ringed("letter", every=True),
    "factor-out": in_every_term,
    "root-both-sides": rooted,
    "raise-both-sides": both_sides("bracket", ""),
    "complete-the-square": boxes,
    "discriminant": named_coefficients,
    "quadratic-formula": named_coefficients,
    "substitute": ringed("part", every=True),
    "put-back": ringed("letter", every=True),
    "absolute-value": first_of(ringed("part"), what_goes(Absolute)),
    "equal-numerators": tops,
    "cross-multiply": crossed,
    "reciprocal": turned_divisor,
    "reject-candidate": left_out,
    "equate-exponents": exponents,
}

BY_SENTENCE: dict[Sentence, Maker] = {
    TOP_AND_BOTTOM_BY_LCD: times_by("lcd"),
    ROOM_BY_ADDING: added("number", "+"),
    ROOM_BY_SUBTRACTING: added("number", "-"),
    SUBTRACT_FROM_EACH: first_of(to_each_fraction("number", "-"), what_goes(Sum)),
    ADD_TO_EACH: first_of(to_each_fraction("number", "+"), what_goes(Sum)),
}
"""Where two sentences of one law are drawn differently."""

_WHOLE_LINE = "the whole line is dealt with: there is no part to mark"
_LOOKED_AT = "something is read off; the drawing beside it (graph, number line) shows it"
UNMARKED: dict[str, str] = {
    "multiply-fractions": "tops and bottoms are read across, nothing is marked",
    "one-numerator": "the bar is drawn longer, nothing is marked",
    "divide-each-term": "the bar is drawn again under every term, nothing is marked",
    "expand-brackets": "the bracket is left out, nothing is marked",
    "reorder": "nothing is done",
    "solve-linear": "each case is read off",
    "read-an-identity": _WHOLE_LINE,
    "read-a-contradiction": _WHOLE_LINE,
    "square-never-negative": _WHOLE_LINE,
    "root-never-negative": _WHOLE_LINE,
    "power-positive": _WHOLE_LINE,
    "denominator-zero": _LOOKED_AT,
    "domain": _LOOKED_AT,
    "radicand-not-negative": _LOOKED_AT,
    "hole": _LOOKED_AT,
    "vertical-asymptote": _LOOKED_AT,
    "horizontal-asymptote": _LOOKED_AT,
    "oblique-asymptote": _LOOKED_AT,
    "polynomial-division": "the division itself stands beside the line",
    "shifts": _LOOKED_AT,
    "one-more-point": _LOOKED_AT,
    "x-intercept": _LOOKED_AT,
    "y-intercept": _LOOKED_AT,
    "end-behaviour": _LOOKED_AT,
}
