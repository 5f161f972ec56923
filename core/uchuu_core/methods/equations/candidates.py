"""What is left of the candidates when each is put into the given."""

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.equality import value_texts
from uchuu_core.kernel.numbers import Numbers
from uchuu_core.kernel.solutions import SolutionSet
from uchuu_core.kernel.solving import excluded_points
from uchuu_core.kernel.written import number_text
from uchuu_core.lawbook.equations import (
    REJECTED_NO_REAL_VALUE,
    REJECTED_NOT_REAL,
    REJECTED_SIDES_DIFFER,
    REJECTED_UNDEFINED,
)
from uchuu_core.lawbook.linear import TRUE_WHERE_ALLOWED
from uchuu_core.lawbook.says import Says, in_order, mathematics
from uchuu_core.methods.equations.board import Board, either, solutions
from uchuu_core.methods.method import KEY
from uchuu_core.tree.nodes import AllExcept, Either, Line, Outcome, Relation


def reject(board: Board, given: Relation) -> None:
    """Strike the candidates that *given* excludes or that do not satisfy it.

    Raises:
        OutOfScope: the solutions of *given* are not found.
    """
    original = solutions(given, board)
    if board.now == Outcome("all real numbers"):
        if original.excluded:
            says = TRUE_WHERE_ALLOWED()
            board.write(Outcome("all except excluded"), says, KEY)
        return
    if isinstance(board.now, (Outcome, AllExcept)):
        return
    options = board.now.options if isinstance(board.now, Either) else (board.relation,)
    kept: list[Line] = []
    said: list[Says] = []
    for option in options:
        reason = _failing(option, original, given, board)
        if reason is not None:
            said.append(reason)
        else:
            kept.append(option)
    if not said:
        return
    end = either(kept) if kept else Outcome("no solution")
    board.write(end, in_order(said), KEY)


def _failing(option: Relation, original: SolutionSet, given: Relation, board: Board) -> Says | None:
    """Return why the candidate is rejected, None when it solves the given."""
    found = solutions(option, board).points
    if not found:
        return REJECTED_NOT_REAL(option.right)
    if len(found) != 1:
        raise OutOfScope("A candidate is not one number.")
    (point,) = found
    if original.holds(point) or not isinstance(point, Algebraic):
        return None
    return why_rejected(point, given, original, board.unknown, board.numbers)


def why_rejected(
    point: Algebraic, given: Relation, original: SolutionSet, unknown: str, numbers: Numbers
) -> Says:
    """Say why *point* does not solve *given*, whose solutions are *original*."""
    candidate = mathematics(f"{unknown} = {number_text(point)}")
    if point in excluded_points(original.excluded, unknown):
        return REJECTED_UNDEFINED(candidate)
    place = {unknown: point if point.rational is None else point.rational}
    left, right = value_texts(given.left, given.right, place, is_complex=numbers.is_complex)
    if "no real value" in (left, right):
        return REJECTED_NO_REAL_VALUE(candidate)
    return REJECTED_SIDES_DIFFER(candidate, mathematics(left), mathematics(right))
