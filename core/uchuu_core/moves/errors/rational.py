"""Errors with rational expressions: what is struck out, and what is cleared without an equation."""

from collections.abc import Iterator
from itertools import chain
from itertools import product as choices

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.conditions import Different, Unsigned
from uchuu_core.moves.errors.equations import cleared_terms
from uchuu_core.moves.errors.quadratics import over
from uchuu_core.moves.errors.trinomials import divisors
from uchuu_core.moves.laws.expanding import (
    coefficient_and_rest,
    common_number,
    divided_terms,
)
from uchuu_core.moves.move import Common, Effect, Example, Move, Rewrite
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Quotient, Sum, Term
from uchuu_core.tree.paths import letters
from uchuu_core.tree.shape import unordered

CANCEL_EQUAL_TERMS = Move(
    key="cancel-equal-terms",
    effect=Effect.WRONG,
    goes_on=True,
    rewrites=(
        Rewrite("(a+b)/(a+c)", "b/c"),
        Rewrite("(a+b)/a", "b"),
        Rewrite("a/(a+b)", "1/b"),
    ),
    distorts="divide-numbers",
    examples=(Example("(x+8)/(x+2)", "8/2"), Example("2/(8+2)", "1/8")),
    refuses=("(8x)/(2x)",),
    common=Common.IN_EVERY_CLASS,
    due=Family.CANCELS,
)


def _scaled(part: Line) -> Iterator[Line]:
    """Multiply an expression by its common denominator, or divide it by a common number."""
    if not isinstance(part, Sum):
        return
    new = cleared_terms(part.terms)
    if new is not None:
        yield build.total(new)
    below = list(
        dict.fromkeys(t.body.denominator for t in part.terms if isinstance(t.body, Quotient))
    )
    if 0 < len(below) <= 3 and any(letters(factor) for factor in below):
        yield build.total(Term(t.sign, _times_all_below(t.body, below)) for t in part.terms)
    common = common_number(part.terms)
    if common > 1 and letters(part):
        yield build.total(divided_terms(part.terms, common))


def _times_all_below(body: Expr, below: list[Expr]) -> Expr:
    """Return a term times all the different denominators, its own divided out."""
    if not isinstance(body, Quotient):
        return build.product((*below, body))
    return build.product(
        (body.numerator, *(factor for factor in below if factor != body.denominator))
    )


def _equal_sides(part: Line) -> Iterator[Line]:
    """Return 0 for a fraction whose top and bottom differ at most in order."""
    if isinstance(part, Quotient) and unordered(part.numerator) == unordered(part.denominator):
        yield build.ZERO


def _one_term_divided(part: Line) -> Iterator[Line]:
    """Divide one term of the top by the number below, leave the others."""
    match part:
        case Quotient(Sum(terms), below, "/"):
            size, letters_below = coefficient_and_rest(below)
            if size.denominator != 1 or size <= 1:
                return
            for place, term in enumerate(terms):
                number, rest = coefficient_and_rest(term.body)
                if number.denominator != 1 or not number:
                    continue
                if not letters(part) and place == len(terms) - 1:
                    continue  # of plain numbers: the bar is read as a sign before the last
                for factor in divisors(size):
                    if number % factor:
                        continue
                    new = build.as_term(build.times(number / factor, rest), term.sign)
                    top = build.total((*terms[:place], new, *terms[place + 1 :]))
                    bottom = build.times(size / factor, letters_below)
                    yield top if bottom == build.ONE else Quotient(top, bottom)


def _term_divided_by_all(part: Line) -> Iterator[Line]:
    """Divide one term of the top, or several but not all, by the whole of what is below."""
    match part:
        case Quotient(Sum(terms), below, "/") if letters(below):
            divided = [_divided(term.body, below) for term in terms]
            for chosen in choices(
                (True, False), repeat=len(terms) if len(terms) <= _MOST_TERMS else 0
            ):
                met = [n for n, choice in enumerate(chosen) if choice]
                if 0 < len(met) < len(terms) and all(divided[n] is not None for n in met):
                    yield build.total(
                        build.as_term(divided[n] if n in met else term.body, term.sign)  # type: ignore[arg-type]
                        for n, term in enumerate(terms)
                    )


def _divided(body: Expr, below: Expr) -> Expr | None:
    """Return *body* over *below* where every factor of *below* is in it, else None."""
    (number, rest), (size, others) = coefficient_and_rest(body), coefficient_and_rest(below)
    for factor in build.factors_of(others):
        quotient = over(rest, factor)
        if quotient is None:
            return None
        rest = quotient
    return build.times(number / size, rest)


_MOST_TERMS = 4

TREATED_AS_EQUATION = Move(
    key="expression-treated-as-equation",
    effect=Effect.WRONG,
    function=_scaled,
    whole_line=True,
    distorts="add-fractions",
    examples=(Example("x/2+x/3", "3x+2x"),),
    refuses=("x+5",),
    common=Common.NOW_AND_THEN,
)

FACTOR_OF_ONE_TERM = Move(
    key="cancel-factor-of-one-term",
    effect=Effect.WRONG,
    goes_on=True,
    rewrites=(
        Rewrite("(a*b+c)/a", "b+c"),
        Rewrite("(a*b-c)/a", "b-c"),
        Rewrite("(c-a*b)/a", "c-b"),
    ),
    function=lambda part: chain(_one_term_divided(part), _term_divided_by_all(part)),
    distorts="divide-out",
    examples=(Example("(6x+5)/3", "2x+5"), Example("(x*y+z)/x", "y+z")),
    refuses=("(6x)/3",),
    common=Common.IN_EVERY_CLASS,
    due=Family.CANCELS,
)
TOP_VANISHES = Move(
    key="cancelled-top-vanishes",
    effect=Effect.WRONG,
    rewrites=(Rewrite("a/(a*b)", "b"),),
    function=_equal_sides,
    distorts="divide-out",
    examples=(Example("(x+5)/((x+5)(x-2))", "x-2"),),
    refuses=("(a*b)/a",),
    common=Common.NOW_AND_THEN,
    due=Family.CANCELS,
)
OPPOSITES_TO_ONE = Move(
    key="cancel-opposites-to-one",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("(a-b)/(b-a)", "1", (Different("a", "b"),)),
        Rewrite("((a-b)*c)/(b-a)", "c", (Different("a", "b"),)),
        Rewrite("(a-b)/((b-a)*c)", "1/c", (Different("a", "b"),)),
        Rewrite("((a-b)*c)/((b-a)*d)", "c/d", (Different("a", "b"),)),
    ),
    distorts="opposite-factors",
    examples=(Example("(x-9)/(9-x)", "1"),),
    refuses=("(x-9)/(x+9)",),
    due=Family.CANCELS,
)
SUBTRACT_FIRST_TERM_ONLY = Move(
    key="ratexpr-subtract-first-term-only",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a/c - (b+d)/c", "(a-b+d)/c"),
        Rewrite("a/c - (b-d)/c", "(a-b-d)/c"),
        Rewrite("(a - (b+d))/c", "(a-b+d)/c"),
        Rewrite("(a - (b-d))/c", "(a-b-d)/c"),
        # the second top was stretched first: its product has two terms
        Rewrite("a/(c+d) - b/m", "(a*m - b*c + b*d)/((c+d)*m)", (Unsigned("b"),)),
        Rewrite("a/(c-d) - b/m", "(a*m - b*c - b*d)/((c-d)*m)", (Unsigned("b"),)),
    ),
    distorts="one-numerator",
    examples=(Example("(5x)/(x+1)-(2x+3)/(x+1)", "(5x-2x+3)/(x+1)"),),
    refuses=("a/c-b/c",),
    common=Common.IN_EVERY_CLASS,
)
DIVIDED_TERMWISE = Move(
    key="ratexpr-divided-termwise",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("(a+b)/(c+d)", "a/c+b/d"),
        Rewrite("(a-b)/(c-d)", "a/c-b/d"),
        Rewrite("(a-b)/(c+d)", "a/c-b/d"),
        Rewrite("(a+b)/(c-d)", "a/c-b/d"),
    ),
    distorts="divide-out",
    examples=(Example("(x^2+16)/(x+4)", "x^2/x+16/4"),),
    refuses=("(a*b)/(c*d)",),
    due=Family.CANCELS,
)
FLIP_TERMWISE = Move(
    key="complex-fraction-flip-termwise",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("1/(1/a+1/b)", "a+b"),
        Rewrite("1/(1/a-1/b)", "a-b"),
        Rewrite("1/(a^(-1)+b^(-1))", "a+b"),
        Rewrite("1/(a^(-m)+b^(-n))", "a^m+b^n"),
        Rewrite("(a^(-1)+b^(-1))^(-1)", "a+b"),
        Rewrite("c/(1/a+1/b)", "c*(a+b)"),
        Rewrite("c/(1/a-1/b)", "c*(a-b)"),
    ),
    distorts="multiply-by-reciprocal",
    examples=(Example("1/(1/x+1/3)", "x+3"),),
    refuses=("1/(x+3)",),
)
PART_MULTIPLIED = Move(
    key="complex-fraction-part-multiplied",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("(a+b/x)/c", "(a+b)/(c*x)"),
        Rewrite("(a-b/x)/c", "(a-b)/(c*x)"),
        Rewrite("(a+b/x)/(c+d/x)", "(a+b)/(c+d)"),
        Rewrite("(a-b/x)/(c+d/x)", "(a-b)/(c+d)"),
        Rewrite("(a+b/x)/(c-d/x)", "(a+b)/(c-d)"),
    ),
    distorts="common-denominator",
    examples=(Example("(2+1/x)/5", "(2+1)/(5x)"),),
    refuses=("(2+x)/5",),
    common=Common.NOW_AND_THEN,
)

ERRORS = (
    CANCEL_EQUAL_TERMS,
    TREATED_AS_EQUATION,
    FACTOR_OF_ONE_TERM,
    TOP_VANISHES,
    OPPOSITES_TO_ONE,
    SUBTRACT_FIRST_TERM_ONLY,
    DIVIDED_TERMWISE,
    FLIP_TERMWISE,
    PART_MULTIPLIED,
)
