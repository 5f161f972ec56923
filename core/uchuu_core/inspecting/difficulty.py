"""How hard a problem is to work, as a score with its reasons; grows with each of them."""

from dataclasses import dataclass

from uchuu_core.answers.worked import Difficulty
from uchuu_core.methods.method import Moment
from uchuu_core.tree.nodes import (
    Bracket,
    Line,
    Mixed,
    Number,
    Power,
    Quotient,
    Root,
    Signed,
    Sum,
)
from uchuu_core.tree.paths import walk


@dataclass(frozen=True, slots=True)
class Weight:
    """What one of a kind adds to the score."""

    kind: str
    each: float


_MOVES = Weight("move", 0.3)
_LAWS = Weight("different law", 0.4)
_FRACTIONS = Weight("fraction", 0.3)
_SIGNS = Weight("minus sign", 0.15)
_DIGITS = Weight("digit beyond the first in its numbers", 0.1)
_ROOTS = Weight("root or power", 0.15)
_CHOICES = Weight("decision", 0.4)
_FALLS = Weight("trap", 0.4)


def difficulty(given: Line, moments: list[Moment]) -> Difficulty:
    """Return ``score`` (one decimal, from 0 up) and ``reasons`` (what counted, as sentences).

    Args:
        given: The problem's line.
        moments: All moves of the default method, at fine density.
    """
    parts = [part for _, part in walk(given)]
    laws = [moment.law for moment in moments]
    counted = [
        (_MOVES, len(moments)),
        (_LAWS, len(set(laws))),
        (_FRACTIONS, sum(isinstance(part, (Quotient, Mixed)) for part in parts)),
        (_SIGNS, sum(_minuses(part) for part in parts)),
        (_DIGITS, sum(_digits(part) for part in parts)),
        (_ROOTS, sum(isinstance(part, (Power, Root)) for part in parts)),
        (_CHOICES, sum(law.is_decision for law in laws)),
        (_FALLS, sum(law.is_trap for law in laws) + sum(_is_trap(part) for part in parts)),
    ]
    score = sum(weight.each * count for weight, count in counted)
    reasons = [f"{count} {_plural(weight.kind, count)}" for weight, count in counted if count]
    return {"score": round(score, 1), "reasons": reasons}


def _plural(kind: str, count: int) -> str:
    if count == 1:
        return kind
    first, _, rest = kind.partition(" ")
    if first == "different":
        return "different laws"
    if kind.startswith("digit"):
        return kind.replace("digit", "digits")
    if kind.startswith("root"):
        return "roots and powers"
    return f"{first}s" if not rest else f"{first} {rest}s"


def _minuses(part: Line) -> int:
    if isinstance(part, Signed):
        return int(part.sign != "+")
    return sum(term.sign != "+" for term in part.terms) if isinstance(part, Sum) else 0


def _digits(part: Line) -> int:
    if isinstance(part, Number):
        return len(part.text.replace(".", "")) - 1
    return (
        len(f"{part.whole}{part.numerator}{part.denominator}") - 3 if isinstance(part, Mixed) else 0
    )


def _is_trap(part: Line) -> bool:
    """Whether a minus stands before a bracket."""
    match part:
        case Signed("-", Sum() | Bracket()):
            return True
        case Sum(terms):
            return any(term.sign == "-" and isinstance(term.body, Sum) for term in terms)
        case _:
            return False
