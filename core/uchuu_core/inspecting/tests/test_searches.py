"""Pairs that are tried are counted as one would try them."""

from math import gcd
from typing import Any

from hypothesis import given, settings
from hypothesis import strategies as st

from uchuu_core.checking.context import context_of
from uchuu_core.contract import problem_from
from uchuu_core.inspecting.searches import searches
from uchuu_core.methods.catalogue import chosen
from uchuu_core.methods.method import at_density


def found(posed: str) -> list[Any]:
    context = context_of(problem_from({"task": "factor", "given": posed}), [])
    way = chosen(context.posed, "factor", None)
    return searches(context.given, at_density(way.moments(context.posed), "fine"))


def tried(product: int, total: int) -> int:
    """Try pairs one after another, as on paper."""
    pairs = [(n, abs(product) // n) for n in range(1, abs(product) + 1) if abs(product) % n == 0]
    pairs = [(small, large) for small, large in pairs if small <= large]
    for number, (small, large) in enumerate(pairs, start=1):
        if total in (small + large, -small - large) and product > 0:
            return number
        if total in (large - small, small - large) and product < 0:
            return number
    return len(pairs)


@settings(max_examples=80)
@given(st.integers(-12, 12).filter(bool), st.integers(-12, 12).filter(bool))
def test_a_pair_is_found_after_as_many_as_one_tries(p: int, q: int) -> None:
    total, product = p + q, p * q
    if total == 0 or p == q:
        return  # a difference of squares, a perfect square
    sign = "+" if total > 0 else "-"
    last = "+" if product > 0 else "-"
    (search,) = found(f"x^2 {sign} {abs(total)}x {last} {abs(product)}")
    assert (search.leading, search.trials) == (1, tried(product, total))


@given(st.integers(2, 30), st.integers(2, 60))
def test_in_vain_all_are_tried(b: int, c: int) -> None:
    if any(c % n == 0 and n + c // n == b for n in range(1, c + 1)) or gcd(b, c) > 1:
        return
    prime = found(f"x^2 + {b}x + {c}")
    assert [search.trials for search in prime] == [tried(c, 10**9)]
