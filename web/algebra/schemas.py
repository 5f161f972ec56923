"""What the algebra endpoints are asked; what they answer is typed in the core (``uchuu_core.answers``)."""

from typing import Annotated, Literal

from ninja import Field, Schema
from uchuu_core.answers.terms import Task
from uchuu_core.contract import (
    Checks,
    Density,
    Domains,
    Fractions,
    NoRealRoot,
    Numerators,
    PlusMinus,
    Powers,
    Radicals,
)
from uchuu_core.lawbook.spelling import Removing, Undoing
from uchuu_core.notation.brackets import Juxtaposition
from uchuu_core.notation.tokens import Decimal

Numbers = Literal["real", "complex"]
Form = Annotated[str, Field(max_length=60)]
"""A form that an answer is asked in."""
Method = Annotated[str, Field(max_length=60)]


class Text(Schema):
    """One line as typed."""

    text: str = Field(max_length=20_000)
    task: Task | None = None
    """What is asked of it, where that is known: it decides how a function's name is read."""
    variable: str | None = None


class OwnRules(Schema):
    """House rules of one example, where they differ from the teacher's."""

    juxtaposition: Juxtaposition | None = None
    decimal: Decimal | None = None
    density: Density | None = None
    radicals: Radicals | None = None
    methods: list[Method] | None = Field(default=None, max_length=20)
    no_real_root: NoRealRoot | None = None
    plus_minus: PlusMinus | None = None
    fractions: Fractions | None = None
    numerators: Numerators | None = None
    domains: Domains | None = None
    powers: Powers | None = None
    removing: Removing | None = None
    undoing: Undoing | None = None
    checks: Checks | None = None


class ProblemIn(Schema):
    """A problem, and for checking the lines written under it."""

    task: Task
    given: str = Field(max_length=20_000)
    variable: str | None = Field(default=None, max_length=10)
    method: Method | None = None
    numbers: Numbers = "real"
    form: list[Form] = Field(default=[], max_length=20)
    lines: list[str] = Field(default=[], max_length=500)
    house: OwnRules | None = None
    explains: bool | None = None
    """False: no law or error is looked for; the verdicts come faster."""
    explained: int | None = None
    """So many first lines need no law or error again: the asker knows them."""
    goes_on: bool | None = None
    """True: lines may follow; the last one is not yet held against the original or the form asked for."""
    seed: int | None = None
    """For what is chosen at random: the same seed gives the same."""
    traps: bool | None = None
    """False: ``inspect`` does not name the errors that the problem invites; it is done sooner."""
    most: int | None = Field(default=None, ge=1, le=6)
    """Forks of a line that are asked for; a few where nothing is said."""


class CompareIn(ProblemIn):
    """A problem and the two methods that are to stand side by side."""

    methods: tuple[str, str]


class ForkIn(ProblemIn):
    """A problem and a wrong line that is carried on."""

    wrong: str = Field(max_length=20_000)


class AnswersIn(ProblemIn):
    """A problem and the answers that came in, one a text; its own lines are the example, if it has some."""

    answers: list[Annotated[str, Field(max_length=2000)]] = Field(max_length=400)


class MistakeIn(ProblemIn):
    """A problem, and the error to plant (None: a common one, by the seed)."""

    error: str | None = None


class ErrorEntry(Schema):
    """One entry of the error catalogue as a teacher reads it."""

    id: str
    name: str
    topic: str
    before: str
    wrong: str
    right: str
    before_latex: str
    wrong_latex: str
    right_latex: str
    correct: str
    when: str
    why: str
    repair: str
    counter: str
