"""Reading house rules."""

from typing import Any, cast

from django.conf import settings
from django.contrib.auth.models import User
from django.core.cache import cache
from django.db.models.signals import post_delete, post_save
from django.dispatch import receiver

from house.models import HouseRules


def rules_of(teacher: User) -> HouseRules:
    """Return the teacher's rules, unsaved defaults where none are set."""
    return HouseRules.objects.filter(teacher=teacher).first() or HouseRules(teacher=teacher)


def for_core(teacher: User) -> dict[str, Any]:
    """Return the teacher's rules as the core has them; kept for seconds: every key asks for them."""
    found = cache.get_or_set(
        _key(teacher.pk), lambda: rules_of(teacher).for_core(), settings.KEPT_SECONDS
    )
    return cast("dict[str, Any]", found)


def _key(teacher: int) -> str:
    return f"rules-{teacher}"


@receiver((post_save, post_delete), sender=HouseRules)
def _forget(instance: HouseRules, **_: Any) -> None:
    cache.delete(_key(instance.teacher_id))
