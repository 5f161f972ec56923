"""What is done to the sides of an equation, and what is seen of them."""

from collections.abc import Iterator
from typing import Any, cast

from uchuu_core.answers.drawn import MarkKind
from uchuu_core.drawing.finding import (
    factors_of,
    found,
    part_of,
    relations,
    terms_of,
)
from uchuu_core.drawing.mark import Drawn, Maker, Mark
from uchuu_core.moves.conditions import numeral
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Bracket,
    Either,
    Expr,
    Power,
    Product,
    Quotient,
    Relation,
    Sign,
    Signed,
    Sum,
    Term,
)
from uchuu_core.tree.paths import Path, letters, walk
from uchuu_core.tree.shape import unordered


def added(gap: str, sign: Sign) -> Maker:
    """Write under both sides what is added or taken away: under the very term that goes, where it stands there.

    Nothing where it stands on both sides already, written out.
    """

    def drawn(step: Drawn) -> Iterator[Mark]:
        terms = [build.as_term(cast("Expr", tree), sign) for tree in step.trees(gap)]
        for sides in _that_change(step):
            if all(any(_stands(side, at, term) for term in terms) for at, side in sides):
                continue
            beneath: dict[Path, list[Term]] = {}
            for term in terms:
                opposite = Term("+" if term.sign == "-" else "-", term.body)
                for at, side in sides:
                    beneath.setdefault(_stands(side, at, opposite) or at, []).append(term)
            for at, written in beneath.items():
                text = build.total(written)
                yield Mark("beneath", at, text=text, sign="+" if written[0].sign == "+" else "")

    return drawn


def _that_change(step: Drawn) -> Iterator[tuple[tuple[Path, Expr], tuple[Path, Expr]]]:
    """Yield the sides of each equation that the new line does not have any more."""
    after = {unordered(relation) for _, relation in relations(step.line)}
    for path, relation in relations(step.before):
        if unordered(relation) not in after:
            yield ((*path, 0), relation.left), ((*path, 1), relation.right)


def _stands(side: Expr, at: Path, term: Term) -> Path | None:
    """Return the place of a term with its sign among those of a side; None where it is not there."""
    for place in terms_of(side, at):
        node = part_of(side, place[len(at) :])
        holder = part_of(side, place[len(at) : -1]) if len(place) > len(at) else None
        sign = holder.terms[place[-1]].sign if isinstance(holder, Sum) else "+"
        mine = build.as_term(node, sign)
        if mine.sign == term.sign and unordered(mine.body) == unordered(term.body):
            return place
    return None


def to_each_fraction(gap: str, sign: Sign) -> Maker:
    """Write under every fraction what is added to it or taken away."""

    def drawn(step: Drawn) -> Iterator[Mark]:
        number = step.tree(gap)
        for at, side in _sides(step) if number is not None else []:
            for place in terms_of(side, at):
                if isinstance(part_of(side, place[len(at) :]), Quotient):
                    text = build.total([build.as_term(cast("Expr", number), sign)])
                    yield Mark("beneath", place, text=text, sign="+" if sign == "+" else "")

    return drawn


def scaled(gap: str, sign: str, *, by_term: bool = False) -> Maker:
    """Write under both sides, or under each of their terms, by what it is multiplied or divided."""

    def drawn(step: Drawn) -> Iterator[Mark]:
        by = step.tree(gap)
        for at, side in _sides(step) if by is not None else []:
            for place in terms_of(side, at) if by_term else [at]:
                yield Mark("beneath", place, text=as_factor(by), sign=sign)

    return drawn


def as_factor(tree: Any) -> Any:
    """Return *tree* as it stands behind a ``·``: a sum or what has a sign in brackets."""
    return Bracket(tree) if isinstance(tree, (Sum, Signed)) else tree


def _sides(step: Drawn) -> list[tuple[Path, Expr]]:
    """Return the sides of all equations that change."""
    return [side for sides in _that_change(step) for side in sides]


_ROOTS = {"square": "√", "cube": "∛"}


def rooted(step: Drawn) -> Iterator[Mark]:
    """Write the root that is taken under both sides."""
    index = step.word("index") or "square"
    return both_sides("beneath", _ROOTS.get(index, "ⁿ√"))(step)


def both_sides(kind: MarkKind, sign: str) -> Maker:
    """Mark both sides of an equation, of that case which changes."""

    def drawn(step: Drawn) -> Iterator[Mark]:
        for sides in _that_change(step):
            yield from (Mark(kind, at, sign=sign, pair=1) for at, _ in sides)

    return drawn


def boxes(step: Drawn) -> Iterator[Mark]:
    """Box what is new at the end of both sides: the place was left for it."""
    before = relations(step.before)
    for (path, relation), (_, old) in zip(relations(step.line), before, strict=False):
        for number, (side, was) in enumerate(
            ((relation.left, old.left), (relation.right, old.right))
        ):
            had = {unordered(part_of(was, at)) for at in terms_of(was, ())}
            last = terms_of(side, ())[-1]
            if unordered(part_of(side, last)) not in had:
                yield Mark("box", (*path, number, *last), is_here=True, pair=1)


def cases(step: Drawn) -> Iterator[Mark]:
    """Ring each factor of a product that is zero."""
    for left, right in _that_change(step):
        at, side = right if numeral(left[1]) == 0 else left
        listed = factors_of(step.before, at) if isinstance(side, (Product, Signed)) else []
        places = [place for place, factor in listed if letters(factor)]
        yield from (Mark("ring", place, pair=n) for n, place in enumerate(places, start=1))


def left_out(step: Drawn) -> Iterator[Mark]:
    """Strike the candidate that fails."""
    candidate = step.tree("candidate")
    if candidate is not None and isinstance(step.before, (Relation, Either)):
        for group in found(step.before, candidate)[:1]:
            yield from (Mark("strike", (*group[0], number), pair=1) for number in (0, 1))


def sides_turned(step: Drawn) -> Iterator[Mark]:
    """Let the two sides change places."""
    for path, _ in relations(step.before)[:1]:
        yield Mark("arrow", (*path, 0), to=(*path, 1), pair=1)
        yield Mark("arrow", (*path, 1), to=(*path, 0), pair=1)


def exponents(step: Drawn) -> Iterator[Mark]:
    """Ring the exponents of both sides."""
    yield from _both(step, Power, 1)


def tops(step: Drawn) -> Iterator[Mark]:
    """Ring the tops of both sides."""
    yield from _both(step, Quotient, 0)


def _both(step: Drawn, kind: type, child: int) -> Iterator[Mark]:
    places = [(*at, child) for at, side in _sides(step) if isinstance(side, kind)]
    if len(places) > 1:
        yield from (Mark("ring", at, pair=1) for at in places)


def named_coefficients(step: Drawn) -> Iterator[Mark]:
    """Write a, b and c at the terms of a quadratic."""
    named = [part for part in step.trees("named") if isinstance(part, Relation)]
    for path, relation in relations(step.before):
        if len(named) != 3 or numeral(relation.right) != 0:
            continue
        places = terms_of(relation.left, (*path, 0))
        squared = [
            p.base
            for at in places
            for _, p in walk(part_of(step.before, at))
            if isinstance(p, Power)
        ]
        if len(places) == 3 and squared:
            letter = letters(squared[0])
            places.sort(key=lambda at: -_degree(part_of(step.before, at), letter))
            for at, name in zip(places, named, strict=True):
                yield Mark("ring", at, text=name.left)


def _degree(term: Expr, letter: frozenset[str]) -> int:
    """Return 2 for a term with a power of *letter*, 1 for one that holds it, else 0."""
    return sum(isinstance(p, Power) and letters(p) == letter for _, p in walk(term)) + bool(
        letter <= letters(term)
    )
