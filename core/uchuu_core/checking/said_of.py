"""What is said at a right line of a paper, whatever stands between it and the state of the work."""

from uchuu_core.checking.context import Context
from uchuu_core.checking.reasons import said_at
from uchuu_core.checking.steps import Step
from uchuu_core.checking.worked_reasons import Asked, joined_by_method, said_by_method
from uchuu_core.lawbook.says import Says
from uchuu_core.tree.nodes import Line


def said_of(step: Step, written: Line, context: Context) -> Says | None:
    """Return what is said at a right line; None where no law is found.

    Args:
        step: The line, judged.
        written: The line above on paper; where a letter names a part, the state of the work is another.
        context: The problem.
    """
    problem = context.problem
    asked = Asked(problem.task, problem.method, problem.house.density)
    line = step.entry.lines[-1] if step.entry and step.entry.lines else step.line
    if step.judgement.is_aside:
        return joined_by_method(context.posed, written, line, asked)
    says = None
    # where a letter names a part, or features stand between, the line above is no state
    if written != step.before:
        says = said_by_method(context.posed, written, line, asked)
    if says is None and line != step.line:
        says = joined_by_method(context.posed, written, line, asked)
    return says or said_at(context.posed, step.before, step.line, asked, context.ring)
