"""Endpoints of sets. Every one sees only the signed-in teacher's."""

from typing import Any
from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord
from api.pages import page_of
from asking.asker import Asker
from django.http import HttpRequest
from examples.queries import some_of
from filing.actions import file_under
from filing.api import FiledOut, FilingIn
from filing.queries import tags_of
from jobs.api import JobOut
from jobs.models import Job
from jobs.running import begin
from ninja import Query, Router, Status
from uchuu_core import FAMILIES

from sets.actions.add_problems import add_problems
from sets.actions.copy_set import copy_set
from sets.actions.make_problems import MadeProblems, make_family, make_twins
from sets.actions.save_set import (
    StaleSetVersion,
    create_set,
    save_set,
)
from sets.models import ProblemSet
from sets.problems import facts_of, with_facts
from sets.queries import ORDERS, house_of, list_of, one_of
from sets.schemas import (
    FactsFound,
    FactsWanted,
    FamilyIn,
    FamilyOut,
    Made,
    NewProblems,
    SetIn,
    SetOut,
    SetPage,
    SetSave,
    SetsWanted,
    StaleSet,
    TwinsIn,
    VersionsIn,
)

router = Router()
_REFUSALS = {401: FailureRecord, 404: FailureRecord, 422: FailureRecord}


@router.get("", response={200: SetPage, **_REFUSALS})
def listed(request: HttpRequest, query: Query[SetsWanted]) -> dict[str, Any]:
    """Return a page of the sets that are wanted."""
    found = list_of(teacher_of(request), **query.dict(exclude={"order", "cursor"}))
    return page_of(request, found, ORDERS[query.order], query.cursor)


@router.get("/tags", response={200: list[str], 401: FailureRecord})
def tags(request: HttpRequest) -> list[str]:
    """Return the tags that sets have, in the order of the alphabet."""
    return tags_of(ProblemSet.objects.filter(teacher=teacher_of(request), deleted=None))


@router.post("/file", response={200: FiledOut, **_REFUSALS})
def file(request: HttpRequest, body: FilingIn) -> dict[str, int]:
    """File sets under a unit, and change their tags."""
    teacher = teacher_of(request)
    found = ProblemSet.objects.filter(teacher=teacher, pk__in=body.ids)
    count = file_under(found, teacher=teacher, unit=body.wish(), add=body.add, drop=body.drop)
    return {"count": count}


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


@router.post("/{identity}/facts", response={200: FactsFound, **_REFUSALS})
def facts(request: HttpRequest, identity: UUID, body: FactsWanted) -> dict[str, Any]:
    """Return what the core knows of some problems by the rules of this set, whether they are in it yet or not."""
    teacher = teacher_of(request)
    rules = house_of(teacher, identity)
    return facts_of(Asker(teacher, rules), some_of(teacher, body.examples))


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
    one_of(teacher_of(request), identity).put_aside()
    return Status(204, None)


@router.post("/{identity}/restore", response={200: SetOut, **_REFUSALS})
def restore(request: HttpRequest, identity: UUID) -> ProblemSet:
    """Bring back a set that was put aside."""
    stored = one_of(teacher_of(request), identity, deleted=True)
    stored.bring_back()
    return stored
