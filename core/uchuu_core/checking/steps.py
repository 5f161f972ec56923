"""The lines of a paper judged one under the other: the chain, and what stands beside it."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Literal

from uchuu_core.checking.asides import Checks, side_line
from uchuu_core.checking.branches import Branches
from uchuu_core.checking.context import Context, with_unknown
from uchuu_core.checking.domain_lines import judged_remark, says_part
from uchuu_core.checking.entries import Entry, entry_of_line, is_condition
from uchuu_core.checking.feature_lines import as_feature
from uchuu_core.checking.judgement import Judgement, is_statement
from uchuu_core.checking.line import end_of, judged
from uchuu_core.checking.named_numbers import named_numbers
from uchuu_core.checking.rejections import without_rejected
from uchuu_core.checking.substitution import Substitution
from uchuu_core.failures import Failure
from uchuu_core.kernel.equality import agreement
from uchuu_core.kernel.finished import ALONE, unmet_forms
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.solutions import SolutionSet
from uchuu_core.kernel.written import described, interval_text
from uchuu_core.tree.nodes import Either, Feature, Line, Relation, Sum, Symbol, ValueSet
from uchuu_core.tree.paths import letters, parts

Role = Literal["chain", "check", "side", "operation", "remark"]
HOLDS = ("ok", "may-add")


@dataclass(slots=True)
class Step:
    """A readable line, the state of the work that it stands under, and the verdict.

    ``state``: what the work has come to after this line. ``is_back``: the line does not follow from
    the wrong line before it, but from the last one that held. ``is_sound``: no line before it is
    wrong, or the work came back since.
    """

    before: Line
    line: Line
    judgement: Judgement
    role: Role = "chain"
    state: Line | None = None
    is_back: bool = False
    is_sound: bool = True
    entry: Entry | None = None

    @property
    def is_state(self) -> bool:
        """Whether the work goes on from this line: no aside, or one that rejected a candidate."""
        return not self.judgement.is_aside or bool(self.judgement.rejects)


def judged_steps(
    lines: Sequence[Entry | Line | Failure], context: Context, *, is_work: bool = False
) -> list[Step | Failure]:
    """Judge every line against the state before it; asides are no states.

    ``is_work``: the lines are our own: nothing on them is side work, a check, or back on the line.
    """
    walk = _Walk(context, is_work=is_work)
    found: list[Step | Failure] = []
    for number, line in enumerate(lines, 1):
        if isinstance(line, Failure):
            found.append(line)
            continue
        walk.is_last = number == len(lines)
        found.append(walk.step(line if isinstance(line, Entry) else entry_of_line(line)))
    walk.end()
    return found


class _Walk:
    """Goes down a paper and remembers where the work stands."""

    def __init__(self, context: Context, *, is_work: bool) -> None:
        self.context = context
        self.is_work = is_work
        self.state = context.given
        self.whole = context.given
        """The state with all cases that were written one under the other."""
        self.good = context.given
        """The last line that held."""
        self.is_sound = True
        self.is_last = False
        self.checks = Checks(context)
        self.branches = Branches(context)
        self.substitution = Substitution(context) if context.is_equation else None

    def step(self, entry: Entry) -> Step:
        """Judge one written line."""
        before, was_sound = self.state, self.is_sound
        decisive: Step | None = None
        for line in entry.lines:
            step = self._statement(line, entry)
            if decisive is None or (
                decisive.judgement.verdict in HOLDS
                and (step.role == "chain" or step.judgement.verdict not in HOLDS)
            ):
                decisive = step
        if not entry.lines:
            decisive = self._words(entry)
        elif entry.rejects:
            self.checks.reject(entry.rejects)
        assert decisive is not None
        decisive.state, decisive.entry = self.whole, entry
        decisive.is_sound = was_sound or self.is_sound
        decisive.before = before if len(entry.lines) < 2 else decisive.before
        return decisive

    def end(self) -> None:
        """Settle what only the whole work decides: checks that failed as they should."""
        if self.checks.pending:
            self.checks.settle(solutions_or_none(self.whole, self.context))

    def _words(self, entry: Entry) -> Step:
        aside = Judgement("ok", is_aside=True)
        if entry.told.operation:
            return Step(self.state, self.state, aside, "operation")
        if self.context.is_equation and (entry.rejects or entry.told.rejects_all):
            rest = without_rejected(self.whole, entry, self.checks.failed, self.context)
            if rest is not None:
                self.checks.reject(entry.rejects)
                judgement = self._judged(self.whole, rest)
                self._move(rest, judgement)
                judgement.is_aside = judgement.verdict == "ok"
                return Step(self.state, rest, judgement, "remark")
        return Step(self.state, self.state, aside, "remark")

    def _statement(self, line: Line, entry: Entry) -> Step:
        context, before = self.context, self.state
        if context.is_equation:
            line = with_unknown(line, context.unknown, letters(context.given))
            defined = named_numbers(before, line, context)
            if defined is None and self.substitution:
                defined = self.substitution.define(line)
            if defined is not None:
                return Step(before, line, defined, "side")
            if self.substitution:
                line = self.substitution.put_back(before, line)
        beside = None if context.is_equation else _said_beside(line, context)
        if beside is not None:
            return Step(before, line, beside, "side")
        if context.problem.task == "study":
            line = as_feature(line, context)
        judgement = self._judged(before, line)
        if judgement.is_aside or isinstance(line, Feature):
            return Step(before, line, judgement, "side" if judgement.is_aside else "chain")
        if self.is_work:
            self._move(line, judgement)
            return Step(before, line, judgement)
        is_explicit = entry.told.is_check
        if judgement.verdict not in HOLDS or (is_explicit and context.is_equation):
            step = self._beside(line, entry)
            if step is not None:
                return step
        if judgement.verdict in ("wrong", "loses"):
            opened = self.branches.open_or_next(before, line, judgement, is_sound=self.is_sound)
            if opened is not None:
                self._move(line, opened, is_back=not self.branches.is_open)
                return Step(before, line, opened)
            if not self.is_sound and self._is_back(before, line, judgement):
                judgement = self._judged(self.good, line, is_sound=True)
                self._move(line, judgement, is_back=True)
                return Step(before, line, judgement, is_back=True)
        self._move(line, judgement)
        return Step(before, line, judgement)

    def _beside(self, line: Line, entry: Entry) -> Step | None:
        """Return the line as a check or as side work, None when it is neither."""
        context, before = self.context, self.state
        if context.is_equation:
            found = self.checks.judged(line, entry)
            if found is not None:
                return Step(before, line, found, "check")
            if _is_operation(line, before, entry, context):
                return Step(before, line, Judgement("ok", is_aside=True), "operation")
        if context.problem.task == "domain" and not self.is_last and says_part(line, context):
            return Step(before, line, Judgement("ok", is_aside=True), "side")
        side = side_line(before, line, context)
        return None if side is None else Step(before, line, side, "side")

    def _is_back(self, before: Line, line: Line, judgement: Judgement) -> bool:
        """Whether *line* follows from the last line that held, and does more than drop solutions."""
        if judgement.verdict != "wrong":
            return False
        if self.context.is_equation:
            was, has = (solutions_or_none(part, self.context) for part in (before, line))
            if was is None or has is None or (has.within(was) and not was.everything):
                return False
        return self._judged(self.good, line, is_sound=True).verdict in HOLDS

    def _judged(self, before: Line, line: Line, *, is_sound: bool | None = None) -> Judgement:
        sound = self.is_sound if is_sound is None else is_sound
        try:
            context = self.context = self.context.widened(line)
            return judged(before, line, context if sound else replace(context, is_sound=False))
        except Failure as failure:
            return Judgement("unproved", "tested", tested=failure.message)

    def _move(self, line: Line, judgement: Judgement, *, is_back: bool = False) -> None:
        if self.context.is_equation and not is_statement(line) and not letters(line):
            line = Relation(Symbol(self.context.unknown), "=", line)  # type: ignore[arg-type]
        self.state = line
        self.whole = self.branches.merged(line, judgement)
        if judgement.verdict in ("wrong", "loses"):
            self.is_sound = False
        elif judgement.verdict in HOLDS and (self.is_sound or is_back):
            self.good, self.is_sound = line, True
        if self.context.is_equation:
            self.checks.note(line)


def _said_beside(line: Line, context: Context) -> Judgement | None:
    """Judge what stands beside an expression: excluded values, names, a pair tried in factoring."""
    task = context.problem.task
    if task in ("domain", "study"):
        return None
    if is_condition(line):
        try:
            return judged_remark(line, context)
        except (NotRational, Undefined, Failure):
            return None
    if task == "factor" and _names_parts(line, context):
        return Judgement("ok", is_aside=True)
    is_pair = isinstance(line, ValueSet) and not letters(line)
    return Judgement("ok", is_aside=True) if task == "factor" and is_pair else None


def _names_parts(line: Line, context: Context) -> bool:
    """Whether *line* names monomials with letters of their own: "a = x, b = 3"."""
    return all(
        isinstance(part, Relation)
        and part.sign == "="
        and isinstance(part.left, Symbol)
        and not letters(part.left) & letters(context.given)
        and not any(isinstance(inner, Sum) for inner in parts(part.right))
        for part in (line.options if isinstance(line, Either) else (line,))
    )


def _is_operation(line: Line, before: Line, entry: Entry, context: Context) -> bool:
    """Whether a number with a minus sign, alone under an unsolved equation, is done to both sides."""
    if is_statement(line) or letters(line) or not is_statement(before):
        return False
    text = entry.text.strip()
    return text[:1] in ("-", "−", "–") and ALONE in unmet_forms(
        before, "solve", (), context.unknown
    )


def last_step(steps: list[Step | Failure]) -> int:
    """Return the number of the line that is the answer: 0 when the work ends unreadably."""
    for number in range(len(steps), 0, -1):
        step = steps[number - 1]
        if isinstance(step, Failure):
            return 0
        if step.is_state:
            return number
    return 0


def solutions_or_none(line: Line | None, context: Context) -> SolutionSet | None:
    """Return the exact solutions of *line*, None where there are none to be found."""
    if line is None or not is_statement(line):
        return None
    try:
        return context.solutions(line)
    except NotRational:
        wider = context.widened(line)
        return None if wider is context else solutions_or_none(line, wider)
    except (Undefined, Failure):
        return None


def same_end(one: Line, other: Line, context: Context) -> bool | None:
    """Return whether two lines have the same solutions, or the same value; None when undecided."""
    if context.is_equation:
        had, has = solutions_or_none(one, context), solutions_or_none(other, context)
        return None if had is None or has is None else had.same_solutions(has)
    ends = end_of(one), end_of(other)
    if None in ends:
        return None
    try:
        verdict = agreement(*ends, context.numbers).verdict  # type: ignore[arg-type]
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
