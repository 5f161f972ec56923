"""Marks in every notation, and in words: each kind is drawn, none swallows what it marks."""

import re
from typing import Any, get_args
from xml.etree import ElementTree

import pytest

from uchuu_core.answers.drawn import MarkKind
from uchuu_core.drawing.finding import (
    bars,
    factors_of,
    first,
    found,
    gone,
    missing,
    relations,
    terms_of,
)
from uchuu_core.drawing.mark import Mark
from uchuu_core.drawing.rounds import (
    OnLine,
    drawn,
    end_in_latex,
    end_in_mathml,
    end_in_typst,
    in_latex,
    in_mathml,
    in_typst,
    rounds,
)
from uchuu_core.drawing.words import in_words
from uchuu_core.notation import latex, mathml, plain, read, typst
from uchuu_core.notation.decorating import carried, copied, decorated, decorating
from uchuu_core.notation.sides import sides
from uchuu_core.tree.nodes import Sum
from uchuu_core.tree.paths import part_at

KINDS: tuple[MarkKind, ...] = get_args(MarkKind)
LINE = "3(2x-5) = 7/2"
FACTOR, FIRST, SECOND, RIGHT = (0, 0), (0, 1, 0), (0, 1, 1), (1,)
WRITERS = {
    "typst": (typst, in_typst, end_in_typst),
    "latex": (latex, in_latex, end_in_latex),
    "mathml": (mathml, in_mathml, end_in_mathml),
}


def _mark(kind: MarkKind, **more: Any) -> Mark:
    to = SECOND if kind == "arrow" else None
    return Mark(kind, FACTOR, to=to, **more)


def _written(name: str, *marks: Mark, text: str = LINE) -> str:
    write, put, end = WRITERS[name]
    line = copied(read(text))
    listed = [OnLine(mark, f"m-0-{n}") for n, mark in enumerate(marks)]
    with decorating(drawn(line, listed, put, end)):
        return write(line)


@pytest.mark.parametrize("kind", KINDS)
@pytest.mark.parametrize("name", WRITERS)
def test_each_kind_of_mark_is_drawn_in_each_notation(kind: MarkKind, name: str) -> None:
    bare = WRITERS[name][0](read(LINE))

    marked = _written(name, _mark(kind, text=read("2"), pair=1))
    assert marked != bare
    # what is marked still stands there, with all that stands round it
    letters = [c for c in bare if c.isalnum()]
    left = iter(c for c in marked if c.isalnum())
    assert all(letter in left for letter in letters)
    if name == "mathml":
        ElementTree.fromstring(marked)
    if name == "latex":
        assert marked.count("{") == marked.count("}")
    if name == "typst":
        assert marked.count("(") == marked.count(")")
        assert re.search(r"\bhand[a-z]+\(", marked)


@pytest.mark.parametrize("name", WRITERS)
def test_nothing_is_left_behind_when_the_drawing_is_done(name: str) -> None:
    bare = WRITERS[name][0](read(LINE))
    _written(name, _mark("ring"))
    assert WRITERS[name][0](read(LINE)) == bare


def test_pairs_of_strikes_differ_in_every_notation() -> None:
    for name in WRITERS:
        several = {_written(name, _mark("strike", pair=pair)) for pair in (1, 2, 3)}
        assert len(several) == 3


def test_several_marks_of_one_part_lie_round_each_other() -> None:
    text = _written("latex", _mark("ring"), _mark("strike", pair=1))
    assert text.startswith(r"\cancel{\underbrace{3}}")


@pytest.mark.parametrize(
    ("mark", "expected"),
    [
        (_mark("strike", pair=1, text=read("5")), r"\overset{5}{\cancel{3}}"),
        (_mark("strike", pair=2), r"\bcancel{3}"),
        (_mark("beneath", text=read("4"), sign="+"), r"\underset{+ 4}{3}"),
        (_mark("beneath", text=read("-4")), r"\underset{-4}{3}"),
        (_mark("beneath", sign="√"), r"\underset{\sqrt{\ }}{3}"),
        (_mark("box"), r"\boxed{3}"),
        (_mark("ring", sign="sum"), r"\underbrace{3}_{\text{sum}}"),
        (_mark("join", pair=2), r"\underline{\underline{3}}"),
        (_mark("times", text=read("x+1"), sign="·"), r"\overset{\cdot x+1}{3}"),
        (_mark("bracket"), r"\left[3\right]"),
        (_mark("swap"), r"\overset{\circlearrowleft}{3}"),
        (_mark("arrow"), r"\overset{\curvearrowright}{5}"),
    ],
)
def test_how_latex_draws(mark: Mark, expected: str) -> None:
    assert expected in _written("latex", mark)


def test_a_part_is_named_for_the_screen_and_a_lone_sum_is_not() -> None:
    line = copied(read("2x + 3 = 11"))
    marks = [OnLine(Mark("ring", at), "") for at in ((0,), (0, 1), (1,))]
    named = rounds(line, marks, lambda path: "m-7-" + "-".join(map(str, path)))
    with decorating(named):
        cut = sides(line)
    assert cut["left"] == r"2x+\htmlClass{m-7-0-1}{3}"
    assert cut["right"] == r"\htmlClass{m-7-1}{11}"


def test_what_is_written_in_the_place_of_a_part_bears_its_marks() -> None:
    part, new = read("x"), read("y")
    with decorating({id(part): lambda text: f"<{text}>"}):
        assert carried(part, new) is new
        assert decorated(new, "y") == "<y>"
    assert decorated(new, "y") == "y"


@pytest.mark.parametrize(
    ("marks", "says"),
    [
        ([Mark("ring", FACTOR), Mark("ring", RIGHT)], "3 and 7/2 ringed."),
        ([Mark("ring", FACTOR, sign="product")], "3 ringed: product."),
        ([Mark("ring", FACTOR, text=read("a"))], "3 ringed: a."),
        ([Mark("strike", FACTOR, pair=1)], "3 is struck."),
        ([Mark("strike", FACTOR, pair=1), Mark("strike", FIRST, pair=1)], "3 and 2x are struck."),
        ([Mark("bracket", (0,), pair=1), Mark("bracket", RIGHT, pair=1)], "3(2x − 5) and 7/2 in brackets: each acts as one."),
        ([Mark("arrow", FACTOR, to=FIRST), Mark("arrow", FACTOR, to=SECOND)], "Arrows from 3 to 2x and −5."),
        ([Mark("swap", RIGHT)], "7/2 turned over."),
        ([Mark("join", FIRST, pair=1), Mark("join", SECOND, pair=1)], "2x and −5 belong together."),
        ([Mark("beneath", RIGHT, text=read("4"), sign="÷")], "Under 7/2: ÷4."),
        ([], ""),
    ],
)  # fmt: skip
def test_marks_in_words(marks: list[Mark], says: str) -> None:
    assert in_words(marks, read(LINE), read(LINE)).text == says


def _parts(text: str, groups: list[tuple[tuple[int, ...], ...]]) -> list[list[str]]:
    line = read(text)
    return [[plain(part) for at in group if (part := part_at(line, at))] for group in groups]


@pytest.mark.parametrize(
    ("line", "part", "places"),
    [
        ("2x + 3 = 11", "3", [["3"]]),
        ("3 + x + 3y", "y + 3", []),
        ("5 + 2x + 7", "5 + 7", [["5", "7"]]),
        ("7 - 2x - 5", "-5 + 7", [["7", "5"]]),
        ("2*x*y/3", "x*y", [["x", "y"]]),
        ("2*3*x", "2*x", [["2", "x"]]),
        ("(x+3)(x-3)/((x+2)(x+3))", "x + 3", [["x + 3"], ["x + 3"]]),
        ("(x+3)^2", "x+3", [["x + 3"]]),
        ("x^2 = 9", "y", []),
    ],
)
def test_where_a_part_of_a_sentence_stands(line: str, part: str, places: list[list[str]]) -> None:
    assert _parts(line, found(read(line), read(part))) == places
    assert first(read(line), read(part)) == (found(read(line), read(part)) or [()])[0]


def test_terms_factors_bars_and_equations_of_a_line() -> None:
    line = read("2(x-3)/5 + 4 = 7 or x = 1")
    (one, two), *_ = [relations(line)]
    assert [path for path, _ in (one, two)] == [(0,), (1,)]
    left: Any = one[1].left
    assert isinstance(left, Sum)
    assert len(terms_of(left, (0, 0))) == 2
    assert [path for path, _ in bars(line)] == [(0, 0, 0)]
    top = (0, 0, 0, 0)
    assert [plain(node) for _, node in factors_of(line, top)] == ["2", "x - 3"]


def test_what_goes_and_what_is_missing() -> None:
    before, line = read("(x+1)^2 + 3*4"), read("x^2+2x+1 + 12")
    parts = [part_at(before, at) for at in missing(before, line, (type(read("x*4")),))]
    assert [plain(part) for part in parts if part] == ["3*4"]
    assert gone(before, before) == []
    assert gone(before, line)
