"""Quadratic equations: by square roots, by completing the square, by the formula."""

from fractions import Fraction
from math import isqrt

from uchuu_core.failures import OutOfScope
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
from uchuu_core.methods.method import KEY, RIDES_ALONG, shown
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
        says = f"{shown(side)} is the square of {shown(inside)}."
        board.equation(squared, other, "perfect-square", says)
    _isolate(board, squared, scale, value)
    take_root(board, inside, value)


def _isolate(board: Board, squared: Expr, scale: Fraction, value: Fraction) -> None:
    """Write ``a·S² = …`` and ``S² = v``."""
    scaled = build.times(scale, squared)
    target = build.number(value * scale)
    if board.relation.right != target or board.relation.left != scaled:
        size = shown(scaled if scale > 0 else build.times(-scale, squared))
        if scale < 0:
            scaled, target = build.times(-scale, squared), build.number(-value * scale)
        says = f"Isolate the square: {size} alone on one side."
        board.equation(scaled, target, "isolate-the-square", says)
    if abs(scale) != 1:
        by = build.number(abs(scale))
        verb, number = "Divide", shown(by)
        if scale.denominator != 1 and abs(scale.numerator) == 1:
            verb, number = "Multiply", str(scale.denominator)
        says = f"{verb} both sides by {number}."
        board.equation(squared, build.number(value), "divide-both-sides", says)


def take_root(board: Board, inside: Expr, value: Fraction) -> None:
    """Write the lines from ``S² = v``, S linear in the unknown, to the solutions."""
    if value < 0 and not board.numbers.is_complex:
        says = f"A square is never negative: no real number solves it ({shown(build.number(value))} < 0)."
        board.write(Outcome("no solution"), "square-never-negative", says, KEY)
        return
    if value == 0:
        board.equation(inside, build.ZERO, "root-both-sides", "Only 0 has the square 0.")
        board.follow(linear.undo(board.relation, board.unknown))
        return
    root = root_of(value)
    says = "Take the square root of both sides: ±, since two numbers have this square."
    raw = Root(2, build.number(value))
    board.equation(inside, Signed("+-", raw), "root-both-sides", says)
    said = f"{shown(raw)} = {shown(root.tree)}."
    if root.is_imaginary:
        said = f"{shown(raw)} = {shown(root.tree)}, since i² = −1."
    board.equation(inside, Signed("+-", root.tree), "simplify-root", said)
    solve_for_unknown(board, inside, root)


def solve_for_unknown(board: Board, inside: Expr, root: RootOf) -> None:
    """Write the lines from ``p·x + q = ±r`` to both solutions."""
    q, p = coefficients(Relation(inside, "=", build.ZERO), board.unknown)
    letter = unknown_of(board)
    if q:
        verb = "Subtract" if q > 0 else "Add"
        right = around(-q, root, "+-")
        says = f"{verb} {shown(build.number(abs(q)))} on both sides."
        board.equation(build.times(p, letter), right, "subtract-on-both-sides", says)
    if p != 1:
        right = around(-q / p, root.over(p), "+-")
        says = f"Divide both sides by {shown(build.number(p))}."
        board.equation(letter, right, "divide-both-sides", says)
    both_written(board, -q / p, root.over(p))


def both_written(board: Board, center: Fraction, root: RootOf) -> None:
    """Write both solutions out."""
    letter = unknown_of(board)
    pair = [Relation(letter, "=", around(center, root, sign)) for sign in ("+", "-")]
    says = "Write both solutions out."
    board.write(either(list(pair)), "both-solutions", says, KEY)


# by completing the square


def by_completing(board: Board) -> None:
    """Leading coefficient 1, constant across, half and square added, root taken.

    Raises:
        OutOfScope: it is not quadratic.
    """
    c, b, a = quadratic(board)
    _gathered(board, (c, b, a))
    if a != 1:
        c, b = c / a, b / a
        says = f"Divide every term by the leading coefficient, {shown(build.number(a))}."
        right = board.relation.right
        left = (c, b, Fraction(1)) if right == build.ZERO else (Fraction(0), b, Fraction(1))
        value = build.ZERO if right == build.ZERO else build.number(-c)
        board.equation(tree_of(left, board), value, "divide-both-sides", says)
    if board.relation.right != build.number(-c) or c:
        verb = "Subtract" if c > 0 else "Add"
        says = f"{verb} {shown(build.number(abs(c)))} on both sides: a gap for the square."
        left_tree = tree_of((Fraction(0), b, Fraction(1)), board)
        board.equation(left_tree, build.number(-c), "constant-across", says)
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
        says = "Terms with the unknown on one side, the number on the other."
        board.equation(tree, build.number(-c), "constant-across", says)
    else:
        ordered = tree_of(left, board)
        board.equation(
            ordered, line.right, "collect-like-terms", "Highest power first.", RIDES_ALONG
        )


def _complete(board: Board, half: Fraction, right: Fraction) -> None:
    square = half * half
    written = build.number(square)
    if square.denominator != 1:
        unworked: Expr = Power(build.number(abs(half)), TWO)
    else:
        unworked = written
    left = build.add(board.relation.left, unworked)
    says = (
        f"Half of {shown(build.number(half * 2))} is {shown(build.number(half))}, "
        f"its square is {shown(written)}: add {shown(written)} to both sides."
    )
    if right:
        board.equation(left, build.add(build.number(right), unworked), "complete-the-square", says)
    else:
        board.equation(left, unworked, "complete-the-square", says)
    squared = Power(tree_of((half, Fraction(1)), board), TWO)
    says = f"The left side is the square of {shown(squared.base)}."
    board.equation(squared, build.number(right + square), "perfect-square", says)


# by the formula


def by_formula(board: Board) -> None:
    """Zero on one side, a, b, c named, the discriminant on its own line, both solutions.

    Raises:
        OutOfScope: it is not quadratic.
    """
    quadratic(board)
    values = divided_by_common(board, zero_on_one_side(board))
    c, b, a = values
    under = discriminant(values)
    named = ", ".join(
        f"{name} = {shown(build.number(value))}" for name, value in (("a", a), ("b", b), ("c", c))
    )
    if board.unknown != "D" and not board.is_branch:
        worked = Sum(
            (
                Term("+", Power(build.number(b), TWO)),
                Term("-", _times(Number("4"), build.number(a), build.number(c))),
            )
        )
        says = f"{named}: the discriminant b² − 4ac is {shown(build.number(under))}."
        board.aside(Chain((Symbol("D"), worked, build.number(under))), "discriminant", says)
    if under < 0 and not board.numbers.is_complex:
        says = "The discriminant is negative: no real number solves it."
        board.write(Outcome("no solution"), "discriminant", says, KEY)
        return
    letter = unknown_of(board)
    raw = Sum((build.as_term(_opposite(b)), Term("+-", Root(2, build.number(under)))))
    below = _times(TWO, build.number(a))
    says = f"Put {named} into (−b ± √(b² − 4ac))/(2a)."
    board.equation(letter, Quotient(raw, below), "quadratic-formula", says)
    root = root_of(under)
    if under == 0:
        says = "The discriminant is 0: one solution."
        board.equation(letter, build.number(-b / (2 * a)), "quadratic-formula", says, KEY)
        return
    whole = around(-b, root, "+-")
    raw_root = Root(2, build.number(under))
    says = "Work out the sign and the bottom."
    if root.tree != raw_root:
        says = f"{shown(raw_root)} = {shown(root.tree)}."
    simplified = Quotient(whole, build.number(2 * a))
    board.equation(letter, simplified, "simplify-root", says)
    if not root.is_rational:
        lowest = around(-b / (2 * a), root.over(2 * a), "+-")
        says = "Divide the common factor out of every term."
        board.equation(letter, lowest, "divide-out", says)
    both_written(board, -b / (2 * a), root.over(2 * a))


def _opposite(value: Fraction) -> Expr:
    """Write −b with b as it is: ``-(-5)``."""
    if value < 0:
        return Signed("-", build.number(value))
    return build.number(-value)


def _times(*factors: Expr) -> Expr:
    return Product(tuple(factors), ("*",) * (len(factors) - 1))  # type: ignore[arg-type]
