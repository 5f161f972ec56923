"""Studying a rational function: factor, exclude, hole or asymptote, compare degrees, intercepts, ends."""

from collections.abc import Iterator
from fractions import Fraction
from typing import Any

from flint import fmpq, fmpq_poly

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.features import INFINITY, MINUS_INFINITY, Features, features_of
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import Ring, ring
from uchuu_core.kernel.written import tree_of
from uchuu_core.lawbook.fractions import DIVIDE_OUT_STAYS_EXCLUDED, FACTOR_BOTH, ONE_FRACTION
from uchuu_core.lawbook.functions import (
    DIVIDE_SHIFTS,
    DIVIDE_TOP_BY_BOTTOM,
    EQUAL_DEGREES,
    HOLE_AT,
    LOWER_ON_TOP,
    MUST_NOT_BE_ZERO,
    NOTHING_BECOMES_ZERO,
    OBLIQUE,
    ONLY_HIGHEST_POWERS,
    PUT_ZERO_IN,
    STAYS_BELOW,
    TOP_NEVER_ZERO,
    TOP_ZERO,
    ZERO_IS_EXCLUDED,
)
from uchuu_core.lawbook.says import listed
from uchuu_core.methods.fractions_in_letters import fraction_in_factors
from uchuu_core.methods.method import KEY, Method, Moment, Posed
from uchuu_core.methods.written import polynomial_tree
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Coordinates,
    Expr,
    Feature,
    Outcome,
    Power,
    Quotient,
    Relation,
    Signed,
    Sum,
    Symbol,
    Term,
)
from uchuu_core.tree.paths import letters


def written_number(number: Algebraic | fmpq) -> Expr:
    """Write a number.

    Raises:
        OutOfScope: it is no number that is written with square roots.
    """
    if isinstance(number, fmpq):
        return build.number_of(number)
    tree = tree_of(number)
    if tree is None:
        raise OutOfScope("A zero of it cannot be written with square roots.")
    return tree


def polynomial(values: fmpq_poly, unknown: str) -> Expr:
    """Write a polynomial."""
    algebra = ring((unknown,))
    return polynomial_tree(_polynomial(values, algebra, unknown), algebra)


def _polynomial(values: fmpq_poly, algebra: Ring, unknown: str) -> Any:
    total = algebra.one * 0
    for degree in range(values.degree() + 1):
        total += algebra.letter(unknown) ** degree * values[degree]
    return total


class _Study:
    def __init__(self, given: Expr, unknown: str) -> None:
        self.given, self.unknown = given, unknown
        self.letter = Symbol(unknown)
        self.features: Features = features_of(given, unknown)

    def lines(self) -> Iterator[Moment]:
        yield from self._algebra()
        yield from self._breaks()
        yield from self._asymptotes()
        yield from self._intercepts()
        yield from self._ends()

    def _algebra(self) -> Iterator[Moment]:
        algebra = ring((self.unknown,))
        now = self.given
        fraction = fraction_in_factors(now, algebra)
        if fraction is None:
            f = self.features
            now = self._over(polynomial(f.top, self.unknown), f.bottom)
            says = ONE_FRACTION()
            if now != self.given:
                yield Moment(now, says)
            fraction = fraction_in_factors(now, algebra)
        yield self._domain()
        if fraction is None:
            return
        lowest, shared = fraction.divided_out()
        factored = fraction.tree(algebra)
        if factored != now and (shared or _is_product(factored)):
            says = FACTOR_BOTH()
            now = factored
            yield Moment(now, says)
        if shared:
            says = DIVIDE_OUT_STAYS_EXCLUDED(listed(self._listed(shared)))
            yield Moment(lowest.tree(algebra), says, KEY)

    def _listed(self, shared: list[object]) -> list[Expr]:
        algebra = ring((self.unknown,))
        return [
            build.number(Fraction(f)) if isinstance(f, int) else polynomial_tree(f, algebra)  # type: ignore[arg-type]
            for f in shared
        ]

    def _over(self, top: Expr, bottom: fmpq_poly) -> Expr:
        if bottom.degree() == 0:
            return top
        return Quotient(top, polynomial(bottom, self.unknown))

    def _domain(self) -> Moment:
        excluded = self.features.excluded
        if not excluded:
            says = NOTHING_BECOMES_ZERO()
            return Moment(Feature("domain", (Outcome("all real numbers"),)), says)
        items = tuple(Relation(self.letter, "!=", written_number(x)) for x in excluded)
        says = MUST_NOT_BE_ZERO()
        return Moment(Feature("domain", items), says, KEY)

    def _breaks(self) -> Iterator[Moment]:
        f = self.features
        if any(y is None for _, y in f.holes):
            raise OutOfScope("A hole of it does not lie at a rational place.")
        if f.holes:
            points = tuple(
                Coordinates(written_number(x), written_number(y))
                for x, y in f.holes
                if y is not None
            )
            label = "hole" if len(points) == 1 else "holes"
            letter = Symbol(self.unknown)
            places = listed(Relation(letter, "=", p.x) for p in points)
            says = HOLE_AT(places)
            yield Moment(Feature(label, points), says, KEY)
        if f.vertical:
            items = tuple(Relation(self.letter, "=", written_number(x)) for x in f.vertical)
            label = "vertical asymptote" if len(items) == 1 else "vertical asymptotes"
            says = STAYS_BELOW()
            yield Moment(Feature(label, items), says, KEY)

    def _asymptotes(self) -> Iterator[Moment]:
        f = self.features
        y = Symbol("y")
        if f.bottom.degree() == 0:
            return
        top, bottom = f.top.degree(), f.bottom.degree()
        if f.horizontal is not None:
            says = LOWER_ON_TOP()
            if top == bottom:
                lead = [build.number_of(p[p.degree()]) for p in (f.top, f.bottom)]
                says = EQUAL_DEGREES(top=lead[0], bottom=lead[1])
            line = Relation(y, "=", written_number(f.horizontal))
            yield Moment(Feature("horizontal asymptote", (line,)), says, KEY)
        if f.shift is not None and top == bottom and self._shifted() != self.given:
            says = DIVIDE_SHIFTS()
            yield Moment(self._shifted(), says)
        if f.horizontal is None:
            divided = self._divided()
            says = DIVIDE_TOP_BY_BOTTOM()
            yield Moment(divided, says)
        if f.is_oblique:
            line = Relation(y, "=", polynomial(f.quotient, self.unknown))
            says = OBLIQUE()
            yield Moment(Feature("oblique asymptote", (line,)), says, KEY)

    def _divided(self) -> Expr:
        f = self.features
        rest = polynomial(f.remainder, self.unknown)
        bottom = polynomial(f.bottom, self.unknown)
        sign = "-" if isinstance(rest, Signed) else "+"
        rest = rest.body if isinstance(rest, Signed) else rest
        terms = build.terms_of(polynomial(f.quotient, self.unknown))
        return Sum((*terms, Term(sign, Quotient(rest, bottom))))  # type: ignore[arg-type]

    def _shifted(self) -> Expr:
        assert self.features.shift is not None
        a, h, k = self.features.shift
        inside = build.add(self.letter, build.negative(build.number_of(h)))
        sign = "-" if a < 0 else "+"
        size = build.number_of(abs(a))
        fraction = Quotient(size, inside)
        if isinstance(size, Quotient):
            below = build.product((size.denominator, inside))
            fraction = Quotient(size.numerator, below)
        if k == 0:
            return fraction if a > 0 else Signed("-", fraction)
        return Sum((Term(sign, fraction), build.as_term(build.number_of(k))))  # type: ignore[arg-type]

    def _intercepts(self) -> Iterator[Moment]:
        f = self.features
        points = tuple(Coordinates(written_number(x), build.ZERO) for x in f.zeros)
        label = "x-intercepts" if len(points) > 1 else "x-intercept"
        says = TOP_ZERO()
        if not points:
            says = TOP_NEVER_ZERO()
        yield Moment(Feature(label, points), says, KEY)
        if f.at_zero is None:
            says = ZERO_IS_EXCLUDED(Symbol(self.unknown))
            yield Moment(Feature("y-intercept", ()), says, KEY)
        else:
            point = Coordinates(build.ZERO, build.number_of(f.at_zero))
            says = PUT_ZERO_IN(Symbol(self.unknown))
            yield Moment(Feature("y-intercept", (point,)), says, KEY)

    def _ends(self) -> Iterator[Moment]:
        f = self.features
        for label, end, where in (
            ("end left", f.left, "far to the left"),
            ("end right", f.right, "far to the right"),
        ):
            value: Expr = Symbol("infinity")
            if end == MINUS_INFINITY:
                value = Signed("-", Symbol("infinity"))
            elif end != INFINITY:
                assert isinstance(end, fmpq)
                value = build.number_of(end)
            says = ONLY_HIGHEST_POWERS(where)
            yield Moment(Feature(label, (value,)), says)


def _is_product(node: Expr) -> bool:
    sides = (node.numerator, node.denominator) if isinstance(node, Quotient) else (node,)
    return any(not isinstance(s, (Sum, Symbol)) or isinstance(s, Power) for s in sides)


def _refusal(posed: Posed) -> str | None:
    given = build.without_brackets(posed.given)
    if isinstance(given, (Relation, Outcome, Feature)):
        return "this is not an expression"
    if letters(given) != {posed.unknown}:
        return "a function of one letter is studied"
    try:
        list(_Study(given, posed.unknown).lines())
    except NotRational:
        return "it is no rational function"
    except Undefined:
        return "it divides by zero everywhere"
    except OutOfScope as reason:
        return reason.message[:1].lower() + reason.message[1:].rstrip(".")
    return None


def _moments(posed: Posed) -> Iterator[Moment]:
    return _Study(build.without_brackets(posed.given), posed.unknown).lines()


STUDY = Method(
    key="factor-and-compare-degrees",
    tasks=("study",),
    refusal=_refusal,
    why="A rational function: factor, exclude, compare degrees.",
    moments=_moments,
)
