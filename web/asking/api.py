"""Endpoints of the algebra: a problem in, what the core knows of it out; the error catalogue."""

from typing import Any

from algebra import pool
from algebra.schemas import AnswersIn, CompareIn, ErrorEntry, ForkIn, MistakeIn, ProblemIn, Text
from algebra.turns import Gone
from api.auth import teacher_of
from api.failures import FailureRecord
from api.leaving import caller_has_left
from django.http import HttpRequest, HttpResponse
from errors.queries import for_core as own_errors
from house.queries import for_core as house_rules
from ninja import Router
from uchuu_core.lawbook.spelling import Wording
from uchuu_core.operations import OPERATIONS

from asking.catalogue import catalogue

router = Router()
_REFUSALS = dict.fromkeys((401, 413, 422, 429, 504), FailureRecord)


def _answers(operation: str) -> dict[int, Any]:
    return {200: OPERATIONS[operation].answers, **_REFUSALS}


def _record(request: HttpRequest, problem: ProblemIn) -> dict[str, Any]:
    teacher = teacher_of(request)
    own = problem.house.dict(exclude_none=True) if problem.house else {}
    rules = {**house_rules(teacher), **own}
    return {**problem.dict(), "house": rules, "own": own_errors(teacher)}


def _asked(operation: str, request: HttpRequest, problem: ProblemIn) -> HttpResponse:
    return _sent(operation, _record(request, problem), request)


def _sent(operation: str, record: dict[str, Any], request: HttpRequest) -> HttpResponse:
    """Return the core's answer as it comes from the worker: its type is held where it is made."""
    try:
        answer = pool.run_text(operation, record, request.user.pk, caller_has_left(request))
    except Gone:
        return HttpResponse(status=204)  # nobody reads it
    return HttpResponse(answer, content_type="application/json; charset=utf-8")


@router.post("/read", response=_answers("read"))
def read(request: HttpRequest, body: Text) -> HttpResponse:
    """Return how one line is read."""
    rules = house_rules(teacher_of(request))
    question = {"text": body.text, "house": rules, "task": body.task}
    return _sent("read", {**question, "variable": body.variable}, request)


@router.post("/check", response=_answers("check"))
def check(request: HttpRequest, body: ProblemIn, quick: bool = False) -> HttpResponse:
    """Judge every line of a paper; ``quick``: the verdicts alone, from processes that do nothing longer."""
    if quick:
        body.explains = False
    return _asked("check", request, body)


@router.post("/work", response=_answers("work"))
def work(request: HttpRequest, body: ProblemIn) -> HttpResponse:
    """Work a problem by the chosen method, or by the default."""
    return _asked("work", request, body)


@router.post("/inspect", response=_answers("inspect"))
def inspect(request: HttpRequest, body: ProblemIn) -> HttpResponse:
    """Say what kind of problem it is, what is worth noticing and which methods apply."""
    return _asked("inspect", request, body)


@router.post("/nudge", response=_answers("nudge"))
def nudge(request: HttpRequest, body: ProblemIn) -> HttpResponse:
    """Say what the next step is: what to notice, which law, the line."""
    return _asked("nudge", request, body)


@router.post("/compare", response=_answers("compare"))
def compare(request: HttpRequest, body: CompareIn) -> HttpResponse:
    """Work a problem by two methods and say how their paths differ."""
    return _asked("compare", request, body)


@router.post("/study", response=_answers("study"))
def study(request: HttpRequest, body: ProblemIn) -> HttpResponse:
    """Study a rational function: its features, the lines that find them, curves to plot."""
    return _asked("study", request, body)


@router.post("/forks", response=_answers("forks"))
def forks(request: HttpRequest, body: ProblemIn) -> HttpResponse:
    """Say where students leave the example, and where each fork ends."""
    return _asked("forks", request, body)


@router.post("/fork", response=_answers("fork"))
def fork(request: HttpRequest, body: ForkIn) -> HttpResponse:
    """Carry one wrong line on to its end by the same method."""
    return _asked("fork", request, body)


@router.post("/place", response=_answers("place"))
def place(request: HttpRequest, body: AnswersIn) -> HttpResponse:
    """Group answers that came in, and set each group where it belongs on the example."""
    return _asked("place", request, body)


@router.post("/choices", response=_answers("choices"))
def choices(request: HttpRequest, body: ProblemIn) -> HttpResponse:
    """Make a multiple-choice question: the right answer among those in which errors end."""
    return _asked("choices", request, body)


@router.post("/mistake", response=_answers("mistake"))
def mistake(request: HttpRequest, body: MistakeIn) -> HttpResponse:
    """Work the problem with exactly one planted error."""
    return _asked("mistake", request, body)


@router.post("/screen", response=_answers("screen"))
def screen(request: HttpRequest, body: ProblemIn) -> HttpResponse:
    """Say which errors the exercise would reveal and which it would hide."""
    return _asked("screen", request, body)


@router.post("/tell", response=_answers("tell"))
def tell(request: HttpRequest, body: ProblemIn) -> HttpResponse:
    """Return the example as it is told: what is new on each line, what to say, ask and watch for."""
    return _asked("tell", request, body)


@router.post("/draw", response=_answers("draw"))
def draw(request: HttpRequest, body: ProblemIn) -> HttpResponse:
    """Return the lines with what a hand would mark on them, step by step."""
    return _asked("draw", request, body)


@router.post("/beside", response=_answers("beside"))
def beside(request: HttpRequest, body: ProblemIn) -> HttpResponse:
    """Return the side work of an example, line by line."""
    return _asked("beside", request, body)


@router.get("/contrast/{error}", response=_answers("contrast"))
def contrast(request: HttpRequest, error: str) -> HttpResponse:
    """Return the smallest pair of lines that look alike and differ, for an error of the catalogue."""
    record = {"error": error, "house": house_rules(teacher_of(request))}
    return _sent("contrast", record, request)


@router.get("/errors", response=list[ErrorEntry])
def errors(request: HttpRequest) -> list[ErrorEntry]:
    """Return the error catalogue in its order."""
    return list(catalogue(Wording.of(house_rules(teacher_of(request)))))
