"""Terms and factors that belong together, and arrows from what stands before a bracket."""

from collections.abc import Iterator
from itertools import groupby
from typing import Any

from uchuu_core.answers.drawn import MarkKind
from uchuu_core.drawing.finding import (
    factors_of,
    first,
    found,
    missing,
    terms_of,
)
from uchuu_core.drawing.mark import Drawn, Maker, Mark
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.tree.nodes import (
    Bracket,
    Power,
    Product,
    Quotient,
    Signed,
    Sum,
)
from uchuu_core.tree.paths import Path, part_at, walk
from uchuu_core.tree.shape import unordered

MOST_ARROWS = 12


def joined(gap: str) -> Maker:
    """Join the terms that the sentence, or each sentence inside it, puts together: a number for each."""

    def drawn(step: Drawn) -> Iterator[Mark]:
        trees = step.trees(gap)
        for says in step.inner(gap):
            filled = dict(says.said[0].parts)
            trees += [filled["terms"]] if "terms" in filled else []  # type: ignore[list-item]
        pair = 0
        for tree in trees:
            group = first(step.before, tree)
            if len(group) == 1 and isinstance(part_at(step.before, group[0]), Sum):
                group = tuple(terms_of(part_at(step.before, group[0]), group[0]))  # type: ignore[arg-type]
            if len(group) > 1:
                pair += 1
                yield from (Mark("join", path, pair=pair) for path in group)

    return drawn


def like_terms(step: Drawn) -> Iterator[Mark]:
    """Join like terms of every sum, a number for each kind."""
    pair = 0
    for path, node in walk(step.before):
        if isinstance(node, Sum) and not first(step.line, node):
            kinds = [unordered(coefficient_and_rest(term.body)[1]) for term in node.terms]
            for kind in dict.fromkeys(kinds):
                places = [n for n, other in enumerate(kinds) if other == kind]
                if len(places) > 1:
                    pair += 1
                    yield from (Mark("join", (*path, n), pair=pair) for n in places)


def sums_that_go(step: Drawn) -> Iterator[Mark]:
    """Join the terms of every innermost sum that is worked out."""
    for pair, path in enumerate(missing(step.before, step.line, (Sum,)), start=1):
        node: Any = part_at(step.before, path)
        yield from (Mark("join", at, pair=pair) for at in terms_of(node, path))


def two_by_two(step: Drawn) -> Iterator[Mark]:
    """Join the first two terms of a sum of four, and the last two."""
    for path, node in walk(step.before):
        if isinstance(node, Sum) and len(node.terms) == 4:
            yield from (Mark("join", (*path, n), pair=1 + n // 2) for n in range(4))
            return


def alike(kind: type, key: Any, mark: MarkKind = "join") -> Maker:
    """Join the parts of one *kind* in every product and fraction that have the same *key*."""

    def drawn(step: Drawn) -> Iterator[Mark]:
        had: set[Any] = set()
        pair = 0
        for path, node in walk(step.before):
            if not isinstance(node, (Product, Quotient)) or any(path[: len(p)] == p for p in had):
                continue
            had.add(path)
            parts = [
                (unordered(key(part)), (*path, *inner))
                for inner, part in walk(node)
                if isinstance(part, kind) and _is_factor(node, inner)
            ]
            parts.sort(key=lambda item: repr(item[0]))
            for _, listed in groupby(parts, key=lambda item: repr(item[0])):
                group = [at for _, at in listed]
                if len(group) > 1:
                    pair += 1
                    yield from (Mark(mark, at, pair=pair) for at in group)

    return drawn


def _is_factor(node: Any, path: Path) -> bool:
    """Whether all that stands around the part is products and bars."""
    return all(
        isinstance(part_at(node, path[:n]), (Product, Quotient, Bracket)) for n in range(len(path))
    )


def into_brackets(gap: str = "") -> Maker:
    """Draw arrows from what stands before a bracket to each term in it, and from each term of a first bracket."""

    def drawn(step: Drawn) -> Iterator[Mark]:
        trees = step.trees(gap) if gap else []
        places = [
            group[0] for tree in trees for group in found(step.before, tree)[:1] if len(group) == 1
        ]
        if not places:
            places = [
                path
                for path, node in walk(step.before)
                if isinstance(node, (Product, Signed)) and not first(step.line, node)
            ]
        arrows = [mark for path in places for mark in _arrows(step.before, path)]
        yield from arrows[:MOST_ARROWS]

    return drawn


def _arrows(before: Any, path: Path) -> Iterator[Mark]:
    node = part_at(before, path)
    if isinstance(node, Signed):
        inner = node.body.body if isinstance(node.body, Bracket) else node.body
        at = (*path, 0, 0) if isinstance(node.body, Bracket) else (*path, 0)
        if isinstance(inner, Sum):
            yield from (Mark("arrow", path, to=(*at, n)) for n in range(len(inner.terms)))
            return
    sums = [
        (place, terms_of(factor, place))
        for place, factor in factors_of(before, path)
        if isinstance(factor, Sum)
    ]
    if not sums:
        return
    others = [p for p, factor in factors_of(before, path) if not isinstance(factor, Sum)]
    starts = sums[0][1] if len(sums) > 1 else others
    for start in starts:
        yield from (Mark("arrow", start, to=end) for end in sums[-1][1])


def minus_into_brackets(step: Drawn) -> Iterator[Mark]:
    """Draw arrows from the minus before a bracket to each term in it."""
    marks = list(into_brackets("parts")(step))
    for path, node in walk(step.before):
        for number, term in enumerate(node.terms if isinstance(node, Sum) else ()):
            inner = term.body.body if isinstance(term.body, Bracket) else term.body
            if term.sign == "-" and isinstance(inner, Sum):
                at = (*path, number)
                marks += [Mark("arrow", at, to=end) for end in terms_of(term.body, at)]
    yield from dict.fromkeys(marks)


def power_to_factors(step: Drawn) -> Iterator[Mark]:
    """Draw arrows from an exponent to every factor of its base, or to the exponent inside."""
    for path, node in walk(step.before):
        if not isinstance(node, Power) or first(step.line, node):
            continue
        base = node.base.body if isinstance(node.base, Bracket) else node.base
        at = (*path, 0, 0) if isinstance(node.base, Bracket) else (*path, 0)
        ends: list[Path] = []
        match base:
            case Product() | Quotient():
                ends = [p for p, _ in factors_of(step.before, at)]
                if isinstance(base, Quotient):
                    ends = [(*at, 0), (*at, 1)]
            case Power():
                ends = [(*at, 1)]
            case _:
                continue
        yield from (Mark("arrow", (*path, 1), to=end) for end in ends)
