"""Errors are named on lines that no case holds: one planted error at a time."""

from fractions import Fraction
from typing import Any

import pytest
from hypothesis import HealthCheck, assume, given
from hypothesis import strategies as st

from uchuu_core import check, problem_from
from uchuu_core.checking.diagnosis import SEARCHED
from uchuu_core.methods.catalogue import METHODS, applicable
from uchuu_core.methods.method import Posed
from uchuu_core.moves.move import Move
from uchuu_core.notation import plain
from uchuu_core.tests.support.generators import linear_equations, number_expressions, polynomials
from uchuu_core.tests.support.quick import examples
from uchuu_core.tests.support.worked import held
from uchuu_core.tree import build
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Expr, Relation

PLANTED = [
    ("evaluate", "20-6*3", "14*3", "order-add-before-multiply"),
    ("evaluate", "5+2*(8-3)", "7*5", "order-add-before-multiply"),
    ("evaluate", "12+8÷4", "5", "order-add-before-multiply"),
    ("evaluate", "50-20÷5*2", "30÷5*2", "order-add-before-multiply"),
    ("solve", "5x-3=2x+12", "3x-3=21", "copy-number-changed"),
    ("evaluate", "5+2*3^2", "5+36", "order-multiply-before-power"),
    ("evaluate", "36÷6÷2", "36÷3", "order-multiply-before-divide"),
    ("evaluate", "17-8+5-2", "17-13-2", "order-add-before-subtract"),
    ("evaluate", "36/(3+6)", "12+6", "order-fraction-bar-ungrouped"),
    ("evaluate", "18-(-4)", "14", "sign-minus-negative"),
    ("evaluate", "-7+3", "-10", "sign-unlike-magnitudes-added"),
    ("evaluate", "-7-3", "10", "sign-two-negatives-sum-positive"),
    ("evaluate", "(-20)÷(-5)+1", "-4+1", "sign-product-rule"),
    ("evaluate", "10-3^2", "10+9", "sign-square-swallows-minus"),
    ("evaluate", "(-3)^3", "27", "sign-power-parity"),
    ("evaluate", "2^5+1", "10+1", "exponent-as-multiplier"),
    ("evaluate", "3/5-1/3", "2/2", "fraction-add-tops-and-bottoms"),
    ("evaluate", "2/3+1/6", "2/6+1/6", "fraction-top-not-scaled"),
    ("evaluate", "12/2+2", "12/4", "order-add-before-multiply"),
    ("evaluate", "(8+4)/2-1", "12/1", "order-add-before-multiply"),
    ("evaluate", "3 1/4+2 1/3", "5 2/7", "fraction-add-tops-and-bottoms"),
    ("evaluate", "3 1/4*2", "6 1/4", "mixed-number-parts-multiplied"),
    ("evaluate", "3 1/4*2 1/3", "6 1/12", "mixed-number-parts-multiplied"),
    ("evaluate", "0.4*0.7+1", "2.8+1", "decimal-point-misplaced"),
    ("evaluate", "|2-9|+1", "-7+1", "absolute-value-ignored"),
    ("simplify", "x^(-1)+y^(-1)", "1/(x+y)", "fraction-only-bottoms-added"),
    ("simplify", "5/x+2/(x+3)", "(5x+3+2x)/(x(x+3))", "distribute-first-term-only"),
    ("evaluate", "2/7+2/9", "2/16", "fraction-only-bottoms-added"),
    ("simplify", "1/x+1/4", "1/(x+4)", "fraction-only-bottoms-added"),
    ("solve", "1/x+1/4=1/2", "1/(x+4)=1/2", "fraction-only-bottoms-added"),
    ("simplify", "6sqrt(2)-3sqrt(2)", "3", "radical-lost-when-joined"),
    ("simplify", "sqrt(50x^3)", "5x^2*sqrt(2x)", "radical-factor-not-rooted"),
    ("simplify", "sqrt(48x^5y^2)", "16x^2y*sqrt(3x)", "radical-factor-not-rooted"),
    ("simplify", "15/sqrt(3)", "sqrt(5)", "radical-divided-into-radicand"),
    ("simplify", "(8+sqrt(20))/2", "4+sqrt(10)", "radical-divided-into-radicand"),
    ("simplify", "6/(5-sqrt(2))", "6(5+sqrt(2))/(25-4)", "radical-squared-twice"),
    ("simplify", "3sqrt(2)*4sqrt(5)", "7sqrt(10)", "product-coefficients-added"),
    ("simplify", "5sqrt(3)+2sqrt(3)+1", "7+1", "radical-lost-when-joined"),
    ("evaluate", "(1/2)÷(1/3)", "1/6", "fraction-divide-no-flip"),
    ("evaluate", "45+38", "73", "arithmetic-slip"),
    ("simplify", "5x-3(x-2)", "2x-6", "distribute-minus-first-term-only"),
    ("simplify", "5x-3(x-2)", "5x-3x-2", "distribute-first-term-only"),
    ("simplify", "3(4x+5)", "12x+18", "arithmetic-slip"),
    ("simplify", "3x+2y", "5xy", "like-unlike-terms-joined"),
    ("simplify", "x+x", "x^2", "like-exponents-added"),
    ("simplify", "7n-n", "7", "like-invisible-one"),
    ("expand", "(x+3)(x+4)", "x^2+12", "expand-first-and-last-only"),
    ("expand", "(x-6)^2", "x^2-6x+36", "expand-middle-not-doubled"),
    ("expand", "(x-6)^2", "x^2-12x-36", "expand-square-last-sign"),
    ("solve", "x+9=4", "x=13", "lineq-same-sign-when-moved"),
    ("solve", "6x-4=2x+8", "4x=4", "lineq-same-sign-when-moved"),
    ("solve", "x+9=4", "x=4", "lineq-one-side-only"),
    ("solve", "4x=20", "x=16", "lineq-subtracts-coefficient"),
    ("solve", "7-x=3", "x=-4", "lineq-negative-coefficient-lost"),
    ("solve", "0.3x+1.2=0.6", "3x+1.2=6", "lineq-clearing-missed-term"),
    ("solve", "0.5x-1=2.5", "5x-1=25", "lineq-clearing-missed-term"),
    ("solve", "a*x+b=c", "x=c-b/a", "lineq-part-of-side-divided"),
    ("solve", "3/(x+2)=5/x", "3x=5x+2", "distribute-first-term-only"),
    ("solve", "4x-4-3=2x+10", "4x-1=2x+10", "sign-two-negatives-subtracted"),
    ("simplify", "3x+2-7", "3x+5", "sign-smaller-from-larger"),
    ("solve", "27^x=9^(x+1)", "3x=2x+1", "expeq-exponent-unbracketed"),
    ("solve", "2^(x-3)=8^(x+1)", "x-3=3x+1", "expeq-exponent-unbracketed"),
    ("solve", "(x-2)(x+5)=0", "x=2", "branch-lost"),
    ("solve", "(x-2)(x+5)=0", "x-2=0", "branch-lost"),
    ("solve", "x(x-7)=0", "x-7=0", "branch-lost"),
    ("solve", "x+3=+-4", "x+3=4", "branch-lost"),
    ("solve", "x+3=+-4", "x=+-1", "quad-plus-minus-merged"),
    ("solve", "|2x+1|=7", "2x+1=7", "absolute-value-one-case"),
    ("solve", "3x+12=30", "x+12=10", "lineq-part-of-side-divided"),
    ("solve", "x/4+3=5", "x+3=20", "lineq-clearing-missed-term"),
    ("solve", "x/2-(x+1)/3=1", "3x-2x+2=6", "eq-minus-before-fraction"),
    ("solve", "x-7=0", "x-7", "lineq-equals-zero-lost"),
    ("solve", "2x+5=2x+5", "x=0", "lineq-identity-misread"),
    ("solve", "3x+1=3x+4", "x=3", "lineq-contradiction-misread"),
    ("solve", "2x+6=10", "x=6", "lineq-constant-as-answer"),
    ("solve", "3x=7", "x=2.33", "rounded-too-early"),
    ("solve", "5x=0", "no solution", "solution-wrongly-rejected"),
    ("solve", "3x+8-x=15", "2x+8=51", "copy-number-changed"),
    ("solve", "3x+8=2x+15", "3x-8=2x+15", "copy-sign-changed"),
    ("simplify", "4x+7-2x+5", "4x-2x+5", "copy-term-lost"),
    ("solve", "4x-1=11", "4x=12", "stop-unknown-not-alone"),
]


@pytest.mark.parametrize(("task", "before", "line", "error"), PLANTED)
def test_a_planted_error_is_named(task: str, before: str, line: str, error: str) -> None:
    answer = check(problem_from({"task": task, "given": before, "lines": [line]}))

    assert answer["error"] == error


def _paper(task: str, node: Expr | Relation) -> dict:  # type: ignore[type-arg]
    method = METHODS[0] if task == "evaluate" else applicable(Posed(node, "x"), "solve")[0]
    lines = held(
        node,
        "evaluate" if task == "evaluate" else "solve",
        method,
        "board",
        "x" if task == "solve" else "",
    )
    return {"task": task, "given": plain(node), "lines": [plain(m.line) for m in lines]}


@pytest.mark.slow  # many papers
@given(linear_equations())
@examples(40)
def test_right_work_is_never_called_wrong(problem: tuple[Relation, Fraction]) -> None:
    answer = check(problem_from(_paper("solve", problem[0])))

    assert {line["verdict"] for line in answer["lines"]} <= {"ok"}
    assert (answer["first_wrong"], answer["answer"]["right"]) == (None, True)
    assert all("doubt" not in line for line in answer["lines"])


@pytest.mark.slow  # many papers
@given(number_expressions(), st.integers(1, 9), st.data())
@examples(60)
def test_a_line_with_another_value_is_never_called_right(
    node: Expr, shift: int, data: st.DataObject
) -> None:
    try:
        paper = _paper("evaluate", node)
    except Exception:
        assume(False)
    assume(paper["lines"])
    place = data.draw(st.integers(0, len(paper["lines"]) - 1))
    lines = [*paper["lines"][:place], f"{paper['lines'][place]} + {shift}"]

    answer = check(problem_from({**paper, "lines": lines}))

    assert answer["lines"][-1]["verdict"] == "wrong"
    assert answer["lines"][-1]["counter"]
    assert answer["first_wrong"] == len(lines)


@pytest.mark.slow  # many papers
@given(linear_equations(), st.integers(1, 5))
@examples(40)
def test_what_follows_from_a_wrong_line_is_follow_through(
    problem: tuple[Relation, Fraction], shift: int
) -> None:
    equation, _ = problem
    wrong = Relation(equation.left, "=", equation.right)
    moved = f"{plain(wrong)} + {shift}"
    rest = _paper("solve", Relation(equation.left, "=", _plus(equation.right, shift)))["lines"]

    lines = [moved, *rest]
    answer = check(problem_from({"task": "solve", "given": plain(equation), "lines": lines}))

    assert answer["lines"][0]["verdict"] == "wrong"
    assert {line["verdict"] for line in answer["lines"][1:]} <= {"ok"}
    assert answer["answer"]["right"] is False


def _plus(node: Expr, shift: int) -> Expr:
    return build.add(node, build.number(shift))


_PROBLEMS = st.one_of(
    linear_equations().map(lambda problem: ("solve", problem[0])),
    number_expressions().map(lambda node: ("evaluate", node)),
    polynomials().map(lambda node: ("simplify", node)),
)


@pytest.mark.slow  # many papers
@given(_PROBLEMS, st.sampled_from(SEARCHED), st.data())
@examples(120, suppress_health_check=[HealthCheck.filter_too_much])
def test_what_an_error_writes_is_called_wrong_and_traced_to_it(
    problem: tuple[str, Expr | Relation], error: Move, data: st.DataObject
) -> None:
    """At any place of any problem; another error may write the same, then both are named."""
    task, node = problem
    steps = list(error.apply(without_brackets(node)))
    assume(steps)
    wrong = plain(data.draw(st.sampled_from(steps)).result)

    record = {"task": task, "given": plain(node), "lines": [wrong, wrong]}
    line = check(problem_from(record))["lines"][0]

    assume(line["verdict"] != "ok")  # a coincidence of numbers: the kernel decides
    assert line["verdict"] == "wrong"
    named = line["error"]
    assert named is not None
    assert error.key in (named["id"], *named["also"])


@pytest.mark.parametrize(
    ("given_", "lines", "verdicts"),
    [
        ("2x+1=7", ["2x=6", "x=3", "2*3+1=7"], ["ok", "ok", "ok"]),
        ("2x+1=7", ["2x=6", "x=3", "2*3+1=8"], ["ok", "ok", "wrong"]),
        ("2x+1=7", ["x=6/2=3"], ["ok"]),
        ("2x+1=7", ["x=6/2=4"], ["wrong"]),
        ("2x+1=7", ["2x=6", "3"], ["ok", "wrong"]),
        ("2x=6", ["x=3", "3"], ["ok", "ok"]),
        ("2x+1=2x+5", ["1=5", "no solution"], ["ok", "ok"]),
        ("2x+1=2x+5", ["2x+3=2x+5", "no solution"], ["wrong", "ok"]),
        ("2x+1=2x+5", ["0=4", "0=1", "no solution"], ["ok", "ok", "ok"]),
        ("x/2=x/2+1", ["x=x+2", "0=2", "no solution"], ["ok", "ok", "ok"]),
        ("x/2=x/2+1", ["0=2", "no solution"], ["ok", "ok"]),
        ("x/3+1=x/3+2", ["x+3=x+6", "0=3", "no solution"], ["ok", "ok", "ok"]),
        ("4x+8=4x+12", ["0=1", "no solution"], ["ok", "ok"]),
        ("2x+2=2x+6", ["2x+4=2x+6"], ["wrong"]),
        ("2x+10=2x+3", ["2x+5=2x+3"], ["wrong"]),
        ("2x=6", ["2x=", "x=3"], ["unreadable", "ok"]),
        ("a*x=b", ["x=b/a"], ["ok"]),
        ("x=3", ["x^2=3x"], ["may-add"]),
        ("x^2=3x", ["x=3"], ["loses"]),
        ("3/(x+2)-x/(x+2)=5/(x+2)", ["3-x=5", "x=-2", "no solution"], ["may-add", "ok", "ok"]),
        ("3/(x+2)-x/(x+2)=5/(x+2)", ["3-x=5", "x=-2"], ["may-add", "wrong"]),
        ("2x=6", ["0=0"], ["wrong"]),
    ],
)
def test_verdicts_on_unusual_lines(given_: str, lines: list[str], verdicts: list[str]) -> None:
    record = {"task": "solve", "given": given_, "variable": "x", "lines": lines}
    answer = check(problem_from(record))

    assert [line["verdict"] for line in answer["lines"]] == verdicts


@pytest.mark.parametrize(
    ("record", "verdict"),
    [
        ({"task": "solve", "given": "x^2 = -4", "lines": ["x = +-sqrt(-4)"]}, "unfinished"),
        ({"task": "evaluate", "given": "1/(2 - 2)", "lines": ["1/0"]}, "unproved"),
        ({"task": "evaluate", "given": "4 - 2*2", "lines": ["4/0"]}, "wrong"),
    ],
)
def test_a_line_without_a_real_value_is_not_called_wrong_for_the_line_before(
    record: dict[str, Any], verdict: str
) -> None:
    answer = check(problem_from({"numbers": "complex", **record}))

    assert answer["lines"][0]["verdict"] == verdict


def test_nothing_is_named_when_nothing_fits() -> None:
    answer = check(problem_from({"task": "evaluate", "given": "7*8-20", "lines": ["x^3"]}))

    assert answer["lines"][0]["verdict"] == "wrong"
    assert answer["lines"][0]["error"] is None
    assert answer["lines"][0]["counter"]


def test_where_nothing_of_thinking_explains_a_line_what_changed_is_said() -> None:
    copied = check(
        problem_from({"task": "solve", "given": "3x + 16 = x", "lines": ["3x + 19 = x"]})
    )
    unnamed = check(problem_from({"task": "solve", "given": "3x = 12", "lines": ["7x^5 = 31"]}))

    assert copied["lines"][0]["copied"] == ["19"]
    assert copied["error"] == "copy-number-changed"
    assert unnamed["lines"][0]["error"] is None
    assert unnamed["lines"][0]["changed"]
