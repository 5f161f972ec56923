"""Every move, the board and the key are the same path: what is left out is only left out."""

import re
from collections.abc import Callable
from fractions import Fraction
from math import gcd, prod
from typing import Any

from hypothesis import given, settings
from hypothesis import strategies as st

from uchuu_core.notation import read
from uchuu_core.operations import answer
from uchuu_core.tree.build import ZERO
from uchuu_core.tree.nodes import Number, Quotient, Relation, Sum
from uchuu_core.tree.paths import parts
from uchuu_core.tree.shape import unordered

small = st.integers(1, 9)
above = st.integers(2, 9)


def lines_of(task: str, posed: str, density: str) -> Any:
    asked = {"id": "1", "task": task, "given": posed, "house": {"density": density}}
    found = answer("work", asked)
    assert "failure" not in found, found
    return found["lines"]


def forms(lines: list[Any]) -> list[Any]:
    return [unordered(read(line["text"])) for line in lines]


@st.composite
def problems(draw: Any) -> Any:
    a, b, c, d = draw(above), draw(small), draw(above), draw(small)
    return draw(
        st.sampled_from(
            [
                ("solve", f"{a}x + {b} - {d} = {c}x + {d} + x"),
                ("solve", f"x/{a} + x/{a + 1} - {b} = {c}"),
                ("solve", f"{a}(x - {b}) + {c}x = {d}x + {b}"),
                ("solve", f"{a}/x + {b}/{c} = {d}"),
                ("solve", f"x^2 - {a + c}x + {a * c} = 0"),
                ("solve", f"x^2 - {2 * a}x - {b} = 0"),
                ("simplify", f"{a}(x + {b}) - {c}(x - {d}) + x"),
                ("expand", f"({a}x + {b})({c}x - {d})"),
                ("evaluate", f"{a} - {b}*({c} - {d}) + {a}"),
                ("evaluate", f"{b}/{a} * {c}/{a + c} + {d}"),
                ("simplify", f"({a} + sqrt({c}))^2"),
            ]
        )
    )


@settings(max_examples=60)
@given(problems())
def test_a_density_only_leaves_lines_out(problem: tuple[str, str]) -> None:
    task, posed = problem
    fine, board, key = (forms(lines_of(task, posed, d)) for d in ("fine", "board", "key"))
    assert fine[-1] == board[-1] == key[-1]
    for sparse, dense in ((board, fine), (key, board)):
        places = [dense.index(form) for form in sparse]
        assert places == sorted(places)


@settings(max_examples=60)
@given(problems())
def test_a_key_has_a_line_that_carries_it_where_the_board_is_long(problem: tuple[str, str]) -> None:
    task, posed = problem
    board, key = (lines_of(task, posed, d) for d in ("board", "key"))
    states = [line for line in board if not line["text"].startswith("D =")]
    if len(states) > 2:
        assert 2 <= len(key) <= len(board)


@given(above, above, small, small)
def test_what_only_every_move_says_is_not_said_on_the_board(a: int, b: int, c: int, d: int) -> None:
    """The LCD that joins like terms is a move of its own; the board says only that they are alike."""
    posed = f"x/{a} + x/{a + b} - {c} = {d}"
    fine, board = (
        [line["says"] for line in lines_of("solve", posed, density)]
        for density in ("fine", "board")
    )
    assert any("LCD" in says for says in fine)
    for says in board:
        assert not ("LCD" in says and "Like terms" in says)
        assert "is 0." not in says


@given(above, small, small)
def test_what_comes_to_zero_is_written(a: int, b: int, c: int) -> None:
    lines = [read(line["text"]) for line in lines_of("solve", f"{a}x + {b} = {a * c + b}", "fine")]
    zeros = [
        line
        for line in lines
        if isinstance(line, Relation)
        and isinstance(line.left, Sum)
        and any(term.body == ZERO for term in line.left.terms)
    ]
    assert len(zeros) == 1


@given(above, above, small)
def test_fractions_of_a_group_are_brought_to_their_lcd_first(a: int, b: int, c: int) -> None:
    if a == b:
        b += 1
    lines = lines_of("solve", f"x/{a} + x/{b} = {c}", "fine")
    first = read(lines[0]["text"])
    assert isinstance(first, Relation)
    below = {
        int(part.denominator.value)
        for part in parts(first.left)
        if isinstance(part, Quotient) and isinstance(part.denominator, Number)
    }
    assert len(below) == 1
    assert "LCD" in lines[0]["says"]


def _value(text: str) -> Fraction:
    """Work a line of fractions out, by Python's own arithmetic."""
    python = text.replace("^", "**").replace("÷", "/").replace("·", "*")
    tokens = ""
    number = ""
    for character in python + " ":
        if character.isdigit():
            number += character
            continue
        if number:
            tokens += f"Fraction({number})"
            number = ""
        tokens += character
    return Fraction(eval(tokens, {"Fraction": Fraction}))


fraction = st.tuples(small, above)


@settings(max_examples=80)
@given(st.lists(fraction, min_size=2, max_size=3), st.booleans())
def test_fractions_are_multiplied_across_with_nothing_lost(
    pairs: list[tuple[int, int]], divides: bool
) -> None:
    sign = " ÷ " if divides and len(pairs) == 2 else "*"
    written = [f"({top}/{below})" for top, below in pairs]
    posed = sign.join(written)
    value = _value(posed)
    lines = lines_of("evaluate", posed, "fine")
    for line in lines:
        assert _value(line["text"]) == value, line["text"]
    shared = [line for line in lines if line["law"] == "divide-out"]
    for line in shared:
        above, _, below = line["text"].rpartition("/")
        tops, bottoms = (prod(map(int, re.findall(r"\d+", side))) for side in (above, below))
        assert not above or gcd(tops, bottoms) == 1, line["text"]


OPERATIONS: dict[str, Callable[[Any, Any], Fraction]] = {
    " added": lambda value, number: value + number,
    " subtracted": lambda value, number: value - number,
    "times ": lambda value, number: value * number,
    "divided by ": lambda value, number: value / number,
    "squared": lambda value, _: value * value,
    "the opposite": lambda value, _: -value,
}


@settings(max_examples=60)
@given(above, small, above, small, st.integers(-6, 6))
def test_what_is_done_to_the_unknown_gives_the_other_side(
    a: int, b: int, c: int, d: int, x: int
) -> None:
    value = Fraction(a * (x + b) ** 2, c) - d
    posed = f"{a}(x + {b})^2/{c} - {d} = {value}"
    asked = {"id": "1", "task": "solve", "given": posed, "method": "undo-in-reverse-order"}
    found = answer("work", asked)
    if "failure" in found:
        return  # a sum would come below a bar
    said = found["lines"][0]["says"]
    assert said.startswith("What happens to x: ")
    now = Fraction(x)
    for step in said.partition(": ")[2].partition(". ")[0].split(", "):
        name = next(name for name in OPERATIONS if name in step)
        number = step.replace(name, "").strip().replace("−", "-")
        now = OPERATIONS[name](now, Fraction(number) if number else None)
    assert now == value, said
