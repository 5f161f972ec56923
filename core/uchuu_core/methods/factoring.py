"""Factoring over the integers: common factor first, then by the number of terms.

One route serves all schools; a school decides how a trinomial with a leading coefficient is taken
apart. Which techniques the route used says which of the contract's methods apply.
"""

from dataclasses import dataclass, field, replace
from functools import lru_cache
from math import gcd, isqrt, lcm
from typing import Any

from flint import fmpq, fmpq_mpoly

from uchuu_core.contract import House
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import Ring
from uchuu_core.lawbook.expanding import COLLECT_DESCENDING, COLLECT_IN_BRACKETS
from uchuu_core.lawbook.factoring import (
    AS_CUBES,
    AS_SQUARES,
    CUBES_FACTORED,
    ENDS_ARE_SQUARES,
    FOUND_BY_TRYING,
    IS_DIFFERENCE_OF_SQUARES,
    NO_PAIR_FITS,
    NO_PATTERN_FITS,
    SUM_OF_SQUARES_PRIME,
    SUM_TIMES_DIFFERENCE,
    TAKE_FACTOR_OUT,
    TAKE_MINUS_OUT,
    TAKE_SHARE_OUT,
)
from uchuu_core.lawbook.fractions import COMMON_OUT_OF_EVERY_TERM
from uchuu_core.lawbook.says import Says
from uchuu_core.methods import factoring_trinomials as trinomials
from uchuu_core.methods.method import BOARD, KEY, RIDES_ALONG, Moment
from uchuu_core.methods.polynomials import moments as expanded
from uchuu_core.methods.written import (
    factor_tree,
    integer_factors,
    monomial_tree,
    polynomial_terms,
    polynomial_tree,
    product_of,
    product_tree,
    ring_of,
)
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Number, Outcome, Power, Quotient, Relation, Sum, Term
from uchuu_core.tree.paths import letters

SCHOOLS = ("split-middle-and-group", "divide-and-reduce", "by-inspection")
"""How a trinomial with a leading coefficient other than 1 is taken apart; the usual way first."""


def school_of(house: House) -> str:
    """Return the school that the house teaches, the usual one where it names none."""
    return next((key for key in house.methods if key in SCHOOLS), SCHOOLS[0])


@dataclass(slots=True)
class Route:
    """The lines of a factoring and the techniques that they used."""

    moments: list[Moment] = field(default_factory=list)
    techniques: set[str] = field(default_factory=set)


@dataclass(slots=True)
class State:
    """A product being taken apart: a number, finished factors, and those still to be looked at."""

    algebra: Ring
    number: int
    done: list[tuple[fmpq_mpoly, int]]
    open: list[tuple[fmpq_mpoly, int]]

    def tree(self, instead: Expr | None = None) -> Expr:
        """Write the product; *instead* stands in the place of the first open factor."""
        factors = [*self.done, *self.open]
        parts = [factor_tree(p, n, self.algebra) for p, n in factors]
        if instead is not None:
            power = self.open[0][1]
            part = instead if power == 1 else Power(instead, Number(str(power)))
            parts[len(self.done)] = part
        return product_of(self.number, parts)


@lru_cache(maxsize=256)
def route(given: Line, school: str) -> Route | str:
    """Return how *given* is factored by *school*, or why it cannot be."""
    if isinstance(given, (Relation, Outcome)) or not letters(given):
        return "there is no expression with letters to factor"
    algebra = ring_of(given)
    try:
        value = algebra.function(given)  # type: ignore[arg-type]
    except (NotRational, Undefined):
        return "it holds roots, or letters below a bar or in an exponent"
    if not value.denominator.is_constant():
        return "letters stand below a bar"
    if any(c.q != 1 for c in value.numerator.coeffs()):
        return _without_fractions(value.numerator, algebra, school)
    polynomial = value.numerator
    if polynomial.is_constant():
        return "it is a plain number"
    found = Route()
    start = build.without_brackets(given)
    if _is_factored_already(start, polynomial, algebra):
        return "it is factored already"
    written = polynomial_tree(polynomial, algebra)
    squares = _squares_of_brackets(start)
    if squares is not None:
        found.moments.extend(squares)
        found.techniques.add("difference-of-squares")
        state = _state_of(polynomial, algebra)
    else:
        if not _is_written_out(start, polynomial):
            found.moments.extend(expanded(start))
            if not found.moments or found.moments[-1].line != written:
                last = found.moments[-1].line if found.moments else start
                divides = isinstance(last, Quotient) and letters(last.denominator)
                says = (COMMON_OUT_OF_EVERY_TERM if divides else COLLECT_DESCENDING)()
                found.moments.append(Moment(written, says))
        state = State(algebra, 1, [], [(polynomial, 1)])
        _take_out(state, found)
    while state.open:
        _next(state, found, school)
    if not found.techniques and len(polynomial) > 1:
        found.moments.append(Moment(Outcome("prime"), _why_prime(polynomial, algebra), KEY))
    return found


def _without_fractions(polynomial: fmpq_mpoly, algebra: Ring, school: str) -> Route | str:
    """Take one over the common denominator out, then factor what is left."""
    below = lcm(*(int(c.q) for c in polynomial.coeffs()))
    inner = polynomial_tree(polynomial * below, algebra)
    rest = route(inner, school)
    if isinstance(rest, str):
        return rest
    share = Quotient(build.ONE, Number(str(below)))
    found = Route(techniques=set(rest.techniques))
    says = TAKE_SHARE_OUT(share)
    found.moments.append(Moment(build.product((share, inner)), says))
    for moment in rest.moments:
        if not isinstance(moment.line, Outcome):
            whole = build.product((share, *build.factors_of(moment.line)))  # type: ignore[arg-type]
            moment = replace(moment, line=whole)
        found.moments.append(moment)
    return found


def _state_of(polynomial: fmpq_mpoly, algebra: Ring) -> State:
    number, factors = integer_factors(polynomial, algebra)
    return State(algebra, int(number), list(factors), [])


def _is_written_out(node: Expr, polynomial: fmpq_mpoly) -> bool:
    terms = node.terms if isinstance(node, Sum) else (Term("+", node),)
    return len(terms) == len(polynomial) and not any(isinstance(t.body, Sum) for t in terms)


def _is_factored_already(node: Expr, polynomial: fmpq_mpoly, algebra: Ring) -> bool:
    if isinstance(node, Sum):
        return False
    number, factors = integer_factors(polynomial, algebra)
    return node == product_tree(int(number), factors, algebra)


def _squares_of_brackets(node: Expr) -> list[Moment] | None:
    """Factor ``(x + 1)^2 - 9`` without opening the bracket."""
    match node:
        case Sum((Term("+", Power(Sum() as first, Number("2"))), Term("-", second))):
            root = _root_of(second)
            if root is None:
                return None
            pair = [
                build.add(first, root),
                build.add(
                    first, build.negative(root) if not isinstance(root, Sum) else _minus(root)
                ),
            ]
            says = IS_DIFFERENCE_OF_SQUARES(first=first, second=root)
            whole = build.product(pair)
            moments = [Moment(whole, says)]
            algebra = ring_of(whole)
            number, factors = integer_factors(algebra.function(whole).numerator, algebra)
            collected = product_tree(int(number), factors, algebra)
            if collected != whole:
                moments.append(Moment(collected, COLLECT_IN_BRACKETS(), KEY))
            return moments
        case _:
            return None


def _minus(node: Sum) -> Expr:
    return Sum(tuple(Term("-" if t.sign == "+" else "+", t.body) for t in node.terms))


def _root_of(node: Expr) -> Expr | None:
    match node:
        case Number(text) if node.is_whole and isqrt(int(text)) ** 2 == int(text):
            return Number(str(isqrt(int(text))))
        case Power(base, Number("2")):
            return base
        case _:
            return None


# common factor


def _take_out(state: State, found: Route) -> None:
    """Take the common factor of the first open factor out, if there is one."""
    polynomial, power = state.open[0]
    number, factors = state.algebra.factored(polynomial)
    terms = polynomial_terms(polynomial, state.algebra)
    common = gcd(*(int(c) for c, _ in terms))
    lowest = tuple(min(degrees) for degrees in zip(*(d for _, d in terms), strict=True))
    sign = -1 if terms[0][0] < 0 and len(terms) > 1 else 1
    if len(terms) == 1:
        state.done = [(f.polynomial, p) for f, p in factors]
        state.number, state.open = int(number.p), []
        return
    if common == 1 and not any(lowest) and sign == 1:
        return
    outside = sign * common
    monomial = state.algebra.constant(fmpq(outside))
    for name, degree in zip(state.algebra.names, lowest, strict=True):
        if degree:
            monomial *= state.algebra.letter(name) ** degree
            state.done.append((state.algebra.letter(name), degree))
    state.number *= outside
    state.open[0] = (polynomial / monomial, power)
    shared = build.times(outside, monomial_tree(lowest, state.algebra))  # type: ignore[arg-type]
    says = TAKE_FACTOR_OUT(shared) if abs(outside) != 1 or any(lowest) else TAKE_MINUS_OUT()
    found.moments.append(Moment(state.tree(), says))
    found.techniques.add("common-factor")


# one factor at a time


def _next(state: State, found: Route, school: str) -> None:
    """Take the first open factor apart, or move it to the finished ones."""
    polynomial, power = state.open[0]
    if len(polynomial) == 1 or _is_irreducible(polynomial, state.algebra):
        state.done.append(state.open.pop(0))
        return
    for technique in (_difference_of_squares, _cubes, _perfect_square, _trinomial, _grouping):
        split = technique(polynomial, state.algebra, school)
        if split is None:
            continue
        for instead, says, weight in split.on_the_way:
            found.moments.append(Moment(state.tree(instead), says, weight))
        found.techniques.add(split.technique)
        state.open[0:1] = [(part, power * n) for part, n in split.factors]
        _merge(state)
        found.moments.append(Moment(state.tree(), split.says, KEY))
        return
    _, factors = integer_factors(polynomial, state.algebra)
    state.open[0:1] = [(part, power * n) for part, n in factors]
    says = FOUND_BY_TRYING()
    found.techniques.add("factor-by-trying")
    found.moments.append(Moment(state.tree(), says, KEY))


def _merge(state: State) -> None:
    """Write equal factors as one power."""
    merged: list[tuple[fmpq_mpoly, int]] = []
    for polynomial, power in state.open:
        for place, (other, count) in enumerate(merged):
            if other == polynomial:
                merged[place] = (other, count + power)
                break
        else:
            merged.append((polynomial, power))
    state.open = merged


def _is_irreducible(polynomial: fmpq_mpoly, algebra: Ring) -> bool:
    _, factors = algebra.factored(polynomial)
    return len(factors) == 1 and factors[0][1] == 1


Split = trinomials.Split


def _monomial_root(polynomial: fmpq_mpoly, algebra: Ring, index: int) -> fmpq_mpoly | None:
    """Return the root of one term, None when it is no perfect power."""
    (coefficient, degrees) = polynomial_terms(polynomial, algebra)[0]
    value = abs(int(coefficient))
    root = round(value ** (1 / index))
    near = next((r for r in (root - 1, root, root + 1) if r > 0 and r**index == value), None)
    if near is None or any(d % index for d in degrees):
        return None
    result = algebra.constant(fmpq(near))
    for name, degree in zip(algebra.names, degrees, strict=True):
        result *= algebra.letter(name) ** (degree // index)
    return result


def _two_terms(polynomial: fmpq_mpoly, algebra: Ring, index: int) -> Any:
    """Return the roots of two terms and the sign of the second, None when they have none."""
    if len(polynomial) != 2:
        return None
    terms = polynomial_terms(polynomial, algebra)
    parts = []
    for coefficient, degrees in terms:
        part = algebra.constant(fmpq(int(coefficient)))
        for name, degree in zip(algebra.names, degrees, strict=True):
            part *= algebra.letter(name) ** degree
        root = _monomial_root(part, algebra, index)
        if root is None:
            return None
        parts.append(root)
    return parts[0], parts[1], 1 if terms[1][0] > 0 else -1


def _power_text(part: fmpq_mpoly, index: int, algebra: Ring) -> Expr:
    return Power(polynomial_tree(part, algebra), Number(str(index)))


def _difference_of_squares(polynomial: fmpq_mpoly, algebra: Ring, _school: str) -> Split | None:
    roots = _two_terms(polynomial, algebra, 2)
    if roots is None or roots[2] > 0:
        return None
    first, second, _ = roots
    squares = Sum(
        (Term("+", _power_text(first, 2, algebra)), Term("-", _power_text(second, 2, algebra)))
    )
    product = build.product(
        polynomial_tree(part, algebra) for part in (first + second, first - second)
    )
    return Split(
        "difference-of-squares",
        ((first + second, 1), (first - second, 1)),
        SUM_TIMES_DIFFERENCE(product),
        ((squares, AS_SQUARES(), RIDES_ALONG),),
    )


def _cubes(polynomial: fmpq_mpoly, algebra: Ring, _school: str) -> Split | None:
    roots = _two_terms(polynomial, algebra, 3)
    if roots is None:
        return None
    first, second, sign = roots
    cubes = Sum(
        (
            Term("+", _power_text(first, 3, algebra)),
            Term("+" if sign > 0 else "-", _power_text(second, 3, algebra)),
        )
    )
    a, b = polynomial_tree(first, algebra), polynomial_tree(second, algebra)
    name = "sum" if sign > 0 else "difference"
    return Split(
        "sum-of-cubes",
        ((first + sign * second, 1), (first**2 - sign * first * second + second**2, 1)),
        CUBES_FACTORED(name, a, b),
        ((cubes, AS_CUBES(), BOARD),),
    )


def _perfect_square(polynomial: fmpq_mpoly, algebra: Ring, _school: str) -> Split | None:
    if len(polynomial) != 3:
        return None
    _, factors = integer_factors(polynomial, algebra)
    if len(factors) != 1 or factors[0][1] != 2:
        return None
    root = factors[0][0]
    a, b = (
        build.times(abs(c), monomial_tree(d, algebra))
        for c, d in polynomial_terms(root, algebra)[:2]
    )
    return Split(
        "perfect-square",
        ((root, 2),),
        ENDS_ARE_SQUARES(a, b),
    )


def _trinomial(polynomial: fmpq_mpoly, algebra: Ring, school: str) -> Split | None:
    return trinomials.split(polynomial, algebra, school)


def _grouping(polynomial: fmpq_mpoly, algebra: Ring, _school: str) -> Split | None:
    return trinomials.grouped(polynomial, algebra)


def _why_prime(polynomial: fmpq_mpoly, algebra: Ring) -> Says:
    tried = trinomials.pairs_tried(polynomial, algebra)
    if tried is not None:
        return NO_PAIR_FITS(tried)
    if len(polynomial) == 2 and _two_terms(polynomial, algebra, 2):
        return SUM_OF_SQUARES_PRIME()
    return NO_PATTERN_FITS()
