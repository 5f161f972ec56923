"""The right line in the place of a wrong one: what the distorted law would have given there."""

from contextlib import suppress

from uchuu_core import limits
from uchuu_core.checking.diagnosis import Found
from uchuu_core.failures import Failure
from uchuu_core.methods.catalogue import applicable, next_line
from uchuu_core.methods.method import Posed
from uchuu_core.moves.catalogue import ERRORS, LAWS
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Feature, Line
from uchuu_core.tree.paths import walk
from uchuu_core.tree.shape import unordered

_LAWS = {law.key: law for law in LAWS}
_DISTORTED = {error.key: error.distorts for error in ERRORS}


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


def _parts(line: Line) -> set[str]:
    return {repr(unordered(part)) for _, part in walk(line)}


def right_line(before: Line, found: Found | None, task: str, unknown: str) -> Line | None:
    """Return a right line after *before*: by the law that was distorted, else by the method.

    Of several places where the law fits, the one most like the wrong line is taken.
    """
    start = without_brackets(before)
    law = _LAWS.get(_DISTORTED.get(found.error, "")) if found else None
    if found is not None and law is not None and found.steps == 0:
        wanted = _parts(found.wrong)
        results: list[Line] = []
        with limits.within(limits.SEARCH_EFFORT), suppress(limits.OutOfEffort):
            results.extend(step.result for step in law.apply(start))
        if results:
            return max(results, key=lambda line: len(_parts(line) & wanted))
    try:
        return next_line(before, task, unknown)  # type: ignore[arg-type]
    except Failure:
        return None
