"""Are two expressions equal wherever both are defined? Proved, refuted, or honestly neither."""

from dataclasses import dataclass
from typing import Literal

from uchuu_core.kernel.balls import differ_at, shown
from uchuu_core.kernel.points import NotRational, Undefined, simple_points, value_at
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.tree.nodes import Expr
from uchuu_core.tree.paths import letters


@dataclass(frozen=True, slots=True)
class Counter:
    """A point at which two expressions take different values, both written out.

    ``point`` maps letters to values as text; ``left`` and ``right`` are exact where rational.
    """

    point: tuple[tuple[str, str], ...]
    left: str
    right: str


@dataclass(frozen=True, slots=True)
class Agreement:
    """The kernel's answer: ``equal`` (proved), ``different`` (with a counter) or ``undecided``."""

    verdict: Literal["equal", "different", "undecided"]
    counter: Counter | None = None
    tested: str = ""


def letters_of(*nodes: Expr) -> tuple[str, ...]:
    """Return the letters of all *nodes*, sorted."""
    return tuple(sorted(frozenset().union(*(letters(node) for node in nodes))))


def agreement(left: Expr, right: Expr) -> Agreement:
    """Decide whether *left* and *right* are equal on their common domain.

    Raises:
        Undefined: one of them has no value anywhere (it divides by zero).
        TooLarge: a bound is passed.
    """
    names = letters_of(left, right)
    try:
        algebra = ring(names)
        if algebra.function(left).equals(algebra.function(right)):
            return Agreement("equal")
        return Agreement("different", counter_example(left, right))
    except NotRational:
        return _by_balls(left, right, names)


def counter_example(left: Expr, right: Expr) -> Counter | None:
    """Return the simplest tried point at which both have different rational values."""
    names = letters_of(left, right)
    for point in simple_points(names):
        try:
            a, b = value_at(left, point), value_at(right, point)
        except (Undefined, NotRational):
            continue
        if a != b:
            return Counter(tuple((n, str(v)) for n, v in point.items()), str(a), str(b))
    return None


def _by_balls(left: Expr, right: Expr, names: tuple[str, ...]) -> Agreement:
    met = 0
    for point in simple_points(names, most=12):
        found = differ_at(left, right, point)
        met += 1
        if found:
            where = tuple((n, str(v)) for n, v in point.items())
            return Agreement("different", Counter(where, shown(found[0]), shown(found[1])))
    return Agreement("undecided", tested=f"no difference at {met} points, to 180 digits")
