"""Candidates that words reject: "x = -1 is extraneous", "both rejected"."""

from uchuu_core.checking.context import Context
from uchuu_core.checking.entries import Entry
from uchuu_core.failures import Failure
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.solutions import Point
from uchuu_core.kernel.written import tree_of
from uchuu_core.notation.remarks import says_all
from uchuu_core.tree.nodes import Either, Expr, Line, Outcome, Relation, Symbol
from uchuu_core.tree.paths import letters


def points_of_line(line: Line, context: Context) -> frozenset[Point]:
    """Return the candidates that *line* lists; a number stands for itself."""
    try:
        if not letters(line) and not isinstance(line, (Relation, Either, Outcome)):
            line = Relation(Symbol(context.unknown), "=", line)  # type: ignore[arg-type]
        return context.solutions(line).points
    except (NotRational, Undefined, Failure):
        return frozenset()


def without_rejected(
    state: Line, entry: Entry, failed: frozenset[Point], context: Context
) -> Line | None:
    """Return *state* without the candidates that the words of *entry* reject.

    ``failed``: candidates whose check failed; "no" alone is said of these. None when nothing that
    the state lists is rejected.
    """
    try:
        had = context.solutions(state)
    except (NotRational, Undefined, Failure):
        return None
    if had.everything or had.intervals:
        return None
    out = frozenset().union(*(points_of_line(line, context) for line in entry.rejects))
    if not entry.rejects:
        if says_all(entry.told.remark) or (len(had.points) == 1 and len(entry.told.remark) > 3):
            out = had.points
        else:
            out = failed
    if not out & had.points:
        return None
    rest: list[Expr] = []
    left = [p for p in had.points - out if isinstance(p, Algebraic)]
    if len(left) != len(had.points - out):
        return None
    for point in sorted(left, key=lambda p: (p.approximation.real, p.approximation.imag)):
        tree = tree_of(point)
        if tree is None:
            return None
        rest.append(tree)
    if not rest:
        return Outcome("no solution")
    listed = tuple(Relation(Symbol(context.unknown), "=", value) for value in rest)
    return listed[0] if len(listed) == 1 else Either(listed)
