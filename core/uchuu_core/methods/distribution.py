"""The power of a product goes to every factor, the power of a power multiplies: every power on a single base."""

from uchuu_core.failures import OutOfScope
from uchuu_core.methods.powers import Exponents
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Number, Power, Product, Quotient, Signed


class Distribution:
    """Takes powers of products, quotients and powers apart.

    Args:
        exponents: Reads and writes exponents.
    """

    def __init__(self, exponents: Exponents) -> None:
        self._exponents = exponents
        self.met: list[Expr] = []

    def of(self, node: Expr) -> Expr:
        """Return *node* with every power on a single base."""
        match node:
            case Power(base, exponent):
                inner = self.of(base)
                return self._power(inner, self._exponents.of(exponent), node)
            case Product(factors, _):
                return build.product(self.of(factor) for factor in factors)
            case Quotient(top, bottom, mark):
                return Quotient(self.of(top), self.of(bottom), mark)
            case Signed(sign, body):
                return Signed(sign, self.of(body))
            case _:
                return node

    def _power(self, base: Expr, exponent: object, written: Expr) -> Expr:
        exponents = self._exponents
        value = exponents.number(exponent)
        is_whole = value is not None and value.denominator == 1
        match base:
            case Product(factors, _):
                self._require(is_whole or _are_positive(factors))
                self.met.append(written)
                return build.product(self._power(f, exponent, written) for f in factors)
            case Quotient(top, bottom, _) if not (
                isinstance(top, Number) and isinstance(bottom, Number) and not is_whole
            ):
                self._require(is_whole or _are_positive((top, bottom)))
                self.met.append(written)
                above, below = (self._power(side, exponent, written) for side in (top, bottom))
                return Quotient(above, below)
            case Power(inner, outer):
                first = exponents.of(outer)
                self._require(is_whole or _are_positive((inner,)) or self._is_odd(first))
                self.met.append(written)
                return exponents.power(inner, first * exponent)
            case Signed("-", body):
                self._require(is_whole)
                assert value is not None
                self.met.append(written)
                power = self._power(body, exponent, written)
                return power if value.numerator % 2 == 0 else build.negative(power)
            case Number("1"):
                return base
            case _:
                return exponents.power(base, exponent)

    def _is_odd(self, exponent: object) -> bool:
        value = self._exponents.number(exponent)
        return value is not None and value.denominator == 1 and value.numerator % 2 == 1

    def _require(self, holds: bool) -> None:
        if not holds:
            raise OutOfScope(
                "A power that is no whole number stands on letters that may be negative."
            )


def _are_positive(bases: tuple[Expr, ...]) -> bool:
    return all(
        isinstance(b, Number) or (isinstance(b, Power) and isinstance(b.base, Number))
        for b in bases
    )
