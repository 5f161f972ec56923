"""What is remembered of lines changes no answer: neither what was asked before, nor what became of an answer."""

import json
from collections.abc import Iterator
from typing import Any

import pytest

from uchuu_core import check, problem_from
from uchuu_core.checking import line, named_numbers, original
from uchuu_core.lawbook import says
from uchuu_core.notation import sides
from uchuu_core.tests.support.cases import cases

_MEMORIES = (
    line._remembered,
    named_numbers._remembered,
    original._candidate_check,
    says._recorded,
    sides._shown,
)


def _forget() -> None:
    for memory in _MEMORIES:
        memory.cache_clear()


def _sample() -> list[dict[str, Any]]:
    papers = list(cases("check"))[::9]
    return [{key: case[key] for key in ("task", "given", "lines")} for case in papers]


@pytest.fixture(autouse=True)
def _fresh() -> Iterator[None]:
    _forget()
    yield
    _forget()


def _spoil(answer: Any) -> None:
    """Change everything in *answer* that can be changed."""
    if isinstance(answer, dict):
        for value in answer.values():
            _spoil(value)
        answer["spoilt"] = True
    elif isinstance(answer, list):
        for value in answer:
            _spoil(value)
        answer.append("spoilt")


def _answers() -> list[str]:
    found = []
    for record in _sample():
        answer = check(problem_from(record))
        found.append(json.dumps(answer, ensure_ascii=False))
        _spoil(answer)
    return found


@pytest.mark.slow
def test_what_was_asked_before_and_what_became_of_it_changes_no_answer() -> None:
    alone = []
    for record in _sample():
        _forget()
        alone.append(json.dumps(check(problem_from(record)), ensure_ascii=False))
    assert len(alone) > 20

    _forget()
    assert _answers() == alone
    assert _answers() == alone, "asked again, after the first answers were spoilt"


@pytest.mark.parametrize(
    ("one", "other"),
    [
        (
            {"task": "simplify", "house": {"radicals": "any"}},
            {"house": {"radicals": "non-negative"}},
        ),
        ({"task": "simplify"}, {"task": "factor"}),
        ({"task": "simplify", "numbers": "real"}, {"numbers": "complex"}),
    ],
)
def test_the_same_line_is_judged_by_each_problem_s_own_rules(
    one: dict[str, Any], other: dict[str, Any]
) -> None:
    given = {"given": "sqrt(x^2)", "lines": ["x"]}
    first, second = {**given, **one}, {**given, **one, **other}
    asked = [first, second, first, second]
    alone = []
    for record in asked:
        _forget()
        alone.append(check(problem_from(record)))
    _forget()

    assert [check(problem_from(record)) for record in asked] == alone


def test_a_line_is_judged_once_however_often_it_stands_above_a_key() -> None:
    record: dict[str, Any] = {"task": "solve", "given": "3(x - 2) = 9", "explains": False}
    lines = ["3x - 6 = 9", "3x = 15"]
    for end in range(1, 6):
        check(problem_from({**record, "lines": [*lines, "x = 5 + 0"[:end]]}))

    judged = line._remembered.cache_info()
    assert judged.hits >= 2 * 4
