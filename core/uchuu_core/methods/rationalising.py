"""A root below the bar: divided out, joined into one root, or rationalised."""

from collections.abc import Callable
from dataclasses import replace
from typing import TYPE_CHECKING

from flint import fmpz

from uchuu_core.failures import OutOfScope
from uchuu_core.lawbook.fractions import (
    DIVIDE_OUT_COMMON,
    DIVIDE_OUT_OF_EVERY_TERM,
    MINUS_TO_THE_TOP,
    NOTHING_LEFT_BELOW,
)
from uchuu_core.lawbook.radicals import (
    BY_THE_CONJUGATE,
    CONJUGATES_BELOW,
    MULTIPLY_OUT,
    QUOTIENT_OF_ROOTS,
    RATIONALISE_BY,
)
from uchuu_core.methods.fractions_in_letters import ONE, InFactors, Product, in_factors
from uchuu_core.methods.method import KEY
from uchuu_core.methods.roots import (
    Roots,
    RootTerm,
    common_factor,
    over,
    roots_of_tree,
)
from uchuu_core.methods.written import polynomial_tree
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Quotient, Root
from uchuu_core.tree.paths import parts

LARGEST, PRIMES = "largest-square-factor", "prime-factorisation"
COMBINE, SIMPLIFY, CONJUGATE = "combine-then-rationalise", "simplify-then-rationalise", "conjugate"
Wrap = Callable[[Expr], Expr]

if TYPE_CHECKING:
    from uchuu_core.methods.radicals import Radicals


class RootBelow:
    """Writes the lines of one fraction for *work*, which simplifies and collects what stands in it."""

    def __init__(self, work: "Radicals") -> None:
        self.work = work

    def write(self, given: Quotient) -> None:
        """Write the lines that leave no root below the bar.

        Raises:
            OutOfScope: three terms stand below it.
        """
        top = roots_of_tree(given.numerator, self.work.algebra)
        bottom = roots_of_tree(given.denominator, self.work.algebra)
        joined = _under_one_root(top, bottom)
        if joined is not None:
            says = QUOTIENT_OF_ROOTS()
            self.work.write(joined.tree(), says)
            self.work.sum(joined, lambda part: part)
            return
        stays = bottom.simplest(self.work.is_safe).holds_root
        if self.work.school != COMBINE or not stays:
            below = bottom.tree()
            top = self.work.sum(top, lambda part: Quotient(part, below))
            done = top.tree()
            bottom = self.work.sum(bottom, lambda part: Quotient(done, part))
            top, bottom = self._divided(top, bottom)
        if not bottom.holds_root:
            self._finished(top, bottom)
            return
        self._rationalised(top, bottom)

    def _rationalised(self, top: Roots, bottom: Roots) -> None:
        multiplier = self._multiplier(bottom)
        times = multiplier.tree()
        is_single = len(bottom.terms) == 1
        says = RATIONALISE_BY(times) if is_single else BY_THE_CONJUGATE(times)
        above = times if top.is_one else build.product((top.tree(), times))
        self.work.write(Quotient(above, build.product((bottom.tree(), times))), says)
        self.work.techniques |= {COMBINE, SIMPLIFY} if is_single else {CONJUGATE}
        new_bottom = bottom.times(multiplier).simplest(self.work.is_safe).collected()
        if not is_single and self._divides_out(top, new_bottom, multiplier):
            return
        new_top = top.times(multiplier)
        self.work.write(_over(new_top.tree(), new_bottom), MULTIPLY_OUT())
        new_top = self.work.sum(new_top, lambda part: _over(part, new_bottom))
        self._finished(*self._divided(new_top, new_bottom))

    def _divides_out(self, top: Roots, bottom: Roots, multiplier: Roots) -> bool:
        """Divide a polynomial on top by the new one below, the conjugate left as it is."""
        above, below = top.polynomial(), bottom.polynomial()
        if above is None or below is None or not below or below.is_constant():
            return False
        whole = in_factors(above, self.work.algebra).times(
            in_factors(below, self.work.algebra).inverted()
        )
        lowest, shared = whole.divided_out()
        if not any(not isinstance(factor, int) for factor in shared):
            return False
        times = multiplier.tree()
        says = CONJUGATES_BELOW()
        line = Quotient(
            build.product((polynomial_tree(above, self.work.algebra), times)),
            polynomial_tree(below, self.work.algebra),
        )
        self.work.write(line, says)
        end = build.product(
            p for p in (lowest.top.tree(self.work.algebra), times) if p != build.ONE
        )
        under = lowest.bottom.tree(self.work.algebra)
        line_end = end if under == build.ONE else Quotient(end, under)
        self.work.write(line_end, DIVIDE_OUT_COMMON(), KEY)
        return True

    def _multiplier(self, bottom: Roots) -> Roots:
        if len(bottom.terms) == 1:
            inside = bottom.terms[0].inside
            if bottom.index > 2:
                inside = _lacking(inside, bottom.index)
            return replace(bottom, terms=(RootTerm(InFactors(ONE, ONE), inside),))
        if len(bottom.terms) == 2 and bottom.index == 2:
            first, second = bottom.terms
            return replace(bottom, terms=(first, second.scaled(-second.number)))
        raise OutOfScope("Three terms below a bar are not rationalised yet.")

    def _divided(self, top: Roots, bottom: Roots) -> tuple[Roots, Roots]:
        """Divide a common factor out of every term."""
        number, factors = common_factor((top, bottom))
        if number > 1 or factors:
            top, bottom = (over(side, number, factors) for side in (top, bottom))
            shared = Product(number, factors).tree(self.work.algebra)
            self.work.write(_over(top.tree(), bottom), DIVIDE_OUT_OF_EVERY_TERM(shared), KEY)
        return top, bottom

    def _finished(self, top: Roots, bottom: Roots) -> None:
        below = bottom.polynomial()
        if below is not None and below.is_constant() and below.leading_coefficient() < 0:
            top, bottom = (
                replace(side, terms=tuple(t.scaled(-t.number) for t in side.terms))
                for side in (top, bottom)
            )
        line = _over(top.tree(), bottom)
        says = NOTHING_LEFT_BELOW() if bottom.is_one else MINUS_TO_THE_TOP()
        self.work.write(line, says, KEY)


def has_root_below(node: Expr) -> bool:
    """Return whether a root stands in a denominator."""
    return isinstance(node, Quotient) and any(
        isinstance(part, Root) for part in parts(node.denominator)
    )


def _under_one_root(top: Roots, bottom: Roots) -> Roots | None:
    """Return √a/√b as √(a/b) when that is whole and b is no perfect power with a letter."""
    if len(top.terms) != 1 or len(bottom.terms) != 1 or top.index != bottom.index:
        return None
    above, below = top.terms[0], bottom.terms[0]
    if above.inside == ONE or below.inside == ONE or above.absolute or below.absolute:
        return None
    inside, shared = InFactors(above.inside, below.inside).divided_out()
    coefficient = above.coefficient.times(below.coefficient.inverted()).divided_out()[0]
    if not shared or inside.bottom != ONE or below.inside.factors:
        return None
    return replace(top, terms=(RootTerm(coefficient, inside.top),))


def _lacking(inside: Product, index: int) -> Product:
    """Return what completes *inside* to a perfect power."""
    number = 1
    for prime, power in fmpz(abs(inside.number)).factor():
        number *= int(prime) ** (-int(power) % index)
    return Product(number, tuple((p, -n % index) for p, n in inside.factors if n % index))


def _over(top: Expr, bottom: Roots) -> Expr:
    """Write a fraction, without a bar over 1."""
    return top if bottom.is_one else Quotient(top, bottom.tree())
