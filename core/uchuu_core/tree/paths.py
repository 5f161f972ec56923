"""Addresses inside a tree: children, replacement at a path, walking.

A path is a tuple of child numbers from the root; the empty tuple is the root itself.
"""

from collections.abc import Callable, Iterator
from dataclasses import replace
from operator import is_not
from typing import Any, assert_never

from uchuu_core.tree.nodes import (
    Absolute,
    AllExcept,
    Bracket,
    Builder,
    Chain,
    Coordinates,
    Either,
    Expr,
    Feature,
    Interval,
    Line,
    Log,
    Mixed,
    Number,
    Outcome,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
    Symbol,
    Term,
    Union,
    ValueSet,
)

Path = tuple[int, ...]


_CHILDREN: dict[type, Callable[[Any], tuple[Any, ...]]] = {
    Sum: lambda node: tuple([term.body for term in node.terms]),
    Product: lambda node: node.factors,
    Quotient: lambda node: (node.numerator, node.denominator),
    Power: lambda node: (node.base, node.exponent),
    Signed: lambda node: (node.body,),
    Bracket: lambda node: (node.body,),
    Absolute: lambda node: (node.body,),
    Root: lambda node: (node.radicand,),
    Relation: lambda node: (node.left, node.right),
    Chain: lambda node: node.sides,
    Either: lambda node: node.options,
    ValueSet: lambda node: node.members,
    AllExcept: lambda node: node.members,
    Feature: lambda node: node.items,
    Coordinates: lambda node: (node.x, node.y),
    Log: lambda node: (node.argument,),
    Interval: lambda node: tuple([end for end in (node.low, node.high) if end is not None]),
    Union: lambda node: node.members,
    Builder: lambda node: (node.letter, node.condition),
}


def children(node: Line) -> tuple[Any, ...]:
    """Return the direct parts of *node* in written order."""
    parts = _CHILDREN.get(type(node))
    return parts(node) if parts else ()


def with_children(node: Line, parts: tuple[Any, ...]) -> Line:
    """Return *node* with its direct parts exchanged; as many parts as it had."""
    match node:
        case Sum(terms):
            return Sum(tuple(Term(t.sign, p) for t, p in zip(terms, parts, strict=True)))
        case Product(_, joins):
            return Product(parts, joins)
        case Quotient(_, _, mark):
            return Quotient(parts[0], parts[1], mark)
        case Power():
            return Power(parts[0], parts[1])
        case Signed() | Bracket() | Absolute():
            return replace(node, body=parts[0])
        case Root(index, _):
            return Root(index, parts[0])
        case Relation(_, sign, _):
            return Relation(parts[0], sign, parts[1])
        case Chain():
            return Chain(parts)
        case Either(_, joint):
            return Either(parts, joint)
        case ValueSet():
            return ValueSet(parts)
        case AllExcept():
            return AllExcept(parts)
        case Feature(label, _):
            return Feature(label, parts)
        case Coordinates():
            return Coordinates(parts[0], parts[1])
        case Log(name, base, _):
            return Log(name, base, parts[0])
        case Interval(low, high):
            rest = list(parts)
            ends = [None if end is None else rest.pop(0) for end in (low, high)]
            return Interval(ends[0], ends[1], node.has_low, node.has_high)
        case Union():
            return Union(parts)
        case Builder():
            return Builder(parts[0], parts[1])
        case Number() | Mixed() | Symbol() | Outcome():
            return node
        case _:
            assert_never(node)


def replace_at(node: Line, path: Path, new: Expr) -> Line:
    """Return *node* with the part at *path* exchanged for *new*."""
    if not path:
        return new
    parts = list(children(node))
    parts[path[0]] = replace_at(parts[path[0]], path[1:], new)
    return with_children(node, tuple(parts))


def part_at(node: Line, path: Path) -> Line | None:
    """Return the part at *path*, None where there is none."""
    for number in path:
        parts = children(node)
        if number >= len(parts):
            return None
        node = parts[number]
    return node


def walk(node: Line, path: Path = ()) -> Iterator[tuple[Path, Any]]:
    """Yield every part of *node* with its path, the whole first."""
    yield path, node
    for number, part in enumerate(children(node)):
        yield from walk(part, (*path, number))


def rebuild(node: Line, change: Callable[[Any], Any]) -> Any:
    """Return *node* with *change* applied to every part, innermost first; what does not change is kept as it is."""
    old = children(node)
    if old:
        new = tuple([rebuild(part, change) for part in old])
        if any(map(is_not, old, new)):
            node = with_children(node, new)
    return change(node)


def letters(node: Line) -> frozenset[str]:
    """Return the names of all letters in *node*; a tree remembers them."""
    try:
        return node._letters  # type: ignore[union-attr, no-any-return]
    except AttributeError:
        below = children(node)
        if below:
            names = frozenset[str]().union(*map(letters, below))
        else:
            names = frozenset((node.name,) if type(node) is Symbol else ())
        object.__setattr__(node, "_letters", names)
        return names


def parts(node: Line) -> Iterator[Any]:
    """Yield every part of *node*, the whole first, in no particular order."""
    rest: list[Any] = [node]
    while rest:
        part = rest.pop()
        yield part
        rest.extend(children(part))


def depth(node: Line) -> int:
    """Return the nesting of *node*, 1 for a leaf, without recursion (input may be hostile)."""
    deepest, level = 0, [node]
    while level:
        deepest += 1
        level = [part for parent in level for part in children(parent)]
    return deepest
