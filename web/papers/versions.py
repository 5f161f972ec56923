"""Which items of a sitting are a student's: those of the version that the student had."""

from classes.models import Student
from django.db import transaction

from papers.models import Paper, Sitting, SittingItem, Work


class Versions:
    """The items of a sitting by version, and who had which; read once."""

    def __init__(self, sitting: Sitting) -> None:
        self._had = dict(Paper.objects.filter(sitting=sitting).values_list("student", "version"))
        self._items: dict[str, list[SittingItem]] = {}
        for item in sitting.items.all():
            self._items.setdefault(item.version, []).append(item)

    @property
    def names(self) -> list[str]:
        """Return the versions that there are; one empty name where all have the same."""
        return list(self._items)

    def of(self, student: Student) -> str:
        """Return which version the student had; the first one where nobody said so."""
        had = self._had.get(student.pk, "")
        return had if had in self._items else next(iter(self._items), "")

    def items(self, student: Student) -> list[SittingItem]:
        """Return the student's items in order."""
        return self._items.get(self.of(student), [])

    def item(self, student: Student, number: int) -> SittingItem | None:
        """Return the student's item of this number; None where there is none."""
        return next((item for item in self.items(student) if item.number == number), None)


@transaction.atomic
def change_version(*, sitting: Sitting, student: Student, version: str) -> bool:
    """Say that the student had another version: what was written is judged against its problems.

    Returns:
        Whether that changed anything; False also where there is no such version.
    """
    Student.objects.select_for_update().get(pk=student.pk)  # one after another
    versions = Versions(sitting)
    if version not in versions.names or version == versions.of(student):
        return False
    works = {work.item_id: work for work in Work.objects.filter(student=student)}
    moved = [works[item.pk] for item in versions.items(student) if item.pk in works]
    numbers = {item.pk: item.number for item in versions.items(student)}
    Paper.objects.update_or_create(sitting=sitting, student=student, defaults={"version": version})
    now = Versions(sitting)
    for work in moved:
        item = now.item(student, numbers[work.item_id])
        assert item is not None  # versions have equally many items
        work.overrulings.all().delete()
        work.item, work.ground, work.judged, work.earned, work.stop = item, "", None, None, ""
        work.error = work.error_name = ""
        work.save()
    return True
