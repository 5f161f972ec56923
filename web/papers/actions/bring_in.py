"""Papers from outside come in: a table, plain text or our document, pasted or in a file."""

from dataclasses import dataclass

from api.entrance import says_unstorable, unstorable
from exchange.reading import bounded_text, csv_rows, refuse, rows_of

from papers.actions.marking import mark
from papers.actions.take_in import take_in
from papers.documents import is_plain_text, rows_of_document, rows_of_text
from papers.models import Sitting
from papers.table import MOST_ROWS, Told, papers_of
from papers.versions import Versions, change_version


@dataclass(frozen=True, slots=True)
class BroughtIn:
    """How many works are new, and what was said of each row."""

    changed: int
    rows: list[Told]


def bring_text(sitting: Sitting, text: str) -> BroughtIn:
    """Take in what was pasted.

    Raises:
        Refused: 422, nothing of it can be read; says why.
    """
    if text.lstrip().startswith("{"):
        return _document(sitting, text)
    codes = {student.code.casefold() for student in sitting.school_class.students.all()}
    rows = rows_of_text(text, codes) if is_plain_text(text, codes) else csv_rows(text)
    return _rows(sitting, rows)


def bring_file(sitting: Sitting, name: str, content: bytes) -> BroughtIn:
    """Take in a file: CSV, XLSX, text or JSON.

    Raises:
        Refused: 422, nothing of it can be read; says why.
    """
    ending = name.rsplit(".", 1)[-1].lower() if "." in name else ""
    if ending not in ("json", "txt", "md"):
        return _rows(sitting, rows_of(name, content, MOST_ROWS + 2))
    text = bounded_text(content)
    return _document(sitting, text) if ending == "json" else bring_text(sitting, text)


def _document(sitting: Sitting, text: str) -> BroughtIn:
    rows, had = rows_of_document(text)
    students = {student.code.casefold(): student for student in sitting.school_class.students.all()}
    names = Versions(sitting).names
    strange = {code: version for code, version in had.items() if version not in names}
    for code, version in had.items():
        if (student := students.get(code.casefold())) and code not in strange:
            change_version(sitting=sitting, student=student, version=version)
    left = [row if row[0] not in strange else [] for row in rows]  # told below, at their places
    brought = _rows(sitting, left)
    told = [
        Told(at, taken=False, says=f"There is no version “{strange[row[0]]}” of this sitting.")
        for at, row in enumerate(rows, start=1)
        if row[0] in strange
    ]
    return BroughtIn(brought.changed, sorted([*brought.rows, *told], key=lambda one: one.at))


def _rows(sitting: Sitting, rows: list[list[str]]) -> BroughtIn:
    character = unstorable([cell for row in rows for cell in row])
    if character:
        raise refuse(says_unstorable(character))
    students = list(sitting.school_class.students.all())
    papers, told = papers_of(rows, students, Versions(sitting).item)
    changed = take_in(papers)
    mark(sitting)
    return BroughtIn(changed, told)
