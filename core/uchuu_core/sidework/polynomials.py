"""Pairs that are tried, boxes of products, and polynomials divided."""

from collections.abc import Iterator
from math import isqrt
from typing import Any

from flint import fmpq_poly

from uchuu_core.checking.context import Context
from uchuu_core.drawing.finding import factors_of, first
from uchuu_core.drawing.mark import Drawn
from uchuu_core.failures import Failure
from uchuu_core.kernel.features import features_of
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.lawbook.sidework import (
    BOX_TO_FACTOR,
    BOX_TO_MULTIPLY,
    HEADS,
    LONG,
    NO_PAIR_FITS,
    PAIR_FITS,
    SYNTHETIC,
)
from uchuu_core.methods.factoring_trinomials import Trinomial, trinomial_in
from uchuu_core.methods.written import polynomial_tree, ring_of, univariate
from uchuu_core.notation import plain
from uchuu_core.sidework.piece import Cell, Piece, Row, heads
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Power, Product, Sum
from uchuu_core.tree.paths import parts, walk

MOST_PAIRS = 12
MOST_CELLS = 12


# pairs


def pairs_tried(step: Drawn, _context: Context) -> Iterator[Piece]:
    """Try the pairs with the product a·c in order until one has the sum b."""
    for part in parts(step.before):
        one = trinomial_in(part) if isinstance(part, Sum) and not first(step.line, part) else None
        if one is not None and one.b and one.c:
            yield _search(one)
            return


def pairs(product: int, total: int) -> list[tuple[int, int]]:
    """Return the pairs with this *product* whose sum has the sign of *total*, small first, until one fits."""
    found = []
    sign = -1 if total < 0 else 1
    for small in range(1, isqrt(abs(product)) + 1):
        if abs(product) % small:
            continue
        large = abs(product) // small
        pair = (sign * small, sign * large) if product > 0 else (-sign * small, sign * large)
        found.append(pair)
        if sum(pair) == total:
            break
    return found


def _search(one: Trinomial) -> Piece:
    product, total = one.a * one.c, one.b
    tried = pairs(product, total)
    fits = tried[-1] if sum(tried[-1]) == total else None
    shown = tried if len(tried) <= MOST_PAIRS else [*tried[: MOST_PAIRS - 1], tried[-1]]
    rows: list[Row] = [heads(HEADS["first"], HEADS["second"], HEADS["sum"])]
    for pair in shown:
        mark = "fits" if pair == fits else ""
        rows.append(tuple(Cell(build.number(n), mark) for n in (*pair, sum(pair))))  # type: ignore[arg-type]
    numbers = {"product": product, "sum": total}
    if fits is None:
        return Piece("pairs", NO_PAIR_FITS(**numbers), tuple(rows))
    a, b = fits
    times = Product((build.number(a), build.number(b)), ("*",))
    lines = (
        f"{plain(times)} = {product}",
        f"{plain(build.add(build.number(a), build.number(b)))} = {total}",
    )
    return Piece("pairs", PAIR_FITS(first=a, second=b, **numbers), tuple(rows), lines)


# boxes


def box_to_multiply(step: Drawn, _context: Context) -> Iterator[Piece]:
    """Multiply two factors in a box: terms along the edges, products in the cells."""
    for path, node in walk(step.before):
        if first(step.line, node):
            continue
        listed = [f for _, f in factors_of(step.before, path)] if isinstance(node, Product) else []
        if isinstance(node, Power) and isinstance(node.base, Sum) and plain(node.exponent) == "2":
            listed = [node.base, node.base]
        if len(listed) == 2 and any(isinstance(f, Sum) for f in listed):
            yield from _boxed(listed[0], listed[1], BOX_TO_MULTIPLY(listed[0], listed[1]))
            return


def box_to_factor(step: Drawn, _context: Context) -> Iterator[Piece]:
    """Put the terms of a trinomial into a box: the edges are its factors."""
    for path, node in walk(step.line):
        listed = [f for _, f in factors_of(step.line, path)] if isinstance(node, Product) else []
        sums = [f for f in listed if isinstance(f, Sum)]
        if len(sums) == 2 and not first(step.before, node):
            product = _multiplied(sums[0], sums[1])
            if product is not None:
                yield from _boxed(sums[0], sums[1], BOX_TO_FACTOR(product))
            return


def _boxed(first_factor: Expr, second: Expr, says: Any) -> Iterator[Piece]:
    down, across = build.terms_of(first_factor), build.terms_of(second)
    if len(down) < 2 or len(across) < 2 or len(down) * len(across) > MOST_CELLS:
        return
    rows: list[Row] = [(Cell(), *(Cell(build.total([term]), "head") for term in across))]
    for one in down:
        cells = [_multiplied(build.total([one]), build.total([other])) for other in across]
        if any(cell is None for cell in cells):
            return
        rows.append(
            (Cell(build.total([one]), "head"), *(Cell(cell) for cell in cells if cell is not None))
        )
    yield Piece("box", says, tuple(rows))


def _multiplied(one: Expr, other: Expr) -> Expr | None:
    algebra = ring_of(Product((one, other), ("*",)))
    try:
        value = algebra.function(Product((one, other), ("*",)))
    except (NotRational, Undefined, Failure):
        return None
    return polynomial_tree(value.numerator, algebra) if value.denominator.is_one() else None


# division


def divided(_step: Drawn, context: Context) -> Iterator[Piece]:
    """Divide the top of the function by its bottom: long, and with the coefficients alone."""
    try:
        f = features_of(context.given, context.unknown)
    except (NotRational, Undefined, Failure):
        return
    if f.bottom.degree() < 1 or f.top.degree() < f.bottom.degree():
        return
    yield _long(f.top, f.bottom, f.unknown)
    if f.bottom.degree() == 1:
        yield _synthetic(f.top, f.bottom, f.unknown)


def _long(top: fmpq_poly, bottom: fmpq_poly, unknown: str) -> Piece:
    """Lay the division out with a column for every power, each remainder under a rule."""
    width = top.degree() + 1
    quotient, left = fmpq_poly([0]), top
    rows: list[Row] = [(Cell(univariate(bottom, unknown), "head"), *_columns(top, width, unknown))]
    while left.degree() >= bottom.degree():
        term = fmpq_poly(
            [0] * (left.degree() - bottom.degree())
            + [left[left.degree()] / bottom[bottom.degree()]]
        )
        away = term * bottom
        quotient, left = quotient + term, left - away
        rows.append((Cell("−"), *_columns(away, width, unknown)))
        rows.append((Cell(), *_columns(left, width, unknown, "rule")))
    rows.insert(0, (Cell(), *_columns(quotient, width, unknown, "fits")))
    says = LONG(*(univariate(one, unknown) for one in (top, bottom, quotient, left)))
    return Piece("long-division", says, tuple(rows))


def _columns(values: fmpq_poly, width: int, unknown: str, mark: Any = "") -> list[Cell]:
    cells = []
    for degree in range(width - 1, -1, -1):
        value = values[degree] if degree <= values.degree() else 0
        if not value:
            cells.append(Cell("", mark))
            continue
        written = univariate(fmpq_poly([0] * degree + [value]), unknown)
        follows = degree < values.degree() and value > 0
        cells.append(Cell(written, mark, "+" if follows else ""))
    if not values and cells:
        cells[-1] = Cell(build.ZERO, mark)
    return cells


def _synthetic(top: fmpq_poly, bottom: fmpq_poly, unknown: str) -> Piece:
    zero = -bottom[0] / bottom[1]
    numbers = [top[n] for n in range(top.degree(), -1, -1)]
    sums, products = [numbers[0]], []
    for number in numbers[1:]:
        products.append(zero * sums[-1])
        sums.append(number + products[-1])
    rows: tuple[Row, ...] = (
        (Cell(build.number_of(zero), "head"), *(Cell(build.number_of(n)) for n in numbers)),
        (Cell(), Cell(), *(Cell(build.number_of(n)) for n in products)),
        (
            Cell(),
            *(Cell(build.number_of(n), "rule") for n in sums[:-1]),
            Cell(build.number_of(sums[-1]), "rest"),
        ),
    )
    says = SYNTHETIC(univariate(top, unknown), build.number_of(zero), build.number_of(sums[-1]))
    return Piece("synthetic-division", says, rows)
