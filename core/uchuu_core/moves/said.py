"""Sentences with the actual numbers of a step, said by methods and by the search for reasons alike."""

from math import gcd

from uchuu_core.lawbook.expanding import COLLECT_TERMS, COLLECTED, TERMS_ARE
from uchuu_core.lawbook.numbers import (
    DIVIDED_BY_FRACTION,
    POWER_FIRST,
    POWER_IN_STEPS,
    POWER_IS,
    PRODUCT_BEFORE_SUM,
    PRODUCT_IS,
    QUOTIENT_BEFORE_SUM,
    QUOTIENT_IS,
    REDUCED_BY,
    ROOT_IS,
    SUM_FROM_THE_LEFT,
    SUM_IN_BRACKETS,
    SUM_IS,
)
from uchuu_core.lawbook.says import Says, listed
from uchuu_core.moves.laws import arithmetic
from uchuu_core.moves.laws.expanding import COLLECT, collected, like_terms
from uchuu_core.moves.move import Move, Step
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Absolute,
    Bracket,
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
)
from uchuu_core.tree.paths import Path, children, letters, part_at

MOST_GROUPS = 3
"""So many groups of like terms are named in one sentence."""


def turned_over(node: Quotient) -> Expr:
    """Return the reciprocal of a written fraction."""
    if node.numerator == build.ONE:
        return node.denominator
    return Quotient(node.denominator, node.numerator)


def worked_out(whole: Line, path: Path, part: Expr, new: Expr) -> Says:
    """Say what one operation on numbers gives, and why it comes first.

    Args:
        whole: The line before.
        path: Where in it *part* stands.
        part: A sum, product, quotient, power, root or absolute value of numbers.
        new: What it becomes; of a longer sum or product only two members are joined.
    """
    match part:
        case Power(base, Signed("-", Number("1"))):
            return POWER_IS(part, new)
        case Power(base, Signed("-", exponent)):
            power = Power(turned_over(base) if isinstance(base, Quotient) else base, exponent)
            above: Expr = power if isinstance(base, Quotient) else Quotient(build.ONE, power)
            return POWER_IN_STEPS(part, above, new)
        case Power(base, Quotient(top, Number() as index)) if index.is_whole:
            root = Root(int(index.text), base)
            return POWER_IN_STEPS(part, root if top == build.ONE else Power(root, top), new)
        case Power():
            return (POWER_FIRST if path else POWER_IS)(part, new)
        case Root() | Absolute():
            return ROOT_IS(part, new)
        case Quotient(Number() as top, Number() as bottom, "/") if isinstance(new, Quotient):
            return REDUCED_BY(gcd(int(top.value), int(bottom.value)), part, new)
        case Quotient(_, Quotient() as below, _):
            return DIVIDED_BY_FRACTION(below, turned_over(below), part, new)
        case Quotient():
            return (QUOTIENT_BEFORE_SUM if _waits(whole, path) else QUOTIENT_IS)(part, new)
        case Product(factors, _):
            if len(factors) > 2 and isinstance(new, Product):
                part, new = build.product(factors[:2]), build.factors_of(new)[0]
            return (PRODUCT_BEFORE_SUM if _waits(whole, path) else PRODUCT_IS)(part, new)
        case Sum(terms):
            sentence = SUM_IN_BRACKETS if _is_inside(whole, path) else SUM_IS
            if len(terms) > 2:
                part, new = joined_terms(part, new)
                sentence = SUM_FROM_THE_LEFT if sentence is SUM_IS else sentence
            return sentence(part, new)
        case _:
            return SUM_IS(part, new)


def joined_terms(old: Sum, new: Expr) -> tuple[Expr, Expr]:
    """Return the terms of *old* that were joined, and what they became in *new*."""
    before, after = old.terms, build.terms_of(new)
    start = next(
        (n for n, (a, b) in enumerate(zip(before, after, strict=False)) if a != b), len(after)
    )
    kept = len(before) - start - 2
    became = after[start : len(after) - kept] if kept > 0 else after[start:]
    return build.total(before[start : start + 2]), build.total(became)


def _above(whole: Line, path: Path) -> list[Line]:
    """Return what *path* passes, the whole first, without the part itself."""
    found, node = [], whole
    for step in path:
        found.append(node)
        node = children(node)[step]
    return found


def _waits(whole: Line, path: Path) -> bool:
    """Whether a sum of plain numbers waits for the part that stands in it."""
    above = _above(whole, path)
    while above and isinstance(above[-1], (Signed, Product, Bracket)):
        above.pop()
    return bool(above) and isinstance(above[-1], Sum) and not letters(above[-1])


def _is_inside(whole: Line, path: Path) -> bool:
    """Whether brackets hold the sum, written or implied."""
    above = _above(whole, path)
    return bool(above) and isinstance(above[-1], (Sum, Product, Power, Bracket, Signed))


def collected_says(*sums: Expr) -> Says:
    """Say which like terms of *sums* are joined, and what they make."""
    said = [
        TERMS_ARE(joined, collected(joined))
        for node in sums
        if isinstance(node, Sum)
        for group in like_terms(node)
        if isinstance(joined := build.total(group), Sum)
    ]
    if not said or len(said) > MOST_GROUPS:
        return COLLECT_TERMS()
    return COLLECTED(listed(said, before_last=", and "))


_ARITHMETIC = (
    arithmetic.POWER,
    arithmetic.MULTIPLY,
    arithmetic.DIVIDE,
    arithmetic.ADD,
    arithmetic.SUBTRACT,
)


def step_says(move: Move, before: Line, step: Step) -> Says | None:
    """Say what a law did at its place in *before*; None for a law without a sentence."""
    path = step.at[:-1] if step.at[-1:] == (-1,) else step.at
    old, new = part_at(before, path), part_at(step.result, path)
    if old is None or new is None:
        old, new = before, step.result
    if move in _ARITHMETIC and not isinstance(old, Relation):
        return worked_out(before, path, old, new)  # type: ignore[arg-type]
    if move is COLLECT and isinstance(old, Sum):
        return collected_says(old)
    return move.said(old, new)
