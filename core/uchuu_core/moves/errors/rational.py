"""Errors with rational expressions: what is struck out, and what is cleared without an equation."""

from collections.abc import Iterator

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.conditions import Different
from uchuu_core.moves.errors.equations import cleared_terms
from uchuu_core.moves.errors.trinomials import divisors
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.moves.move import Common, Effect, Example, Move, Rewrite
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Line, Quotient, Sum
from uchuu_core.tree.paths import letters
from uchuu_core.tree.shape import unordered

CANCEL_EQUAL_TERMS = Move(
    key="cancel-equal-terms",
    effect=Effect.WRONG,
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


def _cleared(part: Line) -> Iterator[Line]:
    if isinstance(part, Sum):
        new = cleared_terms(part.terms)
        if new is not None:
            yield build.total(new)


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


TREATED_AS_EQUATION = Move(
    key="expression-treated-as-equation",
    effect=Effect.WRONG,
    function=_cleared,
    distorts="add-fractions",
    examples=(Example("x/2+x/3", "3x+2x"),),
    refuses=("x+2",),
    common=Common.NOW_AND_THEN,
    may_be_luck=False,
)

FACTOR_OF_ONE_TERM = Move(
    key="cancel-factor-of-one-term",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("(a*b+c)/a", "b+c"),
        Rewrite("(a*b-c)/a", "b-c"),
        Rewrite("(c-a*b)/a", "c-b"),
    ),
    function=_one_term_divided,
    distorts="divide-out",
    examples=(Example("(6x+5)/3", "2x+5"), Example("(x*y+z)/x", "y+z")),
    refuses=("(6x)/3",),
    common=Common.IN_EVERY_CLASS,
    due=Family.CANCELS,
    may_be_luck=False,
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
    may_be_luck=False,
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
    may_be_luck=False,
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
        Rewrite("a/(c+d) - b/m", "(a*m - b*c + b*d)/((c+d)*m)"),
        Rewrite("a/(c-d) - b/m", "(a*m - b*c - b*d)/((c-d)*m)"),
    ),
    distorts="one-numerator",
    examples=(Example("(5x)/(x+1)-(2x+3)/(x+1)", "(5x-2x+3)/(x+1)"),),
    refuses=("a/c-b/c",),
    common=Common.IN_EVERY_CLASS,
    may_be_luck=False,
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
    ),
    distorts="multiply-by-reciprocal",
    examples=(Example("1/(1/x+1/3)", "x+3"),),
    refuses=("1/(x+3)",),
    may_be_luck=False,
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
    may_be_luck=False,
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
