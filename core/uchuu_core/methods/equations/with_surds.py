"""Linear equations whose coefficients are roots, and equations between two absolute values."""

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.lawbook.linear import DIVIDE_BOTH_BY, FACTOR_LETTER_OUT, LETTER_ON_ONE_SIDE
from uchuu_core.lawbook.quadratics import OR_ITS_OPPOSITE
from uchuu_core.methods.equations.board import Board, is_solved
from uchuu_core.methods.equations.candidates import reject
from uchuu_core.methods.equations.finish import finish
from uchuu_core.methods.radicals import SIMPLIFY
from uchuu_core.methods.radicals import worked as radicals_worked
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Absolute,
    Either,
    Expr,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
    Symbol,
    Term,
)
from uchuu_core.tree.paths import letters, parts


def linear_with_surds(board: Board) -> None:
    """Collect the unknown, factor it out, divide, and rationalise.

    Raises:
        OutOfScope: no coefficient holds a root, or it is not linear.
    """
    line, unknown = board.relation, board.unknown
    if letters(line) != {unknown}:
        raise OutOfScope("It holds further letters.")
    if not any(isinstance(p, Root) for p in parts(line)):
        raise OutOfScope("No coefficient holds a root.")
    if any(isinstance(p, Root) and letters(p) for p in parts(line)):
        raise OutOfScope("The unknown stands under a root.")
    coefficients: list[Term] = []
    numbers: list[Term] = []
    for side, turned in ((line.left, False), (line.right, True)):
        for term in build.terms_of(side):
            sign = build.OPPOSITE[term.sign] if turned else term.sign
            if unknown not in letters(term.body):
                numbers.append(Term(build.OPPOSITE[sign], term.body))
                continue
            coefficients.append(Term(sign, _coefficient(term.body, unknown)))
    if not coefficients:
        raise OutOfScope("The unknown falls out of it.")
    if not any(isinstance(p, Root) for t in coefficients for p in parts(t.body)):
        raise OutOfScope("No coefficient holds a root.")
    letter = Symbol(unknown)
    with_letter = build.total(Term(t.sign, _multiple(t.body, letter)) for t in coefficients)
    right = build.total(numbers) if numbers else build.ZERO
    if not any(isinstance(p, Root) for p in parts(right)) and len(numbers) > 1:
        right = _number(right)
    board.equation(
        with_letter,
        right,
        LETTER_ON_ONE_SIDE(Symbol(unknown)),
    )
    factor = build.total(coefficients)
    if len(coefficients) > 1:
        board.equation(build.product((letter, factor)), right, FACTOR_LETTER_OUT(Symbol(unknown)))
    if factor == build.ONE:
        return
    value: Expr = Quotient(right, factor)
    board.equation(letter, value, DIVIDE_BOTH_BY(factor))
    for moment in radicals_worked(build.without_brackets(value), SIMPLIFY, False).moments:
        board.equation(letter, moment.line, moment.says, moment.weight)  # type: ignore[arg-type]


def _number(node: Expr) -> Expr:
    value = ring(()).function(node).constant()
    return node if value is None else build.number_of(value)


def _multiple(coefficient: Expr, letter: Expr) -> Expr:
    return letter if coefficient == build.ONE else build.product((coefficient, letter))


def _coefficient(node: Expr, unknown: str) -> Expr:
    """Return what multiplies the unknown in one term.

    Raises:
        OutOfScope: it is no multiple of it.
    """
    match node:
        case Symbol(name) if name == unknown:
            return build.ONE
        case Quotient(top, bottom, _) if unknown not in letters(bottom):
            return Quotient(_coefficient(top, unknown), bottom)
        case _:
            factors = build.factors_of(node)
            rest = [f for f in factors if f != Symbol(unknown)]
            if len(rest) != len(factors) - 1 or any(unknown in letters(f) for f in rest):
                raise OutOfScope("It is not linear in the unknown.")
            return build.product(rest)


def two_absolute_values(board: Board) -> None:
    """Solve |u| = v or |u| = |v|: u is v or its opposite; then every candidate is put in.

    Raises:
        OutOfScope: no absolute value stands alone on a side.
    """
    line, unknown = board.relation, board.unknown
    if letters(line) != {unknown}:
        raise OutOfScope("It holds further letters.")
    left, right = line.left, line.right
    if not isinstance(left, Absolute):
        left, right = right, left
    if not isinstance(left, Absolute) or unknown not in letters(right):
        raise OutOfScope("No absolute value stands alone, with the unknown on the other side.")
    other = right.body if isinstance(right, Absolute) else right
    if any(isinstance(p, Absolute) for p in parts(left.body)) or any(
        isinstance(p, Absolute) for p in parts(other)
    ):
        raise OutOfScope("An absolute value stands inside a sum.")
    opposite: Expr = Signed("-", other)
    if isinstance(other, Sum):
        opposite = Signed("-", other)
    says = OR_ITS_OPPOSITE(part=left.body, other=other)
    given = line
    board.write(
        Either((Relation(left.body, "=", other), Relation(left.body, "=", opposite))),
        says,
    )
    board.branches(_finished)
    if not isinstance(right, Absolute):
        reject(board, given)


def _finished(board: Board) -> None:
    if not is_solved(board.now, board.unknown):
        try:
            finish(board)
        except (NotRational, Undefined) as reason:
            raise OutOfScope("A branch is not solved.") from reason
