"""The mark on a handout's page: which sitting, version, page and student it is of; made and read here."""

import io
import re
import string
from dataclasses import dataclass
from uuid import UUID

import segno

_DIGITS = string.digits + string.ascii_uppercase
_MARK = re.compile(r"^U1\.([0-9A-Z]{1,25})\.([A-Z]?)\.([0-9]{1,3})\.([0-9]{1,12})$")


@dataclass(frozen=True, slots=True)
class PageMark:
    """What a mark says; ``student`` is the number by which the installation knows a code."""

    sitting: UUID
    version: str
    page: int
    student: int

    def text(self) -> str:
        """Return what stands in the mark: short, in letters and digits that make it small."""
        return f"U1.{_in_letters(self.sitting.int)}.{self.version}.{self.page}.{self.student}"

    def svg(self) -> str:
        """Return the mark as a picture."""
        out = io.BytesIO()
        made = segno.make(self.text(), error="m", boost_error=False, micro=False)
        made.save(out, kind="svg", xmldecl=False, border=3)
        return out.getvalue().decode()


def mark_of(text: str) -> PageMark | None:
    """Return what a mark says; None where it is none of ours."""
    found = _MARK.fullmatch(text)
    if found is None:
        return None
    number = int(found[1], 36)
    if number >> 128:
        return None
    return PageMark(UUID(int=number), found[2], int(found[3]), int(found[4]))


def _in_letters(number: int) -> str:
    found = ""
    while number:
        number, digit = divmod(number, 36)
        found = _DIGITS[digit] + found
    return found or "0"
