"""Where an example forks, and what is made of it; the error catalogue."""

from ninja import Schema

from algebra.schemas.checked import Verdict
from algebra.schemas.problem import Piece, Reading, Sides


class Fork(Schema):
    """A wrong line after line ``after`` (0: the given), and the answer in which it ends."""

    after: int
    error: str
    name: str
    says: str
    because: str
    counter: str | None
    counter_parts: list[Piece] = []
    wrong: str
    wrong_latex: str
    ends_in: str | None
    ends_in_latex: str | None
    hidden: bool = False
    """It ends in the right answer: the exercise cannot tell this error from the law."""


class Forks(Schema):
    """The forks of an example, most common first, hidden ones last."""

    forks: list[Fork]


class ForkLine(Schema):
    """One lawful line of a wrong path."""

    text: str
    latex: str
    sides: Sides
    spoken: str
    law: str
    says: str
    parts: list[Piece] = []


class ForkPath(Schema):
    """The lines after the wrong one; None when no method goes on from there."""

    path: list[ForkLine] | None


class Choice(Reading):
    """One answer to choose; a wrong one with the error that ends in it."""

    right: bool
    error: str | None = None
    name: str | None = None
    because: str | None = None
    wrong: str | None = None
    after: int | None = None


class Choices(Schema):
    """A multiple-choice question; fewer than ``asked`` where no more errors end elsewhere."""

    choices: list[Choice]
    asked: int


class Mistake(Schema):
    """A worked example with one wrong line, ``mistake_at`` from 1."""

    lines: list[Reading]
    mistake_at: int
    error: str
    name: str
    says: str
    because: str
    counter: str | None
    counter_parts: list[Piece] = []
    instead: str | None


class Watch(Schema):
    """A fork to watch for on a line."""

    name: str
    wrong: str
    wrong_latex: str
    counter: str | None
    counter_parts: list[Piece] = []


class ToldLine(Schema):
    """A line as it is told; ``lit``: the sides with what is new in ``\\htmlClass{lit}{…}``."""

    text: str
    verdict: Verdict
    latex: str | None = None
    sides: Sides | None = None
    lit: Sides | None = None
    spoken: str | None = None
    say: str
    parts: list[Piece] = []
    ask: str
    why: str = ""
    """Why the law of the line holds, in one line."""
    watch: list[Watch]


class Told(Schema):
    """An example told line by line, the given first."""

    lines: list[ToldLine]


class Screening(Schema):
    """One error that an exercise reveals or hides."""

    error: str
    name: str
    after: int
    wrong: str
    ends_in: str | None


class Screened(Schema):
    """What an exercise would reveal and what it would hide."""

    reveals: list[Screening]
    hides: list[Screening]


class ErrorEntry(Schema):
    """One entry of the error catalogue as a teacher reads it."""

    id: str
    name: str
    topic: str
    before: str
    wrong: str
    right: str
    correct: str
    when: str
    why: str
    repair: str
    counter: str
