"""Every mark points at a part that exists, says something true, and changes nothing of what is written."""

import re
from collections import defaultdict
from collections.abc import Iterator
from random import Random
from typing import Any
from xml.etree import ElementTree

import pytest
from sympy import simplify, sympify

from uchuu_core import problem_from
from uchuu_core.answers.drawn import DrawnLine
from uchuu_core.checking.context import context_of
from uchuu_core.drawing.draw import draw
from uchuu_core.drawing.finding import is_term, part_of, relations
from uchuu_core.drawing.mark import MOST_MARKS
from uchuu_core.drawing.placing import marks_of
from uchuu_core.drawing.table import BY_SENTENCE, MARKED, UNMARKED
from uchuu_core.failures import Failure
from uchuu_core.lawbook.expanding import EVERY_TERM_BY_EVERY_TERM
from uchuu_core.lawbook.register import LAWS
from uchuu_core.lawbook.says import Says
from uchuu_core.methods.catalogue import chosen
from uchuu_core.methods.method import at_density
from uchuu_core.notation import latex, mathml, plain, read
from uchuu_core.notation.decorating import copied
from uchuu_core.tests.support.cases import cases
from uchuu_core.tests.support.problems import EQUATIONS, EXPRESSIONS
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Line
from uchuu_core.tree.paths import walk
from uchuu_core.tree.shape import unordered

KINDS = {**EQUATIONS, **EXPRESSIONS}
Step = tuple[Line, Line, Says]


def _steps(record: dict[str, Any]) -> Iterator[Step]:
    """Yield the steps of a problem as it is worked, on the board and with every move."""
    try:
        problem = problem_from(record)
        context = context_of(problem, [])
        method = chosen(context.posed, problem.task, problem.method)
        moments = list(method.moments(context.posed))
    except Failure:
        return
    for density in ("board", "fine"):
        before = context.given
        for moment in at_density(moments, density):
            yield before, moment.line, moment.says
            before = moment.line


def _made(kind: str, seeds: int = 3) -> Iterator[Step]:
    for seed in range(seeds):
        made = KINDS[kind](Random(f"{kind} {seed}"))
        record = {"task": made.task, "given": made.given, "variable": made.variable}
        yield from _steps({**record, "numbers": made.numbers, **made.record})


def test_each_law_is_drawn_or_says_why_not() -> None:
    assert MARKED.keys() | UNMARKED.keys() == LAWS.keys()
    assert not MARKED.keys() & UNMARKED.keys()
    assert all(UNMARKED.values())
    assert all(s.law is not None and s.law.key in MARKED for s in BY_SENTENCE)


def test_a_hand_marks_nearly_every_line_that_it_would() -> None:
    """95 of 100 lines that ``work`` writes by laws that are drawn."""
    steps = [step for case in cases("work") for step in _steps(case)]
    drawn = [s for s in steps if any(law.key in MARKED for law in s[2].laws)]
    marked = [s for s in drawn if marks_of(*s)]
    assert len(drawn) > 400
    assert len(marked) >= 0.95 * len(drawn)


@pytest.mark.parametrize("kind", KINDS)
def test_marks_point_at_parts_that_exist(kind: str) -> None:
    for before, line, says in _made(kind):
        for mark in marks_of(before, line, says):
            on = line if mark.is_here else before
            part_of(on, mark.at)  # raises where there is none
            if mark.to is not None:
                part_of(on, mark.to)


def _source(node: Any) -> str:
    """Write a part as another program reads it: every product with its sign."""
    text = plain(node).replace("^", "**").replace("÷", "/")
    return re.sub(r"(?<=[\w)])\s*(?=[a-z(])(?<!sqrt)(?<!cbrt)(?<!abs)", "*", text)


@pytest.mark.parametrize("kind", KINDS)
def test_what_is_struck_is_one_factor_above_and_below(kind: str) -> None:
    """What goes of the one is what goes of the other, by another program's algebra."""
    for before, line, says in _made(kind):
        pairs = defaultdict(list)
        for mark in marks_of(before, line, says):
            if mark.kind == "strike" and not any(
                law.key == "reject-candidate" for law in says.laws
            ):
                left = mark.text if mark.text is not None else read("1")
                pairs[mark.pair].append(f"({_source(part_of(before, mark.at))})/({_source(left)})")
        for pair, gone in pairs.items():
            assert pair > 0
            assert len(gone) >= 2
            assert all(_is_same(gone[0], other) for other in gone[1:]), (plain(before), gone)


def _is_same(one: str, other: str) -> bool:
    difference = simplify(sympify(f"({one})-({other})"))
    both = simplify(sympify(f"({one})+({other})"))
    return bool(difference == 0 or both == 0)  # a factor −1 may go with it


@pytest.mark.parametrize("kind", EQUATIONS)
def test_what_is_written_beneath_is_done_to_both_sides(kind: str) -> None:
    """The same is added on the left and on the right; under a term that goes stands its opposite."""
    for before, line, says in _made(kind):
        marks = [m for m in marks_of(before, line, says) if m.kind == "beneath" and not m.is_here]
        added = [m for m in marks if m.text is not None and m.sign in ("", "+")]
        if {law.key for law in says.laws} & {"one-from-each", "common-denominator"}:
            continue
        for path, _ in relations(before):
            sides: list[str] = []
            for number in (0, 1):
                here = [m for m in added if m.at[: len(path) + 1] == (*path, number)]
                sides.append("+".join(f"({_source(m.text)})" for m in here) or "0")
            assert _is_same_number(*sides), (plain(before), says.text, sides)
        for mark in added:
            if is_term(before, mark.at):
                term = part_of(before, mark.at[:-1]).terms[mark.at[-1]]
                stands = f"{'-' if term.sign == '-' else ''}({_source(term.body)})"
                assert _is_same_number(f"{stands}+({_source(mark.text)})", "0"), plain(before)


@pytest.mark.parametrize("kind", EQUATIONS)
def test_a_case_that_stays_bears_no_note(kind: str) -> None:
    """Of several cases only those are worked on that change."""
    for before, line, says in _made(kind):
        after = {unordered(one) for _, one in relations(line)}
        stay = [path for path, one in relations(before) if unordered(one) in after]
        for mark in marks_of(before, line, says):
            if mark.kind in ("beneath", "bracket") and not mark.is_here:
                assert not any(mark.at[: len(path)] == path for path in stay), plain(before)


def _is_same_number(one: str, other: str) -> bool:
    return bool(simplify(sympify(f"({one})-({other})")) == 0)


@pytest.mark.parametrize("kind", KINDS)
def test_marks_change_nothing_but_the_marks(kind: str) -> None:
    made = KINDS[kind](Random(kind))
    record = {"task": made.task, "given": made.given, "variable": made.variable}
    steps = [step for n, step in enumerate(_made(kind, 1)) if n < 12]
    texts = [plain(line) for _, line, _ in steps]
    try:
        lines = draw(problem_from({**record, "numbers": made.numbers, "lines": texts}))["lines"]
    except Failure:
        return
    assert [line["text"] for line in lines[1:]] == texts
    for line in lines:
        if line["typst"]:
            _hold_the_same(line)
            for mark in line["marks"]:
                assert 0 <= mark["on"] < len(lines)
            assert bool(line["marks"]) == bool(line["says"])


def _hold_the_same(line: DrawnLine) -> None:
    tree = read(line["text"], None, "equal")
    named = "".join(line["sides"][side] for side in ("left", "right"))
    assert _unnamed(named) in latex(tree).replace("=", "") + latex(tree)
    written = ElementTree.fromstring(f"<row>{line['mathml']}</row>")
    bare = ElementTree.fromstring(mathml(tree))
    letters = [one.text for one in bare.iter() if one.text]
    assert all(
        letters.count(text) <= [w.text for w in written.iter()].count(text) for text in letters
    )


def _unnamed(text: str) -> str:
    while found := re.search(r"\\htmlClass\{[\w-]+\}\{", text):
        end, depth = found.end(), 1
        while depth:
            depth += {"{": 1, "}": -1}.get(text[end], 0)
            end += 1
        text = text[: found.start()] + text[found.end() : end - 1] + text[end:]
    return text.replace("=", "")


def _drawn(task: str, given: str, *lines: str) -> list[DrawnLine]:
    return draw(problem_from({"task": task, "given": given, "lines": list(lines)}))["lines"]


@pytest.mark.parametrize(
    ("task", "given", "line", "kinds", "says"),
    [
        ("solve", "2x+3 = 11", "2x = 8", ["beneath", "beneath"], "Under 3: −3. Under 11: −3."),
        ("solve", "2x = 8", "x = 4", ["beneath", "beneath"], "Under 2x: ÷2. Under 8: ÷2."),
        ("solve", "x^2+6x+2 = 0", "x^2+6x = -2", ["beneath", "beneath"], "Under 2: −2. Under 0: −2."),
        ("solve", "x^2+6x = 7", "x^2+6x+9 = 7+9", ["box", "box"], "9 in a box: the place was left for it."),
        ("expand", "3(2x-5)", "6x-15", ["arrow", "arrow"], "Arrows from 3 to 2x and −5."),
        ("simplify", "12/18*x", "2/3*x", ["strike", "strike"], "12 is struck, 2 is left. 18 is struck, 3 is left."),
        ("simplify", "2/3+3/4", "8/12+9/12", ["times"] * 4, "2 and 3 times 4. 3 and 4 times 3."),
        ("simplify", "(2/3)/(5/7)", "2/3*7/5", ["swap"], "5/7 turned over."),
        ("simplify", "3x+5-x", "2x+5", ["join", "join"], "3x and −x belong together."),
        ("solve", "x/3 = 5/2", "2x = 15", ["beneath"] * 2, "Under x/3: ·6. Under 5/2: ·6."),
        ("solve", "2^x = 2^3", "x = 3", ["ring", "ring"], "x and 3 ringed."),
    ],
)  # fmt: skip
def test_what_a_hand_marks(task: str, given: str, line: str, kinds: list[str], says: str) -> None:
    drawn = _drawn(task, given, line)[1]

    assert [mark["kind"] for mark in drawn["marks"]] == kinds
    assert drawn["says"] == says


def test_crossed_fractions_have_two_arrows_that_cross() -> None:
    record = {"task": "solve", "given": "3/k = k/(9-2k)", "method": "cross-multiply"}
    before, line, says = next(_steps(record))
    arrows = marks_of(before, line, says)

    assert [(plain(part_of(before, m.at)), plain(part_of(before, m.to or ()))) for m in arrows] == [
        ("3", "9 - 2k"),
        ("k", "k"),
    ]


def test_a_wrong_line_shows_what_the_student_struck() -> None:
    drawn = _drawn("simplify", "(x+3)/3", "x")

    assert [mark["kind"] for mark in drawn[1]["marks"]] == ["strike", "strike"]
    assert r"\cancel{3}" in drawn[0]["tex"]


def test_pairs_are_told_apart_and_both_roots_of_a_line_bear_its_marks() -> None:
    lines = _drawn("simplify", "((x+1)(x-2))/((x-2)(x+1))", "1")
    assert {mark["pair"] for mark in lines[1]["marks"]} == {1, 2}
    assert r"\cancel{" in lines[0]["tex"]
    assert r"\bcancel{" in lines[0]["tex"]
    assert "handstrike(x + 1, pair: #1)" in lines[0]["typst"]

    tracks = _drawn("solve", "(x+3)^2 = 7", "x+3 = ±sqrt(7)", "x = -3±sqrt(7)")[1]
    for track in tracks["sides"]["tracks"]:
        assert track["right"].count(r"\htmlClass{m-1-1}") == 1
    for track in tracks["typst_sides"]["tracks"]:
        assert track["right"].count("handbeneath") == 1


def test_only_the_case_that_changes_is_worked_on() -> None:
    lines = _drawn("solve", "(x-3)(2x-8) = 0", "x = 3 or 2x = 8", "x = 3 or x = 4")
    assert [mark["part"] for mark in lines[2]["marks"]] == ["m-1-1-0", "m-1-1-1"]


def test_a_fraction_that_stays_is_not_struck() -> None:
    line = _drawn("simplify", "6/8 + (6x)/(8y)", "6/8 + (3x)/(4y)")[1]
    assert {mark["kind"] for mark in line["marks"]} <= {"strike", "ring"}
    assert all(mark["part"].startswith("m-0-1") for mark in line["marks"])


def test_a_line_that_is_back_was_not_drawn_from_the_wrong_one_above() -> None:
    lines = _drawn("solve", "2x+3 = 11", "2x = 14", "2x = 8", "x = 4")
    assert lines[1]["marks"]
    assert lines[2]["marks"] == []
    assert {mark["on"] for mark in lines[3]["marks"]} == {2}


def test_remarks_and_unreadable_lines_bear_no_marks_and_lose_none() -> None:
    lines = _drawn("solve", "2x+3 = 11", "now subtract", "2x = = 8", "2x = 8", "x = 4")

    assert [len(line["marks"]) for line in lines] == [0, 0, 0, 2, 2]
    assert {mark["on"] for mark in lines[3]["marks"]} == {0}


def test_every_part_of_a_copy_is_an_object_of_its_own() -> None:
    factor: Any = read("1 - n")
    line = build.product((factor, factor))
    assert part_of(line, (0,)) is part_of(line, (1,))
    own = copied(line)
    assert own == line
    parts = [node for _, node in walk(own)]
    assert len({id(part) for part in parts}) == len(parts)


def test_marks_of_one_step_are_bounded() -> None:
    """A hand that draws everything everywhere draws nothing."""
    bracket = "(" + "+".join(f"{n}x^{n}" for n in range(1, 10)) + ")"
    before = read(f"{bracket}*{bracket}")
    says = EVERY_TERM_BY_EVERY_TERM()
    assert 0 < len(marks_of(before, read("x"), says)) <= MOST_MARKS
