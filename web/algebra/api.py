"""Endpoints of the algebra: a problem in, what the core knows of it out; the error catalogue."""

from typing import Any

from api.auth import teacher_of
from api.failures import FailureRecord
from django.http import HttpRequest
from errors.queries import for_core as own_errors
from house.queries import rules_of
from ninja import Router
from uchuu_core.moves.catalogue import wordings
from uchuu_core.operations import OPERATIONS

from algebra import pool
from algebra.schemas import CompareIn, ErrorEntry, ForkIn, MistakeIn, ProblemIn, Text

router = Router()
_REFUSALS = {401: FailureRecord, 413: FailureRecord, 422: FailureRecord, 504: FailureRecord}


def _answers(operation: str) -> dict[int, Any]:
    return {200: OPERATIONS[operation].answers, **_REFUSALS}


def _record(request: HttpRequest, problem: ProblemIn) -> dict[str, Any]:
    teacher = teacher_of(request)
    own = problem.house.dict(exclude_none=True) if problem.house else {}
    rules = {**rules_of(teacher).for_core(), **own}
    return {**problem.dict(), "house": rules, "own": own_errors(teacher)}


@router.post("/read", response=_answers("read"))
def read(request: HttpRequest, body: Text) -> dict[str, Any]:
    """Return how one line is read."""
    rules = rules_of(teacher_of(request))
    question = {"text": body.text, "house": rules.for_core(), "task": body.task}
    return pool.run("read", {**question, "variable": body.variable})


@router.post("/check", response=_answers("check"))
def check(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Judge every line of a paper."""
    return pool.run("check", _record(request, body))


@router.post("/work", response=_answers("work"))
def work(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Work a problem by the chosen method, or by the default."""
    return pool.run("work", _record(request, body))


@router.post("/inspect", response=_answers("inspect"))
def inspect(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Say what kind of problem it is, what is worth noticing and which methods apply."""
    return pool.run("inspect", _record(request, body))


@router.post("/nudge", response=_answers("nudge"))
def nudge(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Say what the next step is: what to notice, which law, the line."""
    return pool.run("nudge", _record(request, body))


@router.post("/compare", response=_answers("compare"))
def compare(request: HttpRequest, body: CompareIn) -> dict[str, Any]:
    """Work a problem by two methods and say how their paths differ."""
    return pool.run("compare", _record(request, body))


@router.post("/study", response=_answers("study"))
def study(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Study a rational function: its features, the lines that find them, curves to plot."""
    return pool.run("study", _record(request, body))


@router.post("/forks", response=_answers("forks"))
def forks(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Say where students leave the example, and where each fork ends."""
    return pool.run("forks", _record(request, body))


@router.post("/fork", response=_answers("fork"))
def fork(request: HttpRequest, body: ForkIn) -> dict[str, Any]:
    """Carry one wrong line on to its end by the same method."""
    return pool.run("fork", _record(request, body))


@router.post("/choices", response=_answers("choices"))
def choices(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Make a multiple-choice question: the right answer among those in which errors end."""
    return pool.run("choices", _record(request, body))


@router.post("/mistake", response=_answers("mistake"))
def mistake(request: HttpRequest, body: MistakeIn) -> dict[str, Any]:
    """Work the problem with exactly one planted error."""
    return pool.run("mistake", _record(request, body))


@router.post("/screen", response=_answers("screen"))
def screen(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Say which errors the exercise would reveal and which it would hide."""
    return pool.run("screen", _record(request, body))


@router.post("/tell", response=_answers("tell"))
def tell(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Return the example as it is told: what is new on each line, what to say, ask and watch for."""
    return pool.run("tell", _record(request, body))


@router.get("/errors", response=list[ErrorEntry])
def errors(request: HttpRequest) -> list[ErrorEntry]:
    """Return the error catalogue in its order."""
    return [
        ErrorEntry(
            id=entry.id,
            name=entry.name,
            topic=entry.topic,
            before=entry.example.before,
            wrong=entry.example.after,
            right=entry.right,
            correct=entry.correct,
            when=entry.when,
            why=entry.why,
            repair=entry.repair,
            counter=entry.counter,
        )
        for entry in wordings().values()
    ]
