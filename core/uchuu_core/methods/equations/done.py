"""What happens to the unknown, one thing after another: said before it is undone from the end."""

from dataclasses import replace

from uchuu_core.lawbook.done_to_it import (
    ABSOLUTE_OF_IT,
    ADD_IT,
    DIVIDE_IT,
    DIVIDED_INTO,
    OPPOSITE_OF_IT,
    RAISE_IT,
    ROOT_OF_IT,
    SQUARE_IT,
    SQUARE_ROOT_OF_IT,
    SUBTRACT_IT,
    SUBTRACTED_FROM,
    TIMES_IT,
)
from uchuu_core.lawbook.equations import WHAT_IS_DONE
from uchuu_core.lawbook.says import Says, listed
from uchuu_core.methods.equations.board import Board
from uchuu_core.notation import index_name
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Absolute,
    Bracket,
    Expr,
    Number,
    Power,
    Product,
    Quotient,
    Root,
    Signed,
    Sum,
    Symbol,
)
from uchuu_core.tree.paths import letters


def tell_what_is_done(board: Board, around: list[Expr]) -> None:
    """Say at the first line what happens to the unknown, in order: it is undone from the end."""
    steps = [part for part in reversed(around) if not isinstance(part, (Symbol, Bracket))]
    said = [_done(part, board.unknown) for part in steps]
    done = [what for what in said if what is not None]
    if len(done) < max(2, len(said)) or not board.moments:
        return
    first = board.moments[0]
    says = WHAT_IS_DONE(unknown=Symbol(board.unknown), steps=listed(done, before_last=", "))
    board.moments[0] = replace(first, says=says + first.says)


def _done(part: Expr, unknown: str) -> Says | None:
    """Say what *part* does to the one of its parts that holds the unknown."""
    match part:
        case Sum(terms):
            rest = [t for t in terms if unknown not in letters(t.body)]
            inside = next(t for t in terms if unknown in letters(t.body))
            if len(rest) != 1:
                return None
            if inside.sign == "-":
                return SUBTRACTED_FROM(build.total(rest))
            return (SUBTRACT_IT if rest[0].sign == "-" else ADD_IT)(rest[0].body)
        case Product(factors, _):
            return TIMES_IT(build.product(f for f in factors if unknown not in letters(f)))
        case Quotient(top, bottom, _) if unknown in letters(top):
            return DIVIDE_IT(bottom)
        case Quotient(top, _, _):
            return DIVIDED_INTO(top)
        case Power(_, Number("2")):
            return SQUARE_IT()
        case Power(_, exponent):
            return RAISE_IT(exponent)
        case Root(2, _):
            return SQUARE_ROOT_OF_IT()
        case Root(index, _):
            return ROOT_OF_IT(index_name(index))
        case Signed("-", _):
            return OPPOSITE_OF_IT()
        case Absolute():
            return ABSOLUTE_OF_IT()
        case _:
            return None
