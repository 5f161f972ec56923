"""The reason of a line that a method writes: its own law and sentence, with the numbers in it."""

from collections.abc import Callable, Iterable, Iterator
from dataclasses import dataclass
from functools import lru_cache
from itertools import islice
from typing import Any

from uchuu_core.checking.tidy import worked_out
from uchuu_core.contract import Density, Task
from uchuu_core.failures import Failure
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.lawbook.expanding import WRITE_POWER_AS_PRODUCT
from uchuu_core.lawbook.says import Says, in_order
from uchuu_core.methods.catalogue import applicable, serving
from uchuu_core.methods.method import Method, Moment, Posed, at_density
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Feature, Line
from uchuu_core.tree.shape import unordered

MOST_SAID = 3
"""A line that takes more different sentences has no reason: nobody would say them all."""
MOST_FROM_HERE = 3
"""So many methods are tried from a line in the middle of the work."""
MOST_MOMENTS = 60
"""So far a route is followed."""
_ALIKE: dict[Task, tuple[Task, ...]] = {
    "simplify": ("evaluate", "expand", "factor"),
    "evaluate": ("simplify", "expand", "factor"),
    "expand": ("simplify", "evaluate", "factor"),
    "factor": ("simplify", "expand", "evaluate"),
}
"""Where the task's own methods do not write a line, those of these tasks may."""

Route = tuple[tuple[Any, Moment], ...]
"""The moments of a method, each with its comparable form."""


@dataclass(frozen=True, slots=True)
class Asked:
    """What is asked for and how it is worked: the task, the method that is named, the density."""

    task: Task
    method: str | None = None
    density: Density = "board"


@lru_cache(maxsize=128)
def _methods(posed: Posed, task: Task, first: str | None) -> list[Method]:
    return sorted(applicable(posed, task), key=lambda method: method.key != first)


@lru_cache(maxsize=128)
def _worked(posed: Posed, method: Method) -> tuple[Moment, ...]:
    try:
        return tuple(islice(method.moments(posed), MOST_MOMENTS))
    except (Failure, NotRational, Undefined):
        return ()


@lru_cache(maxsize=128)
def _route(posed: Posed, method: Method, density: Density | None) -> Route:
    """Return the lines of *method*, all of them or those written at *density*."""
    moments: Iterable[Moment] = _worked(posed, method)
    return tuple((_form(m.line), m) for m in (at_density(moments, density) if density else moments))


def routes_of(posed: Posed, asked: Asked) -> Iterator[Route]:
    """Yield the routes of the task's own methods: the lines at the density, and every moment."""
    yield from _routes_for(posed, asked, (asked.task,))


def _routes(posed: Posed, asked: Asked) -> Iterator[Route]:
    yield from _routes_for(posed, asked, (asked.task, *_ALIKE.get(asked.task, ())))


def _routes_for(posed: Posed, asked: Asked, tasks: tuple[Task, ...]) -> Iterator[Route]:
    for task in tasks:
        for method in _methods(posed, task, asked.method):
            yield _route(posed, method, asked.density)
            yield _route(posed, method, None)


def _routes_from_here(posed: Posed, asked: Asked) -> Iterator[Route]:
    """Yield a few routes of a line in the middle of the work: most will not meet the next one."""
    for task in (asked.task, *_ALIKE.get(asked.task, ())):
        for method in islice(serving(posed, task), MOST_FROM_HERE):
            yield _route(posed, method, None)


def _form(line: Line) -> Any:
    return unordered(without_brackets(line))


def _worked_form(line: Line) -> Any:
    return unordered(worked_out(without_brackets(line)))


def said_by_method(posed: Posed, before: Line, line: Line, asked: Asked) -> Says | None:
    """Return what is said at *line* where some method writes it under *before*, word for word."""
    for passed in _passages(posed.given, before, line, _routes(posed, asked)):
        if len(passed) == 1:
            return passed[0].says
    return None


def said_but_for_numbers(posed: Posed, before: Line, line: Line, asked: Asked) -> Says | None:
    """Do as ``said_by_method`` where *line* is the method's but for plain numbers that are worked out, or not."""
    wanted = _worked_form(line)
    for passed in _passages(posed.given, before, line, _routes(posed, asked), _worked_form):
        if len(passed) == 1 and wanted != _worked_form(before):
            return passed[0].says
    return None


def joined_by_method(posed: Posed, before: Line, line: Line, asked: Asked) -> Says | None:
    """Return what is said where *line* joins some moments of a method that comes by *before*.

    All their sentences, at most ``MOST_SAID`` different ones.
    """
    return _joined(_passages(posed.given, before, line, _routes(posed, asked)), line)


def joined_from_here(posed: Posed, line: Line, asked: Asked) -> Says | None:
    """Do as ``joined_by_method`` for a *posed* that is the line before, in the middle of work."""
    return _joined(_passages(posed.given, posed.given, line, _routes_from_here(posed, asked)), line)


def _joined(passages: Iterator[list[Moment]], line: Line) -> Says | None:
    for passed in passages:
        if isinstance(line, Feature):
            return passed[-1].says
        told = (m for m in passed if not m.is_quiet or m is passed[-1])
        says = in_order(m.says for m in told if not isinstance(m.line, Feature))
        for short in (says, _without_preparing(says)):
            if is_short(short):
                return short
    return None


def _without_preparing(says: Says) -> Says:
    """Leave out what one does only to do what is said next."""
    return Says(tuple(said for said in says.said if said.sentence is not WRITE_POWER_AS_PRODUCT))


def _passages(
    posed: Line,
    before: Line,
    line: Line,
    routes: Iterator[Route],
    form_of: Callable[[Line], Any] | None = None,
) -> Iterator[list[Moment]]:
    """Yield the moments of each route that lead from *before* to *line*, compared by their forms."""
    start, end, given = map(form_of or _form, (before, line, posed))
    for route in routes:
        forms = [given, *(form_of(m.line) if form_of else form for form, m in route)]
        if start not in forms:
            continue
        first = forms.index(start)
        if end not in forms[first + 1 :]:
            continue
        last = forms.index(end, first + 1)
        first = max(place for place in range(last) if forms[place] == start)
        yield [moment for _, moment in route[first:last]]


def is_short(says: Says) -> bool:
    """Whether at most ``MOST_SAID`` different things are said."""
    return len({said.sentence for said in says.said}) <= MOST_SAID
