"""Steps that are seen only with both ends before one's eyes: a part, and what stands there instead.

The kernel has said that both have one value; here the writing says what was done.
"""

from collections.abc import Callable
from fractions import Fraction

from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import Ring
from uchuu_core.lawbook.expanding import SUM_OVER_ONE_DENOMINATOR
from uchuu_core.lawbook.exponents import EQUAL_EXPONENTS, POWER_TO_EVERY_FACTOR
from uchuu_core.lawbook.factoring import BRACKET_OUT, SQUARES_LESS, TAKE_COMMON_OUT
from uchuu_core.lawbook.fractions import (
    DIVIDE_TOP_AND_BOTTOM_BY,
    TOPS_OVER_ONE_DENOMINATOR,
)
from uchuu_core.lawbook.numbers import (
    AS_MIXED,
    DECIMALS_AS_FRACTIONS,
    FORM_OF_ONE,
    FRACTIONS_MULTIPLIED,
    MULTIPLY_TOP_AND_BOTTOM_BY,
)
from uchuu_core.lawbook.quadratics import WRITE_BOTH
from uchuu_core.lawbook.radicals import (
    ROOT_OF_PRODUCT,
    ROOT_TIMES_ITSELF,
    UNDER_ONE_ROOT,
)
from uchuu_core.lawbook.says import Says
from uchuu_core.methods.written import polynomial_tree
from uchuu_core.moves.conditions import numeral
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Bracket,
    Either,
    Expr,
    Line,
    Mixed,
    Number,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
)
from uchuu_core.tree.paths import letters, parts
from uchuu_core.tree.shape import unordered

Seen = Callable[[Line, Line, Ring], Says | None]


def said_of_pair(old: Line, new: Line, ring: Ring) -> Says | None:
    """Return what was done to *old* to come to *new*, None where it is not seen."""
    for look in _LOOKS:
        says = look(old, new, ring)
        if says is not None:
            return says
    return None


def _form_of_one(old: Line, new: Line, _ring: Ring) -> Says | None:
    if not isinstance(new, Product):
        return None
    for place, factor in enumerate(new.factors):
        if isinstance(factor, Quotient) and unordered(factor.numerator) == unordered(
            factor.denominator
        ):
            rest = build.product(f for n, f in enumerate(new.factors) if n != place)
            if unordered(rest) == unordered(old):
                return FORM_OF_ONE(factor)
    return None


def _mixed(old: Line, new: Line, _ring: Ring) -> Says | None:
    if isinstance(new, Mixed) and isinstance(old, Quotient) and numeral(old) == new.value:
        return AS_MIXED(fraction=old, value=new)
    return None


def _decimal(old: Line, new: Line, _ring: Ring) -> Says | None:
    if isinstance(old, Number) and not old.is_whole and isinstance(new, Quotient):
        return DECIMALS_AS_FRACTIONS()
    return None


def _top_and_bottom(old: Line, new: Line, ring: Ring) -> Says | None:
    """One fraction, and the same with top and bottom times, or divided by, one thing."""
    if not (isinstance(old, Quotient) and isinstance(new, Quotient)):
        return None
    try:
        below, now = ring.function(old.denominator), ring.function(new.denominator)
        factor, back = now.over(below), below.over(now)
    except (NotRational, Undefined):
        return None
    for by, sentence in ((factor, MULTIPLY_TOP_AND_BOTTOM_BY), (back, DIVIDE_TOP_AND_BOTTOM_BY)):
        if by is None or not by.denominator.is_constant():
            continue
        number = by.constant()
        if number is None:
            scaled = by.numerator / by.denominator.leading_coefficient()
            return sentence(polynomial_tree(scaled, ring))
        if number.q == 1 and abs(number.p) > 1 and not _holds_power_of_number(old, new):
            return sentence(Fraction(int(number.p)))
    return None


def _holds_power_of_number(*lines: Line) -> bool:
    """Whether a power of a number stands there: nobody sees by what 16·25³ was divided."""
    return any(isinstance(p, Power) and not letters(p) for line in lines for p in parts(line))


def _fraction_split(old: Line, new: Line, _ring: Ring) -> Says | None:
    if isinstance(old, Quotient) and isinstance(new, Sum) and _is_over(new, old.denominator):
        return SUM_OVER_ONE_DENOMINATOR()
    if isinstance(new, Quotient) and isinstance(old, Sum) and _is_over(old, new.denominator):
        return TOPS_OVER_ONE_DENOMINATOR()
    return None


def _is_over(node: Sum, below: Expr) -> bool:
    return all(
        isinstance(term.body, Quotient) and unordered(term.body.denominator) == unordered(below)
        for term in node.terms
    )


def _factor_taken_out(old: Line, new: Line, _ring: Ring) -> Says | None:
    if not (isinstance(old, Sum) and isinstance(new, Product)):
        return None
    for factor in new.factors:
        if isinstance(factor, Sum) and all(_holds(t.body, factor) for t in old.terms):
            return BRACKET_OUT(Bracket(factor))
    sums = [factor for factor in new.factors if isinstance(factor, Sum)]
    if len(sums) == 1 and len(sums[0].terms) == len(old.terms):
        return TAKE_COMMON_OUT(build.product(f for f in new.factors if f not in sums))
    return None


def _holds(node: Expr, factor: Expr) -> bool:
    """Whether *factor* is a factor of *node* as it is written."""
    body = node.body if isinstance(node, Bracket) else node
    return any(unordered(part) == unordered(factor) for part in build.factors_of(body))


def _roots(old: Line, new: Line, _ring: Ring) -> Says | None:
    match old, new:
        case Root(index, inside), Product(factors, _) if _are_roots(factors, index):
            if numeral(inside) is not None:
                return ROOT_OF_PRODUCT()
        case Product(factors, _), Root(index, inside) if _are_roots(factors, index):
            return UNDER_ONE_ROOT()
        case Product((Root(2, a), Root(2, b)), _), _ if a == b == new:
            return ROOT_TIMES_ITSELF()
        case Power(Root(index, inside), Number() as exponent), _ if inside == new:
            if exponent.value == index:
                return ROOT_TIMES_ITSELF()
    return None


def _are_roots(factors: tuple[Expr, ...], index: int) -> bool:
    return all(isinstance(factor, Root) and factor.index == index for factor in factors)


def _powers(old: Line, new: Line, _ring: Ring) -> Says | None:
    match old, new:
        case Product(factors, _), Power(_, exponent) if _all_to(factors, exponent):
            return EQUAL_EXPONENTS()
        case Power(Product() as base, exponent), Product():
            if all(_is_powered(factor, new, exponent) for factor in base.factors):
                return POWER_TO_EVERY_FACTOR()
        case Product((Sum() as one, Sum() as other), _), Sum(terms) if len(terms) == 2:
            bodies = [{unordered(t.body) for t in side.terms} for side in (one, other)]
            if bodies[0] == bodies[1] and len(one.terms) == 2:
                return SQUARES_LESS()
    return None


def _all_to(factors: tuple[Expr, ...], exponent: Expr) -> bool:
    return all(isinstance(f, Power) and f.exponent == exponent for f in factors)


def _is_powered(factor: Expr, new: Line, exponent: Expr) -> bool:
    """Whether the power of *factor* stands in *new*, written or worked out."""
    written = unordered(Power(factor, exponent))
    worked: Expr | None = None
    match factor, exponent:
        case Root(index, inside), Number() if exponent.value == index:
            worked = inside
        case Number(), Number() if factor.value and abs(exponent.value) < 10:
            worked = build.number(factor.value ** int(exponent.value))
    wanted = (written, None if worked is None else unordered(worked))
    return any(unordered(part) in wanted for part in parts(new))


def _both_signs(old: Line, new: Line, _ring: Ring) -> Says | None:
    if isinstance(old, Relation) and isinstance(new, Either) and len(new.options) == 2:
        has_both = any(
            (isinstance(p, Signed) and p.sign == "+-")
            or (isinstance(p, Sum) and any(t.sign == "+-" for t in p.terms))
            for p in parts(old)
        )
        return WRITE_BOTH() if has_both else None
    return None


def _fractions_multiplied(old: Line, new: Line, _ring: Ring) -> Says | None:
    if isinstance(old, Product) and isinstance(new, Quotient):
        if any(isinstance(factor, Quotient) for factor in old.factors):
            return FRACTIONS_MULTIPLIED()
    return None


_LOOKS: tuple[Seen, ...] = (
    _form_of_one,
    _mixed,
    _decimal,
    _roots,
    _powers,
    _fraction_split,
    _factor_taken_out,
    _top_and_bottom,
    _both_signs,
    _fractions_multiplied,
)
