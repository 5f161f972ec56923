"""Lines that state a domain: "x != 3, x != -5", "x >= 2", "all real numbers except 4"."""

from flint import fmpq

from uchuu_core.checking.context import Context
from uchuu_core.checking.judgement import Judgement
from uchuu_core.kernel.algebraic import Algebraic, between
from uchuu_core.kernel.cells import real_zeros
from uchuu_core.kernel.domains import condition
from uchuu_core.kernel.equality import Counter
from uchuu_core.kernel.exact import Exact
from uchuu_core.kernel.numbers import REAL
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.powers import Plan
from uchuu_core.kernel.rational_functions import Factor, ring
from uchuu_core.kernel.solutions import SolutionSet, assembled
from uchuu_core.kernel.solving import points_of, solution_set
from uchuu_core.tree.nodes import AllExcept, Either, Expr, Line, Outcome, Relation
from uchuu_core.tree.paths import letters, walk


def is_domain_line(line: Line) -> bool:
    """Return whether *line* states a domain rather than rewriting the function.

    An equation does: it says where the denominator is zero.
    """
    return isinstance(line, (Either, Relation, AllExcept, Outcome))


def stated_exclusions(line: Line, context: Context) -> frozenset[Factor] | None:
    """Return the polynomials that *line* says are not zero; None when it says something else."""
    match line:
        case Outcome("all real numbers"):
            return frozenset()
        case AllExcept():
            return context.solutions(line).excluded
        case Relation() | Either():
            options = line.options if isinstance(line, Either) else (line,)
            found: frozenset[Factor] = frozenset()
            for option in options:
                if option.sign != "!=":
                    return None
                zero = context.ring.function(option.left).minus(context.ring.function(option.right))
                found |= frozenset(context.ring.factors(zero.numerator))
            return found
        case _:
            return None


def judged_domain(line: Line, context: Context) -> Judgement:
    """Return the verdict of a line that states the domain of the given.

    Raises:
        NotRational: the given or the line is of a kind whose domain is not worked out.
    """
    domain = context.domain(context.given)
    if _is_equation(line):
        return _judged_zeros(line, domain.excluded, context)
    stated = stated_exclusions(line, context)
    if not domain.required and stated is not None:
        stated = frozenset(f for f in stated if f.has_real_zero)
        if stated == domain.excluded:
            return Judgement("ok")
        return Judgement(
            "wrong",
            "refuted",
            counter=_counter(stated, domain.excluded, context),
            adds=sorted(condition(f) for f in stated - domain.excluded),
            drops=sorted(condition(f) for f in domain.excluded - stated),
        )
    wanted = domain_set(context.given, context.unknown)  # type: ignore[arg-type]
    if isinstance(line, Outcome) and line.says == "no solution":
        return Judgement("ok" if wanted.is_empty else "wrong")
    said = _said(line, context)
    return Judgement("ok" if said.same_solutions(wanted) else "wrong")


def _is_equation(line: Line) -> bool:
    options = line.options if isinstance(line, Either) else (line,)
    return all(isinstance(option, Relation) and option.sign == "=" for option in options)


def _judged_zeros(line: Line, excluded: frozenset[Factor], context: Context) -> Judgement:
    """Judge "denominator = 0" and what follows from it: it has just the excluded values."""
    found = context.solutions(line)
    wanted = {z for f in excluded for z in points_of(f, context.unknown, context.numbers)}
    return Judgement("ok" if not found.everything and found.points == wanted else "wrong")


def _said(line: Line, context: Context) -> SolutionSet:
    """Return the numbers that *line* allows; inequalities joined by commas all hold."""
    if isinstance(line, Either) and any(option.sign == "!=" for option in line.options):
        raise NotRational
    found = solution_set(line, context.unknown, ring((context.unknown,)))
    if found.everything and found.excluded:
        raise NotRational
    return found


def _counter(
    stated: frozenset[Factor], excluded: frozenset[Factor], context: Context
) -> Counter | None:
    """Return a value at which the statement fails: excluded and not said so, or the reverse."""
    for factor in sorted(stated ^ excluded, key=lambda f: f.key):
        zero = factor.rational_zero
        if zero is not None:
            there = "has no value" if factor in excluded else "has a value"
            said = "allowed" if factor in excluded else "excluded"
            return Counter(((context.unknown, str(zero)),), f"the given {there}", said)
    return None


def domain_set(given: Expr, unknown: str) -> SolutionSet:
    """Return where *given*, an expression in one letter, has a real value, as written.

    Raises:
        NotRational: it has further letters, or roots over roots.
    """
    one = ring((unknown,))
    if letters(given) - {unknown}:
        raise NotRational
    plan = Plan((given,), one)
    if not plan.is_simple:
        raise NotRational
    breaks: set[Algebraic] = set(real_zeros(plan.signed)) if plan.signed else set()
    for _, part in walk(given):
        below = getattr(part, "denominator", None)
        if below is not None and letters(part):
            for factor in one.factors(one.function(below).numerator):
                breaks |= {p for p in points_of(factor, unknown, REAL) if isinstance(p, Algebraic)}
    ordered = sorted(breaks)
    ends = list(zip([None, *ordered], [*ordered, None], strict=True))
    inside = [_has_value(given, unknown, Algebraic.of(between(a, b))) for a, b in ends]
    truth = [_has_value(given, unknown, at) for at in ordered]
    points, intervals = assembled(ordered, truth, inside)
    if all(inside) and all(truth):
        return SolutionSet(everything=True)
    return SolutionSet(points, intervals=intervals)


def _has_value(given: Expr, unknown: str, value: Algebraic) -> bool:
    place: dict[str, fmpq | Algebraic] = {
        unknown: value.rational if value.rational is not None else value
    }
    try:
        Exact(place).sign(given)
    except Undefined:
        return False
    return True


def judged_remark(line: Line, context: Context) -> Judgement | None:
    """Judge ``x != 3`` in the middle of solving: a remark on the given's excluded values.

    None when *line* is no such remark.
    """
    options = line.options if isinstance(line, Either) else (line,)
    if not all(isinstance(option, Relation) and option.sign == "!=" for option in options):
        return None
    try:
        stated = stated_exclusions(line, context)
    except NotRational:
        return None
    if stated is None:
        return None
    true = stated <= context.domain(context.given).below
    return Judgement("ok" if true else "wrong", "exact", is_aside=True)
