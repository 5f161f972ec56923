"""Numbers ``center ± factor·√radicand``: how solutions of quadratics are written."""

from dataclasses import dataclass
from fractions import Fraction

from uchuu_core.failures import OutOfScope
from uchuu_core.methods.roots import LARGEST_RADICAND, power_part
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Number, Quotient, Root, Sign, Signed, Sum, Symbol, Term


@dataclass(frozen=True, slots=True)
class RootOf:
    """The square root of a rational number: ``factor·√radicand``, times i when imaginary.

    ``factor`` is not negative, ``radicand`` a whole number from 1 up without square factors.
    """

    factor: Fraction
    radicand: int
    is_imaginary: bool

    @property
    def is_rational(self) -> bool:
        """Whether no root is left."""
        return self.radicand == 1 and not self.is_imaginary

    @property
    def top(self) -> Expr:
        """The root without its denominator: ``3i√5``."""
        return self.scaled_top(self.factor.numerator)

    def scaled_top(self, number: int) -> Expr:
        """Write the root with *number* in front."""
        parts: list[Expr] = []
        if number != 1 or (self.radicand == 1 and not self.is_imaginary):
            parts.append(Number(str(number)))
        if self.is_imaginary:
            parts.append(Symbol("i"))
        if self.radicand != 1:
            parts.append(Root(2, Number(str(self.radicand))))
        return build.product(parts)

    @property
    def tree(self) -> Expr:
        """The root as written."""
        below = self.factor.denominator
        return self.top if below == 1 else Quotient(self.top, Number(str(below)))

    def over(self, divisor: Fraction) -> "RootOf":
        """Return the root over the size of a number other than 0."""
        return RootOf(self.factor / abs(divisor), self.radicand, self.is_imaginary)


def root_of(value: Fraction) -> RootOf:
    """Return the square root of a rational number in simplest form.

    Raises:
        OutOfScope: the number is too large to be taken apart.
    """
    size = abs(value)
    if size.numerator * size.denominator > LARGEST_RADICAND:
        raise OutOfScope("The number under the root is too large.")
    outside, inside = power_part(size.numerator * size.denominator, 2)
    return RootOf(Fraction(outside, size.denominator), inside, value < 0)


def around(center: Fraction, root: RootOf, sign: Sign) -> Expr:
    """Write ``center ± root``: one fraction where both have the same denominator."""
    if root.is_rational and sign != "+-":
        return build.number(center + root.factor if sign == "+" else center - root.factor)
    if center == 0:
        return root.tree if sign == "+" else Signed(sign, root.tree)
    if center.denominator == root.factor.denominator != 1:
        first = build.as_term(build.number(center.numerator))
        whole = Sum((first, Term(sign, root.top)))
        return Quotient(whole, Number(str(center.denominator)))
    return Sum((build.as_term(build.number(center)), Term(sign, root.tree)))
