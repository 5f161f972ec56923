"""Records of the algebra endpoints, typed from the core's contract."""

from typing import Literal

from ninja import Field, Schema

Task = Literal["evaluate", "simplify", "factor", "expand", "solve", "domain", "study"]
Numbers = Literal["real", "complex"]
Verdict = Literal["ok", "may-add", "loses", "wrong", "unfinished", "unproved", "unreadable"]


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


class ProblemIn(Schema):
    """A problem, and for checking the lines written under it."""

    task: Task
    given: str = Field(max_length=20_000)
    variable: str | None = None
    method: str | None = None
    numbers: Numbers = "real"
    form: list[str] = []
    lines: list[str] = Field(default=[], max_length=500)
    explains: bool | None = None
    """False: the last line's law or error is not looked for; its verdict comes faster."""


class NamedError(Schema):
    """The error behind a line. ``also``: other errors that reproduce it; ``instead``: a right line."""

    id: str
    name: str
    says: str
    instead: str | None
    instead_latex: str | None = None
    counter: str | None
    also: list[str]


class Unreadable(Schema):
    """Why a line could not be read, and where."""

    code: str
    message: str
    at: int | None


class CheckedLine(Schema):
    """One line with its verdict and what explains it."""

    text: str
    verdict: Verdict
    latex: str | None = None
    sides: Sides | None = None
    spoken: str | None = None
    proof: str | None = None
    law: str | None = None
    says: str | None = None
    conditions: list[str] = Field(default=[], validation_alias="if")
    adds: list[str] = []
    drops: list[str] = []
    unmet: list[str] = []
    unmet_at: list[str] = []
    note: str | None = None
    tested: str | None = None
    counter: str | None = None
    check_line: bool = False
    doubt: str | None = None
    doubt_name: str | None = None
    error: NamedError | None = None
    failure: Unreadable | None = None


class Answer(Schema):
    """The last line against the given alone."""

    right: bool
    finished: bool
    missing: list[str]
    extra: list[str]


class SideLine(Schema):
    """One line of arithmetic in a check."""

    text: str
    latex: str


class CandidateCheck(Schema):
    """A candidate put into the given: both sides worked out."""

    value: str
    left: str | None
    right: str | None
    left_lines: list[SideLine]
    right_lines: list[SideLine]
    holds: bool
    says: str


class Checked(Schema):
    """A whole paper judged; ``checks``: its candidates in the original."""

    lines: list[CheckedLine]
    first_wrong: int | None
    error: str | None
    answer: Answer
    checks: list[CandidateCheck] = []
    unexplained: bool | None = None
    """Some lines have verdicts only; asking again goes on explaining."""


class WorkedLine(Schema):
    """A line that a method wrote."""

    text: str
    latex: str
    sides: Sides
    spoken: str
    law: str
    says: str
    verdict: Verdict


class Difficulty(Schema):
    """How hard a problem is to work, with reasons."""

    score: float
    reasons: list[str]


class Worked(Schema):
    """A problem worked by a method."""

    method: str
    methods: list[str]
    lines: list[WorkedLine]
    answer: str
    answers: list[str] = []
    outcome: str | None
    excluded: list[str]
    checks: list[CandidateCheck]
    difficulty: Difficulty


class Notice(Schema):
    """Something worth noticing before the first move."""

    code: str
    says: str
    where: str | None


class ReadingValue(Schema):
    """One reading of an ambiguous line, with its value where it has one."""

    text: str
    value: str | None


class Ambiguity(Schema):
    """Notation that others may read differently; the reading taken stands first."""

    says: str
    readings: list[ReadingValue]


class MethodOffered(Schema):
    """A method that applies, why, and how many lines it takes."""

    method: str
    why: str
    lines: int


class Inspected(Schema):
    """What kind of problem it is and what is worth noticing."""

    kind: str
    reads: Reading
    unknown: str | None
    notices: list[Notice]
    ambiguities: list[Ambiguity]
    excluded: list[str]
    methods: list[MethodOffered]
    finished_means: list[str]


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
