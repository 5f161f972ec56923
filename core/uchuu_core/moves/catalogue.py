"""All moves by key, and the wording that teachers read of an error.

Adding a move is adding it to one topic file; a test holds that errors and wording have the same ids.
"""

import json
from dataclasses import dataclass
from functools import lru_cache
from importlib import resources

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.errors import (
    answers,
    common_factor,
    completing,
    copying,
    equations,
    expanding,
    exponents,
    factoring,
    found_otherwise,
    fraction_rules,
    fractions,
    near_forms,
    number_forms,
    order_of_operations,
    power_rules,
    products,
    quadratic_answers,
    quadratics,
    radicals,
    rational,
    root_rules,
    signs,
    solving,
    trinomials,
    undoing,
)
from uchuu_core.moves.laws import LAWS as _LAWS
from uchuu_core.moves.move import Common, Example, Move

ERRORS: tuple[Move, ...] = (
    *order_of_operations.ERRORS,
    *signs.ERRORS,
    *fractions.ERRORS,
    *expanding.ERRORS,
    *exponents.ERRORS,
    *radicals.ERRORS,
    *common_factor.ERRORS,
    *factoring.ERRORS,
    *trinomials.ERRORS,
    *rational.ERRORS,
    *equations.ERRORS,
    *quadratics.ERRORS,
    *completing.ERRORS,
    *solving.ERRORS,
    *found_otherwise.ERRORS,
    *answers.ERRORS,
    *fraction_rules.ERRORS,
    *products.ERRORS,
    *power_rules.ERRORS,
    *root_rules.ERRORS,
    *near_forms.ERRORS,
    *number_forms.ERRORS,
    *undoing.ERRORS,
    *quadratic_answers.ERRORS,
    *copying.ERRORS,
)
LAWS: tuple[Move, ...] = _LAWS
_BY_KEY = {error.key: error for error in ERRORS}


def error_named(key: str) -> Move:
    """Return the error with this id.

    Raises:
        KeyError: there is none.
    """
    return _BY_KEY[key]


def error_or_none(key: str) -> Move | None:
    """Return the error with this id, None for one of a teacher's own or a way to stop."""
    return _BY_KEY.get(key)


def commonness(key: str) -> Common:
    """Return how often the error *key* is met; OFTEN for one that a teacher added."""
    return _BY_KEY[key].common if key in _BY_KEY else Common.OFTEN


DUE: dict[str, Family] = {error.key: error.due for error in ERRORS}
"""The families of laws that each error distorts; NONE: it is met anywhere."""


@dataclass(frozen=True, slots=True)
class Wording:
    """What a teacher reads of an error; ``before``/``instead`` show its pattern."""

    id: str
    name: str
    topic: str
    type: str
    before: str
    instead: str
    when: str
    correct: str
    example: Example
    right: str
    why: str
    repair: str
    counter: str
    looks_like: tuple[tuple[str, str], ...]


@lru_cache(maxsize=1)
def wordings() -> dict[str, Wording]:
    """Return the wording of every error by id, in the order of the catalogue."""
    text = resources.files("uchuu_core.moves").joinpath("wording.json").read_text("utf-8")
    return {entry["id"]: _wording(entry) for entry in json.loads(text)}


def _wording(entry: dict) -> Wording:  # type: ignore[type-arg]
    example = entry["example"]
    return Wording(
        entry["id"],
        entry["name"],
        entry["topic"],
        entry["type"],
        entry["before"],
        entry["instead"],
        entry["when"],
        entry["correct"],
        Example(example["before"], example["wrong"]),
        example["right"],
        entry["why"],
        entry["repair"],
        _counter_text(entry["counter"]),
        tuple((item["id"], item["tell"]) for item in entry["looks_like"]),
    )


_TRUTH = {"true": "the line before holds", "false": "the line before does not hold"}


def _counter_text(counter: dict) -> str:  # type: ignore[type-arg]
    """Return the numbers that refute an error as a sentence, empty where its value is right."""
    if counter["kind"] == "none":
        return ""
    at = ", ".join(item.replace("=", " = ", 1) for item in counter["let"].split(","))
    if "value" in counter:
        value = counter["value"]
        if value == "undefined":
            return f"At {at} the line before has no value."
        return f"At {at} the value is {value}."
    before, after = (str(counter[side]).lower() for side in ("before", "instead"))
    if before in _TRUTH:
        other = "the wrong one does" if after == "true" else "the wrong one does not"
        return f"With {at} {_TRUTH[before]}; {other}."
    if "undefined" in (before, after):
        return f"With {at}: {before} before, {after} after."
    return f"With {at}: {before}, not {after}."
