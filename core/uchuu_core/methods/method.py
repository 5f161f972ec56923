"""What a method is, and the densities at which its lines are written.

A method yields *moments*: every line with its law and sentence, and how much it weighs. Density only
leaves lines out and joins their sentences; it never changes the route.
"""

import re
from collections.abc import Callable, Iterable, Iterator
from dataclasses import dataclass, replace

from uchuu_core.contract import AS_USUAL, Density, House, Task
from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.numbers import REAL, Numbers
from uchuu_core.lawbook.law import Law
from uchuu_core.lawbook.says import Says
from uchuu_core.notation import plain
from uchuu_core.tree.build import ZERO
from uchuu_core.tree.nodes import Chain, Expr, Line, Relation

MOST_MOMENTS = 300
"""A method that goes on for longer is stopped: ours would be at fault, or the problem too large."""

_SIGN_LEFT_OUT = re.compile(r"(?<!\d)\*|\*(?!\d)")
"""A times sign that could be left out: not one between two numbers."""
RIDES_ALONG, BOARD, KEY = 0, 1, 2
_LEAST_WEIGHT: dict[Density, int] = {"fine": RIDES_ALONG, "board": BOARD, "key": KEY}


@dataclass(frozen=True, slots=True)
class Moment:
    """One line of work, and what is said at it: the sentence of the law that led to it.

    ``weight``: 0 only at fine density, 1 on the board, 2 in a key. ``condition``: what the line
    needs to hold (“x != 0”), empty when nothing. ``is_quiet``: its sentence is said only where the line is written.
    """

    line: Line
    says: Says
    weight: int = BOARD
    condition: str = ""
    is_quiet: bool = False

    @property
    def law(self) -> Law:
        """The law whose sentence is said, the last of several."""
        return self.says.law


@dataclass(frozen=True, slots=True)
class Posed:
    """A problem as methods see it: what is given, the unknown ("" for none), its numbers.

    ``house``: the conventions of the course; the methods that it teaches come before others.
    ``forms``: forms that the problem itself asks for.
    """

    given: Line
    unknown: str = ""
    numbers: Numbers = REAL
    house: House = AS_USUAL
    forms: tuple[str, ...] = ()

    def given_as(self, line: Line) -> "Posed":
        """Return the same problem with another line as its given."""
        return replace(self, given=line)


def _always(_posed: Posed) -> bool:
    return True


@dataclass(frozen=True, slots=True)
class Method:
    """A school of working.

    Args:
        key: The contract's name.
        tasks: Tasks it serves.
        refusal: Why it does not apply; None when it does.
        why: Said when it applies.
        moments: Yields the lines after the given.
        suits: Among those that apply, whether this one comes before those that do not suit.
    """

    key: str
    tasks: tuple[Task, ...]
    refusal: Callable[[Posed], str | None]
    why: str
    moments: Callable[[Posed], Iterator[Moment]]
    suits: Callable[[Posed], bool] = _always


def at_density(moments: Iterable[Moment], density: Density) -> list[Moment]:
    """Return the lines to write at *density*; the last line always stays.

    Raises:
        OutOfScope: more than ``MOST_MOMENTS`` lines.
    """
    least = _LEAST_WEIGHT[density]
    written: list[Moment] = []
    waiting = Says()
    listed = []
    for moment in moments:
        listed.append(moment)
        if len(listed) > MOST_MOMENTS:
            raise OutOfScope(f"This takes more than {MOST_MOMENTS} steps. Use a smaller problem.")
    listed = _without_returns(listed)
    turning = _turning_point(listed) if least == KEY else None
    for number, moment in enumerate(listed):
        if moment.weight < least and number < len(listed) - 1 and number != turning:
            waiting += Says() if moment.is_quiet else moment.says
            continue
        says = waiting + moment.says if least == BOARD else moment.says
        written.append(replace(moment, says=says))
        waiting = Says()
    return written


def _without_returns(moments: list[Moment]) -> list[Moment]:
    """Leave out what leads back to a line that is written already: nobody writes one twice."""
    kept: list[Moment] = []
    places: dict[str, int] = {}
    for moment in moments:
        written = _SIGN_LEFT_OUT.sub("", plain(moment.line))
        place = places.get(written)
        if place is None:
            places[written] = len(kept)
            kept.append(moment)
            continue
        first = kept[place]
        del kept[place:]
        kept.append(replace(first, weight=max(first.weight, moment.weight)))
        places = {form: at for form, at in places.items() if at <= place}
    return kept


def _turning_point(listed: list[Moment]) -> int | None:
    """Return the line that a key has besides the answer, where it would have the answer alone.

    It is the last one at which something was chosen; else the one before the answer. None where the board has no
    more than two lines.
    """
    on_board = [
        n
        for n, moment in enumerate(listed[:-1])
        if moment.weight >= BOARD and not isinstance(moment.line, Chain)  # what is only named
    ]
    if len(on_board) < 2 or any(moment.weight >= KEY for moment in listed[:-1]):
        return None
    chosen = [n for n in on_board if listed[n].law.is_decision]
    return chosen[-1] if chosen else on_board[-1]


def not_zero(node: Expr) -> str:
    """Write the condition that *node* is not zero, in plain notation."""
    return plain(Relation(node, "!=", ZERO))
