"""A piece of side work, and the cells of which its table is made."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass

from uchuu_core.answers.sentences import Mathematics
from uchuu_core.answers.sidework import (
    CellMark,
    LineStretch,
    NumberMark,
    SideCell,
    SideKind,
    SideWork,
)
from uchuu_core.checking.context import Context
from uchuu_core.drawing.mark import Drawn
from uchuu_core.lawbook.says import Says
from uchuu_core.notation import latex, plain, spoken, typst
from uchuu_core.tree.nodes import Line


@dataclass(frozen=True, slots=True)
class Cell:
    """A cell: words or mathematics, how it is marked, and a sign before the mathematics."""

    content: Line | str = ""
    mark: CellMark = ""
    sign: str = ""

    def record(self) -> SideCell:
        """Return it for an answer."""
        content = self.content
        if isinstance(content, str):
            return {"text": content, "math": None, "typst": "", "mark": self.mark}
        return {
            "text": self.sign,
            "math": mathematics_of(content),
            "typst": typst(content),
            "mark": self.mark,
        }


def mathematics_of(line: Line) -> Mathematics:
    """Return a line as the mathematics of an answer."""
    return {"text": plain(line), "latex": latex(line), "spoken": spoken(line)}


Row = tuple[Cell, ...]


def heads(*words: str) -> Row:
    """Return a row of headings."""
    return tuple(Cell(word, "head") for word in words)


@dataclass(frozen=True, slots=True)
class Piece:
    """One piece of side work; see ``answers.sidework.SideWork``."""

    kind: SideKind
    says: Says
    rows: tuple[Row, ...] = ()
    lines: tuple[str, ...] = ()
    marks: tuple[NumberMark, ...] = ()
    stretches: tuple[LineStretch, ...] = ()
    pans: tuple[Row, Row] | None = None
    tilt: int = 0
    off: Line | None = None
    off_sign: str = ""

    def record(self, line: int) -> SideWork:
        """Return it for an answer, at the step to *line*."""
        found: SideWork = {
            "kind": self.kind,
            "line": line,
            **self.says.record(),
            "rows": [[cell.record() for cell in row] for row in self.rows],
            "lines": list(self.lines),
        }
        if self.stretches:
            found |= {"marks": list(self.marks), "stretches": list(self.stretches)}
        if self.pans is not None:
            left, right = ([cell.record() for cell in row] for row in self.pans)
            found |= {
                "left": {"weights": left},
                "right": {"weights": right},
                "tilt": self.tilt,
                "off": mathematics_of(self.off) if self.off is not None else None,
                "off_sign": self.off_sign,
                "off_typst": typst(self.off) if self.off is not None else "",
            }
        return found


Maker = Callable[[Drawn, Context], Iterator[Piece]]
"""Yields the side work of a step; nothing where the step leaves nothing to work out."""
