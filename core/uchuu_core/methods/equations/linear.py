"""Linear equations in one unknown, by the schools: simplify then undo, divide first, clear fractions."""

from collections.abc import Iterator
from dataclasses import replace
from fractions import Fraction
from math import lcm

from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.lawbook.linear import (
    ALWAYS_TRUE,
    CLEAR_BY,
    DIVIDE_BOTH_BY,
    DIVIDE_EVERY_TERM_BY,
    MULTIPLY_BOTH_BY,
    MULTIPLY_BOTH_BY_MINUS_ONE,
    MULTIPLY_BY_RECIPROCAL_OF,
    NEVER_TRUE,
    UNKNOWN_FIRST,
)
from uchuu_core.methods.groups import group_by_group
from uchuu_core.methods.method import BOARD, KEY, RIDES_ALONG, Method, Moment, Posed
from uchuu_core.methods.orders import Rule, chain, first_of, rewritten
from uchuu_core.methods.polynomials import LEAVE_BRACKETS_OUT, expansions
from uchuu_core.moves.laws.equations import both_sides, denominators, moved_across, scaled_side
from uchuu_core.moves.laws.expanding import coefficient_and_rest, collected
from uchuu_core.moves.said import collected_says
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Outcome, Quotient, Relation, Sum, Symbol, Term
from uchuu_core.tree.paths import letters, walk


def coefficient_of(side: Expr, unknown: str) -> Fraction:
    """Return the coefficient of *unknown* in a collected side."""
    for term in build.terms_of(side):
        number, rest = coefficient_and_rest(term.body)
        if rest == Symbol(unknown):
            return number if term.sign == "+" else -number
    return Fraction(0)


def constant_of(side: Expr) -> Fraction:
    """Return the plain number in a collected side, 0 when there is none."""
    total = Fraction(0)
    for term in build.terms_of(side):
        number, rest = coefficient_and_rest(term.body)
        if rest == build.ONE:
            total += number if term.sign == "+" else -number
    return total


def _collected_line(line: Relation) -> Relation:
    sides = [collected(s) if isinstance(s, Sum) else s for s in (line.left, line.right)]
    return Relation(sides[0], "=", sides[1])


def _collected(line: Relation) -> Iterator[Moment]:
    """Yield each side with its like terms joined, group by group where every move is written."""
    new = _collected_line(line)
    if new != line:
        yield from group_by_group(line, new)
        yield Moment(new, collected_says(line.left, line.right))


SIMPLIFY = chain(
    expansions,
    LEAVE_BRACKETS_OUT,
    _collected,
)
"""All brackets are opened, each side is collected."""


def simplified(line: Relation) -> Iterator[Moment]:
    """Yield the lines that open all brackets and collect each side."""
    return SIMPLIFY(line)


def _with_unworked(line: Relation, term: Term) -> Relation:
    """Return *line* with *term* written on both sides, nothing worked out."""
    written = build.total((term,))
    sides = [
        build.total((*build.terms_of(s), *build.terms_of(written))) for s in (line.left, line.right)
    ]
    return Relation(sides[0], "=", sides[1])


def _add_to_both(line: Relation, value: Expr, weight: int = BOARD) -> Iterator[Moment]:
    """Yield the step that takes *value* away on both sides."""
    term = build.as_term(build.negative(value))
    says = moved_across(value)
    unworked = _with_unworked(line, term)
    yield Moment(unworked, says, RIDES_ALONG)
    end = both_sides(line, term)
    *_, zero = (None, *group_by_group(unworked, end))
    if zero is not None:
        yield replace(zero, says=says)
    yield Moment(end, says, weight)


def _undo_coefficient(line: Relation, unknown: str) -> Iterator[Moment]:
    """Yield the step from ``a x = c`` to ``x = c/a``."""
    factor = coefficient_of(line.left, unknown)
    if factor == 1:
        return
    value = constant_of(line.right)
    result = Relation(Symbol(unknown), "=", build.number(value / factor))
    if any("." in getattr(p, "text", "") for _, p in walk(line)):
        result = Relation(Symbol(unknown), "=", build.decimal(value / factor))
    if factor == -1:
        yield Moment(result, MULTIPLY_BOTH_BY_MINUS_ONE(), KEY)
    elif abs(factor.numerator) == 1:
        by = factor.denominator * factor.numerator
        says = MULTIPLY_BOTH_BY(build.number(by))
        yield Moment(result, says, KEY)
    elif factor.denominator == 1:
        divisor = build.number(factor)
        undone = Relation(Quotient(line.left, divisor), "=", Quotient(line.right, divisor))
        says = DIVIDE_BOTH_BY(divisor)
        yield Moment(undone, says, RIDES_ALONG)
        yield Moment(result, says, KEY)
    else:
        says = MULTIPLY_BY_RECIPROCAL_OF(build.number(1 / factor))
        yield Moment(result, says, KEY)


def _letters_to_left(line: Relation, unknown: str) -> Iterator[Moment]:
    letter = Symbol(unknown)
    left, right = coefficient_of(line.left, unknown), coefficient_of(line.right, unknown)
    if right == 0:
        return
    if left != 0 and not (left < right and right > 0):
        yield from _add_to_both(line, build.times(right, letter))
        return
    moved = _add_to_both(line, build.times(left, letter)) if left else ()
    turned = rewritten(_turned, lambda _: UNKNOWN_FIRST(letter), RIDES_ALONG)
    yield from chain(lambda _: iter(moved), turned)(line)


def _turned(line: Relation) -> Relation:
    return Relation(line.right, "=", line.left)


def _powers_away(line: Relation, unknown: str) -> Iterator[Moment]:
    """Yield the steps that take higher powers, the same on both sides, away."""
    terms = [
        build.total((term,))
        for term in build.terms_of(line.right)
        if unknown in letters(rest := coefficient_and_rest(term.body)[1])
        and rest != Symbol(unknown)
    ]
    away = (lambda now, term=term: _add_to_both(now, term) for term in terms)
    yield from chain(*away)(line)


def _constant_away(line: Relation) -> Iterator[Moment]:
    if constant_of(line.left):
        yield from _add_to_both(line, _written_constant(line.left))


def undoing(unknown: str) -> Rule:
    """Return the order in which a simplified linear equation is undone."""
    return chain(
        lambda line: _powers_away(line, unknown),
        lambda line: _letters_to_left(line, unknown),
        first_of(
            lambda line: _without_unknown(line, unknown),
            chain(_constant_away, lambda line: _undo_coefficient(line, unknown)),
        ),
    )


def undo(line: Relation, unknown: str) -> Iterator[Moment]:
    """Yield the lines from a simplified linear equation to its answer."""
    return undoing(unknown)(line)


def _written_constant(side: Expr) -> Expr:
    for term in build.terms_of(side):
        if coefficient_and_rest(term.body)[1] == build.ONE:
            return build.total((term,))
    return build.ZERO


def _without_unknown(line: Relation, unknown: str) -> Iterator[Moment]:
    """Yield what an equation says whose unknown has gone."""
    if coefficient_of(line.left, unknown) != 0:
        return
    if constant_of(line.left) == constant_of(line.right):
        yield Moment(Outcome("all real numbers"), ALWAYS_TRUE(Symbol(unknown)), KEY)
    else:
        yield Moment(Outcome("no solution"), NEVER_TRUE(line.left, line.right), KEY)


def _cleared(line: Relation) -> Iterator[Moment]:
    factor = Fraction(lcm(*denominators(line.left), *denominators(line.right)))
    cleared = Relation(scaled_side(line.left, factor), "=", scaled_side(line.right, factor))
    yield Moment(cleared, CLEAR_BY(factor))


def _every_term_divided(line: Relation, unknown: str) -> Iterator[Moment]:
    factor = coefficient_of(line.left, unknown)
    if factor not in (0, 1):
        sides = (scaled_side(side, 1 / factor) for side in (line.left, line.right))
        yield Moment(Relation(next(sides), "=", next(sides)), DIVIDE_EVERY_TERM_BY(factor))


def simplify_then_undo(posed: Posed) -> Iterator[Moment]:
    """Simplify both sides; letters to one side, numbers to the other; undo the coefficient."""
    return chain(SIMPLIFY, undoing(posed.unknown))(build.without_brackets(posed.given))


def clear_fractions(posed: Posed) -> Iterator[Moment]:
    """Multiply every term by the common denominator, then simplify and undo."""
    return chain(_cleared, SIMPLIFY, undoing(posed.unknown))(build.without_brackets(posed.given))


def divide_first(posed: Posed) -> Iterator[Moment]:
    """Divide every term by the coefficient of the unknown first, keeping fractions."""
    unknown = posed.unknown
    order = chain(
        SIMPLIFY,
        lambda line: _letters_to_left(line, unknown),
        lambda line: _every_term_divided(line, unknown),
        undoing(unknown),
    )
    return order(build.without_brackets(posed.given))


# when each applies


def _not_linear(posed: Posed) -> str | None:
    line, unknown = posed.given, posed.unknown
    if not isinstance(line, Relation) or line.sign != "=":
        return "this is not an equation"
    if letters(line) - {unknown}:
        return "it holds further letters"
    try:
        algebra = ring((unknown,))
        zero = algebra.function(line.left).minus(algebra.function(line.right))
    except (NotRational, Undefined):
        return "it is not linear"
    for _, part in walk(line):
        if isinstance(part, Quotient) and letters(part.denominator):
            return "the unknown is below a bar"
    if zero.numerator.total_degree() > 1:
        return "the unknown has a power above one"
    return None


def _no_fractions(posed: Posed) -> str | None:
    line = posed.given
    reason = _not_linear(posed)
    if reason:
        return reason
    assert isinstance(line, Relation)
    now = build.without_brackets(line)
    if lcm(*denominators(now.left), *denominators(now.right)) == 1:
        return "no term has a denominator"
    return None


SIMPLIFY_THEN_UNDO = Method(
    key="simplify-both-sides-then-undo",
    tasks=("solve",),
    refusal=_not_linear,
    why="Linear: simplify each side, then undo addition before multiplication.",
    moments=simplify_then_undo,
)
CLEAR_FRACTIONS = Method(
    key="clear-fractions",
    tasks=("solve",),
    refusal=_no_fractions,
    why="There are denominators: one multiplication clears them all.",
    moments=clear_fractions,
)
KEEP_FRACTIONS = Method(
    key="keep-fractions",
    tasks=("solve",),
    refusal=_no_fractions,
    why="Fractions are numbers like others: collect them, then multiply by the reciprocal.",
    moments=simplify_then_undo,
    suits=lambda _posed: False,
)
DIVIDE_FIRST = Method(
    key="divide-every-term-first",
    tasks=("solve",),
    refusal=_not_linear,
    why="Every term can be divided by the coefficient of the unknown at once.",
    moments=divide_first,
)
