"""Where teachers are signed in, so that they can see it and end it."""

from django.conf import settings
from django.db import models


class SignedIn(models.Model):
    """One session of a teacher; the session itself is Django's."""

    teacher = models.ForeignKey(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="signed_in"
    )
    session = models.CharField(max_length=40, unique=True)
    browser = models.CharField(max_length=200, blank=True)
    """What the browser says it is."""
    since = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ["-since"]

    def __str__(self) -> str:
        return f"{self.teacher_id} since {self.since:%Y-%m-%d}"
