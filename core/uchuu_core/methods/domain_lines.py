"""How a domain is written: as conditions, in set-builder notation, or as intervals."""

from uchuu_core.contract import Domains
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.points import NotRational
from uchuu_core.kernel.solutions import SolutionSet
from uchuu_core.kernel.written import tree_of
from uchuu_core.tree.nodes import (
    AllExcept,
    Builder,
    Either,
    Expr,
    Interval,
    Line,
    Outcome,
    Relation,
    Symbol,
    Union,
)


def written_domain(line: Line, found: SolutionSet, unknown: str, notation: Domains) -> Line:
    """Return a domain in the house's notation.

    Args:
        line: It, written with conditions: ``x >= 2, x != 5``, ``all real numbers except 3``.
        found: It, as a set.
        unknown: Its letter.
        notation: What the house has.

    Raises:
        NotRational: an end of an interval cannot be written with square roots.
    """
    if notation == "set-builder":
        return _with_builder(line, unknown)
    if notation == "interval":
        return _with_intervals(found)
    return line


def _with_builder(line: Line, unknown: str) -> Line:
    letter = Symbol(unknown)
    match line:
        case AllExcept(members):
            left_out = tuple(Relation(letter, "!=", member) for member in members)
            return Builder(letter, left_out[0] if len(left_out) == 1 else Either(left_out))
        case Relation() | Either():
            return Builder(letter, line)
        case _:
            return line


def _with_intervals(found: SolutionSet) -> Line:
    if found.everything:
        return Union((Interval(None, None, False, False),))
    if found.points or not found.intervals:
        return Outcome("no solution")
    written = tuple(
        Interval(_end(one.low), _end(one.high), one.has_low, one.has_high)
        for one in found.intervals
    )
    return Union(written)


def _end(number: Algebraic | None) -> Expr | None:
    if number is None:
        return None
    tree = tree_of(number)
    if tree is None:
        raise NotRational
    return tree
