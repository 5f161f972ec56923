"""Matching a pattern against a tree, in any order of terms and factors, and filling one in.

Every letter of a pattern is a variable. Three liberties make short patterns fit students' lines:
a variable of a sum or product takes several neighbours at once; ``+ b`` also fits ``- 3`` with
b = −3; and a *unit variable* (a coefficient) fits the unwritten 1 of ``x``.
"""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from functools import lru_cache
from itertools import permutations
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
        conditions = self.by_name.get(name)
        if not conditions:
            return True
        bound: Bindings = {name: node}  # type: ignore[dict-item]  # relations are never bound
        return all(condition.holds(bound) for condition in conditions)


EMPTY: Bindings = MappingProxyType({})
Taken = tuple[int, ...]
_Fit = tuple[Taken, Bindings]
_MOST_PARTS = 6
"""Sums and products longer than this are matched by neighbouring parts only."""


@lru_cache(maxsize=1024)
def pattern(text: str) -> Line:
    """Return the tree of a pattern in plain notation."""
    return build.without_brackets(read(text, "plain"))  # type: ignore[no-any-return]


def matches(wanted: Line, node: Line, bound: Bindings, rules: Rules) -> Iterator[Bindings]:
    """Yield every way in which *node* as a whole fits *wanted*, extending *bound*."""
    if type(wanted) is Symbol:
        yield from _variable(wanted.name, node, bound, rules)
    elif type(wanted) is Product:
        yield from _product(wanted, node, bound, rules)
    elif may_fit(wanted, node, rules):
        yield from _whole(wanted, node, bound, rules)


def _variable(name: str, node: Line, bound: Bindings, rules: Rules) -> Iterator[Bindings]:
    if name in bound:
        if bound[name] == node:
            yield bound
    elif not isinstance(node, Relation) and rules.allow(name, node):
        yield {**bound, name: node}  # type: ignore[dict-item]


def _product(wanted: Product, node: Line, bound: Bindings, rules: Rules) -> Iterator[Bindings]:
    match node:
        case Product():
            yield from _parts(wanted.factors, node.factors, bound, rules)
        case Signed("-", Product() as body):
            yield from _parts(wanted.factors, _negated_first(body).factors, bound, rules)
        case _ if len(wanted.factors) == 2 and _has_unit(wanted, rules) and _may_be_unit(node):
            first, other = wanted.factors
            for found in matches(first, build.ONE, bound, rules):
                yield from matches(other, node, found, rules)


def _whole(wanted: Line, node: Line, bound: Bindings, rules: Rules) -> Iterator[Bindings]:
    """Match two parts of the same kind, no variable and no product."""
    match wanted, node:
        case Number(), Number():
            if wanted.value == node.value:
                yield bound
        case Quotient(), Signed("-", Quotient(above, below, mark)):
            yield from _whole(wanted, Quotient(build.negative(above), below, mark), bound, rules)
        case Sum(), Sum():
            yield from _terms(wanted.terms, node.terms, bound, rules)
        case Signed("-", inner), Signed("-", body):
            yield from matches(inner, body, bound, rules)
        case Quotient(top, bottom, mark), Quotient(above, below, written):
            if mark == "/" or mark == written:
                yield from _in_turn([(top, above), (bottom, below)], bound, rules)
        case Power(base, exponent), Power(below, above):
            yield from _in_turn([(base, below), (exponent, above)], bound, rules)
        case Root(index, inner), Root(other_index, body) if index == other_index:
            yield from matches(inner, body, bound, rules)
        case Absolute(inner), Absolute(body):
            yield from matches(inner, body, bound, rules)
        case Relation(left, "=", right), Relation(first, "=", second):
            yield from _in_turn([(left, first), (right, second)], bound, rules)


def may_fit(wanted: Line, node: Line, rules: Rules) -> bool:
    """Return whether *node* is of a kind that fits *wanted* at all: a quick look before ``matches``."""
    return may_fit_kind(wanted, type(node), rules)


def may_fit_kind(wanted: Line, found: type, rules: Rules) -> bool:
    """Return whether any node of the kind *found* fits *wanted*."""
    kind = type(wanted)
    if kind is found or kind is Symbol:
        return True
    if found is Signed:
        return kind is Product or kind is Quotient
    return kind is Product and found in _UNIT_KINDS and _has_unit(wanted, rules)


def _has_unit(wanted: Line, rules: Rules) -> bool:
    first = wanted.factors[0] if isinstance(wanted, Product) else None
    return isinstance(first, Symbol) and first.name in rules.units


_UNIT_KINDS = (Symbol, Power, Root, Sum)


def _may_be_unit(node: Line) -> bool:
    return isinstance(node, _UNIT_KINDS)


def _negated_first(node: Product) -> Product:
    return Product((build.negative(node.factors[0]), *node.factors[1:]), node.joins)


@lru_cache(maxsize=512)
def _splits(parts: int, takes_several: tuple[bool, ...]) -> tuple[tuple[tuple[int, ...], ...], ...]:
    """Return the ways to deal *parts* (by number) to slots, none left empty.

    ``takes_several`` says of each slot whether it may get more than one.
    """
    slots = len(takes_several)
    if parts < slots:
        return ()
    found: list[tuple[tuple[int, ...], ...]] = []
    if parts > _MOST_PARTS:
        for cut in range(1, parts) if slots == 2 else ():
            near, far = tuple(range(cut)), tuple(range(cut, parts))
            found += [(near, far), (far, near)]
    else:
        for dealt in choices(range(slots), repeat=parts):
            if len(set(dealt)) == slots:
                found.append(
                    tuple(tuple(n for n, s in enumerate(dealt) if s == k) for k in range(slots))
                )
    return tuple(
        split
        for split in found
        if all(len(taken) == 1 or many for taken, many in zip(split, takes_several, strict=True))
    )


def _takes_several(wanted: Expr) -> bool:
    return isinstance(wanted, Symbol)


def _parts(
    wanted: tuple[Expr, ...],
    factors: tuple[Expr, ...],
    bound: Bindings,
    rules: Rules,
) -> Iterator[Bindings]:
    for split in _splits(len(factors), tuple(_takes_several(slot) for slot in wanted)):
        groups = [_product_of(factors, taken) for taken in split]
        yield from _in_turn(list(zip(wanted, groups, strict=True)), bound, rules)


def _product_of(factors: tuple[Expr, ...], taken: Taken) -> Expr:
    """Return the product of the factors *taken*: one that is no product is itself."""
    first = factors[taken[0]]
    if len(taken) == 1 and type(first) is not Product:
        return first
    return build.product(factors[n] for n in taken)


def _terms(
    wanted: tuple[Term, ...], terms: tuple[Term, ...], bound: Bindings, rules: Rules
) -> Iterator[Bindings]:
    for split in _splits(len(terms), tuple(_takes_several(slot.body) for slot in wanted)):
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
    limits.spend_match()
    if not pairs:
        yield bound
        return
    for wanted, node in pairs:
        if not may_fit_kind(wanted, type(node), rules):
            return
    (wanted, node), *rest = pairs
    for found in matches(wanted, node, bound, rules):
        yield from _in_turn(rest, found, rules)


def runs_in_sum(wanted: Sum, node: Sum, rules: Rules) -> Iterator[_Fit]:
    """Yield matches of *wanted* with some terms of *node*: the terms taken, and the bindings.

    A variable takes up to three neighbours; everything else one term.
    """
    slots = sorted(wanted.terms, key=lambda slot: _takes_several(slot.body))
    fits: list[list[_Fit]] = []
    groups: dict[tuple[bool, int, int], Expr] = {}
    for slot in slots:
        found = list(_fits(slot, node, rules, groups))
        if not found:
            return
        fits.append(found)
    yield from _joined(fits, (), EMPTY)


def _fits(
    slot: Term, node: Sum, rules: Rules, groups: dict[tuple[bool, int, int], Expr]
) -> Iterator[_Fit]:
    """Yield the terms of *node* that *slot* alone fits, with what they bind.

    ``groups``: neighbours written together before, by whether the slot adds, first and number.
    """
    limits.spend_match()
    several = _takes_several(slot.body)
    for start, first in enumerate(node.terms):
        if _hides_sign(slot, [first]) or not (several or _may_be_term(slot, first, rules)):
            continue
        for length in range(1, 4 if several else 2):
            if start + length > len(node.terms):
                break
            key = (slot.sign == "+", start, length)
            group = groups.get(key)
            if group is None:
                group = groups[key] = _signed_group(slot, list(node.terms[start : start + length]))
            taken = tuple(range(start, start + length))
            for found in matches(slot.body, group, EMPTY, rules):
                yield taken, found


def _may_be_term(slot: Term, term: Term, rules: Rules) -> bool:
    """Whether *term* is of a kind that fits *slot*, whatever its sign."""
    body = slot.body.body if isinstance(slot.body, Signed) else slot.body
    return isinstance(body, Number) or may_fit(body, term.body, rules)


def _joined(fits: list[list[_Fit]], used: Taken, bound: Bindings) -> Iterator[_Fit]:
    """Yield the choices of one fit a slot whose terms are different and whose bindings agree."""
    limits.spend_match()
    if not fits:
        yield tuple(sorted(used)), bound
        return
    for taken, found in fits[0]:
        if not any(n in used for n in taken) and _agree(found, bound):
            yield from _joined(fits[1:], (*used, *taken), {**bound, **found})


def _agree(one: Bindings, other: Bindings) -> bool:
    return all(other.get(name, node) == node for name, node in one.items())


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


@dataclass(frozen=True, slots=True)
class InProduct:
    """A match with some factors of a product: the others, and where the match stood among them."""

    before: tuple[Expr, ...]
    after: tuple[Expr, ...]
    bound: Bindings

    def put(self, new: Expr) -> Expr:
        """Return the product with *new* in place of the factors that were matched."""
        return build.product((*self.before, new, *self.after))


def runs_in_product(wanted: Product, node: Product, rules: Rules) -> Iterator[InProduct]:
    """Yield matches of *wanted* with all, or with some, of the factors of *node*.

    ``2x³·5x⁴`` is read as it is written, by its single factors, and as ``(2x³)(5x⁴)``.
    """
    for factors in _groupings(node):
        if len(factors) < len(wanted.factors):
            continue
        for found in _parts(wanted.factors, factors, EMPTY, rules):
            yield InProduct((), (), found)
        if len(wanted.factors) < len(factors) <= _MOST_PARTS:
            yield from _some_factors(wanted.factors, factors, rules)


def _some_factors(
    wanted: tuple[Expr, ...], factors: tuple[Expr, ...], rules: Rules
) -> Iterator[InProduct]:
    for taken in permutations(range(len(factors)), len(wanted)):
        limits.spend_match()
        pairs = list(zip(wanted, (factors[n] for n in taken), strict=True))
        first = min(taken)
        for found in _in_turn(pairs, EMPTY, rules):
            left = [n for n in range(len(factors)) if n not in taken]
            yield InProduct(
                tuple(factors[n] for n in left if n < first),
                tuple(factors[n] for n in left if n > first),
                found,
            )


@lru_cache(maxsize=1024)
def _groupings(node: Product) -> tuple[tuple[Expr, ...], ...]:
    """Return the factors as written, one by one, and in terms that begin with a number."""
    flat = tuple(part for factor in node.factors for part in build.factors_of(factor))
    groups: list[list[Expr]] = []
    for factor in flat:
        if not groups or isinstance(factor, (Number, Signed)):
            groups.append([])
        groups[-1].append(factor)
    terms = tuple(build.product(group) for group in groups)
    found = [node.factors]
    for other in (flat, terms):
        if len(other) > 1 and other not in found:
            found.append(other)
    return tuple(found)
