"""Laws of numbers: order of operations, signs, fractions."""

from uchuu_core.lawbook.law import Family, Law
from uchuu_core.lawbook.says import Sentence

WORK_OUT_POWER = Law(
    "work-out-power",
    "powers",
    notice="Powers come before products. What is it?",
    why="An exponent counts equal factors.",
    families=Family.POWERS,
)
POWER_IS = WORK_OUT_POWER.says("{power} is {value}.")
POWER_FIRST = WORK_OUT_POWER.says("{power} is {value}.", lead="Powers first")
POWER_IN_STEPS = WORK_OUT_POWER.says("{power} = {between} = {value}.")
ROOT_IS = WORK_OUT_POWER.says("{root} is {value}.")
NUMBERS_IN_FRONT = WORK_OUT_POWER.says("Work out the numbers in front.")
NUMBERS_WORKED_OUT = WORK_OUT_POWER.says("Work out the numbers.")
WORK_POWERS_OUT = WORK_OUT_POWER.says("Work out {parts}.")
MULTIPLY_NUMBERS = Law(
    "multiply-numbers",
    "multiplication",
    notice="A multiplication is next. What does it give?",
    why="Multiplying is adding equal parts.",
    families=Family.COLLECTS | Family.POWERS,
)
PRODUCT_IS = MULTIPLY_NUMBERS.says("{product} is {value}.")
WHAT_IS_LEFT = MULTIPLY_NUMBERS.says("Multiply what is left.")
PRODUCT_BEFORE_SUM = MULTIPLY_NUMBERS.says("{product} is {value}.", lead="× before + and −")
WORK_PRODUCTS_OUT = MULTIPLY_NUMBERS.says("Work out {parts}.")
DIVIDE_NUMBERS = Law(
    "divide-numbers",
    "division",
    notice="A division is next. What does it give?",
    why="Dividing undoes multiplying.",
)
QUOTIENT_IS = DIVIDE_NUMBERS.says("{quotient} is {value}.")
QUOTIENT_BEFORE_SUM = DIVIDE_NUMBERS.says("{quotient} is {value}.", lead="÷ before + and −")
DIVIDED_BY_FRACTION = DIVIDE_NUMBERS.says(
    "Dividing by {fraction} is multiplying by {turned}: {quotient} is {value}."
)
REDUCED_BY = DIVIDE_NUMBERS.says("Divide top and bottom by {number}: {fraction} is {value}.")
WORK_QUOTIENTS_OUT = DIVIDE_NUMBERS.says("Work out {parts}.")
ADD_NUMBERS = Law(
    "add-numbers",
    "addition and subtraction",
    notice="Only additions and subtractions are left here. Start from the left.",
    why="Subtracting is adding the opposite.",
    families=Family.COLLECTS,
)
SUM_IS = ADD_NUMBERS.says("{sum} is {value}.")
SUM_FROM_THE_LEFT = ADD_NUMBERS.says("{sum} is {value}.", lead="Same rank, from the left")
SUM_IN_BRACKETS = ADD_NUMBERS.says("{sum} is {value}.", lead="Brackets first")
WORK_OUT_BRACKET = ADD_NUMBERS.says("Work out the bracket.")
SUBTRACT_NUMBERS = Law(
    "subtract-numbers",
    "subtraction",
    notice="A subtraction is next. What does it give?",
    why="Subtracting is adding the opposite.",
)
DIFFERENCE_IS = SUBTRACT_NUMBERS.says("{sum} is {value}.")
MINUS_NEGATIVE_IS_PLUS = Law(
    "minus-negative-is-plus",
    "minus a negative",
    notice="Two signs meet. What do they make?",
    why="Taking away a debt makes richer: minus a negative is plus.",
    is_trap=True,
)
TAKING_AWAY_NEGATIVE = MINUS_NEGATIVE_IS_PLUS.says("Taking away a negative is adding.")
PLUS_NEGATIVE_IS_MINUS = Law(
    "plus-negative-is-minus",
    "plus a negative",
    notice="Two signs meet. What do they make?",
    why="Adding a negative is subtracting its opposite.",
    is_trap=True,
)
ADDING_NEGATIVE = PLUS_NEGATIVE_IS_MINUS.says("Adding a negative is taking away.")
COMMON_DENOMINATOR = Law(
    "common-denominator",
    "common denominator",
    notice="The denominators differ. What is the least number or product that all of them divide?",
    why="Top and bottom times the same number: the fraction stays the same.",
    families=Family.OPENS,
    is_decision=True,
)
FRACTIONS_TO_LCD = COMMON_DENOMINATOR.says("Rewrite each fraction with the LCD, {lcd}.")
TOPS_OVER_PRODUCT = COMMON_DENOMINATOR.says(
    "Write both fractions over one denominator, and join the tops."
)
LACKS = Sentence("{term} lacks {factor}")
EACH_TERM_LACKS = COMMON_DENOMINATOR.says("Rewrite every term with the LCD, {lcd}: {lacking}.")
EACH_TERM_LACKS_EXCLUDED = COMMON_DENOMINATOR.says(
    "Rewrite every term with the LCD, {lcd}: {lacking}; {excluded}."
)
ADD_FRACTIONS = Law(
    "add-fractions",
    "adding fractions",
    notice="The denominators are equal. What happens to the numerators?",
    why="Equal parts are counted together: only the tops are added.",
)
OVER_ONE_DENOMINATOR = ADD_FRACTIONS.says("Over one denominator: {sum} is {value}.")
MULTIPLY_FRACTIONS = Law(
    "multiply-fractions",
    "product of fractions",
    notice="Fractions are multiplied. What happens to tops and bottoms?",
    why="A part of a part: tops together, bottoms together.",
)
MULTIPLY_TOPS = MULTIPLY_FRACTIONS.says("Multiply: top times top, bottom times bottom.")
FRACTIONS_MULTIPLIED = MULTIPLY_FRACTIONS.says("Top times top, bottom times bottom.")
MULTIPLY_BY_RECIPROCAL = Law(
    "multiply-by-reciprocal",
    "multiply by the reciprocal",
    notice="A division by a fraction is next. What is it the same as?",
    why="Dividing by a number is multiplying by its reciprocal.",
)
DIVIDING_IS_RECIPROCAL = MULTIPLY_BY_RECIPROCAL.says(
    "Dividing by a fraction is multiplying by its reciprocal."
)
DECIMAL_AS_FRACTION = Law(
    "decimal-as-fraction",
    "decimals as fractions",
    notice="A decimal is a fraction too. Which one?",
    why="A decimal counts tenths, hundredths, thousandths.",
)
DECIMALS_AS_FRACTIONS = DECIMAL_AS_FRACTION.says("Write decimals as fractions.")
IMPROPER_FRACTION = Law(
    "improper-fraction",
    "improper fraction",
    notice="Mixed numbers are sums. How are they written as one fraction?",
    why="A mixed number is a whole number plus a fraction.",
)
AS_MIXED = IMPROPER_FRACTION.says("Written as a mixed number, {fraction} is {value}.")
MIXED_AS_IMPROPER = IMPROPER_FRACTION.says("Write mixed numbers as improper fractions.")
REDUCE_FRACTIONS = Law(
    "reduce-fractions",
    "reduce",
    notice="A fraction is not in lowest terms.",
    why="Top and bottom divided by the same number: the fraction stays the same.",
    families=Family.CANCELS,
)
REDUCE_THEM = REDUCE_FRACTIONS.says("Reduce the fractions.")
REORDER = Law(
    "reorder",
    "another order",
    notice="Which order is easier to read?",
    why="Sums and products may change their order.",
)
MULTIPLY_BY_ONE = Law(
    "multiply-by-one",
    "a form of one",
    notice="By which form of 1 does the denominator become what you want?",
    why="Multiplying by 1 changes the look, not the value.",
    is_decision=True,
)
MULTIPLY_TOP_AND_BOTTOM_BY = MULTIPLY_BY_ONE.says("Multiply top and bottom by {factor}.")
FORM_OF_ONE = MULTIPLY_BY_ONE.says("Multiply by a form of one: {one} is 1.")
BRACKETS_SHOW_GROUPS = REORDER.says("The same: brackets only show what belongs together.")
REORDERED = REORDER.says("The same, written in another order.")
