"""What the endpoints of sittings take and give."""

from datetime import date, datetime
from typing import Annotated, Any
from uuid import UUID

from classes.api import StudentOut
from jobs.api import JobOut
from ninja import Field, Schema
from uchuu_core.answers.checked import CheckedLine
from uchuu_core.answers.marked import MarkKind, Question, SchemeMark, School
from uchuu_core.answers.placed import Placed
from uchuu_core.answers.sentences import LawLine, Mathematics, Reading
from uchuu_core.limits import MOST_WORTH, SCHEME_MARKS

from papers.models import MOST_LINE, MOST_LINES, Sitting, SittingItem
from papers.queries import Cell, reading_of

Line = Annotated[str, Field(max_length=MOST_LINE)]


class SittingIn(Schema):
    """A set given to a class on a date."""

    school_class: UUID
    set: UUID
    date: date
    title: str = Field(default="", max_length=200)
    school: School = "method-accuracy"
    accuracy_follows: bool = False
    versions: bool = False
    """With its parallel versions, in turn from code to code."""


class ReleaseIn(Schema):
    """Whether the marks are final."""

    released: bool


class SittingChange(Schema):
    """How a sitting is marked, and what it is called."""

    title: str = Field(min_length=1, max_length=200)
    date: date
    school: School
    accuracy_follows: bool


class SittingRow(Schema):
    """A sitting in the list."""

    id: UUID
    title: str
    date: date
    school_class: str
    class_id: UUID
    unit: str

    @staticmethod
    def resolve_school_class(sitting: Sitting) -> str:
        """Name the class."""
        return sitting.school_class.title

    @staticmethod
    def resolve_unit(sitting: Sitting) -> str:
        """Name the unit of the course that its set is filed under; empty where there is none."""
        unit = sitting.set.unit if sitting.set else None
        return unit.title if unit else ""

    @staticmethod
    def resolve_class_id(sitting: Sitting) -> UUID:
        """Give the class's id."""
        return sitting.school_class_id


class GivenItem(Schema):
    """One item as it was given."""

    id: int
    version: str
    number: int
    task: str
    given: str
    reads: Reading | None
    worth: int | None
    example: UUID | None = Field(alias="example_id")

    @staticmethod
    def resolve_reads(item: SittingItem) -> Any:
        """Typeset the problem; None where it cannot be read."""
        return reading_of(item)


class GridOut(Schema):
    """A sitting: its items across, its codes down, what stands in each cell, and the marking's job.

    ``versions``: one empty name where all have the same; ``had``: which one each student had.
    """

    id: UUID
    title: str
    date: date
    school: School
    accuracy_follows: bool
    released: datetime | None
    school_class: str
    versions: list[str]
    had: dict[int, str]
    items: list[GivenItem]
    students: list[StudentOut]
    cells: list[Cell]
    job: JobOut | None


class WorkIn(Schema):
    """What a student gave for one item; no lines: blank."""

    item: int
    lines: list[Line] = Field(max_length=MOST_LINES)


class PaperIn(Schema):
    """What a student gave."""

    works: list[WorkIn] = Field(max_length=200)


class TableIn(Schema):
    """Papers as a table: a code, an item and its lines on each row."""

    text: str = Field(max_length=400_000)


class RowTold(Schema):
    """What became of one row."""

    at: int
    taken: bool
    says: str


class TakenIn(Schema):
    """What came in: how many works are new, what was said of each row, and the grid after it."""

    changed: int
    rows: list[RowTold]
    grid: GridOut


class DecidedMark(Schema):
    """One mark as proposed, and as the teacher decided."""

    key: str
    kind: MarkKind
    worth: int
    proposed: int
    earned: int
    line: int | None = None
    because: str
    overruled: bool
    why: str


class WorkOut(Schema):
    """One item of a paper: what was written, how it is judged and marked.

    ``alike``: how many other papers wrote the same. ``late``: it could not be marked in time.
    """

    item: int
    lines: list[str]
    answer_alone: bool
    waiting: bool
    refused: str
    late: bool
    checked: list[CheckedLine]
    right: bool
    marks: list[DecidedMark]
    earned: int | None
    of: int | None
    ask: list[Question]
    alike: int
    comment: str
    draft: str
    """What may be said of it; the teacher takes it over or not."""


class PaperOut(Schema):
    """One student's paper, item by item; an item without work is blank."""

    student: StudentOut
    version: str
    versions: list[str]
    items: list[GivenItem]
    works: list[WorkOut]


class SlipEntry(Schema):
    """Where one item first left: the line, the right one in its place, what to say, one twin to try.

    ``line`` 0: it left nowhere; there is a comment.
    """

    number: int
    given: Mathematics
    line: int
    wrote: Mathematics
    name: str
    says: str
    instead: Mathematics | None
    comment: str
    twin: Mathematics | None


class Slip(Schema):
    """What one student is given back; ``earned`` None: nothing is marked."""

    code: str
    earned: int | None
    of: int | None
    entries: list[SlipEntry]


class VersionIn(Schema):
    """Which version a student had."""

    version: str = Field(max_length=2)


class CommentIn(Schema):
    """What the teacher says of one item; ``alike``: on equal work too."""

    item: int
    comment: str = Field(max_length=600)
    alike: bool = False


class OwnMark(Schema):
    """One mark of the teacher's own scheme; ``steps``: what of the accepted ways earns it."""

    key: str = Field(min_length=1, max_length=60)
    kind: MarkKind
    worth: int = Field(ge=-MOST_WORTH, le=MOST_WORTH)
    says: str = Field(max_length=200)
    steps: list[Annotated[str, Field(max_length=60)]] = Field(default=[], max_length=20)


class SchemeIn(Schema):
    """What an item's marks are for; no marks: as they are made of the worked lines, ``worth`` in all."""

    marks: list[OwnMark] = Field(max_length=SCHEME_MARKS)
    worth: int | None = Field(default=None, ge=1, le=MOST_WORTH)


class SchemeOut(Schema):
    """What an item's marks are for, as they are made and as they are; ``way``: the set's own lines."""

    item: GivenItem
    school: School
    is_own: bool
    marks: list[SchemeMark]
    made: list[SchemeMark]
    total: int
    way: list[LawLine]


class DecisionIn(Schema):
    """What the teacher decides of one mark; None: the proposal stands again. ``alike``: on equal work too."""

    item: int
    key: str = Field(max_length=60)
    earned: int | None
    why: str = Field(default="", max_length=300)
    alike: bool = False


class SpineStop(Reading):
    """A line of the worked example, and how many passed it."""

    passed: int


class SpineEnd(Reading):
    """What papers ended in, and how many."""

    count: int


class SpineLeaving(Schema):
    """Papers that left after the same stop by the same error (or, without a name, by the same line).

    ``wrote``: all lines by which they left; ``parallel``: how many of them went on without another error.
    """

    after: int
    error: str
    name: str
    line: Reading
    wrote: list[Reading]
    ends: list[SpineEnd]
    parallel: int
    students: list[int]


class SpineOut(Schema):
    """One item with the class on one spine; students by their numbers."""

    stops: list[SpineStop]
    leavings: list[SpineLeaving]
    unexplained: list[SpineLeaving]
    stopped: list[SpineLeaving]
    arrived: list[int]
    others: list[int]
    luck: list[int]
    undecided: list[int]
    waiting: int
    of: int


class ItemPlaced(Schema):
    """One item with the class on its spine.

    ``codes`` and ``placed``: of those who gave an answer without lines, placed on the worked example.
    """

    item: GivenItem
    versions: list[str]
    students: list[StudentOut]
    spine: SpineOut
    codes: list[str]
    placed: Placed


class NameIn(Schema):
    """What the teacher calls the error behind a line; empty: as it was named."""

    version: str = ""
    line: Line
    name: str = Field(max_length=200)
