"""A law: what is known of it by those who explain, warn and measure; the moves know how to apply it."""

from dataclasses import dataclass, field
from enum import Flag, auto

from uchuu_core.lawbook.says import Sentence


class Family(Flag):
    """What a law deals with. An error is due where a law of its families comes next."""

    NONE = 0
    OPENS = auto()
    """Opens brackets, multiplies out, brings over one denominator."""
    FACTORS = auto()
    """Writes as a product."""
    COLLECTS = auto()
    """Joins like terms."""
    MOVES = auto()
    """Brings terms to the other side."""
    SCALES = auto()
    """Divides or multiplies sides, or every term."""
    SQUARES = auto()
    """Makes a square, or takes its root."""
    FORMULA = auto()
    """Puts numbers into the quadratic formula."""
    CANCELS = auto()
    """Divides something out."""
    POWERS = auto()
    """Works a power out."""


@dataclass(frozen=True, eq=False)
class Law:
    """One law of algebra.

    Args:
        key: Stable kebab-case name.
        name: What a teacher calls it.
        notice: What to notice before it, without giving the line away.
        why: Why it holds, in one line.
        families: What it deals with.
        is_decision: Whether it asks for a choice: a pair, a case, a denominator, a base.
        is_trap: Whether many leave the line at it.
    """

    key: str
    name: str
    notice: str
    why: str
    families: Family = Family.NONE
    is_decision: bool = False
    is_trap: bool = False
    sentences: list[Sentence] = field(default_factory=list, init=False)

    def says(self, template: str, lead: str = "") -> Sentence:
        """Return a new sentence of this law."""
        sentence = Sentence(template, self, lead)
        self.sentences.append(sentence)
        return sentence
