"""Twins: draw other numbers, keep what is worked like the original.

Drawing (``draws``, ``fitting``) knows how to keep zeros, roots and bases what they were; whether the
result is a twin is decided by working it: the judge of papers holds every line, the route has to be the
same and the answer of the same kind. Everything follows from the seed; nothing depends on time.
"""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from fractions import Fraction
from functools import lru_cache
from itertools import islice
from random import Random
from typing import Any

from uchuu_core.answers.made import Twin as TwinRecord
from uchuu_core.checking.context import Context, context_of
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure, OutOfScope
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.solving import rational_solutions
from uchuu_core.lawbook.twinning import SIGNS_ARE_VARIED
from uchuu_core.methods.catalogue import chosen
from uchuu_core.notation import plain
from uchuu_core.studying.study import features_record
from uchuu_core.tree.nodes import Either, Line, Number, Outcome, Relation, Signed, Sum
from uchuu_core.tree.paths import children, parts, walk
from uchuu_core.tree.shape import outline, unordered
from uchuu_core.twinning.draws import draws_for
from uchuu_core.twinning.fitting import fitted
from uchuu_core.twinning.likeness import Likeness, likeness, quick_kind
from uchuu_core.twinning.places import has_only_degrees, numerals
from uchuu_core.twinning.points import ENDS, POINTS, ends_of, is_trivial, points_of, shows
from uchuu_core.working.lines import WorkedLine

DRAWN = 800
"""Candidates that are drawn before a structure is said to have no room."""
WORKED = 60
"""Candidates that are worked before the nearest one is taken, or none."""
AT_ONCE = 10
"""Candidates of which those with the signs of the given are worked first."""


@dataclass(frozen=True, slots=True)
class Original:
    """The problem that twins are made of, worked once."""

    context: Context
    likeness: Likeness
    points: frozenset[str]
    end: Line


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
    return _original(replace(problem, seed=0, avoid=(), tempting=False))


@lru_cache(maxsize=32)
def _original(problem: Problem) -> Original:
    """Work the problem once for all its twins."""
    context = context_of(problem, [])
    if problem.task == "solve" and not isinstance(context.given, Relation):
        raise OutOfScope("There is nothing to solve: the given is not an equation.")
    found, lines = likeness(context, problem.method)
    end = lines[-1].moment.line if lines else context.given
    return Original(context, found, points_of(context), end)


def twin_of(original: Original, seed: int, taken: set[Any]) -> Twin:
    """Return the twin of *seed* that is not among *taken* (unordered forms), all points kept where there is room.

    Raises:
        OutOfScope: there is no room for other numbers.
    """
    for keeps_points in (True, False) if original.points else (False,):
        found = _nearest(original, twins(original, seed, taken, keeps_points=keeps_points))
        if found is not None:
            return found
    raise OutOfScope(
        "No other numbers were found with which this works out the same way. "
        "Choose a problem with more numbers in it, or another method."
    )


def _nearest(original: Original, listed: Iterator[Twin]) -> Twin | None:
    """Return the first that works the same, else the nearest, None where none is near."""
    nearest: Twin | None = None
    for found in listed:
        if works_the_same(found, original):
            return found
        if nearest is None or _distance(found, original) < _distance(nearest, original):
            nearest = found
    if nearest is None or _distance(nearest, original) > len(original.likeness.laws) // 2:
        return None
    return nearest


def twins(
    original: Original, seed: int, taken: set[Any], *, keeps_points: bool = True
) -> Iterator[Twin]:
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
    fitting = of_its_kind(_best_first(free, given), original, keeps_points=keeps_points)
    for context in islice(fitting, WORKED):
        found = _tried(context, original)
        if found is not None:
            yield found


def _look(line: Line) -> tuple[list[str], list[Fraction]]:
    """Return the signs and the numbers of a line, in the order in which they stand."""
    signs: list[str] = []
    numbers: list[Fraction] = []
    for _, part in walk(line):
        if isinstance(part, Sum):
            signs += [term.sign for term in part.terms]
        elif isinstance(part, Signed):
            signs.append(part.sign)
        elif isinstance(part, Number):
            numbers.append(part.value)
    return signs, numbers


def _best_first(lines: Iterator[Line], given: Line) -> Iterator[Line]:
    """Yield the lines, of every few those first that have the signs and the ones of the given, and other numbers."""
    signs, numbers = _look(given)

    def differs(line: Line) -> tuple[bool, bool]:
        now, values = _look(line)
        pairs = list(zip(values, numbers, strict=False))
        ones = any((a == 1) != (b == 1) for a, b in pairs)
        return now != signs or ones, 2 * sum(a == b for a, b in pairs) > len(numbers)

    while few := list(islice(lines, AT_ONCE)):
        yield from sorted(few, key=differs)


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


def candidates(original: Original, chance: Random) -> Iterator[Line]:
    """Yield lines of the same look with other numbers; whether the answer is alike is not asked."""
    context = original.context
    given = context.given
    draws = draws_for(given)
    look, inside = outline(given), _different_parts(given)
    seen: set[Line] = set()
    for number in range(DRAWN):
        draw = draws[number % len(draws)]
        line = draw(given, chance)
        if isinstance(line, Relation) and chance.random() < (0.4 if number % 2 else 0.9):
            line = _fitted(line, context, chance)
        if line is None or line in seen:
            continue
        seen.add(line)
        if outline(line) == look and _different_parts(line) == inside and not is_trivial(line):
            yield line


def of_its_kind(
    lines: Iterator[Line], original: Original, *, keeps_points: bool = False
) -> Iterator[Context]:
    """Yield of each line, posed as the original is, those with a like answer as far as the kernel alone sees it.

    ``keeps_points``: only those that show every point of the original as well.
    """
    context = original.context
    kind = None if has_only_degrees(context.given) else quick_kind(context)
    for line in lines:
        posed = with_given(context, line)
        if kind is not None and quick_kind(posed) != kind:
            continue
        if not keeps_points or shows(posed, original.points):
            yield posed


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


def with_given(context: Context, line: Line) -> Context:
    """Return the context of another given with the same letters; unsolved where it cannot be solved."""
    changed = replace(context, given=line, original=None)
    if context.original is None:
        return changed
    try:
        return replace(changed, original=context.solutions(line))
    except (NotRational, Undefined, ArithmeticError, Failure):
        return changed


def _tried(context: Context, original: Original) -> Twin | None:
    """Work the problem; return it when it is like the original and as nice, with another answer where it may be."""
    problem = replace(context.problem_in_its_letter, given=plain(context.given))
    context = replace(context, problem=problem)
    try:
        found, lines = likeness(context, original.likeness.method)
        if not (found.is_like(original.likeness) and found.is_as_nice(original.likeness)):
            return None
        by_choice = chosen(context.posed, problem.task, problem.method)
    except Failure:
        return None
    twin = Twin(context, found, lines)
    kept = ends_of(original.end, original.likeness.rejected) <= ends_of(twin.end, found.rejected)
    return twin if by_choice.key == found.method and kept else None


def as_record(found: Twin, original: Original, seed: int) -> TwinRecord:
    """Return the contract's record of a twin, with what it keeps of the original."""
    kept = original.points & points_of(found.context)
    keeps = [POINTS[name]() for name in POINTS if name in kept]
    ends = ends_of(found.end, found.likeness.rejected)
    keeps += [ENDS[name]() for name in ENDS if name in ends]
    if _look(found.context.given)[0] != _look(original.context.given)[0]:
        keeps.append(SIGNS_ARE_VARIED())
    record: TwinRecord = {
        "keeps": [says.record() for says in keeps],
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
