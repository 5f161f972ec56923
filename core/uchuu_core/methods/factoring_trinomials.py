"""Trinomials in one or two letters, and four terms grouped two by two."""

from dataclasses import dataclass
from fractions import Fraction
from itertools import combinations
from math import gcd
from typing import Any

from flint import fmpq, fmpq_mpoly

from uchuu_core.kernel.rational_functions import Ring
from uchuu_core.lawbook.factoring import (
    BRACKET_OUT,
    BRACKET_OUT_AFTER_SPLIT,
    DENOMINATORS_TO_THE_FRONT,
    FACTOR_FROM_EACH_PAIR,
    FIRST_TIMES_FIRST,
    GROUP_TWO_BY_TWO,
    OUTER_AND_INNER,
    PAIR,
    PAIR_DIVIDED,
    PAIR_TRIED,
    PAIRS_TRIED,
    SPLIT_THE_MIDDLE,
)
from uchuu_core.lawbook.numbers import REDUCE_THEM
from uchuu_core.lawbook.says import Says, listed
from uchuu_core.methods.method import BOARD
from uchuu_core.methods.written import (
    monomial_tree,
    polynomial_of,
    polynomial_terms,
    polynomial_tree,
)
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Bracket, Expr, Number, Product, Quotient, Sum, Term

Way = tuple[Expr, Says, int]
"""A line on the way: what stands for the factor, what is said, weight."""


@dataclass(frozen=True, slots=True)
class Split:
    """One factor taken apart: by which technique, into what, in which words and lines."""

    technique: str
    factors: tuple[tuple[Any, int], ...]
    says: Says
    on_the_way: tuple[Way, ...] = ()


@dataclass(frozen=True, slots=True)
class Trinomial:
    """a·u² + b·u·v + c·v² with monomials u and v (v is 1 in one letter)."""

    a: int
    b: int
    c: int
    u: fmpq_mpoly
    v: fmpq_mpoly


def _monomial(degrees: tuple[int, ...], algebra: Ring) -> fmpq_mpoly:
    result = algebra.constant(fmpq(1))
    for name, degree in zip(algebra.names, degrees, strict=True):
        result *= algebra.letter(name) ** degree
    return result


def trinomial_of(polynomial: fmpq_mpoly, algebra: Ring) -> Trinomial | None:
    """Return *polynomial* as a trinomial, None when it is none."""
    terms = polynomial_terms(polynomial, algebra)
    if len(terms) != 3:
        return None
    (a, first), (b, middle), (c, last) = terms
    if any(d % 2 for d in (*first, *last)):
        return None
    if tuple(2 * m for m in middle) != tuple(x + y for x, y in zip(first, last, strict=True)):
        return None
    u = _monomial(tuple(d // 2 for d in first), algebra)
    v = _monomial(tuple(d // 2 for d in last), algebra)
    return Trinomial(int(a), int(b), int(c), u, v)


def trinomial_in(part: Sum) -> Trinomial | None:
    """Return a written sum as a trinomial with whole coefficients, None when it is none."""
    found = polynomial_of(part)
    return trinomial_of(*found) if found is not None and found[0] else None


def _pairs(product: int) -> list[tuple[int, int]]:
    """Return the pairs of whole numbers with this product, nearest to each other last."""
    found = []
    size = abs(product)
    for small in range(1, int(size**0.5) + 1):
        if size % small == 0:
            large = size // small
            signs = ((1, 1), (-1, -1)) if product > 0 else ((1, -1), (-1, 1))
            found += [(s * small, t * large) for s, t in signs]
    return found


def pair_for(product: int, total: int) -> tuple[int, int] | None:
    """Return the pair with this product and sum, the larger in size first."""
    for small, large in _pairs(product):
        if small + large == total:
            return large, small
    return None


def pairs_tried(polynomial: fmpq_mpoly, algebra: Ring) -> Says | None:
    """Say which pairs a trinomial was tried with, None when it is no trinomial."""
    found = trinomial_of(polynomial, algebra)
    if found is None:
        return None
    product = found.a * found.c
    right_sign = [p for p in _pairs(product) if (p[0] + p[1] < 0) == (found.b < 0)]
    pairs = [PAIR_TRIED(a, b, a + b) for a, b in right_sign[:8]]
    return PAIRS_TRIED(listed(pairs, before_last=", "), found.b)


def split(polynomial: fmpq_mpoly, algebra: Ring, school: str) -> Split | None:
    """Take a trinomial apart by the pair whose product is a·c and whose sum is b."""
    found = trinomial_of(polynomial, algebra)
    if found is None:
        return None
    pair = pair_for(found.a * found.c, found.b)
    if pair is None:
        return None
    if found.a == 1:
        return _by_sum_and_product(found, pair)
    if school == "divide-and-reduce":
        return _divided_and_reduced(found, pair, algebra)
    if school == "by-inspection":
        return _by_inspection(found, pair, algebra)
    return _middle_split(found, pair, algebra)


def _by_sum_and_product(t: Trinomial, pair: tuple[int, int]) -> Split:
    p, q = pair
    return Split(
        "sum-product",
        ((t.u + p * t.v, 1), (t.u + q * t.v, 1)),
        PAIR(p, q, t.c, t.b),
    )


def _middle_split(t: Trinomial, pair: tuple[int, int], algebra: Ring) -> Split:
    """Write the middle term as two, group two by two, take the common bracket out."""
    p, q = pair
    first, last = t.a * t.u**2, t.c * t.v**2
    terms = [first, p * t.u * t.v, q * t.u * t.v, last]
    four = build.add(*(polynomial_tree(term, algebra) for term in terms))
    halves = _taken_out(terms[0] + terms[1], algebra), _taken_out(terms[2] + terms[3], algebra)
    (outer, bracket), (other, same) = halves
    if same == -bracket:
        other, same = -other, -same
    grouped_line = _sum_of_products(outer, bracket, other, algebra)
    return Split(
        "split-middle-and-group",
        ((bracket, 1), (outer + other, 1)),
        BRACKET_OUT_AFTER_SPLIT(Bracket(polynomial_tree(bracket, algebra))),
        (
            (four, SPLIT_THE_MIDDLE(t.a, t.c, t.a * t.c, p, q, t.b), BOARD),
            (grouped_line, FACTOR_FROM_EACH_PAIR(), BOARD),
        ),
    )


def _by_inspection(t: Trinomial, pair: tuple[int, int], algebra: Ring) -> Split:
    """Write both brackets at once, and say how the middle term comes about."""
    (one, _), (other, _) = _divided_and_reduced(t, pair, algebra).factors
    firsts, lasts = zip(*(_first_and_last(side, t) for side in (one, other)), strict=True)

    def tree(polynomial: fmpq_mpoly) -> Expr:
        return polynomial_tree(polynomial, algebra)

    says = OUTER_AND_INNER(
        first=FIRST_TIMES_FIRST(tree(firsts[0]), tree(firsts[1])),
        last=FIRST_TIMES_FIRST(tree(lasts[0]), tree(lasts[1])),
        outer=tree(firsts[0] * lasts[1]),
        inner=tree(lasts[0] * firsts[1]),
        middle=tree(t.b * t.u * t.v),
    )
    return Split("by-inspection", ((one, 1), (other, 1)), says)


def _first_and_last(binomial: fmpq_mpoly, t: Trinomial) -> tuple[fmpq_mpoly, fmpq_mpoly]:
    """Return the term with u and the one with v."""
    (u,) = t.u.monoms()
    terms = zip(binomial.monoms(), binomial.coeffs(), strict=True)
    first = next(t.u * number for degrees, number in terms if tuple(degrees) == tuple(u))
    return first, binomial - first


def _taken_out(binomial: fmpq_mpoly, algebra: Ring) -> tuple[fmpq_mpoly, fmpq_mpoly]:
    """Return the common factor of two terms (with the first one's sign) and what is left."""
    terms = polynomial_terms(binomial, algebra)
    number = gcd(*(int(c) for c, _ in terms)) * (1 if terms[0][0] > 0 else -1)
    lowest = tuple(min(d) for d in zip(*(d for _, d in terms), strict=True))
    outside = number * _monomial(lowest, algebra)
    return outside, binomial / outside


def _sum_of_products(
    outer: fmpq_mpoly, bracket: fmpq_mpoly, other: fmpq_mpoly, algebra: Ring
) -> Expr:
    inside = polynomial_tree(bracket, algebra)
    terms = []
    for factor in (outer, other):
        coefficient, degrees = polynomial_terms(factor, algebra)[0]
        body = build.times(abs(coefficient), monomial_tree(degrees, algebra))
        whole = inside if body == build.ONE else build.product((body, inside))
        terms.append(Term("-" if coefficient < 0 else "+", whole))
    return Sum(tuple(terms))


def _divided_and_reduced(t: Trinomial, pair: tuple[int, int], algebra: Ring) -> Split:
    """(u + p/a)(u + q/a), each fraction reduced, its denominator put before the letter."""
    brackets, ends, factors = [], [], []
    for value in pair:
        ratio = Fraction(value, t.a)
        raw: Expr = Quotient(Number(str(abs(value))), Number(str(t.a)))
        brackets.append(_bracket(t, raw, value, algebra))
        ends.append(_bracket(t, build.number(abs(ratio)), value, algebra))
        factors.append(ratio.denominator * t.u + ratio.numerator * t.v)
    a = Number(str(t.a))
    p, q = pair
    return Split(
        "divide-and-reduce",
        tuple((factor, 1) for factor in factors),
        DENOMINATORS_TO_THE_FRONT(),
        (
            (
                Product((a, *brackets), ("", "")),
                PAIR_DIVIDED(p, q, t.a * t.c, t.b, t.a),
                BOARD,
            ),
            (
                Product((a, *ends), ("", "")),
                REDUCE_THEM(),
                BOARD,
            ),
        ),
    )


def _bracket(t: Trinomial, size: Expr, value: int, algebra: Ring) -> Expr:
    v = polynomial_tree(t.v, algebra)
    second = size if v == build.ONE else build.product((size, v))
    return Sum((Term("+", polynomial_tree(t.u, algebra)), Term("-" if value < 0 else "+", second)))


def grouped(polynomial: fmpq_mpoly, algebra: Ring) -> Split | None:
    """Group four terms two by two when both pairs leave the same bracket."""
    terms = [fmpq(int(c)) * _monomial(d, algebra) for c, d in polynomial_terms(polynomial, algebra)]
    if len(terms) != 4:
        return None
    for chosen in ((0, 1), *combinations(range(4), 2)):
        if 0 not in chosen:
            continue
        rest = [n for n in range(4) if n not in chosen]
        one = _taken_out(terms[chosen[0]] + terms[chosen[1]], algebra)
        other = _taken_out(terms[rest[0]] + terms[rest[1]], algebra)
        if other[1] == -one[1]:
            other = (-other[0], -other[1])
        if other[1] != one[1]:
            continue
        line = _sum_of_products(one[0], one[1], other[0], algebra)
        bracket = Bracket(polynomial_tree(one[1], algebra))
        return Split(
            "grouping",
            ((one[1], 1), (one[0] + other[0], 1)),
            BRACKET_OUT(bracket),
            ((line, GROUP_TWO_BY_TWO(), BOARD),),
        )
    return None
