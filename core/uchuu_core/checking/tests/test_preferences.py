"""Every preference decides something: its winner is named, and without it the loser would be."""

import pytest

from uchuu_core import check, problem_from
from uchuu_core.checking import diagnosis
from uchuu_core.moves.preferred import PREFERRED, Wins

WITNESSES = {
    "radical-square-skips-coefficient": (
        "simplify",
        "(14(5sqrt(3)+2))/((5sqrt(3))^2-2^2)",
        "(14(5sqrt(3)+2))/(5*3-4)",
    ),
    "sign-power-parity": ("simplify", "(-2a)^3 + a^3", "8a^3 + a^3"),
    "radical-number-joined-to-root": ("simplify", "4 + 3sqrt(5)", "7sqrt(5)"),
    "ratexpr-divided-termwise": ("simplify", "(x^2+25)/(x+5)", "x+5"),
    "formula-not-set-to-zero": ("solve", "2x^2+3x=5", "x=(-3+-sqrt(9-4*2*5))/4"),
}


def _named(key: str) -> str | None:
    task, given, line = WITNESSES[key]
    diagnosis.errors_that_reproduce.cache_clear()
    return check(problem_from({"task": task, "given": given, "lines": [line]}))["error"]


@pytest.mark.parametrize("wins", PREFERRED, ids=lambda wins: wins.winner.key)
def test_the_winner_is_named_and_without_the_preference_it_is_not(
    wins: Wins, monkeypatch: pytest.MonkeyPatch
) -> None:
    assert _named(wins.winner.key) == wins.winner.key

    monkeypatch.setattr(diagnosis, "PREFERRED", tuple(w for w in PREFERRED if w != wins))
    assert _named(wins.winner.key) == wins.loser.key
