"""Which errors end in an answer: at the example's lines, on other ways, two in a row, slips of the pen."""

from collections.abc import Iterator
from contextlib import suppress
from dataclasses import dataclass, replace
from fractions import Fraction
from functools import cached_property, lru_cache

from uchuu_core.checking.bare_answers import is_same_answer
from uchuu_core.checking.context import context_of
from uchuu_core.checking.entries import readable_lines
from uchuu_core.checking.line import judged
from uchuu_core.checking.naming import PEN, named_key
from uchuu_core.checking.nearness import is_near
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure
from uchuu_core.forking.candidates import Candidate
from uchuu_core.forking.example import Example, example_of
from uchuu_core.forking.forks import Fork, forks_of, invited, left_by, stopped
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.lawbook.law import Family
from uchuu_core.methods.catalogue import applicable
from uchuu_core.moves.catalogue import DUE, commonness
from uchuu_core.moves.conditions import numeral
from uchuu_core.notation import plain
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Either, Feature, Line, Relation
from uchuu_core.tree.paths import letters
from uchuu_core.tree.shape import unordered

MOST_WAYS = 4
"""Errors that are named for one answer."""
MOST_METHODS = 2
"""Other methods whose lines are tried."""
MOST_FIRST = 4
"""Wrong lines from which a second error is looked for."""


@dataclass(frozen=True, slots=True)
class Way:
    """How somebody comes to a wrong answer: the error, the line after which it is made, what it writes.

    ``also``: a second error on the way; ``method``: the method of whose lines ``after`` counts, where it is
    not the example's.
    """

    error: str
    after: int
    wrong: Line
    also: str = ""
    method: str = ""


class Explaining:
    """Finds the ways to wrong answers of one example; what is looked for once serves all answers."""

    def __init__(self, example: Example) -> None:
        """Look at *example*; nothing is worked before it is asked for."""
        self.example = example

    def ways_to(self, answer: Line) -> list[Way]:
        """Return the ways to *answer*, the most likely first; none where none is found.

        One error at a line of the example comes first, then a solution that is lost at one, an error at
        another method's lines, two errors in a row, one that writes it straight under the given, and slips
        of the pen: the first kind that explains it is told.
        """
        found = _leading_to(answer, self.example, self._wrong_lines) or self._by_loss(answer)
        found = found or self._by_other_methods(answer) or self._by_two_errors(answer)
        found = found or self._under(0, answer, pen=False)
        return (found or self._by_the_pen(answer))[:MOST_WAYS]

    def tells_apart(self, ways: list[Way]) -> tuple[int, Line] | None:
        """Return the line that shows which of *ways* was gone: after which line, and the right one there.

        None where one way is left, where all write the same line, or where no line comes after.
        """
        if any(way.method for way in ways):
            return None
        writes = {(way.after, unordered(way.wrong)) for way in ways}
        after = min(way.after for way in ways)
        lines = self.example.lines
        return (after, lines[after + 1]) if len(writes) > 1 and after + 1 < len(lines) else None

    @cached_property
    def _wrong_lines(self) -> list[Candidate]:
        return _wrong_lines(self.example)

    @cached_property
    def _others(self) -> list[tuple[str, Example, list[Candidate]]]:
        """Other methods, their worked lines, and what is written wrongly there."""
        context, problem = self.example.context, self.example.context.problem
        if problem.task in ("domain", "study"):
            return []
        used = self.example.method.key if self.example.method else ""
        keys = [m.key for m in applicable(context.posed, problem.task) if m.key != used]
        return [
            (key, example, _wrong_lines(example))
            for key in keys[:MOST_METHODS]
            for example in _worked(replace(problem, method=key))
        ]

    def _by_other_methods(self, answer: Line) -> list[Way]:
        for key, example, listed in self._others:
            found = _leading_to(answer, example, listed)
            if found:
                return [replace(way, method=key) for way in found]
        return []

    @cached_property
    def _first(self) -> list[tuple[Fork, Example, list[Candidate]]]:
        """The likeliest first errors, each with the lines on which a second one may follow."""
        problem = self.example.context.problem_in_its_letter
        if problem.task in ("domain", "study"):
            return []
        with suppress(Failure):
            firsts = [fork for fork in forks_of(self.example, 2) if not fork.hidden][:MOST_FIRST]
            return [
                (first, example, _wrong_lines(example))
                for first in firsts
                for example in _worked(replace(problem, given=plain(first.wrong), method=None))
            ]
        return []

    def _by_two_errors(self, answer: Line) -> list[Way]:
        return [
            Way(first.error, first.after, first.wrong, way.error)
            for first, example, listed in self._first
            for way in _leading_to(answer, example, listed)[:1]
        ]

    def _by_loss(self, answer: Line) -> list[Way]:
        for after in reversed(range(len(self.example.lines))):
            found = self._under(after, answer, pen=False, loses=True)
            if found:
                return found
        return []

    def _by_the_pen(self, answer: Line) -> list[Way]:
        """Return a slip of the pen that writes *answer* under a line of the example, but the last.

        Under the last line nothing is worked out any more: there a slip would explain anything. A number far
        from the right one is no slip either.
        """
        written, right = _number_of(answer), _number_of(self.example.lines[-1])
        if written is not None and right is not None and not is_near(written, right):
            return []
        for after in reversed(range(len(self.example.lines) - 1)):
            found = self._under(after, answer, pen=True)
            if found:
                return found
        return []

    def _under(self, after: int, answer: Line, *, pen: bool, loses: bool = False) -> list[Way]:
        """Return the error that the judge of papers names where *answer* stands straight under a line."""
        context, before = self.example.context, self.example.lines[after]
        if isinstance(before, Feature):
            return []
        with suppress(Failure, NotRational, Undefined):
            judgement = judged(before, answer, context)
            if judgement.verdict == ("loses" if loses else "wrong") and not judgement.is_aside:
                error = named_key(before, answer, judgement, context)
                if error is not None and (error in PEN) == pen and self._may_be(error):
                    return [Way(error, after, answer)]
        return []

    def _may_be(self, error: str) -> bool:
        """Whether an error can be meant here: among plain numbers nobody takes out a factor wrongly."""
        due = DUE.get(error, Family.NONE)
        if not due or letters(self.example.context.given):
            return True
        return any(law.families & due for laws in self.example.laws for law in laws)


def _number_of(line: Line) -> Fraction | None:
    """Return the number that an answer gives, None where it gives none or several."""
    line = without_brackets(line)
    if isinstance(line, Relation) and line.sign == "=":
        line = line.right
    return None if isinstance(line, (Relation, Either, Feature)) else numeral(line)  # type: ignore[arg-type]


@lru_cache(maxsize=32)
def explaining_of(problem: Problem) -> Explaining:
    """Return what explains answers to *problem*, on its own lines as far as they hold or the worked ones.

    A problem that cannot be worked has its given alone. Remembered: what is looked for once serves a class.

    Raises:
        Unreadable, TooLarge: the given cannot be read.
    """
    context = context_of(problem, readable_lines(problem))
    try:
        return Explaining(example_of(context))
    except Failure:
        return Explaining(Example(context, None, [context.given], [frozenset()], [0]))


def _wrong_lines(example: Example) -> list[Candidate]:
    """Return what *example* invites, the most common errors first, candidates that are kept among them."""
    with suppress(Failure):
        kept = [Candidate(f.after, f.error, f.wrong, f.wrong, None) for f in stopped(example)]
        listed = [*example.slips, *kept, *invited(example)]
        return sorted(listed, key=lambda one: (commonness(one.error), one.after))
    return []


def _leading_to(answer: Line, example: Example, listed: list[Candidate]) -> list[Way]:
    """Return the errors among *listed* whose wrong line has the value, or the solutions, of *answer*."""
    context, found = example.context, dict[str, Way]()
    for candidate in listed:
        if len(found) == MOST_WAYS:
            break
        if candidate.error in found or not is_same_answer(candidate.wrong, answer, context):
            continue
        if candidate.spot is None or left_by(candidate, context):
            found[candidate.error] = Way(candidate.error, candidate.after, candidate.wrong)
    return list(found.values())


def _worked(problem: Problem) -> Iterator[Example]:
    with suppress(Failure):
        yield example_of(context_of(replace(problem, lines=()), []))
