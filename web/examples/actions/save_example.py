"""Saving an example: made new, or changed on the version that the writer saw."""

from uuid import UUID

from django.contrib.auth.models import User
from django.db import transaction

from examples.models import Example, WrittenLine
from examples.schemas import ExampleIn

_FIELDS = ("title", "task", "given", "variable", "numbers", "form", "note")


class StaleVersion(Exception):
    """The example was changed elsewhere; ``current`` is what is stored."""

    def __init__(self, current: Example) -> None:
        super().__init__("stale")
        self.current = current


@transaction.atomic
def create_example(*, teacher: User, content: ExampleIn) -> Example:
    """Store a new example."""
    example = Example.objects.create(
        teacher=teacher, **{name: getattr(content, name) for name in _FIELDS}
    )
    _write_lines(example, content.lines)
    return example


@transaction.atomic
def save_example(*, teacher: User, identity: UUID, content: ExampleIn, version: int) -> Example:
    """Store a change made on *version*; storing the same content again changes nothing.

    Raises:
        StaleVersion: another change was stored since, with other content.
        Example.DoesNotExist: it is not this teacher's.
    """
    example = Example.objects.select_for_update().get(pk=identity, teacher=teacher, deleted=None)
    if _same(example, content):
        return example
    if example.version != version:
        raise StaleVersion(example)
    for name in _FIELDS:
        setattr(example, name, getattr(content, name))
    example.version += 1
    example.save()
    _write_lines(example, content.lines)
    return example


def _same(example: Example, content: ExampleIn) -> bool:
    stored = [line.text for line in example.lines.all()]
    return stored == content.lines and all(
        getattr(example, name) == getattr(content, name) for name in _FIELDS
    )


def _write_lines(example: Example, texts: list[str]) -> None:
    example.lines.all().delete()
    WrittenLine.objects.bulk_create(
        WrittenLine(example=example, position=n, text=text) for n, text in enumerate(texts)
    )
