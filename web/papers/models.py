"""What a class gave for a set on a date: papers, their work item by item, marks, and what the teacher overruled."""

import uuid

from classes.models import SchoolClass, Student
from django.db import models
from examples.models import Example
from filing.models import PutAside
from jobs.models import Job
from sets.models import ProblemSet

MOST_LINES = 60
MOST_LINE = 2000


class Sitting(PutAside, models.Model):
    """One set given to one class on a date. Its items are kept as they were given."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    school_class = models.ForeignKey(SchoolClass, on_delete=models.CASCADE, related_name="sittings")
    set = models.ForeignKey(ProblemSet, on_delete=models.SET_NULL, null=True, related_name="+")
    title = models.CharField(max_length=200)
    date = models.DateField()
    house = models.JSONField(default=dict, blank=True)
    """House rules of the set when it was given."""
    school = models.CharField(max_length=20, default="method-accuracy")
    accuracy_follows = models.BooleanField(default=False)
    """Whether an answer that follows from an error above it earns its mark."""
    job = models.ForeignKey(Job, on_delete=models.SET_NULL, null=True, related_name="+")
    """The marking that runs, or the last one."""
    released = models.DateTimeField(null=True, blank=True)
    """When the teacher made the marks final; until then they are proposals."""
    created = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ["-date", "-created"]
        indexes = [models.Index(fields=["school_class", "-date"])]

    def __str__(self) -> str:
        return self.title


class SittingItem(models.Model):
    """One item as it was given; ``number`` counts from 1. It asks the core as an example does."""

    sitting = models.ForeignKey(Sitting, on_delete=models.CASCADE, related_name="items")
    version = models.CharField(max_length=2, blank=True)
    """Of which parallel version it is: A, B, C; empty where all have the same."""
    number = models.PositiveIntegerField()
    example = models.ForeignKey(Example, on_delete=models.SET_NULL, null=True, related_name="+")
    task = models.CharField(max_length=20)
    given = models.TextField()
    variable = models.CharField(max_length=10, blank=True)
    numbers = models.CharField(max_length=10, default="real")
    form = models.JSONField(default=list, blank=True)
    house = models.JSONField(default=dict, blank=True)
    worth = models.PositiveIntegerField(null=True, blank=True)
    """Marks of the set for it; None where the scheme decides."""
    scheme = models.JSONField(default=list, blank=True)
    """The teacher's own marks, as the core's ``scheme`` has them; empty for the one that is made."""
    twin = models.JSONField(null=True, blank=True)
    """Another problem like it, for slips and redo sheets: ``given`` and ``answer``; made when first wanted."""
    chances = models.JSONField(null=True, blank=True)
    """Which errors can be made in it (``errors``: ids), as the core of ``core`` sees it; None: not known yet."""

    class Meta:
        ordering = ["version", "number"]
        constraints = [
            models.UniqueConstraint(
                fields=["sitting", "version", "number"], name="one_item_a_number_and_version"
            )
        ]

    def __str__(self) -> str:
        return f"{self.number}. {self.given}"


class Paper(models.Model):
    """Which version of a sitting a student had; no row where all have the same."""

    sitting = models.ForeignKey(Sitting, on_delete=models.CASCADE, related_name="papers")
    student = models.ForeignKey(Student, on_delete=models.CASCADE, related_name="papers")
    version = models.CharField(max_length=2)

    class Meta:
        constraints = [
            models.UniqueConstraint(fields=["sitting", "student"], name="one_version_a_student")
        ]

    def __str__(self) -> str:
        return f"{self.student_id}: {self.version}"


class Work(models.Model):
    """What one student gave for one item: lines, or an answer alone; no row for what is blank.

    ``ground``: the digest of what its marks stand on; other than the asker's: to be marked (again).
    """

    student = models.ForeignKey(Student, on_delete=models.CASCADE, related_name="works")
    item = models.ForeignKey(SittingItem, on_delete=models.CASCADE, related_name="works")
    lines = models.JSONField(default=list)
    answer_alone = models.BooleanField(default=False)
    wrote = models.CharField(max_length=64)
    """A digest of the lines: equal lines are marked once."""
    ground = models.CharField(max_length=16, blank=True)
    judged = models.JSONField(null=True, blank=True)
    """The core's ``mark``; None until it is marked."""
    earned = models.PositiveIntegerField(null=True, blank=True)
    of = models.PositiveIntegerField(null=True, blank=True)
    stop = models.CharField(max_length=12, blank=True)
    """Where it left: the verdict of its first line that does not hold, or how it ends."""
    error = models.CharField(max_length=80, blank=True)
    error_name = models.CharField(max_length=200, blank=True)
    asks = models.PositiveIntegerField(default=0)
    """Questions that a teacher must decide."""
    comment = models.CharField(max_length=600, blank=True)
    """What the teacher says of it to the student; on the slip."""
    changed = models.DateTimeField(auto_now=True)

    class Meta:
        constraints = [models.UniqueConstraint(fields=["student", "item"], name="one_work_an_item")]
        indexes = [models.Index(fields=["item", "wrote"])]

    def __str__(self) -> str:
        return f"{self.student_id}: {self.item_id}"


class Overruling(models.Model):
    """What a teacher decided otherwise about one mark; it survives every new judgement."""

    work = models.ForeignKey(Work, on_delete=models.CASCADE, related_name="overrulings")
    key = models.CharField(max_length=60)
    earned = models.IntegerField()
    why = models.CharField(max_length=300, blank=True)
    changed = models.DateTimeField(auto_now=True)

    class Meta:
        constraints = [models.UniqueConstraint(fields=["work", "key"], name="one_word_a_mark")]

    def __str__(self) -> str:
        return f"{self.key}: {self.earned}"


class NamedLine(models.Model):
    """What a teacher calls the error behind a line of an item, for all papers that wrote it."""

    item = models.ForeignKey(SittingItem, on_delete=models.CASCADE, related_name="named")
    line = models.CharField(max_length=MOST_LINE)
    """The first line that left, as it was typed."""
    error = models.CharField(max_length=80)
    """An error's id in the catalogue, or one made of the name."""
    name = models.CharField(max_length=200)

    class Meta:
        constraints = [models.UniqueConstraint(fields=["item", "line"], name="one_name_a_line")]

    def __str__(self) -> str:
        return f"{self.line}: {self.name}"
