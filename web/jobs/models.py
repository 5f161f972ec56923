"""Long work: what is to be done, how far it is, what came out."""

import uuid
from functools import cached_property
from typing import Any

from django.conf import settings
from django.db import models

WAITING, RUNNING, DONE, FAILED, CANCELLED = "waiting", "running", "done", "failed", "cancelled"
PARTLY = "partly"
"""Done as far as it could be: what it stands on changed while it ran; the message says how."""
OPEN = (WAITING, RUNNING)
LONGEST_RUNNER = 40


class Job(models.Model):
    """Work of one teacher in steps; each step's result is kept, so that it goes on where it stopped."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    teacher = models.ForeignKey(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="jobs"
    )
    kind = models.CharField(max_length=40)
    params = models.JSONField(default=dict)
    """What it was begun with; empty when it is over: a file may be in it."""
    steps = models.JSONField(null=True, blank=True)
    """What each step is given; None until it is planned."""
    outcome = models.JSONField(null=True, blank=True)
    state = models.CharField(max_length=10, default=WAITING)
    runner = models.CharField(max_length=LONGEST_RUNNER, blank=True)
    """Who does it now: a worker that finds another name here has lost it and stops."""
    message = models.TextField(blank=True)
    """Why it failed, or what it could not do."""
    created = models.DateTimeField(auto_now_add=True)
    changed = models.DateTimeField(auto_now=True)

    class Meta:
        ordering = ["-created"]
        indexes = [models.Index(fields=["teacher", "-created"])]

    def __str__(self) -> str:
        return f"{self.kind} {self.state}"

    @cached_property
    def results(self) -> list[Any]:
        """What the steps that are done gave, in order; read once."""
        return list(self.done.values_list("value", flat=True))


class StepResult(models.Model):
    """What one step of a job gave; ``number`` counts the steps from 0."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="done")
    number = models.PositiveIntegerField()
    value = models.JSONField(null=True)

    class Meta:
        ordering = ["number"]
        constraints = [models.UniqueConstraint(fields=["job", "number"], name="one_result_a_step")]

    def __str__(self) -> str:
        return f"step {self.number} of {self.job_id}"
