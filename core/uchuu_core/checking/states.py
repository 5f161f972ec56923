"""Lawful states: what a student may have in mind between two written lines.

A student does several things in one line. An error is looked for on the line before and on the
forms that laws make of it in a few steps: numbers worked out, brackets opened, terms collected.
"""

from collections.abc import Iterator
from fractions import Fraction

from uchuu_core import limits
from uchuu_core.moves.laws import arithmetic, equations, expanding, exponents, signs
from uchuu_core.moves.laws.expanding import (
    coefficient_and_rest,
    common_number,
    divided_terms,
)
from uchuu_core.moves.move import Move, able
from uchuu_core.moves.places import places_of
from uchuu_core.tree.build import (
    ONE,
    number,
    product,
    terms_of,
    total,
    without_brackets,
)
from uchuu_core.tree.nodes import Expr, Line, Quotient, Relation, Sum, Term
from uchuu_core.tree.paths import letters, replace_at, walk
from uchuu_core.tree.shape import unordered

_TIDYING = (
    signs.MINUS_NEGATIVE,
    signs.PLUS_NEGATIVE,
    expanding.MINUS_INTO_BRACKET,
    expanding.INTO_BRACKET,
    expanding.MULTIPLY_BRACKETS,
    expanding.SQUARE_BINOMIAL,
    arithmetic.POWER,
    arithmetic.MULTIPLY,
    arithmetic.DIVIDE,
    arithmetic.ADD,
    expanding.COLLECT,
    exponents.POWER_OF_PRODUCT,
)
_TIDYING_EQUATIONS: tuple[Move, ...] = (
    *_TIDYING,
    equations.CLEAR_DENOMINATORS,
    equations.SUBTRACT_BOTH,
    equations.DIVIDE_BOTH,
    equations.MULTIPLY_BOTH,
)
MOST_STATES = 12
MOST_BEFORE_DOUBT = 40
"""A right line is doubted only when none of so many lawful forms is that line."""

MOST_AFTER_ERROR = 6
"""Lawful forms of what an error wrote, in which a right line is looked for."""


class LawfulStates:
    """A line and lawful forms of it, nearest first, at most ``most``; worked out as they are asked for."""

    def __init__(self, line: Line, most: int = MOST_STATES) -> None:
        self.start: Line = without_brackets(line)
        self._found = [self.start]
        self._more = self._next(most)

    def __iter__(self) -> Iterator[Line]:
        """Yield the states; ends early, without an error, when the work that was given is spent."""
        number = 0
        while number < len(self._found) or self._grows():
            yield self._found[number]
            number += 1

    def _grows(self) -> bool:
        try:
            return next(self._more, None) is not None
        except limits.OutOfEffort:
            return False  # the states found so far are lawful

    def _next(self, most: int) -> Iterator[Line]:
        seen = {unordered(self.start)}
        for new in _next_to(self._found):
            limits.spend()
            mark = unordered(new)
            if mark in seen:
                continue
            seen.add(mark)
            self._found.append(new)
            yield new
            if len(self._found) >= most:
                return


def _every_term_divided(line: Relation) -> Iterator[Line]:
    """Divide every term of an equation by one of its coefficients."""
    for side in (line.left, line.right):
        for term in terms_of(side):
            number, rest = coefficient_and_rest(term.body)
            if rest != ONE and abs(number) not in (0, 1):
                factor = 1 / number
                yield Relation(
                    equations.scaled_side(line.left, factor),
                    "=",
                    equations.scaled_side(line.right, factor),
                )


def _times(one: Expr, other: Expr) -> Expr:
    return product(factor for factor in (one, other) if factor != ONE)


def _cleared_both(line: Relation) -> Iterator[Line]:
    """Multiply both fractions of ``a/b = c/d`` by both denominators."""
    left, right = line.left, line.right
    if line.sign == "=" and isinstance(left, Quotient) and isinstance(right, Quotient):
        one = _times(left.numerator, right.denominator)
        yield Relation(one, "=", _times(right.numerator, left.denominator))


def _over_one_denominator(line: Line) -> Iterator[Line]:
    """Write a sum of two fractions with letters below over the product of both."""
    match line:
        case Sum((Term("+", Quotient(a, b)), Term(("+" | "-") as sign, Quotient(c, d)))):
            if letters(b) and letters(d) and b != d:
                top = Sum((Term("+", _times(a, d)), Term(sign, _times(c, b))))
                yield Quotient(top, product((b, d)))


def _number_taken_out(line: Line) -> Iterator[Line]:
    """Take the common number of the terms of a sum out in front of a bracket."""
    for path, part in walk(line):
        if not isinstance(part, Sum):
            continue
        common = common_number(part.terms)
        if common > 1:
            inside = total(divided_terms(part.terms, common))
            yield replace_at(line, path, product((number(Fraction(common)), inside)))


def _next_to(found: list[Line]) -> Iterator[Line]:
    """Yield the forms one law away from every state found so far, breadth first."""
    for line in found:  # grows while it is read
        if isinstance(line, Relation):
            yield from _every_term_divided(line)
            yield from _cleared_both(line)
        else:
            yield from _number_taken_out(line)
            yield from _over_one_denominator(line)
        moves = _TIDYING_EQUATIONS if isinstance(line, Relation) else _TIDYING
        parts = places_of(line)
        for move in able(moves, parts.kinds):
            for count, step in enumerate(move.apply_at(line, parts)):
                if count >= 8:
                    break
                yield step.result
