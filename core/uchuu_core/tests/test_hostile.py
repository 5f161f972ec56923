"""Problems that once ran away: each operation answers, or refuses with a sentence."""

from collections.abc import Callable
from typing import Any

import pytest

from uchuu_core import Failure, check, inspect, nudge, problem_from, work
from uchuu_core.failures import ProducedLineRefused

HOSTILE = [
    ("simplify", "(2^1000000)^1000000"),
    ("simplify", "1000000007x + 3"),
    ("simplify", "(1000000000039x + 7)/1000000000061"),
    ("factor", "-123456789123456789x - 3"),
    ("factor", "x^2 + 1000000000000x - 3"),
    ("solve", "2^(x+1000000000) + 2^x = 24"),
    ("solve", "x^3 = 1000000000000000000000000000000000000057"),
    ("solve", "x^1000 = 1"),
    ("solve", "x^(1000000000000/3) = 8"),
    ("solve", "(x^2+1)^50 = 2"),
    ("solve", "9^(1000000000x) = 3"),
    ("evaluate", "4 = 27^7(4/3) + 1"),
    ("study", "(x^12 + 1)/(x^11 - 3)"),
    ("study", "1/(x^3 - x - 1)"),
]


@pytest.mark.parametrize("operation", [work, inspect, nudge, check])
@pytest.mark.parametrize(("task", "given"), HOSTILE)
def test_nothing_runs_away(
    operation: Callable[[Any], dict[str, Any]], task: str, given: str
) -> None:
    lines = [given.replace("3", "4")] if operation is check else []

    try:
        operation(problem_from({"task": task, "given": given, "lines": lines}))
    except ProducedLineRefused:
        raise
    except Failure as failure:
        assert failure.message.endswith(".")
