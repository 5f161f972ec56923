"""What the endpoints of the log and of today give."""

from datetime import date
from typing import Any, Literal
from uuid import UUID

from jobs.api import JobOut
from lessons.schemas import LessonRow
from ninja import Schema
from uchuu_core.answers.made import Contrast
from uchuu_core.answers.sentences import Reading

Trend = Literal["", "better", "worse", "same"]


class Column(Schema):
    """A sitting or a lesson, as a column of the log."""

    kind: Literal["sitting", "lesson"]
    id: UUID
    title: str
    date: date

    @staticmethod
    def resolve_id(found: dict[str, Any]) -> UUID:
        """Give the id of what it is."""
        identity: UUID = found["of"].pk
        return identity

    @staticmethod
    def resolve_title(found: dict[str, Any]) -> str:
        """Name what it is."""
        return str(found["of"].title)


class LogCell(Schema):
    """How many, of how many that could have."""

    count: int
    of: int


class LogRow(Schema):
    """One error of the log; ``too_soon``: it is a stop too soon, no wrong line."""

    error: str
    name: str
    too_soon: bool
    cells: list[LogCell | None]
    since: date
    trend: Trend
    lesson: UUID | None
    seen: bool
    count: int


class LogOut(Schema):
    """The log of a class.

    ``waiting``: pieces of work that are being marked; ``learning``: the job that still finds out what could
    have gone wrong where.
    """

    id: UUID
    title: str
    waiting: int
    columns: list[Column]
    rows: list[LogRow]
    learning: JobOut | None


class PaperBehind(Schema):
    """One paper behind a figure of the log."""

    name: str
    student: int
    code: str
    sitting: UUID
    title: str
    date: date
    number: int
    line: Reading


class OwnLine(Schema):
    """A line of the class's own papers, and the one above it; nobody's name."""

    number: int
    sitting: UUID
    title: str
    given: Reading
    before: Reading
    wrong: Reading
    instead: Reading | None
    says: str
    count: int


class NextOut(Schema):
    """An error to teach again, with the reasons for the choice.

    ``count`` of ``of`` papers of the sitting ``title``; ``coming``: planned problems in which it can be made.
    """

    error: str
    name: str
    count: int
    of: int
    sitting: UUID
    title: str
    coming: int
    since: date
    trend: Trend
    lesson: UUID | None
    taught: date | None
    seen: bool
    own: OwnLine
    contrast: Contrast | None
    says: str
    why: str


class IntoIn(Schema):
    """Where an error is taught again: in a lesson (None: a new one on ``date``), or as a set."""

    error: str
    into: Literal["lesson", "set"]
    lesson: UUID | None = None
    date: date


class IntoOut(Schema):
    """Where it is now."""

    lesson: UUID | None
    set: UUID | None


class Time(Schema):
    """One item in which a student made an error."""

    sitting: UUID
    number: int
    date: date


class StudentRow(Schema):
    """One error of a code; closed when it was done right twice since."""

    error: str
    name: str
    too_soon: bool
    count: int
    times: list[Time]
    since: date
    last: date
    right_since: int
    closed: bool


class StudentLog(Schema):
    """The log of one code."""

    student: int
    code: str
    class_id: UUID
    rows: list[StudentRow]


class ErrorCount(Schema):
    """How many made an error."""

    error: str
    name: str
    count: int


class ClassAt(Schema):
    """What a class did at a problem."""

    class_id: UUID
    title: str
    year: str
    of: int
    errors: list[ErrorCount]


class Taught(Schema):
    """What was taught again, when, its reviews, and when the next is due."""

    error: str
    name: str
    taught: date
    lesson: UUID
    reviews: list[date]
    due: date | None


class Counted(Schema):
    """A sitting with something to do, and how much."""

    id: UUID
    title: str
    count: int


class Pressing(Schema):
    """The error that presses most: how many made it in a sitting, of how many."""

    error: str
    name: str
    count: int
    of: int


class LessonLeft(Schema):
    """A lesson that ended before everything was reached."""

    id: UUID
    title: str
    date: date


class ClassToday(Schema):
    """What is due, planned and waiting for one class."""

    id: UUID
    title: str
    year: str
    size: int
    going: LessonRow | None
    lessons: list[LessonRow]
    carry: list[LessonLeft]
    due: list[Taught]
    papers: list[Counted]
    asking: list[Counted]
    next: Pressing | None


class Steps(Schema):
    """The first steps: whether there is an example with lines, a set with items, a class."""

    example: bool
    set: bool
    school_class: bool


class LastExample(Schema):
    """The example that was looked at last."""

    id: UUID
    title: str
    given: str


class TodayOut(Schema):
    """What a teacher has before them."""

    date: date
    classes: list[ClassToday]
    last: LastExample | None
    steps: Steps


class UnnamedLine(Schema):
    """A line by which papers left without a known error, and how many wrote it."""

    sitting: UUID
    title: str
    date: date
    number: int
    version: str
    line: Reading
    count: int


class OwnSlip(Schema):
    """A line that the teacher crossed out in an example: a proven trap of that problem."""

    example: UUID
    title: str
    line: Reading


class OwnSlips(Schema):
    """The teacher's own slips: lines crossed out, and keys with corrections that were accepted."""

    lines: list[OwnSlip]
    keys: list[Counted]
