"""Slips: a number copied wrongly, an operation worked out wrongly, a value rounded.

They are guided by the numerals of the written line: a slip shows as a number that is nowhere in
the line before, in the place of one that is.
"""

from collections.abc import Callable, Iterator
from fractions import Fraction
from typing import Any

from flint import fmpq

from uchuu_core.checking.nearness import is_near
from uchuu_core.checking.states import LawfulStates
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import RationalFunction, ring
from uchuu_core.moves.conditions import numeral
from uchuu_core.moves.errors import answers, copying
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Expr,
    Line,
    Mixed,
    Number,
    Power,
    Product,
    Quotient,
    Relation,
    Sum,
    Symbol,
)
from uchuu_core.tree.paths import letters, replace_at, walk

KEYS = {
    copying.NUMBER_CHANGED.key,
    copying.ARITHMETIC_SLIP.key,
    answers.ROUNDED_TOO_EARLY.key,
}
Closeness = Callable[[Line], int | None]


def _numerals(line: Line) -> list[Expr]:
    return list(dict.fromkeys(part for _, part in walk(line) if isinstance(part, (Number, Mixed))))


def slips(
    states: LawfulStates, line: Line, closeness: Closeness, found: Callable[..., Any]
) -> Iterator[Any]:
    """Yield slips that lead from the states to *line*, as ``found(error, closeness, steps, wrong)``."""
    if is_rounded(states, line):
        yield found(answers.ROUNDED_TOO_EARLY.key, 1, 0, line)
        return
    written = _numerals(line)
    had = set(_numerals(states.start))
    new = [number for number in written if number not in had]
    for steps, state in enumerate(states):
        for candidate in _copied(state, had, new, line):
            near = closeness(candidate)
            if near is not None and near < 2:
                yield found(copying.NUMBER_CHANGED.key, near, steps, candidate)
                break
        for candidate in (*_operated(state, written), *_miscalculated(state, had, new)):
            near = closeness(candidate)
            if near is not None and near < 2:
                yield found(copying.ARITHMETIC_SLIP.key, near, steps, candidate)
                return


def _copied(state: Line, had: set[Expr], new: list[Expr], line: Line) -> Iterator[Line]:
    """Yield *state* with one number or letter of the line before exchanged for a written one."""
    fresh = [Symbol(name) for name in letters(line) - letters(state)]
    for path, part in walk(state):
        if isinstance(part, Number) and part in had:
            yield from (replace_at(state, path, number) for number in new)
        elif isinstance(part, Symbol):
            yield from (replace_at(state, path, letter) for letter in fresh)


def _miscalculated(state: Line, had: set[Expr], new: list[Expr]) -> Iterator[Line]:
    """Yield *state* with a number that was worked out on the way replaced by a written one."""
    for path, part in walk(state):
        if isinstance(part, Number) and part not in had:
            for number in new:
                value = numeral(number)
                if value is not None and is_near(value, part.value):
                    yield replace_at(state, path, number)


def _operated(state: Line, written: list[Expr]) -> Iterator[Line]:
    """Yield *state* with one operation of plain numbers replaced by a number that was written."""
    for path, part in walk(state):
        if isinstance(part, Sum):
            yield from (replace_at(state, path, new) for new in _sums(part, written))
        elif isinstance(part, (Product, Quotient, Power)):
            yield from (replace_at(state, path, new) for new in _products(part, written))


def _results(written: list[Expr], right: Fraction) -> Iterator[Expr]:
    for number in written:
        value = numeral(number)
        if value is not None:
            for new, size in ((number, value), (build.negative(number), -value)):
                if is_near(size, right):
                    yield new


def _sums(part: Sum, written: list[Expr]) -> Iterator[Expr]:
    """Replace the sum of two like terms (plain numbers among them) by a written number of them."""
    split = [coefficient_and_rest(term.body) for term in part.terms]
    for i in range(len(split)):
        for j in range(i + 1, len(split)):
            if split[i][1] != split[j][1] or "+-" in (part.terms[i].sign, part.terms[j].sign):
                continue
            right = sum(split[n][0] if part.terms[n].sign == "+" else -split[n][0] for n in (i, j))
            rest = [t for n, t in enumerate(part.terms) if n not in (i, j)]
            for number in (
                *_results(written, Fraction(right)),
                build.ONE,
                build.negative(build.ONE),
            ):
                value = numeral(number)
                if value is None or not is_near(value, Fraction(right)):
                    continue
                body = number if split[i][1] == build.ONE else build.times(value, split[i][1])
                terms = list(rest)
                terms.insert(min(i, len(rest)), build.as_term(body))
                yield build.total(terms)


def _products(part: Product | Quotient | Power, written: list[Expr]) -> Iterator[Expr]:
    if isinstance(part, Product):
        number, rest = coefficient_and_rest(part)
        count = sum(numeral(factor) is not None for factor in part.factors)
        if count >= 2 or (count == 1 and any(_holds_number(f) for f in part.factors)):
            for new in _results(written, number):
                value = numeral(new)
                yield new if rest == build.ONE else build.times(value or Fraction(0), rest)
    elif isinstance(part, Quotient):
        above, below = numeral(part.numerator), numeral(part.denominator)
        if above is not None and below:
            yield from _results(written, above / below)
            yield from _fractions(part, written)
    elif (right := _power(part)) is not None:
        yield from _results(written, right)


def _power(part: Power) -> Fraction | None:
    """Return the value of a small power of a number, None for anything else."""
    base, exponent = numeral(part.base), numeral(part.exponent)
    if base is None or exponent is None or exponent.denominator != 1 or abs(exponent) > _MOST_POWER:
        return None
    return None if base == 0 and exponent <= 0 else base ** int(exponent)


_MOST_POWER = 20


def _holds_number(node: Expr) -> bool:
    return isinstance(node, (Quotient, Power)) and not letters(node)


def _fractions(part: Quotient, written: list[Expr]) -> Iterator[Expr]:
    for number in written:
        if isinstance(number, Number) and number != part.numerator:
            yield Quotient(number, part.denominator)


def _coefficients(function: RationalFunction) -> dict[Any, fmpq]:
    scale = function.denominator.leading_coefficient()
    return {tuple(m): c / scale for m, c in function.numerator.terms()}


def _is_rounding(exact: fmpq, written: fmpq, places: int) -> bool:
    return bool(abs(exact - written) * 2 * 10**places <= 1)


def is_rounded(states: LawfulStates, line: Line) -> bool:
    """Whether *line* is one of *states* with its values rounded to the decimals it shows."""
    places = [
        len(part.text.partition(".")[2])
        for _, part in walk(line)
        if isinstance(part, Number) and not part.is_whole
    ]
    if not places:
        return False
    return any(_rounded_from(state, line, max(places)) for state in states)


def _rounded_from(state: Line, line: Line, places: int) -> bool:
    if type(state) is not type(line):
        return False
    pairs = (
        [(state.left, line.left), (state.right, line.right)]
        if isinstance(state, Relation) and isinstance(line, Relation)
        else [(state, line)]
    )
    algebra = ring(tuple(sorted(letters(state) | letters(line))))
    changed = False
    for was, has in pairs:
        try:
            a, b = algebra.function(was), algebra.function(has)  # type: ignore[arg-type]
        except (NotRational, Undefined):
            return False
        if not (a.denominator.is_constant() and b.denominator.is_constant()):
            return False
        exact, written = _coefficients(a), _coefficients(b)
        if exact.keys() != written.keys():
            return False
        for key, value in exact.items():
            if not _is_rounding(value, written[key], places):
                return False
            changed = changed or value != written[key]
    return changed
