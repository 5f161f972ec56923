"""House rules of a teacher: conventions that the algebra obeys."""

from dataclasses import asdict
from typing import Any

from django.conf import settings
from django.db import models
from uchuu_core.contract import AS_USUAL


class HouseRules(models.Model):
    """One row per teacher; absent means the defaults."""

    teacher = models.OneToOneField(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="house_rules"
    )
    rules = models.JSONField(default=dict)
    """The core's house rules by name (``House``); one that is missing is as usual."""

    def __str__(self) -> str:
        return f"house rules of {self.teacher_id}"

    def for_core(self) -> dict[str, Any]:
        """Return the rules as the core's contract has them."""
        usual = asdict(AS_USUAL)
        kept = {name: value for name, value in self.rules.items() if name in usual}
        return {**usual, "methods": [], **kept}
