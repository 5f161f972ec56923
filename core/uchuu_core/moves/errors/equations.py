"""Errors of linear equations: what is done to one side and not, or wrongly, to the other."""

from collections.abc import Iterator
from itertools import product as choices
from math import lcm

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.conditions import Letter, NotNumeral, Numeral, Unsigned
from uchuu_core.moves.laws.expanding import (
    coefficient_and_rest,
    common_number,
    divided_terms,
)
from uchuu_core.moves.move import Common, Effect, Example, Move, Rewrite
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Expr,
    Line,
    Number,
    Outcome,
    Product,
    Quotient,
    Relation,
    Signed,
    Sum,
    Term,
)
from uchuu_core.tree.paths import letters


def _term_taken_once(line: Line) -> Iterator[Line]:
    """Take a term of one side away from the other, and leave it where it stood."""
    if not (isinstance(line, Relation) and line.sign == "="):
        return
    for scaled in _scaled(line.left):
        yield Relation(scaled, "=", line.right)
    for scaled in _scaled(line.right):
        yield Relation(line.left, "=", scaled)
    for term in build.terms_of(line.right):
        if _meets_like_term(line.left, term):
            yield Relation(_less(line.left, term), "=", line.right)
    for term in build.terms_of(line.left):
        if _meets_like_term(line.right, term):
            yield Relation(line.left, "=", _less(line.right, term))


def _scaled(side: Expr) -> Iterator[Expr]:
    """Yield a sum with its denominators cleared, and with a common number divided out."""
    terms = build.terms_of(side)
    if len(terms) < 2:
        return
    cleared = cleared_terms(terms)
    if cleared is not None:
        yield build.total(cleared)
    common = common_number(terms)
    if common > 1:
        yield build.total(divided_terms(terms, common))


def _meets_like_term(side: Expr, term: Term) -> bool:
    kind = coefficient_and_rest(term.body)[1]
    return (
        term.sign != "+-"
        and term.body != build.ZERO
        and any(coefficient_and_rest(other.body)[1] == kind for other in build.terms_of(side))
    )


def _less(side: Expr, term: Term) -> Expr:
    return build.total((*build.terms_of(side), Term(build.OPPOSITE[term.sign], term.body)))


ONE_SIDE_ONLY = Move(
    key="lineq-one-side-only",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("x + a = b", "x = b"),
        Rewrite("a*x = b", "x = b", (Numeral("a"), NotNumeral("x"))),
        Rewrite("x/a = b", "x = b", (Numeral("a"),)),
    ),
    function=lambda line: _term_taken_once(line),
    whole_line=True,
    distorts="subtract-on-both-sides",
    examples=(Example("x+7=19", "x=19"), Example("3n=18", "n=18")),
    refuses=("x=19",),
    common=Common.IN_EVERY_CLASS,
    due=Family.MOVES | Family.SCALES,
)

PART_OF_SIDE_DIVIDED = Move(
    key="lineq-part-of-side-divided",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a*x + b = c", "x + b = c/a", (Numeral("a"), NotNumeral("x"))),
        Rewrite("a*x + b = c", "x + b/a = c", (Numeral("a"), NotNumeral("x"))),
        Rewrite("a*x + b = c + d", "x + b/a = c/a + d", (Numeral("a"), NotNumeral("x"))),
        Rewrite("a*x + b = c + d", "x + b = c/a + d", (Numeral("a"), NotNumeral("x"))),
        Rewrite("a*x = c + d", "x = c + d/a", (NotNumeral("x"),)),
        Rewrite("a*x = c - d", "x = c - d/a", (NotNumeral("x"),)),
    ),
    distorts="divide-both-sides",
    examples=(Example("5x+10=45", "x+10=45/5"),),
    refuses=("5x=45",),
    common=Common.IN_EVERY_CLASS,
    due=Family.SCALES,
)

SAME_SIGN_WHEN_MOVED = Move(
    key="lineq-same-sign-when-moved",
    effect=Effect.WRONG,
    rewrites=(Rewrite("x + a = b", "x = b + a"),),
    distorts="subtract-on-both-sides",
    examples=(Example("x-9=4", "x=4-9"),),
    refuses=("9x=4",),
    common=Common.IN_EVERY_CLASS,
    due=Family.MOVES,
)

SUBTRACTS_COEFFICIENT = Move(
    key="lineq-subtracts-coefficient",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a*x = b", "x = b - a", (Numeral("a"), NotNumeral("x"))),
        Rewrite("a*x = b", "x = b + a", (Numeral("a"), NotNumeral("x"))),
        Rewrite("x/a = b", "x = b + a", (Numeral("a"), NotNumeral("x"))),
        Rewrite("x/a = b", "x = b - a", (Numeral("a"), NotNumeral("x"))),
    ),
    distorts="divide-both-sides",
    examples=(Example("4x=28", "x=28-4"), Example("x/5=3", "x=3+5")),
    refuses=("4+x=28",),
    due=Family.SCALES,
)

NEGATIVE_COEFFICIENT_LOST = Move(
    key="lineq-negative-coefficient-lost",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("-a*x = b", "x = b/a", (Numeral("a", positive=True), NotNumeral("x"))),
        Rewrite("-x = b", "x = b", (NotNumeral("x"), Unsigned("x"))),
        Rewrite("-x/a = b", "x = a*b", (Numeral("a", positive=True), NotNumeral("x"))),
        Rewrite("b - x = c", "x = c - b", (NotNumeral("x"), Unsigned("x"))),
        Rewrite("b - a*x = c", "a*x = c - b", (Numeral("a", positive=True), NotNumeral("x"))),
    ),
    distorts="divide-both-sides",
    examples=(Example("-6x=42", "x=42/6"), Example("5-x=3", "x=3-5")),
    refuses=("6x=42",),
    common=Common.IN_EVERY_CLASS,
    due=Family.SCALES,
)


def _dropped_side(line: Line) -> Iterator[Line]:
    if isinstance(line, Relation) and line.sign == "=":
        yield line.left
        yield line.right
        yield build.total(
            (build.as_term(line.left), Term("-", line.right))
            if not isinstance(line.left, Sum)
            else (*line.left.terms, Term("-", line.right))
        )


EQUALS_ZERO_LOST = Move(
    key="lineq-equals-zero-lost",
    effect=Effect.WRONG,
    function=_dropped_side,
    whole_line=True,
    distorts="subtract-on-both-sides",
    examples=(Example("x+8=0", "x+8"),),
    refuses=("x+8",),
    is_invited=False,
)


def _denominator(term: Term) -> int:
    """Return the whole number under the bar of *term*, what makes its decimal whole, 1 where there is neither."""
    match term.body:
        case Quotient(_, Number() as below, "/") if below.is_whole and below.value > 0:
            return int(below.text)
        case Number() | Product():
            first = build.factors_of(term.body)[0]
            return 10 ** len(first.text.partition(".")[2]) if isinstance(first, Number) else 1
        case _:
            return 1


def _has_bar(term: Term) -> bool:
    return isinstance(term.body, Quotient) and _denominator(term) > 1


def _cleared(term: Term, factor: int) -> Term:
    """Return *term* times *factor*, the bar gone where it divides out."""
    if isinstance(term.body, Quotient) and (below := _denominator(term)) > 1:
        return Term(term.sign, _multiplied(factor // below, term.body.numerator))
    return Term(term.sign, _multiplied(factor, term.body))


def _multiplied(factor: int, node: Expr) -> Expr:
    number, rest = coefficient_and_rest(node)
    return build.times(factor * number, rest)


def cleared_terms(terms: tuple[Term, ...]) -> list[Term] | None:
    """Return *terms* times their least common denominator, None when there is none."""
    factor = lcm(*(_denominator(term) for term in terms))
    return None if factor == 1 else [_cleared(term, factor) for term in terms]


def _missed_terms(line: Line) -> Iterator[Line]:
    """Clear the denominators, or the decimals, of an equation but leave some terms without a bar as they were."""
    if not (isinstance(line, Relation) and line.sign == "="):
        return
    left, right = build.terms_of(line.left), build.terms_of(line.right)
    terms = [*left, *right]
    factor = lcm(*(_denominator(term) for term in terms))
    barless = [n for n, t in enumerate(terms) if not _has_bar(t) and t.body != build.ZERO]
    if factor == 1 or not barless or not 2 < len(terms) <= 8:
        return
    for kept in choices((True, False), repeat=len(barless)):
        missed = {n for n, keep in zip(barless, kept, strict=True) if keep}
        if not missed or all(n in missed or _denominator(t) == 1 for n, t in enumerate(terms)):
            continue
        new = [t if n in missed else _cleared(t, factor) for n, t in enumerate(terms)]
        yield Relation(build.total(new[: len(left)]), "=", build.total(new[len(left) :]))


CLEARING_MISSED_TERM = Move(
    key="lineq-clearing-missed-term",
    effect=Effect.WRONG,
    function=_missed_terms,
    whole_line=True,
    distorts="clear-denominators",
    examples=(Example("x/3+2=7", "x+2=21"),),
    refuses=("x+2=7",),
    common=Common.IN_EVERY_CLASS,
)


def _bracket_lost(term: Term, factor: int) -> Iterator[tuple[Term, ...]]:
    """Yield a subtracted fraction times *factor* as the minus reaches only its first term."""
    match term:
        case Term("-", Quotient(Sum(terms), _, _)):
            rest = factor // _denominator(term)
            scaled = [Term(t.sign, _multiplied(rest, t.body)) for t in terms]
            first = scaled[0]
            yield (Term(build.OPPOSITE[first.sign], first.body), *scaled[1:])
            if rest != 1:
                yield (Term(build.OPPOSITE[first.sign], first.body), *terms[1:])


def _minus_before_fraction(line: Line) -> Iterator[Line]:
    if not (isinstance(line, Relation) and line.sign == "="):
        return
    left, right = build.terms_of(line.left), build.terms_of(line.right)
    terms = [*left, *right]
    factor = lcm(*(_denominator(term) for term in terms))
    if factor == 1:
        return
    for place, term in enumerate(terms):
        for opened in _bracket_lost(term, factor):
            new = [(_cleared(t, factor),) if n != place else opened for n, t in enumerate(terms)]
            sides: list[Expr] = []
            for part in (new[: len(left)], new[len(left) :]):
                sides.append(build.total(t for group in part for t in group))
            yield Relation(sides[0], "=", sides[1])


def _minus_before_letters(line: Line) -> Iterator[Line]:
    """Multiply by a denominator with the unknown; the minus before a top reaches its first term."""
    if not (isinstance(line, Relation) and line.sign == "="):
        return
    sides = (build.terms_of(line.left), build.terms_of(line.right))
    found = [t.body for side in sides for t in side if isinstance(t.body, Quotient)]
    below = list(dict.fromkeys(b.denominator for b in found if letters(b.denominator)))
    for factors in ([below[0]] if len(below) == 1 else [], below if len(below) == 2 else []):
        if not factors:
            continue
        new: list[Expr] = []
        is_met = False
        for side in sides:
            terms: list[Term] = []
            for term in side:
                rest = [f for f in factors if f != getattr(term.body, "denominator", None)]
                top: Expr = term.body
                is_fraction = isinstance(term.body, Quotient) and len(rest) < len(factors)
                if isinstance(term.body, Quotient) and is_fraction:
                    top = term.body.numerator
                if is_fraction and term.sign == "-" and isinstance(top, Sum):
                    first, *others = (
                        Term(t.sign, build.product((*rest, t.body)) if rest else t.body)
                        for t in top.terms
                    )
                    terms += [Term(build.OPPOSITE[first.sign], first.body), *others]
                    is_met = True
                else:
                    terms.append(build.as_term(build.product((*rest, top)), term.sign))
            new.append(build.total(terms))
        if is_met:
            yield Relation(new[0], "=", new[1])


def _minus_lost(line: Line) -> Iterator[Line]:
    yield from _minus_before_fraction(line)
    yield from _minus_before_letters(line)


MINUS_BEFORE_FRACTION = Move(
    key="eq-minus-before-fraction",
    effect=Effect.WRONG,
    function=_minus_lost,
    whole_line=True,
    distorts="clear-denominators",
    examples=(Example("6-(x-4)/2=5", "12-x-4=10"),),
    refuses=("6-x/2=5",),
)

CONSTANT_AS_ANSWER = Move(
    key="lineq-constant-as-answer",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("x + b = c", "x = b", (Letter("x", bare=True), Numeral("b"))),
        Rewrite("x - b = c", "x = b", (Letter("x", bare=True), Numeral("b"))),
        Rewrite("a*x + b = c", "x = b", (Numeral("a"), Letter("x", bare=True), Numeral("b"))),
        Rewrite("a*x - b = c", "x = b", (Numeral("a"), Letter("x", bare=True), Numeral("b"))),
    ),
    distorts="subtract-on-both-sides",
    examples=(Example("x+7=3", "x=7"),),
    refuses=("7x=3",),
    common=Common.NOW_AND_THEN,
    due=Family.MOVES,
    is_ending=True,
    is_invited=False,
)


def _identity_misread(line: Line) -> Iterator[Line]:
    """A line that is always true is taken for ``x = 0`` or for a contradiction."""
    if isinstance(line, Relation) and line.left == line.right:
        yield Outcome("no solution")


def _contradiction_misread(line: Line) -> Iterator[Line]:
    """A line that is never true (two different numbers) is taken for a solution."""
    match line:
        case Relation(Number() | Signed(_, Number()), "=", Number() | Signed(_, Number())) if (
            line.left != line.right
        ):
            yield Outcome("all real numbers")


IDENTITY_MISREAD = Move(
    key="lineq-identity-misread",
    effect=Effect.WRONG,
    function=_identity_misread,
    whole_line=True,
    distorts="read-an-identity",
    examples=(Example("4x+6=4x+6", "no solution"),),
    refuses=("2x=6",),
    common=Common.NOW_AND_THEN,
    is_searched=False,
)

CONTRADICTION_MISREAD = Move(
    key="lineq-contradiction-misread",
    effect=Effect.WRONG,
    function=_contradiction_misread,
    whole_line=True,
    distorts="read-a-contradiction",
    examples=(Example("0=7", "all real numbers"),),
    refuses=("2x=6",),
    common=Common.NOW_AND_THEN,
    is_searched=False,
)

ERRORS = (
    ONE_SIDE_ONLY,
    PART_OF_SIDE_DIVIDED,
    SAME_SIGN_WHEN_MOVED,
    SUBTRACTS_COEFFICIENT,
    NEGATIVE_COEFFICIENT_LOST,
    EQUALS_ZERO_LOST,
    IDENTITY_MISREAD,
    CONTRADICTION_MISREAD,
    CLEARING_MISSED_TERM,
    MINUS_BEFORE_FRACTION,
    CONSTANT_AS_ANSWER,
)
