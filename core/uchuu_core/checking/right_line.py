"""The right line in the place of a wrong one: the same move, done rightly, to the same terms.

What the distorted law gives there comes first; else the line nearest in writing among those that laws
and methods make of the line before. Where none is near, none is shown: it would be another route's.
"""

import re
from collections.abc import Iterator
from contextlib import suppress
from difflib import SequenceMatcher
from itertools import islice

from uchuu_core import limits
from uchuu_core.checking.context import Context
from uchuu_core.checking.states import LawfulStates
from uchuu_core.checking.target import Found
from uchuu_core.checking.worked_reasons import Asked, routes_of
from uchuu_core.failures import Failure
from uchuu_core.kernel.finished import unmet_forms
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.methods.catalogue import applicable
from uchuu_core.methods.method import Posed
from uchuu_core.moves.catalogue import ERRORS, LAWS
from uchuu_core.notation import plain
from uchuu_core.notation.reading import is_number
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Feature, Line, Outcome, Relation
from uchuu_core.tree.shape import unordered

MOST_STATES = 60
"""So many lawful forms of the line before are looked at."""
MOST_AHEAD = 4
"""So far ahead a route is looked at: a student does several steps on one line."""
NEAR = 0.6
"""How alike two lines are written when one stands in the place of the other: parts in common."""
_LAWS = {law.key: law for law in LAWS}
_DISTORTED = {error.key: error.distorts for error in ERRORS}
_TOKEN = re.compile(r"\d+|[a-z]+|\S")


def right_feature(line: Feature, posed: Posed) -> Line | None:
    """Return the feature of the posed function that *line* misstates, as a study writes it."""
    label = line.label.removesuffix("s")
    with suppress(Failure):
        for method in applicable(posed, "study"):
            for moment in method.moments(posed):
                right = moment.line
                if isinstance(right, Feature) and right.label.removesuffix("s") == label:
                    return right
    return None


def right_line(before: Line, wrong: Line, found: Found | None, context: Context) -> Line | None:
    """Return the right line after *before* in the place of *wrong*, None when it is not known.

    Args:
        before: The line before.
        wrong: A line that the kernel refused.
        found: The error behind it, where it is named.
        context: Of the paper.
    """
    start = without_brackets(before)
    if (
        found is None
        and context.is_equation
        and not unmet_forms(wrong, "solve", (), context.unknown)
    ):
        return _answer(wrong, context)  # candidates kept or lost: the right ones
    by_law = _nearest(wrong, _by_distorted_law(start, found), start)
    if by_law is not None and _alike(by_law, wrong) >= NEAR:
        return by_law
    ahead = list(_on_routes(before, context))
    nearest = _nearest(wrong, [*ahead, *_lawful(start)], start)
    if nearest is not None and _alike(nearest, wrong) >= NEAR:
        return nearest
    if by_law is not None and not isinstance(by_law, Relation):
        return by_law
    return next((line for line in ahead[:1] if isinstance(line, Outcome)), None)


def _answer(wrong: Line, context: Context) -> Line | None:
    """Return the answer of the given as a method ends, None where none does or it is *wrong*."""
    problem = context.problem
    for route in routes_of(context.posed, Asked(problem.task, problem.method)):
        if route and not unmet_forms(route[-1][1].line, "solve", (), context.unknown):
            end = route[-1][1].line
            return end if unordered(end) != unordered(without_brackets(wrong)) else None
    return None


def _by_distorted_law(start: Line, found: Found | None) -> list[Line]:
    law = _LAWS.get(_DISTORTED.get(found.error, "")) if found else None
    if found is None or law is None or found.steps:
        return []
    results: list[Line] = []
    with limits.within(limits.SEARCH_EFFORT), suppress(limits.OutOfEffort):
        results.extend(step.result for step in law.apply(start))
    return results


def _lawful(start: Line) -> Iterator[Line]:
    with limits.within(limits.SEARCH_EFFORT), suppress(limits.OutOfEffort):
        yield from LawfulStates(start, MOST_STATES)


def _on_routes(before: Line, context: Context) -> Iterator[Line]:
    """Yield what methods write next, on the problem's routes and on those that begin here."""
    problem, posed = context.problem, context.posed
    asked = Asked(problem.task, problem.method, problem.house.density)
    start = unordered(without_brackets(before))
    with suppress(Failure, NotRational, Undefined):
        on_a_route = False
        for route in routes_of(posed, asked):
            forms = [unordered(without_brackets(posed.given)), *(form for form, _ in route)]
            if start in forms:
                on_a_route = True
                first = forms.index(start)
                yield from (m.line for _, m in islice(route, first, first + MOST_AHEAD))
        if on_a_route:
            return
        here = posed.given_as(without_brackets(before))
        for route in routes_of(here, asked):
            yield from (moment.line for _, moment in route[:MOST_AHEAD])


def _nearest(wrong: Line, lines: list[Line], start: Line) -> Line | None:
    """Return the line most like *wrong*, of its kind, which is not the line before."""
    others = [
        line
        for line in lines
        if unordered(without_brackets(line)) != unordered(start) and _is_of_a_kind(line, wrong)
    ]
    return max(others, key=lambda line: _alike(line, wrong), default=None)


def _is_of_a_kind(line: Line, other: Line) -> bool:
    """Whether both have the same relation sign, where both are relations."""
    is_relation = isinstance(line, Relation) and isinstance(other, Relation)
    return not is_relation or line.sign == other.sign  # type: ignore[union-attr]


def _alike(line: Line, other: Line) -> float:
    """Return how alike two lines are written, from 0 to 1: what is found again of *other* counts twice."""
    if is_number(line) and is_number(other):
        return 1.0
    one, two = (_TOKEN.findall(plain(without_brackets(each))) for each in (line, other))
    matched = SequenceMatcher(None, one, two, autojunk=False)
    again = sum(block.size for block in matched.get_matching_blocks()) / len(two)
    return (matched.ratio() + again) / 2
