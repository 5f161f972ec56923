"""The right line beside an error: the same move to the same terms, never the wrong line, never another route's."""

import json
from pathlib import Path
from typing import Any

import pytest

from uchuu_core import check, problem_from
from uchuu_core.answers.checked import NamedError

CASES = Path(__file__).parents[2] / "tests" / "support" / "cases"


def _error(task: str, given: str, lines: list[str]) -> NamedError:
    answer = check(problem_from({"task": task, "given": given, "lines": lines}))
    wrong = next(line for line in answer["lines"] if line["verdict"] in ("wrong", "loses"))
    assert wrong["error"] is not None
    return wrong["error"]


@pytest.mark.parametrize(
    ("task", "given", "lines", "instead"),
    [
        ("solve", "-3+x = -8", ["x = -11"], "x = -8 + 3"),
        ("solve", "2x+10 = 5x-8", ["2x+5x = -8-10"], "2x - 5x = -8 - 10"),
        ("solve", "3y/4 = 9", ["3y = 9"], "3y = 9*4"),
        ("solve", "x/2+x/3 = 10", ["3x+2x = 10"], "3x + 2x = 60"),
        ("solve", "x^2+8x = 20", ["x^2+8x+16 = 20"], "x^2 + 8x + 16 = 20 + 16"),
        ("solve", "x-2 = sqrt(x+4)", ["x^2-4 = x+4"], "x^2 - 4x + 4 = x + 4"),
        ("solve", "x^2 = -25", ["x = ±5"], "no solution"),
        ("solve", "2x^2+11x-6 = 0", ["(2x-1)(x+6) = 0", "x = 1/2"], "x = -6 or x = 1/2"),
        ("solve", "sqrt(x+6) = x", ["x+6 = x^2", "x = 3 or x = -2"], "x = 3"),
        ("solve", "x/(x-2) = 2/(x-2)", ["x = 2"], "no solution"),
        ("factor", "x^2-5x-24", ["(x+8)(x-3)"], "(x - 8)(x + 3)"),
        ("factor", "m^2-64", ["(m-8)^2"], "(m + 8)(m - 8)"),
        ("solve", "x^2-10x+16 = 0", ["(x-2)(x-8) = 0", "x = -2 or x = -8"], "x = 8 or x = 2"),
        ("solve", "2x^2-5x-3 = 0", ["(2x+1)(x-3) = 0", "x = -1 or x = 3"], "x = 3 or x = -1/2"),
        ("solve", "x(x-7) = 0", ["x-7 = 0"], "x = 0 or x - 7 = 0"),
        ("factor", "6x^2-x-12", ["(3x-4)(2x+3)"], "(2x - 3)(3x + 4)"),
        ("evaluate", "13*6-20", ["68-20"], "78 - 20"),
        ("evaluate", "-7-8", ["15"], "-15"),
        ("simplify", "5a+16-2a", ["3a+19"], "3a + 16"),
        ("solve", "1/x+1/4 = 1/2", ["2/(x+4) = 1/2"], "(4 + x)/(4x) = 1/2"),
        (
            "solve",
            "x^2-8x+5 = 0",
            ["x = (8+-2sqrt(11))/2", "x = 4+-2sqrt(11)"],
            "x = 4 ± sqrt(11)",
        ),
    ],
)
def test_it_answers_the_line_that_is_wrong(
    task: str, given: str, lines: list[str], instead: str
) -> None:
    assert _error(task, given, lines)["instead"] == instead


@pytest.mark.parametrize(
    ("task", "given", "lines"),
    [
        ("simplify", "(x^2+10)/(x+5)", ["x+2"]),
        ("simplify", "2sqrt(5)+4sqrt(3)", ["6sqrt(8)"]),
        ("simplify", "2x^2+4x", ["6x^3"]),
    ],
)
def test_none_is_shown_where_nothing_is_near(task: str, given: str, lines: list[str]) -> None:
    assert _error(task, given, lines)["instead"] is None


def _wrong_papers() -> list[dict[str, Any]]:
    found = []
    for file in sorted(CASES.glob("*wrong*.jsonl")):
        found += [json.loads(line) for line in file.read_text("utf-8").splitlines()]
    return [case for case in found if case.get("lines")]


@pytest.mark.parametrize("case", _wrong_papers(), ids=lambda case: case["id"])
def test_it_holds_and_is_never_the_wrong_line(case: dict[str, Any]) -> None:
    asked = {k: case[k] for k in ("task", "given", "variable", "form", "numbers") if k in case}
    lines = check(problem_from(asked | {"lines": case["lines"]}))["lines"]
    for number, line in enumerate(lines):
        error = line.get("error")
        instead = error["instead"] if error else None
        if line["verdict"] not in ("wrong", "loses") or not instead:
            continue
        assert instead.replace(" ", "") != line["text"].replace(" ", "")
        mended = [*case["lines"][:number], instead]
        again = check(problem_from(asked | {"lines": mended}))["lines"][number]
        assert again["verdict"] in ("ok", "may-add", "unfinished"), mended
