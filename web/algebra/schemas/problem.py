"""What is asked of the core, and how a line is read."""

from typing import Literal

from ninja import Field, Schema

Task = Literal["evaluate", "simplify", "factor", "expand", "solve", "domain", "study"]
Numbers = Literal["real", "complex"]


class Text(Schema):
    """One line as typed."""

    text: str = Field(max_length=20_000)


class Sides(Schema):
    """A line cut at its relation sign, in LaTeX; ``left`` is empty for an expression."""

    left: str
    sign: str
    right: str


class Reading(Schema):
    """How a line is read: plain notation, LaTeX, spoken English."""

    text: str
    latex: str
    sides: Sides
    spoken: str


class Notations(Reading):
    """The same in the notations of other programs too."""

    mathml: str
    typst: str


class OwnRules(Schema):
    """House rules of one example, where they differ from the teacher's."""

    juxtaposition: Literal["equal", "tighter"] | None = None
    density: Literal["fine", "board", "key"] | None = None
    radicals: Literal["any", "non-negative"] | None = None
    methods: list[str] | None = Field(default=None, max_length=20)


class ProblemIn(Schema):
    """A problem, and for checking the lines written under it."""

    task: Task
    given: str = Field(max_length=20_000)
    variable: str | None = None
    method: str | None = None
    numbers: Numbers = "real"
    form: list[str] = []
    lines: list[str] = Field(default=[], max_length=500)
    house: OwnRules | None = None
    explains: bool | None = None
    """False: the last line's law or error is not looked for; its verdict comes faster."""
    seed: int | None = None
    """For what is chosen at random: the same seed gives the same."""


class CompareIn(ProblemIn):
    """A problem and the two methods that are to stand side by side."""

    methods: tuple[str, str]


class ForkIn(ProblemIn):
    """A problem and a wrong line that is carried on."""

    wrong: str = Field(max_length=20_000)


class MistakeIn(ProblemIn):
    """A problem, and the error to plant (None: a common one, by the seed)."""

    error: str | None = None
