"""What the quick look leaves out could not have led to the line."""

from hypothesis import given
from hypothesis import strategies as st

from uchuu_core.moves.catalogue import ERRORS, LAWS
from uchuu_core.moves.leaves import change_of, may_make
from uchuu_core.moves.move import Move
from uchuu_core.notation import read
from uchuu_core.tests.support.generators import expressions
from uchuu_core.tests.support.quick import examples
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Expr, Line, Relation

MOVES = (*LAWS, *ERRORS)


def _makes_what_it_may(move: Move, line: Line) -> None:
    for step in move.apply(without_brackets(line)):
        assert may_make(move, change_of(without_brackets(line), step.result)), (move.key, step)


def test_whatever_a_move_makes_of_any_example_it_may_make() -> None:
    for example in (example for move in MOVES for example in move.examples):
        for move in MOVES:
            _makes_what_it_may(move, read(example.before))


@given(expressions(), expressions(), st.booleans())
@examples(40)
def test_whatever_a_move_makes_of_any_line_it_may_make(one: Expr, other: Expr, both: bool) -> None:
    for move in MOVES:
        _makes_what_it_may(move, Relation(one, "=", other) if both else one)


def test_a_rewrite_that_only_moves_terms_makes_no_new_number() -> None:
    moved = next(move for move in ERRORS if move.key == "lineq-same-sign-when-moved")
    line = read("x + 9 = 4")
    assert may_make(moved, change_of(line, read("x = 4 + 9")))
    assert not may_make(moved, change_of(line, read("x = 13")))
    assert not may_make(moved, change_of(line, read("x = 4")))
