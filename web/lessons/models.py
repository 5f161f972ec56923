"""Lessons: what is planned for a class, and what was held: shown, counted, reached."""

import uuid

from classes.models import SchoolClass
from django.db import models
from examples.models import Example
from filing.models import PutAside, Unit
from sets.models import ProblemSet

MOST_ITEMS = 60
ROLES = ("shown", "tried", "homework", "spare", "skipped")
PURPOSES = ("", "reteach", "review", "exit")


class Lesson(PutAside, models.Model):
    """A lesson of one class; ``version`` grows by one with every change of the plan."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    school_class = models.ForeignKey(SchoolClass, on_delete=models.CASCADE, related_name="lessons")
    set = models.ForeignKey(ProblemSet, on_delete=models.SET_NULL, null=True, related_name="+")
    """What it was planned from."""
    unit = models.ForeignKey(Unit, on_delete=models.SET_NULL, null=True, related_name="+")
    carried_from = models.ForeignKey(
        "self", on_delete=models.SET_NULL, null=True, related_name="carried_to"
    )
    title = models.CharField(max_length=200)
    date = models.DateField()
    minutes = models.PositiveIntegerField(default=45)
    note = models.TextField(blank=True)
    version = models.PositiveIntegerField(default=1)
    begun = models.DateTimeField(null=True, blank=True)
    ended = models.DateTimeField(null=True, blank=True)
    created = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ["-date", "-created"]
        indexes = [models.Index(fields=["school_class", "-date"])]

    def __str__(self) -> str:
        return self.title


class LessonItem(models.Model):
    """One example in a lesson; ``position`` counts from 0. What was held of it stands beside the plan.

    ``task`` and ``given`` are kept: a lesson that was held says what was shown, also when the example is gone.
    """

    lesson = models.ForeignKey(Lesson, on_delete=models.CASCADE, related_name="items")
    example = models.ForeignKey(Example, on_delete=models.SET_NULL, null=True, related_name="+")
    position = models.PositiveIntegerField()
    task = models.CharField(max_length=20)
    given = models.TextField()
    role = models.CharField(max_length=10, default="shown")
    note = models.CharField(max_length=600, blank=True)
    """For the teacher alone."""
    star = models.BooleanField(default=False)
    """Its first move is another one than before."""
    first_move = models.CharField(max_length=200, blank=True)
    minutes = models.PositiveIntegerField(null=True, blank=True)
    """As the teacher says; None: as it is estimated."""
    purpose = models.CharField(max_length=10, blank=True)
    error = models.CharField(max_length=80, blank=True)
    """What it teaches again or reviews: an error's id."""
    error_name = models.CharField(max_length=200, blank=True)
    held = models.DateTimeField(null=True, blank=True)
    """When it was begun in class; None: it was not reached."""
    seconds = models.PositiveIntegerField(default=0)
    shown = models.PositiveIntegerField(default=0)
    """How many of its lines were shown."""
    lines = models.PositiveIntegerField(default=0)
    """Of how many."""

    class Meta:
        ordering = ["position", "id"]

    def __str__(self) -> str:
        return f"{self.position + 1}. {self.given}"

    @property
    def is_done(self) -> bool:
        """Whether it was reached and shown to its end."""
        return self.held is not None and self.shown >= self.lines


class Hands(models.Model):
    """A show of hands: what the class predicted after a line of an item. Counts only, nobody's name."""

    item = models.ForeignKey(LessonItem, on_delete=models.CASCADE, related_name="hands")
    after = models.PositiveIntegerField()
    """After which line of the example; 0: the given."""
    kind = models.CharField(max_length=10)
    """``choices`` (A to D) or ``fork`` (yes or no)."""
    counts = models.JSONField(default=list)
    """Each answer: ``label``, ``text``, ``latex``, ``right``, ``error``, ``name``, ``count``."""
    raised = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ["after", "id"]
        constraints = [
            models.UniqueConstraint(fields=["item", "after", "kind"], name="hands_once_a_line")
        ]

    def __str__(self) -> str:
        return f"{self.item_id} after {self.after}"


class OpenedFork(models.Model):
    """A fork that was opened in class."""

    item = models.ForeignKey(LessonItem, on_delete=models.CASCADE, related_name="forks")
    after = models.PositiveIntegerField()
    error = models.CharField(max_length=80)
    name = models.CharField(max_length=200)

    class Meta:
        ordering = ["after", "id"]
        constraints = [
            models.UniqueConstraint(fields=["item", "after", "error"], name="a_fork_opened_once")
        ]

    def __str__(self) -> str:
        return f"{self.name} after {self.after}"


class ReviewPlan(models.Model):
    """When what was taught again comes back to a class, and the days on which it has no lessons."""

    school_class = models.OneToOneField(
        SchoolClass, on_delete=models.CASCADE, related_name="review_plan"
    )
    days = models.JSONField(default=list)
    """Days after it was taught again; empty: ``reviews.DAYS``."""
    free = models.JSONField(default=list)
    """Free days: pairs of dates, first and last."""

    def __str__(self) -> str:
        return f"{self.school_class_id}: {self.days}"
