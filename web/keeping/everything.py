"""Everything that a teacher owns as one document, and bringing it back.

Restoring adds: what is there already, word for word, is not made twice; nothing is overwritten but the
house rules. So a file can be restored into the account it came from, or into another one.
"""

import json
from dataclasses import dataclass
from functools import lru_cache
from pathlib import Path
from typing import Any

from api.entrance import says_unstorable, unstorable
from django.contrib.auth.models import User
from django.db import transaction
from errors.api import OwnErrorIn, proved
from errors.models import OwnError
from errors.queries import own_errors_of
from examples.actions.save_example import create_example
from examples.models import Example
from examples.schemas import ExampleIn, ExampleOut
from exchange.reading import refuse
from house.models import HouseRules
from house.queries import rules_of
from jsonschema import Draft202012Validator
from proofs.models import Proof
from pydantic import TypeAdapter, ValidationError
from sets.actions.save_set import create_set
from sets.models import ProblemSet
from sets.schemas import ItemIn, SetIn
from uchuu_core import limits
from uchuu_core.answers.proofed import ProofItem

SCHEMA = Path(__file__).parent / "format" / "everything.schema.json"
_REPORT = TypeAdapter(list[ProofItem])
_FIELDS = set(ExampleIn.model_fields)
_OWN = ("name", "before", "after", "when", "says")
_RULES = ("juxtaposition", "decimal", "density", "radicals", "methods")


@lru_cache(maxsize=1)
def _validator() -> Draft202012Validator:
    return Draft202012Validator(json.loads(SCHEMA.read_text("utf-8")))


def everything_of(teacher: User) -> dict[str, Any]:
    """Return the document; what is put aside is in it too, marked."""
    examples = list(
        Example.objects.filter(teacher=teacher).order_by("created").prefetch_related("lines")
    )
    places = {example.pk: place for place, example in enumerate(examples)}
    sets = ProblemSet.objects.filter(teacher=teacher).order_by("created").prefetch_related("items")
    rules = rules_of(teacher)
    return {
        "format": "uchuu-everything",
        "version": 1,
        "house": {name: getattr(rules, name) for name in _RULES},
        "own_errors": [
            {name: getattr(error, name) for name in _OWN} for error in own_errors_of(teacher)
        ],
        "examples": [_example_record(example) for example in examples],
        "sets": [
            {
                "title": one.title,
                "instruction": one.instruction,
                "house": one.house,
                "form": one.form,
                "aside": one.deleted is not None,
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


def _example_record(example: Example) -> dict[str, Any]:
    record = ExampleOut.from_orm(example).dict(include=_FIELDS)
    return record | {"house": example.house, "aside": example.deleted is not None}


@dataclass(frozen=True, slots=True)
class Restored:
    """How much was brought back; what was there already is not counted."""

    examples: int
    sets: int
    own_errors: int
    proofs: int


@transaction.atomic
def restore(*, teacher: User, document: Any) -> Restored:
    """Bring back what *document* holds, all or none.

    Raises:
        Refused: 422 with the place when it is not in the format.
    """
    for problem in _validator().iter_errors(document):
        where = " → ".join(str(part) for part in problem.absolute_path) or "the document"
        raise refuse(f"In {where}: {problem.message[:200]}")
    if character := unstorable(document):
        raise refuse(says_unstorable(character))
    _hold_reports(document["proofs"])
    HouseRules.objects.update_or_create(teacher=teacher, defaults=document["house"])
    here = everything_of(teacher)
    own = [error for error in document["own_errors"] if error not in here["own_errors"]]
    if len(own) + len(here["own_errors"]) > limits.OWN_ERRORS:
        raise refuse(f"There would be more than {limits.OWN_ERRORS} own errors. Delete some first.")
    for error in own:  # proved anew: a file cannot make an error of a law
        OwnError.objects.create(teacher=teacher, **proved(OwnErrorIn(**error)))
    made, new_examples = _examples(teacher, document["examples"])
    new_sets = _sets(teacher, document["sets"], made)
    proofs = [proof for proof in document["proofs"] if proof not in here["proofs"]]
    for proof in proofs:
        Proof.objects.create(teacher=teacher, **proof)
    return Restored(new_examples, new_sets, len(own), len(proofs))


def _hold_reports(proofs: list[dict[str, Any]]) -> None:
    """Refuse reports on keys that no screen could show."""
    for place, proof in enumerate(proofs):
        try:
            _REPORT.validate_python(proof["report"])
        except ValidationError as wrong:
            where = " → ".join(str(part) for part in wrong.errors()[0]["loc"])
            raise refuse(f"In proofs → {place} → report → {where}: it is no report.") from None
        if any(not 0 <= at < len(proof["report"]) for at in proof["accepted"]):
            raise refuse(f"In proofs → {place}: it accepts what is not in its report.")


def _examples(teacher: User, records: list[dict[str, Any]]) -> tuple[list[Example], int]:
    """Return the examples of the records in their order, found or made, and how many were made."""
    stored = Example.objects.filter(teacher=teacher).order_by("created").prefetch_related("lines")
    known: dict[str, list[Example]] = {}
    for example in stored:
        known.setdefault(_words(_example_record(example)), []).append(example)
    made, new = [], 0
    for record in records:
        same = known.get(_words(record))
        if same:
            made.append(same.pop(0))
            continue
        content = {name: value for name, value in record.items() if name in _FIELDS}
        example = create_example(teacher=teacher, content=ExampleIn(**content))
        if record.get("aside"):
            Example.objects.filter(pk=example.pk).update(deleted=example.changed)
        made.append(example)
        new += 1
    return made, new


def _words(record: dict[str, Any]) -> str:
    return json.dumps(record, sort_keys=True, ensure_ascii=False)


def _sets(teacher: User, records: list[dict[str, Any]], examples: list[Example]) -> int:
    known = {
        (one.title, tuple(item.example_id for item in one.items.all()))
        for one in ProblemSet.objects.filter(teacher=teacher).prefetch_related("items")
    }
    new = 0
    for record in records:
        if any(item["example"] >= len(examples) for item in record["items"]):
            raise refuse(f"The set “{record['title'][:60]}” names an example that is not there.")
        items = [
            ItemIn(**{**item, "example": examples[item["example"]].pk}) for item in record["items"]
        ]
        if (record["title"], tuple(item.example for item in items)) in known:
            continue
        content = SetIn(
            title=record["title"],
            instruction=record["instruction"],
            house=record["house"],
            items=items,
        )
        stored = create_set(teacher=teacher, content=content)
        deleted = stored.changed if record.get("aside") else None
        ProblemSet.objects.filter(pk=stored.pk).update(form=record["form"], deleted=deleted)
        new += 1
    return new
