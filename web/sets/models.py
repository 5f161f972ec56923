"""Sets: examples of one teacher in order, with what a sheet says of them."""

import uuid

from django.conf import settings
from django.contrib.postgres.indexes import GinIndex
from django.db import models
from examples.models import Example
from filing.models import Filed, PutAside


class ProblemSet(PutAside, Filed, models.Model):
    """A sheet, a test or a review; ``version`` grows by one with every change."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    teacher = models.ForeignKey(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="sets"
    )
    title = models.CharField(max_length=200, blank=True)
    instruction = models.TextField(blank=True)
    """What stands over the sheet."""
    house = models.JSONField(default=dict, blank=True)
    """House rules where this set differs from its teacher's."""
    made_from = models.ForeignKey(
        "self", on_delete=models.SET_NULL, null=True, blank=True, related_name="versions"
    )
    """The set that this one is a parallel version of."""
    form = models.CharField(max_length=2, blank=True)
    """Which version it is: A, B, C."""
    version = models.PositiveIntegerField(default=1)
    created = models.DateTimeField(auto_now_add=True)
    changed = models.DateTimeField(auto_now=True)

    class Meta:
        ordering = ["-changed", "-id"]
        indexes = [
            models.Index(fields=["teacher", "-changed", "-id"]),
            GinIndex(fields=["tags"]),
        ]

    def __str__(self) -> str:
        return self.title


class SetItem(models.Model):
    """One example in a set; ``position`` counts from 0."""

    set = models.ForeignKey(ProblemSet, on_delete=models.CASCADE, related_name="items")
    example = models.ForeignKey(Example, on_delete=models.CASCADE, related_name="in_sets")
    position = models.PositiveIntegerField()
    instruction = models.CharField(max_length=300, blank=True)
    """What stands over this item, where it differs from the set's."""
    marks = models.PositiveIntegerField(null=True, blank=True)
    minutes = models.PositiveIntegerField(null=True, blank=True)

    class Meta:
        ordering = ["position"]
        constraints = [
            models.UniqueConstraint(
                fields=["set", "position"],
                name="one_item_a_position",
                deferrable=models.Deferrable.DEFERRED,
            ),
            models.UniqueConstraint(fields=["set", "example"], name="an_example_once_a_set"),
        ]

    def __str__(self) -> str:
        return f"{self.position + 1} of {self.set_id}"
