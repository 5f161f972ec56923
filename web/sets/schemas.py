"""Records of sets in and out."""

from datetime import datetime
from uuid import UUID

from examples.schemas import ExampleOut
from ninja import Field, Schema

MOST_ITEMS = 100


class ItemIn(Schema):
    """An example in its place, with marks and minutes where they are given."""

    example: UUID
    marks: int | None = Field(default=None, ge=0, le=100)
    minutes: int | None = Field(default=None, ge=0, le=600)


class SetIn(Schema):
    """A set as it is written."""

    title: str = Field(default="", max_length=200)
    instruction: str = Field(default="", max_length=2000)
    items: list[ItemIn] = Field(default=[], max_length=MOST_ITEMS)


class SetSave(SetIn):
    """A change; ``version`` is the version that it was made on."""

    version: int


class ItemOut(Schema):
    """An example of the set with all that it holds."""

    example: ExampleOut
    marks: int | None
    minutes: int | None


class SetOut(Schema):
    """A set as stored."""

    id: UUID
    title: str
    instruction: str
    version: int
    changed: datetime
    items: list[ItemOut]


class SetRow(Schema):
    """A set in the list."""

    id: UUID
    title: str
    changed: datetime
    item_count: int


class StaleSet(Schema):
    """The set was changed elsewhere since: ``current`` is what is stored now."""

    code: str = "stale"
    message: str
    current: SetOut
