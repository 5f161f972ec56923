"""Bounds on input, checked before any work is done. Past one: ``TooLarge``, naming the bound.

The values were measured: every operation inside them ends well within a second.
"""

from uchuu_core.failures import TooLarge

CHARACTERS = 2000
NESTING = 60
DIGITS = 40
EXPONENT = 200
ROOT_INDEX = 60
LETTERS = 12
LINES = 200
EXPANDED_TERMS = 4000
"""Terms that an expanded polynomial may be estimated to have."""
NUMBER_BITS = 20_000
"""Bits that a power of a plain number may be estimated to have."""


def require(holds: bool, what: str, at: int | None = None) -> None:
    """Raise ``TooLarge`` with *what* unless the bound holds."""
    if not holds:
        raise TooLarge(what, at)
