"""Errors with powers."""

from collections.abc import Callable, Iterator
from fractions import Fraction

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.conditions import (
    Above,
    Different,
    IsNot,
    NotNumeral,
    Numeral,
    Unsigned,
    numeral,
)
from uchuu_core.moves.move import Common, Effect, Example, Move, Rewrite
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Number, Power, Quotient, Relation, Sum, Term
from uchuu_core.tree.paths import replace_at, walk


def _in_quotient(joined: Callable[[Expr, Expr], Expr | None]) -> Callable[[Line], Iterator[Line]]:
    """Join two powers of one base, one above and one below among further factors."""

    def function(part: Line) -> Iterator[Line]:
        if not isinstance(part, Quotient):
            return
        above, below = build.factors_of(part.numerator), build.factors_of(part.denominator)
        for i, top in enumerate(above):
            for j, bottom in enumerate(below):
                if isinstance(top, Power) and isinstance(bottom, Power) and top.base == bottom.base:
                    exponent = joined(top.exponent, bottom.exponent)
                    if exponent is not None:
                        power = Power(top.base, exponent)
                        new_top = build.product((*above[:i], power, *above[i + 1 :]))
                        rest = build.product((*below[:j], *below[j + 1 :]))
                        yield new_top if rest == build.ONE else Quotient(new_top, rest)

    return function


def _base_rewritten(part: Line) -> Iterator[Expr]:
    """Write ``8^(x + 2)`` as ``2^(3x + 2)``: only the first term of the exponent is multiplied."""
    if not (isinstance(part, Power) and isinstance(part.exponent, Sum)):
        return
    for root, power in _as_power(part.base):
        if power > 1:
            yield Power(Number(str(root)), _first_term_times(power, part.exponent))


def _as_power(base: Expr) -> Iterator[tuple[int, int]]:
    """Yield every root and power that a whole number is: of 8, 2 and 3, then 8 and 1."""
    value = numeral(base)
    if value is None or value.denominator != 1 or not 1 < value < 10**6:
        return
    yield from ((r, p) for r in range(2, 32) for p in range(2, 20) if r**p == value)
    yield int(value), 1


def _bases_rewritten(line: Line) -> Iterator[Line]:
    """Do so at every power of a line, or write ``27^x = 9^(x + 1)`` as ``3x = 2x + 1`` at once."""
    for path, part in walk(line):
        yield from (replace_at(line, path, new) for new in _base_rewritten(part))
    match line:
        case Relation(Power(one, left), "=", Power(other, right)):
            for root, power in _as_power(one):
                for same, by in _as_power(other):
                    if root == same:
                        yield from _equated((power, left), (by, right))


def _equated(left: tuple[int, Expr], right: tuple[int, Expr]) -> Iterator[Line]:
    """Yield both exponents, times their powers, as equal: of one only the first term is multiplied."""
    whole = [build.times(Fraction(power), exponent) for power, exponent in (left, right)]
    for place, (power, exponent) in enumerate((left, right)):
        if power > 1 and isinstance(exponent, Sum):
            sides = [*whole[:place], _first_term_times(power, exponent), *whole[place + 1 :]]
            yield Relation(sides[0], "=", sides[1])


def _first_term_times(power: int, exponent: Expr) -> Expr:
    first, *others = build.terms_of(exponent)
    body = build.times(Fraction(power), first.body)
    return build.total((Term(first.sign, body), *others))


AS_MULTIPLIER = Move(
    key="exponent-as-multiplier",
    effect=Effect.WRONG,
    rewrites=(Rewrite("a^n", "a*n", (Above("n", 1),)),),
    distorts="work-out-power",
    examples=(Example("4^3", "4*3"),),
    refuses=("4^1",),
    common=Common.IN_EVERY_CLASS,
    due=Family.POWERS,
)
ZERO_GIVES_ZERO = Move(
    key="exponent-zero-gives-zero",
    effect=Effect.WRONG,
    rewrites=(Rewrite("a^0", "0"),),
    distorts="zero-exponent",
    examples=(Example("9^0+4", "0+4"),),
    refuses=("9^1",),
    common=Common.IN_EVERY_CLASS,
)
ZERO_TAKES_COEFFICIENT = Move(
    key="exponent-zero-takes-coefficient",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("b*a^0", "1", (Different("b", "a"),)),
        Rewrite("b*a^0*c", "c", (Numeral("b"),)),
    ),
    distorts="zero-exponent",
    examples=(Example("5x^0", "1"),),
    refuses=("5x",),
    common=Common.NOW_AND_THEN,
)
NEGATIVE_GIVES_NEGATIVE = Move(
    key="exponent-negative-gives-negative",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a^(-n)", "-a^n", (Unsigned("n"),)),
        Rewrite("a^(-n)", "-(a*n)", (Unsigned("n"), Numeral("a"))),
    ),
    distorts="negative-exponent",
    examples=(Example("2^(-3)", "-2^3"),),
    refuses=("2^3",),
    common=Common.IN_EVERY_CLASS,
)
NEGATIVE_MOVES_COEFFICIENT = Move(
    key="exponent-negative-moves-coefficient",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("b*a^(-n)", "1/(b*a^n)", (Unsigned("n"), Numeral("b"))),
        Rewrite("b*a^(-m)*c^(-n)", "1/(b*a^m*c^n)", (Unsigned("n"), Unsigned("m"), Numeral("b"))),
    ),
    distorts="negative-exponent",
    examples=(Example("5x^(-2)", "1/(5x^2)"),),
    refuses=("5x^2",),
)
PRODUCT_MULTIPLIED = Move(
    key="exponent-product-multiplied",
    effect=Effect.WRONG,
    rewrites=(Rewrite("a^m * a^n", "a^(m*n)"),),
    distorts="same-base",
    examples=(Example("x^3*x^4", "x^(3*4)"),),
    refuses=("x^3*y^4",),
    common=Common.IN_EVERY_CLASS,
)
BASES_MULTIPLIED = Move(
    key="exponent-product-bases-multiplied",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a^m * a^n", "(a*a)^(m+n)", (Numeral("a"),)),
        Rewrite("a^m * b^n", "(a*b)^(m+n)", (Numeral("a"), Numeral("b"), Different("a", "b"))),
    ),
    distorts="same-base",
    examples=(Example("2^3*2^4", "(2*2)^(3+4)"),),
    refuses=("2^3+3^4",),
    common=Common.NOW_AND_THEN,
)
POWER_ADDED = Move(
    key="exponent-power-of-power-added",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("(a^m)^n", "a^(m+n)"),
        Rewrite("(a^m*b^k)^n", "a^(m+n)*b^(k+n)"),
    ),
    distorts="power-of-power",
    examples=(Example("(x^3)^4", "x^(3+4)"),),
    refuses=("x^3*x^4",),
)
SKIPS_FACTOR = Move(
    key="exponent-power-skips-factor",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("(a*b)^n", "a*b^n"),
        Rewrite("(a/b)^n", "a^n/b"),
        Rewrite("(a/b)^n", "a/b^n", (IsNot("a", 1),)),
        Rewrite("(a*b^m)^n", "a*b^(m*n)"),
    ),
    distorts="power-of-product",
    examples=(Example("(3x)^2", "3x^2"), Example("(x/3)^2", "x^2/3")),
    refuses=("3x^2",),
    common=Common.IN_EVERY_CLASS,
)
QUOTIENT_DIVIDED = Move(
    key="exponent-quotient-divided",
    effect=Effect.WRONG,
    rewrites=(Rewrite("a^m / a^n", "a^(m/n)"),),
    function=_in_quotient(lambda m, n: Quotient(m, n)),
    distorts="same-base",
    examples=(Example("x^12/x^4", "x^(12/4)"),),
    refuses=("x^12*x^4",),
)
QUOTIENT_REVERSED = Move(
    key="exponent-quotient-reversed",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a^m / a^n", "a^(n-m)", (Different("m", "n"),)),
        Rewrite("a^m / a^(-n)", "a^(m-n)", (Unsigned("n"),)),
    ),
    distorts="same-base",
    examples=(Example("x^3/x^8", "x^(8-3)"),),
    refuses=("x^3/y^8",),
    common=Common.NOW_AND_THEN,
)
RATIONAL_AS_DIVISION = Move(
    key="exponent-rational-as-division",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a^(1/n)", "a/n", (Above("n", 1),)),
        Rewrite("a^(m/n)", "(a*m)/n", (Above("n", 1), Above("m", 1))),
    ),
    distorts="rational-exponent",
    examples=(Example("64^(1/3)", "64/3"),),
    refuses=("64^3",),
)
RATIONAL_SWAPPED = Move(
    key="exponent-rational-swapped",
    effect=Effect.WRONG,
    rewrites=(Rewrite("a^(m/n)", "a^(n/m)", (Above("n", 1), Above("m", 1), Different("m", "n"))),),
    distorts="rational-exponent",
    examples=(Example("32^(3/5)", "32^(5/3)"),),
    refuses=("32^(1/5)",),
    common=Common.NOW_AND_THEN,
)
UNBRACKETED = Move(
    key="expeq-exponent-unbracketed",
    effect=Effect.WRONG,
    function=_bases_rewritten,
    whole_line=True,
    rewrites=(
        Rewrite("(a^k)^(x+b)", "a^(k*x+b)", (NotNumeral("x"), Above("k", 1))),
        Rewrite("(a^k)^(x-b)", "a^(k*x-b)", (NotNumeral("x"), Above("k", 1))),
    ),
    distorts="power-of-power",
    examples=(Example("(2^3)^(x+2)", "2^(3x+2)"),),
    refuses=("(2^3)^x",),
    common=Common.IN_EVERY_CLASS,
)

ERRORS = (
    AS_MULTIPLIER,
    ZERO_GIVES_ZERO,
    ZERO_TAKES_COEFFICIENT,
    NEGATIVE_GIVES_NEGATIVE,
    NEGATIVE_MOVES_COEFFICIENT,
    PRODUCT_MULTIPLIED,
    BASES_MULTIPLIED,
    POWER_ADDED,
    SKIPS_FACTOR,
    QUOTIENT_DIVIDED,
    QUOTIENT_REVERSED,
    RATIONAL_AS_DIVISION,
    RATIONAL_SWAPPED,
    UNBRACKETED,
)
