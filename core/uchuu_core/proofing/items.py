"""Finding the items of a key in a text: numbers, instructions, problems, options, lines and answers.

Plain text and LaTeX lists. Nothing is thrown away: what is no mathematics is kept as a note. What the
lines say is not decided here.
"""

import re
from collections.abc import Iterator
from dataclasses import dataclass, field

from uchuu_core import limits
from uchuu_core.contract import Task
from uchuu_core.failures import Failure, TooLarge
from uchuu_core.notation import read
from uchuu_core.proofing.instructions import is_instruction, is_words, parted, task_of
from uchuu_core.proofing.numbers import Numbering, numbering_of
from uchuu_core.tree.nodes import Chain, Either, Line, Relation
from uchuu_core.tree.paths import letters

CLAIM = "Read as a claim that both sides are equal. If the equation is to be solved, change what is asked."
MOST_ITEMS = 200
MOST_CHARACTERS = 200_000


@dataclass(slots=True)
class KeyItem:
    """One item of a key as it was found.

    Attributes:
        number: its number or name as written, "" without one.
        at: the line of the text where it begins, from 1.
        task: what is asked, guessed from the instruction over it or from its look.
        given: the problem's text.
        lines: what stands under it, the answer last.
        options: letter and text of each choice.
        chosen: the letter that the key calls right, "" where it names none.
        notes: words that belong to it and are no mathematics.
        reading: a sentence, where it could have been meant otherwise.
        frame: the number that it is a part of (``3`` for ``3b``).
        variable: the letter that it is to be solved for, where the words say so.
    """

    number: str
    at: int
    task: Task | None = None
    given: str = ""
    lines: list[str] = field(default_factory=list)
    options: list[tuple[str, str]] = field(default_factory=list)
    chosen: str = ""
    notes: list[str] = field(default_factory=list)
    reading: str = ""
    frame: str = ""
    variable: str | None = None


_OPTION = re.compile(r"^\s*\(?([A-Ha-h])\s*[.)]\s+(.*\S)\s*$")
_INLINE_OPTION = re.compile(r"(?:^|\s)\(?([A-Ha-h])[.)]\s+")
_ANSWER = re.compile(
    r"^\s*(?:final\s+)?(?:correct\s+)?(?:answer|ans|key|solution)\b\s*[:=.]?\s*(.*)$", re.I
)
_INLINE_ANSWER = re.compile(
    r"\s*(?:→|⇒|=>|->|(?<![=+*/^<>-])(?:\t+| {3,})(?![=+*/^<>])|\b(?:answer|ans)\s*[:.]\s*|[.;,]\s+(?=no |all |prime|cannot))\s*",
    re.I,
)
_ARROW = re.compile(r"^\s*(?:→|⇒|=>|->|∴|[•*]\s)\s*")
"""What may stand before a line; a minus is never a bullet."""


@dataclass(slots=True)
class Key:
    """A key or a sheet as it was read: its title, "" without one, and its items."""

    title: str
    items: list[KeyItem]


def key_of(text: str) -> Key:
    """Return the title and the items of a key in their order.

    Raises:
        TooLarge: more characters or items than the bounds.
    """
    if len(text) > MOST_CHARACTERS:
        raise TooLarge(f"A key of at most {MOST_CHARACTERS:,} characters is read at once.")
    lines = list(_without_latex_frame(text))
    numbers = numbering_of(lines)
    reader = _Reader(numbers, has_numbers=any(numbers.begins(line) for line in lines))
    for at, line in enumerate(lines, start=1):
        reader.read(at, line.strip())
    return Key(reader.title, [_settled(item) for item in reader.items])


def items_of(text: str) -> list[KeyItem]:
    """Return the items of a key; raises as ``key_of``."""
    return key_of(text).items


class _Reader:
    """Reads a text line by line."""

    def __init__(self, numbers: Numbering, *, has_numbers: bool) -> None:
        self.numbers = numbers
        self.has_numbers = has_numbers
        self.items: list[KeyItem] = []
        self.title = ""
        self.heading: Task | None = None

    def read(self, at: int, line: str) -> None:
        """Take one line."""
        if not line:
            return
        begins = self.numbers.begins(line)
        if begins:
            self._item(begins[0], at)
            _begin(self.items[-1], line[begins[1] :].strip())
        elif self._is_sub_item(line):
            letter, start = self.numbers.sub_item(line) or ("", 0)
            last = self.items[-1]
            frame = last.frame or last.number
            if not last.frame:  # a number that held only the instruction of its parts
                self.items.pop()
            self._item(f"{frame}{letter}", at, last.task)
            self.items[-1].frame = frame
            _begin(self.items[-1], line[start:].strip())
        elif is_instruction(line):
            self._instructed(line)
        elif self.items:
            _continue(self.items[-1], line)
        elif self.has_numbers or is_words(line):
            self.title = self.title or line.rstrip(":")
        else:
            self._item("", at)
            _begin(self.items[-1], line)

    def _item(self, number: str, at: int, task: Task | None = None) -> None:
        self.items.append(KeyItem(number, at, task or self.heading))
        if len(self.items) > MOST_ITEMS:
            raise TooLarge(f"At most {MOST_ITEMS} items are read at once.")

    def _is_sub_item(self, line: str) -> bool:
        """Whether a letter begins a part: under a number without a problem, or after such a part."""
        found = self.numbers.sub_item(line)
        if found is None or not self.items:
            return False
        last = self.items[-1]
        if not last.given and not last.lines and not last.options and found[0] == "a":
            return True
        return bool(last.frame) and last.number == f"{last.frame}{chr(ord(found[0]) - 1)}"

    def _instructed(self, line: str) -> None:
        """An instruction alone: for an item that waits for its problem, else for what follows."""
        if self.items and not self.items[-1].given and not self.items[-1].lines:
            self.items[-1].task = task_of(line)
        else:
            self.heading = task_of(line)


def _without_latex_frame(text: str) -> Iterator[str]:
    r"""Yield the lines of *text* without ``\begin``, ``\item``, ``$`` and the like."""
    number = 0
    body = re.split(r"\\begin\{document\}", text, maxsplit=1)[-1]
    is_latex = re.search(r"\\(?:begin|item|documentclass)\b", text) is not None
    for line in body.replace("\r\n", "\n").replace("\r", "\n").split("\n"):
        if is_latex:  # elsewhere a per cent sign is one
            line = re.sub(r"(?<!\\)%.*$", "", line)
        if re.search(r"\\begin\{enumerate\}", line):
            number = 0
        line = re.sub(
            r"\\(?:begin|end)\{[a-zA-Z*]+\}(?:\[[^\]]*\])?|\\(?:usepackage|documentclass).*",
            "",
            line,
        )
        line = re.sub(r"\\(?:section|title|textbf|textit|emph|text)\*?\{([^{}]*)\}", r" \1 ", line)
        while item := re.search(r"\\item(?:\[([^\]]*)\])?", line):
            number += 1
            line = f"{line[: item.start()]}\n{item[1] or f'{number}.'} {line[item.end() :]}"
        line = re.sub(r"\\[\[\]()]|\$\$?|(?<!\\)&|\\displaystyle|\\quad|\\qquad|\\hfill", " ", line)
        yield from re.split(r"\\\\(?:\[[^\]]*\])?|\n", line)


def _begin(item: KeyItem, text: str) -> None:
    """Read what stands beside an item's number."""
    if is_instruction(text):
        item.task = task_of(text)
        return
    text, *behind = re.split(r"(?:(?<=[a-z][.:;,])|(?<=[a-z]{3}))\s{2,}", text, maxsplit=1)
    if behind and is_instruction(text):
        text, behind = f"{text} {behind[0]}", []
    task, rest = parted(text)
    item.task = task or item.task
    letter = re.search(
        r"(?i)\b(?:solve|find|make|isolate)\b[^:=]*?\b(?:for )?([a-z])\b\s*(?:[:,]|in\b|the subject)",
        text,
    )
    item.variable = letter.group(1) if letter and item.task == "solve" else None
    if not rest:
        return
    given, *answers = [part for part in _INLINE_ANSWER.split(rest) if part.strip()] or [""]
    if (inline := _INLINE_OPTION.search(given)) and inline.start() > 0:
        given, answers = given[: inline.start()], [given[inline.start() :], *answers]
    item.given = given.strip().rstrip(".;,") if not given.strip().endswith("...") else given.strip()
    for answer in (*answers, *behind):
        _continue(item, answer)


def _continue(item: KeyItem, text: str) -> None:
    """Read a further line of an item."""
    text = _ARROW.sub("", text).strip()
    if answer := _ANSWER.match(text):
        text = answer.group(1).strip()
        if item.options and re.fullmatch(r"\(?[A-Ha-h][.)]?", text):
            item.chosen = text.strip("().").lower()
            return
        if not text:
            return
    options = list(_INLINE_OPTION.finditer(text))
    if len(options) > 1 or (options and _OPTION.match(text)):
        ends = [*(match.start() for match in options[1:]), len(text)]
        for match, end in zip(options, ends, strict=True):
            item.options.append((match.group(1).lower(), text[match.end() : end].strip(" ;,")))
        return
    text = _ARROW.sub("", text).rstrip(";").strip()
    if not text:
        return
    if not item.given and not item.lines:
        _begin(item, text)
    elif is_words(text):
        item.notes.append(text)
    else:
        item.lines.append(text[:-1] if text.endswith(".") and not text[-2:-1].isdigit() else text)


def _settled(item: KeyItem) -> KeyItem:
    """Settle what is asked, and part a problem from the answer that stands behind its equals sign."""
    try:
        line = read(item.given)
    except Failure:
        line = None
    if item.task is None:
        item.task = _guessed(line)
        if item.task == "solve" and _is_claim(line, item):
            item.task = "simplify"
            item.reading = CLAIM
    if item.task == "solve":
        parted_list = re.match(r"^(.*=.*?)[,;]\s*([A-Za-z](?:_\d)?\s*=.*)$", item.given)
        if parted_list:
            item.given = parted_list.group(1).strip()
            item.lines.insert(0, parted_list.group(2).strip())
    elif isinstance(line, (Relation, Chain)) and not _names_function(line, item.task):
        given, *rest = item.given.split("=")
        item.given = given.strip()
        item.lines[:0] = [part.strip() for part in rest if part.strip()]
    item.lines = item.lines[: limits.LINES]
    return item


def _names_function(line: Line, task: Task | None) -> bool:
    """Whether the equals sign only names a function: ``f(x) = …`` to be studied."""
    return task == "study" or (task == "domain" and isinstance(line, Relation))


def _is_claim(line: object, item: KeyItem) -> bool:
    """Whether A = B, with the same letters on both sides and nothing to be solved, claims equality."""
    if not isinstance(line, Relation) or line.sign != "=":
        return False
    names = letters(line.left)
    if not names or names != letters(line.right):
        return False
    return not any(re.match(r"\s*(?:[a-z]\s*[=≠<>]|no |all |\{)", text) for text in item.lines)


def _guessed(line: object) -> Task:
    if isinstance(line, (Relation, Chain, Either)):
        return "solve"
    if line is not None and not letters(line):  # type: ignore[arg-type]
        return "evaluate"
    return "simplify"
