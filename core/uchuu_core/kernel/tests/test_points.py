"""Exact values, balls and domains, one by one."""

import pytest
from flint import fmpq

from uchuu_core.kernel.branches import branches
from uchuu_core.kernel.domains import condition, domain_of
from uchuu_core.kernel.exact import Exact
from uchuu_core.kernel.points import NotRational, Undefined, simple_points, value_at
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solving import excluded_points
from uchuu_core.kernel.written import number_text
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
        ("x ± 1", NotRational),
    ],
)
def test_what_has_no_rational_value_says_which(text: str, refusal: type[Exception]) -> None:
    with pytest.raises(refusal):
        value_at(read(text), X)  # type: ignore[arg-type]


def test_simple_points_are_small_and_letters_differ_first() -> None:
    points = list(simple_points(("x", "y")))

    assert {str(value) for value in points[0].values()} == {"2", "3"}
    assert len({tuple(map(str, point.values())) for point in points}) == len(points)
    assert all(abs(value) <= 10 for point in points[:40] for value in point.values())


@pytest.mark.parametrize(
    ("one", "other", "differ"),
    [
        ("sqrt(x)", "sqrt(3)", False),
        ("sqrt(2)*sqrt(x)", "sqrt(6)", False),
        ("sqrt(x) + 1", "sqrt(x + 1)", True),
        ("root(4, x^4)", "x", False),
        ("cbrt(-27)", "-x", False),
        ("x^(1/2)", "1.7320508075688773", True),
    ],
)
def test_balls_prove_a_difference_and_never_invent_one(one: str, other: str, differ: bool) -> None:
    found = Exact(X).differ(read(one), read(other))  # type: ignore[arg-type]

    assert (found is not None) is differ


@pytest.mark.parametrize(
    ("text", "sign"),
    [
        ("sqrt(3 + 2sqrt(2)) - 1 - sqrt(2)", 0),
        ("sqrt(2) + sqrt(3) - sqrt(5 + 2sqrt(6))", 0),
        ("cbrt(2 + sqrt(5)) + cbrt(2 - sqrt(5)) - 1", 0),
        ("1/(sqrt(2) - 1) - sqrt(2) - 1", 0),
        ("root(4, 9) - sqrt(3)", 0),
        ("sqrt(2) + sqrt(3) - sqrt(5)", 1),
        ("sqrt(99) - 10 + 1/20", -1),
        ("99*sqrt(2) - 140 - 1/140", -1),
    ],
)
def test_the_sign_of_a_number_with_roots_is_exact(text: str, sign: int) -> None:
    assert Exact({}).sign(read(text)) == sign  # type: ignore[arg-type]


@pytest.mark.parametrize("text", ["1/(sqrt(8) - 2sqrt(2))", "sqrt(1 - sqrt(2))", "0^(-1/2)"])
def test_a_hidden_zero_below_or_a_hidden_negative_under_a_root_is_seen(text: str) -> None:
    with pytest.raises(Undefined):
        Exact({}).sign(read(text))  # type: ignore[arg-type]


@pytest.mark.parametrize(
    ("text", "values", "conditions"),
    [
        ("1/(x^2 - 9)", ["-3", "3"], ["x != -3", "x != 3"]),
        ("(x + 3)/(x + 3)", ["-3"], ["x != -3"]),
        ("x^(-1) + 2", ["0"], ["x != 0"]),
        ("1/(1/x - 1)", ["0", "1"], ["x != 0", "x != 1"]),
        ("1/(x^2 - 2)", ["-sqrt(2)", "sqrt(2)"], ["x^2 - 2 != 0"]),
        ("1/(x^2 + 1)", [], []),
        ("x/2", [], []),
        ("sqrt(x + 6)", [], ["x >= -6"]),
        ("sqrt(4 - 2x)", [], ["x <= 2"]),
        ("1/sqrt(x^3)", [], ["sqrt(x^3) != 0", "x >= 0"]),
        ("x^(-3/2)", ["0"], ["x != 0", "x >= 0"]),
        ("sqrt(x^2 + 1) + cbrt(x) + sqrt((x - 1)^2)", [], []),
        ("sqrt(x^2 - 4)", [], ["(x - 2)*(x + 2) >= 0"]),
    ],
)
def test_every_denominator_and_even_root_as_written_has_its_condition(
    text: str, values: list[str], conditions: list[str]
) -> None:
    domain = domain_of(read(text), ring(("x",)))

    assert [number_text(v) for v in excluded_points(domain.excluded, "x")] == values
    found = [condition(f) for f in domain.excluded] + [condition(r) for r in domain.required]
    assert sorted(found) == conditions


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
