"""Laws of quadratic equations and of undoing powers."""

from uchuu_core.lawbook.law import Family, Law

ZERO_PRODUCT = Law(
    "zero-product",
    "zero product",
    notice="A product is zero. What does that say about its factors?",
    why="If no factor is zero, the product is not zero.",
    is_decision=True,
)
SOME_FACTOR_IS_ZERO = ZERO_PRODUCT.says("A product is zero only where a factor is zero.")
ZERO_POWER = ZERO_PRODUCT.says("A power is zero only where its base is zero.")
ZERO_FACTORS_EXCLUDED = ZERO_PRODUCT.says("Where a factor is zero, a value is excluded.")
BOTH_SOLUTIONS = Law(
    "both-solutions",
    "both solutions",
    notice="± stands for two solutions. Write each of them out.",
    why="± is short for two equations.",
    families=Family.FORMULA,
    is_decision=True,
)
WRITE_BOTH = BOTH_SOLUTIONS.says("Write both solutions out.")
SPLIT_PLUS_MINUS = BOTH_SOLUTIONS.says("± stands for two equations: write each one.")
ISOLATE_THE_SQUARE = Law(
    "isolate-the-square",
    "isolate the square",
    notice="The square should stand alone before a root is taken.",
    why="A root undoes a square that stands alone.",
    families=Family.MOVES | Family.SQUARES,
)
ISOLATE_SQUARE = ISOLATE_THE_SQUARE.says("Isolate the square: {square} alone on one side.")
ROOT_BOTH_SIDES = Law(
    "root-both-sides",
    "take the root",
    notice="A power stands alone. What undoes it, and how many numbers does that give?",
    why="Two numbers, a positive and a negative one, have the same square.",
    families=Family.SQUARES,
    is_decision=True,
)
SQUARE_ROOT_OF_BOTH = ROOT_BOTH_SIDES.says(
    "Take the square root of both sides: ±, since two numbers have this square."
)
ROOT_OF_BOTH_PLUS_MINUS = ROOT_BOTH_SIDES.says(
    "Take the {index} root of both sides: ±, since two numbers have this power."
)
ROOT_OF_BOTH_ONE = ROOT_BOTH_SIDES.says(
    "Take the {index} root of both sides: every number has exactly one."
)
ROOT_OF_BOTH_EITHER_SIGN = ROOT_BOTH_SIDES.says("Take the root of both sides: ±.")
ROOT_OF_BOTH = ROOT_BOTH_SIDES.says("Take the root of both sides.")
ONLY_ZERO_SQUARED = ROOT_BOTH_SIDES.says("Only 0 has the square 0.")
ONLY_ZERO_POWER = ROOT_BOTH_SIDES.says("Only 0 has the power 0.")
SQUARE_NEVER_NEGATIVE = Law(
    "square-never-negative",
    "squares are not negative",
    notice="Can a square be this?",
    why="A number times itself is never negative.",
)
NO_REAL_SQUARE = SQUARE_NEVER_NEGATIVE.says(
    "A square is never negative, and {value} is: no real number solves it."
)
EVEN_POWER_NEVER_NEGATIVE = SQUARE_NEVER_NEGATIVE.says(
    "An even power is never negative: there is no solution."
)
ONE_OVER_NEVER_ZERO = SQUARE_NEVER_NEGATIVE.says(
    "One over a power is never 0: there is no solution."
)
CONSTANT_ACROSS = Law(
    "constant-across",
    "constant across",
    notice="Make room: the number without the unknown belongs on the other side.",
    why="Then there is room to complete the square.",
    families=Family.MOVES | Family.SQUARES,
)
ROOM_BY_ADDING = CONSTANT_ACROSS.says("Add {number} to both sides: there is room for the square.")
ROOM_BY_SUBTRACTING = CONSTANT_ACROSS.says(
    "Subtract {number} from both sides: there is room for the square."
)
NUMBER_TO_THE_OTHER_SIDE = CONSTANT_ACROSS.says(
    "Terms with the unknown on one side, the number on the other."
)
COMPLETE_THE_SQUARE = Law(
    "complete-the-square",
    "complete the square",
    notice="Half of the middle coefficient tells what is missing for a square.",
    why="The square of x + h is x² + 2hx + h²: half of the coefficient is h.",
    families=Family.SQUARES,
    is_decision=True,
)
HALF_SQUARED = COMPLETE_THE_SQUARE.says(
    "Half of {coefficient} is {half}, its square is {square}: add {square} to both sides."
)
DISCRIMINANT = Law(
    "discriminant",
    "discriminant",
    notice="Which numbers are a, b and c? What does b² − 4ac tell?",
    why="It stands under the root of the formula.",
    families=Family.FORMULA,
)
DISCRIMINANT_IS = DISCRIMINANT.says("{named}: the discriminant b² − 4ac is {value}.")
DISCRIMINANT_NEGATIVE = DISCRIMINANT.says("The discriminant is negative: no real number solves it.")
QUADRATIC_FORMULA = Law(
    "quadratic-formula",
    "quadratic formula",
    notice="a, b and c are known. What does the formula make of them?",
    why="Completing the square with letters gives it, once for all.",
    families=Family.FORMULA,
)
INTO_THE_FORMULA = QUADRATIC_FORMULA.says("Put {named} into (−b ± √(b² − 4ac))/(2a).")
FORMULA_WITH = QUADRATIC_FORMULA.says("The quadratic formula, with {named}.")
DISCRIMINANT_ZERO = QUADRATIC_FORMULA.says("The discriminant is 0: one solution.")
SUBSTITUTE = Law(
    "substitute",
    "substitute",
    notice="A part stands there more than once. Give it a letter.",
    why="A letter may stand for any expression.",
    families=Family.OPENS,
    is_decision=True,
)
NAME_IT = SUBSTITUTE.says("{part} stands more than once, or squared: name it {letter}.")
WRITE_LETTER_FOR = SUBSTITUTE.says("Write {letter} for {part}.")
PUT_BACK = Law(
    "put-back",
    "put back",
    notice="The letter only stood for something. For what?",
    why="The letter and what it stands for are equal.",
    families=Family.OPENS,
)
PUT_PART_BACK = PUT_BACK.says("Put {part} back for {letter}.")
ABSOLUTE_VALUE = Law(
    "absolute-value",
    "absolute value",
    notice="Two numbers can have this absolute value. Which two?",
    why="A number and its opposite are equally far from 0.",
)
TWO_NUMBERS = ABSOLUTE_VALUE.says("Two numbers have this absolute value.")
OR_ITS_OPPOSITE = ABSOLUTE_VALUE.says("{part} is {other} or its opposite.")
ONLY_ZERO_ABSOLUTE = ABSOLUTE_VALUE.says("Only 0 has the absolute value 0.")
ABSOLUTE_NEVER_NEGATIVE = ABSOLUTE_VALUE.says(
    "An absolute value is never negative: there is no solution."
)
