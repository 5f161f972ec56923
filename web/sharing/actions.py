"""Sharing, copying, and handing a class over."""

from collections import defaultdict
from dataclasses import dataclass
from typing import Any
from uuid import UUID

from api.failures import Refused
from classes.models import SchoolClass
from django.contrib.auth.models import User
from django.db import transaction
from django.db.models import Q, QuerySet
from django.http import HttpRequest
from house.models import HouseRules
from house.queries import rules_of
from jobs.models import Job
from jobs.running import begin
from lessons.models import Lesson, LessonItem
from papers.models import Sitting, SittingItem
from teachers.audit import note
from teachers.people import colleagues_of, person_of

from sharing.models import Copied, HandOver, Shared
from sharing.things import KINDS, Told, told_of

MOST_SHARED = 500


@dataclass(frozen=True, slots=True)
class Row:
    """Something shared, as a list shows it to one teacher."""

    shared: Shared
    told: Told
    copied: str | None
    """Its state when the teacher copied it; None: never."""


def seen_by(teacher: User) -> QuerySet[Shared]:
    """Return what the teacher may read: their own, and what colleagues share who stay."""
    department = person_of(teacher).department_id
    theirs = Q(teacher__person__department=department, teacher__is_active=True)
    theirs &= Q(teacher__person__leaves=None)
    readable = Q(teacher=teacher) | theirs if department else Q(teacher=teacher)
    return Shared.objects.filter(readable).select_related("teacher")


def rows_of(teacher: User) -> list[Row]:
    """Return what the teacher may read, the newest first; what its owner deleted is left out."""
    found = list(seen_by(teacher)[:MOST_SHARED])
    wanted: dict[tuple[User, str], list[str]] = defaultdict(list)
    for one in found:
        wanted[one.teacher, one.kind].append(one.key)
    told = {
        (owner.pk, kind, key): what
        for (owner, kind), keys in wanted.items()
        for key, what in KINDS[kind].told(owner, keys).items()
    }
    copies = dict(Copied.objects.filter(teacher=teacher).values_list("shared_id", "state"))
    return [
        Row(one, what, copies.get(one.pk))
        for one in found
        if (what := told.get((one.teacher_id, one.kind, one.key))) is not None
    ]


def one_seen(teacher: User, identity: UUID) -> Row:
    """Return one thing that the teacher may read.

    Raises:
        Refused: 404 it is not shared with them (any more).
    """
    one = seen_by(teacher).filter(pk=identity).first()
    told = told_of(one.teacher, one.kind, one.key) if one else None
    if one is None or told is None:
        raise Refused(404, "not-found", "This is not shared with you (any more).")
    copy = Copied.objects.filter(teacher=teacher, shared=one).first()
    return Row(one, told, copy.state if copy else None)


def share(teacher: User, kind: str, key: str) -> Row:
    """Share something of the teacher's own.

    Raises:
        Refused: 404 there is no such thing; 422 nobody would read it, or too much is shared.
    """
    told = told_of(teacher, kind, key)
    if told is None:
        raise Refused(404, "not-found", "This is not there (any more).")
    if person_of(teacher).department_id is None:
        says = "You are in no department yet. Whoever keeps the accounts puts you into one."
        raise Refused(422, "no-department", says)
    if Shared.objects.filter(teacher=teacher).count() >= MOST_SHARED:
        raise Refused(422, "too-many", f"You share {MOST_SHARED} things already.")
    made, _ = Shared.objects.get_or_create(teacher=teacher, kind=kind, key=key)
    return Row(made, told, None)


def document_of(shared: Shared) -> dict[str, Any]:
    """Return what is shared in the format in which everything is kept."""
    return KINDS[shared.kind].document(shared.teacher, shared.key)


@transaction.atomic
def copy(teacher: User, row: Row) -> Job | None:
    """Copy what is shared into the teacher's own; return the job that does it, None where it is done.

    Raises:
        Refused: 422 it is the teacher's own.
    """
    shared = row.shared
    if shared.teacher_id == teacher.pk:
        raise Refused(422, "own", "This is your own.")
    document = document_of(shared)
    Copied.objects.update_or_create(
        shared=shared, teacher=teacher, defaults={"state": row.told.state}
    )
    if shared.kind == "house":
        HouseRules.objects.update_or_create(teacher=teacher, defaults={"rules": document["house"]})
        return None
    return begin(
        teacher=teacher, kind="restore", params={"document": as_taken_by(teacher, document, shared)}
    )


def as_taken_by(teacher: User, document: dict[str, Any], shared: Shared) -> dict[str, Any]:
    """Return the document as *teacher* takes it: their own house rules stay, a tag says where it is from."""
    tag = f"from {shared.teacher.get_username()}"[:40].strip()
    for one in (*document["sets"], *document["examples"]):
        one["tags"] = [tag, *(kept for kept in one["tags"] if kept != tag)][:12]
    return {**document, "house": rules_of(teacher).for_core()}


def hand(request: HttpRequest, school_class: SchoolClass, to: str, title: str) -> HandOver:
    """Offer a class to a colleague; it is theirs once they take it.

    Raises:
        Refused: 422 the title was not said again, or there is no such colleague.
    """
    if title.strip() != school_class.title:
        raise Refused(422, "not-said", "Type the class's title as it stands, to say it twice.")
    receiver = next((c for c in colleagues_of(school_class.teacher) if c.username == to), None)
    if receiver is None:
        raise Refused(422, "no-colleague", f"There is no “{to[:150]}” in your department.")
    made, _ = HandOver.objects.update_or_create(
        school_class=school_class, defaults={"to": receiver}
    )
    says = f"The class “{school_class.title}” was offered to {receiver.username}."
    note(school_class.teacher, says, request)
    return made


@transaction.atomic
def take(request: HttpRequest, offered: HandOver) -> SchoolClass:
    """Take a class that was offered, with its papers, marks, lessons and log.

    Nothing in it points to what its old teacher keeps: items and lessons hold what was given and shown.
    """
    found = SchoolClass.objects.select_for_update().get(pk=offered.school_class_id)
    before = found.teacher
    found.teacher = offered.to
    found.save(update_fields=["teacher"])
    sittings = Sitting.objects.filter(school_class=found)
    sittings.update(set=None, job=None)
    SittingItem.objects.filter(sitting__in=sittings).update(example=None)
    lessons = Lesson.objects.filter(school_class=found)
    lessons.update(set=None, unit=None)
    LessonItem.objects.filter(lesson__in=lessons).update(example=None)
    offered.delete()
    says = f"The class “{found.title}” with its papers went from {before.username} to {found.teacher.username}."
    for teacher in (before, found.teacher):
        note(teacher, says, request)
    return found
