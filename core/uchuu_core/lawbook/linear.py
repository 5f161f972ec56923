"""Laws of equations: the same to both sides."""

from uchuu_core.lawbook.law import Family, Law

ADD_ON_BOTH_SIDES = Law(
    "add-on-both-sides",
    "add to both sides",
    notice="Something is taken away on the side of the unknown. What undoes that?",
    why="What is equal stays equal when the same is added.",
    families=Family.COLLECTS | Family.MOVES,
)
ADD_TO_BOTH = ADD_ON_BOTH_SIDES.says("Add {term} to both sides.")
SUBTRACT_ON_BOTH_SIDES = Law(
    "subtract-on-both-sides",
    "subtract from both sides",
    notice="Something is added on the side of the unknown. What undoes that?",
    why="What is equal stays equal when the same is subtracted.",
    families=Family.COLLECTS | Family.MOVES,
)
SUBTRACT_FROM_BOTH = SUBTRACT_ON_BOTH_SIDES.says("Subtract {term} from both sides.")
ADD_AND_SUBTRACT = SUBTRACT_ON_BOTH_SIDES.says(
    "Add {added} to both sides and subtract {taken} from both sides."
)
MULTIPLY_BOTH_SIDES = Law(
    "multiply-both-sides",
    "multiply both sides",
    notice="The unknown is divided by something, or has a minus. What undoes that?",
    why="What is equal stays equal when both sides are multiplied by the same.",
    families=Family.SCALES,
)
MULTIPLY_BOTH_BY = MULTIPLY_BOTH_SIDES.says("Multiply both sides by {factor}.")
MULTIPLY_BOTH_BY_MINUS_ONE = MULTIPLY_BOTH_SIDES.says("Multiply both sides by −1.")
MULTIPLY_THEN_DIVIDE = MULTIPLY_BOTH_SIDES.says(
    "Multiply both sides by {factor}, then divide by {divisor}."
)
MULTIPLY_BY_RECIPROCAL_OF = MULTIPLY_BOTH_SIDES.says(
    "Multiply both sides by the reciprocal, {factor}."
)
DIVIDE_BOTH_SIDES = Law(
    "divide-both-sides",
    "divide both sides",
    notice="The unknown is multiplied by something. What undoes that?",
    why="What is equal stays equal when both sides are divided by the same, but never by 0.",
    families=Family.SCALES,
)
DIVIDE_BOTH_BY = DIVIDE_BOTH_SIDES.says("Divide both sides by {divisor}.")
DIVIDE_EVERY_TERM_BY = DIVIDE_BOTH_SIDES.says("Divide every term by {divisor}.")
DIVIDE_BY_LEADING_COEFFICIENT = DIVIDE_BOTH_SIDES.says(
    "Divide every term by the leading coefficient, {divisor}."
)
CLEAR_DENOMINATORS = Law(
    "clear-denominators",
    "clear the denominators",
    notice="Several terms stand over numbers. Which number do all of them go into?",
    why="The LCD is a multiple of every denominator, so every bar goes.",
    families=Family.OPENS,
)
CLEAR_BY = CLEAR_DENOMINATORS.says("Multiply every term by the LCD, {lcd}.")
CLEAR_BOTH_BY = CLEAR_DENOMINATORS.says("Multiply both sides by {lcd}.")
TURN_EQUATION_ROUND = Law(
    "turn-equation-round",
    "turn round",
    notice="The unknown is easier to read on the left.",
    why="Equal is equal, read from either side.",
)
UNKNOWN_FIRST = TURN_EQUATION_ROUND.says("Write the side with {unknown} first.")
TURN_ROUND = TURN_EQUATION_ROUND.says("Turn it round.")
SIDES_CHANGE_PLACES = TURN_EQUATION_ROUND.says("The sides change places.")
SOLVE_LINEAR = Law(
    "solve-linear",
    "solve",
    notice="Which value makes this factor zero?",
    why="One number only makes it zero.",
    families=Family.COLLECTS | Family.MOVES | Family.SCALES,
)
FACTOR_ZERO_AT = SOLVE_LINEAR.says("{factor} = 0 gives {unknown} = {value}.")
READ_AN_IDENTITY = Law(
    "read-an-identity",
    "identity",
    notice="The unknown is gone. Is what is left true?",
    why="Whatever is put in, both sides are the same.",
)
ALWAYS_TRUE = READ_AN_IDENTITY.says(
    "The line is true whatever {unknown} is: every real number is a solution."
)
BOTH_SIDES_SAME = READ_AN_IDENTITY.says("Both sides are the same: it is true for every value.")
TRUE_WHERE_ALLOWED = READ_AN_IDENTITY.says("It is true for every value that is not excluded.")
READ_A_CONTRADICTION = Law(
    "read-a-contradiction",
    "contradiction",
    notice="The unknown is gone. Is what is left true?",
    why="Whatever is put in, the sides differ.",
)
NEVER_TRUE = READ_A_CONTRADICTION.says("{left} is never {right}: there is no solution.")
IS_NOT_ZERO = READ_A_CONTRADICTION.says("{left} is not 0: there is no solution.")
COLLECT_THE_LETTER = Law(
    "collect-the-letter",
    "collect the letter",
    notice="The letter you want stands in several places. Bring all of them to one side.",
    why="Only terms on one side can be collected.",
)
LETTER_ON_ONE_SIDE = COLLECT_THE_LETTER.says(
    "Terms with {letter} on one side, all others on the other."
)
FACTOR_OUT = Law(
    "factor-out",
    "factor the letter out",
    notice="Every term on one side holds the letter you want.",
    why="Multiplying back gives every term again.",
    families=Family.FACTORS,
)
FACTOR_LETTER_OUT = FACTOR_OUT.says("Take {letter} out as a factor.")
ZERO_ON_ONE_SIDE = Law(
    "zero-on-one-side",
    "zero on one side",
    notice="A product can be used only against zero. Bring everything to one side.",
    why="A product tells about its factors only when it is zero.",
    families=Family.COLLECTS | Family.MOVES,
)
BRING_TO_ONE_SIDE = ZERO_ON_ONE_SIDE.says("Zero on one side: bring {terms} to the {side}.")
ALL_TERMS_ON_ONE_SIDE = ZERO_ON_ONE_SIDE.says("Bring all terms to one side.")
