"""What moves make of a line is remembered: asked again, or in any order, it is the same."""

from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from uchuu_core import limits
from uchuu_core.moves import places
from uchuu_core.moves.catalogue import ERRORS, LAWS
from uchuu_core.moves.move import CANDIDATE_EFFORT, Move
from uchuu_core.moves.places import Places, places_of
from uchuu_core.notation import plain, read
from uchuu_core.tests.support.quick import examples
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.paths import walk

TEXTS = (
    "3(x - 2) = 2(x + 5)",
    "x^2 - 7x + 12 = 0",
    "(x^2 - 9)/(x^2 - x - 6)",
    "sqrt(50) + 3sqrt(8)",
    "2/x + 1/3 = 5/6",
    "-3^2 + 4*(-2)^3",
    "(2x^3)^2/(4x^5)",
    "6x^2 + 7x - 3",
)
MOVES: tuple[Move, ...] = (*LAWS, *ERRORS)


def made(move: Move, text: str) -> list[Any]:
    line = without_brackets(read(text))
    parts = places_of(line)
    if not move.may_do_something(parts.kinds):
        return []
    return [(plain(step.result), step.at, step.owes) for step in move.apply_at(line, parts)]


def forget() -> None:
    places._lines.clear()
    places._parts.clear()


@given(st.lists(st.tuples(st.sampled_from(MOVES), st.sampled_from(TEXTS)), max_size=12))
@examples(60)
def test_in_whatever_order_they_are_asked_moves_make_the_same(
    asked: list[tuple[Move, str]],
) -> None:
    forget()
    first = {(move.key, text): made(move, text) for move, text in asked}
    forget()
    for move, text in reversed(asked):
        assert made(move, text) == first[move.key, text]
        assert made(move, text) == first[move.key, text]


@pytest.mark.parametrize("text", TEXTS)
def test_what_is_remembered_costs_what_it_cost_the_first_time(text: str) -> None:
    """Bounds count work: an answer must not depend on what was asked before."""
    line = without_brackets(read(text))
    for move in ERRORS[::9]:
        spent = []
        for _ in range(2):
            with limits.within(10**6):
                steps = list(move.apply_at(line, places_of(line)))
                effort = limits._effort.get()
                assert effort is not None
                spent.append(10**6 - effort.left)
        assert spent[0] == spent[1]
        of_parts = [step for step in steps if step.at != () or not move.whole_line]
        assert spent[0] <= len(places_of(line).all) + CANDIDATE_EFFORT * len(of_parts)


@pytest.mark.parametrize("text", TEXTS)
def test_some_places_give_and_cost_the_same_whether_the_whole_line_is_remembered_or_not(
    text: str,
) -> None:
    line = without_brackets(read(text))
    for place, _ in walk(line):
        only = frozenset({(), place})
        for move in MOVES[:: 7 if place else 1]:
            found = []
            for remembers in (False, True):
                forget()
                if remembers:
                    made(move, text)
                with limits.within(10**6):
                    steps = [plain(s.result) for s in move.apply_at(line, places_of(line), only)]
                    effort = limits._effort.get()
                    assert effort is not None
                    found.append((steps, effort.left))
            assert found[0] == found[1], (move.key, place)


def test_work_that_is_spent_ends_the_search_at_the_same_step() -> None:
    line = without_brackets(read("3(x - 2) = 2(x + 5)"))

    def reached(move: Move, effort: int) -> int:
        count = 0
        with limits.within(effort):
            try:
                for _ in move.apply_at(line, places_of(line)):
                    count += 1
            except limits.OutOfEffort:
                return count
        return count

    for effort in (5, 15, 40, 90):
        forget()
        cold = [reached(move, effort) for move in ERRORS[::7]]
        assert [reached(move, effort) for move in ERRORS[::7]] == cold


def test_what_is_remembered_is_bounded(monkeypatch: pytest.MonkeyPatch) -> None:
    forget()
    monkeypatch.setattr(places, "_KEPT_STEPS", 50)
    for number in range(1, 40):
        for move in ERRORS[::20]:
            made(move, f"{number}x + {number + 1} = {number + 2}")
    assert (
        sum(len(w) + len(p) for one in places._lines.values() for w, p in one._steps.values()) < 400
    )
    assert places_of(read("x")) is places_of(read("x"))


def test_a_part_that_is_subtracted_stands_there_twice() -> None:
    line = without_brackets(read("5 - 2x"))
    found = [(path, plain(part)) for path, part, _ in Places(line).all]
    assert ((1, -1), "-2x") in found
    assert plain(places.put(line, (1, -1), read("3x"))) == "5 + 3x"


def test_where_no_work_is_counted_the_same_is_remembered(monkeypatch: pytest.MonkeyPatch) -> None:
    """A match is cut short at the same place, whoever asks first."""
    monkeypatch.setattr(limits, "MATCH_EFFORT", 12)
    cut = 0
    for move in MOVES:
        for text in TEXTS[:5]:
            forget()
            with limits.within(10**9):
                counted = made(move, text)
            forget()
            uncounted = made(move, text)
            with limits.within(10**9):
                assert made(move, text) == uncounted == counted, (move.key, text)
            cut += bool(counted)
    assert cut
