"""Conditions on the pattern variables of a move, decided on the bound trees alone.

A condition is a value with ``names`` (the variables it needs) and ``holds``. ``Nonzero`` is not
decided here: it is owed to the kernel, and the catalogue test samples its edge.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from fractions import Fraction
from typing import Protocol

from uchuu_core.tree.nodes import Expr, Mixed, Number, Power, Product, Quotient, Signed, Sum, Symbol
from uchuu_core.tree.paths import letters

Bindings = Mapping[str, Expr]


class Condition(Protocol):
    """What a pattern may demand of its variables."""

    @property
    def names(self) -> tuple[str, ...]:
        """The variables that are looked at."""
        ...

    def holds(self, bound: Bindings) -> bool:
        """Whether the condition holds for these bindings."""
        ...


def numeral(node: Expr) -> Fraction | None:
    """Return the value of a plain number, signed or a fraction of numerals, else None."""
    match node:
        case Number() | Mixed():
            return node.value
        case Signed("-", body):
            value = numeral(body)
            return None if value is None else -value
        case Quotient(Number() as top, Number() as bottom, _) if bottom.value != 0:
            return top.value / bottom.value
        case _:
            return None


@dataclass(frozen=True, slots=True)
class Numeral:
    """The variable is a plain number."""

    name: str
    positive: bool = False

    @property
    def names(self) -> tuple[str, ...]:
        return (self.name,)

    def holds(self, bound: Bindings) -> bool:
        value = numeral(bound[self.name])
        return value is not None and (value > 0 or not self.positive)


@dataclass(frozen=True, slots=True)
class NotNumeral:
    """The variable holds at least one letter."""

    name: str

    @property
    def names(self) -> tuple[str, ...]:
        return (self.name,)

    def holds(self, bound: Bindings) -> bool:
        return bool(letters(bound[self.name]))


@dataclass(frozen=True, slots=True)
class IsNot:
    """The variable is no plain number with this value."""

    name: str
    value: int

    @property
    def names(self) -> tuple[str, ...]:
        return (self.name,)

    def holds(self, bound: Bindings) -> bool:
        return numeral(bound[self.name]) != self.value


@dataclass(frozen=True, slots=True)
class OneFactor:
    """The variable is no product."""

    name: str

    @property
    def names(self) -> tuple[str, ...]:
        return (self.name,)

    def holds(self, bound: Bindings) -> bool:
        return not isinstance(bound[self.name], Product)


@dataclass(frozen=True, slots=True)
class NoFraction:
    """The variable is not written with a bar."""

    name: str

    @property
    def names(self) -> tuple[str, ...]:
        return (self.name,)

    def holds(self, bound: Bindings) -> bool:
        return not isinstance(bound[self.name], Quotient)


@dataclass(frozen=True, slots=True)
class Letter:
    """The variable is one letter, or a power of one (not with ``bare``)."""

    name: str
    bare: bool = False

    @property
    def names(self) -> tuple[str, ...]:
        return (self.name,)

    def holds(self, bound: Bindings) -> bool:
        body = bound[self.name]
        if isinstance(body, Power) and not self.bare:
            body = body.base
        return isinstance(body, Symbol)


@dataclass(frozen=True, slots=True)
class NumberOrSum:
    """The variable has no letters, or is a bracketed sum."""

    name: str

    @property
    def names(self) -> tuple[str, ...]:
        return (self.name,)

    def holds(self, bound: Bindings) -> bool:
        node = bound[self.name]
        return isinstance(node, Sum) or not letters(node)


@dataclass(frozen=True, slots=True)
class Unsigned:
    """No minus stands before what the variable is bound to."""

    name: str

    @property
    def names(self) -> tuple[str, ...]:
        return (self.name,)

    def holds(self, bound: Bindings) -> bool:
        return not isinstance(bound[self.name], Signed)


@dataclass(frozen=True, slots=True)
class Even:
    """The variable is an even whole number other than 0 (or odd, with ``odd``)."""

    name: str
    odd: bool = False

    @property
    def names(self) -> tuple[str, ...]:
        return (self.name,)

    def holds(self, bound: Bindings) -> bool:
        value = numeral(bound[self.name])
        if value is None or value.denominator != 1 or value == 0:
            return False
        return (value % 2 == 1) is self.odd


@dataclass(frozen=True, slots=True)
class Above:
    """The variable is a number greater than ``least`` (a whole one, with ``whole``)."""

    name: str
    least: int
    whole: bool = False

    @property
    def names(self) -> tuple[str, ...]:
        return (self.name,)

    def holds(self, bound: Bindings) -> bool:
        value = numeral(bound[self.name])
        if value is None or (self.whole and value.denominator != 1):
            return False
        return value > self.least


@dataclass(frozen=True, slots=True)
class Different:
    """Two variables are bound to different trees."""

    left: str
    right: str

    @property
    def names(self) -> tuple[str, ...]:
        return (self.left, self.right)

    def holds(self, bound: Bindings) -> bool:
        return bound[self.left] != bound[self.right]


@dataclass(frozen=True, slots=True)
class Divides:
    """Two numerals divide without rest (or do not, with ``evenly=False``)."""

    dividend: str
    divisor: str
    evenly: bool = True

    @property
    def names(self) -> tuple[str, ...]:
        return (self.dividend, self.divisor)

    def holds(self, bound: Bindings) -> bool:
        above, below = numeral(bound[self.dividend]), numeral(bound[self.divisor])
        if above is None or not below:
            return False
        return ((above / below).denominator == 1) is self.evenly


@dataclass(frozen=True, slots=True)
class Nonzero:
    """The variable must not be zero: owed to the kernel, never decided by the move."""

    name: str

    @property
    def names(self) -> tuple[str, ...]:
        return (self.name,)

    def holds(self, bound: Bindings) -> bool:
        value = numeral(bound[self.name])
        return value is None or value != 0
