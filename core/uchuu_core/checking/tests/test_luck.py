"""A right line that only an error writes is doubted, in every topic, also with more done on the line."""

import pytest

from uchuu_core import check, problem_from

LUCKY = [
    ("simplify", "x^2*x^2", "x^(2*2)", "exponent-product-multiplied"),
    ("simplify", "(x^2)^2", "x^(2+2)", "exponent-power-of-power-added"),
    ("simplify", "(4x^4)/(2x^2)", "(4-2)x^(4-2)", "exponent-coefficients-subtracted"),
    ("simplify", "(2x^3)(2x)", "(2+2)x^(3+1)", "exponent-coefficients-added"),
    ("simplify", "(x^2-4)/(x-2)", "x^2/x+(-4)/(-2)", "ratexpr-divided-termwise"),
    ("evaluate", "2^2+5", "2*2+5", "exponent-as-multiplier"),
    ("evaluate", "sqrt(4)*3", "(4/2)*3", "radical-halved"),
    ("evaluate", "sqrt(0+9)", "sqrt(0)+sqrt(9)", "radical-split-over-sum"),
    ("evaluate", "4^(1/2)", "4/2", "exponent-rational-as-division"),
    ("solve", "2x=4", "x=4-2", "lineq-subtracts-coefficient"),
    ("solve", "2^x=4", "x=4/2", "expeq-divides-by-base"),
    ("solve", "(2x)/3+4=(x+10)/5+4", "10x+4=3(x+10)+4", "lineq-clearing-missed-term"),
    # the bracket is opened on the same line
    ("solve", "(2x)/3+4=(x+10)/5+4", "10x+4=3x+30+4", "lineq-clearing-missed-term"),
]


@pytest.mark.parametrize(("task", "given", "line", "error"), LUCKY)
def test_a_line_that_only_an_error_writes_is_doubted(
    task: str, given: str, line: str, error: str
) -> None:
    found = check(problem_from({"task": task, "given": given, "lines": [line, line]}))["lines"][0]

    assert (found["verdict"], found.get("doubt")) == ("ok", error)
    assert "law" not in found


@pytest.mark.parametrize(
    ("task", "given", "line"),
    [
        ("simplify", "x^2*x^2", "x^4"),  # nothing is written that a law would not write
        ("evaluate", "sqrt(4)*3", "2*3"),
        ("solve", "2x=4", "x=2"),
        ("factor", "x^2+4x+4", "(x+2)(x+2)"),
        ("factor", "x^2+0x-36", "(x+6)(x-6)"),
        ("solve", "(x+5)(x-5)=0", "x=5 or x=-5"),
        ("expand", "(x+3)(x-3)", "x^2-9"),
        ("simplify", "(1/5)^(-4)", "1/5^(-4)"),
        ("simplify", "sqrt(3^2)+x", "3+x"),
        ("solve", "|x-3|=0", "x-3=0"),
        ("solve", "|x+1|=2x", "x+1=2x"),
    ],
)
def test_what_a_law_writes_too_is_not_doubted(task: str, given: str, line: str) -> None:
    found = check(problem_from({"task": task, "given": given, "lines": [line, line]}))["lines"][0]

    assert "doubt" not in found, found
