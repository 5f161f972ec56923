"""Errors with fractions of numbers."""

from collections.abc import Iterator
from math import lcm

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.conditions import (
    Above,
    Different,
    Divides,
    NoFraction,
    NotNumeral,
    Numeral,
    Unsigned,
    numeral,
)
from uchuu_core.moves.move import Common, Effect, Example, Move, Rewrite
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Mixed, Number, Quotient, Sum, Term

_FOUR = (Numeral("b"), Numeral("d"))


def _parts_added(part: Line) -> Iterator[Line]:
    """Write ``2 1/3 + 1 1/2`` as ``3 2/5``."""
    match part:
        case Sum((Term("+", Mixed() as one), Term("+", Mixed() as other))):
            top, bottom = one.numerator + other.numerator, one.denominator + other.denominator
            yield Mixed(one.whole + other.whole, top, bottom)


ADD_TOPS_AND_BOTTOMS = Move(
    key="fraction-add-tops-and-bottoms",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a/b + c/d", "(a+c)/(b+d)"),
        Rewrite("a/b - c/d", "(a-c)/(b+d)"),
        Rewrite("a/b - c/d", "(a-c)/(b-d)", (Different("b", "d"), Unsigned("c"))),
    ),
    function=_parts_added,
    distorts="add-fractions",
    examples=(Example("1/3+2/5", "(1+2)/(3+5)"), Example("2 1/3+1 1/2", "3 2/5")),
    refuses=("1/3*2/5",),
    common=Common.IN_EVERY_CLASS,
)


def _is_whole(node: Expr) -> bool:
    """Whether *node* is a division without rest rather than a fraction."""
    value = numeral(node)
    return isinstance(node, Quotient) and value is not None and value.denominator == 1


def _tops_not_scaled(part: Line) -> Iterator[Line]:
    """Write two fractions over their least common denominator with the tops unchanged."""
    if not isinstance(part, Sum):
        return
    below = [
        int(t.body.denominator.text)
        if isinstance(t.body, Quotient)
        and isinstance(t.body.denominator, Number)
        and t.body.denominator.is_whole
        else 1
        for t in part.terms
    ]
    common = lcm(*below) if all(below) else 1
    if common == 1 or len(set(below)) == 1 or any(_is_whole(t.body) for t in part.terms):
        return
    bottom = Number(str(common))
    yield build.total(
        Term(t.sign, Quotient(t.body.numerator if isinstance(t.body, Quotient) else t.body, bottom))
        for t in part.terms
    )


TOP_NOT_SCALED = Move(
    key="fraction-top-not-scaled",
    effect=Effect.WRONG,
    function=_tops_not_scaled,
    rewrites=(
        Rewrite("a/b + c/d", "(a+c)/(b*d)", (*_FOUR, Above("b", 1), Above("d", 1))),
        Rewrite(
            "a/b + c",
            "(a+c)/b",
            (Numeral("c"), Above("b", 1), Divides("a", "b", evenly=False)),
        ),
        *(
            Rewrite(
                f"a/b {sign} c/d", f"(a{sign}c)/(b*d)", (Different("b", "d"), NotNumeral(letter))
            )
            for sign in "+-"
            for letter in "bd"
        ),
        Rewrite("a/b + c", "(a+c)/b", (NotNumeral("b"), NoFraction("c"))),
        Rewrite("a/b - c", "(a-c)/b", (NotNumeral("b"), NoFraction("c"))),
        Rewrite("c - a/b", "(c-a)/b", (NotNumeral("b"), NoFraction("c"))),
    ),
    distorts="add-fractions",
    examples=(Example("3/4+1/6", "(3+1)/(4*6)"),),
    refuses=("3/4*1/6",),
)

OWN_DENOMINATOR_MULTIPLIED = Move(
    key="fraction-own-denominator-multiplied",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a/b + c/d", "(a*b + c*d)/(b*d)", _FOUR),
        Rewrite(
            "a/b + c/d",
            "(a*b + c*d)/(b*d)",
            (NotNumeral("b"), NotNumeral("d"), Different("b", "d")),
        ),
    ),
    distorts="add-fractions",
    examples=(
        Example("2/3+1/5", "(2*3+1*5)/(3*5)"),
        Example("1/(x+1)+6/(x-2)", "(1*(x+1)+6*(x-2))/((x+1)*(x-2))"),
    ),
    refuses=("2/3*1/5",),
    common=Common.NOW_AND_THEN,
)

DIVIDE_NO_FLIP = Move(
    key="fraction-divide-no-flip",
    effect=Effect.WRONG,
    rewrites=(Rewrite("(a/b)/(c/d)", "(a*c)/(b*d)"), Rewrite("(a/b)÷(c/d)", "(a*c)/(b*d)")),
    distorts="divide-numbers",
    examples=(Example("(2/3)/(5/7)", "(2*5)/(3*7)"),),
    refuses=("(2/3)*(5/7)",),
    common=Common.IN_EVERY_CLASS,
)

DIVIDE_WRONG_FLIP = Move(
    key="fraction-divide-wrong-flip",
    effect=Effect.WRONG,
    rewrites=(Rewrite("(a/b)/(c/d)", "(b*c)/(a*d)"),),
    distorts="divide-numbers",
    examples=(Example("(3/4)/(2/5)", "(4*2)/(3*5)"),),
    refuses=("(3/4)*(2/5)",),
    common=Common.NOW_AND_THEN,
)

SPLIT_DENOMINATOR = Move(
    key="fraction-split-denominator",
    effect=Effect.WRONG,
    rewrites=(Rewrite("a/(b+c)", "a/b + a/c"),),
    distorts="divide-numbers",
    examples=(Example("12/(2+4)", "12/2+12/4"),),
    refuses=("(2+4)/12",),
    due=Family.CANCELS,
)

ERRORS = (
    ADD_TOPS_AND_BOTTOMS,
    TOP_NOT_SCALED,
    OWN_DENOMINATOR_MULTIPLIED,
    DIVIDE_NO_FLIP,
    DIVIDE_WRONG_FLIP,
    SPLIT_DENOMINATOR,
)
