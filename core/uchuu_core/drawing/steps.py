"""The steps of an example as a drawing sees them: line above, line, and what is said or went wrong."""

from collections.abc import Iterator
from dataclasses import dataclass

from uchuu_core import limits
from uchuu_core.checking.context import Context, context_of
from uchuu_core.checking.entries import readable_lines
from uchuu_core.checking.made_before import MadeBefore
from uchuu_core.checking.naming import named_error
from uchuu_core.checking.said_of import said_of
from uchuu_core.checking.steps import Step, judged_steps
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure
from uchuu_core.lawbook.says import Says
from uchuu_core.moves.catalogue import error_or_none
from uchuu_core.moves.move import Move
from uchuu_core.tree.nodes import Feature, Line
from uchuu_core.tree.paths import walk

MOST_PARTS = 3 * limits.EXPLAINED_PARTS
"""So many parts of lines are explained in one call; on the lines after them nothing is drawn."""


@dataclass(frozen=True, slots=True)
class DrawnStep:
    """One step of the work.

    Args:
        number: The number of the line, from 1.
        above_number: That of the last line of the work above it, 0 for the given.
        above: That line.
        line: The line.
        says: What is said of a right line; None where no law is found.
        error: The error of the catalogue behind a wrong line; None where none is.
        is_wrong: Whether the line is wrong, or loses a solution.
        context: The problem.
    """

    number: int
    above_number: int
    above: Line
    line: Line
    says: Says | None
    error: Move | None
    is_wrong: bool
    context: Context


def steps_of(problem: Problem) -> Iterator[DrawnStep]:
    """Yield the steps of the work: remarks, checks and side lines stand beside it.

    Raises:
        Unreadable, TooLarge: the given itself cannot be read.
    """
    entries = readable_lines(problem)
    context = context_of(problem, entries)
    steps = judged_steps(entries, context)
    written = problem.read(problem.given)
    above_number, above, left = 0, written, MOST_PARTS
    for number, step in enumerate(steps, start=1):
        if not isinstance(step, Step) or step.role != "chain" or step.judgement.is_aside:
            continue
        if step.entry is None or not step.entry.lines:
            continue
        line = step.entry.lines[-1]
        left -= sum(1 for _ in walk(written))
        if left <= 0:
            return
        says, error = _explained(step, written, context, steps[: number - 1])
        is_wrong = step.judgement.verdict in ("wrong", "loses")
        yield DrawnStep(number, above_number, above, line, says, error, is_wrong, context)
        written = line
        if not isinstance(line, Feature):  # what is read off stands beside the work
            above_number, above = number, line


def _explained(
    step: Step, written: Line, context: Context, earlier: list[Step | Failure]
) -> tuple[Says | None, Move | None]:
    verdict = step.judgement.verdict
    if step.is_back:  # it follows from a line farther up: nothing on the line above led to it
        return None, None
    if verdict in ("ok", "may-add"):
        return step.judgement.says or said_of(step, written, context), None
    if verdict in ("wrong", "loses"):
        named = named_error(step, context, MadeBefore(earlier, context))
        return None, error_or_none(named.id) if named else None
    return None, None
