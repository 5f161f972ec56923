"""The ``work`` operation of the contract."""

from dataclasses import replace

from uchuu_core.answers.checked import CandidateCheck
from uchuu_core.answers.worked import Difficulty, Studied, Worked, WorkedLine
from uchuu_core.checking.context import Context, context_of
from uchuu_core.checking.entries import reading_of
from uchuu_core.checking.original import candidate_checks
from uchuu_core.checking.steps import solutions_or_none
from uchuu_core.contract import Problem
from uchuu_core.failures import OutOfScope
from uchuu_core.inspecting.difficulty import difficulty, harder
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.solving import excluded_points
from uchuu_core.kernel.written import number_text
from uchuu_core.methods.catalogue import applicable, chosen, is_finished, why_finished
from uchuu_core.methods.method import Method, Moment, at_density
from uchuu_core.methods.polynomials import moments as multiplied_out
from uchuu_core.notation import plain, shown
from uchuu_core.studying.study import curves, features_record, found_by
from uchuu_core.tree.nodes import Either, Line, Outcome, Relation
from uchuu_core.tree.paths import letters
from uchuu_core.working.lines import WorkedLine as Written
from uchuu_core.working.lines import worked_lines
from uchuu_core.working.values import value_checks


def work(problem: Problem) -> Worked:
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
    lines = worked_lines(context, method, problem.house.density)
    end = lines[-1].moment.line if lines else given
    record: Worked = {
        "task": problem.task,
        "reads": reading_of(problem),
        "method": method.key,
        "methods": [m.key for m in applicable(posed, problem.task)],
        "lines": [_line_record(line) for line in lines],
        "answer": plain(end),
        "outcome": None,
        "excluded": excluded_of(context),
        "rejected": [],
        "checks": [],
        "difficulty": _difficulty(method, context),
    }
    if not lines and is_finished(posed, problem.task):
        record |= {"outcome": "already finished", "says": why_finished(problem.task)}
    elif problem.task == "solve":
        _add_answers(record, end, lines, context)
    elif end == Outcome("prime"):
        before = lines[-2].moment.line if len(lines) > 1 else given
        record |= {"answer": plain(before), "outcome": "prime"}
    elif problem.task == "study":
        record["features"] = features_record(given, context.unknown)
        record["found_by"] = found_by(record["lines"])
        record["curve"] = curves(given, context.unknown)
    elif problem.task != "domain" and problem.house.checks == "every":
        record["checks"] = value_checks(given, end)
        if problem.task == "factor":
            record["multiplied_back"] = [plain(m.line) for m in multiplied_out(end)]
    return record


def _difficulty(method: Method, context: Context) -> Difficulty:
    """Return how hard it is by *method*; a detour is not easier than the standard way."""
    standard = chosen(context.posed, context.problem.task, None)
    ways = [_all_moves(way, context) for way in dict.fromkeys((standard, method))]
    one, *more = (difficulty(context.given, way) for way in ways)
    return harder(one, more[0]) if more else one


def _all_moves(method: Method, context: Context) -> list[Moment]:
    return at_density(method.moments(context.posed), "fine")


def study(problem: Problem) -> Studied:
    """Return the contract's ``study`` answer: the features, the lines, and curves to plot.

    Raises:
        As ``work``.
    """
    record = work(replace(problem, task="study"))
    return {
        "reads": record["reads"],
        "features": record["features"],
        "lines": record["lines"],
        "found_by": record["found_by"],
        "curve": record["curve"],
    }


def _line_record(line: Written) -> WorkedLine:
    moment = line.moment
    record: WorkedLine = {
        "text": plain(moment.line),
        **shown(moment.line),
        "law": moment.law.key,
        **moment.says.record(),
        "verdict": line.verdict,
    }
    if line.conditions:
        record["if"] = list(line.conditions)
    return record


def _add_answers(record: Worked, end: Line, lines: list[Written], context: Context) -> None:
    """Add the answers of a solved equation, their checks and what is rejected."""
    rejected = frozenset(point for line in lines for point in line.rejects)
    record["answers"] = []
    found = solutions_or_none(end, context)
    points = found.points if found else frozenset()
    if letters(context.given) <= {context.unknown, "i"}:
        record["checks"] = candidate_checks(context.given, context.unknown, points | rejected)
    record["rejected"] = [
        {"value": number_text(value), "why": _why_rejected(value, record["checks"], context)}
        for value in sorted(rejected)
    ]
    if not _are_asked_for(context, lines):
        thrown_out = {f"{context.unknown} = {number_text(value)}" for value in rejected}
        record["checks"] = [check for check in record["checks"] if check["value"] in thrown_out]
    if isinstance(end, Outcome):
        record["outcome"] = end.says
        return
    options = end.options if isinstance(end, Either) else (end,)
    record["answers"] = [plain(option.right) for option in options]  # type: ignore[union-attr]


def _are_asked_for(context: Context, lines: list[Written]) -> bool:
    """Whether the house asks for the checks of all solutions."""
    if context.problem.house.checks == "where-needed":
        return any(line.verdict == "may-add" for line in lines)
    return context.problem.house.checks == "every"


def _why_rejected(value: Algebraic, checks: list[CandidateCheck], context: Context) -> str:
    text = f"{context.unknown} = {number_text(value)}"
    return next((check["says"] for check in checks if check["value"] == text), "")


def excluded_of(context: Context) -> list[str]:
    """Return the real values of the unknown that the given, as written, excludes, ascending."""
    try:
        domain = context.domain(context.given)
    except (NotRational, Undefined):
        return []
    return [number_text(value) for value in excluded_points(domain.excluded, context.unknown)]
