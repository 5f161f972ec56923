"""What is ringed: the parts that a sentence names, and what is no longer there."""

from collections.abc import Iterator
from typing import Any

from uchuu_core.answers.drawn import MarkKind
from uchuu_core.drawing.finding import (
    Group,
    first,
    found,
    gone,
    missing,
    part_of,
    terms_of,
)
from uchuu_core.drawing.mark import Drawn, Maker, Mark
from uchuu_core.tree.nodes import (
    Product,
    Root,
    Signed,
    Sum,
)
from uchuu_core.tree.paths import Path, walk


def first_of(*makers: Maker) -> Maker:
    """Draw what the first of *makers* draws that finds something."""

    def drawn(step: Drawn) -> Iterator[Mark]:
        for maker in makers:
            marks = list(maker(step))
            if marks:
                return iter(marks)
        return iter(())

    return drawn


def ringed(
    *gaps: str, is_here: bool = False, every: bool = False, kind: MarkKind = "ring"
) -> Maker:
    """Ring the parts that the sentence names, where they stand; *every* time, or the first."""

    def drawn(step: Drawn) -> Iterator[Mark]:
        line = step.line if is_here else step.before
        for tree in step.trees(*gaps):
            places = found(line, tree)
            for group in places if every else places[:1]:
                yield from _around(group, kind, is_here=is_here)

    return drawn


def _around(group: Group, kind: MarkKind, *, is_here: bool = False) -> Iterator[Mark]:
    """Mark neighbours one by one; several that belong together are joined instead."""
    if len(group) == 1:
        yield Mark(kind, group[0], is_here)
    else:
        yield from (Mark("join", path, is_here, pair=1) for path in group)


def what_goes(*kinds: type, most: int = 6) -> Maker:
    """Ring the innermost parts of some *kinds* that the new line has no longer; never the whole line."""

    def drawn(step: Drawn) -> Iterator[Mark]:
        places = missing(step.before, step.line, kinds)
        if len(places) <= most:
            yield from (Mark("ring", path) for path in places if path)

    return drawn


def whatever_goes(step: Drawn) -> Iterator[Mark]:
    """Ring the smallest parts that go, of any kind."""
    places = [path for path in gone(step.before, step.line) if path]
    if len(places) <= MOST_RINGS:
        yield from (Mark("ring", path) for path in places)


MOST_RINGS = 3


def trinomial(last: str, middle: str, *, with_first: bool = False) -> Maker:
    """Ring the last and the middle term of the trinomial that goes, as product and as sum."""

    def drawn(step: Drawn) -> Iterator[Mark]:
        for path, node in walk(step.before):
            if isinstance(node, Sum) and len(node.terms) == 3 and not first(step.line, node):
                if with_first:
                    yield Mark("ring", (*path, 0), pair=1)
                yield Mark("ring", (*path, 2), sign=last, pair=int(with_first))
                yield Mark("ring", (*path, 1), sign=middle)
                return

    return drawn


def in_every_term(step: Drawn) -> Iterator[Mark]:
    """Ring what is taken out where every term shows it; else join the terms that have it."""
    for tree in step.trees("factor", "power", "letter", "bracket", "top", "share"):
        for path, node in walk(step.before):
            if not isinstance(node, Sum) or first(step.line, node):
                continue
            places = [_inside(step.before, at, tree) for at in terms_of(node, path)]
            if all(places):
                yield from (Mark("ring", place) for place in places if place)
            else:
                yield from (Mark("join", at, pair=1) for at in terms_of(node, path))
            return


def _inside(before: Any, at: Path, tree: Any) -> Path | None:
    group = first(part_of(before, at), tree)
    return (*at, *group[0]) if len(group) == 1 else None


def plus_minus(step: Drawn) -> Iterator[Mark]:
    """Ring what stands behind a ±."""
    for path, node in walk(step.before):
        if isinstance(node, Signed) and node.sign == "+-":
            yield Mark("ring", path)
            return
        for number, term in enumerate(node.terms if isinstance(node, Sum) else ()):
            if term.sign == "+-":
                yield Mark("ring", (*path, number))
                return


def square_inside(step: Drawn) -> Iterator[Mark]:
    """Ring, under the roots of the new line, what will come out: what stands before the first ``·``."""
    for path, node in walk(step.line):
        if isinstance(node, Root) and not first(step.before, node):
            yield from (
                Mark("ring", (*path, 0, n), is_here=True, pair=1) for n in _leading(node.radicand)
            )


def comes_out(step: Drawn) -> Iterator[Mark]:
    """Ring what comes out of the roots that go."""
    for path, node in walk(step.before):
        if isinstance(node, Root) and not first(step.line, node):
            places = [(*path, 0, n) for n in _leading(node.radicand)]
            yield from (Mark("ring", at, pair=1) for at in places or [(*path, 0)])


def _leading(radicand: Any) -> list[int]:
    """Return the factors before the first ``·``, of a product that has one."""
    joins = radicand.joins if isinstance(radicand, Product) else ()
    return list(range(joins.index("*") + 1)) if "*" in joins else []
