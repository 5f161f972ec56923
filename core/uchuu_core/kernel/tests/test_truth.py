"""The kernel against an independent oracle, and its own laws."""

import pytest
import sympy
from hypothesis import assume, given

from uchuu_core.failures import Failure
from uchuu_core.kernel.equality import agreement
from uchuu_core.kernel.finished import unmet, unmet_forms
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solving import solution_set
from uchuu_core.kernel.written import solution_texts
from uchuu_core.notation import plain, read
from uchuu_core.tests.support.generators import expressions, linear_equations, polynomials
from uchuu_core.tests.support.quick import examples
from uchuu_core.tree.nodes import Expr

_NAMES = {name: sympy.Symbol(name) for name in "xya"}


def _oracle(node: Expr) -> sympy.Expr:
    return sympy.sympify(plain(node).replace("^", "**"), locals=_NAMES, rational=True)


@given(polynomials(), polynomials())
@examples(150)
def test_equality_of_polynomials_is_what_the_oracle_says(one: Expr, other: Expr) -> None:
    same = sympy.expand(_oracle(one) - _oracle(other)) == 0

    assert agreement(one, other).verdict == ("equal" if same else "different")


@given(polynomials())
@examples(100)
def test_an_expanded_polynomial_equals_its_origin_and_not_its_neighbour(node: Expr) -> None:
    text = str(sympy.expand(_oracle(node))).replace("**", "^")
    expanded = read(text, "plain")

    assert agreement(node, expanded).verdict == "equal"  # type: ignore[arg-type]
    changed = read(f"({text}) + 1", "plain")
    assert agreement(node, changed).verdict == "different"  # type: ignore[arg-type]


@given(expressions(), expressions())
@examples(150)
def test_agreement_is_symmetric(one: Expr, other: Expr) -> None:
    verdicts: set[str] = set()
    for pair in ((one, other), (other, one)):
        try:
            verdicts.add(agreement(*pair).verdict)
        except (Failure, ArithmeticError) as refusal:
            verdicts.add(type(refusal).__name__)

    assert len(verdicts) == 1


@given(polynomials(), polynomials())
@examples(100)
def test_a_counter_example_refutes(one: Expr, other: Expr) -> None:
    counter = agreement(one, other).counter
    assume(counter is not None)

    assert counter is not None
    point = {_NAMES[name]: sympy.Rational(value) for name, value in counter.point}
    assert _oracle(one).subs(point) == sympy.Rational(counter.left)
    assert _oracle(other).subs(point) == sympy.Rational(counter.right)
    assert counter.left != counter.right


@given(linear_equations())
@examples(200)
def test_a_linear_equation_has_its_known_solution(problem: tuple) -> None:  # type: ignore[type-arg]
    equation, solution = problem

    found = solution_set(equation, "x", ring(("x",)))

    assert solution_texts(found, "x") == [f"x = {solution}"]


@pytest.mark.parametrize("text", ["9^9^9^9", "(a+b+x+y+1)^100", "2^200^200", "(1+x)^199^2"])
def test_a_power_that_would_run_away_is_refused(text: str) -> None:
    with pytest.raises(Failure) as caught:
        agreement(read(text), read("1"))  # type: ignore[arg-type]

    assert caught.value.code == "too-large"


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
        ("x=6/2=3", "solve", ()),
        ("x=+-sqrt(98)", "solve", ("radicals in simplest form",)),
        ("x=(2+-2sqrt(3))/2", "solve", ("lowest terms",)),
        ("x=4+-5", "solve", ("worked out",)),
        ("x=3+-2sqrt(5) or x=1/2", "solve", ()),
        ("2(x^2+5x+6)", "factor", ("factored",)),
        ("(4x+6)(x+2)", "factor", ("factored",)),
        ("2(2x+3)(x+2)", "factor", ()),
        ("x^2+9", "factor", ()),
        ("(x^2+3)(x^2-3)", "factor", ()),
        ("2*3(x+1)", "factor", ("worked out",)),
        ("2sqrt(20)", "simplify", ("radicals in simplest form",)),
        ("sqrt(4*7)", "simplify", ("radicals in simplest form", "worked out")),
        ("root(4,9)", "simplify", ("radicals in simplest form",)),
        ("cbrt(16)", "simplify", ("radicals in simplest form",)),
        ("sqrt(x^3)", "simplify", ("radicals in simplest form",)),
        ("x*sqrt(x)", "simplify", ()),
        ("2sqrt(3)+5sqrt(3)", "simplify", ("like terms collected",)),
        ("2sqrt(3)+5sqrt(2)", "simplify", ()),
        ("sqrt(2)*sqrt(3)", "simplify", ("worked out",)),
        ("(sqrt(5))^2", "simplify", ("worked out",)),
        ("(6+3sqrt(2))/3", "simplify", ("lowest terms",)),
        ("6/sqrt(5)", "simplify", ()),
        ("8^(2/3)", "evaluate", ("worked out",)),
    ],
)
def test_a_finished_form_is_told_from_an_unfinished_one(
    line: str, task: str, unmet: tuple[str, ...]
) -> None:
    assert unmet_forms(read(line), task, (), "x") == unmet


@pytest.mark.parametrize(
    ("line", "form", "is_met"),
    [
        ("6/sqrt(5)", "rationalised", False),
        ("(6sqrt(5))/5", "rationalised", True),
        ("sqrt(1/2)", "rationalised", False),
        ("x^(-1/2)", "rationalised", False),
        ("a^(-3)b^2", "positive exponents", False),
        ("b^2/a^3", "positive exponents", True),
        ("x^0", "positive exponents", False),
        ("1/x+2", "single fraction", False),
        ("(1+2x)/x", "single fraction", True),
        ("-(1+2x)/x", "single fraction", True),
        ("7/3", "mixed number", False),
        ("2 1/3", "mixed number", True),
        ("(2x+4)/(x+1)", "factored", False),
        ("(2(x+2))/(x+1)", "factored", True),
    ],
)
def test_a_form_that_is_asked_for_is_demanded_and_only_then(
    line: str, form: str, is_met: bool
) -> None:
    tree = read(line)

    assert (form not in unmet_forms(tree, "simplify", (form,), "x")) is is_met
    assert form not in unmet_forms(tree, "simplify", (), "x")


def test_an_unmet_form_says_where() -> None:
    (found,) = unmet(read("3 + 2sqrt(20)"), "simplify")

    assert found.form == "radicals in simplest form"
    assert plain(found.part) == "sqrt(20)"
