"""The items of a set put in order, written by difference: an item that stays keeps its key."""

from sets.models import ProblemSet, SetItem

_FIELDS = ["position", "instruction", "marks", "minutes"]


def place_items(stored: ProblemSet, ordered: list[SetItem]) -> None:
    """Write *ordered* as the items of the set, the first at position 0; others are taken out.

    Those that are stored already are changed in place: jobs, notes and counts hold on to them.
    """
    stored.items.exclude(pk__in=[item.pk for item in ordered if item.pk]).delete()
    for position, item in enumerate(ordered):
        item.position = position
    SetItem.objects.bulk_update([item for item in ordered if item.pk], _FIELDS)
    SetItem.objects.bulk_create([item for item in ordered if not item.pk])
