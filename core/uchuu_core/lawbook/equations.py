"""Laws of rational, radical and exponential equations."""

from uchuu_core.lawbook.law import Family, Law

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
