"""A scanned stack is cut into pages and laid to students by their marks: a job, some pages a step."""

from typing import Any

from algebra import pool
from api.failures import Refused
from classes.models import Student
from django.db import transaction
from jobs.models import Job
from jobs.running import begin
from papers.models import Sitting
from papers.versions import Versions, change_version

from scans.marks import PageMark, mark_of
from scans.models import ScanPage, ScanStack
from scans.pictures import Picture, count_pages, pictures

A_STEP = 4
MOST_BYTES = 40_000_000
MOST_STACKS = 40
_BLANK = b""


def bring_stack(*, sitting: Sitting, name: str, content: bytes) -> ScanStack:
    """Keep a scanned file and begin to cut it.

    Raises:
        Refused: 422, it has no pages that can be shown, or there are too many stacks.
    """
    if sitting.stacks.count() >= MOST_STACKS:
        raise Refused(422, "too-many", f"A sitting has at most {MOST_STACKS} scanned files.")
    pages = pool.apart(count_pages, content)
    if isinstance(pages, str):
        raise Refused(422, "bad-file", f"Nothing was brought in. {pages}")
    sitting.stacks.filter(job=None).delete()  # somebody was killed right here
    stack = ScanStack.objects.create(sitting=sitting, name=name[:200], content=content, pages=pages)
    teacher = sitting.school_class.teacher
    job = begin(teacher=teacher, kind="scans", params={"stack": stack.pk})
    ScanStack.objects.filter(pk=stack.pk).update(job=job)
    return stack


def plan(job: Job) -> list[int]:
    """Return the first page of each step."""
    stack = ScanStack.objects.filter(pk=job.params["stack"]).first()
    return list(range(0, stack.pages, A_STEP)) if stack else []


def some_pages(job: Job, first: int) -> dict[str, int]:
    """Cut some pages and lay them; done twice it stores the same."""
    stack = ScanStack.objects.filter(pk=job.params["stack"]).first()
    if stack is None or stack.content is None:
        return {}
    last = min(first + A_STEP, stack.pages)
    cut = pool.apart(pictures, bytes(stack.content), first, last, whose=job.teacher_id)
    for position, picture in enumerate(cut, start=first):
        _lay(stack, position, picture)
    return {"pages": last - first}


def finish(job: Job) -> tuple[dict[str, Any], str]:
    """Let go of the file, and say how many pages wait to be placed."""
    stack = ScanStack.objects.filter(pk=job.params["stack"]).first()
    if stack is None:
        return {}, ""
    stack.content = None
    stack.save(update_fields=["content"])
    return {"pages": stack.pages, "waiting": stack.cut.filter(student=None).count()}, ""


def latest(sitting: Sitting) -> Job | None:
    """Return the cutting of a sitting that runs, or was the last."""
    return Job.objects.filter(pk__in=sitting.stacks.values("job")).order_by("-created").first()


@transaction.atomic
def _lay(stack: ScanStack, position: int, picture: Picture | None) -> None:
    """Keep one page, laid to the student that its mark names, or waiting with the reason."""
    if ScanPage.objects.filter(stack=stack, position=position).exists():
        return
    marks = [mark for text in (picture.marks if picture else ()) if (mark := mark_of(text))]
    student, says = _whose(stack, marks, picture)
    ScanPage.objects.create(
        stack=stack,
        position=position,
        student=student,
        page=marks[0].page if student else position + 1,
        image=picture.jpeg if picture else _BLANK,
        says=says,
    )
    if student and marks[0].version:
        change_version(sitting=stack.sitting, student=student, version=marks[0].version)


def _whose(
    stack: ScanStack, marks: list[PageMark], picture: Picture | None
) -> tuple[Student | None, str]:
    """Return whose page it is, or why nobody's."""
    if picture is None:
        return None, "This page cannot be drawn."
    if not marks:
        return None, "No mark can be read on it."
    mark = marks[0]
    if len(set(marks)) > 1:
        return None, "There are two different marks on it."
    if mark.sitting != stack.sitting_id:
        return None, "Its mark is of another sitting."
    student = stack.sitting.school_class.students.filter(pk=mark.student).first()
    if student is None:
        return None, "The code of its mark is not there (any more)."
    if mark.version not in ("", *Versions(stack.sitting).names):
        return None, f"There is no version “{mark.version}” of this sitting."
    same = ScanPage.objects.filter(stack__sitting=stack.sitting, student=student, page=mark.page)
    if same.exists():
        return None, f"Page {mark.page} of {student.code} is there already."
    return student, ""
