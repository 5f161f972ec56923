"""One slip carried on rightly, or lost: the answer against what the first wrong line honestly leads to."""

from uchuu_core.answers.checked import FollowThrough
from uchuu_core.checking.context import Context
from uchuu_core.checking.steps import Step, same_end, solutions_or_none
from uchuu_core.kernel.finished import unmet_forms
from uchuu_core.kernel.written import described


def follow_through(steps: list[Step], context: Context) -> FollowThrough | None:
    """Return how the paper goes on after its first wrong line, None when no line is wrong.

    *steps*: the states of the paper, no asides. ``{"carried": true | false | null, "honest_end":
    [text…] | null, "slips": n}``: whether the last line is finished and has the value, or the
    solutions, of the first wrong line (null when that is not decided); what these solutions are; how
    many lines do not follow.
    """
    wrong = [step for step in steps if step.judgement.verdict in ("wrong", "loses")]
    if not wrong or context.problem.task in ("domain", "study"):
        return None
    first, last = wrong[0].line, steps[-1].line
    finished = not unmet_forms(last, context.problem.task, context.problem.form, context.unknown)
    reached = same_end(first, last, context)
    found = solutions_or_none(first, context) if context.is_equation else None
    return {
        "carried": None if reached is None else reached and finished,
        "honest_end": None
        if found is None or found.everything or found.intervals
        else sorted(described(point, context.unknown) for point in found.points),
        "slips": len(wrong),
    }
