"""Difficulty agrees with orders that teachers gave, and names what it counted."""

import json
from itertools import combinations
from pathlib import Path
from typing import Any

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from uchuu_core.operations import answer

ORDERS = json.loads((Path(__file__).parent / "teacher_orders.json").read_text())
NEEDED = 0.98


def worked(task: str, given: str, **more: object) -> Any:
    return answer("work", {"id": "1", "task": task, "given": given, **more})


def score(task: str, given: str, **more: object) -> float:
    return float(worked(task, given, **more)["difficulty"]["score"])


def test_nearly_all_pairs_stand_in_a_teachers_order() -> None:
    out_of_order, pairs = [], 0
    for order in ORDERS:
        scored = [(g, score(order["task"], g)) for g in order["easier_to_harder"]]
        for (easier, low), (harder, high) in combinations(scored, 2):
            pairs += 1
            out_of_order += [(easier, low, harder, high)] if low > high else []
    assert pairs > 500
    assert 1 - len(out_of_order) / pairs >= NEEDED, out_of_order


@pytest.mark.parametrize(
    ("task", "given", "reason"),
    [
        ("factor", "x^2 + 8x + 11", "1 search in vain"),
        ("factor", "x^2 - 2x - 120", "8 pairs tried"),
        ("solve", "ax + b = c", "3 further letters"),
        ("solve", "x^2 - 4x - 7 = 0", "1 root in the answer"),
        ("solve", "x/2 - x/5 = 6", "2 fractions"),
    ],
)
def test_reasons_are_told_in_words(task: str, given: str, reason: str) -> None:
    assert reason in worked(task, given)["difficulty"]["reasons"]


def test_a_prime_costs_all_its_pairs() -> None:
    tried = [
        next(
            r for r in worked("factor", f"x^2 + {b}x + 48")["difficulty"]["reasons"] if "tried" in r
        )
        for b in (16, 15)
    ]
    assert tried == ["4 pairs tried", "5 pairs tried"]


@pytest.mark.parametrize(
    ("task", "given"),
    [
        ("solve", "x^2 - 6x + 8 = 0"),
        ("solve", "x/2 + 1 = x/3 + 4"),
        ("solve", "2/x + 1/3 = 1"),
        ("factor", "6x^2 + 7x - 3"),
        ("simplify", "sqrt(72)"),
        ("simplify", "6/sqrt(12)"),
    ],
)
def test_the_standard_way_is_never_harder_than_a_detour(task: str, given: str) -> None:
    standard = worked(task, given)
    for method in standard["methods"]:
        assert score(task, given, method=method) >= standard["difficulty"]["score"], method


@settings(max_examples=25)
@given(st.integers(2, 9), st.integers(2, 9), st.integers(2, 5))
def test_a_common_factor_or_a_leading_coefficient_makes_it_harder(p: int, q: int, a: int) -> None:
    plain = score("factor", f"x^2 + {p + q}x + {p * q}")
    assert score("factor", f"{a}x^2 + {a * (p + q)}x + {a * p * q}") > plain
    assert score("factor", f"{a}x^2 + {a * p + q}x + {p * q}") > plain
