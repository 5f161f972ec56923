"""Proofing a key: begun, done item by item as a job, its report stored."""

from typing import Any

from algebra import known, pool
from django.contrib.auth.models import User
from django.db import transaction
from errors.queries import for_core as own_errors
from house.queries import for_core as house_rules
from jobs.models import Job
from jobs.running import begin
from uchuu_core import repeats
from uchuu_core.failures import Failure
from uchuu_core.proofing.items import KeyItem
from uchuu_core.proofing.proof import unread

from proofs.models import Proof


@transaction.atomic
def begin_proof(*, teacher: User, title: str, text: str, purpose: str = "key") -> Proof:
    """Store the text and begin to proof it.

    Raises:
        Failure: the text passes the core's bounds.
    """
    key = pool.run("key-items", {"text": text}, teacher.pk)
    stored = Proof.objects.create(
        teacher=teacher,
        title=(title or key["title"])[:200],
        text=text,
        purpose=purpose,
        items=key["items"],
    )
    stored.job = begin(teacher=teacher, kind="proof", params={"proof": str(stored.pk)})
    stored.save(update_fields=["job"])
    stored.refresh_from_db()
    return stored


def plan(job: Job) -> list[Any]:
    """Return the items of the key, one a step."""
    items: list[Any] = Proof.objects.get(pk=job.params["proof"]).items
    return items


def one_item(job: Job, item: dict[str, Any]) -> dict[str, Any]:
    """Proof one item of a job."""
    return judged(job.teacher, item)


def judged(teacher: User, item: dict[str, Any]) -> dict[str, Any]:
    """Proof one item; one that takes too long says so and does not stop the rest."""
    rules = house_rules(teacher)
    question = {"task": "simplify", "given": "", "house": rules, "own": own_errors(teacher)}
    try:
        return known.ask("proof-item", {**question, "item": item}, teacher.pk)
    except Failure as failure:
        nothing = unread(KeyItem(**item))
        return {**nothing, "status": "undecided", "message": failure.message}


def store(job: Job) -> tuple[dict[str, Any], str]:
    """Store the report; a key that was put aside meanwhile keeps it for when it comes back."""
    report = with_repeats(job.results)
    Proof.objects.filter(pk=job.params["proof"]).update(report=report, accepted=[])
    return {"proof": job.params["proof"]}, ""


def with_repeats(report: list[Any]) -> list[Any]:
    """Return the records with what each repeats."""
    givens = [item["given"] for item in report]
    return [{**item, "repeats": other} for item, other in zip(report, repeats(givens), strict=True)]
