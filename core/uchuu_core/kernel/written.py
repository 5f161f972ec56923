"""Exact numbers and solutions written for a reader, as trees and in plain notation."""

from fractions import Fraction
from math import gcd

from uchuu_core.kernel.algebraic import Algebraic, square_part
from uchuu_core.kernel.rational_functions import Factor, polynomial_text
from uchuu_core.kernel.solutions import Interval, Logarithm, Opaque, Point, SolutionSet
from uchuu_core.notation import plain
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Number, Quotient, Root, Signed, Sum, Symbol, Term


def tree_of(number: Algebraic) -> Expr | None:
    """Write an algebraic number in school form, None where it takes more than one kind of root.

    Rational ones as fractions, quadratic ones as (a ± b√c)/d, pure powers as one root.
    """
    value = number.rational
    if value is not None:
        return build.number_of(value)
    if number.degree == 2:
        return _quadratic(number)
    if not any(number.coefficients[1:-1]):
        return _pure_root(number)
    return None


def _whole(value: int) -> Number:
    return Number(str(value))


def _quadratic(number: Algebraic) -> Expr:
    c, b, a = number.coefficients
    outside, inside = square_part(abs(b * b - 4 * a * c))
    common = gcd(b, outside, 2 * a)
    rational, outside, below = -b // common, outside // common, 2 * a // common
    is_minus = number.index == 0 if number.is_real else number.approximation.imag < 0
    parts: list[Expr] = [] if outside == 1 else [_whole(outside)]
    if not number.is_real:
        parts.append(Symbol("i"))
    if inside != 1:
        parts.append(Root(2, _whole(inside)))
    root = build.product(parts)
    if rational == 0:
        top: Expr = root
        whole = top if below == 1 else Quotient(top, _whole(below))
        return Signed("-", whole) if is_minus else whole
    first = Term("-" if rational < 0 else "+", _whole(abs(rational)))
    top = Sum((first, Term("-" if is_minus else "+", root)))
    return top if below == 1 else Quotient(top, _whole(below))


def _pure_root(number: Algebraic) -> Expr | None:
    """Write a real root of a·xⁿ = c with a rational denominator, powers taken out."""
    if not number.is_real:
        return None
    n = number.degree
    top, bottom = abs(number.coefficients[0]), number.coefficients[-1]
    outside, inside = _power_part(top * bottom ** (n - 1), n)
    scale = Fraction(outside, bottom)
    root: Expr = Root(n, _whole(inside))
    if scale.numerator != 1:
        root = build.product((_whole(scale.numerator), root))
    if scale.denominator != 1:
        root = Quotient(root, _whole(scale.denominator))
    return Signed("-", root) if number.approximation.real < 0 else root


def _power_part(number: int, index: int) -> tuple[int, int]:
    outside, inside = 1, number
    candidate = 2
    while candidate**index <= inside and candidate < 1000:
        while inside % candidate**index == 0:
            inside //= candidate**index
            outside *= candidate
        candidate += 1
    return outside, inside


def number_text(number: Algebraic) -> str:
    """Write an algebraic number in plain notation, by its polynomial where need be."""
    tree = tree_of(number)
    if tree is not None:
        return plain(tree)
    value = number.approximation
    rounded = f"{value.real:.6g}"
    if not number.is_real:
        rounded += f" {'-' if value.imag < 0 else '+'} {abs(value.imag):.6g}i"
    return f"about {rounded} (a root of {_polynomial(number)})"


def _polynomial(number: Algebraic) -> str:
    terms: list[Term] = []
    for power in range(number.degree, -1, -1):
        coefficient = number.coefficients[power]
        if coefficient:
            letter = "" if power == 0 else "x" if power == 1 else f"x^{power}"
            size = "" if abs(coefficient) == 1 and power else str(abs(coefficient))
            terms.append(Term("-" if coefficient < 0 else "+", Symbol(size + letter)))
    return plain(build.total(terms))


def _product_text(powers: object) -> str:
    if isinstance(powers, Algebraic):
        return number_text(powers)
    above, below = 1, 1
    for prime, power in powers:  # type: ignore[attr-defined]
        if power.q != 1:
            return "*".join(f"{p}^({k})" for p, k in powers)  # type: ignore[attr-defined]
        if power > 0:
            above *= prime ** int(power.p)
        else:
            below *= prime ** int(-power.p)
    return str(above) if below == 1 else f"{above}/{below}"


def value_text(point: Point) -> str:
    """Write a solution without its unknown."""
    match point:
        case Algebraic():
            return number_text(point)
        case Logarithm(base, argument):
            return f"log base {_product_text(base)} of {_product_text(argument)}"
        case _:
            return described(point, "")


def described(point: Point, unknown: str) -> str:
    """Write the solutions that *point* stands for in plain notation."""
    match point:
        case Algebraic() | Logarithm():
            return f"{unknown} = {value_text(point)}"
        case Factor():
            return f"{polynomial_text(point.polynomial)} = 0"
        case Opaque():
            return "a solution that is not worked out here"


def interval_text(interval: Interval, unknown: str) -> str:
    """Write an interval as an inequality: ``x >= 0``, ``0 < x <= 2``."""
    low, high = interval.low, interval.high
    if low is None and high is None:
        return "all real numbers"
    if low is None:
        assert high is not None
        return f"{unknown} {'<=' if interval.has_high else '<'} {number_text(high)}"
    if high is None:
        return f"{unknown} {'>=' if interval.has_low else '>'} {number_text(low)}"
    left = f"{number_text(low)} {'<=' if interval.has_low else '<'} "
    return left + f"{unknown} {'<=' if interval.has_high else '<'} {number_text(high)}"


def solution_texts(found: SolutionSet, unknown: str) -> list[str]:
    """Write all solutions: single ones ascending, then intervals."""
    if found.everything:
        return ["all except excluded" if found.excluded else "all real numbers"]
    numbers = [p for p in found.points if isinstance(p, Algebraic)]
    numbers.sort(key=lambda p: (p.approximation.real, p.approximation.imag))
    others = sorted(described(p, unknown) for p in found.points if not isinstance(p, Algebraic))
    return [
        *(described(p, unknown) for p in numbers),
        *others,
        *(interval_text(i, unknown) for i in found.intervals),
    ]
