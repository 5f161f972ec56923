"""Bringing everything of a teacher back, as a job.

Restoring adds: what is there already, word for word, is not made twice; nothing is overwritten but the
house rules. So a file can be restored into the account it came from, or into another one.
"""

import json
from pathlib import Path
from typing import Any

from api.documents import fault_in
from django.contrib.auth.models import User
from django.utils import timezone
from errors.api import OwnErrorIn, proved
from errors.models import OwnError
from examples.actions.save_example import create_examples
from examples.models import Example
from examples.schemas import ExampleIn
from exchange.reading import refuse
from filing.models import MOST_UNITS, Unit
from house.models import HouseRules
from jobs.models import Job
from papers.records import bring_class_back
from proofs.models import Proof
from pydantic import TypeAdapter, ValidationError
from sets.actions.save_set import create_set
from sets.models import ProblemSet
from sets.schemas import ItemIn, SetIn
from uchuu_core import limits
from uchuu_core.answers.proofed import ProofItem

from keeping.everything import FIELDS, everything_of, example_record, units_in_order

SCHEMA = Path(__file__).parent / "format" / "everything.schema.json"
_REPORT = TypeAdapter(list[ProofItem])


def plan(job: Job) -> list[Any]:
    """Hold the document against its format; the own errors that are new are proved one a step.

    Raises:
        Refused: it is not in the format; says where.
    """
    document = job.params["document"]
    if fault := fault_in(document, SCHEMA):
        raise refuse(fault)
    _hold_reports(document["proofs"])
    _hold_units(document.get("units", []))
    here = everything_of(job.teacher)
    own = [error for error in document["own_errors"] if error not in here["own_errors"]]
    if len(own) + len(here["own_errors"]) > limits.OWN_ERRORS:
        raise refuse(f"There would be more than {limits.OWN_ERRORS} own errors. Delete some first.")
    return own


def prove(_job: Job, error: dict[str, Any]) -> dict[str, Any]:
    """Prove one own error anew: a file cannot make an error of a law.

    Raises:
        Refused, Failure: it is none.
    """
    return proved(OwnErrorIn(**error))


def store(job: Job) -> tuple[dict[str, int], str]:
    """Store all that is new, in the transaction that ends the job; return how much it was.

    Raises:
        Refused: a set names an example that is not in the document, or there are too many units.
    """
    teacher, document = job.teacher, job.params["document"]
    HouseRules.objects.update_or_create(teacher=teacher, defaults={"rules": document["house"]})
    for error in job.results:
        OwnError.objects.create(teacher=teacher, **error)
    units = _units(teacher, document.get("units", []))
    made, new_examples = _examples(teacher, document["examples"], units)
    new_sets = _sets(teacher, document["sets"], made, units)
    known = everything_of(teacher)["proofs"]
    proofs = [proof for proof in document["proofs"] if proof not in known]
    for proof in proofs:
        Proof.objects.create(teacher=teacher, **proof)
    classes = _classes(teacher, document.get("classes", []))
    counts = {"examples": new_examples, "sets": new_sets, "classes": classes}
    return {**counts, "own_errors": len(job.results), "proofs": len(proofs)}, ""


def _classes(teacher: User, records: list[dict[str, Any]]) -> int:
    """Bring back the classes that are not here, word for word; return how many."""
    here = everything_of(teacher)["classes"]
    new = [record for record in records if record not in here]
    for record in new:
        if len(set(record["codes"])) < len(record["codes"]):
            raise refuse(f"In the class “{record['title'][:60]}” a code stands twice.")
        bring_class_back(teacher, record)
    return len(new)


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


def _hold_units(units: list[dict[str, Any]]) -> None:
    for place, unit in enumerate(units):
        above = unit.get("parent")
        if above is not None and (above >= place or units[above].get("parent") is not None):
            raise refuse(f"In units → {place}: it is a part of what is no unit of the first level.")


def _units(teacher: User, records: list[dict[str, Any]]) -> list[Unit]:
    """Return the units of the records in their order, found by title or made."""
    here = units_in_order(teacher)
    known = {(unit.parent_id, unit.title): unit for unit in here}
    made: list[Unit] = []
    for record in records:
        above = None if record.get("parent") is None else made[record["parent"]]
        key = (above.pk if above else None, record["title"])
        if key not in known:
            if len(known) >= MOST_UNITS:
                raise refuse(f"There would be more than {MOST_UNITS} units. Delete some first.")
            known[key] = Unit.objects.create(
                teacher=teacher, title=record["title"], parent=above, position=len(known)
            )
        made.append(known[key])
    return made


def _filed(record: dict[str, Any], units: list[Unit]) -> dict[str, Any]:
    place = record.get("unit")
    if place is not None and place >= len(units):
        raise refuse(f"“{record['title'][:60]}” is filed under a unit that is not there.")
    unit = None if place is None else units[place]
    aside = timezone.now() if record.get("aside") else None
    return {"unit": unit, "tags": record.get("tags", []), "deleted": aside}


def _examples(
    teacher: User, records: list[dict[str, Any]], units: list[Unit]
) -> tuple[list[Example], int]:
    """Return the examples of the records in their order, found or made, and how many were made."""
    places = {unit.pk: place for place, unit in enumerate(units)}
    stored = Example.objects.filter(teacher=teacher).order_by("created").prefetch_related("lines")
    known: dict[str, list[Example]] = {}
    for example in stored:
        known.setdefault(_words(example_record(example, places)), []).append(example)
    same = [known[words].pop(0) if known.get(words := _words(one)) else None for one in records]
    new = [record for record, found in zip(records, same, strict=True) if found is None]
    contents = [ExampleIn(**{k: v for k, v in one.items() if k in FIELDS}) for one in new]
    made = create_examples(teacher=teacher, contents=contents)
    for example, record in zip(made, new, strict=True):
        for name, value in _filed({"title": "", **record}, units).items():
            setattr(example, name, value)
    Example.objects.bulk_update(made, ["unit", "tags", "deleted"], batch_size=500)
    rest = iter(made)
    return [found or next(rest) for found in same], len(made)


def _words(record: dict[str, Any]) -> str:
    record = {"unit": None, "tags": [], "aside": False, **record}
    return json.dumps(record, sort_keys=True, ensure_ascii=False)


def _sets(
    teacher: User, records: list[dict[str, Any]], examples: list[Example], units: list[Unit]
) -> int:
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
        more = {"form": record["form"], **_filed(record, units)}
        ProblemSet.objects.filter(pk=stored.pk).update(**more)
        new += 1
    return new
