"""The lines of a paper judged one under the other; asides are no states of the work."""

from collections.abc import Sequence
from dataclasses import dataclass

from uchuu_core.checking.context import Context, with_unknown
from uchuu_core.checking.judgement import Judgement, is_statement
from uchuu_core.checking.line import judged
from uchuu_core.checking.named_numbers import named_numbers
from uchuu_core.checking.substitution import Substitution
from uchuu_core.failures import Failure
from uchuu_core.kernel.equality import agreement
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.solutions import SolutionSet
from uchuu_core.kernel.written import described, interval_text
from uchuu_core.tree.nodes import Feature, Line
from uchuu_core.tree.paths import letters


@dataclass(frozen=True, slots=True)
class Step:
    """A readable line, the state of the work that it stands under, and the verdict."""

    before: Line
    line: Line
    judgement: Judgement


def judged_steps(lines: Sequence[Line | Failure], context: Context) -> list[Step | Failure]:
    """Judge every line against the state before it; asides are no states."""
    found: list[Step | Failure] = []
    before = context.given
    substitution = Substitution(context) if context.is_equation else None
    for line in lines:
        if isinstance(line, Failure):
            found.append(line)
            continue
        if context.is_equation:
            line = with_unknown(line, context.unknown, letters(context.given))
            defined = named_numbers(before, line, context)
            if defined is None and substitution:
                defined = substitution.define(line)
            if defined is not None:
                found.append(Step(before, line, defined))
                continue
            if substitution:
                line = substitution.put_back(before, line)
        step = Step(before, line, _judged(before, line, context))
        found.append(step)
        if not step.judgement.is_aside and not isinstance(line, Feature):
            before = line
    return found


def last_step(steps: list[Step | Failure]) -> int:
    """Return the number of the line that is the answer: 0 when the work ends unreadably."""
    for number in range(len(steps), 0, -1):
        step = steps[number - 1]
        if isinstance(step, Failure):
            return 0
        if not step.judgement.is_aside:
            return number
    return 0


def _judged(before: Line, line: Line, context: Context) -> Judgement:
    try:
        return judged(before, line, context)
    except Failure as failure:
        return Judgement("unproved", "tested", tested=failure.message)


def solutions_or_none(line: Line | None, context: Context) -> SolutionSet | None:
    """Return the exact solutions of *line*, None where there are none to be found."""
    if line is None or not is_statement(line):
        return None
    try:
        return context.solutions(line)
    except (NotRational, Undefined, Failure):
        return None


def same_end(one: Line, other: Line, context: Context) -> bool | None:
    """Return whether two lines have the same solutions, or the same value; None when undecided."""
    if context.is_equation:
        had, has = solutions_or_none(one, context), solutions_or_none(other, context)
        return None if had is None or has is None else had.same_solutions(has)
    if is_statement(one) or is_statement(other):
        return None
    try:
        verdict = agreement(one, other, context.numbers).verdict  # type: ignore[arg-type]
    except (NotRational, Undefined, Failure):
        return None
    return None if verdict == "undecided" else verdict == "equal"


def differences(has: SolutionSet, wanted: SolutionSet, unknown: str) -> tuple[list[str], list[str]]:
    """Return what is missing and what is too much in *has*, written."""
    if has.same_solutions(wanted):
        return [], []
    missing = [described(p, unknown) for p in wanted.beyond(has)]
    extra = [described(p, unknown) for p in has.beyond(wanted)]
    for mine, theirs, found in ((wanted, has, missing), (has, wanted, extra)):
        if theirs.everything:
            continue
        if mine.everything:
            found.append("all other values")
        found += [interval_text(i, unknown) for i in mine.intervals if i not in theirs.intervals]
    return sorted(missing), sorted(extra)
