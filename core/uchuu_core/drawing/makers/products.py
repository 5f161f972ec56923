"""What is divided out, multiplied into, and turned over, in products and fractions."""

from collections.abc import Iterator
from fractions import Fraction
from typing import Any

from uchuu_core.drawing.finding import (
    bars,
    factors_of,
    first,
    found,
    part_of,
    relations,
    terms_of,
)
from uchuu_core.drawing.makers.sides import as_factor
from uchuu_core.drawing.mark import Drawn, Maker, Mark
from uchuu_core.methods.fractions_in_letters import ONE, fraction_in_factors
from uchuu_core.methods.fractions_in_letters import Product as Factored
from uchuu_core.methods.fractions_in_letters import missing as lacking
from uchuu_core.methods.written import ring_of
from uchuu_core.moves.conditions import numeral
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Bracket,
    Power,
    Product,
    Quotient,
    Signed,
    Sum,
)
from uchuu_core.tree.paths import Path, part_at, walk
from uchuu_core.tree.shape import unordered


def struck(gap: str) -> Maker:
    """Strike a factor above and below a bar, with what is left of each, one pair a factor."""

    def drawn(step: Drawn) -> Iterator[Mark]:
        pair = 0
        for tree in step.trees(gap):
            marks = list(_struck(step, tree, pair + 1))
            pair += bool(marks)
            yield from marks

    return drawn


def _struck(step: Drawn, factor: Any, pair: int) -> Iterator[Mark]:
    for (above, below), path in _products(step.before):
        if first(step.line, part_of(step.before, path)):
            continue  # it stands there still
        tops = [m for p, n in above if (m := _share(p, n, factor, pair))]
        bottoms = [m for p, n in below if (m := _share(p, n, factor, pair))]
        if tops and bottoms:
            yield from (tops[0], bottoms[0])
            return


def struck_anywhere(step: Drawn) -> Iterator[Mark]:
    """Strike what stands above and below one bar, terms of a sum too: what a student strikes who may not."""
    for path, bar in bars(step.before):
        above, below = (
            [(at, part_at(bar, at[len(path) :])) for at in _pieces(bar, path, number)]
            for number in (0, 1)
        )
        for top, node in above:
            for bottom, other in below:
                mark = _share(top, node, other, 1)
                if mark is not None:
                    yield mark
                    yield Mark("strike", bottom, pair=1)
                    return


def _pieces(bar: Quotient, path: Path, number: int) -> list[Path]:
    terms = terms_of(bar.denominator if number else bar.numerator, (number,))
    return [(*path, *at) for term in terms for at, _ in _terms_alike(bar, term)]


def struck_alike(step: Drawn) -> Iterator[Mark]:
    """Strike the factors that stand above and below one bar."""
    for (above, below), _ in _products(step.before):
        left = list(below)
        pair = 0
        for path, node in above:
            other = next((p for p, n in left if unordered(n) == unordered(node)), None)
            if other is not None:
                pair += 1
                yield Mark("strike", path, pair=pair)
                yield Mark("strike", other, pair=pair)
        if pair:
            return


Factors = list[tuple[Path, Any]]


def _products(before: Any) -> Iterator[tuple[tuple[Factors, Factors], Path]]:
    """Yield what stands above and below the bars of one product, or of one fraction."""
    for path, node in walk(before):
        if isinstance(node, Product):
            above: Factors = []
            below: Factors = []
            for place, factor in factors_of(before, path):
                if isinstance(factor, Quotient):
                    above += _terms_alike(before, (*place, 0))
                    below += _terms_alike(before, (*place, 1))
                else:
                    above.append((place, factor))
            if below:
                yield (above, below), path
        elif isinstance(node, Quotient):
            tops = _terms_alike(before, (*path, 0))
            yield (tops, _terms_alike(before, (*path, 1))), path


def _terms_alike(before: Any, path: Path) -> Factors:
    return [(path, part_at(before, path)), *factors_of(before, path)]


def _share(path: Path, node: Any, factor: Any, pair: int) -> Mark | None:
    """Return the strike of *node*, which is *factor*, a power of it, or a multiple of that number."""
    if unordered(node) == unordered(factor):
        return Mark("strike", path, pair=pair)
    whole, by = numeral(node), numeral(factor)
    if whole is not None and by is not None:
        rest = whole / by if by else Fraction(1, 2)
        if rest.denominator == 1 and abs(by) > 1:
            return Mark("strike", path, pair=pair, text=build.number(rest))
        return None
    (base, high), (other, low) = _power(node), _power(factor)
    if unordered(base) == unordered(other) and high and low and high > low:
        rest_power = base if high - low == 1 else Power(base, build.number(Fraction(high - low)))
        return Mark("strike", path, pair=pair, text=rest_power)
    return None


def _power(node: Any) -> tuple[Any, int]:
    if isinstance(node, Power):
        value = numeral(node.exponent)
        whole = value is not None and value.denominator == 1
        return node.base, int(value) if whole and value else 0
    return node, 1


def struck_in_terms(gap: str) -> Maker:
    """Strike the number that is divided out of every term of a top, and below."""

    def drawn(step: Drawn) -> Iterator[Mark]:
        factor = step.tree(gap)
        for path, bar in bars(step.before) if factor is not None else []:
            above = terms_of(bar.numerator, (*path, 0))
            marks = [
                next(
                    (m for p, n in factors_of(step.before, at) if (m := _share(p, n, factor, 1))),
                    None,
                )
                for at in (*above, (*path, 1))
            ]
            if len(above) > 1 and all(marks):
                yield from (mark for mark in marks if mark)
                return

    return drawn


def times_lacking(step: Drawn) -> Iterator[Mark]:
    """Write at top and bottom of each fraction what it is multiplied by to have the common denominator."""
    pair = 0
    for says in step.inner("lacking"):
        filled: dict[str, Any] = dict(says.said[0].parts)
        for group in found(step.before, filled["term"])[:1]:
            pair += 1
            yield from _times(step.before, group[0], filled["factor"], pair)


def times_to_lcd(step: Drawn) -> Iterator[Mark]:
    """Write at each fraction of a sum what its denominator lacks to be the common one."""
    lcd = step.tree("lcd")
    algebra = ring_of(step.before)
    common = fraction_in_factors(lcd, algebra) if lcd is not None else None  # type: ignore[arg-type]
    if common is None:
        return
    pair = 0
    for path, node in walk(step.before):
        if isinstance(node, Sum) and any(isinstance(term.body, Quotient) for term in node.terms):
            for at in terms_of(node, path):
                term = part_at(step.before, at)
                below = term.denominator if isinstance(term, Quotient) else build.ONE
                has = fraction_in_factors(below, algebra)
                if has is None or not _divides(has.top, common.top):
                    continue
                lacks = lacking(has.top, common.top)
                if lacks != ONE:
                    pair += 1
                    yield from _times(step.before, at, lacks.tree(algebra), pair)


def _divides(one: Factored, other: Factored) -> bool:
    return other.number % one.number == 0 and all(other.power_of(p) >= n for p, n in one.factors)


def times_by(*gaps: str) -> Maker:
    """Write at top and bottom of the fraction that changes what both are multiplied by."""

    def drawn(step: Drawn) -> Iterator[Mark]:
        by = step.trees(*gaps)
        for path, bar in bars(step.before) if by else []:
            if not first(step.line, bar):
                yield from _times(step.before, path, by[0], 1)
                return

    return drawn


def _times(before: Any, path: Path, factor: Any, pair: int) -> Iterator[Mark]:
    if isinstance(part_at(before, path), Quotient):
        yield Mark("times", (*path, 0), text=as_factor(factor), sign="·", pair=pair)
        yield Mark("times", (*path, 1), text=as_factor(factor), sign="·", pair=pair)
    else:
        yield Mark("beneath", path, text=as_factor(factor), sign="·")


def crossed(step: Drawn) -> Iterator[Mark]:
    """Draw arrows from each numerator to the other denominator."""
    for path, relation in relations(step.before):
        if isinstance(relation.left, Quotient) and isinstance(relation.right, Quotient):
            yield Mark("arrow", (*path, 0, 0), to=(*path, 1, 1), pair=1)
            yield Mark("arrow", (*path, 1, 0), to=(*path, 0, 1), pair=2)


def turned_divisor(step: Drawn) -> Iterator[Mark]:
    """Turn the fraction over by which is divided."""
    for path, bar in bars(step.before):
        divisor = bar.denominator.body if isinstance(bar.denominator, Bracket) else bar.denominator
        if isinstance(divisor, Quotient):
            at = (*path, 1, 0) if isinstance(bar.denominator, Bracket) else (*path, 1)
            yield Mark("swap", at)
        elif isinstance(bar.numerator, Quotient) and not first(step.line, bar):
            yield Mark("swap", (*path, 1))


def crosses_the_bar(step: Drawn) -> Iterator[Mark]:
    """Let each power with a negative exponent cross the bar."""
    for path, node in walk(step.before):
        if isinstance(node, Power) and not first(step.line, node):
            exponent = node.exponent
            if isinstance(exponent, Signed) or (
                isinstance(exponent, Product) and isinstance(exponent.factors[0], Signed)
            ):
                yield Mark("swap", path)
