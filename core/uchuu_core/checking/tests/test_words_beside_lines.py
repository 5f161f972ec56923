"""Words beside a line say what was done: they change no verdict, and nothing of what is read."""

from random import Random
from typing import Any

import pytest
from gallery.__main__ import problems

from uchuu_core import check, problem_from, work

AFTER = (
    "subtract 3 from both sides",
    "dividing by 2",
    "(times 12)",
    "(multiply both sides by 7)",
    "by factoring",
    "we add 5",
    "using the quadratic formula",
    "cross multiply",
    "factor out 2",
    "(cancel out the 3)",
    "no fractions left",
    "multiplying out the bracket",
    "✓",
)
BETWEEN = (
    "LCD: x - 2",
    "LCD 6x",
    "GCF: 3",
    "now simplify",
    "LCM = 12",
    "factor out 2x",
    "no restrictions",
)
EQUATIONS = [record for record in problems() if record["task"] == "solve"]


def _verdicts(record: dict[str, Any], lines: list[str]) -> list[str]:
    found = check(problem_from({**record, "lines": lines}))
    return [line["verdict"] for line in found["lines"]]


@pytest.mark.parametrize("record", EQUATIONS, ids=lambda record: str(record["given"]))
def test_what_was_done_may_stand_beside_any_line(record: dict[str, Any]) -> None:
    random = Random(record["given"])
    lines = [line["text"] for line in work(problem_from(record))["lines"]]
    plain = _verdicts(record, lines)

    equations = ["=" in line and "or" not in line for line in lines]
    beside = [
        f"{line}  {random.choice(AFTER)}" if equation else line
        for line, equation in zip(lines, equations, strict=True)
    ]
    assert _verdicts(record, beside) == plain, beside

    for number in ("Step {}: ", "{}) ", "step {}. "):
        numbered = [number.format(n) + line for n, line in enumerate(lines, start=1)]
        assert _verdicts(record, numbered) == plain, numbered

    place = random.randrange(len(lines))
    among = [*lines[:place], random.choice(BETWEEN), *lines[place:]]
    assert _verdicts(record, among) == [*plain[:place], "ok", *plain[place:]], among


@pytest.mark.parametrize(
    ("given", "line", "mathematics", "remark"),
    [
        ("2x + 3 = 11", "2x = 8 subtract 3", "2x = 8", "subtract 3"),
        ("2x + 3 = 11", "2x = 8 (subtract 3)", "2x = 8", "subtract 3"),
        ("2x + 3 = 11", "2x = 8 subtracting 3 so x = 4", "2x = 8, x = 4", "subtracting 3 so"),
        ("2x + 3 = 11", "x = 4 dividing by 2", "x = 4", "dividing by 2"),
        ("x/3 + x/4 = 7", "4x + 3x = 84 (times 12)", "4x + 3x = 84", "times 12"),
    ],
)
def test_an_amount_belongs_to_the_words_before_it(
    given: str, line: str, mathematics: str, remark: str
) -> None:
    found = check(problem_from({"task": "solve", "given": given, "lines": [line]}))["lines"][0]

    assert found["verdict"] in ("ok", "unfinished")
    assert (found["mathematics"], found["remark"]) == (mathematics, remark)


@pytest.mark.parametrize("both", ["x_{1,2}", "x_1/2", "x_1,2", "x1,2", "x_{1;2}", "x₁/₂"])
@pytest.mark.parametrize("decimal", ["point", "comma"])
def test_one_letter_for_both_solutions(both: str, decimal: str) -> None:
    lines = [f"{both} = 1 ± sqrt(1 + 3)", "x_1 = 3; x_2 = -1"]
    record = {"task": "solve", "given": "x^2 - 2x - 3 = 0", "house": {"decimal": decimal}}

    assert _verdicts(record, lines) == ["ok", "ok"]
    assert _verdicts(record, [f"{both} = 1 ± sqrt(2)"]) == ["wrong"]


@pytest.mark.parametrize(
    ("task", "given", "lines"),
    [
        ("solve", "2x + 3 = 11", ["1. 2x = 8", "2. x = 4"]),
        ("solve", "2x + 3 = 11", ["a) 2x = 8", "b) x = 4"]),
        ("solve", "2x + 3 = 11", ["2x = 8 -> x = 4"]),
        ("solve", "2x + 3 = 11", ["2x = 8", "The final answer: 4"]),
        ("solve", "2x + 3 = 11", ["2x = 8", "So the answer is 4."]),
        ("solve", "x^2 = 9", ["x = 3 & x = -3"]),
        ("solve", "x^2 = 9", ["x = 3 also -3"]),
        ("solve", "x^2 = 9", ["x = plus or minus 3"]),
        ("solve", "x + 2 = 8", ["x = 6, minus 2"]),
        ("solve", "x + 2 = 8", ["x = 6 minus 2 on both sides"]),
        ("solve", "3/x = 2/(x - 1)", ["3(x - 1) = 2x cross-multiply", "3x - 3 = 2x", "x = 3"]),
        ("solve", "2x + 1 = 7", ["isolate x", "2x = 6 now get x alone", "x = 3"]),
        ("solve", "2x + 1 = 7", ["subtract 1: 2x = 6", "divide by 2: x = 3"]),
        ("solve", "2x + 1 = 7", ["Subtract 1 from both sides to get 2x = 6", "then x = 3"]),
        ("solve", "2x = -6", ["x is negative", "x = -3"]),
        ("solve", "|x| = -2", ["no solution because |x| is never negative"]),
        ("solve", "2x = 2x + 1", ["0 = 1", "false, so no solution"]),
        ("solve", "3/x = 2/(x - 1)", ["x can't be 0 or 1", "3(x - 1) = 2x", "x = 3"]),
        ("simplify", "2x + 3x + 1", ["like terms: 2x and 3x", "5x + 1"]),
        ("factor", "x^2 - 9", ["difference of two squares", "a = x, b = 3", "(x - 3)(x + 3)"]),
        ("simplify", "3x + 2x", ["5x  combine like terms"]),
        ("simplify", "3x + 2x", ["5x (add 3 and 2)"]),
        ("evaluate", "2(3 + 4)^2", ["2(7)^2 brackets first", "2(49)", "98"]),
    ],
)
def test_lines_as_they_are_usually_numbered_and_told(
    task: str, given: str, lines: list[str]
) -> None:
    found = check(problem_from({"task": task, "given": given, "lines": lines}))

    assert {line["verdict"] for line in found["lines"]} <= {"ok", "may-add"}
    assert found["answer"]["right"]


@pytest.mark.parametrize(
    "line",
    [
        "Step 1: 2x = 9",
        "subtract 3: 2x = 9",
        "2x = 9 because 11 - 3 = 9",
        "Answer: 5",
        "2x = 9 subtract 3",
        "2x = 14 (add 3)",
        "x = 5 dividing by 2",
    ],
)
def test_words_beside_a_wrong_line_do_not_save_it(line: str) -> None:
    assert _verdicts({"task": "solve", "given": "2x + 3 = 11"}, [line]) == ["wrong"]


@pytest.mark.parametrize(
    ("given", "line"),
    [
        ("x - 2 = 8", "x = 8 plus 2"),
        ("2x = 8", "x = 8 divided by 2"),
        ("sqrt(x) = 4", "x = 4 squared"),
    ],
)
def test_a_word_that_may_be_a_sign_is_asked_about_not_judged(given: str, line: str) -> None:
    assert _verdicts({"task": "solve", "given": given}, [line, "x = 10"])[0] == "unreadable"


@pytest.mark.parametrize("word", ["extraneous", "excluded", "rejected", "invalid"])
@pytest.mark.parametrize(
    "denied", ["not {}", "neither is {}", "none {}", "no solution is {}", "isn't {}"]
)
def test_a_solution_that_words_keep_is_kept(word: str, denied: str) -> None:
    lines = ["x = 3 or x = -3", denied.format(word)]
    found = check(problem_from({"task": "solve", "given": "x^2 = 9", "lines": lines}))

    assert [line["verdict"] for line in found["lines"]] == ["ok", "ok"]
    assert found["answer"]["right"]


@pytest.mark.parametrize(
    "words",
    ["is extraneous", "no", "✗", "does not work", "left out", "crossed out", "not valid: excluded"],
)
def test_a_candidate_that_words_reject_is_left_out(words: str) -> None:
    lines = ["x + 6 = x^2", "x = 3 or x = -2", f"x = -2 {words}"]
    record = {"task": "solve", "given": "sqrt(x + 6) = x", "lines": lines}
    found = check(problem_from(record))

    assert found["answer"]["right"]
    assert {line["verdict"] for line in found["lines"]} <= {"ok", "may-add"}
    wrong = check(problem_from({**record, "lines": [*lines[:2], f"x = 3 {words}"]}))
    assert not wrong["answer"]["right"]


@pytest.mark.parametrize(
    ("task", "given", "line"),
    [("factor", "x^2 - 9", "y = (x - 3)(x + 4)"), ("evaluate", "2 + 3", "y = 6")],
)
def test_a_name_does_not_hide_a_wrong_result(task: str, given: str, line: str) -> None:
    assert _verdicts({"task": task, "given": given}, [line]) != ["ok"]
