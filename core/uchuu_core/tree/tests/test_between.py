"""The places that are left out could not have given the other line."""

from hypothesis import given
from hypothesis import strategies as st

from uchuu_core.moves.places import places, put, term_of
from uchuu_core.notation import read
from uchuu_core.tests.support.generators import expressions
from uchuu_core.tests.support.quick import examples
from uchuu_core.tree.between import places_between
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Expr, Line, Relation
from uchuu_core.tree.shape import unordered


def _is_found(line: Line, at: int, new: Expr) -> None:
    """Exchange the part number *at* for *new*: its place must be among those between the two lines."""
    listed = [(path, part) for path, part in places(line)]
    path, _ = listed[at % len(listed)]
    other = without_brackets(put(line, path, new))
    place = term_of(path)
    assert place in places_between(line, other), (line, path, other)
    turned = Relation(other.right, "=", other.left) if isinstance(other, Relation) else other
    assert unordered(turned) == unordered(other)
    assert place in places_between(line, turned)


@given(expressions(), expressions(), st.integers(0, 200), expressions(), st.booleans())
@examples(400)
def test_the_place_of_any_one_change_is_found(
    one: Expr, right: Expr, at: int, new: Expr, both: bool
) -> None:
    _is_found(
        without_brackets(Relation(one, "=", right) if both else one), at, without_brackets(new)
    )


@given(expressions(), st.integers(0, 200), st.integers(0, 200))
@examples(400)
def test_also_where_parts_of_the_line_stand_at_two_places(one: Expr, at: int, again: int) -> None:
    line = without_brackets(one)
    parts = [part for _, part in places(line)]
    _is_found(line, at, parts[again % len(parts)])


def test_what_stays_is_left_out() -> None:
    line = read("2(3x - 4) - (x + 5) = 3x + 7")
    found = places_between(line, read("6x - 8 - (x + 5) = 3x + 7"))
    assert (0,) in found and (0, 0) in found
    assert not any(path[:1] == (1,) or path[:2] == (0, 1) for path in found)
