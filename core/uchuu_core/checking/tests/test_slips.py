"""A slip is one number near the right one, in an otherwise lawful line; a copied number is another."""

from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from uchuu_core import check, problem_from
from uchuu_core.checking.nearness import is_near

WHOLE = st.integers(-500, 500)


@pytest.mark.parametrize(
    ("right", "near", "far"),
    [(56, 54, 80), (56, 63, 7), (144, 124, 44), (78, 68, 52), (9, -9, 21), (40, 4, 7), (12, 21, 1)],
)
def test_near_is_what_one_miscounts(right: int, near: int, far: int) -> None:
    assert is_near(Fraction(near), Fraction(right))
    assert not is_near(Fraction(far), Fraction(right))


@given(WHOLE, WHOLE)
def test_nearness_knows_no_direction_of_sign_and_never_the_right_number(
    one: int, other: int
) -> None:
    a, b = Fraction(one), Fraction(other)

    assert not is_near(a, a)
    assert is_near(a, b) == is_near(-a, -b)


@pytest.mark.parametrize(
    ("task", "before", "line", "error"),
    [
        ("evaluate", "13*6-20", "68-20", "arithmetic-slip"),
        ("solve", "8x=31+33", "8x=63", "arithmetic-slip"),
        ("simplify", "6y-4+2y-9", "8y-11", "arithmetic-slip"),
        ("evaluate", "13*6-20", "7-20", None),
        ("evaluate", "9*8+1", "3+1", None),
    ],
)
def test_only_a_near_number_is_called_a_slip(
    task: str, before: str, line: str, error: str | None
) -> None:
    found = check(problem_from({"task": task, "given": before, "lines": [line, line]}))["lines"][0]

    assert found["verdict"] == "wrong"
    named = found.get("error")
    key = named["id"] if named else None
    assert key == error if error else key != "arithmetic-slip"
