"""The lines of a paper as they were written: mathematics, and the words around it."""

import re
from dataclasses import dataclass, replace

from uchuu_core.answers.checked import Entered
from uchuu_core.answers.sentences import Reading, Sides
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure, Unreadable
from uchuu_core.notation import latex, plain, shown, spoken
from uchuu_core.notation.features import starts_with_label
from uchuu_core.notation.remarks import Written, written
from uchuu_core.tree.nodes import Either, Line, Relation
from uchuu_core.tree.paths import letters

_EXPRESSIONS = ("simplify", "evaluate", "expand", "factor")
_CONDITION = re.compile(
    r"^(?P<line>.*[^\s,;(])[\s,;]*\(?\s*(?P<conditions>[^\W\d_]\s*(?:≠|!=|\\neq?\b)[^=<>]*?)\s*\)?$"
)
_ANSWER = re.compile(
    r"(?i)^\s*(?P<words>(?:(?:so|the|final|my)\s+)*(?:answer|ans|solution)\b)"
    r"\s*(?:is|:|=)*\s*(?P<value>[-−]?\s*\d[\d./]*?)\s*[.!]?\s*$"
)
NO_SIDES: Sides = {"left": "", "sign": "", "right": ""}


@dataclass(frozen=True, slots=True)
class Entry:
    """One written line.

    ``lines``: its statements, several where one leads to the next. ``rejects``: candidates that its
    words reject, read.
    """

    text: str
    lines: tuple[Line, ...]
    told: Written
    rejects: tuple[Line, ...] = ()


def readable_lines(problem: Problem) -> list[Entry | Failure]:
    """Return each line as an entry, or why it cannot be read."""
    known = letters_of_problem(problem)
    found: list[Entry | Failure] = []
    for text in problem.lines:
        try:
            found.append(entry_of(text, problem, known))
        except Failure as failure:
            found.append(failure)
    return found


def entry_of_line(line: Line) -> Entry:
    """Return a line that is already read as an entry."""
    return Entry("", (line,), Written())


def _with_condition(told: Written) -> Written:
    """Part "x - 3, x ≠ -3" into the line and the condition beside it."""
    found = _CONDITION.match(told.statements[0])
    if found is None or any(sign in found["line"] for sign in ("≠", "!=", "\\ne")):
        return told
    return replace(told, statements=(found["line"], found["conditions"]))


def shown_entry(entry: Entry) -> Entered:
    """Return what a screen needs of a line: its mathematics cut at the sign, and its words.

    ``remark``: the words; ``operation``: what is done to both sides; ``struck``: crossed out.
    """
    record: Entered = {"latex": "", "sides": NO_SIDES, "spoken": entry.told.remark}
    every = [*entry.lines, *entry.rejects]
    if every:
        first = shown(every[0])
        record = {**first}
        if len(every) > 1:
            leads_on = len(entry.lines) > 1 and not is_condition(entry.lines[-1])
            joint = r"\;\Rightarrow\; " if leads_on else r",\; "
            rest = "".join(joint + latex(line) for line in every[1:])
            sides = first["sides"]
            cut: Sides = {
                "left": sides["left"],
                "sign": sides["sign"],
                "right": sides["right"] + rest,
            }
            said = " then ".join(spoken(line) for line in every)
            record = {"latex": first["latex"] + rest, "sides": cut, "spoken": said}
    told = entry.told
    if every and told.remark:
        record["spoken"] = f"{record['spoken']}, {told.remark}"
    if every and (told.remark or told.operation):
        record["mathematics"] = ", ".join(plain(line) for line in every)
    if told.operation:
        record["operation"] = told.operation
        record["spoken"] = f"{record['spoken']} on both sides: {told.operation}".strip()
    if told.remark:
        record["remark"] = told.remark
    if told.is_struck:
        record |= {"struck": True, "spoken": f"crossed out: {told.remark}"}
    return record


def is_condition(line: Line) -> bool:
    """Return whether *line* says of values that they are excluded: "x ≠ 3"."""
    options = line.options if isinstance(line, Either) else (line,)
    return all(isinstance(option, Relation) and option.sign == "!=" for option in options)


def reading_of(problem: Problem) -> Reading:
    """Return how the given reads as it is written, a named function with its name."""
    given = problem.read(problem.given)
    return {"text": plain(given), **shown(given)}


def letters_of_problem(problem: Problem) -> frozenset[str]:
    """Return the problem's own letters; none when its given cannot be read."""
    more = {problem.variable} if problem.variable else set()
    more |= {"i"} if problem.numbers == "complex" else set()
    try:
        return letters(problem.read(problem.given)) | more
    except Failure:
        return frozenset(more)


def entry_of(text: str, problem: Problem, known: frozenset[str]) -> Entry:
    """Return *text* read as one line of *problem*, whose own letters are *known*.

    Raises:
        Unreadable, TooLarge: its mathematics cannot be read, and no words say what it is.
    """
    if problem.task == "study" and starts_with_label(text):
        return Entry(text, (problem.read(text),), Written((text,)))
    told = written(text, known, is_equation=problem.task == "solve")
    if problem.task in _EXPRESSIONS and len(told.statements) == 1:
        told = _with_condition(told)
    likely = known - {"i", "e", "π"}
    unknown = problem.variable or (next(iter(likely)) if len(likely) == 1 else None)
    answer = _ANSWER.match(text) if problem.task == "solve" and unknown else None
    if answer:
        told = Written((f"{unknown} = {answer['value']}",), answer["words"])
    try:
        lines = tuple(problem.read(part, unknown) for part in told.statements)
        rejects = tuple(problem.read(part, unknown) for part in told.rejects)
    except Unreadable as failure:
        if told.remark and not told.is_check and "=" not in "".join(told.statements):
            return Entry(text, (), Written(remark=text.strip()))
        if told.statements == (text,):
            raise
        raise Unreadable(failure.message) from None
    return Entry(text, lines, told, rejects)
