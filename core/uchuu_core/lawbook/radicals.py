"""Laws of roots."""

from uchuu_core.lawbook.law import Family, Law

SPLIT_RADICAND = Law(
    "split-radicand",
    "split the radicand",
    notice="Which perfect power is a factor of the radicand?",
    why="A root of a product is the product of the roots.",
)
LARGEST_POWER_FACTOR = SPLIT_RADICAND.says(
    "{number} = {power} · {rest}, and {power} is the largest {kind} in it."
)
IS_A_POWER = SPLIT_RADICAND.says("{number} is the {kind} of {root}.")
POWERS_FIRST = SPLIT_RADICAND.says("{number} = {written}, the {kind}s first.")
IN_PRIMES = SPLIT_RADICAND.says("{number} in primes: factors come out in groups of {index}.")
SPLIT_ROOT = Law(
    "split-root",
    "root of a product",
    notice="What stands under the root is a product. Which roots is it a product of?",
    why="Squared, both give the same product.",
)
ROOT_OF_PRODUCT = SPLIT_ROOT.says("The root of a product is the product of the roots.")
TAKE_ROOT_OUT = Law(
    "take-root-out",
    "take the root out",
    notice="Part of the radicand is a perfect power. What comes out?",
    why="The root undoes the power.",
)
TAKE_OUT = TAKE_ROOT_OUT.says("Take the {kind}s out of the root.")
TAKE_OUT_ABSOLUTE = TAKE_ROOT_OUT.says(
    "Take the {kind}s out of the root. The root of a square is an absolute value: the letter may be negative."
)
ROOT_OF_SQUARE_ABSOLUTE = TAKE_ROOT_OUT.says(
    "The root of a square is an absolute value: {part} may be negative."
)
ROOT_OF_SQUARE_POSITIVE = TAKE_ROOT_OUT.says("The root of a square: this number is positive.")
ROOT_OF_SQUARE = Law(
    "root-of-square",
    "root of a square",
    notice="A square stands under the root. What is its root, whatever its sign?",
    why="A square root is never negative: it is the absolute value.",
)
ROOT_IS_ABSOLUTE = ROOT_OF_SQUARE.says("The root of a square is the absolute value.")
MULTIPLY_ROOTS = Law(
    "multiply-roots",
    "multiply roots",
    notice="Roots are multiplied. What stands under one common root?",
    why="Squared, both give the same product.",
    families=Family.OPENS,
)
UNDER_ONE_ROOT = MULTIPLY_ROOTS.says(
    "Roots with one index go under one root: multiply the radicands."
)
MULTIPLY_OUT = MULTIPLY_ROOTS.says("Multiply out.")
CONJUGATES_BELOW = MULTIPLY_ROOTS.says("Below, sum times difference is a difference of squares.")
ROOT_TIMES_ITSELF = MULTIPLY_ROOTS.says("A square root times itself is its radicand.")
DIVIDE_ROOTS = Law(
    "divide-roots",
    "quotient of roots",
    notice="One root over another: both can stand under one root.",
    why="Squared, both give the same quotient.",
)
QUOTIENT_OF_ROOTS = DIVIDE_ROOTS.says("A quotient of roots is the root of the quotient.")
ROOT_OF_QUOTIENT = Law(
    "root-of-quotient",
    "root of a quotient",
    notice="The root of a quotient is a quotient of roots.",
    why="Squared, both give the same quotient.",
)
ROOT_OF_QUOTIENT_SPLIT = ROOT_OF_QUOTIENT.says(
    "The root of a quotient is the quotient of the roots."
)
ROOT_OF_FRACTION = Law(
    "root-of-fraction",
    "root of a fraction",
    notice="A fraction stands under a root. Make its denominator a perfect power.",
    why="A perfect power below comes out of the root.",
)
MAKE_SQUARE_BELOW = ROOT_OF_FRACTION.says(
    "Multiply top and bottom by {factor}: the denominator is a square then."
)
MAKE_POWER_BELOW = ROOT_OF_FRACTION.says(
    "Multiply top and bottom so that the denominator is a perfect power, and take it out."
)
COLLECT_LIKE_RADICALS = Law(
    "collect-like-radicals",
    "like radicals",
    notice="Some radicals have the same radicand. What happens to their coefficients?",
    why="Equal roots are counted like letters.",
)
ADD_COEFFICIENTS = COLLECT_LIKE_RADICALS.says("Like radicals: add their coefficients.")
LIKE_RADICALS_IS = COLLECT_LIKE_RADICALS.says("Like radicals: {terms} is {total}.")
RATIONALISE = Law(
    "rationalise",
    "rationalise",
    notice="A root stands below the bar. By which form of 1 does it go?",
    why="Multiplying by a form of 1 changes the look, not the value.",
    families=Family.OPENS,
    is_decision=True,
)
ROOT_BELOW_GOES = RATIONALISE.says("Multiply top and bottom by the root below: it goes.")
RATIONALISE_BY = RATIONALISE.says("Multiply top and bottom by {factor}: the root below goes.")
BY_THE_CONJUGATE = RATIONALISE.says("Multiply top and bottom by the conjugate, {conjugate}.")
BY_THE_FACTOR = RATIONALISE.says("Multiply top and bottom by {factor}.")
ROOTS_ABOVE_GO = RATIONALISE.says("Multiply top and bottom by {conjugate}: the roots above go.")
SIMPLIFY_ROOT = Law(
    "simplify-root",
    "simplify the root",
    notice="Is there a square under the root that comes out?",
    why="A root of a product is the product of the roots.",
)
ROOT_SIMPLIFIED = SIMPLIFY_ROOT.says("{root} = {simplified}.")
ROOT_SIMPLIFIED_I = SIMPLIFY_ROOT.says("{root} = {simplified}, since i² = −1.")
SIGN_AND_BOTTOM = SIMPLIFY_ROOT.says("Work out the sign and the bottom.")
NESTED_ROOT = Law(
    "nested-root",
    "square under a root",
    notice="What stands under the root may itself be a square of a sum. Of which?",
    why="The root of a square is what was squared.",
)
SQUARE_OF = NESTED_ROOT.says("{radicand} is the square of {sum}.")
