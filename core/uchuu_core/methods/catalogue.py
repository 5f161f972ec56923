"""All methods, and working a problem by one of them: every line passes the kernel before it leaves."""

from collections.abc import Iterator
from functools import lru_cache
from itertools import islice

from uchuu_core.contract import Task
from uchuu_core.failures import MethodDoesNotApply, OutOfScope, TooLarge
from uchuu_core.kernel.finished import unmet_forms
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.methods.closing import closing
from uchuu_core.methods.complex_numbers import COMPLEX
from uchuu_core.methods.domain import DOMAIN
from uchuu_core.methods.equations.methods import EQUATIONS
from uchuu_core.methods.exponents import EXPONENTS
from uchuu_core.methods.factoring_methods import FACTORING
from uchuu_core.methods.letter_exponents import LETTER_EXPONENTS
from uchuu_core.methods.method import Method, Moment, Posed
from uchuu_core.methods.nested_roots import NESTED
from uchuu_core.methods.order_of_operations import LEFT_TO_RIGHT
from uchuu_core.methods.parts_first import parts_first
from uchuu_core.methods.polynomials import EXPAND_AND_COLLECT
from uchuu_core.methods.radical_methods import RADICALS
from uchuu_core.methods.rational_methods import RATIONAL
from uchuu_core.methods.study import STUDIES
from uchuu_core.tree.nodes import (
    AllExcept,
    Builder,
    Chain,
    Coordinates,
    Either,
    Feature,
    Outcome,
    Relation,
    Union,
    ValueSet,
)

ROUTES: tuple[Method, ...] = (
    COMPLEX,
    LEFT_TO_RIGHT,
    *NESTED,
    LETTER_EXPONENTS,
    *RADICALS,
    *EXPONENTS,
    EXPAND_AND_COLLECT,
    *FACTORING,
    *RATIONAL,
    DOMAIN,
    *STUDIES,
    *EQUATIONS,
)
"""Every method, ended where its route ends."""
METHODS = tuple(closing(route) for route in ROUTES)
"""Every method, its answer left in the form that the house has."""


FORMS_OF_WORK = ("rationalised", "positive exponents")
"""Forms that worked lines always have, asked for or not."""
_NO_PROBLEM = (Chain, Either, ValueSet, Outcome, AllExcept, Feature, Coordinates, Union, Builder)


ALREADY_FINISHED = Method(
    key="already-finished",
    tasks=("simplify", "evaluate", "expand", "factor"),
    refusal=lambda _posed: None,
    why="Nothing is left to do.",
    moments=lambda _posed: iter(()),
)
"""What "works" a problem that is finished as it stands: no lines."""
_WHY_FINISHED: dict[Task, str] = {
    "simplify": "no two terms are alike, nothing divides out, and no root or power is left to work out",
    "evaluate": "it is one number in lowest terms",
    "expand": "no bracket is left, and no two terms are alike",
    "factor": "no factor can be taken apart any further",
}


def is_finished(posed: Posed, task: Task) -> bool:
    """Return whether the given has the form that *task* asks for, as it stands."""
    if task not in _WHY_FINISHED or isinstance(posed.given, (Relation, *_NO_PROBLEM)):
        return False
    try:
        complex_too = posed.numbers.is_complex
        largest = posed.house.powers_up_to
        return not unmet_forms(
            posed.given, task, FORMS_OF_WORK, is_complex=complex_too, powers_up_to=largest
        )
    except (NotRational, Undefined):
        return False


def why_finished(task: Task) -> str:
    """Return the sentence that says why nothing is left to do."""
    return f"Nothing is left to do: {_WHY_FINISHED[task]}."


def _refusal(method: Method, posed: Posed) -> str | None:
    if isinstance(posed.given, _NO_PROBLEM):
        return "it is neither one expression nor one equation"
    try:
        return method.refusal(posed)
    except (TooLarge, OutOfScope) as reason:
        return reason.clause


def serving(posed: Posed, task: Task) -> Iterator[Method]:
    """Yield the methods that apply, one after another, in the order of the catalogue."""
    return (m for m in METHODS if task in m.tasks and _refusal(m, posed) is None)


def applicable(posed: Posed, task: Task) -> list[Method]:
    """Return the methods that apply: those that are taught, then the default first."""
    return list(_applicable(posed, task))


@lru_cache(maxsize=64)
def _applicable(posed: Posed, task: Task) -> tuple[Method, ...]:
    """Do as ``applicable``; remembered, since one working asks several times."""
    found = sorted(
        serving(posed, task), key=lambda m: (m.key not in posed.house.methods, not m.suits(posed))
    )
    if found or task not in PARTS_FIRST.tasks or is_finished(posed, task):
        return tuple(found)
    return (PARTS_FIRST,) if _refusal(PARTS_FIRST, posed) is None else ()


def _from_there(posed: Posed) -> Iterator[Moment]:
    """Go on with the first method that applies, where one does."""
    serve = (m for m in ROUTES if "simplify" in m.tasks and _refusal(m, posed) is None)
    for route in islice(serve, 1):
        yield from route.moments(posed)


PARTS_FIRST = closing(parts_first(_from_there))
"""Serves where no other method does."""


def chosen(posed: Posed, task: Task, key: str | None) -> Method:
    """Return the method named *key*, or the default.

    Raises:
        MethodDoesNotApply: the named one cannot be used here; says why.
        OutOfScope: none applies.
    """
    if key is not None:
        named = [method for method in (*METHODS, PARTS_FIRST) if method.key == key]
        if not named:
            raise MethodDoesNotApply(f"{key} is not a method that is built yet.")
        serving = [method for method in named if task in method.tasks]
        if not serving:
            raise MethodDoesNotApply(f"{key} does not apply: it does not serve the task “{task}”.")
        reasons: list[str] = []
        for method in serving:
            reason = _refusal(method, posed)
            if reason is None:
                return method
            reasons.append(reason)
        because = "; ".join(dict.fromkeys(reasons))
        raise MethodDoesNotApply(f"{key} does not apply: {because}.")
    found = applicable(posed, task)
    if not found:
        refused = [_refusal(m, posed) for m in METHODS if task in m.tasks]
        if any(r and r.endswith("already") for r in refused) and is_finished(posed, task):
            return ALREADY_FINISHED
        because = _most_telling(refused) if refused else "no method serves this task yet"
        if because.endswith("already"):  # of one method; the whole is not finished
            because = "no method is built for this form"
        raise OutOfScope(f"It cannot be worked yet: {because}.")
    return found[0]


_SAYS_LITTLE = (
    "it is not linear",
    "it is no polynomial",
    "the unknown has a power",
    "this exponent",
    "the unknown does not",
    "the unknown stands more",
    "it is not quadratic",
    "a function of",
    "it holds no",
    "there is no",
    "no ",
    "the unknown stands in no",
    "the unknown stands below no",
)


def _most_telling(reasons: list[str | None]) -> str:
    """Return the reason that says most: that something is done already, or what is too hard."""
    said = [reason for reason in reasons if reason]
    done = [reason for reason in said if reason.endswith("already")]
    telling = [r for r in said if not r.startswith(_SAYS_LITTLE)]
    return [*said, *telling, *done][-1]
