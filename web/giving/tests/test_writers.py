"""Whatever a teacher types, no writer breaks, and nothing typed becomes a command of the format."""

import csv
import io
import re
from typing import Any, Literal

import pytest
from defusedxml.ElementTree import fromstring  # type: ignore[import-untyped]
from exchange.reading import csv_rows
from hypothesis import given, settings
from hypothesis import strategies as st

from giving.maths import math_of
from giving.records import Choice, Held, Leaving, Math, Mistake, Piece, Sheet, SheetItem, Written
from giving.writers.flat import in_latex, latex_source, markdown, plain_text
from giving.writers.packages import item_xml
from giving.writers.page import html_page
from giving.writers.paper import pages, pdf
from giving.writers.tables import harmless

XML_TEXT = st.text(
    st.characters(exclude_categories=("Cs", "Cc"), exclude_characters="\ufffe\uffff"), max_size=40
)
TYPED = st.one_of(
    XML_TEXT,
    st.sampled_from(
        [
            r"\input{/etc/passwd}",
            "#eval(sys)",
            '#read("/etc/passwd")',
            "$x$ & % ~ ^ _ {",
            "</math><script>alert(1)</script>",
            "]]>",
            "`*_[a](b)`",
            "=cmd|' /C calc'!A0",
        ]
    ),
)
LINES = ["x^2/2 = 3", "sqrt(2x + 1)", "no solution", "x = 1/2 or x = -3", "hole: (2, 1/3)"]
MATHS = st.one_of(st.sampled_from(LINES), TYPED).map(math_of)

WORDS = TYPED.map(Piece)
PIECES = st.sampled_from(["x^2/2 = 3", "sqrt(2x + 1)"]).map(lambda text: Piece("", math_of(text)))


MARKS = st.sampled_from(["ok", "condition", "may-add"])
HELD = st.builds(
    Held, MATHS, st.lists(MATHS, min_size=1), st.lists(MATHS, min_size=1), st.booleans(), TYPED
)


@st.composite
def items(draw: st.DrawFn, number: int) -> SheetItem:
    """Return an item with everything that an item can have."""
    return SheetItem(
        number=number,
        task="solve",
        task_words="Solve",
        given=draw(MATHS),
        instruction=draw(TYPED),
        marks=draw(st.one_of(st.none(), st.integers(0, 100))),
        room=draw(st.integers(0, 6)),
        answer=draw(MATHS),
        lines=draw(
            st.lists(
                st.builds(Written, MATHS, st.lists(st.one_of(WORDS, PIECES)), MARKS), max_size=5
            )
        ),
        features=draw(st.lists(MATHS, max_size=3)),
        checks=draw(st.lists(HELD, max_size=2)),
        leavings=draw(
            st.lists(st.builds(Leaving, st.integers(0, 3), TYPED, MATHS, MATHS), max_size=2)
        ),
        choices=[
            Choice("a", draw(MATHS), True),
            Choice("b", draw(MATHS), False, draw(TYPED), draw(TYPED)),
        ],
        mistake=Mistake([draw(MATHS)], 1, draw(TYPED), draw(TYPED), draw(MATHS)),
        refused=draw(TYPED),
    )


@st.composite
def sheets(draw: st.DrawFn) -> Sheet:
    """Return a sheet of any kind."""
    return Sheet(
        title=draw(TYPED),
        form=draw(st.sampled_from(["", "B"])),
        instruction=draw(TYPED),
        what=draw(st.sampled_from(["handout", "short", "key", "mistakes", "choices", "slides"])),
        room=draw(st.sampled_from(["lines", "grid", "none"])),
        paper=draw(st.sampled_from(["a4", "us-letter"])),
        items=[draw(items(number)) for number in range(1, draw(st.integers(0, 3)) + 1)],
    )


@given(sheets())
@settings(max_examples=60)
def test_text_formats_hold_whatever_is_typed(sheet: Sheet) -> None:
    page = html_page(sheet)
    tree = fromstring(page.removeprefix("<!doctype html>\n").replace('<meta charset="utf-8">', ""))
    assert [element.tag for element in tree.iter() if element.tag.endswith("script")] == []
    for text in (plain_text(sheet), markdown(sheet)):
        assert all(f"{item.number}." in text for item in sheet.items)
    latex = latex_source(sheet)
    assert latex.count(r"\begin{") == latex.count(r"\end{") == 2
    assert r"\input{" not in latex


@given(sheets())
@settings(max_examples=12)
def test_paper_is_set_whatever_is_typed(sheet: Sheet) -> None:
    assert pdf([sheet]).startswith(b"%PDF-")
    both = pages([sheet, sheet])  # parallel versions in one file
    assert len(both) == 2 * len(pages([sheet]))
    assert all(b"<svg" in page for page in both)


@pytest.mark.parametrize(
    ("lines", "stops", "tags", "level"),
    [
        (["(x - 2)(x - 3) = 0"], 2, 0, 0),
        (["x - 2 = 0 or x - 3 = 0"], 3, 0, 2),  # a rail to each track
        (["x - 2 = 0 or x - 3 = 0", "x = 2 or x = 3"], 5, 0, 2),  # they go on straight down
        (["x = 2 or x = 3", "x = 2"], 4, 0, 4),  # one joins the spine again, one is struck
        (["x = 2 or x = 3", "2 = x"], 4, 0, 4),  # both join
        ([" or ".join(f"x = {n}" for n in range(6))], 2, 0, 0),  # too many to stand side by side
        (["hole: (2, 3)"], 1, 1, 0),
    ],
)
def test_the_spine_divides_on_paper(lines: list[str], stops: int, tags: int, level: int) -> None:
    written = [Written(math_of(line)) for line in lines]
    item = SheetItem(1, "solve", "Solve", math_of("x^2 - 5x = -6"), lines=written)
    (page,) = pages([Sheet("Quay", "", "", "key", "lines", "a4", [item])])
    drawn = page.decode()
    assert len(re.findall(r'd="M 0 0m 0 [\d.]+c 0 -', drawn)) == stops
    assert len(re.findall(r'd="M 0 0h [\d.]+l [^"]*Z', drawn)) == tags
    under_the_title = 1
    assert len(re.findall(r'd="M 0 0h -?[\d.]+ ?"', drawn)) - under_the_title == level


@given(items(1))
@settings(max_examples=60)
def test_an_item_of_a_package_is_well_formed_whatever_is_typed(item: SheetItem) -> None:
    tree = fromstring(item_xml(item))

    assert [element for element in tree.iter() if element.tag.endswith("script")] == []


@given(st.text(max_size=60))
def test_latex_takes_nothing_of_a_text_for_a_command(text: str) -> None:
    written = in_latex(text)

    without = re.sub(
        r"\\(?:textbackslash|[\^~])\{\}|\$\\?[A-Za-z]*(?:-|\{\})?\$|\\[{}$&#%_]", "", written
    )
    assert not re.search(r"[\\{}$&#%_^~]", without)


CELL = st.text(st.characters(exclude_categories=["Cs"], exclude_characters="\0\r\n"))


@given(st.lists(CELL, min_size=2))
def test_cells_are_read_back_as_they_were_and_never_calculated(cells: list[str]) -> None:
    out = io.StringIO()
    csv.writer(out).writerow(["a", "b"])
    csv.writer(out).writerow([harmless(cell) for cell in cells])

    assert csv_rows(out.getvalue())[1] == cells
    assert all(not str(harmless(cell)).startswith(("=", "+", "-", "@")) for cell in cells)


def test_what_cannot_be_read_stays_as_it_was_typed() -> None:
    assert math_of("2x + = 3") == Math("2x + = 3")
    assert math_of("x=3").text == "x = 3"


def test_a_key_draws_marks_forks_the_boxed_answer_and_the_check() -> None:
    def item(**more: Any) -> SheetItem:
        marks: tuple[Literal["may-add"], Literal["condition"]] = ("may-add", "condition")
        lines = [Written(math_of("x + 6 = x^2"), [], mark) for mark in marks]
        return SheetItem(1, "solve", "Solve", math_of("sqrt(x + 6) = x"), lines=lines, **more)

    def drawn(one: SheetItem) -> tuple[int, int]:
        (page,) = pages([Sheet("Quay", "", "", "key", "lines", "a4", [one])])
        text = page.decode()
        return len(re.findall(r'd="M [^"]*Z', text)), text.count("stroke-dasharray")

    bare, dashes = drawn(item())
    held = Held(math_of("x = 3"), [math_of("sqrt(9)")], [math_of("3")], True, "balances")
    fork = Leaving(1, "Squares each term", math_of("x + 36 = x^2"), math_of("x = 7"))
    more, more_dashes = drawn(item(leavings=[fork], checks=[held], answer=math_of("x = 3")))
    assert more_dashes - dashes == 2  # a fork leaves its line by one bend
    assert more - bare >= 1  # its diamond


KINDS = ("strike", "beneath", "box", "ring", "bracket", "join", "swap", "times")


@pytest.mark.parametrize("pair", [0, 1, 2, 3, 9])
def test_typst_knows_every_mark_at_any_depth(pair: int) -> None:
    """A mark in a fraction, under a root, in an exponent, with a note and without: the page is written."""
    marked = [
        f"hand{kind}({inside}, {note}pair: #{pair})"
        for kind in KINDS
        for note in ("", "note: - 3, ")
        for inside in ("x + 3", "frac(1, 2)", "sqrt(7)")
    ]
    nested = [f"frac({one}, sqrt({one})^({one}))" for one in marked[:6]]
    arrows = [
        'handleaves(3, name: #"m-0") (handreached(2 x, from: #"m-0") - handreached(5, from: #"m-0"))',
        'handreached(x, from: #"nowhere")',
    ]
    lines = [
        Written(Math("x", "x", one, left=one, right=one)) for one in (*marked, *nested, *arrows)
    ]
    item = SheetItem(1, "solve", "Solve", Math("x", "x", marked[0]), lines=lines)
    sheet = Sheet("Marks", "", "", "key", "none", "a4", [item])

    assert pdf([sheet]).startswith(b"%PDF-")
    assert all(page.startswith(b"<svg") for page in pages([sheet]))
