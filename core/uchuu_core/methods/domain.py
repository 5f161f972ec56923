"""Where an expression has a value: denominators are not zero, radicands not negative."""

from collections.abc import Iterator
from itertools import pairwise

from uchuu_core.contract import Domains
from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.numbers import REAL
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solutions import SolutionSet, complement, intersection
from uchuu_core.kernel.solving import solution_set
from uchuu_core.kernel.written import tree_of
from uchuu_core.lawbook.fractions import FACTOR_ALL_BELOW
from uchuu_core.lawbook.functions import (
    HOLDS_FOR_EVERY_NUMBER,
    LEFT_OUT,
    NEVER_ZERO,
    NOTHING_BELOW,
    RADICAND_AND_DENOMINATOR,
    SOLVE_EACH_CONDITION,
    UNDER_EVEN_ROOT,
    WHERE_DENOMINATOR_ZERO,
)
from uchuu_core.lawbook.quadratics import ZERO_FACTORS_EXCLUDED
from uchuu_core.methods.domain_lines import written_domain
from uchuu_core.methods.method import BOARD, KEY, Method, Moment, Posed
from uchuu_core.methods.written import integer_factors, product_tree
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    AllExcept,
    Either,
    Expr,
    Line,
    Number,
    Outcome,
    Power,
    Quotient,
    Relation,
    RelationSign,
    Root,
    Signed,
    Symbol,
)
from uchuu_core.tree.paths import letters, parts, walk

_ZERO = Number("0")


def _denominators(given: Line) -> list[Expr]:
    """Return what must not be zero, each once, in written order."""
    found: list[Expr] = []
    for _, part in walk(given):
        below: Expr | None = None
        if isinstance(part, Quotient):
            below = part.denominator
        elif isinstance(part, Power) and isinstance(part.exponent, Signed):
            below = part.base
        if below is not None and letters(below):
            found.append(build.without_brackets(below))
    return list(dict.fromkeys(found))


def _holds_fraction(node: Expr) -> bool:
    return any(isinstance(part, Quotient) for part in parts(node))


def _refusal(posed: Posed) -> str | None:
    given, unknown = posed.given, posed.unknown
    if isinstance(given, (Relation, Outcome)):
        return "this is not an expression"
    if letters(given) != {unknown}:
        return "it holds more than one letter, or none"
    if any(_holds_fraction(d) for d in _denominators(given)):
        return "a fraction below a bar is not worked yet"
    try:
        list(_moments(posed))
    except (NotRational, Undefined):
        return "what stands below a bar or under a root is not solved yet"
    except OutOfScope as reason:
        return reason.clause
    return None


def _moments(posed: Posed) -> Iterator[Moment]:
    given, unknown = posed.given, posed.unknown
    below = _denominators(given)
    if any(isinstance(p, Root) and p.index % 2 == 0 and letters(p) for p in parts(given)):
        yield from _of_roots(build.without_brackets(given), below, unknown, posed.house.domains)
    elif below:
        yield from _of_denominators(below, unknown, posed.house.domains)
    else:
        says = NOTHING_BELOW()
        yield Moment(_everything(posed.house.domains), says, KEY)


def _everything(notation: Domains) -> Line:
    return written_domain(Outcome("all real numbers"), SolutionSet(everything=True), "", notation)


def _of_denominators(below: list[Expr], unknown: str, notation: Domains) -> Iterator[Moment]:
    algebra = ring((unknown,))
    written = tuple(Relation(d, "=", _ZERO) for d in below)
    zero: Line = written[0] if len(written) == 1 else Either(written)
    yield Moment(zero, WHERE_DENOMINATOR_ZERO())
    factored = []
    for denominator in below:
        number, factors = integer_factors(algebra.function(denominator).numerator, algebra)
        factored.append(Relation(product_tree(int(number), factors, algebra), "=", _ZERO))
    line: Line = factored[0] if len(factored) == 1 else Either(tuple(factored))
    if line != zero:
        yield Moment(line, FACTOR_ALL_BELOW(), BOARD)
    zeros = solution_set(zero, unknown, algebra, REAL)
    points = zeros.points
    numbers = sorted(p for p in points if isinstance(p, Algebraic))
    if not numbers:
        says = NEVER_ZERO(below[0])
        yield Moment(_everything(notation), says, KEY)
        return
    values = [tree_of(number) for number in numbers]
    if any(value is None for value in values):
        raise NotRational
    named = tuple(Relation(Symbol(unknown), "=", value) for value in values)  # type: ignore[arg-type]
    found: Line = named[0] if len(named) == 1 else Either(named)
    yield Moment(found, ZERO_FACTORS_EXCLUDED())
    says = LEFT_OUT()
    domain = AllExcept(tuple(values))  # type: ignore[arg-type]
    yield Moment(written_domain(domain, complement(zeros), unknown, notation), says, KEY)


def _of_roots(given: Line, below: list[Expr], unknown: str, notation: Domains) -> Iterator[Moment]:
    """Yield the lines where even roots stand, denominators beside them or not."""
    conditions: list[Relation] = []
    under_bar = {p for d in below for p in parts(d) if p == d or p in getattr(d, "factors", ())}
    for _, part in walk(given):
        if isinstance(part, Root) and part.index % 2 == 0 and letters(part):
            sign: RelationSign = ">" if part in under_bar else ">="
            conditions.append(Relation(part.radicand, sign, _ZERO))
    conditions += [
        Relation(d, "!=", _ZERO)
        for d in below
        if d not in {p for p in parts(given) if isinstance(p, Root)}
    ]
    conditions = list(dict.fromkeys(conditions))
    line: Line = conditions[0] if len(conditions) == 1 else Either(tuple(conditions))
    yield Moment(line, RADICAND_AND_DENOMINATOR() if below else UNDER_EVEN_ROOT())
    algebra = ring((unknown,))
    sets = []
    for each in conditions:
        if each.sign == "!=":
            zero = Relation(each.left, "=", _ZERO)
            sets.append(complement(solution_set(zero, unknown, algebra, REAL)))
        else:
            sets.append(solution_set(each, unknown, algebra, REAL))
    found = intersection(sets)
    if found.everything:
        says = HOLDS_FOR_EVERY_NUMBER()
        yield Moment(_everything(notation), says, KEY)
        return
    solved = _written(found, unknown)
    domain = written_domain(solved, found, unknown, notation)
    if domain != line:
        yield Moment(domain, SOLVE_EACH_CONDITION(), KEY)


def _written(found: SolutionSet, unknown: str) -> Line:
    """Write one interval, single values cut out of it, as relations.

    Raises:
        OutOfScope: it is nothing, one point, or several intervals.
        NotRational: an end cannot be written with square roots.
    """
    listed = list(found.intervals)
    if not listed or found.points:
        raise OutOfScope("Its domain is empty or has single points.")
    letter = Symbol(unknown)
    relations: list[Relation] = []
    if any(a.high != b.low for a, b in pairwise(listed)):
        if len(listed) == 2 and listed[0].low is None and listed[1].high is None:
            low, high = listed[0].high, listed[1].low
            signs: tuple[RelationSign, RelationSign] = (
                "<=" if listed[0].has_high else "<",
                ">=" if listed[1].has_low else ">",
            )
            return Either(
                (Relation(letter, signs[0], _end(low)), Relation(letter, signs[1], _end(high))),
                "or",
            )
        raise OutOfScope("Its domain has several parts.")
    first, last = listed[0], listed[-1]
    if first.low is not None:
        relations.append(Relation(letter, ">=" if first.has_low else ">", _end(first.low)))
    if last.high is not None:
        relations.append(Relation(letter, "<=" if last.has_high else "<", _end(last.high)))
    relations += [Relation(letter, "!=", _end(b.low)) for b in listed[1:]]
    return relations[0] if len(relations) == 1 else Either(tuple(relations))


def _end(number: Algebraic | None) -> Expr:
    tree = tree_of(number) if number is not None else None
    if tree is None:
        raise NotRational
    return tree


DOMAIN = Method(
    key="exclude-and-require",
    tasks=("domain",),
    refusal=_refusal,
    why="Denominators are not zero, radicands under even roots not negative.",
    moments=_moments,
)
