"""The parts of a line, each with its path, and what moves made of it before."""

from collections.abc import Iterator
from typing import Any

from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Relation, Signed, Sum
from uchuu_core.tree.paths import Path, children, replace_at, walk

Rewritten = tuple[Expr, tuple[Expr, ...]]
"""What a part becomes, and what is owed to the kernel."""

_KEPT_PARTS = 4096
_parts: dict[Expr, dict[Any, list[Rewritten]]] = {}
"""What each move makes of a part: neighbouring lines share most of their parts."""


def _remembered(part: Expr) -> dict[Any, list[Rewritten]]:
    if len(_parts) > _KEPT_PARTS:
        _parts.clear()
    return _parts.setdefault(part, {})


_Place = tuple[Path, Expr, dict[Any, list[Rewritten]]]


_KEPT_STEPS = 40_000
_lines: dict[Line, "Places"] = {}
_steps_kept = 0


def places_of(line: Line) -> "Places":
    """Return the places of a line, those of before where it was asked for: a class writes from the same lines."""
    global _steps_kept
    found = _lines.get(line)
    if found is None:
        if _steps_kept > _KEPT_STEPS or len(_lines) > _KEPT_PARTS:
            _lines.clear()
            _steps_kept = 0
        found = _lines[line] = Places(line)
    return found


class Places:
    """Every part of a line with its path, the whole first, and what moves made of it before."""

    def __init__(self, line: Line) -> None:
        self._steps: dict[Any, tuple[list[Any], list[Any]]] = {}
        self.all = [(path, part, _remembered(part)) for path, part in places(line)]
        self._of_kinds: dict[frozenset[type], list[_Place]] = {}
        self.kinds = frozenset({type(line), *(type(part) for _, part, _ in self.all)})

    def steps(self, move: Any) -> tuple[list[Any], list[Any]] | None:
        """Return what *move* makes of the whole line, and of its parts; None where nobody asked yet."""
        return self._steps.get(move)

    def keep(self, move: Any, whole: list[Any], of_parts: list[Any]) -> None:
        """Remember what *move* makes of the line."""
        global _steps_kept
        self._steps[move] = whole, of_parts
        _steps_kept += len(whole) + len(of_parts) + 1

    def of(self, kinds: frozenset[type]) -> "list[_Place]":
        """Return the parts of these kinds, in their order."""
        found = self._of_kinds.get(kinds)
        if found is None:
            found = self._of_kinds[kinds] = [p for p in self.all if type(p[1]) in kinds]
        return found


def places(line: Line) -> Iterator[tuple[Path, Expr]]:
    """Yield every part; a subtracted term also as the signed thing it is (path with −1)."""
    for path, part in walk(line):
        if isinstance(part, Relation):
            continue
        yield path, part
        if isinstance(part, Sum):
            for number, term in enumerate(part.terms):
                if term.sign == "-":
                    yield (*path, number, -1), Signed("-", term.body)


def term_of(path: Path) -> Path:
    """Return the place of a part; of a term with its sign the place of the term."""
    return path[:-1] if path[-1:] == (-1,) else path


def put(line: Line, path: Path, new: Line) -> Line:
    """Replace the part at *path*; a path ending in −1 means the term with its sign."""
    if not path or path[-1] != -1:
        return replace_at(line, path, new)  # type: ignore[arg-type]
    *above, number, _ = path
    parent = line
    for step in above:
        parent = children(parent)[step]
    assert isinstance(parent, Sum)
    terms = list(parent.terms)
    terms[number : number + 1] = build.terms_of(new)  # type: ignore[arg-type]
    return replace_at(line, tuple(above), build.total(terms))
