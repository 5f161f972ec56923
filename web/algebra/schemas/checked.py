"""A paper judged line by line."""

from typing import Literal

from ninja import Field, Schema

from algebra.schemas.problem import Piece, Sides

Verdict = Literal["ok", "may-add", "loses", "wrong", "unfinished", "unproved", "unreadable"]


class NamedError(Schema):
    """The error behind a line. ``also``: other errors that reproduce it; ``instead``: a right line."""

    id: str
    name: str
    says: str
    instead: str | None
    instead_latex: str | None = None
    counter: str | None
    counter_parts: list[Piece] = []
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
    parts: list[Piece] = []
    """What is said, with its mathematics apart."""
    conditions: list[str] = Field(default=[], validation_alias="if")
    conditions_parts: list[Piece] = Field(default=[], validation_alias="if_parts")
    adds: list[str] = []
    drops: list[str] = []
    unmet: list[str] = []
    unmet_at: list[str] = []
    note: str | None = None
    tested: str | None = None
    counter: str | None = None
    counter_parts: list[Piece] = []
    role: Literal["chain", "check", "side", "operation", "remark"] = "chain"
    """Only lines of the chain are judged against one another."""
    back: bool = False
    """It follows from the last line that held, not from the wrong one before it."""
    remark: str | None = None
    """The words on the line."""
    operation: str | None = None
    """What is done to both sides."""
    struck: bool = False
    """Crossed out: it stays and does not count."""
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
    missing: bool = False
    """A solution that the answer does not have."""
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
    """Some lines have verdicts only; asked again with ``explained``, the next ones are explained."""
    explained: int = 0
    """So many first lines are explained."""
