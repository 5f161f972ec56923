"""The light tidying that a writer does without thinking: signs merged, numbers of a term joined."""

from fractions import Fraction
from functools import lru_cache
from math import prod
from typing import Any

from uchuu_core.moves.conditions import numeral
from uchuu_core.moves.laws.expanding import coefficient_and_rest, joined_powers
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Line, Number, Power, Product, Quotient, Signed, Sum
from uchuu_core.tree.paths import letters, rebuild

MOST_POWER = 6
"""Powers of plain numbers up to this are worked out without thinking."""


def signs_merged(line: Line) -> Line:
    """Return *line* with ``a - (-b)`` written ``a + b``."""

    def change(part: Any) -> Any:
        if isinstance(part, Sum):
            return build.total(build.as_term(t.body, t.sign) for t in part.terms)
        return part

    return rebuild(line, change)  # type: ignore[no-any-return]


@lru_cache(maxsize=4096)
def worked_out(line: Line) -> Line:
    """Return *line* with its plain numbers worked out, and no 1 as a factor: roots and letters stand."""
    return rebuild(line, _worked_out)  # type: ignore[no-any-return]


def _worked_out(part: Any) -> Any:
    match part:
        case Signed("-"):
            value = numeral(part.body)
            return part if value is None else build.number(-value)
        case Sum(terms):
            values = [numeral(term.body) for term in terms]
            if None in values or any(term.sign == "+-" for term in terms):
                return part
            signed = zip(terms, values, strict=True)
            return build.number(sum(-v if term.sign == "-" else v for term, v in signed))  # type: ignore[misc,operator]
        case Product(factors):
            numbers = [value for value in map(numeral, factors) if value is not None]
            rest = [factor for factor in factors if numeral(factor) is None]
            return build.times(prod(numbers, start=Fraction(1)), build.product(rest))
        case Power(base, Number() as exponent) if (
            exponent.is_whole and exponent.value <= MOST_POWER
        ):
            value = numeral(base)
            return part if value is None else build.number(value ** int(exponent.value))
    return part


def tidied(line: Line) -> Line:
    """Return *line* with signs merged, the minus of a numerator in front of its fraction, and the
    numbers of each term with letters multiplied.
    """

    def change(part: Any) -> Any:
        if isinstance(part, Quotient) and isinstance(part.numerator, Signed):
            if part.numerator.sign == "-":
                return build.negative(Quotient(part.numerator.body, part.denominator, part.mark))
        if not isinstance(part, Product) or any(isinstance(f, Sum) for f in part.factors):
            return part
        number, rest = coefficient_and_rest(part)
        return build.times(number, joined_powers(list(build.factors_of(rest))))

    return signs_merged(rebuild(line, change)) if letters(line) else signs_merged(line)
