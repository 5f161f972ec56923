"""Exact solution sets of lines in one unknown: the kernel's way, which is nobody's method.

Rational equations are factored over ℚ. With roots, every cell has its field; the norm of left minus
right is factored, and each of its real zeros is put back into the line and judged exactly.
"""

from fractions import Fraction
from functools import lru_cache
from typing import Any, assert_never

from flint import fmpq, fmpq_mpoly

from uchuu_core.kernel.algebraic import MOST_DEGREE, Algebraic, between, primitive, roots_of
from uchuu_core.kernel.branches import branches
from uchuu_core.kernel.cells import Cell, cells, real_zeros
from uchuu_core.kernel.domains import Domain, domain_of
from uchuu_core.kernel.equality import difference
from uchuu_core.kernel.exact import Exact, Undecided
from uchuu_core.kernel.exponentials import solutions_of_exponential
from uchuu_core.kernel.extension import Extension
from uchuu_core.kernel.logarithms import (
    holds_logarithm,
    solved_with_logarithms,
    with_e_as_base,
)
from uchuu_core.kernel.numbers import COMPLEX, REAL, Numbers
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.powers import Plan
from uchuu_core.kernel.rational_functions import Factor, Ring, ring
from uchuu_core.kernel.solutions import Point, SolutionSet, assembled, intersection, union
from uchuu_core.tree.nodes import (
    Absolute,
    AllExcept,
    Bracket,
    Builder,
    Chain,
    Coordinates,
    Either,
    Feature,
    Interval,
    Line,
    Log,
    Mixed,
    Number,
    Outcome,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
    Symbol,
    Union,
    ValueSet,
)
from uchuu_core.tree.paths import letters

EVERYTHING = SolutionSet(everything=True)
NOTHING = SolutionSet()


@lru_cache(maxsize=2048)
def solution_set(line: Line, unknown: str, algebra: Ring, numbers: Numbers = REAL) -> SolutionSet:
    """Return the solutions of *line* for *unknown* among *numbers*.

    Args:
        line: A relation, several joined by "or", a set of values, or an outcome in words. Several
            inequalities all hold where that is possible ("x > 1, x < 4"), else any of them does
            ("x < 1 or x > 4").
        algebra: The ring of all lines that are to be compared.
    Raises:
        NotRational: the line is not of a kind that is solved.
        Undefined: a side divides by zero everywhere.
        TooLarge: a bound is passed.
    """
    match line:
        case Outcome("no solution"):
            return NOTHING
        case Outcome():
            return EVERYTHING
        case Union(members):
            return union([_of_interval(member, unknown, algebra, numbers) for member in members])
        case Builder(_, condition):
            return solution_set(condition, unknown, algebra, numbers)
        case AllExcept(members):
            gaps = Either(tuple(Relation(Symbol(unknown), "=", member) for member in members))
            return SolutionSet(everything=True, excluded=_factors(gaps, unknown, algebra, numbers))
        case ValueSet(members):
            if not members:
                return NOTHING
            named = tuple(Relation(Symbol(unknown), "=", member) for member in members)
            return solution_set(Either(named), unknown, algebra, numbers)
        case Chain(sides):
            return solution_set(Relation(sides[0], "=", sides[-1]), unknown, algebra, numbers)
        case Either() | Relation():
            written_out = branches(line)
            if len(written_out) == 1 and isinstance(written_out[0], Relation):
                return _of_relation(written_out[0], unknown, algebra, numbers)
        case (
            Feature()
            | Coordinates()
            | Interval()
            | Number()
            | Mixed()
            | Symbol()
            | Signed()
            | Sum()
        ):
            raise NotRational
        case Product() | Quotient() | Power() | Root() | Absolute() | Bracket() | Log():
            raise NotRational
        case _:
            assert_never(line)
    found = [solution_set(branch, unknown, algebra, numbers) for branch in written_out]
    signs = {branch.sign for branch in written_out if isinstance(branch, Relation)}
    if "=" in signs or (isinstance(line, Either) and line.is_or):
        return union(found)
    every = intersection(found)
    return union(found) if every.is_empty else every


def _of_interval(
    member: Interval | ValueSet, unknown: str, algebra: Ring, numbers: Numbers
) -> SolutionSet:
    """Return the numbers of an interval; none where its ends are in the wrong order."""
    if isinstance(member, ValueSet):
        return solution_set(member, unknown, algebra, numbers)
    letter, bounds = Symbol(unknown), []
    if member.low is not None:
        bounds.append(Relation(letter, ">=" if member.has_low else ">", member.low))
    if member.high is not None:
        bounds.append(Relation(letter, "<=" if member.has_high else "<", member.high))
    if not bounds:
        return EVERYTHING
    return intersection([solution_set(bound, unknown, algebra, numbers) for bound in bounds])


def _factors(line: Line, unknown: str, algebra: Ring, numbers: Numbers) -> frozenset[Factor]:
    found = solution_set(line, unknown, algebra, numbers).sheets
    return frozenset(f for f in found if isinstance(f, Factor))


def _of_relation(line: Relation, unknown: str, algebra: Ring, numbers: Numbers) -> SolutionSet:
    domain = domain_of(line, algebra, numbers)
    names = letters(line) - ({"i"} if numbers.is_complex else set())
    if line.sign != "=":
        return _of_inequality(line, unknown, domain, numbers)
    if not numbers.is_complex or "i" not in letters(line):
        try:
            return _of_rational(line, unknown, algebra, domain, numbers)
        except NotRational:
            pass
    if line.sign == "=" and holds_logarithm(line) and names <= {unknown, "e"}:
        found = solved_with_logarithms(line, unknown)
        if isinstance(found, bool):
            return SolutionSet(everything=True)
        return SolutionSet(found, sheets=found)
    if "e" in names and names <= {unknown, "e"}:
        with_number = with_e_as_base(line, unknown)
        if with_number != line:
            return solution_set(with_number, unknown, algebra, numbers)
    if names - {unknown}:
        raise NotRational
    if not names:
        return _of_constants(line, domain, numbers)
    if numbers.is_complex:
        return _of_complex(line, unknown, domain)
    try:
        return _of_roots(line, unknown, domain, numbers)
    except NotRational:
        return _of_one_base(line, unknown, algebra, numbers)


def _of_one_base(line: Relation, unknown: str, algebra: Ring, numbers: Numbers) -> SolutionSet:
    """Solve b^u = b^v, b a number other than 1, as u = v: the exponents may be powers themselves."""
    match line:
        case Relation(Power(Number(b), u), "=", Power(Number(c), v)) if b == c and Fraction(b) > 1:
            return solution_set(Relation(u, "=", v), unknown, algebra, numbers)
        case _:
            raise NotRational


# rational equations


def points_of(factor: Factor, unknown: str, numbers: Numbers) -> frozenset[Point]:
    """Return the zeros of an irreducible polynomial: apart where it has *unknown* alone."""
    if factor.letters != {unknown} or len(factor.coefficients) > MOST_DEGREE:
        return frozenset({factor}) if numbers.is_complex or factor.has_real_zero else frozenset()
    found = roots_of(primitive(list(factor.coefficients)), real_only=not numbers.is_complex)
    return frozenset(found)


def _of_rational(
    line: Relation, unknown: str, algebra: Ring, domain: Domain, numbers: Numbers
) -> SolutionSet:
    zero = algebra.lowest(algebra.function(line.left).minus(algebra.function(line.right)))
    conditions = _conditions(domain)
    if zero.is_zero:
        return SolutionSet(everything=True, **conditions)
    found = algebra.factors(zero.numerator)
    sheets: frozenset[Point] = frozenset(found)
    kept = [f for f in found if f not in domain.excluded]
    solved = frozenset(f for f in kept if unknown in f.letters)
    others = frozenset(kept) - solved
    if others and not solved:  # no unknown left: an equation between the other letters
        return SolutionSet(frozenset(others), sheets=sheets, **conditions)
    points = frozenset().union(*(points_of(f, unknown, numbers) for f in solved))
    return SolutionSet(points, granted=others, sheets=sheets, **conditions)


def _conditions(domain: Domain) -> dict[str, Any]:
    return {"excluded": domain.excluded, "required": domain.required, "below": domain.below}


def _of_constants(line: Relation, domain: Domain, numbers: Numbers) -> SolutionSet:
    try:
        exact = Exact({}, is_complex=numbers.is_complex)
        holds = exact.sign(difference(line.left, line.right)) == 0
    except Undefined:
        holds = False
    except Undecided:
        raise NotRational from None
    return SolutionSet(everything=holds, **_conditions(domain))


# with roots


def _zeros_of(polynomial: fmpq_mpoly, one: Ring) -> tuple[frozenset[Point], list[Factor]]:
    """Return the factors of a polynomial in the extension's letters, as factors of ring *one*."""
    found = one.factors(one.taken(polynomial))
    return frozenset(found), list(found)


def _of_complex(line: Relation, unknown: str, domain: Domain) -> SolutionSet:
    one = ring((unknown,))
    plan = Plan((line,), one)
    if plan.signed or plan.has_exponentials:
        raise NotRational  # roots of complex unknowns: not school matter
    extension = Extension(plan, {}, is_complex=True)
    whole = difference(line.left, line.right)
    zero = extension.element(whole)
    if zero.is_zero:
        return SolutionSet(everything=True, **_conditions(domain))
    sheets, factors = _zeros_of(extension.field.norm(zero.numerator), one)
    candidates = [z for f in factors for z in points_of(f, unknown, COMPLEX)]
    points = frozenset(z for z in candidates if _holds(line, unknown, z, COMPLEX))
    return SolutionSet(points, sheets=sheets, **_conditions(domain))


def _of_roots(line: Relation, unknown: str, domain: Domain, numbers: Numbers) -> SolutionSet:
    one = ring((unknown,))
    plan = Plan((line,), one)
    breaks: set[Algebraic] = set(real_zeros(plan.signed)) if plan.signed else set()
    solved_cells: list[Cell] = []
    sheets: frozenset[Point] = frozenset()
    others: frozenset[Point] = frozenset()
    for cell in cells(plan.signed, (unknown,)):
        extension = Extension(plan, cell.signs)
        try:
            zero = extension.element(difference(line.left, line.right))
        except Undefined:
            continue
        if zero.is_zero:
            solved_cells.append(cell)
            continue
        if plan.has_exponentials:
            others |= solutions_of_exponential(extension.field, zero.numerator, unknown)
            continue
        norm = extension.field.norm(zero.numerator)
        if norm.is_zero():
            raise NotRational  # a nested root that is none
        found, factors = _zeros_of(norm, one)
        sheets |= found
        for factor in factors:
            if len(factor.coefficients) > MOST_DEGREE:
                raise NotRational
            breaks |= set(roots_of(primitive(list(factor.coefficients)), real_only=True))
    if not plan.signed and not solved_cells and not sheets and not others:
        sheets = _sheets_without_real_value(line, unknown)
    ordered = sorted(breaks)
    truth = [_holds(line, unknown, at, numbers) for at in ordered]
    if not solved_cells:
        points = frozenset(at for at, true in zip(ordered, truth, strict=True) if true)
        return SolutionSet(points | others, sheets=sheets | others, **_conditions(domain))
    inside = [any(_lies_in(cell, low, high) for cell in solved_cells)
              for low, high in zip([None, *ordered], [*ordered, None], strict=True)]  # fmt: skip
    return _assembled(ordered, truth, inside, domain, others, sheets)


def _assembled(
    breaks: list[Algebraic],
    truth: list[bool],
    inside: list[bool],
    domain: Domain,
    others: frozenset[Point] = frozenset(),
    sheets: frozenset[Point] = frozenset(),
) -> SolutionSet:
    gaps = {at for at, true in zip(breaks, truth, strict=True) if not true}
    excluded = {z for f in domain.excluded for z in points_of(f, next(iter(f.letters)), REAL)}
    if all(inside) and gaps <= excluded:
        return SolutionSet(everything=True, sheets=sheets, **_conditions(domain))
    points, intervals = assembled(breaks, truth, inside)
    return SolutionSet(points | others, intervals=intervals, sheets=sheets, **_conditions(domain))


def _lies_in(cell: Cell, low: Algebraic | None, high: Algebraic | None) -> bool:
    middle = Algebraic.of(between(low, high))
    return (cell.low is None or cell.low < middle) and (cell.high is None or middle < cell.high)


def _holds(line: Relation, unknown: str, value: Algebraic | Point, numbers: Numbers) -> bool:
    """Put *value* into *line*: whether both sides have a value there and the relation is true."""
    assert isinstance(value, Algebraic)
    place = {unknown: value.rational if value.rational is not None else value}
    try:
        sign = Exact(place, is_complex=numbers.is_complex).sign(difference(line.left, line.right))
    except Undefined:
        return False
    except Undecided:
        raise NotRational from None
    match line.sign:
        case "=":
            return sign == 0
        case "!=":
            return sign != 0
        case "<" | "<=":
            return sign < 0 or (sign == 0 and line.sign == "<=")
        case _:
            return sign > 0 or (sign == 0 and line.sign == ">=")


def _sheets_without_real_value(line: Relation, unknown: str) -> frozenset[Point]:
    """Return what a line like ``x = 3 ± √(-2)`` means over the complex numbers."""
    try:
        return _of_complex(line, unknown, Domain()).sheets
    except (NotRational, Undefined):
        return frozenset()


# inequalities


def _of_inequality(line: Relation, unknown: str, domain: Domain, numbers: Numbers) -> SolutionSet:
    if numbers.is_complex or letters(line) - {unknown}:
        raise NotRational
    edges = _of_relation(Relation(line.left, "=", line.right), unknown, ring((unknown,)), numbers)
    if not all(isinstance(p, Algebraic) for p in edges.points):
        raise NotRational
    plan = Plan((line,), ring((unknown,)))
    breaks: set[Algebraic] = {p for p in edges.points if isinstance(p, Algebraic)}
    breaks |= set(real_zeros(plan.signed)) if plan.signed else set()
    breaks |= {e for i in edges.intervals for e in (i.low, i.high) if e is not None}
    for factor in domain.excluded:
        breaks |= {p for p in points_of(factor, unknown, REAL) if isinstance(p, Algebraic)}
    ordered = sorted(breaks)
    ends = list(zip([None, *ordered], [*ordered, None], strict=True))
    inside = [_holds(line, unknown, Algebraic.of(between(a, b)), numbers) for a, b in ends]
    truth = [_holds(line, unknown, at, numbers) for at in ordered]
    return _assembled(ordered, truth, inside, domain)


# what the answers are made of


def rational_solutions(found: SolutionSet) -> list[fmpq]:
    """Return the rational solutions, ascending."""
    values = [p.rational for p in found.points if isinstance(p, Algebraic)]
    return sorted(value for value in values if value is not None)


def excluded_points(factors: frozenset[Factor], unknown: str) -> list[Algebraic]:
    """Return the real values of *unknown* that make one of *factors* zero, ascending."""
    found = {z for f in factors for z in points_of(f, unknown, REAL) if isinstance(z, Algebraic)}
    return sorted(found)
