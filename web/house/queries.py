"""Reading house rules."""

from django.contrib.auth.models import User

from house.models import HouseRules


def rules_of(teacher: User) -> HouseRules:
    """Return the teacher's rules, unsaved defaults where none are set."""
    return HouseRules.objects.filter(teacher=teacher).first() or HouseRules(teacher=teacher)
