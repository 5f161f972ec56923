"""Twins: draw other numbers, keep what is worked like the original.

Drawing (``draws``, ``fitting``) knows how to keep zeros, roots and bases what they were; whether the
result is a twin is decided by working it: the judge of papers holds every line, the route has to be the
same and the answer of the same kind. Everything follows from the seed; nothing depends on time.
"""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from fractions import Fraction
from itertools import islice
from random import Random
from typing import Any

from uchuu_core.answers.made import Twin as TwinRecord
from uchuu_core.checking.context import Context, context_of
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure, OutOfScope
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.solving import rational_solutions
from uchuu_core.methods.catalogue import chosen
from uchuu_core.notation import plain
from uchuu_core.studying.study import features_record
from uchuu_core.tree.nodes import Either, Line, Outcome, Relation
from uchuu_core.tree.paths import children, parts
from uchuu_core.tree.shape import outline, structure, unordered
from uchuu_core.twinning.draws import draws_for
from uchuu_core.twinning.fitting import fitted
from uchuu_core.twinning.likeness import Likeness, likeness, quick_kind
from uchuu_core.twinning.places import has_only_degrees, numerals
from uchuu_core.working.lines import WorkedLine

DRAWN = 800
"""Candidates that are drawn before a structure is said to have no room."""
WORKED = 60
"""Candidates that are worked before the nearest one is taken, or none."""
AT_ONCE = 12
"""Candidates of which those with the signs of the given are worked first."""


@dataclass(frozen=True, slots=True)
class Original:
    """The problem that twins are made of, worked once."""

    context: Context
    likeness: Likeness


@dataclass(frozen=True, slots=True)
class Twin:
    """Another problem, worked."""

    context: Context
    likeness: Likeness
    lines: list[WorkedLine]

    @property
    def end(self) -> Line:
        """Its last line."""
        return self.lines[-1].moment.line if self.lines else self.context.given


def original_of(problem: Problem) -> Original:
    """Work the problem that twins are wanted of.

    Raises:
        As ``work``.
    """
    context = context_of(problem, [])
    if problem.task == "solve" and not isinstance(context.given, Relation):
        raise OutOfScope("There is nothing to solve: the given is not an equation.")
    return Original(context, likeness(context, problem.method)[0])


def twin_of(original: Original, seed: int, taken: set[Any]) -> Twin:
    """Return the twin of *seed* that is not among *taken* (unordered forms).

    Raises:
        OutOfScope: there is no room for other numbers.
    """
    nearest: Twin | None = None
    for found in twins(original, seed, taken):
        if works_the_same(found, original):
            return found
        if nearest is None or _distance(found, original) < _distance(nearest, original):
            nearest = found
    if nearest is None or _distance(nearest, original) > len(original.likeness.laws) // 2:
        raise OutOfScope(
            "No other numbers were found with which this works out the same way. "
            "Choose a problem with more numbers in it, or another method."
        )
    return nearest


def twins(original: Original, seed: int, taken: set[Any]) -> Iterator[Twin]:
    """Yield what *seed* draws that is like the original and not among *taken*, ``WORKED`` tried.

    Raises:
        OutOfScope: there is no number to change.
    """
    given = original.context.given
    if not numerals(given):
        raise OutOfScope("There is no number in this problem that could be another one.")
    taken = taken | {unordered(given)}
    drawn = candidates(original, Random(f"{seed} {plain(given)}"))
    free = (line for line in drawn if unordered(line) not in taken)
    for line in islice(_with_its_signs_first(free, given), WORKED):
        found = _tried(line, original)
        if found is not None:
            yield found


def _with_its_signs_first(lines: Iterator[Line], given: Line) -> Iterator[Line]:
    """Yield the lines, of every few those first that have the signs of the given."""
    wanted = structure(given)
    while few := list(islice(lines, AT_ONCE)):
        yield from sorted(few, key=lambda line: structure(line) != wanted)


def works_the_same(found: Twin, original: Original) -> bool:
    """Return whether the twin has the law of every line in common with the original."""
    return found.likeness.laws == original.likeness.laws


def _distance(found: Twin, original: Original) -> int:
    """Return in how many laws two routes differ, the order set aside."""
    here, there = list(found.likeness.laws), list(original.likeness.laws)
    for law in list(here):
        if law in there:
            here.remove(law)
            there.remove(law)
    return len(here) + len(there)


def candidates(original: Original, chance: Random, *, same_kind: bool = True) -> Iterator[Line]:
    """Yield lines of the same look with other numbers; by default only those with a like answer."""
    context = original.context
    given = context.given
    draws = draws_for(given)
    look, inside = outline(given), _different_parts(given)
    kind = None if has_only_degrees(given) else quick_kind(context)
    seen: set[Line] = set()
    for number in range(DRAWN):
        draw = draws[number % len(draws)]
        line = draw(given, chance)
        if isinstance(line, Relation) and chance.random() < (0.4 if number % 2 else 0.9):
            line = _fitted(line, context, chance)
        if line is None or line in seen:
            continue
        seen.add(line)
        if outline(line) != look or _different_parts(line) != inside:
            continue
        if kind is None or not same_kind or quick_kind(_with_given(context, line)) == kind:
            yield line


def _different_parts(line: Line) -> int:
    """Count the parts that are not alike: factors that were different have to stay so."""
    return len({unordered(part) for part in parts(line) if children(part)})


def _fitted(line: Relation, context: Context, chance: Random) -> Line | None:
    """Make a value of the original's kind solve the line, where it has a rational solution."""
    values = rational_solutions(context.original) if context.original else []
    if not values or len(context.ring.names) != 1 or context.original is None:
        return line
    if context.original.everything or context.original.intervals:
        return line
    value = chance.choice(values)
    size = max(9, abs(int(value.p)) + abs(int(value.p)) // 2)
    low = 1 if size < 20 else size // 3
    wanted = Fraction(chance.randint(low, size) * (-1 if value < 0 else 1))
    if value.q != 1:
        wanted /= chance.randint(2, max(5, int(value.q)))
    return fitted(line, context.unknown, wanted, chance) or line


def _with_given(context: Context, line: Line) -> Context:
    """Return the context of another given with the same letters; unsolved where it cannot be solved."""
    changed = replace(context, given=line, original=None)
    if context.original is None:
        return changed
    try:
        return replace(changed, original=context.solutions(line))
    except (NotRational, Undefined, ArithmeticError, Failure):
        return changed


def _tried(line: Line, original: Original) -> Twin | None:
    """Work the line; return it when it is like the original and as nice."""
    problem = replace(original.context.problem_in_its_letter, given=plain(line))
    try:
        context = context_of(problem, [])
        found, lines = likeness(context, original.likeness.method)
        if not (found.is_like(original.likeness) and found.is_as_nice(original.likeness)):
            return None
        by_choice = chosen(context.posed, problem.task, problem.method)
    except Failure:
        return None
    return Twin(context, found, lines) if by_choice.key == found.method else None


def as_record(found: Twin, seed: int) -> TwinRecord:
    """Return the contract's record of a twin."""
    record: TwinRecord = {
        "given": plain(found.context.given),
        "answer": plain(found.end),
        "outcome": None,
        "method": found.likeness.method,
        "seed": seed,
    }
    end = found.end
    if isinstance(end, Outcome):
        record["outcome"] = end.says
    if end == Outcome("prime"):
        before = found.lines[-2].moment.line if len(found.lines) > 1 else found.context.given
        record["answer"] = plain(before)
    if found.context.problem.task == "study":
        record["features"] = features_record(found.context.given, found.context.unknown)
    if found.context.is_equation:
        options = end.options if isinstance(end, Either) else (end,)
        record["answers"] = (
            [plain(option.right) for option in options if isinstance(option, Relation)]
            if not isinstance(end, Outcome)
            else []
        )
    return record
