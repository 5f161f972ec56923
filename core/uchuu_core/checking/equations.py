"""The verdict of an equation under an equation, by comparing exact solution sets."""

from dataclasses import replace
from itertools import islice
from math import gcd, lcm
from typing import Any

from flint import fmpq

from uchuu_core.checking.context import Context
from uchuu_core.checking.domain_lines import judged_remark
from uchuu_core.checking.judgement import Judgement, is_statement
from uchuu_core.contract import Verdict
from uchuu_core.failures import Failure
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.domains import condition, even_roots
from uchuu_core.kernel.equality import Counter, agreement, difference, value_texts
from uchuu_core.kernel.exact import Exact, Undecided
from uchuu_core.kernel.finished import ALONE, unmet_forms
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import Factor, RationalFunction, ring
from uchuu_core.kernel.solutions import Point, SolutionSet
from uchuu_core.kernel.solving import points_of, solution_set
from uchuu_core.kernel.written import described, interval_text, number_text
from uchuu_core.lawbook.says import Says, in_order
from uchuu_core.methods.equations.candidates import why_rejected
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Chain, Expr, Line, Number, Outcome, Power, Relation, Symbol
from uchuu_core.tree.paths import letters, rebuild

_SPECIAL_CASES = 6
_SEVERITY: tuple[Verdict, ...] = ("wrong", "unproved", "loses", "may-add", "ok")


def judged_statement(before: Line, line: Line, context: Context) -> Judgement:
    """Return the verdict of *line* under *before* in a problem that is to be solved.

    Raises:
        NotRational, Undefined: see ``solution_set``.
    """
    if isinstance(line, Chain):
        for left, right in zip(line.sides[1:], line.sides[2:], strict=False):
            found = agreement(left, right, context.numbers)
            if found.verdict == "different":
                return Judgement("wrong", "refuted", counter=found.counter)
    if not is_statement(line):
        return _judged_bare(before, line, context)  # type: ignore[arg-type]
    if not is_statement(before):
        return Judgement("wrong", "exact")
    now, earlier = _as_relation(line), _as_relation(before)
    aside = judged_remark(now, context)
    if aside is not None:
        return aside
    try:
        was, has = context.solutions(earlier), context.solutions(now)
        return compared(earlier, was, now, has, context)
    except NotRational:
        if len((letters(earlier) | letters(now)) - {"e"}) > 1:
            return _judged_by_special_cases(earlier, now, context)
        refuted = _refuted_by_solutions(earlier, now, context)
        if refuted is not None:
            return refuted
        raise


def _as_relation(line: Line) -> Line:
    """Read ``x = 10/2 = 5`` as its first and last side."""
    return Relation(line.sides[0], "=", line.sides[-1]) if isinstance(line, Chain) else line


def _judged_bare(before: Line, line: Expr, context: Context) -> Judgement:
    """Judge an expression under an equation: the value alone is fine, a dropped side is not."""
    if not is_statement(before):
        found = agreement(before, line, context.numbers)  # type: ignore[arg-type]
        if found.verdict == "different":
            return Judgement("wrong", "refuted", counter=found.counter)
        return Judgement("ok" if found.verdict == "equal" else "unproved")
    if not letters(line) and not unmet_forms(before, "solve", (), context.unknown):
        named = Relation(Symbol(context.unknown), "=", line)
        return judged_statement(before, named, context)
    return Judgement("wrong", "exact")


def _is_zero(node: Expr, place: dict[str, Any]) -> bool:
    return Exact(place).sign(node) == 0


def _refuted_by_solutions(before: Line, line: Line, context: Context) -> Judgement | None:
    """Put the solutions of the line before into a line that is not solved exactly itself."""
    if not isinstance(line, Relation) or line.sign != "=":
        return None
    was = context.solutions(before)
    points = [p for p in was.points if isinstance(p, Algebraic)]
    if was.everything or was.intervals or len(points) != len(was.points) or not points:
        return None
    failing = []
    for point in points:
        value = point.rational
        place = {context.unknown: point if value is None else value}
        try:
            if not _is_zero(difference(line.left, line.right), place):
                failing.append(point)
        except Undefined:
            failing.append(point)
        except (Undecided, NotRational):
            return None
    if len(failing) < len(points):
        return None
    return Judgement("wrong", "refuted", counter=_refuting_value(was, line, context))


# two solution sets


def compared(
    before: Line, was: SolutionSet, line: Line, has: SolutionSet, context: Context
) -> Judgement:
    """Return the verdict that follows from the solutions *was* and *has* of two lines.

    Raises:
        NotRational: they differ in something that is not solved exactly.
    """
    unknown = context.unknown
    solved = ALONE not in unmet_forms(line, "solve", (), unknown)
    conditions = _owed(was, has, unknown)
    if was.same_solutions(has):
        if was.is_empty and not solved and _is_done_to_both(before, line, context):
            return Judgement("may-add")
        if was.is_empty and not _connected(before, was, line, has, context):
            return Judgement("wrong", "exact")
        if not solved and _is_widened(before, was, line, has, context):
            dropped = _dropped_conditions(was, has)
            return Judgement("may-add", conditions=sorted({*dropped, *conditions}))
        return Judgement("ok", conditions=conditions)
    if was.has_opaque or has.has_opaque:
        raise NotRational
    adds, drops = has.beyond(was), was.beyond(has)
    if (
        was.within(has)
        and not has.everything
        and (_is_legal_gain(was, has, solved, context) or _is_done_to_both(before, line, context))
    ):
        texts = sorted(described(point, unknown) for point in adds)
        return Judgement("may-add", adds=texts, conditions=_dropped_conditions(was, has))
    if was.intervals and has.everything and isinstance(line, Relation) and line.sign == "=":
        if _is_done_to_both(before, line, context):
            return Judgement("may-add")
        raise NotRational  # squared, perhaps: an identity keeps no trace of it
    if has.within(was) and not was.everything:
        if context.is_sound and solved and _only_failing_dropped(was, has, context):
            left_out = sorted(p for p in drops if isinstance(p, Algebraic) and p.is_real)
            return Judgement("ok", says=_said_of_rejected(left_out, context), rejects=left_out)
        if context.original is None:  # a check may be owed, and cannot be made
            return Judgement("unproved", "tested", tested="the given is of a kind not solved yet")
        if not solved and _changed_on_purpose(before, was, line, has, context):
            return Judgement("wrong", "exact")
        if not has.is_empty:
            texts = sorted(described(point, unknown) for point in drops)
            texts += [interval_text(i, unknown) for i in was.intervals if i not in has.intervals]
            return Judgement("loses", drops=texts)
    return Judgement("wrong", "refuted", counter=_refuting_value(was, line, context))


def _changed_on_purpose(
    before: Line, was: SolutionSet, line: Line, has: SolutionSet, context: Context
) -> bool:
    """Whether a polynomial equation kept what holds in the given without being a factor.

    ``(x-6)(x+1) = 0`` → ``(x-6)^2 = 0``; dividing a factor away is another thing.
    """
    if not context.is_sound or not _only_failing_dropped(was, has, context):
        return False
    if not (isinstance(before, Relation) and isinstance(line, Relation)):
        return False
    try:
        mine, theirs = (
            context.ring.function(part.left).minus(context.ring.function(part.right))
            for part in (before, line)
        )
    except (NotRational, Undefined):
        return False
    quotient = mine.over(theirs)
    return quotient is None or not context.ring.lowest(quotient).denominator.is_constant()


def _is_done_to_both(before: Line, line: Line, context: Context) -> bool:
    """Whether both sides were raised to a power, or multiplied by one expression with the unknown."""
    if not (isinstance(before, Relation) and isinstance(line, Relation)):
        return False
    pairs = ((before.left, line.left), (before.right, line.right))
    if line.sign != "=" or before.sign != "=" or any(a == b for a, b in pairs):
        return False
    try:
        for exponent in ("2", "3", "4"):
            if all(
                agreement(Power(a, Number(exponent)), b, context.numbers).verdict == "equal"
                for a, b in pairs
            ):
                return True
        one, other = (
            build.product(pair) for pair in ((before.left, line.right), (before.right, line.left))
        )
        if context.unknown not in letters(line):
            return False
        if agreement(one, other, context.numbers).verdict != "equal":
            return False
        factor = context.ring.function(line.left).over(context.ring.function(before.left))
        return (
            factor is not None
            and factor.constant() is None
            and (context.ring.lowest(factor).denominator.is_constant())
        )
    except (NotRational, Undefined, Failure):
        return False


def _owed(was: SolutionSet, has: SolutionSet, unknown: str) -> list[str]:
    """Return what must not be zero for the two to be the same: factors in the other letters.

    One that was divided out, one that was multiplied in, one that now stands below a bar.
    """
    below = {f for f in has.excluded - was.excluded if unknown not in f.letters}
    return sorted(condition(f) for f in (was.granted ^ has.granted) | (below - was.granted))


def _dropped_conditions(was: SolutionSet, has: SolutionSet) -> list[str]:
    dropped = [condition(f) for f in was.excluded - has.excluded - has.granted]
    return sorted({*dropped, *(condition(r) for r in was.required - has.required)})


def _is_widened(
    before: Line, was: SolutionSet, line: Line, has: SolutionSet, context: Context
) -> bool:
    """Whether a denominator with the unknown or an even root over it went away."""
    if was.below - has.below - has.granted:
        return True
    if even_roots(before, context.unknown) <= even_roots(line, context.unknown):
        return False
    if not (isinstance(before, Relation) and isinstance(line, Relation)):
        return True
    sides = (difference(before.left, before.right), difference(line.left, line.right))
    return agreement(*sides, context.numbers).verdict != "equal" or bool(
        was.required - has.required
    )


def _is_legal_gain(was: SolutionSet, has: SolutionSet, solved: bool, context: Context) -> bool:
    """Whether the line keeps every sheet of the line before: both sides multiplied or raised.

    A solved line may only list candidates: values of other sheets, or such that a denominator
    excluded. So may a line under one that has no solution.
    """
    if not was.sheets <= has.sheets or was.intervals != has.intervals:
        return False
    if not solved and (not was.is_empty or was.sheets):
        return True
    zeros: set[Point] = set()
    for factor in (*was.below, *was.sheets):
        if isinstance(factor, Factor):
            zeros |= points_of(factor, context.unknown, context.numbers)
    return not has.intervals and has.beyond(was) <= zeros


def _only_failing_dropped(was: SolutionSet, has: SolutionSet, context: Context) -> bool:
    """Whether every solution that is left out fails in the original (a check that was owed)."""
    original = context.original
    if original is None or original.everything or was.intervals != has.intervals:
        return False
    dropped = was.beyond(has)
    return bool(dropped) and not any(original.holds(point) for point in dropped)


def _connected(
    before: Line, was: SolutionSet, line: Line, has: SolutionSet, context: Context
) -> bool:
    """Whether two equations without solutions are steps of one work, not two contradictions.

    With complex zeros (or zeros on other sheets of a root) those are compared. Else left minus
    right must be the same or opposite (terms were added to both sides), or both sides multiplied
    by one number up to an added constant, or the unknown has gone from a side and the number is
    one that clears denominators or divides everything.
    """
    if not (isinstance(before, Relation) and isinstance(line, Relation)):
        return True if isinstance(line, Outcome) else was.sheets <= has.sheets or has.sheets <= was.sheets  # fmt: skip
    if was.sheets or has.sheets:
        return was.sheets <= has.sheets or has.sheets <= was.sheets
    algebra = context.ring
    try:
        mine = [algebra.function(side) for side in (before.left, before.right)]
        theirs = [algebra.function(side) for side in (line.left, line.right)]
    except NotRational:
        return True
    ratio = theirs[0].minus(theirs[1]).over(mine[0].minus(mine[1]))
    factor = ratio.constant() if ratio is not None else None
    if factor is None or abs(factor) == 1:
        return True  # multiplied by an expression; the sets were compared
    if any(side.constant() is not None for side in theirs) and abs(factor) in _clearing(mine):
        return True
    scaled = (RationalFunction(w.numerator * factor, w.denominator) for w in mine)
    return all(h.minus(s).constant() is not None for h, s in zip(theirs, scaled, strict=True))


def _clearing(sides: list[RationalFunction]) -> set[fmpq]:
    """Return the numbers that clear the denominators of *sides*, or divide all their numbers."""
    numbers = [c for side in sides for c in side.numerator.coeffs()]
    below = lcm(*(int(c.q) for c in numbers))
    above = gcd(*(int((c * below).p) for c in numbers)) or 1
    return {fmpq(below), fmpq(below, above), fmpq(1, above)}


def _refuting_value(was: SolutionSet, line: Line, context: Context) -> Counter | None:
    """Return a solution of the line before that does not solve *line*, both sides worked out."""
    if not isinstance(line, Relation):
        line = context.given
    if not isinstance(line, Relation) or context.numbers.is_complex:
        return None
    numbers = [p for p in was.points if isinstance(p, Algebraic)]
    for point in sorted(numbers, key=lambda p: (p.degree, p.approximation.real)):
        value = point.rational
        place = {context.unknown: point if value is None else value}
        try:
            if not _is_zero(difference(line.left, line.right), place):
                texts = value_texts(line.left, line.right, place)
                return Counter(((context.unknown, number_text(point)),), *texts)
        except (Undefined, Undecided, NotRational):
            continue
    return None


# several letters with roots


def _judged_by_special_cases(before: Line, line: Line, context: Context) -> Judgement:
    """Put numbers for all letters but the unknown, and judge the equations in one letter."""
    others = tuple(sorted((letters(before) | letters(line)) - {context.unknown}))
    found: list[Judgement] = []
    for point in islice(_generic_points(others), _SPECIAL_CASES):
        one = [_with_numbers(part, point) for part in (before, line, context.given)]
        try:
            was, has, original = (_solved(part, context) for part in one)
            case = replace(context, given=one[2], original=original)
            found.append(compared(one[0], was, one[1], has, case))
        except (NotRational, Undefined):
            continue
    if not found:
        raise NotRational
    worst = min(found, key=lambda judgement: _SEVERITY.index(judgement.verdict))
    if worst.verdict in ("ok", "may-add"):
        worst.proof = "tested"
        worst.tested = f"{len(found)} choices of the other letters"
    worst.adds, worst.drops = [], []
    return worst


def same_by_special_cases(one: Line, other: Line, context: Context) -> bool | None:
    """Return whether two equations in several letters have the same solutions in special cases.

    None where no case can be decided.
    """
    others = tuple(sorted((letters(one) | letters(other)) - {context.unknown}))
    found: list[bool] = []
    for point in islice(_generic_points(others), _SPECIAL_CASES):
        try:
            mine, theirs = (_solved(_with_numbers(part, point), context) for part in (one, other))
        except (NotRational, Undefined):
            continue
        if not mine.is_empty or not theirs.is_empty:
            found.append(mine.same_solutions(theirs))
    return all(found) if found else None


def _solved(line: Line, context: Context) -> SolutionSet:
    return solution_set(line, context.unknown, ring((context.unknown,)), context.numbers)


def _generic_points(names: tuple[str, ...]) -> Any:
    """Yield positive values for letters that differ and are not 1, each letter the largest in turn."""
    for shift in range(_SPECIAL_CASES):
        turned = names[shift % max(len(names), 1) :] + names[: shift % max(len(names), 1)]
        yield {name: fmpq((2 + shift) * 4**n + n, 1) for n, name in enumerate(turned)}


def _with_numbers(line: Line, point: dict[str, fmpq]) -> Line:
    def change(part: Any) -> Any:
        if isinstance(part, Symbol) and part.name in point:
            return build.number_of(point[part.name])
        return part

    return rebuild(line, change)  # type: ignore[no-any-return]


def _said_of_rejected(left_out: list[Algebraic], context: Context) -> Says | None:
    """Say of every candidate that was left out why it does not solve the given."""
    given, original = context.given, context.original
    if not left_out or original is None or not isinstance(given, Relation):
        return None
    return in_order(
        why_rejected(point, given, original, context.unknown, context.numbers) for point in left_out
    )
