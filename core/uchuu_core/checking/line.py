"""The verdict of one line against the line before it. Decided by the kernel alone."""

from dataclasses import dataclass, field
from math import gcd, lcm

from flint import fmpq

from uchuu_core.checking.context import Context
from uchuu_core.contract import Proof, Verdict
from uchuu_core.kernel.domains import condition, denominator_factors
from uchuu_core.kernel.equality import Agreement, Counter, agreement
from uchuu_core.kernel.finished import ALONE, unmet_forms
from uchuu_core.kernel.points import NotRational, Undefined, value_at
from uchuu_core.kernel.rational_functions import Factor, RationalFunction
from uchuu_core.kernel.solution_sets import (
    SolutionSet,
    described,
    difference,
    rational_solutions,
)
from uchuu_core.tree.nodes import Chain, Either, Expr, Line, Outcome, Relation, Symbol, ValueSet
from uchuu_core.tree.paths import letters

_STATEMENTS = (Relation, Chain, Either, ValueSet, Outcome)


@dataclass(slots=True)
class Judgement:
    """What the kernel knows of one line."""

    verdict: Verdict
    proof: Proof = "exact"
    conditions: list[str] = field(default_factory=list)
    adds: list[str] = field(default_factory=list)
    drops: list[str] = field(default_factory=list)
    tested: str | None = None
    counter: Counter | None = None
    is_check_line: bool = False


def is_statement(line: Line) -> bool:
    """Return whether *line* says something that is true or false (it is no bare expression)."""
    return isinstance(line, _STATEMENTS)


def judged(before: Line, line: Line, context: Context) -> Judgement:
    """Return the verdict of *line*, written under *before*."""
    if context.problem.task in ("domain", "study"):
        return Judgement("unproved", "tested", tested="lines of this task are not judged yet")
    try:
        if context.is_equation:
            return _judged_statement(before, line, context)
        return _judged_expression(before, line, context)
    except Undefined:
        if not _has_value(before, context):
            return Judgement("unproved", "tested", tested="the line before divides by zero")
        return Judgement("wrong", "exact", tested="this line divides by zero")
    except NotRational:
        return Judgement("unproved", "tested", tested="roots and powers of this kind")


def _has_value(line: Line, context: Context) -> bool:
    """Whether *line* is defined somewhere, so that what follows it can be compared."""
    try:
        if is_statement(line):
            context.solutions(_as_relation(line))
        else:
            context.ring.function(line)  # type: ignore[arg-type]
    except NotRational:
        return True
    except Undefined:
        return False
    return True


# expressions


def _value_of(line: Line) -> Expr | None:
    """Return the expression that a line of an expression task ends with."""
    match line:
        case Chain(sides):
            return sides[-1]
        case Relation(_, "=", right):
            return right
        case _:
            return None if is_statement(line) else line  # type: ignore[return-value]


def sides_of(line: Line) -> tuple[Expr, ...]:
    """Return the expressions that a line of an expression task claims to be equal."""
    match line:
        case Chain(sides):
            return sides
        case Relation(left, "=", right):
            return (left, right)
        case _:
            return () if is_statement(line) else (line,)  # type: ignore[return-value]


def _judged_expression(before: Line, line: Line, context: Context) -> Judgement:
    start = _value_of(before)
    sides = sides_of(line)
    if start is None or not sides:
        return Judgement("unproved", "tested", tested="this kind of line is not judged yet")
    verdicts: list[Agreement] = []
    for side in sides:
        verdicts.append(agreement(start, side))
        start = side
    for found in verdicts:
        if found.verdict == "different":
            return Judgement("wrong", "refuted", counter=found.counter)
    for found in verdicts:
        if found.verdict == "undecided":
            return Judgement("unproved", "tested", tested=found.tested)
    return Judgement("ok", "exact", conditions=_lost_conditions(before, line, context))


def _lost_conditions(before: Line, line: Line, context: Context) -> list[str]:
    """Return what must be said because *line* has values where *before* has none."""
    had = denominator_factors(before, context.ring)
    has = denominator_factors(line, context.ring)
    return sorted(condition(factor) for factor in had - has)


# equations


def _as_relation(line: Line) -> Line:
    """Read ``x = 10/2 = 5`` as its first and last side."""
    return Relation(line.sides[0], "=", line.sides[-1]) if isinstance(line, Chain) else line


def _judged_statement(before: Line, line: Line, context: Context) -> Judgement:
    if isinstance(line, Chain):
        for left, right in zip(line.sides[1:], line.sides[2:], strict=False):
            if agreement(left, right).verdict == "different":
                return Judgement("wrong", "refuted", counter=agreement(left, right).counter)
    if not is_statement(line):
        return _judged_bare(before, line, context)  # type: ignore[arg-type]
    if not is_statement(before):
        return Judgement("wrong", "exact")
    now = _as_relation(line)
    check = check_line(before, now, context)
    if check is not None:
        return check
    earlier = _as_relation(before)
    was = context.solutions(earlier)
    has = context.solutions(now)
    return _compared(earlier, was, now, has, context)


def _judged_bare(before: Line, line: Expr, context: Context) -> Judgement:
    """Judge an expression under an equation: the value alone is fine, a dropped side is not."""
    if not is_statement(before):
        found = agreement(_value_of(before), line)  # type: ignore[arg-type]
        if found.verdict == "different":
            return Judgement("wrong", "refuted", counter=found.counter)
        return Judgement("ok" if found.verdict == "equal" else "unproved")
    if not letters(line) and not unmet_forms(before, "solve", (), context.unknown):
        named = Relation(_letter(context), "=", line)
        return _judged_statement(before, named, context)
    return Judgement("wrong", "exact")


def _letter(context: Context) -> Expr:
    return Symbol(context.unknown)


def check_line(before: Line, line: Line, context: Context) -> Judgement | None:
    """Return the verdict of a line that puts a candidate into the given, None when it is no such.

    It has no letters, follows a solved line, and one side is the given's side at the candidate.
    """
    if not (isinstance(line, Relation) and line.sign == "=" and not letters(line)):
        return None
    if not isinstance(context.given, Relation) or not letters(context.given):
        return None
    if unmet_forms(before, "solve", (), context.unknown) and letters(before):
        return None
    try:
        left, right = value_at(line.left, {}), value_at(line.right, {})
    except (Undefined, NotRational):
        return None
    if not _is_substitution(before, left, right, context):
        return None
    if left == right:
        return Judgement("ok", is_check_line=True)
    return Judgement(
        "wrong", "refuted", counter=Counter((), str(left), str(right)), is_check_line=True
    )


def _is_substitution(before: Line, left: fmpq, right: fmpq, context: Context) -> bool:
    given = context.given
    assert isinstance(given, Relation)
    if not letters(before):
        return False
    candidates = rational_solutions(context.solutions(_as_relation(before)), context.unknown)
    for candidate in candidates:
        point = {context.unknown: candidate}
        try:
            wanted = value_at(given.left, point), value_at(given.right, point)
        except (Undefined, NotRational, KeyError):
            continue
        if left == wanted[0] or right == wanted[1] or left == wanted[1]:
            return True
    return False


def _compared(
    before: Line, was: SolutionSet, line: Line, has: SolutionSet, context: Context
) -> Judgement:
    solved = ALONE not in unmet_forms(line, "solve", (), context.unknown)
    widened = was.excluded - has.excluded - has.granted
    conditions = sorted(condition(factor) for factor in has.granted - was.granted)
    if was.same_solutions(has):
        if was.is_empty and not _connected(before, line, context):
            return Judgement("wrong", "exact")
        if widened and not solved:
            return Judgement("may-add", conditions=_as_conditions(widened))
        return Judgement("ok", conditions=conditions)
    adds = [described(f, context.unknown) for f in has.factors - was.factors]
    drops = [described(f, context.unknown) for f in was.factors - has.factors]
    if was.within(has) and not solved and not has.everything:
        cleared = has.factors <= was.excluded  # only values that a denominator excluded came in
        if (cleared or not was.is_empty) and _is_multiple(before, line, context):
            return Judgement("may-add", adds=sorted(adds), conditions=_as_conditions(widened))
    if has.within(was) and not was.everything:
        if _only_failing_dropped(was, has, context):
            return Judgement("ok")
        if context.original is None:  # a check may be owed, and cannot be made
            return Judgement("unproved", "tested", tested="the given is of a kind not solved yet")
        if not has.is_empty:
            return Judgement("loses", drops=sorted(drops))
    return Judgement("wrong", "refuted", counter=_refuting_value(was, line, context))


def _as_conditions(factors: frozenset[Factor]) -> list[str]:
    return sorted(condition(factor) for factor in factors)


def _only_failing_dropped(was: SolutionSet, has: SolutionSet, context: Context) -> bool:
    """Whether every solution that is left out fails in the original (a check that was owed)."""
    original = context.original
    if original is None or original.everything or has.factors == was.factors:
        return False
    return not (was.factors - has.factors) & original.factors


def _connected(before: Line, line: Line, context: Context) -> bool:
    """Whether two equations without solutions are steps of one work, not two contradictions.

    They are when left minus right is the same or opposite (terms were added to both sides), or
    when both sides are multiplied by one number up to an added constant, or when the unknown has
    gone from a side and the number is one that clears denominators or divides everything.
    """
    if not (isinstance(before, Relation) and isinstance(line, Relation)):
        return True
    earlier, now = difference(before, context.ring), difference(line, context.ring)
    ratio = now.over(earlier)
    factor = ratio.constant() if ratio is not None else None
    if factor is None:
        return True  # multiplied by an expression; the sets were compared
    if abs(factor) == 1:
        return True
    ring = context.ring
    was = [ring.function(side) for side in (before.left, before.right)]
    has = [ring.function(side) for side in (line.left, line.right)]
    if any(side.constant() is not None for side in has) and abs(factor) in _clearing(was):
        return True
    scaled = (RationalFunction(w.numerator * factor, w.denominator) for w in was)
    return all(h.minus(s).constant() is not None for h, s in zip(has, scaled, strict=True))


def _clearing(sides: list[RationalFunction]) -> set[fmpq]:
    """Return the numbers that clear the denominators of *sides*, or divide all their numbers."""
    numbers = [c for side in sides for c in side.numerator.coeffs()]
    below = lcm(*(int(c.q) for c in numbers))
    above = gcd(*(int((c * below).p) for c in numbers)) or 1
    return {fmpq(below), fmpq(below, above), fmpq(1, above)}


def _is_multiple(before: Line, line: Line, context: Context) -> bool:
    """Whether left minus right was multiplied by a polynomial: the legal way to gain solutions."""
    if not (isinstance(before, Relation) and isinstance(line, Relation)):
        return False
    ratio = difference(line, context.ring).over(difference(before, context.ring))
    if ratio is None:
        return False
    return bool(ratio.denominator.is_constant()) or bool(
        (ratio.numerator % ratio.denominator).is_zero()
    )


def _refuting_value(was: SolutionSet, line: Line, context: Context) -> Counter | None:
    """Return a solution of the line before that does not solve *line*, both sides worked out."""
    if not isinstance(line, Relation):
        line = context.given
    if not isinstance(line, Relation):
        return None
    for solution in rational_solutions(was, context.unknown):
        point = {context.unknown: solution}
        try:
            left, right = value_at(line.left, point), value_at(line.right, point)
        except (Undefined, NotRational, KeyError):
            continue
        if left != right:
            return Counter(((context.unknown, str(solution)),), str(left), str(right))
    return None
