"""What is said, in the spelling of the teacher's country: sentences are written once, and spelt at the edge."""

import re
from typing import Any, Literal

Spelling = Literal["us", "uk"]

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


def spelled(text: str, spelling: Spelling) -> str:
    """Return *text* as it is spelt in the US or in the UK."""
    if spelling == "us":
        for british, american in _US:
            text = text.replace(british, american)
        return text
    for pattern, instead in _UK:
        text = pattern.sub(instead, text)
    return text


def spelled_record(found: Any, spelling: Spelling) -> Any:
    """Return an answer's record with its sentences and names spelt so; what somebody typed stays.

    A teacher's own error (its key begins with “own-”) is told in that teacher's words.
    """
    if isinstance(found, list):
        return [spelled_record(one, spelling) for one in found]
    if not isinstance(found, dict) or _is_own_error(found):
        return found
    return {key: _under(key, value, spelling) for key, value in found.items()}


def _is_own_error(found: dict[str, Any]) -> bool:
    keys = (found.get("id"), found.get("error"))
    return "name" in found and any(isinstance(k, str) and k.startswith("own-") for k in keys)


def _under(key: str, value: Any, spelling: Spelling) -> Any:
    if key in _SAID:
        if isinstance(value, str):
            return spelled(value, spelling)
        if isinstance(value, list) and all(isinstance(one, str) for one in value):
            return [spelled(one, spelling) for one in value]
    if key.endswith("parts") and isinstance(value, list):
        return [_piece(piece, spelling) for piece in value]
    return spelled_record(value, spelling)


def _piece(piece: dict[str, Any], spelling: Spelling) -> dict[str, Any]:
    return {"text": spelled(piece["text"], spelling)} if "text" in piece else piece
