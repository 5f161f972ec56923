"""Reading house rules."""

from typing import Any

from django.contrib.auth.models import User
from teachers.kept import Kept

from house.models import HouseRules

_KEPT = Kept[dict[str, Any]](HouseRules, "teacher_id")


def rules_of(teacher: User) -> HouseRules:
    """Return the teacher's rules, unsaved defaults where none are set."""
    return HouseRules.objects.filter(teacher=teacher).first() or HouseRules(teacher=teacher)


def for_core(teacher: User) -> dict[str, Any]:
    """Return the teacher's rules as the core has them."""
    return _KEPT.of(teacher.pk, lambda: rules_of(teacher).for_core())
