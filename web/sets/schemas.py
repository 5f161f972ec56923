"""Records of sets in and out."""

from datetime import datetime
from typing import Literal
from uuid import UUID

from algebra.schemas import OwnRules
from examples.schemas import ExampleOut
from ninja import Field, Schema
from uchuu_core.answers.made import Facts
from uchuu_core.answers.terms import Task

MOST_ITEMS = 100
MOST_ASKED = 8
"""Examples whose facts one call may ask for: each may take a second."""


class ItemIn(Schema):
    """An example in its place, with marks and minutes where they are given."""

    example: UUID
    instruction: str = Field(default="", max_length=300)
    marks: int | None = Field(default=None, ge=0, le=100)
    minutes: int | None = Field(default=None, ge=0, le=600)


class SetIn(Schema):
    """A set as it is written."""

    title: str = Field(default="", max_length=200)
    instruction: str = Field(default="", max_length=2000)
    house: OwnRules = OwnRules()
    items: list[ItemIn] = Field(default=[], max_length=MOST_ITEMS)


class SetSave(SetIn):
    """A change; ``version`` is the version that it was made on."""

    version: int


class ItemOut(Schema):
    """An example of the set with all that it holds; ``facts`` is None while nobody asked for them."""

    example: ExampleOut
    instruction: str
    marks: int | None
    minutes: int | None
    facts: Facts | None = None


class FactsWanted(Schema):
    """Examples whose facts are asked for at once."""

    examples: list[UUID] = Field(min_length=1, max_length=MOST_ASKED)


class FactsFound(Schema):
    """Facts by example; ``late``: may be known when somebody asks again."""

    facts: dict[str, Facts]
    late: list[UUID]


class SetOut(Schema):
    """A set as stored."""

    id: UUID
    title: str
    instruction: str
    house: OwnRules
    made_from: UUID | None = Field(default=None, validation_alias="made_from_id")
    form: str
    version: int
    changed: datetime
    items: list[ItemOut]


class SetRow(Schema):
    """A set in the list."""

    id: UUID
    title: str
    form: str
    changed: datetime
    item_count: int
    unit: UUID | None = Field(default=None, validation_alias="unit_id")
    tags: list[str]


class SetPage(Schema):
    """A page of the list; ``next`` is given as ``cursor`` for the page after it, None at the end."""

    results: list[SetRow]
    next: str | None


class SetsWanted(Schema):
    """Which sets are listed, in which order, from which page on."""

    words: str = Field(default="", max_length=200)
    unit: UUID | None = None
    tag: str = Field(default="", max_length=40)
    aside: bool = False
    order: Literal["changed", "name"] = "changed"
    cursor: str = Field(default="", max_length=500)


class StaleSet(Schema):
    """The set was changed elsewhere since: ``current`` is what is stored now."""

    code: str = "stale"
    message: str
    current: SetOut


class NewProblem(Schema):
    """A bare problem for a set."""

    task: Task
    given: str = Field(max_length=20_000)
    title: str = Field(default="", max_length=200)
    lines: list[str] = Field(default=[], max_length=500)


class NewProblems(Schema):
    """Problems to put into a set, after the item ``after`` (0-based; None: at the end)."""

    problems: list[NewProblem] = Field(max_length=MOST_ITEMS)
    after: int | None = None


class TwinsIn(Schema):
    """How many twins of one item are wanted, from which seed on."""

    example: UUID
    count: int = Field(default=1, ge=1, le=30)
    seed: int = 1
    climbs: bool = False
    """A run from easier to harder instead of problems that are as hard."""
    tempting: bool = False
    """Twins in which a common wrong route works out as nicely as the right one."""


class FamilyIn(Schema):
    """A problem made to order."""

    family: str
    wish: int | None = None
    count: int = Field(default=1, ge=1, le=30)
    seed: int = 1


class FamilyOut(Schema):
    """A family of problems; ``wish`` says which number may be asked for, empty for none."""

    key: str
    name: str
    task: Task
    wish: str


class Made(Schema):
    """The set after problems were added, and what could not be made."""

    set: SetOut
    added: int
    refused: list[str]
    keeps: list[str]
    """What twins keep of their original."""


class VersionsIn(Schema):
    """Parallel versions of a whole set."""

    count: int = Field(default=2, ge=1, le=5)
    seed: int = 1
