"""Classes and their students, by codes that the teacher chooses: never a name that is required."""

import uuid

from django.conf import settings
from django.db import models
from filing.models import PutAside

MOST_STUDENTS = 200
MOST_CODE = 24


class SchoolClass(PutAside, models.Model):
    """A group that is taught together in one year."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    teacher = models.ForeignKey(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="classes"
    )
    title = models.CharField(max_length=100)
    year = models.CharField(max_length=20, blank=True)
    created = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ["-year", "title", "id"]
        indexes = [models.Index(fields=["teacher", "-created", "-id"])]

    def __str__(self) -> str:
        return self.title


class Student(models.Model):
    """One student of a class, known by a code: a seat, a number, a nickname."""

    school_class = models.ForeignKey(SchoolClass, on_delete=models.CASCADE, related_name="students")
    code = models.CharField(max_length=MOST_CODE)
    position = models.PositiveIntegerField(default=0)

    class Meta:
        ordering = ["position", "id"]
        constraints = [
            models.UniqueConstraint(fields=["school_class", "code"], name="a_code_once_a_class")
        ]

    def __str__(self) -> str:
        return self.code
