"""Tempting twins: the best known wrong route works out as nicely as the right one."""

from fractions import Fraction
from itertools import islice
from typing import Any

from uchuu_core.failures import OutOfScope
from uchuu_core.forking.example import example_of
from uchuu_core.forking.forks import Fork, forks_of
from uchuu_core.tree.nodes import Either, Line, Mixed, Number, Outcome, Quotient, Root
from uchuu_core.tree.paths import parts
from uchuu_core.twinning.likeness import Likeness
from uchuu_core.twinning.twin import Original, Twin, twins, works_the_same

MOST_LOOKED_AT = 16
"""Twins whose forks are looked for."""
_SMALL = Fraction(30)


def tempting_twin_of(original: Original, seed: int, taken: set[Any]) -> Twin:
    """Return the twin of *seed*, not among *taken*, in which a common wrong route works out too.

    Raises:
        OutOfScope: there is none among the first ``MOST_LOOKED_AT``.
    """
    like = (found for found in twins(original, seed, taken) if works_the_same(found, original))
    for found in islice(like, MOST_LOOKED_AT):
        if _tempts(found):
            return found
    raise OutOfScope(
        "No other numbers were found with which a common wrong route works out as nicely. "
        "Take an ordinary twin, or another problem."
    )


def _tempts(found: Twin) -> bool:
    """Whether the first fork of the twin ends in an answer that looks as right as the right one."""
    forks = [
        fork for fork in forks_of(example_of(found.context, by_method=True)) if not fork.hidden
    ]
    return bool(forks) and _looks_right(forks[0], found.end, found.likeness)


def _looks_right(fork: Fork, right: Line, known: Likeness) -> bool:
    """Whether its end has no more solutions, fractions or roots than the right one, nor larger numbers."""
    wrong = fork.end
    if isinstance(wrong, Outcome) is not isinstance(right, Outcome):
        return False
    largest = max((p.value for p in parts(wrong) if isinstance(p, Number)), default=Fraction(0))
    return (
        _options(wrong) == _options(right)
        and _awkward(wrong) <= _awkward(right)
        and largest <= max(known.largest, _SMALL)
    )


def _options(line: Line) -> int:
    return len(line.options) if isinstance(line, Either) else 1


def _awkward(line: Line) -> int:
    return sum(isinstance(part, (Quotient, Mixed, Root)) for part in parts(line))
