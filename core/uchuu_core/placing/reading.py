"""What came in, read: each answer as a line, held against the original, equal ones together."""

import re
from collections.abc import Sequence
from dataclasses import dataclass, field, replace
from typing import Literal

from uchuu_core.checking.bare_answers import as_answer, is_same_answer
from uchuu_core.checking.context import Context, with_unknown
from uchuu_core.checking.entries import Entry, readable_lines
from uchuu_core.checking.paper import check
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Either, Line, Mixed, Number, Quotient, Relation, Signed, Symbol
from uchuu_core.tree.paths import letters

Standing = Literal["right", "unfinished", "wrong", "unreadable", "blank"]

_BLANK = re.compile(r"(?i)[\s.?_/–—-]*|\(?blank\)?|\(?empty\)?|idk|n/?a")


@dataclass(slots=True)
class Group:
    """Equal answers: where they stand, the line that they are (None: no mathematics), who gave them."""

    standing: Standing
    line: Line | None
    text: str
    members: list[int] = field(default_factory=list)


@dataclass(frozen=True, slots=True)
class _Read:
    standing: Standing
    line: Line | None
    text: str


def grouped(answers: Sequence[str], context: Context) -> list[Group]:
    """Return the groups of equal *answers*, the largest first, then as they came in.

    Two answers are equal when they have the same value, or the same solutions, in any notation and
    order; what is right but not finished stands apart from what is finished.
    """
    known: dict[str, Group] = {}
    groups: list[Group] = []
    for number, text in enumerate(answers):
        text = text.strip()
        group = known.get(text)
        if group is None:
            read = _read(text, context)
            group = next((one for one in groups if _is_equal(one, read, context)), None)
            if group is None:
                group = Group(read.standing, read.line, read.text)
                groups.append(group)
            known[text] = group
        group.members.append(number)
    return sorted(groups, key=lambda group: (-len(group.members), group.members[0]))


def _read(text: str, context: Context) -> _Read:
    if _BLANK.fullmatch(text):
        return _Read("blank", None, "")
    line = line_of(text, context)
    if line is None:
        return _Read("unreadable", None, text)
    found = check(replace(_problem(text, context), explains=False))
    answer, judged = found["answer"], found["lines"][0]
    if answer["right"]:
        is_done = answer["finished"] or (_is_number(line) and not context.problem.form)
        return _Read("right" if is_done else "unfinished", line, text)
    if judged["verdict"] == "unreadable" or judged.get("remark"):
        return _Read("unreadable", None, text)
    if judged["verdict"] == "unproved" or judged.get("role", "chain") == "remark":
        return _Read("unreadable", None, text)
    return _Read("wrong", line, text)


def _problem(text: str, context: Context) -> Problem:
    return context.problem_with([as_answer(text, context)])


def line_of(text: str, context: Context) -> Line | None:
    """Return the statement that an answer is, as the problem's context reads it; None where there is none, or a letter that is not known.

    A letter alone is the choice of somebody, or a name: nothing to be judged.
    """
    if len(text) == 1 and text.isalpha() and text not in context.ring.names:
        return None
    try:
        (entry,) = readable_lines(_problem(text, context))
    except Failure:
        return None
    if not isinstance(entry, Entry) or not entry.lines:
        return None
    return with_unknown(entry.lines[-1], context.unknown, letters(context.given))


def _is_equal(group: Group, read: _Read, context: Context) -> bool:
    if group.standing != read.standing:
        return False
    if group.line is None or read.line is None:
        return group.text.casefold() == read.text.casefold()
    if context.problem.task == "domain" and group.standing == "right":
        return True
    return is_same_answer(group.line, read.line, context)


def _is_number(line: Line) -> bool:
    """Whether *line* gives plain numbers, in whatever notation: ``2/4``, ``0.5``, ``-1 1/2``."""
    match without_brackets(line):
        case Either(options):
            return all(_is_number(option) for option in options)
        case Relation(Symbol(), "=", right):
            return _is_number(right)
        case Signed(_, body):
            return _is_number(body)
        case Quotient(top, bottom):
            return _is_number(top) and isinstance(without_brackets(bottom), Number)
        case Number() | Mixed():
            return True
        case _:
            return False
