"""What is asked of the core, and how a line is read."""

from typing import Literal

from ninja import Field, Schema

Task = Literal["evaluate", "simplify", "factor", "expand", "solve", "domain", "study"]
Numbers = Literal["real", "complex"]


class Text(Schema):
    """One line as typed."""

    text: str = Field(max_length=20_000)
    task: Task | None = None
    """What is asked of it, where that is known: it decides how a function's name is read."""
    variable: str | None = None


class Mathematics(Schema):
    """A piece of mathematics inside a sentence."""

    text: str
    latex: str
    spoken: str


class Piece(Schema):
    """A piece of a sentence: words, or mathematics."""

    text: str | None = None
    math: Mathematics | None = None


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


class ReadingValue(Schema):
    """One reading of an ambiguous line, with its value where it has one."""

    text: str
    latex: str
    value: str | None


class Ambiguity(Schema):
    """Notation that others may read differently; the reading taken stands first."""

    says: str
    readings: list[ReadingValue]


class Notations(Reading):
    """The same in the notations of other programs too."""

    mathml: str
    typst: str
    ambiguities: list[Ambiguity] = []
    """What others may read differently."""


class OwnRules(Schema):
    """House rules of one example, where they differ from the teacher's."""

    juxtaposition: Literal["equal", "tighter"] | None = None
    decimal: Literal["point", "comma"] | None = None
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
    explained: int | None = None
    """So many first lines need no law or error again: a long paper is explained part by part."""
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
