"""Lines of a method, each held true by the judge of papers before it leaves."""

from dataclasses import dataclass

from uchuu_core.checking.context import Context
from uchuu_core.checking.steps import Step, differences, judged_steps, solutions_or_none
from uchuu_core.contract import Density, Verdict
from uchuu_core.failures import OutOfScope, ProducedLineRefused
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.finished import unmet_forms
from uchuu_core.methods.method import Method, Moment, at_density
from uchuu_core.notation import plain


@dataclass(frozen=True, slots=True)
class WorkedLine:
    """A line with its verdict and what it needs to hold."""

    moment: Moment
    verdict: Verdict
    conditions: tuple[str, ...]
    rejects: frozenset[Algebraic]


def worked_lines(context: Context, method: Method, density: Density) -> list[WorkedLine]:
    """Return the lines of *method* at *density*, each held against the one before.

    Raises:
        OutOfScope: the judge cannot decide a line.
        ProducedLineRefused: the judge refuses a line, or the answer is not the given's; always a
            bug of ours.
    """
    moments = at_density(method.moments(context.posed), density)
    steps = judged_steps([moment.line for moment in moments], context, is_work=True)
    found = []
    before = context.given
    for moment, step in zip(moments, steps, strict=True):
        assert isinstance(step, Step)
        if step.judgement.verdict == "unproved":
            raise OutOfScope(f"A line of {method.key} is beyond what is decided here.")
        if step.judgement.verdict not in ("ok", "may-add"):
            raise ProducedLineRefused(
                f"{method.key} wrote “{plain(moment.line)}” under “{plain(before)}”, "
                f"which is {step.judgement.verdict}."
            )
        needed = [moment.condition] if moment.condition else []
        conditions = dict.fromkeys([*needed, *step.judgement.conditions])
        found.append(
            WorkedLine(
                moment, step.judgement.verdict, tuple(conditions), frozenset(step.judgement.rejects)
            )
        )
        before = moment.line
    states = [step for step in steps if isinstance(step, Step) and not step.judgement.is_aside]
    if states and context.is_equation:
        _hold_answer(states[-1], context, method)
    return found


def _hold_answer(last: Step, context: Context, method: Method) -> None:
    if unmet_forms(last.line, "solve", (), context.unknown):
        raise ProducedLineRefused(f"{method.key} ended in “{plain(last.line)}”, not an answer.")
    has = solutions_or_none(last.line, context)
    if has is None or context.original is None:
        return  # several letters: every line was compared in special cases
    missing, extra = differences(has, context.original, context.unknown)
    if missing or extra:
        raise ProducedLineRefused(
            f"{method.key} ended in “{plain(last.line)}”: missing {missing}, too many {extra}."
        )
