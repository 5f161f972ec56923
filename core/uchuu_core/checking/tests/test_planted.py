"""Errors planted in generated problems are found, and called what they are."""

from os import environ
from random import Random

import pytest

from uchuu_core.checking.diagnosis import SEARCHED
from uchuu_core.tests.support.planting import (
    counted,
    judged_planting,
    like_the_catalogues,
    planted_in,
)

ROUNDS = int(environ.get("UCHUU_PLANTED", "1"))


@pytest.mark.slow  # thousands of planted errors
def test_planted_errors_are_named_first_or_among_the_others() -> None:
    counts = counted(ROUNDS, seed=3).values()

    planted = sum(count.planted for count in counts)
    assert planted > 300 * ROUNDS
    assert sum(count.by_convention for count in counts) >= 0.95 * planted
    assert sum(count.among for count in counts) >= 0.99 * planted


@pytest.mark.parametrize("move", SEARCHED, ids=lambda move: move.key)
def test_every_error_is_planted_in_some_generated_problem_and_found(move) -> None:  # type: ignore[no-untyped-def]
    chance = Random(11)
    for _ in range(40):
        line = like_the_catalogues(move.key, chance)
        for item in planted_in(line, (move,), chance, 2):
            if (judged_planting(item) or [""])[0] == move.key:
                return
    pytest.fail("it was never planted, or never found")
