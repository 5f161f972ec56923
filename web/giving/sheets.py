"""A sheet: what a set gives to a class, with everything on it proved, ready for any writer.

A key never shows a teacher's own lines unless they are right and finished; else the problem is worked
anew. What cannot be worked says so in its place.
"""

from dataclasses import replace
from random import Random
from typing import Any

from asking.asker import Asker
from sets.models import ProblemSet, SetItem
from sets.problems import asker_of
from uchuu_core.failures import Failure
from uchuu_core.lawbook.spelling import Wording, worded
from uchuu_core.notation import read
from uchuu_core.tree.nodes import Feature

from giving.maths import decimals, marked, math_of, pieces_of
from giving.records import (
    Choice,
    Held,
    Leaving,
    Math,
    Mistake,
    Piece,
    Sheet,
    SheetItem,
    Wish,
    Written,
)

TASKS = {
    "evaluate": "Evaluate",
    "simplify": "Simplify",
    "factor": "Factor",
    "expand": "Expand",
    "solve": "Solve",
    "domain": "Find the domain",
    "study": "Study the function",
}
LETTERS = "abcdefgh"
MOST_ROOM = 24
"""Lines of answer space that fit on one page under their problem."""


def sheet_of(stored: ProblemSet, wish: Wish) -> Sheet:
    """Return the set as the sheet that is wished for."""
    asker = asker_of(stored)
    items = [
        _item(asker, item, number, wish) for number, item in enumerate(stored.items.all(), start=1)
    ]
    _spread_letters(items, wish.seed)
    return Sheet(
        stored.title, stored.form, stored.instruction, wish.what, wish.room, wish.paper, items
    )


def _spread_letters(items: list[SheetItem], seed: int) -> None:
    """Let the right answers of a sheet fall on every letter about as often, in no order to guess."""
    asked = [item for item in items if item.choices]
    most = max((len(item.choices) for item in asked), default=1)
    places = [number % most for number in range(len(asked))]
    Random(seed).shuffle(places)
    for item, place in zip(asked, places, strict=True):
        right = [choice for choice in item.choices if choice.right]
        others = [choice for choice in item.choices if not choice.right]
        place %= len(item.choices)
        others[place:place] = right
        item.choices = [
            replace(choice, letter=letter) for letter, choice in zip(LETTERS, others, strict=False)
        ]


def sheets_of(stored: ProblemSet, wish: Wish) -> list[Sheet]:
    """Return the sheet, or those of all its parallel versions where they are wished for."""
    if not wish.versions:
        return [sheet_of(stored, wish)]
    first = stored.made_from if stored.form and stored.made_from else stored
    others = first.versions.filter(form__gt="").order_by("form")
    return [sheet_of(one, wish) for one in (first, *others) if one.deleted is None]


def _item(asker: Asker, item: SetItem, number: int, wish: Wish) -> SheetItem:
    with decimals(asker.record(item.example)["house"].get("decimal") or "point"):
        return _written_item(asker, item, number, wish)


def _written_item(asker: Asker, item: SetItem, number: int, wish: Wish) -> SheetItem:
    example = item.example
    found = SheetItem(
        number,
        example.task,
        worded(TASKS[example.task], Wording.of(asker.record(example)["house"])),
        math_of(example.given),
        item.instruction,
        item.marks,
    )
    try:
        worked = asker.ask("work", example)
        found.room = min(MOST_ROOM, max(len(worked["lines"]) + 1, 2 * (item.marks or 0)))
        found.answer = math_of(worked["answer"])
        if example.task == "study":
            texts = [line["text"] for line in worked["lines"]]
            found.features = [math_of(text) for text in texts if _is_feature(text)]
        if worked["outcome"] == "prime":
            found.answer = math_of("prime")
        if wish.what in ("key", "slides"):
            texts, numbers, found.lines = _lines(asker, item, wish)
            if wish.marks:
                _draw(found, asker.ask("draw", example, lines=texts)["lines"], numbers)
            if wish.beside:
                works = asker.ask("beside", example, lines=texts)["works"]
                found.beside = [_beside(one, numbers) for one in works if one["line"] in numbers]
            if wish.what == "key":
                found.checks = _checks(asker, item, texts)
            if wish.what == "key" and wish.forks:
                found.leavings = _leavings(asker, item, texts, numbers)
        if wish.what == "choices":
            found.choices = _choices(asker, item, wish)
        if wish.what == "mistakes":
            found.mistake = _mistake(asker, item, wish)
    except Failure as failure:
        found.refused = failure.message
    return found


def _lines(asker: Asker, item: SetItem, wish: Wish) -> tuple[list[str], list[int], list[Written]]:
    """Return the lines that the key is made of, and those that it shows: their numbers, and as they are written."""
    texts = [line.text for line in item.example.lines.all()]
    if texts and wish.density is None:
        own = asker.ask("check", item.example, lines=texts)
        answer = own["answer"]
        if own["first_wrong"] is None and answer["right"] and answer["finished"]:
            mine = item.example.reasons
            shown = {n: one for n, one in enumerate(own["lines"], 1) if not one.get("struck")}
            written = [
                Written(_math_of_line(line), _says(line, mine.get(line["text"])), _mark(line))
                for line in shown.values()
            ]
            return texts, list(shown), written
    record = asker.record(item.example)
    house = record["house"] | ({"density": wish.density} if wish.density else {})
    worked = asker.ask("work", item.example, house=house)
    texts = [line["text"] for line in worked["lines"]]
    written = [
        Written(math_of(line["text"]), pieces_of(line["parts"]), _mark(line))
        for line in worked["lines"]
    ]
    return texts, list(range(1, len(texts) + 1)), written


def _draw(item: SheetItem, drawn: list[dict[str, Any]], numbers: list[int]) -> None:
    """Put the marks of a hand on the given and on the lines that are shown."""
    item.given = marked(item.given, drawn[0])
    item.lines = [
        replace(line, math=marked(line.math, drawn[number]))
        for line, number in zip(item.lines, numbers, strict=True)
    ]


def _beside(work: dict[str, Any], numbers: list[int]) -> dict[str, Any]:
    return {**work, "line": numbers.index(work["line"]) + 1, "says": pieces_of(work["parts"])}


def _mark(line: dict[str, Any]) -> Any:
    if line["verdict"] == "may-add":
        return "may-add"
    return "condition" if line.get("if") else "ok"


def _checks(asker: Asker, item: SetItem, texts: list[str]) -> list[Held]:
    """Return the candidates of a solved equation, held against the given, as far as the house asks for checks.

    A candidate that fails is always shown.
    """
    if item.example.task != "solve":
        return []
    found = asker.ask("check", item.example, lines=texts)
    rule = asker.record(item.example)["house"].get("checks") or "every"
    may_add = any(line["verdict"] == "may-add" for line in found["lines"])
    asked_for = rule == "every" or (rule == "where-needed" and may_add)
    return [
        Held(
            math_of(check["value"]),
            [math_of(line["text"]) for line in check["left_lines"]],
            [math_of(line["text"]) for line in check["right_lines"]],
            check["holds"],
            check["says"],
        )
        for check in found["checks"]
        if asked_for or not check["holds"]
    ]


def _is_feature(text: str) -> bool:
    try:
        return isinstance(read(text), Feature)
    except Failure:
        return False


def _says(line: dict[str, Any], own: str | None) -> list[Piece]:
    """Return what is said of a line: the teacher's own words first."""
    return [Piece(own)] if own else pieces_of(line.get("parts") or [])


def _math_of_line(line: dict[str, Any]) -> Math:
    """Return a judged line: its mathematics; as words where it is a remark or done to both sides."""
    if line.get("operation") and not line.get("mathematics"):
        return Math(f"{line['operation']}    {line['operation']}")
    return math_of(line.get("mathematics") or line["text"])


def _leavings(asker: Asker, item: SetItem, texts: list[str], numbers: list[int]) -> list[Leaving]:
    """Return where students leave the lines *texts*, by the place among those that are shown."""
    found = asker.ask("forks", item.example, lines=texts)["forks"]
    return [
        Leaving(
            sum(number <= fork["after"] for number in numbers),
            fork["name"],
            math_of(fork["wrong"]),
            math_of(fork["ends_in"]) if fork["ends_in"] else None,
        )
        for fork in found
        if not fork.get("hidden")
    ][:4]


def _choices(asker: Asker, item: SetItem, wish: Wish) -> list[Choice]:
    found = asker.ask("choices", item.example, seed=wish.seed)["choices"]
    return [
        Choice(
            letter,
            math_of(choice["text"]),
            choice["right"],
            choice.get("name") or "",
            choice.get("because") or "",
        )
        for letter, choice in zip(LETTERS, found, strict=False)
    ]


def _mistake(asker: Asker, item: SetItem, wish: Wish) -> Mistake:
    found = asker.ask("mistake", item.example, seed=wish.seed, error=None)
    return Mistake(
        [math_of(line["text"]) for line in found["lines"]],
        found["mistake_at"],
        found["name"],
        found["because"] or "",
        math_of(found["instead"]) if found["instead"] else None,
    )
