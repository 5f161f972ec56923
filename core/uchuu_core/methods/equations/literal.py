"""Solving a formula for a letter that stands to the first power: collect it, factor it out, divide."""

from math import gcd
from typing import Any

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.lawbook.fractions import DIVIDE_OUT_FACTORS, FACTOR_BOTH
from uchuu_core.lawbook.linear import (
    CLEAR_BY,
    DIVIDE_BOTH_BY,
    FACTOR_LETTER_OUT,
    LETTER_ON_ONE_SIDE,
    UNKNOWN_FIRST,
)
from uchuu_core.lawbook.says import listed
from uchuu_core.methods.equations.board import Board
from uchuu_core.methods.fractions_in_letters import (
    ONE,
    fraction_in_factors,
    in_factors,
    least_common,
    shown_factor,
    stretched,
)
from uchuu_core.methods.method import KEY, not_zero
from uchuu_core.methods.orders import chain
from uchuu_core.methods.polynomials import LEAVE_BRACKETS_OUT, expansions
from uchuu_core.methods.rational_shapes import positive_below
from uchuu_core.methods.written import polynomial_tree, ring_of
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Quotient, Relation, Symbol
from uchuu_core.tree.paths import letters


def solve_for_letter(board: Board) -> None:
    """Clear denominators, expand, collect the letter, factor it out, divide.

    Raises:
        OutOfScope: there are no further letters, or it is not linear in the unknown.
    """
    line = board.relation
    if len(letters(line)) < 2 or board.unknown not in letters(line):
        raise OutOfScope("It holds no further letters.")
    names = [name for name in ring_of(line).names if name != board.unknown]
    algebra = ring((*names, board.unknown))
    try:
        zero = algebra.lowest(algebra.function(line.left).minus(algebra.function(line.right)))
    except (NotRational, Undefined) as reason:
        raise OutOfScope("It holds roots, or letters in exponents.") from reason
    place = algebra.names.index(board.unknown)
    if any(int(d[place]) > 1 for d, _ in zero.numerator.terms()):
        raise OutOfScope(f"{board.unknown} stands to a higher power than the first.")
    _cleared(board, algebra)
    _opened(board)
    line = board.relation
    whole = algebra.function(line.left).minus(algebra.function(line.right)).numerator
    with_letter, without = _apart(whole, place, algebra)
    if build.terms_of(polynomial_tree(with_letter, algebra))[0].sign == "-":
        with_letter, without = -with_letter, -without
    if not with_letter:
        raise OutOfScope(f"{board.unknown} falls out of it.")
    _collected(board, with_letter, without, algebra)
    _divided(board, with_letter, without, algebra)


def _cleared(board: Board, algebra: Any) -> None:
    line = board.relation
    sides = []
    for side in (line.left, line.right):
        found = []
        for term in build.terms_of(side):
            fraction = fraction_in_factors(term.body, algebra)
            if fraction is None or fraction.bottom.number == 0:
                raise OutOfScope("A term is no single fraction: simplify it first.")
            found.append(positive_below(term.sign, fraction))
        sides.append(found)
    common = least_common([f.bottom for side in sides for _, f in side])
    if common == ONE:
        return
    new = [
        build.total(build.as_term(stretched(f, common, algebra), sign) for sign, f in side)  # type: ignore[arg-type]
        for side in sides
    ]
    says = CLEAR_BY(common.tree(algebra))
    board.equation(new[0], new[1], says)


def _opened(board: Board) -> None:
    board.follow(chain(expansions, LEAVE_BRACKETS_OUT)(board.relation))


def _apart(polynomial: Any, place: int, algebra: Any) -> tuple[Any, Any]:
    """Return the terms with the unknown and those without, as polynomials."""
    with_letter, without = algebra.one * 0, algebra.one * 0
    for degrees, coefficient in polynomial.terms():
        term = algebra.one * coefficient
        for name, degree in zip(algebra.names, degrees, strict=False):
            term *= algebra.letter(name) ** int(degree)
        if int(degrees[place]):
            with_letter += term
        else:
            without += term
    return with_letter, without


def _collected(board: Board, with_letter: Any, without: Any, algebra: Any) -> None:
    left, right = polynomial_tree(with_letter, algebra), polynomial_tree(-without, algebra)
    letter = board.unknown
    if board.relation == Relation(right, "=", left):
        board.equation(left, right, UNKNOWN_FIRST(Symbol(letter)), 0)
        return
    says = LETTER_ON_ONE_SIDE(Symbol(letter))
    board.equation(left, right, says)


def _divided(board: Board, with_letter: Any, without: Any, algebra: Any) -> None:
    letter: Expr = Symbol(board.unknown)
    factor = with_letter / algebra.letter(board.unknown)
    right = -without
    divisor = polynomial_tree(factor, algebra)
    if len(factor) > 1:
        says = FACTOR_LETTER_OUT(Symbol(board.unknown))
        whole = build.product((letter, divisor))
        board.equation(whole, board.relation.right, says)
    if divisor == build.ONE:
        return
    says = DIVIDE_BOTH_BY(divisor)
    condition = not_zero(divisor) if letters(divisor) else ""
    if right and not factor.gcd(right).is_constant():
        _divided_out(board, factor, right, algebra, condition)
        return
    numbers = [c for side in (factor, right) for _, c in side.terms()]
    shared = gcd(*(int(c) for c in numbers)) if all(c.q == 1 for c in numbers) and right else 1
    below = polynomial_tree(factor / shared, algebra)
    top = polynomial_tree(right / shared, algebra)
    end = Quotient(top, below) if below not in (build.ONE, build.ZERO) and right else top
    board.write(Relation(letter, "=", end), says, KEY, condition)


def _divided_out(board: Board, factor: Any, right: Any, algebra: Any, condition: str) -> None:
    """Divide by *factor*, which shares a factor with the other side: factor both, divide it out."""
    letter = Symbol(board.unknown)
    divisor, top = polynomial_tree(factor, algebra), polynomial_tree(right, algebra)
    whole = Relation(letter, "=", Quotient(top, divisor))
    board.write(whole, DIVIDE_BOTH_BY(divisor), condition=condition)
    fraction = in_factors(right, algebra).times(in_factors(factor, algebra).inverted())
    lowest, shared = fraction.divided_out()
    board.write(Relation(letter, "=", fraction.tree(algebra)), FACTOR_BOTH())
    says = DIVIDE_OUT_FACTORS(listed(shown_factor(one, algebra) for one in shared))
    board.write(Relation(letter, "=", lowest.end_tree(algebra)), says, KEY)
