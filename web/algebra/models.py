"""What the core has answered before: the same question is not worked out twice."""

from django.db import models


class Known(models.Model):
    """One answer of the core, by a digest of the question and of the core's own code."""

    digest = models.CharField(max_length=64, primary_key=True)
    answer = models.JSONField()
    """The answer, or ``{"failure": …}`` where the core refused."""
    made = models.DateTimeField(auto_now=True)

    def __str__(self) -> str:
        return self.digest
