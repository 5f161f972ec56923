"""A complex fraction, its top and bottom multiplied through by one LCD."""

from collections.abc import Callable
from typing import TYPE_CHECKING

from uchuu_core.lawbook.expanding import COLLECT_TERMS
from uchuu_core.lawbook.fractions import (
    BARS_GO,
    TOP_AND_BOTTOM_BY_LCD,
)
from uchuu_core.methods.fractions_in_letters import (
    ONE,
    InFactors,
    fraction_in_factors,
    least_common,
)
from uchuu_core.methods.fractions_in_letters import (
    Product as Factored,
)
from uchuu_core.methods.rational_shapes import (
    terms_of,
)
from uchuu_core.methods.written import polynomial_tree
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Expr,
    Quotient,
)
from uchuu_core.tree.shape import unordered

if TYPE_CHECKING:
    from uchuu_core.methods.rational import Rational


def multiplied_through(
    work: "Rational", node: Quotient, wrap: Callable[[Expr], Expr]
) -> tuple[InFactors, Expr]:
    """Multiply the top and the bottom of a complex fraction by the LCD of all fractions in it.

    ``wrap`` writes the fraction into the whole line.
    """
    inner = [
        work.fraction(body, False).bottom
        for side in (node.numerator, node.denominator)
        for body in (terms_of(side))
    ]
    common = least_common(inner)
    factor = common.tree(work.algebra)
    line = Quotient(
        build.product(p for p in (node.numerator, factor) if p != build.ONE),
        build.product((node.denominator, factor)),
    )
    says = TOP_AND_BOTTOM_BY_LCD(factor)
    work.write(wrap(line), says)
    unworked, tops = [], []
    for side in (node.numerator, node.denominator):
        plain_side = fraction_in_factors(side, work.algebra)
        if plain_side is not None and plain_side.bottom == ONE:
            tops.append(plain_side.times(InFactors(common, ONE)).top.tree(work.algebra))
            unworked.append(tops[-1])
            continue
        value = work.algebra.function(side)
        scaled = value.numerator * common.polynomial(work.algebra) / value.denominator
        tops.append(polynomial_tree(scaled, work.algebra))
        unworked.append(_term_by_term(work, side, common))
    tree = Quotient(unworked[0], unworked[1])
    work.write(wrap(tree), BARS_GO())
    if unordered(tree) != unordered(Quotient(tops[0], tops[1])):
        tree = Quotient(tops[0], tops[1])
        work.write(wrap(tree), COLLECT_TERMS())
    found = fraction_in_factors(tree, work.algebra)
    assert found is not None
    return work.reduced(found, tree, wrap)


def _term_by_term(work: "Rational", side: Expr, common: Factored) -> Expr:
    """Write every term of *side* times the common denominator, brackets left."""
    terms = []
    for term in build.terms_of(side):
        scaled = work.fraction(term.body, False).times(InFactors(common, ONE))
        whole = scaled.divided_out()[0].top.tree(work.algebra)
        terms.append(build.as_term(whole, term.sign))
    return build.total(terms)
