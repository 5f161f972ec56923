"""Long work: what is to be done, how far it is, what came out."""

import uuid

from django.conf import settings
from django.db import models

WAITING, RUNNING, DONE, FAILED, CANCELLED = "waiting", "running", "done", "failed", "cancelled"
OPEN = (WAITING, RUNNING)


class Job(models.Model):
    """Work of one teacher in steps; each step's result is kept, so that it goes on where it stopped."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    teacher = models.ForeignKey(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="jobs"
    )
    kind = models.CharField(max_length=40)
    params = models.JSONField(default=dict)
    steps = models.JSONField(null=True, blank=True)
    """What each step is given; None until it is planned."""
    results = models.JSONField(default=list)
    """What the steps that are done gave, in order."""
    outcome = models.JSONField(null=True, blank=True)
    state = models.CharField(max_length=10, default=WAITING)
    runner = models.CharField(max_length=32, blank=True)
    """Who does it now: a worker that finds another name here has lost it and stops."""
    message = models.TextField(blank=True)
    """Why it failed."""
    created = models.DateTimeField(auto_now_add=True)
    changed = models.DateTimeField(auto_now=True)

    class Meta:
        ordering = ["-created"]
        indexes = [models.Index(fields=["teacher", "-created"])]

    def __str__(self) -> str:
        return f"{self.kind} {self.state} {len(self.results)}"
