"""Where a problem holds numbers that may change, and its sums that are polynomials."""

from dataclasses import dataclass
from fractions import Fraction
from typing import Any

from uchuu_core.tree.build import product
from uchuu_core.tree.nodes import (
    Expr,
    Line,
    Number,
    Power,
    Product,
    Relation,
    Root,
    Signed,
    Sum,
    Symbol,
    Term,
)
from uchuu_core.tree.paths import Path, letters, part_at, parts, replace_at, walk

Monomial = tuple[tuple[str, int], ...]
"""Letters with their exponents, in alphabetical order; empty for a constant."""


@dataclass(frozen=True, slots=True)
class Numeral:
    """A numeral of the problem that may change.

    Attributes:
        path: where it stands.
        text: how it is written.
        index: the index of the root directly around it; 0 without one.
        is_base: whether it is the base of a power, or stands beside powers of numbers.
        is_exponent: whether it stands in an exponent.
    """

    path: Path
    text: str
    index: int
    is_base: bool
    is_exponent: bool

    @property
    def value(self) -> Fraction:
        """Its value."""
        return Fraction(self.text)


def numerals(line: Line) -> list[Numeral]:
    """Return the numerals that may change: not 0 and 1; degrees only where there is nothing else."""
    return _numerals(line, with_degrees=False) or _numerals(line, with_degrees=True)


def has_only_degrees(line: Line) -> bool:
    """Whether nothing but degrees may change."""
    return not _numerals(line, with_degrees=False)


def _numerals(line: Line, *, with_degrees: bool) -> list[Numeral]:
    found = []
    for path, part in walk(line):
        if not isinstance(part, Number) or part.value in (0, 1):
            continue
        above = [part_at(line, path[:depth]) for depth in range(len(path))]
        is_exponent = any(
            isinstance(node, Power) and path[depth] == 1 for depth, node in enumerate(above)
        )
        if is_exponent and not with_degrees and _is_degree(line, path, above):
            continue
        parent = above[-1] if above else None
        grand = above[-2] if len(above) > 1 else None
        root = next((n for n in (parent, grand) if isinstance(n, Root)), None)
        if root is grand and not isinstance(parent, Product):
            root = root if root is parent else None
        is_base = isinstance(parent, Power) and path[-1] == 0
        found.append(Numeral(path, part.text, root.index if root else 0, is_base, is_exponent))
    return found


def _is_degree(line: Line, path: Path, above: list[Any]) -> bool:
    """Whether an exponent belongs to the structure: over a letter in a sum or an equation."""
    depth = max(d for d, n in enumerate(above) if isinstance(n, Power) and path[d] == 1)
    power = above[depth]
    if not letters(power.base):
        return False
    return isinstance(line, Relation) or any(isinstance(n, (Sum, Root)) for n in above[:depth])


def holds_powers_of_numbers(line: Line) -> bool:
    """Whether some power has a numeral for its base."""
    return any(isinstance(part, Power) and isinstance(part.base, Number) for part in parts(line))


def with_numeral(line: Line, path: Path, value: Fraction, places: int = 0) -> Line | None:
    """Return *line* with another number at *path*; a negative one turns the sign of its term.

    ``places``: decimal places to write. None where the number cannot stand there.
    """
    if value == 0:
        return None
    scaled = abs(value) * 10**places
    if scaled.denominator != 1:
        return None
    digits = str(scaled.numerator)
    if places:
        digits = digits.rjust(places + 1, "0")
        digits = f"{digits[:-places]}.{digits[-places:]}"
    if scaled == 1 and path and isinstance(part_at(line, path[:-1]), Product):
        return None
    changed = replace_at(line, path, Number(digits))
    return changed if value > 0 else _turned(changed, path)


def _turned(line: Line, path: Path) -> Line | None:
    """Return *line* with the sign of the term that begins with the numeral at *path* turned."""
    while path:
        parent, child = part_at(line, path[:-1]), path[-1]
        if isinstance(parent, Sum):
            term = parent.terms[child]
            turned = Term("-" if term.sign == "+" else "+", term.body)
            terms = (*parent.terms[:child], turned, *parent.terms[child + 1 :])
            return replace_at(line, path[:-1], Sum(terms))
        if isinstance(parent, Signed):
            return replace_at(line, path[:-1], parent.body)
        if isinstance(parent, Relation):
            return replace_at(line, path, Signed("-", part_at(line, path)))  # type: ignore[arg-type]
        if not isinstance(parent, Product) or child != 0:
            return None
        path = path[:-1]
    return None


@dataclass(frozen=True, slots=True)
class Polynomial:
    """A sum whose terms are whole numbers times powers of letters, each kind of term once."""

    path: Path
    node: Sum
    coefficients: dict[Monomial, int]


def polynomials(line: Line) -> list[Polynomial]:
    """Return the polynomial sums of *line*, outermost only."""
    found: list[Polynomial] = []
    for path, part in walk(line):
        if isinstance(part, Sum) and not any(path[: len(p.path)] == p.path for p in found):
            read = [_monomial(term) for term in part.terms]
            known = [item for item in read if item is not None]
            coefficients = dict(known)
            if len(coefficients) == len(part.terms) and any(coefficients):
                found.append(Polynomial(path, part, coefficients))
    return found


def _monomial(term: Term) -> tuple[Monomial, int] | None:
    coefficient, powers = 1, {}
    factors = term.body.factors if isinstance(term.body, Product) else (term.body,)
    for place, factor in enumerate(factors):
        match factor:
            case Number() if factor.is_whole and place == 0:
                coefficient = int(factor.value)
            case Symbol(name) if name not in powers:
                powers[name] = 1
            case Power(Symbol(name), Number() as n) if n.is_whole and name not in powers:
                powers[name] = int(n.value)
            case _:
                return None
    if term.sign == "+-":
        return None
    return tuple(sorted(powers.items())), coefficient if term.sign == "+" else -coefficient


def rewritten(polynomial: Polynomial, coefficients: dict[Monomial, int]) -> Sum | None:
    """Return the sum with other coefficients, written as before; None when its look would change.

    No term comes or goes, and a leading coefficient that is 1 stays 1, another one another.
    """
    if coefficients.keys() != polynomial.coefficients.keys():
        return None
    highest = max(sum(e for _, e in monomial) for monomial in coefficients)
    terms = []
    for term in polynomial.node.terms:
        known = _monomial(term)
        assert known is not None
        monomial, value = known[0], coefficients[known[0]]
        leads = sum(e for _, e in monomial) == highest
        body = _with_coefficient(term.body, abs(value), keeps_look=leads)
        if body is None or value == 0:
            return None
        terms.append(Term("+" if value > 0 else "-", body))
    return Sum(tuple(terms))


def _with_coefficient(body: Expr, value: int, *, keeps_look: bool) -> Expr | None:
    """Write another coefficient before the powers of *body*; a 1 is not written."""
    factors = body.factors if isinstance(body, Product) else (body,)
    powers = factors[1:] if isinstance(factors[0], Number) else factors
    if not powers:
        return Number(str(value))
    if keeps_look and (len(powers) == len(factors)) != (value == 1):
        return None
    return product(powers if value == 1 else (Number(str(value)), *powers))
