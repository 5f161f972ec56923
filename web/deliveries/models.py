"""Papers that were delivered from outside: a receipt for each, so that none is taken twice."""

from django.db import models
from papers.models import Sitting

TAKEN, WAITING, DISCARDED = "taken", "waiting", "discarded"


class Delivery(models.Model):
    """One paper as it was delivered; ``outer`` is the id that it has outside."""

    sitting = models.ForeignKey(Sitting, on_delete=models.CASCADE, related_name="deliveries")
    outer = models.CharField(max_length=64)
    code = models.CharField(max_length=200, blank=True)
    form = models.CharField(max_length=20, blank=True)
    works = models.JSONField(default=list)
    """``[{"item": 1, "lines": […]}]``."""
    state = models.CharField(max_length=10, default=WAITING)
    says = models.CharField(max_length=300, blank=True)
    """Why it waits for the teacher."""
    created = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ["created", "id"]
        constraints = [
            models.UniqueConstraint(fields=["sitting", "outer"], name="a_delivery_once_a_sitting")
        ]

    def __str__(self) -> str:
        return f"{self.code}: {self.state}"
