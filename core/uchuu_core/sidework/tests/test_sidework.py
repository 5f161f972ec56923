"""Side work is true: by another program's algebra, and by our own judge where it is written as lines."""

from collections.abc import Iterator
from itertools import pairwise
from random import Random
from typing import Any

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from sympy import Poly, Symbol, expand, factorint, fraction, lcm, simplify, sympify, together
from sympy import div as sympy_div
from sympy.parsing.sympy_parser import (
    implicit_multiplication_application,
    parse_expr,
    standard_transformations,
)

from uchuu_core import check, problem_from, work
from uchuu_core.answers.sidework import SideWork
from uchuu_core.failures import Failure
from uchuu_core.lawbook.register import LAWS
from uchuu_core.sidework.beside import beside
from uchuu_core.sidework.numbers import _IN_LETTERS
from uchuu_core.sidework.polynomials import pairs
from uchuu_core.sidework.table import BESIDE
from uchuu_core.tests.support.cases import cases
from uchuu_core.tests.support.problems import EQUATIONS, EXPRESSIONS

KINDS = {**EQUATIONS, **EXPRESSIONS}
_READS = (*standard_transformations, implicit_multiplication_application)


def _value(text: str) -> Any:
    return parse_expr(text.replace("^", "**").replace("÷", "/"), transformations=_READS)


def _worked(record: dict[str, Any]) -> tuple[dict[str, Any], list[SideWork]]:
    """Return a problem with its worked lines, and the side work beside them."""
    try:
        lines = [line["text"] for line in work(problem_from(record))["lines"]]
        record = {**record, "lines": lines}
        return record, beside(problem_from(record))["works"]
    except Failure:
        return record, []


def _of_kinds() -> Iterator[tuple[dict[str, Any], SideWork]]:
    for kind, make in KINDS.items():
        made = make(Random(kind))
        record = {"task": made.task, "given": made.given, "variable": made.variable, **made.record}
        record, works = _worked({**record, "numbers": made.numbers})
        yield from ((record, one) for one in works)
    for case in cases("work"):
        record, works = _worked(case)
        yield from ((record, one) for one in works)


@pytest.fixture(scope="module")
def everything() -> list[tuple[dict[str, Any], SideWork]]:
    return list(_of_kinds())


def _texts(rows: list[Any]) -> list[list[str]]:
    return [[c["text"] + (c["math"]["text"] if c["math"] else "") for c in row] for row in rows]


def _works(task: str, given: str, *lines: str, **more: Any) -> list[SideWork]:
    record: dict[str, Any] = {"task": task, "given": given, **more}
    if not lines:
        return _worked(record)[1]
    return beside(problem_from({**record, "lines": list(lines)}))["works"]


def test_every_kind_of_side_work_is_met(everything: list[tuple[dict[str, Any], SideWork]]) -> None:
    assert {work["kind"] for _, work in everything} == {
        "calculation", "pairs", "box", "primes", "long-division", "synthetic-division", "denominator",
        "list", "number-line", "done", "balance",
    }  # fmt: skip
    assert BESIDE.keys() <= LAWS.keys()


def test_what_stands_beside_a_line_is_true(
    everything: list[tuple[dict[str, Any], SideWork]],
) -> None:
    held = 0
    for record, one in everything:
        holds = _TRUE.get(one["kind"])
        if holds is not None:
            assert holds(_texts(one["rows"]), one, record), (record["given"], one)
            held += 1
    assert held > 80


def _pairs_hold(rows: list[list[str]], one: SideWork, _record: dict[str, Any]) -> bool:
    tried = [tuple(map(int, row)) for row in rows[1:]]
    marks = [row[0]["mark"] for row in one["rows"][1:]]
    products = {a * b for a, b, _ in tried}
    return (
        len(products) == 1
        and all(a + b == total for a, b, total in tried)
        and marks.count("fits") == ("none" not in one["says"])
    )


def _box_holds(rows: list[list[str]], _one: SideWork, _record: dict[str, Any]) -> bool:
    across = [_value(text) for text in rows[0][1:]]
    return all(
        expand(_value(cell) - _value(row[0]) * top) == 0
        for row in rows[1:]
        for cell, top in zip(row[1:], across, strict=True)
    )


def _primes_hold(rows: list[list[str]], _one: SideWork, _record: dict[str, Any]) -> bool:
    primes = [int(row[1]) for row in rows[:-1]]
    number = int(rows[0][0])
    return sorted(primes) == sorted(p for p, n in factorint(number).items() for _ in range(n))


def _calculation_holds(rows: list[list[str]], _one: SideWork, _record: dict[str, Any]) -> bool:
    links = [rows[0][0], *(row[2] for row in rows)]
    values = [complex(_value(text).evalf()) for text in links]
    return all(abs(value - values[0]) < 1e-9 for value in values)


def _denominators_hold(rows: list[list[str]], one: SideWork, _record: dict[str, Any]) -> bool:
    below = [_value(row[1]) for row in rows[1:]]
    common = lcm([simplify(b) for b in below])
    return all(
        simplify(_value(row[1]) * (1 if row[2] == "–" else _value(row[2])) / common).is_number
        for row in rows[1:]
    )


def _long_holds(rows: list[list[str]], _one: SideWork, record: dict[str, Any]) -> bool:
    top, bottom = map(expand, fraction(together(_value(record["given"]))))
    quotient, rest = sympy_div(top, bottom)
    ratio = simplify(_sum(rows[0][1:]) - quotient)
    return bool(
        ratio == 0 and simplify(_sum(rows[-1][1:]) * bottom / _value(rows[1][0]) - rest) == 0
    )


def _sum(cells: list[str]) -> Any:
    return sum(
        (_value(cell.replace("−", "-").removeprefix("+")) for cell in cells if cell), sympify(0)
    )


def _synthetic_holds(rows: list[list[str]], _one: SideWork, _record: dict[str, Any]) -> bool:
    zero, *numbers = [_value(text) for text in rows[0]]
    x = Symbol("x")
    quotient, rest = sympy_div(Poly(numbers, x), Poly([1, -zero], x))
    ends = [_value(text) for text in rows[2][1:]]
    return bool(ends == [*quotient.all_coeffs(), rest.as_expr()])


_TRUE = {
    "pairs": _pairs_hold,
    "box": _box_holds,
    "primes": _primes_hold,
    "calculation": _calculation_holds,
    "denominator": _denominators_hold,
    "long-division": _long_holds,
    "synthetic-division": _synthetic_holds,
}


@given(st.integers(-400, 400).filter(bool), st.integers(-60, 60).filter(bool))
@settings(max_examples=200)
def test_pairs_are_tried_until_one_fits_and_none_is_missed(product: int, total: int) -> None:
    tried = pairs(product, total)

    assert all(a * b == product for a, b in tried)
    assert all(sum(pair) != total for pair in tried[:-1])
    there_is = any(product % a == 0 and a + product // a == total for a in range(-400, 401) if a)
    assert (sum(tried[-1]) == total) == there_is


def test_laws_in_letters_are_laws() -> None:
    for law, lines in _IN_LETTERS.items():
        assert law in LAWS
        for text in lines:
            left, right = (_value(side.strip()) for side in text.split("="))
            for numbers in ({"a": 2.5, "b": 3, "m": 4, "n": 3}, {"a": 7, "b": 1.5, "m": 2, "n": 5}):
                sides = [float(side.subs(numbers)) for side in (left, right)]
                assert abs(sides[0] - sides[1]) < 1e-9 * abs(sides[0]), text


def test_what_can_be_written_of_it_is_held_as_side_lines(
    everything: list[tuple[dict[str, Any], SideWork]],
) -> None:
    """The judge, who knows nothing of side work, calls none of these lines wrong, nor the lines after them."""
    held = 0
    for record, one in everything:
        if one["lines"]:
            at = one["line"] - 1
            lines = [*record["lines"][:at], *one["lines"], *record["lines"][at:]]
            judged = check(problem_from({**record, "lines": lines}))["lines"]
            verdicts = [line["verdict"] for line in judged]
            assert not {"wrong", "loses", "unreadable"} & set(verdicts), (record["given"], lines)
            held += len(one["lines"])
    assert held > 30


def test_a_false_side_line_is_named_like_any_other() -> None:
    record = {"task": "simplify", "given": "sqrt(28)", "lines": ["28 = 2^2*8", "sqrt(4*7)"]}
    first = check(problem_from(record))["lines"][0]
    assert first["verdict"] == "wrong"


def test_a_number_line_shows_what_belongs() -> None:
    (line,) = [one for one in _works("domain", "sqrt(x+2)/(x-3)") if one["kind"] == "number-line"]

    assert [(m["math"]["text"], m["is_open"]) for m in line["marks"]] == [
        ("-2", False),
        ("3", True),
    ]
    assert [stretch["belongs"] for stretch in line["stretches"]] == [False, True, True]


@pytest.mark.parametrize("low", [-3, 0, 2])
@pytest.mark.parametrize("gap", [-1, 4])
def test_number_lines_agree_with_numbers_put_in(low: int, gap: int) -> None:
    given = f"sqrt(x-({low}))/(x-({gap}))"
    (line,) = [one for one in _works("domain", given) if one["kind"] == "number-line"]
    ends = [mark["at"] for mark in line["marks"]]
    inside = [
        ends[0] - 1,
        *((a + b) / 2 for a, b in pairwise(ends)),
        ends[-1] + 1,
    ]
    for x, stretch in zip(inside, line["stretches"], strict=True):
        assert stretch["belongs"] == (x >= low and x != gap)
    for mark in line["marks"]:
        assert mark["is_open"] == (mark["at"] < low or mark["at"] == gap)


@pytest.mark.parametrize(
    ("line", "tilt", "off"), [("2x = 8", 0, "3"), ("2x = 14", 1, None), ("2x = 2", -1, None)]
)
def test_a_balance_tips_where_one_side_got_more(line: str, tilt: int, off: str | None) -> None:
    (pans,) = [one for one in _works("solve", "2x+3 = 11", line) if one["kind"] == "balance"]

    assert [c["math"]["text"] for c in pans["left"]["weights"] if c["math"]] == ["2x", "3"]
    assert pans["tilt"] == tilt
    assert (pans["off"]["text"] if pans["off"] else None) == off


def test_what_is_done_to_x_is_undone_from_the_end() -> None:
    (done,) = [
        one
        for one in _works("solve", "sqrt(2x+3) = 5", method="undo-in-reverse-order")
        if one["kind"] == "done"
    ]
    assert _texts(done["rows"])[1:] == [
        ["Times 2", "Divided by 2"],
        ["3 added", "3 subtracted"],
        ["The square root", "Squared"],
    ]


def test_nothing_stands_twice_and_nothing_beside_what_cannot_be_read() -> None:
    works = _works("study", "(x^2+4x-12)/(x+1)")
    assert len({(w["kind"], w["says"]) for w in works}) == len(works)
    assert _works("solve", "2x = 6", "x = = 3") == []
    with pytest.raises(Failure):
        _works("solve", "2x = = 3", "x = 1")
