"""The reading of a key corrected: items changed, parted, joined; what changed is judged again in place."""

from typing import Any

from api.failures import Refused
from django.db import transaction

from proofs.actions.proof_key import judged, with_repeats
from proofs.models import Proof


@transaction.atomic
def correct_reading(*, stored: Proof, items: list[dict[str, Any]]) -> Proof:
    """Keep *items* as the key's items; those that are not there yet are judged.

    A correction that was accepted stays accepted where its item did not change.

    Raises:
        Refused: the key is still being proofed.
    """
    stored = Proof.objects.select_for_update().get(pk=stored.pk)
    if len(stored.report) != len(stored.items):
        raise Refused(409, "not-ready", "This key is still being read. Try again in a moment.")
    known = [
        (item, record, place in stored.accepted)
        for place, (item, record) in enumerate(zip(stored.items, stored.report, strict=True))
    ]
    report: list[Any] = []
    accepted: list[int] = []
    for place, item in enumerate(items):
        same = next((k for k in known if _asks_the_same(k[0], item)), None)
        if same is None:
            report.append(judged(stored.teacher, item))
            continue
        known.remove(same)
        report.append({**same[1], "number": item["number"]})
        if same[2]:
            accepted.append(place)
    stored.items, stored.report, stored.accepted = items, with_repeats(report), accepted
    stored.save(update_fields=["items", "report", "accepted"])
    return stored


_ASKED = ("task", "given", "lines", "options", "chosen", "variable")


def _asks_the_same(one: dict[str, Any], other: dict[str, Any]) -> bool:
    return all(_plain(one.get(name)) == _plain(other.get(name)) for name in _ASKED)


def _plain(value: Any) -> Any:
    return (
        [list(part) if isinstance(part, tuple) else part for part in value]
        if isinstance(value, list)
        else value
    )
