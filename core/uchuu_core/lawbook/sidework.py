"""What is said above a piece of side work."""

from uchuu_core.lawbook.says import Sentence

CALCULATION = Sentence("{part}, step by step.")
PAIR_FITS = Sentence("Product {product}, sum {sum}: {first} and {second}.")
NO_PAIR_FITS = Sentence("Product {product}, sum {sum}: none. It is prime.")
BOX_TO_MULTIPLY = Sentence("Every term times every term: {first} by {second}.")
BOX_TO_FACTOR = Sentence("What stands in the box is {product}; its edges are the factors.")
IN_PRIMES = Sentence("{number} in primes: {product}.")
LONG = Sentence("{top} divided by {bottom}: {quotient}, {rest} is left.")
SYNTHETIC = Sentence("Coefficients of {top}, by {zero}: {rest} is left.")
WHAT_EACH_LACKS = Sentence("LCD {lcd}: what each denominator lacks.")
SQUARES = Sentence("Squares to remember.")
IN_LETTERS = Sentence("In letters: {law}.")
EXCLUDED_POINTS = Sentence("Open points do not belong.")
DONE_AND_UNDONE = Sentence("What happens to {unknown}, and how it is undone.")
SAME_ON_BOTH = Sentence("The same on both pans: it stays level.")
NOT_ON_BOTH = Sentence("Not the same on both pans: it tips.")
HEADS = {
    "first": "one",
    "second": "other",
    "sum": "sum",
    "fraction": "term",
    "below": "denominator",
    "lacks": "lacks",
    "happens": "it is",
    "undone": "undone by",
}
"""Words of headings."""
