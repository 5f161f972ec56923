"""The items of a set as the core sees them."""

from typing import Any

from asking.asker import Asker

from sets.models import ProblemSet


def asker_of(stored: ProblemSet) -> Asker:
    """Return who asks about this set's problems."""
    return Asker(stored.teacher, stored.house)


def with_facts(stored: ProblemSet) -> ProblemSet:
    """Give each item the facts that are known of it already."""
    items = list(stored.items.all())
    found = asker_of(stored).remembered("facts", [item.example for item in items])
    for item, facts in zip(items, found, strict=True):
        item.facts = _or_refusal(facts) if facts else None  # type: ignore[attr-defined]
    return stored


def _or_refusal(facts: dict[str, Any]) -> dict[str, Any]:
    return {"refused": facts["failure"]["message"]} if "failure" in facts else facts
