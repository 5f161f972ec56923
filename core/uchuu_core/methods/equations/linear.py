"""Linear equations in one unknown, by the schools: simplify then undo, divide first, clear fractions."""

from collections.abc import Iterator
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
from uchuu_core.methods.method import BOARD, KEY, RIDES_ALONG, Method, Moment, Posed
from uchuu_core.methods.polynomials import expansions, open_subtracted, said_of_opening
from uchuu_core.moves.laws.equations import both_sides, denominators, moved_across, scaled_side
from uchuu_core.moves.laws.expanding import coefficient_and_rest, collected
from uchuu_core.moves.said import collected_says
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Outcome, Quotient, Relation, Sum, Symbol, Term
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


def simplified(line: Relation) -> Iterator[Moment]:
    """Yield the lines that open all brackets and collect each side."""
    now: Line = line
    for moment in expansions(line):
        now = moment.line
        yield moment
    new = open_subtracted(now)
    if new != now:
        says, now = said_of_opening(now), new
        yield Moment(now, says)
    assert isinstance(now, Relation)
    joined = _collected_line(now)
    if joined != now:
        yield Moment(joined, collected_says(now.left, now.right))


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
    yield Moment(_with_unworked(line, term), says, RIDES_ALONG)
    yield Moment(both_sides(line, term), says, weight)


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
    left, right = coefficient_of(line.left, unknown), coefficient_of(line.right, unknown)
    if right == 0:
        return
    if left == 0 or (left < right and left != 0 and right > 0):
        now = line
        if left != 0:
            for moment in _add_to_both(now, build.times(left, Symbol(unknown))):
                now = moment.line  # type: ignore[assignment]
                yield moment
        turned = Relation(now.right, "=", now.left)
        yield Moment(turned, UNKNOWN_FIRST(Symbol(unknown)), 0)
        return
    yield from _add_to_both(line, build.times(right, Symbol(unknown)))


def _powers_away(line: Relation, unknown: str) -> Iterator[Moment]:
    """Yield the steps that take higher powers, the same on both sides, away."""
    now = line
    for term in build.terms_of(line.right):
        _, rest = coefficient_and_rest(term.body)
        if unknown in letters(rest) and rest != Symbol(unknown):
            for moment in _add_to_both(now, build.total((term,))):
                now = moment.line  # type: ignore[assignment]
                yield moment


def undo(line: Relation, unknown: str) -> Iterator[Moment]:
    """Yield the lines from a simplified linear equation to its answer."""
    now = line
    for moment in _powers_away(now, unknown):
        now = moment.line  # type: ignore[assignment]
        yield moment
    for moment in _letters_to_left(now, unknown):
        now = moment.line  # type: ignore[assignment]
        yield moment
    if coefficient_of(now.left, unknown) == 0:
        yield from _without_unknown(now, unknown)
        return
    constant = constant_of(now.left)
    if constant:
        for moment in _add_to_both(now, _written_constant(now.left)):
            now = moment.line  # type: ignore[assignment]
            yield moment
    yield from _undo_coefficient(now, unknown)


def _written_constant(side: Expr) -> Expr:
    for term in build.terms_of(side):
        if coefficient_and_rest(term.body)[1] == build.ONE:
            return build.total((term,))
    return build.ZERO


def _without_unknown(line: Relation, unknown: str) -> Iterator[Moment]:
    if constant_of(line.left) == constant_of(line.right):
        says = ALWAYS_TRUE(Symbol(unknown))
        yield Moment(Outcome("all real numbers"), says, KEY)
    else:
        says = NEVER_TRUE(left=line.left, right=line.right)
        yield Moment(Outcome("no solution"), says, KEY)


def _continued(start: Line, first: Iterator[Moment], unknown: str) -> Iterator[Moment]:
    now = start
    for moment in first:
        now = moment.line
        yield moment
    assert isinstance(now, Relation)
    yield from undo(now, unknown)


def simplify_then_undo(posed: Posed) -> Iterator[Moment]:
    """Simplify both sides; letters to one side, numbers to the other; undo the coefficient."""
    line = build.without_brackets(posed.given)
    yield from _continued(line, simplified(line), posed.unknown)


def clear_fractions(posed: Posed) -> Iterator[Moment]:
    """Multiply every term by the common denominator, then simplify and undo."""
    now = build.without_brackets(posed.given)
    factor = Fraction(lcm(*denominators(now.left), *denominators(now.right)))
    cleared = Relation(scaled_side(now.left, factor), "=", scaled_side(now.right, factor))
    says = CLEAR_BY(build.number(Fraction(factor)))
    yield Moment(cleared, says)
    yield from _continued(cleared, simplified(cleared), posed.unknown)


def divide_first(posed: Posed) -> Iterator[Moment]:
    """Divide every term by the coefficient of the unknown first, keeping fractions."""
    now, unknown = build.without_brackets(posed.given), posed.unknown
    for moment in simplified(now):
        now = moment.line
        yield moment
    for moment in _letters_to_left(now, unknown):
        now = moment.line
        yield moment
    factor = coefficient_of(now.left, unknown)
    if factor == 0:
        yield from _without_unknown(now, unknown)
        return
    if factor != 1:
        scale = 1 / factor
        now = Relation(scaled_side(now.left, scale), "=", scaled_side(now.right, scale))
        says = DIVIDE_EVERY_TERM_BY(build.number(factor))
        yield Moment(now, says)
    yield from undo(now, unknown)


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
DIVIDE_FIRST = Method(
    key="divide-every-term-first",
    tasks=("solve",),
    refusal=_not_linear,
    why="Every term can be divided by the coefficient of the unknown at once.",
    moments=divide_first,
)
