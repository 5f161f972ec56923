"""A teacher's own errors: laws are refused, errors are refuted with numbers and then found."""

import pytest

from uchuu_core import check, examine, forks, own_error_from, problem_from
from uchuu_core.answers.made import Examined
from uchuu_core.failures import BadRequest, Failure, TooLarge

HALVES = {
    "id": "own-1",
    "name": "Halves both",
    "before": "(a + b)/2",
    "after": "a/2 + b",
    "says": "Both are halved.",
}


def _examined(before: str, after: str, *when: str, examples: tuple[str, ...] = ()) -> Examined:
    record = {"id": "own-1", "name": "n", "before": before, "after": after, "when": list(when)}
    return examine(own_error_from(record), examples)


@pytest.mark.parametrize(
    ("before", "after", "when", "kind"),
    [
        ("(a+b)^2", "a^2 + 2a*b + b^2", (), "law"),
        ("(a+b)^2", "a^2 + b^2", (), "error"),
        ("sqrt(a*b)", "sqrt(a)*sqrt(b)", ("a is positive", "b is positive"), "law"),
        ("sqrt(a^2)", "a", (), "error"),
        ("sqrt(a^2)", "a", ("a is positive",), "law"),
        ("(-1)^n", "1", ("n is even",), "law"),
        ("(-1)^n", "1", ("n is odd",), "error"),
        ("a/a", "1", ("a is not 0",), "law"),
        ("a*x = b", "x = b/a", ("a is a number", "b is a number", "a is not 0"), "law"),
        ("a*x = b", "x = b - a", ("a is a number", "b is a number"), "error"),
        ("x^2 = a*x", "x = a", ("a is a number",), "error"),
        ("a^b", "a^b*1", ("b > 4",), "law"),
        ("a^b", "a^b*1", ("b > 99",), "undecided"),
    ],
)
def test_what_holds_is_refused_and_what_does_not_is_refuted(
    before: str, after: str, when: tuple[str, ...], kind: str
) -> None:
    found = _examined(before, after, *when)

    assert found["is"] == kind, found
    assert (found["counter"] is not None) is (kind == "error")


@pytest.mark.parametrize(
    ("before", "after", "when", "message"),
    [
        ("a + b", "a + c", (), "only on the right"),
        ("a", "a + a", (), "fit everything"),
        ("a + b", "a = b", (), "on both sides"),
        ("a + b", "a + b", (), "the same"),
        ("a + b", "a*b", ("b is blue",), "no condition that is known"),
        ("a + b", "a*b", ("z is even",), "not in the pattern"),
        ("a +", "a", (), "."),
        ("9" * 3000, "1", (), "."),
        ("", "1", (), "."),
        ("+".join("abcdefghkmnp"), "a", (), "at most 5 letters"),
    ],
)
def test_what_is_no_pattern_is_refused_with_the_reason(
    before: str, after: str, when: tuple[str, ...], message: str
) -> None:
    with pytest.raises(Failure, match=message):
        _examined(before, after, *when)


def test_the_numbers_that_refute_it_have_values() -> None:
    assert "sqrt(2^2 - 3^2)" not in str(_examined("sqrt(a^2 - b^2)", "a - b")["counter"])
    assert str(_examined("1/(a-b)", "1/a - 1/b")["counter"]).startswith("Try a = 2, b = 3")


def test_it_is_tried_on_examples_at_once() -> None:
    shown = _examined("(a+b)/2", "a/2 + b", examples=("(x+6)/2", "x +", "7x"))["examples"]

    assert {"x/2 + 6", "6/2 + x"} == {item["text"] for item in shown[0]["becomes"]}
    assert all(item["verdict"] == "wrong" for item in shown[0]["becomes"])
    assert shown[1]["failure"]["message"]
    assert shown[2]["becomes"] == []


def test_it_is_found_in_papers_and_forks_of_its_teacher_only() -> None:
    record = {"task": "simplify", "given": "(x+6)/2 + x", "lines": ["x/2 + 6 + x"]}
    mine = check(problem_from({**record, "own": [HALVES]}))["lines"][0]["error"]
    theirs = check(problem_from(record))["lines"][0]["error"]
    invited = forks(problem_from({"task": "simplify", "given": "(x+6)/2 + x", "own": [HALVES]}))

    assert mine is not None
    assert (mine["id"], mine["name"], mine["says"]) == ("own-1", "Halves both", "Both are halved.")
    assert theirs is None or theirs["id"] != "own-1"
    assert "own-1" in [fork["error"] for fork in invited["forks"]]


def test_an_own_pattern_that_fits_everywhere_takes_the_time_of_no_other() -> None:
    greedy = {**HALVES, "before": "a + b + c + d + k", "after": "a*b*c*d*k"}
    line = " + ".join(f"{n}x^{n}" for n in range(2, 12))
    record = {"task": "simplify", "given": f"3(x + 4) + {line}", "lines": [f"3x + 4 + {line}"]}

    error = check(problem_from({**record, "own": [greedy]}))["lines"][0]["error"]

    assert error is not None
    assert error["id"] == "distribute-first-term-only"


def test_records_are_checked() -> None:
    for broken in ("x", [1], {"id": "mine"}, {"id": "own-1", "name": 3}):
        with pytest.raises(BadRequest):
            own_error_from(broken)
    with pytest.raises(TooLarge):
        problem_from({"task": "simplify", "given": "x", "own": [HALVES] * 41})
