"""Bounds on input, checked before any work is done. Past one: ``TooLarge``, naming the bound.

The values were measured: every operation inside them ends well within a second.
"""

from collections.abc import Iterator
from contextlib import contextmanager
from contextvars import ContextVar

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
LARGEST_POWER = 10**12
"""Powers of numbers with a greater value are left as powers, in whatever house."""
ROOT_INDEX = 60
LETTERS = 12
LINES = 200
ANSWERS = 400
"""Bare answers to one problem: a year of a school."""
SCHEME_MARKS = 40
"""Marks of one item's scheme."""
MOST_WORTH = 100
"""What one mark may be worth, and what an item may."""
OWN_ERRORS = 40
SEEN_ERRORS = 100
"""Errors that a student or class made before."""
AVOIDED = 400
"""Problems that a twin must not be."""
PATTERN_LETTERS = 5
"""Letters of a teacher's own pattern: more fit a line in too many ways."""
SEARCH_EFFORT = 60_000
"""Work for the law or the error of one line: parts visited and candidates compared."""
MOST_UNCOUNTED = 10**15
"""Work that never runs out: where only matches are bounded."""
MATCH_EFFORT = 4_000
"""Work for the match of one pattern on one part."""
EXPLAINED_PARTS = 600
"""Parts of a paper's lines after which further lines get verdicts only (``explained`` asks for them)."""
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


class OutOfEffort(Exception):
    """A search spent the work that ``within`` gave it."""


class OutOfMatchEffort(Exception):
    """One match of a pattern went on for longer than ``MATCH_EFFORT``."""


class _Effort:
    """Work that may still be spent: by the search, and by the match of one pattern on one part."""

    __slots__ = ("left", "match")

    def __init__(self, left: int) -> None:
        self.left, self.match = left, MATCH_EFFORT


_effort: ContextVar[_Effort | None] = ContextVar("effort", default=None)


@contextmanager
def within(effort: int) -> Iterator[None]:
    """Give what is done inside *effort* units of work of its own; ``spend`` raises past them.

    Work is counted, never timed: the same question has the same answer on a slow machine.
    """
    token = _effort.set(_Effort(effort))
    try:
        yield
    finally:
        _effort.reset(token)


def spend(units: int = 1) -> None:
    """Count work of the enclosing ``within``.

    Raises:
        OutOfEffort: more than it was given.
    """
    effort = _effort.get()
    if effort is not None:
        effort.left -= units
        if effort.left < 0:
            raise OutOfEffort


@contextmanager
def remembering() -> Iterator[None]:
    """Bound each match of what is remembered, also where no work is counted: there it must be the same."""
    if _effort.get() is not None:
        yield
        return
    with within(MOST_UNCOUNTED):
        yield


def begin_match() -> None:
    """Give the match of one pattern on one part its own work.

    What a match makes of a part is remembered, so it must not depend on what was spent before.
    """
    effort = _effort.get()
    if effort is not None:
        effort.match = MATCH_EFFORT


def spend_match() -> None:
    """Count one step of a match.

    Raises:
        OutOfMatchEffort: more than ``MATCH_EFFORT``.
    """
    effort = _effort.get()
    if effort is not None:
        effort.match -= 1
        if effort.match < 0:
            raise OutOfMatchEffort
