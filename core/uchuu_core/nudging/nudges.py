"""Nudges: the next step on the route that the writer has begun, in any of the schools."""

from collections.abc import Iterator
from dataclasses import replace
from typing import Any

from uchuu_core.answers.worked import Nudged
from uchuu_core.checking.context import Context, context_of
from uchuu_core.checking.domain_lines import states_domain
from uchuu_core.checking.entries import Entry, readable_lines
from uchuu_core.checking.steps import Step, judged_steps, solutions_or_none
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure, OutOfScope
from uchuu_core.kernel.finished import unmet_forms
from uchuu_core.methods.catalogue import FORMS_OF_WORK, applicable, is_finished, why_finished
from uchuu_core.methods.equations.board import Board
from uchuu_core.methods.equations.candidates import reject
from uchuu_core.methods.method import BOARD, Method, Moment, Posed
from uchuu_core.notation import plain, shown
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Feature, Line, Relation
from uchuu_core.tree.shape import unordered


def nudge(problem: Problem) -> Nudged:
    """Return the next step after the last line of *problem*.

    ``{"done": false, "method", "notice", "law", "law_name", "says", "text", "latex", …}``, or
    ``{"done": true, "says"}`` when nothing is left to do.

    Raises:
        Unreadable, TooLarge: the given cannot be read.
        OutOfScope: the last line is wrong, cannot be read, or no method goes on from there.
    """
    lines = readable_lines(problem)
    context = context_of(problem, lines)
    steps = judged_steps(lines, context)
    state = _state(steps, context)
    written = [line for e in lines if isinstance(e, Entry) for line in e.lines]
    if _is_done(state, written, context):
        return {"done": True, "says": "Nothing is left to do: the answer is there."}
    if not written and not applicable(context.posed, problem.task):
        if is_finished(context.posed, problem.task):
            return {"done": True, "says": why_finished(problem.task)}
    method, moment = _next(written, state, context)
    return {
        "done": False,
        "method": method,
        "notice": moment.law.notice,
        "law": moment.law.key,
        "law_name": moment.law.name,
        **moment.says.record(),
        "text": plain(moment.line),
        **shown(moment.line),
    }


def _state(steps: list[Step | Failure], context: Context) -> Line:
    """Return what the writer has, as a line in the given's letters.

    Raises:
        OutOfScope: a line does not follow, or cannot be read.
    """
    state = context.given
    for number, step in enumerate(steps, 1):
        if isinstance(step, Failure):
            raise OutOfScope(f"Line {number} cannot be read. Mend it first.")
        if step.judgement.verdict not in ("ok", "may-add", "unproved"):
            raise OutOfScope(f"Line {number} does not follow. Mend it first.")
        if not step.judgement.is_aside and not isinstance(step.line, Feature):
            state = step.state or step.line
    return state


def _is_done(state: Line, written: list[Line], context: Context) -> bool:
    task = context.problem.task
    if not written:
        return False
    if task == "domain":
        return states_domain(written[-1])
    if task == "study":
        return _is_studied(written, context)
    forms = context.problem.form if task == "solve" else (*context.problem.form, *FORMS_OF_WORK)
    if unmet_forms(state, task, forms, context.unknown):
        return False
    if not context.is_equation:
        return True
    has = solutions_or_none(state, context)
    if has is None or context.original is None:
        return True  # a formula, solved for its letter
    return has.same_solutions(context.original)


def _is_studied(written: list[Line], context: Context) -> bool:
    """Return whether the last feature of the route is there."""
    forms = {_form(line) for line in written}
    for method in applicable(context.posed, "study"):
        *_, last = method.moments(context.posed)
        return _form(last.line) in forms
    return False


def _next(written: list[Line], state: Line, context: Context) -> tuple[str, Moment]:
    """Return the method whose route is followed and its next line.

    Raises:
        OutOfScope: no route goes on.
    """
    posed, task = context.posed, context.problem.task
    last = _form(written[-1] if written else context.given)
    forms = {_form(line) for line in written}
    best: tuple[int, str, Moment] | None = None
    for method in _in_order(posed, context):
        route = list(method.moments(posed))
        listed = [_form(moment.line) for moment in route]
        place = _place(listed, last, forms, context)
        following = _board_line(route[place + 1 :]) if place is not None else None
        if following is not None:
            met = len(forms & set(listed[: (place or 0) + 1]))
            if best is None or met > best[0]:
                best = (met, method.key, following)
    if best is not None:
        return best[1], best[2]
    rejecting = _rejection(state, context)
    if rejecting is not None:
        return "", rejecting
    fresh = replace(posed, given=without_brackets(state))
    for method in applicable(fresh, task):
        following = _board_line(list(method.moments(fresh)))
        if following is not None:
            return method.key, following
    raise OutOfScope("No method that is built goes on from this line.")


def _in_order(posed: Posed, context: Context) -> Iterator[Method]:
    """Yield the methods that apply, the one that was asked for first."""
    found = applicable(posed, context.problem.task)
    yield from (m for m in found if m.key == context.problem.method)
    yield from (m for m in found if m.key != context.problem.method)


def _place(listed: list[Any], last: Any, forms: set[Any], context: Context) -> int | None:
    """Return where on a route the writer stands, -1 before its first line, None when off it."""
    if last == _form(context.given):
        return -1
    if context.problem.task in ("study", "domain"):
        there = [n for n, form in enumerate(listed) if form in forms]
        return max(there, default=-1)
    if last not in listed:
        return None
    return len(listed) - 1 - listed[::-1].index(last)


def _board_line(moments: list[Moment]) -> Moment | None:
    for moment in moments:
        if moment.weight >= BOARD:
            return moment
    return moments[-1] if moments else None


def _rejection(state: Line, context: Context) -> Moment | None:
    """Return the line that strikes the candidates which fail in the given."""
    given = without_brackets(context.given)
    if not context.is_equation or not isinstance(given, Relation):
        return None
    if unmet_forms(state, "solve", (), context.unknown):
        return None
    board = Board(
        without_brackets(state), context.unknown, context.numbers, house=context.problem.house
    )
    try:
        reject(board, given)
    except OutOfScope:
        return None
    return board.moments[-1] if board.moments else None


def _form(line: Line) -> Any:
    return unordered(without_brackets(line))
