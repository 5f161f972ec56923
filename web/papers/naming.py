"""The error behind a paper's first line that left: as the core names it, or as the teacher calls it."""

import hashlib
from typing import Any

from api.failures import Refused
from asking.catalogue import id_of
from django.contrib.auth.models import User
from django.db import transaction
from errors.queries import own_errors_of

from papers.models import NamedLine, SittingItem, Work

Names = dict[str, NamedLine]


def names_of(item: SittingItem) -> Names:
    """Return what the teacher named of an item, by the line."""
    return {one.line: one for one in item.named.all()}


def left_at(judged: dict[str, Any]) -> int:
    """Return the number (from 1) of the first line that left, or that stops too soon; 0 where none does."""
    first = judged.get("first_wrong")
    lines = judged.get("lines", [])
    named = next((n for n, line in enumerate(lines, start=1) if line.get("error")), 0)
    return int(min(filter(None, (first, named)), default=0))


def left_by(work: Work) -> str:
    """Return the first line of a work that left, as it was typed; empty where none does."""
    judged = work.judged or {}
    at = left_at(judged)
    return str(judged["lines"][at - 1]["text"]) if at else ""


def told(judged: dict[str, Any], names: Names) -> dict[str, str]:
    """Return the id and the name of the error behind a judged paper, empty where there is none or no name."""
    at = left_at(judged)
    line = judged["lines"][at - 1] if at else {}
    named = names.get(line.get("text", ""))
    if named is not None:
        return {"error": named.error, "error_name": named.name}
    error = line.get("error") or {}
    return {"error": error.get("id", ""), "error_name": error.get("name", "")[:200]}


@transaction.atomic
def name_line(item: SittingItem, line: str, name: str) -> int:
    """Call the error behind *line* by *name*, on all papers that wrote it; an empty name: as the core does.

    A name of the catalogue, or of an error of the teacher's own, is that error; any other one is an error of its own, the same wherever it is
    given. Return how many papers are called so now.

    Raises:
        Refused: 404, nobody left the item with this line.
    """
    marked = Work.objects.select_for_update().filter(item=item, judged__isnull=False)
    works = [work for work in marked if left_by(work) == line]
    if not works:
        raise Refused(404, "not-found", "No paper left with this line (any more).")
    if name.strip():
        known = {
            "error": _key_of(item.sitting.school_class.teacher, name.strip()),
            "name": name.strip()[:200],
        }
        NamedLine.objects.update_or_create(item=item, line=line, defaults=known)
    else:
        NamedLine.objects.filter(item=item, line=line).delete()
    names = names_of(item)
    for work in works:
        found = told(work.judged or {}, names)
        work.error, work.error_name = found["error"], found["error_name"]
    Work.objects.bulk_update(works, ["error", "error_name"])
    return len(works)


def _key_of(teacher: User, name: str) -> str:
    """Return the id of the error of the catalogue, or of the teacher's own, that is called so; else one made of it."""
    own = own_errors_of(teacher).filter(name__iexact=name).first()
    if known := id_of(name) or (own.for_core()["id"] if own else ""):
        return str(known)
    return f"named-{hashlib.sha256(name.lower().encode()).hexdigest()[:16]}"
