"""Is a right line in the form that the task asks for? Says what is unmet and where; knows no moves."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from math import gcd

from uchuu_core.kernel.finished_complex import not_a_plus_bi
from uchuu_core.kernel.finished_powers import with_powers_again, with_powers_named
from uchuu_core.kernel.finished_roots import (
    NEGATIVE_EXPONENT,
    RATIONALISED,
    SIMPLEST_ROOTS,
    has_common_number,
    has_joinable_roots,
    has_negative_exponent,
    has_root_below,
    holds_root,
    is_simplest_root,
    root_shape,
)
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.powers import Multiplicative
from uchuu_core.kernel.rational_functions import Ring, ring
from uchuu_core.limits import LARGEST_POWER
from uchuu_core.tree.nodes import (
    AllExcept,
    Bracket,
    Builder,
    Chain,
    Coordinates,
    Either,
    Expr,
    Feature,
    Interval,
    Line,
    Log,
    Mixed,
    Number,
    Outcome,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
    Symbol,
    Union,
    ValueSet,
)
from uchuu_core.tree.paths import letters, parts

LOWEST_TERMS = "lowest terms"
LIKE_TERMS = "like terms collected"
WORKED_OUT = "worked out"
EXPANDED = "expanded"
ALONE = "unknown alone"
A_PLUS_BI = "a + bi"
FACTORED = "factored"
SINGLE_FRACTION = "single fraction"
MIXED_NUMBER = "mixed number"


@dataclass(frozen=True, slots=True)
class Unmet:
    """A form that a line does not meet, and the part that shows it."""

    form: str
    part: Line


def unmet_forms(
    line: Line,
    task: str,
    forms: tuple[str, ...] = (),
    unknown: str = "",
    *,
    is_complex: bool = False,
    powers_up_to: int = LARGEST_POWER,
) -> tuple[str, ...]:
    """Return the names of the forms that *line* does not meet, in the order in which to mend them.

    Args:
        line: A line that is right in value.
        task: The contract's task.
        forms: Forms that the problem asks for besides those of the task.
        unknown: The letter to solve for.
        is_complex: Whether i is the imaginary unit: values are then brought to a + bi.
        powers_up_to: Powers of whole numbers with a greater value may stay as they are, where no
            other number meets them; what is to be evaluated is worked out all the same.
    """
    found = unmet(line, task, forms, unknown, is_complex=is_complex, powers_up_to=powers_up_to)
    return tuple(dict.fromkeys(item.form for item in found))


def unmet(
    line: Line,
    task: str,
    forms: tuple[str, ...] = (),
    unknown: str = "",
    *,
    is_complex: bool = False,
    powers_up_to: int = LARGEST_POWER,
) -> list[Unmet]:
    """Return the same as ``unmet_forms`` with the place of each."""
    if task in ("domain", "study"):
        return []
    named = line if task == "evaluate" else with_powers_named(line, powers_up_to)
    found = [
        replace(item, part=with_powers_again(item.part)) if named != line else item
        for item in _unmet(named, task, forms, unknown)
    ]
    end = line.sides[-1] if isinstance(line, Chain) else line
    end = end.right if isinstance(end, Relation) else end
    if is_complex and not isinstance(end, _NO_VALUES) and letters(end) <= {"i", unknown}:
        found += [Unmet(A_PLUS_BI, part) for part in not_a_plus_bi(end)]
    return found


_NO_VALUES = (
    Either, ValueSet, Outcome, AllExcept, Feature, Coordinates, Interval, Union, Builder,
    Relation, Chain,
)  # fmt: skip


def _unmet(line: Line, task: str, forms: tuple[str, ...], unknown: str) -> Iterator[Unmet]:
    match line:
        case Chain(sides):
            last = Relation(sides[0], "=", sides[-1]) if task == "solve" else sides[-1]
            yield from _unmet(last, task, forms, unknown)
        case Either(parts):
            for part in parts:
                yield from _unmet(part, task, forms, unknown)
        case ValueSet(members):
            for member in members:
                yield from _of_value(member, forms)
        case Outcome() | AllExcept() | Feature() | Coordinates() | Interval() | Union() | Builder():
            return
        case Relation(left, _, right) if task == "solve":
            yield from _of_solution(left, right, forms, unknown, line)
        case Relation():
            yield from _unmet(line.right, task, forms, unknown)
        case _ if task == "solve":
            yield from _of_value(line, forms)
        case _:
            yield from _of_expression(line, task, forms)


def _of_solution(
    left: Expr, right: Expr, forms: tuple[str, ...], unknown: str, line: Line
) -> Iterator[Unmet]:
    if right == Symbol(unknown) and unknown not in letters(left):
        left, right = right, left
    if left != Symbol(unknown) or unknown in letters(right):
        yield Unmet(ALONE, line)
    else:
        yield from _of_value(right, forms)


def _of_value(node: Expr, forms: tuple[str, ...]) -> Iterator[Unmet]:
    if any(isinstance(part, Log) for part in parts(node)):
        return  # a logarithm is an answer as it stands
    yield from _of_expression(node, "simplify", tuple(f for f in forms if f != FACTORED))


def is_finished_number(node: Expr) -> bool:
    """Return whether *node* is one number in lowest terms: integer, decimal, fraction or mixed."""
    match node:
        case Number():
            return True
        case Mixed(_, top, bottom):
            return top < bottom and gcd(top, bottom) == 1
        case Signed(("-" | "+-"), body):
            return not isinstance(body, Signed) and is_finished_number(body)
        case Quotient(Number() | Signed("-", Number()) as top, Number() as bottom, "/"):
            above = top.body if isinstance(top, Signed) else top
            if not (isinstance(above, Number) and above.is_whole and bottom.is_whole):
                return False
            return int(bottom.text) > 1 and gcd(int(above.text), int(bottom.text)) == 1
        case _:
            return False


def _is_plain_fraction(node: Expr) -> bool:
    match node:
        case Signed(("-" | "+-"), body):
            return _is_plain_fraction(body)
        case Quotient(Number() | Signed("-", Number()), Number() | Signed("-", Number()), _):
            return True
        case _:
            return False


def _of_expression(node: Expr, task: str, forms: tuple[str, ...]) -> Iterator[Unmet]:
    algebra = ring(tuple(sorted(letters(node))))
    if not letters(node) and not holds_root(node):
        if not is_finished_number(node):
            yield Unmet(LOWEST_TERMS if _is_plain_fraction(node) else WORKED_OUT, node)
    elif task == "factor":
        yield from _not_factored(node, algebra)
    else:
        if task == "expand":
            yield from _brackets(node)
        yield from _not_simplified(node, algebra)
    yield from _asked(node, forms, algebra, task)


def _asked(node: Expr, forms: tuple[str, ...], algebra: Ring, task: str) -> Iterator[Unmet]:
    if RATIONALISED in forms:
        yield from (Unmet(RATIONALISED, p) for p in parts(node) if has_root_below(p))
    if NEGATIVE_EXPONENT in forms:
        yield from (Unmet(NEGATIVE_EXPONENT, p) for p in parts(node) if has_negative_exponent(p))
    if SINGLE_FRACTION in forms and not _is_single_fraction(node):
        yield Unmet(SINGLE_FRACTION, node)
    if MIXED_NUMBER in forms and _is_improper(node):
        yield Unmet(MIXED_NUMBER, node)
    if FACTORED in forms and task != "factor":
        yield from _not_factored(node, algebra)


def _is_single_fraction(node: Expr) -> bool:
    while isinstance(node, (Signed, Bracket)):
        node = node.body
    inside = [node.numerator, node.denominator] if isinstance(node, Quotient) else [node]
    return not any(isinstance(p, Quotient) for side in inside for p in parts(side))


def _is_improper(node: Expr) -> bool:
    while isinstance(node, (Signed, Bracket)):
        node = node.body
    if not isinstance(node, Quotient) or letters(node):
        return False
    top, bottom = node.numerator, node.denominator
    if isinstance(top, Signed):
        top = top.body
    if isinstance(top, Number) and isinstance(bottom, Number):
        return top.value > bottom.value
    return False


def _brackets(node: Expr) -> Iterator[Unmet]:
    for part in parts(node):
        if (
            (isinstance(part, Product) and any(isinstance(f, Sum) for f in part.factors))
            or (isinstance(part, Power) and isinstance(part.base, (Sum, Product)))
            or (isinstance(part, Sum) and any(isinstance(t.body, Sum) for t in part.terms))
        ):
            yield Unmet(EXPANDED, part)


# factored


def _not_factored(node: Expr, algebra: Ring) -> Iterator[Unmet]:
    """Yield the factors that can be taken apart further, over the integers."""
    match node:
        case Signed(_, body) | Bracket(body):
            yield from _not_factored(body, algebra)
        case Product(factors, _):
            if _has_open_product(node):
                yield Unmet(WORKED_OUT, node)
            for factor in factors:
                yield from _not_factored(factor, algebra)
        case Quotient(numerator, denominator, _):
            yield from _not_factored(numerator, algebra)
            yield from _not_factored(denominator, algebra)
        case Power(base, exponent) if isinstance(exponent, Number):
            yield from _not_factored(base, algebra)
        case Sum():
            yield from _not_irreducible(node, algebra)
        case _:
            return


def _not_irreducible(node: Sum, algebra: Ring) -> Iterator[Unmet]:
    if not letters(node):
        yield Unmet(WORKED_OUT, node)
        return
    try:
        value = algebra.function(node)
    except NotRational:
        return
    if not value.denominator.is_constant():
        yield Unmet(FACTORED, node)
        return
    if _has_like_terms(node, algebra):
        yield Unmet(LIKE_TERMS, node)
    constant, factors = algebra.factored(value.numerator)
    if (
        len(factors) > 1
        or any(power > 1 for _, power in factors)
        or (abs(constant) != 1 and constant.q == 1)
    ):
        yield Unmet(FACTORED, node)


def is_prime(node: Expr, algebra: Ring) -> bool:
    """Return whether a polynomial cannot be factored over the integers.

    Raises:
        NotRational: *node* is no polynomial.
    """
    value = algebra.function(node)
    if not value.denominator.is_constant():
        raise NotRational
    constant, factors = algebra.factored(value.numerator)
    return len(factors) == 1 and factors[0][1] == 1 and abs(constant) == 1


# simplified


def _not_simplified(node: Expr, algebra: Ring) -> Iterator[Unmet]:
    for part in parts(node):
        if isinstance(part, Sum):
            if _has_like_terms(part, algebra):
                yield Unmet(LIKE_TERMS, part)
        elif isinstance(part, Product):
            if _has_open_product(part) or has_joinable_roots(part.factors):
                yield Unmet(WORKED_OUT, part)
        elif isinstance(part, Quotient):
            if not _in_lowest_terms(part, algebra):
                yield Unmet(LOWEST_TERMS, part)
            elif has_joinable_roots((part.numerator, part.denominator)):
                yield Unmet(WORKED_OUT, part)
        elif isinstance(part, Power):
            if _is_open_power(part):
                yield Unmet(WORKED_OUT, part)
        elif isinstance(part, Root) and not is_simplest_root(part, algebra):
            yield Unmet(SIMPLEST_ROOTS, part)


def _is_open_power(part: Power) -> bool:
    """Whether a power can still be worked out: of numbers, of a root, of a power."""
    if letters(part.exponent):
        return False
    if not letters(part) and not isinstance(part.base, Symbol):
        return True
    return isinstance(part.base, (Root, Power)) and isinstance(part.exponent, Number)


def _has_like_terms(node: Sum, algebra: Ring) -> bool:
    seen: set[object] = set()
    multiplicative = Multiplicative(algebra)
    for term in node.terms:
        if isinstance(term.body, Sum):
            return True
        try:
            value = algebra.function(term.body)
            if value.is_zero:
                return True
            shape: object = (algebra.key(value.numerator), algebra.key(value.denominator))
        except NotRational:
            shape = root_shape(term.body, multiplicative)
        except Undefined:
            continue
        if shape is None:
            continue
        if shape in seen:
            return True
        seen.add(shape)
    return False


def _has_open_product(node: Product) -> bool:
    numbers = [f for f in node.factors if not letters(f) and not holds_root(f)]
    names = [f.name for f in node.factors if isinstance(f, Symbol)]
    bases = [
        f.base.name for f in node.factors if isinstance(f, Power) and isinstance(f.base, Symbol)
    ]
    return len(numbers) > 1 or len({*names, *bases}) < len(names) + len(bases)


def _in_lowest_terms(node: Quotient, algebra: Ring) -> bool:
    try:
        above, below = algebra.function(node.numerator), algebra.function(node.denominator)
    except NotRational:
        return not has_common_number(node)
    except Undefined:
        return True
    if not (above.denominator.is_one() and below.denominator.is_one()):
        return False
    if not above.numerator.gcd(below.numerator).is_constant():
        return False
    numbers = [*above.numerator.coeffs(), *below.numerator.coeffs()]
    if any(n.q != 1 for n in numbers):
        return False
    common = gcd(*(int(n.p) for n in numbers))
    return common == 1 and not below.numerator.is_one()
