"""Records of examples in and out."""

from datetime import datetime
from typing import Any, Literal
from uuid import UUID

from algebra.schemas import Form, Numbers, OwnRules
from ninja import Field, Schema
from pydantic import field_validator
from uchuu_core.answers.checked import Checked
from uchuu_core.answers.terms import Task
from uchuu_core.answers.worked import Inspected

from examples.models import Example


class ExampleIn(Schema):
    """An example as the bench holds it."""

    title: str = Field(default="", max_length=200)
    task: Task
    given: str = Field(default="", max_length=20_000)
    variable: str = Field(default="", max_length=10)
    numbers: Numbers = "real"
    form: list[Form] = Field(default=[], max_length=20)
    house: OwnRules = OwnRules()
    note: str = Field(default="", max_length=5_000)
    lines: list[str] = Field(default=[], max_length=500)
    reasons: dict[str, str] = {}
    """The teacher's own words for why a line follows, by the line's text."""

    @field_validator("reasons")
    @classmethod
    def _are_short(cls, value: dict[str, str]) -> dict[str, str]:
        if len(value) > 500 or any(len(words) > 500 for words in value.values()):
            raise ValueError("there are at most 500 reasons, of 500 characters each")
        return value


class ExampleSave(ExampleIn):
    """A change; ``version`` is the version that it was made on."""

    version: int


class ExampleOut(ExampleIn):
    """An example as stored."""

    id: UUID
    version: int
    changed: datetime

    @staticmethod
    def resolve_lines(example: Example) -> list[str]:
        """Return the texts in order."""
        return example.texts


class Opened(Schema):
    """An example with its lines judged and what is known of its problem; None where nothing is, yet."""

    example: ExampleOut
    checked: Checked | None
    inspected: Inspected | None


class InSet(Schema):
    """A set in which an example stands."""

    id: UUID
    title: str


class ExampleRow(Schema):
    """An example in a list, with what is known of it without asking the core.

    ``stop``: what is known of its last line; empty where it has none. ``known``: whether all this is about
    the example as it is now (else it is being worked out). ``why``: where a search found its words.
    """

    id: UUID
    title: str
    task: Task
    given: str
    latex: str
    """The problem typeset; empty while that is not known."""
    changed: datetime
    line_count: int
    unit: UUID | None
    tags: list[str]
    difficulty: float | None
    stop: str
    known: bool
    in_sets: list[InSet]
    why: str = ""

    @staticmethod
    def resolve_latex(example: Example) -> str:
        """Return the problem typeset, where that is about this version."""
        return example.facts.latex if example.facts.known_for == example.version else ""

    @staticmethod
    def resolve_unit(example: Example) -> UUID | None:
        """Return the key of the unit."""
        return example.unit_id

    @staticmethod
    def resolve_stop(example: Example) -> str:
        """Return what is known of the last line."""
        return example.facts.stop

    @staticmethod
    def resolve_known(example: Example) -> bool:
        """Return whether the core was asked about this version."""
        return example.facts.known_for == example.version

    @staticmethod
    def resolve_in_sets(example: Example) -> list[Any]:
        """Return the sets that it stands in, without those put aside."""
        return [item.set for item in example.in_sets.all() if item.set.deleted is None]


class ExamplePage(Schema):
    """A page of a list; ``next`` is given as ``cursor`` for the page after it, None at the end."""

    results: list[ExampleRow]
    next: str | None


class WantedIn(Schema):
    """What a list shows (see ``examples.queries.Wanted``), in which order, from which page on."""

    words: str = Field(default="", max_length=200)
    unit: UUID | None = None
    tag: str = Field(default="", max_length=40)
    easiest: float | None = None
    hardest: float | None = None
    stop: str = Field(default="", max_length=12)
    aside: bool = False
    order: Literal["changed", "opened", "name", "easiest", "hardest"] = "changed"
    cursor: str = Field(default="", max_length=500)


class Stale(Schema):
    """The example was changed elsewhere since: ``current`` is what is stored now."""

    code: str = "stale"
    message: str
    current: ExampleOut


class SnapshotOut(Schema):
    """An example as it was at an earlier version."""

    version: int
    taken: datetime
    content: ExampleIn


class ExampleFile(Schema):
    """Examples in the open exchange format (docs/format/examples.schema.json)."""

    format: str = "uchuu-examples"
    version: int = 1
    examples: list[ExampleIn]


class Imported(Schema):
    """How many examples came in."""

    count: int
