"""Errors in undoing what was done to the unknown: the wrong operation, the wrong number, the wrong side."""

from collections.abc import Iterator
from typing import Literal

from uchuu_core.moves.conditions import Different, Nonzero, NotNumeral, Numeral, numeral
from uchuu_core.moves.errors.quadratics import both_ways
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.moves.move import Common, Rewrite, error_of, error_on_line
from uchuu_core.tree import build
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Expr, Line, Quotient, Relation, Root, Sum, Term
from uchuu_core.tree.paths import letters

_SCALED = (Numeral("a"), Nonzero("a"), Numeral("b"), NotNumeral("x"), Different("a", "b"))


def _signs_changed(line: Line) -> Iterator[Line]:
    """Exchange the sides and change the signs of one of them."""
    for left, right in both_ways(line):
        if letters(left) and not letters(right) and numeral(right) != 0:
            yield Relation(left, "=", build.negative(right))
            if not isinstance(left, Sum):
                yield Relation(build.negative(left), "=", right)


def _zero_as_factor(line: Line) -> Iterator[Line]:
    """Read ``0x = 5`` as ``x = 0``."""
    for left, right in both_ways(line):
        number, rest = coefficient_and_rest(left)
        if number == 0 and letters(rest) and numeral(right) not in (None, 0):
            yield Relation(rest, "=", build.ZERO)


def _rooted(line: Line) -> Iterator[Line]:
    """Take a root where a square is due: ``√x = 16`` becomes ``x = √16``."""
    for left, right in both_ways(line):
        if isinstance(left, Root) and letters(left) and numeral(right) is not None:
            yield Relation(left.radicand, "=", Root(left.index, right))


def _ones_taken(line: Line) -> Iterator[Line]:
    """Take 1 from (or add 1 to) every fraction of one side, and leave the other side as it is."""
    for left, right in both_ways(line):
        terms = build.terms_of(left)
        if len(terms) < 2 or not all(_is_fraction(term.body) for term in terms):
            continue
        for sign in ("-", "+"):
            yield Relation(build.total(_with_one(term, sign) for term in terms), "=", right)


def _is_fraction(part: Expr) -> bool:
    return isinstance(part, Quotient) and bool(letters(part.numerator))


def _with_one(term: Term, sign: Literal["+", "-"]) -> Term:
    """Return ``(a ± b)/b`` for ``a/b``."""
    assert isinstance(term.body, Quotient)
    top, bottom = term.body.numerator, term.body.denominator
    both = without_brackets(build.total((*build.terms_of(top), Term(sign, bottom))))
    return Term(term.sign, Quotient(both, bottom))


DIVIDED_UPSIDE_DOWN = error_of(
    "lineq-divided-upside-down",
    (Rewrite("a*x = b", "x = a/b", _SCALED),),
    "5x=2",
    "x=5/2",
    "5x=5",
)
SAME_OPERATION = error_of(
    "lineq-same-operation",
    (
        Rewrite("x/a = b", "x = b/a", (Numeral("a"), Nonzero("a"), NotNumeral("x"))),
        Rewrite("a*x = b", "x = b*a", (Numeral("a"), Nonzero("a"), NotNumeral("x"))),
    ),
    "x/4=20",
    "x=20/4",
    "x+4=20",
)
SIGN_CHANGED_WHEN_SWAPPED = error_on_line(
    "lineq-sign-changed-when-swapped",
    _signs_changed,
    "7=x-2",
    "x-2=-7",
    "7+x-2",
    common=Common.NOW_AND_THEN,
    is_invited=False,
    is_ending=True,
)
ZERO_MISREAD = error_on_line(
    "zero-coefficient-misread",
    _zero_as_factor,
    "0*x=5",
    "x=0",
    "0*x=0",
    common=Common.NOW_AND_THEN,
)
BRACKET_FACTOR_BOTH_SIDES = error_of(
    "lineq-bracket-factor-both-sides",
    (Rewrite("a*(b+c) = d", "a*b + a*c = a*d", (Numeral("a"), NotNumeral("b"))),),
    "4(x+3)=20",
    "4x+4*3=4*20",
    "4(3x)=20",
    common=Common.NOW_AND_THEN,
)
OPPOSITE_FOR_INVERSE = error_of(
    "lineq-opposite-for-inverse",
    (Rewrite("a*x = b", "x = b/(-a)", (Numeral("a"), Nonzero("a"), NotNumeral("x"))),),
    "4x=20",
    "x=20/(-4)",
    "4+x=20",
    common=Common.NOW_AND_THEN,
)
OWN_DENOMINATOR = error_of(
    "rateq-own-denominator",
    (Rewrite("a/b = c/d", "a*b = c*d", (Different("b", "d"),)),),
    "2/x=3/(x+1)",
    "2x=3(x+1)",
    "2/x=3/x",
    common=Common.NOW_AND_THEN,
)
ROOTED_INSTEAD = error_on_line(
    "radical-eq-rooted-instead", _rooted, "sqrt(x)=16", "x=sqrt(16)", "sqrt(16)=4"
)
OTHER_COEFFICIENT = error_of(
    "root-eq-other-side-coefficient",
    (Rewrite("sqrt(c) = a*x", "c = a*x^2", (Numeral("a"), Nonzero("a"), NotNumeral("x"))),),
    "3x=sqrt(x+2)",
    "3x^2=x+2",
    "3+x=sqrt(x+2)",
)
ONES_ONE_SIDE = error_on_line(
    "one-subtracted-one-side",
    _ones_taken,
    "(x-3)/4+(x-1)/6=2",
    "(x-3-4)/4+(x-1-6)/6=2",
    "x-3+x-1=2",
    common=Common.NOW_AND_THEN,
    is_invited=False,
)
ABSOLUTE_ONE_CASE = error_of(
    "absolute-value-one-case",
    (Rewrite("abs(a) = b", "a = b"),),
    "abs(x-3)=5",
    "x-3=5",
    "x-3=5",
    common=Common.IN_EVERY_CLASS,
    may_be_luck=False,  # of 0, and of many a letter, one case is all
)

ERRORS = (
    DIVIDED_UPSIDE_DOWN,
    SAME_OPERATION,
    SIGN_CHANGED_WHEN_SWAPPED,
    ZERO_MISREAD,
    BRACKET_FACTOR_BOTH_SIDES,
    OPPOSITE_FOR_INVERSE,
    OWN_DENOMINATOR,
    ROOTED_INSTEAD,
    OTHER_COEFFICIENT,
    ONES_ONE_SIDE,
    ABSOLUTE_ONE_CASE,
)
