"""Matching a pattern against a tree, in any order of terms and factors, and filling one in.

Every letter of a pattern is a variable. Three liberties make short patterns fit students' lines:
a variable of a sum or product takes several neighbours at once; ``+ b`` also fits ``- 3`` with
b = −3; and a *unit variable* (a coefficient) fits the unwritten 1 of ``x``.
"""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from functools import lru_cache
from itertools import product as choices
from types import MappingProxyType

from uchuu_core import limits
from uchuu_core.moves.conditions import Bindings, Condition
from uchuu_core.notation import read
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Absolute,
    Expr,
    Line,
    Number,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
    Symbol,
    Term,
)
from uchuu_core.tree.paths import children, with_children


@dataclass(frozen=True, slots=True)
class Rules:
    """What a rewrite asks of its variables while it is matched.

    ``units``: coefficients that also fit the unwritten 1. ``by_name``: the conditions that look at
    one variable alone; asking them when it is bound prunes most of the search.
    """

    units: frozenset[str]
    by_name: Mapping[str, tuple[Condition, ...]]

    def allow(self, name: str, node: Line) -> bool:
        """Return whether *name* may be bound to *node*."""
        bound: Bindings = {name: node}  # type: ignore[dict-item]  # relations are never bound
        return all(condition.holds(bound) for condition in self.by_name.get(name, ()))


EMPTY: Bindings = MappingProxyType({})
_MOST_PARTS = 6
"""Sums and products longer than this are matched by neighbouring parts only."""


@lru_cache(maxsize=1024)
def pattern(text: str) -> Line:
    """Return the tree of a pattern in plain notation."""
    return build.without_brackets(read(text, "plain"))  # type: ignore[no-any-return]


def matches(wanted: Line, node: Line, bound: Bindings, rules: Rules) -> Iterator[Bindings]:
    """Yield every way in which *node* as a whole fits *wanted*, extending *bound*."""
    match wanted, node:
        case Symbol(name), _:
            if name in bound:
                if bound[name] == node:
                    yield bound
            elif not isinstance(node, Relation) and rules.allow(name, node):
                yield {**bound, name: node}  # type: ignore[dict-item]
        case Number(), Number():
            if wanted.value == node.value:
                yield bound
        case Product(), Product():
            yield from _parts(wanted.factors, node.factors, bound, rules)
        case Product(), Signed("-", Product() as body):
            yield from matches(wanted, _negated_first(body), bound, rules)
        case Quotient(), Signed("-", Quotient(above, below, mark)):
            yield from matches(wanted, Quotient(build.negative(above), below, mark), bound, rules)
        case Product((Symbol(name), other), _), _ if name in rules.units and _may_be_unit(node):
            for found in matches(Symbol(name), build.ONE, bound, rules):
                yield from matches(other, node, found, rules)
        case Sum(), Sum():
            yield from _terms(wanted.terms, node.terms, bound, rules)
        case Signed("-", inner), Signed("-", body):
            yield from matches(inner, body, bound, rules)
        case Quotient(top, bottom, mark), Quotient(above, below, written):
            if mark == "/" or mark == written:
                for found in matches(top, above, bound, rules):
                    yield from matches(bottom, below, found, rules)
        case Power(base, exponent), Power(below, above):
            for found in matches(base, below, bound, rules):
                yield from matches(exponent, above, found, rules)
        case Root(index, inner), Root(other_index, body) if index == other_index:
            yield from matches(inner, body, bound, rules)
        case Absolute(inner), Absolute(body):
            yield from matches(inner, body, bound, rules)
        case Relation(left, "=", right), Relation(first, "=", second):
            for found in matches(left, first, bound, rules):
                yield from matches(right, second, found, rules)
        case _:
            return


def _may_be_unit(node: Line) -> bool:
    return isinstance(node, (Symbol, Power, Root, Sum))


def _negated_first(node: Product) -> Product:
    return Product((build.negative(node.factors[0]), *node.factors[1:]), node.joins)


def _splits(parts: int, slots: int) -> Iterator[tuple[tuple[int, ...], ...]]:
    """Yield the ways to deal *parts* (by number) to *slots*, none left empty."""
    if parts < slots:
        return
    if parts > _MOST_PARTS:
        for cut in range(1, parts) if slots == 2 else ():
            yield tuple(range(cut)), tuple(range(cut, parts))
            yield tuple(range(cut, parts)), tuple(range(cut))
        return
    for dealt in choices(range(slots), repeat=parts):
        if len(set(dealt)) == slots:
            yield tuple(tuple(n for n, s in enumerate(dealt) if s == slot) for slot in range(slots))


def _takes_several(wanted: Expr) -> bool:
    return isinstance(wanted, Symbol)


def _parts(
    wanted: tuple[Expr, ...],
    factors: tuple[Expr, ...],
    bound: Bindings,
    rules: Rules,
) -> Iterator[Bindings]:
    for split in _splits(len(factors), len(wanted)):
        if any(
            len(taken) > 1 and not _takes_several(slot)
            for taken, slot in zip(split, wanted, strict=True)
        ):
            continue
        groups = [build.product(factors[n] for n in taken) for taken in split]
        yield from _in_turn(list(zip(wanted, groups, strict=True)), bound, rules)


def _terms(
    wanted: tuple[Term, ...], terms: tuple[Term, ...], bound: Bindings, rules: Rules
) -> Iterator[Bindings]:
    for split in _splits(len(terms), len(wanted)):
        if any(
            len(taken) > 1 and not _takes_several(slot.body)
            for taken, slot in zip(split, wanted, strict=True)
        ):
            continue
        if any(_hides_sign(s, [terms[n] for n in t]) for s, t in zip(wanted, split, strict=True)):
            continue
        pairs: list[tuple[Expr, Expr]] = []
        for slot, taken in zip(wanted, split, strict=True):
            pairs.append((slot.body, _signed_group(slot, [terms[n] for n in taken])))
        yield from _in_turn(pairs, bound, rules)


def _hides_sign(slot: Term, taken: list[Term]) -> bool:
    """Whether a sign that the pattern wants written twice (``- (-b)``) is written only once."""
    return isinstance(slot.body, Signed) and taken[0].sign != slot.sign


def _signed_group(slot: Term, taken: list[Term]) -> Expr:
    """Return what must fit the slot's body so that sign and body together are *taken*."""
    if slot.sign == "+":
        return build.total(taken)
    return build.total(Term(build.OPPOSITE[term.sign], term.body) for term in taken)


def _in_turn(pairs: list[tuple[Expr, Expr]], bound: Bindings, rules: Rules) -> Iterator[Bindings]:
    limits.check_time()
    if not pairs:
        yield bound
        return
    (wanted, node), *rest = pairs
    for found in matches(wanted, node, bound, rules):
        yield from _in_turn(rest, found, rules)


def runs_in_sum(wanted: Sum, node: Sum, rules: Rules) -> Iterator[tuple[tuple[int, ...], Bindings]]:
    """Yield matches of *wanted* with some terms of *node*: the terms taken, and the bindings.

    A variable takes up to three neighbours; everything else one term.
    """
    yield from _runs(list(wanted.terms), node, frozenset(), EMPTY, rules)


def _runs(
    slots: list[Term], node: Sum, used: frozenset[int], bound: Bindings, rules: Rules
) -> Iterator[tuple[tuple[int, ...], Bindings]]:
    limits.check_time()
    if not slots:
        yield tuple(sorted(used)), bound
        return
    slot, *rest = slots
    longest = 3 if _takes_several(slot.body) else 1
    for start in range(len(node.terms)):
        for length in range(1, longest + 1):
            taken = frozenset(range(start, start + length))
            if start + length > len(node.terms) or taken & used:
                break
            listed = [node.terms[n] for n in sorted(taken)]
            if _hides_sign(slot, listed):
                continue
            group = _signed_group(slot, listed)
            for found in matches(slot.body, group, bound, rules):
                yield from _runs(rest, node, used | taken, found, rules)


def filled(template: Line, bound: Bindings) -> Line:
    """Return *template* with its variables replaced; nothing is calculated."""
    if isinstance(template, Symbol):
        return bound.get(template.name, template)
    if isinstance(template, Sum):
        listed: list[Term] = []
        for term in template.terms:
            part = filled(term.body, bound)
            if isinstance(part, Sum) and term.sign == "+" and isinstance(term.body, Symbol):
                listed.extend(part.terms)
            else:
                listed.append(build.as_term(part, term.sign))  # type: ignore[arg-type]
        return build.total(listed)
    parts = tuple(filled(part, bound) for part in children(template))
    if isinstance(template, Product):
        return build.product(parts)  # type: ignore[arg-type]
    if isinstance(template, Signed) and isinstance(parts[0], Signed):
        return build.negative(parts[0])
    return with_children(template, parts) if parts else template
