"""The facts of a problem among others."""

import pytest

from uchuu_core import Problem, facts
from uchuu_core.failures import Unreadable


def test_twins_share_a_structure_and_renamed_letters_are_the_same_exercise() -> None:
    one, renamed, other = (
        facts(Problem("solve", given)) for given in ("3x + 4 = 10", "3y + 4 = 10", "5z + 2 = 12")
    )

    assert one["same"] == renamed["same"] != other["same"]
    assert one["structure"] == other["structure"]
    assert one["structure"] != facts(Problem("solve", "x + 4 = 10"))["structure"]
    assert one["structure"] != facts(Problem("simplify", "3x + 4"))["structure"]
    assert (one["answer"], one["answers"], one["lines"]) == ("x = 2", ["2"], 2)
    assert one["skills"] == ["subtract-on-both-sides", "divide-both-sides"]
    assert one["reveals"]


@pytest.mark.parametrize(
    ("one", "other"),
    [("x^2 - 7x + 12 = 0", "x^2 + 7x + 12 = 0"), ("5x - 3 = 2x + 12", "5x + 3 = 2x + 12")],
)
def test_other_signs_are_another_exercise(one: str, other: str) -> None:
    first, second = (facts(Problem("solve", given)) for given in (one, other))
    assert first["structure"] != second["structure"]


def test_what_cannot_be_worked_says_why_and_keeps_its_place() -> None:
    found = facts(Problem("solve", "x*2^x = 3"))

    assert found["refused"]
    assert (found["difficulty"], found["answer"]) == (None, "")
    with pytest.raises(Unreadable):
        facts(Problem("solve", "2x + = 3"))
