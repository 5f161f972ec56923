"""Formulas: the letter stands once, with powers, roots and fractions around it; the quadratic formula."""

from fractions import Fraction

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.finished import unmet_forms
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.lawbook.linear import (
    ALL_TERMS_ON_ONE_SIDE,
    DIVIDE_BOTH_BY,
    MULTIPLY_BOTH_BY,
    MULTIPLY_BOTH_BY_MINUS_ONE,
    MULTIPLY_THEN_DIVIDE,
    UNKNOWN_FIRST,
)
from uchuu_core.lawbook.quadratics import FORMULA_WITH, ROOT_OF_BOTH, ROOT_OF_BOTH_EITHER_SIGN
from uchuu_core.methods.equations.board import Board
from uchuu_core.methods.equations.quadratics import named
from uchuu_core.methods.equations.reverse import raised
from uchuu_core.methods.method import KEY, not_zero
from uchuu_core.methods.radicals import LARGEST, worked
from uchuu_core.methods.written import polynomial_tree, ring_of
from uchuu_core.moves.conditions import numeral
from uchuu_core.moves.laws.equations import moved_across
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Expr,
    Number,
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
from uchuu_core.tree.paths import letters, parts

_MOST_STEPS = 12


def _tidy(node: Expr) -> Expr:
    """Return a side without the unknown as one fraction in lowest terms, where it is one."""
    algebra = ring_of(node)
    try:
        value = algebra.lowest(algebra.function(node))
    except (NotRational, Undefined):
        return node
    common = 1
    for _, coefficient in value.numerator.terms():
        common = max(common, int(coefficient.q))
    top, bottom = value.numerator * common, value.denominator * common
    below = polynomial_tree(bottom, algebra)
    above = polynomial_tree(top, algebra)
    return above if below == build.ONE else Quotient(above, below)


def undo_formula(board: Board) -> None:
    """Undo what happens to the letter, in reverse order, with other letters beside it.

    Raises:
        OutOfScope: there are no further letters, or a step cannot be undone.
    """
    line = board.relation
    unknown = board.unknown
    if len(letters(line)) < 2:
        raise OutOfScope("It holds no further letters.")
    if sum(part == Symbol(unknown) for part in parts(line)) != 1:
        raise OutOfScope("The letter stands more than once.")
    if not any(
        isinstance(p, (Power, Root)) and unknown in letters(p) for p in parts(line)
    ) and not any(isinstance(p, Quotient) for p in parts(line)):
        raise OutOfScope("It is linear in the letter.")
    if unknown in letters(line.right):
        says = UNKNOWN_FIRST(Symbol(unknown))
        board.equation(line.right, line.left, says, 0)
    for _ in range(_MOST_STEPS):
        side, value = board.relation.left, board.relation.right
        if side == Symbol(unknown):
            _simplified(board, value)
            return
        _undone(board, side, value)
    raise OutOfScope("This takes too many steps.")


def _simplified(board: Board, value: Expr) -> None:
    """Bring a root that is left to simplest form.

    Raises:
        OutOfScope: it stays unfinished.
    """
    letter = board.relation.left
    is_both = isinstance(value, Signed) and value.sign == "+-"
    body = value.body if isinstance(value, Signed) and is_both else value
    if any(isinstance(part, Root) for part in parts(body)) and unmet_forms(
        board.now, "solve", (), board.unknown
    ):
        for moment in worked(body, LARGEST, False).moments:
            end = Signed("+-", moment.line) if is_both else moment.line  # type: ignore[arg-type]
            board.equation(letter, end, moment.says, moment.weight)  # type: ignore[arg-type]
    if unmet_forms(board.now, "solve", (), board.unknown):
        raise OutOfScope("What is left is not in simplest form.")


def _undone(board: Board, side: Expr, value: Expr) -> None:
    unknown = board.unknown
    match side:
        case Sum(terms):
            rest = build.total(t for t in terms if unknown not in letters(t.body))
            (kept,) = [t for t in terms if unknown in letters(t.body)]
            opposite = build.total(
                Term(build.OPPOSITE[t.sign], t.body) for t in build.terms_of(rest)
            )
            says = moved_across(rest)
            board.equation(build.total((kept,)), build.add(value, opposite), says)
        case Signed("-", body):
            board.equation(
                body,
                _tidy(build.negative(value)),
                MULTIPLY_BOTH_BY_MINUS_ONE(),
            )
        case Product(factors, _):
            _divided(board, factors, value)
        case Quotient(top, bottom, _) if unknown in letters(top):
            says = MULTIPLY_BOTH_BY(bottom)
            board.equation(top, _tidy(build.product((bottom, value))), says)
        case Quotient(top, bottom, _):
            says = MULTIPLY_THEN_DIVIDE(factor=bottom, divisor=value)
            board.equation(bottom, _tidy(Quotient(top, value)), says)
        case Root(index, radicand):
            says = raised(index)
            power = Power(value, Number(str(index)))
            board.equation(radicand, _tidy(power), says)
        case Power(base, Number() as exponent) if exponent.is_whole and int(exponent.text) > 1:
            index = int(exponent.text)
            root: Expr = Root(index, value)
            if index % 2 == 0:
                root = Signed("+-", root)
            says = ROOT_OF_BOTH() if index % 2 else ROOT_OF_BOTH_EITHER_SIGN()
            board.equation(base, root, says)
        case _:
            raise OutOfScope("This step cannot be undone.")


def _divided(board: Board, factors: tuple[Expr, ...], value: Expr) -> None:
    unknown = board.unknown
    inside = build.product(f for f in factors if unknown in letters(f))
    outside = [f for f in factors if unknown not in letters(f)]
    fractions = [f for f in outside if isinstance(f, Quotient)]
    if fractions:
        below = build.product(f.denominator for f in fractions)
        above: list[Expr] = [f for f in outside if not isinstance(f, Quotient)]
        above += [f.numerator for f in fractions if f.numerator != build.ONE]
        says = MULTIPLY_BOTH_BY(below)
        left = build.product([*above, *build.factors_of(inside)])
        board.equation(left, _tidy(build.product((below, value))), says)
        return
    divisor = build.product(outside)
    says = DIVIDE_BOTH_BY(divisor)
    condition = not_zero(divisor) if letters(divisor) - {"π"} else ""
    board.write(
        Relation(inside, "=", _tidy(Quotient(value, divisor))),
        says,
        condition=condition,
    )


def literal_quadratic(board: Board) -> None:
    """Solve a·x² + b·x + c = 0 with letters for a, b, c by the formula.

    Raises:
        OutOfScope: it is no such equation.
    """
    line = board.relation
    unknown = board.unknown
    names = [name for name in ring_of(line).names if name != unknown]
    if not names:
        raise OutOfScope("It holds no further letters.")
    algebra = ring((*names, unknown))
    try:
        zero = algebra.function(line.left).minus(algebra.function(line.right))
    except (NotRational, Undefined) as reason:
        raise OutOfScope("It holds roots, or letters in exponents.") from reason
    if not zero.denominator.is_constant():
        raise OutOfScope("The letter stands below a bar.")
    place = algebra.names.index(unknown)
    found = [algebra.one * 0 for _ in range(3)]
    for degrees, coefficient in zero.numerator.terms():
        degree = int(degrees[place])
        if degree > 2:
            raise OutOfScope("It is not quadratic in the letter.")
        term = algebra.one * coefficient
        for name, power in zip(algebra.names, degrees, strict=True):
            if name != unknown:
                term *= algebra.letter(name) ** int(power)
        found[degree] += term
    c, b, a = (polynomial_tree(part, algebra) for part in found)
    if a == build.ZERO or b == build.ZERO:
        raise OutOfScope("It has no middle term, or is not quadratic.")
    if line.right != build.ZERO:
        left = polynomial_tree(zero.numerator, algebra)
        board.equation(left, build.ZERO, ALL_TERMS_ON_ONE_SIDE())
    if numeral(a) is not None and numeral(a) < 0:  # type: ignore[operator]
        a, b, c = (polynomial_tree(-part, algebra) for part in reversed(found))
    whole = Sum((Term("+", Power(b, Number("2"))), Term("-", build.product((Number("4"), a, c)))))
    inside = polynomial_tree(algebra.function(whole).numerator, algebra)
    below = build.times(Fraction(2), a) if numeral(a) is None else build.number(2 * numeral(a))  # type: ignore[operator]
    top = Sum((build.as_term(build.negative(b)), Term("+-", Root(2, inside))))
    condition = not_zero(a) if letters(a) else ""
    says = FORMULA_WITH(named(a, b, c))
    end = Relation(Symbol(unknown), "=", Quotient(top, below))
    if unmet_forms(end, "solve", (), unknown):
        raise OutOfScope("Its root is not in simplest form: divide or factor first.")
    board.write(end, says, KEY, condition)
