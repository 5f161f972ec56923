"""What changed between two lines: the smallest parts of the new one that the old one does not have."""

from typing import Any

from uchuu_core.tree.nodes import Expr, Line, Product, Sum
from uchuu_core.tree.paths import children
from uchuu_core.tree.paths import parts as parts_of
from uchuu_core.tree.shape import unordered


def changed_parts(before: Line, line: Line) -> list[Any]:
    """Return the smallest parts of *line* that *before* does not have; empty when it has them all."""
    had = {unordered(part) for part in parts_of(before)}
    terms = {
        (term.sign, unordered(term.body))
        for part in parts_of(before)
        if isinstance(part, Sum)
        for term in part.terms
    }
    return _new(line, had, terms)


def _new(node: Any, had: set[Any], terms: set[Any]) -> list[Expr]:
    if unordered(node) in had:
        return []
    if isinstance(node, Sum):
        inside = []
        for term in node.terms:
            found = _new(term.body, had, terms)
            if not found and (term.sign, unordered(term.body)) not in terms:
                found = [term.body] if term.sign != "+" or terms else []
            inside += found
        return inside or [node]
    listed = children(node)
    stays = any(unordered(part) in had for part in listed)
    inside = [part for child in listed for part in _new(child, had, terms)]
    if not listed or (isinstance(node, Product) and not stays):
        return [node]
    return inside or [node]
