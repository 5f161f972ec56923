"""Studying a rational function: factor, exclude, hole or asymptote, compare degrees, intercepts, ends."""

from collections.abc import Iterator
from dataclasses import replace
from fractions import Fraction

from flint import fmpq, fmpq_poly

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.features import INFINITY, MINUS_INFINITY, Features, features_of
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solutions import SolutionSet, complement
from uchuu_core.kernel.written import tree_of
from uchuu_core.lawbook.fractions import DIVIDE_OUT_STAYS_EXCLUDED, FACTOR_BOTH, ONE_FRACTION
from uchuu_core.lawbook.functions import (
    DIVIDE_SHIFTS,
    EQUAL_DEGREES,
    HOLE_AT,
    LOWER_ON_TOP,
    MOVED_ASIDE,
    MOVED_UP,
    MUST_NOT_BE_ZERO,
    NOTHING_BECOMES_ZERO,
    OBLIQUE,
    ONLY_HIGHEST_POWERS,
    PUT_POINT_IN,
    PUT_ZERO_IN,
    RANGE_OF_SHIFTED,
    READ_SHIFTS,
    STAYS_BELOW,
    TOP_NEVER_ZERO,
    TOP_ZERO,
    TWO_POINTS_MOVED,
    ZERO_IS_EXCLUDED,
)
from uchuu_core.lawbook.says import listed
from uchuu_core.methods.division import LONG, SYNTHETIC, division
from uchuu_core.methods.domain_lines import written_domain
from uchuu_core.methods.fractions_in_letters import fraction_in_factors
from uchuu_core.methods.method import KEY, Method, Moment, Posed
from uchuu_core.methods.written import polynomial_tree, univariate
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Coordinates,
    Either,
    Expr,
    Feature,
    Line,
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
from uchuu_core.tree.shape import unordered

PAPER = 10
"""Points with a coordinate beyond do not fit the paper."""


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


class _Study:
    """One function; ``division``: how top is divided by bottom, long or synthetic."""

    def __init__(self, given: Expr, posed: Posed, division: str = LONG) -> None:
        self.given, self.unknown, self.house = given, posed.unknown, posed.house
        unknown = posed.unknown
        synthetic = SYNTHETIC in posed.house.methods
        self.division = SYNTHETIC if synthetic else division
        self.letter = Symbol(unknown)
        self.features: Features = features_of(given, unknown)

    def lines(self) -> Iterator[Moment]:
        yield from self._algebra()
        yield from self._breaks()
        yield from self._asymptotes()
        yield from self._intercepts()
        yield from self._one_more_point()
        yield from self._ends()

    def shifted_lines(self) -> Iterator[Moment]:
        """Yield the lines of a function that is read off its shifts."""
        assert self.features.shift is not None
        _, h, k = (build.number_of(value) for value in self.features.shift)
        says = READ_SHIFTS(curve=self._curve(), h=h, k=k)
        yield replace(self._domain(), says=says)
        across, up = (Relation(self.letter, "=", h), Relation(Symbol("y"), "=", k))
        yield Moment(Feature("vertical asymptote", (across,)), MOVED_ASIDE(self.letter), KEY)
        yield Moment(Feature("horizontal asymptote", (up,)), MOVED_UP(), KEY)
        yield self._two_points()
        missed = Relation(Symbol("y"), "!=", k)
        yield Moment(Feature("range", (missed,)), RANGE_OF_SHIFTED(), KEY)
        yield from self._intercepts()
        yield from self._ends()

    def _curve(self) -> Expr:
        """Return a/x, before it is moved."""
        assert self.features.shift is not None
        a = self.features.shift[0]
        whole = Quotient(build.number_of(abs(a)), self.letter)
        return build.negative(whole) if a < 0 else whole

    def _two_points(self) -> Moment:
        """Return (1, a) and (−1, −a) of a/x, moved."""
        assert self.features.shift is not None
        a, h, k = self.features.shift
        one = fmpq(1)
        pairs = [((one, a), (h + 1, k + a)), ((-one, -a), (h - 1, k - a))]
        old, new = zip(*(map(_point, pair) for pair in pairs), strict=True)
        says = TWO_POINTS_MOVED(curve=self._curve(), first=old[0], second=old[1])
        return Moment(Feature("points", new), says)

    def _one_more_point(self) -> Iterator[Moment]:
        """Yield a point with small whole coordinates, in the last stretch that has one."""
        f = self.features
        small = [(x, y) for x, y in f.points if x and y and y.q == 1 and abs(x) <= PAPER >= abs(y)]
        if f.bottom.degree() == 0 or not small:
            return
        x, y = min(small, key=lambda point: (-self._stretch_of(point[0]), abs(point[1])))
        place = Relation(self.letter, "=", build.number_of(x))
        yield Moment(Feature("point", (_point((x, y)),)), PUT_POINT_IN(place))

    def _stretch_of(self, x: fmpq) -> int:
        here = Algebraic.of(x)
        return sum(low < here for low in (*self.features.vertical, *self.features.zeros))

    def _algebra(self) -> Iterator[Moment]:
        algebra = ring((self.unknown,))
        now = self.given
        fraction = fraction_in_factors(now, algebra)
        if fraction is None:
            f = self.features
            now = self._over(univariate(f.top, self.unknown), f.bottom)
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
        return Quotient(top, univariate(bottom, self.unknown))

    def _domain(self) -> Moment:
        excluded = self.features.excluded
        if not excluded:
            says = NOTHING_BECOMES_ZERO()
            line: Line = Outcome("all real numbers")
            found = written_domain(
                line, SolutionSet(everything=True), self.unknown, self.house.domains
            )
            return Moment(Feature("domain", (found,)), says)  # type: ignore[arg-type]
        items = tuple(Relation(self.letter, "!=", written_number(x)) for x in excluded)
        if self.house.domains != "except":
            zeros = SolutionSet(points=frozenset(excluded))
            condition = items[0] if len(items) == 1 else Either(items)
            domain = written_domain(condition, complement(zeros), self.unknown, self.house.domains)
            items = (domain,)  # type: ignore[assignment]
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
        if f.shift is not None and top == bottom and self.shifted() != self.given:
            says = DIVIDE_SHIFTS()
            yield Moment(self.shifted(), says)
        if f.horizontal is None:
            yield from division(f, self.division)
        if f.is_oblique:
            line = Relation(y, "=", univariate(f.quotient, self.unknown))
            says = OBLIQUE()
            yield Moment(Feature("oblique asymptote", (line,)), says, KEY)

    def shifted(self) -> Expr:
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


def _point(at: tuple[fmpq, fmpq]) -> Coordinates:
    return Coordinates(build.number_of(at[0]), build.number_of(at[1]))


def _refusal(posed: Posed) -> str | None:
    given = build.without_brackets(posed.given)
    if isinstance(given, (Relation, Outcome, Feature)):
        return "this is not an expression"
    if letters(given) != {posed.unknown}:
        return "a function of one letter is studied"
    try:
        list(_Study(given, posed).lines())
    except NotRational:
        return "it is no rational function"
    except Undefined:
        return "it divides by zero everywhere"
    except OutOfScope as reason:
        return reason.clause
    return None


def _needs_division(posed: Posed) -> str | None:
    """Return why nothing is divided, None where the top has the greater degree."""
    refusal = _refusal(posed)
    if refusal:
        return refusal
    found = features_of(build.without_brackets(posed.given), posed.unknown)
    if found.bottom.degree() == 0 or found.horizontal is not None:
        return "the top has no greater degree than the bottom"
    return None


def _divides_by_linear(posed: Posed) -> str | None:
    refusal = _needs_division(posed)
    if refusal:
        return refusal
    found = features_of(build.without_brackets(posed.given), posed.unknown)
    whole = found.bottom.degree() == 1 and found.bottom[0].q == 1
    return None if whole else "synthetic division divides by x − c alone"


def _is_shifted(posed: Posed) -> str | None:
    """Return why the shifts cannot be read off, None for ``a/(x − h) + k`` as it stands."""
    refusal = _refusal(posed)
    if refusal:
        return refusal
    given = build.without_brackets(posed.given)
    study = _Study(given, posed)
    if study.features.shift is None or unordered(study.shifted()) != unordered(given):
        return "it is not written as a/(x − h) + k"
    return None


def _study(posed: Posed, division: str = LONG) -> _Study:
    return _Study(build.without_brackets(posed.given), posed, division)


SHIFTED = Method(
    key="read-the-shifts",
    tasks=("study",),
    refusal=_is_shifted,
    why="It stands as a/(x − h) + k: a, h and k tell everything.",
    moments=lambda posed: _study(posed).shifted_lines(),
)
STUDY = Method(
    key="factor-and-compare-degrees",
    tasks=("study",),
    refusal=_refusal,
    why="A rational function: factor, exclude, compare degrees.",
    moments=lambda posed: _study(posed).lines(),
)
BY_LONG_DIVISION = Method(
    key=LONG,
    tasks=("study",),
    refusal=_needs_division,
    why="The degree is higher on top: divide, a term of the quotient at a time.",
    moments=lambda posed: _study(posed).lines(),
)
BY_SYNTHETIC_DIVISION = Method(
    key=SYNTHETIC,
    tasks=("study",),
    refusal=_divides_by_linear,
    why="The bottom is x − c: divide with the coefficients alone.",
    moments=lambda posed: _study(posed, SYNTHETIC).lines(),
)
STUDIES = (SHIFTED, STUDY, BY_LONG_DIVISION, BY_SYNTHETIC_DIVISION)
