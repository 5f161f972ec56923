"""Papers from a table: every row is told once, whatever stands in it, and nothing is made up."""

from types import SimpleNamespace
from typing import Any

import pytest
from api.failures import Refused
from exchange.reading import csv_rows
from hypothesis import given, settings
from hypothesis import strategies as st

from papers.table import MOST_ROWS, papers_of

STUDENTS: Any = [SimpleNamespace(pk=n, code=f"c{n}") for n in range(3)]
_NUMBERED: Any = {n: SimpleNamespace(pk=10 + n, number=n) for n in (1, 2)}


def item_of(_student: Any, number: int) -> Any:
    return _NUMBERED.get(number)


CELL = st.sampled_from(
    ["c0", "C1", "c9", "1", "2", "no. 2", "7", "", "x = 3", "=formula", "  ", "#1"]
)
ROWS = st.lists(st.lists(CELL, max_size=5), max_size=8)


@given(ROWS)
@settings(max_examples=200, deadline=None)
def test_every_row_is_told_once_and_lines_are_what_stood_there(rows: list[list[str]]) -> None:
    papers, told = papers_of(rows, STUDENTS, item_of)
    assert len({one.at for one in told}) == len(told)
    full = [at for at, row in enumerate(rows, start=1) if any(cell.strip() for cell in row)]
    assert {one.at for one in told} >= {at for at in full if at > 1}
    assert {one.at for one in told} <= set(full)
    assert all(one.taken == (one.says == "") for one in told)
    taken = [rows[one.at - 1] for one in told if one.taken]
    cells = [cell.strip() for row in taken for cell in row[2:] if cell.strip()]
    assert sorted(line for paper in papers for line in paper.lines) == sorted(cells)
    assert len({(paper.student.pk, paper.item.pk) for paper in papers}) == len(papers)


def test_a_head_is_no_paper_and_a_first_row_without_one_is() -> None:
    assert papers_of([["code", "item", "line"]], STUDENTS, item_of) == ([], [])
    papers, told = papers_of([["c0", "1", "x = 7"]], STUDENTS, item_of)
    assert [paper.lines for paper in papers] == [["x = 7"]]
    assert [one.at for one in told] == [1]


@pytest.mark.parametrize("between", [",", ";", "\t"])
def test_cells_are_parted_by_what_the_table_uses(between: str) -> None:
    rows = csv_rows(between.join(["c0", "1", "x = 1", "x = 2"]))
    papers, _ = papers_of(rows, STUDENTS, item_of)
    assert papers[0].lines == ["x = 1", "x = 2"]


def test_no_line_of_a_paper_that_is_too_long_is_dropped_unsaid() -> None:
    rows = [["c0", "1", *["x = 1"] * 40], ["c0", "1", *["x = 2"] * 40]]
    papers, told = papers_of(rows, STUDENTS, item_of)
    assert [one.taken for one in told] == [True, False]
    assert len(papers[0].lines) == 40


def test_a_table_that_is_too_long_is_refused_whole() -> None:
    with pytest.raises(Refused):
        papers_of([["c0", "1", "x"]] * (MOST_ROWS + 1), STUDENTS, item_of)
