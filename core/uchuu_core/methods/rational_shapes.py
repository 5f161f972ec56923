"""Shapes of lines with fractions: chains of factors, fractions inside fractions."""

from uchuu_core.methods.fractions_in_letters import InFactors
from uchuu_core.methods.fractions_in_letters import Product as Factored
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Join, Line, Number, Power, Product, Quotient, Signed
from uchuu_core.tree.paths import parts

Chain = list[tuple[Expr, bool]]
"""Factors, each with whether it divides."""


def as_product(node: Expr) -> Expr:
    """Return ``a/b * c/d``, read from the left as ``((a/b)*c)/d``, as a product of two fractions."""
    match node:
        case Quotient(Product((*first, last), joins), below, "/") if any(
            isinstance(part, Quotient) for factor in first for part in parts(factor)
        ):
            return Product((*first, Quotient(last, below)), joins)
        case _:
            return node


def times(factors: list[Expr]) -> Expr:
    """Write a product with a dot before every factor."""
    if len(factors) < 2:
        return build.product(factors)
    dot: Join = "*"
    return Product(tuple(factors), (dot,) * (len(factors) - 1))


def terms_of(node: Expr) -> list[Expr]:
    return [term.body for term in build.terms_of(node)]


def positive_below(sign: str, fraction: InFactors) -> tuple[str, InFactors]:
    """Return the term with a positive number below, the sign before it turned where need be."""
    if fraction.bottom.number > 0:
        return sign, fraction
    turned = Factored(-fraction.bottom.number, fraction.bottom.factors)
    return "-" if sign == "+" else "+", InFactors(fraction.top, turned)


def has_power(fraction: InFactors) -> bool:
    return any(power > 1 and len(p) > 1 for p, power in fraction.bottom.factors)


def is_complex(node: Quotient) -> bool:
    return any(
        isinstance(p, Quotient) for side in (node.numerator, node.denominator) for p in parts(side)
    )


def chain(node: Expr, is_below: bool = False) -> list[tuple[Expr, bool]]:
    """Return the factors of products and divisions, each with whether it divides."""
    match node:
        case Product(factors, _):
            return [item for factor in factors for item in chain(factor, is_below)]
        case Quotient(numerator, denominator, "÷"):
            return [*chain(numerator, is_below), *chain(denominator, not is_below)]
        case Quotient(numerator, denominator, _) if is_complex(node):
            return [*chain(numerator, is_below), *chain(denominator, not is_below)]
        case _:
            return [(node, is_below)]


def rejoined(node: Expr, listed: list[tuple[Expr, bool]]) -> Expr:
    """Write the chain again in the shape of *node*."""
    above = build.product(part for part, below in listed if not below)
    below = [part for part, is_below in listed if is_below]
    if not below:
        return above
    mark = node.mark if isinstance(node, Quotient) else "/"
    return Quotient(above, build.product(below), mark)


def without_negative_exponent(part: Line) -> Line:
    match part:
        case Power(base, Signed("-", Number() as exponent)):
            power = base if exponent.text == "1" else Power(base, exponent)
            return Quotient(build.ONE, power)
        case _:
            return part
