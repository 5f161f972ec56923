"""Laws of rational expressions."""

from uchuu_core.lawbook.law import Family, Law

DIVIDE_OUT = Law(
    "divide-out",
    "divide out",
    notice="Top and bottom share a factor.",
    why="A factor over itself is 1.",
    families=Family.CANCELS,
)
DIVIDE_OUT_COMMON = DIVIDE_OUT.says("Divide out the common factor.")
DIVIDE_OUT_NEVER_ZERO = DIVIDE_OUT.says("Divide out the common factor; it is never zero.")
DIVIDE_OUT_FACTORS = DIVIDE_OUT.says("Divide out {factors}.")
DIVIDE_OUT_AND_MULTIPLY = DIVIDE_OUT.says("Divide out {factors}; multiply what is left.")
DIVIDE_OUT_STAYS_EXCLUDED = DIVIDE_OUT.says(
    "Divide out {factors}; the excluded values stay excluded."
)
DIVIDE_OUT_OF_EVERY_TERM = DIVIDE_OUT.says("Divide {factor} out of every term.")
COMMON_OUT_OF_EVERY_TERM = DIVIDE_OUT.says("Divide the common factor out of every term.")
DIVIDE_OUT_FIRST = DIVIDE_OUT.says("Divide out {factors} before multiplying.")
DIVIDE_TOP_AND_BOTTOM_BY = DIVIDE_OUT.says("Divide top and bottom by {factor}.")
NOTHING_LEFT_BELOW = DIVIDE_OUT.says("Nothing is left below.")
MINUS_TO_THE_TOP = DIVIDE_OUT.says("Take the minus below to the top.")
MINUS_IN_FRONT = DIVIDE_OUT.says("Take the minus in front.")
FACTOR_TOP_AND_BOTTOM = Law(
    "factor-top-and-bottom",
    "factor top and bottom",
    notice="Only factors divide out. Write top and bottom as products.",
    why="Only factors divide out, never terms.",
    families=Family.FACTORS | Family.CANCELS,
)
FACTOR_BOTH = FACTOR_TOP_AND_BOTTOM.says("Factor top and bottom.")
FACTOR_TOP = FACTOR_TOP_AND_BOTTOM.says("Nothing divides out; the top is left in factors.")
GROUP_AND_FACTOR_TOP = FACTOR_TOP_AND_BOTTOM.says("Group and factor the top.")
FACTOR_EVERYTHING = Law(
    "factor-everything",
    "factor everything",
    notice="Before anything divides out, all tops and bottoms should be products.",
    why="Only factors divide out, never terms.",
    families=Family.FACTORS | Family.CANCELS,
)
FACTOR_EVERY_TOP_AND_BOTTOM = FACTOR_EVERYTHING.says("Factor every top and bottom.")
FACTOR_DENOMINATOR = Law(
    "factor-denominator",
    "factor the denominator",
    notice="The denominator is a sum. Can it be written as a product?",
    why="A product shows the excluded values.",
    families=Family.FACTORS,
)
FACTOR_BELOW = FACTOR_DENOMINATOR.says("Factor the denominator; nothing divides out.")
FACTOR_DENOMINATORS = Law(
    "factor-denominators",
    "factor the denominators",
    notice="Which denominators are products in disguise?",
    why="The LCD is made of the factors of all denominators.",
    families=Family.FACTORS,
)
FACTOR_ALL_BELOW = FACTOR_DENOMINATORS.says("Factor the denominators.")
FACTOR_ALL_BELOW_EXCLUDED = FACTOR_DENOMINATORS.says(
    "Factor the denominators; excluded: {excluded}."
)
OPPOSITE_FACTORS = Law(
    "opposite-factors",
    "opposite factors",
    notice="Two factors differ only in their sign.",
    why="Taking −1 out changes every sign of the bracket.",
    families=Family.CANCELS,
    is_trap=True,
)
TAKE_MINUS_ONE_OUT = OPPOSITE_FACTORS.says("Take −1 out, so that the factors are the same.")
OPPOSITE_QUOTIENT = OPPOSITE_FACTORS.says(
    "{part} is the opposite of {other}: one over the other is −1."
)
OPPOSITE_OF = OPPOSITE_FACTORS.says("{part} is the opposite of {other}: take out −1.")
ONE_NUMERATOR = Law(
    "one-numerator",
    "one numerator",
    notice="The denominators are the same. Write one fraction, with brackets.",
    why="Equal parts are counted together: only the tops are added.",
    families=Family.OPENS | Family.COLLECTS,
    is_trap=True,
)
TOPS_OVER_ONE_DENOMINATOR = ONE_NUMERATOR.says(
    "Put all tops over the one denominator, and keep the brackets."
)
ONE_FRACTION_EACH_SIDE = ONE_NUMERATOR.says("One fraction on each side; keep the brackets.")
ONE_FRACTION = ONE_NUMERATOR.says("Write it as one fraction.")
MULTIPLY_BY_LCD = Law(
    "multiply-by-lcd",
    "multiply by the LCD",
    notice="There are denominators. One multiplication clears all of them.",
    why="The LCD is a multiple of every denominator, so every bar goes.",
    families=Family.OPENS,
    is_decision=True,
)
TOP_AND_BOTTOM_BY_LCD = MULTIPLY_BY_LCD.says(
    "Multiply top and bottom by {lcd}, the LCD of all fractions in it."
)
BARS_GO = MULTIPLY_BY_LCD.says("Every term loses its denominator.")
EVERY_TERM_BY_LCD = MULTIPLY_BY_LCD.says("Multiply every term by the LCD, {lcd}.")
EVERY_TERM_BY_LCD_EXCLUDED = MULTIPLY_BY_LCD.says(
    "Multiply every term by the LCD, {lcd}; {excluded}."
)
