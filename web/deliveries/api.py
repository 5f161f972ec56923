"""Endpoints of papers that come from the tray: what waits, fetched, laid to a code by hand, pushed."""

import hmac
from typing import Any
from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord, Refused
from django.http import HttpRequest
from jobs.api import JobOut
from jobs.models import OPEN, Job
from jobs.running import begin
from ninja import Router, Schema, Status
from ninja.security import HttpBearer
from papers.actions.marking import mark
from papers.models import Sitting
from papers.queries import sitting_of

from deliveries import tray
from deliveries.actions.take import discard, place, take
from deliveries.models import WAITING, Delivery

router = Router()
_REFUSALS = {401: FailureRecord, 404: FailureRecord, 422: FailureRecord, 503: FailureRecord}


class TheTray(HttpBearer):
    """Lets in who has the secret that the tray and we share."""

    def authenticate(self, request: HttpRequest, token: str) -> bool | None:
        """Accept the shared secret."""
        ours = tray.secret()
        return True if ours and hmac.compare_digest(token.encode(), ours.encode()) else None


class DeliveryOut(Schema):
    """A paper that waits for the teacher, and why."""

    id: int
    code: str
    form: str
    says: str
    works: list[dict[str, Any]]


class InTheTray(Schema):
    """What waits: in the tray (None where it does not answer), and here for the teacher."""

    tray: int | None
    waiting: list[DeliveryOut]


class PlaceIn(Schema):
    """To which student a waiting paper belongs."""

    student: int


class Taken(Schema):
    """What became of a pushed paper."""

    state: str


@router.post("/push", response={200: Taken, **_REFUSALS}, auth=TheTray())
def pushed(request: HttpRequest) -> dict[str, Any]:
    """Take in a paper that the tray hands over by itself; handed over again it changes nothing."""
    try:
        record = tray.read(request.body)
    except tray.NotAPaper as wrong:
        raise Refused(422, "not-a-paper", str(wrong)) from None
    sitting = Sitting.objects.filter(pk=record["sitting"], deleted=None).first()
    if sitting is None:
        raise Refused(404, "not-found", "This sitting is not there (any more).")
    delivery = take(sitting, record)
    mark(sitting)
    return {"state": delivery.state}


@router.get("/{sitting}", response={200: InTheTray, **_REFUSALS})
def waiting(request: HttpRequest, sitting: UUID) -> dict[str, Any]:
    """Return what waits for a sitting."""
    found = sitting_of(teacher_of(request), sitting)
    return _waiting(found)


@router.post("/{sitting}/fetch", response={202: JobOut, **_REFUSALS})
def fetch(request: HttpRequest, sitting: UUID) -> Status[Job]:
    """Fetch what waits in the tray, in the background; where that is going on, join it."""
    teacher = teacher_of(request)
    found = sitting_of(teacher, sitting)
    going_on = Job.objects.filter(
        teacher=teacher, kind="tray", state__in=OPEN, params__sitting=str(found.pk)
    ).first()
    return Status(
        202, going_on or begin(teacher=teacher, kind="tray", params={"sitting": str(found.pk)})
    )


@router.post("/{sitting}/{delivery}", response={200: InTheTray, **_REFUSALS})
def lay(request: HttpRequest, sitting: UUID, delivery: int, body: PlaceIn) -> dict[str, Any]:
    """Lay a waiting paper to a student, over what is there."""
    found = sitting_of(teacher_of(request), sitting)
    student = found.school_class.students.filter(pk=body.student).first()
    if student is None:
        raise Refused(404, "not-found", "This code is not there (any more).")
    place(_of(found, delivery), student)
    mark(found)
    return _waiting(found)


@router.delete("/{sitting}/{delivery}", response={200: InTheTray, **_REFUSALS})
def put_away(request: HttpRequest, sitting: UUID, delivery: int) -> dict[str, Any]:
    """Put a waiting paper away for good."""
    found = sitting_of(teacher_of(request), sitting)
    discard(_of(found, delivery))
    return _waiting(found)


def _of(sitting: Sitting, identity: int) -> Delivery:
    found = sitting.deliveries.filter(pk=identity, state=WAITING).first()
    if found is None:
        raise Refused(404, "not-found", "This paper does not wait (any more).")
    return found


def _waiting(sitting: Sitting) -> dict[str, Any]:
    try:
        in_tray = len(tray.waiting(str(sitting.pk)))
    except tray.TrayFails:
        in_tray = None
    return {"tray": in_tray, "waiting": list(sitting.deliveries.filter(state=WAITING))}
