"""The contract's methods for equations, each a route on a board."""

from collections.abc import Callable, Iterator
from functools import lru_cache

from uchuu_core.failures import OutOfScope
from uchuu_core.methods.equations import (
    equal_tops,
    exponential,
    finish,
    formulas,
    linear,
    literal,
    quadratics,
    radical,
    rational,
    reverse,
    substitution,
    with_surds,
)
from uchuu_core.methods.equations.board import Board, board_of
from uchuu_core.methods.equations.polynomials import coefficients
from uchuu_core.methods.method import Method, Moment, Posed

Way = Callable[[Board], None]


@lru_cache(maxsize=256)
def _routed(way: Way, posed: Posed) -> tuple[Moment, ...]:
    """Return the moments of *way*.

    Raises:
        OutOfScope: it does not apply.
    """
    board = board_of(posed)
    way(board)
    return tuple(board.moments)


def _by(key: str, why: str, way: Way, suits: Callable[[Posed], bool] | None = None) -> Method:
    def refusal(posed: Posed) -> str | None:
        try:
            moments = _routed(way, posed)
        except OutOfScope as reason:
            return reason.clause
        return None if moments else "it is solved already"

    def moments(posed: Posed) -> Iterator[Moment]:
        return iter(_routed(way, posed))

    if suits is None:
        return Method(key, ("solve",), refusal, why, moments)
    return Method(key, ("solve",), refusal, why, moments, suits)


def _suits_completing(posed: Posed) -> bool:
    return quadratics.suits_completing(quadratics.quadratic(board_of(posed)))


def _suits_substitution(posed: Posed) -> bool:
    """Whether it is no quadratic in the unknown itself, and its numbers have no one base."""
    try:
        _routed(exponential.by_same_base, posed)
    except OutOfScope:
        pass
    else:
        return False
    try:
        return len(coefficients(board_of(posed).relation, posed.unknown)) != 3
    except OutOfScope:
        return True


EQUATIONS: tuple[Method, ...] = (
    _by(
        "equal-numerators",
        "All fractions have one numerator, or have it when the same number is taken from each.",
        equal_tops.by_equal_tops,
        equal_tops.suits,
    ),
    linear.SIMPLIFY_THEN_UNDO,
    linear.CLEAR_FRACTIONS,
    linear.DIVIDE_FIRST,
    linear.KEEP_FRACTIONS,
    _by(
        "multiply-by-lcd",
        "The unknown stands below a bar: one multiplication clears every denominator.",
        rational.by_lcd,
    ),
    _by(
        "cross-multiply",
        "One fraction on each side.",
        rational.by_cross_multiplying,
    ),
    _by(
        "common-denominators",
        "All over one denominator: then the numerators are equal.",
        rational.by_common_denominators,
    ),
    _by(
        "isolate-and-square",
        "A root holds the unknown: isolate it, square, check every candidate.",
        radical.by_squaring,
    ),
    _by(
        "square-roots",
        "The unknown stands in one square: isolate it, take ± the root.",
        quadratics.by_square_roots,
    ),
    _by(
        "undo-in-reverse-order",
        "The unknown stands once: say what happens to it, undo it in the reverse order.",
        reverse.reverse_order,
    ),
    _by(
        "factor-and-zero-product",
        "It factors: a product is zero where a factor is zero.",
        finish.factoring,
    ),
    _by(
        "complete-the-square",
        "Half of the middle coefficient, squared, makes a square.",
        quadratics.by_completing,
        _suits_completing,
    ),
    _by(
        "quadratic-formula",
        "Always works for a quadratic; the discriminant tells how many solutions.",
        quadratics.by_formula,
    ),
    _by(
        "substitution",
        "A part repeats, or stands squared and alone: name it by a letter.",
        substitution.by_substitution,
        _suits_substitution,
    ),
    _by(
        "simplify-both-sides-then-undo",
        "A formula, linear in the letter: collect it, factor it out, divide.",
        literal.solve_for_letter,
    ),
    _by(
        "undo-in-reverse-order",
        "A formula in which the letter stands once: undo what happens to it, in reverse.",
        formulas.undo_formula,
    ),
    _by(
        "quadratic-formula",
        "Quadratic in the letter: the formula, with letters for the coefficients.",
        formulas.literal_quadratic,
    ),
    _by(
        "simplify-both-sides-then-undo",
        "Linear, with roots as coefficients: collect, factor the unknown out, divide.",
        with_surds.linear_with_surds,
    ),
    _by(
        "undo-in-reverse-order",
        "An absolute value equals something with the unknown: two cases.",
        with_surds.two_absolute_values,
    ),
    _by(
        "same-base",
        "Both sides are powers of one base: equal powers have equal exponents.",
        exponential.by_same_base,
    ),
)
