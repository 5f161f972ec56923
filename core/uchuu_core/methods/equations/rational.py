"""Rational equations: multiply by the LCD, bring all over one denominator, or cross-multiply."""

from dataclasses import dataclass
from typing import Any

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.domains import domain_of
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.solving import excluded_points
from uchuu_core.kernel.written import number_text
from uchuu_core.lawbook.equations import (
    NUMERATOR_TIMES_OTHER_DENOMINATOR,
    NUMERATOR_TIMES_OTHER_EXCLUDED,
    NUMERATORS_ARE_EQUAL,
)
from uchuu_core.lawbook.expanding import MULTIPLY_EVERY_TERM
from uchuu_core.lawbook.exponents import ONE_OVER_THE_POWER
from uchuu_core.lawbook.fractions import (
    EVERY_TERM_BY_LCD,
    EVERY_TERM_BY_LCD_EXCLUDED,
    FACTOR_ALL_BELOW,
    FACTOR_ALL_BELOW_EXCLUDED,
    ONE_FRACTION_EACH_SIDE,
)
from uchuu_core.lawbook.numbers import EACH_TERM_LACKS, EACH_TERM_LACKS_EXCLUDED, LACKS
from uchuu_core.lawbook.says import Listed, listed, mathematics
from uchuu_core.methods.equations.board import Board
from uchuu_core.methods.equations.candidates import reject
from uchuu_core.methods.equations.finish import finish
from uchuu_core.methods.fractions_in_letters import (
    ONE,
    InFactors,
    Product,
    fraction_in_factors,
    least_common,
    missing,
    stretched,
)
from uchuu_core.methods.method import RIDES_ALONG
from uchuu_core.methods.rational_shapes import positive_below, without_negative_exponent
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Number, Power, Quotient, Sign, Sum, Term
from uchuu_core.tree.nodes import Product as ProductNode
from uchuu_core.tree.paths import letters, parts, rebuild


@dataclass(frozen=True, slots=True)
class Part:
    """One term: its sign and its fraction in factors, nothing divided out."""

    sign: Sign
    written: Expr
    fraction: InFactors


@dataclass(frozen=True, slots=True)
class Sides:
    """Both sides term by term, and the least common denominator."""

    left: tuple[Part, ...]
    right: tuple[Part, ...]
    common: Product


def sides_of(board: Board) -> Sides:
    """Return the equation term by term.

    Raises:
        OutOfScope: a term is no fraction of polynomials, or the unknown is below no bar.
    """
    line = board.relation
    below = [p.denominator for p in parts(line) if isinstance(p, Quotient)]
    if not any(board.unknown in letters(node) for node in below):
        raise OutOfScope("The unknown stands below no bar.")
    if letters(line) - {board.unknown}:
        raise OutOfScope("It holds further letters.")
    sides = [
        tuple(_part(term.sign, term.body, board) for term in build.terms_of(side))
        for side in (line.left, line.right)
    ]
    bottoms = [part.fraction.bottom for side in sides for part in side]
    return Sides(sides[0], sides[1], least_common(bottoms))


def _part(sign: Sign, body: Expr, board: Board) -> Part:
    found = fraction_in_factors(body, board.algebra)
    if found is None or found.bottom.number == 0:
        raise OutOfScope("A term is no single fraction of polynomials: simplify it first.")
    new, fraction = positive_below(sign, found)
    return Part(new, body, fraction)  # type: ignore[arg-type]


def excluded_by(board: Board) -> Listed | None:
    """Return what the denominators exclude: ``x ≠ 2, x ≠ 5``; None for nothing."""
    try:
        domain = domain_of(board.relation, board.algebra, board.numbers)
    except (NotRational, Undefined) as reason:
        raise OutOfScope("A denominator in it is zero everywhere.") from reason
    values = excluded_points(domain.excluded, board.unknown)
    if not values:
        return None
    trees = [mathematics(f"{board.unknown} != {number_text(value)}") for value in values]
    return listed(trees, before_last=", ")


def by_lcd(board: Board) -> None:
    """Multiply every term by the least common denominator, solve, strike excluded values."""
    given = board.relation
    positive = rebuild(rebuild(given, without_negative_exponent), _folded)
    board.write(positive, ONE_OVER_THE_POWER())
    opened = rebuild(board.relation, lambda part: _opened(part, board.unknown))
    board.write(opened, MULTIPLY_EVERY_TERM())
    sides = sides_of(board)
    excluded = excluded_by(board)
    sides = _factored(board, sides, excluded)
    cleared = [
        _joined([(p.sign, stretched(p.fraction, sides.common, board.algebra)) for p in side])
        for side in (sides.left, sides.right)
    ]
    factor = sides.common.tree(board.algebra)
    unworked = [
        build.total(build.as_term(_times(factor, part), part.sign) for part in side)
        for side in (sides.left, sides.right)
    ]
    says = EVERY_TERM_BY_LCD(factor)
    if excluded and not board.moments:
        says = EVERY_TERM_BY_LCD_EXCLUDED(factor, excluded)
    board.equation(unworked[0], unworked[1], says, RIDES_ALONG)
    board.equation(cleared[0], cleared[1], says)
    finish(board)
    reject(board, given)


def _folded(part: Any) -> Any:
    """Write ``5·(1/x)`` as ``5/x``."""
    if not isinstance(part, ProductNode):
        return part
    below = [f for f in part.factors if isinstance(f, Quotient) and f.numerator == build.ONE]
    if len(below) != 1 or letters(below[0].denominator) == frozenset():
        return part
    return Quotient(build.product(f for f in part.factors if f not in below), below[0].denominator)


def _opened(part: Any, unknown: str) -> Any:
    """Write a product with one bracket that holds fractions in the unknown term by term."""
    if not isinstance(part, ProductNode):
        return part
    sums = [f for f in part.factors if isinstance(f, Sum)]
    if len(sums) != 1 or not any(
        isinstance(p, Quotient) and unknown in letters(p.denominator) for p in parts(sums[0])
    ):
        return part
    outside = [f for f in part.factors if f is not sums[0]]
    terms = []
    for term in sums[0].terms:
        if isinstance(term.body, Quotient):
            top = build.product(f for f in (*outside, term.body.numerator) if f != build.ONE)
            terms.append(Term(term.sign, Quotient(top, term.body.denominator)))
        else:
            listed = [f for f in (*outside, term.body) if f != build.ONE]
            terms.append(Term(term.sign, build.product(listed)))
    return Sum(tuple(terms))


def _times(factor: Expr, part: Part) -> Expr:
    return part.written if part.written == build.ZERO else build.product((factor, part.written))


def _factored(board: Board, sides: Sides, excluded: Listed | None) -> Sides:
    """Write the denominators in factors where they are not, opposite ones with one sign."""
    trees = []
    for side in (sides.left, sides.right):
        terms = []
        for part in side:
            body = part.written
            bottom = part.fraction.bottom
            if isinstance(body, Quotient) and _opens(body, part, board):
                body = Quotient(body.numerator, bottom.tree(board.algebra))
            terms.append(build.as_term(body, part.sign))
        trees.append(build.total(terms))
    says = FACTOR_ALL_BELOW_EXCLUDED(excluded) if excluded else FACTOR_ALL_BELOW()
    board.equation(trees[0], trees[1], says)
    return sides_of(board)


def _opens(body: Quotient, part: Part, board: Board) -> bool:
    """Whether the denominator gets another look in factors."""
    bottom = part.fraction.bottom
    original = fraction_in_factors(body, board.algebra)
    assert original is not None
    turned = original.bottom != bottom
    several = len(bottom.factors) > 1 or any(n > 1 and len(p) > 1 for p, n in bottom.factors)
    with_number = bottom.number != 1 and any(len(p) > 1 for p, _ in bottom.factors)
    return turned or several or with_number


def by_common_denominators(board: Board) -> None:
    """Stretch every term to the LCD; equal fractions with equal bottoms have equal tops."""
    given, sides = board.relation, sides_of(board)
    excluded = excluded_by(board)
    sides = _factored(board, sides, excluded)
    below = sides.common.tree(board.algebra)
    tops = []
    for side in (sides.left, sides.right):
        tops.append(
            [
                (part.sign, stretched(part.fraction, sides.common, board.algebra))
                for part in side
                if part.written != build.ZERO
            ]
        )
    each = [
        build.total(build.as_term(Quotient(top, below), sign) for sign, top in side)
        for side in tops
    ]
    lacking = _lacking(board, sides)
    says = EACH_TERM_LACKS(below, lacking)
    if excluded and not board.moments:
        says = EACH_TERM_LACKS_EXCLUDED(below, lacking, excluded)
    board.equation(each[0], each[1], says)
    sums = [_joined(side) for side in tops]
    one = [Quotient(top, below) if top != build.ZERO else top for top in sums]
    says = ONE_FRACTION_EACH_SIDE()
    board.equation(one[0], one[1], says, RIDES_ALONG)
    says = NUMERATORS_ARE_EQUAL()
    board.equation(sums[0], sums[1], says)
    finish(board)
    reject(board, given)


def _lacking(board: Board, sides: Sides) -> Listed:
    """Say of each term what its denominator lacks to be the common one."""
    said = []
    for part in (*sides.left, *sides.right):
        lacks = missing(part.fraction.bottom, sides.common)
        if part.written != build.ZERO and lacks != ONE:
            said.append(LACKS(part.written, lacks.tree(board.algebra)))
    return listed(said, before_last=", ")


def by_cross_multiplying(board: Board) -> None:
    """From a/b = c/d to a·d = c·b.

    Raises:
        OutOfScope: a side is not one fraction.
    """
    given, sides = board.relation, sides_of(board)
    if len(sides.left) != 1 or len(sides.right) != 1:
        raise OutOfScope("It is not one fraction on each side.")
    excluded = excluded_by(board)
    left, right = _as_fraction(given.left), _as_fraction(given.right)
    products = (_cross(left[0], right[1]), _cross(right[0], left[1]))
    says = NUMERATOR_TIMES_OTHER_DENOMINATOR()
    if excluded:
        says = NUMERATOR_TIMES_OTHER_EXCLUDED(excluded)
    board.equation(products[0], products[1], says)
    finish(board)
    reject(board, given)


def _joined(terms: list[tuple[Sign, Expr]]) -> Expr:
    """Write a sum; an added sum needs no brackets."""
    listed: list[Term] = []
    for sign, body in terms:
        if sign == "+" and isinstance(body, Sum):
            listed += body.terms
        else:
            listed.append(build.as_term(body, sign))
    return build.total(listed)


def _as_fraction(side: Expr) -> tuple[Expr, Expr]:
    (term,) = build.terms_of(side)
    body = term.body
    top, bottom = (
        (body.numerator, body.denominator) if isinstance(body, Quotient) else (body, build.ONE)
    )
    return (build.negative(top) if term.sign == "-" else top), bottom


def _cross(top: Expr, bottom: Expr) -> Expr:
    if top == bottom:
        return Power(top, Number("2"))
    factors = [part for part in (top, bottom) if part != build.ONE]
    return build.product(factors) if factors else build.ONE
