"""Logarithms of numbers as answers: log(5)/log(2), ln 5, 1 + log_2(3), compared exactly.

A value is a quotient of two sums Σ c·ln p over primes p. The logarithms of primes are independent
over the rationals (unique factorisation), and so is 1 = ln e from them (Lindemann): e counts as one
more prime, written ``E``.
"""

from dataclasses import dataclass
from typing import Any

from flint import fmpq

from uchuu_core.kernel.algebraic import Algebraic, primitive
from uchuu_core.kernel.points import NotRational, Undefined, value_at
from uchuu_core.kernel.powers import CONSTANT, powers_of_number
from uchuu_core.kernel.solutions import Logarithm, Point
from uchuu_core.tree.nodes import (
    Bracket,
    Expr,
    Line,
    Log,
    Number,
    Power,
    Product,
    Quotient,
    Relation,
    Signed,
    Sum,
    Symbol,
)
from uchuu_core.tree.paths import letters, parts, rebuild

E = 1_000_000_007
"""A prime that stands for the number e: nothing in a problem is a multiple of it."""
Logs = dict[int, fmpq]
"""Σ c·ln p."""


@dataclass(frozen=True, slots=True)
class LogValue:
    """*above* over *below*; ``below`` is None for a plain rational number in ``above[E]``."""

    above: Logs
    below: Logs | None

    @property
    def rational(self) -> fmpq | None:
        """The value of a plain rational number."""
        return self.above.get(E, fmpq(0)) if self.below is None else None


def _plain(value: fmpq) -> LogValue:
    return LogValue({E: value}, None)


def _scaled(logs: Logs, by: fmpq) -> Logs:
    return {p: c * by for p, c in logs.items() if c * by != 0}


def _ratio(a: Logs, b: Logs) -> fmpq | None:
    """Return a/b where they are proportional, else None."""
    a, b = _scaled(a, fmpq(1)), _scaled(b, fmpq(1))
    if not b or set(a) != set(b):
        return None
    first = next(iter(b))
    ratio = a[first] / b[first]
    return ratio if all(a[p] == b[p] * ratio for p in b) else None


def _value(above: Logs, below: Logs) -> LogValue:
    above = _scaled(above, fmpq(1))
    if not above:
        return _plain(fmpq(0))
    ratio = _ratio(above, below)
    return LogValue(above, below) if ratio is None else _plain(ratio)


def _logs(node: Expr) -> Logs:
    """Return ln of a positive number."""
    if node == Symbol("e"):
        return {E: fmpq(1)}
    match node:
        case Bracket(body):
            return _logs(body)
        case Power(base, exponent):
            power = log_value(exponent).rational
            if power is None:
                raise NotRational
            return _scaled(_logs(base), power)
        case _:
            value = value_at(node, {})
            if value <= 0:
                raise Undefined
            found = powers_of_number(value)
            return {int(p): e[CONSTANT] for p, e in found.items() if isinstance(p, int)}


def log_value(node: Expr) -> LogValue:
    """Return the value of *node*, numbers and logarithms of numbers.

    Raises:
        NotRational: it is of another kind.
        Undefined: a logarithm of what is not positive, or a division by zero.
    """
    match node:
        case Log(name, base, argument):
            if name == "ln":
                return _value(_logs(argument), {E: fmpq(1)})
            return _value(_logs(argument), _logs(Number(str(base or 10))))
        case Bracket(body):
            return log_value(body)
        case Signed("-", body):
            return _times(log_value(body), _plain(fmpq(-1)))
        case Sum(terms):
            total = _plain(fmpq(0))
            for term in terms:
                sign = fmpq({"+": 1, "-": -1}.get(term.sign, 0))
                if sign == 0:
                    raise NotRational
                total = _plus(total, _times(log_value(term.body), _plain(sign)))
            return total
        case Product(factors, _):
            result = _plain(fmpq(1))
            for factor in factors:
                result = _times(result, log_value(factor))
            return result
        case Quotient(numerator, denominator, _):
            return _over(log_value(numerator), log_value(denominator))
        case _:
            return _plain(value_at(node, {}))


def _plus(a: LogValue, b: LogValue) -> LogValue:
    if a.rational is not None and b.rational is not None:
        return _plain(a.rational + b.rational)
    below = a.below or b.below
    assert below is not None
    total: Logs = {}
    for part in (a, b):
        if part.rational is not None:
            mine = _scaled(below, part.rational)
        else:
            ratio = _ratio(below, part.below or {})
            if ratio is None:
                raise NotRational
            mine = _scaled(part.above, ratio)
        for prime, value in mine.items():
            total[prime] = total.get(prime, fmpq(0)) + value
    return _value(total, below)


def _times(a: LogValue, b: LogValue) -> LogValue:
    if a.rational is None and b.rational is None:
        raise NotRational
    scale, other = (a.rational, b) if a.rational is not None else (b.rational, a)
    assert scale is not None
    if other.rational is not None:
        return _plain(scale * other.rational)
    return _value(_scaled(other.above, scale), other.below or {})


def _over(a: LogValue, b: LogValue) -> LogValue:
    if b.rational is not None:
        if b.rational == 0:
            raise Undefined
        return _times(a, _plain(1 / b.rational))
    if a.rational is not None:
        return _value(_scaled(b.below or {}, a.rational), b.above)
    ratio = _ratio(b.below or {}, a.below or {})
    if ratio is None:
        raise NotRational
    return _value(_scaled(a.above, ratio), b.above)


def point_of(value: LogValue) -> Point:
    """Return *value* as a solution: a rational number, or a logarithm in its one form."""
    rational = value.rational
    if rational is not None:
        return Algebraic.of(rational)
    below = sorted((value.below or {}).items())
    whole = primitive([c for _, c in reversed(below)])[::-1]
    scale = fmpq(whole[0]) / below[0][1]
    scale = -scale if below[0][1] * scale < 0 else scale
    return Logarithm(
        tuple((p, c * scale) for p, c in below),
        tuple((p, c * scale) for p, c in sorted(value.above.items())),
    )


def holds_logarithm(line: Line) -> bool:
    """Return whether a logarithm is written in *line*."""
    return any(isinstance(part, Log) for part in parts(line))


def solved_with_logarithms(line: Relation, unknown: str) -> frozenset[Point] | bool:
    """Return the solutions of a linear equation whose numbers are logarithms; True for all.

    Raises:
        NotRational: it is of another kind.
        Undefined: a side has no value.
    """
    for part in parts(line):
        if isinstance(part, (Power, Log)) and unknown in letters(part):
            raise NotRational
        if isinstance(part, Quotient) and unknown in letters(part.denominator):
            raise NotRational
    at = []
    for value in (0, 1, 2):
        left, right = (_with_number(side, unknown, value) for side in (line.left, line.right))
        at.append(_plus(log_value(left), _times(log_value(right), _plain(fmpq(-1)))))
    slope = _plus(at[1], _times(at[0], _plain(fmpq(-1))))
    if _plus(at[2], _times(at[1], _plain(fmpq(-1)))) != slope:
        raise NotRational
    if slope.rational == 0:
        return at[0].rational == 0 or frozenset()
    return frozenset({point_of(_over(_times(at[0], _plain(fmpq(-1))), slope))})


def _with_number(side: Expr, unknown: str, value: int) -> Expr:
    def change(part: Any) -> Any:
        return Number(str(value)) if part == Symbol(unknown) else part

    return rebuild(side, change)  # type: ignore[no-any-return]


def with_e_as_base(line: Line, unknown: str) -> Line:
    """Return *line* with the number e in bases of exponentials as the prime that stands for it."""
    if "e" not in letters(line) or unknown == "e":
        return line
    if not any(isinstance(p, Power) and p.base == Symbol("e") for p in parts(line)):
        return line

    def change(part: Any) -> Any:
        return Number(str(E)) if part == Symbol("e") else part

    return rebuild(line, change)  # type: ignore[no-any-return]
