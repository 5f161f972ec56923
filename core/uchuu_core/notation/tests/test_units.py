"""Unit words are one letter: read, written, judged, and told from products of letters."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from uchuu_core.notation import latex, plain, read, readable
from uchuu_core.notation.units import KNOWN, quoted, units_in
from uchuu_core.operations import answer
from uchuu_core.tree.nodes import Symbol
from uchuu_core.tree.paths import letters


def verdicts(task: str, posed: str, *lines: str) -> list[str]:
    found = answer("check", {"id": "1", "task": task, "given": posed, "lines": list(lines)})
    return [line["verdict"] for line in found["lines"]]


@given(st.sampled_from(KNOWN), st.integers(2, 99))
def test_a_word_in_quotes_is_one_letter_in_every_notation(unit: str, number: int) -> None:
    line = read(f'{number} "{unit}"')
    assert letters(line) == {unit}
    assert read(plain(line)) == line
    assert read(latex(line)) == line
    assert readable(line) == f"{number} {unit}"


@given(st.sampled_from(KNOWN), st.integers(2, 99))
def test_a_known_unit_is_one_beside_a_number_and_letters_elsewhere(unit: str, number: int) -> None:
    assert units_in(f"{number} {unit}") == {unit}
    assert units_in(f"{number}{unit} + x") == frozenset()


def test_letters_side_by_side_stay_a_product() -> None:
    assert letters(read("km/(kn)")) == {"k", "m", "n"}
    assert isinstance(read('"km"'), Symbol)
    assert quoted("km/(kn)", units_in("km/(kn)")) == "km/(kn)"


@pytest.mark.parametrize(
    ("posed", "end"),
    [
        ("60 km/h * 2 h", '120"km"'),
        ("90 miles/hour * 2 hours", '180"miles"'),
        ('5 "crates"/"box" * 3 "box"', '15"crates"'),
        ("12 kg/(3 kg)", "4"),
        ("m/s * s", "m"),
    ],
)
def test_units_divide_out(posed: str, end: str) -> None:
    assert answer("work", {"id": "1", "task": "simplify", "given": posed})["answer"] == end


def test_lines_are_read_with_the_units_of_their_problem() -> None:
    posed = "90 miles/hour * 2 hours"
    assert verdicts("simplify", posed, "180 miles") == ["ok"]
    assert verdicts("simplify", posed, "180miles") == ["ok"]
    assert verdicts("simplify", posed, "180 miles/hour") == ["wrong"]
    assert verdicts("simplify", posed, "45 miles") == ["wrong"]
