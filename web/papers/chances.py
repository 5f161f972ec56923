"""Which errors could have been made in an item: those at the forks of its worked example."""

from typing import Any

from algebra import known
from algebra.pool import TookTooLong
from algebra.turns import Busy
from asking.asker import Asker
from classes.models import SchoolClass
from django.db.models import Q, QuerySet
from jobs.models import OPEN, Job
from jobs.running import begin

from papers.models import SittingItem


def learn_chances(school_class: SchoolClass) -> Job | None:
    """Begin to ask the core about items of the class that it was not asked about; None where all are known."""
    params = {"class": str(school_class.pk)}
    running = Job.objects.filter(kind="chances", params=params, state__in=OPEN).first()
    if running is not None or not _unknown(school_class).exists():
        return running
    return begin(teacher=school_class.teacher, kind="chances", params=params)


def plan(job: Job) -> list[Any]:
    """Return the steps: one for each item that is not known."""
    found = SchoolClass.objects.filter(pk=job.params["class"]).first()
    return list(_unknown(found).values_list("pk", flat=True)) if found else []


def of_item(job: Job, item: int) -> None:
    """Ask about one item and store what is known; what takes too long is asked again after the next start."""
    found = SittingItem.objects.select_related("sitting__school_class__teacher").filter(pk=item)
    for one in found:
        asker = Asker(one.sitting.school_class.teacher, one.sitting.house)
        chances: dict[str, Any] = {"core": known.core(), "errors": []}
        try:
            facts = asker.facts(one)
        except (TookTooLong, Busy):
            chances["late"] = True
        else:
            forks = [*facts.get("reveals", []), *facts.get("hides", [])]
            chances["errors"] = sorted({fork["error"] for fork in forks})
        SittingItem.objects.filter(pk=item).update(chances=chances)


def finish(job: Job) -> tuple[dict[str, Any], str]:
    """Say how many items were learnt of."""
    return {"class": job.params["class"], "items": len(job.results)}, ""


def try_late_again() -> None:
    """Have what was not finished in time asked once more."""
    SittingItem.objects.filter(chances__late=True).update(chances=None)


def _unknown(school_class: SchoolClass) -> QuerySet[SittingItem]:
    """Return the items about which the core as it is now was not asked."""
    mine = SittingItem.objects.filter(sitting__school_class=school_class, sitting__deleted=None)
    return mine.filter(Q(chances__isnull=True) | ~Q(chances__core=known.core())).order_by("pk")
