"""Write both sides as powers of one base, and set the exponents equal."""

from fractions import Fraction

from uchuu_core.failures import OutOfScope
from uchuu_core.lawbook.equations import (
    EXPONENTS_ARE_EQUAL,
    POWER_ALWAYS_POSITIVE,
)
from uchuu_core.lawbook.exponents import (
    ADD_OR_SUBTRACT_EXPONENTS,
    EXPONENTS_AS_WHOLES,
    SIDES_AS_POWERS_OF,
)
from uchuu_core.lawbook.linear import DIVIDE_BOTH_BY
from uchuu_core.methods.bases import common_base
from uchuu_core.methods.distribution import Distribution
from uchuu_core.methods.equations.board import Board
from uchuu_core.methods.equations.finish import finish
from uchuu_core.methods.exponents import in_base, numbers_in
from uchuu_core.methods.method import KEY
from uchuu_core.methods.powers import Exponents, powers_of
from uchuu_core.moves.conditions import numeral
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Expr,
    Line,
    Number,
    Outcome,
    Power,
)
from uchuu_core.tree.paths import letters

NOT_ONE = "Its numbers are not powers of one base; this takes logarithms, which are not worked."


def is_exponential(node: Line, unknown: str) -> bool:
    """Tell whether a part is a power with the unknown in its exponent."""
    return isinstance(node, Power) and unknown in letters(node.exponent)


def equate_exponents(board: Board) -> None:
    """Work an equation of two products of powers.

    Raises:
        OutOfScope: the numbers are not powers of one base.
    """
    line = board.relation
    for side, other in ((line.left, line.right), (line.right, line.left)):
        value = numeral(other)
        if value is not None and value <= 0 and board.unknown in letters(side):
            says = POWER_ALWAYS_POSITIVE()
            board.write(Outcome("no solution"), says, KEY)
            return
    numbers = [*numbers_in(line.left), *numbers_in(line.right)]
    base = common_base(numbers)
    if base is None:
        _coefficient_away(board)
        line = board.relation
        base = common_base([*numbers_in(line.left), *numbers_in(line.right)])
    if base is None:
        raise OutOfScope(NOT_ONE)
    says = SIDES_AS_POWERS_OF(base.tree)
    written = [
        Power(base.tree, build.ZERO) if side == build.ONE else in_base(side, base)
        for side in (line.left, line.right)
    ]
    board.equation(written[0], written[1], says)
    exponents = Exponents(board.algebra)
    sides = []
    apart = [Distribution(exponents) for _ in range(2)]
    for way, side in zip(apart, (board.relation.left, board.relation.right), strict=True):
        sides.append(side if side == Power(base.tree, build.ZERO) else way.of(side))
    says = EXPONENTS_AS_WHOLES()
    board.equation(sides[0], sides[1], says)
    found = []
    for side in sides:
        powers = powers_of(side, exponents)
        total = exponents.algebra.one * 0
        for number, exponent in (*powers.above, *((b, -e) for b, e in powers.below)):
            if number == base.tree:
                total += exponent
            elif number != build.ONE:
                raise OutOfScope(NOT_ONE)
        if powers.sign < 0:
            raise OutOfScope(NOT_ONE)
        found.append(total)
    trees = [Power(base.tree, exponents.tree(total)) for total in found]
    says = ADD_OR_SUBTRACT_EXPONENTS()
    if [_plain(tree) for tree in trees] != sides:
        board.equation(trees[0], trees[1], says)
    says = EXPONENTS_ARE_EQUAL()
    board.equation(exponents.tree(found[0]), exponents.tree(found[1]), says)
    finish(board)


def _plain(power: Power) -> Expr:
    """Return b¹ as b."""
    return power.base if power.exponent == build.ONE else power


def _coefficient_away(board: Board) -> None:
    """Divide ``c·N^… = d`` by c."""
    exponents = Exponents(board.algebra)
    line = board.relation
    left, right = powers_of(line.left, exponents), powers_of(line.right, exponents)
    plain = [f for f in left.above if exponents.number(f[1]) is not None]
    if len(left.above) - len(plain) != 1 or left.below or board.unknown in letters(line.right):
        raise OutOfScope(NOT_ONE)
    value = numeral(line.right)
    scale = Fraction(left.sign)
    for base, exponent in plain:
        power = exponents.number(exponent)
        if not isinstance(base, Number) or power is None or power.denominator != 1:
            raise OutOfScope(NOT_ONE)
        scale *= base.value**power.numerator
    if value is None or right.below:
        raise OutOfScope(NOT_ONE)
    (power_left,) = [f for f in left.above if exponents.number(f[1]) is None]
    says = DIVIDE_BOTH_BY(build.number(scale))
    tree = exponents.power(*power_left)
    board.equation(tree, build.number(value / scale), says)
