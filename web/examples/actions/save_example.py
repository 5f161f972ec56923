"""Saving an example: made new, or changed on the version that the writer saw."""

from datetime import timedelta
from difflib import SequenceMatcher
from typing import Any
from uuid import UUID

from django.contrib.auth.models import User
from django.db import transaction
from django.utils import timezone

from examples.actions.write_facts import WORDED, worded, write_words
from examples.learning import learn_soon
from examples.models import Example, ExampleFacts, Snapshot, WrittenLine
from examples.queries import LINES, LOCKED
from examples.schemas import ExampleIn, ExampleOut

TOGETHER = timedelta(minutes=2)
MOST_SNAPSHOTS = 60
_FIELDS = ("title", "task", "given", "variable", "numbers", "form", "house", "note", "reasons")


class StaleVersion(Exception):
    """The example was changed elsewhere; ``current`` is what is stored."""

    def __init__(self, current: Example) -> None:
        super().__init__("stale")
        self.current = current


def create_example(*, teacher: User, content: ExampleIn) -> Example:
    """Store a new example."""
    return create_examples(teacher=teacher, contents=[content])[0]


@transaction.atomic
def create_examples(*, teacher: User, contents: list[ExampleIn]) -> list[Example]:
    """Store new examples, in few statements however many they are."""
    made = [Example(teacher=teacher, **_fields(content)) for content in contents]
    Example.objects.bulk_create(made)
    WrittenLine.objects.bulk_create(
        WrittenLine(example=example, position=position, text=text)
        for example, content in zip(made, contents, strict=True)
        for position, text in enumerate(content.lines)
    )
    ExampleFacts.objects.bulk_create(worded(ExampleFacts(example=example)) for example in made)
    for example, content in zip(made, contents, strict=True):
        example.texts = content.lines
    learn_soon(teacher.pk)
    return made


@transaction.atomic
def save_example(*, teacher: User, identity: UUID, content: ExampleIn, version: int) -> Example:
    """Store a change made on *version*; storing the same content again changes nothing.

    Raises:
        StaleVersion: another change was stored since, with other content.
        Example.DoesNotExist: it is not this teacher's.
    """
    example = next(iter(LOCKED.of(teacher.pk, identity)), None)
    if example is None:
        raise Example.DoesNotExist
    stored = LINES.of(identity)
    example.texts = [line.text for line in stored]
    if _same(example, content):
        return example
    if example.version != version:
        raise StaleVersion(example)
    new = {
        name: value for name, value in _fields(content).items() if getattr(example, name) != value
    }
    now = timezone.now()
    written = new | {"version": example.version + 1, "changed": now}
    if example.kept is None or now - example.kept >= TOGETHER:
        _keep(example)
        written["kept"] = now
    for name, value in written.items():
        setattr(example, name, value)
    Example.objects.filter(pk=example.pk).update(**written)
    _write_lines(example, stored, content.lines)
    example.texts = content.lines
    if new.keys() & WORDED:
        write_words([example])
    learn_soon(example.teacher_id)
    return example


def _fields(content: ExampleIn) -> dict[str, Any]:
    """Return what is stored of *content* besides its lines; rules that are not set stay away."""
    found = {name: getattr(content, name) for name in _FIELDS}
    return found | {"house": content.house.dict(exclude_none=True)}


def _keep(example: Example) -> None:
    """Keep *example* as it is, before it is changed.

    While somebody types, every pause is a version: within ``TOGETHER`` only the first is kept. At most
    ``MOST_SNAPSHOTS`` stay, the oldest go.
    """
    content = ExampleOut.from_orm(example).dict(include=set(ExampleIn.model_fields))
    Snapshot.objects.create(example=example, version=example.version, content=content)
    if example.version > MOST_SNAPSHOTS:  # else there cannot be more of them
        old = example.snapshots.values_list("pk", flat=True)[MOST_SNAPSHOTS:]
        Snapshot.objects.filter(pk__in=list(old)).delete()


def _same(example: Example, content: ExampleIn) -> bool:
    return example.texts == content.lines and all(
        getattr(example, name) == value for name, value in _fields(content).items()
    )


def _write_lines(example: Example, stored: list[WrittenLine], texts: list[str]) -> None:
    """Write *texts* by difference: a line that stays, moves or is reworded keeps its key."""
    lines = _lines_for(texts, stored)
    kept = {line.pk for line in lines.values()}
    gone = [line.pk for line in stored if line.pk not in kept]
    if gone:
        WrittenLine.objects.filter(pk__in=gone).delete()
    changed, new = [], []
    for position, text in enumerate(texts):
        line = lines.get(position)
        if line is None:
            new.append(WrittenLine(example=example, position=position, text=text))
        elif (line.position, line.text) != (position, text):
            line.position, line.text = position, text
            changed.append(line)
    if changed:
        WrittenLine.objects.bulk_update(changed, ["position", "text"])
    if new:
        WrittenLine.objects.bulk_create(new)


def _lines_for(texts: list[str], stored: list[WrittenLine]) -> dict[int, WrittenLine]:
    """Return which stored line becomes which of *texts*, by place: equal ones first, then reworded ones."""
    found: dict[int, WrittenLine] = {}
    steps = SequenceMatcher(
        None, [line.text for line in stored], texts, autojunk=False
    ).get_opcodes()
    for kind, start, end, first, last in steps:
        if kind == "equal":
            found |= dict(zip(range(first, last), stored[start:end], strict=True))
    free = [line for line in stored if line not in found.values()]
    for place, text in enumerate(texts):
        moved = None if place in found else next((f for f in free if f.text == text), None)
        if moved is not None:
            free.remove(moved)
            found[place] = moved
    for kind, start, end, first, last in steps:
        if kind == "replace":
            places = [place for place in range(first, last) if place not in found]
            reworded = [line for line in stored[start:end] if line in free]
            found |= dict(zip(places, reworded, strict=False))
    return found
