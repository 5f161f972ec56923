"""What is said wrongly of a function's graph is named by where the number was taken from."""

import pytest

from uchuu_core import check, problem_from

HOLE = "(x^2-x-6)/(x-3)"
SHIFTED = "3/(x+6)-1"
PLAIN = "(2x-6)/(x+1)"


@pytest.mark.parametrize(
    ("given", "line", "error"),
    [
        (HOLE, "vertical asymptote: x = 3", "ratfun-hole-as-asymptote"),
        (HOLE, "hole: (3, 0)", "ratfun-hole-height-zero"),
        (HOLE, "x-intercepts: (3, 0), (-2, 0)", "ratfun-intercept-at-hole"),
        (SHIFTED, "vertical asymptote: x = 6", "ratfun-shift-sign"),
        (SHIFTED, "horizontal asymptote: y = 1", "ratfun-shift-vertical-sign"),
        (SHIFTED, "vertical asymptote: y = -6", "ratfun-asymptote-letters-swapped"),
        (SHIFTED, "horizontal asymptote: x = -1", "ratfun-asymptote-letters-swapped"),
        (PLAIN, "x-intercept: (0, 3)", "ratfun-coordinates-swapped"),
        (PLAIN, "x-intercept: (-1, 0)", "ratfun-intercepts-swapped"),
        (PLAIN, "y-intercept: (-6, 0)", "ratfun-coordinates-swapped"),
        ("(x+4)/(x-8)", "y-intercept: (0, 4)", "ratfun-y-intercept-top-only"),
        ("(2x+4)/(2x-8)", "y-intercept: (0, 4)", "ratfun-y-intercept-top-only"),
        ("(x+4)/(x-8)", "y-intercept: (0, -4)", "ratfun-intercepts-swapped"),
        ("(x+4)/(x-8)", "y-intercept: (0, 8)", "ratfun-intercepts-swapped"),
        (PLAIN, "vertical asymptote: x = 3", "ratfun-excluded-from-top"),
        (PLAIN, "horizontal asymptote: y = -6", "ratfun-horizontal-coefficients"),
        ("(3x)/(x^2+1)", "horizontal asymptote: y = 3", "ratfun-horizontal-degree-mixup"),
        ("(x^2+3x+5)/(x+1)", "oblique asymptote: y = x", "ratfun-oblique-not-divided"),
        ("(5x+1)/(x-2)", "end left: -5", "ratfun-end-sign"),
    ],
)
def test_a_feature_is_misstated(given: str, line: str, error: str) -> None:
    found = check(problem_from({"task": "study", "given": given, "lines": [line]}))

    assert found["lines"][0]["verdict"] == "wrong"
    assert found["error"] == error


@pytest.mark.parametrize(
    ("given", "line", "error"),
    [
        ("5/(x+8)", "x != 8", "ratexpr-excluded-sign"),
        ("(x-2)/(x+5)", "x != 2", "ratfun-excluded-from-top"),
        ("(x+1)/(x^2-4x)", "x != 4", "ratexpr-excluded-factor-missed"),
        ("(x-3)/((x-3)(x+5))", "x != -5", "ratexpr-excluded-from-reduced"),
    ],
)
def test_an_excluded_value_is_misstated(given: str, line: str, error: str) -> None:
    found = check(problem_from({"task": "domain", "given": given, "lines": [line]}))

    assert found["error"] == error


@pytest.mark.parametrize(
    ("given", "line"),
    [
        (HOLE, "hole: (3, 5)"),
        (SHIFTED, "vertical asymptote: x = -6"),
        (SHIFTED, "horizontal asymptote: y = -1"),
        (PLAIN, "x-intercept: (3, 0)"),
        (PLAIN, "y-intercept: (0, -6)"),
        ("(x+4)/(x-8)", "y-intercept: (0, -1/2)"),
    ],
)
def test_the_right_feature_is_named_nothing(given: str, line: str) -> None:
    found = check(problem_from({"task": "study", "given": given, "lines": [line]}))

    assert (found["lines"][0]["verdict"], found["error"]) == ("ok", None)
