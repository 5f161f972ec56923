"""Reading back what a writer wrote gives the same tree."""

import pytest
from hypothesis import given

from uchuu_core.failures import Failure
from uchuu_core.notation import latex, plain, read, shown, spoken
from uchuu_core.tests.support.cases import cases
from uchuu_core.tests.support.generators import expressions
from uchuu_core.tests.support.quick import examples
from uchuu_core.tree.nodes import Expr


@given(expressions())
@examples(400)
def test_plain_notation_round_trips(node: Expr) -> None:
    assert read(plain(node), "plain") == node


@given(expressions())
@examples(400)
def test_latex_round_trips(node: Expr) -> None:
    assert read(latex(node), "latex") == node


def _lines() -> list[str]:
    found = []
    for kind in ("work", "check"):
        for case in cases(kind):
            found += [case["given"], *case.get("lines", [])]
    return [text for text in dict.fromkeys(found) if ":" not in text]


@pytest.mark.parametrize("text", _lines())
def test_every_line_of_the_cases_is_read_and_written_back(text: str) -> None:
    line = read(text)

    assert read(plain(line), "plain") == line
    assert read(latex(line), "latex") == line
    assert spoken(line)
    assert shown(line)["sides"]


@pytest.mark.parametrize(
    ("typed", "meant"),
    [
        ("2½", "2 1/2"),
        ("x²−3", "x^2 - 3"),
        ("√28", "sqrt(28)"),
        ("|x−1|", "abs(x - 1)"),
        ("5--3", "5 - (-3)"),
        ("x = 2 or -3", "x = 2 or x = -3"),
        ("x₁+x₂", "x_1 + x_2"),
        ("1/2÷1/4", "1/2 ÷ (1/4)"),
        (r"\frac12x+2\frac{1}{3}", "(1/2)x + 2 1/3"),
        (r"\left(x+1\right)^{10}", "(x + 1)^10"),
        (r"x\ne -3", "x != -3"),
        (r"3\cdot\sqrt[3]{x}", "3*cbrt(x)"),
        (r"x=1\pm\sqrt{5}", "x = 1 ± sqrt(5)"),
    ],
)
def test_what_is_typed_is_read_as_meant(typed: str, meant: str) -> None:
    assert plain(read(typed)) == meant


@pytest.mark.parametrize(
    ("rule", "value"), [("equal", "(6 ÷ 2)(1 + 2)"), ("tighter", "6 ÷ (2(1 + 2))")]
)
def test_an_unwritten_product_obeys_the_house_rule(rule: str, value: str) -> None:
    assert plain(read("6÷2(1+2)", juxtaposition=rule)) == value  # type: ignore[arg-type]


@pytest.mark.parametrize(
    ("text", "at", "words"),
    [
        ("2x +", 4, "stops too early"),
        ("(x", 2, "never closed"),
        ("x)", 1, "closes nothing"),
        ("2 3", 2, "nothing between"),
        ("x2", 1, "nothing between"),
        ("3+*4", 2, "not expected"),
        ("a==b", 2, "cannot stand here"),
        ("", 0, "empty"),
        ("2 % 3", 2, "no meaning"),
        ("()", 1, "should stand here"),
    ],
)
def test_an_unreadable_line_says_where_and_what(text: str, at: int, words: str) -> None:
    with pytest.raises(Failure) as caught:
        read(text)

    assert (caught.value.code, caught.value.at) == ("unreadable", at)
    assert words in caught.value.message


@pytest.mark.parametrize(
    "text",
    [
        "9" * 10_000,
        "(" * 10_000 + "x" + ")" * 10_000,
        "(" * 100 + "x" + ")" * 100,
        "x^" * 900 + "2",
        "-" * 500 + "1",
        "x^1000001",
        "2^(4000000)",
        "+".join("abcdefghjklmnopq"),
        "root(61, x)",
        "\\frac" * 300,
        "|" * 401,
        "{" * 300,
    ],
    ids=lambda text: text[:12],
)
def test_hostile_input_is_refused_with_a_sentence(text: str) -> None:
    with pytest.raises(Failure) as caught:
        read(text)

    assert caught.value.message.endswith((".", "”"))


@pytest.mark.parametrize(
    ("text", "said"),
    [
        ("5x - 3 = 2x + 12", "5 x minus 3 equals 2 x plus 12"),
        ("2(x+5)", "2 times the quantity x plus 5, end quantity"),
        ("(x+1)/2", "the quantity x plus 1, end quantity, over 2"),
        ("-3^2", "minus 3 squared"),
        ("3/4", "3 quarters"),
    ],
)
def test_lines_are_said_so_that_grouping_is_heard(text: str, said: str) -> None:
    assert spoken(read(text)) == said
