"""Everything that a teacher owns as one document."""

from typing import Any
from uuid import UUID

from classes.models import SchoolClass
from django.contrib.auth.models import User
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
    units = units_in_order(teacher)
    filed = {unit.pk: place for place, unit in enumerate(units)}
    examples = list(
        Example.objects.filter(teacher=teacher).order_by("created", "id").prefetch_related("lines")
    )
    places = {example.pk: place for place, example in enumerate(examples)}
    sets = ProblemSet.objects.filter(teacher=teacher).order_by("created").prefetch_related("items")
    rules = rules_of(teacher)
    return {
        "format": "uchuu-everything",
        "version": 1,
        "house": rules.for_core(),
        "own_errors": [
            {name: getattr(error, name) for name in _OWN} for error in own_errors_of(teacher)
        ],
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
            for one in sets
        ],
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
