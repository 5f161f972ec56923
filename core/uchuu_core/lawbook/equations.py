"""Laws of rational, radical and exponential equations."""

from uchuu_core.lawbook.law import Family, Law
from uchuu_core.lawbook.says import Sentence

EQUAL_NUMERATORS = Law(
    "equal-numerators",
    "equal numerators",
    notice="Both fractions have the same denominator. When are they equal?",
    why="Equal parts: they are equal when there are equally many.",
)
NUMERATORS_ARE_EQUAL = EQUAL_NUMERATORS.says("Equal denominators: the numerators are equal.")
CROSS_MULTIPLY = Law(
    "cross-multiply",
    "cross-multiply",
    notice="One fraction equals one fraction. What does that say about their products?",
    why="Both sides are multiplied by both denominators.",
    families=Family.OPENS,
)
NUMERATOR_TIMES_OTHER_DENOMINATOR = CROSS_MULTIPLY.says(
    "Cross-multiply: each numerator times the other denominator."
)
NUMERATOR_TIMES_OTHER_EXCLUDED = CROSS_MULTIPLY.says(
    "Cross-multiply: each numerator times the other denominator; {excluded}."
)
RECIPROCAL = Law(
    "reciprocal",
    "turn round",
    notice="The unknown is below the bar. Turn the equation round.",
    why="Equal numbers have equal reciprocals.",
)
WHAT_IS_DONE = Sentence("What happens to {unknown}: {steps}. It is undone from the end.")
TURN_BOTH_OVER = RECIPROCAL.says(
    "A negative exponent means one over the power: turn both sides over."
)
OVER_WHAT = RECIPROCAL.says("{top} over what gives {value}? Turn it round.")
REJECT_CANDIDATE = Law(
    "reject-candidate",
    "check the candidates",
    notice="Put each candidate into the given. Does it hold there?",
    why="Squaring and multiplying by the unknown can bring candidates that do not solve the given.",
    is_trap=True,
)
REJECTED_NOT_REAL = REJECT_CANDIDATE.says("{value} is no real number.")
REJECTED_NO_REAL_VALUE = REJECT_CANDIDATE.says(
    "{candidate} does not check in the original equation: no real value there. It is extraneous."
)
REJECTED_UNDEFINED = REJECT_CANDIDATE.says(
    "{candidate} does not check in the original equation: it makes a denominator zero. It is extraneous."
)
REJECTED_SIDES_DIFFER = REJECT_CANDIDATE.says(
    "{candidate} does not check in the original equation: the left side is {left}, the right side {right}. It is extraneous."
)
ISOLATE_RADICAL = Law(
    "isolate-radical",
    "isolate a radical",
    notice="Before squaring, one radical should stand alone.",
    why="Squaring a sum with a root leaves the root in the middle term.",
    families=Family.MOVES,
    is_decision=True,
)
ISOLATE_ROOT = ISOLATE_RADICAL.says("Get {root} alone on one side.")
RAISE_BOTH_SIDES = Law(
    "raise-both-sides",
    "raise both sides",
    notice="A root stands alone. What undoes it, done to both sides as wholes?",
    why="Equal numbers have equal powers; unequal ones may have too, so check.",
    families=Family.OPENS,
    is_trap=True,
)
SQUARE_BOTH = RAISE_BOTH_SIDES.says("Square both sides.")
SQUARE_BOTH_WHOLES = RAISE_BOTH_SIDES.says("Square both sides as wholes.")
SQUARE_BOTH_SUM = RAISE_BOTH_SIDES.says(
    "Square both sides as wholes. A sum squared has its middle term."
)
CUBE_BOTH = RAISE_BOTH_SIDES.says("Cube both sides.")
RAISE_BOTH = RAISE_BOTH_SIDES.says("Raise both sides to the power {power}.")
RAISE_BOTH_PLUS_MINUS = RAISE_BOTH_SIDES.says(
    "Raise both sides to the power {power}. ±, since the exponent has an even numerator."
)
ROOT_NEVER_NEGATIVE = Law(
    "root-never-negative",
    "roots are not negative",
    notice="Can an even root be this?",
    why="An even root stands for the number that is not negative.",
)
SQUARE_ROOT_NEVER_NEGATIVE = ROOT_NEVER_NEGATIVE.says(
    "A square root is never negative: there is no solution."
)
EVEN_ROOT_NEVER_NEGATIVE = ROOT_NEVER_NEGATIVE.says(
    "An even root is never negative: there is no solution."
)
EQUATE_EXPONENTS = Law(
    "equate-exponents",
    "equal exponents",
    notice="Two powers of the same base are equal. What must be equal too?",
    why="A power with a base other than 1 takes each value once.",
)
EXPONENTS_ARE_EQUAL = EQUATE_EXPONENTS.says("Equal powers of one base have equal exponents.")
ISOLATE_THE_POWER = Law(
    "isolate-the-power",
    "isolate the power",
    notice="The power should stand alone before its exponent is looked at.",
    why="Only a power alone can be compared with a power.",
    families=Family.MOVES,
)
ISOLATE_POWER = ISOLATE_THE_POWER.says("Get {power} alone on one side.")
POWER_POSITIVE = Law(
    "power-positive",
    "powers are positive",
    notice="Can a power of a positive number be this?",
    why="Positive numbers multiplied stay positive.",
)
POWER_NEVER_ZERO = POWER_POSITIVE.says(
    "A power of a positive number is never zero: there is no solution."
)
POWER_ALWAYS_POSITIVE = POWER_POSITIVE.says(
    "A power of a positive number is positive: there is no solution."
)
ONE_FROM_EACH = Law(
    "one-from-each",
    "one from each fraction",
    notice="Compare each top with its bottom: by how much do they differ?",
    why="The same is taken from both sides, and from a fraction it is taken over its own denominator.",
    families=Family.SCALES,
    is_decision=True,
)
SUBTRACT_FROM_EACH = ONE_FROM_EACH.says(
    "Subtract {number} from each fraction: every top is {top} then."
)
ADD_TO_EACH = ONE_FROM_EACH.says("Add {number} to each fraction: every top is {top} then.")
COMMON_TOP = Law(
    "common-top",
    "common numerator",
    notice="All numerators are the same. What can be taken out?",
    why="A product is zero only where a factor is zero.",
    families=Family.FACTORS,
    is_decision=True,
)
TAKE_TOP_OUT = COMMON_TOP.says("Every top is {top}: take it out.")
BRACKET_NEVER_ZERO = COMMON_TOP.says("The bracket is never 0, so {top} is.")
BRACKET_NOT_ZERO = COMMON_TOP.says("Where the bracket is not 0, {top} is.")
TOP_OR_BRACKET = COMMON_TOP.says("One of the two factors is 0.")
BOTTOMS_ARE_EQUAL = COMMON_TOP.says("Equal fractions with equal tops have equal bottoms.")
ONE_ON_EACH_SIDE = COMMON_TOP.says("Get one fraction on each side.")
PAIR_FRACTIONS = COMMON_TOP.says("Pair the fractions, and write one fraction on each side.")
