"""Complex numbers brought to a + bi: roots of negatives, products with i² = −1, conjugates below."""

from collections.abc import Iterator
from fractions import Fraction

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.finished_complex import not_a_plus_bi
from uchuu_core.lawbook.complex_numbers import POWERS_OF_I, TAKE_I_OUT
from uchuu_core.lawbook.expanding import EVERY_TERM_BY_EVERY_TERM, REAL_AND_IMAGINARY
from uchuu_core.lawbook.radicals import BY_THE_CONJUGATE, BY_THE_FACTOR
from uchuu_core.methods.equations.surds import root_of
from uchuu_core.methods.method import BOARD, Method, Moment, Posed
from uchuu_core.moves.conditions import numeral
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Expr,
    Line,
    Number,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Sign,
    Signed,
    Sum,
    Symbol,
    Term,
)
from uchuu_core.tree.paths import letters, parts, rebuild

_I = Symbol("i")
_POWERS = ("1", "i", "−1", "−i")
Pair = tuple[Fraction, Fraction]
"""Real and imaginary part."""


def _roots_taken(part: Line) -> Line:
    match part:
        case Root(2, radicand):
            value = numeral(radicand)
            return root_of(value).tree if value is not None and value < 0 else part
        case _:
            return part


def _value(node: Expr) -> Pair:
    """Return the value of a number with rational parts.

    Raises:
        OutOfScope: it holds roots, or divides by zero.
    """
    match node:
        case Symbol("i"):
            return Fraction(0), Fraction(1)
        case Signed("-", body):
            a, b = _value(body)
            return -a, -b
        case Sum(terms):
            found = [(_value(t.body), -1 if t.sign == "-" else 1) for t in terms]
            return sum((v[0] * s for v, s in found), Fraction(0)), sum(
                (v[1] * s for v, s in found), Fraction(0)
            )
        case Product(factors, _):
            result: Pair = (Fraction(1), Fraction(0))
            for factor in factors:
                result = _times(result, _value(factor))
            return result
        case Quotient(top, bottom, _):
            (a, b), (c, d) = _value(top), _value(bottom)
            size = c * c + d * d
            if size == 0:
                raise OutOfScope("It divides by zero.")
            above = _times((a, b), (c, -d))
            return above[0] / size, above[1] / size
        case Power(base, Number() as exponent) if exponent.is_whole and exponent.value <= 400:
            result = (Fraction(1), Fraction(0))
            power = int(exponent.value) % 4 if base == _I else int(exponent.value)
            for _ in range(power):
                result = _times(result, _value(base))
            return result
        case _:
            value = numeral(node)
            if value is None:
                raise OutOfScope("It holds roots besides i.")
            return value, Fraction(0)


def _times(a: Pair, b: Pair) -> Pair:
    return a[0] * b[0] - a[1] * b[1], a[0] * b[1] + a[1] * b[0]


def _tree(value: Pair) -> Expr:
    """Write a + bi, over one denominator where both parts have one."""
    real, imaginary = value
    below = real.denominator
    if below == imaginary.denominator != 1:
        return Quotient(_tree((real * below, imaginary * below)), Number(str(below)))
    terms = []
    if real or not imaginary:
        terms.append(build.as_term(build.number(real)))
    if imaginary:
        size = abs(imaginary)
        body: Expr = _I if size == 1 else build.product((build.number(size), _I))
        if size.denominator != 1:
            top = _I if size.numerator == 1 else build.product((Number(str(size.numerator)), _I))
            body = Quotient(top, Number(str(size.denominator)))
        terms.append(Term("-" if imaginary < 0 else "+", body))
    return build.total(terms)


def _power_of_i(part: Line) -> Line:
    match part:
        case Power(Symbol("i"), Number() as exponent) if exponent.is_whole:
            return _tree(_value(part))
        case _:
            return part


def _multiplied(node: Product) -> Expr:
    """Return a product of two sums written out, i² not yet replaced."""
    first, *rest = node.factors
    terms = list(build.terms_of(first))
    for factor in rest:
        new = []
        for one in terms:
            for other in build.terms_of(factor):
                sign: Sign = "-" if (one.sign == "-") != (other.sign == "-") else "+"
                new.append(Term(sign, _monomial(one.body, other.body)))
        terms = new
    return build.total(terms)


def _monomial(a: Expr, b: Expr) -> Expr:
    number, power = Fraction(1), 0
    for factor in (*build.factors_of(a), *build.factors_of(b)):
        value = numeral(factor)
        if value is not None:
            number *= value
        elif factor == _I:
            power += 1
        else:
            raise OutOfScope("It holds more than numbers and i.")
    letters_part: list[Expr] = (
        [] if power == 0 else [_I] if power == 1 else [Power(_I, Number(str(power)))]
    )
    return (
        build.product([build.number(number), *letters_part])
        if number != 1 or not power
        else letters_part[0]
    )


def moments(given: Expr) -> Iterator[Moment]:
    """Yield the lines that bring a complex number to a + bi.

    Raises:
        OutOfScope: it is of a kind that is not worked.
    """
    now = build.without_brackets(given)
    roots = rebuild(now, _roots_taken)
    if roots != now:
        now = roots
        yield Moment(now, TAKE_I_OUT())
    if isinstance(now, Quotient) and "i" in letters(now.denominator):
        real, imaginary = _value(now.denominator)
        conjugate = _tree((real, -imaginary)) if real else _I
        says = (BY_THE_CONJUGATE if real else BY_THE_FACTOR)(conjugate)
        now = Quotient(
            build.product((now.numerator, conjugate)), build.product((now.denominator, conjugate))
        )
        yield Moment(now, says)
    written_out = rebuild(now, lambda p: _multiplied(p) if _is_product_of_sums(p) else p)
    if written_out != now:
        now = written_out
        yield Moment(now, EVERY_TERM_BY_EVERY_TERM())
    squared = rebuild(now, _power_of_i)
    if squared != now:
        now = squared
        yield Moment(now, POWERS_OF_I(), BOARD)
    try:
        end = _tree(_value(now))
    except OutOfScope:
        end = _products_of_roots(now)
    if end != now:
        yield Moment(end, REAL_AND_IMAGINARY())


def _is_product_of_sums(part: Line) -> bool:
    return (
        isinstance(part, Product)
        and any(isinstance(f, Sum) for f in part.factors)
        and "i" in letters(part)
    )


def _products_of_roots(node: Expr) -> Expr:
    """Return i√a·i√b worked out.

    Raises:
        OutOfScope: it is no product of numbers, roots and i.
    """
    power, number, inside = 0, Fraction(1), 1
    rest = [node]
    while rest:
        part = rest.pop()
        value = numeral(part)
        match part:
            case Signed("-", body):
                number = -number
                rest.append(body)
            case Product(factors, _):
                rest += factors
            case Symbol("i"):
                power += 1
            case Root(2, Number() as radicand) if radicand.is_whole:
                inside *= int(radicand.text)
            case _ if value is not None:
                number *= value
            case _:
                raise OutOfScope("It holds more than numbers, roots and i.")
    root = root_of(Fraction(inside))
    amount, nothing = number * root.factor, Fraction(0)
    turned = [(amount, nothing), (nothing, amount), (-amount, nothing), (nothing, -amount)]
    end = turned[power % 4]
    if root.radicand == 1:
        return _tree(end)
    size = abs(end[0] or end[1])
    listed: list[Expr] = [] if size == 1 else [build.number(size)]
    listed += [_I] if power % 2 else []
    body = build.product([*listed, Root(2, Number(str(root.radicand)))])
    return build.negative(body) if (end[0] or end[1]) < 0 else body


def _refusal(posed: Posed) -> str | None:
    if not posed.numbers.is_complex or isinstance(posed.given, Relation):
        return "it is no complex number"
    given = build.without_brackets(posed.given)
    if letters(given) - {"i"}:
        return "it holds further letters"
    if "i" not in letters(given) and not any(
        isinstance(p, Root) and (numeral(p.radicand) or 0) < 0 for p in parts(given)
    ):
        return "it holds no i"
    if not list(not_a_plus_bi(given)) and len(build.terms_of(given)) < 3:
        return "it has the form a + bi already"
    try:
        return None if list(moments(given)) else "it has the form a + bi already"
    except OutOfScope as reason:
        return reason.clause


COMPLEX = Method(
    key="to-a-plus-bi",
    tasks=("simplify", "evaluate", "expand"),
    refusal=_refusal,
    why="Roots of negatives first, then i² = −1; a conjugate takes i out of the denominator.",
    moments=lambda posed: moments(posed.given),  # type: ignore[arg-type]
)
