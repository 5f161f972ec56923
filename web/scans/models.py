"""Pages that were scanned: pictures that lie beside the lines; they are looked at and never judged."""

from classes.models import Student
from django.db import models
from jobs.models import Job
from papers.models import Sitting


class ScanStack(models.Model):
    """A file of scanned pages; its content is kept until its pages are cut out of it."""

    sitting = models.ForeignKey(Sitting, on_delete=models.CASCADE, related_name="stacks")
    name = models.CharField(max_length=200)
    content = models.BinaryField(null=True)
    pages = models.PositiveIntegerField(default=0)
    job = models.ForeignKey(Job, on_delete=models.SET_NULL, null=True, related_name="+")
    created = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ["created", "id"]

    def __str__(self) -> str:
        return self.name


class ScanPage(models.Model):
    """One page of a stack, upright, laid to a student by its mark or by hand."""

    stack = models.ForeignKey(ScanStack, on_delete=models.CASCADE, related_name="cut")
    position = models.PositiveIntegerField()
    """In the stack, from 0."""
    student = models.ForeignKey(Student, on_delete=models.CASCADE, null=True, related_name="+")
    page = models.PositiveIntegerField(default=1)
    """Of the student's paper, from 1."""
    image = models.BinaryField()
    """A grey JPEG picture."""
    says = models.CharField(max_length=200, blank=True)
    """Why it waits to be placed by hand."""

    class Meta:
        ordering = ["page", "stack_id", "position"]
        constraints = [
            models.UniqueConstraint(fields=["stack", "position"], name="one_page_a_position")
        ]

    def __str__(self) -> str:
        return f"{self.stack_id}: {self.position}"
