"""One written line of an example."""

from django.db import models

from examples.models.example import Example


class WrittenLine(models.Model):
    """Text exactly as typed, readable or not; ``position`` counts from 0.

    A line keeps its key while its example is edited: what hangs on it stays.
    """

    example = models.ForeignKey(Example, on_delete=models.CASCADE, related_name="lines")
    position = models.PositiveIntegerField()
    text = models.TextField(blank=True)

    class Meta:
        ordering = ["position"]
        constraints = [
            models.UniqueConstraint(
                fields=["example", "position"],
                name="one_line_a_position",
                deferrable=models.Deferrable.DEFERRED,
            )
        ]

    def __str__(self) -> str:
        return self.text
