"""Endpoints of the department: what is shared, copies of it, classes that are handed over."""

from datetime import datetime
from typing import Any, Literal
from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord, Refused
from classes.api import class_of
from django.db.models import Q
from django.http import HttpRequest
from jobs.api import JobOut
from jobs.models import Job
from ninja import Field, Router, Schema, Status
from teachers.people import colleagues_of, person_of

from sharing.actions import Row, copy, document_of, hand, one_seen, rows_of, share, take
from sharing.models import HandOver, Shared

router = Router()
_REFUSALS = {401: FailureRecord, 404: FailureRecord, 422: FailureRecord}

KindName = Literal["set", "unit", "error", "house"]


class SharedIn(Schema):
    """What is to be shared: of which kind, and its key (empty for house rules)."""

    kind: KindName
    key: str = Field(default="", max_length=36)


class SharedOut(Schema):
    """Something shared; ``copied``: the reader has a copy; ``changed``: it was changed since they copied it."""

    id: UUID
    kind: KindName
    key: str
    title: str
    owner: str
    own: bool
    since: datetime
    count: int
    copied: bool
    changed: bool


class SharedProblem(Schema):
    """A problem of what is shared, with its lines as written."""

    title: str
    task: str
    given: str
    lines: list[str]


class SharedSet(Schema):
    """A set of what is shared."""

    title: str
    instruction: str
    problems: list[SharedProblem]


class SharedError(Schema):
    """An own error of a colleague."""

    name: str
    before: str
    after: str
    when: list[str]
    says: str


class SharedContent(SharedOut):
    """All that a colleague reads of it; ``rules``: of house rules, by name."""

    sets: list[SharedSet]
    errors: list[SharedError]
    rules: dict[str, Any]


class HandIn(Schema):
    """A class that is handed over: to whom, and its title, said again."""

    school_class: UUID
    to: str = Field(max_length=150)
    title: str = Field(max_length=100)


class HandedOut(Schema):
    """A class that is offered; ``own``: by whoever asks."""

    id: int
    title: str
    year: str
    owner: str
    to: str
    own: bool
    at: datetime


class DepartmentPage(Schema):
    """The department of whoever asks: empty title without one."""

    title: str
    colleagues: list[str]
    shared: list[SharedOut]
    handed: list[HandedOut]


def _row(request: HttpRequest, row: Row) -> dict[str, Any]:
    shared = row.shared
    return {
        **{name: getattr(shared, name) for name in ("id", "kind", "key", "since")},
        "title": row.told.title,
        "owner": shared.teacher.get_username(),
        "own": shared.teacher_id == teacher_of(request).pk,
        "count": row.told.count,
        "copied": row.copied is not None,
        "changed": row.copied is not None and row.copied != row.told.state,
    }


def _handed(request: HttpRequest, one: HandOver) -> dict[str, Any]:
    found = one.school_class
    return {
        "id": one.pk,
        "title": found.title,
        "year": found.year,
        "owner": found.teacher.get_username(),
        "to": one.to.get_username(),
        "own": found.teacher_id == teacher_of(request).pk,
        "at": one.at,
    }


@router.get("", response={200: DepartmentPage, 401: FailureRecord})
def department(request: HttpRequest) -> dict[str, Any]:
    """Return what the department shares, and the classes that are offered to or by whoever asks."""
    teacher = teacher_of(request)
    mine = person_of(teacher).department
    offered = HandOver.objects.filter(Q(to=teacher) | Q(school_class__teacher=teacher))
    return {
        "title": mine.title if mine else "",
        "colleagues": [one.get_username() for one in colleagues_of(teacher)],
        "shared": [_row(request, row) for row in rows_of(teacher)],
        "handed": [
            _handed(request, one) for one in offered.select_related("school_class__teacher", "to")
        ],
    }


@router.post("", response={201: SharedOut, **_REFUSALS})
def begin_sharing(request: HttpRequest, body: SharedIn) -> Status[dict[str, Any]]:
    """Share something of one's own with the department."""
    return Status(201, _row(request, share(teacher_of(request), body.kind, body.key)))


@router.get("/{identity}", response={200: SharedContent, **_REFUSALS})
def content(request: HttpRequest, identity: UUID) -> dict[str, Any]:
    """Return what is shared, to be read."""
    row = one_seen(teacher_of(request), identity)
    document = document_of(row.shared)
    examples = document["examples"]
    return {
        **_row(request, row),
        "sets": [
            {**one, "problems": [examples[item["example"]] for item in one["items"]]}
            for one in document["sets"]
        ],
        "errors": document["own_errors"],
        "rules": document["house"] if row.shared.kind == "house" else {},
    }


@router.delete("/{identity}", response={204: None, **_REFUSALS})
def end_sharing(request: HttpRequest, identity: UUID) -> Status[None]:
    """Share it no more; what colleagues copied is theirs."""
    if not Shared.objects.filter(teacher=teacher_of(request), pk=identity).delete()[0]:
        raise Refused(404, "not-found", "You do not share this (any more).")
    return Status(204, None)


@router.post("/{identity}/copy", response={201: JobOut, 204: None, **_REFUSALS})
def take_copy(request: HttpRequest, identity: UUID) -> Status[Job | None]:
    """Copy it into one's own: a job, or at once (204) for house rules."""
    teacher = teacher_of(request)
    job = copy(teacher, one_seen(teacher, identity))
    return Status(204, None) if job is None else Status(201, job)


handing = Router()


@handing.post("", response={201: HandedOut, **_REFUSALS})
def offer(request: HttpRequest, body: HandIn) -> Status[dict[str, Any]]:
    """Offer a class with its papers and log to a colleague; its title is said again."""
    made = hand(request, class_of(request, body.school_class), body.to, body.title)
    return Status(201, _handed(request, made))


@handing.post("/{identity}/take", response={204: None, **_REFUSALS})
def accept(request: HttpRequest, identity: int) -> Status[None]:
    """Take a class that a colleague offers."""
    offered = HandOver.objects.filter(pk=identity, to=teacher_of(request)).first()
    if offered is None:
        raise Refused(404, "not-found", "This class is not offered to you (any more).")
    take(request, offered)
    return Status(204, None)


@handing.delete("/{identity}", response={204: None, **_REFUSALS})
def decline(request: HttpRequest, identity: int) -> Status[None]:
    """Take an offer back, or leave it."""
    teacher = teacher_of(request)
    mine = HandOver.objects.filter(Q(to=teacher) | Q(school_class__teacher=teacher), pk=identity)
    if not mine.delete()[0]:
        raise Refused(404, "not-found", "This class is not offered (any more).")
    return Status(204, None)
