"""A set once more: a copy of it, or its parallel versions."""

from typing import Any

from api.failures import Refused
from django.contrib.auth.models import User
from django.db import transaction
from jobs.models import Job
from uchuu_core.failures import Failure

from sets.actions.add_problems import add_problems
from sets.actions.make_problems import like
from sets.models import ProblemSet, SetItem
from sets.problems import asker_of
from sets.queries import one_of

LETTERS = "BCDEF"


@transaction.atomic
def copy_set(*, teacher: User, stored: ProblemSet) -> ProblemSet:
    """Store a copy with examples of its own, lines and all."""
    copy = _empty_like(stored, f"{stored.title} (copy)"[:200])
    problems = [
        like(item, item.example.given)
        | {
            "lines": [line.text for line in item.example.lines.all()],
            "note": item.example.note,
            "reasons": item.example.reasons,
        }
        for item in stored.items.all()
    ]
    return add_problems(teacher=teacher, stored=copy, problems=problems)


def _empty_like(stored: ProblemSet, title: str, **more: Any) -> ProblemSet:
    return ProblemSet.objects.create(
        teacher=stored.teacher,
        title=title,
        instruction=stored.instruction,
        house=stored.house,
        **more,
    )


def plan_versions(job: Job) -> list[Any]:
    """One step for every item of every version; which example, as it was when the job began."""
    stored = _set_of(job)
    letters = LETTERS[: job.params["count"]]
    items = [{"item": item.pk, "version": item.example.version} for item in stored.items.all()]
    return [{"letter": letter, **item} for letter in letters for item in items]


def one_of_a_version(job: Job, step: dict[str, Any]) -> dict[str, Any]:
    """Make one twin that is in none of the versions yet; where there is no room, say so."""
    stored = _set_of(job)
    item = SetItem.objects.select_related("example").filter(pk=step["item"], set=stored).first()
    if item is None:  # taken out while the job ran
        return {**step, "given": None, "refused": "It is not in the set any more."}
    taken = [
        result["given"]
        for result in job.results
        if result["given"] and result["item"] == step["item"]
    ]
    seed = job.params["seed"] + LETTERS.index(step["letter"])
    try:
        found = asker_of(stored).ask("twin", item.example, seed=seed, avoid=taken)
    except Failure as failure:
        return {**step, "given": None, "refused": failure.message}
    return {**step, "given": found["given"], "refused": ""}


def store_versions(job: Job) -> tuple[dict[str, Any], str]:
    """Store the versions; where an item had no twin, the problem itself stands in all of them.

    Raises:
        Refused: 409 when no problem of the set is left that the job began with.
    """
    stored = _set_of(job)
    if not stored.form:
        ProblemSet.objects.filter(pk=stored.pk).update(form="A", version=stored.version + 1)
    items = {item.pk: item for item in stored.items.select_related("example").all()}
    planned = {step["item"]: step["version"] for step in job.steps or []}
    if not planned.keys() & items.keys():
        raise Refused(409, "changed", "The problems were all taken out meanwhile. Try again.")
    made = []
    for letter in LETTERS[: job.params["count"]]:
        copy = _empty_like(stored, stored.title, made_from=stored, form=letter)
        problems = [
            like(items[result["item"]], result["given"] or items[result["item"]].example.given)
            for result in job.results
            if result["letter"] == letter and result.get("item") in items
        ]
        add_problems(teacher=stored.teacher, stored=copy, problems=problems)
        made.append(str(copy.pk))
    same = sum(result["given"] is None for result in job.results if result["item"] in items)
    return {"sets": made, "without_twin": same}, _what_changed(planned, items)


def _what_changed(planned: dict[int, int], items: dict[int, SetItem]) -> str:
    """Say what the versions lack because the set was changed while they were made; empty: nothing."""
    gone = len(planned.keys() - items.keys())
    added = len(items.keys() - planned.keys())
    changed = sum(
        item.example.version != planned[key] for key, item in items.items() if key in planned
    )
    parts = [
        f"{count} {what}"
        for count, what in (
            (gone, "taken out"),
            (added, "added and not in the versions"),
            (changed, "changed, with twins of the earlier problem"),
        )
        if count
    ]
    return f"The set was changed meanwhile: {'; '.join(parts)}." if parts else ""


def _set_of(job: Job) -> ProblemSet:
    return one_of(job.teacher, job.params["set"])
