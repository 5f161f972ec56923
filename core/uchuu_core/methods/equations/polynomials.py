"""Polynomial equations: zero on one side, factored, each factor zero; what other routes end in."""

from collections.abc import Callable
from dataclasses import replace
from fractions import Fraction
from math import gcd, lcm
from typing import Any

from flint import fmpq

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.lawbook.expanding import HIGHEST_POWER_FIRST
from uchuu_core.lawbook.linear import (
    BOTH_SIDES_SAME,
    BRING_TO_ONE_SIDE,
    CLEAR_BOTH_BY,
    DIVIDE_EVERY_TERM_BY,
    FACTOR_ZERO_AT,
    IS_NOT_ZERO,
    MULTIPLY_BOTH_BY_MINUS_ONE,
    TURN_ROUND,
)
from uchuu_core.lawbook.quadratics import SOME_FACTOR_IS_ZERO, ZERO_POWER
from uchuu_core.lawbook.says import Listed, listed
from uchuu_core.methods.equations import linear
from uchuu_core.methods.equations.board import Board, either
from uchuu_core.methods.factoring import Route, route
from uchuu_core.methods.method import KEY, RIDES_ALONG
from uchuu_core.methods.written import factor_tree, integer_factors, polynomial_tree
from uchuu_core.notation import plain
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Expr,
    Outcome,
    Power,
    Product,
    Quotient,
    Relation,
    Signed,
    Sum,
    Symbol,
)
from uchuu_core.tree.paths import letters, parts

Coefficients = tuple[Fraction, ...]
"""Coefficients by degree, constant first; the last one is not 0 (none for the zero polynomial)."""


def coefficients(line: Relation, unknown: str) -> Coefficients:
    """Return the coefficients of left minus right.

    Raises:
        OutOfScope: a side is no polynomial in the unknown alone.
    """
    if letters(line) - {unknown}:
        raise OutOfScope("It holds further letters.")
    if any(isinstance(p, Quotient) and letters(p.denominator) for p in parts(line)):
        raise OutOfScope("The unknown stands below a bar.")
    algebra = ring((unknown,))
    try:
        zero = algebra.function(line.left).minus(algebra.function(line.right))
    except (NotRational, Undefined) as reason:
        raise OutOfScope("It is no polynomial equation.") from reason
    if not zero.denominator.is_constant():
        raise OutOfScope("It is no polynomial equation.")
    scale = zero.denominator.leading_coefficient() if zero.denominator else 1
    found: dict[int, Fraction] = {}
    for degrees, coefficient in zero.numerator.terms():
        value = coefficient / scale
        found[int(degrees[0])] = Fraction(int(value.p), int(value.q))
    return tuple(found.get(n, Fraction(0)) for n in range(max(found, default=-1) + 1))


def tree_of(values: Coefficients, board: Board) -> Expr:
    """Write a polynomial, highest power first."""
    return polynomial_tree(polynomial_of(values, board), board.algebra)


def polynomial_of(values: Coefficients, board: Board) -> Any:
    """Return the polynomial with the given coefficients."""
    letter = board.algebra.letter(board.unknown)
    total = board.algebra.one * 0
    for power, value in enumerate(values):
        total += letter**power * fmpq(value.numerator, value.denominator)
    return total


def simplify_sides(board: Board) -> None:
    """Open all brackets and collect each side."""
    board.follow(linear.simplified(board.relation))


def zero_on_one_side(board: Board) -> Coefficients:
    """Bring everything to one side, leading coefficient positive, no fractions; return it.

    Raises:
        OutOfScope: it is no polynomial equation.
    """
    values = coefficients(board.relation, board.unknown)
    if not values:
        return values
    moved = values if values[-1] > 0 else tuple(-v for v in values)
    if board.relation.right != build.ZERO or tree_of(values, board) != board.relation.left:
        simplify_sides(board)
    line = board.relation
    if line.right != build.ZERO:
        side, other = ("left", line.right) if values[-1] > 0 else ("right", line.left)
        says = BRING_TO_ONE_SIDE(_listed(other), side)
        board.equation(tree_of(moved, board), build.ZERO, says)
    elif values[-1] < 0:
        says = MULTIPLY_BOTH_BY_MINUS_ONE()
        board.equation(tree_of(moved, board), build.ZERO, says)
    below = lcm(*(v.denominator for v in moved))
    if below > 1:
        moved = tuple(v * below for v in moved)
        says = CLEAR_BOTH_BY(build.number(Fraction(below)))
        board.equation(tree_of(moved, board), build.ZERO, says)
    ordered = tree_of(moved, board)
    board.equation(ordered, build.ZERO, HIGHEST_POWER_FIRST(), RIDES_ALONG)
    return moved


def _listed(side: Expr) -> Listed:
    return listed(build.total((term,)) for term in build.terms_of(side))


def divided_by_common(board: Board, values: Coefficients) -> Coefficients:
    """Divide both sides by the greatest common factor of whole coefficients."""
    common = gcd(*(int(v) for v in values))
    if common > 1:
        values = tuple(v / common for v in values)
        says = DIVIDE_EVERY_TERM_BY(build.number(Fraction(common)))
        board.equation(tree_of(values, board), build.ZERO, says)
    return values


def is_product_equal_zero(line: Relation, unknown: str) -> bool:
    """Return whether one side is 0 and the other a product or a power with the unknown."""
    for side, other in ((line.left, line.right), (line.right, line.left)):
        body = side.body if isinstance(side, Signed) else side
        if other == build.ZERO and unknown in letters(side):
            if isinstance(body, Power):
                return True
            if isinstance(body, Product):
                return sum(unknown in letters(f) for f in body.factors) > 1 or any(
                    isinstance(f, (Sum, Power)) for f in body.factors
                )
    return False


def by_factoring(board: Board, school: str, solve: Callable[[Board], None]) -> None:
    """Zero on one side, factor, each factor zero; *solve* works factors that are not linear.

    Raises:
        OutOfScope: it does not factor over the integers.
    """
    line = board.relation
    if not is_product_equal_zero(line, board.unknown):
        # every linear equation is asked whether it factors: it is not worked first
        if len(coefficients(line, board.unknown)) == 2:
            raise OutOfScope("It does not factor over the integers.")
        values = zero_on_one_side(board)
        if len(values) < 2:
            without_unknown(board, values)
            return
        divided_by_common(board, values)
        found = route(board.relation.left, school)
        if isinstance(found, Route):
            if not found.techniques:
                raise OutOfScope("It does not factor over the integers.")
            for moment in found.moments:
                board.equation(moment.line, build.ZERO, moment.says, moment.weight)  # type: ignore[arg-type]
        elif found != "it is factored already":
            raise OutOfScope(found)
    elif line.left == build.ZERO:
        board.equation(line.right, line.left, TURN_ROUND(), RIDES_ALONG)
    zero_product(board, solve)


def zero_product(board: Board, solve: Callable[[Board], None]) -> None:
    """Set each factor of a product that is zero to zero and solve each.

    Raises:
        OutOfScope: a factor is not solved.
    """
    try:
        whole = board.algebra.function(board.relation.left).numerator
    except (NotRational, Undefined) as reason:
        raise OutOfScope("It is no polynomial equation.") from reason
    _, factors = integer_factors(whole, board.algebra)
    if sum(power for _, power in factors) < 2:
        raise OutOfScope("It does not factor over the integers.")
    factors = tuple(sorted(factors, key=lambda f: _place(f[0], board)))
    options = [
        Relation(factor_tree(polynomial, 1, board.algebra), "=", build.ZERO)
        for polynomial, _ in factors
    ]
    says = SOME_FACTOR_IS_ZERO()
    if len(options) == 1:
        says = ZERO_POWER()
    board.write(either(list(options)), says)

    def solve_one(branch: Board) -> None:
        found = coefficients(branch.relation, branch.unknown)
        if len(found) == 2:
            value = build.number(-found[0] / found[1])
            says = FACTOR_ZERO_AT(
                factor=branch.relation.left, unknown=Symbol(branch.unknown), value=value
            )
            branch.equation(unknown_of(branch), value, says, RIDES_ALONG)
        else:
            solve(branch)

    board.branches(solve_one)
    board.moments[-1] = replace(board.moments[-1], weight=KEY)


def _place(polynomial: Any, board: Board) -> int:
    """Return where *polynomial* stands among the factors of the last line, for the same order."""
    text = plain(board.relation.left)
    place = text.find(plain(factor_tree(polynomial, 1, board.algebra)))
    return place if place >= 0 else len(text)


def unknown_of(board: Board) -> Expr:
    """Return the unknown as a tree."""
    return Symbol(board.unknown)


def without_unknown(board: Board, values: Coefficients) -> None:
    """Read a line from which the unknown is gone, or that is never true."""
    if not values:
        says = BOTH_SIDES_SAME()
        board.write(Outcome("all real numbers"), says, KEY)
    else:
        says = IS_NOT_ZERO(build.number(values[0]))
        board.write(Outcome("no solution"), says, KEY)
