"""The ``work`` operation of the contract."""

from typing import Any

from uchuu_core.checking.context import Context, context_of
from uchuu_core.checking.line import judged
from uchuu_core.checking.original import candidate_checks
from uchuu_core.contract import Problem
from uchuu_core.failures import OutOfScope, ProducedLineRefused
from uchuu_core.inspecting.difficulty import difficulty
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.solving import excluded_points, rational_solutions
from uchuu_core.kernel.written import number_text
from uchuu_core.methods.catalogue import applicable, chosen, worked
from uchuu_core.methods.method import Moment
from uchuu_core.notation import plain, shown
from uchuu_core.tree.nodes import Line, Outcome, Relation
from uchuu_core.working.values import value_checks


def work(problem: Problem) -> dict[str, Any]:
    """Return the contract's ``work`` answer.

    Raises:
        Unreadable, TooLarge: the given cannot be read.
        MethodDoesNotApply: the requested method cannot be used; says why.
        OutOfScope: no method that is built serves this problem.
        ProducedLineRefused: a bug of ours.
    """
    context = context_of(problem, [])
    given = context.given
    if problem.task == "solve" and not isinstance(given, Relation):
        raise OutOfScope("There is nothing to solve: the given is not an equation.")
    posed = context.posed
    method = chosen(posed, problem.task, problem.method)
    lines = worked(posed, method, problem.house.density)
    end = lines[-1].line if lines else given
    if problem.task == "domain":
        _held_by_the_kernel(lines, context)
    record: dict[str, Any] = {
        "task": problem.task,
        "reads": {"text": plain(given), **shown(given)},
        "method": method.key,
        "methods": [m.key for m in applicable(posed, problem.task)],
        "lines": [
            {
                "text": plain(moment.line),
                **shown(moment.line),
                "law": moment.law,
                "says": moment.says,
                "verdict": "ok",
            }
            for moment in lines
        ],
        "answer": plain(end),
        "outcome": None,
        "excluded": excluded_of(context),
        "rejected": [],
        "checks": [],
        "difficulty": difficulty(given, lines),
    }
    if problem.task == "solve":
        record |= _answers(end, context)
    elif end == Outcome("prime"):
        before = lines[-2].line if len(lines) > 1 else given
        record |= {"answer": plain(before), "outcome": "prime"}
    elif problem.task != "domain":
        record["checks"] = value_checks(given, end)
    return record


def _held_by_the_kernel(lines: list[Moment], context: Context) -> None:
    """Judge every line that states a domain.

    Raises:
        ProducedLineRefused: the kernel refuses one; always a bug of ours.
    """
    before = context.given
    for moment in lines:
        if judged(before, moment.line, context).verdict != "ok":
            raise ProducedLineRefused(f"“{plain(moment.line)}” is not the domain of the given.")
        before = moment.line


def _answers(end: Line, context: Context) -> dict[str, Any]:
    if isinstance(end, Outcome):
        return {"answers": [], "outcome": end.says}
    found = context.solutions(end)
    return {
        "answers": [str(value) for value in rational_solutions(found)],
        "checks": candidate_checks(context.given, context.unknown, found.points),
    }


def excluded_of(context: Context) -> list[str]:
    """Return the real values of the unknown that the given, as written, excludes, ascending."""
    try:
        domain = context.domain(context.given)
    except (NotRational, Undefined):
        return []
    return [number_text(value) for value in excluded_points(domain.excluded, context.unknown)]
