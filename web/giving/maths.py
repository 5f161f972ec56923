"""Lines and sentences of the core, in every notation that a sheet is written in."""

import re
from collections.abc import Iterator
from contextlib import contextmanager
from contextvars import ContextVar
from dataclasses import replace
from typing import Any

from uchuu_core.failures import Failure
from uchuu_core.notation import mathml, plain, read, readable, typst
from uchuu_core.notation.sides import both_signs
from uchuu_core.notation.tokens import Decimal
from uchuu_core.notation.writers.latex import latex
from uchuu_core.tree.nodes import Either, Feature, Line, Outcome, Relation, ValueSet

from giving.records import Math, Piece

_decimal: ContextVar[Decimal] = ContextVar("decimal", default="point")
"""The house rule on decimals of the example that is being written."""


@contextmanager
def decimals(rule: Decimal) -> Iterator[None]:
    """Write decimals by this rule meanwhile."""
    token = _decimal.set(rule)
    try:
        yield
    finally:
        _decimal.reset(token)


def math_of(text: str) -> Math:
    """Return a line in every notation, decimals as the house rules have them; text where unreadable."""
    decimal = _decimal.get()
    try:
        return _in_all(read(text, None, "equal", decimal))
    except Failure:
        return Math(text)


def _in_all(line: Line) -> Math:
    found = Math(plain(line), latex(line), typst(line), mathml(line), readable(line))
    if isinstance(line, Relation):
        found = _cut(found, _sides(line))
        if both := both_signs(line):
            found = replace(found, tracks=tuple(map(_sides, both)), join="±")
    elif isinstance(line, Either) and line.is_or:
        first, *others = tracks = tuple(map(_sides, line.options))
        more = [f"{one['left']} {one['sign']} {one['right']}" for one in others]
        right = ' " or " '.join([first["right"], *more])
        found = replace(_cut(found, {**first, "right": right}), tracks=tracks)
    elif isinstance(line, Feature):
        found = replace(found, sign="")
    elif isinstance(line, Outcome | ValueSet):
        found = replace(found, sign="∴")
    return found if _decimal.get() == "point" else _with_commas(found)


def marked(math: Math, drawn: dict[str, Any]) -> Math:
    """Return *math* with the marks of a hand, as the core has drawn them; as it is where nothing is drawn."""
    if not drawn["typst"]:
        return math
    cut = drawn["typst_sides"]
    has_sides = bool(math.left)
    found = replace(
        math,
        latex=drawn["tex"],
        typst=drawn["typst"],
        mathml=f'<math xmlns="http://www.w3.org/1998/Math/MathML">{drawn["mathml"]}</math>',
        left=cut["left"] if has_sides else "",
        right=cut["right"] if has_sides else "",
        tracks=tuple(cut["tracks"]) if math.tracks and "tracks" in cut else math.tracks,
    )
    return found if _decimal.get() == "point" else _with_commas(found)


def _cut(math: Math, sides: dict[str, str]) -> Math:
    return replace(math, left=sides["left"], sign=sides["sign"], right=sides["right"])


def _sides(line: Relation) -> dict[str, str]:
    return {"left": typst(line.left), "sign": _SIGNS[line.sign], "right": typst(line.right)}


_POINT = re.compile(r"(?<=\d)\.(?=\d)")


def _with_commas(math: Math) -> Math:
    """Write every decimal with a comma."""
    signs = {
        "text": ",",
        "latex": "{,}",
        "mathml": ",",
        "inside": ",",
        "typst": '","',
        "left": '","',
        "right": '","',
    }
    written: dict[str, Any] = {
        name: _POINT.sub(sign, getattr(math, name)) for name, sign in signs.items()
    }
    tracks = [
        {name: _POINT.sub('","', side) for name, side in track.items()} for track in math.tracks
    ]
    return replace(math, **written, tracks=tuple(tracks))


_SIGNS = {"=": "=", "!=": "≠", "<": "<", ">": ">", "<=": "≤", ">=": "≥"}


def pieces_of(parts: list[dict[str, Any]]) -> list[Piece]:
    """Return a sentence of the core as words and mathematics in every notation."""
    return [
        Piece(
            part.get("text") or "", _in_all(read(part["math"]["text"])) if "math" in part else None
        )
        for part in parts
    ]
