"""Speech can be trusted: different lines are said in different words."""

import random
from collections.abc import Iterator
from itertools import product

import pytest

from uchuu_core.failures import Failure
from uchuu_core.notation import plain, read, spoken
from uchuu_core.tree.nodes import (
    Absolute,
    Bracket,
    Expr,
    Mixed,
    Number,
    Power,
    Product,
    Quotient,
    QuotientMark,
    Relation,
    Root,
    Sign,
    Signed,
    Sum,
    Symbol,
    Term,
)

LEAVES: tuple[Expr, ...] = (Symbol("x"), Symbol("y"), Number("2"), Number("3"), Mixed(2, 1, 3))


MARKS: tuple[QuotientMark, ...] = ("/", "÷", "∕")
SIGNS: tuple[Sign, ...] = ("+", "-", "+-")


def _over(parts: tuple[Expr, ...], others: tuple[Expr, ...]) -> Iterator[Expr]:
    """Yield every tree with one part of *parts* at its top, beside one of *others*."""
    for part in parts:
        yield Signed("-", part)
        yield Signed("+-", part)
        yield Root(2, part)
        yield Root(3, part)
        yield Absolute(part)
        yield Bracket(part)
    for a, b in product(parts, others):
        for left, right in ((a, b), (b, a)):
            for sign, first in product(SIGNS, SIGNS[:2]):
                yield Sum((Term(first, left), Term(sign, right)))
            yield Product((left, right), ("*",))
            yield Product((left, right), ("",))
            for mark in MARKS:
                yield Quotient(left, right, mark)
            yield Power(left, right)


def _writable(node: Expr) -> bool:
    """Whether *node* is the tree of some text, so that somebody could hear it."""
    try:
        return read(plain(node)) == node
    except Failure:
        return False


@pytest.mark.slow
def test_no_two_trees_are_said_alike() -> None:
    chance = random.Random(1)
    level = [LEAVES]
    for size in (None, 170, 170):
        made = [node for node in dict.fromkeys(_over(level[-1], LEAVES[:4])) if _writable(node)]
        level.append(tuple(made if size is None else chance.sample(made, size)))
        if size is None:
            level[-1] = tuple(made)
    said: dict[str, Expr] = {}
    trees = {n for found in level for n in found}
    trees |= set(_over(level[2], LEAVES[:3])) | {
        Sum((Term("+", a), Term("-", b), Term("+", c)))
        for a, b, c in product(level[1][::7], level[1][::5], LEAVES[:2])
    }
    for node in sorted(trees, key=repr):
        if not _writable(node):
            continue
        words = spoken(node).replace(",", "").lower()
        assert words not in said, (words, plain(node), plain(said[words]))
        said[words] = node
    assert len(said) > 5_000


def test_relations_are_told_apart() -> None:
    x, y = Symbol("x"), Symbol("y")
    assert spoken(Relation(x, "=", y)) != spoken(Relation(y, "=", x))
    assert spoken(read("V = v")) == "capital V equals v"
