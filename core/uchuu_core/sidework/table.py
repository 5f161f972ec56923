"""Which side work stands at a step of which law."""

from uchuu_core.sidework.equations import balance, done_and_undone, number_line, what_each_lacks
from uchuu_core.sidework.numbers import calculated, in_primes, law_in_letters, squares_to_remember
from uchuu_core.sidework.piece import Maker
from uchuu_core.sidework.polynomials import box_to_factor, box_to_multiply, divided, pairs_tried

_LINEAR = (balance,)
_POWERS = (law_in_letters,)
BESIDE: dict[str, tuple[Maker, ...]] = {
    "work-out-power": (calculated("power", "root"),),
    "add-numbers": (calculated("sum"),),
    "subtract-numbers": (calculated("sum"),),
    "divide-numbers": (calculated("quotient"),),
    "multiply-numbers": (calculated("product"),),
    "add-fractions": (what_each_lacks,),
    "common-denominator": (what_each_lacks,),
    "multiply-by-lcd": (what_each_lacks,),
    "clear-denominators": (what_each_lacks,),
    "numbers-as-powers": (in_primes,),
    "reduce-fractions": (in_primes,),
    "same-base": _POWERS,
    "power-of-power": _POWERS,
    "power-of-product": _POWERS,
    "negative-exponent": _POWERS,
    "multiply-roots": (law_in_letters,),
    "split-root": (law_in_letters,),
    "root-of-quotient": (law_in_letters,),
    "split-radicand": (squares_to_remember, in_primes),
    "simplify-root": (calculated("root"), squares_to_remember),
    "multiply-into-bracket": (box_to_multiply,),
    "multiply-brackets": (box_to_multiply,),
    "power-as-product": (box_to_multiply, law_in_letters),
    "square-binomial": (box_to_multiply, law_in_letters),
    "raise-both-sides": (box_to_multiply,),
    "sum-product": (pairs_tried, box_to_factor),
    "split-middle": (pairs_tried, box_to_factor),
    "divide-by-leading": (pairs_tried,),
    "by-inspection": (pairs_tried, box_to_factor),
    "split-middle-and-group": (box_to_factor,),
    "grouping": (box_to_factor,),
    "prime": (pairs_tried,),
    "difference-of-squares": (law_in_letters,),
    "sum-of-cubes": (law_in_letters,),
    "perfect-square": (law_in_letters,),
    "polynomial-division": (divided,),
    "domain": (number_line,),
    "radicand-not-negative": (number_line,),
    "denominator-zero": (number_line,),
    "add-on-both-sides": _LINEAR,
    "subtract-on-both-sides": _LINEAR,
    "multiply-both-sides": _LINEAR,
    "divide-both-sides": _LINEAR,
}
"""By law. What is done to the unknown is said by a sentence of no law: see ``beside``."""
WITHOUT_LAW: tuple[Maker, ...] = (done_and_undone,)
OF_A_WRONG_LINE: tuple[Maker, ...] = (balance,)
"""Where no error explains a wrong line: whether both pans still balance."""
