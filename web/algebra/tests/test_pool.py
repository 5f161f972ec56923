"""The worker pool itself: two callers at once, failures relayed with their own code."""

import json
import multiprocessing
import os
import signal
import time
from concurrent.futures import ThreadPoolExecutor
from typing import Any

import pytest
from uchuu_core.failures import Failure

from algebra import pool, worker


def _check(given: str, line: str) -> dict[str, Any]:
    record = {"task": "solve", "given": given, "lines": [line]}
    return pool.run("check", record)


def test_callers_at_the_same_time_get_their_own_answers() -> None:
    problems = [(f"{n}x = {n * 3}", "x = 3" if n % 2 else "x = 4") for n in range(2, 14)]

    with ThreadPoolExecutor(6) as callers:
        answers = list(callers.map(lambda problem: _check(*problem), problems))

    verdicts = [answer["lines"][0]["verdict"] for answer in answers]
    assert verdicts == ["ok" if n % 2 else "wrong" for n in range(2, 14)]


@pytest.mark.parametrize(
    ("operation", "record", "code"),
    [
        ("read", {"text": "2x +", "juxtaposition": "equal"}, "unreadable"),
        ("read", {"text": "9" * 50, "juxtaposition": "equal"}, "too-large"),
        ("work", {"task": "solve", "given": "2^x = 5"}, "out-of-scope"),
        ("work", {"task": "solve", "given": "x = 4", "method": "x"}, "method-does-not-apply"),
        ("check", {"task": "sing", "given": "x"}, "bad-request"),
    ],
)
def test_a_failure_crosses_the_processes_with_its_code(
    operation: str, record: dict[str, Any], code: str
) -> None:
    with pytest.raises(Failure) as caught:
        pool.run(operation, record)

    assert caught.value.code == code
    is_answer, text = worker.answer(operation, record)
    assert (is_answer, json.loads(text)["failure"]["code"]) == (False, code)


def test_a_worker_that_was_killed_while_it_was_idle_is_noticed_by_nobody() -> None:
    for _ in range(3):
        _check("2x = 6", "x = 3")
        for child in multiprocessing.active_children():
            os.kill(child.pid or 0, signal.SIGKILL)
        assert _check("2x = 6", "x = 3")["lines"][0]["verdict"] == "ok"


def test_what_is_done_apart_is_ended_when_it_takes_too_long(settings: Any) -> None:
    assert pool.apart(sorted, [3, 1, 2]) == [1, 2, 3]
    settings.ALGEBRA_SECONDS = 0.3
    with pytest.raises(pool.TookTooLong):
        pool.apart(time.sleep, 30)


def test_whoever_types_waits_for_the_verdict_alone(monkeypatch: pytest.MonkeyPatch) -> None:
    taken: list[str] = []
    turn = pool._turns.turn

    def noted(whose: Any, operation: str, *rest: Any) -> Any:
        taken.append(operation)
        return turn(whose, operation, *rest)

    monkeypatch.setattr(pool._turns, "turn", noted)
    asked = {"task": "solve", "given": "2x = 6", "lines": ["x = 3"]}
    verdict = pool.run("check", {**asked, "explains": False})
    why = pool.run("check", asked)
    assert taken == ["verdict", "check"]
    assert [found["lines"][0]["verdict"] for found in (verdict, why)] == ["ok", "ok"]
    assert "law" not in verdict["lines"][0]
    assert "law" in why["lines"][0]
