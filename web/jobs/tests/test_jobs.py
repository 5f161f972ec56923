"""Long work: resumed where it was killed, cancelled between steps, each teacher's own."""

from collections.abc import Iterator
from datetime import timedelta
from typing import Any

import pytest
from api.failures import Refused
from api.testing import ApiClient
from django.contrib.auth.models import User
from django.utils import timezone
from procrastinate.contrib.django.models import ProcrastinateJob

from jobs import running
from jobs.kinds import KINDS, Kind
from jobs.models import CANCELLED, DONE, FAILED, RUNNING, Job
from jobs.queue import hand_to_workers
from jobs.running import begin, requeue_left, run
from launcher.serving.configuration import LONGEST_NAME

DONE_STEPS: list[int] = []


class Killed(BaseException):
    """As when the worker's process ends in the middle of a step."""


def _step(job: Job, number: int) -> int:
    if number == job.params.get("kill_at") and not job.params.get("killed"):
        Job.objects.filter(pk=job.pk).update(params={**job.params, "killed": True})
        raise Killed
    if number == job.params.get("cancel_at"):
        Job.objects.filter(pk=job.pk).update(state=CANCELLED)
    if number == job.params.get("lose_at"):
        Job.objects.filter(pk=job.pk).update(runner="another")
    if number == job.params.get("refuse_at"):
        raise Refused(422, "no", "This cannot be done.")
    if number == job.params.get("break_at"):
        raise ZeroDivisionError
    DONE_STEPS.append(number)
    return number * number


@pytest.fixture(autouse=True)
def _kind() -> Iterator[None]:
    DONE_STEPS.clear()
    KINDS["squares"] = Kind(
        lambda _: [1, 2, 3, 4],
        _step,
        lambda job: ({"sum": sum(job.results)}, job.params.get("lacks", "")),
    )
    yield
    del KINDS["squares"]


@pytest.fixture
def teacher(ada: ApiClient) -> User:
    return User.objects.get(username="ada")


def _begun(teacher: User, **params: Any) -> Job:
    return begin(teacher=teacher, kind="squares", params=params)


def test_a_job_is_done_step_by_step(ada: ApiClient, teacher: User) -> None:
    job = _begun(teacher)

    told = ada.call("GET", f"/jobs/{job.pk}").json()
    assert (told["state"], told["done"], told["total"]) == ("done", 4, 4)
    assert told["outcome"] == {"sum": 30}
    assert ada.call("GET", "/jobs").json() == []


def test_what_could_not_be_done_is_said_and_the_job_ends_partly(
    ada: ApiClient, teacher: User
) -> None:
    job = _begun(teacher, lacks="One of them was taken out meanwhile.")

    told = ada.call("GET", f"/jobs/{job.pk}").json()
    assert (told["state"], told["outcome"]) == ("partly", {"sum": 30})
    assert told["message"] == "One of them was taken out meanwhile."
    assert ada.call("GET", "/jobs").json() == []


def test_a_killed_worker_loses_no_step_and_repeats_none(teacher: User) -> None:
    with pytest.raises(Killed):
        _begun(teacher, kill_at=3)
    job = Job.objects.get()
    assert (job.state, job.results) == (RUNNING, [1, 4])

    assert requeue_left("1") == 1
    job.refresh_from_db()

    assert (job.state, job.outcome) == (DONE, {"sum": 30})
    assert DONE_STEPS == [1, 2, 3, 4]


def test_a_job_that_another_worker_has_is_left_alone_until_it_falls_silent(teacher: User) -> None:
    job = Job.objects.create(teacher=teacher, kind="squares", state=RUNNING)

    run(str(job.pk))
    assert DONE_STEPS == []
    Job.objects.filter(pk=job.pk).update(changed=timezone.now() - timedelta(minutes=5))
    run(str(job.pk))

    assert DONE_STEPS == [1, 2, 3, 4]


def test_a_worker_that_lost_its_job_to_another_writes_nothing_more(teacher: User) -> None:
    job = _begun(teacher, lose_at=2)

    assert (job.state, job.runner, job.results) == (RUNNING, "another", [1])
    assert DONE_STEPS == [1, 2]  # the step was being done when the other took over


def test_a_cancelled_job_stops_before_its_next_step(ada: ApiClient, teacher: User) -> None:
    job = _begun(teacher, cancel_at=2)

    assert (job.state, DONE_STEPS) == (CANCELLED, [1, 2])
    waiting = Job.objects.create(teacher=teacher, kind="squares")
    assert ada.call("POST", f"/jobs/{waiting.pk}/cancel").json()["state"] == "cancelled"
    run(str(waiting.pk))
    assert DONE_STEPS == [1, 2]


@pytest.mark.parametrize(
    ("how", "says"), [("refuse_at", "cannot be done"), ("break_at", "our side")]
)
def test_a_failure_is_said(ada: ApiClient, teacher: User, how: str, says: str) -> None:
    job = _begun(teacher, **{how: 2})

    told = ada.call("GET", f"/jobs/{job.pk}").json()
    assert told["state"] == FAILED
    assert says in told["message"]


def test_each_teacher_sees_only_their_own(ben: ApiClient, teacher: User) -> None:
    job = _begun(teacher)

    assert ben.call("GET", f"/jobs/{job.pk}").status_code == 404
    assert ben.call("POST", f"/jobs/{job.pk}/cancel").status_code == 404


@pytest.fixture
def queue(monkeypatch: pytest.MonkeyPatch, settings: Any) -> list[tuple[str, int]]:
    """Return what is handed to the workers: whose job, and how it stands in the queue."""
    settings.JOBS_AT_ONCE = False
    found: list[tuple[str, int]] = []
    monkeypatch.setattr(
        running,
        "hand_to_workers",
        lambda *_, priority, identity: found.append((identity, priority)),
    )
    return found


def test_a_long_job_lets_others_have_their_turn(
    teacher: User, queue: list[tuple[str, int]], monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr(running, "A_SLICE", 3)
    job = _begun(teacher)

    run(str(job.pk))
    job = Job.objects.get()
    assert (job.state, DONE_STEPS, queue) == ("waiting", [1, 2, 3], [(str(job.pk), 0)] * 2)
    run(str(job.pk))
    assert (Job.objects.get().state, DONE_STEPS) == (DONE, [1, 2, 3, 4])


def test_everybodys_first_job_comes_before_anybodys_second(
    teacher: User, ben: ApiClient, queue: list[tuple[str, int]]
) -> None:
    other = User.objects.get(username="ben")
    for whose in (teacher, teacher, teacher, other):
        _begun(whose)

    assert [priority for _, priority in queue] == [0, -1, -2, 0]


def test_a_worker_that_starts_again_takes_up_its_own_and_what_fell_silent(
    teacher: User, queue: list[tuple[str, int]]
) -> None:
    def left(slot: str, minutes: int) -> str:
        job = Job.objects.create(teacher=teacher, kind="squares", state=RUNNING, runner=f"{slot}:x")
        silent = timezone.now() - timedelta(minutes=minutes)
        Job.objects.filter(pk=job.pk).update(changed=silent)
        return str(job.pk)

    own, _others, silent = left("1", 0), left("2", 0), left("2", 9)

    assert requeue_left("1") == 2
    assert {identity for identity, _ in queue} == {own, silent}


@pytest.mark.django_db(transaction=True)
def test_what_waits_in_the_queue_is_not_queued_twice() -> None:
    for _ in range(3):
        hand_to_workers("learn", "learn-7", seconds=60, teacher=7)
    hand_to_workers("learn", "learn-8", priority=-1, teacher=8)

    waiting = ProcrastinateJob.objects.order_by("id").values_list("queueing_lock", "priority")
    assert list(waiting) == [("learn-7", 0), ("learn-8", -1)]


def test_a_host_with_the_longest_name_does_jobs_too(teacher: User, settings: Any) -> None:
    settings.JOB_SLOT = f"{'h' * LONGEST_NAME}-64"
    job = _begun(teacher)
    assert job.state == DONE
    assert job.runner.startswith(f"{settings.JOB_SLOT}:")
    assert len(job.runner.partition(":")[2]) >= 16, "and no two of its jobs have the same runner"
