"""Processes over pipes: everybody gets their own answer, also where calls are late, die or raise beside them."""

import os
import signal
import time
from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from typing import Any

import pytest
from config.settings import base
from hypothesis import given, settings
from hypothesis import strategies as st

from algebra.processes import LEAST, MOST_WAITS, Died, Late, Processes
from algebra.tests import misbehaving

SOON = 0.4
PATIENT = 60.0


@pytest.fixture(scope="module")
def processes() -> Iterator[Processes]:
    found = Processes(2)
    yield found
    found.end()


def _pid(processes: Processes, about: Any) -> int:
    return int(processes.call(os.getpid, (), seconds=PATIENT, about=about))


def _one(processes: Processes, kind: str, number: int) -> str:
    """Make one call of a kind; return how it ended."""
    try:
        if kind == "late":
            processes.call(misbehaving.work, (4 * SOON,), seconds=SOON)
        elif kind == "dies":
            processes.call(os._exit, (1,), seconds=PATIENT)
        elif kind == "raises":
            processes.call(misbehaving.refuse, (number,), seconds=PATIENT)
        elif kind == "unsendable":
            processes.call(misbehaving.unsendable, (), seconds=PATIENT)
        else:
            assert processes.call(abs, (-number,), seconds=PATIENT) == number
            return "answers"
    except Late:
        return "late"
    except Died:
        return "dies"
    except ValueError as wrong:
        assert str(wrong) == str(number), "another one's"
        return "raises"
    except TypeError:
        return "unsendable"
    return "nothing"


@settings(max_examples=6)
@given(
    kinds=st.lists(
        st.sampled_from(["answers", "answers", "answers", "late", "dies", "raises", "unsendable"]),
        min_size=4,
        max_size=10,
    )
)
def test_everybody_gets_their_own_answer(processes: Processes, kinds: list[str]) -> None:
    """An answer that came late, to whoever gave up, is never given to the next one."""
    with ThreadPoolExecutor(
        2
    ) as callers:  # as many as there are processes: whoever calls has a turn
        found = callers.map(lambda item: _one(processes, item[1], item[0]), enumerate(kinds))
    assert list(found) == kinds


def test_what_was_asked_about_before_is_asked_of_the_same_process(processes: Processes) -> None:
    with ThreadPoolExecutor(2) as callers:  # both at once: two processes
        for name in ("rope", "quay"):
            callers.submit(processes.call, time.sleep, (SOON,), seconds=PATIENT, about=name)
    about = {name: _pid(processes, name) for name in ("rope", "quay")}
    assert len(set(about.values())) == 2
    for name in ("quay", "rope", "rope", "quay"):
        assert _pid(processes, name) == about[name]
        assert _pid(processes, f"after {name}") == about[name], "new things: who answered last"


def test_what_others_do_with_the_processor_is_not_held_against_a_call() -> None:
    alone = Processes(1)
    pid = _pid(alone, None)
    with ThreadPoolExecutor(1) as caller:
        os.kill(pid, signal.SIGSTOP)
        called = caller.submit(alone.call, misbehaving.work, (SOON,), seconds=8 * SOON)
        time.sleep(9 * SOON)
        assert not called.done()
        os.kill(pid, signal.SIGCONT)
        assert called.result() == SOON
    alone.end()


def test_a_job_is_not_taken_from_a_worker_that_waits_for_its_call() -> None:
    assert MOST_WAITS * base.ALGEBRA_SECONDS < base.JOB_SECONDS


def test_what_does_nothing_is_not_waited_for_for_ever(processes: Processes) -> None:
    begun = time.monotonic()
    with pytest.raises(Late):
        processes.call(time.sleep, (PATIENT,), seconds=SOON)
    assert time.monotonic() - begun < PATIENT / 2


def test_what_is_no_verdict_leaves_the_first_core_to_others() -> None:
    cores = sorted(os.sched_getaffinity(0))
    others = os.nice(0), cores
    for gives_way, kept in ((True, (LEAST, cores[1:] or cores)), (False, others)):
        found = Processes(1, gives_way=gives_way)
        assert found.call(misbehaving.place, (), seconds=PATIENT) == kept
        found.end()


def test_a_process_ends_when_nobody_is_at_the_other_end() -> None:
    alone = Processes(1)
    pid = _pid(alone, None)
    (process,) = alone._idle
    process._pipe.close()
    process._process.join(PATIENT)
    assert process._process.exitcode == 0, pid
