"""What is lit is new and reads as the line does; what is told is what the judge knows."""

from random import Random

import pytest

from uchuu_core import problem_from, work
from uchuu_core.answers.forked import ToldLine
from uchuu_core.failures import Failure
from uchuu_core.notation import read
from uchuu_core.telling.tell import tell
from uchuu_core.tests.support.problems import EQUATIONS, EXPRESSIONS

LIT = r"\htmlClass{lit}{"


def _told(task: str, given: str, *lines: str) -> list[ToldLine]:
    record = {"task": task, "given": given, "lines": list(lines)}
    return tell(problem_from(record))["lines"]


@pytest.mark.parametrize(
    ("before", "after", "left", "right"),
    [
        ("2x + 6 = 10", "2x = 4", "2x", r"\htmlClass{lit}{4}"),
        ("2(x+3) = 10", "2x + 6 = 10", r"\htmlClass{lit}{2x}+\htmlClass{lit}{6}", "10"),
        ("2x = 4", "x = 2", "x", "2"),
        ("x + 3 = 5", "x - 3 = 5", r"x-\htmlClass{lit}{3}", "5"),
        ("x = 3", "x = 3", "x", "3"),
    ],
)
def test_what_is_new_is_lit(before: str, after: str, left: str, right: str) -> None:
    lit = _told("solve", before, after)[1]["lit"]

    assert (lit["left"], lit["right"]) == (left, right)


def _unlit(latex: str) -> str:
    """Return *latex* without its lights: each opening mark and the brace that closes it."""
    while (start := latex.find(LIT)) >= 0:
        end, depth = start + len(LIT), 1
        while depth:
            depth += {"{": 1, "}": -1}.get(latex[end], 0)
            end += 1
        latex = latex[:start] + latex[start + len(LIT) : end - 1] + latex[end:]
    return latex


@pytest.mark.parametrize("kind", [*EQUATIONS, *EXPRESSIONS])
def test_lighting_changes_nothing_but_the_light(kind: str) -> None:
    made = {**EQUATIONS, **EXPRESSIONS}[kind](Random(kind))
    record = {"task": made.task, "given": made.given, "variable": made.variable}
    try:
        lines = [line["text"] for line in work(problem_from(record))["lines"]]
    except Failure:
        return
    told = tell(problem_from({**record, "lines": lines}))["lines"]
    assert [line["text"] for line in told[1:]] == lines
    for line in told:
        for side in ("left", "right"):
            assert _unlit(line["lit"][side]) == line["sides"][side]
        assert line["say"]


def test_each_line_is_asked_for_and_watched_over() -> None:
    lines = _told("solve", "3(2x - 4) = 2x + 8", "6x - 12 = 2x + 8", "4x = 20", "x = 5")

    assert lines[0]["watch"][0]["name"] == "Multiplies only the first term of the bracket"
    assert lines[0]["watch"][0]["wrong"] == "6x - 4 = 2x + 8"
    assert all(line["ask"].endswith("?") for line in lines[1:])
    assert lines[1]["say"]


def test_a_line_that_cannot_be_read_is_told_as_typed() -> None:
    lines = _told("solve", "2x = 8", "x = = 4", "x = 4")

    assert lines[1]["text"] == "x = = 4"
    assert lines[1].get("lit") is None
    assert lines[2]["lit"]["left"] == "x"
    assert read(lines[2]["text"]) == read("x = 4")
