"""Lines that are judged by themselves: named numbers, substitutions, candidates, remarks."""

from typing import Any

import pytest
from flint import fmpq
from hypothesis import given
from hypothesis import strategies as st

from uchuu_core import check, problem_from
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solutions import SolutionSet, complement, intersection, union
from uchuu_core.kernel.solving import solution_set
from uchuu_core.notation import read
from uchuu_core.tests.support.quick import examples


def _verdicts(given_: str, lines: list[str], **more: Any) -> list[str]:
    record = {"task": "solve", "given": given_, "lines": lines, "explains": False, **more}
    return [line["verdict"] for line in check(problem_from(record))["lines"]]


_WHOLE = st.integers(-9, 9)
_NOT_ZERO = _WHOLE.filter(bool)


@given(_NOT_ZERO, _NOT_ZERO, _NOT_ZERO, st.sampled_from("abc"), st.integers(1, 3))
@examples(60)
def test_coefficients_are_those_of_the_equation_up_to_a_common_factor(
    a: int, b: int, c: int, changed: str, factor: int
) -> None:
    given_ = f"{a}x^2 + ({b})x + ({c}) = 0"
    named = {"a": a * factor, "b": b * factor, "c": c * factor}
    line = ", ".join(f"{name} = {value}" for name, value in named.items())
    wrong = ", ".join(f"{n} = {v + 1 if n == changed else v}" for n, v in named.items())

    assert _verdicts(given_, [line])[0] == "ok"
    assert _verdicts(given_, [wrong])[0] == "wrong"


@given(_WHOLE.filter(bool), _WHOLE, _WHOLE)
@examples(40)
def test_the_discriminant_is_that_of_the_equation(a: int, b: int, c: int) -> None:
    given_ = f"{a}x^2 + ({b})x + ({c}) = 0"
    value = b * b - 4 * a * c

    assert _verdicts(given_, [f"D = {value}"])[0] == "ok"
    assert _verdicts(given_, [f"D = {value} + 1"])[0] == "wrong"
    assert _verdicts(given_, [f"D = {b}^2 - 4*({a})*({c}) = {value + 2}"])[0] == "wrong"


@pytest.mark.parametrize(
    ("given_", "lines", "verdicts"),
    [
        ("x^4 - 13x^2 + 36 = 0", ["let u = x^2", "u^2 - 13u + 36 = 0"], ["ok", "unfinished"]),
        ("x^4 - 13x^2 + 36 = 0", ["u^2 - 12u + 36 = 0", "u = 6"], ["wrong", "ok"]),
        (
            "(x + 1)^2 - 5(x + 1) + 6 = 0",
            ["w^2 - 5w + 6 = 0", "w = 2 or w = 3", "x + 1 = 2 or x + 1 = 3", "x = 1 or x = 2"],
            ["ok", "ok", "ok", "ok"],
        ),
        ("4^x - 6*2^x + 8 = 0", ["u = 2^x", "u = 2 or u = 4", "x = 1 or x = 2"], ["ok"] * 3),
        (
            "4^x - 6*2^x + 8 = 0",
            ["u = 2^x", "u = 2 or u = 4", "x = 2 or x = 4"],
            ["ok", "ok", "wrong"],
        ),
        ("1/(x - 1) = 2", ["x != 1", "1 = 2(x - 1)", "x = 3/2"], ["ok", "may-add", "ok"]),
        ("1/(x - 1) = 2", ["x != 1, x != 0"], ["wrong"]),
    ],
)
def test_a_letter_put_for_a_part_and_remarks_on_excluded_values(
    given_: str, lines: list[str], verdicts: list[str]
) -> None:
    assert _verdicts(given_, lines, variable="x") == verdicts


# sets of real numbers: their laws, at whole numbers and between them

_LINES = st.sampled_from(
    ["x > 2", "x <= -1", "x = 3", "x^2 < 9", "x^2 = 4", "|x| >= 1", "x != 0", "1/x > 1", "0 = 1"]
)
_PLACES = [Algebraic.of(fmpq(value)) for value in range(-3, 4)]


def _set(text: str) -> SolutionSet:
    return solution_set(read(text), "x", ring(("x",)))


@given(_LINES, _LINES)
@examples(80)
def test_sets_of_numbers_obey_the_laws_of_sets(one: str, other: str) -> None:
    a, b = _set(one), _set(other)
    both, either = intersection([a, b]), union([a, b])

    for place in _PLACES:
        assert both.holds(place) == (a.holds(place) and b.holds(place))
        assert either.holds(place) == (a.holds(place) or b.holds(place))
        assert complement(a).holds(place) != a.holds(place)
    assert both.within(a)
    assert a.within(either)
    assert complement(complement(a)).same_solutions(a.normal())


@given(st.integers(2, 9), st.integers(2, 4), st.sampled_from([-1, 0, 1, 2]))
@examples(40)
def test_a_number_of_the_work_may_be_written_otherwise_beside_it(a: int, n: int, off: int) -> None:
    """``16 = 2^4`` under ``(16*7^2)/7``: beside the chain where it is true, never where it is not."""
    given_ = f"({a**n}*11^2)/11"
    judged = check(
        problem_from({"task": "simplify", "given": given_, "lines": [f"{a**n} = {a}^{n} + {off}"]})
    )["lines"][0]

    assert judged["verdict"] == ("wrong" if off else "ok")
    if not off:
        assert judged["role"] == "side"
