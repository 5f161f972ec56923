"""The lines that each method writes, as a teacher would read them on the board."""

from typing import Any

import pytest

from uchuu_core import Failure, problem_from, work
from uchuu_core.notation import read
from uchuu_core.tree.shape import unordered

BOARDS: list[tuple[str, str, str | None, list[str]]] = [
    ("evaluate", "7^2-(4+6)*(3+1)", None, ["7^2 - 10*4", "49 - 10*4", "49 - 40", "9"]),
    ("evaluate", "48÷8×(36÷9)", None, ["48 ÷ 8*4", "6*4", "24"]),
    ("evaluate", "2*3+4*5", None, ["6 + 20", "26"]),
    ("evaluate", "7-(-5)", None, ["12"]),
    ("evaluate", "5/6+3/8", None, ["20/24 + 9/24", "29/24"]),
    ("evaluate", "2 1/3-1 3/4", None, ["7/3 - 7/4", "28/12 - 21/12", "7/12"]),
    ("evaluate", "0.5*3+1.25", None, ["1.5 + 1.25", "2.75"]),
    ("evaluate", "(14+6)/(2*5)", None, ["20/10", "2"]),
    ("evaluate", "sqrt(16)+abs(3-8)", None, ["sqrt(16) + abs(-5)", "4 + 5", "9"]),
    ("evaluate", "2^3^2", None, ["2^9", "512"]),
    ("evaluate", "9/12+1/12", None, ["5/6"]),
    ("evaluate", "8/4+1/4", None, ["9/4"]),
    ("simplify", "9t+3-t", None, ["8t + 3"]),
    ("simplify", "5x-(2x-7)", None, ["5x - 2x + 7", "3x + 7"]),
    ("simplify", "2(3a+1)+4a", None, ["6a + 2 + 4a", "10a + 2"]),
    ("expand", "(x+3)(x+8)", None, ["x^2 + 8x + 3x + 24", "x^2 + 11x + 24"]),
    ("expand", "(y-5)^2", None, ["(y - 5)(y - 5)", "y^2 - 5y - 5y + 25", "y^2 - 10y + 25"]),
    ("expand", "2x(x-3)", None, ["2x^2 - 6x"]),
    ("expand", "((x+1)x)^1", None, ["x^2 + x"]),
    ("factor", "3y^2+39y+120", None, ["3(y^2 + 13y + 40)", "3(y + 8)(y + 5)"]),
    (
        "factor",
        "6x^2+7x-3",
        None,
        ["6x^2 + 9x - 2x - 3", "3x(2x + 3) - (2x + 3)", "(2x + 3)(3x - 1)"],
    ),
    (
        "factor",
        "6x^2+7x-3",
        "divide-and-reduce",
        ["6(x + 9/6)(x - 2/6)", "6(x + 3/2)(x - 1/3)", "(2x + 3)(3x - 1)"],
    ),
    ("factor", "9a^2-81b^2", None, ["9(a^2 - 9b^2)", "9(a + 3b)(a - 3b)"]),
    ("factor", "8x^3+27", None, ["(2x)^3 + 3^3", "(2x + 3)(4x^2 - 6x + 9)"]),
    ("factor", "4x^2+12x+9", None, ["(2x + 3)^2"]),
    (
        "factor",
        "x^3+2x^2-9x-18",
        None,
        ["x^2(x + 2) - 9(x + 2)", "(x + 2)(x^2 - 9)", "(x + 2)(x + 3)(x - 3)"],
    ),
    ("factor", "(x+1)^2-9", None, ["(x + 1 + 3)(x + 1 - 3)", "(x + 4)(x - 2)"]),
    ("simplify", "sqrt(44)", None, ["sqrt(4*11)", "2sqrt(11)"]),
    ("simplify", "sqrt(44)", "prime-factorisation", ["sqrt(2*2*11)", "2sqrt(11)"]),
    ("simplify", "sqrt(5)*sqrt(7)", None, ["sqrt(35)"]),
    (
        "simplify",
        "sqrt(24)+sqrt(150)",
        None,
        ["sqrt(4*6) + sqrt(25*6)", "2sqrt(6) + 5sqrt(6)", "7sqrt(6)"],
    ),
    (
        "simplify",
        "24/sqrt(27)",
        None,
        ["24/sqrt(9*3)", "24/(3sqrt(3))", "8/sqrt(3)", "8sqrt(3)/(sqrt(3)sqrt(3))", "8sqrt(3)/3"],
    ),
    (
        "simplify",
        "6/(sqrt(7)+1)",
        None,
        [
            "6(sqrt(7) - 1)/((sqrt(7) + 1)(sqrt(7) - 1))",
            "(6sqrt(7) - 6)/6",
            "sqrt(7) - 1",
        ],
    ),
    ("simplify", "(x^2-9)/(x^2+3x)", None, ["((x + 3)(x - 3))/(x(x + 3))", "(x - 3)/x"]),
    (
        "simplify",
        "2/(n-4)-5/(n+3)",
        None,
        [
            "(2(n + 3))/((n - 4)(n + 3)) - (5(n - 4))/((n - 4)(n + 3))",
            "(2(n + 3) - 5(n - 4))/((n - 4)(n + 3))",
            "(-3n + 26)/((n - 4)(n + 3))",
        ],
    ),
    (
        "simplify",
        "6/(n-3)-5/(3-n)",
        None,
        ["6/(n - 3) + 5/(n - 3)", "(6 + 5)/(n - 3)", "11/(n - 3)"],
    ),
    (
        "simplify",
        "(2c+6)/c÷((7c+21)/(3c^3))",
        None,
        ["(2c + 6)/c*(3c^3/(7c + 21))", "2(c + 3)/c*(3c^3/(7(c + 3)))", "6c^2/7"],
    ),
    (
        "simplify",
        "(6+3/y)/(y/5+1/10)",
        "multiply-through-by-lcd",
        [
            "((6 + 3/y)*10y)/((y/5 + 1/10)*10y)",
            "(60y + 30)/(2y^2 + y)",
            "30(2y + 1)/(y(2y + 1))",
            "30/y",
        ],
    ),
    (
        "domain",
        "(x+5)/(x^2-x-12)",
        None,
        [
            "x^2 - x - 12 = 0",
            "(x + 3)(x - 4) = 0",
            "x = -3 or x = 4",
            "all real numbers except -3 and 4",
        ],
    ),
    ("domain", "sqrt(x-3)", None, ["x - 3 >= 0", "x >= 3"]),
    (
        "solve",
        "2(x+5)=5x-8",
        None,
        ["2x + 10 = 5x - 8", "10 = 3x - 8", "18 = 3x", "x = 6"],
    ),
    ("solve", "9k+7-8k=13-10", None, ["k + 7 = 3", "k = -4"]),
    ("solve", "3-5x=18", None, ["-5x = 15", "x = -3"]),
    ("solve", "x/4=3", None, ["x = 12"]),
    ("solve", "(2/3)x=8", None, ["x = 12"]),
    ("solve", "0.5x+1.2=3.7", None, ["0.5x = 2.5", "x = 5"]),
    ("solve", "5y+7=22", "divide-every-term-first", ["y + 7/5 = 22/5", "y = 3"]),
    (
        "solve",
        "5y+7=22",
        "undo-in-reverse-order",
        ["5y = 15", "y = 3"],
    ),
    (
        "solve",
        "(x-3)/4+2=5",
        "undo-in-reverse-order",
        ["(x - 3)/4 = 3", "x - 3 = 12", "x = 15"],
    ),
    (
        "solve",
        "x/3+2=7",
        "clear-fractions",
        ["x + 6 = 21", "x = 15"],
    ),
    (
        "solve",
        "(x+1)/2-3=x/5",
        "clear-fractions",
        [
            "5(x + 1) - 30 = 2x",
            "5x + 5 - 30 = 2x",
            "5x - 25 = 2x",
            "3x - 25 = 0",
            "3x = 25",
            "x = 25/3",
        ],
    ),
    ("solve", "2(x+5)=2x+3", None, ["2x + 10 = 2x + 3", "10 = 3", "no solution"]),
    ("solve", "4x+6=2(2x+3)", None, ["4x + 6 = 4x + 6", "6 = 6", "all real numbers"]),
]


def _worked(task: str, text: str, method: str | None = None, density: str = "board") -> Any:
    record = {"task": task, "given": text, "method": method, "house": {"density": density}}
    return work(problem_from(record))


@pytest.mark.parametrize(("task", "given", "method", "lines"), BOARDS)
def test_the_board(task: str, given: str, method: str | None, lines: list[str]) -> None:
    answer = _worked(task, given, method)

    written = [unordered(read(line["text"])) for line in answer["lines"]]
    assert written == [unordered(read(line)) for line in lines], answer["lines"]
    assert all(line["says"].endswith(".") for line in answer["lines"])
    assert all(line["verdict"] == "ok" for line in answer["lines"])


def test_every_move_is_shown_when_all_are_asked_for() -> None:
    fine = [line["text"] for line in _worked("solve", "5x - 3 = 12", density="fine")["lines"]]

    assert fine == ["5x - 3 + 3 = 12 + 3", "5x + 0 = 15", "5x = 15", "5x/5 = 15/5", "x = 3"]


def test_a_key_has_only_the_lines_that_carry_it() -> None:
    key = [line["text"] for line in _worked("solve", "5x - 3 = 12", density="key")["lines"]]

    assert key == ["x = 3"]


@pytest.mark.parametrize("density", ["fine", "board", "key"])
@pytest.mark.parametrize(("task", "given", "method", "lines"), BOARDS[::3])
def test_every_density_ends_in_the_same_answer(
    task: str, given: str, method: str | None, lines: list[str], density: str
) -> None:
    answer = _worked(task, given, method, density)

    assert unordered(read(answer["answer"])) == unordered(read(lines[-1]))


@pytest.mark.parametrize(
    ("given", "value", "left", "right"),
    [
        ("5x - 3 = 2x + 12", "x = 5", ["5*5 - 3", "25 - 3", "22"], ["2*5 + 12", "10 + 12", "22"]),
        ("x/4 = -3", "x = -12", ["(-12)/4", "-3"], ["-3"]),
        ("2(x + 1) = 3", "x = 1/2", ["2(1/2 + 1)", "2(1/2 + 2/2)", "2*(3/2)", "3"], ["3"]),
    ],
)
def test_the_check_shows_the_arithmetic_of_both_sides(
    given: str, value: str, left: list[str], right: list[str]
) -> None:
    [check] = _worked("solve", given)["checks"]

    assert (check["value"], check["holds"], check["says"]) == (value, True, "balances")
    for side, lines in (("left_lines", left), ("right_lines", right)):
        written = [unordered(read(line["text"])) for line in check[side]]
        assert written == [unordered(read(line)) for line in lines], check[side]


@pytest.mark.parametrize(
    ("task", "given", "words"),
    [
        ("solve", "2^x = 5", "logarithms"),
        ("solve", "2^x = x", "outside exponents"),
        ("study", "sqrt(x)", "no rational function"),
    ],
)
def test_what_is_not_built_yet_says_so(task: str, given: str, words: str) -> None:
    with pytest.raises(Failure) as caught:
        _worked(task, given)

    assert caught.value.code == "out-of-scope"
    assert words in caught.value.message
