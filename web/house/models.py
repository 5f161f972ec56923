"""House rules of a teacher: conventions that the algebra obeys."""

from typing import Any

from django.conf import settings
from django.db import models


class HouseRules(models.Model):
    """One row per teacher; absent means the defaults."""

    teacher = models.OneToOneField(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="house_rules"
    )
    juxtaposition = models.CharField(
        max_length=10, default="equal", choices=[("equal", "equal"), ("tighter", "tighter")]
    )
    """How ``1/2x`` is read: equal rank from the left, or the unwritten product first."""
    decimal = models.CharField(
        max_length=5, default="point", choices=[("point", "point"), ("comma", "comma")]
    )
    """What stands before decimals; under the comma, ``;`` stands between solutions."""
    density = models.CharField(
        max_length=10,
        default="board",
        choices=[("fine", "fine"), ("board", "board"), ("key", "key")],
    )
    """How many lines a worked example has."""

    radicals = models.CharField(
        max_length=15,
        default="any",
        choices=[("any", "any"), ("non-negative", "non-negative")],
    )
    """What letters under even roots may be; ``any`` makes the root of x² an absolute value."""

    methods = models.JSONField(default=list, blank=True)
    """The methods taught, as the core names them: taken before others where they apply."""

    spelling = models.CharField(max_length=2, default="us", choices=[("us", "us"), ("uk", "uk")])
    """How sentences are spelt: rationalize and factor, or rationalise and factorise."""

    def __str__(self) -> str:
        return f"house rules of {self.teacher_id}"

    def for_core(self) -> dict[str, Any]:
        """Return the rules as the core's contract has them."""
        return {
            "juxtaposition": self.juxtaposition,
            "decimal": self.decimal,
            "density": self.density,
            "radicals": self.radicals,
            "methods": self.methods,
            "spelling": self.spelling,
        }
