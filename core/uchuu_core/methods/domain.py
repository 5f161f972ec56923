"""Where an expression has a value: denominators are not zero, radicands not negative."""

from collections.abc import Iterator

from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.numbers import REAL
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solving import solution_set
from uchuu_core.kernel.written import tree_of
from uchuu_core.methods.method import BOARD, KEY, Method, Moment, Posed, shown
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
    roots = [p for p in parts(given) if isinstance(p, Root) and p.index % 2 == 0]
    below = _denominators(given)
    if roots and (below or len(roots) > 1):
        return "roots together with denominators are not worked yet"
    try:
        list(_moments(posed))
    except (NotRational, Undefined):
        return "what stands below a bar or under a root is not solved yet"
    return None


def _moments(posed: Posed) -> Iterator[Moment]:
    given, unknown = posed.given, posed.unknown
    below = _denominators(given)
    root = next((p for p in parts(given) if isinstance(p, Root) and p.index % 2 == 0), None)
    if root is not None and letters(root):
        yield from _of_root(root, unknown)
    elif below:
        yield from _of_denominators(below, unknown)
    else:
        says = "Nothing stands below a bar or under an even root: every number may be put in."
        yield Moment(Outcome("all real numbers"), "domain", says, KEY)


def _of_denominators(below: list[Expr], unknown: str) -> Iterator[Moment]:
    algebra = ring((unknown,))
    written = tuple(Relation(d, "=", _ZERO) for d in below)
    zero: Line = written[0] if len(written) == 1 else Either(written)
    yield Moment(zero, "denominator-zero", "A denominator must not be zero: find where it is.")
    factored = []
    for denominator in below:
        number, factors = integer_factors(algebra.function(denominator).numerator, algebra)
        factored.append(Relation(product_tree(int(number), factors, algebra), "=", _ZERO))
    line: Line = factored[0] if len(factored) == 1 else Either(tuple(factored))
    if line != zero:
        yield Moment(line, "factor", "Factor.", BOARD)
    points = solution_set(zero, unknown, algebra, REAL).points
    numbers = sorted(p for p in points if isinstance(p, Algebraic))
    if not numbers:
        says = f"{shown(below[0])} is never zero: every number may be put in."
        yield Moment(Outcome("all real numbers"), "domain", says, KEY)
        return
    values = [tree_of(number) for number in numbers]
    if any(value is None for value in values):
        raise NotRational
    named = tuple(Relation(Symbol(unknown), "=", value) for value in values)  # type: ignore[arg-type]
    found: Line = named[0] if len(named) == 1 else Either(named)
    yield Moment(found, "zero-product", "Each factor zero gives an excluded value.")
    says = "These values are left out, also where the factor divides out."
    yield Moment(AllExcept(tuple(values)), "domain", says, KEY)  # type: ignore[arg-type]


def _of_root(root: Root, unknown: str) -> Iterator[Moment]:
    line = Relation(root.radicand, ">=", _ZERO)
    yield Moment(line, "radicand-not-negative", "What stands under an even root is not negative.")
    found = solution_set(line, unknown, ring((unknown,)), REAL)
    if found.everything:
        says = f"{shown(root.radicand)} is never negative: every number may be put in."
        yield Moment(Outcome("all real numbers"), "domain", says, KEY)
        return
    relations: list[Relation] = []
    for interval in found.intervals:
        ends = ((interval.low, ">="), (interval.high, "<="))
        for end, sign in ends:
            if end is not None:
                value = tree_of(end)
                if value is None:
                    raise NotRational
                relations.append(Relation(Symbol(unknown), sign, value))  # type: ignore[arg-type]
    if not relations:
        raise NotRational
    solved: Line = relations[0] if len(relations) == 1 else Either(tuple(relations))
    if solved != line:
        yield Moment(solved, "domain", "Solve the inequality.", KEY)


DOMAIN = Method(
    key="exclude-and-require",
    tasks=("domain",),
    refusal=_refusal,
    why="Denominators are not zero, radicands under even roots not negative.",
    moments=_moments,
)
