"""Every preference decides something: its winner is named, and without it the loser would be."""

import pytest

from uchuu_core import check, problem_from
from uchuu_core.checking import diagnosis
from uchuu_core.moves.preferred import PREFERRED, Wins

WITNESSES = {
    ("radical-square-skips-coefficient", "exponent-power-skips-factor"): (
        "simplify",
        "(14(5sqrt(3)+2))/((5sqrt(3))^2-2^2)",
        "(14(5sqrt(3)+2))/(5*3-4)",
    ),
    ("radical-number-joined-to-root", "order-add-before-multiply"): (
        "simplify",
        "4 + 3sqrt(5)",
        "7sqrt(5)",
    ),
    ("formula-not-set-to-zero", "formula-discriminant-sign"): (
        "solve",
        "2x^2+3x=5",
        "x=(-3+-sqrt(9-4*2*5))/4",
    ),
    ("exponent-coefficients-added", "product-coefficients-added"): (
        "simplify",
        "8x^4*9x",
        "17x^5",
    ),
    ("complex-fraction-part-multiplied", "fraction-top-not-scaled"): (
        "simplify",
        "(x-9/x)/(1+3/x)-1",
        "(x-9)/(x+3)-1",
    ),
    ("quad-divided-then-lost", "rateq-lcd-missed-term"): ("solve", "x=6-9/x", "x=-3"),
    ("expand-square-termwise", "radical-sum-merged"): ("simplify", "(sqrt(3)+sqrt(5))^2", "3+5"),
    ("radical-number-joined-to-root", "like-unlike-terms-joined"): (
        "simplify",
        "9+7sqrt(x)",
        "16sqrt(x)",
    ),
    ("like-letter-lost", "gcf-lost"): ("simplify", "7x-4x", "3"),
    ("gcf-highest-power-taken", "like-unlike-terms-joined"): ("factor", "x^2+6x", "x^2(1+6)"),
    ("lineq-clearing-missed-term", "lineq-one-side-only"): ("solve", "x/2+x/3=10", "3x+2x=10"),
    ("like-invisible-one", "lineq-one-side-only"): ("solve", "k=3x+x", "k=3x"),
    ("gcf-one-vanishes", "lineq-one-side-only"): ("solve", "k=9x+9", "k=9x"),
    ("distribute-minus-first-term-only", "like-unlike-terms-joined"): (
        "solve",
        "2(x+1)-1(x-1)=5",
        "2x+2-x-1=5",
    ),
}


def _pair(wins: Wins) -> tuple[str, str]:
    return wins.winner.key, wins.loser.key


def _named(wins: Wins) -> str | None:
    task, given, line = WITNESSES[_pair(wins)]
    diagnosis.errors_that_reproduce.cache_clear()
    return check(problem_from({"task": task, "given": given, "lines": [line]}))["error"]


@pytest.mark.parametrize("wins", PREFERRED, ids=lambda wins: " over ".join(_pair(wins)))
def test_the_winner_is_named_and_without_the_preference_it_is_not(
    wins: Wins, monkeypatch: pytest.MonkeyPatch
) -> None:
    assert _named(wins) == wins.winner.key

    monkeypatch.setattr(diagnosis, "PREFERRED", tuple(w for w in PREFERRED if w != wins))
    assert _named(wins) != wins.winner.key
