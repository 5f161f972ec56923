"""The right line in the place of a wrong one: the same move, done rightly, to the same terms.

What the distorted law gives there comes first; else the line nearest in writing among those that laws
and methods make of the line before. Where none is near, none is shown: it would be another route's.
"""

import re
from collections.abc import Iterator
from contextlib import suppress
from dataclasses import replace
from difflib import SequenceMatcher
from itertools import islice, permutations

from uchuu_core import limits
from uchuu_core.checking.context import Context
from uchuu_core.checking.state_errors import lists_several
from uchuu_core.checking.states import LawfulStates
from uchuu_core.checking.target import Found
from uchuu_core.checking.worked_reasons import Asked, routes_of
from uchuu_core.failures import Failure
from uchuu_core.kernel.finished import unmet_forms
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.methods.catalogue import applicable
from uchuu_core.methods.method import Posed
from uchuu_core.moves.catalogue import ERRORS, LAWS, wordings
from uchuu_core.notation import plain
from uchuu_core.notation.reading import is_number
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import (
    Either,
    Expr,
    Feature,
    Line,
    Outcome,
    Product,
    Quotient,
    Relation,
    Sum,
    Symbol,
)
from uchuu_core.tree.paths import letters, parts
from uchuu_core.tree.shape import unordered

MOST_STATES = 60
"""So many lawful forms of the line before are looked at."""
MOST_AHEAD = 4
"""So far ahead a route is looked at: a student does several steps on one line."""
NEAR = 0.6
"""How alike two lines are written when one stands in the place of the other: parts in common."""
MOST_IN_ORDER = 3
"""Of so many every order is looked at."""
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
    by_law = _nearest(wrong, _by_distorted_law(start, found), start, context)
    if by_law is not None and _alike(by_law, wrong) >= NEAR:
        return by_law
    on_a_side = list(_on_one_side(start, wrong, context)) if _is_of_values(found) else []
    ahead = list(_on_routes(before, context))
    for lines in (on_a_side, [*ahead, *_lawful(start)]):
        nearest = _nearest(wrong, lines, start, context)
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


def _is_of_values(found: Found | None) -> bool:
    """Whether the error changes a value, on one side alone, rather than what an equation says."""
    wording = wordings().get(found.error) if found else None
    return wording is not None and wording.type == "value"


def _on_one_side(start: Line, wrong: Line, context: Context) -> Iterator[Line]:
    """Yield what methods write where one side of an equation is simplified and the other one stands."""
    if not (isinstance(start, Relation) and isinstance(wrong, Relation)):
        return
    asked = Asked("simplify", None, context.problem.house.density)
    for here, stands, stood in (
        (start.left, start.right, wrong.right),
        (start.right, start.left, wrong.left),
    ):
        if unordered(stands) != unordered(stood) or "±" in plain(here):
            continue  # with ± a side has two values: it is not simplified as one
        with suppress(Failure, NotRational, Undefined):
            for route in routes_of(context.posed.given_as(here), asked):
                for new in (moment.line for _, moment in route[:MOST_AHEAD]):
                    if isinstance(new, Expr):
                        sides = (new, stands) if here is start.left else (stands, new)
                        yield Relation(sides[0], start.sign, sides[1])


def _nearest(wrong: Line, lines: list[Line], start: Line, context: Context) -> Line | None:
    """Return the line most like *wrong*, of its kind, which is not the line before."""
    states, several = _states_values(wrong, context), lists_several(start)
    below = _letters_below(start) | _letters_below(wrong)
    others = [
        line
        for line in lines
        if unordered(without_brackets(line)) != unordered(start)
        and _is_of_a_kind(line, wrong)
        and (not states or _states_values(line, context) or isinstance(line, Outcome))
        and (not several or lists_several(line))
        and (not isinstance(line, Relation) or _letters_below(line) <= below)
        and "(±" not in plain(line)  # nobody writes it so
    ]
    return max(others, key=lambda line: _alike(line, wrong), default=None)


def _letters_below(line: Line) -> set[str]:
    """Return the letters that stand in denominators."""
    return {
        letter
        for part in parts(line)
        if isinstance(part, Quotient)
        for letter in letters(part.denominator)
    }


def _is_of_a_kind(line: Line, other: Line) -> bool:
    """Whether both have the same relation sign, where both are relations or alternatives."""
    one, two = _sign(line), _sign(other)
    return None in (one, two) or one == two


def _sign(line: Line) -> str | None:
    first = line.options[0] if isinstance(line, Either) else line
    return first.sign if isinstance(first, Relation) else None


def _states_values(line: Line, context: Context) -> bool:
    """Whether a line says what the unknown is, and nothing else."""
    options = line.options if isinstance(line, Either) else (line,)
    return context.is_equation and all(
        isinstance(option, Relation)
        and option.left == Symbol(context.unknown)
        and context.unknown not in letters(option.right)
        for option in options
    )


def _alike(line: Line, other: Line) -> float:
    """Return how alike two lines are written, from 0 to 1: what is found again of *other* counts twice.

    In which order brackets or alternatives stand does not count.
    """
    if is_number(line) and is_number(other):
        return 1.0
    if isinstance(line, Either) and other in line.options:
        return 1.0  # one case of several
    two = plain(without_brackets(other))
    return max(_alike_texts(plain(one), two) for one in _in_any_order(without_brackets(line)))


def _in_any_order(line: Line) -> Iterator[Line]:
    yield line
    if isinstance(line, Either) and len(line.options) <= MOST_IN_ORDER:
        yield from (replace(line, options=options) for options in permutations(line.options))
    if isinstance(line, Product) and len(line.factors) <= MOST_IN_ORDER:
        if sum(isinstance(factor, Sum) for factor in line.factors) > 1:
            yield from (replace(line, factors=factors) for factors in permutations(line.factors))


def _alike_texts(text: str, other: str) -> float:
    one, two = _TOKEN.findall(text), _TOKEN.findall(other)
    matched = SequenceMatcher(None, one, two, autojunk=False)
    again = sum(block.size for block in matched.get_matching_blocks()) / len(two)
    return (matched.ratio() + again) / 2
