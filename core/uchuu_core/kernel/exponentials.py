"""Equations with the unknown in exponents: one base, or reducible by substitution.

A power p^(k·x) of a prime is a letter u of its own that is never zero. The equation, as a
polynomial in x and such letters, is factored; each factor that has x alone, one u alone, or two
terms, is solved exactly. What is left is known only by how it is written (``Opaque``).
"""

from flint import fmpq, fmpq_mpoly

from uchuu_core.kernel.algebraic import Algebraic, primitive, roots_of
from uchuu_core.kernel.field import Field, Generator
from uchuu_core.kernel.points import NotRational
from uchuu_core.kernel.powers import CONSTANT, powers_of_number
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solutions import Logarithm, Opaque, Point, PrimePowers

Coefficients = dict[int, fmpq]
"""A polynomial in the unknown: coefficients by degree."""


def solutions_of_exponential(
    field: Field, polynomial: fmpq_mpoly, unknown: str
) -> frozenset[Point]:
    """Return the real zeros of *polynomial*, an element of *field* with exponentials.

    Raises:
        NotRational: the base of a power holds the unknown.
    """
    free = [g for g in field.generators if g.relation is None]
    if any(not isinstance(g.atom, int) for g in free):
        raise NotRational
    found: frozenset[Point] = frozenset()
    for factor, _ in polynomial.factor()[1]:
        used = [g for g in free if factor.degrees()[g.place] > 0]
        if len(factor) == 1:
            if not used:
                found |= _algebraic(field, factor, unknown)
        elif not used:
            found |= _algebraic(field, factor, unknown)
        elif len(factor) == 2:
            found |= _two_terms(field, factor)
        elif len(used) == 1 and sum(d > 0 for d in factor.degrees()) == 1:
            found |= _one_power(field, used[0], factor)
        else:
            found |= {Opaque(_written(field, factor))}
    return found


def _algebraic(field: Field, factor: fmpq_mpoly, unknown: str) -> frozenset[Point]:
    one = ring((unknown,))
    norm = field.norm(factor)
    if norm != factor:
        return frozenset({Opaque(_written(field, factor))})
    return frozenset(
        root
        for f in one.factors(one.taken(norm))
        for root in roots_of(primitive(list(f.coefficients)), real_only=True)
    )


def _written(field: Field, factor: fmpq_mpoly) -> str:
    """Write *factor* with its exponentials as powers, whatever slots they stand in."""
    names = list(field.names)
    for generator in field.generators:
        below = "" if generator.share == 1 else f"/{generator.share}"
        above = "" if generator.monomial == CONSTANT else f"*{generator.monomial}"
        names.append(f"{generator.atom}^(1{above}{below})")
    lead = factor.leading_coefficient()
    terms = []
    for monomial, coefficient in factor.terms():
        parts = [f"({names[n]})^{int(d)}" for n, d in enumerate(monomial) if int(d)]
        terms.append("*".join([str(coefficient / lead), *parts]))
    return " + ".join(sorted(terms)) + " = 0"


def _two_terms(field: Field, factor: fmpq_mpoly) -> frozenset[Point]:
    """Solve c·p^(e(x)) … = c'·q^(f(x)) … by comparing the exponents of each prime."""
    (one, first), (other, second) = list(factor.terms())
    ratio = -second / first
    if ratio <= 0:
        return frozenset()
    exponents: dict[int, Coefficients] = {}
    for prime, power in powers_of_number(ratio).items():
        assert isinstance(prime, int)
        _add(exponents, prime, 0, -power[CONSTANT])
    for place, (a, b) in enumerate(zip(one, other, strict=True)):
        steps = int(a) - int(b)
        if not steps:
            continue
        generator = next((g for g in field.generators if g.place == place), None)
        if generator is None or not isinstance(generator.atom, int):
            return frozenset({Opaque(_written(field, factor))})  # x itself, or a root of it
        degree = generator.monomial[0] if generator.monomial else 0
        share = generator.share if generator.relation is None else generator.power
        _add(exponents, generator.atom, degree, fmpq(steps, share))
    return _common_zeros(exponents) or frozenset()


def _add(exponents: dict[int, Coefficients], prime: int, degree: int, value: fmpq) -> None:
    mine = exponents.setdefault(prime, {})
    mine[degree] = mine.get(degree, fmpq(0)) + value


def _common_zeros(exponents: dict[int, Coefficients]) -> frozenset[Point]:
    """Solve Σ e_p(x)·log p = 0; the logarithms of primes are independent."""
    listed = []
    for prime, coefficients in sorted(exponents.items()):
        kept = {d: c for d, c in coefficients.items() if c != 0}
        if kept:
            listed.append((prime, kept))
    if not listed:
        return frozenset()
    first = listed[0][1]
    if all(_is_multiple(kept, first) for _, kept in listed):
        return _real_zeros(first)
    if all(max(kept) <= 1 for _, kept in listed):
        return _logarithm(listed)
    return frozenset({Opaque(repr(listed))})


def _is_multiple(a: Coefficients, b: Coefficients) -> bool:
    if set(a) != set(b):
        return False
    lead = max(a)
    return all(a[d] * b[lead] == b[d] * a[lead] for d in a)


def _real_zeros(coefficients: Coefficients) -> frozenset[Point]:
    one = ring(("x",))
    letter = one.letter("x")
    whole = one.constant(fmpq(0))
    for degree, value in coefficients.items():
        whole += letter**degree * value
    return frozenset(
        root
        for f in one.factors(whole)
        for root in roots_of(primitive(list(f.coefficients)), real_only=True)
    )


def _logarithm(listed: list[tuple[int, Coefficients]]) -> frozenset[Point]:
    base = [(p, kept.get(1, fmpq(0))) for p, kept in listed if kept.get(1)]
    argument = [(p, -kept.get(0, fmpq(0))) for p, kept in listed if kept.get(0)]
    if not base:
        return frozenset()
    whole = primitive([value for _, value in reversed(base)])[::-1]
    scale = fmpq(whole[0]) / base[0][1]
    if base[0][1] * scale < 0:
        scale = -scale
    return frozenset(
        {
            Logarithm(
                tuple((p, value * scale) for p, value in base),
                tuple((p, value * scale) for p, value in argument),
            )
        }
    )


def _one_power(field: Field, generator: Generator, factor: fmpq_mpoly) -> frozenset[Point]:
    """Solve a polynomial in one exponential u = p^(xᵏ/M): its positive roots are values of u."""
    degree = generator.monomial[0]
    if degree != 1 or generator.share != 1:
        return frozenset({Opaque(_written(field, factor))})
    assert isinstance(generator.atom, int)
    found: set[Point] = set()
    by_power: dict[int, fmpq] = {}
    for monomial, coefficient in factor.terms():
        by_power[int(monomial[generator.place])] = coefficient
    coefficients = [by_power.get(n, fmpq(0)) for n in range(max(by_power) + 1)]
    base: PrimePowers = ((generator.atom, fmpq(1)),)
    for root in roots_of(primitive(coefficients), real_only=True):
        if Algebraic.of(fmpq(0)) < root:
            found.add(Logarithm(base, root))
    return frozenset(found)
