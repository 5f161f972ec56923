"""All methods, and working a problem by one of them: every line passes the kernel before it leaves."""

from uchuu_core.contract import Density, Task
from uchuu_core.failures import MethodDoesNotApply, OutOfScope, ProducedLineRefused
from uchuu_core.kernel.equality import agreement
from uchuu_core.kernel.finished import is_prime
from uchuu_core.kernel.numbers import REAL, Numbers
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solving import solution_set
from uchuu_core.methods import linear
from uchuu_core.methods.domain import DOMAIN
from uchuu_core.methods.exponents import EXPONENTS
from uchuu_core.methods.factoring_methods import FACTORING
from uchuu_core.methods.method import Method, Moment, Posed, at_density
from uchuu_core.methods.order_of_operations import LEFT_TO_RIGHT
from uchuu_core.methods.polynomials import EXPAND_AND_COLLECT
from uchuu_core.methods.radical_methods import RADICALS
from uchuu_core.methods.rational_methods import RATIONAL
from uchuu_core.notation import plain
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import AllExcept, Either, Line, Outcome, Relation
from uchuu_core.tree.paths import letters

METHODS: tuple[Method, ...] = (
    LEFT_TO_RIGHT,
    *RADICALS,
    *EXPONENTS,
    EXPAND_AND_COLLECT,
    *FACTORING,
    *RATIONAL,
    DOMAIN,
    linear.SIMPLIFY_THEN_UNDO,
    linear.CLEAR_FRACTIONS,
    linear.DIVIDE_FIRST,
    linear.REVERSE_ORDER,
)


def applicable(posed: Posed, task: Task) -> list[Method]:
    """Return the methods that apply, the default first."""
    return [m for m in METHODS if task in m.tasks and m.refusal(posed) is None]


def chosen(posed: Posed, task: Task, key: str | None) -> Method:
    """Return the method named *key*, or the default.

    Raises:
        MethodDoesNotApply: the named one cannot be used here; says why.
        OutOfScope: none applies.
    """
    if key is not None:
        named = [method for method in METHODS if method.key == key]
        if not named:
            raise MethodDoesNotApply(f"{key} is not a method that is built yet.")
        serving = [method for method in named if task in method.tasks]
        if not serving:
            raise MethodDoesNotApply(f"{key} does not apply: it does not serve the task “{task}”.")
        reasons: list[str] = []
        for method in serving:
            reason = method.refusal(posed)
            if reason is None:
                return method
            reasons.append(reason)
        because = "; ".join(dict.fromkeys(reasons))
        raise MethodDoesNotApply(f"{key} does not apply: {because}.")
    found = applicable(posed, task)
    if not found:
        refused = [m.refusal(posed) for m in METHODS if task in m.tasks]
        because = _most_telling(refused) if refused else "no method serves this task yet"
        start = (
            "There is nothing to work" if because.endswith("already") else "It cannot be worked yet"
        )
        raise OutOfScope(f"{start}: {because}.")
    return found[0]


def _most_telling(reasons: list[str | None]) -> str:
    """Return the reason that says most: that something is done already, or what is too hard."""
    said = [reason for reason in reasons if reason]
    done = [reason for reason in said if reason.endswith("already")]
    telling = [r for r in said if not r.startswith(("it holds no", "there is no", "no "))]
    return [*said, *telling, *done][-1]


def worked(posed: Posed, method: Method, density: Density) -> list[Moment]:
    """Return the lines of *method* at *density*, each held true by the kernel.

    Raises:
        ProducedLineRefused: the kernel refuses a line; always a bug of ours.
    """
    lines = at_density(method.moments(posed), density)
    before = posed.given
    for moment in lines:
        if _states_domain(posed.given, moment.line):
            continue  # judged against the given by whoever asked for the domain
        if not _holds(before, moment.line, posed):
            raise ProducedLineRefused(
                f"{method.key} wrote “{plain(moment.line)}” under “{plain(before)}”, "
                "which does not follow."
            )
        before = moment.line
    return lines


def _states_domain(given: Line, line: Line) -> bool:
    return (
        not isinstance(given, Relation) and isinstance(line, (Relation, Either, AllExcept))
    ) or (isinstance(line, Outcome) and line.says == "all real numbers")


def _holds(before: Line, line: Line, posed: Posed) -> bool:
    if line == Outcome("prime"):
        return is_prime(before, ring(tuple(sorted(letters(before)))))  # type: ignore[arg-type]
    if isinstance(before, Relation):
        algebra = ring((posed.unknown,))
        was, has = (
            solution_set(each, posed.unknown, algebra, posed.numbers) for each in (before, line)
        )
        return was.same_solutions(has)
    return any(
        agreement(start, line, posed.numbers).verdict == "equal"  # type: ignore[arg-type]
        for start in (before, posed.given)
    )


def next_line(before: Line, task: Task, unknown: str, numbers: Numbers = REAL) -> Line | None:
    """Return the next board line after *before*, None when it is finished or cannot be worked."""
    posed = Posed(without_brackets(before), unknown, numbers)
    found = applicable(posed, task)
    if not found:
        return None
    for moment in at_density(found[0].moments(posed), "board"):
        return moment.line
    return None
