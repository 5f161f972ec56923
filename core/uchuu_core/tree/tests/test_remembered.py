"""What a tree remembers of itself is what an equal tree that was asked nothing would say."""

import pickle

from hypothesis import given

from uchuu_core.notation import plain, read
from uchuu_core.tests.support.generators import expressions
from uchuu_core.tests.support.quick import examples
from uchuu_core.tree.paths import walk
from uchuu_core.tree.shape import unordered


@given(expressions(), expressions())
@examples(150)
def test_hash_and_comparable_form_follow_equality(one: object, other: object) -> None:
    fresh, packed = read(plain(one)), pickle.loads(pickle.dumps(one))  # type: ignore[arg-type]
    for tree in (fresh, packed):
        assert (hash(tree), unordered(tree)) == (hash(one), unordered(one))  # type: ignore[arg-type]
    assert (one == other) <= (hash(one) == hash(other))


def test_a_part_remembers_nothing_of_where_it_stands() -> None:
    whole = read("2(x + 1) - (x + 1)^2/(1 + x)")
    unordered(whole)
    for _, part in walk(whole):
        assert unordered(part) == unordered(read(plain(part)))
        assert hash(part) == hash(read(plain(part)))
