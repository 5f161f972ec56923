"""A request is read by the types of its record: what is wrong is named, where, and what it should be."""

from dataclasses import asdict
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from uchuu_core import problem_from
from uchuu_core.contract import House, Problem
from uchuu_core.failures import BadRequest, TooLarge

GOOD = {"task": "solve", "given": "2x = 6"}
JSON = st.recursive(
    st.none() | st.booleans() | st.integers(-5, 5) | st.text(max_size=4),
    lambda part: (
        st.lists(part, max_size=3) | st.dictionaries(st.text(max_size=4), part, max_size=2)
    ),
    max_leaves=5,
)
NAMES = [*Problem.__dataclass_fields__]


@pytest.mark.parametrize(
    ("record", "message"),
    [
        ("2x = 6", "A request should be one JSON object."),
        ({"given": "2x = 6"}, "“task” should be one of evaluate, simplify"),
        ({**GOOD, "task": "guess"}, "it is 'guess'"),
        ({"task": "solve"}, "“given” should be a text."),
        ({**GOOD, "lines": "x = 3"}, "“lines” should be a list."),
        ({**GOOD, "lines": [3]}, "“lines” should be a text."),
        ({**GOOD, "seed": True}, "“seed” should be a whole number."),
        ({**GOOD, "explains": 1}, "“explains” should be true or false."),
        ({**GOOD, "house": [1]}, "“house” should be one JSON object."),
        ({**GOOD, "house": {"decimal": "dot"}}, "“house.decimal” should be one of point, comma"),
        ({**GOOD, "own": [{"id": "own-1"}]}, "“own.name” should be a text."),
        ({**GOOD, "own": [{"id": "mine", "name": "n", "before": "a", "after": "b"}]}, "own-"),
    ],
)  # fmt: skip
def test_what_is_wrong_is_said(record: Any, message: str) -> None:
    with pytest.raises(BadRequest, match=message.replace(".", r"\.")):
        problem_from(record)


def test_what_is_left_out_or_null_has_its_default() -> None:
    every = dict.fromkeys(NAMES) | GOOD

    assert problem_from(every) == problem_from(GOOD) == Problem("solve", "2x = 6")
    assert problem_from({**GOOD, "house": {"decimal": "comma"}}).house == House(decimal="comma")
    assert problem_from({**GOOD, "more": 1}) == problem_from(GOOD)


def test_there_are_bounds() -> None:
    for name, many in (("lines", 201), ("avoid", 401)):
        with pytest.raises(TooLarge, match=f"these are {many}"):
            problem_from({**GOOD, name: ["x = 3"] * many})


@given(st.dictionaries(st.sampled_from(NAMES), JSON, max_size=4))
def test_a_request_of_anything_is_read_or_refused_and_read_again_alike(
    record: dict[str, Any],
) -> None:
    try:
        problem = problem_from(GOOD | record)
    except BadRequest as refused:
        assert "“" in refused.message
        return
    assert problem_from(asdict(problem)) == problem
