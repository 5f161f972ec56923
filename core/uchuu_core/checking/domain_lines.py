"""Lines that state a domain: "x != 3, x != -5", "x >= 2", "all real numbers except 4"."""

from collections.abc import Iterator

from flint import fmpq

from uchuu_core.checking.context import Context
from uchuu_core.checking.judgement import Judgement
from uchuu_core.kernel.algebraic import Algebraic, between
from uchuu_core.kernel.cells import real_zeros
from uchuu_core.kernel.domains import Domain
from uchuu_core.kernel.exact import Exact
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.powers import Plan
from uchuu_core.kernel.rational_functions import Factor, ring
from uchuu_core.kernel.solutions import SolutionSet, assembled, complement
from uchuu_core.kernel.solving import points_of, solution_set
from uchuu_core.kernel.written import number_text
from uchuu_core.lawbook.judging import ALLOWED_WITHOUT_VALUE, EXCLUDED_WITH_VALUE
from uchuu_core.lawbook.says import Says, mathematics
from uchuu_core.tree.nodes import (
    AllExcept,
    Builder,
    Either,
    Expr,
    Line,
    Number,
    Outcome,
    Power,
    Quotient,
    Relation,
    Root,
    Union,
    ValueSet,
)
from uchuu_core.tree.paths import letters, parts


def is_domain_line(line: Line) -> bool:
    """Return whether *line* states a domain rather than rewriting the function.

    An equation does: it says where the denominator is zero.
    """
    return isinstance(line, (Either, Relation, AllExcept, Outcome, Union, Builder, ValueSet))


def states_domain(line: Line) -> bool:
    """Return whether *line* is a finished statement of a domain, not a step towards it."""
    return is_domain_line(line) and not _is_equation(line)


def stated_exclusions(line: Line, context: Context) -> frozenset[Factor] | None:
    """Return the polynomials that *line* says are not zero; None when it says something else.

    Raises:
        NotRational: they hold roots.
    """
    match line:
        case Outcome("all real numbers"):
            return frozenset()
        case AllExcept():
            return context.solutions(line).excluded
        case Builder(_, condition):
            return stated_exclusions(condition, context)
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
    if len(letters(context.given)) > 1:
        return _judged_by_factors(line, domain, context)
    wanted = domain_set(context.given, context.unknown)  # type: ignore[arg-type]
    said = stated_set(line, context.unknown)
    if said.same_solutions(wanted):
        return Judgement("ok")
    missing, extra = _gaps(said), _gaps(wanted)
    return Judgement(
        "wrong",
        "refuted",
        says=_why_not(wanted, said, context),
        adds=sorted(f"{context.unknown} != {number_text(p)}" for p in missing - extra),
        drops=sorted(f"{context.unknown} != {number_text(p)}" for p in extra - missing),
    )


def _judged_by_factors(line: Line, domain: Domain, context: Context) -> Judgement:
    stated = stated_exclusions(line, context)
    if stated is None or domain.required:
        raise NotRational
    kept = frozenset(f for f in stated if f.has_real_zero)
    return Judgement("ok" if kept == domain.excluded else "wrong", "exact")


def says_part(line: Line, context: Context) -> bool:
    """Return whether *line* is the condition of one even root of the given, on the way to its domain."""
    if not isinstance(line, Relation) or line.sign in ("=", "!="):
        return False
    unknown = context.unknown
    for part in parts(context.given):
        if not (isinstance(part, Root) and part.index % 2 == 0 and unknown in letters(part)):
            continue
        try:
            wanted = stated_set(Relation(part.radicand, ">=", Number("0")), unknown)
            strict = stated_set(Relation(part.radicand, ">", Number("0")), unknown)
            said = stated_set(line, unknown)
        except (NotRational, Undefined):
            continue
        if said.same_solutions(wanted) or said.same_solutions(strict):
            return True
    return False


def _gaps(found: SolutionSet) -> set[Algebraic]:
    """Return the single numbers that are left out."""
    ends = [i.high for i in found.intervals[:-1]]
    starts = [i.low for i in found.intervals[1:]]
    return {a for a, b in zip(ends, starts, strict=True) if a is not None and a == b}


def _is_equation(line: Line) -> bool:
    options = line.options if isinstance(line, Either) else (line,)
    return all(isinstance(option, Relation) and option.sign == "=" for option in options)


def _judged_zeros(line: Line, excluded: frozenset[Factor], context: Context) -> Judgement:
    """Judge "denominator = 0" and what follows from it: it has just the excluded values."""
    found = context.solutions(line)
    wanted = {z for f in excluded for z in points_of(f, context.unknown, context.numbers)}
    return Judgement("ok" if not found.everything and found.points == wanted else "wrong")


def stated_set(line: Line, unknown: str) -> SolutionSet:
    """Return the numbers that *line* allows for *unknown*.

    Raises:
        NotRational: they are not worked out.
    """
    one = ring((unknown,))
    if isinstance(line, AllExcept):
        return complement(solution_set(ValueSet(line.members), unknown, one))
    return solution_set(line, unknown, one)


def _why_not(wanted: SolutionSet, said: SolutionSet, context: Context) -> Says | None:
    """Return a value at which the statement fails: excluded and not said so, or the reverse."""
    ends = {e for found in (wanted, said) for i in found.intervals for e in (i.low, i.high)}
    for value in sorted(end for end in ends if end is not None):
        if wanted.holds(value) != said.holds(value):
            at = mathematics(f"{context.unknown} = {number_text(value)}")
            return (ALLOWED_WITHOUT_VALUE if said.holds(value) else EXCLUDED_WITH_VALUE)(at)
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
    for below in _denominators(given):
        found = solution_set(Relation(below, "=", Number("0")), unknown, one)
        breaks |= {p for p in found.points if isinstance(p, Algebraic)}
    ordered = sorted(breaks)
    ends = list(zip([None, *ordered], [*ordered, None], strict=True))
    inside = [_has_value(given, unknown, Algebraic.of(between(a, b))) for a, b in ends]
    truth = [_has_value(given, unknown, at) for at in ordered]
    points, intervals = assembled(ordered, truth, inside)
    return SolutionSet(points, intervals=intervals).normal()


def _denominators(given: Expr) -> Iterator[Expr]:
    for part in parts(given):
        if isinstance(part, Quotient) and letters(part.denominator):
            yield part.denominator
        elif isinstance(part, Power) and letters(part.base):
            yield part.base


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
