"""Documents from outside, held against the schema of their format."""

import json
from functools import lru_cache
from pathlib import Path
from typing import Any

from jsonschema import Draft202012Validator


@lru_cache(maxsize=16)
def _validator(schema: Path) -> Draft202012Validator:
    return Draft202012Validator(json.loads(schema.read_text("utf-8")))


def fault_in(document: Any, schema: Path) -> str:
    """Return where a document differs first from its schema, in a sentence; empty where it does not."""
    for problem in _validator(schema).iter_errors(document):
        where = " → ".join(str(part) for part in problem.absolute_path) or "the document"
        return f"In {where}: {problem.message[:200]}"
    return ""
