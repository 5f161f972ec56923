"""Lines and sentences as every answer has them."""

from typing import Literal, NotRequired

from typing_extensions import TypedDict


class Mathematics(TypedDict):
    """A piece of mathematics inside a sentence."""

    text: str
    latex: str
    spoken: str


class Piece(TypedDict, total=False):
    """A piece of a sentence: words, or mathematics."""

    text: str
    math: Mathematics


class Track(TypedDict):
    """One of several relations on a line, cut at its sign, in LaTeX."""

    left: str
    sign: str
    right: str


class Sides(TypedDict):
    """A line cut at its relation sign, in LaTeX; ``left`` is empty for an expression.

    ``sign`` is empty for what is no relation, as a feature. ``tracks``: the relations that "or" joins, or
    that a ± stands for (``join``): there the spine divides.
    """

    left: str
    sign: str
    right: str
    tracks: NotRequired[list[Track]]
    join: NotRequired[Literal["or", "±"]]


class Shown(TypedDict):
    """What a screen and a reader need of a line."""

    latex: str
    sides: Sides
    spoken: str


class Reading(Shown):
    """How a line is read: plain notation, LaTeX, spoken English."""

    text: str


class Typeset(TypedDict):
    """A line as text and in LaTeX."""

    text: str
    latex: str


class ReadingValue(Typeset):
    """One reading of an ambiguous line, with its value where it has one."""

    value: str | None


class Ambiguity(TypedDict):
    """Notation that others may read differently; the reading taken stands first."""

    says: str
    readings: list[ReadingValue]


class Notations(Reading):
    """A line in the notations of other programs too."""

    mathml: str
    typst: str
    ambiguities: list[Ambiguity]


class Refusal(TypedDict):
    """Why something is not done, in a teacher's words; ``at``: the place in the text, from 0."""

    code: str
    message: str
    at: int | None


class Refused(TypedDict):
    """The whole answer where nothing else can be said."""

    failure: Refusal


class Saying(TypedDict):
    """A sentence, as text and in parts."""

    says: str
    parts: list[Piece]


class LawLine(Reading, Saying):
    """A lawful line with its reason."""

    law: str
