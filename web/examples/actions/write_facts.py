"""The table that lists and searches read: words at once, what the core knows a little later."""

from collections.abc import Sequence
from datetime import datetime
from typing import Any

from algebra.pool import TookTooLong
from algebra.turns import Busy
from asking.asker import Asker
from django.contrib.auth.models import User
from django.db import transaction
from django.db.models import F, QuerySet
from uchuu_core.failures import Failure

from examples.models import Example, ExampleFacts

A_WHILE = 20
"""So many examples are learnt before others have their turn."""
WORDED = {"title", "given", "task"}
"""Fields of an example from which its words come (and from its tags, which are filed elsewhere)."""
_WRITTEN = ["name", "words"]
LATE = "late"
"""Stands for the stop and for the ground of what was not finished in time: it is tried again at the next start."""


@transaction.atomic
def write_words(examples: Sequence[Example]) -> None:
    """Write what a list and a search need of *examples* at once; what the core told stays until it tells anew."""
    changed = [worded(facts) for facts in _locked([example.pk for example in examples])]
    ExampleFacts.objects.bulk_update(changed, _WRITTEN)


def _locked(identities: Sequence[Any]) -> QuerySet[ExampleFacts]:
    """Return the facts with their examples; whoever else would write them waits."""
    found = ExampleFacts.objects.select_for_update(of=("self",)).select_related("example")
    return found.filter(pk__in=identities).order_by("pk")


def worded(facts: ExampleFacts) -> ExampleFacts:
    """Return *facts* with the name and the words of its example, and of what the core told."""
    example = facts.example
    facts.name = " ".join((example.title or example.given).split())[:200].lower()
    told = [facts.kind, facts.method, *facts.skills, *facts.reveals]
    texts = [example.title, example.given, example.given.replace(" ", ""), example.task]
    facts.words = searched("\n".join([*texts, *example.tags, *told]))
    return facts


def searched(text: str) -> str:
    """Return *text* as searches compare it."""
    return text.lower().replace("-", " ")


def to_learn(teacher: User, ground: str) -> QuerySet[ExampleFacts]:
    """Return what the core was not asked about as it is now, newest first."""
    known = {"known_for": F("example__version"), "ground__in": [ground, LATE]}
    new = ExampleFacts.objects.filter(example__teacher=teacher).exclude(**known)
    return new.select_related("example").order_by("-example__changed")


def try_late_again() -> None:
    """Have what was not finished in time learnt once more."""
    ExampleFacts.objects.filter(ground=LATE).update(ground="")


def learn(teacher: User, most: int = A_WHILE, since: datetime | None = None) -> bool:
    """Ask the core about examples that it was not asked about; return whether some are left.

    What was changed after *since* is being typed: it is left for later.
    """
    asker = Asker(teacher)
    waiting = to_learn(teacher, asker.ground)
    if since is not None:
        waiting = waiting.exclude(example__changed__gt=since)
    stale = list(waiting.prefetch_related("example__lines")[: most + 1])
    for facts in stale[:most]:
        example = facts.example
        lines = [line.text for line in example.lines.all()]
        told, stop = _asked(asker, example), _stop(asker, example, lines)
        with transaction.atomic():
            now = _locked([facts.pk]).filter(example__version=example.version).first()
            if now is not None:  # else it was changed while it was learnt
                _take(now, told or {}, stop)
                is_late = told is None or stop == LATE
                now.known_for, now.ground = example.version, LATE if is_late else asker.ground
                worded(now).save()
    return len(stale) > most


def is_typed(teacher: User) -> bool:
    """Return whether something is left to learn, be it changed a moment ago."""
    return to_learn(teacher, Asker(teacher).ground).exists()


def _asked(asker: Asker, example: Example) -> dict[str, Any] | None:
    """Return what the core knows of the problem, None where that was not finished in time."""
    try:
        return asker.facts(example)
    except (TookTooLong, Busy):
        return None


def _take(facts: ExampleFacts, told: dict[str, Any], stop: str) -> None:
    facts.kind, facts.method = told.get("kind") or "", told.get("method") or ""
    facts.latex = (told.get("reads") or {}).get("latex", "")
    facts.skills = told.get("skills", [])
    facts.reveals = [error["name"] for error in told.get("reveals", [])]
    facts.difficulty = (told.get("difficulty") or {}).get("score")
    facts.stop = stop


def _stop(asker: Asker, example: Example, lines: list[str]) -> str:
    """Return what is known of the last line that stands on the spine."""
    if not lines:
        return ""
    try:
        judged = asker.judged(example, lines)["lines"]
    except (TookTooLong, Busy):
        return LATE
    except Failure:
        return "unreadable"
    chain = [line for line in judged if line.get("role", "chain") == "chain"]
    return _shade(chain) if chain else ""


def _shade(chain: list[dict[str, Any]]) -> str:
    """Return the verdict of the last line, a right one in its shade: as the screen draws its stop."""
    last = chain[-1]
    if last["verdict"] != "ok":
        return str(last["verdict"])
    if last.get("back"):
        return "back"
    if last.get("doubt"):
        return "doubt"
    has_left = False
    for line in chain[:-1]:
        has_left = not line.get("back") and (has_left or line["verdict"] in ("wrong", "loses"))
    if has_left and not last.get("feature"):
        return "parallel"
    return "condition" if last.get("if") else "ok"
