"""Doing a job: planned, step after step, finished; resumed where a worker was killed."""

import logging
from datetime import timedelta
from typing import Any
from uuid import uuid4

from api.failures import Refused
from django.conf import settings
from django.contrib.auth.models import User
from django.db import transaction
from django.db.models import Q
from django.utils import timezone
from uchuu_core.failures import Failure

from jobs.kinds import KINDS
from jobs.models import (
    CANCELLED,
    DONE,
    FAILED,
    LONGEST_RUNNER,
    OPEN,
    PARTLY,
    RUNNING,
    WAITING,
    Job,
    StepResult,
)
from jobs.queue import hand_to_workers

log = logging.getLogger(__name__)
A_SLICE = 10
"""Steps that a job does before others have their turn."""


def begin(*, teacher: User, kind: str, params: dict[str, Any]) -> Job:
    """Store a job and hand it to a worker."""
    job = Job.objects.create(teacher=teacher, kind=kind, params=params)
    hand_over(job)
    job.refresh_from_db()
    return job


def hand_over(job: Job) -> None:
    """Give the job to a worker once it is stored; at once where the settings say so."""
    if settings.JOBS_AT_ONCE:
        run(str(job.pk))
        return
    hand_to_workers("run_job", f"job-{job.pk}", priority=-_ahead(job), identity=str(job.pk))


def _ahead(job: Job) -> int:
    """Count the older jobs of the same teacher: everybody's first one comes before anybody's second."""
    same = Job.objects.filter(teacher_id=job.teacher_id, state__in=OPEN)
    return same.filter(created__lt=job.created).count()


def cancel(job: Job) -> Job:
    """Stop the job before its next step; what was done so far is thrown away with it."""
    Job.objects.filter(pk=job.pk, state__in=OPEN).update(
        state=CANCELLED, params={}, changed=timezone.now()
    )
    job.refresh_from_db()
    return job


def requeue_left(slot: str = "") -> int:
    """Hand over again what was left lying; return how many.

    *slot*: the worker's own place, when it starts: what its predecessor was doing is free at once. Others'
    work is free after it was silent for ``JOB_SECONDS``.
    """
    quiet = timezone.now() - timedelta(seconds=settings.JOB_SECONDS)
    is_left = Q(changed__lt=quiet)
    if slot:
        is_left |= Q(state=RUNNING, runner__startswith=f"{slot}:")
    left = list(Job.objects.filter(is_left, state__in=OPEN))
    Job.objects.filter(pk__in=[job.pk for job in left]).update(state=WAITING)
    for job in left:
        hand_over(job)
    return len(left)


def run(identity: str) -> None:
    """Do the job, or what is left of it; nothing where another worker has it or it is over.

    After ``A_SLICE`` steps it stands behind others again: nobody's long job holds up anybody's short one.
    """
    quiet = timezone.now() - timedelta(seconds=settings.JOB_SECONDS)
    is_free = Q(state=WAITING) | Q(state=RUNNING, changed__lt=quiet)
    runner = f"{settings.JOB_SLOT}:{uuid4().hex}"[:LONGEST_RUNNER]
    free = Job.objects.filter(is_free, pk=identity)
    if not free.update(state=RUNNING, runner=runner, changed=timezone.now()):
        return
    mine = Job.objects.filter(pk=identity, state=RUNNING, runner=runner)
    job = Job.objects.select_related("teacher").get(pk=identity)
    kind = KINDS[job.kind]
    try:
        if job.steps is None:
            job.steps = kind.plan(job)
            job.save(update_fields=["steps", "changed"])
        begun = len(job.results)
        while len(job.results) < len(job.steps):
            if not mine.exists():
                return  # cancelled, or taken up by another worker
            number = len(job.results)
            if number - begun == A_SLICE and not settings.JOBS_AT_ONCE:
                if mine.update(state=WAITING, runner="", changed=timezone.now()):
                    hand_over(job)
                return
            value = kind.step(job, job.steps[number])
            with transaction.atomic():
                if not mine.select_for_update().exists():
                    return
                StepResult.objects.create(job=job, number=number, value=value)
                mine.update(changed=timezone.now())
            job.results.append(value)
        with transaction.atomic():
            if mine.select_for_update().exists():
                job.outcome, job.message = kind.finish(job)
                job.state, job.params = PARTLY if job.message else DONE, {}
                job.save(update_fields=["outcome", "message", "state", "params", "changed"])
    except (Failure, Refused) as reason:
        _failed(job, reason.message)
    except Exception:
        log.exception("job %s of kind %s", job.pk, job.kind)
        _failed(job, "Something went wrong on our side. Nothing was changed. Try again.")


def _failed(job: Job, message: str) -> None:
    mine = Job.objects.filter(pk=job.pk, state=RUNNING, runner=job.runner)
    mine.update(state=FAILED, message=message, params={}, changed=timezone.now())
