"""How many papers wait for sittings: in the tray, and here to be laid by hand."""

from collections import Counter
from collections.abc import Iterable
from uuid import UUID

from django.db.models import Count
from papers.models import Sitting

from deliveries import tray
from deliveries.models import WAITING, Delivery


def waiting_for(sittings: Iterable[Sitting]) -> dict[UUID, int]:
    """Return how many papers wait for each sitting that has some; a tray that does not answer has none."""
    found: Counter[UUID] = Counter()
    listed = list(sittings)
    here = Delivery.objects.filter(sitting__in=listed, state=WAITING)
    found.update(dict(here.values_list("sitting").annotate(Count("pk"))))
    for sitting in listed:
        try:
            found[sitting.pk] += len(tray.waiting(str(sitting.pk)))
        except tray.TrayFails:
            break
    return {identity: count for identity, count in found.items() if count}
