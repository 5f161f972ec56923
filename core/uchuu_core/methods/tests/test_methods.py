"""Methods: every line follows, nothing is lost, and the answer is the known one."""

from fractions import Fraction

import pytest
import sympy
from hypothesis import assume, given
from hypothesis import strategies as st

from uchuu_core import Failure, problem_from, work
from uchuu_core.answers.worked import Worked
from uchuu_core.contract import Density
from uchuu_core.kernel.equality import agreement
from uchuu_core.kernel.finished import is_finished_number, unmet_forms
from uchuu_core.kernel.points import Undefined, value_at
from uchuu_core.methods.catalogue import METHODS, applicable
from uchuu_core.methods.method import Posed, at_density
from uchuu_core.notation import plain, read
from uchuu_core.tests.support.generators import linear_equations, number_expressions, polynomials
from uchuu_core.tests.support.polynomials import products, rational_expressions, text
from uchuu_core.tests.support.quick import examples
from uchuu_core.tests.support.worked import held
from uchuu_core.tree.nodes import Expr, Join, Line, Outcome, Product, Relation, Symbol
from uchuu_core.tree.paths import rebuild

DENSITIES: tuple[Density, ...] = ("fine", "board", "key")


@given(linear_equations())
@examples(60)
def test_every_linear_method_reaches_the_known_solution(
    problem: tuple[Relation, Fraction],
) -> None:
    equation, solution = problem

    for method in applicable(Posed(equation, "x"), "solve"):
        lines = held(equation, "solve", method, "board", "x")
        end = lines[-1].line if lines else equation

        assert isinstance(end, Relation)
        assert end.left == Symbol("x")
        assert value_at(end.right, {}) == value_at(read(str(solution)), {})  # type: ignore[arg-type]
        assert unmet_forms(end, "solve", (), "x") == ()


@given(number_expressions())
@examples(150)
def test_order_of_operations_agrees_with_the_oracle(node: Expr) -> None:
    try:
        value_at(node, {})
    except Undefined:
        assume(False)
    text = plain(node).replace("^", "**").replace("÷", "/")
    expected = sympy.sympify(text, rational=True)

    lines = held(node, "evaluate", METHODS[0], "board")
    end = lines[-1].line if lines else node

    assert is_finished_number(end)  # type: ignore[arg-type]
    assert sympy.Rational(plain(end).replace(" ", "")) == expected


@given(polynomials())
@examples(100)
def test_expanding_ends_expanded_and_equal(node: Expr) -> None:
    methods = [m for m in applicable(Posed(node), "expand") if m.key == "expand-and-collect"]
    assume(methods)
    try:
        lines = held(node, "expand", methods[0], "board")
    except Failure as refusal:
        assert refusal.code == "out-of-scope"
        return

    for moment in lines:
        assert agreement(node, moment.line).verdict == "equal"  # type: ignore[arg-type]


@given(linear_equations())
@examples(60)
def test_density_only_leaves_lines_out(problem: tuple[Relation, Fraction]) -> None:
    equation, _ = problem
    method = applicable(Posed(equation, "x"), "solve")[0]
    moments = list(method.moments(Posed(equation, "x")))

    fine, board, key = ([m.line for m in at_density(moments, density)] for density in DENSITIES)

    assert len(fine) >= len(board) >= len(key)
    assert set(key) <= set(board) <= set(fine)


def _work(**record: object) -> Worked:
    return work(problem_from({"task": "solve", **record}))


def test_the_board_of_a_linear_equation_is_what_a_teacher_writes() -> None:
    answer = _work(given="5x - 3 = 2x + 12")

    assert [line["text"] for line in answer["lines"]] == ["3x - 3 = 12", "3x = 15", "x = 5"]
    assert [line["says"] for line in answer["lines"]] == [
        "Subtract 2x from both sides.",
        "Add 3 to both sides.",
        "Divide both sides by 3.",
    ]
    assert answer["answers"] == ["5"]
    [check] = answer["checks"]
    assert (check["left"], check["right"], check["holds"]) == ("22", "22", True)


def test_one_rank_at_a_time_from_the_innermost_bracket() -> None:
    answer = _work(task="evaluate", given="18 - 3*(7 - 2)")

    assert [line["text"] for line in answer["lines"]] == ["18 - 3*5", "18 - 15", "3"]


@pytest.mark.parametrize(
    ("given_", "outcome"),
    [("2(x+5)=2x+3", "no solution"), ("3(x+2)-x=2x+6", "all real numbers")],
)
def test_equations_that_lose_their_unknown_end_in_words(given_: str, outcome: str) -> None:
    answer = _work(given=given_)

    assert (answer["outcome"], answer["answers"]) == (outcome, [])


@pytest.mark.parametrize(
    ("record", "code", "words"),
    [
        ({"given": "5x=3", "method": "clear-fractions"}, "method-does-not-apply", "denominator"),
        ({"given": "x+x=3", "method": "undo-in-reverse-order"}, "method-does-not-apply", "once"),
        ({"given": "x^5-x-1=0"}, "out-of-scope", "factor"),
        ({"given": "5x"}, "out-of-scope", "not an equation"),
        ({"given": "1/0", "task": "evaluate"}, "out-of-scope", "divides by zero"),
        ({"given": "5x=3", "method": "quadratic-formula"}, "method-does-not-apply", "quadratic"),
        ({"given": "5x=3", "method": "guessing"}, "method-does-not-apply", "not a method"),
    ],
)
def test_a_refusal_says_why(record: dict[str, str], code: str, words: str) -> None:
    with pytest.raises(Failure) as caught:
        _work(**record)

    assert caught.value.code == code
    assert words in caught.value.message


@given(products())
@examples(60)
def test_factoring_is_complete_in_every_school_and_agrees_with_the_oracle(
    expanded: sympy.Expr,
) -> None:
    node = read(text(expanded))
    factors = sympy.factor_list(expanded)[1]

    for method in applicable(Posed(node, "x"), "factor"):
        lines = held(node, "factor", method, "fine", "x")  # each is held by the kernel on the way
        end = lines[-1].line
        if end == Outcome("prime"):
            assert len(factors) == 1
            assert factors[0][1] == 1
        else:
            assert unmet_forms(end, "factor") == ()
            parsed = sympy.sympify(plain(rebuild(end, _dotted)).replace("^", "**"))
            assert sympy.expand(parsed - expanded) == 0


def _dotted(part: Line) -> Line:
    if isinstance(part, Product):
        star: Join = "*"
        return Product(part.factors, (star,) * len(part.joins))
    return part


@given(rational_expressions())
@examples(60)
def test_rational_expressions_end_in_lowest_terms_in_every_school(written: str) -> None:
    try:
        node = read(written)
        methods = applicable(Posed(node, "x"), "simplify")
    except (Undefined, Failure):
        assume(False)
    for method in methods:
        lines = held(node, "simplify", method, "fine", "x")  # each is held by the kernel on the way
        end = lines[-1].line if lines else node
        assert unmet_forms(end, "simplify", ("single fraction",)) == ()


_ROOT = st.builds(
    lambda c, r, n: f"{c}{'sqrt' if n == 2 else 'cbrt'}({r})",
    st.sampled_from(["", "2", "3", "5*"]),
    st.integers(2, 300),
    st.just(2),
)
_SUM_OF_ROOTS = st.builds(
    lambda parts, signs: parts[0] + "".join(f"{s}{p}" for s, p in zip(signs, parts[1:])),
    st.lists(st.one_of(_ROOT, st.integers(1, 12).map(str)), min_size=1, max_size=3),
    st.lists(st.sampled_from("+-"), min_size=2, max_size=2),
)


@given(
    _SUM_OF_ROOTS, st.one_of(st.none(), _ROOT, st.builds("{}+{}".format, _ROOT, st.integers(1, 9)))
)
@examples(120)
def test_roots_of_numbers_end_simplest_and_rationalised_in_every_school(
    above: str, below: str | None
) -> None:
    node = read(f"({above})/({below})" if below else above)
    try:
        methods = [
            m for m in applicable(Posed(node), "simplify") if m.key != "factor-and-divide-out"
        ]
    except (Undefined, Failure):
        assume(False)
    for method in methods:
        lines = held(node, "simplify", method, "fine")  # each is held by the kernel on the way
        end = lines[-1].line if lines else node
        assert unmet_forms(end, "simplify", ("rationalised",)) == ()


@pytest.mark.parametrize(
    ("task", "text_", "method", "because"),
    [
        ("factor", "x^2+5x+6", "difference-of-squares", "no difference of two squares"),
        ("factor", "x^2+5x+6", "split-middle-and-group", "leading coefficient"),
        ("factor", "sqrt(x)+1", "common-factor", "roots"),
        ("simplify", "(x+1)/(x+2)", "combine-then-divide", "lowest terms"),
        ("simplify", "(x^2-1)/(x+1)", "sum-of-cubes", "no top or bottom"),
        ("simplify", "(x^2-1)/(x+1)", "multiply-through-by-lcd", "no fraction stands inside"),
        ("domain", "1/(x*y)", "exclude-and-require", "more than one letter"),
    ],
)
def test_a_method_that_does_not_apply_says_why(
    task: str, text_: str, method: str, because: str
) -> None:
    with pytest.raises(Failure) as caught:
        work(problem_from({"task": task, "given": text_, "method": method}))

    assert caught.value.code == "method-does-not-apply"
    assert because in caught.value.message


def test_an_expression_is_checked_with_a_value() -> None:
    answer = work(problem_from({"task": "factor", "given": "9a^2-81b^2"}))

    (check,) = answer["checks"]
    assert (check["value"], check["left"], check["right"]) == ("a = 2, b = 3", "-693", "-693")
    assert answer["outcome"] is None
    assert work(problem_from({"task": "factor", "given": "x^2+9"}))["outcome"] == "prime"
