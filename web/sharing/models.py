"""What is shared in a department, what was copied of it, and classes that are handed over."""

import uuid

from classes.models import SchoolClass
from django.conf import settings
from django.db import models


class Shared(models.Model):
    """Something of one teacher that the department reads and copies; nobody edits it but its owner."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    teacher = models.ForeignKey(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="shared"
    )
    kind = models.CharField(max_length=10)
    """set, unit, error or house."""
    key = models.CharField(max_length=36)
    """The key of what is shared; empty for house rules, of which there are one."""
    since = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ["-since", "id"]
        constraints = [
            models.UniqueConstraint(fields=["teacher", "kind", "key"], name="shared_once")
        ]

    def __str__(self) -> str:
        return f"{self.kind} {self.key}"


class Copied(models.Model):
    """That a teacher copied something, and as it was then; the copy itself is the teacher's own."""

    shared = models.ForeignKey(Shared, on_delete=models.CASCADE, related_name="copies")
    teacher = models.ForeignKey(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="copied"
    )
    state = models.CharField(max_length=64)
    """What it was like when it was copied: another state means that it was changed since."""
    at = models.DateTimeField(auto_now=True)

    class Meta:
        constraints = [
            models.UniqueConstraint(fields=["shared", "teacher"], name="the_last_copy_counts")
        ]

    def __str__(self) -> str:
        return f"{self.shared_id} at {self.at:%Y-%m-%d}"


class HandOver(models.Model):
    """A class, with papers and log, that its teacher wants to hand to another one; it stays until it is taken."""

    school_class = models.OneToOneField(
        SchoolClass, on_delete=models.CASCADE, related_name="hand_over"
    )
    to = models.ForeignKey(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="handed"
    )
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ["at"]

    def __str__(self) -> str:
        return str(self.school_class_id)
