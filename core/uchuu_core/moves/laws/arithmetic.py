"""Laws of plain numbers: one operation is worked out, exactly."""

import itertools
from collections.abc import Iterator
from fractions import Fraction

from uchuu_core.lawbook.numbers import (
    DIFFERENCE_IS,
    OVER_ONE_DENOMINATOR,
    POWER_IS,
    PRODUCT_IS,
    QUOTIENT_IS,
    SUM_IS,
)
from uchuu_core.moves.conditions import Nonzero, Numeral, numeral
from uchuu_core.moves.move import Example, Move, Rewrite
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Number, Power, Product, Quotient, Signed, Sum
from uchuu_core.tree.paths import walk

_MOST_BITS = 4000


def written(value: Fraction, like: Line) -> Expr:
    """Write *value* as a decimal where *like* is written with decimals, else as a fraction."""
    decimals = any(isinstance(p, Number) and not p.is_whole for _, p in walk(like))
    return build.decimal(value) if decimals else build.number(value)


def _power(part: Line) -> Iterator[Line]:
    if not isinstance(part, Power):
        return
    base, exponent = numeral(part.base), numeral(part.exponent)
    if base is None or exponent is None or exponent.denominator != 1:
        return
    size = max(base.numerator.bit_length(), base.denominator.bit_length())
    if (base == 0 and exponent <= 0) or size * abs(exponent) > _MOST_BITS:
        return
    yield written(base ** int(exponent), part)


def _multiplied(part: Line) -> Iterator[Line]:
    """Multiply the first two neighbouring plain numbers of a product."""
    if not isinstance(part, Product):
        return
    values = [numeral(factor) for factor in part.factors]
    for place, (a, b) in enumerate(itertools.pairwise(values)):
        if a is not None and b is not None:
            new = written(a * b, part)
            yield build.product((*part.factors[:place], new, *part.factors[place + 2 :]))
            return


def _divided(part: Line) -> Iterator[Line]:
    """Divide plain numbers; a fraction in lowest terms stays as it is."""
    if not isinstance(part, Quotient):
        return
    above, below = numeral(part.numerator), numeral(part.denominator)
    if above is None or not below:
        return
    new = written(above / below, part)
    if new != part and new != Signed("-", part):
        yield new


def _added(part: Line) -> Iterator[Line]:
    """Add the first two neighbouring plain numbers of a sum, from the left."""
    if not isinstance(part, Sum):
        return
    for place, (a, b) in enumerate(zip(part.terms, part.terms[1:], strict=False)):
        left, right = numeral(a.body), numeral(b.body)
        if left is None or right is None or "+-" in (a.sign, b.sign):
            continue
        value = (left if a.sign == "+" else -left) + (right if b.sign == "+" else -right)
        new = build.terms_of(written(value, part))
        rest = part.terms[:place] + (() if value == 0 else new) + part.terms[place + 2 :]
        yield build.total(rest)
        return


POWER = Move(
    key="work-out-power",
    says=POWER_IS,
    function=_power,
    examples=(Example("3*5^2", "3*25"), Example("(-2)^4", "16")),
    refuses=("x^2", "0^0"),
)
MULTIPLY = Move(
    key="multiply-numbers",
    says=PRODUCT_IS,
    function=_multiplied,
    examples=(Example("20-6*3", "20-18"), Example("(-4)*(-7)", "28")),
    refuses=("6x",),
)
DIVIDE = Move(
    key="divide-numbers",
    says=QUOTIENT_IS,
    function=_divided,
    examples=(Example("48÷8*2", "6*2"), Example("6/4", "3/2")),
    refuses=("1/2", "5/0"),
)
ADD = Move(
    key="add-numbers",
    says=SUM_IS,
    function=_added,
    examples=(Example("15-9+4", "6+4"), Example("x+2+3", "x+5"), Example("1/2+1/3", "5/6")),
    refuses=("x+2",),
)
ADD_FRACTIONS = Move(
    key="add-fractions",
    says=OVER_ONE_DENOMINATOR,
    rewrites=(
        Rewrite(
            "a/b + c/d",
            "(a*d + c*b)/(b*d)",
            (Numeral("b"), Numeral("d"), Nonzero("b"), Nonzero("d")),
        ),
    ),
    examples=(Example("1/3+2/5", "(1*5+2*3)/(3*5)"),),
    refuses=("1/3*2/5",),
)
SUBTRACT = Move(
    key="subtract-numbers",
    says=DIFFERENCE_IS,
    function=_added,
    examples=(Example("15-9", "6"),),
    refuses=("15-x",),
)


LAWS = (POWER, MULTIPLY, DIVIDE, ADD, ADD_FRACTIONS, SUBTRACT)
