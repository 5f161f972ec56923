"""Comparing what was written without regard to order, brackets or the multiplication sign."""

from collections.abc import Iterable
from itertools import chain, permutations
from typing import Any

from uchuu_core.tree.nodes import (
    Bracket,
    Either,
    Expr,
    Feature,
    Interval,
    Line,
    Log,
    Mixed,
    Number,
    Product,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
    Symbol,
    Term,
)
from uchuu_core.tree.paths import children, letters, rebuild, walk

_MOST_NAMED = 4


def unordered(node: Line) -> str:
    """Return a comparable form of *node*: same for two lines that differ only in order.

    Sums and products are flattened and sorted, sides of an equation may change places, redundant
    brackets and the kind of multiplication sign are forgotten. Nothing is calculated.
    """
    try:
        return node._shape  # type: ignore[union-attr, no-any-return]
    except AttributeError:
        found = _unordered(node)
        object.__setattr__(node, "_shape", found)
        return found


def _unordered(node: Line) -> str:
    match node:
        case Number(text):
            return text
        case Symbol(name):
            return name
        case Bracket(body):
            return unordered(body)
        case Signed("-", body) if isinstance(body, Product):
            return f"sum(-{unordered(body)})"
        case Sum():
            return f"sum({_sorted(map(terms_within, node.terms))})"
        case Product():
            return f"product({_sorted(map(factors_within, node.factors))})"
        case Either(options, _):
            return f"or({_sorted([map(unordered, options)])})"
        case Feature(label, items):
            return f"{label}({_sorted([map(unordered, items)])})"
        case Relation(left, "=", right):
            return f"=({_sorted([(unordered(left), unordered(right))])})"
    below = " ".join(map(unordered, children(node)))
    return f"{type(node).__name__}{_besides(node)}({below})" if below else repr(node)


def _sorted(forms: Iterable[Iterable[str]]) -> str:
    return " ".join(sorted(chain.from_iterable(forms)))


def _besides(node: Line) -> object:
    """Return what a part is besides its own parts."""
    match node:
        case Signed(sign) | Relation(_, sign):
            return sign
        case Quotient(_, _, mark):
            return "/" if mark == "∕" else mark
        case Root(index):
            return index
        case Log(name, base):
            return name, base
        case Interval(low, _, has_low, has_high):
            return low is None, has_low, has_high
        case _:
            return ""


def terms_within(term: Term) -> list[str]:
    """Return the forms of the terms that *term* is: several where a bracket was only written round them."""
    body = term.body.body if isinstance(term.body, Bracket) else term.body
    if isinstance(body, Sum) and term.sign == "+":
        return [form for inner in body.terms for form in terms_within(inner)]
    return [f"{term.sign}{unordered(body)}"]


def factors_within(factor: Expr) -> list[str]:
    """Return the forms of the factors that *factor* is."""
    body = factor.body if isinstance(factor, Bracket) else factor
    if isinstance(body, Product):
        return [form for inner in body.factors for form in factors_within(inner)]
    return [unordered(body)]


def unnamed(node: Line) -> str:
    """Return the unordered form without the names of letters: same for an exercise in other letters.

    Up to ``_MOST_NAMED`` letters every naming is tried and the first in order taken; beyond, letters
    are named by where they first stand.
    """
    names = sorted(letters(node))
    if len(names) > _MOST_NAMED:
        names = list(dict.fromkeys(p.name for _, p in walk(node) if isinstance(p, Symbol)))
        return _renamed(node, names)
    looks = (_renamed(node, list(order)) for order in permutations(names))
    return min(looks)


def _renamed(node: Line, order: list[str]) -> str:
    new = {name: Symbol(f"x_{place}") for place, name in enumerate(order)}
    return unordered(
        rebuild(node, lambda part: new[part.name] if isinstance(part, Symbol) else part)
    )


def structure(node: Line) -> str:
    """Return a comparable form without numbers and names: same for an exercise and its twins.

    Numbers but 0 and 1 are all alike, letters are told apart but not named; signs stay.
    """
    return unnamed(rebuild(node, _without_number))


def _without_number(part: Any) -> Any:
    if isinstance(part, (Number, Mixed)):
        return part if part.value in (0, 1) else Number("2")
    return part


def outline(node: Line) -> str:
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
