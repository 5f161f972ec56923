"""The ``twin`` operation of the contract: a twin by its seed, a tempting one where that is asked."""

from dataclasses import replace

from uchuu_core.answers.made import Twin as TwinRecord
from uchuu_core.checking.context import context_of
from uchuu_core.contract import Problem
from uchuu_core.tree.shape import unordered
from uchuu_core.twinning.tempting import tempting_twin_of
from uchuu_core.twinning.twin import as_record, original_of, twin_of


def twin(problem: Problem) -> TwinRecord:
    """Return the contract's ``twin`` answer; ``problem.avoid`` names problems that it must not be.

    ``problem.tempting``: a common wrong route should work out in it as nicely as the right one.

    Raises:
        Unreadable, TooLarge, MethodDoesNotApply: as ``work``.
        OutOfScope: the problem cannot be worked, or its structure has no room for such numbers.
    """
    original = original_of(problem)
    taken = {
        unordered(context_of(replace(problem, given=text), []).given) for text in problem.avoid
    }
    draw = tempting_twin_of if problem.tempting else twin_of
    return as_record(draw(original, problem.seed, taken), original, problem.seed)
