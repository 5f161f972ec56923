"""Where an example forks, and what is made of it."""

from typing import NotRequired

from typing_extensions import TypedDict

from uchuu_core.answers.checked import Entered
from uchuu_core.answers.sentences import LawLine, Piece, Reading, Sides
from uchuu_core.answers.terms import Role, Verdict


class Screening(TypedDict):
    """One error that an exercise reveals or hides."""

    error: str
    name: str
    after: int
    wrong: str
    ends_in: str


class Screened(TypedDict):
    """What an exercise would reveal and what it would hide."""

    reveals: list[Screening]
    hides: list[Screening]


class Fork(Screening):
    """A wrong line after line ``after`` (0: the given), and the answer in which it ends.

    ``hidden``: it ends in the right answer; the exercise cannot tell this error from the law.
    ``crossed_out``: the line stands crossed out in the example: a proven trap.
    """

    says: str
    because: str
    counter: str | None
    counter_parts: list[Piece]
    wrong_latex: str
    ends_in_latex: str
    also: NotRequired[list[str]]
    also_names: NotRequired[list[str]]
    hidden: NotRequired[bool]
    crossed_out: NotRequired[bool]


class Forks(TypedDict):
    """The forks of an example, most common first, hidden ones last."""

    forks: list[Fork]


class ForkPath(TypedDict):
    """The lines after the wrong one; None when no method goes on from there."""

    path: list[LawLine] | None


class Choice(Reading):
    """One answer to choose; a wrong one with the error that ends in it."""

    right: bool
    error: NotRequired[str]
    name: NotRequired[str]
    because: NotRequired[str]
    wrong: NotRequired[str]
    wrong_latex: NotRequired[str]
    after: NotRequired[int]


class Choices(TypedDict):
    """A multiple-choice question; fewer than ``asked`` where no more errors end elsewhere."""

    choices: list[Choice]
    asked: int


class Instead(TypedDict):
    """The right line in the place of a planted one."""

    instead: str | None
    instead_latex: str | None


class Mistake(Instead):
    """A worked example with one wrong line, ``mistake_at`` from 1."""

    lines: list[Reading]
    mistake_at: int
    error: str
    name: str
    says: str
    because: str
    counter: str | None
    counter_parts: list[Piece]


class Watch(TypedDict):
    """A fork to watch for on a line."""

    name: str
    wrong: str
    wrong_latex: str
    counter: str | None
    counter_parts: list[Piece]


class ToldLine(Entered):
    """A line as it is told; ``lit``: the sides with what is new in ``\\htmlClass{lit}{…}``.

    ``say``: its sentence; ``ask``: what to ask before it; ``why``: why its law holds, in one line.
    """

    text: str
    verdict: Verdict
    lit: NotRequired[Sides]
    role: NotRequired[Role]
    say: str
    parts: list[Piece]
    ask: str
    why: str
    watch: list[Watch]


class Told(TypedDict):
    """An example told line by line, the given first."""

    lines: list[ToldLine]
