"""Inspection and difficulty."""

from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from uchuu_core import inspect, problem_from, work


def _inspected(task: str, text: str) -> dict[str, Any]:
    found: dict[str, Any] = inspect(problem_from({"task": task, "given": text}))
    return found


@pytest.mark.parametrize(
    ("task", "text", "kind"),
    [
        ("solve", "5x - 3 = 2x + 12", "linear equation"),
        ("solve", "x^2 = 4", "quadratic equation"),
        ("solve", "x^3 = 4", "polynomial equation"),
        ("solve", "1/x = 4", "rational equation"),
        ("solve", "sqrt(x) = 4", "equation"),
        ("evaluate", "3 + 4*5", "expression of numbers"),
        ("simplify", "3x + 4x", "polynomial"),
        ("simplify", "3/x + 4x", "rational expression"),
        ("simplify", "sqrt(x)", "expression"),
    ],
)
def test_the_kind_is_named_in_the_fields_words(task: str, text: str, kind: str) -> None:
    assert _inspected(task, text)["kind"] == kind


@pytest.mark.parametrize(
    ("text", "code"),
    [
        ("5x = 2x + 9", "unknown-on-both-sides"),
        ("x/2 + x/3 = 5", "common-denominator"),
        ("5(x-1) - 3(x-1) = 12", "repeated-bracket"),
        ("8 - (2 - x) = 3x", "minus-before-bracket"),
        ("0.5x = 3", "decimals"),
        ("2x + 4 = 2(x + 2)", "identity"),
        ("2x + 4 = 2x", "contradiction"),
    ],
)
def test_what_a_practitioner_looks_for_is_noticed(text: str, code: str) -> None:
    assert code in [notice["code"] for notice in _inspected("solve", text)["notices"]]


@pytest.mark.parametrize(
    ("text", "words"),
    [
        ("1/2x", "unwritten multiplication"),
        ("6÷2(1+2)", "unwritten multiplication"),
        ("1/2÷1/4", "fraction bar"),
        ("-3^2", "minus stands before a power"),
    ],
)
def test_ambiguous_notation_is_named(text: str, words: str) -> None:
    found = _inspected("simplify", text)["ambiguities"]

    assert any(words in item["says"] for item in found)


def test_plain_notation_has_no_ambiguity() -> None:
    assert _inspected("solve", "2(x + 1) = 3/4")["ambiguities"] == []


def test_methods_say_why_and_how_long() -> None:
    methods = _inspected("solve", "x/2 + 3 = 7")["methods"]

    assert [item["method"] for item in methods] == [
        "simplify-both-sides-then-undo",
        "clear-fractions",
        "divide-every-term-first",
        "undo-in-reverse-order",
    ]
    assert all(item["why"] and item["lines"] >= 1 for item in methods)


def _score(text: str) -> float:
    record = {"task": "evaluate", "given": text}
    return float(work(problem_from(record))["difficulty"]["score"])


@given(st.lists(st.integers(2, 9), min_size=2, max_size=5), st.integers(2, 9))
def test_one_more_operation_is_never_easier(numbers: list[int], more: int) -> None:
    text = " + ".join(map(str, numbers))

    assert _score(f"{text} + {more}") >= _score(text)
    assert _score(f"{text} - {more}") >= _score(f"{text} + {more}")


def test_difficulty_gives_its_reasons() -> None:
    found = work(problem_from({"task": "evaluate", "given": "1/2 - 3*(120 - 7)"}))["difficulty"]

    assert any("lines" in reason for reason in found["reasons"])
    assert any("fraction" in reason for reason in found["reasons"])
    assert any("100" in reason for reason in found["reasons"])
