"""The kinds of things that are shared: how each is found, named, shown, and what state it is in.

A state is a short text that changes whenever the thing does: what was copied is compared by it.
"""

import hashlib
import json
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from django.contrib.auth.models import User
from django.core.exceptions import ValidationError
from django.db.models import Count, QuerySet, Sum
from errors.models import OwnError
from filing.models import Unit
from house.queries import rules_of
from keeping.everything import part_of
from sets.models import ProblemSet


@dataclass(frozen=True, slots=True)
class Told:
    """What a list says of one thing: its title, how much is in it, its state."""

    title: str
    count: int
    state: str


@dataclass(frozen=True, slots=True)
class Kind:
    """A kind of thing.

    Attributes:
        told: of those of an owner's things whose keys are given, what a list says.
        document: one thing as a document in the format in which everything is kept.
    """

    told: Callable[[User, list[str]], dict[str, Told]]
    document: Callable[[User, str], dict[str, Any]]


def _sets_of(teacher: User) -> QuerySet[ProblemSet]:
    return ProblemSet.objects.filter(teacher=teacher, deleted=None)


def _units_of(teacher: User, key: str) -> list[Unit]:
    """Return a unit and its parts, itself first."""
    found = list(Unit.objects.filter(teacher=teacher, pk=key))
    return found + list(Unit.objects.filter(teacher=teacher, parent__in=found))


def _states(found: QuerySet[ProblemSet]) -> list[tuple[ProblemSet, int, str]]:
    counted = found.annotate(n=Count("items"), total=Sum("items__example__version"))
    return [(one, one.n, f"{one.version}.{one.n}.{one.total or 0}") for one in counted]


def _sets_told(teacher: User, keys: list[str]) -> dict[str, Told]:
    return {
        str(one.pk): Told(one.title, count, state)
        for one, count, state in _states(_sets_of(teacher).filter(pk__in=keys))
    }


def _units_told(teacher: User, keys: list[str]) -> dict[str, Told]:
    found = {}
    for key in keys:
        units = _units_of(teacher, key)
        if units:
            states = _states(_sets_of(teacher).filter(unit__in=units).order_by("created"))
            found[key] = Told(units[0].title, len(states), _short([state for *_, state in states]))
    return found


def _errors_told(teacher: User, keys: list[str]) -> dict[str, Told]:
    return {
        str(error.pk): Told(error.name, 1, _short(error.for_core()))
        for error in OwnError.objects.filter(teacher=teacher, pk__in=keys)
    }


def _house_told(teacher: User, keys: list[str]) -> dict[str, Told]:
    found = rules_of(teacher)
    return {"": Told("", len(found.rules), _short(found.for_core()))}


KINDS = {
    "set": Kind(_sets_told, lambda owner, key: part_of(owner, sets=_sets_of(owner).filter(pk=key))),
    "unit": Kind(
        _units_told,
        lambda owner, key: part_of(
            owner,
            units=(units := _units_of(owner, key)),
            sets=_sets_of(owner).filter(unit__in=units),
        ),
    ),
    "error": Kind(
        _errors_told,
        lambda owner, key: part_of(owner, errors=OwnError.objects.filter(teacher=owner, pk=key)),
    ),
    "house": Kind(_house_told, lambda owner, _: part_of(owner)),
}


def told_of(teacher: User, kind: str, key: str) -> Told | None:
    """Return what a list says of one thing; None where the teacher has no such thing."""
    try:
        return KINDS[kind].told(teacher, [key]).get(key)
    except (ValueError, ValidationError):
        return None  # no key at all


def _short(value: Any) -> str:
    return hashlib.sha256(json.dumps(value, sort_keys=True).encode()).hexdigest()[:32]
