"""Where two errors explain a line equally: what was made before goes first, and numbers tell them apart."""

from typing import Any

import pytest

from uchuu_core import check, problem_from
from uchuu_core.checking.diagnosis import errors_that_reproduce
from uchuu_core.checking.target import Found
from uchuu_core.checking.telling_apart import told_apart
from uchuu_core.notation import read


def _error(task: str, given: str, *lines: str, **more: Any) -> Any:
    found = check(problem_from({"task": task, "given": given, "lines": list(lines), **more}))
    return found["lines"][-1]["error"]


def test_other_numbers_tell_two_names_apart() -> None:
    error = _error("evaluate", "(2+2)^2", "8")

    assert [error["id"], *error["also"]][:2] == ["expand-square-termwise", "exponent-as-multiplier"]
    assert error["apart"].startswith("Give (3 + 3)².")
    assert "3² + 3²" in error["apart"]
    assert "(3 + 3) · 2" in error["apart"]


@pytest.mark.parametrize(
    ("task", "given", "line"),
    [
        ("solve", "x+4=10", "x=14"),  # one name only
        ("simplify", "-5^2+1", "25+1"),  # the other is a slip of the pen
        ("simplify", "2x^2*3x^3", "5x^5"),  # one mistake under two names
    ],
)
def test_nothing_is_told_apart_where_nothing_is_to_be_told(
    task: str, given: str, line: str
) -> None:
    assert "apart" not in _error(task, given, line)


def test_what_is_told_apart_is_what_the_errors_write() -> None:
    """From the other numbers each of the two writes its own line, and not the other's."""
    before = read("(2+2)^2")
    found = errors_that_reproduce(before, read("8"))

    says = told_apart(before, found, ())
    assert says is not None
    given, _, first, _, second = (part for _, part in says.said[0].parts)
    names = [_first(given, line) for line in (first, second)]
    assert names == [item.error for item in found[:2]]


def _first(before: Any, line: Any) -> str:
    named: list[Found] = errors_that_reproduce(before, line)
    return named[0].error


def test_an_error_that_was_made_before_is_named_first_where_it_is_as_near() -> None:
    first = _error("evaluate", "(2+2)^2", "8")["id"]
    known = _error("evaluate", "(2+2)^2", "8", seen=["exponent-as-multiplier"])
    other = _error("evaluate", "(2+2)^2", "8", seen=["order-add-before-multiply"])

    assert (first, known["id"]) == ("expand-square-termwise", "exponent-as-multiplier")
    assert first in known["also"]
    assert other["id"] == first


def test_what_the_same_paper_did_above_counts() -> None:
    lines = ["6 + (2+2)^2", "6 + 8"]
    above = _error("evaluate", "3*2 + (2+2)^2", *lines)["id"]
    after_another = _error("evaluate", "3^2 + (2+2)^2", "6 + (2+2)^2", "6 + 8")["id"]

    assert above == "expand-square-termwise"
    assert after_another == "exponent-as-multiplier"


def test_a_name_does_not_depend_on_how_much_is_explained_in_one_call() -> None:
    lines = ["6 + (2+2)^2", "6 + 8"]
    whole = _error("evaluate", "3^2 + (2+2)^2", *lines)
    later = _error("evaluate", "3^2 + (2+2)^2", *lines, explained=1)

    assert later == whole


def test_numbers_are_not_factored_wrongly() -> None:
    assert _error("evaluate", "3-2-2", "3")["id"] != "gcf-negative-sign-inside"
