"""Exact values, balls and domains, one by one."""

import pytest
from flint import fmpq

from uchuu_core.kernel.balls import differ_at
from uchuu_core.kernel.domains import condition, denominator_factors, excluded_values
from uchuu_core.kernel.points import NotRational, Undefined, simple_points, value_at
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solution_sets import branches
from uchuu_core.notation import plain, read

X = {"x": fmpq(3)}


@pytest.mark.parametrize(
    ("text", "value"),
    [
        ("-x^2", "-9"),
        ("(-x)^2", "9"),
        ("2 1/3 - x", "-2/3"),
        ("0.5x", "3/2"),
        ("x^(-2)", "1/9"),
        ("abs(2 - x)", "1"),
        ("sqrt(x + 6)", "3"),
        ("cbrt(-8)", "-2"),
        ("27^(2/x)", "9"),
        ("48 ÷ 8*2", "12"),
        ("1/2 ÷ 1/4", "2"),
    ],
)
def test_values_follow_the_conventions_of_school(text: str, value: str) -> None:
    assert str(value_at(read(text), X)) == value  # type: ignore[arg-type]


@pytest.mark.parametrize(
    ("text", "refusal"),
    [
        ("1/(x - 3)", Undefined),
        ("0^0", Undefined),
        ("sqrt(-4)", Undefined),
        ("0^(-1)", Undefined),
        ("sqrt(2)", NotRational),
        ("x +- 1", NotRational),
    ],
)
def test_what_has_no_rational_value_says_which(text: str, refusal: type[Exception]) -> None:
    with pytest.raises(refusal):
        value_at(read(text), X)  # type: ignore[arg-type]


def test_simple_points_are_small_and_letters_differ_first() -> None:
    points = list(simple_points(("x", "y")))

    assert {str(value) for value in points[0].values()} == {"2", "3"}
    assert len({tuple(map(str, point.values())) for point in points}) == len(points)
    assert all(abs(value) <= 10 for point in points for value in point.values())


@pytest.mark.parametrize(
    ("one", "other", "differ"),
    [
        ("sqrt(x)", "sqrt(3)", False),
        ("sqrt(2)*sqrt(x)", "sqrt(6)", False),
        ("sqrt(x) + 1", "sqrt(x + 1)", True),
        ("root(4, x^4)", "x", False),
        ("cbrt(-27)", "-x", False),
        ("x^(1/2)", "1.7320508075688773", True),
        ("sqrt(-x)", "1", False),
    ],
)
def test_balls_prove_a_difference_and_never_invent_one(one: str, other: str, differ: bool) -> None:
    found = differ_at(read(one), read(other), X)  # type: ignore[arg-type]

    assert (found is not None) is differ


@pytest.mark.parametrize(
    ("text", "values", "conditions"),
    [
        ("1/(x^2 - 9)", ["-3", "3"], ["x != -3", "x != 3"]),
        ("(x + 3)/(x + 3)", ["-3"], ["x != -3"]),
        ("x^(-1) + 2", ["0"], ["x != 0"]),
        ("1/(1/x - 1)", ["0", "1"], ["x != 0", "x != 1"]),
        ("1/(x^2 + 1)", [], []),
        ("x/2", [], []),
    ],
)
def test_every_denominator_as_written_excludes(
    text: str, values: list[str], conditions: list[str]
) -> None:
    factors = denominator_factors(read(text), ring(("x",)))

    assert [str(value) for value in excluded_values(factors, "x")] == values
    assert sorted(condition(factor) for factor in factors) == conditions


@pytest.mark.parametrize(
    ("line", "written"),
    [
        ("x = 3 +- 2", ["x = 3 + 2", "x = 3 - 2"]),
        ("x = +-5", ["x = 5", "x = -5"]),
        ("x = 1 or x = +-2", ["x = 1", "x = 2", "x = -2"]),
        ("x = 4", ["x = 4"]),
    ],
)
def test_plus_minus_is_written_out_upper_sign_first(line: str, written: list[str]) -> None:
    assert [plain(branch) for branch in branches(read(line))] == written
