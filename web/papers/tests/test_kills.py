"""A worker that is killed at any moment of marking: no paper is lost, doubled or marked twice."""

import os
from collections.abc import Callable
from contextlib import suppress
from typing import Any

import pytest
from algebra import pool
from api.testing import ApiClient
from jobs import running
from jobs.models import RUNNING, WAITING, Job, StepResult

from papers.actions import marking
from papers.models import Work
from papers.tests.test_papers import FIRST_ONLY, RIGHT, sitting_of

PAPERS = [RIGHT, FIRST_ONLY, ["x = 7"], ["3x - 6 = 15", "3x = 9", "x = 3"], ["x = = 1"]]


class Killed(BaseException):
    """The worker is gone: nothing of it goes on."""


def _brought_in(teacher: ApiClient) -> dict[str, Any]:
    """Return a sitting whose papers are in and marked."""
    codes = tuple(f"{n:02}" for n in range(len(PAPERS)))
    grid = sitting_of(teacher, codes)
    rows = [";".join([code, "1", *lines]) for code, lines in zip(codes, PAPERS, strict=True)]
    rows += [f"{code};2;x = 3 or x = -2" for code in codes]
    teacher.call("POST", f"/sittings/{grid['id']}/table", {"text": "\n".join(rows)})
    return grid


def _marks() -> list[tuple[int, int, int | None]]:
    found = Work.objects.order_by("student__position", "item__number")
    return list(found.values_list("student_id", "item_id", "earned"))


MOMENTS = int(os.environ.get("UCHUU_KILLS", "24"))
"""At so many moments a marking is killed; ``./uchuu test long`` takes more."""


class Moments:
    """Counts what a marking does, and ends it at one of these moments, before or after what it did then."""

    def __init__(self, at: int) -> None:
        self._at, self._seen = at, 0

    def around(self, really: Callable[..., Any]) -> Callable[..., Any]:
        """Return *really*, with a moment before it and one after it."""

        def killed(*words: Any, **more: Any) -> Any:
            self._pass()
            found = really(*words, **more)
            self._pass()
            return found

        return killed

    def _pass(self) -> None:
        self._seen += 1
        if self._seen == self._at:
            raise Killed


@pytest.mark.parametrize("moment", range(1, MOMENTS + 1))
def test_a_marking_that_is_killed_is_taken_up_where_it_stopped(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch, moment: int
) -> None:
    grid = _brought_in(ada)
    expected = _marks()
    assert None not in [earned for _, _, earned in expected]
    Work.objects.update(ground="", judged=None, earned=None)
    job = Job.objects.filter(kind="marking").latest("created")
    job.done.all().delete()
    Job.objects.filter(pk=job.pk).update(
        state=WAITING, steps=None, params={"sitting": grid["id"]}, outcome=None
    )
    moments = Moments(moment)
    monkeypatch.setattr(marking, "A_STEP", 2)
    monkeypatch.setattr(marking, "AT_ONCE", 1)
    with monkeypatch.context() as patched, suppress(Killed):
        patched.setattr(pool, "run_many", moments.around(pool.run_many))
        patched.setattr(Job, "save", moments.around(Job.save))
        patched.setattr(StepResult.objects, "create", moments.around(StepResult.objects.create))
        patched.setattr(marking, "ground_of", moments.around(marking.ground_of))
        running.run(str(job.pk))
    Job.objects.filter(pk=job.pk, state=RUNNING).update(state=WAITING)
    running.run(str(job.pk))
    job.refresh_from_db()
    assert job.state == "done"
    assert _marks() == expected
    assert job.done.count() == len(job.steps or [])
