"""A whole paper: every line judged against the one before, then the answer against the original.

Follow-through: after a wrong line the rest is judged against what the student has.
"""

from time import monotonic
from typing import Any

from uchuu_core import limits
from uchuu_core.checking.chains import misused_equals
from uchuu_core.checking.context import Context, context_of
from uchuu_core.checking.diagnosis import directly_reproduced, errors_that_reproduce
from uchuu_core.checking.domain_lines import states_domain
from uchuu_core.checking.entries import entry_of_line, readable_lines, shown_entry
from uchuu_core.checking.equations import same_by_special_cases
from uchuu_core.checking.follow_through import follow_through
from uchuu_core.checking.judgement import Judgement, is_statement
from uchuu_core.checking.original import candidate_checks, put_in
from uchuu_core.checking.own_errors import moves_of, wording_of
from uchuu_core.checking.reasons import GENERAL, reason_for
from uchuu_core.checking.right_line import right_feature, right_line
from uchuu_core.checking.state_errors import state_error
from uchuu_core.checking.steps import (
    Step,
    differences,
    judged_steps,
    last_step,
    same_end,
    solutions_or_none,
)
from uchuu_core.checking.worked_reasons import reason_by_method
from uchuu_core.contract import LineError, OwnError, Problem
from uchuu_core.failures import Failure
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.domains import condition
from uchuu_core.kernel.equality import Counter
from uchuu_core.kernel.finished import ALONE, FACTORED, LOWEST_TERMS, Unmet, unmet_forms
from uchuu_core.kernel.finished import unmet as unmet_parts
from uchuu_core.kernel.finished_roots import NEGATIVE_EXPONENT, RATIONALISED, SIMPLEST_ROOTS
from uchuu_core.kernel.solutions import SolutionSet
from uchuu_core.kernel.written import tree_of
from uchuu_core.moves.errors import answers, copying
from uchuu_core.notation import latex, plain
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.changes import changed_parts
from uchuu_core.tree.nodes import Chain, Either, Feature, Line, Number, Outcome, Relation
from uchuu_core.tree.paths import letters

_STOPS = {
    ALONE: answers.STOP_UNKNOWN_NOT_ALONE.key,
    LOWEST_TERMS: answers.STOP_NOT_LOWEST_TERMS.key,
    SIMPLEST_ROOTS: answers.STOP_ROOT_NOT_SIMPLIFIED.key,
    RATIONALISED: answers.STOP_ROOT_IN_DENOMINATOR.key,
    FACTORED: answers.STOP_NOT_FULLY_FACTORED.key,
    NEGATIVE_EXPONENT: answers.STOP_NEGATIVE_EXPONENT.key,
}
_PEN = {error.key for error in copying.ERRORS}


def check(problem: Problem) -> dict[str, Any]:
    """Return the contract's ``check`` answer for *problem* with its lines.

    ``unexplained``: time ran out for laws and errors (never for verdicts); what was found is
    remembered, so asking again goes on.

    Raises:
        Unreadable, TooLarge: the given itself cannot be read (a bad line is only marked).
    """
    lines = readable_lines(problem)
    context = context_of(problem, lines)
    steps = judged_steps(lines, context)
    last = last_step(steps)
    records: list[dict[str, Any]] = []
    first_wrong: int | None = None
    error: str | None = None
    until = monotonic() + limits.EXPLAINING_SECONDS
    is_explained = True
    for number, step in enumerate(steps, start=1):
        text = problem.lines[number - 1]
        if isinstance(step, Failure):
            records.append({"text": text, "verdict": "unreadable", "failure": step.as_record()})
            continue
        before, line, judgement = step.before, step.line, step.judgement
        is_last = number == last
        if is_last and step.is_sound:
            _hold_against_original(judgement, line, context)
        record = _record(text, step, context)
        explains = (problem.explains or number < len(steps)) and monotonic() < until
        is_explained = is_explained and (explains or monotonic() < until)
        if judgement.verdict in ("wrong", "loses"):
            named = _named_error(step, context) if explains else None
            record["error"] = named and _as_dict(named, problem.own)
            if explains and not isinstance(line, Feature) and (not named or named.id in _PEN):
                record["copied" if named else "changed"] = _changes(before, line)
            if first_wrong is None:
                first_wrong, error = number, named.id if named else None
        elif judgement.verdict in ("ok", "may-add") and not judgement.is_aside:
            if explains and not judgement.says:
                _explain(record, before, line, context)
            parts = _unmet_parts(line, context)
            unmet = tuple(dict.fromkeys(item.form for item in parts))
            is_open = not (isinstance(line, Either) and _holds_always(line, context))
            if is_last and step.is_sound and is_open and unmet and judgement.verdict == "ok":
                record |= {"verdict": "unfinished", "unmet": list(unmet)}
                record["unmet_at"] = [plain(item.part) for item in parts]
                which = NEGATIVE_EXPONENT if NEGATIVE_EXPONENT in unmet else unmet[0]
                stop = _STOPS.get(which, answers.STOP_LIKE_TERMS_LEFT.key)
                record["error"] = _as_dict(_worded(stop, None, None, [], ()), ())
                first_wrong, error = first_wrong or number, error or stop
        records.append(record)
    states = [s for s in steps if isinstance(s, Step) and s.is_state]
    answer = (states[-1].state or states[-1].line) if states else None
    return {
        "lines": records,
        "first_wrong": first_wrong,
        "error": error,
        "follow_through": follow_through(states, context),
        "answer": _answer(answer, states[-1].judgement if states else None, context),
        "checks": _checks(answer, _rejected(steps), context),
        "unexplained": not is_explained,
    }


def _changes(before: Line, line: Line) -> list[str]:
    """Return what is new on the line: certain, where no error of thinking explains it."""
    found = changed_parts(without_brackets(before), without_brackets(line))
    return list(dict.fromkeys(plain(part) for part in found))


def _unmet_parts(line: Line, context: Context) -> list[Unmet]:
    problem = context.problem
    is_complex = context.numbers.is_complex
    return unmet_parts(line, problem.task, problem.form, context.unknown, is_complex=is_complex)


def _holds_always(line: Line, context: Context) -> bool:
    found = solutions_or_none(line, context) if context.is_equation else None
    return found is not None and found.everything


def _record(text: str, step: Step, context: Context) -> dict[str, Any]:
    line, judgement = step.line, step.judgement
    record: dict[str, Any] = {
        "text": text,
        **shown_entry(step.entry or entry_of_line(line)),
        "verdict": judgement.verdict,
        "proof": judgement.proof,
        "role": step.role,
    }
    if not context.is_equation and isinstance(line, (Relation, Chain)) and step.role == "chain":
        record["sides"] = {"left": "", "sign": "=", "right": record["latex"]}
    for key, value in (
        ("back", step.is_back),
        ("if", judgement.conditions),
        ("adds", judgement.adds),
        ("drops", judgement.drops),
        ("tested", judgement.tested),
        ("says", judgement.says),
        ("feature", isinstance(line, Feature)),
        ("note", misused_equals(line, context.unknown)),
        ("counter", counter_text(judgement.counter, line)),
    ):
        if value:
            record[key] = value
    return record


def _explain(record: dict[str, Any], before: Line, line: Line, context: Context) -> None:
    own = context.problem.own
    doubt = directly_reproduced(before, line, moves_of(own))
    if doubt is not None:
        record["doubt"] = doubt.error
        record["doubt_name"] = wording_of(doubt.error, own).name
        return
    task = context.problem.task
    reason = None
    if task not in ("solve", "evaluate"):
        reason = reason_by_method(context.posed, before, line, task)
    says_domain = task == "domain" and states_domain(line)
    if reason is None and not isinstance(line, Feature) and not says_domain:
        reason = reason_for(before, line, context.ring)
    if task == "solve" and (reason is None or reason.law in GENERAL):
        reason = reason_by_method(context.posed, before, line, task) or reason
    if reason is not None:
        record["law"], record["says"] = reason.law, reason.says


# the last line


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


def _answer(line: Line | None, last: Judgement | None, context: Context) -> dict[str, Any]:
    """Return the contract's ``answer``: the last line against the given alone."""
    task = context.problem.task
    unmet = _unmet_parts(line, context) if line is not None else []
    record: dict[str, Any] = {"right": False, "finished": not unmet, "missing": [], "extra": []}
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


def _checks(
    line: Line | None, rejected: frozenset[Algebraic], context: Context
) -> list[dict[str, Any]]:
    """Return each candidate of a solved last line, and those rejected on the way, in the given."""
    if line is None or not context.is_equation or not isinstance(context.given, Relation):
        return []
    if unmet_forms(line, "solve", (), context.unknown)[:1] == (ALONE,):
        return []
    has = solutions_or_none(line, context)
    if has is None or letters(context.given) != {context.unknown}:
        return []
    return candidate_checks(context.given, context.unknown, has.points | rejected)


# the error behind a wrong line


def _named_error(step: Step, context: Context) -> LineError | None:
    before, line, judgement = step.before, step.line, step.judgement
    if judgement.is_aside:
        return _error_beside(step, context)
    counter = counter_text(judgement.counter, line)
    state = state_error(before, line, judgement, context)
    task, unknown, own = context.problem.task, context.unknown, context.problem.own
    if state is not None:
        if isinstance(line, Feature):
            instead = right_feature(line, context.posed)
        else:
            instead = right_line(before, None, task, unknown)
        return _worded(state, instead, counter, [], own)
    found = errors_that_reproduce(before, line, moves_of(own))
    if not found:
        return None
    instead = right_line(before, found[0], task, unknown)
    also = [item.error for item in found[1:4] if item.error != found[0].error]
    return _worded(found[0].error, instead, counter, also, own)


def _error_beside(step: Step, context: Context) -> LineError | None:
    """Name the error of side work (left turned into right), or of a check in a miscopied equation."""
    line, candidate = step.line, step.judgement.candidate
    if not isinstance(line, Relation) or line.sign != "=":
        return None
    own, is_check = context.problem.own, step.role == "check"
    before: Line = line.left
    after: Line = line.right
    if is_check:
        written_out = candidate and tree_of(candidate)
        if written_out is None or not isinstance(context.given, Relation):
            return None
        left, right = (
            put_in(side, context.unknown, written_out)  # type: ignore[arg-type]
            for side in (context.given.left, context.given.right)
        )
        before, after = Relation(left, "=", right), line
    counter = counter_text(step.judgement.counter, line)
    if is_check:
        changed = changed_parts(without_brackets(before), without_brackets(after))
        key = copying.NUMBER_CHANGED.key
        if len(changed) != 1 or not isinstance(changed[0], Number):
            found = [e for e in errors_that_reproduce(before, after, ()) if e.error in _PEN]
            if not found:
                return None
            key = found[0].error
        return _worded(key, before, counter, [], own)
    named = errors_that_reproduce(before, after, moves_of(own))
    return _worded(named[0].error, None, counter, [], own) if named else None


def _worded(
    key: str, instead: Line | None, counter: str | None, also: list[str], own: tuple[OwnError, ...]
) -> LineError:
    wording = wording_of(key, own)
    return LineError(key, wording.name, wording.repair, instead, counter, also)


def _as_dict(error: LineError, own: tuple[OwnError, ...]) -> dict[str, Any]:
    return {
        "id": error.id,
        "name": error.name,
        "says": error.says,
        "instead": error.instead and plain(error.instead),
        "instead_latex": error.instead and latex(error.instead),
        "counter": error.counter,
        "also": error.also,
        "also_names": [wording_of(key, own).name for key in error.also],
    }


def counter_text(counter: Counter | None, line: Line) -> str | None:
    """Write a counter-example to *line* as a sentence with numbers."""
    if counter is None:
        return None
    point = ", ".join(f"{name} = {value}" for name, value in counter.point)
    if point and is_statement(line):
        return f"{point} fits the line before; here {counter.left} is not {counter.right}."
    if not point:
        return f"{counter.left} is not {counter.right}."
    return f"Try {point}: {counter.left} is not {counter.right}."
