"""Accepted ways to work a problem, as the steps that earn marks."""

from contextlib import suppress
from dataclasses import dataclass
from functools import lru_cache

from uchuu_core.checking.context import Context, context_of
from uchuu_core.contract import Problem, Task
from uchuu_core.failures import Failure
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.lawbook.law import Law
from uchuu_core.lawbook.marking import CHECKS, FEATURES, STEP_OF, MarkStep
from uchuu_core.methods.catalogue import applicable, chosen
from uchuu_core.methods.method import Method, at_density

MOST_WAYS = 5
"""Ways that a scheme takes into account."""
RESULTS = frozenset(FEATURES.values())
"""Steps that give a result of their own: an accuracy mark."""


@dataclass(frozen=True, slots=True)
class MarkedWay:
    """One way: its steps in the order in which they come, with their laws; whether candidates are rejected."""

    method: str
    steps: tuple[MarkStep, ...]
    laws: dict[str, Law]
    rejects: bool


@lru_cache(maxsize=64)
def ways(problem: Problem) -> tuple[MarkedWay, ...]:
    """Return the accepted ways to work *problem*, the default first; none where it cannot be worked.

    Remembered: a class's papers ask for the same. The problem comes without lines.

    Raises:
        Unreadable, TooLarge: the given cannot be read.
    """
    context = context_of(problem, [])
    posed = context.posed
    try:
        first = chosen(posed, problem.task, problem.method)
        others = [m for m in applicable(posed, problem.task) if m.key != first.key]
    except Failure:
        return ()
    found = (_way(method, context) for method in [first, *others][:MOST_WAYS])
    return tuple(way for way in found if way is not None)


def _way(method: Method, context: Context) -> MarkedWay | None:
    laws: list[Law] = []
    with suppress(Failure, NotRational, Undefined):
        laws = [moment.law for moment in at_density(method.moments(context.posed), "fine")]
    if not laws:
        return None
    steps: dict[str, MarkStep] = {}
    first: dict[str, Law] = {}
    for law in laws:
        step = STEP_OF.get(law)
        if step is not None and _earns(step, context.problem.task):
            steps.setdefault(step.key, step)
            first.setdefault(step.key, law)
    return MarkedWay(method.key, tuple(steps.values()), first, any(law in CHECKS for law in laws))


def _earns(step: MarkStep, task: Task) -> bool:
    """The answer of a domain problem is the domain: it has the answer's mark."""
    return not (task == "domain" and step.key == "domain")


def rank(law: Law) -> int:
    """Return how soon the step of *law* has its mark: a decision first, then a trap, everyday work last."""
    if law.is_decision:
        return 0
    step = STEP_OF.get(law)
    return 1 if law.is_trap else 3 if step is not None and step.is_plain else 2


def aligned(wanted: list[str], way: MarkedWay) -> dict[str, str]:
    """Return for each *wanted* step the step of another *way* that stands for it.

    The same step stands for itself. Of what is left, the other way's weightiest steps stand in order for
    the wanted ones; where it has fewer, its last stands for the rest.
    """
    keys = [step.key for step in way.steps]
    found = {key: key for key in wanted if key in keys}
    left = [key for key in wanted if key not in found]
    others = [key for key in keys if key not in found]
    best = sorted(others, key=lambda key: (rank(way.laws[key]), keys.index(key)))[: len(left)]
    stand = sorted(best, key=keys.index)
    if stand:
        for place, key in enumerate(left):
            found[key] = stand[min(place, len(stand) - 1)]
    return found
