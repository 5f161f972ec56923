"""Exponential equations: both sides as powers of one base, or a repeated power factored out."""

from functools import reduce
from operator import mul
from typing import Any

from uchuu_core.failures import OutOfScope
from uchuu_core.lawbook.equations import (
    EXPONENTS_ARE_EQUAL,
)
from uchuu_core.lawbook.exponents import (
    EQUAL_EXPONENTS,
    SIDES_AS_POWERS_OF,
)
from uchuu_core.lawbook.numbers import DECIMALS_AS_FRACTIONS
from uchuu_core.methods.equations.board import Board, is_solved
from uchuu_core.methods.equations.finish import finish
from uchuu_core.methods.equations.one_base import NOT_ONE, equate_exponents, is_exponential
from uchuu_core.methods.equations.power_sums import by_powers
from uchuu_core.methods.order_of_operations import fractions_for_decimals
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Expr,
    Line,
    Number,
    Power,
    Product,
    Relation,
    Sum,
    Symbol,
)
from uchuu_core.tree.paths import children, letters, parts, rebuild


def by_same_base(board: Board) -> None:
    """Work an exponential equation.

    Raises:
        OutOfScope: it is none, or its numbers do not meet in one base.
    """
    line = board.relation
    if letters(line) == {board.unknown, "e"}:
        _with_e(board)
        return
    if letters(line) != {board.unknown}:
        raise OutOfScope("It holds further letters.")
    joined = rebuild(line, lambda part: _one_exponent(part, board.unknown))
    board.write(joined, EQUAL_EXPONENTS())
    line = board.relation
    if not any(is_exponential(p, board.unknown) for p in parts(line)):
        raise OutOfScope("The unknown stands in no exponent.")
    if board.unknown in letters(_without_exponentials(line, board.unknown)):
        raise OutOfScope("The unknown stands outside exponents too.")
    fractions = fractions_for_decimals(line)
    board.write(fractions, DECIMALS_AS_FRACTIONS())
    sides = (board.relation.left, board.relation.right)
    if any(isinstance(p, Sum) for side in sides for p in _outside_exponents(side)):
        by_powers(board)
    else:
        equate_exponents(board)


def _one_exponent(part: Any, unknown: str) -> Any:
    """Write ``2^x·3^x`` as ``6^x``."""
    if not isinstance(part, Product):
        return part
    powers = [f for f in part.factors if isinstance(f, Power) and isinstance(f.base, Number)]
    exponents = {f.exponent for f in powers}
    if len(powers) < 2 or len(exponents) != 1 or unknown not in letters(powers[0].exponent):
        return part
    values = [f.base.value for f in powers if isinstance(f.base, Number)]
    base = build.number(reduce(mul, values))
    return build.product(
        [*(f for f in part.factors if f not in powers), Power(base, powers[0].exponent)]
    )


def _with_e(board: Board) -> None:
    """Solve e^u = e^v, where 1 is e^0."""
    base = Symbol("e")
    exponents: list[Expr] = []
    for side in (board.relation.left, board.relation.right):
        match side:
            case Power(Symbol("e"), exponent):
                exponents.append(exponent)
            case Symbol("e"):
                exponents.append(build.ONE)
            case Number("1"):
                exponents.append(build.ZERO)
            case _:
                raise OutOfScope(NOT_ONE)
    powers = [Power(base, exponent) for exponent in exponents]
    board.equation(powers[0], powers[1], SIDES_AS_POWERS_OF(Symbol("e")))
    says = EXPONENTS_ARE_EQUAL()
    board.equation(exponents[0], exponents[1], says)
    if not is_solved(board.now, board.unknown):
        finish(board)


def _without_exponentials(line: Relation, unknown: str) -> Line:
    def change(part: Any) -> Any:
        return build.ONE if is_exponential(part, unknown) else part

    return rebuild(line, change)  # type: ignore[no-any-return]


def _outside_exponents(node: Expr) -> list[Expr]:
    found: list[Any] = [node]
    rest: list[Any] = [node]
    while rest:
        part = rest.pop()
        inner = [part.base] if isinstance(part, Power) else list(children(part))
        found += inner
        rest += inner
    return found
