"""Endpoints of jobs: how far one is, and stopping it."""

from typing import Any, Literal
from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord, Refused
from django.http import HttpRequest
from ninja import Router, Schema

from jobs.models import OPEN, Job
from jobs.running import cancel as stop

router = Router()
_MISSING = {401: FailureRecord, 404: FailureRecord}


class JobOut(Schema):
    """How far a job is; ``outcome`` names what it made once it is done."""

    id: UUID
    kind: str
    state: Literal["waiting", "running", "done", "partly", "failed", "cancelled"]
    done: int
    total: int | None
    message: str
    outcome: Any = None

    @staticmethod
    def resolve_done(job: Job) -> int:
        """Count the steps that are done."""
        return job.done.count()

    @staticmethod
    def resolve_total(job: Job) -> int | None:
        """Count all steps; None until they are planned."""
        return None if job.steps is None else len(job.steps)


@router.get("", response=list[JobOut])
def listed(request: HttpRequest) -> Any:
    """Return the teacher's jobs that are not over, newest first."""
    return Job.objects.filter(teacher=teacher_of(request), state__in=OPEN)


@router.get("/{identity}", response={200: JobOut, **_MISSING})
def one(request: HttpRequest, identity: UUID) -> Job:
    """Return how far one job is."""
    return _of(request, identity)


@router.post("/{identity}/cancel", response={200: JobOut, **_MISSING})
def cancel(request: HttpRequest, identity: UUID) -> Job:
    """Stop a job; nothing of it stays."""
    return stop(_of(request, identity))


def _of(request: HttpRequest, identity: UUID) -> Job:
    job = Job.objects.filter(teacher=teacher_of(request), pk=identity).first()
    if job is None:
        raise Refused(404, "not-found", "This work is not there (any more).")
    return job
