"""What the endpoints of lessons take and give."""

from datetime import date, datetime
from typing import Annotated, Any, Literal
from uuid import UUID

from ninja import Field, Schema
from uchuu_core.answers.sentences import Reading

from lessons.models import MOST_ITEMS, Lesson

Role = Literal["shown", "tried", "homework", "spare", "skipped"]
Purpose = Literal["", "reteach", "review", "exit"]
Title = Annotated[str, Field(max_length=200)]
Minutes = Annotated[int, Field(ge=5, le=600)]


class LessonIn(Schema):
    """A lesson to be planned: from a set, or from nothing."""

    school_class: UUID
    set: UUID | None = None
    date: date
    title: Title = ""
    minutes: Minutes = 45


class PlanItemIn(Schema):
    """One item of a plan; ``id`` None: new."""

    id: int | None = None
    example: UUID | None = None
    role: Role = "shown"
    note: str = Field(default="", max_length=600)
    star: bool = False
    first_move: str = Field(default="", max_length=200)
    minutes: int | None = Field(default=None, ge=0, le=300)


class PlanIn(Schema):
    """A plan as it was changed, on the version that was seen."""

    version: int
    title: Title
    date: date
    minutes: Minutes
    note: str = Field(default="", max_length=4000)
    unit: UUID | None = None
    items: list[PlanItemIn] = Field(max_length=MOST_ITEMS)


class LessonRow(Schema):
    """A lesson in the list; ``reached`` of ``count`` items."""

    id: UUID
    title: str
    date: date
    class_id: UUID
    school_class: str
    begun: datetime | None
    ended: datetime | None
    count: int
    reached: int
    unit: str

    @staticmethod
    def resolve_unit(lesson: Lesson) -> str:
        """Name its unit of the course; empty where it has none."""
        return lesson.unit.title if lesson.unit else ""

    @staticmethod
    def resolve_class_id(lesson: Lesson) -> UUID:
        """Give the class's id."""
        return lesson.school_class_id

    @staticmethod
    def resolve_school_class(lesson: Lesson) -> str:
        """Name the class."""
        return lesson.school_class.title


class Raised(Schema):
    """One answer of a show of hands, and how many chose it."""

    label: str = Field(max_length=4)
    text: str = Field(max_length=2000)
    latex: str = Field(default="", max_length=8000)
    right: bool = False
    error: str = Field(default="", max_length=80)
    name: str = Field(default="", max_length=200)
    count: int = Field(default=0, ge=0, le=400)


class HandsIn(Schema):
    """What the class predicted after a line."""

    after: int = Field(ge=0, le=200)
    kind: Literal["choices", "fork"]
    counts: list[Raised] = Field(max_length=8)


class OpenedIn(Schema):
    """A fork that was opened."""

    after: int = Field(ge=0, le=200)
    error: str = Field(max_length=80)
    name: str = Field(max_length=200)


class HeldIn(Schema):
    """What was held of an item until now; sent again it stores the same. Nothing that was held is taken back."""

    seconds: int = Field(ge=0, le=86_400)
    shown: int = Field(ge=0, le=200)
    lines: int = Field(ge=0, le=200)
    hands: list[HandsIn] = Field(default=[], max_length=60)
    forks: list[OpenedIn] = Field(default=[], max_length=60)


class PlanItem(Schema):
    """One item of a plan, and what was held of it.

    ``estimated``: minutes; ``like``: the place of an earlier item of its structure; ``drop``: goes first when
    time runs out.
    """

    id: int
    example: UUID | None
    title: str
    task: str
    given: str
    reads: Reading | None
    role: Role
    note: str
    star: bool
    first_move: str
    minutes: int | None
    estimated: int
    lines: int
    like: int | None
    drop: bool
    purpose: Purpose
    error: str
    error_name: str
    held: datetime | None
    done: bool
    seconds: int
    shown: int
    of: int
    hands: list[HandsIn]
    forks: list[OpenedIn]


class PlanOut(Schema):
    """A lesson with its items; ``takes``: minutes in all; ``a_line``: seconds that a line takes this teacher."""

    id: UUID
    version: int
    title: str
    date: date
    minutes: int
    note: str
    unit: UUID | None
    class_id: UUID
    school_class: str
    set: UUID | None
    set_title: str
    carried_from: UUID | None
    carried_to: UUID | None
    begun: datetime | None
    ended: datetime | None
    takes: int
    a_line: int
    items: list[PlanItem]


class StalePlan(Schema):
    """The plan was changed elsewhere since; ``current``: as it is."""

    code: str
    message: str
    current: PlanOut


class CarryIn(Schema):
    """When what was not reached is taught."""

    date: date


class MoreIn(Schema):
    """How many more like an item."""

    count: int = Field(default=2, ge=1, le=5)


class ReviewDays(Schema):
    """After how many days what was taught again comes back; ``free``: days without lessons, first and last."""

    days: list[Annotated[int, Field(ge=1, le=400)]] = Field(min_length=1, max_length=6)
    free: list[tuple[date, date]] = Field(default=[], max_length=40)


def plan_record(found: dict[str, Any]) -> dict[str, Any]:
    """Return what ``PlanOut`` shows of ``queries.plan_of``."""
    lesson: Lesson = found["lesson"]
    to = lesson.carried_to.filter(deleted=None).first()
    return {
        **{name: getattr(lesson, name) for name in ("id", "version", "title", "date", "minutes")},
        **{name: getattr(lesson, name) for name in ("note", "begun", "ended")},
        "unit": lesson.unit_id,
        "class_id": lesson.school_class_id,
        "school_class": lesson.school_class.title,
        "set": lesson.set_id,
        "set_title": lesson.set.title if lesson.set else "",
        "carried_from": lesson.carried_from_id,
        "carried_to": to.pk if to else None,
        "takes": found["takes"],
        "a_line": found["a_line"],
        "items": [_item_record(one) for one in found["items"]],
    }


_KEPT = ("id", "task", "given", "role", "note", "star", "first_move", "minutes", "purpose")
_HELD = ("error", "error_name", "held", "seconds", "shown")


def _item_record(one: dict[str, Any]) -> dict[str, Any]:
    item = one["item"]
    return {
        **{name: getattr(item, name) for name in (*_KEPT, *_HELD)},
        **{name: one[name] for name in ("estimated", "like", "drop", "reads", "lines")},
        "example": item.example_id,
        "title": item.example.title if item.example else "",
        "of": item.lines,
        "done": item.is_done,
        "hands": [{"after": h.after, "kind": h.kind, "counts": h.counts} for h in item.hands.all()],
        "forks": [{"after": f.after, "error": f.error, "name": f.name} for f in item.forks.all()],
    }
