"""The tree of a written line: immutable, nothing evaluates itself, everything written stays.

Brackets that the structure itself needs (``2(x+1)``, ``5-(-3)``) are implied by the nesting;
only brackets that could be left out are kept, as ``Bracket``. So each line has one tree.
"""

from collections.abc import Callable
from dataclasses import dataclass
from fractions import Fraction
from functools import lru_cache
from typing import Literal, TypeVar

Sign = Literal["+", "-", "+-"]
Join = Literal["", "*"]
"""How a factor is joined to the one before it: by juxtaposition or by a written sign."""
QuotientMark = Literal["/", "÷", "∕"]
"""A fraction bar, a division sign, or a slash in the line (in LaTeX, where a bar is ``\\frac``)."""
RelationSign = Literal["=", "!=", "<", ">", "<=", ">="]


class _Node:
    """What a part of a tree remembers of itself once somebody asked: hash, comparable form, letters."""

    __slots__ = ("_hash", "_letters", "_shape")


_Kind = TypeVar("_Kind", bound=type)


def _remembers_its_hash(kind: _Kind) -> _Kind:
    """Make the hash of a part once: a tree is asked for it much more often than it is made."""
    made: Callable[[object], int] = kind.__hash__  # type: ignore[assignment]

    def remembered(self: object) -> int:
        try:
            return self._hash  # type: ignore[attr-defined, no-any-return]
        except AttributeError:
            found = made(self)
            object.__setattr__(self, "_hash", found)
            return found

    kind.__hash__ = remembered  # type: ignore[assignment]
    return kind


@lru_cache(maxsize=4096)
def _value(text: str) -> Fraction:
    return Fraction(text)


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Number(_Node):
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


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Mixed(_Node):
    """A mixed number such as ``2 1/3``; all three parts are non-negative integers."""

    whole: int
    numerator: int
    denominator: int

    @property
    def value(self) -> Fraction:
        """The exact value."""
        return self.whole + Fraction(self.numerator, self.denominator)


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Symbol(_Node):
    """A letter, possibly with an index: ``x``, ``x_1``."""

    name: str


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Signed(_Node):
    """A sign written before something that is not a term of a sum: ``-3``, ``+-5``."""

    sign: Sign
    body: "Expr"


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Term(_Node):
    """One term of a sum with the sign before it (``+`` for an unwritten first sign)."""

    sign: Sign
    body: "Expr"


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Sum(_Node):
    """Two or more terms in written order."""

    terms: tuple[Term, ...]


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Product(_Node):
    """Two or more factors in written order; ``joins[i]`` stands before ``factors[i+1]``."""

    factors: tuple["Expr", ...]
    joins: tuple[Join, ...]


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Quotient(_Node):
    """A fraction (mark ``/``: a bar that groups) or a division written with ``÷`` or a slash."""

    numerator: "Expr"
    denominator: "Expr"
    mark: QuotientMark = "/"


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Power(_Node):
    """*base* to the *exponent*, as written."""

    base: "Expr"
    exponent: "Expr"


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Root(_Node):
    """The root of *radicand* with integer *index* (2 for a square root)."""

    index: int
    radicand: "Expr"


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Absolute(_Node):
    """An absolute value."""

    body: "Expr"


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Bracket(_Node):
    """A written bracket that the structure does not need."""

    body: "Expr"


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Log(_Node):
    """A logarithm of a number: ``log_2(5)``, ``ln 5``; *base* None: ten for log, e for ln."""

    name: Literal["log", "ln"]
    base: int | None
    argument: "Expr"


Expr = (
    Number | Mixed | Symbol | Signed | Sum | Product | Quotient | Power | Root | Absolute | Bracket
    | Log
)  # fmt: skip


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Relation(_Node):
    """Two sides and the sign between them."""

    left: Expr
    sign: RelationSign
    right: Expr


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Chain(_Node):
    """``a = b = c``: three or more sides joined by equals signs; a leading ``=`` is dropped."""

    sides: tuple[Expr, ...]


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Either(_Node):
    """Several relations: equations joined by "or"; others by commas, or by a written "or"."""

    options: tuple[Relation, ...]
    joint: Literal["", "or"] = ""

    @property
    def is_or(self) -> bool:
        """Whether "or" is written between the relations."""
        return self.joint == "or" or self.options[0].sign == "="


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class ValueSet(_Node):
    """Solutions listed in braces, without their unknown."""

    members: tuple[Expr, ...]


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Outcome(_Node):
    """An answer in words."""

    says: Literal["no solution", "all real numbers", "all except excluded", "prime"]


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class AllExcept(_Node):
    """``all real numbers except -3 and 4``: every number but the *members*."""

    members: tuple[Expr, ...]


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Coordinates(_Node):
    """A point of the plane: ``(2, 5)``."""

    x: Expr
    y: Expr


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Feature(_Node):
    """A feature of a function under its label: ``hole: (2, 5)``; no items for "none"."""

    label: str
    items: tuple[
        "Expr | Relation | Coordinates | Outcome | AllExcept | Union | Builder | ValueSet", ...
    ]


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Interval(_Node):
    """Real numbers between two ends, ``(-∞, 3]``; an end that is infinite is None."""

    low: "Expr | None"
    high: "Expr | None"
    has_low: bool
    has_high: bool


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Union(_Node):
    """Intervals and listed sets joined by ∪; one interval alone is a union of one."""

    members: tuple["Interval | ValueSet", ...]


@_remembers_its_hash
@dataclass(frozen=True, slots=True)
class Builder(_Node):
    """Set-builder notation: ``{x | x ≠ 2}``; the *letter* is a ``Symbol``."""

    letter: Symbol
    condition: "Relation | Either"


Line = (
    Expr | Relation | Chain | Either | ValueSet | Outcome | AllExcept | Feature | Coordinates
    | Interval | Union | Builder
)  # fmt: skip
"""Anything that can stand on one written line."""
