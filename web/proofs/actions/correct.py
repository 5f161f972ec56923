"""The key as it is after the accepted corrections: as text, and as a set."""

from typing import Any

from django.contrib.auth.models import User
from exchange.actions.bring_in import BroughtIn, bring_in
from exchange.reading import Brought, Row

from proofs.models import Proof

FAULTY = ("wrong", "unfinished", "no-answer")


def accept(*, stored: Proof, places: list[int]) -> Proof:
    """Keep which corrections are accepted; only items that have one can be."""
    stored.accepted = sorted(
        {n for n in places if 0 <= n < len(stored.report) and _mended(stored, n)}
    )
    stored.save(update_fields=["accepted"])
    return stored


def _mended(stored: Proof, place: int) -> list[str] | None:
    item = stored.report[place]
    if item["status"] == "no-answer" and item.get("answer"):
        return [item["answer"]]
    return item.get("correction") or None


def lines_of(stored: Proof, place: int) -> list[str]:
    """Return what stands under an item: its own lines, or the accepted correction."""
    mended = _mended(stored, place) if place in stored.accepted else None
    return mended or [line["text"] for line in stored.report[place]["lines"]]


def corrected_text(stored: Proof) -> str:
    """Return the key as plain text, accepted corrections in place; it can be proofed again."""
    parts = []
    for place, item in enumerate(stored.report):
        task = {"domain": "Find the domain of"}.get(item["task"], str(item["task"]).capitalize())
        head = f"{item['number'] or place + 1}. {task}: {item['given']}"
        options = [f"   {o['letter']}) {o['text']}" for o in item.get("options", [])]
        lines = [f"   {text}" for text in lines_of(stored, place)]
        right = [o["letter"] for o in item.get("options", []) if o["right"]]
        chosen = [f"   Answer: {right[0]}"] if len(right) == 1 and not lines else []
        parts.append("\n".join([head, *options, *lines, *chosen]))
    return "\n\n".join(parts) + "\n"


def as_set(*, teacher: User, stored: Proof) -> BroughtIn:
    """Make a set of the key, every item with its lines as they are now."""
    found = Brought(stored.title or "A proofed key")
    for place, item in enumerate(stored.report):
        problem: dict[str, Any] = {
            "task": item["task"],
            "given": item["given"],
            "lines": lines_of(stored, place),
        }
        found.problems.append(problem)
        found.rows.append(Row(item["at"], True, "taken", item["given"]))
    return bring_in(teacher=teacher, found=found)
