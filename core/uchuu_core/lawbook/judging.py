"""What is said of a line that no law leads to: cases, checks, domains, numbers that refute."""

from uchuu_core.lawbook.says import Sentence

ONE_CASE = Sentence("One of the cases.")
CASES_TOGETHER = Sentence("The cases together.")
CHECK_FAILS = Sentence("The check of {candidate} fails, as it should.")
ALLOWED_WITHOUT_VALUE = Sentence("At {value} the given has no value, but this line allows it.")
EXCLUDED_WITH_VALUE = Sentence("At {value} the given has a value, but this line excludes it.")
FITS_BEFORE_NOT_HERE = Sentence("{point} fits the line before; here {left} is not {right}.")
IS_NOT = Sentence("{left} is not {right}.")
TRY = Sentence("Try {point}: {left} is not {right}.")
OTHER_NUMBERS = Sentence("Give {line}. {one} writes {first}, {other} writes {second}.")
