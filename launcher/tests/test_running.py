"""What runs is started again, but not what ends over and over."""

import time

import pytest

from launcher import parts
from launcher.parts import MOST_DEATHS, Deaths
from launcher.steps import StepFailed


def test_parts_that_end_in_turn_are_started_again_one_that_ends_over_and_over_is_given_up(
    monkeypatch: pytest.MonkeyPatch,
) -> None:
    clock = [1000.0]
    monkeypatch.setattr(time, "monotonic", lambda: clock[0])
    monkeypatch.setattr(parts, "say", lambda _: None)
    deaths = Deaths()
    for number in range(4 * MOST_DEATHS):  # each once in a while, all of them often
        clock[0] += parts.A_WHILE / MOST_DEATHS / 3
        deaths.told(("database", "server", "first worker", "second worker")[number % 4])
    clock[0] += parts.A_WHILE
    for _ in range(MOST_DEATHS):
        deaths.told("server")
    with pytest.raises(StepFailed, match="server ends over and over"):
        deaths.told("server")
