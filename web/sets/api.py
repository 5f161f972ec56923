"""Endpoints of sets. Every one sees only the signed-in teacher's."""

from typing import Any
from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord
from django.db.models import QuerySet
from django.http import HttpRequest
from examples.queries import one_of as example_of
from jobs.api import JobOut
from jobs.models import Job
from jobs.running import begin
from ninja import Router, Status
from uchuu_core import FAMILIES
from uchuu_core.answers.made import Facts

from sets.actions.add_problems import add_problems
from sets.actions.copy_set import copy_set
from sets.actions.make_problems import MadeProblems, make_family, make_twins
from sets.actions.save_set import (
    StaleSetVersion,
    bring_set_back,
    create_set,
    put_set_aside,
    save_set,
)
from sets.models import ProblemSet
from sets.problems import asker_of, facts_of, with_facts
from sets.queries import list_of, one_of
from sets.schemas import (
    FamilyIn,
    FamilyOut,
    Found,
    Made,
    NewProblems,
    SetIn,
    SetOut,
    SetRow,
    SetSave,
    StaleSet,
    TwinsIn,
    VersionsIn,
)
from sets.search import search

router = Router()
_REFUSALS = {401: FailureRecord, 404: FailureRecord, 422: FailureRecord}
_LATER = {429: FailureRecord, 504: FailureRecord}


@router.get("", response=list[SetRow])
def listed(request: HttpRequest, aside: bool = False) -> QuerySet[ProblemSet]:
    """Return all sets, last changed first; or those that were put aside."""
    return list_of(teacher_of(request), aside=aside)


@router.get("/search", response=list[Found])
def find(
    request: HttpRequest,
    words: str = "",
    easiest: float | None = None,
    hardest: float | None = None,
) -> list[dict[str, Any]]:
    """Find sets and problems by text, topic, skill, error and difficulty."""
    return search(teacher_of(request), words[:200], easiest=easiest, hardest=hardest)


@router.get("/families", response=list[FamilyOut])
def families(request: HttpRequest) -> Any:
    """Return the families of problems that are made to order."""
    return FAMILIES


@router.post("", response={201: SetOut, **_REFUSALS})
def create(request: HttpRequest, body: SetIn) -> Status[ProblemSet]:
    """Store a new set."""
    teacher = teacher_of(request)
    return Status(201, one_of(teacher, create_set(teacher=teacher, content=body).pk))


@router.get("/{identity}", response={200: SetOut, **_REFUSALS})
def one(request: HttpRequest, identity: UUID) -> ProblemSet:
    """Return one set with its examples and what is known of them."""
    return with_facts(one_of(teacher_of(request), identity))


@router.get("/{identity}/facts/{example}", response={200: Facts, **_REFUSALS, **_LATER})
def facts(request: HttpRequest, identity: UUID, example: UUID) -> dict[str, Any]:
    """Return what the core knows of one problem by the rules of this set, whether it is in it yet or not."""
    teacher = teacher_of(request)
    stored = one_of(teacher, identity)
    return facts_of(asker_of(stored), example_of(teacher, example))


@router.post("/{identity}/problems", response={200: SetOut, **_REFUSALS})
def add(request: HttpRequest, identity: UUID, body: NewProblems) -> ProblemSet:
    """Put bare problems into the set; each becomes an example."""
    teacher = teacher_of(request)
    problems = [problem.dict() for problem in body.problems]
    stored = one_of(teacher, identity)
    return with_facts(
        add_problems(teacher=teacher, stored=stored, problems=problems, after=body.after)
    )


@router.post("/{identity}/twins", response={200: Made, **_REFUSALS})
def twins(request: HttpRequest, identity: UUID, body: TwinsIn) -> MadeProblems:
    """Put twins of one item behind it, or a run that climbs."""
    teacher = teacher_of(request)
    made = make_twins(teacher=teacher, stored=one_of(teacher, identity), wish=body)
    with_facts(made.set)
    return made


@router.post("/{identity}/family", response={200: Made, **_REFUSALS})
def family(request: HttpRequest, identity: UUID, body: FamilyIn) -> MadeProblems:
    """Put problems made to order at the end."""
    teacher = teacher_of(request)
    made = make_family(teacher=teacher, stored=one_of(teacher, identity), wish=body)
    with_facts(made.set)
    return made


@router.post("/{identity}/copy", response={201: SetOut, **_REFUSALS})
def copy(request: HttpRequest, identity: UUID) -> Status[ProblemSet]:
    """Store a copy of the set with examples of its own."""
    teacher = teacher_of(request)
    return Status(201, copy_set(teacher=teacher, stored=one_of(teacher, identity)))


@router.post("/{identity}/versions", response={201: JobOut, **_REFUSALS})
def versions(request: HttpRequest, identity: UUID, body: VersionsIn) -> Status[Job]:
    """Begin to make parallel versions: every item a twin, each version a set."""
    teacher = teacher_of(request)
    stored = one_of(teacher, identity)
    params = {"set": str(stored.pk), "count": body.count, "seed": body.seed}
    return Status(201, begin(teacher=teacher, kind="versions", params=params))


@router.put("/{identity}", response={200: SetOut, 409: StaleSet, **_REFUSALS})
def save(request: HttpRequest, identity: UUID, body: SetSave) -> Any:
    """Store a change; 409 with the stored one when it was changed elsewhere since."""
    teacher = teacher_of(request)
    content = SetIn(**body.dict(exclude={"version"}))
    try:
        return with_facts(
            save_set(teacher=teacher, identity=identity, content=content, version=body.version)
        )
    except StaleSetVersion:
        message = "This set was changed in another window."
        current = one_of(teacher, identity)
        return Status(409, {"code": "stale", "message": message, "current": current})


@router.delete("/{identity}", response={204: None, **_REFUSALS})
def remove(request: HttpRequest, identity: UUID) -> Status[None]:
    """Put a set aside; its examples stay, and it can be brought back."""
    put_set_aside(stored=one_of(teacher_of(request), identity))
    return Status(204, None)


@router.post("/{identity}/restore", response={200: SetOut, **_REFUSALS})
def restore(request: HttpRequest, identity: UUID) -> ProblemSet:
    """Bring back a set that was put aside."""
    return bring_set_back(stored=one_of(teacher_of(request), identity, deleted=True))
