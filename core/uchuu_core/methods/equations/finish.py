"""Solving by the way that suits: what longer routes end in."""

from uchuu_core.methods.equations import linear
from uchuu_core.methods.equations.board import Board
from uchuu_core.methods.equations.polynomials import (
    by_factoring,
    coefficients,
    is_product_equal_zero,
    without_unknown,
)
from uchuu_core.methods.equations.quadratics import (
    by_completing,
    by_formula,
    by_square_roots,
    discriminant,
    is_square,
    isolated,
    quadratic,
    suits_completing,
)
from uchuu_core.methods.factoring import school_of


def quadratic_way(board: Board) -> None:
    """Solve a quadratic by the way that suits it best.

    Raises:
        OutOfScope: it is not quadratic.
    """
    values = quadratic(board)
    if isolated(board) is not None:
        by_square_roots(board)
    elif is_square(discriminant(values)) or is_product_equal_zero(board.relation, board.unknown):
        factoring(board)
    elif suits_completing(values):
        by_completing(board)
    else:
        by_formula(board)


def factoring(board: Board) -> None:
    """Solve by factoring; quadratic factors by the way that suits them.

    Raises:
        OutOfScope: it does not factor.
    """
    by_factoring(board, school_of(board.house), quadratic_way)


def finish(board: Board) -> None:
    """Solve a polynomial equation by the way that suits it.

    Raises:
        OutOfScope: it is none, or of a degree that does not factor.
    """
    values = coefficients(board.relation, board.unknown)
    if not values:
        board.follow(linear.simplified(board.relation))
        without_unknown(board, values)
    elif len(values) <= 2:
        board.follow(linear.simplified(board.relation))
        board.follow(linear.undo(board.relation, board.unknown))
    elif len(values) == 3:
        quadratic_way(board)
    else:
        factoring(board)
