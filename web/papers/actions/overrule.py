"""The teacher decides a mark otherwise, on one paper or on all that wrote the same."""

from api.failures import Refused
from django.db import transaction
from django.db.models import QuerySet

from papers.models import Overruling, Work


@transaction.atomic
def overrule(*, work: Work, key: str, earned: int | None, why: str, alike: bool) -> int:
    """Keep what the teacher decided of the mark *key*; None takes it back. Return for how many papers.

    ``alike``: for every paper that has the same lines for this item.

    Raises:
        Refused: 422, there is no such mark, or it cannot be worth so much.
    """
    marks = {mark["key"]: mark for mark in (work.judged or {}).get("marks", [])}
    if key not in marks:
        raise Refused(422, "no-mark", "This paper has no such mark (any more). Open it again.")
    worth = marks[key]["worth"]
    low, high = min(0, worth), max(0, worth)
    if earned is not None and not low <= earned <= high:
        raise Refused(422, "bad-mark", f"This mark lies between {low} and {high}.")
    works = same_as(work) if alike else Work.objects.filter(pk=work.pk)
    for one in works:
        if earned is None:
            one.overrulings.filter(key=key).delete()
        else:
            Overruling.objects.update_or_create(
                work=one, key=key, defaults={"earned": earned, "why": why}
            )
    return len(works)


def same_as(work: Work) -> QuerySet[Work]:
    """Return the papers of the same item with the same lines, this one among them."""
    return Work.objects.filter(item_id=work.item_id, wrote=work.wrote)
