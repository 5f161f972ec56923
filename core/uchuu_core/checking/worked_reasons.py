"""The reason of a line that a method writes: its own law and sentence, with the numbers in it."""

from functools import lru_cache
from typing import Any

from uchuu_core import limits
from uchuu_core.checking.reasons import Reason
from uchuu_core.contract import Task
from uchuu_core.failures import Failure
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.methods.catalogue import applicable
from uchuu_core.methods.method import Moment, Posed
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Feature, Line
from uchuu_core.tree.shape import unordered

MOST_JOINED = 4
"""A line that joins more moments of a method gets no sentence from it."""


@lru_cache(maxsize=64)
def _routes(posed: Posed, task: Task) -> tuple[tuple[tuple[Any, Moment], ...], ...]:
    """Return the moments of every method that works the problem, each with its comparable form."""
    found = []
    with limits.within(limits.SEARCH_SECONDS):
        try:
            for method in applicable(posed, task):
                moments = method.moments(posed)
                found.append(tuple((_form(m.line), m) for m in moments))
                limits.check_time()
        except (limits.OutOfTime, Failure, NotRational, Undefined):
            pass  # the routes found so far serve
    return tuple(found)


def _form(line: Line) -> Any:
    return unordered(without_brackets(line))


def reason_by_method(posed: Posed, before: Line, line: Line, task: Task) -> Reason | None:
    """Return the reason of *line* under *before* when some method goes from one to the other.

    A line that joins some moments of the method has all their sentences.
    """
    start, end = _form(before), _form(line)
    for route in _routes(posed, task):
        forms = [form for form, _ in route]
        if end not in forms:
            continue
        last = forms.index(end)
        first = (
            forms.index(start) + 1 if start in forms else 0 if start == _form(posed.given) else None
        )
        if first is None or last < first:
            continue
        passed = [moment for _, moment in route[first : last + 1]]
        joined = [m for m in passed[:-1] if not isinstance(m.line, Feature)] + passed[-1:]
        if isinstance(line, Feature):
            joined = passed[-1:]
        if len(joined) > MOST_JOINED:
            continue
        says = " ".join(dict.fromkeys(moment.says for moment in joined))
        return Reason(joined[-1].law, says)
    return None
