"""Exponential equations: both sides as powers of one base, or a repeated power factored out."""

from fractions import Fraction
from functools import reduce
from operator import mul
from typing import Any

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import RationalFunction, Ring, ring
from uchuu_core.lawbook.equations import (
    EXPONENTS_ARE_EQUAL,
    ISOLATE_POWER,
    POWER_ALWAYS_POSITIVE,
    POWER_NEVER_ZERO,
)
from uchuu_core.lawbook.expanding import REPEATED_POWER_OUT
from uchuu_core.lawbook.exponents import (
    ADD_OR_SUBTRACT_EXPONENTS,
    EQUAL_EXPONENTS,
    EXPONENTS_AS_WHOLES,
    SIDES_AS_POWERS_OF,
    SUM_IN_EXPONENT,
)
from uchuu_core.lawbook.factoring import ZERO_GROUP_FACTOR
from uchuu_core.lawbook.fractions import DIVIDE_OUT_NEVER_ZERO, GROUP_AND_FACTOR_TOP
from uchuu_core.lawbook.linear import BOTH_SIDES_SAME, DIVIDE_BOTH_BY
from uchuu_core.lawbook.numbers import DECIMALS_AS_FRACTIONS
from uchuu_core.lawbook.quadratics import SOME_FACTOR_IS_ZERO
from uchuu_core.lawbook.says import Part, listed
from uchuu_core.methods.bases import common_base, prime_exponents
from uchuu_core.methods.equations.board import Board, either, is_solved
from uchuu_core.methods.equations.finish import finish
from uchuu_core.methods.exponents import Distribution, in_base, numbers_in
from uchuu_core.methods.method import KEY
from uchuu_core.methods.order_of_operations import fractions_for_decimals
from uchuu_core.methods.powers import Exponents, powers_of
from uchuu_core.methods.written import integer_factors
from uchuu_core.moves.conditions import numeral
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Expr,
    Line,
    Number,
    Outcome,
    Power,
    Product,
    Quotient,
    Relation,
    Sum,
    Symbol,
    Term,
)
from uchuu_core.tree.paths import children, letters, parts, rebuild

MOST_POWER = 12
_NOT_ONE = "Its numbers are not powers of one base; this takes logarithms, which are not worked."


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
    if not any(_is_exponential(p, board.unknown) for p in parts(line)):
        raise OutOfScope("The unknown stands in no exponent.")
    if board.unknown in letters(_without_exponentials(line, board.unknown)):
        raise OutOfScope("The unknown stands outside exponents too.")
    fractions = fractions_for_decimals(line)
    board.write(fractions, DECIMALS_AS_FRACTIONS())
    sides = (board.relation.left, board.relation.right)
    if any(isinstance(p, Sum) for side in sides for p in _outside_exponents(side)):
        _by_powers(board)
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
                raise OutOfScope(_NOT_ONE)
    powers = [Power(base, exponent) for exponent in exponents]
    board.equation(powers[0], powers[1], SIDES_AS_POWERS_OF(Symbol("e")))
    says = EXPONENTS_ARE_EQUAL()
    board.equation(exponents[0], exponents[1], says)
    if not is_solved(board.now, board.unknown):
        finish(board)


def _without_exponentials(line: Relation, unknown: str) -> Line:
    def change(part: Any) -> Any:
        return build.ONE if _is_exponential(part, unknown) else part

    return rebuild(line, change)  # type: ignore[no-any-return]


def _is_exponential(node: Line, unknown: str) -> bool:
    return isinstance(node, Power) and unknown in letters(node.exponent)


def _outside_exponents(node: Expr) -> list[Expr]:
    found: list[Any] = [node]
    rest: list[Any] = [node]
    while rest:
        part = rest.pop()
        inner = [part.base] if isinstance(part, Power) else list(children(part))
        found += inner
        rest += inner
    return found


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
        raise OutOfScope(_NOT_ONE)
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
                raise OutOfScope(_NOT_ONE)
        if powers.sign < 0:
            raise OutOfScope(_NOT_ONE)
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
        raise OutOfScope(_NOT_ONE)
    value = numeral(line.right)
    scale = Fraction(left.sign)
    for base, exponent in plain:
        power = exponents.number(exponent)
        if not isinstance(base, Number) or power is None or power.denominator != 1:
            raise OutOfScope(_NOT_ONE)
        scale *= base.value**power.numerator
    if value is None or right.below:
        raise OutOfScope(_NOT_ONE)
    (power_left,) = [f for f in left.above if exponents.number(f[1]) is None]
    says = DIVIDE_BOTH_BY(build.number(scale))
    tree = exponents.power(*power_left)
    board.equation(tree, build.number(value / scale), says)


# sums of powers


class Letters:
    """The powers p^x of all primes p in the bases, as letters of a ring."""

    def __init__(self, line: Relation, unknown: str) -> None:
        self.unknown = unknown
        self._exponents = Exponents(ring((unknown,)))
        primes = set()
        for part in parts(line):
            if _is_exponential(part, unknown):
                powers = prime_exponents(self._base(part.base))
                if not powers:
                    raise OutOfScope("A base in it is not a positive number other than 1.")
                primes |= {prime for prime, _ in powers}
        self.primes = tuple(sorted(primes))
        self.algebra: Ring = ring(tuple(f"p_{prime}" for prime in self.primes))

    def _base(self, node: Expr) -> Fraction:
        value = numeral(node)
        if value is None:
            raise OutOfScope("A base in it is not a number.")
        return value

    def function(self, node: Expr) -> RationalFunction:
        """Return *node* as a rational function of the powers.

        Raises:
            OutOfScope: the unknown stands outside exponents, or an exponent is not linear.
        """
        new = rebuild(node, self._change)
        if self.unknown in letters(new):
            raise OutOfScope("The unknown stands outside exponents too.")
        try:
            return self.algebra.lowest(self.algebra.function(new))
        except (NotRational, Undefined) as reason:
            raise OutOfScope("A part of it is no power with a linear exponent.") from reason

    def _change(self, part: Any) -> Any:
        if not _is_exponential(part, self.unknown):
            return part
        exponent = self._exponents.of(part.exponent)
        by_degree = {int(d[0]): Fraction(int(c.p), int(c.q)) for d, c in exponent.terms()}
        slope, shift = by_degree.pop(1, Fraction(0)), by_degree.pop(0, Fraction(0))
        if by_degree or slope.denominator != 1 or shift.denominator != 1:
            raise OutOfScope("An exponent in it is not linear with whole numbers.")
        if max(abs(slope), abs(shift)) > MOST_POWER:
            raise OutOfScope("An exponent in it is too large.")
        base = self._base(part.base)
        factors: list[Expr] = [build.number(base**shift.numerator)]
        for prime, power in prime_exponents(base) or ():
            exponent_tree = build.number(power * slope.numerator)
            factors.append(Power(Symbol(f"p_{prime}"), exponent_tree))
        return build.product(factors)

    def tree(self, polynomial: Any) -> Expr:
        """Write a polynomial of the powers with one power a term, largest base first."""
        found = []
        for degrees, coefficient in polynomial.terms():
            base = Fraction(1)
            for prime, degree in zip(self.primes, degrees, strict=False):
                base *= Fraction(prime) ** int(degree)
            found.append((base, Fraction(int(coefficient.p), int(coefficient.q))))
        found.sort(reverse=True)
        terms = []
        for base, number in found:
            power: Expr = build.ONE
            if base != 1:
                power = Power(build.number(base), Symbol(self.unknown))
            terms.append(Term("-" if number < 0 else "+", _scaled(abs(number), power)))
        return build.total(terms)

    def fraction(self, function: RationalFunction) -> Expr:
        """Write a fraction of such polynomials."""
        top, below = self.tree(function.numerator), self.tree(function.denominator)
        return top if below == build.ONE else Quotient(top, below)


def _scaled(number: Fraction, power: Expr) -> Expr:
    if number == 1 or power == build.ONE:
        return build.times(number, power)
    return build.product((build.number(number), power))


def _by_powers(board: Board) -> None:
    """Write every power as B^x, collect or factor, then equate.

    Raises:
        OutOfScope: it does not factor into parts with one power.
    """
    powers = Letters(board.relation, board.unknown)
    _apart(board)
    sides = [powers.function(s) for s in (board.relation.left, board.relation.right)]
    _divided_out(board, powers)
    zero = powers.algebra.lowest(sides[0].minus(sides[1]))
    if zero.is_zero:
        says = BOTH_SIDES_SAME()
        board.write(Outcome("all real numbers"), says, KEY)
        return
    _solve(board, powers, zero.numerator)


def _apart(board: Board) -> None:
    """Write 2^(x+1) as 2·2^x where it stands in a sum."""
    unknown = board.unknown
    exponents = Exponents(board.algebra)

    said: list[Part] = []

    def change(part: Any) -> Any:
        if isinstance(part, Product):
            return build.product(part.factors) if _is_nested(part) else part
        if not _is_exponential(part, unknown) or not isinstance(part.exponent, Sum):
            return part
        constant = [t for t in part.exponent.terms if unknown not in letters(t.body)]
        rest = [t for t in part.exponent.terms if unknown in letters(t.body)]
        if not constant or not rest:
            return part
        shift = exponents.number(exponents.of(build.total(constant)))
        if shift is None or shift.denominator != 1 or abs(shift) > MOST_POWER:
            return part
        value = numeral(Power(part.base, build.total(constant))) or _power(part.base, shift)
        new = build.product((build.number(value), Power(part.base, build.total(rest))))
        said.append(Relation(part, "=", new))
        return new

    line = board.relation
    left, right = rebuild(line.left, change), rebuild(line.right, change)
    says = SUM_IN_EXPONENT(listed(said, before_last=", "))
    board.equation(left, right, says)


def _is_nested(part: Product) -> bool:
    return any(isinstance(factor, Product) for factor in part.factors)


def _power(base: Expr, exponent: Fraction) -> Fraction:
    value = numeral(base)
    if value is None or (value == 0 and exponent < 0):
        raise OutOfScope("A base in it is not a number.")
    return value**exponent.numerator


def _divided_out(board: Board, powers: Letters) -> None:
    """Factor a top that shares a factor with the bottom, and divide it out."""
    line = board.relation
    new: list[Expr] = []
    factored: list[Expr] = []
    for side in (line.left, line.right):
        function = powers.function(side)
        if not isinstance(side, Quotient):
            new.append(side)
            factored.append(side)
            continue
        below = powers.function(side.denominator).numerator
        above = powers.function(side.numerator).numerator
        _, factors = integer_factors(above, powers.algebra)
        written = build.product(
            powers.tree(p) if n == 1 else Power(powers.tree(p), Number(str(n))) for p, n in factors
        )
        factored.append(Quotient(written, powers.tree(below)))
        new.append(powers.fraction(function))
    if new != [line.left, line.right]:
        says = GROUP_AND_FACTOR_TOP()
        board.equation(factored[0], factored[1], says)
        says = DIVIDE_OUT_NEVER_ZERO()
        board.equation(new[0], new[1], says)


def _solve(board: Board, powers: Letters, polynomial: Any) -> None:
    _, factors = integer_factors(polynomial, powers.algebra)
    open_factors = [polynomial] if len(polynomial) == 2 else [p for p, _ in factors if len(p) > 1]
    if not open_factors:
        says = POWER_NEVER_ZERO()
        board.write(Outcome("no solution"), says, KEY)
        return
    if any(len(p) != 2 for p in open_factors):
        raise OutOfScope("It does not factor into parts with one power each.")
    if len(open_factors) == 1:
        _collect(board, powers)
        equation = _one_power(open_factors[0], powers)
        says = ISOLATE_POWER(equation.left)
        board.write(equation, says)
        equate_exponents(board)
        return
    product = build.product(powers.tree(p) for p in open_factors)
    says = ZERO_GROUP_FACTOR()
    board.equation(product, build.ZERO, says)
    options = [_one_power(p, powers) for p in open_factors]
    says = SOME_FACTOR_IS_ZERO()
    board.write(either(list(options)), says)
    board.branches(equate_exponents)


def _collect(board: Board, powers: Letters) -> None:
    """Collect ``2·2^x + 2^x`` to ``3·2^x`` on each side."""
    line = board.relation
    new = []
    for side in (line.left, line.right):
        function = powers.function(side)
        keeps = not isinstance(side, Sum) or function.denominator != powers.algebra.one
        new.append(side if keeps else powers.tree(function.numerator))
    says = REPEATED_POWER_OUT()
    board.equation(new[0], new[1], says)


def _one_power(polynomial: Any, powers: Letters) -> Relation:
    """Write ``c·m + d·n`` = 0 as ``B^x = v``, the larger base above."""
    (first, a), (second, b) = (
        ([int(d) for d in degrees], Fraction(int(c.p), int(c.q)))
        for degrees, c in polynomial.terms()
    )
    base, value = Fraction(1), -b / a
    for prime, up, down in zip(powers.primes, first, second, strict=False):
        base *= Fraction(prime) ** (up - down)
    if base < 1:
        base, value = 1 / base, 1 / value
    return Relation(Power(build.number(base), Symbol(powers.unknown)), "=", build.number(value))
