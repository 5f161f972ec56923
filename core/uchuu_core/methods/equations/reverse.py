"""The unknown stands once: undo what happens to it, last thing first, powers and roots too."""

from fractions import Fraction
from math import gcd, prod

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.finished import unmet_forms
from uchuu_core.kernel.finished_roots import has_root_below
from uchuu_core.lawbook.equations import (
    CUBE_BOTH,
    EVEN_ROOT_NEVER_NEGATIVE,
    OVER_WHAT,
    RAISE_BOTH,
    RAISE_BOTH_PLUS_MINUS,
    SQUARE_BOTH,
    SQUARE_BOTH_WHOLES,
    TURN_BOTH_OVER,
)
from uchuu_core.lawbook.linear import (
    DIVIDE_BOTH_BY,
    MULTIPLY_BOTH_BY,
    MULTIPLY_BOTH_BY_MINUS_ONE,
    UNKNOWN_FIRST,
)
from uchuu_core.lawbook.quadratics import (
    ABSOLUTE_NEVER_NEGATIVE,
    EVEN_POWER_NEVER_NEGATIVE,
    ONE_OVER_NEVER_ZERO,
    ONLY_ZERO_ABSOLUTE,
    ONLY_ZERO_POWER,
    ROOT_OF_BOTH_EITHER_SIGN,
    ROOT_OF_BOTH_ONE,
    ROOT_OF_BOTH_PLUS_MINUS,
    TWO_NUMBERS,
    WRITE_BOTH,
)
from uchuu_core.lawbook.says import Says
from uchuu_core.limits import ROOT_INDEX
from uchuu_core.methods.bases import prime_exponents
from uchuu_core.methods.equations.board import Board, either, is_solved
from uchuu_core.methods.equations.candidates import reject
from uchuu_core.methods.equations.done import tell_what_is_done
from uchuu_core.methods.equations.polynomials import coefficients
from uchuu_core.methods.equations.quadratics import take_root
from uchuu_core.methods.method import KEY
from uchuu_core.methods.order_of_operations import exact_root
from uchuu_core.methods.radicals import SIMPLIFY, worked
from uchuu_core.methods.roots import power_part
from uchuu_core.moves.conditions import numeral
from uchuu_core.moves.laws.equations import moved_across
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.notation import index_name
from uchuu_core.tree import build
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import (
    Absolute,
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
)
from uchuu_core.tree.paths import letters, parts

MOST_STEPS = 30


def reverse_order(board: Board) -> None:
    """Undo what happens to the unknown, last thing first.

    Raises:
        OutOfScope: the unknown does not stand once, or a step cannot be undone.
    """
    given = board.relation
    if sum(part == Symbol(board.unknown) for part in parts(given)) != 1:
        raise OutOfScope("The unknown stands more than once; collect it first.")
    side = given.left if board.unknown in letters(given.left) else given.right
    around = _around(side, board.unknown)
    if board.unknown in letters(given.right):
        says = UNKNOWN_FIRST(Symbol(board.unknown))
        board.equation(given.right, given.left, says, 0)
    undo(board)
    tell_what_is_done(board, around)
    _rationalised(board)
    if unmet_forms(board.now, "solve", (), board.unknown):
        raise OutOfScope("Simplify the sides first.")
    if any(isinstance(p, Root) and p.index % 2 == 0 for p in around):
        reject(board, given)


def _rationalised(board: Board) -> None:
    """Take a root out of the denominator of a number that is left."""
    if not is_solved(board.now, board.unknown):
        return
    value = board.relation.right
    if letters(value) or not any(has_root_below(part) for part in parts(value)):
        return
    for moment in worked(without_brackets(value), SIMPLIFY, False).moments:
        board.equation(board.relation.left, moment.line, moment.says, moment.weight)  # type: ignore[arg-type]


def _around(side: Expr, unknown: str) -> list[Expr]:
    """Return the parts of *side* that hold the unknown."""
    return [p for p in parts(side) if unknown in letters(p)]


def undo(board: Board) -> None:
    """Undo step by step until the unknown is alone.

    Raises:
        OutOfScope: a step cannot be undone.
    """
    for _ in range(MOST_STEPS):
        if isinstance(board.now, Outcome) or is_solved(board.now, board.unknown):
            return
        line = board.relation
        side, value = line.left, line.right
        match side:
            case Power(base, exponent):
                _undo_power(board, base, exponent, value)
                return
            case Absolute(body):
                _undo_absolute(board, body, value)
                return
            case _:
                _undo_one(board, side, value)
    raise OutOfScope("This takes too many steps.")


def _undo_one(board: Board, side: Expr, value: Expr) -> None:
    unknown = board.unknown
    match side:
        case Sum(terms):
            rest = [t for t in terms if unknown not in letters(t.body)]
            (kept,) = [t for t in terms if unknown in letters(t.body)]
            says = moved_across(build.total(rest))
            opposite = build.total(type(t)(build.OPPOSITE[t.sign], t.body) for t in rest)
            board.equation(build.total((kept,)), added(value, opposite), says)
        case Signed("-", body):
            says = MULTIPLY_BOTH_BY_MINUS_ONE()
            board.equation(body, times(value, Fraction(-1)), says)
        case Product(factors, _):
            inside = [f for f in factors if unknown in letters(f)]
            outside = build.product(f for f in factors if unknown not in letters(f))
            says = DIVIDE_BOTH_BY(outside)
            board.equation(build.product(inside), over(value, outside), says)
        case Quotient(top, bottom, _) if unknown in letters(top):
            says = MULTIPLY_BOTH_BY(bottom)
            board.equation(top, by(value, bottom), says)
        case Quotient(top, bottom, _):
            if isinstance(value, Sum):
                raise OutOfScope("A sum would come below the bar: clear the denominators first.")
            says = OVER_WHAT(top=top, value=value)
            board.equation(bottom, over(top, value), says)
        case Root(index, radicand):
            _undo_root(board, index, radicand, value)
        case _:
            raise OutOfScope("This step cannot be undone.")


def added(value: Expr, more: Expr) -> Expr:
    """Return the sum, worked out for plain numbers."""
    a, b = numeral(value), numeral(more)
    return build.number(a + b) if a is not None and b is not None else build.add(value, more)


def times(value: Expr, factor: Fraction) -> Expr:
    """Return a number times *value*, term by term."""
    a = numeral(value)
    if a is not None:
        return build.number(a * factor)
    if factor == -1 and isinstance(value, Sum):
        return build.total(type(t)(build.OPPOSITE[t.sign], t.body) for t in value.terms)
    return build.times(factor, value)


def by(value: Expr, factor: Expr) -> Expr:
    """Return the product, worked out for plain numbers."""
    a, b = numeral(value), numeral(factor)
    if b is not None:
        return build.number(a * b) if a is not None else build.times(b, value)
    return build.product((factor, value)) if value != build.ONE else factor


def over(value: Expr, divisor: Expr) -> Expr:
    """Return the quotient, worked out for plain numbers.

    Raises:
        OutOfScope: it divides by zero.
    """
    a, b = numeral(value), numeral(divisor)
    if b == 0:
        raise OutOfScope("It would divide by zero.")
    if b is not None:
        return build.number(a / b) if a is not None else build.times(1 / b, value)
    return Quotient(value, divisor)


def _undo_root(board: Board, index: int, radicand: Expr, value: Expr) -> None:
    number = numeral(value)
    if index % 2 == 0 and number is not None and number < 0:
        says = EVEN_ROOT_NEVER_NEGATIVE()
        board.write(Outcome("no solution"), says, KEY)
        return
    power = build.number(number**index) if number is not None else Power(value, Number(str(index)))
    board.equation(radicand, power, raised(index))


def raised(index: int, *, as_wholes: bool = False) -> Says:
    """Say to what power both sides are raised."""
    if index == 2:
        return SQUARE_BOTH_WHOLES() if as_wholes else SQUARE_BOTH()
    return CUBE_BOTH() if index == 3 else RAISE_BOTH(index)


def _undo_power(board: Board, base: Expr, exponent: Expr, value: Expr) -> None:
    power, number = numeral(exponent), numeral(value)
    if power is not None and power < 0 and number is not None:
        if number == 0:
            says = ONE_OVER_NEVER_ZERO()
            board.write(Outcome("no solution"), says, KEY)
            return
        says = TURN_BOTH_OVER()
        turned = base if power == -1 else Power(base, build.number(-power))
        board.equation(turned, build.number(1 / number), says)
        undo(board)
        return
    if board.numbers.is_complex and power not in (1, 2):
        raise OutOfScope("Over the complex numbers it has further roots: factor it.")
    if power is None or power <= 0 or max(power.numerator, power.denominator) > ROOT_INDEX:
        raise OutOfScope("This exponent is not undone yet.")
    if power.denominator != 1:
        _undo_fraction(board, base, power, number)
        return
    index = power.numerator
    if index % 2:
        root = _root_text(value, index)
        says = ROOT_OF_BOTH_ONE(index_name(index))
        board.equation(base, root, says)
        undo(board)
        return
    if number is None:
        says = ROOT_OF_BOTH_EITHER_SIGN()
        board.equation(base, Signed("+-", _root_text(value, index)), says)
        _split(board, base)
        return
    if index == 2 and _is_linear(base, board):
        take_root(board, base, number)
        return
    if number < 0:
        says = EVEN_POWER_NEVER_NEGATIVE()
        board.write(Outcome("no solution"), says, KEY)
        return
    root = _root_text(value, index)
    says = ROOT_OF_BOTH_PLUS_MINUS(index_name(index))
    if number == 0:
        board.equation(base, build.ZERO, ONLY_ZERO_POWER())
        undo(board)
        return
    pair = [Relation(base, "=", side) for side in (root, build.negative(root))]
    board.write(either(list(pair)), says)
    board.branches(undo)


def _split(board: Board, base: Expr) -> None:
    value = board.relation.right
    assert isinstance(value, Signed)
    pair = [Relation(base, "=", side) for side in (value.body, build.negative(value.body))]
    board.write(either(list(pair)), WRITE_BOTH(), KEY)
    board.branches(undo)


def _undo_fraction(board: Board, base: Expr, power: Fraction, number: Fraction | None) -> None:
    """Undo ``S^(p/q) = v`` by the power q/p: ± when p is even."""
    if number is None:
        raise OutOfScope("This exponent is not undone yet.")
    if power.numerator % 2 == 0 and number < 0:
        says = EVEN_POWER_NEVER_NEGATIVE()
        board.write(Outcome("no solution"), says, KEY)
        return
    if power.denominator % 2 == 0 and number < 0:
        says = EVEN_ROOT_NEVER_NEGATIVE()
        board.write(Outcome("no solution"), says, KEY)
        return
    root = exact_root(abs(number), power.numerator)
    if root is None:
        raise OutOfScope("The power that undoes it gives no rational number.")
    size = build.number(root**power.denominator)
    says = RAISE_BOTH(1 / power)
    if power.numerator % 2 == 0 and number:
        says = RAISE_BOTH_PLUS_MINUS(1 / power)
        pair = [Relation(base, "=", side) for side in (size, build.negative(size))]
        board.write(either(list(pair)), says)
        board.branches(undo)
        return
    board.equation(base, size if number >= 0 else build.negative(size), says)
    undo(board)


def _undo_absolute(board: Board, body: Expr, value: Expr) -> None:
    number = numeral(value)
    if number is None:
        raise OutOfScope("An absolute value equal to an expression is not worked yet.")
    if number < 0:
        says = ABSOLUTE_NEVER_NEGATIVE()
        board.write(Outcome("no solution"), says, KEY)
        return
    if number == 0:
        board.equation(body, build.ZERO, ONLY_ZERO_ABSOLUTE())
        undo(board)
        return
    pair = [Relation(body, "=", side) for side in (value, build.negative(value))]
    says = TWO_NUMBERS()
    board.write(either(list(pair)), says)
    board.branches(undo)


def _is_linear(base: Expr, board: Board) -> bool:
    try:
        return len(coefficients(Relation(base, "=", build.ZERO), board.unknown)) == 2
    except OutOfScope:
        return False


def _lowest_index(index: int, inside: int) -> Expr:
    """Write ``⁶√8`` as ``√2``."""
    exponents = prime_exponents(Fraction(inside))
    shared = gcd(index, *(power for _, power in exponents or ((1, 1),)))
    if shared == 1 or exponents is None:
        return Root(index, Number(str(inside)))
    base = prod(prime ** (power // shared) for prime, power in exponents)
    return Root(index // shared, Number(str(base)))


def _root_text(value: Expr, index: int) -> Expr:
    """Write the root of a number in simplest form, of anything else as a root."""
    number = numeral(value)
    if number is None:
        top, below = (
            (value.numerator, value.denominator)
            if isinstance(value, Quotient)
            else (value, build.ONE)
        )
        scale, rest = coefficient_and_rest(top)
        rest = rest if below == build.ONE else Quotient(rest, below)
        outside, inside = power_part(scale.numerator, index)
        under = build.times(Fraction(inside, scale.denominator), rest)
        return build.times(Fraction(outside), Root(index, under))
    if number == 0:
        return build.ZERO
    whole = abs(number.numerator) * number.denominator ** (index - 1)
    outside, inside = power_part(whole, index)
    scale = Fraction(outside, number.denominator)
    root = build.ONE if inside == 1 else _lowest_index(index, inside)
    result = build.times(scale, root)
    return build.negative(result) if number < 0 else result
