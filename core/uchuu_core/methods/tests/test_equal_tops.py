"""Fractions with one numerator: made so that the answer is known, told from fractions that have none."""

from fractions import Fraction
from typing import Any

from hypothesis import assume, given, settings
from hypothesis import strategies as st

from uchuu_core.checking.context import context_of
from uchuu_core.contract import problem_from
from uchuu_core.methods.equations.board import board_of
from uchuu_core.methods.equations.equal_tops import common_top
from uchuu_core.operations import answer

small = st.integers(1, 9)
METHOD = "equal-numerators"


def signed(value: int) -> str:
    return f"+ {value}" if value >= 0 else f"- {-value}"


def worked(posed: str, method: str | None = METHOD, **more: Any) -> Any:
    return answer("work", {"id": "1", "task": "solve", "given": posed, "method": method, **more})


def found(posed: str) -> Any:
    context = context_of(problem_from({"task": "solve", "given": posed}), [])
    return common_top(board_of(context.posed))


@settings(max_examples=60)
@given(
    st.lists(st.integers(2, 20), min_size=3, max_size=3, unique=True),
    st.integers(-20, 20),
    st.sampled_from([1, -1, 2]),
)
def test_a_number_is_taken_from_each_of_three(below: list[int], s: int, shift: int) -> None:
    """(x + s + shift·b)/b is (x + s)/b + shift."""
    terms = [f"(x {signed(s + shift * b)})/{b}" for b in below]
    posed = f"{' + '.join(terms)} = {3 * shift}"
    assume(sum(Fraction(1, b) for b in below) != 0)
    known = found(posed)
    assert known is not None
    assert known.shift in (shift, 0)
    record = worked(posed, None)
    assert record["answers"] == [str(-s)]
    if known.shift == shift:
        assert record["method"] == METHOD
        assert record["lines"][0]["law"] == "one-from-each"


@settings(max_examples=40)
@given(st.lists(st.integers(1, 12), min_size=4, max_size=4, unique=True))
def test_four_fractions_over_the_unknown(places: list[int]) -> None:
    """(x + a + 1)/(x + a) and its like: paired so that the tops come out equal, else cleared; both end alike."""
    a, b, c, d = places
    fraction = "(x + {})/(x + {})"
    left, right = (" + ".join(fraction.format(p + 1, p) for p in pair) for pair in ((a, b), (c, d)))
    one = worked(f"{left} = {right}")
    other = worked(f"{left} = {right}", "multiply-by-lcd")
    if "failure" in other:
        return
    assert "failure" not in one, one
    assert sorted(one["answers"]) == sorted(other["answers"])
    assert one["outcome"] == other["outcome"]


@settings(max_examples=40)
@given(small, small, small)
def test_equal_tops_that_are_numbers_have_equal_bottoms(a: int, b: int, c: int) -> None:
    posed = f"{c}/(x + {a}) = {c}/(2x - {b})"
    record = worked(posed)
    assert record["answers"] == [str(a + b)] or record["outcome"] == "no solution"
    assert any(line["law"] == "common-top" for line in record["lines"])


@given(small, small)
def test_letters_are_as_good_as_numbers(a: int, b: int) -> None:
    record = worked("(x - a)/b + (x - b)/a = 2", None, variable="x")
    assert record["answers"] == ["a + b"]
    assert any("if" in line for line in record["lines"])
    numbers = worked(f"(x - {a})/{b + 9} + (x - {b + 9})/{a} = 2", None)
    assert numbers["answers"] == [str(a + b + 9)]


@given(small, small)
def test_other_fractions_have_no_common_top(a: int, b: int) -> None:
    assume(a != b)
    assert found(f"x/{a + 1} + (x + {b})/{a + 2} = 5") is None
    refused = worked(f"x/{a + 1} + (x + {b})/{a + 2} = 5")
    assert refused["failure"]["code"] == "method-does-not-apply"
