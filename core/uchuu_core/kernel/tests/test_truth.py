"""The kernel against an independent oracle, and its own laws."""

import pytest
import sympy
from hypothesis import assume, given, settings

from uchuu_core.failures import Failure
from uchuu_core.kernel.equality import agreement
from uchuu_core.kernel.finished import unmet_forms
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solution_sets import described, solution_set
from uchuu_core.notation import plain, read
from uchuu_core.testing.generators import expressions, linear_equations, polynomials
from uchuu_core.tree.nodes import Expr

_NAMES = {name: sympy.Symbol(name) for name in "xya"}


def _oracle(node: Expr) -> sympy.Expr:
    return sympy.sympify(plain(node).replace("^", "**"), locals=_NAMES, rational=True)


@given(polynomials(), polynomials())
@settings(max_examples=150, deadline=None)
def test_equality_of_polynomials_is_what_the_oracle_says(one: Expr, other: Expr) -> None:
    same = sympy.expand(_oracle(one) - _oracle(other)) == 0

    assert agreement(one, other).verdict == ("equal" if same else "different")


@given(polynomials())
@settings(max_examples=100, deadline=None)
def test_an_expanded_polynomial_equals_its_origin_and_not_its_neighbour(node: Expr) -> None:
    text = str(sympy.expand(_oracle(node))).replace("**", "^")
    expanded = read(text, "plain")

    assert agreement(node, expanded).verdict == "equal"  # type: ignore[arg-type]
    changed = read(f"({text}) + 1", "plain")
    assert agreement(node, changed).verdict == "different"  # type: ignore[arg-type]


@given(expressions(), expressions())
@settings(max_examples=150, deadline=None)
def test_agreement_is_symmetric(one: Expr, other: Expr) -> None:
    verdicts: set[str] = set()
    for pair in ((one, other), (other, one)):
        try:
            verdicts.add(agreement(*pair).verdict)
        except (Failure, ArithmeticError) as refusal:
            verdicts.add(type(refusal).__name__)

    assert len(verdicts) == 1


@given(polynomials(), polynomials())
@settings(max_examples=100, deadline=None)
def test_a_counter_example_refutes(one: Expr, other: Expr) -> None:
    counter = agreement(one, other).counter
    assume(counter is not None)

    assert counter is not None
    point = {_NAMES[name]: sympy.Rational(value) for name, value in counter.point}
    assert _oracle(one).subs(point) == sympy.Rational(counter.left)
    assert _oracle(other).subs(point) == sympy.Rational(counter.right)
    assert counter.left != counter.right


@given(linear_equations())
@settings(max_examples=200, deadline=None)
def test_a_linear_equation_has_its_known_solution(problem: tuple) -> None:  # type: ignore[type-arg]
    equation, solution = problem

    found = solution_set(equation, "x", ring(("x",)))

    assert [described(factor, "x") for factor in found.factors] == [f"x = {solution}"]


@pytest.mark.parametrize(
    ("line", "solutions"),
    [
        ("x^2 = 4", {"x = -2", "x = 2"}),
        ("x = 1 +- 2", {"x = -1", "x = 3"}),
        ("{2, -3}", {"x = 2", "x = -3"}),
        ("x = 2 or x = 5", {"x = 2", "x = 5"}),
        ("(x^2 - 4)/(x - 2) = 0", {"x = -2"}),
        ("0 = -7", set()),
        ("x^2 + 1 = 0", set()),
        ("no solution", set()),
    ],
)
def test_solution_sets_are_exact(line: str, solutions: set[str]) -> None:
    found = solution_set(read(line), "x", ring(("x",)))

    assert {described(factor, "x") for factor in found.factors} == solutions
    assert not found.everything


@pytest.mark.parametrize("line", ["2x + 1 = 1 + 2x", "all real numbers", "0 = 0"])
def test_identities_hold_for_everything(line: str) -> None:
    assert solution_set(read(line), "x", ring(("x",))).everything


@pytest.mark.parametrize("text", ["9^9^9^9", "(a+b+x+y+1)^100", "2^200^200", "(1+x)^199^2"])
def test_a_power_that_would_run_away_is_refused(text: str) -> None:
    with pytest.raises(Failure) as caught:
        agreement(read(text), read("1"))  # type: ignore[arg-type]

    assert caught.value.code == "too-large"


@pytest.mark.parametrize(
    ("one", "other", "verdict"),
    [
        ("sqrt(2) + sqrt(3)", "sqrt(5)", "different"),
        ("abs(x)", "x", "different"),
        ("sqrt(16) + abs(3 - 8)", "9", "equal"),
        ("27^(2/3)", "9", "equal"),
        ("sqrt(13^2 - 5^2)", "8", "different"),
        ("sqrt(8)", "2sqrt(2)", "undecided"),
    ],
)
def test_roots_are_decided_where_exact_and_never_guessed_equal(
    one: str, other: str, verdict: str
) -> None:
    assert agreement(read(one), read(other)).verdict == verdict  # type: ignore[arg-type]


@pytest.mark.parametrize(
    ("line", "task", "unmet"),
    [
        ("13/12", "evaluate", ()),
        ("1 1/12", "evaluate", ()),
        ("-1.5", "evaluate", ()),
        ("6/8", "evaluate", ("lowest terms",)),
        ("5+1", "evaluate", ("worked out",)),
        ("3x+2x", "simplify", ("like terms collected",)),
        ("2x*3x", "simplify", ("worked out",)),
        ("(x+3)/2", "simplify", ()),
        ("(2x+4)/2", "simplify", ("lowest terms",)),
        ("2(x+1)", "expand", ("expanded",)),
        ("x^2+7x+16", "expand", ()),
        ("x=33/4", "solve", ()),
        ("3=x", "solve", ()),
        ("x=6/4", "solve", ("lowest terms",)),
        ("2x=6", "solve", ("unknown alone",)),
        ("x=2+1", "solve", ("worked out",)),
        ("no solution", "solve", ()),
    ],
)
def test_a_finished_form_is_told_from_an_unfinished_one(
    line: str, task: str, unmet: tuple[str, ...]
) -> None:
    assert unmet_forms(read(line), task, (), "x") == unmet
