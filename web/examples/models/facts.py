"""What lists and searches know of an example without asking the core."""

from django.contrib.postgres.fields import ArrayField
from django.contrib.postgres.indexes import GinIndex
from django.db import models

from examples.models.example import Example


class ExampleFacts(models.Model):
    """Written with its example (name, words), and by the worker afterwards (all that the core knows)."""

    example = models.OneToOneField(
        Example, on_delete=models.CASCADE, related_name="facts", primary_key=True
    )
    name = models.CharField(max_length=200)
    """What it is sorted by: its title, or its problem."""
    words = models.TextField()
    """What a search looks in, in small letters: its texts and tags, and what the core tells of it."""
    latex = models.TextField(blank=True)
    """The problem typeset; empty while the core was not asked, or could not read it."""
    kind = models.CharField(max_length=100, blank=True)
    method = models.CharField(max_length=100, blank=True)
    skills = ArrayField(models.TextField(), default=list)
    reveals = ArrayField(models.TextField(), default=list)
    """Names of the errors that the problem reveals."""
    difficulty = models.FloatField(null=True)
    stop = models.CharField(max_length=12, blank=True)
    """What is known of its last line: a verdict or a shade of it; empty while it has none."""
    known_for = models.PositiveIntegerField(null=True)
    """The version of the example that the core was asked about."""
    ground = models.CharField(max_length=16, blank=True)
    """What the answers depended on besides: a digest of the rules, the own errors and the core."""

    class Meta:
        indexes = [
            GinIndex(name="facts_words", fields=["words"], opclasses=["gin_trgm_ops"]),
        ]

    def __str__(self) -> str:
        return self.name
