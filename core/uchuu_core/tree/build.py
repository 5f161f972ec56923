"""Makers of trees that keep the shape rules: no sum of one term, no product of one factor.

They arrange, they do not calculate. ``without_brackets`` is the form that moves match on.
"""

import itertools
from collections.abc import Iterable
from fractions import Fraction
from functools import lru_cache
from typing import Any

from uchuu_core.tree.nodes import (
    Bracket,
    Expr,
    Join,
    Number,
    Product,
    Quotient,
    Sign,
    Signed,
    Sum,
    Symbol,
    Term,
)
from uchuu_core.tree.paths import rebuild

ZERO, ONE = Number("0"), Number("1")
OPPOSITE: dict[Sign, Sign] = {"+": "-", "-": "+", "+-": "+-"}


def number(value: Fraction | int) -> Expr:
    """Write an exact rational as an integer or a fraction in lowest terms, sign in front."""
    value = Fraction(value)
    if value < 0:
        return Signed("-", number(-value))
    if value.denominator == 1:
        return Number(str(value.numerator))
    return Quotient(Number(str(value.numerator)), Number(str(value.denominator)))


def number_of(value: Any) -> Expr:
    """Write an exact FLINT rational as ``number`` does."""
    return number(Fraction(int(value.p), int(value.q)))


def dotted(node: Expr) -> Expr:
    """Return a product with a written sign before every factor that starts with a number."""
    if not isinstance(node, Product):
        return node
    return Product(
        node.factors,
        tuple(
            "*" if isinstance(f, (Number, Signed, Quotient)) or join else join
            for f, join in zip(node.factors[1:], node.joins, strict=True)
        ),
    )


def sign_in_front(node: Expr) -> Expr:
    """Return a sum whose first term ``(-3)`` is written ``-3``."""
    if not isinstance(node, Sum) or node.terms[0].sign != "+":
        return node
    return Sum((as_term(node.terms[0].body), *node.terms[1:]))


def decimal(value: Fraction) -> Expr:
    """Write a rational as a terminating decimal where it has one, else as ``number`` does."""
    rest, places = value.denominator, 0
    while rest % 10 == 0 or rest % 2 == 0 or rest % 5 == 0:
        rest = rest // 10 if rest % 10 == 0 else rest // 2 if rest % 2 == 0 else rest // 5
        places += 1
    if rest != 1 or value.denominator == 1 or places > 12:
        return number(value)
    digits = str(abs(value.numerator) * 10**places // value.denominator).rjust(places + 1, "0")
    text = f"{digits[:-places]}.{digits[-places:]}".rstrip("0")
    return Signed("-", Number(text)) if value < 0 else Number(text)


def negative(node: Expr) -> Expr:
    """Write the opposite of *node*: a sign is taken away where there is one, else put before."""
    match node:
        case Signed("-", body):
            return body
        case Number("0"):
            return node
        case _:
            return Signed("-", node)


def as_term(node: Expr, sign: Sign = "+") -> Term:
    """Return *node* as a term, its leading sign moved into the term's sign."""
    if isinstance(node, Signed) and node.sign != "+-" and sign != "+-":
        return Term(sign if node.sign == "+" else OPPOSITE[sign], node.body)
    return Term(sign, node)


def total(terms: Iterable[Term]) -> Expr:
    """Return the sum of *terms*: 0 for none, the term itself for one."""
    listed = tuple(terms)
    if not listed:
        return ZERO
    if len(listed) == 1:
        return listed[0].body if listed[0].sign == "+" else Signed(listed[0].sign, listed[0].body)
    return Sum(listed)


def terms_of(node: Expr) -> tuple[Term, ...]:
    """Return the terms of *node*: of a sum its terms, else the one term it is."""
    return node.terms if isinstance(node, Sum) else (as_term(node),)


def add(*nodes: Expr) -> Expr:
    """Return the flat sum of *nodes*; sums among them give their terms; zeros stay away."""
    listed = [term for node in nodes for term in terms_of(node)]
    return total(term for term in listed if term.body != ZERO)


def factors_of(node: Expr) -> tuple[Expr, ...]:
    """Return the factors of *node*: of a product its factors, else the node itself."""
    return node.factors if isinstance(node, Product) else (node,)


def _join(before: Expr, after: Expr) -> Join:
    """Juxtapose where that reads well; numerals and signs need a written dot."""
    first = after
    while isinstance(first, (Product, Quotient)):
        first = first.factors[0] if isinstance(first, Product) else first.numerator
    if isinstance(first, (Number, Signed)) or type(first).__name__ in ("Mixed", "Power"):
        base = getattr(first, "base", first)
        return "" if isinstance(base, (Symbol, Sum)) else "*"
    return "*" if isinstance(before, Quotient) and isinstance(after, Quotient) else ""


def product(factors: Iterable[Expr]) -> Expr:
    """Return the flat product of *factors*: 1 for none; written ones are not dropped."""
    flat = [part for factor in factors for part in factors_of(factor)]
    if not flat:
        return ONE
    if len(flat) == 1:
        return flat[0]
    joins = tuple(_join(a, b) for a, b in itertools.pairwise(flat))
    return Product(tuple(flat), joins)


def times(coefficient: Fraction, node: Expr) -> Expr:
    """Write *coefficient* times *node*, with 1 unwritten and the sign in front."""
    if coefficient == 0:
        return ZERO
    if coefficient < 0:
        return negative(times(-coefficient, node))
    if node == ONE:
        return number(coefficient)
    if coefficient == 1:
        return node
    if coefficient.numerator == 1:
        return Quotient(node, Number(str(coefficient.denominator)))
    top = product((Number(str(coefficient.numerator)), node))
    if coefficient.denominator == 1:
        return top
    return Quotient(top, Number(str(coefficient.denominator)))


@lru_cache(maxsize=8192)
def without_brackets(node: Any) -> Any:
    """Return *node* without the brackets that could be left out, slashes as bars."""

    def change(part: Any) -> Any:
        if isinstance(part, Bracket):
            return part.body
        if isinstance(part, Quotient) and part.mark == "∕":
            return Quotient(part.numerator, part.denominator)
        return part

    return rebuild(node, change)
