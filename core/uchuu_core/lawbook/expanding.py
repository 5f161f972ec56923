"""Laws of brackets and like terms."""

from uchuu_core.lawbook.law import Family, Law

EXPAND_BRACKETS = Law(
    "expand-brackets",
    "expand",
    notice="A bracket stands in the way. Open it.",
    why="Every term of the bracket is multiplied.",
    families=Family.OPENS,
)
BRACKETS_LEFT_OUT = EXPAND_BRACKETS.says("Plus before a bracket: the bracket can be left out.")
MULTIPLY_INTO_BRACKET = Law(
    "multiply-into-bracket",
    "multiply into the bracket",
    notice="A factor stands before a bracket. What does it meet inside?",
    why="So many of a sum is so many of each of its terms.",
    families=Family.OPENS,
)
MULTIPLY_EVERY_TERM = MULTIPLY_INTO_BRACKET.says("Multiply every term of the bracket.")
MULTIPLY_EVERY_TERM_OF = MULTIPLY_INTO_BRACKET.says("Multiply every term of {parts}.")
MULTIPLY_BRACKETS = Law(
    "multiply-brackets",
    "multiply brackets",
    notice="Two brackets are multiplied: every term with every term.",
    why="The first bracket multiplies every term of the second.",
    families=Family.OPENS,
)
EVERY_TERM_BY_EVERY_TERM = MULTIPLY_BRACKETS.says("Multiply every term by every term.")
EVERY_TERM_BY_EVERY_TERM_OF = MULTIPLY_BRACKETS.says("Multiply every term by every term: {parts}.")
TAKE_MINUS_INTO_BRACKET = Law(
    "take-minus-into-bracket",
    "minus before a bracket",
    notice="A minus stands before a bracket. Which signs does it change?",
    why="Subtracting a sum subtracts each of its terms.",
    families=Family.OPENS,
    is_trap=True,
)
MINUS_CHANGES_EVERY_SIGN = TAKE_MINUS_INTO_BRACKET.says(
    "The minus changes every sign in its bracket."
)
MINUS_CHANGES_SIGNS_IN = TAKE_MINUS_INTO_BRACKET.says("The minus changes every sign in {parts}.")
POWER_AS_PRODUCT = Law(
    "power-as-product",
    "power as a product",
    notice="A power of a bracket is a product. Which one?",
    why="An exponent counts equal factors.",
    families=Family.OPENS | Family.POWERS,
)
WRITE_POWER_AS_PRODUCT = POWER_AS_PRODUCT.says("Write the power as a product.")
SQUARE_BINOMIAL = Law(
    "square-binomial",
    "square of a sum",
    notice="A sum is squared. Which three terms does that give?",
    why="The middle term comes twice: first times second, second times first.",
    families=Family.OPENS,
)
SQUARE_HAS_MIDDLE_TERM = SQUARE_BINOMIAL.says(
    "The square of a sum: the square of each, and twice their product."
)
POWER_OF_BINOMIAL = Law(
    "power-of-binomial",
    "power of a sum",
    notice="The bracket is multiplied by itself several times. What are the coefficients?",
    why="Each coefficient counts the ways to choose the terms.",
)
PASCAL = POWER_OF_BINOMIAL.says(
    "Multiply the bracket by itself again and again; Pascal's triangle has the coefficients."
)
COLLECT_LIKE_TERMS = Law(
    "collect-like-terms",
    "like terms",
    notice="Some terms are of the same kind. Which ones can be joined?",
    why="Like terms have the same letters to the same powers: only their coefficients are added.",
    families=Family.OPENS | Family.COLLECTS | Family.MOVES,
)
COLLECT_TERMS = COLLECT_LIKE_TERMS.says("Collect like terms.")
COLLECTED = COLLECT_LIKE_TERMS.says("{joined}.", lead="Like terms")
TERMS_ARE = COLLECT_LIKE_TERMS.says("{terms} is {total}")
COLLECT_IN_BRACKETS = COLLECT_LIKE_TERMS.says("Collect in each bracket.")
COLLECT_ON_TOP = COLLECT_LIKE_TERMS.says("Collect like terms on top.")
COLLECT_DESCENDING = COLLECT_LIKE_TERMS.says("Collect like terms, highest power first.")
HIGHEST_POWER_FIRST = COLLECT_LIKE_TERMS.says("Write the highest power first.")
REAL_AND_IMAGINARY = COLLECT_LIKE_TERMS.says("Collect real parts and multiples of i.")
REPEATED_POWER_OUT = COLLECT_LIKE_TERMS.says("Take the repeated power out and collect.")
NOTHING_LEFT_ON_TOP = COLLECT_LIKE_TERMS.says("Nothing is left on top: the fraction is 0.")
DIVIDE_EACH_TERM = Law(
    "divide-each-term",
    "divide each term",
    notice="The whole top is divided: every one of its terms is.",
    why="A sum over one denominator is a sum of fractions.",
    families=Family.SCALES | Family.CANCELS,
)
DIVIDE_EVERY_TERM_OF_TOP = DIVIDE_EACH_TERM.says("Divide every term of the top: {parts}.")
SUM_OVER_ONE_DENOMINATOR = DIVIDE_EACH_TERM.says(
    "Split it: every term of the top over the denominator."
)
