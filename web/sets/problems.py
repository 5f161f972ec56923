"""The items of a set as the core sees them."""

from typing import Any

from algebra.pool import TookTooLong
from algebra.turns import Busy
from asking.asker import Asker
from examples.models import Example

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


def facts_of(asker: Asker, examples: list[Example]) -> dict[str, Any]:
    """Return the facts of each example, and whose facts may be known when somebody asks again."""
    found: dict[str, Any] = {}
    late = []
    for example, facts in zip(examples, asker.remembered("facts", examples), strict=True):
        try:
            found[str(example.pk)] = _or_refusal(facts) if facts else asker.facts(example)
        except (TookTooLong, Busy):
            late.append(example.pk)
    return {"facts": found, "late": late}


def _or_refusal(facts: dict[str, Any]) -> dict[str, Any]:
    return {"refused": facts["failure"]["message"]} if "failure" in facts else facts
