"""The verdict of one line against the line before it. Decided by the kernel alone."""

from functools import lru_cache

from uchuu_core.checking.context import Case, Context
from uchuu_core.checking.domain_lines import is_domain_line, judged_domain
from uchuu_core.checking.equations import judged_statement
from uchuu_core.checking.feature_lines import judged_feature
from uchuu_core.checking.judgement import Judgement, is_statement
from uchuu_core.kernel.domains import Domain, condition
from uchuu_core.kernel.equality import (
    Agreement,
    Counter,
    agreement,
    has_value,
    letters_of,
    letters_under_even_roots,
    value_texts,
)
from uchuu_core.kernel.exact import Exact, Undecided
from uchuu_core.kernel.finished import is_prime
from uchuu_core.kernel.points import NotRational, Undefined, simple_points
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import (
    Chain,
    Expr,
    Feature,
    Line,
    Outcome,
    Product,
    Relation,
    Root,
    Symbol,
    ValueSet,
)
from uchuu_core.tree.paths import parts

_NO_STUDY = "a feature stands only where a function is studied"


def judged(before: Line, line: Line, context: Context) -> Judgement:
    """Return the verdict of *line*, written under *before*.

    The lines of a paper are judged at every key that is typed under them: verdicts are remembered.
    """
    return _remembered(before, line, context.case).copy()


@lru_cache(maxsize=2048)
def _remembered(before: Line, line: Line, case: Case) -> Judgement:
    return _judged(before, line, case.context)


def _judged(before: Line, line: Line, context: Context) -> Judgement:
    try:
        if isinstance(line, Feature):
            if context.problem.task == "study":
                return judged_feature(line, context)
            return Judgement("unproved", "tested", tested=_NO_STUDY)
        if context.problem.task == "study":
            line = function_rewritten(line, context.unknown)
        if context.problem.task == "domain" and is_domain_line(line):
            return judged_domain(line, context)
        if context.is_equation:
            return judged_statement(before, line, context)
        return _judged_expression(before, line, context)
    except Undefined:
        if not _has_value(before, context):
            return Judgement("unproved", "tested", tested="the line before divides by zero")
        return Judgement("wrong", "exact", tested="this line divides by zero")
    except (NotRational, Undecided):
        return Judgement("unproved", "tested", tested="roots and powers of this kind")


def function_rewritten(line: Line, unknown: str) -> Line:
    """Return what ``y = …`` or ``f(x) = …`` says the function is."""
    match line:
        case Relation(Symbol(name), "=", right) if name != unknown:
            return right
        case Relation(Product((Symbol(), argument), _), "=", right):
            return right if without_brackets(argument) == Symbol(unknown) else line
        case _:
            return line


def _has_value(line: Line, context: Context) -> bool:
    """Whether *line* is defined somewhere, so that what follows it can be compared."""
    try:
        if not is_statement(line):
            return has_value(line, context.numbers)  # type: ignore[arg-type]
        context.solutions(line)
    except NotRational:
        return True
    except Undefined:
        return False
    return True


def end_of(line: Line) -> Expr | None:
    """Return the expression that a line of an expression task ends with, None for words."""
    match line:
        case Chain(sides):
            return sides[-1]
        case Relation(_, "=", right):
            return right
        case ValueSet(members) if members:
            return members[-1]
        case _:
            return None if is_statement(line) else line  # type: ignore[return-value]


def sides_of(line: Line) -> tuple[Expr, ...]:
    """Return the expressions that a line of an expression task claims to be equal."""
    match line:
        case Chain(sides):
            return sides
        case Relation(left, "=", right):
            return (left, right)
        case ValueSet(members):  # two forms of one value: 7/2 or 3.5
            return members
        case _:
            return () if is_statement(line) else (line,)  # type: ignore[return-value]


def _judged_outcome(before: Line, says: str, context: Context) -> Judgement:
    """Judge words under an expression: "prime" for a factoring, "no solution" for no value."""
    start = end_of(before)
    if start is None or says not in ("prime", "no solution"):
        return Judgement("wrong", "exact")
    if says == "no solution":
        return Judgement("wrong" if has_value(start, context.numbers) else "ok", "exact")
    return Judgement("ok" if is_prime(start, context.ring) else "wrong", "exact")


def _judged_expression(before: Line, line: Line, context: Context) -> Judgement:
    if isinstance(line, Outcome):
        return _judged_outcome(before, line.says, context)
    start = end_of(before)
    sides = sides_of(line)
    if start is None or not sides:
        return Judgement("unproved", "tested", tested="this kind of line is not judged yet")
    verdicts: list[Agreement] = []
    for side in sides:
        verdicts.append(agreement(start, side, context.numbers))
        start = side
    for found in verdicts:
        if found.verdict == "different":
            if _holds_where_given_does(before, line, context):
                needed = context.domain(context.given).required
                return Judgement("ok", "exact", conditions=sorted(condition(r) for r in needed))
            return Judgement("wrong", "refuted", counter=found.counter)
    domains = context.domain(before), context.domain(line)
    lost = _lost_domain(before, line, domains, context)
    if lost is not None:
        return lost
    for found in verdicts:
        if found.verdict == "undecided":
            return Judgement("unproved", "tested", tested=found.tested)
    assumed = _assumed(before, line) if context.numbers.non_negative else []
    return Judgement("ok", "exact", conditions=_conditions(*domains) + assumed)


def _lost_domain(
    before: Line, line: Line, domains: tuple[Domain, Domain], context: Context
) -> Judgement | None:
    """Refute a line that has no value, for a root's sake, where both the line before and the given have one."""
    had, has = domains
    if has.required <= had.required or context.numbers.is_complex:
        return None
    start, given = end_of(before), end_of(context.given)
    if start is None or given is None:
        return None
    names = letters_of(start, given, *sides_of(line))
    assumed = letters_under_even_roots(start, given, *sides_of(line))
    for point in simple_points(names):
        if context.numbers.non_negative and any(point[name] < 0 for name in assumed):
            continue
        real, both = Exact(point), Exact(point, is_complex=True)
        try:
            if not all(real.near(side).is_finite() for side in (start, given)):
                continue
        except (Undefined, Undecided):
            continue
        for side in sides_of(line):
            if _is_root_of_negative(side, real, both):
                texts = value_texts(start, side, point)
                where = tuple((name, str(value)) for name, value in point.items())
                return Judgement("wrong", "refuted", counter=Counter(where, *texts))
    return None


def _is_root_of_negative(side: Expr, real: Exact, both: Exact) -> bool:
    """Whether *side* has a complex value here and no real one (it divides by zero nowhere)."""
    try:
        real.near(side)
    except Undefined:
        try:
            both.near(side)
        except Undefined:
            return False
        except Undecided:
            return True  # a fourth root of a negative, say
        return True
    except Undecided:
        pass
    return False


def _holds_where_given_does(before: Line, line: Line, context: Context) -> bool:
    """Return whether both lines have the given's value wherever the given has one.

    ``√(6x)·√(3x) → √(18x²) → 3x√2``: the second line admits negative x, the given does not.
    """
    given, start = end_of(context.given), end_of(before)
    sides = sides_of(line)
    if given is None or start is None or before == context.given:
        return False
    return all(
        agreement(given, side, context.numbers).verdict == "equal" for side in (start, *sides)
    )


def _assumed(before: Line, line: Line) -> list[str]:
    """Return the house rule's assumption on the letters under even roots, where it was needed."""
    start, end = end_of(before), end_of(line)
    if start is None or end is None or agreement(start, end).verdict == "equal":
        return []
    below = [part.radicand for part in parts(before) if isinstance(part, Root)]
    return [f"{name} >= 0" for name in sorted(letters_of(*below))]


def _conditions(had: Domain, has: Domain) -> list[str]:
    """Return what must be said because the two lines do not have values at the same places."""
    found = [condition(factor) for factor in had.excluded ^ has.excluded]
    found += [condition(requirement) for requirement in had.required ^ has.required]
    return sorted(set(found))
