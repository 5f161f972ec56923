"""Fair turns at the workers: one call each, judging first, a bound for everybody, nothing lost."""

import threading
import time
from collections import Counter

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from algebra.turns import MOST_AT_ONCE, MOST_WAITING, Busy, Gone, Kind, Turns

PATIENCE = 20.0


class Desk:
    """Calls that are begun in threads and end when they are told to; who is served is written down."""

    def __init__(self, workers: int) -> None:
        self.turns = Turns(workers)
        self.served: list[tuple[str, str]] = []
        self._ends: dict[tuple[str, str], list[threading.Event]] = {}
        self._threads: list[threading.Thread] = []

    def call(self, who: str, operation: str) -> None:
        end = threading.Event()
        begun = threading.Event()

        def run() -> None:
            with self.turns.turn(who, operation):
                self.served.append((who, operation))
                self._ends.setdefault((who, operation), []).append(end)
                begun.set()
                end.wait(PATIENCE)

        waiting = self._count()
        thread = threading.Thread(target=run)
        self._threads.append(thread)
        thread.start()
        _until(lambda: begun.is_set() or self._count() > waiting)

    def _count(self) -> int:
        return sum(self.turns._of.values())

    def end(self, who: str, operation: str) -> None:
        served = len(self.served)
        waits = self._count() > len([1 for ends in self._ends.values() for _ in ends])
        self._ends[who, operation].pop().set()
        if waits:
            _until(lambda: len(self.served) > served)

    def close(self) -> None:
        while any(thread.is_alive() for thread in self._threads):
            for ends in list(self._ends.values()):
                for end in ends:
                    end.set()
            time.sleep(0.001)


def _until(holds: object) -> None:
    deadline = time.monotonic() + PATIENCE
    while not holds() and time.monotonic() < deadline:  # type: ignore[operator]
        time.sleep(0.001)
    assert holds()  # type: ignore[operator]


def test_a_colleague_has_the_next_turn_whoever_floods() -> None:
    desk = Desk(1)
    for _ in range(5):
        desk.call("flood", "work")
    desk.call("colleague", "work")

    desk.end("flood", "work")
    desk.end("flood", "work")

    assert desk.served == [("flood", "work"), ("flood", "work"), ("colleague", "work")]
    desk.close()


def test_long_work_leaves_a_worker_to_judging() -> None:
    desk = Desk(2)
    for who in "abcd":
        desk.call(who, "forks")
    assert desk.served == [("a", "forks")]

    desk.call("e", "verdict")

    assert desk.served[-1] == ("e", "verdict")
    desk.close()


def test_judging_does_not_starve_long_work_either() -> None:
    desk = Desk(1)
    desk.call("a", "verdict")
    desk.call("b", "forks")
    for _ in range(3):
        desk.call("a", "verdict")
    desk.end("a", "verdict")
    desk.end(*desk.served[-1])

    assert ("b", "forks") in desk.served
    desk.close()


def test_one_teacher_has_a_bound_and_others_are_not_touched_by_it() -> None:
    desk = Desk(2)
    for _ in range(MOST_AT_ONCE):
        desk.call("flood", "work")

    with pytest.raises(Busy, match="Try again"), desk.turns.turn("flood", "forks"):
        pass
    desk.call("flood", "verdict")  # typing goes on
    desk.end("flood", "verdict")
    desk.call("colleague", "verdict")

    assert desk.served[-1] == ("colleague", "verdict")
    desk.close()
    with desk.turns.turn("flood", "verdict"):
        pass


def test_first_verdicts_then_why_and_why_waits_behind_no_long_work() -> None:
    desk = Desk(2)
    for who in "abc":
        desk.call(who, "work")
    desk.call("d", "check")  # on the worker that long work leaves
    assert desk.served == [("a", "work"), ("d", "check")]
    desk.call("e", "check")
    desk.call("f", "verdict")

    desk.end("d", "check")
    desk.end("f", "verdict")

    assert desk.served[2:] == [("f", "verdict"), ("e", "check")]
    desk.close()


def test_however_many_wait_for_long_work_no_verdict_waits_for_a_thread() -> None:
    desk = Desk(2)
    for number in range(MOST_WAITING + 1):  # one of them is worked
        desk.call(f"teacher {number}", "work")

    with pytest.raises(Busy, match="others"), desk.turns.turn("one more", "work"):
        pass
    desk.call("one more", "verdict")

    assert desk.served[-1] == ("one more", "verdict")
    desk.close()


@given(
    st.integers(1, 3),
    st.lists(
        st.tuples(st.sampled_from("abc"), st.sampled_from(["verdict", "check", "work"])),
        max_size=16,
    ),
)
@settings(max_examples=30, deadline=None)
def test_every_call_is_served_once_and_never_too_many_at_a_time(
    workers: int, calls: list[tuple[str, str]]
) -> None:
    turns, lock = Turns(workers), threading.Lock()
    inside: Counter[str] = Counter()
    most: Counter[str] = Counter()
    served: list[tuple[str, str]] = []

    def run(who: str, operation: str) -> None:
        kind = "long" if operation == "work" else "quick"
        with turns.turn(who, operation):
            with lock:
                inside.update([kind, "all"])
                most.update({k: max(0, inside[k] - most[k]) for k in (kind, "all")})
                served.append((who, operation))
            time.sleep(0.0005)
            with lock:
                inside.subtract([kind, "all"])

    threads = [threading.Thread(target=run, args=call) for call in calls[:MOST_AT_ONCE]]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join(PATIENCE)

    assert sorted(served) == sorted(calls[:MOST_AT_ONCE])
    assert most["all"] <= workers
    assert most["long"] <= max(1, workers - 1)


def test_who_leaves_before_their_turn_is_not_worked_for_and_keeps_nobody_waiting() -> None:
    turns = Turns(1)
    left, served = threading.Event(), threading.Event()
    ended: list[str] = []

    def impatient() -> None:
        try:
            with turns.turn("ada", "verdict", left.is_set):
                ended.append("worked")
        except Gone:
            ended.append("gone")

    def patient() -> None:
        with turns.turn("ben", "verdict"):
            served.set()

    with turns.turn("cleo", "verdict"):
        threads = [threading.Thread(target=impatient), threading.Thread(target=patient)]
        threads[0].start()
        _until(lambda: turns._of["ada", Kind.VERDICT] == 1)
        threads[1].start()
        left.set()
        threads[0].join(PATIENCE)
        assert ended == ["gone"]
        assert not served.is_set()
    threads[1].join(PATIENCE)
    assert served.is_set()
    assert sum(turns._of.values()) == 0
    assert turns._free == 1


@settings(max_examples=25, deadline=None)
@given(
    calls=st.lists(
        st.tuples(
            st.sampled_from("abc"), st.sampled_from(["verdict", "check", "work"]), st.booleans()
        ),
        max_size=14,
    ),
    workers=st.integers(1, 3),
)
def test_whoever_comes_and_leaves_all_workers_are_free_in_the_end(
    calls: list[tuple[str, str, bool]], workers: int
) -> None:
    turns = Turns(workers)
    at_once, most = 0, 0
    lock = threading.Lock()

    def call(who: str, operation: str, leaves: bool) -> None:
        nonlocal at_once, most
        try:
            with turns.turn(who, operation, lambda: leaves):
                with lock:
                    at_once += 1
                    most = max(most, at_once)
                time.sleep(0.001)
                with lock:
                    at_once -= 1
        except (Gone, Busy):
            pass

    threads = [threading.Thread(target=call, args=one) for one in calls]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join(PATIENCE)

    assert most <= workers
    assert (turns._free, turns._long_free) == (workers, max(1, workers - 1))
    assert sum(turns._of.values()) == 0
    assert not any(turns._waiting.values())
