"""Are two expressions equal wherever both are defined? Proved, refuted, or honestly neither."""

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import islice
from typing import Any, Literal

from flint import fmpq

from uchuu_core.kernel.cells import Cell, cells
from uchuu_core.kernel.exact import Exact, Place, Undecided, shown
from uchuu_core.kernel.extension import Extension
from uchuu_core.kernel.logarithms import log_value, point_of
from uchuu_core.kernel.numbers import COMPLEX, REAL, Numbers
from uchuu_core.kernel.parity import by_parity, holds_sign_to_a_letter
from uchuu_core.kernel.points import NotRational, Undefined, simple_points, value_at
from uchuu_core.kernel.powers import Plan
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.tree.nodes import Expr, Power, Quotient, Root, Sum, Term
from uchuu_core.tree.paths import letters, parts


@dataclass(frozen=True, slots=True)
class Counter:
    """A point at which two expressions take different values, both written out.

    ``point`` maps letters to values as text; ``left`` and ``right`` are exact where rational.
    """

    point: tuple[tuple[str, str], ...]
    left: str
    right: str


@dataclass(frozen=True, slots=True)
class Agreement:
    """The kernel's answer: ``equal`` (proved), ``different`` (with a counter) or ``undecided``."""

    verdict: Literal["equal", "different", "undecided"]
    counter: Counter | None = None
    tested: str = ""


_POINTS_BEFORE_PROOF = 3
_POINTS_AFTER_PROOF = 40


def letters_of(*nodes: Expr, is_complex: bool = False) -> tuple[str, ...]:
    """Return the letters of all *nodes*, sorted; without the imaginary unit."""
    found = frozenset().union(*(letters(node) for node in nodes))
    return tuple(sorted(found - {"i"} if is_complex else found))


def agreement(left: Expr, right: Expr, numbers: Numbers = REAL) -> Agreement:
    """Decide whether *left* and *right* are equal on their common domain.

    Raises:
        Undefined: one of them has no value anywhere (it divides by zero).
        TooLarge: a bound is passed.
    """
    names = letters_of(left, right, is_complex=numbers.is_complex)
    if not numbers.is_complex:
        try:
            algebra = ring(names)
            if algebra.function(left).equals(algebra.function(right)):
                return Agreement("equal")
            return Agreement("different", counter_example(left, right))
        except NotRational:
            pass
    if holds_sign_to_a_letter(left) or holds_sign_to_a_letter(right):
        pairs = list(zip(by_parity(left, right), by_parity(right, left), strict=True))
        if not any(holds_sign_to_a_letter(side) for pair in pairs for side in pair):
            return _by_parity(pairs, numbers)
    if not names:
        return _of_numbers(left, right, numbers)
    return _in_cells(left, right, names, numbers)


def letters_under_even_roots(*nodes: Expr) -> frozenset[str]:
    """Return the letters that stand under an even root, or in a base with an exponent like 1/2."""
    found: frozenset[str] = frozenset()
    for node in nodes:
        for part in parts(node):
            if isinstance(part, Root) and part.index % 2 == 0:
                found |= letters(part.radicand)
            elif isinstance(part, Power) and isinstance(part.exponent, Quotient):
                found |= letters(part.base)
    return found


def has_value(node: Expr, numbers: Numbers = REAL) -> bool:
    """Return whether *node* has a value anywhere.

    Raises:
        NotRational: that is not decided.
    """
    names = letters_of(node, is_complex=numbers.is_complex)
    try:
        if not names:
            Exact({}, is_complex=numbers.is_complex).sign(node)
            return True
    except Undefined:
        return False
    except Undecided:
        raise NotRational from None
    try:
        ring(names).function(node)
    except Undefined:
        return False
    except NotRational:
        return _has_value_somewhere(node, names, numbers)
    return True


def _has_value_somewhere(node: Expr, names: tuple[str, ...], numbers: Numbers) -> bool:
    for point in simple_points(names):
        try:
            Exact(point, is_complex=numbers.is_complex).near(node)
        except (Undefined, Undecided):
            continue
        return True
    raise NotRational


def counter_example(left: Expr, right: Expr) -> Counter | None:
    """Return the simplest tried point at which both have different rational values."""
    names = letters_of(left, right)
    for point in simple_points(names):
        try:
            a, b = value_at(left, point), value_at(right, point)
        except (Undefined, NotRational):
            continue
        if a != b:
            return Counter(_point(point), str(a), str(b))
    return None


def _point(point: dict[str, fmpq]) -> tuple[tuple[str, str], ...]:
    return tuple((name, str(value)) for name, value in point.items())


def difference(left: Expr, right: Expr) -> Expr:
    """Write left minus right."""
    return Sum((Term("+", left), Term("-", right)))


def _by_parity(pairs: list[tuple[Expr, Expr]], numbers: Numbers) -> Agreement:
    """Compare for even and for odd exponents: a negative base allows whole exponents only."""
    found = [agreement(one, other, numbers) for one, other in pairs]
    order = ("different", "undecided", "equal")
    return min(found, key=lambda item: order.index(item.verdict))


# numbers


def _of_numbers(left: Expr, right: Expr, numbers: Numbers) -> Agreement:
    exact = Exact({}, is_complex=numbers.is_complex)
    try:
        different = exact.sign(difference(left, right)) != 0
    except Undefined:
        if numbers.is_complex:
            raise
        return _without_real_value(left, right)
    except Undecided:
        if _same_logarithms(left, right):
            return Agreement("equal")
        return Agreement("undecided", tested="no difference in size, to thousands of digits")
    if not different:
        return Agreement("equal")
    return Agreement(
        "different", Counter((), *value_texts(left, right, is_complex=numbers.is_complex))
    )


def _same_logarithms(left: Expr, right: Expr) -> bool:
    try:
        return point_of(log_value(left)) == point_of(log_value(right))
    except (NotRational, Undefined):
        return False


def _without_real_value(left: Expr, right: Expr) -> Agreement:
    """Compare two numbers of which one has no real value: as complex ones, if neither has."""
    for side in (left, right):
        try:
            Exact({}).sign(side)
        except Undefined:
            continue
        except Undecided:
            return Agreement("undecided", tested="one side has no real value")
        return Agreement("different")  # one is real, the other is not
    return _of_numbers(left, right, COMPLEX)


def value_texts(
    left: Expr, right: Expr, place: Place | None = None, *, is_complex: bool = False
) -> tuple[str, str]:
    """Write the values of both sides with their letters at *place*: exact where rational."""
    exact = Exact(place or {}, is_complex=is_complex)
    found = []
    for side in (left, right):
        try:
            found.append(str(value_at(side, exact.place)))
        except (NotRational, Undefined, KeyError):
            try:
                found.append(shown(exact.near(side)))
            except (Undefined, Undecided):
                found.append("no real value")
    return found[0], found[1]


# letters with roots or in exponents


def _in_cells(left: Expr, right: Expr, names: tuple[str, ...], numbers: Numbers) -> Agreement:
    assumed = letters_under_even_roots(left, right) if numbers.non_negative else frozenset()
    points = _points(names, assumed)
    tried = list(islice(points, _POINTS_BEFORE_PROOF))
    refuted = _refuted_at(left, right, tried, numbers)
    if refuted:
        return refuted
    open_cells, was_defined = [], False
    try:
        plan = Plan((left, right), ring(names))
        if plan.has_letter_powers:  # proved for positive bases only: whole exponents allow others
            more = list(points)
            tried += more
            refuted = _refuted_at(left, right, more, numbers)
            if refuted:
                return refuted
        for cell in cells(plan.signed, names, assumed):
            try:
                equal = _equal_in(left, right, plan, cell, numbers)
            except Undefined:
                continue
            was_defined = True
            if not equal:
                open_cells.append(cell)
    except NotRational:
        open_cells.append(Cell({}))
    if was_defined and not open_cells:
        return Agreement("equal")
    samples = [{names[0]: c.sample} for c in open_cells if c.sample is not None]
    rest = [*samples, *islice(points, _POINTS_AFTER_PROOF)]
    refuted = _refuted_at(left, right, rest, numbers, bits=256)
    return refuted or Agreement(
        "undecided", tested=f"no difference at {len(tried) + len(rest)} points, to 70 digits"
    )


def _equal_in(left: Expr, right: Expr, plan: Plan, cell: Cell, numbers: Numbers) -> bool:
    extension = Extension(plan, cell.signs, is_complex=numbers.is_complex)
    return extension.element(left).equals(extension.element(right)) or bool(
        extension.element(difference(left, right)).is_zero
    )


def _points(names: tuple[str, ...], assumed: frozenset[str]) -> Iterator[dict[str, fmpq]]:
    for point in simple_points(names):
        if not any(value < 0 and name in assumed for name, value in point.items()):
            yield point


def _refuted_at(
    left: Expr, right: Expr, points: list[Any], numbers: Numbers, bits: int = 64
) -> Agreement | None:
    for point in points:
        exact = Exact(point, is_complex=numbers.is_complex)
        try:
            found = exact.differ(left, right, bits)
        except (Undefined, Undecided):
            continue
        if found:
            texts = value_texts(left, right, point, is_complex=numbers.is_complex)
            counter = Counter(_point(point), *texts)
            return Agreement("different", counter)
    return None
