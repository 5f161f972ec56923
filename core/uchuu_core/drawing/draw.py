"""The operation ``draw``: lines with the marks of a hand."""

from dataclasses import dataclass, field
from typing import Any

from uchuu_core.answers.drawn import DrawnLine, DrawnLines, DrawnMark
from uchuu_core.checking.entries import Entry, readable_lines
from uchuu_core.contract import Problem
from uchuu_core.drawing.finding import is_term
from uchuu_core.drawing.mark import Mark
from uchuu_core.drawing.placing import marks_of, marks_of_error
from uchuu_core.drawing.rounds import (
    OnLine,
    drawn,
    end_in_latex,
    end_in_mathml,
    end_in_typst,
    in_latex,
    in_mathml,
    in_typst,
    rounds,
)
from uchuu_core.drawing.steps import DrawnStep, steps_of
from uchuu_core.drawing.words import in_words
from uchuu_core.failures import Failure
from uchuu_core.lawbook.says import Says
from uchuu_core.notation import latex, mathml, plain, spoken, typst
from uchuu_core.notation.decorating import copied, decorating
from uchuu_core.notation.sides import sides
from uchuu_core.tree.nodes import Chain, Line, Relation
from uchuu_core.tree.paths import Path

_MATH = '<math xmlns="http://www.w3.org/1998/Math/MathML">'


@dataclass
class _Paper:
    """A line as it stands on paper, and what is drawn on it and at the step to it."""

    line: Line | None
    text: str
    on_it: list[OnLine] = field(default_factory=list)
    says: Says = field(default_factory=Says)
    at_step: list[tuple[int, OnLine]] = field(default_factory=list)


def draw(problem: Problem) -> DrawnLines:
    """Return the given and the lines, with what a hand would mark on them from step to step.

    Raises:
        Unreadable, TooLarge: the given itself cannot be read (a line that cannot is left without marks).
    """
    entries = readable_lines(problem)
    given = problem.read(problem.given)
    papers = [_Paper(given, plain(given))]
    papers += [_paper(entry, text) for entry, text in zip(entries, problem.lines, strict=True)]
    for step in steps_of(problem):
        paper = papers[step.number]
        marks = _marks(step)
        paper.says = in_words(marks, step.above, step.line)
        for mark in marks:
            on = step.number if mark.is_here else step.above_number
            to = _name(on, mark.to) if mark.to is not None else ""
            line = step.line if mark.is_here else step.above
            one = OnLine(mark, _name(on, mark.at), to, is_term(line, mark.at))
            papers[on].on_it.append(one)
            paper.at_step.append((on, one))
    solves = problem.task == "solve"
    return {"lines": [_record(paper, number, solves) for number, paper in enumerate(papers)]}


def _paper(entry: Entry | Failure, text: str) -> _Paper:
    """Return a line as it is drawn on: one statement, no words."""
    alone = isinstance(entry, Entry) and len(entry.lines) == 1
    return _Paper(entry.lines[0] if alone else None, text)  # type: ignore[union-attr]


def _marks(step: DrawnStep) -> list[Mark]:
    if step.says is not None:
        return marks_of(step.above, step.line, step.says)
    return marks_of_error(step.above, step.line, step.error) if step.error else []


def _name(line: int, path: Path) -> str:
    return "-".join(map(str, ("m", line, *path)))


def _record(paper: _Paper, number: int, solves: bool) -> DrawnLine:
    found: DrawnLine = {
        "text": paper.text,
        "sides": {"left": "", "sign": "", "right": ""},
        "marks": [_mark_record(on, one) for on, one in paper.at_step],
        "says": paper.says.text,
        "parts": paper.says.parts,
        "typst": "",
        "typst_sides": {"left": "", "sign": "", "right": ""},
        "tex": "",
        "mathml": "",
    }
    if paper.line is None:
        return found
    line: Any = copied(paper.line)
    with decorating(rounds(line, paper.on_it, lambda path: _name(number, path))):
        found["sides"] = sides(line)
        if not solves and isinstance(
            line, (Relation, Chain)
        ):  # such a line hangs on the spine as a whole
            found["sides"] = {"left": "", "sign": "=", "right": latex(line)}
    with decorating(drawn(line, paper.on_it, in_typst, end_in_typst)):
        found["typst"], found["typst_sides"] = typst(line), sides(line, typst)
    with decorating(drawn(line, paper.on_it, in_latex, end_in_latex)):
        found["tex"] = latex(line)
    with decorating(drawn(line, paper.on_it, in_mathml, end_in_mathml)):
        found["mathml"] = mathml(line).removeprefix(_MATH).removesuffix("</math>")
    return found


def _mark_record(on: int, one: OnLine) -> DrawnMark:
    mark = one.mark
    text = mark.text
    found: DrawnMark = {
        "kind": mark.kind,
        "on": on,
        "part": one.part,
        "pair": mark.pair,
        "sign": mark.sign,
        "signed": one.signed,
        "text": {"text": plain(text), "latex": latex(text), "spoken": spoken(text)}
        if text is not None
        else None,
    }
    if one.to:
        found["to"] = one.to
    return found
