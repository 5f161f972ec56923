"""Bounds on input, checked before any work is done. Past one: ``TooLarge``, naming the bound.

The values were measured: every operation inside them ends well within a second.
"""

from collections.abc import Iterator
from contextlib import contextmanager
from time import monotonic

from uchuu_core.failures import TooLarge

CHARACTERS = 2000
NESTING = 60
DIGITS = 40
EXPONENT = 1_000_000
"""What may stand as an exponent; what it would write out is bounded apart."""
LARGEST_DEGREE = 10_000_000
"""Degree that a power of one term may reach."""
DEGREE = 400
"""Degree up to which sums are raised, factored and solved."""
ROOT_INDEX = 60
LETTERS = 12
LINES = 200
OWN_ERRORS = 40
AVOIDED = 400
"""Problems that a twin must not be."""
PATTERN_LETTERS = 5
"""Letters of a teacher's own pattern: more fit a line in too many ways."""
EXPLAINING_SECONDS = 1.2
"""Wall time after which a paper's further lines get verdicts only; asked again, it goes on."""
SEARCH_SECONDS = 0.6
"""Wall time for the law or the error of one line; what was found by then is used."""
WRITTEN_TERMS = 240
"""Terms that a product of brackets may be written out to."""
EXPANDED_TERMS = 4000
"""Terms that an expanded polynomial may be estimated to have."""
NUMBER_BITS = 20_000
"""Bits that a power of a plain number may be estimated to have."""


def require(holds: bool, what: str, at: int | None = None) -> None:
    """Raise ``TooLarge`` with *what* unless the bound holds."""
    if not holds:
        raise TooLarge(what, at)


class OutOfTime(Exception):
    """A search passed the time that ``within`` gave it."""


_until = float("inf")


@contextmanager
def within(seconds: float) -> Iterator[None]:
    """Give what is done inside at most *seconds*; ``check_time`` raises past them."""
    global _until
    before = _until
    _until = min(before, monotonic() + seconds)
    try:
        yield
    finally:
        _until = before


def check_time() -> None:
    """Raise ``OutOfTime`` when the time of the enclosing ``within`` is over."""
    if monotonic() > _until:
        raise OutOfTime
