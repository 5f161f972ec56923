"""The ``scheme`` operation of the contract: what an item's marks are for."""

from uchuu_core import limits
from uchuu_core.answers.marked import MarkKind, Scheme, SchemeMark, School
from uchuu_core.contract import Problem
from uchuu_core.failures import BadRequest
from uchuu_core.lawbook import marking as said
from uchuu_core.lawbook.marking import MarkStep
from uchuu_core.marking.ways import RESULTS, MarkedWay, aligned, rank, ways

MOST_STEPS = 4
"""Steps that earn a mark of their own where no total is asked for."""
CONCEPT, SLIP, FORM, CHECK, MISSING = "concept", "slip", "form", "check", "missing"
ANSWER, POINTS = "answer", "points"


def scheme(
    problem: Problem, school: School = "method-accuracy", worth: int | None = None
) -> Scheme:
    """Return what the marks of *problem* are for, *worth* of them in all where a number is given.

    Made from the worked lines of the default method; a step of another accepted method that stands for
    one of these earns the same mark. A problem that cannot be worked has a mark for its answer.

    Raises:
        Unreadable, TooLarge: the given cannot be read.
        BadRequest: *worth* is less than nothing, or more than the bound.
    """
    if worth is not None and not 0 <= worth <= limits.MOST_WORTH:
        raise BadRequest(f"An item is worth between 0 and {limits.MOST_WORTH} marks.")
    if worth == 0:
        return {"school": school, "marks": [], "total": 0}
    found = ways(problem)
    if school == "deductions":
        return _deductions(found, worth, problem)
    steps = _steps(found, worth, problem)
    marks = [_step_mark(step, [one.key for one in steps], found) for step in steps]
    if problem.task != "study" or not marks:
        marks.append(_mark(ANSWER, "accuracy", said.FOR_ANSWER().text))
    if worth is None or worth > 2:
        marks += _more(found, problem)
    _fit(marks, worth)
    return {"school": school, "marks": marks, "total": sum(mark["worth"] for mark in marks)}


def _steps(found: tuple[MarkedWay, ...], worth: int | None, problem: Problem) -> list[MarkStep]:
    """Return the steps that have marks: as many as there is room for, decisions and cases first."""
    if not found:
        return []
    way = found[0]
    is_study = problem.task == "study"
    fixed = 0 if is_study else 1 + (len(_more(found, problem)) if worth is None or worth > 2 else 0)
    room = (len(way.steps) if is_study else MOST_STEPS) if worth is None else max(0, worth - fixed)
    ranked = sorted(
        range(len(way.steps)),
        key=lambda place: (
            is_study and way.steps[place].key not in RESULTS,
            rank(way.laws[way.steps[place].key]),
            place,
        ),
    )
    return [way.steps[place] for place in sorted(ranked[:room])]


def _step_mark(step: MarkStep, wanted: list[str], found: tuple[MarkedWay, ...]) -> SchemeMark:
    first = found[0]
    kind: MarkKind = "accuracy" if step.key in RESULTS else "method"
    names = {one.key: one for way in found for one in way.steps}
    keys = [step.key]
    for way in found[1:]:
        stands = aligned(wanted, way).get(step.key)
        if stands and stands not in keys:
            keys.append(stands)
    says = said.MARK_FOR(names[keys[0]].does)
    for key in keys[1:]:
        says = said.OR_FOR(says, names[key].does)
    record = _mark(step.key, kind, says.text, keys)
    record["law"] = first.laws[step.key].key
    return record


def _more(found: tuple[MarkedWay, ...], problem: Problem) -> list[SchemeMark]:
    """Return the marks for a form and for a check, where they are asked for."""
    marks = []
    if problem.form:
        marks.append(_mark(FORM, "form", said.FOR_FORM().text))
    if _asks_for_check(found, problem):
        marks.append(_mark(CHECK, "check", said.FOR_CHECK().text))
    return marks


def _asks_for_check(found: tuple[MarkedWay, ...], problem: Problem) -> bool:
    return bool(found) and bool(found[0].rejects) and problem.house.checks != "none"


def _mark(key: str, kind: MarkKind, says: str, steps: list[str] | None = None) -> SchemeMark:
    return {"key": key, "kind": kind, "worth": 1, "says": says, "steps": steps or []}


def _fit(marks: list[SchemeMark], worth: int | None) -> None:
    """Share out *worth* over the marks: what is left over goes to the steps in turn, then to the answer."""
    if worth is None:
        return
    del marks[max(1, worth) :]
    methods = [mark for mark in marks if mark["kind"] in ("method", "accuracy")] or marks
    turn = 0
    while sum(mark["worth"] for mark in marks) < worth:
        methods[turn % len(methods)]["worth"] += 1
        turn += 1


def _deductions(found: tuple[MarkedWay, ...], worth: int | None, problem: Problem) -> Scheme:
    total = worth or min(MOST_STEPS, len(found[0].steps) if found else 0) + 2
    points = _mark(POINTS, "accuracy", said.FOR_POINTS().text)
    points["worth"] = total
    off: list[tuple[str, MarkKind, int, str]] = [
        (CONCEPT, "method", min(2, total), said.OFF_CONCEPT().text),
        (SLIP, "accuracy", 1, said.OFF_SLIP().text),
        (MISSING, "method", 1, said.OFF_MISSING().text),
        (FORM, "form", 1, said.OFF_FORM().text),
    ]
    if _asks_for_check(found, problem):
        off.append((CHECK, "check", 1, said.OFF_CHECK().text))
    marks = [points]
    for key, kind, much, says in off:
        marks.append({"key": key, "kind": kind, "worth": -much, "says": says, "steps": []})
    return {"school": "deductions", "marks": marks, "total": total}
