"""Teaching an error again: the class's own problem, twins to try, a question at the exit; into a lesson or a set."""

from datetime import date

from api.failures import Refused
from asking.asker import Asker
from asking.twins import twins_of
from classes.models import SchoolClass
from django.db import transaction
from examples.actions.save_example import create_examples
from examples.models import Example
from examples.posing import worked_like
from lessons.actions.more import store_worked
from lessons.actions.planning import insert, new_item, plan_lesson
from lessons.models import Lesson, LessonItem
from papers.models import SittingItem
from sets.actions.save_set import create_set
from sets.models import ProblemSet
from sets.schemas import ItemIn, SetIn

from log.queries.next import own_line

TWINS = 5
SEED = 70


def _problems(school_class: SchoolClass, error: str) -> tuple[str, list[Example]]:
    """Store the class's own problem and its twins, each worked; return what it is about, and them.

    Raises:
        Refused: 404, no paper of the class has this error (any more).
    """
    own = own_line(school_class, error)
    if own is None:
        raise Refused(404, "not-found", "No paper of this class has this error (any more).")
    item = SittingItem.objects.select_related("sitting", "example").get(pk=own["item"])
    teacher = school_class.teacher
    asker = Asker(teacher, item.sitting.house)
    title = item.example.title if item.example else ""
    title = title and f"Once more: {title}"[:200]  # not two of one name
    note = f"{own['count']} wrote: {own['wrong']['text']}"
    shown = worked_like(asker, item, item.given, title=title, note=note)
    made = create_examples(teacher=teacher, contents=[shown])
    before = LessonItem.objects.filter(lesson__school_class=school_class, error=error)
    avoid = [
        item.given,
        *before.values_list("given", flat=True),
    ]  # other problems than the last time
    givens = twins_of(asker, item, TWINS + 1, avoid, SEED).givens
    return own["says"], [*made, *store_worked(teacher, asker, item, givens)]


@transaction.atomic
def into_lesson(
    school_class: SchoolClass, error: str, name: str, lesson: Lesson | None, on: date
) -> Lesson:
    """Put an error at the beginning of a lesson, the question at its end; None: of a new lesson on that day.

    Raises:
        Refused: 404, no paper has this error; 422, the lesson is full.
    """
    says, examples = _problems(school_class, error)
    target = lesson or plan_lesson(school_class=school_class, on=on, title=name)
    about = {"error": error, "error_name": name, "purpose": "reteach"}
    shown, *twins = examples
    own = new_item(target, shown, 0, role="shown", note=(shown.note + ". " + says)[:600], **about)
    if not twins:
        insert(target, [own], 0)
        return target
    *tried, last = twins
    practice = [
        new_item(target, twin, 0, role="tried" if place < 2 else "homework", **about)
        for place, twin in enumerate(tried)
    ]
    insert(target, [own, *practice], 0)
    ending = {**about, "purpose": "exit"}
    question = new_item(target, last, 0, role="tried", minutes=2, **ending)
    insert(target, [question], target.items.count())
    return target


@transaction.atomic
def into_set(school_class: SchoolClass, error: str, name: str) -> ProblemSet:
    """Make a set of an error's twins.

    Raises:
        Refused: 404, no paper of the class has this error (any more).
    """
    _, examples = _problems(school_class, error)
    items = [ItemIn(example=example.pk) for example in examples[1:] or examples]
    content = SetIn(title=f"Once more: {name}"[:200], items=items)
    return create_set(teacher=school_class.teacher, content=content)
