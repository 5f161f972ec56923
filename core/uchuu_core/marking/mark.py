"""The ``mark`` operation of the contract: a paper against a scheme, each mark with its reason.

Follow-through earns method marks, an error is paid once, and what cannot be decided costs nothing.
"""

from dataclasses import dataclass, replace

from uchuu_core import limits
from uchuu_core.answers.checked import Checked
from uchuu_core.answers.marked import EarnedMark, Marked, MarkKind, Question, SchemeMark, School
from uchuu_core.checking.bare_answers import as_answer
from uchuu_core.checking.context import context_of
from uchuu_core.checking.naming import error_record, worded
from uchuu_core.checking.paper import check_whole
from uchuu_core.contract import Problem
from uchuu_core.failures import BadRequest
from uchuu_core.kernel.finished import ALONE
from uchuu_core.lawbook import marking as said
from uchuu_core.lawbook.says import Says
from uchuu_core.marking.evidence import KEPT, Evidence, Fault, Shown, evidence_of
from uchuu_core.marking.scheme import CHECK, CONCEPT, FORM, MISSING, POINTS, SLIP, scheme
from uchuu_core.marking.ways import RESULTS, ways
from uchuu_core.placing.explaining import explaining_of
from uchuu_core.placing.reading import line_of


@dataclass(frozen=True, slots=True)
class Wanted:
    """One mark as a teacher has it in the scheme; ``steps``: what earns a method mark."""

    key: str
    kind: MarkKind
    worth: int
    says: str = ""
    steps: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class Marking:
    """How a paper is marked.

    ``answer``: what was given where no lines were asked for; ``marks``: the teacher's scheme, the one that
    ``scheme`` makes where it is empty; ``accuracy_follows``: whether an answer that follows from an error
    above it earns its mark.
    """

    school: School = "method-accuracy"
    worth: int | None = None
    answer: str | None = None
    accuracy_follows: bool = False
    marks: tuple[Wanted, ...] = ()


@dataclass(frozen=True, slots=True)
class _Answer:
    """Whether the paper's answer counts, whether it is undecided, and why."""

    right: bool
    pending: bool
    because: Says
    line: int | None


def mark(problem: Problem, asked: Marking) -> Marked:
    """Return the judged paper of *problem* with its marks.

    Raises:
        Unreadable, TooLarge: the given cannot be read.
        BadRequest: the scheme has two marks of one key, too many marks, or more off than there is.
    """
    alone = asked.answer is not None and not problem.lines
    if alone:
        text = (asked.answer or "").strip()
        lines = (as_answer(text, context_of(problem, [])),) if text else ()
        problem = replace(problem, lines=lines)
    posed = replace(problem, lines=())
    checked = check_whole(problem)
    if alone:
        _name_as_placed(checked, problem)
    listed = _scheme_of(posed, asked)
    found = evidence_of(checked, ways(posed))
    answer = _answer(checked, found, asked)
    _conclude(checked, found, answer)
    if asked.school == "deductions":
        marks = _deducted(listed, checked, found, answer)
    else:
        marks = [_earned(one, listed, checked, found, answer) for one in listed]
    total = sum(one.worth for one in listed if one.worth > 0)
    return {
        **checked,
        "school": asked.school,
        "marks": marks,
        "earned": max(0, min(total, sum(one["earned"] for one in marks))),
        "of": total,
        "ask": _questions(checked, found),
    }


def _name_as_placed(checked: Checked, problem: Problem) -> None:
    """Name the error behind a bare wrong answer: what ends in it, not what writes it under the given."""
    line = checked["lines"][0] if checked["lines"] else None
    if line is None or line["verdict"] not in ("wrong", "loses"):
        return
    explaining = explaining_of(replace(problem, lines=()))
    answer = line_of(problem.lines[0], explaining.example.context)
    ways = explaining.ways_to(answer) if answer is not None else []
    if ways:
        named = worded(ways[0].error, None, None, [], problem.own)
        line["error"], checked["error"] = error_record(named, problem.own), ways[0].error


def _scheme_of(problem: Problem, asked: Marking) -> tuple[Wanted, ...]:
    if not asked.marks:
        made = scheme(problem, asked.school, asked.worth)["marks"]
        return tuple(_wanted(one) for one in made)
    keys = [one.key for one in asked.marks]
    if len(set(keys)) < len(keys) or len(keys) > limits.SCHEME_MARKS:
        raise BadRequest(
            f"A scheme has at most {limits.SCHEME_MARKS} marks, each with a key of its own."
        )
    if any(abs(one.worth) > limits.MOST_WORTH for one in asked.marks):
        raise BadRequest(f"A mark is worth at most {limits.MOST_WORTH}.")
    return asked.marks


def _wanted(one: SchemeMark) -> Wanted:
    return Wanted(one["key"], one["kind"], one["worth"], one["says"], tuple(one["steps"]))


def _answer(checked: Checked, found: Evidence, asked: Marking) -> _Answer:
    answer, lines = checked["answer"], checked["lines"]
    last = len(lines)
    if not lines:
        return _Answer(False, False, said.ANSWER_MISSING(), None)
    if last in found.undecided:
        return _Answer(True, True, found.undecided[last], last)
    if answer["right"] and _is_an_end(checked):
        return _Answer(True, False, said.ANSWER_RIGHT(), last)
    if _is_carried(checked) and asked.accuracy_follows:
        return _Answer(True, False, said.ANSWER_FOLLOWS(), last)
    if found.undecided and not found.faults:
        number = max(found.undecided)
        return _Answer(True, True, found.undecided[number], number)
    if found.faults:
        return _Answer(False, False, said.ANSWER_WRONG(), found.faults[0].line)
    open_end = said.ANSWER_OPEN() if not answer["finished"] else said.ANSWER_WRONG()
    return _Answer(False, False, open_end, last)


def _is_an_end(checked: Checked) -> bool:
    """Whether the last line is an answer, finished or not: no equation that is still to be solved."""
    return not any(ALONE in line.get("unmet", ()) for line in checked["lines"])


def _is_carried(checked: Checked) -> bool:
    """Whether lines after the first error lead honestly to an end."""
    follow, first = checked["follow_through"], checked["first_wrong"]
    chain = _chain(checked)
    return bool(follow and follow["carried"] and first and chain and chain[-1] > first)


def _chain(checked: Checked) -> list[int]:
    """Return the numbers of the chain's lines."""
    lines = enumerate(checked["lines"], start=1)
    return [number for number, line in lines if line.get("role", "chain") == "chain"]


def _conclude(checked: Checked, found: Evidence, answer: _Answer) -> None:
    """What an end that stands, or that nobody can decide, says of the steps that no line shows."""
    is_end = checked["answer"]["finished"] and not found.lacks_results
    if answer.right and not answer.pending and is_end:
        found.finish(said.ANSWER_SHOWS())
    elif found.undecided:
        found.finish(found.undecided[min(found.undecided)])
    elif _is_carried(checked):
        found.finish(said.SHOWN_LATER(line=len(checked["lines"])))
    elif found.faults and is_end and len(_chain(checked)) > 1:
        last = _chain(checked)[-1]
        found.finish(said.NOTHING_LEFT(line=last), last)  # an error is paid once


def _earned(
    one: Wanted, listed: tuple[Wanted, ...], checked: Checked, found: Evidence, answer: _Answer
) -> EarnedMark:
    """Return one mark of the first school; where the form has its own, the answer is not asked for it."""
    has_form = any(other.kind == "form" for other in listed)
    earned, line, because = False, answer.line, answer.because
    finished = checked["answer"]["finished"] or answer.pending
    if one.kind == "method" or (one.kind == "accuracy" and one.steps):
        best = _best(one, listed, found)
        if best is not None:
            earned, line, because = best.done, best.line, best.because
        else:
            line, because = None, said.NO_LINE(does=_does(one))
    elif one.kind == "form":
        earned = answer.right and finished
        because = said.FORM_MET() if earned else said.ANSWER_OPEN() if answer.right else because
    elif one.kind == "check":
        earned, line, because = _check(checked, found, answer)
    else:
        earned = answer.right and (finished or has_form)
        if answer.right and not earned:
            because = said.ANSWER_OPEN()
    return _mark(one, one.worth if earned else 0, line, because)


def _best(one: Wanted, listed: tuple[Wanted, ...], found: Evidence) -> Shown | None:
    """Return what speaks of a mark: a lost step first, but each lost step costs one mark only."""
    shown = {key: found.steps[key] for key in one.steps if key in found.steps}
    for key, each in shown.items():
        if not each.done and _pays(key, listed) == one:
            return each
    end = found.end if one.kind == "method" else None
    return next((each for each in shown.values() if each.done), end)


def _pays(step: str, listed: tuple[Wanted, ...]) -> Wanted | None:
    """Return the mark that a lost *step* costs: its own, else the first that it may stand for."""
    own = (one for one in listed if one.steps[:1] == (step,))
    return next(own, None) or next((one for one in listed if step in one.steps), None)


def _check(checked: Checked, found: Evidence, answer: _Answer) -> tuple[bool, int | None, Says]:
    kept = next((fault for fault in found.faults if fault.error in KEPT), None)
    if kept is not None:
        return False, kept.line, kept.says
    if found.checked is not None:
        return True, found.checked, said.CHECKED()
    if answer.pending:
        return True, answer.line, answer.because
    rejected = any(not one["holds"] and not one.get("missing") for one in checked["checks"])
    if checked["answer"]["right"] and (rejected or len(checked["lines"]) == 1):
        return True, answer.line, said.CHECKED()
    return False, None, said.NOT_CHECKED()


def _does(one: Wanted) -> str:
    step = next((step for step in said.STEPS if step.key in one.steps), None)
    return step.does if step else one.says.rstrip(".")


def _mark(one: Wanted, earned: int, line: int | None, because: Says) -> EarnedMark:
    record: EarnedMark = {
        "key": one.key,
        "kind": one.kind,
        "worth": one.worth,
        "earned": earned,
        "because": because.text,
    }
    if line is not None:
        record["line"] = line
    return record


def _deducted(
    listed: tuple[Wanted, ...], checked: Checked, found: Evidence, answer: _Answer
) -> list[EarnedMark]:
    """Return all points and what is taken off, never more than there is, nothing twice."""
    by_key = {one.key: one for one in listed}
    points = by_key.get(POINTS) or Wanted(POINTS, "accuracy", 0)
    off = _off(checked, found, answer)
    marks = [_mark(points, points.worth, None, said.BEFORE_OFF() if off else answer.because)]
    left = points.worth
    for key, line, because in off:
        one = by_key.get(key)
        if one is None:
            continue
        much = min(left, abs(one.worth))
        left -= much
        taken = replace(one, key=f"{key}-{len(marks)}", worth=-abs(one.worth))
        marks.append(_mark(taken, -much, line, because))
    return marks


def _off(checked: Checked, found: Evidence, answer: _Answer) -> list[tuple[str, int | None, Says]]:
    taken: list[tuple[str, int | None, Says]] = [
        (_kind(fault), fault.line, fault.says) for fault in found.faults
    ]
    has_stopped = not answer.right and (not found.faults or not _is_carried(checked))
    taken += [
        (MISSING, None, said.NO_LINE(does=step.does))
        for step in found.way
        if step.key not in found.steps and (has_stopped or step.key in RESULTS)
    ]
    if has_stopped and not found.faults:
        taken.append((MISSING, None, answer.because))
    if not checked["lines"]:
        taken += [(MISSING, None, said.ANSWER_MISSING())] * limits.MOST_WORTH
    if answer.right and not answer.pending and not checked["answer"]["finished"]:
        taken.append((FORM, answer.line, said.ANSWER_OPEN()))
    is_checked, line, because = _check(checked, found, answer)
    if not is_checked and not any(fault.error in KEPT for fault in found.faults):
        taken.append((CHECK, line, because))
    return taken


def _kind(fault: Fault) -> str:
    if fault.error in KEPT:
        return CHECK
    return SLIP if fault.is_slip else CONCEPT


def _questions(checked: Checked, found: Evidence) -> list[Question]:
    asked = [Question(line=line, says=says.text) for line, says in found.undecided.items()]
    asked += [Question(line=line, says=says.text) for line, says in found.lucky.items()]
    first = next((fault for fault in found.faults), None)
    if checked["answer"]["right"] and first is not None:
        says = said.RIGHT_AFTER_ERROR(line=first.line)
        asked.append(Question(line=first.line, says=says.text))
    return asked
