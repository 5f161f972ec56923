"""A mark of a hand on a line, and the step at which it is drawn."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from fractions import Fraction
from functools import cached_property

from uchuu_core.answers.drawn import MarkKind
from uchuu_core.lawbook.says import Listed, Part, Said, Says
from uchuu_core.tree.build import number
from uchuu_core.tree.nodes import Line
from uchuu_core.tree.paths import Path

MOST_MARKS = 24
"""Of one step no more are drawn: a hand would not either."""


@dataclass(frozen=True, slots=True)
class Mark:
    """One mark.

    Args:
        kind: What is drawn.
        at: The path of the part at which it is drawn.
        is_here: Whether that part stands on the new line; else on the line before.
        to: The path of the part in which an arrow ends, on the same line.
        pair: Marks that belong together have one number, from 1; 0 for none.
        text: What is written there.
        sign: Written before the text: ``+``, ``·``, ``÷``; or alone: ``√``, a word.
    """

    kind: MarkKind
    at: Path
    is_here: bool = False
    to: Path | None = None
    pair: int = 0
    text: Line | None = None
    sign: str = ""


@dataclass(frozen=True)
class Drawn:
    """What a maker of marks sees: two lines, and one sentence of what was done between them."""

    before: Line
    line: Line
    said: Said

    @cached_property
    def _filled(self) -> dict[str, Part]:
        return dict(self.said.parts)

    def tree(self, gap: str) -> Line | None:
        """Return the mathematics in a gap of the sentence, the first of several; None for none."""
        return next(iter(self.trees(gap)), None)

    def trees(self, *gaps: str) -> list[Line]:
        """Return the mathematics in some gaps of the sentence, in order."""
        return [tree for gap in gaps if gap in self._filled for tree in _trees(self._filled[gap])]

    def word(self, gap: str) -> str:
        """Return the word in a gap, empty where there is none."""
        part = self._filled.get(gap)
        return part if isinstance(part, str) else ""

    def inner(self, gap: str) -> list[Says]:
        """Return the sentences inside a gap."""
        part = self._filled.get(gap)
        items = part.items if isinstance(part, Listed) else (part,)
        return [item for item in items if isinstance(item, Says)]


Maker = Callable[[Drawn], Iterator[Mark]]
"""Yields the marks of a step; none where its law leaves nothing to draw there."""


def _trees(part: Part) -> Iterator[Line]:
    match part:
        case Listed(items):
            for item in items:
                yield from _trees(item)
        case Says() | str():
            return
        case int() | Fraction():
            yield number(Fraction(part))
        case _:
            yield part
