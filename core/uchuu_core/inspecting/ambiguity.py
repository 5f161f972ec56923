"""Notation that is read in two ways: both readings, and the value of each."""

from typing import Any

from uchuu_core.failures import Failure
from uchuu_core.kernel.points import NotRational, Undefined, value_at
from uchuu_core.notation import plain, read
from uchuu_core.notation.brackets import Juxtaposition
from uchuu_core.tree.nodes import Line, Number, Power, Quotient, Relation, Signed, Sum
from uchuu_core.tree.paths import letters, walk


def ambiguities(text: str, rule: Juxtaposition) -> list[dict[str, Any]]:
    """Return what in *text* others may read differently; the reading taken stands first."""
    found = []
    other: Juxtaposition = "tighter" if rule == "equal" else "equal"
    here, there = read(text, juxtaposition=rule), _reading(text, other)
    if there is not None and here != there:
        found.append(
            {
                "says": "An unwritten multiplication stands behind a division: "
                + ("it is read with equal rank." if rule == "equal" else "it is read first."),
                "readings": [_shown(here), _shown(there)],
            }
        )
    if "÷" in text or r"\div" in text:
        if any(isinstance(p, Quotient) and p.mark == "/" for _, p in walk(here)):
            found.append(
                {
                    "says": "÷ and / stand in one line: / between two numbers is read as a "
                    "fraction bar, which binds first.",
                    "readings": [_shown(here)],
                }
            )
    if any(_is_minus_power(part) for _, part in walk(here)):
        found.append(
            {
                "says": "A minus stands before a power: the power belongs to the number only.",
                "readings": [_shown(here)],
            }
        )
    return found


def _reading(text: str, rule: Juxtaposition) -> Line | None:
    try:
        return read(text, juxtaposition=rule)
    except Failure:
        return None


def _is_minus_power(part: Line) -> bool:
    match part:
        case Signed("-", Power(Number(), _)):
            return True
        case Sum(terms):
            first = terms[0]
            return first.sign == "-" and isinstance(first.body, Power)
        case _:
            return False


def _shown(line: Line) -> dict[str, Any]:
    value = None
    if not letters(line) and not isinstance(line, Relation):
        try:
            value = str(value_at(line, {}))  # type: ignore[arg-type]
        except (Undefined, NotRational):
            value = "no value"
    return {"text": plain(line), "value": value}
