"""Two methods side by side: where their paths part and meet, which is shorter, which has smaller numbers."""

from dataclasses import dataclass
from fractions import Fraction
from typing import Any

from uchuu_core.answers.worked import Compared, Path
from uchuu_core.checking.context import context_of
from uchuu_core.checking.entries import reading_of
from uchuu_core.contract import Problem
from uchuu_core.lawbook.says import Says
from uchuu_core.methods.catalogue import chosen
from uchuu_core.methods.method import Method
from uchuu_core.notation import plain, shown
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Line, Mixed, Number, Quotient
from uchuu_core.tree.paths import walk
from uchuu_core.tree.shape import unordered
from uchuu_core.working.lines import worked_lines


@dataclass(frozen=True, slots=True)
class _Path:
    method: Method
    lines: list[Line]
    said: list[Says]

    @property
    def largest(self) -> Fraction:
        """The largest numeral on the path."""
        return max((n for line in self.lines for n in _numbers(line)), default=Fraction(0))

    @property
    def fractions(self) -> int:
        """How many lines hold a fraction of numbers."""
        return sum(any(_is_fraction(p) for _, p in walk(line)) for line in self.lines)


def compare(problem: Problem, first: str, second: str) -> Compared:
    """Return both paths and how they differ.

    ``paths``: method, lines, largest number, lines with fractions; ``same_until``: how many first
    lines are equal; ``meet``: line numbers (from 1) where they come together again, or None;
    ``shorter``, ``smaller`` (its largest number) and ``fewer_fractions``: a method's name, or None
    when neither is.

    Raises:
        Unreadable, TooLarge: the given cannot be read.
        MethodDoesNotApply: one of the methods cannot be used; says why.
        OutOfScope: none is built.
    """
    context = context_of(problem, [])
    paths = []
    for key in (first, second):
        method = chosen(context.posed, problem.task, key)
        lines = worked_lines(context, method, problem.house.density)
        paths.append(
            _Path(
                method,
                [line.moment.line for line in lines],
                [line.moment.says for line in lines],
            )
        )
    one, other = paths
    forms = [[unordered(without_brackets(line)) for line in path.lines] for path in paths]
    same = 0
    while same < min(len(forms[0]), len(forms[1])) and forms[0][same] == forms[1][same]:
        same += 1
    return {
        "reads": reading_of(problem),
        "paths": [_record(path) for path in paths],
        "same_until": same,
        "meet": _meeting(forms[0], forms[1], same),
        "shorter": _less(one, other, len(one.lines), len(other.lines)),
        "smaller": _less(one, other, one.largest, other.largest),
        "fewer_fractions": _less(one, other, one.fractions, other.fractions),
    }


def _record(path: _Path) -> Path:
    return {
        "method": path.method.key,
        "why": path.method.why,
        "largest": str(path.largest),
        "with_fractions": path.fractions,
        "lines": [
            {"text": plain(line), **shown(line), "law": says.law.key, **says.record()}
            for line, says in zip(path.lines, path.said, strict=True)
        ],
    }


def _meeting(one: list[Any], other: list[Any], start: int) -> list[int] | None:
    for place, form in enumerate(one[start:], start):
        if form in other[start:]:
            return [place + 1, other.index(form, start) + 1]
    return None


def _less(one: _Path, other: _Path, mine: Any, theirs: Any) -> str | None:
    if mine == theirs:
        return None
    return one.method.key if mine < theirs else other.method.key


def _numbers(line: Line) -> list[Fraction]:
    return [part.value for _, part in walk(line) if isinstance(part, (Number, Mixed))]


def _is_fraction(part: Any) -> bool:
    match part:
        case Quotient(Number(), Number(), _) | Mixed():
            return True
        case _:
            return False
