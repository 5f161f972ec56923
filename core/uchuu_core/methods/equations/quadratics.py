"""Quadratic equations: by square roots, by completing the square, by the formula."""

from fractions import Fraction
from math import isqrt

from uchuu_core.failures import OutOfScope
from uchuu_core.lawbook.expanding import HIGHEST_POWER_FIRST
from uchuu_core.lawbook.factoring import IS_SQUARE_OF, LEFT_SIDE_IS_SQUARE
from uchuu_core.lawbook.fractions import COMMON_OUT_OF_EVERY_TERM
from uchuu_core.lawbook.linear import (
    DIVIDE_BOTH_BY,
    DIVIDE_BY_LEADING_COEFFICIENT,
    MULTIPLY_BOTH_BY,
)
from uchuu_core.lawbook.quadratics import (
    DISCRIMINANT_IS,
    DISCRIMINANT_NEGATIVE,
    DISCRIMINANT_ZERO,
    HALF_SQUARED,
    INTO_THE_FORMULA,
    ISOLATE_SQUARE,
    NO_REAL_SQUARE,
    NUMBER_TO_THE_OTHER_SIDE,
    ONLY_ZERO_SQUARED,
    ROOM_BY_ADDING,
    ROOM_BY_SUBTRACTING,
    SPLIT_PLUS_MINUS,
    SQUARE_ROOT_OF_BOTH,
    WRITE_BOTH,
)
from uchuu_core.lawbook.radicals import ROOT_SIMPLIFIED, ROOT_SIMPLIFIED_I, SIGN_AND_BOTTOM
from uchuu_core.lawbook.says import Listed, Says, listed
from uchuu_core.methods.equations import linear
from uchuu_core.methods.equations.board import Board, either
from uchuu_core.methods.equations.polynomials import (
    Coefficients,
    coefficients,
    divided_by_common,
    simplify_sides,
    tree_of,
    unknown_of,
    zero_on_one_side,
)
from uchuu_core.methods.equations.surds import RootOf, around, root_of
from uchuu_core.methods.method import BOARD, KEY, RIDES_ALONG
from uchuu_core.moves.laws.equations import moved_across
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Chain,
    Expr,
    Number,
    Outcome,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
    Symbol,
    Term,
)
from uchuu_core.tree.paths import letters

TWO = Number("2")


def is_square(value: Fraction) -> bool:
    """Return whether *value* is the square of a rational number."""
    if value < 0:
        return False
    return all(isqrt(n) ** 2 == n for n in (value.numerator, value.denominator))


def quadratic(board: Board) -> Coefficients:
    """Return the three coefficients of a quadratic equation, constant first.

    Raises:
        OutOfScope: it is none.
    """
    values = coefficients(board.relation, board.unknown)
    if len(values) != 3:
        raise OutOfScope("It is not quadratic.")
    return values


def discriminant(values: Coefficients) -> Fraction:
    """Return b² − 4ac."""
    c, b, a = values
    return b * b - 4 * a * c


def suits_completing(values: Coefficients) -> bool:
    """Return whether the leading coefficient is 1 and the middle one even."""
    _, b, a = values
    return abs(a) == 1 and b.denominator == 1 and int(b) % 2 == 0


# by square roots


def isolated(board: Board) -> tuple[Expr, Fraction, Fraction] | None:
    """Return S, a and v of an equation ``a·S² + … = …`` with S² = v, None where there is none.

    S is linear in the unknown; it is what stands squared, or the root of a perfect square.
    """
    line, unknown = board.relation, board.unknown
    values = coefficients(line, unknown)
    if len(values) != 3:
        return None
    c, b, a = values
    if b == 0:
        return Symbol(unknown), a, -c / a
    squared = [
        p.base
        for side in (line.left, line.right)
        for p in _squares(side)
        if unknown in letters(p.base)
    ]
    if len(squared) == 1:
        inner = coefficients(Relation(squared[0], "=", build.ZERO), unknown)
        if len(inner) == 2:
            scale = a / inner[1] ** 2
            if inner[0] * inner[1] * 2 * scale == b:
                return squared[0], scale, inner[0] ** 2 - c / scale
    return _perfect_square(board, values)


def _squares(side: Expr) -> list[Power]:
    """Return the squares among the terms of *side*, coefficients before them or not."""
    found = []
    for term in build.terms_of(side):
        body = term.body.numerator if isinstance(term.body, Quotient) else term.body
        factors = body.factors if isinstance(body, Product) else (body,)
        found += [f for f in factors if isinstance(f, Power) and f.exponent == TWO]
    return found


def _perfect_square(board: Board, values: Coefficients) -> tuple[Expr, Fraction, Fraction] | None:
    """Return the square that one side is, when the other is a number: 25w² + 20w + 4 = 3."""
    line, unknown = board.relation, board.unknown
    for side, other in ((line.left, line.right), (line.right, line.left)):
        if unknown in letters(other):
            continue
        inner = coefficients(Relation(side, "=", build.ZERO), unknown)
        if len(inner) == 3 and discriminant(inner) == 0 and other != build.ZERO:
            c, b, a = inner
            if a > 0 and is_square(a):
                root = root_of(a).factor
                found = tree_of((b / (2 * root), root), board)
                return (
                    found,
                    Fraction(1),
                    values[0] * -1 + c if side is line.left else values[0] + c,
                )
    return None


def by_square_roots(board: Board) -> None:
    """Isolate the square, take ± the root, simplify it, undo the rest.

    Raises:
        OutOfScope: the unknown does not stand in one square alone.
    """
    found = isolated(board)
    if found is None:
        raise OutOfScope("The unknown does not stand in one square alone.")
    inside, scale, value = found
    squared = Power(inside, TWO)
    line = board.relation
    if inside == Symbol(board.unknown):
        simplify_sides(board)
    elif not any(p.base == inside for side in (line.left, line.right) for p in _squares(side)):
        side, other = (line.left, line.right)
        if board.unknown in letters(other):
            side, other = other, side
        says = IS_SQUARE_OF(part=side, root=inside)
        board.equation(squared, other, says)
    _isolate(board, squared, scale, value)
    take_root(board, inside, value)


def _isolate(board: Board, squared: Expr, scale: Fraction, value: Fraction) -> None:
    """Write ``a·S² = …`` and ``S² = v``."""
    scaled = build.times(scale, squared)
    target = build.number(value * scale)
    if board.relation.right != target or board.relation.left != scaled:
        size = scaled if scale > 0 else build.times(-scale, squared)
        if scale < 0:
            scaled, target = build.times(-scale, squared), build.number(-value * scale)
        says = ISOLATE_SQUARE(size)
        board.equation(scaled, target, says)
    if abs(scale) != 1:
        is_share = scale.denominator != 1 and abs(scale.numerator) == 1
        says = MULTIPLY_BOTH_BY(1 / abs(scale)) if is_share else DIVIDE_BOTH_BY(abs(scale))
        board.equation(squared, build.number(value), says)


def take_root(board: Board, inside: Expr, value: Fraction) -> None:
    """Write the lines from ``S² = v``, S linear in the unknown, to the solutions."""
    if value < 0 and not board.numbers.is_complex:
        says = NO_REAL_SQUARE(build.number(value))
        board.write(Outcome("no solution"), says, KEY)
        return
    if value == 0:
        board.equation(inside, build.ZERO, ONLY_ZERO_SQUARED())
        board.follow(linear.undo(board.relation, board.unknown))
        return
    root = root_of(value)
    says = SQUARE_ROOT_OF_BOTH()
    raw = Root(2, build.number(value))
    board.equation(inside, Signed("+-", raw), says)
    said = ROOT_SIMPLIFIED(root=raw, simplified=root.tree)
    if root.is_imaginary:
        said = ROOT_SIMPLIFIED_I(root=raw, simplified=root.tree)
    board.equation(inside, Signed("+-", root.tree), said)
    if board.house.plus_minus == "split":
        solve_both(board, inside, root)
    else:
        solve_for_unknown(board, inside, root)


def solve_both(board: Board, inside: Expr, root: RootOf) -> None:
    """Write the lines from ``p·x + q = ±r`` to both solutions, two equations side by side from the beginning."""

    def both(left: Expr, center: Fraction, size: RootOf, says: Says, weight: int = BOARD) -> None:
        pair = [Relation(left, "=", around(center, size, sign)) for sign in ("+", "-")]
        board.write(either(list(pair)), says, weight)

    q, p = coefficients(Relation(inside, "=", build.ZERO), board.unknown)
    letter = unknown_of(board)
    both(inside, Fraction(0), root, SPLIT_PLUS_MINUS(), KEY)
    if q:
        both(build.times(p, letter), -q, root, moved_across(build.number(q)))
    if p != 1:
        both(letter, -q / p, root.over(p), DIVIDE_BOTH_BY(build.number(p)))


def solve_for_unknown(board: Board, inside: Expr, root: RootOf) -> None:
    """Write the lines from ``p·x + q = ±r`` to both solutions."""
    q, p = coefficients(Relation(inside, "=", build.ZERO), board.unknown)
    letter = unknown_of(board)
    if q:
        right = around(-q, root, "+-")
        says = moved_across(build.number(q))
        board.equation(build.times(p, letter), right, says)
    if p != 1:
        right = around(-q / p, root.over(p), "+-")
        says = DIVIDE_BOTH_BY(build.number(p))
        board.equation(letter, right, says)
    both_written(board, -q / p, root.over(p))


def both_written(board: Board, center: Fraction, root: RootOf) -> None:
    """Write both solutions out, unless the house leaves ± before a root."""
    if board.house.plus_minus == "kept" and not root.is_rational:
        return
    letter = unknown_of(board)
    pair = [Relation(letter, "=", around(center, root, sign)) for sign in ("+", "-")]
    says = WRITE_BOTH()
    board.write(either(list(pair)), says, KEY)


# by completing the square


def by_completing(board: Board) -> None:
    """Leading coefficient 1, constant across, half and square added, root taken.

    Raises:
        OutOfScope: it is not quadratic, or the square stands there alone.
    """
    c, b, a = quadratic(board)
    if b and isolated(board):
        raise OutOfScope("The square is complete already.")
    _gathered(board, (c, b, a))
    if a != 1:
        c, b = c / a, b / a
        says = DIVIDE_BY_LEADING_COEFFICIENT(build.number(a))
        right = board.relation.right
        left = (c, b, Fraction(1)) if right == build.ZERO else (Fraction(0), b, Fraction(1))
        value = build.ZERO if right == build.ZERO else build.number(-c)
        board.equation(tree_of(left, board), value, says)
    if board.relation.right != build.number(-c) or c:
        says = (ROOM_BY_SUBTRACTING if c > 0 else ROOM_BY_ADDING)(abs(c))
        left_tree = tree_of((Fraction(0), b, Fraction(1)), board)
        board.equation(left_tree, build.number(-c), says)
    half = b / 2
    if half:
        _complete(board, half, -c)
    take_root(board, tree_of((half, Fraction(1)), board), half * half - c)


def _gathered(board: Board, values: Coefficients) -> None:
    """Simplify both sides; unknown to the left, its constant may stay on either side."""
    c, b, a = values
    simplify_sides(board)
    line = board.relation
    right_free = board.unknown not in letters(line.right)
    left = coefficients(Relation(line.left, "=", build.ZERO), board.unknown)
    is_ready = right_free and (line.right == build.ZERO or left[0] == 0)
    if not is_ready:
        tree = tree_of((Fraction(0), b, a), board)
        says = NUMBER_TO_THE_OTHER_SIDE()
        board.equation(tree, build.number(-c), says)
    else:
        ordered = tree_of(left, board)
        board.equation(ordered, line.right, HIGHEST_POWER_FIRST(), RIDES_ALONG)


def _complete(board: Board, half: Fraction, right: Fraction) -> None:
    square = half * half
    written = build.number(square)
    if square.denominator != 1:
        unworked: Expr = Power(build.number(abs(half)), TWO)
    else:
        unworked = written
    left = build.add(board.relation.left, unworked)
    says = HALF_SQUARED(coefficient=build.number(half * 2), half=build.number(half), square=written)
    if right:
        board.equation(left, build.add(build.number(right), unworked), says)
    else:
        board.equation(left, unworked, says)
    squared = Power(tree_of((half, Fraction(1)), board), TWO)
    says = LEFT_SIDE_IS_SQUARE(squared.base)
    board.equation(squared, build.number(right + square), says)


# by the formula


def named(a: Expr, b: Expr, c: Expr) -> Listed:
    """Name the coefficients: ``a = 2, b = −3, c = 1``."""
    letters_of = zip("abc", (a, b, c), strict=True)
    return listed(
        (Relation(Symbol(name), "=", value) for name, value in letters_of), before_last=", "
    )


def by_formula(board: Board) -> None:
    """Zero on one side, a, b, c named, the discriminant on its own line, both solutions.

    Raises:
        OutOfScope: it is not quadratic.
    """
    quadratic(board)
    values = divided_by_common(board, zero_on_one_side(board))
    c, b, a = values
    under = discriminant(values)
    said = named(*(build.number(value) for value in (a, b, c)))
    if board.unknown != "D" and not board.is_branch:
        worked = Sum(
            (
                Term("+", Power(build.number(b), TWO)),
                Term("-", _times(Number("4"), build.number(a), build.number(c))),
            )
        )
        says = DISCRIMINANT_IS(named=said, value=build.number(under))
        board.aside(Chain((Symbol("D"), worked, build.number(under))), says)
    if under < 0 and not board.numbers.is_complex:
        says = DISCRIMINANT_NEGATIVE()
        board.write(Outcome("no solution"), says, KEY)
        return
    letter = unknown_of(board)
    raw = Sum((build.as_term(_opposite(b)), Term("+-", Root(2, build.number(under)))))
    below = _times(TWO, build.number(a))
    says = INTO_THE_FORMULA(said)
    board.equation(letter, Quotient(raw, below), says)
    root = root_of(under)
    if under == 0:
        says = DISCRIMINANT_ZERO()
        board.equation(letter, build.number(-b / (2 * a)), says, KEY)
        return
    whole = around(-b, root, "+-")
    raw_root = Root(2, build.number(under))
    says = SIGN_AND_BOTTOM()
    if root.tree != raw_root:
        says = ROOT_SIMPLIFIED(root=raw_root, simplified=root.tree)
    simplified = Quotient(whole, build.number(2 * a))
    board.equation(letter, simplified, says)
    if not root.is_rational:
        lowest = around(-b / (2 * a), root.over(2 * a), "+-")
        says = COMMON_OUT_OF_EVERY_TERM()
        board.equation(letter, lowest, says)
    both_written(board, -b / (2 * a), root.over(2 * a))


def _opposite(value: Fraction) -> Expr:
    """Write −b with b as it is: ``-(-5)``."""
    if value < 0:
        return Signed("-", build.number(value))
    return build.number(-value)


def _times(*factors: Expr) -> Expr:
    return Product(tuple(factors), ("*",) * (len(factors) - 1))  # type: ignore[arg-type]
