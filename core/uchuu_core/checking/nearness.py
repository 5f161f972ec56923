"""Whether a written number may be a slip for the right one: near it, or nearly its digits.

There is no count behind the bounds: they are what a teacher takes for a slip, not for another method.
"""

from fractions import Fraction
from itertools import pairwise

_ALWAYS_NEAR = 3
_PART = 5
"""A fifth of the right number: 7 · 8 is often said to be 54, or 63."""


def is_near(written: Fraction, right: Fraction) -> bool:
    """Return whether *written* differs from *right* as a slip does: by little, by a sign, by a digit.

    Equal numbers are not near: nothing slipped.
    """
    if written == right:
        return False
    if written == -right:
        return True
    if written * right < 0:
        return False
    size = abs(right)
    if abs(written - right) <= max(Fraction(_ALWAYS_NEAR), size / _PART):
        return True
    if written and right and (written / right in (10, Fraction(1, 10))):
        return True
    return _nearly_same_digits(str(abs(written)), str(size))


def _nearly_same_digits(one: str, other: str) -> bool:
    """Whether one digit is another, or two neighbours have changed places."""
    if len(one) != len(other) or len(one) < 2:
        return False
    different = [n for n, (a, b) in enumerate(zip(one, other, strict=True)) if a != b]
    if len(different) == 1:
        return True
    return any(
        different == [n, m] and one[n] == other[m] and one[m] == other[n]
        for n, m in pairwise(range(len(one)))
    )
