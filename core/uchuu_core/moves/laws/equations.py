"""Laws of equations: the same done to both sides, and what an equation without its unknown says.

Methods choose *what* is added or divided by; the helpers below write the new line.
"""

from collections.abc import Iterator
from fractions import Fraction
from math import lcm

from uchuu_core.lawbook.linear import (
    ADD_AND_SUBTRACT,
    ADD_TO_BOTH,
    BOTH_SIDES_SAME,
    DIVIDE_BOTH_BY,
    MULTIPLY_BOTH_BY,
    NEVER_TRUE,
    SIDES_CHANGE_PLACES,
    SUBTRACT_FROM_BOTH,
)
from uchuu_core.lawbook.says import Says, listed
from uchuu_core.moves.conditions import Nonzero
from uchuu_core.moves.laws.expanding import coefficient_and_rest, collected
from uchuu_core.moves.move import Example, Move, Rewrite
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Outcome, Product, Quotient, Relation, Sum, Term


def added_to_side(side: Expr, term: Term) -> Expr:
    """Return *side* with *term* added and like terms collected."""
    new = build.add(side, build.total((term,)))
    return collected(new) if isinstance(new, Sum) else new


def both_sides(line: Relation, term: Term) -> Relation:
    """Return *line* with *term* added to both sides, each collected."""
    return Relation(added_to_side(line.left, term), "=", added_to_side(line.right, term))


def scaled_side(side: Expr, factor: Fraction) -> Expr:
    """Return every term of *side* times *factor*; a bar that divides out goes away."""
    terms: list[Term] = []
    for term in build.terms_of(side):
        number, rest = coefficient_and_rest(term.body)
        number = number * factor if term.sign == "+" else -number * factor
        if number:
            new = build.times(number, rest)
            terms.extend(new.terms if isinstance(new, Sum) else (build.as_term(new),))
    return build.total(terms)


def moved_across(side: Expr) -> Says:
    """Say how the terms of *side* are taken to the other side."""
    terms = build.terms_of(side)
    added = [term.body for term in terms if term.sign == "-"]
    taken = [term.body for term in terms if term.sign != "-"]
    if added and taken:
        return ADD_AND_SUBTRACT(listed(added), listed(taken))
    return ADD_TO_BOTH(listed(added)) if added else SUBTRACT_FROM_BOTH(listed(taken))


def denominators(side: Expr) -> list[int]:
    """Return the whole-number denominators of the terms of *side*."""
    return [coefficient_and_rest(t.body)[0].denominator for t in build.terms_of(side)]


def _cleared(line: Line) -> Iterator[Line]:
    if isinstance(line, Relation) and line.sign == "=":
        factor = lcm(*denominators(line.left), *denominators(line.right))
        if factor > 1:
            scale = Fraction(factor)
            yield Relation(scaled_side(line.left, scale), "=", scaled_side(line.right, scale))


def _identity(line: Line) -> Iterator[Line]:
    if isinstance(line, Relation) and line.sign == "=" and line.left == line.right:
        yield Outcome("all real numbers")


def _contradiction(line: Line) -> Iterator[Line]:
    if isinstance(line, Relation) and line.sign == "=":
        left, right = coefficient_and_rest(line.left), coefficient_and_rest(line.right)
        if left[1] == right[1] == build.ONE and left[0] != right[0]:
            yield Outcome("no solution")


def _turned(line: Line) -> Iterator[Line]:
    if isinstance(line, Relation) and line.sign == "=":
        yield Relation(line.right, "=", line.left)


def _across_says(line: Line, new: Line) -> Says:
    """Say which terms left the side that they stood on."""
    assert isinstance(line, Relation) and isinstance(new, Relation)
    for old, now in ((line.left, new.left), (line.right, new.right)):
        kept = list(build.terms_of(now))
        gone = [term for term in build.terms_of(old) if term not in kept]
        if len(gone) < len(build.terms_of(old)):
            return moved_across(build.total(gone))
    return moved_across(line.left)


def _divided_says(line: Line, new: Line) -> Says:
    return DIVIDE_BOTH_BY(_scale_of(line, new))


def _multiplied_says(line: Line, new: Line) -> Says:
    return MULTIPLY_BOTH_BY(_scale_of(line, new))


def _scale_of(line: Line, new: Line) -> Expr:
    """Return what the new right side is divided, or multiplied, by."""
    assert isinstance(line, Relation) and isinstance(new, Relation)
    for side in (new.right, new.left):
        match side:
            case Quotient(_, below, _):
                return below
            case Product(factors, _):
                return factors[-1]
    raise AssertionError("Neither a quotient nor a product came out.")


def _contradiction_says(line: Line, _new: Line) -> Says:
    assert isinstance(line, Relation)
    return NEVER_TRUE(line.left, line.right)


SUBTRACT_BOTH = Move(
    key="subtract-on-both-sides",
    says=_across_says,
    rewrites=(Rewrite("x + a = b", "x = b - a"),),
    examples=(Example("x+7=19", "x=19-7"), Example("x-9=4", "x=4+9")),
    refuses=("7x=19",),
)
DIVIDE_BOTH = Move(
    key="divide-both-sides",
    says=_divided_says,
    rewrites=(Rewrite("a*x = b", "x = b/a", (Nonzero("a"),)),),
    examples=(Example("3n=18", "n=18/3"),),
    refuses=("3+n=18",),
)
MULTIPLY_BOTH = Move(
    key="multiply-both-sides",
    says=_multiplied_says,
    rewrites=(Rewrite("x/a = b", "x = b*a", (Nonzero("a"),)),),
    examples=(Example("x/5=3", "x=3*5"),),
    refuses=("5x=3",),
)
CLEAR_DENOMINATORS = Move(
    key="clear-denominators",
    function=_cleared,
    whole_line=True,
    examples=(Example("x/3+2=7", "x+6=21"), Example("(x+1)/2-3=x/5", "5(x+1)-30=2x")),
    refuses=("x+2=7",),
)
TURN_ROUND = Move(
    key="turn-equation-round",
    says=SIDES_CHANGE_PLACES,
    function=_turned,
    whole_line=True,
    examples=(Example("5=x", "x=5"),),
    refuses=("5x",),
)
IDENTITY = Move(
    key="read-an-identity",
    says=BOTH_SIDES_SAME,
    function=_identity,
    whole_line=True,
    examples=(Example("4x+6=4x+6", "all real numbers"),),
    refuses=("4x=6",),
)
CONTRADICTION = Move(
    key="read-a-contradiction",
    says=_contradiction_says,
    function=_contradiction,
    whole_line=True,
    examples=(Example("0=7", "no solution"),),
    refuses=("x=7", "7=7"),
)

LAWS = (
    SUBTRACT_BOTH,
    DIVIDE_BOTH,
    MULTIPLY_BOTH,
    CLEAR_DENOMINATORS,
    TURN_ROUND,
    IDENTITY,
    CONTRADICTION,
)
