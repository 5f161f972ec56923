"""How a year's work is kept in order: units in two levels, tags, and putting aside."""

import uuid

from django.conf import settings
from django.contrib.postgres.fields import ArrayField
from django.db import models
from django.utils import timezone

MOST_UNITS = 200
MOST_TAGS = 12


class Unit(models.Model):
    """A part of a course, or a part of such a part; ``position`` counts from 0 among its neighbours."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    teacher = models.ForeignKey(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="units"
    )
    title = models.CharField(max_length=100)
    parent = models.ForeignKey(
        "self", on_delete=models.CASCADE, null=True, blank=True, related_name="parts"
    )
    position = models.PositiveIntegerField(default=0)

    class Meta:
        ordering = ["position", "title", "id"]

    def __str__(self) -> str:
        return self.title


class PutAside(models.Model):
    """What is taken out of lists and can be brought back: nothing is destroyed."""

    deleted = models.DateTimeField(null=True, blank=True)
    """When it was put aside."""

    class Meta:
        abstract = True

    def put_aside(self) -> None:
        """Take it out of the lists."""
        self.deleted = timezone.now()
        self.save(update_fields=["deleted"])

    def bring_back(self) -> None:
        """Put it into the lists again."""
        self.deleted = None
        self.save(update_fields=["deleted"])


class Filed(models.Model):
    """What is filed under a unit and has tags."""

    unit = models.ForeignKey(Unit, on_delete=models.SET_NULL, null=True, blank=True)
    tags = ArrayField(models.CharField(max_length=40), default=list, blank=True)

    class Meta:
        abstract = True
