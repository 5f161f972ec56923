"""A line that cannot be worked out is one line that is not decided: it takes no other line with it."""

import pytest

from uchuu_core.checking.paper import check
from uchuu_core.contract import Problem, Task

HOSTILE = [
    "9^9^9^9 = x", "x = 2^(10^9)", "a = 9^9^9, b = 2", "x^(9^9) = 1", "2^(9^9^9) + x = 1", "(x+1)^99999 = 0",
    "1/0 = x", "sqrt(9^9^9^9) = x", "9^9^9^9", "x = " + "9" * 400, "x = 9^9^9^9 or x = 5", "x^2 = 9^9^9^9",
]  # fmt: skip
GIVEN: list[tuple[Task, str, str]] = [
    ("solve", "4x=20", "x = 5"),
    ("solve", "x^2=25", "x = 5 or x = -5"),
    ("solve", "sqrt(x+4)=3", "x = 5"),
    ("expand", "(x+1)^2", "x^2+2x+1"),
]


@pytest.mark.parametrize("hostile", HOSTILE, ids=lambda text: text[:16])
@pytest.mark.parametrize(("task", "given", "good"), GIVEN, ids=[g for _, g, _ in GIVEN])
def test_a_hostile_line_leaves_the_others_their_verdicts(
    task: Task, given: str, good: str, hostile: str
) -> None:
    for lines in ((hostile, good), (hostile, "x"), (hostile, hostile, good)):
        assert len(check(Problem(task, given, lines=lines))["lines"]) == len(lines)
    before, after = check(Problem(task, given, lines=(good, hostile)))["lines"]
    (alone,) = check(Problem(task, given, lines=(good,), goes_on=True))["lines"]
    assert (before["verdict"], before.get("law")) == ("ok", alone.get("law"))
    assert after["verdict"] != "ok"
