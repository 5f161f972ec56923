"""One item of a sitting with the class on its spine."""

from typing import Any

from algebra import pool
from api.failures import Refused
from asking.asker import Asker

from papers.models import Sitting, SittingItem, Work
from papers.spine import class_spine


def item_placed(sitting: Sitting, number: int, version: str = "") -> dict[str, Any]:
    """Return the item with the class on one spine, and answers without lines placed on the worked example.

    *version*: of which parallel version; the first one where it is empty.

    Raises:
        Refused: 404, there is no such item.
        Failure: its problem cannot be read, or it takes too long.
    """
    items = list(sitting.items.filter(number=number))
    item = item_of(sitting, number, version)
    teacher = sitting.school_class.teacher
    alone = item.works.filter(answer_alone=True)
    works = list(alone.select_related("student").order_by("student__position", "pk"))
    answers = [_answer(work) for work in works]
    record = Asker(teacher, sitting.house).record(item, answers=answers)
    placed = pool.run("place", record, teacher.pk)
    return {
        "item": item,
        "codes": [work.student.code for work in works],
        "placed": placed,
        "spine": class_spine(item),
        "students": list(sitting.school_class.students.all()),
        "versions": [one.version for one in items],
    }


def item_of(sitting: Sitting, number: int, version: str = "") -> SittingItem:
    """Return an item of a sitting, of the first version where *version* is empty.

    Raises:
        Refused: 404, there is no such item.
    """
    found = sitting.items.filter(number=number)
    item = (found.filter(version=version) if version else found).first()
    if item is None:
        raise Refused(404, "not-found", "This item is not there (any more).")
    return item


def _answer(work: Work) -> str:
    """Return the last line of the chain, which is what the paper answers; the last one before it is judged."""
    judged = (work.judged or {}).get("lines", [])
    for line in reversed(judged):
        if line.get("role", "chain") == "chain":
            return str(line.get("mathematics") or line["text"])
    return str(work.lines[-1]) if work.lines else ""
