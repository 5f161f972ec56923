"""Importing examples from the open exchange format, all or none."""

import json
from functools import lru_cache
from pathlib import Path
from typing import Any

from api.failures import Refused
from django.contrib.auth.models import User
from django.db import transaction
from jsonschema import Draft202012Validator

from examples.actions.save_example import create_examples
from examples.models import Example
from examples.schemas import ExampleIn

SCHEMA = Path(__file__).resolve().parents[1] / "format" / "examples.schema.json"


@lru_cache(maxsize=1)
def _validator() -> Draft202012Validator:
    return Draft202012Validator(json.loads(SCHEMA.read_text("utf-8")))


@transaction.atomic
def import_examples(*, teacher: User, document: Any) -> list[Example]:
    """Store every example of *document*.

    Raises:
        Refused: 422 with the place and the reason when the document is not in the format.
    """
    for problem in _validator().iter_errors(document):
        where = " → ".join(str(part) for part in problem.absolute_path) or "the document"
        raise Refused(422, "bad-file", f"Nothing was imported. In {where}: {problem.message[:200]}")
    contents = [ExampleIn(**entry) for entry in reversed(document["examples"])]
    return create_examples(teacher=teacher, contents=contents)
