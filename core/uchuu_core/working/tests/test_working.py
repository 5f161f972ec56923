"""Paths side by side, the check of every candidate."""

from typing import Any

import pytest

from uchuu_core import Failure, compare, problem_from, work


def _problem(given: str, **more: Any) -> Any:
    return problem_from({"task": "solve", "given": given, **more})


def test_two_paths_part_meet_and_are_weighed() -> None:
    found = compare(_problem("(x-1)/2+x/3=4"), "clear-fractions", "simplify-both-sides-then-undo")

    assert found["same_until"] == 0
    assert found["meet"] == [5, 4]
    assert found["shorter"] == "simplify-both-sides-then-undo"
    assert found["smaller"] is None  # both have 27
    assert found["fewer_fractions"] == "clear-fractions"
    texts = [[line["text"] for line in path["lines"]] for path in found["paths"]]
    assert texts[0][4] == texts[1][3] == "x = 27/5"


def test_a_path_that_does_not_apply_says_why() -> None:
    with pytest.raises(Failure, match="no term has a denominator"):
        compare(_problem("2x=6"), "clear-fractions", "simplify-both-sides-then-undo")


@pytest.mark.parametrize(
    ("given", "numbers", "side"),
    [("n^2+10n+40=9", "complex", "9"), ("x^2-8x-29=0", "real", "0"), ("2x^2+3=1", "complex", "1")],
)
def test_candidates_with_roots_and_i_are_checked_exactly(
    given: str, numbers: str, side: str
) -> None:
    checks = work(_problem(given, numbers=numbers))["checks"]

    assert len(checks) == 2
    assert {(c["left"], c["right"], c["says"]) for c in checks} == {(side, side, "balances")}


def test_a_factoring_is_multiplied_back() -> None:
    found = work(problem_from({"task": "factor", "given": "6n^2+7n-5"}))

    assert found["multiplied_back"][-1] == "6n^2 + 7n - 5"


@pytest.mark.parametrize(
    ("given", "answers", "rejected", "why"),
    [
        ("sqrt(4m+21)=m", ["7"], ["-3"], "does not balance"),
        ("3/(n-6)+4/n=18/(n^2-6n)", [], ["6"], "undefined: divides by zero"),
        ("sqrt(n+2)+2=sqrt(8-n)", ["-1"], ["7"], "does not balance"),
    ],
)
def test_candidates_that_fail_are_rejected_with_the_reason(
    given: str, answers: list[str], rejected: list[str], why: str
) -> None:
    found = work(_problem(given))

    assert found["answers"] == answers
    assert [record["value"] for record in found["rejected"]] == rejected
    assert {record["why"] for record in found["rejected"]} == {why}
    for record in found["checks"]:
        assert record["holds"] is (record["value"].split(" = ")[1] in answers)


def test_a_method_that_is_taught_comes_first_where_it_applies() -> None:
    def method(given: str, *taught: str) -> str:
        house = {"methods": list(taught)}
        found: str = work(problem_from({"task": "solve", "given": given, "house": house}))["method"]
        return found

    assert method("x^2 - 5x + 6 = 0") == "factor-and-zero-product"
    assert method("x^2 - 5x + 6 = 0", "quadratic-formula") == "quadratic-formula"
    assert method("2x + 1 = 7", "quadratic-formula") == method("2x + 1 = 7")
    assert method("x/2 + 1 = x/3", "clear-fractions") == "clear-fractions"
