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


class NamedError(Schema):
    """The error behind a line. ``also``: other errors that reproduce it; ``instead``: a right line."""

    id: str
    name: str
    says: str
    instead: str | None
    instead_latex: str | None = None
    counter: str | None
    also: list[str]
    also_names: list[str] = []


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
    feature: bool = False
    """Judged against the given alone, not against the line before."""
    copied: list[str] = []
    """What changed on the way, when that alone explains the line."""
    changed: list[str] = []
    """What is new on a wrong line that no error explains."""
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


class FollowThrough(Schema):
    """How a paper goes on after its first wrong line.

    ``carried``: whether it ends where that line honestly leads; None when that is not decided.
    """

    carried: bool | None
    honest_end: list[str] | None
    slips: int


class Checked(Schema):
    """A whole paper judged; ``checks``: its candidates in the original."""

    lines: list[CheckedLine]
    first_wrong: int | None
    error: str | None
    answer: Answer
    follow_through: FollowThrough | None = None
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
    conditions: list[str] = Field(default=[], validation_alias="if")


class Difficulty(Schema):
    """How hard a problem is to work, with reasons."""

    score: float
    reasons: list[str]


class Rejected(Schema):
    """A candidate that fails in the given, and why."""

    value: str
    why: str


class Side(Schema):
    """What lies on one side of the balance: how many unknowns, which number."""

    unknown: str
    number: str


class Balance(Schema):
    """A picture of a linear equation; ``done``: what was done to both sides to come here."""

    line: int
    left: Side
    right: Side
    done: str


class Worked(Schema):
    """A problem worked by a method."""

    reads: Reading
    method: str
    methods: list[str]
    lines: list[WorkedLine]
    answer: str
    answers: list[str] = []
    outcome: str | None
    excluded: list[str]
    rejected: list[Rejected]
    checks: list[CandidateCheck]
    balance: list[Balance] = []
    difficulty: Difficulty


class Nudged(Schema):
    """The next step at three depths; only ``says`` when nothing is left to do."""

    done: bool
    says: str
    method: str | None = None
    notice: str | None = None
    law: str | None = None
    law_name: str | None = None
    text: str | None = None
    latex: str | None = None
    sides: Sides | None = None
    spoken: str | None = None


class PathLine(Reading):
    """A line of one of two paths."""

    law: str
    says: str


class Path(Schema):
    """One method's path, with the largest number on it and how many lines hold fractions."""

    method: str
    why: str
    largest: str
    with_fractions: int
    lines: list[PathLine]


class Compared(Schema):
    """Two paths; ``meet``: line numbers from 1 where they come together again."""

    reads: Reading
    paths: list[Path]
    same_until: int
    meet: list[int] | None
    shorter: str | None
    smaller: str | None
    fewer_fractions: str | None


class End(Schema):
    """Where a function goes at both ends: a number, ``infinity`` or ``-infinity``."""

    left: str
    right: str


class Shift(Schema):
    """a, h and k of a/(x − h) + k."""

    a: str
    h: str
    k: str


class Stretch(Schema):
    """An interval without zeros or breaks, its sign, and a point of the graph in it."""

    start: str | None = Field(validation_alias="from")
    end: str | None = Field(validation_alias="to")
    sign: str
    point: list[str]


class Features(Schema):
    """The features of a rational function, exact."""

    domain_excluded: list[str]
    holes: list[list[str]]
    vertical: list[str]
    horizontal: str | None
    oblique: str | None
    x_intercepts: list[str]
    y_intercept: str | None
    end: End
    range_excluded: list[str]
    points: list[list[str]]
    shift: Shift | None
    stretches: list[Stretch]


class Window(Schema):
    """The part of the plane that is shown: from and to."""

    x: list[float]
    y: list[float]


class CurveMarks(Schema):
    """What a plot marks, rounded."""

    vertical: list[float]
    horizontal: float | None
    oblique: list[float] | None
    zeros: list[float]
    at_zero: float | None
    holes: list[list[float]]


class Curve(Schema):
    """Branches as points, ready to plot."""

    window: Window
    branches: list[list[list[float]]]
    marks: CurveMarks


class Studied(Schema):
    """A function studied; ``found_by``: which line (from 1) found which feature."""

    reads: Reading
    features: Features
    lines: list[WorkedLine]
    found_by: dict[str, int]
    curve: Curve


class Fork(Schema):
    """A wrong line after line ``after`` (0: the given), and the answer in which it ends."""

    after: int
    error: str
    name: str
    says: str
    because: str
    counter: str | None
    wrong: str
    wrong_latex: str
    ends_in: str | None
    ends_in_latex: str | None
    hidden: bool = False
    """It ends in the right answer: the exercise cannot tell this error from the law."""


class Forks(Schema):
    """The forks of an example, most common first, hidden ones last."""

    forks: list[Fork]


class ForkIn(ProblemIn):
    """A problem and a wrong line that is carried on."""

    wrong: str = Field(max_length=20_000)


class ForkLine(Schema):
    """One lawful line of a wrong path."""

    text: str
    latex: str
    sides: Sides
    spoken: str
    law: str
    says: str


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


class MistakeIn(ProblemIn):
    """A problem, and the error to plant (None: a common one, by the seed)."""

    error: str | None = None


class Mistake(Schema):
    """A worked example with one wrong line, ``mistake_at`` from 1."""

    lines: list[Reading]
    mistake_at: int
    error: str
    name: str
    says: str
    because: str
    counter: str | None
    instead: str | None


class Watch(Schema):
    """A fork to watch for on a line."""

    name: str
    wrong: str
    wrong_latex: str
    counter: str | None


class ToldLine(Schema):
    """A line as it is told; ``lit``: the sides with what is new in ``\\htmlClass{lit}{…}``."""

    text: str
    verdict: Verdict
    latex: str | None = None
    sides: Sides | None = None
    lit: Sides | None = None
    spoken: str | None = None
    say: str
    ask: str
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
    traps: list[str] = []
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
    counter: str
