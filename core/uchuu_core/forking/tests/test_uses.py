"""Choices, planted mistakes, what an exercise reveals: each held against the judge of papers."""

from random import Random
from typing import Any

import pytest

from uchuu_core import (
    Problem,
    check,
    choices,
    find_the_mistake,
    fork_path,
    problem_from,
    screen,
    work,
)
from uchuu_core.failures import Failure, OutOfScope
from uchuu_core.forking.tests.test_forks import KINDS, TASKS, record_of
from uchuu_core.notation import read


@pytest.mark.parametrize("make", KINDS, ids=lambda make: make.__name__)
def test_choices_differ_in_value_and_exactly_one_is_right(make: Any) -> None:
    record = {**record_of(make(Random(5))), "seed": 2}
    try:
        found = choices(problem_from(record))["choices"]
    except Failure:
        return  # cannot be worked, or no error ends elsewhere
    texts = [choice["text"] for choice in found]
    assert len(set(texts)) == len(texts)
    for choice in found:
        said = check(problem_from({**record, "lines": [choice["text"]]}))["answer"]["right"]
        assert said is choice["right"], choice
        assert choice["right"] or choice["because"]
    assert [choice["right"] for choice in found].count(True) == 1


@pytest.mark.slow  # many problems
def test_the_seed_places_the_right_choice_and_the_same_seed_the_same() -> None:
    def order(seed: int) -> list[str]:
        record = {"task": "solve", "given": "3(2x-4) = 2x+8", "seed": seed}
        return [choice["text"] for choice in choices(problem_from(record))["choices"]]

    assert order(1) == order(1)
    assert {order(seed).index("x = 5") for seed in range(20)} == {0, 1, 2, 3}


@pytest.mark.parametrize("made", TASKS, ids=lambda made: made.given)
def test_a_planted_mistake_is_the_only_one(made: Any) -> None:
    for seed in range(3):
        record = {**record_of(made), "seed": seed}
        found = find_the_mistake(problem_from(record))

        said = check(problem_from({**record, "lines": [line["text"] for line in found["lines"]]}))
        wrong = [
            n for n, line in enumerate(said["lines"], 1) if line["verdict"] in ("wrong", "loses")
        ]
        assert wrong == [found["mistake_at"]]
        assert said["error"] == found["error"]


def test_the_named_error_is_planted_or_it_says_that_it_cannot_be() -> None:
    record = {"task": "solve", "given": "3(2x-4) = 2x+8"}
    found = find_the_mistake(problem_from(record), "distribute-first-term-only")

    assert found["mistake_at"] == 1
    assert found["instead"] == "6x - 12 = 2x + 8"
    with pytest.raises(OutOfScope, match="cannot be planted"):
        find_the_mistake(problem_from(record), "radical-sum-merged")


def test_an_exercise_tells_what_it_reveals_and_what_it_hides() -> None:
    found = screen(problem_from({"task": "simplify", "given": "2^2*2^3"}))

    assert "exponent-product-multiplied" in [item["error"] for item in found["reveals"]]
    assert "exponent-as-multiplier" in [item["error"] for item in found["hides"]]
    both = {item["error"] for item in found["reveals"]} & {item["error"] for item in found["hides"]}
    assert not both


def test_the_path_of_a_fork_is_worked_by_the_same_method() -> None:
    problem = problem_from({"task": "solve", "given": "3(2x-4) = 2x+8"})
    path = fork_path(problem, read("6x - 4 = 2x + 8"))

    assert path is not None
    assert path[-1]["text"] == "x = 3"
    assert all(line["says"] for line in path)
    assert fork_path(problem, read("x = 3")) == []


def test_one_slip_carried_on_rightly_is_told_from_a_lost_one() -> None:
    def said(*lines: str) -> Any:
        record = {"task": "solve", "given": "3(2x-4) = 2x+8", "lines": list(lines)}
        return check(problem_from(record))["follow_through"]

    assert said("6x - 4 = 2x + 8", "4x = 12", "x = 3") == {
        "carried": True,
        "honest_end": ["x = 3"],
        "slips": 1,
    }
    assert said("6x - 4 = 2x + 8", "4x = 12", "x = 8")["carried"] is False
    assert said("6x - 4 = 2x + 8", "4x = 12")["carried"] is False  # not finished
    assert said("6x - 12 = 2x + 8", "x = 5") is None


def test_the_worked_example_itself_has_no_fork_in_it() -> None:
    record = {"task": "solve", "given": "3(2x-4) = 2x+8"}
    lines = [line["text"] for line in work(problem_from(record))["lines"]]

    assert check(problem_from({**record, "lines": lines}))["first_wrong"] is None


@pytest.mark.slow  # many problems
def test_there_are_four_options_wherever_two_errors_make_them() -> None:
    counts = [
        len(choices(problem_from({"task": task, "given": given}))["choices"])
        for task, given in FOUR_WAYS
    ]

    assert counts == [4] * len(FOUR_WAYS)


def test_what_keeps_an_extraneous_candidate_is_offered() -> None:
    for given in ("sqrt(x+6)=x", "x/(x-3)=3/(x-3)+2"):
        found = choices(problem_from({"task": "solve", "given": given}))["choices"]
        assert any("extraneous" in choice.get("error", "") for choice in found), given


@pytest.mark.slow  # many problems
def test_the_right_answer_stands_at_another_place_in_each_problem() -> None:
    places = {
        [choice["right"] for choice in choices(_linear(number))["choices"]].index(True)
        for number in range(4, 12)
    }

    assert len(places) > 2


def _linear(number: int) -> Problem:
    return problem_from({"task": "solve", "given": f"{number}(x-2)=3x+{number}"})


FOUR_WAYS = [
    ("solve", "3(2x-4)=2x+8"),
    ("solve", "x^2+2x=15"),
    ("solve", "(x-3)^2=25"),
    ("expand", "(2x-5)^2"),
    ("simplify", "5x-3(x-4)+2"),
    ("evaluate", "20-8+3*2^2"),
    ("evaluate", "3/4+1/6"),
    ("factor", "x^2+11x+30"),
]
