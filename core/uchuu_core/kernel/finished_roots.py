"""Finished forms of lines with roots and exponents, part by part."""

from math import gcd

from flint import fmpq

from uchuu_core.kernel.points import NotRational, Undefined, value_at
from uchuu_core.kernel.powers import CONSTANT, Multiplicative, powers_of_number
from uchuu_core.kernel.rational_functions import Ring
from uchuu_core.tree.nodes import (
    Bracket,
    Expr,
    Line,
    Number,
    Power,
    Product,
    Quotient,
    Root,
    Signed,
    Sum,
)
from uchuu_core.tree.paths import letters, parts

SIMPLEST_ROOTS = "radicals in simplest form"
RATIONALISED = "rationalised"
NEGATIVE_EXPONENT = "positive exponents"


def holds_root(node: Line) -> bool:
    """Return whether a root stands in *node*, or the imaginary unit."""
    return any(isinstance(part, Root) or _is_fractional(part) for part in parts(node))


def _is_fractional(part: Line) -> bool:
    """Whether *part* is a power with a fraction as its exponent that has no rational value."""
    if not isinstance(part, Power) or not isinstance(_inner(part.exponent), Quotient):
        return False
    try:
        value_at(part, {})
    except NotRational:
        return True
    except (Undefined, KeyError):
        return bool(letters(part.base))
    return False


def _inner(node: Expr) -> Expr:
    while isinstance(node, (Signed, Bracket)):
        node = node.body
    return node


def is_simplest_root(node: Root, algebra: Ring) -> bool:
    """Return whether nothing can be taken out of a root: no power, no fraction of powers, no index."""
    if not letters(node.radicand):
        return _is_simplest_number(node)
    try:
        value = algebra.function(node.radicand)
    except (NotRational, Undefined):
        return True
    for polynomial in (value.numerator, value.denominator):
        constant, factors = algebra.factored(polynomial)
        if any(power >= node.index for _, power in factors):
            return False
        if not _holds_no_power(constant, node.index):
            return False
    return True


def _is_simplest_number(node: Root) -> bool:
    radicand = _inner(node.radicand)
    if isinstance(node.radicand, Signed):
        return False  # the sign goes in front, as - or as i
    if isinstance(radicand, Quotient):
        parts = [radicand.numerator, radicand.denominator]
    else:
        parts = [radicand]
    if not all(isinstance(part, Number) and part.is_whole for part in parts):
        return holds_root(radicand)  # √(3 + 2√2) may stay; √(4·7), √0.5 are worked out
    return all(
        _holds_no_power(part.value, node.index)  # type: ignore[union-attr]
        and (part.value > 1 or (n == 0 and len(parts) == 2))  # type: ignore[union-attr]
        for n, part in enumerate(parts)
    )


def _holds_no_power(value: object, index: int) -> bool:
    """Whether no prime stands to the power *index*, nor all to powers that share a factor with it."""
    number = fmpq(int(value.numerator), int(value.denominator))  # type: ignore[attr-defined]
    if number == 0:
        return False
    powers = [abs(int(e[CONSTANT].p)) for e in powers_of_number(number).values()]
    if any(power >= index for power in powers):
        return False
    return not powers or gcd(index, *powers) == 1


def has_joinable_roots(parts: tuple[Expr, ...]) -> bool:
    """Return whether two of *parts* hold roots of numbers with the same index."""
    seen: set[int] = set()
    for part in parts:
        for factor in part.factors if isinstance(part, Product) else (part,):
            if isinstance(factor, Root) and not letters(factor):
                if factor.index in seen:
                    return True
                seen.add(factor.index)
    return False


def root_shape(node: Expr, multiplicative: Multiplicative) -> object | None:
    """Return what makes two terms with roots alike: everything but the rational number in front."""
    try:
        powers = multiplicative.powers(node)
    except Undefined:
        return None
    if powers is None:
        return None
    shape = set()
    for atom, exponent in powers.items():
        for monomial, value in exponent.items():
            if isinstance(atom, int) and not monomial:
                value = value - int(value.p) // int(value.q)
            if value != 0:
                shape.add((atom, monomial, str(value)))
    return ("root", frozenset(shape))


def has_root_below(part: Line) -> bool:
    """Return whether *part* is a fraction with a root below, or a root of a fraction."""
    match part:
        case Quotient(_, denominator, _):
            return holds_root(denominator)
        case Root(_, radicand):
            return isinstance(_inner(radicand), Quotient)
        case Power(_, Signed("-", exponent)):
            return isinstance(_inner(exponent), Quotient)
        case _:
            return False


def has_negative_exponent(part: Line) -> bool:
    """Return whether *part* is a power with a negative or zero exponent."""
    if not isinstance(part, Power):
        return False
    if part.exponent == Number("0"):
        return True
    exponent = part.exponent
    while isinstance(exponent, Bracket):
        exponent = exponent.body
    if isinstance(exponent, Quotient) and isinstance(exponent.numerator, Signed):
        return True
    if isinstance(exponent, Sum) and not letters(exponent):
        try:
            return bool(value_at(exponent, {}) <= 0)
        except (NotRational, Undefined):
            return False
    return isinstance(exponent, Signed) and exponent.sign == "-"


def has_common_number(node: Quotient) -> bool:
    """Return whether all terms above and below share a whole factor, or a fraction stands inside."""
    above, below = _coefficients(node.numerator), _coefficients(node.denominator)
    if above is None or below is None:
        return any(
            isinstance(p, Quotient)
            for side in (node.numerator, node.denominator)
            for p in parts(side)
        )
    return gcd(*above, *below) > 1


def _coefficients(node: Expr) -> list[int] | None:
    """Return the whole numbers in front of the terms, None where one is a fraction."""
    terms = [term.body for term in node.terms] if isinstance(node, Sum) else [node]
    found = []
    for term in terms:
        coefficient = _coefficient(term)
        if coefficient is None:
            return None
        found.append(coefficient)
    return found


def _coefficient(term: Expr) -> int | None:
    match term:
        case Number():
            return int(term.text) if term.is_whole else None
        case Signed(_, body) | Bracket(body):
            return _coefficient(body)
        case Product(factors, _):
            result = 1
            for factor in factors:
                part = _coefficient(factor)
                if part is None:
                    return None
                result *= part
            return result
        case Quotient():
            return None
        case Sum():
            inside = _coefficients(term)
            return None if inside is None else gcd(*inside)
        case _:
            return 1
