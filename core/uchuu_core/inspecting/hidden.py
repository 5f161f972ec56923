"""What hides behind the first look: one root in unlike radicands, two primes, squares behind a factor, near squares."""

from collections.abc import Iterator
from math import gcd, isqrt
from typing import Any

from uchuu_core.kernel.algebraic import square_part
from uchuu_core.lawbook.noticing import (
    EQUAL_RANK,
    HOLD_ONE_ROOT,
    LAST_NEGATIVE,
    NEAR_SQUARE,
    POWERS_OF_TWO_PRIMES,
    SQUARES_BEHIND,
)
from uchuu_core.lawbook.says import Says, listed
from uchuu_core.methods.bases import base_of, prime_exponents
from uchuu_core.methods.exponents import numbers_in
from uchuu_core.methods.factoring_trinomials import trinomial_of
from uchuu_core.methods.written import polynomial_of, polynomial_terms, polynomial_tree
from uchuu_core.tree.nodes import Line, Number, Power, Product, Quotient, Relation, Root, Sum
from uchuu_core.tree.paths import parts, walk

Seen = tuple[str, Says, Line | None]
"""A notice's code, its sentence, and the part that shows it."""


def hidden_in(given: Line) -> Iterator[Seen]:
    """Yield what one sees only at the second look."""
    yield from _one_root(given)
    yield from _two_primes(given)
    yield from _equal_rank(given)
    for node in dict.fromkeys(part for part in parts(given) if isinstance(part, Sum)):
        yield from _squares(node)


def _one_root(given: Line) -> Iterator[Seen]:
    """Unlike radicands that hold the same root: √12 and √75 are both multiples of √3."""
    held: dict[int, list[Root]] = {}
    for _, part in walk(given):
        if isinstance(part, Root) and part.index == 2 and isinstance(part.radicand, Number):
            number = part.radicand
            if number.is_whole and 1 < number.value < 10**9:
                held.setdefault(square_part(int(number.text))[1], []).append(part)
    for inside, roots in held.items():
        different = list(dict.fromkeys(roots))
        if inside > 1 and len(different) > 1:
            root = Root(2, Number(str(inside)))
            yield "one-root-inside", HOLD_ONE_ROOT(listed(different), root), None


def _two_primes(given: Line) -> Iterator[Seen]:
    if not any(isinstance(part, Power) for part in parts(given)):
        return
    sides = (given.left, given.right) if isinstance(given, Relation) else (given,)
    numbers = {n for side in sides for n in numbers_in(side) if n != 1}  # type: ignore[arg-type]
    found = [prime_exponents(number) for number in numbers]
    if len(numbers) < 2 or any(exponents is None for exponents in found):
        return
    primes = sorted({prime for exponents in found for prime, _ in exponents or ()})
    mixed = any(len(exponents or ()) == 2 for exponents in found)
    if len(primes) == 2 and mixed and len({base_of(number) for number in numbers}) > 1:
        yield "two-primes", POWERS_OF_TWO_PRIMES(*primes), None


def _equal_rank(given: Line) -> Iterator[Seen]:
    for part in parts(given):
        match part:
            case Quotient(Product(_, joints), _, "÷") if "*" in joints:
                yield "equal-rank", EQUAL_RANK(), part
                return
            case Product(factors, joints) if "*" in joints and any(
                isinstance(f, Quotient) and f.mark == "÷" for f in factors
            ):
                yield "equal-rank", EQUAL_RANK(), part
                return


def _squares(node: Sum) -> Iterator[Seen]:
    """A difference of squares behind a common factor; a trinomial that nearly is a square."""
    found = polynomial_of(node)
    if found is None:
        return
    polynomial, algebra = found
    terms = polynomial_terms(polynomial, algebra)
    if any(c.denominator != 1 for c, _ in terms):
        return
    if len(terms) == 2:
        yield from _behind_a_factor(node, polynomial, algebra)
    elif len(terms) == 3:
        yield from _near_square(node, polynomial, algebra)


def _behind_a_factor(node: Sum, polynomial: Any, algebra: Any) -> Iterator[Seen]:
    terms = polynomial_terms(polynomial, algebra)
    number = gcd(*(int(c) for c, _ in terms))
    lowest = [min(d) for d in zip(*(degrees for _, degrees in terms), strict=True)]
    inside = [
        (int(c) // number, [d - low for d, low in zip(degrees, lowest, strict=True)])
        for c, degrees in terms
    ]
    if number == 1 and not any(lowest):
        return
    signs = sorted(c > 0 for c, _ in inside)
    are_squares = all(
        isqrt(abs(c)) ** 2 == abs(c) and not any(d % 2 for d in ds) for c, ds in inside
    )
    if signs == [False, True] and are_squares:
        factor = algebra.one * number
        for name, degree in zip(algebra.names, lowest, strict=False):
            factor *= algebra.letter(name) ** degree
        yield "squares-behind", SQUARES_BEHIND(polynomial_tree(factor, algebra)), node


def _near_square(node: Sum, polynomial: Any, algebra: Any) -> Iterator[Seen]:
    found = trinomial_of(polynomial, algebra)
    if found is None or found.a < 0:
        return
    p, q = isqrt(found.a), isqrt(abs(found.c))
    if p * p != found.a or q * q != abs(found.c) or q <= 1 or found.b**2 == 4 * found.a * found.c:
        return

    def tree(number: int, monomial: Any) -> Any:
        return polynomial_tree(monomial * number, algebra)

    first = tree(found.a, found.u**2)
    last = tree(abs(found.c), found.v**2)
    if found.c < 0:
        yield "near-square", LAST_NEGATIVE(first, last), node
        return
    sign = 1 if found.b > 0 else -1
    middle, twice = (tree(n, found.u * found.v) for n in (found.b, sign * 2 * p * q))
    yield "near-square", NEAR_SQUARE(first=first, last=last, middle=middle, twice=twice), node
