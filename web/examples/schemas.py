"""Records of examples in and out."""

from datetime import datetime
from uuid import UUID

from algebra.schemas import Form, Numbers, OwnRules
from ninja import Field, Schema
from pydantic import field_validator
from uchuu_core.answers.terms import Task

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
        return [line.text for line in example.lines.all()]


class ExampleRow(Schema):
    """An example in the list."""

    id: UUID
    title: str
    task: Task
    given: str
    changed: datetime
    line_count: int


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
