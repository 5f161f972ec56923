"""What is said, in the spelling and the words of the course: sentences are written once, and worded at the edge."""

import re
from collections.abc import Mapping
from dataclasses import dataclass, fields
from typing import Any, Literal

Spelling = Literal["us", "uk"]
Removing = Literal["divide-out", "cancel"]
Undoing = Literal["inverse", "undo"]


@dataclass(frozen=True, slots=True)
class Wording:
    """How sentences are worded.

    Attributes:
        spelling: rationalize and factor, or rationalise and factorise.
        removing: whether a common factor is divided out, or cancelled.
        undoing: whether dividing is the inverse of multiplying, or undoes it.
    """

    spelling: Spelling = "us"
    removing: Removing = "divide-out"
    undoing: Undoing = "inverse"

    @staticmethod
    def of(house: Mapping[str, Any]) -> "Wording":
        """Return the wording that house rules, as a record, ask for."""
        names = [field.name for field in fields(Wording)]
        return Wording(**{name: house[name] for name in names if name in house})


_CANCEL = (
    ("ivided out", "ancelled"),
    ("ividing out", "ancelling"),
    ("ivides out", "ancels"),
    ("ivide out", "ancel"),
)
_INVERSE = (
    (re.compile(r"\bundoes\b"), "is the inverse of"),
    (re.compile(r"\bundo each other"), "are inverses of each other"),
)

_US = (
    ("ationalis", "ationaliz"),
    ("ehaviour", "ehavior"),
    ("eighbour", "eighbor"),
    ("ecognis", "ecogniz"),
    ("ancelled", "anceled"),
    ("ancelling", "anceling"),
)
_UK = (
    (re.compile(r"\b([Ff])actored\b"), r"\1actorised"),
    (re.compile(r"\b([Ff])actoring\b"), r"\1actorising"),
    (re.compile(r"\b(not|and|or|to|cannot|can|then|first|it) factor\b"), r"\1 factorise"),
    (re.compile(r"\bit factors\b"), "it factorises"),
    (re.compile(r"(?:^|(?<=[.:?!] ))Factor\b(?!s)"), "Factorise"),
)
"""“Factor” is a noun in both countries; the verb is not."""
_SAID = frozenset(
    ("says", "because", "counter", "why", "notice", "ask", "say", "name", "law_name", "note", "apart")
    + ("tested", "kind", "repair", "doubt_name", "reading", "also_names", "reasons", "instead_says")
)  # fmt: skip


def worded(text: str, wording: Wording) -> str:
    """Return *text* in the words and the spelling of a course."""
    if wording.removing == "cancel":
        for divide, cancel in _CANCEL:
            text = text.replace("D" + divide, "C" + cancel).replace("d" + divide, "c" + cancel)
    if wording.undoing == "inverse":
        for undo, inverse in _INVERSE:
            text = undo.sub(inverse, text)
    return _spelled(text, wording.spelling)


def _spelled(text: str, spelling: Spelling) -> str:
    if spelling == "us":
        for british, american in _US:
            text = text.replace(british, american)
        return text
    for pattern, instead in _UK:
        text = pattern.sub(instead, text)
    return text


def worded_record(found: Any, wording: Wording) -> Any:
    """Return an answer's record with its sentences and names worded so; what somebody typed stays.

    A teacher's own error (its key begins with “own-”) is told in that teacher's words.
    """
    if isinstance(found, list):
        return [worded_record(one, wording) for one in found]
    if not isinstance(found, dict) or _is_own_error(found):
        return found
    return {key: _under(key, value, wording) for key, value in found.items()}


def _is_own_error(found: dict[str, Any]) -> bool:
    keys = (found.get("id"), found.get("error"))
    return "name" in found and any(isinstance(k, str) and k.startswith("own-") for k in keys)


def _under(key: str, value: Any, wording: Wording) -> Any:
    if key in _SAID:
        if isinstance(value, str):
            return worded(value, wording)
        if isinstance(value, list) and all(isinstance(one, str) for one in value):
            return [worded(one, wording) for one in value]
    if key.endswith("parts") and isinstance(value, list):
        return [_piece(piece, wording) for piece in value]
    return worded_record(value, wording)


def _piece(piece: dict[str, Any], wording: Wording) -> dict[str, Any]:
    return {"text": worded(piece["text"], wording)} if "text" in piece else piece
