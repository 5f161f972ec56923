"""The ``inspect`` operation of the contract, for what is built so far."""

from typing import Any

from uchuu_core.checking.context import Context, context_of
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure
from uchuu_core.inspecting.ambiguity import ambiguities
from uchuu_core.inspecting.notices import notices
from uchuu_core.kernel.points import NotRational
from uchuu_core.methods.catalogue import applicable
from uchuu_core.methods.method import Method, at_density
from uchuu_core.notation import plain, shown
from uchuu_core.tree.nodes import Relation
from uchuu_core.tree.paths import letters
from uchuu_core.working.problem import excluded_of

_FINISHED = {
    "evaluate": ["one number", "lowest terms"],
    "simplify": ["like terms collected", "lowest terms"],
    "expand": ["no brackets", "like terms collected"],
    "factor": ["complete over the integers"],
    "solve": ["the unknown alone", "every answer checked in the given"],
    "domain": ["every excluded value"],
    "study": ["every feature"],
}


def inspect(problem: Problem) -> dict[str, Any]:
    """Return the contract's ``inspect`` answer, with how the given reads.

    Raises:
        Unreadable, TooLarge: the given cannot be read.
    """
    context = context_of(problem, [])
    given = context.given
    return {
        "kind": kind_of(context),
        "reads": {"text": plain(given), **shown(given)},
        "unknown": context.unknown if letters(given) else None,
        "notices": notices(context),
        "ambiguities": ambiguities(problem.given, problem.house.juxtaposition),
        "excluded": excluded_of(context),
        "methods": [
            {"method": m.key, "why": m.why, "lines": _length(m, context)}
            for m in applicable(context.posed, problem.task)
        ],
        "traps": [],
        "finished_means": _FINISHED[problem.task],
    }


def kind_of(context: Context) -> str:
    """Name the kind of problem in the field's words."""
    given = context.given
    if isinstance(given, Relation):
        return _kind_of_equation(given, context)
    if not letters(given):
        return "expression of numbers"
    try:
        function = context.ring.function(given)  # type: ignore[arg-type]
    except (NotRational, ArithmeticError, Failure):
        return "expression"
    return "polynomial" if function.denominator.is_constant() else "rational expression"


def _kind_of_equation(given: Relation, context: Context) -> str:
    algebra = context.ring
    try:
        zero = algebra.function(given.left).minus(algebra.function(given.right))
    except (NotRational, ArithmeticError, Failure):
        return "equation"
    if excluded_of(context):
        return "rational equation"
    degree = zero.numerator.total_degree() if not zero.is_zero else 0
    return {0: "linear equation", 1: "linear equation", 2: "quadratic equation"}.get(
        int(degree), "polynomial equation"
    )


def _length(method: Method, context: Context) -> int:
    return len(at_density(method.moments(context.posed), context.problem.house.density))
