"""A delivered paper is taken in exactly once, or waits for the teacher with the reason."""

from typing import Any

from classes.models import Student
from django.db import transaction
from papers.actions.take_in import Given, digest, take_in, tidy
from papers.models import Sitting, Work
from papers.versions import Versions, change_version

from deliveries.models import DISCARDED, TAKEN, WAITING, Delivery


@transaction.atomic
def take(sitting: Sitting, record: dict[str, Any]) -> Delivery:
    """Take in what was delivered; delivered again it changes nothing.

    What cannot be placed, or would overwrite other work, waits.
    """
    delivery, is_new = Delivery.objects.select_for_update().get_or_create(
        sitting=sitting,
        outer=record["id"],
        defaults={
            "code": record["code"][:200],
            "form": record.get("form", "")[:20],
            "works": record["works"],
        },
    )
    if not is_new:
        return delivery
    code = delivery.code.strip()
    student = sitting.school_class.students.filter(code__iexact=code).first()
    says = _fault(sitting, delivery, student)
    if student is None or says:
        delivery.says = says
        delivery.save(update_fields=["says"])
        return delivery
    return _taken(delivery, student)


@transaction.atomic
def place(delivery: Delivery, student: Student) -> Delivery:
    """Lay a waiting paper to a student, over what is there; the teacher has decided so."""
    locked = Delivery.objects.select_for_update().get(pk=delivery.pk)
    return _taken(locked, student) if locked.state == WAITING else locked


def discard(delivery: Delivery) -> None:
    """Put a waiting paper away; delivered again it stays away."""
    Delivery.objects.filter(pk=delivery.pk, state=WAITING).update(state=DISCARDED, works=[])


def _taken(delivery: Delivery, student: Student) -> Delivery:
    sitting = delivery.sitting
    versions = Versions(sitting)
    if delivery.form in versions.names:
        change_version(sitting=sitting, student=student, version=delivery.form)
        versions = Versions(sitting)
    take_in(
        Given(student, item, work["lines"])
        for work in delivery.works
        if (item := versions.item(student, work["item"])) is not None
    )
    delivery.state, delivery.says = TAKEN, ""
    delivery.save(update_fields=["state", "says"])
    return delivery


def _fault(sitting: Sitting, delivery: Delivery, student: Student | None) -> str:
    """Return why a delivery waits; empty where it can be taken."""
    if student is None:
        return f"“{delivery.code[:40]}” is no code of this class."
    versions = Versions(sitting)
    if delivery.form and delivery.form not in versions.names and versions.names != [""]:
        return f"There is no version “{delivery.form}” of this sitting."
    items = {work["item"]: versions.item(student, work["item"]) for work in delivery.works}
    strange = next((number for number, item in items.items() if item is None), None)
    if strange is not None:
        return f"“{strange}” is no item of this sitting."
    for work in delivery.works:
        lines = tidy(work["lines"])
        known = Work.objects.filter(student=student, item__sitting=sitting)
        known = known.filter(item__number=work["item"]).exclude(
            wrote=digest(lines, alone=len(lines) == 1)
        )
        if lines and known.exists():
            return f"{student.code} has other work for item {work['item']} already."
    return ""
