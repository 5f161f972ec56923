"""Solution sets, exactly: what they are, and comparing them."""

import pytest

from uchuu_core.kernel.numbers import COMPLEX, REAL
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solutions import SolutionSet
from uchuu_core.kernel.solving import rational_solutions, solution_set
from uchuu_core.kernel.written import solution_texts
from uchuu_core.notation import read


def _set(text: str, names: str = "x", *, is_complex: bool = False) -> SolutionSet:
    return solution_set(read(text), "x", ring(tuple(names)), COMPLEX if is_complex else REAL)


@pytest.mark.parametrize(
    ("smaller", "larger"),
    [
        ("x = 3", "x^2 = 3x"),
        ("x = 2", "x = 2 or x = 5"),
        ("no solution", "x = 1"),
        ("x = 1", "all real numbers"),
        ("(x^2 - 4)/(x - 2) = 0", "x^2 = 4"),
        ("x = 3 + sqrt(5)", "x^2 - 6x + 4 = 0"),
        ("x = 2", "x >= 2"),
        ("x > 2", "x >= 2"),
        ("sqrt(x + 6) = x", "x + 6 = x^2"),
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
        ("x = 3 +- sqrt(20)/2", "x^2 - 6x + 4 = 0"),
        ("x = (6 +- sqrt(20))/2", "x = 3 - sqrt(5) or x = 3 + sqrt(5)"),
        ("x = sqrt(2) + sqrt(3)", "x = sqrt(5 + 2sqrt(6))"),
        ("|x - 3| = 5", "x - 3 = +-5"),
        ("|x| = x", "x >= 0"),
        ("2^x = 5", "2^(x + 1) = 10"),
        ("9^x = 27", "x = 3/2"),
        ("(x + 3)/(x + 3) = 1", "all real numbers except -3"),
    ],
)
def test_equal_sets_are_equal_however_they_are_written(one: str, other: str) -> None:
    assert _set(one).same_solutions(_set(other))


@pytest.mark.parametrize(
    ("line", "solutions"),
    [
        ("x^2 = 4", ["x = -2", "x = 2"]),
        ("x = 1 +- 2", ["x = -1", "x = 3"]),
        ("{2, -3}", ["x = -3", "x = 2"]),
        ("(x^2 - 4)/(x - 2) = 0", ["x = -2"]),
        ("0 = -7", []),
        ("x^2 + 1 = 0", []),
        ("no solution", []),
        ("2x^2 - 12x + 4 = 0", ["x = 3 - sqrt(7)", "x = 3 + sqrt(7)"]),
        ("3x^2 + 5x + 1 = 0", ["x = (-5 - sqrt(13))/6", "x = (-5 + sqrt(13))/6"]),
        ("x^3 = 16", ["x = 2cbrt(2)"]),
        ("sqrt(x + 6) = x", ["x = 3"]),
        ("sqrt(3x + 1) - sqrt(x - 4) = 3", ["x = 5", "x = 8"]),
        ("sqrt(2x + 5) + sqrt(x + 2) = 1", ["x = -2"]),
        ("sqrt(x) = -3", []),
        ("sqrt(x) + sqrt(-x) = 0", ["x = 0"]),
        ("sqrt(x + sqrt(x)) = 1", ["x = (3 - sqrt(5))/2"]),
        ("cbrt(x + 1) = -2", ["x = -9"]),
        ("root(4, x) = 2", ["x = 16"]),
        ("x^(2/3) = 4", ["x = -8", "x = 8"]),
        ("x^(3/2) = 8", ["x = 4"]),
        ("|x - 1| + |x + 2| = 3", ["-2 <= x <= 1"]),
        ("sqrt(x^2) = x", ["x >= 0"]),
        ("|2x - 1| = x - 5", []),
        ("2^(x + 1) + 2^x = 24", ["x = 3"]),
        ("4^x - 5*2^x + 4 = 0", ["x = 0", "x = 2"]),
        ("4^x + 6^x = 2*9^x", ["x = 0"]),
        ("2^(x^2 - 3x) = 16", ["x = -1", "x = 4"]),
        ("3^x (x - 1) = 0", ["x = 1"]),
        ("2^x = 5", ["x = log base 2 of 5"]),
        ("2^x = -4", []),
        ("x^2 < 4", ["-2 < x < 2"]),
        ("x != 1, x != 2", ["x < 1", "1 < x < 2", "x > 2"]),
        ("-2 < x - 3 < 2", ["1 < x < 5"]),
        ("x < 1 or x > 4", ["x < 1", "x > 4"]),
        ("1/x > 1", ["0 < x < 1"]),
        ("sqrt(x - 2) <= 3", ["2 <= x <= 11"]),
        ("x^5 - x - 1 = 0", ["x = about 1.1673 (a root of x^5 - x - 1)"]),
        ("2x + 1 = 1 + 2x", ["all real numbers"]),
        ("x/x = 1", ["all except excluded"]),
        ("sqrt(9) = 3", ["all real numbers"]),
    ],
)
def test_solution_sets_are_exact(line: str, solutions: list[str]) -> None:
    assert solution_texts(_set(line), "x") == solutions


@pytest.mark.parametrize(
    ("line", "solutions"),
    [
        ("x^2 = -5", ["x = -i sqrt(5)", "x = i sqrt(5)"]),
        ("x = +-sqrt(-5)", ["x = -i sqrt(5)", "x = i sqrt(5)"]),
        ("2x^2 - 12x + 23 = 0", ["x = (6 - i sqrt(10))/2", "x = (6 + i sqrt(10))/2"]),
        ("x = (4 +- sqrt(16 - 80))/4", ["x = 1 - 2i", "x = 1 + 2i"]),
        ("x^3 = x", ["x = -1", "x = 0", "x = 1"]),
        ("i*x = 3", ["x = -3i"]),
    ],
)
def test_complex_solutions_are_exact(line: str, solutions: list[str]) -> None:
    assert solution_texts(_set(line, is_complex=True), "x") == solutions


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

    assert [str(value) for value in rational_solutions(found)] == ["-2/3", "1/2"]


def test_what_cannot_be_solved_is_known_by_how_it_is_written() -> None:
    assert _set("x*2^x = 3").same_solutions(_set("2x*2^x = 6"))
    assert not _set("x*2^x = 3").same_solutions(_set("x*2^x = 4"))
    assert _set("x*2^x = 3").has_opaque


@pytest.mark.parametrize("text", ["x^x = 4", "2x"])
def test_what_is_not_solved_is_left_undecided(text: str) -> None:
    with pytest.raises(NotRational):
        _set(text)


def test_dividing_by_zero_everywhere_is_undefined() -> None:
    with pytest.raises(Undefined):
        _set("x/(x - x) = 1")
