"""The items of a set as the core sees them: its house rules over the teacher's, each example's over both."""

from typing import Any

from algebra import known
from algebra.pool import TookTooLong
from algebra.turns import Busy
from django.contrib.auth.models import User
from errors.queries import for_core as own_errors
from examples.models import Example
from house.queries import for_core as house_rules
from uchuu_core.failures import Failure

from sets.models import ProblemSet


class Asker:
    """Asks the core about the problems of one set (or of none), with the rules read once."""

    def __init__(self, teacher: User, house: dict[str, Any] | None = None) -> None:
        self._rules = {**house_rules(teacher), **(house or {})}
        self._own = own_errors(teacher)
        self._whose = teacher.pk

    def record(self, example: Example, **more: Any) -> dict[str, Any]:
        """Return the question about *example*, without its lines."""
        return {
            "task": example.task,
            "given": example.given,
            "variable": example.variable or None,
            "numbers": example.numbers,
            "form": example.form,
            "house": {**self._rules, **example.house},
            "own": self._own,
            "lines": [],
            **more,
        }

    def ask(self, operation: str, example: Example, **more: Any) -> dict[str, Any]:
        """Return the core's answer; raises ``Failure`` as it does."""
        return known.ask(operation, self.record(example, **more), self._whose)

    def remembered(self, operation: str, examples: list[Example]) -> list[dict[str, Any] | None]:
        """Return what is known already of each example, in order."""
        return known.remembered(operation, [self.record(example) for example in examples])


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


def facts_of(asker: Asker, example: Example) -> dict[str, Any]:
    """Return the facts of one example, worked out now where they are not known.

    Raises:
        TookTooLong, Busy: they may be known when somebody asks again.
    """
    try:
        return asker.ask("facts", example)
    except (TookTooLong, Busy):
        raise
    except Failure as failure:
        return {"refused": failure.message}
