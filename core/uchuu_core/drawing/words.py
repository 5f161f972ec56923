"""The marks of a step in words."""

from collections.abc import Iterator
from itertools import groupby

from uchuu_core.drawing.finding import is_term, part_of
from uchuu_core.drawing.mark import Mark
from uchuu_core.lawbook import drawing as book
from uchuu_core.lawbook.says import Part, Says, in_order, listed
from uchuu_core.tree.build import total
from uchuu_core.tree.nodes import Line
from uchuu_core.tree.paths import Path

_SEVERAL = {
    "box": book.BOXED,
    "ring": book.RINGED,
    "bracket": book.BRACKETED,
    "join": book.JOINED,
    "swap": book.TURNED,
}


def in_words(marks: list[Mark], before: Line, line: Line) -> Says:
    """Return what is drawn at a step, mark after mark; those that belong together in one sentence."""
    return in_order(_said(marks, before, line))


def _said(marks: list[Mark], before: Line, line: Line) -> Iterator[Says]:
    for (kind, _, _), group in groupby(marks, key=_together):
        some = list(group)
        parts = [_named(line if mark.is_here else before, mark.at) for mark in some]
        first = some[0]
        match kind:
            case "strike" if any(mark.text is not None for mark in some):
                for part, mark in zip(parts, some, strict=True):
                    yield (
                        book.STRUCK_ALONE(part)
                        if mark.text is None
                        else book.STRUCK_LEFT(part, mark.text)
                    )
            case "strike" if len(set(parts)) == 1:
                yield (book.STRUCK_TWICE if len(parts) > 1 else book.STRUCK_ALONE)(parts[0])
            case "strike":
                yield book.STRUCK(_every(parts))
            case "beneath":
                yield from (book.BENEATH(p, note_of(m)) for p, m in zip(parts, some, strict=True))
            case "times" if first.text is not None:
                yield book.TIMES(_every(parts), first.text)
            case "arrow":
                ends = [_named(before, mark.to) for mark in some if mark.to is not None]
                yield book.ARROWS(parts[0], _every(ends))
            case "ring" if first.sign or first.text is not None:
                yield from (book.RINGED_AS(p, note_of(m)) for p, m in zip(parts, some, strict=True))
            case _:
                yield _SEVERAL[kind](_every(parts))


def _together(mark: Mark) -> tuple[str, int, object]:
    noted = mark.kind == "ring" and bool(mark.sign or mark.text)
    return (mark.kind, mark.pair, mark.at if mark.kind == "arrow" or noted else None)


def _every(parts: list[Line]) -> Part:
    return listed(parts)


def note_of(mark: Mark) -> Part:
    """Return what is written at a mark: its sign, its mathematics, or both."""
    if mark.text is None:
        return mark.sign
    return listed([mark.sign, mark.text], between="", before_last="") if mark.sign else mark.text


def _named(line: Line, path: Path) -> Line:
    """Return the part at *path*, a term with its minus."""
    if is_term(line, path):
        term = part_of(line, path[:-1]).terms[path[-1]]
        return total([term]) if term.sign == "-" else term.body
    named: Line = part_of(line, path)
    return named
