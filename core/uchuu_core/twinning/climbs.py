"""A run of practice made of one problem: variants of it, from easier to harder."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from fractions import Fraction
from random import Random
from typing import Any

from uchuu_core.answers.made import Twin as TwinRecord
from uchuu_core.checking.context import Context
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure, OutOfScope
from uchuu_core.inspecting.difficulty import difficulty
from uchuu_core.methods.catalogue import chosen
from uchuu_core.methods.method import at_density
from uchuu_core.tree.nodes import Line
from uchuu_core.tree.shape import unordered
from uchuu_core.twinning.likeness import likeness
from uchuu_core.twinning.twin import (
    Original,
    Twin,
    as_record,
    candidates,
    of_its_kind,
    original_of,
    with_given,
)

MOST = 20
SEARCHED = 8
"""Variants that are worked for each one that is wanted."""


@dataclass(frozen=True, slots=True)
class _Weighed:
    found: Twin
    score: float


def climb(problem: Problem, count: int) -> list[TwinRecord]:
    """Return up to *count* problems of the same look and method, easier ones first.

    Each is the record of ``twin`` with its ``score``. The scores rise from one to the next as evenly
    as what was found allows; the kind of answer may differ (a fraction instead of a whole number).
    ``problem.avoid`` names problems that stay away.

    Raises:
        As ``twin``; OutOfScope: fewer than two such problems were found.
    """
    original = original_of(problem)
    chance = Random(f"{problem.seed} climb {problem.given}")
    taken = {unordered(problem.read(text)) for text in problem.avoid}
    enough = min(count, MOST) * SEARCHED
    variants = _variants(original, chance, enough, taken, same_kind=True)
    if len({item.score for item in variants}) < count:
        variants += _variants(original, chance, enough, taken, same_kind=False)
    by_look = {unordered(item.found.context.given): item for item in reversed(variants)}
    variants = list(by_look.values())
    by_score: dict[float, _Weighed] = {}
    for item in variants:
        by_score.setdefault(item.score, item)
    steps = [by_score[score] for score in sorted(by_score)]
    if len(steps) < count:  # equal scores are as good as none: the run goes on level
        rest = [item for item in variants if item not in steps]
        steps = sorted([*steps, *rest[: count - len(steps)]], key=lambda item: item.score)
    if len(steps) < 2:
        raise OutOfScope("Too few variants of this problem work out. Choose one with more numbers.")
    spread = _evenly(steps, min(count, len(steps)))
    return [
        as_record(item.found, original, problem.seed) | {"score": item.score} for item in spread
    ]


def _evenly(steps: list[_Weighed], count: int) -> list[_Weighed]:
    """Return *count* of the steps, the first and the last among them."""
    if count == 1:
        return steps[:1]
    return [steps[round(place * (len(steps) - 1) / (count - 1))] for place in range(count)]


def _variants(
    original: Original, chance: Random, enough: int, avoided: set[Any], *, same_kind: bool
) -> list[_Weighed]:
    taken = avoided | {unordered(original.context.given)}
    found: list[_Weighed] = []
    drawn = candidates(original, chance)
    fitting = of_its_kind(drawn, original) if same_kind else _posed(drawn, original)
    for worked, context in enumerate(fitting):
        if worked == 3 * enough or len(found) == enough:
            break
        if unordered(context.given) in taken:
            continue
        taken.add(unordered(context.given))
        variant = _weighed(context, original)
        if variant is not None:
            found.append(variant)
    return found


def _posed(lines: Iterator[Line], original: Original) -> Iterator[Context]:
    return (with_given(original.context, line) for line in lines)


def _weighed(context: Context, original: Original) -> _Weighed | None:
    context = replace(context, problem=context.problem_in_its_letter)
    try:
        method = chosen(context.posed, context.problem.task, original.likeness.method)
        found, lines = likeness(context, method.key)
        moments = at_density(method.moments(context.posed), "fine")
    except (Failure, ArithmeticError):
        return None
    was = original.likeness
    nice = (
        found.largest <= max(3 * was.largest, Fraction(40)) and found.fractions <= was.fractions + 1
    )
    if not nice or len(found.laws) > len(was.laws) + 2 or found.rejected != was.rejected:
        return None
    return _Weighed(Twin(context, found, lines), difficulty(context.given, moments)["score"])
