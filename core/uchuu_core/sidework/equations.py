"""Common denominators, what is done to the unknown, the balance, and the number line."""

from collections.abc import Iterator
from typing import Any

from uchuu_core.answers.sidework import LineStretch, NumberMark
from uchuu_core.checking.context import Context
from uchuu_core.checking.original import put_in
from uchuu_core.drawing.finding import relations, terms_of
from uchuu_core.drawing.mark import Drawn
from uchuu_core.failures import Failure
from uchuu_core.kernel.algebraic import Algebraic, between
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.solutions import SolutionSet
from uchuu_core.kernel.solving import excluded_points
from uchuu_core.kernel.written import tree_of
from uchuu_core.lawbook import done_to_it as done
from uchuu_core.lawbook.says import Sentence
from uchuu_core.lawbook.sidework import (
    DONE_AND_UNDONE,
    EXCLUDED_POINTS,
    HEADS,
    NOT_ON_BOTH,
    SAME_ON_BOTH,
    WHAT_EACH_LACKS,
)
from uchuu_core.methods.fractions_in_letters import (
    ONE,
    InFactors,
    fraction_in_factors,
    least_common,
    missing,
)
from uchuu_core.methods.written import ring_of
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.notation import typst
from uchuu_core.sidework.piece import Cell, Piece, Row, heads, mathematics_of
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Quotient, Relation, Sum, Symbol
from uchuu_core.tree.paths import part_at, walk

MOST_FRACTIONS = 5


def what_each_lacks(step: Drawn, _context: Context) -> Iterator[Piece]:
    """Return each fraction of a sum, or of both sides, with what its denominator lacks to be the common one."""
    for terms in _sums(step.before):
        algebra = ring_of(step.before)
        below = [term.denominator if isinstance(term, Quotient) else build.ONE for term in terms]
        factored = [fraction_in_factors(one, algebra) for one in below]
        if not 1 < len(terms) <= MOST_FRACTIONS or any(
            f is None or f.bottom != ONE for f in factored
        ):
            continue
        has: list[InFactors] = [f for f in factored if f is not None]
        common = least_common([f.top for f in has])
        rows: list[Row] = [heads(HEADS["fraction"], HEADS["below"], HEADS["lacks"])]
        for term, one in zip(terms, has, strict=True):
            lacks = missing(one.top, common)
            rows.append(
                (
                    Cell(term),
                    Cell(one.top.tree(algebra)),
                    Cell(lacks.tree(algebra), "fits") if lacks != ONE else Cell("–"),
                )
            )
        yield Piece("denominator", WHAT_EACH_LACKS(common.tree(algebra)), tuple(rows))
        return


def _sums(line: Line) -> Iterator[list[Any]]:
    """Yield the terms of an equation with fractions, or of each sum with fractions."""
    for _, relation in relations(line):
        both = [
            part_at(side, at)
            for side in (relation.left, relation.right)
            for at in terms_of(side, ())
        ]
        yield [term for term in both if isinstance(term, Quotient)]
    for _, node in walk(line):
        if isinstance(node, Sum) and any(isinstance(term.body, Quotient) for term in node.terms):
            yield [term.body for term in node.terms]


# what is done to the unknown

_BACK: dict[Sentence, Sentence] = {
    done.ADD_IT: done.SUBTRACT_IT,
    done.SUBTRACT_IT: done.ADD_IT,
    done.TIMES_IT: done.DIVIDE_IT,
    done.DIVIDE_IT: done.TIMES_IT,
    done.SQUARE_IT: done.SQUARE_ROOT_OF_IT,
    done.SQUARE_ROOT_OF_IT: done.SQUARE_IT,
    done.OPPOSITE_OF_IT: done.OPPOSITE_OF_IT,
}


def done_and_undone(step: Drawn, _context: Context) -> Iterator[Piece]:
    """List what happens to the unknown in order, and how each is undone, from the end."""
    unknown = step.tree("unknown")
    steps = step.inner("steps")
    if unknown is None or not steps:
        return
    rows: list[Row] = [heads(HEADS["happens"], HEADS["undone"])]
    for says in steps:
        said = says.said[0]
        back = _BACK.get(said.sentence)
        undone = (
            back(**dict(said.parts)).text if back is not None and _fits(back, said.parts) else "–"
        )
        rows.append((Cell(says.text), Cell(undone)))
    yield Piece("done", DONE_AND_UNDONE(unknown), tuple(rows))


def _fits(sentence: Sentence, parts: tuple[tuple[str, Any], ...]) -> bool:
    return {name for name, _ in parts} == set(sentence.gaps)


# the balance


def balance(step: Drawn, context: Context) -> Iterator[Piece]:
    """Lay the terms of a linear equation on two pans, with what is done to both."""
    before, line = step.before, step.line
    if not (isinstance(before, Relation) and isinstance(line, Relation) and before.sign == "="):
        return
    if not (_is_flat(before, context.unknown) and _is_flat(line, context.unknown)):
        return
    law = step.said.sentence.law
    pans = tuple(
        tuple(Cell(build.total([one])) for one in build.terms_of(side))
        for side in (before.left, before.right)
    )
    tilt = _tilt(before, line, context)
    yield Piece(
        "balance",
        (NOT_ON_BOTH if tilt else SAME_ON_BOTH)(),
        pans=(pans[0], pans[1]),
        tilt=tilt,
        off=step.tree("term") or step.tree("divisor") or step.tree("factor"),
        off_sign=_OFF.get(law.key, "") if law else "",
    )


_OFF = {
    "add-on-both-sides": "+",
    "subtract-on-both-sides": "−",
    "multiply-both-sides": "·",
    "divide-both-sides": "÷",
}


def _is_flat(relation: Relation, unknown: str) -> bool:
    """Whether every term is a number, or a number of unknowns: what can be laid on a pan."""
    terms = [*build.terms_of(relation.left), *build.terms_of(relation.right)]
    kinds = (build.ONE, Symbol(unknown))
    return all(t.sign != "+-" and coefficient_and_rest(t.body)[1] in kinds for t in terms)


def _tilt(before: Relation, line: Relation, context: Context) -> int:
    """Return which side of the new line is heavier where the old one balances: −1 left, 1 right, 0 neither."""
    try:
        found = context.solutions(before)
        value = next(iter(found.points))
        after = context.solutions(line)
    except (NotRational, Undefined, Failure, StopIteration):
        return 0
    if value in after.points or not isinstance(value, Algebraic) or value.rational is None:
        return 0
    number = build.number_of(value.rational)
    algebra = context.ring
    try:
        values = [
            algebra.function(put_in(side, context.unknown, number))
            for side in (line.left, line.right)
        ]
    except (NotRational, Undefined, Failure):
        return 0
    left, right = (one.constant() for one in values)
    if left is None or right is None or left == right:
        return 0
    return -1 if left > right else 1


# the number line

MOST_NUMBERS = 8


def number_line(step: Drawn, context: Context) -> Iterator[Piece]:
    """Draw which numbers belong: what a line with conditions says, or where the given has a value."""
    for line in (step.line, step.before):
        piece = _of_line(line, context)
        if piece is not None:
            yield piece
            return


def _of_line(line: Line, context: Context) -> Piece | None:
    try:
        found = context.solutions(line)
        gaps = excluded_points(found.excluded, context.unknown) if found.excluded else []
    except (NotRational, Undefined, Failure):
        return None
    ends = {end for one in found.intervals for end in (one.low, one.high) if end is not None}
    ends |= {point for point in found.points if isinstance(point, Algebraic) and point.is_real}
    ends |= {gap for gap in gaps if gap.is_real}
    places = sorted(ends)
    trees = [tree_of(place) for place in places]
    if not places or len(places) > MOST_NUMBERS or any(tree is None for tree in trees):
        return None
    marks = tuple(
        _mark(place, tree, found, gaps)
        for place, tree in zip(places, trees, strict=True)
        if tree is not None
    )
    inside = [between(a, b) for a, b in zip([None, *places], [*places, None], strict=True)]
    stretches: tuple[LineStretch, ...] = tuple(
        {
            "belongs": found.everything or any(i.holds(Algebraic.of(x)) for i in found.intervals),
        }
        for x in inside
    )
    return Piece("number-line", EXCLUDED_POINTS(), marks=marks, stretches=stretches)


def _mark(place: Algebraic, tree: Expr, found: SolutionSet, gaps: list[Algebraic]) -> NumberMark:
    belongs = found.holds(place) and place not in gaps
    return {
        "math": mathematics_of(tree),
        "typst": typst(tree),
        "at": float(place.approximation.real),
        "is_open": not belongs,
    }
