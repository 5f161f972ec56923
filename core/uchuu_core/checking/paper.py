"""A whole paper: every line judged against the one before, then the answer against the original.

Follow-through: after a wrong line the rest is judged against what the student has.
"""

from dataclasses import replace

from uchuu_core import limits
from uchuu_core.answers.checked import Answer, CandidateCheck, Checked, CheckedLine
from uchuu_core.checking.chains import misused_equals
from uchuu_core.checking.context import Context, context_of
from uchuu_core.checking.diagnosis import directly_reproduced, reproduced_with_more
from uchuu_core.checking.domain_lines import states_domain
from uchuu_core.checking.entries import entry_of_line, readable_lines, shown_entry
from uchuu_core.checking.equations import same_by_special_cases
from uchuu_core.checking.follow_through import follow_through
from uchuu_core.checking.judgement import Judgement
from uchuu_core.checking.made_before import MadeBefore
from uchuu_core.checking.naming import PEN, counter_says, error_record, named_error, worded
from uchuu_core.checking.original import candidate_checks
from uchuu_core.checking.own_errors import moves_of, wording_of
from uchuu_core.checking.said_of import said_of
from uchuu_core.checking.steps import (
    Step,
    differences,
    judged_steps,
    last_step,
    same_end,
    solutions_or_none,
)
from uchuu_core.checking.stops import stop_for
from uchuu_core.checking.target import Found
from uchuu_core.contract import OwnError, Problem
from uchuu_core.failures import Failure
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.domains import condition
from uchuu_core.kernel.finished import ALONE, Unmet, unmet_forms
from uchuu_core.kernel.finished import unmet as unmet_parts
from uchuu_core.kernel.solutions import SolutionSet
from uchuu_core.kernel.written import number_text
from uchuu_core.lawbook.says import Says, listed, mathematics
from uchuu_core.notation import plain
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.changes import changed_parts
from uchuu_core.tree.nodes import Chain, Either, Feature, Line, Outcome, Relation
from uchuu_core.tree.paths import letters, walk


def check(problem: Problem) -> Checked:
    """Return the contract's ``check`` answer for *problem* with its lines.

    ``unexplained``: a long paper's further lines have verdicts only; asked again with the
    problem's ``explained`` as the answer has it, laws and errors of the next ones come.

    Raises:
        Unreadable, TooLarge: the given itself cannot be read (a bad line is only marked).
    """
    lines = readable_lines(problem)
    context = context_of(problem, lines)
    steps = judged_steps(lines, context)
    last = last_step(steps)
    records: list[CheckedLine] = []
    first_wrong: int | None = None
    error: str | None = None
    turn = _Turn(problem, len(steps))
    written = context.given
    for number, step in enumerate(steps, start=1):
        text = problem.lines[number - 1]
        if isinstance(step, Failure):
            records.append({"text": text, "verdict": "unreadable", "failure": step.as_record()})
            turn.has_come(number)
            continue
        before, line, judgement = step.before, step.line, step.judgement
        is_last = number == last and not problem.goes_on
        if is_last and step.is_sound:
            _hold_against_original(judgement, line, context)
        record = _record(text, step, context)
        explains = turn.has_come(number, before)
        if judgement.verdict in ("wrong", "loses"):
            made = MadeBefore(steps[: number - 1], context)
            named = named_error(step, context, made) if explains else None
            record["error"] = error_record(named, problem.own) if named else None
            if explains and not isinstance(line, Feature) and (not named or named.id in PEN):
                record["copied" if named else "changed"] = _changes(before, line)
            if first_wrong is None:
                first_wrong, error = number, named.id if named else None
        elif judgement.verdict in ("ok", "may-add"):
            if explains and not judgement.says:
                _explain(record, step, written, context)
            stop = _unfinished(record, step, context) if is_last and step.is_sound else None
            if stop:
                first_wrong, error = first_wrong or number, error or stop
        records.append(record)
        written = step.entry.lines[-1] if step.entry and step.entry.lines else line
    states = [s for s in steps if isinstance(s, Step) and s.is_state]
    answer = (states[-1].state or states[-1].line) if states else None
    return {
        "lines": records,
        "first_wrong": first_wrong,
        "error": error,
        "follow_through": follow_through(states, context),
        "answer": _answer(answer, states[-1].judgement if states else None, context),
        "checks": _checks(answer, steps, context),
        "unexplained": turn.explained < len(steps),
        "explained": turn.explained,
    }


def check_whole(problem: Problem) -> Checked:
    """Return ``check`` with every line explained, also of a long paper; raises as ``check``."""
    problem = replace(problem, explains=True)
    found = check(problem)
    while found["unexplained"]:
        known = found["explained"]
        more = check(replace(problem, explained=known))
        found = more | {"lines": found["lines"][:known] + more["lines"][known:]}
    return found


MOST_MISSING = 6
"""Of an equation with more solutions none is put in that the answer lacks."""


class _Turn:
    """Which lines of a paper are explained in one call: bounded by the parts of their lines."""

    def __init__(self, problem: Problem, lines: int) -> None:
        self._known = problem.explained
        self._left = limits.EXPLAINED_PARTS if problem.explains else 0
        self.explained = 0 if problem.explains else min(self._known, lines)

    def has_come(self, number: int, before: Line | None = None) -> bool:
        """Return whether line *number* under *before* is explained now; called line by line."""
        if self._left <= 0 or self.explained < number - 1:
            return False
        self.explained = number
        if number <= self._known or before is None:
            return False
        self._left -= sum(1 for _ in walk(before))
        return True


def _changes(before: Line, line: Line) -> list[str]:
    """Return what is new on the line: certain, where no error of thinking explains it."""
    found = changed_parts(without_brackets(before), without_brackets(line))
    return list(dict.fromkeys(plain(part) for part in found))


def _unmet_parts(line: Line, context: Context) -> list[Unmet]:
    problem = context.problem
    return unmet_parts(
        line,
        problem.task,
        problem.form,
        context.unknown,
        is_complex=context.numbers.is_complex,
        powers_up_to=problem.house.powers_up_to,
    )


def _holds_always(line: Line, context: Context) -> bool:
    found = solutions_or_none(line, context) if context.is_equation else None
    return found is not None and found.everything


def _record(text: str, step: Step, context: Context) -> CheckedLine:
    line, judgement = step.line, step.judgement
    record: CheckedLine = {
        "text": text,
        **shown_entry(step.entry or entry_of_line(line)),
        "verdict": judgement.verdict,
        "proof": judgement.proof,
        "role": step.role,
    }
    if not context.is_equation and isinstance(line, (Relation, Chain)) and step.role == "chain":
        record["sides"] = {"left": "", "sign": "=", "right": record["latex"]}
    if step.is_back:
        record["back"] = True
    if isinstance(line, Feature):
        record["feature"] = True
    if judgement.adds:
        record["adds"] = judgement.adds
    if judgement.drops:
        record["drops"] = judgement.drops
    if judgement.tested:
        record["tested"] = judgement.tested
    if note := misused_equals(line, context.unknown):
        record["note"] = note
    if judgement.conditions:
        record["if"] = judgement.conditions
        record["if_parts"] = listed(map(mathematics, judgement.conditions), before_last=", ").parts
    counter = counter_says(judgement.counter, line)
    if counter is not None:
        record["counter"], record["counter_parts"] = counter.text, counter.parts
    if judgement.says is not None:
        record |= judgement.says.record()
        if judgement.says.law_or_none is not None:
            record["law"] = judgement.says.law.key
            record["laws"] = _keys(judgement.says)
    return record


def _explain(record: CheckedLine, step: Step, written: Line, context: Context) -> None:
    """Add the law and the sentence of a right line, or the doubt that it is right by luck.

    ``written``: the line above on paper; where a letter names a part, the work's state is another.
    """
    own = context.problem.own
    may_be_luck = not (step.judgement.is_aside or step.is_back)
    if may_be_luck and _doubted(
        record, directly_reproduced(step.before, step.line, moves_of(own)), own
    ):
        return
    says = said_of(step, written, context)
    if says is not None:
        record |= {"law": says.law.key, "laws": _keys(says), **says.record()}
    elif may_be_luck:
        _doubted(record, reproduced_with_more(step.before, step.line, moves_of(own)), own)


def _keys(says: Says) -> list[str]:
    return sorted(law.key for law in says.laws)


def _doubted(record: CheckedLine, found: Found | None, own: tuple[OwnError, ...]) -> bool:
    """Mark a right line that an error has written; return whether one has."""
    if found is not None:
        record["doubt"] = found.error
        record["doubt_name"] = wording_of(found.error, own).name
    return found is not None


# the last line


def _unfinished(record: CheckedLine, step: Step, context: Context) -> str | None:
    """Mark a right last line that has not the form that is asked for; return the stop's id."""
    line, judgement = step.line, step.judgement
    if judgement.is_aside or judgement.verdict != "ok":
        return None
    parts = _unmet_parts(line, context)
    unmet = list(dict.fromkeys(item.form for item in parts))
    if not unmet or (isinstance(line, Either) and _holds_always(line, context)):
        return None
    stop = stop_for(parts, context.problem.form).key
    record |= {"verdict": "unfinished", "unmet": unmet}
    record["unmet_at"] = [plain(item.part) for item in parts]
    record["error"] = error_record(worded(stop, None, None, [], ()), ())
    return stop


def _hold_against_original(judgement: Judgement, line: Line, context: Context) -> None:
    """A last line that keeps a candidate which fails in the original is wrong."""
    if not context.is_equation or judgement.verdict not in ("ok", "may-add"):
        return
    if ALONE in unmet_forms(line, "solve", (), context.unknown):
        return
    has, original = solutions_or_none(line, context), context.original
    if original is None and len(letters(context.given)) > 1:
        if same_by_special_cases(context.given, line, context) is False:
            judgement.verdict, judgement.proof = "wrong", "tested"
        return
    if original is None:
        judgement.verdict, judgement.proof = "unproved", "tested"
        judgement.tested = "the given is of a kind not solved yet"
        return
    if has is None:
        return
    _, extra = differences(has, original, context.unknown)
    extra += _excluded_but_kept(line, original)
    if extra:
        judgement.verdict, judgement.proof = "wrong", "refuted"
        judgement.adds = sorted(extra)


def _excluded_but_kept(line: Line, original: SolutionSet) -> list[str]:
    """Return the excluded values that "all real numbers" keeps."""
    if line != Outcome("all real numbers") or not original.everything:
        return []
    return sorted(condition(factor).replace(" != ", " = ") for factor in original.excluded)


def _answer(line: Line | None, last: Judgement | None, context: Context) -> Answer:
    """Return the contract's ``answer``: the last line against the given alone."""
    task = context.problem.task
    unmet = _unmet_parts(line, context) if line is not None else []
    record: Answer = {"right": False, "finished": not unmet, "missing": [], "extra": []}
    if line is None:
        return record | {"finished": False}
    if context.problem.task == "domain":
        return record | {"right": states_domain(line) and last is not None and last.verdict == "ok"}
    if task == "study" or (isinstance(line, Outcome) and not context.is_equation):
        return record | {"right": last is not None and last.verdict == "ok"}
    if not context.is_equation:
        return record | {"right": same_end(context.given, line, context) is True}
    has, original = solutions_or_none(line, context), context.original
    if (has is None or original is None) and len(letters(context.given)) > 1:
        return record | {"right": same_by_special_cases(context.given, line, context) is True}
    if has is None or original is None:
        return record
    missing, extra = differences(has, original, context.unknown)
    extra += _excluded_but_kept(line, original)
    return record | {"right": not missing and not extra, "missing": missing, "extra": extra}


def _rejected(steps: list[Step | Failure]) -> frozenset[Algebraic]:
    """Return the candidates that some line left out because they fail in the given."""
    return frozenset(p for s in steps if isinstance(s, Step) for p in s.judgement.rejects)


def _as_written(steps: list[Step | Failure], context: Context) -> dict[str, int]:
    """Return the places of candidates, as their checks call them, in the lists that the lines write."""
    places: dict[str, int] = {}
    for step in steps:
        line = step.line if isinstance(step, Step) else None
        for option in line.options if isinstance(line, Either) else ():
            found = solutions_or_none(option, context)
            for point in found.points if found is not None and len(found.points) == 1 else ():
                if isinstance(point, Algebraic):
                    places.setdefault(f"{context.unknown} = {number_text(point)}", len(places))
    return places


def _checks(
    line: Line | None, steps: list[Step | Failure], context: Context
) -> list[CandidateCheck]:
    """Return each candidate of a solved last line, those rejected on the way, and the solutions
    that it does not have (``missing``), put into the given; in the order in which they are written.
    """
    if line is None or not context.is_equation or not isinstance(context.given, Relation):
        return []
    if unmet_forms(line, "solve", (), context.unknown)[:1] == (ALONE,):
        return []
    has = solutions_or_none(line, context)
    if has is None or letters(context.given) != {context.unknown}:
        return []
    listed_ones = has.points | _rejected(steps)
    found = candidate_checks(context.given, context.unknown, listed_ones)
    written = _as_written(steps, context)
    found.sort(key=lambda check: written.get(check["value"], len(written)))
    original = context.original
    if original is None or has.everything or len(original.points) > MOST_MISSING:
        return found
    missing = candidate_checks(context.given, context.unknown, original.points - listed_ones)
    return [*found, *(check | {"missing": True} for check in missing)]
