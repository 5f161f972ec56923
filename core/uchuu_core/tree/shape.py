"""Comparing what was written without regard to order, brackets or the multiplication sign."""

from itertools import permutations
from typing import Any

from uchuu_core.tree.nodes import (
    Bracket,
    Either,
    Feature,
    Line,
    Mixed,
    Number,
    Product,
    Relation,
    Signed,
    Sum,
    Symbol,
    Term,
)
from uchuu_core.tree.paths import children, letters, rebuild, walk

_MOST_NAMED = 4


def unordered(node: Line) -> Any:
    """Return a comparable form of *node*: same for two lines that differ only in order.

    Sums and products are flattened and sorted, sides of an equation may change places, redundant
    brackets and the kind of multiplication sign are forgotten. Nothing is calculated.
    """
    try:
        return node._shape  # type: ignore[union-attr]
    except AttributeError:
        found = _unordered(node)
        object.__setattr__(node, "_shape", found)
        return found


def _unordered(node: Line) -> Any:
    match node:
        case Bracket(body):
            return unordered(body)
        case Signed("-", body) if isinstance(body, Product):
            return ("sum", (("-", unordered(body)),))
        case Sum():
            return ("sum", tuple(sorted(_terms(node), key=repr)))
        case Product():
            return ("product", tuple(sorted(_factors(node), key=repr)))
        case Either(options, _):
            return ("or", tuple(sorted((unordered(option) for option in options), key=repr)))
        case Feature(label, items):
            return (label, tuple(sorted((unordered(item) for item in items), key=repr)))
        case Relation(left, sign, right):
            sides = [unordered(left), unordered(right)]
            return (sign, tuple(sorted(sides, key=repr) if sign == "=" else sides))
        case _:
            parts = children(node)
            if not parts:
                return node
            fixed = getattr(node, "mark", getattr(node, "index", getattr(node, "sign", "")))
            fixed = "/" if fixed == "∕" else fixed
            return (type(node).__name__, fixed, tuple(unordered(part) for part in parts))


def _terms(node: Sum) -> list[Any]:
    """List the terms; an added bracket is only written round, a subtracted one is a part."""
    found: list[Any] = []
    for term in node.terms:
        body = term.body.body if isinstance(term.body, Bracket) else term.body
        if isinstance(body, Sum) and term.sign == "+":
            found.extend(_terms(body))
        else:
            found.append((term.sign, unordered(body)))
    return found


def _factors(node: Product) -> list[Any]:
    found: list[Any] = []
    for factor in node.factors:
        body = factor.body if isinstance(factor, Bracket) else factor
        found.extend(_factors(body) if isinstance(body, Product) else [unordered(body)])
    return found


def unnamed(node: Line) -> Any:
    """Return the unordered form without the names of letters: same for an exercise in other letters.

    Up to ``_MOST_NAMED`` letters every naming is tried and the first in order taken; beyond, letters
    are named by where they first stand.
    """
    names = sorted(letters(node))
    if len(names) > _MOST_NAMED:
        names = list(dict.fromkeys(p.name for _, p in walk(node) if isinstance(p, Symbol)))
        return _renamed(node, names)
    looks = (_renamed(node, list(order)) for order in permutations(names))
    return min(looks, key=repr)


def _renamed(node: Line, order: list[str]) -> Any:
    new = {name: Symbol(f"x_{place}") for place, name in enumerate(order)}
    return unordered(
        rebuild(node, lambda part: new[part.name] if isinstance(part, Symbol) else part)
    )


def structure(node: Line) -> Any:
    """Return a comparable form without numbers and names: same for an exercise and its twins.

    Numbers but 0 and 1 are all alike, letters are told apart but not named; signs stay.
    """
    return unnamed(rebuild(node, _without_number))


def _without_number(part: Any) -> Any:
    if isinstance(part, (Number, Mixed)):
        return part if part.value in (0, 1) else Number("2")
    return part


def outline(node: Line) -> Any:
    """Return what kind of thing *node* is: comparable, without numbers, signs and coefficients."""
    return unordered(rebuild(node, _bare))


def _bare(part: Any) -> Any:
    match part:
        case Number() | Mixed():
            return part if part.value == 0 else Number("2")
        case Signed(_, body):
            return body
        case Sum(terms):
            return Sum(tuple(Term("+", term.body) for term in terms))
        case Product((Number(), *rest), joins):
            return rest[0] if len(rest) == 1 else Product(tuple(rest), joins[1:])
        case _:
            return part
