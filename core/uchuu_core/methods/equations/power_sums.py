"""Sums of exponentials: each power a letter, factored as a polynomial, or collected."""

from fractions import Fraction
from typing import Any

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import RationalFunction, Ring, ring
from uchuu_core.lawbook.equations import (
    ISOLATE_POWER,
    POWER_NEVER_ZERO,
)
from uchuu_core.lawbook.expanding import REPEATED_POWER_OUT
from uchuu_core.lawbook.exponents import (
    SUM_IN_EXPONENT,
)
from uchuu_core.lawbook.factoring import ZERO_GROUP_FACTOR
from uchuu_core.lawbook.fractions import DIVIDE_OUT_NEVER_ZERO, GROUP_AND_FACTOR_TOP
from uchuu_core.lawbook.linear import BOTH_SIDES_SAME
from uchuu_core.lawbook.quadratics import SOME_FACTOR_IS_ZERO
from uchuu_core.lawbook.says import Part, listed
from uchuu_core.methods.bases import prime_exponents
from uchuu_core.methods.equations.board import Board, either
from uchuu_core.methods.equations.one_base import equate_exponents, is_exponential
from uchuu_core.methods.method import KEY
from uchuu_core.methods.powers import Exponents
from uchuu_core.methods.written import integer_factors
from uchuu_core.moves.conditions import numeral
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Expr,
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
from uchuu_core.tree.paths import letters, parts, rebuild

MOST_POWER = 12


class Letters:
    """The powers p^x of all primes p in the bases, as letters of a ring."""

    def __init__(self, line: Relation, unknown: str) -> None:
        self.unknown = unknown
        self._exponents = Exponents(ring((unknown,)))
        primes = set()
        for part in parts(line):
            if is_exponential(part, unknown):
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
        if not is_exponential(part, self.unknown):
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


def by_powers(board: Board) -> None:
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
        if not is_exponential(part, unknown) or not isinstance(part.exponent, Sum):
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
