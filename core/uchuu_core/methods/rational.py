"""Rational expressions: factor and divide out, products, sums over the LCD, complex fractions."""

from collections.abc import Callable
from functools import lru_cache
from typing import Any

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.rational_functions import Ring
from uchuu_core.lawbook.expanding import COLLECT_ON_TOP, COLLECT_TERMS, NOTHING_LEFT_ON_TOP
from uchuu_core.lawbook.exponents import ONE_OVER_THE_POWER
from uchuu_core.lawbook.fractions import (
    DIVIDE_OUT_AND_MULTIPLY,
    DIVIDE_OUT_FACTORS,
    FACTOR_ALL_BELOW,
    FACTOR_BELOW,
    FACTOR_BOTH,
    FACTOR_EVERY_TOP_AND_BOTTOM,
    MINUS_IN_FRONT,
    OPPOSITE_OF,
    TAKE_MINUS_ONE_OUT,
    TOPS_OVER_ONE_DENOMINATOR,
)
from uchuu_core.lawbook.numbers import DIVIDING_IS_RECIPROCAL, FRACTIONS_TO_LCD, MULTIPLY_TOPS
from uchuu_core.lawbook.says import Listed, Says, listed
from uchuu_core.methods.complex_fractions import multiplied_through
from uchuu_core.methods.fractions_in_letters import (
    ONE,
    InFactors,
    fraction_in_factors,
    in_factors,
    least_common,
    shown_factor,
    stretched,
)
from uchuu_core.methods.fractions_in_letters import (
    Product as Factored,
)
from uchuu_core.methods.method import BOARD, KEY, RIDES_ALONG, Moment
from uchuu_core.methods.polynomials import expansions
from uchuu_core.methods.rational_shapes import (
    Chain,
    as_product,
    chain,
    has_power,
    is_complex,
    positive_below,
    rejoined,
    times,
    without_negative_exponent,
)
from uchuu_core.methods.written import polynomial_tree, ring_of
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Expr,
    Number,
    Power,
    Product,
    Quotient,
    Signed,
    Sum,
)
from uchuu_core.tree.paths import parts, rebuild
from uchuu_core.tree.shape import unordered

Wrap = Callable[[Expr], Expr]
Step = tuple[InFactors, Expr]
"""A fraction in factors, and the tree that is written for it."""
COMBINE, THROUGH = "combine-then-divide", "multiply-through-by-lcd"


def sums_in(node: Expr) -> list[Sum]:
    """Return the brackets of *node*."""
    return [part for part in parts(node) if isinstance(part, Sum)]


class Rational:
    """Works one expression; ``moments`` grows as it goes.

    Args:
        given: An expression without brackets that could be left out.
        school: How a complex fraction is worked: ``COMBINE`` or ``THROUGH``.
    """

    def __init__(self, given: Expr, school: str) -> None:
        self.algebra: Ring = ring_of(given)
        self.school = school
        self.moments: list[Moment] = []
        self.now = given
        self.is_complex = any(
            isinstance(part, Quotient) and part.mark != "÷" and is_complex(part)
            for part in parts(rebuild(as_product(given), without_negative_exponent))
        )
        self._written = self._as_written(given)

    def _as_written(self, given: Expr) -> dict[Expr, Expr]:
        """Return how sums stand in the given that would be multiplied out otherwise."""
        found: dict[Expr, Expr] = {}
        for part in parts(given):
            if isinstance(part, Sum) and not any(isinstance(p, Quotient) for p in parts(part)):
                if any(isinstance(p, Power) and isinstance(p.base, Sum) for p in parts(part)):
                    one = fraction_in_factors(part, self.algebra)
                    if one is not None and len(one.top.factors) == 1:
                        found[one.top.tree(self.algebra)] = part
        return found

    def work(self) -> None:
        """Write all lines.

        Raises:
            OutOfScope: it is of a kind that is not worked.
        """
        start = rebuild(self.now, without_negative_exponent)
        if start != self.now:
            says = ONE_OVER_THE_POWER()
            self.write(start, says, BOARD)
        self._combined(as_product(start), lambda part: part)

    def write(self, line: Expr, says: Says, weight: int = BOARD) -> None:
        if self._written:
            line = rebuild(line, lambda part: self._written.get(part, part))
        if line != self.now:
            self.now = line
            self.moments.append(Moment(line, says, weight))

    # one expression

    def _combined(self, node: Expr, wrap: Wrap) -> Step:
        """Bring *node* to one fraction in lowest terms; *wrap* writes it into the whole line."""
        one = fraction_in_factors(node, self.algebra)
        if one is not None and (isinstance(node, Quotient) or not isinstance(node, Sum)):
            return self.reduced(one, node, wrap)
        match node:
            case Signed("-", body):
                inner, tree = self._combined(body, lambda part: wrap(build.negative(part)))
                negative = InFactors(Factored(-inner.top.number, inner.top.factors), inner.bottom)
                return negative, build.negative(tree)
            case Sum():
                return self._sum(node, wrap)
            case Product() | Quotient() if len(chain(node)) > 1:
                divides = isinstance(node, Quotient) and node.mark != "÷"
                if self.school == THROUGH and divides and is_complex(node):  # type: ignore[arg-type]
                    return multiplied_through(self, node, wrap)  # type: ignore[arg-type]
                return self._product(node, wrap)
            case Power(base, Number() as exponent) if exponent.is_whole:
                return self._product(build.product([base] * int(exponent.text)), wrap)
            case _:
                raise OutOfScope("This part is no fraction of polynomials.")

    def reduced(self, fraction: InFactors, node: Expr, wrap: Wrap) -> Step:
        """Factor top and bottom, divide out common factors."""
        lowest, shared = fraction.divided_out()
        below = node.denominator if isinstance(node, Quotient) else build.ONE
        if not shared and lowest.bottom.number == -fraction.bottom.number == 1:
            if _is_difference(below):
                return lowest, node
        if not shared and lowest.bottom.number == fraction.bottom.number:
            return lowest, self._with_factored_denominator(node, lowest, wrap)
        node = self._without_powers(node, wrap)
        factored = fraction.tree(self.algebra)
        if unordered(factored) != unordered(node):
            opposite = self._opposite(node, factored)
            says = FACTOR_BOTH() if opposite is None else OPPOSITE_OF(*opposite)
            self.write(wrap(factored), says)
        says = DIVIDE_OUT_FACTORS(self._listed(shared)) if shared else MINUS_IN_FRONT()
        tree = lowest.end_tree(self.algebra)
        self.write(wrap(tree), says, KEY)
        return lowest, tree

    def _opposite(self, node: Expr, factored: Expr) -> tuple[Expr, Expr] | None:
        """Return a bracket above and its opposite below, where nothing else is factored."""
        if not isinstance(node, Quotient):
            return None
        above, below = build.factors_of(node.numerator), build.factors_of(node.denominator)
        if len(sums_in(node)) != len(sums_in(factored)):
            return None
        for one in above:
            for other in below:
                if isinstance(one, Sum) and isinstance(other, Sum):
                    total = self.algebra.function(build.add(one, other))
                    if total.is_zero:
                        return one, other
        return None

    def _listed(self, shared: list[Any]) -> Listed:
        return listed(shown_factor(factor, self.algebra) for factor in shared)

    def _without_powers(self, node: Expr, wrap: Wrap) -> Expr:
        """Expand and collect a top that is a sum with powers or products of brackets."""
        if not (isinstance(node, Quotient) and isinstance(node.numerator, Sum)):
            return node
        top, below = node.numerator, node.denominator
        if not any(isinstance(part, Sum) for term in top.terms for part in parts(term.body)):
            return node
        for moment in expansions(top):
            line = wrap(Quotient(moment.line, below))  # type: ignore[arg-type]
            self.write(line, moment.says)
        collected = polynomial_tree(self.algebra.function(top).numerator, self.algebra)
        self.write(wrap(Quotient(collected, below)), COLLECT_TERMS())
        return Quotient(collected, below)

    def _with_factored_denominator(self, node: Expr, lowest: InFactors, wrap: Wrap) -> Expr:
        """Write a denominator that is a sum in factors, though nothing divides out."""
        if not (isinstance(node, Quotient) and isinstance(node.denominator, Sum)):
            return node
        tree = Quotient(node.numerator, lowest.bottom.tree(self.algebra))
        if isinstance(tree.denominator, Sum):
            return node
        self.write(wrap(tree), FACTOR_BELOW(), KEY)
        return tree

    # products and quotients

    def _product(self, node: Expr, wrap: Wrap) -> Step:
        """Turn division into multiplication, factor everything, divide out, multiply what is left."""
        listed = chain(node)
        ready: list[tuple[Expr, bool]] = []
        for place, (part, is_below) in enumerate(listed):
            if fraction_in_factors(part, self.algebra) is None:
                before, after = listed[:place], listed[place + 1 :]

                def inside(
                    new: Expr,
                    before: Chain = before,
                    is_below: bool = is_below,
                    after: Chain = after,
                ) -> Expr:
                    return wrap(rejoined(node, [*before, (new, is_below), *after]))

                _, part = self._combined(part, inside)
                listed = [*listed[:place], (part, is_below), *listed[place + 1 :]]
            ready.append((part, is_below))
        fractions = [self.fraction(part, is_below) for part, is_below in ready]
        if any(is_below for _, is_below in ready):
            turned = [self._turned(part) if below else part for part, below in ready]
            turned = [part for part in turned if part != build.ONE] or [build.ONE]
            line = wrap(times(turned))
            self.write(line, DIVIDING_IS_RECIPROCAL())
        shared_factors = _product_of(fractions).divided_out()[1]
        trees = [fraction.tree(self.algebra, shared_factors) for fraction in fractions]
        if len(trees) > 1:
            line = wrap(times([tree for tree in trees if tree != build.ONE]))
            self.write(line, FACTOR_EVERY_TOP_AND_BOTTOM(), BOARD)
        lowest, shared = _product_of(fractions).divided_out()
        tree = lowest.end_tree(self.algebra)
        says = DIVIDE_OUT_AND_MULTIPLY(self._listed(shared)) if shared else MULTIPLY_TOPS()
        self.write(wrap(tree), says, KEY)
        return lowest, tree

    def fraction(self, part: Expr, is_below: bool) -> InFactors:
        found = fraction_in_factors(part, self.algebra)
        if found is None:
            raise OutOfScope("This product holds a part that is no fraction of polynomials.")
        if is_below and found.top.number == 0:
            raise OutOfScope("It divides by zero.")
        return found.inverted() if is_below else found

    def _turned(self, part: Expr) -> Expr:
        """Write the reciprocal."""
        if isinstance(part, Quotient):
            if part.numerator == build.ONE:
                return part.denominator
            return Quotient(part.denominator, part.numerator)
        return Quotient(build.ONE, part)

    # sums

    def _sum(self, node: Sum, wrap: Wrap) -> Step:
        """Stretch every fraction to the LCD, write one numerator, collect, divide out."""
        terms = self._simple_terms(node, wrap)
        fractions = [(sign, self.fraction(body, False)) for sign, body in terms]
        signed = [positive_below(sign, fraction) for sign, fraction in fractions]
        common = least_common([fraction.bottom for _, fraction in signed])
        if common == ONE:
            return self._polynomial(node, wrap)
        if any(f.bottom.number < 0 for _, f in fractions):
            line = self._total([(s, f.tree(self.algebra)) for s, f in signed])
            self.write(wrap(line), TAKE_MINUS_ONE_OUT())
        elif any(len(f.bottom.factors) > 1 or has_power(f) for _, f in signed) and any(
            isinstance(getattr(body, "denominator", None), Sum) for _, body in terms
        ):
            line = self._total(
                [
                    (s, self._with_factored_bottom(b, f))
                    for (s, b), (_, f) in zip(terms, signed, strict=True)
                ]
            )
            self.write(wrap(line), FACTOR_ALL_BELOW(), BOARD)
        return self._over(common, signed, wrap)

    def _simple_terms(self, node: Sum, wrap: Wrap) -> list[tuple[str, Expr]]:
        """Return the terms, each worked to a simple fraction first."""
        terms: list[tuple[str, Expr]] = [(t.sign, t.body) for t in node.terms]
        for place, (sign, body) in enumerate(terms):
            if fraction_in_factors(body, self.algebra) is not None:
                continue

            def inside(new: Expr, place: int = place, sign: str = sign) -> Expr:
                return wrap(self._total([*terms[:place], (sign, new), *terms[place + 1 :]]))

            _, tree = self._combined(body, inside)
            terms[place] = (sign, tree)
        return terms

    def _total(self, terms: list[tuple[str, Expr]]) -> Expr:
        return build.total(build.as_term(body, sign) for sign, body in terms)  # type: ignore[arg-type]

    def _with_factored_bottom(self, body: Expr, fraction: InFactors) -> Expr:
        if not isinstance(body, Quotient):
            return body
        return Quotient(body.numerator, fraction.bottom.tree(self.algebra))

    def _polynomial(self, node: Sum, wrap: Wrap) -> Step:
        """Expand and collect a sum without denominators."""
        for moment in expansions(node):
            self.write(wrap(moment.line), moment.says, RIDES_ALONG)  # type: ignore[arg-type]
        polynomial = self.algebra.function(node).numerator
        tree = polynomial_tree(polynomial, self.algebra)
        self.write(wrap(tree), COLLECT_TERMS(), KEY)
        return in_factors(polynomial, self.algebra), tree

    def _over(self, common: Factored, signed: list[tuple[str, InFactors]], wrap: Wrap) -> Step:
        below = common.tree(self.algebra)
        wide = [(sign, stretched(fraction, common, self.algebra)) for sign, fraction in signed]
        if any(fraction.bottom != common for _, fraction in signed):
            line = self._total([(sign, Quotient(top, below)) for sign, top in wide])
            self.write(wrap(line), FRACTIONS_TO_LCD(below))
        one = self._total(wide)
        self.write(wrap(Quotient(one, below)), TOPS_OVER_ONE_DENOMINATOR())
        for moment in expansions(one):
            line = wrap(Quotient(moment.line, below))  # type: ignore[arg-type]
            self.write(line, moment.says, RIDES_ALONG)
        polynomial = self.algebra.function(one).numerator
        if polynomial.is_zero():
            self.write(wrap(build.ZERO), NOTHING_LEFT_ON_TOP(), KEY)
            return InFactors(Factored(0, ()), ONE), build.ZERO
        top = polynomial_tree(polynomial, self.algebra)
        if unordered(top) == unordered(one):
            top = one
        tree = Quotient(top, below)
        if isinstance(top, Signed):
            tree = build.negative(Quotient(top.body, below))  # type: ignore[assignment]
        self.write(wrap(tree), COLLECT_ON_TOP(), KEY)
        fraction = in_factors(polynomial, self.algebra).times(InFactors(ONE, common))
        lowest, shared = fraction.divided_out()
        if not shared:
            return lowest, tree
        return self.reduced(fraction, tree, wrap)


def _product_of(fractions: list[InFactors]) -> InFactors:
    whole = fractions[0]
    for fraction in fractions[1:]:
        whole = whole.times(fraction)
    return whole


def _is_difference(node: Expr) -> bool:
    """Whether *node* is a difference in which the positive term is written first."""
    return isinstance(node, Sum) and [term.sign for term in node.terms] == ["+", "-"]


@lru_cache(maxsize=64)
def worked(start: Any, school: str) -> Rational:
    """Work *start*; remembered, since every school of it asks."""
    found = Rational(start, school)
    found.work()
    return found
