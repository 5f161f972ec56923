"""Laws of functions: domain, asymptotes, intercepts."""

from uchuu_core.lawbook.law import Family, Law
from uchuu_core.lawbook.says import Sentence

DENOMINATOR_ZERO = Law(
    "denominator-zero",
    "zero denominator",
    notice="What may never be zero here?",
    why="Nothing can be divided by zero.",
)
WHERE_DENOMINATOR_ZERO = DENOMINATOR_ZERO.says("A denominator must not be zero: find where it is.")
DOMAIN = Law(
    "domain",
    "domain",
    notice="Which values may be put in, and which may not?",
    why="The domain is all that may be put in.",
)
NEVER_ZERO = DOMAIN.says("{denominator} is never zero: every number may be put in.")
NOTHING_BELOW = DOMAIN.says(
    "Nothing stands below a bar or under an even root: every number may be put in."
)
NOTHING_BECOMES_ZERO = DOMAIN.says("Nothing below a bar becomes zero: every number may be put in.")
HOLDS_FOR_EVERY_NUMBER = DOMAIN.says("That holds for every number: every number may be put in.")
LEFT_OUT = DOMAIN.says("These values are excluded, also where the factor divides out.")
MUST_NOT_BE_ZERO = DOMAIN.says("A denominator must not be zero.")
SOLVE_EACH_CONDITION = DOMAIN.says("Solve each condition; all must hold.")
RADICAND_NOT_NEGATIVE = Law(
    "radicand-not-negative",
    "radicand not negative",
    notice="What stands under an even root? What may it not be?",
    why="No real number has a negative square.",
)
UNDER_EVEN_ROOT = RADICAND_NOT_NEGATIVE.says("What stands under an even root is not negative.")
RADICAND_AND_DENOMINATOR = RADICAND_NOT_NEGATIVE.says(
    "What stands under an even root is not negative; a denominator is not zero."
)
HOLE = Law(
    "hole",
    "hole",
    notice="A factor divided out completely. What happens at its zero?",
    why="The reduced form has a value there, the given has none.",
    families=Family.CANCELS,
)
HOLE_AT = HOLE.says(
    "The factor divides out completely at {places}: a hole, at the height of the reduced form."
)
VERTICAL_ASYMPTOTE = Law(
    "vertical-asymptote",
    "vertical asymptote",
    notice="Where is the reduced bottom zero?",
    why="Near it the bottom is almost zero and the values grow without bound.",
)
STAYS_BELOW = VERTICAL_ASYMPTOTE.says("What stays below is zero there: an asymptote.")
HORIZONTAL_ASYMPTOTE = Law(
    "horizontal-asymptote",
    "horizontal asymptote",
    notice="Compare the degrees of top and bottom.",
    why="Far out only the highest powers count.",
)
EQUAL_DEGREES = HORIZONTAL_ASYMPTOTE.says(
    "Equal degrees: the ratio of the leading coefficients, {top} to {bottom}."
)
LOWER_ON_TOP = HORIZONTAL_ASYMPTOTE.says("The degree is lower on top: the line y = 0.")
OBLIQUE_ASYMPTOTE = Law(
    "oblique-asymptote",
    "oblique asymptote",
    notice="The degree is one higher on top. What does the division leave?",
    why="Far out the fraction that is left is almost 0.",
)
OBLIQUE = OBLIQUE_ASYMPTOTE.says(
    "The degree is one higher on top: the quotient is the oblique asymptote."
)
POLYNOMIAL_DIVISION = Law(
    "polynomial-division",
    "division of polynomials",
    notice="How often does the bottom go into the top, and what is left?",
    why="Top is bottom times quotient plus remainder.",
)
DIVIDE_SHIFTS = POLYNOMIAL_DIVISION.says("Divide: the shifts are read off.")
LONG_DIVISION_STEP = POLYNOMIAL_DIVISION.says(
    "{first} divided by {divisor} is {quotient}; take {quotient} times {bottom} away: {left} is left."
)
SYNTHETIC_DIVISION = POLYNOMIAL_DIVISION.says(
    "Synthetic division by {zero}: {steps}; the last number is the remainder."
)
BRING_DOWN = Sentence("{number} comes down")
MULTIPLY_AND_ADD = Sentence("{sum} is {value}")
SHIFTS = Law(
    "shifts",
    "shifts",
    notice="It has the form a/(x − h) + k. What are a, h and k?",
    why="The curve a/x is moved as a whole, its asymptotes and points with it.",
)
READ_SHIFTS = DOMAIN.says("It is {curve}, moved: h = {h}, k = {k}. The bottom is zero at h.")
MOVED_ASIDE = VERTICAL_ASYMPTOTE.says("The vertical asymptote is moved along: {unknown} = h.")
MOVED_UP = HORIZONTAL_ASYMPTOTE.says("The horizontal asymptote is moved along: y = k.")
TWO_POINTS_MOVED = SHIFTS.says("Two points of {curve}, {first} and {second}, are moved along.")
RANGE_OF_SHIFTED = SHIFTS.says("Every value but k is taken.")
ONE_MORE_POINT = Law(
    "one-more-point",
    "one more point",
    notice="On which side of its asymptotes does the curve run? Put a simple number in.",
    why="One point decides for a whole stretch.",
)
PUT_POINT_IN = ONE_MORE_POINT.says("One more point that fits the paper: put {place} in.")
X_INTERCEPT = Law(
    "x-intercept",
    "x-intercepts",
    notice="Where is the reduced top zero?",
    why="A fraction is zero where its top is and its bottom is not.",
)
TOP_NEVER_ZERO = X_INTERCEPT.says("The reduced top is never zero where the function has a value.")
TOP_ZERO = X_INTERCEPT.says("The reduced top is zero there.")
Y_INTERCEPT = Law(
    "y-intercept",
    "y-intercept",
    notice="Put 0 in for the letter.",
    why="On the y-axis the letter is 0.",
)
PUT_ZERO_IN = Y_INTERCEPT.says("Put {unknown} = 0 in.")
ZERO_IS_EXCLUDED = Y_INTERCEPT.says("{unknown} = 0 is excluded.")
END_BEHAVIOUR = Law(
    "end-behaviour",
    "end behaviour",
    notice="Far out only the highest powers count. What are they?",
    why="Far out the lower powers are small beside the highest.",
)
ONLY_HIGHEST_POWERS = END_BEHAVIOUR.says("Only the highest powers count {where}.")
