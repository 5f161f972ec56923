"""Finding problems and sets by text, topic, skill, error and difficulty."""

from typing import Any

from django.contrib.auth.models import User
from examples.queries import list_of as examples_of

from sets.models import SetItem
from sets.problems import Asker
from sets.queries import list_of

MOST_FOUND = 60


def search(
    teacher: User, words: str, *, easiest: float | None = None, hardest: float | None = None
) -> list[dict[str, Any]]:
    """Return what holds every one of *words*, sets first; difficulty only where it is known.

    A word is looked for in titles, problems, tasks, kinds of problem, methods, laws used (skills) and
    names of the errors that a problem reveals.
    """
    wanted = words.lower().replace("-", " ").split()
    is_bounded = easiest is not None or hardest is not None
    found: list[dict[str, Any]] = []
    if not is_bounded:
        for one in list_of(teacher):
            if wanted and all(word in f"{one.title} {one.instruction}".lower() for word in wanted):
                count = one.item_count  # type: ignore[attr-defined]
                found.append(
                    {"kind": "set", "id": one.pk, "title": one.title, "why": f"{count} problems"}
                )
    examples = list(examples_of(teacher).prefetch_related("lines"))
    places: dict[Any, list[str]] = {}
    for item in SetItem.objects.filter(set__teacher=teacher, set__deleted=None).select_related(
        "set"
    ):
        places.setdefault(item.example_id, []).append(item.set.title)
    for example, facts in zip(examples, Asker(teacher).remembered("facts", examples), strict=True):
        known = facts or {}
        score = (known.get("difficulty") or {}).get("score")
        if is_bounded and (
            score is None or score < (easiest or 0) or score > (hardest or float("inf"))
        ):
            continue
        why = _why(wanted, example, known)
        if why is None:
            continue
        found.append(
            {
                "kind": "example",
                "id": example.pk,
                "title": example.title,
                "given": example.given,
                "task": example.task,
                "difficulty": score,
                "why": why,
                "in_sets": places.get(example.pk, []),
            }
        )
    return found[:MOST_FOUND]


def _why(wanted: list[str], example: Any, known: dict[str, Any]) -> str | None:
    """Return where the words were found, None where one of them was not."""
    fields = {
        "": [example.title, example.given, example.given.replace(" ", ""), example.task],
        "kind": [known.get("kind", "")],
        "method": [known.get("method") or ""],
        "skill": known.get("skills", []),
        "reveals": [error["name"] for error in known.get("reveals", [])],
    }
    said: list[str] = []
    for word in wanted:
        match = next(
            (
                (name, text)
                for name, texts in fields.items()
                for text in texts
                if word in text.lower().replace("-", " ")
            ),
            None,
        )
        if match is None:
            return None
        if match[0]:
            said.append(f"{match[0]}: {match[1].replace('-', ' ')}")
    return "; ".join(dict.fromkeys(said))
