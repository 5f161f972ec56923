"""Rational expressions: factor and divide out, products, sums over the LCD, complex fractions."""

from collections.abc import Callable, Iterator
from functools import lru_cache
from typing import Any

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import Ring
from uchuu_core.methods.factoring import FACTORING, SCHOOLS, TECHNIQUES, route
from uchuu_core.methods.fractions_in_letters import (
    ONE,
    InFactors,
    fraction_in_factors,
    in_factors,
    least_common,
    missing,
    shown_factor,
)
from uchuu_core.methods.fractions_in_letters import (
    Product as Factored,
)
from uchuu_core.methods.method import BOARD, KEY, RIDES_ALONG, Method, Moment, shown
from uchuu_core.methods.polynomials import expansions
from uchuu_core.methods.written import polynomial_tree, ring_of
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Absolute,
    Expr,
    Join,
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
from uchuu_core.tree.paths import letters, parts, rebuild
from uchuu_core.tree.shape import unordered

Wrap = Callable[[Expr], Expr]
Step = tuple[InFactors, Expr]
"""A fraction in factors, and the tree that is written for it."""
Chain = list[tuple[Expr, bool]]
"""Factors, each with whether it divides."""
COMBINE, THROUGH = "combine-then-divide", "multiply-through-by-lcd"


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
            isinstance(part, Quotient) and part.mark != "÷" and _is_complex(part)
            for part in parts(rebuild(_as_product(given), _without_negative_exponent))
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
        start = rebuild(self.now, _without_negative_exponent)
        if start != self.now:
            says = "A negative exponent means one over the power."
            self._write(start, "negative-exponent", says, BOARD)
        self._combined(_as_product(start), lambda part: part)

    def _write(self, line: Expr, law: str, says: str, weight: int = BOARD) -> None:
        if self._written:
            line = rebuild(line, lambda part: self._written.get(part, part))
        if line != self.now:
            self.now = line
            self.moments.append(Moment(line, law, says, weight))

    # one expression

    def _combined(self, node: Expr, wrap: Wrap) -> Step:
        """Bring *node* to one fraction in lowest terms; *wrap* writes it into the whole line."""
        one = fraction_in_factors(node, self.algebra)
        if one is not None and (isinstance(node, Quotient) or not isinstance(node, Sum)):
            return self._reduced(one, node, wrap)
        match node:
            case Signed("-", body):
                inner, tree = self._combined(body, lambda part: wrap(build.negative(part)))
                negative = InFactors(Factored(-inner.top.number, inner.top.factors), inner.bottom)
                return negative, build.negative(tree)
            case Sum():
                return self._sum(node, wrap)
            case Product() | Quotient():
                divides = isinstance(node, Quotient) and node.mark != "÷"
                if self.school == THROUGH and divides and _is_complex(node):  # type: ignore[arg-type]
                    return self._multiplied_through(node, wrap)  # type: ignore[arg-type]
                return self._product(node, wrap)
            case Power(base, Number() as exponent) if exponent.is_whole:
                return self._product(build.product([base] * int(exponent.text)), wrap)
            case _:
                raise OutOfScope("This part is no fraction of polynomials.")

    def _reduced(self, fraction: InFactors, node: Expr, wrap: Wrap) -> Step:
        """Factor top and bottom, divide out common factors."""
        lowest, shared = fraction.divided_out()
        if not shared and lowest.bottom.number == fraction.bottom.number:
            return lowest, self._with_factored_denominator(node, lowest, wrap)
        factored = fraction.tree(self.algebra)
        if unordered(factored) != unordered(node):
            says = "Factor top and bottom."
            self._write(wrap(factored), "factor-top-and-bottom", says)
        listed = ", ".join(shown(shown_factor(f, self.algebra)) for f in shared)
        says = f"Divide out {listed}." if shared else "Take the minus in front."
        tree = lowest.tree(self.algebra)
        self._write(wrap(tree), "divide-out", says, KEY)
        return lowest, tree

    def _with_factored_denominator(self, node: Expr, lowest: InFactors, wrap: Wrap) -> Expr:
        """Write a denominator that is a sum in factors, though nothing divides out."""
        if not (isinstance(node, Quotient) and isinstance(node.denominator, Sum)):
            return node
        tree = Quotient(node.numerator, lowest.bottom.tree(self.algebra))
        if isinstance(tree.denominator, Sum):
            return node
        self._write(
            wrap(tree), "factor-denominator", "Factor the denominator; nothing divides out.", KEY
        )
        return tree

    # products and quotients

    def _product(self, node: Expr, wrap: Wrap) -> Step:
        """Turn division into multiplication, factor everything, divide out, multiply what is left."""
        listed = _chain(node)
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
                    return wrap(_rejoined(node, [*before, (new, is_below), *after]))

                _, part = self._combined(part, inside)
                listed = [*listed[:place], (part, is_below), *listed[place + 1 :]]
            ready.append((part, is_below))
        fractions = [self._fraction(part, is_below) for part, is_below in ready]
        if any(is_below for _, is_below in ready):
            turned = [self._turned(part) if below else part for part, below in ready]
            turned = [part for part in turned if part != build.ONE] or [build.ONE]
            line = wrap(_times(turned))
            self._write(
                line, "multiply-by-reciprocal", "Dividing is multiplying by the reciprocal."
            )
        trees = [fraction.tree(self.algebra) for fraction in fractions]
        if len(trees) > 1:
            line = wrap(_times([tree for tree in trees if tree != build.ONE]))
            self._write(line, "factor-everything", "Factor every top and bottom.", BOARD)
        whole = fractions[0]
        for fraction in fractions[1:]:
            whole = whole.times(fraction)
        lowest, shared = whole.divided_out()
        tree = lowest.tree(self.algebra)
        listed_factors = ", ".join(shown(shown_factor(f, self.algebra)) for f in shared)
        says = f"Divide out {listed_factors}; multiply what is left." if shared else "Multiply."
        self._write(wrap(tree), "divide-out", says, KEY)
        return lowest, tree

    def _fraction(self, part: Expr, is_below: bool) -> InFactors:
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
        fractions = [(sign, self._fraction(body, False)) for sign, body in terms]
        signed = [_positive_below(sign, fraction) for sign, fraction in fractions]
        common = least_common([fraction.bottom for _, fraction in signed])
        if common == ONE:
            return self._polynomial(node, wrap)
        if any(f.bottom.number < 0 for _, f in fractions):
            line = self._total([(s, f.tree(self.algebra)) for s, f in signed])
            self._write(
                wrap(line), "opposite-factors", "Take −1 out, so that the factors are the same."
            )
        elif any(len(f.bottom.factors) > 1 or _has_power(f) for _, f in signed) and any(
            isinstance(getattr(body, "denominator", None), Sum) for _, body in terms
        ):
            line = self._total(
                [
                    (s, self._with_factored_bottom(b, f))
                    for (s, b), (_, f) in zip(terms, signed, strict=True)
                ]
            )
            self._write(wrap(line), "factor-denominators", "Factor the denominators.", BOARD)
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
            self._write(wrap(moment.line), moment.law, moment.says, RIDES_ALONG)  # type: ignore[arg-type]
        polynomial = self.algebra.function(node).numerator
        tree = polynomial_tree(polynomial, self.algebra)
        self._write(wrap(tree), "collect-like-terms", "Collect like terms.", KEY)
        return in_factors(polynomial, self.algebra), tree

    def _over(self, common: Factored, signed: list[tuple[str, InFactors]], wrap: Wrap) -> Step:
        below = common.tree(self.algebra)
        stretched = [(sign, self._stretched(fraction, common)) for sign, fraction in signed]
        if any(fraction.bottom != common for _, fraction in signed):
            line = self._total([(sign, Quotient(top, below)) for sign, top in stretched])
            says = f"The least common denominator is {shown(below)}: stretch each fraction to it."
            self._write(wrap(line), "common-denominator", says)
        one = self._total(stretched)
        self._write(
            wrap(Quotient(one, below)), "one-numerator", "Write one numerator; brackets stay."
        )
        for moment in expansions(one):
            line = wrap(Quotient(moment.line, below))  # type: ignore[arg-type]
            self._write(line, moment.law, moment.says, RIDES_ALONG)
        polynomial = self.algebra.function(one).numerator
        if polynomial.is_zero():
            self._write(wrap(build.ZERO), "collect-like-terms", "Nothing is left on top.", KEY)
            return InFactors(Factored(0, ()), ONE), build.ZERO
        top = polynomial_tree(polynomial, self.algebra)
        tree = Quotient(top, below)
        if isinstance(top, Signed):
            tree = build.negative(Quotient(top.body, below))  # type: ignore[assignment]
        self._write(wrap(tree), "collect-like-terms", "Collect like terms on top.", KEY)
        fraction = in_factors(polynomial, self.algebra).times(InFactors(ONE, common))
        lowest, shared = fraction.divided_out()
        if not shared:
            return lowest, tree
        return self._reduced(fraction, tree, wrap)

    def _stretched(self, fraction: InFactors, common: Factored) -> Expr:
        """Write the numerator times what its denominator lacks."""
        lacking = missing(fraction.bottom, common)
        top = polynomial_tree(fraction.top.polynomial(self.algebra), self.algebra)
        if lacking == ONE:
            return top
        if top == build.ONE:
            return lacking.tree(self.algebra)
        if isinstance(top, Sum):
            return build.product((lacking.tree(self.algebra), top))
        whole = in_factors(fraction.top.polynomial(self.algebra), self.algebra)
        return whole.times(InFactors(lacking, ONE)).top.tree(self.algebra)

    # complex fractions, multiplied through

    def _multiplied_through(self, node: Quotient, wrap: Wrap) -> Step:
        inner = [
            self._fraction(body, False).bottom
            for side in (node.numerator, node.denominator)
            for body in (_terms_of(side))
        ]
        common = least_common(inner)
        factor = common.tree(self.algebra)
        line = Quotient(
            build.product(p for p in (node.numerator, factor) if p != build.ONE),
            build.product((node.denominator, factor)),
        )
        says = f"Multiply top and bottom by {shown(factor)}, the LCD of all fractions in it."
        self._write(wrap(line), "multiply-by-lcd", says)
        tops = []
        for side in (node.numerator, node.denominator):
            plain_side = fraction_in_factors(side, self.algebra)
            if plain_side is not None and plain_side.bottom == ONE:
                tops.append(plain_side.times(InFactors(common, ONE)).top.tree(self.algebra))
                continue
            value = self.algebra.function(side)
            scaled = value.numerator * common.polynomial(self.algebra) / value.denominator
            tops.append(polynomial_tree(scaled, self.algebra))
        tree = Quotient(tops[0], tops[1])
        self._write(wrap(tree), "multiply-by-lcd", "Every term loses its denominator.")
        found = fraction_in_factors(tree, self.algebra)
        assert found is not None
        return self._reduced(found, tree, wrap)


def _as_product(node: Expr) -> Expr:
    """Return ``a/b * c/d``, read from the left as ``((a/b)*c)/d``, as a product of two fractions."""
    match node:
        case Quotient(Product((*first, last), joins), below, "/") if any(
            isinstance(part, Quotient) for factor in first for part in parts(factor)
        ):
            return Product((*first, Quotient(last, below)), joins)
        case _:
            return node


def _times(factors: list[Expr]) -> Expr:
    """Write a product with a dot before every factor."""
    if len(factors) < 2:
        return build.product(factors)
    dot: Join = "*"
    return Product(tuple(factors), (dot,) * (len(factors) - 1))


def _terms_of(node: Expr) -> list[Expr]:
    return [term.body for term in build.terms_of(node)]


def _positive_below(sign: str, fraction: InFactors) -> tuple[str, InFactors]:
    """Return the term with a positive number below, the sign before it turned where need be."""
    if fraction.bottom.number > 0:
        return sign, fraction
    turned = Factored(-fraction.bottom.number, fraction.bottom.factors)
    return "-" if sign == "+" else "+", InFactors(fraction.top, turned)


def _has_power(fraction: InFactors) -> bool:
    return any(power > 1 and len(p) > 1 for p, power in fraction.bottom.factors)


def _is_complex(node: Quotient) -> bool:
    return any(
        isinstance(p, Quotient) for side in (node.numerator, node.denominator) for p in parts(side)
    )


def _chain(node: Expr, is_below: bool = False) -> list[tuple[Expr, bool]]:
    """Return the factors of products and divisions, each with whether it divides."""
    match node:
        case Product(factors, _):
            return [item for factor in factors for item in _chain(factor, is_below)]
        case Quotient(numerator, denominator, "÷"):
            return [*_chain(numerator, is_below), *_chain(denominator, not is_below)]
        case Quotient(numerator, denominator, _) if _is_complex(node):
            return [*_chain(numerator, is_below), *_chain(denominator, not is_below)]
        case _:
            return [(node, is_below)]


def _rejoined(node: Expr, listed: list[tuple[Expr, bool]]) -> Expr:
    """Write the chain again in the shape of *node*."""
    above = build.product(part for part, below in listed if not below)
    below = [part for part, is_below in listed if is_below]
    if not below:
        return above
    mark = node.mark if isinstance(node, Quotient) else "/"
    return Quotient(above, build.product(below), mark)


def _without_negative_exponent(part: Line) -> Line:
    match part:
        case Power(base, Signed("-", Number() as exponent)):
            power = base if exponent.text == "1" else Power(base, exponent)
            return Quotient(build.ONE, power)
        case _:
            return part


def _refusal(school: str) -> Callable[[Line, str], str | None]:
    def refusal(given: Line, _unknown: str) -> str | None:
        if isinstance(given, Relation) or not letters(given):
            return "there is no fraction with letters"
        if any(isinstance(part, (Root, Absolute)) for part in parts(given)):
            return "it holds roots or absolute values"
        start = build.without_brackets(given)
        if not any(
            (isinstance(p, Quotient) and letters(p.denominator))
            or (isinstance(p, Power) and isinstance(p.exponent, Signed))
            for p in parts(start)
        ):
            return "no letter stands below a bar"
        try:
            worked = _worked(start, school)
        except (NotRational, Undefined, OutOfScope) as reason:
            return getattr(reason, "message", "an exponent in it is not a whole number")
        if not worked.moments:
            return "it is in lowest terms already"
        if (school != PLAIN) is not worked.is_complex:
            return (
                "a fraction stands inside a fraction"
                if worked.is_complex
                else "no fraction stands inside a fraction"
            )
        return None

    return refusal


@lru_cache(maxsize=64)
def _worked(start: Any, school: str) -> Rational:
    """Work *start*; remembered, since every school of it asks."""
    found = Rational(start, school)
    found.work()
    return found


def _moments(school: str) -> Callable[[Line, str], Iterator[Moment]]:
    def moments(given: Line, _unknown: str) -> Iterator[Moment]:
        return iter(_worked(build.without_brackets(given), school).moments)

    return moments


def _technique_refusal(key: str) -> Callable[[Line, str], str | None]:
    """Refuse unless some top or bottom is factored by the technique *key*."""
    refusal = _refusal(PLAIN)

    def by_technique(given: Line, unknown: str) -> str | None:
        reason = refusal(given, unknown)
        if reason is not None:
            return reason
        school = key if key in SCHOOLS else SCHOOLS[0]
        for part in parts(build.without_brackets(given)):
            if isinstance(part, Quotient):
                for side in (part.numerator, part.denominator):
                    found = route(side, school) if letters(side) else ""
                    if not isinstance(found, str) and key in found.techniques:
                        return None
        return "no top or bottom is factored that way"

    return by_technique


PLAIN = "factor-and-divide-out"
_WHY = {
    COMBINE: "Make top and bottom one fraction each, then multiply by the reciprocal.",
    THROUGH: "Multiply top and bottom by the LCD of all fractions inside.",
    PLAIN: "Factor, divide out common factors; sums over the LCD.",
}
RATIONAL = (
    *(
        Method(key=key, tasks=("simplify",), refusal=_refusal(key), why=why, moments=_moments(key))
        for key, why in _WHY.items()
    ),
    *(
        Method(
            key=method.key,
            tasks=("simplify",),
            refusal=_technique_refusal(method.key),
            why=f"{method.why} Then divide out.",
            moments=_moments(PLAIN),
        )
        for method in FACTORING
        if method.key in TECHNIQUES
    ),
)
