"""Roots that need another look first: √(7 + 4√3), powers like (8x⁶)^(1/3), a root above the bar."""

from collections.abc import Callable, Iterator
from fractions import Fraction
from math import isqrt

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.finished import unmet_forms
from uchuu_core.lawbook.exponents import DENOMINATOR_IS_INDEX, POWER_TO_EVERY_FACTOR
from uchuu_core.lawbook.factoring import SQUARES_LESS
from uchuu_core.lawbook.fractions import DIVIDE_OUT_FACTORS
from uchuu_core.lawbook.radicals import ROOT_OF_SQUARE_POSITIVE, ROOTS_ABOVE_GO, SQUARE_OF
from uchuu_core.lawbook.says import in_order
from uchuu_core.methods.method import Method, Moment, Posed
from uchuu_core.methods.radicals import LARGEST
from uchuu_core.methods.radicals import worked as radicals_worked
from uchuu_core.methods.roots import power_part
from uchuu_core.methods.written import polynomial_tree, ring_of
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
    Term,
)
from uchuu_core.tree.paths import letters, parts, rebuild

FORMS = ("rationalised", "positive exponents")
"""Forms in which a route has to end."""
Work = Callable[[Expr, bool], list[Moment]]


def _followed(start: Expr, non_negative: bool) -> list[Moment]:
    """Return the lines that the radicals' route writes from *start* on; none when it is finished."""
    if not any(isinstance(part, Root) for part in parts(start)):
        return []
    return list(radicals_worked(start, LARGEST, non_negative).moments)


# √(a + b√c)


def _surd(node: Expr) -> tuple[Fraction, Fraction, int] | None:
    """Return a, b, c of a + b√c."""
    if not isinstance(node, Sum) or len(node.terms) != 2:
        return None
    plain, factor, inside = Fraction(0), Fraction(0), 0
    for term in node.terms:
        sign = -1 if term.sign == "-" else 1
        value = numeral(term.body)
        if value is not None:
            plain += sign * value
            continue
        number = Fraction(sign)
        for part in build.factors_of(term.body):
            match part:
                case Root(2, Number() as radicand) if radicand.is_whole and not inside:
                    inside = int(radicand.text)
                case _:
                    found = numeral(part)
                    if found is None:
                        return None
                    number *= found
        factor = number
    return (plain, factor, inside) if inside and factor and plain else None


def _root_tree(value: int) -> Expr:
    outside, inside = power_part(value, 2)
    if inside == 1:
        return Number(str(outside))
    root = Root(2, Number(str(inside)))
    return root if outside == 1 else build.product((Number(str(outside)), root))


def _unnested(part: Line) -> Expr | None:
    """Return √p ± √q for √(a ± b√c) with p + q = a and 4pq = b²c, both whole."""
    if not isinstance(part, Root) or part.index != 2:
        return None
    found = _surd(part.radicand)
    if found is None:
        return None
    a, b, c = found
    square = a * a - b * b * c
    if square < 0 or square.denominator != 1 or a.denominator != 1 or a <= 0:
        return None
    root = isqrt(int(square))
    if root * root != square or (int(a) + root) % 2:
        return None
    p, q = (int(a) + root) // 2, (int(a) - root) // 2
    if q <= 0:
        return None
    sign: Sign = "-" if b < 0 else "+"
    first, second = _root_tree(p), _root_tree(q)
    if sign == "+" and isinstance(second, Number):
        first, second = second, first
    return Sum((Term("+", first), Term(sign, second)))


def _by_square(start: Expr, non_negative: bool) -> list[Moment]:
    met: list[tuple[Expr, Expr]] = []

    def squared(part: Line) -> Line:
        sum_of_roots = _unnested(part)
        if sum_of_roots is None:
            return part
        met.append((part.radicand, sum_of_roots))  # type: ignore[union-attr]
        return Root(2, Power(sum_of_roots, Number("2")))

    line = rebuild(start, squared)
    if not met:
        raise OutOfScope("No root stands over a sum with a root that is a square.")
    found = [Moment(line, in_order([SQUARE_OF(inside, whole) for inside, whole in met]))]
    taken = rebuild(line, lambda p: _square_taken(p))
    found.append(Moment(taken, ROOT_OF_SQUARE_POSITIVE()))
    return [*found, *_followed(taken, non_negative)]


def _square_taken(part: Line) -> Line:
    match part:
        case Root(2, Power(Sum() as base, Number("2"))):
            return base
        case _:
            return part


# rational exponents


def _as_root(part: Line) -> Line:
    if not isinstance(part, Power):
        return part
    exponent = part.exponent
    value = numeral(exponent)
    if value is None or value.denominator == 1 or value.denominator > 60:
        return part
    root: Expr = Root(value.denominator, part.base)
    size = abs(value.numerator)
    power = root if size == 1 else Power(root, Number(str(size)))
    return power if value > 0 else Quotient(build.ONE, power)


def _by_roots(start: Expr, non_negative: bool) -> list[Moment]:
    if not letters(start) and not any(
        isinstance(p, Power) and isinstance(p.base, Signed) for p in parts(start)
    ):
        raise OutOfScope("Powers of plain numbers are worked out directly.")
    line = rebuild(start, _as_root)
    if line == start:
        raise OutOfScope("No power has a fraction for its exponent.")
    says = DENOMINATOR_IS_INDEX()
    found = [Moment(line, says)]
    match line:
        case Power(Root() as root, exponent):  # the root first, then its power
            inner = _followed(root, non_negative)
            found += [Moment(Power(m.line, exponent), m.says, m.weight) for m in inner]  # type: ignore[arg-type]
            if inner:
                line = Power(inner[-1].line, exponent)  # type: ignore[arg-type]
            return found + _raised(line, non_negative)
        case _:
            return found + _followed(line, non_negative)


def _raised(line: Power, non_negative: bool) -> list[Moment]:
    """Raise every factor: (3√3·x²y⁴)³."""
    factors = build.factors_of(line.base)
    power = line.exponent
    listed: list[Expr] = []
    for factor in factors:
        value = numeral(factor)
        match factor:
            case Root(2, inside) if isinstance(power, Number):
                times = int(power.text)
                listed += [inside] * (times // 2) + ([factor] if times % 2 else [])
            case Power(base, Number() as inner) if isinstance(power, Number):
                listed.append(Power(base, Number(str(int(inner.text) * int(power.text)))))
            case _ if value is not None and isinstance(power, Number):
                listed.append(build.number(value ** int(power.text)))
            case _:
                listed.append(Power(factor, power))
    numbers, rest = Fraction(1), []
    for factor in listed:
        value = numeral(factor)
        if value is None:
            rest.append(factor)
        else:
            numbers *= value
    parts_of = ([build.number(numbers)] if numbers != 1 or not rest else []) + sorted(
        rest, key=lambda f: not isinstance(f, Root)
    )
    end = build.product(parts_of)
    if end == line:
        return []
    found = [Moment(end, POWER_TO_EVERY_FACTOR())]
    return [*found, *_followed(end, non_negative)]


# a root above the bar


def _conjugate_of(top: Expr) -> Sum | None:
    if not isinstance(top, Sum) or len(top.terms) != 2:
        return None
    if not any(isinstance(p, Root) and letters(p) for p in parts(top)):
        return None
    first, second = top.terms
    return Sum((first, Term(build.OPPOSITE[second.sign], second.body)))


def _square_of(node: Expr) -> Expr:
    match node:
        case Root(2, radicand):
            return radicand
        case Number():
            return build.number(node.value**2)
        case Product(factors, _):
            return build.product(_square_of(factor) for factor in factors)
        case _:
            return Power(node, Number("2"))


def _above_the_bar(start: Expr, _non_negative: bool) -> list[Moment]:
    if not isinstance(start, Quotient) or any(
        isinstance(p, Root) for p in parts(start.denominator)
    ):
        raise OutOfScope("No root stands above the bar alone.")
    conjugate = _conjugate_of(start.numerator)
    if conjugate is None:
        raise OutOfScope("No sum with a root stands above the bar.")
    bottom = start.denominator
    first, second = conjugate.terms
    algebra = ring_of(start)
    product = algebra.function(
        Sum((Term("+", _square_of(first.body)), Term("-", _square_of(second.body))))
    )
    below = algebra.function(bottom)
    common = product.numerator.gcd(below.numerator)
    if common.is_constant():
        raise OutOfScope("Nothing divides out: it stays as it is.")
    says = ROOTS_ABOVE_GO(conjugate)
    found = [
        Moment(
            Quotient(
                build.product((start.numerator, conjugate)), build.product((bottom, conjugate))
            ),
            says,
        )
    ]
    top_tree = polynomial_tree(product.numerator, algebra)
    says = SQUARES_LESS()
    squares = Quotient(top_tree, build.product((bottom, conjugate)))
    found.append(Moment(squares, says))
    rest_top = product.numerator / common
    rest_below = polynomial_tree(below.numerator / common, algebra)
    new_bottom: Expr = (
        conjugate if rest_below == build.ONE else build.product((rest_below, conjugate))
    )
    if rest_below == Signed("-", build.ONE):
        new_bottom = conjugate
        rest_top = -rest_top
    end = Quotient(polynomial_tree(rest_top, algebra), new_bottom)
    found.append(Moment(end, DIVIDE_OUT_FACTORS(polynomial_tree(common, algebra))))
    return found


def _method(
    key: str, why: str, work: Work, tasks: tuple[str, ...], forms: tuple[str, ...] = FORMS
) -> Method:
    def refusal(posed: Posed) -> str | None:
        if isinstance(posed.given, Relation):
            return "this is an equation"
        try:
            found = work(build.without_brackets(posed.given), posed.numbers.non_negative)
            if unmet_forms(found[-1].line, "simplify", forms):
                return "it would not come to a finished form that way"
        except OutOfScope as reason:
            return reason.clause
        except ArithmeticError:
            return "it is of another kind"
        return None

    def moments(posed: Posed) -> Iterator[Moment]:
        return iter(work(build.without_brackets(posed.given), posed.numbers.non_negative))

    return Method(key, tasks, refusal, why, moments)  # type: ignore[arg-type]


NESTED = (
    _method(
        "root-of-a-square",
        "What stands under the root is a square of a sum with roots.",
        _by_square,
        ("simplify", "evaluate"),
    ),
    _method(
        "exponents-as-roots",
        "A fraction in the exponent is a root.",
        _by_roots,
        ("simplify", "evaluate", "expand"),
    ),
    _method(
        "rationalise-above",
        "Multiply by the conjugate of the top: then something divides out.",
        _above_the_bar,
        ("simplify",),
        ("positive exponents",),
    ),
)
