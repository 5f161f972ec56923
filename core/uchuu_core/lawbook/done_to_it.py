"""What is done to the unknown, one thing after another, as one says it before it is undone."""

from uchuu_core.lawbook.says import Sentence

ADD_IT = Sentence("{number} added")
SUBTRACT_IT = Sentence("{number} subtracted")
TIMES_IT = Sentence("times {number}")
DIVIDE_IT = Sentence("divided by {number}")
DIVIDED_INTO = Sentence("{number} over it")
SUBTRACTED_FROM = Sentence("subtracted from {number}")
SQUARE_IT = Sentence("squared")
RAISE_IT = Sentence("to the power {exponent}")
SQUARE_ROOT_OF_IT = Sentence("the square root")
ROOT_OF_IT = Sentence("the {index} root")
OPPOSITE_OF_IT = Sentence("the opposite")
ABSOLUTE_OF_IT = Sentence("the absolute value")
