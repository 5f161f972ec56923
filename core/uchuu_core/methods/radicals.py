"""Roots of numbers: simplified, multiplied, like ones collected, taken out of a denominator."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from fractions import Fraction
from functools import lru_cache
from math import gcd
from typing import Any

from flint import fmpz

from uchuu_core.failures import OutOfScope
from uchuu_core.methods.method import BOARD, KEY, Method, Moment, Posed, shown
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Expr,
    Number,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
    Term,
)
from uchuu_core.tree.paths import letters, parts

LARGEST, PRIMES = "largest-square-factor", "prime-factorisation"
COMBINE, SIMPLIFY, CONJUGATE = "combine-then-rationalise", "simplify-then-rationalise", "conjugate"
LARGEST_RADICAND = 10**12
"""Radicands above are not taken apart on a board."""


@dataclass(frozen=True, slots=True)
class Roots:
    """A sum of rational numbers times roots of whole numbers, all of one index, in written order.

    ``terms``: coefficient and radicand; radicand 1 for a plain number.
    """

    index: int
    terms: tuple[tuple[Fraction, int], ...]

    def tree(self, radicand: Callable[[int], Expr] | None = None) -> Expr:
        """Write the sum; *radicand* writes what stands under a root."""
        written: list[Term] = []
        for coefficient, inside in self.terms:
            root: Expr = build.ONE
            if inside != 1:
                under = radicand(inside) if radicand else Number(str(inside))
                root = Root(self.index, under)
            body = build.times(abs(coefficient), root)
            written.append(Term("-" if coefficient < 0 else "+", body))
        return build.total(written)

    def times(self, other: "Roots") -> "Roots":
        """Multiply every term by every term; roots go under one root, √r·√r is r."""
        index = self.index if any(r != 1 for _, r in self.terms) else other.index
        found = []
        for a, r in self.terms:
            for b, s in other.terms:
                is_square = r == s and r != 1 and index == 2
                found.append((a * b * r, 1) if is_square else (a * b, r * s))
        return Roots(index, tuple(found))

    def simplest(self) -> "Roots":
        """Take every perfect power out of its root."""
        found = []
        for coefficient, inside in self.terms:
            outside, rest = power_part(inside, self.index)
            found.append((coefficient * outside, rest))
        return Roots(self.index, tuple(found))

    def collected(self) -> "Roots":
        """Join the terms with equal radicands, in the order in which they first stand."""
        sums: dict[int, Fraction] = {}
        for coefficient, inside in self.terms:
            sums[inside] = sums.get(inside, Fraction(0)) + coefficient
        kept = tuple((c, r) for r, c in sums.items() if c)
        return Roots(self.index, kept or ((Fraction(0), 1),))

    @property
    def holds_root(self) -> bool:
        """Whether a root is left."""
        return any(inside != 1 for _, inside in self.terms)


def power_part(number: int, index: int) -> tuple[int, int]:
    """Return ``(s, r)`` with number = sⁿ·r and no perfect power left in r."""
    outside, inside = 1, 1
    for prime, power in fmpz(number).factor():
        outside *= int(prime) ** (power // index)
        inside *= int(prime) ** (power % index)
    return outside, inside


def roots_of_tree(node: Expr) -> Roots:
    """Return *node* as a sum of roots.

    Raises:
        OutOfScope: it holds anything else.
    """
    match node:
        case Number():
            return Roots(2, ((node.value, 1),))
        case Root(index, Number() as inside) if inside.is_whole:
            if not 0 < int(inside.text) <= LARGEST_RADICAND:
                raise OutOfScope("This radicand is too large, or zero.")
            return Roots(index, ((Fraction(1), int(inside.text)),))
        case Signed("-", body):
            inner = roots_of_tree(body)
            return Roots(inner.index, tuple((-c, r) for c, r in inner.terms))
        case Sum(terms):
            found: list[tuple[Fraction, int]] = []
            indices = set()
            for term in terms:
                inner = roots_of_tree(term.body)
                indices |= {inner.index} if inner.holds_root else set()
                sign = -1 if term.sign == "-" else 1
                found += [(sign * c, r) for c, r in inner.terms]
            if len(indices) > 1:
                raise OutOfScope("Roots of different indices are not worked together yet.")
            return Roots(min(indices, default=2), tuple(found))
        case Product(factors, _):
            result = roots_of_tree(factors[0])
            for factor in factors[1:]:
                other = roots_of_tree(factor)
                if result.holds_root and other.holds_root and result.index != other.index:
                    raise OutOfScope("Roots of different indices are not worked together yet.")
                result = result.times(other)
            return result
        case Power(base, Number("2")):
            inner = roots_of_tree(base)
            return inner.times(inner)
        case Quotient(numerator, Number() as below, _) if below.value:
            inner = roots_of_tree(numerator)
            return Roots(inner.index, tuple((c / below.value, r) for c, r in inner.terms))
        case _:
            raise OutOfScope("This is no sum of roots of numbers.")


class Radicals:
    """Works one expression; ``moments`` grows as it goes."""

    def __init__(self, given: Expr, school: str) -> None:
        self.school = school
        self.now = given
        self.moments: list[Moment] = []
        self.techniques: set[str] = set()

    def _write(self, line: Expr, law: str, says: str, weight: int = BOARD) -> None:
        if line != self.now:
            self.now = line
            self.moments.append(Moment(line, law, says, weight))

    def work(self) -> None:
        """Write all lines."""
        for part in parts(self.now):
            if isinstance(part, Root) and isinstance(part.radicand, Number):
                if power_part(int(part.radicand.text), part.index)[0] != 1:
                    self.techniques.add(LARGEST)
        if isinstance(self.now, Quotient):
            below = roots_of_tree(self.now.denominator)
            self._fraction(roots_of_tree(self.now.numerator), below)
            return
        self._sum(roots_of_tree(self.now), lambda part: part, "written")

    def _sum(self, value: Roots, wrap: Callable[[Expr], Expr], law: str) -> Roots:
        """Multiply, split, take out, collect; *wrap* writes the part into the whole line."""
        if law == "written" and any(isinstance(p, (Product, Power)) for p in parts(self.now)):
            says = "Roots with one index go under one root: multiply the radicands."
            self._write(wrap(value.tree()), "multiply-roots", says)
        if value.simplest() != value:
            says = _split_says(value, self.school)
            split = value.tree(lambda inside: _split(inside, value.index, self.school))
            self._write(wrap(split), "split-radicand", says)
            value = value.simplest()
            self._write(wrap(value.tree()), "take-root-out", "Take the roots of the powers out.")
        if value.collected() != value:
            value = value.collected()
            says = "Like radicals are joined by their coefficients."
            self._write(wrap(value.tree()), "collect-like-radicals", says, KEY)
        return value

    # a root below the bar

    def _fraction(self, top: Roots, bottom: Roots) -> None:
        if self.school != COMBINE:
            fixed = bottom
            top = self._sum(top, lambda part: Quotient(part, fixed.tree()), "")
            done = top
            bottom = self._sum(bottom, lambda part: Quotient(done.tree(), part), "")
            top, bottom = self._divided(top, bottom)
        if not bottom.holds_root:
            self._finished(top, bottom)
            return
        multiplier = self._multiplier(bottom)
        times = multiplier.tree()
        above = times if top.tree() == build.ONE else build.product((top.tree(), times))
        line = Quotient(above, build.product((bottom.tree(), times)))
        root_times_root = len(bottom.terms) == 1
        says = (
            f"Multiply top and bottom by {shown(times)}: the root below goes."
            if root_times_root
            else f"Multiply top and bottom by the conjugate {shown(times)}."
        )
        self._write(line, "rationalise", says)
        self.techniques.add(CONJUGATE if not root_times_root else COMBINE)
        self.techniques.add(SIMPLIFY if root_times_root else CONJUGATE)
        new_top, new_bottom = top.times(multiplier), bottom.times(multiplier).simplest().collected()
        self._write(_over(new_top.tree(), new_bottom), "multiply-roots", "Multiply out.")
        new_top = self._sum(new_top, lambda part: _over(part, new_bottom), "")
        self._finished(*self._divided(new_top, new_bottom))

    def _multiplier(self, bottom: Roots) -> Roots:
        if len(bottom.terms) == 1:
            ((_, inside),) = bottom.terms
            return Roots(bottom.index, ((Fraction(1), inside ** (bottom.index - 1)),))
        if len(bottom.terms) == 2 and bottom.index == 2:
            (a, r), (b, s) = bottom.terms
            return Roots(2, ((a, r), (-b, s)))
        raise OutOfScope("Three terms below a bar are not rationalised yet.")

    def _divided(self, top: Roots, bottom: Roots) -> tuple[Roots, Roots]:
        """Divide a common whole factor out of every term."""
        numbers = [c for c, _ in (*top.terms, *bottom.terms)]
        if any(c.denominator != 1 for c in numbers):
            return top, bottom
        common = gcd(*(int(c) for c in numbers))
        if common > 1:
            top, bottom = (
                Roots(side.index, tuple((c / common, r) for c, r in side.terms))
                for side in (top, bottom)
            )
            says = f"Divide {common} out of every term."
            self._write(_over(top.tree(), bottom), "divide-out", says, KEY)
        return top, bottom

    def _finished(self, top: Roots, bottom: Roots) -> None:
        ((below, _),) = bottom.terms
        if below < 0:
            top = Roots(top.index, tuple((-c, r) for c, r in top.terms))
            below = -below
        line = top.tree() if below == 1 else Quotient(top.tree(), build.number(below))
        self._write(
            line, "divide-out", "Nothing is left below." if below == 1 else "Simplify.", KEY
        )


def _over(top: Expr, bottom: Roots) -> Expr:
    """Write a fraction, without a bar over 1."""
    below = bottom.tree()
    if below == build.ONE:
        return top
    return Quotient(top, below)


def _split(inside: int, index: int, school: str) -> Expr:
    outside, rest = power_part(inside, index)
    if outside == 1:
        return Number(str(inside))
    if school == PRIMES:
        primes = [int(p) for p, n in fmpz(inside).factor() for _ in range(n)]
        return build.product(Number(str(p)) for p in primes)
    factors = [Number(str(outside**index)), *([Number(str(rest))] if rest != 1 else [])]
    if len(factors) == 1:
        return Power(Number(str(outside)), Number(str(index)))
    return build.product(factors)


def _split_says(value: Roots, school: str) -> str:
    said = []
    kind = {2: "square", 3: "cube"}.get(value.index, f"{value.index}-th power")
    for _, inside in value.terms:
        outside, rest = power_part(inside, value.index)
        if outside == 1:
            continue
        if school == PRIMES:
            said.append(f"{inside} is a product of primes: groups of {value.index} come out")
        elif rest == 1:
            said.append(f"{inside} is the {kind} of {outside}")
        else:
            power = outside**value.index
            said.append(f"{inside} = {power} · {rest}, and {power} is the largest {kind} in it")
    text = "; ".join(dict.fromkeys(said))
    return f"{text[0].upper()}{text[1:]}." if text else ""


@lru_cache(maxsize=64)
def _worked(start: Any, school: str) -> Radicals:
    found = Radicals(start, school)
    found.work()
    return found


_MISSING = {
    LARGEST: "no radicand has a square factor",
    PRIMES: "no radicand has a square factor",
    COMBINE: "no single root stands below a bar",
    SIMPLIFY: "no single root stands below a bar",
    CONJUGATE: "no sum with a root stands below a bar",
    "radicals": "it is in simplest form already",
}


def _refusal(key: str) -> Callable[[Posed], str | None]:
    def refusal(posed: Posed) -> str | None:
        given = posed.given
        if isinstance(given, Relation) or letters(given):
            return "letters under roots are not worked yet"
        start = build.without_brackets(given)
        if not any(isinstance(part, Root) for part in parts(start)):
            return "it holds no root"
        try:
            found = _worked(start, key)
        except OutOfScope as reason:
            return reason.message[:1].lower() + reason.message[1:].rstrip(".")
        if not found.moments:
            return _MISSING["radicals"]
        used = found.techniques | ({PRIMES} if LARGEST in found.techniques else set())
        if key == "radicals":
            return "a technique with a name of its own serves" if used else None
        return None if key in used else _MISSING[key]

    return refusal


def _moments(key: str) -> Callable[[Posed], Iterator[Moment]]:
    def moments(posed: Posed) -> Iterator[Moment]:
        return iter(_worked(build.without_brackets(posed.given), key).moments)

    return moments


_WHY = {
    SIMPLIFY: "Simplify the root below first, then multiply by one: smaller numbers.",
    COMBINE: "Multiply by one first, simplify afterwards.",
    CONJUGATE: "The conjugate makes a difference of squares below.",
    LARGEST: "The largest square factor comes out at once.",
    PRIMES: "Primes in pairs come out.",
    "radicals": "Multiply roots, collect like ones.",
}
RADICALS = tuple(
    Method(
        key=key,
        tasks=("simplify", "evaluate"),
        refusal=_refusal(key),
        why=why,
        moments=_moments(key),
    )
    for key, why in _WHY.items()
)
