"""Small calculations, numbers in primes, and what is kept in mind: squares, and laws in letters."""

from collections import Counter
from collections.abc import Iterator
from functools import cache
from typing import Any

from flint import fmpz

from uchuu_core.checking.context import Context
from uchuu_core.contract import Problem
from uchuu_core.drawing.finding import first
from uchuu_core.drawing.mark import Drawn
from uchuu_core.failures import Failure
from uchuu_core.lawbook.sidework import CALCULATION, IN_LETTERS, IN_PRIMES, SQUARES
from uchuu_core.notation import plain, read
from uchuu_core.sidework.piece import Cell, Maker, Piece
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Chain, Expr, Join, Number, Power, Product, Root
from uchuu_core.tree.paths import letters, walk
from uchuu_core.working.problem import work

MOST_NUMBERS = 3
MOST_PRIMES = 12
_SQUARES = tuple(range(2, 13))


def calculated(*gaps: str) -> Maker:
    """Work out, line under line, the numbers that a step has worked out at once."""

    def made(step: Drawn, _context: Context) -> Iterator[Piece]:
        for part in step.trees(*gaps)[:MOST_NUMBERS]:
            if not first(step.before, part):
                continue  # it stands worked out already
            links = _links(part)
            if len(links) > 2:
                chain = Chain(tuple(links))
                rows = [(Cell(links[0]), Cell("="), Cell(links[1]))]
                rows += [(Cell(), Cell("="), Cell(link)) for link in links[2:]]
                yield Piece("calculation", CALCULATION(links[0]), tuple(rows), (plain(chain),))

    return made


def _links(part: Any) -> list[Any]:
    """Return a number and what it is worked out to, line by line; alone where it holds letters."""
    if letters(part):
        return [part]
    try:
        worked = work(Problem(task="simplify", given=plain(part)))
    except Failure:
        return [part]
    return [part, *(read(line["text"]) for line in worked["lines"])]


def in_primes(step: Drawn, _context: Context) -> Iterator[Piece]:
    """Take apart, prime by prime, the numbers that the new line has no longer as they were."""
    numbers = [n for _, n in walk(step.before) if isinstance(n, Number) and not first(step.line, n)]
    for number in dict.fromkeys(n for n in numbers if n.is_whole and n.value > 3):
        primes = [int(p) for p, many in fmpz(int(number.value)).factor() for _ in range(int(many))]
        if 1 < len(primes) <= MOST_PRIMES:
            yield _primes(int(number.value), primes)


def _primes(number: int, primes: list[int]) -> Piece:
    rows, left = [], number
    for prime in primes:
        rows.append((Cell(build.number(left)), Cell(build.number(prime), "fits")))
        left //= prime
    rows.append((Cell(build.number(left), "rest"), Cell()))
    counted = Counter(primes)
    powers: list[Expr] = [
        build.number(p) if n == 1 else Power(build.number(p), build.number(n))
        for p, n in counted.items()
    ]
    joins: tuple[Join, ...] = tuple("*" for _ in powers[1:])
    product = powers[0] if len(powers) == 1 else Product(tuple(powers), joins)
    says = IN_PRIMES(number, product)
    return Piece("primes", says, tuple(rows), (f"{number} = {plain(product)}",))


def squares_to_remember(step: Drawn, _context: Context) -> Iterator[Piece]:
    """List the squares up to 144, and show those that divide the number under a root."""
    under = [
        int(n.radicand.value)
        for _, n in walk(step.before)
        if isinstance(n, Root)
        and n.index == 2
        and isinstance(n.radicand, Number)
        and n.radicand.is_whole
        if not first(step.line, n)
    ]
    if under:
        cells = [
            Cell(f"{n}² = {n * n}", "fits" if under[0] % (n * n) == 0 else "") for n in _SQUARES
        ]
        rows = tuple(tuple(cells[start : start + 4]) for start in range(0, len(cells), 4))
        yield Piece("list", SQUARES(), rows)


_IN_LETTERS = {
    "same-base": ("a^m*a^n = a^(m+n)", "a^m/a^n = a^(m-n)"),
    "power-of-power": ("(a^m)^n = a^(m*n)",),
    "power-of-product": ("(a*b)^n = a^n*b^n", "(a^m)^n = a^(m*n)"),
    "negative-exponent": ("a^(-n) = 1/a^n",),
    "square-binomial": ("(a+b)^2 = a^2+2a*b+b^2", "(a-b)^2 = a^2-2a*b+b^2"),
    "perfect-square": ("a^2+2a*b+b^2 = (a+b)^2", "a^2-2a*b+b^2 = (a-b)^2"),
    "difference-of-squares": ("a^2-b^2 = (a+b)*(a-b)",),
    "sum-of-cubes": ("a^3+b^3 = (a+b)*(a^2-a*b+b^2)", "a^3-b^3 = (a-b)*(a^2+a*b+b^2)"),
    "multiply-roots": ("sqrt(a)*sqrt(b) = sqrt(a*b)",),
    "split-root": ("sqrt(a*b) = sqrt(a)*sqrt(b)",),
    "root-of-quotient": ("sqrt(a/b) = sqrt(a)/sqrt(b)",),
}


def law_in_letters(step: Drawn, _context: Context) -> Iterator[Piece]:
    """Write the law of the step in letters."""
    law = step.said.sentence.law
    lines = _identities(law.key) if law is not None else ()
    if lines and law is not None:
        rows = tuple((Cell(line),) for line in lines)
        yield Piece("list", IN_LETTERS(law.name.lower()), rows)


@cache
def _identities(law: str) -> tuple[Any, ...]:
    return tuple(read(text) for text in _IN_LETTERS.get(law, ()))
