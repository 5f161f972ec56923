"""Marking a sitting: in the background, equal lines of an item once, the grid filling as it goes."""

from concurrent.futures import ThreadPoolExecutor, as_completed
from typing import Any

from algebra import pool
from algebra.turns import Busy
from asking.asker import Asker
from django.db import transaction
from jobs.models import OPEN, Job
from jobs.running import begin

from papers.models import Sitting, SittingItem, Work
from papers.naming import names_of, told

A_STEP = 240
"""Different papers that one step marks."""
A_BATCH = 40
"""Of these, so many of one item go to one worker of the algebra together: it knows the item after the first."""
AT_ONCE = 2
"""Batches at a time: as many as the workers of the algebra that long calls may have."""


def mark(sitting: Sitting, *, again: bool = False) -> None:
    """Begin to mark what is not marked on its present ground; nothing where that is going on or done.

    *again*: also what could not be marked in time.
    """
    with transaction.atomic():
        locked = Sitting.objects.select_for_update().get(pk=sitting.pk)
        # asked apart: joined, the job would be the one of before the lock was had
        if locked.job_id and Job.objects.filter(pk=locked.job_id, state__in=OPEN).exists():
            return
        if again:
            late = Work.objects.filter(item__sitting=locked, judged__has_key="late")
            late.update(ground="", judged=None)
        if not _unmarked(locked):
            return
        teacher = locked.school_class.teacher
        locked.job = begin(teacher=teacher, kind="marking", params={"sitting": str(locked.pk)})
        locked.save(update_fields=["job"])
    sitting.job = locked.job


def ground_of(item: SittingItem) -> str:
    """Return a digest of all that the marks of *item* stand on besides the lines."""
    return _asker(item).ground_with(
        {
            "problem": [item.task, item.given, item.variable, item.numbers, item.form, item.house],
            "how": _how(item),
        }
    )


def plan(job: Job) -> list[Any]:
    """Return the steps: some of the different papers that are not marked yet, each an item and its digest."""
    sitting = Sitting.objects.get(pk=job.params["sitting"])
    papers = [[item, wrote] for item, listed in _unmarked(sitting).items() for wrote in listed]
    return [papers[start : start + A_STEP] for start in range(0, len(papers), A_STEP)]


def some_papers(job: Job, step: list[tuple[int, str]]) -> int:
    """Mark one step's papers; done twice it stores the same."""
    numbers = {item for item, _ in step}
    items = SittingItem.objects.select_related("sitting__school_class__teacher")
    askers = {item.pk: (item, _asker(item)) for item in items.filter(pk__in=numbers)}
    ground = {number: ground_of(item) for number, (item, _) in askers.items()}
    wanted = {(number, wrote) for number, wrote in step}
    # of equal papers one is marked; what was written anew or deleted meanwhile is not there any more
    works = Work.objects.filter(item__in=numbers, wrote__in=[wrote for _, wrote in step])
    keys = {(work.item_id, work.wrote): work for work in works}
    different = {key: work for key, work in keys.items() if key in wanted}
    batches = [
        of_item[start : start + A_BATCH]
        for number in askers
        for of_item in [[key for key in different if key[0] == number]]
        for start in range(0, len(of_item), A_BATCH)
    ]
    # the longest first: at the end nobody waits long for the other
    batches.sort(key=lambda batch: -sum(len(different[key].lines) for key in batch))

    def marked(batch: list[tuple[int, str]]) -> list[dict[str, Any]]:
        asked = [_question(different[key], *askers[key[0]]) for key in batch]
        return _marked(asked, job.teacher_id)

    with ThreadPoolExecutor(AT_ONCE) as threads:
        begun = {threads.submit(marked, batch): batch for batch in batches}
        for done in as_completed(begun):
            batch = begun[done]
            names = names_of(askers[batch[0][0]][0])  # as they are now: a batch is of one item
            for (number, wrote), found in zip(batch, done.result(), strict=True):
                known = found | told(found["judged"], names)
                works.filter(item=number, wrote=wrote).update(ground=ground[number], **known)
    return len(different)


def finish(job: Job) -> tuple[dict[str, Any], str]:
    """Say what was marked; what came in meanwhile is marked next."""
    sitting = Sitting.objects.filter(pk=job.params["sitting"]).first()
    if sitting is not None and _unmarked(sitting):
        transaction.on_commit(lambda: mark(sitting))
    return {"sitting": job.params["sitting"], "marked": sum(job.results)}, ""


def _unmarked(sitting: Sitting) -> dict[int, list[str]]:
    """Return for each item the digests of papers whose marks stand on other ground, each once."""
    ground = {item.pk: ground_of(item) for item in sitting.items.all()}
    is_final = sitting.released is not None  # what is released does not move; what is new is marked
    works = Work.objects.filter(item__sitting=sitting).order_by("item__number", "pk")
    works = works.filter(judged__isnull=True) if is_final else works
    found: dict[int, dict[str, None]] = {}
    for item, wrote, stands_on in works.values_list("item_id", "wrote", "ground"):
        if stands_on != ground[item]:
            found.setdefault(item, {})[wrote] = None
    return {item: list(wrote) for item, wrote in found.items()}


def _asker(item: SittingItem) -> Asker:
    sitting = item.sitting
    return Asker(sitting.school_class.teacher, sitting.house)


def _how(item: SittingItem) -> dict[str, Any]:
    sitting = item.sitting
    return {
        "school": sitting.school,
        "accuracy_follows": sitting.accuracy_follows,
        "worth": item.worth,
        "scheme": item.scheme or None,
    }


def _question(work: Work, item: SittingItem, asker: Asker) -> dict[str, Any]:
    alone = {"answer": work.lines[-1] if work.lines else ""} if work.answer_alone else {}
    lines = [] if work.answer_alone else work.lines
    return asker.record(item, **_how(item), **alone) | {"lines": lines}


def _marked(asked: list[dict[str, Any]], whose: int) -> list[dict[str, Any]]:
    """Return what is stored of marked papers of an item; one that cannot be marked asks the teacher.

    What was not done in time, alone, is said to be so: it is no answer, and asked for again on request.
    """
    try:
        answers = pool.run_many("mark", asked, whose)
    except (pool.TookTooLong, Busy) as failure:
        if len(asked) > 1:
            return [found for one in asked for found in _marked([one], whose)]
        return [_refused(failure.message, late=True)]
    return [_stored(found) for found in answers]


def _stored(found: dict[str, Any]) -> dict[str, Any]:
    if "failure" in found:
        return _refused(found["failure"]["message"])
    return {
        "judged": found,
        "earned": found["earned"],
        "of": found["of"],
        "stop": _stop(found),
        "asks": len(found["ask"]),
    }


def _refused(why: str, *, late: bool = False) -> dict[str, Any]:
    judged = {"refused": why} | ({"late": True} if late else {})
    nothing = {"earned": None, "of": None, "error": "", "error_name": ""}
    return {**nothing, "judged": judged, "asks": 1, "stop": "unproved"}


def _stop(found: dict[str, Any]) -> str:
    """Return how a paper stands at a glance."""
    if found["first_wrong"] is not None:
        return str(found["lines"][found["first_wrong"] - 1]["verdict"])
    if found["ask"]:
        return "unproved"
    answer = found["answer"]
    return "ok" if answer["right"] and answer["finished"] else "unfinished"
