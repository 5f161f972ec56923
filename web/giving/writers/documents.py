"""Our own format: a set as one JSON document that reads back to the same set."""

from typing import Any

from examples.schemas import ExampleIn, ExampleOut
from sets.models import ProblemSet

_FIELDS = set(ExampleIn.model_fields)


def document_of(stored: ProblemSet) -> dict[str, Any]:
    """Return the set as the format ``uchuu-set`` has it (exchange/format/set.schema.json)."""
    items = []
    for item in stored.items.all():
        example = ExampleOut.from_orm(item.example).dict(include=_FIELDS)
        example["house"] = item.example.house
        items.append(
            example
            | {"marks": item.marks, "minutes": item.minutes, "instruction": item.instruction}
        )
    return {
        "format": "uchuu-set",
        "version": 1,
        "title": stored.title,
        "instruction": stored.instruction,
        "house": stored.house,
        "form": stored.form,
        "items": items,
    }
