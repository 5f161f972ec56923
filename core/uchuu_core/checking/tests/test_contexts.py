"""Every pattern of the catalogue, with other numbers and letters, is found at every place of real lines."""

from collections import Counter
from random import Random

import pytest

from uchuu_core.checking.diagnosis import SEARCHED
from uchuu_core.moves.move import Move
from uchuu_core.tests.support.contexts import AFTER_A_STEP, CONTEXTS, placed
from uchuu_core.tests.support.planting import judged_planting

WITH_PATTERNS = [move for move in SEARCHED if move.rewrites]


def _results(moves: list[Move], seed: int) -> Counter[tuple[str, str]]:
    chance, found = Random(seed), Counter[tuple[str, str]]()
    for move in moves:
        for item in placed(move, chance):
            named = judged_planting(item.planted)
            if named is not None:
                found[item.place, "found" if move.key in named else "missed"] += 1
                found[item.place, "first" if named[:1] == [move.key] else "not first"] += 1
    return found


@pytest.mark.slow  # two thousand lines
def test_every_pattern_is_found_in_every_place() -> None:
    found = _results(WITH_PATTERNS, seed=7)

    for place in CONTEXTS:
        number = found[place, "found"] + found[place, "missed"]
        assert number > 100
        assert found[place, "found"] >= 0.99 * number, place
        assert found[place, "first"] >= 0.93 * number, place
    after = found[AFTER_A_STEP, "found"], found[AFTER_A_STEP, "missed"]
    assert after[0] >= 0.9 * sum(after)


@pytest.mark.parametrize("move", WITH_PATTERNS, ids=lambda move: move.key)
def test_a_pattern_is_found_where_it_stands(move: Move) -> None:
    """Three of four lines of each error name it; the others write what another error writes too."""
    found = _results([move], seed=23)
    hits = sum(number for (_, result), number in found.items() if result == "found")
    misses = sum(number for (_, result), number in found.items() if result == "missed")

    assert hits >= 0.75 * (hits + misses)
