"""Exact solution sets of equations in one unknown, held as irreducible factors.

Distinct irreducible polynomials over ℚ in one letter have no common zero, so comparing sets is
comparing factors: nothing is solved numerically. Equations with further letters are compared the
same way, factors without the unknown counting as "not zero" (a condition on those letters).
"""

from dataclasses import dataclass
from functools import lru_cache
from itertools import product as choices

from flint import fmpq

from uchuu_core.kernel.domains import denominator_factors
from uchuu_core.kernel.points import NotRational
from uchuu_core.kernel.rational_functions import Factor, RationalFunction, Ring
from uchuu_core.tree.build import as_term
from uchuu_core.tree.nodes import (
    Either,
    Line,
    Outcome,
    Relation,
    Signed,
    Sum,
    Symbol,
    Term,
    ValueSet,
)
from uchuu_core.tree.paths import replace_at, walk


@dataclass(frozen=True, slots=True)
class SolutionSet:
    """All real solutions: everything (``everything``), or the zeros of ``factors``.

    ``excluded``: factors that must not vanish (denominators as written).
    ``granted``: factors in other letters that are taken as not zero.
    """

    factors: frozenset[Factor]
    everything: bool = False
    excluded: frozenset[Factor] = frozenset()
    granted: frozenset[Factor] = frozenset()

    @property
    def is_empty(self) -> bool:
        """Whether there is no solution."""
        return not self.everything and not self.factors

    def same_solutions(self, other: "SolutionSet") -> bool:
        """Whether both hold exactly the same solutions."""
        return self.everything == other.everything and self.factors == other.factors

    def within(self, other: "SolutionSet") -> bool:
        """Whether every solution here is one there."""
        if other.everything:
            return True
        return not self.everything and self.factors <= other.factors


def branches(line: Line, most: int = 8) -> list[Line]:
    """Return *line* with each ± written out both ways, upper sign first.

    All ± of one line are taken together (``x = a ± b``); Either gives its options.
    Raises:
        NotRational: more than *most* branches.
    """
    if isinstance(line, Either):
        return [branch for option in line.options for branch in branches(option)]
    places = [
        (path, part)
        for path, part in walk(line)
        if (isinstance(part, Signed) and part.sign == "+-")
        or (isinstance(part, Sum) and any(t.sign == "+-" for t in part.terms))
    ]
    if not places:
        return [line]
    if 2 ** len(places) > most:
        raise NotRational
    found: list[Line] = []
    for signs in choices("+-", repeat=len(places)):
        branch: Line = line
        for (path, part), sign in reversed(list(zip(places, signs, strict=True))):
            if isinstance(part, Sum):
                written = tuple(
                    as_term(t.body, "-" if sign == "-" else "+") if t.sign == "+-" else t
                    for t in part.terms
                )
                branch = replace_at(branch, path, Sum(tuple(Term(t.sign, t.body) for t in written)))
            elif isinstance(part, Signed):
                body = part.body
                branch = replace_at(branch, path, body if sign == "+" else Signed("-", body))
        found.append(branch)
    return found


@lru_cache(maxsize=2048)
def solution_set(line: Line, unknown: str, ring: Ring, *, is_complex: bool = False) -> SolutionSet:
    """Return the real solutions (with ``is_complex`` all) of *line* for *unknown*.

    Raises:
        NotRational: the line is not an equation of rational functions (roots, inequalities, …).
        Undefined: a side divides by zero everywhere.
    """
    match line:
        case Outcome("no solution"):
            return SolutionSet(frozenset())
        case Outcome():
            return SolutionSet(frozenset(), everything=True)
        case ValueSet(members):
            named = tuple(Relation(Symbol(unknown), "=", member) for member in members)
            return solution_set(Either(named), unknown, ring, is_complex=is_complex)
        case Either():
            written_out = branches(line)
        case Relation(_, "=", _):
            written_out = branches(line)
            if len(written_out) == 1:
                return _of_equation(line, unknown, ring, is_complex)
        case _:
            raise NotRational
    parts = [solution_set(branch, unknown, ring, is_complex=is_complex) for branch in written_out]
    return SolutionSet(
        frozenset().union(*(p.factors for p in parts)),
        any(p.everything for p in parts),
        frozenset().union(*(p.excluded for p in parts)),
        frozenset().union(*(p.granted for p in parts)),
    )


def difference(line: Relation, ring: Ring) -> RationalFunction:
    """Return left side minus right side."""
    return ring.function(line.left).minus(ring.function(line.right))


def _of_equation(line: Relation, unknown: str, ring: Ring, is_complex: bool) -> SolutionSet:
    excluded = denominator_factors(line, ring)
    zero = difference(line, ring)
    if zero.is_zero:
        return SolutionSet(frozenset(), True, excluded)
    found = [
        f
        for f in ring.factors(zero.numerator)
        if f not in excluded and (is_complex or f.has_real_zero)
    ]
    has_unknown = frozenset(f for f in found if unknown in f.letters)
    others = frozenset(found) - has_unknown
    if others and not has_unknown:  # no unknown left: an equation between the other letters
        return SolutionSet(others, False, excluded)
    return SolutionSet(has_unknown, False, excluded, others)


def rational_solutions(found: SolutionSet, unknown: str) -> list[fmpq]:
    """Return the rational solutions, ascending (equations in *unknown* alone)."""
    zeros = [f.rational_zero for f in found.factors if f.letters == {unknown}]
    return sorted(zero for zero in zeros if zero is not None)


def described(factor: Factor, unknown: str) -> str:
    """Write the solutions that *factor* stands for in plain notation."""
    zero = factor.rational_zero
    if zero is not None:
        return f"{unknown} = {zero}"
    return f"{factor.polynomial} = 0"
