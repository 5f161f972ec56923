"""A problem worked, nudged on, and worked two ways."""

from ninja import Field, Schema

from algebra.schemas.checked import CandidateCheck, Verdict
from algebra.schemas.problem import Piece, Reading, Sides


class WorkedLine(Schema):
    """A line that a method wrote."""

    text: str
    latex: str
    sides: Sides
    spoken: str
    law: str
    says: str
    parts: list[Piece] = []
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
    parts: list[Piece] = []
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
    parts: list[Piece] = []


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
