"""Endpoints of the algebra: a problem in, what the core knows of it out; the error catalogue."""

from typing import Any

from api.auth import teacher_of
from api.failures import FailureRecord
from django.http import HttpRequest
from errors.queries import for_core as own_errors
from house.queries import rules_of
from ninja import Router
from uchuu_core.moves.catalogue import wordings

from algebra import pool
from algebra.schemas.checked import Checked
from algebra.schemas.forked import Choices, ErrorEntry, ForkPath, Forks, Mistake, Screened, Told
from algebra.schemas.problem import CompareIn, ForkIn, MistakeIn, Notations, ProblemIn, Text
from algebra.schemas.studied import Inspected, Studied
from algebra.schemas.worked import Compared, Nudged, Worked

router = Router()
_REFUSALS = {401: FailureRecord, 413: FailureRecord, 422: FailureRecord, 504: FailureRecord}


def _record(request: HttpRequest, problem: ProblemIn) -> dict[str, Any]:
    teacher = teacher_of(request)
    own = problem.house.dict(exclude_none=True) if problem.house else {}
    rules = {**rules_of(teacher).for_core(), **own}
    return {**problem.dict(), "house": rules, "own": own_errors(teacher)}


@router.post("/read", response={200: Notations, **_REFUSALS})
def read(request: HttpRequest, body: Text) -> dict[str, Any]:
    """Return how one line is read."""
    rules = rules_of(teacher_of(request))
    question = {"text": body.text, "house": rules.for_core(), "task": body.task}
    return pool.run("read", {**question, "variable": body.variable})


@router.post("/check", response={200: Checked, **_REFUSALS})
def check(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Judge every line of a paper."""
    return pool.run("check", _record(request, body))


@router.post("/work", response={200: Worked, **_REFUSALS})
def work(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Work a problem by the chosen method, or by the default."""
    return pool.run("work", _record(request, body))


@router.post("/inspect", response={200: Inspected, **_REFUSALS})
def inspect(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Say what kind of problem it is, what is worth noticing and which methods apply."""
    return pool.run("inspect", _record(request, body))


@router.post("/nudge", response={200: Nudged, **_REFUSALS})
def nudge(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Say what the next step is: what to notice, which law, the line."""
    return pool.run("nudge", _record(request, body))


@router.post("/compare", response={200: Compared, **_REFUSALS})
def compare(request: HttpRequest, body: CompareIn) -> dict[str, Any]:
    """Work a problem by two methods and say how their paths differ."""
    return pool.run("compare", _record(request, body))


@router.post("/study", response={200: Studied, **_REFUSALS})
def study(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Study a rational function: its features, the lines that find them, curves to plot."""
    return pool.run("study", _record(request, body))


@router.post("/forks", response={200: Forks, **_REFUSALS})
def forks(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Say where students leave the example, and where each fork ends."""
    return pool.run("forks", _record(request, body))


@router.post("/fork", response={200: ForkPath, **_REFUSALS})
def fork(request: HttpRequest, body: ForkIn) -> dict[str, Any]:
    """Carry one wrong line on to its end by the same method."""
    return pool.run("fork", _record(request, body))


@router.post("/choices", response={200: Choices, **_REFUSALS})
def choices(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Make a multiple-choice question: the right answer among those in which errors end."""
    return pool.run("choices", _record(request, body))


@router.post("/mistake", response={200: Mistake, **_REFUSALS})
def mistake(request: HttpRequest, body: MistakeIn) -> dict[str, Any]:
    """Work the problem with exactly one planted error."""
    return pool.run("mistake", _record(request, body))


@router.post("/screen", response={200: Screened, **_REFUSALS})
def screen(request: HttpRequest, body: ProblemIn) -> dict[str, Any]:
    """Say which errors the exercise would reveal and which it would hide."""
    return pool.run("screen", _record(request, body))


@router.post("/tell", response={200: Told, **_REFUSALS})
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
