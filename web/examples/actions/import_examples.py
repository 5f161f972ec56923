"""Importing examples from the open exchange format, all or none."""

from pathlib import Path
from typing import Any

from api.documents import fault_in
from api.failures import Refused
from django.contrib.auth.models import User
from django.db import transaction

from examples.actions.save_example import create_examples
from examples.models import Example
from examples.schemas import ExampleIn

SCHEMA = Path(__file__).resolve().parents[1] / "format" / "examples.schema.json"


@transaction.atomic
def import_examples(*, teacher: User, document: Any) -> list[Example]:
    """Store every example of *document*.

    Raises:
        Refused: 422 with the place and the reason when the document is not in the format.
    """
    if fault := fault_in(document, SCHEMA):
        raise Refused(422, "bad-file", f"Nothing was imported. {fault}")
    contents = [ExampleIn(**entry) for entry in reversed(document["examples"])]
    return create_examples(teacher=teacher, contents=contents)
