"""A sheet: what a set gives to a class, with everything on it proved, ready for any writer.

A key never shows a teacher's own lines unless they are right and finished; else the problem is worked
anew. What cannot be worked says so in its place.
"""

import re
from contextvars import ContextVar
from dataclasses import asdict, dataclass, field, replace
from random import Random
from typing import Any, Literal

from asking.asker import Asker
from sets.models import ProblemSet, SetItem
from sets.problems import asker_of
from uchuu_core.failures import Failure
from uchuu_core.notation import mathml, plain, read, readable, typst
from uchuu_core.notation.tokens import Decimal
from uchuu_core.notation.writers.latex import latex
from uchuu_core.tree.nodes import Either, Feature, Line, Outcome, Relation, ValueSet

What = Literal["handout", "short", "key", "mistakes", "choices", "slides"]
Room = Literal["lines", "grid", "none"]
Density = Literal["fine", "board", "key"]
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


_decimal: ContextVar[Decimal] = ContextVar("decimal", default="point")
"""The house rule on decimals of the example that is being written."""


@dataclass(frozen=True, slots=True)
class Math:
    """A line in every notation; only ``text`` where it cannot be read.

    ``inside``: how it is written inside a sentence that is plain text.
    ``left``, ``right``: the Typst of its sides, "" where it is no relation; ``sign``: on what it hangs.
    ``tracks``: the relations that "or" joins, each with its sides.
    """

    text: str
    latex: str = ""
    typst: str = ""
    mathml: str = ""
    inside: str = ""
    left: str = ""
    sign: str = "="
    right: str = ""
    tracks: tuple[dict[str, str], ...] = ()


@dataclass(frozen=True, slots=True)
class Piece:
    """A piece of a sentence: words, or mathematics where ``math`` is given."""

    text: str
    math: Math | None = None


@dataclass(frozen=True, slots=True)
class Written:
    """A line of a worked key, with what is said of it."""

    math: Math
    says: list[Piece] = field(default_factory=list)


@dataclass(frozen=True, slots=True)
class Leaving:
    """Where students leave: after line ``after`` (0: the given), the wrong line, where it ends."""

    after: int
    name: str
    wrong: Math
    ends: Math | None


@dataclass(frozen=True, slots=True)
class Choice:
    """A choice of a question; ``because`` is the reason behind a distractor."""

    letter: str
    math: Math
    right: bool
    name: str = ""
    because: str = ""


@dataclass(frozen=True, slots=True)
class Mistake:
    """A planted mistake: the lines, where it stands, its name, and what should stand there."""

    lines: list[Math]
    at: int
    name: str
    because: str
    instead: Math | None


@dataclass(slots=True)
class SheetItem:
    """One problem on a sheet."""

    number: int
    task: str
    task_words: str
    given: Math
    instruction: str = ""
    marks: int | None = None
    room: int = 4
    answer: Math | None = None
    lines: list[Written] = field(default_factory=list)
    leavings: list[Leaving] = field(default_factory=list)
    choices: list[Choice] = field(default_factory=list)
    mistake: Mistake | None = None
    refused: str = ""


@dataclass(slots=True)
class Sheet:
    """A whole sheet; ``total`` counts the marks."""

    title: str
    form: str
    instruction: str
    what: What
    room: Room
    paper: str
    items: list[SheetItem]

    @property
    def has_key_apart(self) -> bool:
        """Whether what students get comes first and the key after it."""
        return self.what in ("choices", "mistakes")

    @property
    def total(self) -> int:
        """All marks."""
        return sum(item.marks or 0 for item in self.items)

    def as_record(self) -> dict[str, Any]:
        """Return it as JSON values."""
        return {**asdict(self), "total": self.total}


@dataclass(frozen=True, slots=True)
class Wish:
    """How a sheet is wanted."""

    what: What = "handout"
    room: Room = "lines"
    density: Density | None = None
    forks: bool = False
    paper: Literal["a4", "us-letter"] = "a4"
    seed: int = 1


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


def _item(asker: Asker, item: SetItem, number: int, wish: Wish) -> SheetItem:
    token = _decimal.set(asker.record(item.example)["house"].get("decimal") or "point")
    try:
        return _written_item(asker, item, number, wish)
    finally:
        _decimal.reset(token)


def _written_item(asker: Asker, item: SetItem, number: int, wish: Wish) -> SheetItem:
    example = item.example
    found = SheetItem(
        number,
        example.task,
        TASKS[example.task],
        math_of(example.given),
        item.instruction,
        item.marks,
    )
    try:
        worked = asker.ask("work", example)
        found.room = len(worked["lines"]) + 1
        found.answer = math_of(worked["answer"])
        if worked["outcome"] == "prime":
            found.answer = math_of("prime")
        if wish.what in ("key", "slides"):
            found.lines = _lines(asker, item, wish)
        if wish.what == "key" and wish.forks:
            found.leavings = _leavings(asker, item)
        if wish.what == "choices":
            found.choices = _choices(asker, item, wish)
        if wish.what == "mistakes":
            found.mistake = _mistake(asker, item, wish)
    except Failure as failure:
        found.refused = failure.message
    return found


def _lines(asker: Asker, item: SetItem, wish: Wish) -> list[Written]:
    texts = [line.text for line in item.example.lines.all()]
    if texts and wish.density is None:
        own = asker.ask("check", item.example, lines=texts)
        answer = own["answer"]
        if own["first_wrong"] is None and answer["right"] and answer["finished"]:
            mine = item.example.reasons
            return [
                Written(_math_of_line(line), _says(line, mine.get(line["text"])))
                for line in own["lines"]
                if not line.get("struck")
            ]
    record = asker.record(item.example)
    house = record["house"] | ({"density": wish.density} if wish.density else {})
    worked = asker.ask("work", item.example, house=house)
    return [Written(math_of(line["text"]), pieces_of(line["parts"])) for line in worked["lines"]]


def _says(line: dict[str, Any], own: str | None) -> list[Piece]:
    """Return what is said of a line: the teacher's own words first."""
    return [Piece(own)] if own else pieces_of(line.get("parts") or [])


def _math_of_line(line: dict[str, Any]) -> Math:
    """Return a judged line: its mathematics; as words where it is a remark or done to both sides."""
    if line.get("operation") and not line.get("mathematics"):
        return Math(f"{line['operation']}    {line['operation']}")
    return math_of(line.get("mathematics") or line["text"])


def _leavings(asker: Asker, item: SetItem) -> list[Leaving]:
    found = asker.ask("forks", item.example)["forks"]
    return [
        Leaving(
            fork["after"],
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
