"""A right last line that is not in the asked form is told what is left: one name for each unmet form."""

import pytest

from uchuu_core import check, problem_from


@pytest.mark.parametrize(
    ("task", "given", "line", "form", "stop"),
    [
        ("solve", "2x^2=7", "x=+-sqrt(7/2)", ["rationalised"], "stop-root-in-denominator"),
        ("solve", "5x^2=3", "x=+-sqrt(3)/sqrt(5)", ["rationalised"], "stop-root-in-denominator"),
        (
            "simplify",
            "2x+1/sqrt(2)+3x",
            "2x+3x+1/sqrt(2)",
            ["rationalised"],
            "stop-root-in-denominator",
        ),
        ("simplify", "(2x+2)/(4x+4y)", "(2x+2)/(4(x+y))", ["factored"], "stop-not-fully-factored"),
        ("solve", "5x^2=3", "x=+-sqrt(3)/sqrt(5)", [], "stop-root-in-denominator"),
        ("solve", "x^2-98=0", "x=+-sqrt(98)", [], "stop-root-not-simplified"),
        ("solve", "x^2-5x-6=0", "x=12/2 or x=-2/2", [], "stop-like-terms-left"),
        ("solve", "x^2-5x-6=0", "x=(5+-7)/2", [], "stop-like-terms-left"),
        ("solve", "5x-9=2x", "3x=9", [], "stop-unknown-not-alone"),
        ("evaluate", "2+2^3", "2+2^3", [], "stop-powers-left"),
        ("evaluate", "5/8+1/8", "6/8", [], "stop-not-lowest-terms"),
        ("evaluate", "3/2+2", "7/2", ["mixed number"], "stop-not-a-mixed-number"),
        ("simplify", "x^2*x^3", "x^2*x^3", [], "stop-powers-left"),
        ("simplify", "sqrt(12)+sqrt(27)", "2sqrt(3)+3sqrt(3)", [], "stop-root-not-simplified"),
        ("simplify", "x^4/x^9", "x^(-5)", ["positive exponents"], "stop-negative-exponent"),
        ("simplify", "1/x+1/y", "1/x+1/y", ["single fraction"], "stop-several-fractions"),
        ("expand", "2(x+3)", "2(x+3)", [], "stop-not-expanded"),
        ("expand", "(y+4)^2-y", "y^2+4y+4y+16-y", [], "stop-like-terms-left"),
        ("factor", "2x^2+8x+6", "(2x+2)(x+3)", [], "stop-not-fully-factored"),
    ],
)
def test_a_stop_is_called_by_what_is_left(
    task: str, given: str, line: str, form: list[str], stop: str
) -> None:
    found = check(problem_from({"task": task, "given": given, "lines": [line], "form": form}))

    assert (found["lines"][0]["verdict"], found["error"]) == ("unfinished", stop)
