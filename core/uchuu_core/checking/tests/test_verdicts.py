"""Verdicts on unusual but ordinary school work."""

from typing import Any

import pytest

from uchuu_core import check, problem_from
from uchuu_core.checking.tests.papers import PAPERS
from uchuu_core.notation import latex, read

_NON_NEGATIVE = {"house": {"radicals": "non-negative"}}
FALSE_ONCE: list[tuple[str, str, list[str], list[str], dict[str, Any]]] = [
    ("solve", "sqrt(5-x)=7", ["5-x=49", "x=-44"], ["may-add", "ok"], _NON_NEGATIVE),
    ("simplify", "|x|", ["x"], ["wrong"], _NON_NEGATIVE),
    ("simplify", "sqrt(x^2)+|y|", ["x+y"], ["wrong"], _NON_NEGATIVE),
    ("simplify", "sqrt(x^2)+|y|", ["x+|y|"], ["ok"], _NON_NEGATIVE),
    ("solve", "2^x-3*2^(x/2)+1=0", ["3^x-3*3^(x/2)+1=0"], ["unproved"], {}),
    ("solve", "|x-3|<2", ["-2<x-3<2", "1<x<5"], ["ok", "ok"], {}),
    ("solve", "x-1>1", ["2x>2"], ["wrong"], {}),
    ("solve", "2x^2+3x-2=0", ["a=7"], ["unproved"], {}),
    ("solve", "2x^2+3x-2=0", ["a=2", "b=3", "c=-2", "D=25"], ["ok"] * 4, {}),
    ("solve", "x^2+x-2=0", ["D=36"], ["unproved"], {}),
    ("solve", "x^2+x-2=0", ["D=10"], ["wrong"], {}),
    ("simplify", "sqrt(x^(2n))", ["x^n"], ["wrong"], {}),
    ("simplify", "sqrt(-x^2-1)", ["no real value"], ["unproved"], {}),
    ("solve", "sqrt(x^2)=x", ["x^2=x^2"], ["may-add"], {}),
]
"""Papers that got a false verdict before; what cannot be known is undecided."""


@pytest.mark.parametrize(("task", "given", "lines", "verdicts", "more"), PAPERS + FALSE_ONCE)
def test_verdicts_on_ordinary_school_work(
    task: str, given: str, lines: list[str], verdicts: list[str], more: dict[str, Any]
) -> None:
    record = {"task": task, "given": given, "lines": lines, "explains": False, **more}
    answer = check(problem_from(record))

    assert [line["verdict"] for line in answer["lines"]] == verdicts


def test_an_equals_sign_that_says_then_gets_a_note() -> None:
    for given, line in (("2x+1=7", "2x=6=x=3"), ("(3+4)*2", "3+4=7*2=14")):
        task = "solve" if "x" in given else "evaluate"
        answer = check(problem_from({"task": task, "given": given, "lines": [line]}))
        assert "then" in answer["lines"][0]["note"]
    answer = check(problem_from({"task": "solve", "given": "2x=6", "lines": ["x=6/2=3"]}))
    assert "note" not in answer["lines"][0]


def test_a_house_assumption_is_stated_on_the_line_that_needs_it() -> None:
    house = {"radicals": "non-negative"}
    record = {"task": "simplify", "given": "sqrt(50x^2)", "house": house}
    answer = check(problem_from({**record, "lines": ["sqrt(25*2x^2)", "5x*sqrt(2)"]}))

    assert "if" not in answer["lines"][0]
    assert answer["lines"][1]["if"] == ["x >= 0"]


def test_roots_that_go_or_come_change_the_domain_and_it_is_said() -> None:
    answer = check(
        problem_from({"task": "simplify", "given": "sqrt(x)*sqrt(x)", "lines": ["x", "sqrt(x)^2"]})
    )

    assert [line["if"] for line in answer["lines"]] == [["x >= 0"], ["x >= 0"]]


def test_a_candidate_that_fails_is_rejected_with_its_numbers() -> None:
    lines = ["x+6=x^2", "x=3 or x=-2", "x=3"]
    answer = check(problem_from({"task": "solve", "given": "sqrt(x+6)=x", "lines": lines}))

    assert answer["lines"][2]["says"] == (
        "x = −2 does not check in the original equation: the left side is 2, the right side −2. "
        "It is extraneous."
    )
    assert answer["lines"][2]["law"] == "reject-candidate"
    found = {check["value"]: check for check in answer["checks"]}
    assert found["x = 3"]["holds"]
    assert (found["x = -2"]["left"], found["x = -2"]["right"]) == ("2", "-2")
    assert found["x = -2"]["says"] == "does not balance"


def test_an_excluded_candidate_is_rejected_because_it_divides_by_zero() -> None:
    record = {"task": "solve", "given": "x/(x-2)=2/(x-2)+3"}
    answer = check(problem_from({**record, "lines": ["x=2+3(x-2)", "x=2", "no solution"]}))

    (found,) = answer["checks"]
    assert (found["value"], found["says"]) == ("x = 2", "undefined: divides by zero")


def test_a_wrong_domain_says_at_which_value() -> None:
    record = {"task": "domain", "given": "(2y+6)/(y^2-9)", "lines": ["y != 3"]}
    answer = check(problem_from(record))

    says = "At y = −3 the given has no value, but this line allows it."
    assert answer["lines"][0]["says"] == says
    assert not answer["answer"]["right"]
    right = check(problem_from({**record, "lines": ["y != 3, y != -3"]}))
    assert right["answer"]["right"]


def test_a_solution_that_the_answer_lacks_is_put_into_the_original_too() -> None:
    record = {"task": "solve", "given": "x^2 = 11x", "lines": ["x = 11"]}
    found = check(problem_from(record))["checks"]

    assert [(c["value"], c["holds"], c.get("missing", False)) for c in found] == [
        ("x = 11", True, False),
        ("x = 0", True, True),
    ]


@pytest.mark.parametrize("line", ["x = 3 or x = -2", "x = -2 or x = 3"])
def test_candidates_are_checked_in_the_order_in_which_they_are_written(line: str) -> None:
    lines = ["x + 6 = x^2", line, "x = 3"]  # the one that was left out too
    record = {"task": "solve", "given": "sqrt(x + 6) = x", "lines": lines}
    found = check(problem_from(record))["checks"]
    assert [one["value"] for one in found] == line.split(" or ")
    assert [one["value_latex"].replace(" ", "") for one in found] == [
        latex(read(one["value"])) for one in found
    ]


@pytest.mark.parametrize(
    ("given", "line", "numbers", "worked"),
    [
        ("x^2-8x = 29", "x = 4±3sqrt(5)", "real", 3),
        ("n^2+10n+40 = 9", "n = -5±i sqrt(6)", "complex", 4),
        ("x^2+6x = 7", "x = 1 or x = -7", "real", 4),
    ],
)
def test_a_check_is_worked_out_with_roots_and_with_i(
    given: str, line: str, numbers: str, worked: int
) -> None:
    record = {"task": "solve", "given": given, "lines": [line], "numbers": numbers}
    for made in check(problem_from(record))["checks"]:
        assert len(made["left_lines"]) == worked
        assert made["left_lines"][-1]["text"] == made["left"] == made["right"]
        assert made["says"] == "balances"


@pytest.mark.parametrize(
    ("given", "line", "owed"),
    [
        ("(x-p-q)/p + (x-p-q)/q = 0", "x-p-q = 0", ["p != 0", "p + q != 0", "q != 0"]),
        ("(a+b)x = c(a+b)", "x = c", ["a + b != 0"]),
        ("(a+b)x = c", "x = c/(a+b)", ["a + b != 0"]),
        ("a(x-b) = 0", "x = b", ["a != 0"]),
        ("3x = 6a", "x = 2a", []),
    ],
)
def test_a_step_owes_every_factor_that_it_divides_by(
    given: str, line: str, owed: list[str]
) -> None:
    record = {"task": "solve", "given": given, "lines": [line], "variable": "x"}
    found = check(problem_from(record))["lines"][0]

    assert found.get("if", []) == owed
    assert [p["math"]["text"] for p in found.get("if_parts", []) if "math" in p] == owed
