"""The ``inspect`` operation of the contract, for what is built so far."""

from contextlib import suppress

from uchuu_core import limits
from uchuu_core.answers.worked import Inspected
from uchuu_core.checking.context import Context, context_of
from uchuu_core.checking.entries import reading_of
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure
from uchuu_core.inspecting.ambiguity import ambiguities
from uchuu_core.inspecting.notices import notices
from uchuu_core.kernel.points import NotRational
from uchuu_core.methods.catalogue import applicable
from uchuu_core.methods.method import Method, at_density
from uchuu_core.moves.catalogue import ERRORS
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import (
    Absolute,
    Line,
    Number,
    Power,
    Quotient,
    Relation,
    Root,
    Sum,
    Symbol,
    Term,
)
from uchuu_core.tree.paths import letters, parts
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


def inspect(problem: Problem) -> Inspected:
    """Return the contract's ``inspect`` answer, with how the given reads.

    Raises:
        Unreadable, TooLarge: the given cannot be read.
    """
    context = context_of(problem, [])
    given = context.given
    return {
        "kind": kind_of(context),
        "reads": reading_of(problem),
        "unknown": context.unknown if letters(given) else None,
        "notices": notices(context),
        "ambiguities": ambiguities(problem),
        "excluded": excluded_of(context),
        "methods": [
            {"method": m.key, "why": m.why, "lines": _length(m, context)}
            for m in applicable(context.posed, problem.task)
        ],
        **({"traps": _traps(context)} if problem.traps else {}),  # type: ignore[typeddict-item]
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
    if context.problem.task == "study":
        return "rational function"
    if not function.denominator.is_constant() or _has_letter_below(given):
        return "rational expression"
    return _kind_as_written(without_brackets(given))


def _has_letter_below(given: Line) -> bool:
    return any(isinstance(part, Quotient) and letters(part.denominator) for part in parts(given))


def _kind_as_written(given: Line) -> str:
    """Name what could be written as a polynomial by what it is as it stands."""
    terms = given.terms if isinstance(given, Sum) else (Term("+", given),)  # type: ignore[arg-type]
    if any(isinstance(part, Sum) for term in terms for part in parts(term.body)):
        return "expression with brackets"
    if any(
        isinstance(part, Power) and not isinstance(part.base, (Symbol, Number))
        for part in parts(given)
    ):
        return "product of powers"
    return "polynomial"


def _kind_of_equation(given: Relation, context: Context) -> str:
    algebra = context.ring
    try:
        zero = algebra.function(given.left).minus(algebra.function(given.right))
    except (NotRational, ArithmeticError, Failure):
        return _kind_with_roots(given, context.unknown)
    if excluded_of(context):
        return "rational equation"
    degree = zero.numerator.total_degree() if not zero.is_zero else 0
    if not zero.denominator.is_constant():
        return "rational equation"
    return {0: "linear equation", 1: "linear equation", 2: "quadratic equation"}.get(
        int(degree), "polynomial equation"
    )


def _traps(context: Context) -> list[str]:
    """Return the errors that apply to the given as it stands, most special first."""
    found: list[str] = []
    with limits.within(limits.SEARCH_EFFORT), suppress(limits.OutOfEffort):
        for error in ERRORS:
            limits.spend()
            if not error.is_invited:
                continue
            if any(True for _ in error.apply(without_brackets(context.given))):
                found.append(error.key)
    return found


def _kind_with_roots(given: Relation, unknown: str) -> str:
    for part in parts(given):
        if isinstance(part, Root) and unknown in letters(part):
            return "radical equation"
        if isinstance(part, Power) and unknown in letters(part.exponent):
            return "exponential equation"
        if isinstance(part, Absolute) and unknown in letters(part):
            return "absolute value equation"
        if isinstance(part, Power) and unknown in letters(part.base):
            return "power equation"
    return "equation"


def _length(method: Method, context: Context) -> int:
    return len(at_density(method.moments(context.posed), context.problem.house.density))
