"""Laws of exponents."""

from uchuu_core.lawbook.law import Family, Law

SAME_BASE = Law(
    "same-base",
    "same base",
    notice="Powers of the same base meet. What happens to their exponents?",
    why="Both powers count factors of the same base.",
    families=Family.POWERS,
)
ADD_OR_SUBTRACT_EXPONENTS = SAME_BASE.says(
    "Same base: add the exponents, subtract those below the bar."
)
POWERS_OF_A_LETTER = SAME_BASE.says("Same letter: add the exponents.")
EXPONENTS_WORKED_OUT = SAME_BASE.says("Work out the exponents.")
ADD_EXPONENTS = SAME_BASE.says("Same base: add the exponents.")
SUBTRACT_EXPONENTS = SAME_BASE.says("Same base: subtract the exponent below the bar.")
POWER_OF_POWER = Law(
    "power-of-power",
    "power of a power",
    notice="A power is raised to a power. What happens to the exponents?",
    why="Groups of equal factors: the numbers of factors are multiplied.",
    families=Family.POWERS,
)
EXPONENTS_MULTIPLIED = POWER_OF_POWER.says("A power of a power: multiply the exponents.")
EXPONENTS_AS_WHOLES = POWER_OF_POWER.says("A power of a power: multiply the exponents, as wholes.")
POWER_OF_PRODUCT = Law(
    "power-of-product",
    "power of a product",
    notice="A bracket is raised to a power. Which factors does it meet?",
    why="Every factor of the bracket is repeated.",
    families=Family.OPENS,
    is_trap=True,
)
POWERS_OF_POWERS = POWER_OF_PRODUCT.says("A power of a power: multiply the exponents in {parts}.")
POWER_TO_EVERY_FACTOR_OF = POWER_OF_PRODUCT.says("The power goes to every factor of {parts}.")
POWER_TO_EVERY_FACTOR = POWER_OF_PRODUCT.says("The power goes to every factor.")
EQUAL_EXPONENTS = POWER_OF_PRODUCT.says("Equal exponents: multiply the bases.")
ZERO_EXPONENT = Law(
    "zero-exponent",
    "exponent zero",
    notice="The exponent is 0. What is any power with it?",
    why="Dividing a power by itself leaves 1.",
)
EXPONENT_ZERO = ZERO_EXPONENT.says("Any number but 0 to the power 0 is 1.")
NEGATIVE_EXPONENT = Law(
    "negative-exponent",
    "negative exponent",
    notice="An exponent is negative. What does that mean for the place of its base?",
    why="Going down one exponent divides by the base once more.",
    is_trap=True,
)
CROSSES_THE_BAR = NEGATIVE_EXPONENT.says("A factor with a negative exponent crosses the bar.")
ONE_OVER_THE_POWER = NEGATIVE_EXPONENT.says("A negative exponent means one over the power.")
RATIONAL_EXPONENT = Law(
    "rational-exponent",
    "fractional exponent",
    notice="The exponent is a fraction. Which root and which power is that?",
    why="The denominator of the exponent is the index of the root.",
)
EXPONENT_AS_ROOT = RATIONAL_EXPONENT.says(
    "The denominator of the exponent is the index of the root."
)
POWER_AS_ROOT = Law(
    "power-as-root",
    "fractional exponent",
    notice="The exponent is a fraction. Which root is that?",
    why="Raising the root to its index gives the base back.",
)
DENOMINATOR_IS_INDEX = POWER_AS_ROOT.says(
    "The denominator of the exponent is the index of the root."
)
NUMBERS_AS_POWERS = Law(
    "numbers-as-powers",
    "powers of one base",
    notice="The numbers are related: which number are all of them powers of?",
    why="Equal bases let exponents be compared and added.",
    is_decision=True,
)
NUMBERS_AS_POWERS_OF = NUMBERS_AS_POWERS.says("All numbers are powers of {base}: write them so.")
NUMBERS_AS_PRIMES = NUMBERS_AS_POWERS.says("Write the numbers as products of primes.")
SIDES_AS_POWERS_OF = NUMBERS_AS_POWERS.says("Write both sides as powers of {base}.")
SPLIT_EXPONENT = Law(
    "split-exponent",
    "sum in an exponent",
    notice="A sum stands in an exponent. Which product is that?",
    why="Adding exponents is multiplying powers.",
)
SUM_IN_EXPONENT = SPLIT_EXPONENT.says("A sum in an exponent is a product: {parts}.")
SPLIT_NUMBER_OFF = SPLIT_EXPONENT.says(
    "Adding in the exponent is multiplying: write the number's share as a factor."
)
