"""What is worth noticing before the first move."""

from uchuu_core.lawbook.says import Sentence

OPPOSITE_DENOMINATORS = Sentence("{one} and {other} have opposite factors: take −1 out of one.")
IS_PERFECT_SQUARE = Sentence("{part} is a perfect square.")
SHARES_A_FACTOR = Sentence("All terms of {part} share a factor.")
DIFFERENCE_OF_TWO_SQUARES = Sentence("{part} is a difference of squares.")
LEADING_NOT_ONE = Sentence("The leading coefficient of {part} is {coefficient}, not 1.")
POWERS_OF_ONE_BASE = Sentence("All its numbers are powers of {base}.")
ONE_RADICAL = Sentence("One radical holds {unknown}: squaring may bring extra candidates.")
RADICALS = Sentence("{count} radicals hold {unknown}: squaring may bring extra candidates.")
ROOT_BELOW = Sentence("A root stands below a bar.")
NO_MIDDLE_TERM = Sentence("There is no term with {unknown} alone: square roots.")
DISCRIMINANT_IS_SQUARE = Sentence("The discriminant, {value}, is a perfect square: it factors.")
DISCRIMINANT_BELOW_ZERO = Sentence("The discriminant, {value}, is negative.")
EVEN_MIDDLE = Sentence(
    "Leading coefficient 1 and an even middle one: completing the square stays whole."
)
EQUAL_AFTER_SUBTRACTING = Sentence(
    "Subtract {number} from each fraction: then all numerators are equal."
)
EQUAL_AFTER_ADDING = Sentence("Add {number} to each fraction: then all numerators are equal.")
EQUAL_NUMERATORS = Sentence("All fractions have the numerator {top}.")
HOLD_ONE_ROOT = Sentence("{roots} look unlike, but each holds {root}.")
POWERS_OF_TWO_PRIMES = Sentence("All its numbers are made of the primes {first} and {second}.")
SQUARES_BEHIND = Sentence("Behind the common factor {factor} stands a difference of squares.")
NEAR_SQUARE = Sentence(
    "{first} and {last} are squares, but the middle is {middle}, not {twice}: no perfect square."
)
LAST_NEGATIVE = Sentence(
    "{first} and {last} are squares, but the last term is negative: no perfect square."
)
EQUAL_RANK = Sentence("× and ÷ stand side by side and have equal rank: work from the left.")
REPEATED_BRACKET = Sentence("The same bracket stands more than once.")
MINUS_BEFORE_BRACKET = Sentence("A minus stands before a bracket: it will change every sign in it.")
DECIMALS = Sentence("There are decimals; a power of ten clears them.")
ON_BOTH_SIDES = Sentence("{unknown} stands on both sides.")
LCD_IS = Sentence("The LCD is {lcd}.")
