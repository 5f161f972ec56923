"""Laws of factoring."""

from uchuu_core.lawbook.law import Family, Law

FACTOR = Law(
    "factor",
    "factor",
    notice="Can it be written as a product?",
    why="Multiplying back gives the same expression.",
    families=Family.FACTORS,
)
ZERO_GROUP_FACTOR = FACTOR.says("Zero on one side; group and factor.")
COMMON_FACTOR = Law(
    "common-factor",
    "common factor",
    notice="Look at all terms: do they share a factor?",
    why="Multiplying back into the bracket gives every term again.",
    families=Family.FACTORS,
)
COMMON_FACTOR_OUT = COMMON_FACTOR.says("The terms share a factor: take it out.")
TAKE_COMMON_OUT = COMMON_FACTOR.says("Take the common factor, {factor}, out.")
TAKE_FACTOR_OUT = COMMON_FACTOR.says("Every term has the factor {factor}: take it out.")
TAKE_SHARE_OUT = COMMON_FACTOR.says("Take {share} out: whole numbers are left in the bracket.")
TAKE_MINUS_OUT = COMMON_FACTOR.says("Take the minus out, so that the first term is positive.")
TAKE_POWER_OUT = COMMON_FACTOR.says("Take {power} out.")
DIFFERENCE_OF_SQUARES = Law(
    "difference-of-squares",
    "difference of squares",
    notice="Two squares, a minus between them.",
    why="In sum times difference the middle terms cancel each other.",
    families=Family.FACTORS,
)
SUM_TIMES_DIFFERENCE = DIFFERENCE_OF_SQUARES.says(
    "A difference of squares is sum times difference: {product}."
)
SQUARES_LESS = DIFFERENCE_OF_SQUARES.says(
    "A sum times a difference: the squares, one less the other."
)
IS_DIFFERENCE_OF_SQUARES = DIFFERENCE_OF_SQUARES.says(
    "A difference of squares: {first} squared less {second} squared."
)
WRITE_AS_SQUARES = Law(
    "write-as-squares",
    "write as squares",
    notice="Which numbers or letters are these the squares of?",
    why="Both terms are squares.",
    families=Family.FACTORS,
)
AS_SQUARES = WRITE_AS_SQUARES.says("Write both terms as squares.")
SUM_OF_CUBES = Law(
    "sum-of-cubes",
    "sum or difference of cubes",
    notice="Two cubes. Which bracket is the short one?",
    why="Multiplied back, the middle terms cancel each other.",
    families=Family.FACTORS,
)
CUBES_ARE = SUM_OF_CUBES.says(
    "A sum or a difference of cubes: the short bracket keeps the sign, the long one starts with the opposite sign and ends with plus."
)
CUBES_FACTORED = SUM_OF_CUBES.says(
    "A {name} of cubes, of {first} and {second}: the short bracket keeps the sign, the long one starts with the opposite sign and ends with plus."
)
WRITE_AS_CUBES = Law(
    "write-as-cubes",
    "write as cubes",
    notice="Which numbers or letters are these the cubes of?",
    why="Both terms are cubes.",
    families=Family.FACTORS,
)
AS_CUBES = WRITE_AS_CUBES.says("Write both terms as cubes.")
PERFECT_SQUARE = Law(
    "perfect-square",
    "perfect square",
    notice="The ends are squares. Is the middle twice their product?",
    why="The square of a sum has twice the product in the middle.",
    families=Family.FACTORS | Family.SQUARES,
)
PERFECT_SQUARE_IS = PERFECT_SQUARE.says("{expression} is a perfect square: {square}.")
ENDS_ARE_SQUARES = PERFECT_SQUARE.says(
    "The ends are the squares of {first} and {second}, the middle is twice their product: a perfect square."
)
LEFT_SIDE_IS_SQUARE = PERFECT_SQUARE.says("The left side is the square of {root}.")
IS_SQUARE_OF = PERFECT_SQUARE.says("{part} is the square of {root}.")
SUM_PRODUCT = Law(
    "sum-product",
    "sum and product",
    notice="Which two numbers have this product and this sum?",
    why="Multiplied back, the pair makes the middle term and the last one.",
    families=Family.FACTORS,
    is_decision=True,
)
PAIR = SUM_PRODUCT.says("{first} and {second}: their product is {product}, their sum {sum}.")
SPLIT_MIDDLE = Law(
    "split-middle",
    "split the middle",
    notice="Which two numbers have this product and this sum?",
    why="The pair splits the middle term so that the bracket repeats.",
    families=Family.FACTORS,
    is_decision=True,
)
SPLIT_THE_MIDDLE = SPLIT_MIDDLE.says(
    "{a} · {c} = {product}; {first} and {second} have this product and the sum {sum}: split the middle term."
)
SPLIT_MIDDLE_AND_GROUP = Law(
    "split-middle-and-group",
    "split the middle",
    notice="Which two numbers have this product and this sum?",
    why="The common bracket is a factor of the whole.",
    families=Family.FACTORS,
    is_decision=True,
)
BRACKET_OUT_AFTER_SPLIT = SPLIT_MIDDLE_AND_GROUP.says("Take the common bracket, {bracket}, out.")
GROUP = Law(
    "group",
    "group",
    notice="Four terms: look at them two by two.",
    why="Each pair has its own common factor.",
    families=Family.FACTORS,
)
FACTOR_FROM_EACH_PAIR = GROUP.says("Take a common factor out of each pair.")
GROUP_TWO_BY_TWO = GROUP.says("Group two by two; take a common factor out of each.")
GROUPING = Law(
    "grouping",
    "common bracket",
    notice="The same bracket stands in both parts.",
    why="The common bracket is a factor of the whole.",
    families=Family.FACTORS,
    is_decision=True,
)
BRACKET_OUT = GROUPING.says("Take the common bracket, {bracket}, out.")
DIVIDE_AND_REDUCE = Law(
    "divide-and-reduce",
    "divide and reduce",
    notice="A pair with the right product and sum, and a leading coefficient to be divided by.",
    why="What is divided by and what is put in front undo each other.",
    families=Family.FACTORS,
    is_decision=True,
)
DENOMINATORS_TO_THE_FRONT = DIVIDE_AND_REDUCE.says("Put each denominator in front of its letter.")
DIVIDE_BY_LEADING = Law(
    "divide-by-leading",
    "leading coefficient",
    notice="The leading coefficient is not 1 yet.",
    why="The pair of the product is divided by the leading coefficient.",
    families=Family.SCALES | Family.SQUARES,
)
PAIR_DIVIDED = DIVIDE_BY_LEADING.says(
    "{first} and {second} have the product {product} and the sum {sum}; divide both by {a}."
)
FACTOR_BY_TRYING = Law(
    "factor-by-trying",
    "factor by trying",
    notice="Which small number makes it zero?",
    why="A number that makes it zero gives a factor.",
    families=Family.FACTORS,
    is_decision=True,
)
FOUND_BY_TRYING = FACTOR_BY_TRYING.says(
    "This product multiplies back to it; it is found by trying factors."
)
BY_INSPECTION = Law(
    "by-inspection",
    "by inspection",
    notice="Which two first terms give the square, which two last ones the number?",
    why="The outer and the inner product together must be the middle term.",
    families=Family.FACTORS,
    is_decision=True,
)
OUTER_AND_INNER = BY_INSPECTION.says(
    "First terms {first}, last terms {last}; outer and inner product, {outer} and {inner}, make {middle}."
)
FIRST_TIMES_FIRST = BY_INSPECTION.says("{one} and {other}")
PRIME = Law(
    "prime",
    "cannot be factored",
    notice="Which pairs were tried? Does any of them fit?",
    why="If it had factors, a pair would fit.",
    families=Family.FACTORS,
)
PAIR_TRIED = PRIME.says("{first} and {second} (sum {sum})")
PAIRS_TRIED = PRIME.says("{pairs}; the sum should be {wanted}")
NO_PAIR_FITS = PRIME.says("No pair fits: {tried}. It cannot be factored over the integers.")
SUM_OF_SQUARES_PRIME = PRIME.says("A sum of two squares cannot be factored over the integers.")
NO_PATTERN_FITS = PRIME.says(
    "No common factor and no pattern fits: it cannot be factored over the integers."
)
