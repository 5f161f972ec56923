"""Lines that state a feature of a function: ``hole: (2, 5)``, ``domain: x != 3``."""

import re
from collections.abc import Callable
from typing import Any

from uchuu_core.failures import Failure, Unreadable
from uchuu_core.notation.feature_labels import labelled
from uchuu_core.tree.nodes import (
    AllExcept,
    Builder,
    Coordinates,
    Either,
    Feature,
    Line,
    Outcome,
    Signed,
    Symbol,
    Union,
    ValueSet,
)

_NONE = re.compile(r"\s*(?:\\text\{)?\s*none\s*\}?\s*$", re.IGNORECASE)
_BRACKETS = {"(": 1, ")": -1, "{": 1, "}": -1, "[": 1, "]": -1}
_NO_SETS = (Outcome("no solution"), Outcome("prime"))
_SETS = (Union, Builder, AllExcept, Outcome, ValueSet)


def starts_with_label(text: str) -> bool:
    """Return whether *text* begins with the label of a feature."""
    return labelled(text) is not None


def read_feature(text: str, read: Callable[[str], Line]) -> Feature | None:
    """Return the feature that *text* states, None when it starts with no label.

    ``read`` reads a part.

    Raises:
        Unreadable: the label is there and what follows cannot be read.
    """
    found = labelled(text)
    if found is None:
        return None
    label, rest, at = found
    if _NONE.match(rest):
        return Feature(label, ())
    if label in ("domain", "range"):
        whole = _whole_set(rest, read)
        if whole is not None:
            return Feature(label, (whole,))
    items: list[Any] = []
    for start, piece in _pieces(rest):
        items += _items(piece, at + start, read)
    return Feature(label, tuple(items))


def _whole_set(text: str, read: Callable[[str], Line]) -> Any:
    """Return a domain or range that is written as one set, None when it is no such."""
    try:
        line = read(text)
    except Failure:
        return None
    return line if isinstance(line, _SETS) and line not in _NO_SETS else None


def _pieces(text: str) -> list[tuple[int, str]]:
    """Cut at commas and "and" outside brackets; the words of a domain stay together."""
    if re.match(r"\s*(?:\\text\{)?\s*all real", text, re.IGNORECASE):
        return [(0, text)]
    found: list[tuple[int, str]] = []
    level, start, place = 0, 0, 0
    while place < len(text):
        level += _BRACKETS.get(text[place], 0)
        joint = re.match(r",|\s(?:and|or)\s", text[place:]) if level == 0 else None
        if joint:
            found.append((start, text[start:place]))
            place += joint.end()
            start = place
        else:
            place += 1
    return [*found, (start, text[start:])]


def _items(piece: str, at: int, read: Callable[[str], Line]) -> list[Any]:
    piece = re.sub(r"^(?:\\?\s)+", "", piece)
    inner = piece.strip().removeprefix(r"\left").replace(r"\right)", ")")
    if inner.startswith("(") and inner.endswith(")"):
        halves = _pieces(inner[1:-1])
        if len(halves) == 2:
            x, y = (_part(half, at, read) for _, half in halves)
            return [Coordinates(x, y)]
    line = _part(piece, at, read)
    if isinstance(line, Either):
        return list(line.options)
    if isinstance(line, ValueSet):
        return list(line.members)
    if isinstance(line, Outcome) and line.says != "all real numbers":
        raise Unreadable("A feature is a value, a point, or “none”.", at)
    return [line]


_INFINITY = re.compile(r"\s*([-−+]?)\s*(?:infinity|∞|\\infty)\s*$", re.IGNORECASE)


def _part(text: str, at: int, read: Callable[[str], Line]) -> Any:
    infinite = _INFINITY.match(text)
    if infinite:
        letter = Symbol("infinity")
        return Signed("-", letter) if infinite.group(1) in ("-", "−") else letter
    try:
        return read(text)
    except Unreadable as failure:
        raise Unreadable(failure.message, at + (failure.at or 0)) from None
