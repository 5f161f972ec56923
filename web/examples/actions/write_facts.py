"""The table that lists and searches read: words at once, what the core knows a little later."""

from typing import Any

from algebra.pool import TookTooLong
from algebra.turns import Busy
from asking.asker import Asker
from django.contrib.auth.models import User
from django.db.models import F, QuerySet
from uchuu_core.failures import Failure

from examples.models import Example, ExampleFacts

A_WHILE = 20
"""So many examples are learnt before others have their turn."""
_LEARNT = ("kind", "method", "skills", "reveals", "difficulty", "stop", "known_for", "ground")


def write_words(example: Example) -> None:
    """Write what a list and a search need of *example* at once; what the core told before stays until it tells anew."""
    facts = ExampleFacts.objects.filter(example=example).first() or ExampleFacts(example=example)
    facts.example = example
    facts.lines = example.lines.count()
    worded(facts).save()


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
    found = ExampleFacts.objects.filter(example__teacher=teacher, example__deleted=None)
    new = found.exclude(known_for=F("example__version"), ground=ground)
    return (
        new.select_related("example")
        .prefetch_related("example__lines")
        .order_by("-example__changed")
    )


def learn(teacher: User, most: int = A_WHILE) -> bool:
    """Ask the core about examples that it was not asked about; return whether some are left."""
    asker = Asker(teacher)
    stale = list(to_learn(teacher, asker.ground)[: most + 1])
    for facts in stale[:most]:
        example = facts.example
        _take(facts, _asked(asker, example), _stop(asker, example))
        facts.known_for, facts.ground = example.version, asker.ground
        worded(facts)
        same = ExampleFacts.objects.filter(pk=facts.pk, example__version=example.version)
        same.update(**{name: getattr(facts, name) for name in (*_LEARNT, "words")})
    return len(stale) > most


def _asked(asker: Asker, example: Example) -> dict[str, Any]:
    try:
        return asker.facts(example)
    except (TookTooLong, Busy):
        return {}


def _take(facts: ExampleFacts, told: dict[str, Any], stop: str) -> None:
    facts.kind, facts.method = told.get("kind") or "", told.get("method") or ""
    facts.skills = told.get("skills", [])
    facts.reveals = [error["name"] for error in told.get("reveals", [])]
    facts.difficulty = (told.get("difficulty") or {}).get("score")
    facts.stop = stop


def _stop(asker: Asker, example: Example) -> str:
    """Return what is known of the last line that stands on the spine."""
    lines = [line.text for line in example.lines.all()]
    if not lines:
        return ""
    try:
        judged = asker.judged(example, lines)["lines"]
    except TookTooLong:
        return "unproved"
    except Failure:
        return "unreadable"
    chain = [line for line in judged if line.get("role", "chain") == "chain"]
    if not chain:
        return ""
    last = chain[-1]
    if last["verdict"] != "ok":
        return str(last["verdict"])
    if last.get("doubt"):
        return "doubt"
    has_left = any(line["verdict"] in ("wrong", "loses") for line in chain)
    if has_left and not last.get("back") and not last.get("feature"):
        return "parallel"
    return "condition" if last.get("if") else "ok"
