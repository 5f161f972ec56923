"""The tree of a written line: immutable, nothing evaluates itself, everything written stays.

Brackets that the structure itself needs (``2(x+1)``, ``5-(-3)``) are implied by the nesting;
only brackets that could be left out are kept, as ``Bracket``. So each line has one tree.
"""

from dataclasses import dataclass
from fractions import Fraction
from functools import lru_cache
from typing import Literal

Sign = Literal["+", "-", "+-"]
Join = Literal["", "*"]
"""How a factor is joined to the one before it: by juxtaposition or by a written sign."""
QuotientMark = Literal["/", "÷", "∕"]
"""A fraction bar, a division sign, or a slash in the line (in LaTeX, where a bar is ``\\frac``)."""
RelationSign = Literal["=", "!=", "<", ">", "<=", ">="]


@lru_cache(maxsize=4096)
def _value(text: str) -> Fraction:
    return Fraction(text)


@dataclass(frozen=True, slots=True)
class Number:
    """A numeral as written: digits with at most one point. ``0.50`` is not ``0.5``."""

    text: str

    @property
    def value(self) -> Fraction:
        """The exact value."""
        return _value(self.text)

    @property
    def is_whole(self) -> bool:
        """Whether the numeral is written without a point."""
        return "." not in self.text


@dataclass(frozen=True, slots=True)
class Mixed:
    """A mixed number such as ``2 1/3``; all three parts are non-negative integers."""

    whole: int
    numerator: int
    denominator: int

    @property
    def value(self) -> Fraction:
        """The exact value."""
        return self.whole + Fraction(self.numerator, self.denominator)


@dataclass(frozen=True, slots=True)
class Symbol:
    """A letter, possibly with an index: ``x``, ``x_1``."""

    name: str


@dataclass(frozen=True, slots=True)
class Signed:
    """A sign written before something that is not a term of a sum: ``-3``, ``+-5``."""

    sign: Sign
    body: "Expr"


@dataclass(frozen=True, slots=True)
class Term:
    """One term of a sum with the sign before it (``+`` for an unwritten first sign)."""

    sign: Sign
    body: "Expr"


@dataclass(frozen=True, slots=True)
class Sum:
    """Two or more terms in written order."""

    terms: tuple[Term, ...]


@dataclass(frozen=True, slots=True)
class Product:
    """Two or more factors in written order; ``joins[i]`` stands before ``factors[i+1]``."""

    factors: tuple["Expr", ...]
    joins: tuple[Join, ...]


@dataclass(frozen=True, slots=True)
class Quotient:
    """A fraction (mark ``/``: a bar that groups) or a division written with ``÷`` or a slash."""

    numerator: "Expr"
    denominator: "Expr"
    mark: QuotientMark = "/"


@dataclass(frozen=True, slots=True)
class Power:
    """*base* to the *exponent*, as written."""

    base: "Expr"
    exponent: "Expr"


@dataclass(frozen=True, slots=True)
class Root:
    """The root of *radicand* with integer *index* (2 for a square root)."""

    index: int
    radicand: "Expr"


@dataclass(frozen=True, slots=True)
class Absolute:
    """An absolute value."""

    body: "Expr"


@dataclass(frozen=True, slots=True)
class Bracket:
    """A written bracket that the structure does not need."""

    body: "Expr"


@dataclass(frozen=True, slots=True)
class Log:
    """A logarithm of a number: ``log_2(5)``, ``ln 5``; *base* None: ten for log, e for ln."""

    name: Literal["log", "ln"]
    base: int | None
    argument: "Expr"


Expr = (
    Number | Mixed | Symbol | Signed | Sum | Product | Quotient | Power | Root | Absolute | Bracket
    | Log
)  # fmt: skip


@dataclass(frozen=True, slots=True)
class Relation:
    """Two sides and the sign between them."""

    left: Expr
    sign: RelationSign
    right: Expr


@dataclass(frozen=True, slots=True)
class Chain:
    """``a = b = c``: three or more sides joined by equals signs; a leading ``=`` is dropped."""

    sides: tuple[Expr, ...]


@dataclass(frozen=True, slots=True)
class Either:
    """Several relations: equations joined by "or"; others by commas, or by a written "or"."""

    options: tuple[Relation, ...]
    joint: Literal["", "or"] = ""

    @property
    def is_or(self) -> bool:
        """Whether "or" is written between the relations."""
        return self.joint == "or" or self.options[0].sign == "="


@dataclass(frozen=True, slots=True)
class ValueSet:
    """Solutions listed in braces, without their unknown."""

    members: tuple[Expr, ...]


@dataclass(frozen=True, slots=True)
class Outcome:
    """An answer in words."""

    says: Literal["no solution", "all real numbers", "all except excluded", "prime"]


@dataclass(frozen=True, slots=True)
class AllExcept:
    """``all real numbers except -3 and 4``: every number but the *members*."""

    members: tuple[Expr, ...]


@dataclass(frozen=True, slots=True)
class Coordinates:
    """A point of the plane: ``(2, 5)``."""

    x: Expr
    y: Expr


@dataclass(frozen=True, slots=True)
class Feature:
    """A feature of a function under its label: ``hole: (2, 5)``; no items for "none"."""

    label: str
    items: tuple[
        "Expr | Relation | Coordinates | Outcome | AllExcept | Union | Builder | ValueSet", ...
    ]


@dataclass(frozen=True, slots=True)
class Interval:
    """Real numbers between two ends, ``(-∞, 3]``; an end that is infinite is None."""

    low: "Expr | None"
    high: "Expr | None"
    has_low: bool
    has_high: bool


@dataclass(frozen=True, slots=True)
class Union:
    """Intervals and listed sets joined by ∪; one interval alone is a union of one."""

    members: tuple["Interval | ValueSet", ...]


@dataclass(frozen=True, slots=True)
class Builder:
    """Set-builder notation: ``{x | x ≠ 2}``; the *letter* is a ``Symbol``."""

    letter: Symbol
    condition: "Relation | Either"


Line = (
    Expr | Relation | Chain | Either | ValueSet | Outcome | AllExcept | Feature | Coordinates
    | Interval | Union | Builder
)  # fmt: skip
"""Anything that can stand on one written line."""
