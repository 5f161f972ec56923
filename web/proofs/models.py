"""Keys that were proofed: the text, what was found, what was accepted."""

import uuid

from django.conf import settings
from django.db import models
from filing.models import PutAside
from jobs.models import Job


class Proof(PutAside, models.Model):
    """Somebody's key and the report on it."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    teacher = models.ForeignKey(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="proofs"
    )
    title = models.CharField(max_length=200, blank=True)
    text = models.TextField()
    purpose = models.CharField(
        max_length=5, default="key", choices=[("key", "key"), ("sheet", "sheet")]
    )
    """A key to be proofed, or a sheet to be looked over and made a set."""
    items = models.JSONField(default=list)
    """The items as they are read, one for each record of the report; the teacher may correct them."""
    job = models.ForeignKey(Job, on_delete=models.SET_NULL, null=True, related_name="+")
    report = models.JSONField(default=list)
    """One record for each item, as the core's ``proof_item`` gives it, with ``repeats``."""
    accepted = models.JSONField(default=list)
    """Places (from 0) of the items whose correction was accepted."""
    created = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ["-created", "-id"]
        indexes = [models.Index(fields=["teacher", "-created", "-id"])]

    def __str__(self) -> str:
        return self.title
