"""A worked example: a problem and the lines written under it."""

import uuid
from functools import cached_property

from django.conf import settings
from django.contrib.postgres.indexes import GinIndex
from django.db import models
from filing.models import Filed, PutAside


class Example(PutAside, Filed, models.Model):
    """Belongs to one teacher; ``version`` grows by one with every change."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    teacher = models.ForeignKey(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="examples"
    )
    title = models.CharField(max_length=200, blank=True)
    task = models.CharField(max_length=20)
    given = models.TextField(blank=True)
    variable = models.CharField(max_length=10, blank=True)
    numbers = models.CharField(max_length=10, default="real")
    """The numbers that solutions are looked for in: ``real`` or ``complex``."""
    form = models.JSONField(default=list, blank=True)
    house = models.JSONField(default=dict, blank=True)
    """House rules where this example differs from its teacher's."""
    note = models.TextField(blank=True)
    reasons = models.JSONField(default=dict, blank=True)
    """The teacher's own words for why a line follows, by the line's text."""
    version = models.PositiveIntegerField(default=1)
    created = models.DateTimeField(auto_now_add=True)
    changed = models.DateTimeField(auto_now=True)
    opened = models.DateTimeField(null=True, blank=True)
    """When somebody last looked at it."""
    kept = models.DateTimeField(null=True, editable=False)
    """When a version of it was last kept (``Snapshot``)."""

    class Meta:
        ordering = ["-changed", "-id"]
        indexes = [
            models.Index(fields=["teacher", "-changed", "-id"]),
            models.Index(fields=["teacher", "-opened", "-id"]),
            GinIndex(fields=["tags"]),
        ]

    @cached_property
    def texts(self) -> list[str]:
        """Its lines as written, in order; read once."""
        return [line.text for line in self.lines.all()]

    def __str__(self) -> str:
        return self.title or self.given


class Snapshot(models.Model):
    """An example as it was at one version: the way back."""

    example = models.ForeignKey(Example, on_delete=models.CASCADE, related_name="snapshots")
    version = models.PositiveIntegerField()
    content = models.JSONField()
    """As the exchange format has an example."""
    taken = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ["-version"]
        constraints = [
            models.UniqueConstraint(fields=["example", "version"], name="one_snapshot_a_version")
        ]

    def __str__(self) -> str:
        return f"version {self.version} of {self.example_id}"
