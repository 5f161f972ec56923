"""Where a part of a sentence stands on a line: whole, or as some terms of a sum, or some factors of a product."""

from collections import Counter
from collections.abc import Iterator
from typing import Any

from uchuu_core.tree.changes import changed_parts
from uchuu_core.tree.nodes import Bracket, Either, Line, Product, Quotient, Relation, Signed, Sum
from uchuu_core.tree.paths import Path, children, part_at, walk
from uchuu_core.tree.shape import unordered

Group = tuple[Path, ...]
"""One part, or neighbours of one sum or product."""


def found(line: Line, part: Line) -> list[Group]:
    """Return every place of *part* on *line*, from left to right, the order of its terms apart."""
    whole = list(_whole(line, unordered(part), ()))
    return whole or list(_neighbours(line, part))


def first(line: Line, part: Line) -> Group:
    """Return the first place of *part* on *line*, empty where it does not stand there."""
    return next(iter(found(line, part)), ())


def _whole(node: Any, shape: Any, path: Path) -> Iterator[Group]:
    if unordered(node) == shape:
        yield ((*path, 0) if isinstance(node, Bracket) else path,)
        return
    for number, part in enumerate(children(node)):
        yield from _whole(part, shape, (*path, number))


def _neighbours(line: Line, part: Line) -> Iterator[Group]:
    wanted = _members(part)
    if wanted is None:
        return
    for path, node in walk(line):
        has = _members(node) if type(node) in (Sum, Product, Signed) else None
        if has is None or isinstance(node, Product) != isinstance(part, Product):
            continue
        left = Counter(wanted)
        places = []
        for number, member in enumerate(has):
            if left[member] > 0:
                left[member] -= 1
                places.append((*path, number))
        if len(places) == len(wanted):
            yield tuple(places)


def _members(part: Any) -> list[Any] | None:
    match part:
        case Sum(terms):
            return [(term.sign, unordered(term.body)) for term in terms]
        case Signed(sign, body):
            return [(sign, unordered(body))]
        case Product(factors):
            return [unordered(factor) for factor in factors]
        case _:
            return None


def part_of(line: Line, path: Path) -> Any:
    """Return the part at *path*, which exists."""
    part = part_at(line, path)
    if part is None:
        raise LookupError(f"No part at {path}.")
    return part


def is_term(line: Line, path: Path) -> bool:
    """Whether the part at *path* is a term of a sum: its sign stands before it."""
    return bool(path) and isinstance(part_of(line, path[:-1]), Sum)


def terms_of(side: Line, path: Path) -> list[Path]:
    """Return the paths of the terms of *side*, which stands at *path*: itself, where it is no sum."""
    inner: Any = side.body if isinstance(side, Bracket) else side
    at = (*path, 0) if isinstance(side, Bracket) else path
    return [(*at, n) for n in range(len(inner.terms))] if isinstance(inner, Sum) else [at]


def relations(line: Line) -> list[tuple[Path, Relation]]:
    """Return the equations of *line* with their paths: itself, or those of its cases."""
    match line:
        case Relation():
            return [((), line)]
        case Either(options):
            return [((n,), one) for n, one in enumerate(options) if isinstance(one, Relation)]
        case _:
            return []


def bars(line: Line) -> list[tuple[Path, Quotient]]:
    """Return the fractions of *line* with their paths, outer ones first."""
    return [(path, node) for path, node in walk(line) if isinstance(node, Quotient)]


def factors_of(line: Line, path: Path) -> list[tuple[Path, Any]]:
    """Return the factors at *path* with their own paths, those inside brackets and products too."""
    node = part_of(line, path)
    match node:
        case Bracket() | Signed():
            return factors_of(line, (*path, 0))
        case Product(factors):
            return [f for number in range(len(factors)) for f in factors_of(line, (*path, number))]
        case _:
            return [(path, node)]


def gone(before: Line, line: Line) -> list[Path]:
    """Return the places of the smallest parts of *before* that *line* has no longer."""
    ids = {id(part) for part in changed_parts(line, before)}
    return [path for path, node in walk(before) if id(node) in ids]


def missing(before: Line, line: Line, kinds: tuple[type, ...]) -> list[Path]:
    """Return the places of the innermost parts of *before*, of some *kinds*, that *line* does not have."""
    has = {unordered(node) for _, node in walk(line)}
    places = [
        path for path, node in walk(before) if type(node) in kinds and unordered(node) not in has
    ]
    return [
        path
        for path in places
        if not any(other[: len(path)] == path and other != path for other in places)
    ]
