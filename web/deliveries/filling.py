"""Made-up papers for a sitting: what the tray is filled with, and what stands on a made stack."""

from typing import Any
from uuid import NAMESPACE_URL, uuid5

from algebra import pool
from algebra.turns import Busy
from asking.asker import Asker
from papers.models import Sitting
from papers.versions import Versions
from uchuu_core.failures import Failure

Papers = dict[str, dict[int, list[str]]]
"""By code and item: the lines."""


def made_papers(
    sitting: Sitting, seed: int = 1, inclined: list[dict[str, Any]] | None = None
) -> Papers:
    """Return plausible papers for all codes of a sitting's class; equal words give equal papers."""
    versions = Versions(sitting)
    students = list(sitting.school_class.students.all())
    asker = Asker(sitting.school_class.teacher, sitting.house)
    found: Papers = {student.code: {} for student in students}
    for item in sitting.items.all():
        mine = [
            student
            for student in students
            if versions.of(student) == item.version or not item.version
        ]
        asked = asker.record(
            item, count=len(mine), seed=seed * 1000 + item.number, inclined=inclined or []
        )
        try:
            papers = pool.run("invent", asked, sitting.school_class.teacher_id)["papers"]
        except (pool.TookTooLong, Busy):
            raise  # equal words would not give equal papers
        except Failure:
            continue  # it cannot be worked: nobody wrote anything
        for student, paper in zip(mine, papers, strict=True):
            if paper["lines"]:
                found[student.code][item.number] = paper["lines"]
    return found


def deliveries_of(sitting: Sitting, papers: Papers, seed: int = 1) -> list[dict[str, Any]]:
    """Return papers as the tray holds them; the same seed gives the same ids."""
    versions = Versions(sitting)
    students = {student.code: student for student in sitting.school_class.students.all()}
    return [
        {
            "id": str(uuid5(NAMESPACE_URL, f"{sitting.pk} {seed} {code}")),
            "sitting": str(sitting.pk),
            "code": code,
            "form": versions.of(students[code]),
            "works": [{"item": number, "lines": lines} for number, lines in works.items()],
        }
        for code, works in papers.items()
        if works
    ]
