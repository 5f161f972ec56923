"""Errors that a teacher added to the catalogue, for that teacher only."""

from typing import Any

from django.conf import settings
from django.db import models


class OwnError(models.Model):
    """A wrong rewrite in plain notation, every letter a variable; proved to be no law when stored."""

    teacher = models.ForeignKey(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="own_errors"
    )
    name = models.CharField(max_length=200)
    before = models.CharField(max_length=500)
    after = models.CharField(max_length=500)
    when = models.JSONField(default=list, blank=True)
    """Conditions on the variables, as sentences."""
    says = models.CharField(max_length=1000, blank=True)
    """What to say to a student."""
    counter = models.CharField(max_length=500, blank=True)
    """Numbers that refute it."""
    created = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ["created", "id"]

    def __str__(self) -> str:
        return self.name

    def for_core(self) -> dict[str, Any]:
        """Return the error as the core's contract has it."""
        return {
            "id": f"own-{self.pk}",
            "name": self.name,
            "before": self.before,
            "after": self.after,
            "when": self.when,
            "says": self.says,
        }
