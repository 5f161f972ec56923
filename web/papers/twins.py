"""Another problem like an item, for slips and redo sheets: made once, so that paper and key agree."""

from typing import Any

from algebra import pool
from algebra.turns import Busy
from asking.asker import Asker
from uchuu_core.failures import Failure

from papers.models import SittingItem

SEED = 20


def twin_of(item: SittingItem) -> dict[str, Any] | None:
    """Return the item's twin, with its answer; None where there is no room for other numbers."""
    if item.twin is None:
        try:
            item.twin = _made(item)
        except (pool.TookTooLong, Busy):
            return None  # not done in time is no answer: asked again the next time
        SittingItem.objects.filter(pk=item.pk).update(twin=item.twin)
    return item.twin or None


def _made(item: SittingItem) -> dict[str, Any]:
    sitting = item.sitting
    teacher = sitting.school_class.teacher
    asked = Asker(teacher, sitting.house).record(item, seed=SEED)
    try:
        found = pool.run("twin", asked, teacher.pk)
    except (pool.TookTooLong, Busy):
        raise
    except Failure:
        return {}  # there is no room for other numbers
    return {"given": found["given"], "answer": found["answer"]}
