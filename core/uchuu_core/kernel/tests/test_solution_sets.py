"""Comparing solution sets, with excluded values and further letters."""

import pytest

from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solution_sets import SolutionSet, rational_solutions, solution_set
from uchuu_core.notation import read


def _set(text: str, names: str = "x", *, is_complex: bool = False) -> SolutionSet:
    return solution_set(read(text), "x", ring(tuple(names)), is_complex=is_complex)


@pytest.mark.parametrize(
    ("smaller", "larger"),
    [
        ("x = 3", "x^2 = 3x"),
        ("x = 2", "x = 2 or x = 5"),
        ("no solution", "x = 1"),
        ("x = 1", "all real numbers"),
        ("(x^2 - 4)/(x - 2) = 0", "x^2 = 4"),
    ],
)
def test_a_set_lies_within_a_larger_one_and_not_the_other_way(smaller: str, larger: str) -> None:
    assert _set(smaller).within(_set(larger))
    assert not _set(larger).within(_set(smaller))


@pytest.mark.parametrize(
    ("one", "other"),
    [
        ("2x = 6", "x = 3"),
        ("x^2 - 5x + 6 = 0", "x = 2 or x = 3"),
        ("x = 2 +- 3", "{5, -1}"),
        ("0.5x = 1.5", "x = 6/2"),
        ("x^3 = x", "x = 0 or x = 1 or x = -1"),
        ("x^2 = 2", "x^4 - 4 = 0"),
        ("3 = x", "x = 3"),
    ],
)
def test_equal_sets_are_equal_however_they_are_written(one: str, other: str) -> None:
    assert _set(one).same_solutions(_set(other))


def test_real_and_complex_solutions_are_told_apart() -> None:
    assert _set("x^2 + 1 = 0").is_empty
    assert not _set("x^2 + 1 = 0", is_complex=True).is_empty
    assert _set("x^2 + 4 = 0").same_solutions(_set("x^2 + 9 = 0"))
    assert not _set("x^2 + 4 = 0", is_complex=True).same_solutions(
        _set("x^2 + 9 = 0", is_complex=True)
    )


def test_letters_beside_the_unknown_are_granted_not_to_be_zero() -> None:
    found = _set("a*x = a*b", "abx")

    assert found.same_solutions(_set("x = b", "abx"))
    assert [sorted(factor.letters) for factor in found.granted] == [["a"]]


def test_rational_solutions_are_exact_and_ascending() -> None:
    found = _set("(2x - 1)(3x + 2)(x^2 - 2) = 0")

    assert [str(value) for value in rational_solutions(found, "x")] == ["-2/3", "1/2"]


@pytest.mark.parametrize("text", ["sqrt(x) = 2", "2^x = 8", "x < 3", "2x"])
def test_what_is_not_a_rational_equation_is_left_undecided(text: str) -> None:
    with pytest.raises(NotRational):
        _set(text)


def test_dividing_by_zero_everywhere_is_undefined() -> None:
    with pytest.raises(Undefined):
        _set("x/(x - x) = 1")
