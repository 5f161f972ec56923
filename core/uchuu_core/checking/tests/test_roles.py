"""Lines that are more than mathematics: side work, checks, what is done to both sides, words."""

import json
import random
from typing import Any

import pytest

from uchuu_core import check, problem_from
from uchuu_core.tests.support.cases import cases

Told = list[tuple[str, str]]
"""Verdict and role of each line."""

PAPERS: list[tuple[str, str, list[str], Told, dict[str, Any]]] = [
    (
        "solve", "2x+4=10",
        ["-4   -4", "2x = 6", "÷2", "x=3", "2(3)+4", "6+4", "10", "done"],
        [("ok", "operation"), ("ok", "chain"), ("ok", "operation"), ("ok", "chain"),
         ("ok", "check"), ("ok", "check"), ("ok", "check"), ("ok", "remark")],
        {},
    ),
    (
        "solve", "2x+1=7",
        ["x=4", "2(4)+1 ?= 7", "9=7 ✗", "x=3"],
        [("wrong", "chain"), ("ok", "check"), ("ok", "check"), ("ok", "chain")],
        {},
    ),
    ("solve", "2x+1=7", ["x=3", "2(3)+1=8"], [("ok", "chain"), ("wrong", "check")], {}),
    ("solve", "2x+1=7", ["x=3", "2(3)+1=7=7"], [("ok", "chain"), ("ok", "check")], {}),
    (
        "solve", "sqrt(x+6)=x",
        ["x+6=x^2", "x=3 or x=-2", "-2 is extraneous"],
        [("may-add", "chain"), ("ok", "chain"), ("ok", "remark")],
        {},
    ),
    (
        "solve", "sqrt(x+6)=x",
        ["x+6=x^2", "x=3 or x=-2", "x = 3 is extraneous"],
        [("may-add", "chain"), ("ok", "chain"), ("loses", "remark")],
        {"right": False},
    ),
    (
        "solve", "x/(x-2) = 2/(x-2)",
        ["x = 2", "n/a", "no solution"],
        [("may-add", "chain"), ("ok", "remark"), ("ok", "chain")],
        {},
    ),
    (
        "solve", "x^2-5x+6=0",
        ["(x-2)(x-3)=0", "x-2=0", "x=2", "x-3=0", "x=3"],
        [("ok", "chain")] * 5,
        {},
    ),
    ("solve", "x^2-5x+6=0", ["(x-2)(x-3)=0", "x=2   x=3"], [("ok", "chain")] * 2, {}),
    ("solve", "x^2-5x+6=0", ["x=2", "x=4"], [("loses", "chain"), ("wrong", "chain")], {"right": False}),
    ("solve", "x^2-x-6=0", ["x = (1+5)/2 = 3, x = (1-5)/2 = -2"], [("ok", "chain")], {}),
    ("solve", "x^2-x-6=0", ["x = (1+5)/2 = 3", "x = (1-5)/2 = -2"], [("ok", "chain")] * 2, {}),
    ("solve", "x^2-x-6=0", ["x = (1+5)/2 = 3, x = (1-5)/2 = 2"], [("wrong", "chain")], {"right": False}),
    ("simplify", "5x+3-2x", ["5x-2x = 3x", "3x+3"], [("ok", "side"), ("ok", "chain")], {}),
    ("domain", "sqrt(x+4)/(x-1)", ["x+4 ≥ 0", "x ≥ -4, x ≠ 1"], [("ok", "side"), ("ok", "chain")], {}),
    ("domain", "sqrt(x+4)/(x-1)", ["x ≥ -4"], [("wrong", "chain")], {"right": False}),
    ("solve", "3x+1=7", ["3x = 6 => x = 2"], [("ok", "chain")], {}),
    ("solve", "3x+1=7", ["3x = 8 => x = 8/3"], [("wrong", "chain")], {"right": False}),
    ("solve", "2(x+1)=2x+2", ["2 = 2", "true for all x"], [("ok", "chain")] * 2, {}),
    ("solve", "x^2=9", ["~~x=3~~", "x=±3"], [("ok", "remark"), ("ok", "chain")], {}),
    ("solve", "x^2=2", ["x = ±√2 ≈ ±1.41", "x ≈ 1.41"], [("ok", "chain"), ("ok", "remark")], {}),
    ("solve", "x^2-4x+1=0", ["b^2-4ac = 12 > 0", "D = 12", "x = 2±√3"],
     [("ok", "side"), ("ok", "side"), ("ok", "chain")], {}),
    ("solve", "x^2-4x+1=0", ["D = 16", "x = 2±√3"], [("wrong", "side"), ("ok", "chain")], {}),
    ("simplify", "√28+√7", ["√28 = √(4·7) = 2√7", "3√7"], [("ok", "side"), ("ok", "chain")], {}),
    ("simplify", "√28+√7", ["√28 = 4√7", "3√7"], [("wrong", "side"), ("ok", "chain")], {}),
    ("simplify", "(x^2-9)/(x+3)", ["x-3, x≠-3"], [("ok", "chain")], {}),
    ("simplify", "(x^2-9)/(x+3)", ["x-3", "x ≠ 5"], [("ok", "chain"), ("wrong", "side")], {}),
    ("evaluate", "4+3*5", ["3*5=15", "4+15", "19"], [("ok", "side"), ("ok", "chain"), ("ok", "chain")], {}),
    ("evaluate", "2+3*4", ["5*4=20", "20"], [("wrong", "chain"), ("ok", "chain")], {"right": False}),
    ("evaluate", "7/2", ["3.5 or 7/2"], [("ok", "chain")], {}),
    ("evaluate", "1/2+1/3", ["LCD 6", "3/6+2/6", "5/6"],
     [("ok", "remark"), ("ok", "chain"), ("ok", "chain")], {}),
    ("factor", "x^2+5x+6", ["2 and 3", "(x+2)(x+3)"], [("ok", "side"), ("ok", "chain")], {}),
    ("factor", "x^2+5x+6", ["(x+1)(x+6)", "(x+2)(x+3)"], [("wrong", "chain"), ("ok", "chain")], {}),
    ("domain", "1/(x^2-4)", ["x^2-4=(x-2)(x+2)", "x ≠ ±2"], [("ok", "side"), ("ok", "chain")], {}),
]  # fmt: skip


@pytest.mark.parametrize(
    ("task", "given", "lines", "told", "more"), PAPERS, ids=lambda part: str(part)[:40]
)
def test_what_a_line_is_and_whether_it_holds(
    task: str, given: str, lines: list[str], told: Told, more: dict[str, Any]
) -> None:
    found = check(problem_from({"task": task, "given": given, "lines": lines}))

    assert [(line["verdict"], line["role"]) for line in found["lines"]] == told
    assert [line["text"] for line in found["lines"]] == lines
    assert found["answer"]["right"] is more.get("right", True)


BESIDE = {
    "solve": (
        "~~x = 99~~",
        "LCD = 12",
        "3*4 = 12",
        "now be careful",
        "check",
        "÷3",
        "so",
        "n.b. ok",
    ),
    "other": (
        "~~99~~",
        "LCD = 12",
        "now be careful",
        "check",
        "so",
        "done",
        "cannot be simplified",
    ),
}


@pytest.mark.slow  # many papers
@pytest.mark.parametrize("share", range(4))
def test_what_stands_beside_changes_no_other_verdict(share: int) -> None:
    chance = random.Random(share)
    papers = [case for case in cases("check") if case["task"] not in ("study", "domain")]
    for case in papers[share::4]:
        record = {**case, "explains": False}
        plain = [line["verdict"] for line in check(problem_from(record))["lines"]]
        lines, kept = list(case["lines"]), []
        for place in sorted(chance.sample(range(len(lines) + 1), 1), reverse=True):
            words = BESIDE["solve" if case["task"] == "solve" else "other"]
            lines.insert(place, chance.choice(words))
        found = check(problem_from({**record, "lines": lines}))
        kept = [
            line["verdict"]
            for line in found["lines"]
            if line["text"] in case["lines"] and line.get("role") != "remark"
        ]
        assert kept == plain or len(kept) != len(plain), (case["id"], lines)
        assert kept == plain or len(set(case["lines"])) < len(case["lines"]), (case["id"], lines)


def test_the_operation_and_the_words_of_a_line_are_told() -> None:
    lines = ["2x = 6 | -4", "so x = 3 only"]
    found = check(problem_from({"task": "solve", "given": "2x+4=10", "lines": lines}))["lines"]

    assert (found[0]["operation"], found[0]["mathematics"]) == ("-4", "2x = 6")
    assert (found[1]["remark"], found[1]["verdict"]) == ("so only", "ok")
    assert json.loads(json.dumps(found)) == found


def test_a_check_in_a_miscopied_equation_is_named() -> None:
    lines = ["x=3", "2(3)+1=8"]
    found = check(problem_from({"task": "solve", "given": "2x+1=7", "lines": lines}))["lines"][1]

    assert found["error"] is not None
    assert found["error"]["id"] == "check-in-miscopied-equation"
    assert found["error"]["instead"] == "2*3 + 1 = 7"


def test_a_line_that_is_back_carries_no_error_and_is_not_blamed() -> None:
    lines = ["2x=14", "2x=6", "x=3"]
    found = check(problem_from({"task": "solve", "given": "2x+4=10", "lines": lines}))

    assert [line.get("back", False) for line in found["lines"]] == [False, True, False]
    assert found["first_wrong"] == 1
    assert "error" not in found["lines"][1]
