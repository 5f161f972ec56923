"""What is left of the candidates when each is put into the given."""

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.equality import value_texts
from uchuu_core.kernel.numbers import Numbers
from uchuu_core.kernel.solutions import SolutionSet
from uchuu_core.kernel.written import number_text
from uchuu_core.methods.equations.board import Board, either, solutions
from uchuu_core.methods.method import KEY, shown
from uchuu_core.tree.nodes import AllExcept, Either, Line, Outcome, Relation


def reject(board: Board, given: Relation) -> None:
    """Strike the candidates that *given* excludes or that do not satisfy it.

    Raises:
        OutOfScope: the solutions of *given* are not found.
    """
    original = solutions(given, board)
    if board.now == Outcome("all real numbers"):
        if original.excluded:
            says = "True for every value that is not excluded."
            board.write(Outcome("all except excluded"), "read-an-identity", says, KEY)
        return
    if isinstance(board.now, (Outcome, AllExcept)):
        return
    options = board.now.options if isinstance(board.now, Either) else (board.relation,)
    kept: list[Line] = []
    said: list[str] = []
    for option in options:
        reason = _failing(option, original, given, board)
        if reason:
            said.append(reason)
        else:
            kept.append(option)
    if not said:
        return
    end = either(kept) if kept else Outcome("no solution")
    board.write(end, "reject-candidate", " ".join(said), KEY)


def _failing(option: Relation, original: SolutionSet, given: Relation, board: Board) -> str:
    """Return why the candidate is rejected, empty when it solves the given."""
    found = solutions(option, board).points
    if not found:
        return f"{shown(option.right)} is no real number."
    if len(found) != 1:
        raise OutOfScope("A candidate is not one number.")
    (point,) = found
    if original.holds(point) or not isinstance(point, Algebraic):
        return ""
    text = f"{board.unknown} = {number_text(point)}".replace("-", "−")
    return f"{text} is rejected: {_why(point, given, board.unknown, board.numbers)}."


def _why(point: Algebraic, given: Relation, unknown: str, numbers: Numbers) -> str:
    place = {unknown: point if point.rational is None else point.rational}
    left, right = value_texts(given.left, given.right, place, is_complex=numbers.is_complex)
    for text in (left, right):
        if text == "no real value":
            return "the given has no value there"
    return f"the left side is {left}, the right side {right}".replace("-", "−")
