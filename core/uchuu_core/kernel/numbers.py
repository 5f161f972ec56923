"""Which numbers letters and values may be."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Numbers:
    """The numbers that a problem is about.

    Attributes:
        is_complex: ``i`` is the imaginary unit, negatives have square roots.
        non_negative: a house rule for expressions: letters under even roots are not negative.
            It says nothing of the unknown of an equation.
    """

    is_complex: bool = False
    non_negative: bool = False


REAL = Numbers()
COMPLEX = Numbers(is_complex=True)
