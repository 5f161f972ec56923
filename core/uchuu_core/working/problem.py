"""The ``work`` operation of the contract."""

from dataclasses import replace
from typing import Any

from uchuu_core.checking.context import Context, context_of
from uchuu_core.checking.entries import reading_of
from uchuu_core.checking.original import candidate_checks
from uchuu_core.checking.steps import solutions_or_none
from uchuu_core.contract import Problem
from uchuu_core.failures import OutOfScope
from uchuu_core.inspecting.difficulty import difficulty
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
from uchuu_core.working.balance import balance
from uchuu_core.working.lines import WorkedLine, worked_lines
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
    lines = worked_lines(context, method, problem.house.density)
    end = lines[-1].moment.line if lines else given
    record: dict[str, Any] = {
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
        "difficulty": difficulty(given, _all_moves(method, context)),
    }
    if not lines and is_finished(posed, problem.task):
        record |= {"outcome": "already finished", "says": why_finished(problem.task)}
    elif problem.task == "solve":
        record["balance"] = balance(
            given, [(line.moment.line, line.moment.says) for line in lines], context.unknown
        )
        record |= _answers(end, lines, context)
    elif end == Outcome("prime"):
        before = lines[-2].moment.line if len(lines) > 1 else given
        record |= {"answer": plain(before), "outcome": "prime"}
    elif problem.task == "study":
        record["features"] = features_record(given, context.unknown)
        record["found_by"] = found_by(record["lines"])
        record["curve"] = curves(given, context.unknown)
    elif problem.task != "domain":
        record["checks"] = value_checks(given, end)
        if problem.task == "factor":
            record["multiplied_back"] = [plain(m.line) for m in multiplied_out(end)]
    return record


def _all_moves(method: Method, context: Context) -> list[Moment]:
    return at_density(method.moments(context.posed), "fine")


def study(problem: Problem) -> dict[str, Any]:
    """Return the contract's ``study`` answer: the features, the lines, and curves to plot.

    Raises:
        As ``work``.
    """
    record = work(replace(problem, task="study"))
    return {name: record[name] for name in ("features", "lines", "found_by", "curve", "reads")}


def _line_record(line: WorkedLine) -> dict[str, Any]:
    moment = line.moment
    record = {
        "text": plain(moment.line),
        **shown(moment.line),
        "law": moment.law.key,
        **moment.says.record(),
        "verdict": line.verdict,
    }
    return record | {"if": list(line.conditions)} if line.conditions else record


def _answers(end: Line, lines: list[WorkedLine], context: Context) -> dict[str, Any]:
    rejected = frozenset(point for line in lines for point in line.rejects)
    record: dict[str, Any] = {"answers": [], "outcome": None}
    found = solutions_or_none(end, context)
    points = found.points if found else frozenset()
    if letters(context.given) <= {context.unknown, "i"}:
        record["checks"] = candidate_checks(context.given, context.unknown, points | rejected)
    record["rejected"] = [
        {"value": number_text(value), "why": _why_rejected(value, record["checks"], context)}
        for value in sorted(rejected)
    ]
    if isinstance(end, Outcome):
        return record | {"outcome": end.says}
    options = end.options if isinstance(end, Either) else (end,)
    return record | {"answers": [plain(option.right) for option in options]}  # type: ignore[union-attr]


def _why_rejected(value: Algebraic, checks: list[dict[str, Any]], context: Context) -> str:
    text = f"{context.unknown} = {number_text(value)}"
    return next((check["says"] for check in checks if check["value"] == text), "")


def excluded_of(context: Context) -> list[str]:
    """Return the real values of the unknown that the given, as written, excludes, ascending."""
    try:
        domain = context.domain(context.given)
    except (NotRational, Undefined):
        return []
    return [number_text(value) for value in excluded_points(domain.excluded, context.unknown)]
