"""How hard a problem is to work, as a score with its reasons; grows with each of them.

What counts is what teachers name when they order problems: what stands in the given, what its work asks for, how
many pairs are tried before one fits, how large the numbers become. The weights agree with orders that teachers gave
(``tests/teacher_orders.json``), within a topic and across topics.
"""

from collections.abc import Iterator
from dataclasses import dataclass
from math import log10

from uchuu_core.answers.worked import Difficulty
from uchuu_core.inspecting.searches import Search, searches
from uchuu_core.methods.method import Moment
from uchuu_core.tree.nodes import (
    Bracket,
    Either,
    Line,
    Mixed,
    Number,
    Outcome,
    Power,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
    Symbol,
)
from uchuu_core.tree.paths import letters, parts, walk


@dataclass(frozen=True, slots=True)
class Weight:
    """What one of a kind adds to the score; ``kind`` and ``several`` name one and more of them."""

    kind: str
    several: str
    each: float


def _weight(each: float, kind: str, several: str = "") -> Weight:
    return Weight(kind, several or f"{kind}s", each)


_MOVES = _weight(0.03, "move")
_LAWS = _weight(0.3, "different law")
_CHOICES = _weight(0.05, "decision")
_TRAPS = _weight(0.1, "trap")
_LENGTH = _weight(0.17, "number or letter written", "numbers and letters written")
_SUMS = _weight(0.2, "sum")
_LETTERS = _weight(1.5, "further letter")
_FRACTIONS = _weight(0.6, "fraction")
_MIXED = _weight(0.5, "mixed number")
_SUMS_OVER_BAR = _weight(0.3, "sum over a bar", "sums over a bar")
_BELOW = _weight(0.65, "letter below a bar", "letters below a bar")
_DENOMINATORS = _weight(0.1, "different denominator")
_FRACTION_LINES = _weight(0.1, "line with fractions", "lines with fractions")
_DECIMALS = _weight(0.2, "decimal")
_SIGNS = _weight(0.25, "minus sign")
_POWERS = _weight(0.6, "root or power", "roots and powers")
_EXPONENTS = _weight(0.6, "exponent that is no plain number", "exponents that are no plain numbers")
_UNDER_ROOTS = _weight(0.55, "letter under a root", "letters under roots")
_DEGREE = _weight(0.95, "degree beyond 2", "degrees beyond 2")
_SEARCHES = _weight(0.2, "pair to be found", "pairs to be found")
_TRIALS = _weight(0.1, "pair tried", "pairs tried")
_LEADING = _weight(0.1, "leading coefficient other than 1", "leading coefficients other than 1")
_PRIME = _weight(0.3, "search in vain", "searches in vain")
_CASES = _weight(0.5, "division into cases", "divisions into cases")
_IRRATIONAL = _weight(0.9, "root in the answer", "roots in the answer")
_BROKEN = _weight(0.5, "fraction in the answer", "fractions in the answer")
_SIZE = _weight(0.25, "digit in the largest number", "digits in the largest number")
_LARGE = 2
"""Digits that are worth a word: everybody works with smaller numbers."""
MOST_REASONS = 7
"""Reasons that are told: what weighs less does not explain an order."""


def difficulty(given: Line, moments: list[Moment]) -> Difficulty:
    """Return ``score`` (one decimal, from 0 up) and ``reasons`` (what counted most, the heaviest first).

    Args:
        given: The problem's line.
        moments: All moves of a method, at fine density.
    """
    counted = [*_of_given(given), *_of_work(given, moments)]
    score = sum(weight.each * count for weight, count in counted)
    counted.sort(key=lambda one: -one[0].each * one[1])
    told = [one for one in counted if one[1] and (one[0] is not _SIZE or one[1] >= _LARGE)]
    reasons = [_reason(weight, count) for weight, count in told[:MOST_REASONS]]
    return {"score": round(score, 1), "reasons": reasons}


def harder(one: Difficulty, other: Difficulty) -> Difficulty:
    """Return the greater of two difficulties, the first where they are equal."""
    return other if other["score"] > one["score"] else one


def _reason(weight: Weight, count: float) -> str:
    number = max(1, round(count))
    return f"{number} {weight.kind if number == 1 else weight.several}"


def _of_given(given: Line) -> Iterator[tuple[Weight, float]]:
    listed = [part for _, part in walk(given)]
    fractions = [part for part in listed if isinstance(part, Quotient)]
    powers = [part for part in listed if isinstance(part, Power)]
    roots = [part for part in listed if isinstance(part, Root)]
    plain = sum(isinstance(part, (Number, Symbol)) for part in listed)
    yield _LENGTH, plain
    yield _SUMS, sum(isinstance(part, Sum) for part in listed)
    yield _LETTERS, max(len(letters(given)) - 1, 0)
    yield _FRACTIONS, sum(not letters(part.denominator) for part in fractions)
    yield _MIXED, 2 * sum(isinstance(part, Mixed) for part in listed)
    yield _BELOW, sum(bool(letters(part.denominator)) for part in fractions)
    yield _SUMS_OVER_BAR, sum(isinstance(part.numerator, Sum) for part in fractions)
    yield _DENOMINATORS, len({part.denominator for part in fractions})
    yield _DECIMALS, sum(isinstance(part, Number) and not part.is_whole for part in listed)
    yield _SIGNS, sum(_minuses(part) for part in listed)
    yield _POWERS, len(powers) + len(roots)
    yield _EXPONENTS, sum(not isinstance(part.exponent, Number) for part in powers)
    yield _UNDER_ROOTS, sum(bool(letters(part)) for part in roots)


def _of_work(given: Line, moments: list[Moment]) -> Iterator[tuple[Weight, float]]:
    laws = [moment.law for moment in moments]
    lines = [given, *(moment.line for moment in moments)]
    found: list[Search] = searches(given, moments)
    yield _MOVES, len(moments)
    yield _LAWS, len(set(laws))
    yield _CHOICES, sum(law.is_decision for law in laws)
    before_brackets = sum(_is_trap(part) for _, part in walk(given))
    yield _TRAPS, sum(law.is_trap for law in laws) + before_brackets
    yield _FRACTION_LINES, sum(_has_fraction(line) for line in lines[1:])
    yield _SEARCHES, len(found)
    yield _TRIALS, sum(search.trials for search in found)
    yield _LEADING, sum(abs(search.leading) != 1 for search in found)
    yield _PRIME, lines[-1] == Outcome("prime")
    if any(law.key in _RAISED for law in laws) or isinstance(given, Relation) or found:
        yield _DEGREE, _degree(given)
    yield _CASES, any(isinstance(line, Either) for line in lines)
    is_answer = isinstance(given, Relation)
    yield _IRRATIONAL, is_answer and any(isinstance(part, Root) for part in parts(lines[-1]))
    yield _BROKEN, is_answer and _has_fraction(lines[-1])
    yield _SIZE, max((_digits(part) for line in lines for part in parts(line)), default=0)


_RAISED = ("factor", "difference-of-squares", "sum-of-cubes", "grouping", "multiply-brackets")


def _degree(given: Line) -> int:
    """Return how far the largest whole exponent on a letter goes beyond 2."""
    return max(
        (
            int(part.exponent.value) - 2
            for part in parts(given)
            if isinstance(part, Power)
            and letters(part.base)
            and isinstance(part.exponent, Number)
            and part.exponent.is_whole
            and part.exponent.value > 2
        ),
        default=0,
    )


def _has_fraction(line: Line) -> bool:
    return any(isinstance(part, Quotient) and not letters(part) for part in parts(line))


def _minuses(part: Line) -> float:
    """Count minus signs; one in an exponent counts twice."""
    if isinstance(part, Power) and isinstance(part.exponent, Signed):
        return 1
    if isinstance(part, Signed):
        return int(part.sign != "+")
    return sum(term.sign != "+" for term in part.terms) if isinstance(part, Sum) else 0


def _digits(part: Line) -> float:
    """Return the size of a number, as a power of ten."""
    return log10(max(abs(float(part.value)), 1)) if isinstance(part, Number) else 0


def _is_trap(part: Line) -> bool:
    """Whether a minus stands before a bracket."""
    match part:
        case Signed("-", Sum() | Bracket()):
            return True
        case Sum(terms):
            return any(term.sign == "-" and isinstance(term.body, Sum) for term in terms)
        case _:
            return False
