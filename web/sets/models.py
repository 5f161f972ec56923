"""Sets: examples of one teacher in order, with what a sheet says of them."""

import uuid

from django.conf import settings
from django.db import models
from examples.models import Example


class ProblemSet(models.Model):
    """A sheet, a test or a review; ``version`` grows by one with every change."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    teacher = models.ForeignKey(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="sets"
    )
    title = models.CharField(max_length=200, blank=True)
    instruction = models.TextField(blank=True)
    """What stands over the sheet."""
    version = models.PositiveIntegerField(default=1)
    created = models.DateTimeField(auto_now_add=True)
    changed = models.DateTimeField(auto_now=True)
    deleted = models.DateTimeField(null=True, blank=True)
    """When it was put aside; it can be brought back."""

    class Meta:
        ordering = ["-changed"]
        indexes = [models.Index(fields=["teacher", "-changed"])]

    def __str__(self) -> str:
        return self.title


class SetItem(models.Model):
    """One example in a set; ``position`` counts from 0."""

    set = models.ForeignKey(ProblemSet, on_delete=models.CASCADE, related_name="items")
    example = models.ForeignKey(Example, on_delete=models.CASCADE, related_name="in_sets")
    position = models.PositiveIntegerField()
    marks = models.PositiveIntegerField(null=True, blank=True)
    minutes = models.PositiveIntegerField(null=True, blank=True)

    class Meta:
        ordering = ["position"]
        constraints = [
            models.UniqueConstraint(fields=["set", "position"], name="one_item_a_position"),
            models.UniqueConstraint(fields=["set", "example"], name="an_example_once_a_set"),
        ]

    def __str__(self) -> str:
        return f"{self.position + 1} of {self.set_id}"
