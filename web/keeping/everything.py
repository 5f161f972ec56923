"""Everything that a teacher owns as one document."""

from collections.abc import Sequence
from typing import Any
from uuid import UUID

from classes.models import SchoolClass
from django.contrib.auth.models import User
from django.db.models import QuerySet
from errors.models import OwnError
from errors.queries import own_errors_of
from examples.models import Example
from examples.schemas import ExampleIn, ExampleOut
from filing.models import Unit
from house.queries import rules_of
from papers.records import class_record
from proofs.models import Proof
from sets.models import ProblemSet

FIELDS = set(ExampleIn.model_fields)
_OWN = ("name", "before", "after", "when", "says")


def everything_of(teacher: User) -> dict[str, Any]:
    """Return the document; what is put aside is in it too, marked."""
    examples = Example.objects.filter(teacher=teacher).order_by("created", "id")
    return {
        **_document(
            teacher,
            units=units_in_order(teacher),
            examples=list(examples.prefetch_related("lines")),
            sets=ProblemSet.objects.filter(teacher=teacher),
            errors=own_errors_of(teacher),
        ),
        "classes": [
            class_record(one, with_marks=False)
            for one in SchoolClass.objects.filter(teacher=teacher).order_by("created")
        ],
        "proofs": [
            {
                "title": proof.title,
                "text": proof.text,
                "report": proof.report,
                "accepted": proof.accepted,
            }
            for proof in Proof.objects.filter(teacher=teacher, deleted=None).order_by("created")
        ],
    }


def part_of(
    teacher: User,
    *,
    sets: QuerySet[ProblemSet] | None = None,
    units: Sequence[Unit] = (),
    errors: QuerySet[OwnError] | None = None,
) -> dict[str, Any]:
    """Return a document of some sets with their examples, and some own errors; no classes, no keys."""
    found = ProblemSet.objects.none() if sets is None else sets
    inside = Example.objects.filter(teacher=teacher, in_sets__set__in=found).distinct()
    return {
        **_document(
            teacher,
            units=units,
            examples=list(inside.order_by("created", "id").prefetch_related("lines")),
            sets=found,
            errors=OwnError.objects.none() if errors is None else errors,
        ),
        "classes": [],
        "proofs": [],
    }


def _document(
    teacher: User,
    *,
    units: Sequence[Unit],
    examples: list[Example],
    sets: QuerySet[ProblemSet],
    errors: QuerySet[OwnError],
) -> dict[str, Any]:
    filed = {unit.pk: place for place, unit in enumerate(units)}
    places = {example.pk: place for place, example in enumerate(examples)}
    return {
        "format": "uchuu-everything",
        "version": 1,
        "house": rules_of(teacher).for_core(),
        "own_errors": [{name: getattr(error, name) for name in _OWN} for error in errors],
        "units": [
            {"title": unit.title, "parent": filed.get(unit.parent_id) if unit.parent_id else None}
            for unit in units
        ],
        "examples": [example_record(example, filed) for example in examples],
        "sets": [
            {
                "title": one.title,
                "instruction": one.instruction,
                "house": one.house,
                "form": one.form,
                **_filing(one, filed),
                "items": [
                    {
                        "example": places[item.example_id],
                        "instruction": item.instruction,
                        "marks": item.marks,
                        "minutes": item.minutes,
                    }
                    for item in one.items.all()
                ],
            }
            for one in sets.order_by("created").prefetch_related("items")
        ],
    }


def units_in_order(teacher: User) -> list[Unit]:
    """Return the teacher's units, each before its parts."""
    found = list(Unit.objects.filter(teacher=teacher))
    return [one for one in found if one.parent_id is None] + [one for one in found if one.parent_id]


def example_record(example: Example, filed: dict[UUID, int]) -> dict[str, Any]:
    """Return an example as the document has it; *filed*: the place of each unit."""
    record = ExampleOut.from_orm(example).dict(include=FIELDS)
    return record | {"house": example.house} | _filing(example, filed)


def _filing(one: Example | ProblemSet, filed: dict[UUID, int]) -> dict[str, Any]:
    unit = filed.get(one.unit_id) if one.unit_id else None
    return {"unit": unit, "tags": one.tags, "aside": one.deleted is not None}
