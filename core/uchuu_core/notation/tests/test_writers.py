"""Writers: brackets only where they are needed, grouping heard, sides cut at the sign."""

import pytest

from uchuu_core.notation import latex, plain, read, shown, spoken
from uchuu_core.notation.brackets import needs
from uchuu_core.notation.sides import sides


@pytest.mark.parametrize(
    ("text", "written"),
    [
        ("2*(x+1)", r"2 \cdot (x+1)"),
        ("2(x+1)", "2(x+1)"),
        ("(x+1)/(x-1)", r"\frac{x+1}{x-1}"),
        ("((x+1))/2", r"\frac{(x+1)}{2}"),
        ("(1/2)^3", r"\left(\frac{1}{2}\right)^{3}"),
        ("x^(n+1)", "x^{n+1}"),
        ("5-(-3)", "5-(-3)"),
        ("-(x+1)", "-(x+1)"),
        ("2 1/3", r"2\frac{1}{3}"),
        ("48 ÷ (4*2)", r"48 \div (4 \cdot 2)"),
        ("root(4, 16)", r"\sqrt[4]{16}"),
        ("|x-2|", r"\left|x-2\right|"),
        ("x != 3", r"x\ne 3"),
        ("x_12 + 1", "x_{12}+1"),
        ("x = 2 or x = 3", r"x=2\;\text{ or }\;x=3"),
        ("no solution", r"\text{no solution}"),
        ("{2, -3}", r"\{2, -3\}"),
        ("x = 1 +- 2", r"x=1\pm 2"),
    ],
)
def test_latex_has_brackets_only_where_they_are_needed(text: str, written: str) -> None:
    assert latex(read(text)) == written


@pytest.mark.parametrize(
    ("text", "said"),
    [
        ("x^3", "x cubed"),
        ("(x+1)^2", "the quantity x plus 1, end quantity, squared"),
        ("sqrt(x+1)", "the square root of x plus 1, end root"),
        ("root(5, x)", "the fifth root of x, end root"),
        ("|x|", "the absolute value of x, end absolute value"),
        ("2 3/4", "2 and 3 quarters"),
        ("1/2", "one half"),
        ("7/10", "7 tenths"),
        ("x/5", "x over 5"),
        ("x != 3", "x is not 3"),
        ("x = 2 or x = 3", "x equals 2, or x equals 3"),
        ("6 ÷ 2", "6 divided by 2"),
        ("x^n", "x to the power n"),
        ("x_1", "x sub 1"),
        ("{2, 3}", "the set of 2, 3"),
        ("3 ± 2", "3 plus or minus 2"),
        ("5+-3", "5 plus negative 3"),
        ("2*(x+1)", "2 multiplied by the quantity x plus 1, end quantity"),
        ("sqrt(6)+5", "the square root of 6, end root, plus 5"),
        ("3/(r-7)", "3 over the quantity r minus 7, end quantity"),
        ("V = 4/3 πr^3", "capital V equals 4 thirds pi r cubed"),
    ],
)
def test_lines_are_said_in_words(text: str, said: str) -> None:
    assert spoken(read(text)) == said


@pytest.mark.parametrize(
    ("text", "left", "sign", "right"),
    [
        ("2x = 6", "2x", "=", "6"),
        ("2x + 1", "", "=", "2x+1"),
        ("x != 3", "x", "≠", "3"),
        ("x <= 3", "x", "≤", "3"),
        ("x = 6/2 = 3", "x", "=", r"\frac{6}{2}=3"),
        ("no solution", "", "∴", r"\text{no solution}"),
        ("domain: x != 2", "", "", r"\text{domain: }x\ne 2"),
    ],
)
def test_a_line_is_cut_at_its_sign(text: str, left: str, sign: str, right: str) -> None:
    assert sides(read(text)) == {"left": left, "sign": sign, "right": right}


@pytest.mark.parametrize(
    "text", ["x = 2 or x = 3", "x - 2 = 0 or x^2 = 3 or x = 1", "x < 2 or x > 3"]
)
def test_the_spine_divides_where_or_stands(text: str) -> None:
    found = sides(read(text))
    signs = {"≤": r"\le ", "≥": r"\ge "}
    whole = [
        one["left"] + signs.get(one["sign"], one["sign"]) + one["right"] for one in found["tracks"]
    ]
    assert r"\;\text{ or }\;".join(whole) == latex(read(text))
    assert whole[0].startswith(found["left"] + found["sign"])


@pytest.mark.parametrize("text", ["x != 2, x != 3", "2x = 6", "x = 2 + 3"])
def test_it_does_not_divide_elsewhere(text: str) -> None:
    assert "tracks" not in sides(read(text))


def test_what_a_screen_needs_comes_together() -> None:
    found = shown(read("2x = 6"))

    assert set(found) == {"latex", "sides", "spoken"}


@pytest.mark.parametrize(
    ("place", "text", "in_plain", "in_latex"),
    [
        ("numerator", "x + 1", True, False),
        ("numerator", "2x", False, False),
        ("denominator", "2x", True, False),
        ("exponent", "n + 1", True, False),
        ("base", "-3", True, True),
        ("base", "x", False, False),
        ("factor", "x + 1", True, True),
        ("factor", "x/3", True, False),
        ("juxtaposed factor", "3", True, True),
        ("term", "-3", True, True),
        ("free", "x + 1", False, False),
    ],
)
def test_one_rule_says_where_brackets_are_needed(
    place: str, text: str, in_plain: bool, in_latex: bool
) -> None:
    node = read(text)

    assert needs("plain", place, node) is in_plain  # type: ignore[arg-type]
    assert needs("latex", place, node) is in_latex  # type: ignore[arg-type]


@pytest.mark.parametrize(
    "text", ["2x+1", "(x+1)/2", "18 - 3*(7 - 2)", "0.50x", "2 1/3", "x = 1 or x = -2"]
)
def test_writing_what_was_read_changes_nothing_more(text: str) -> None:
    once = plain(read(text))

    assert plain(read(once)) == once
