"""What ``invent`` answers: papers that are made up, and what their maker meant."""

from typing import Literal, NotRequired

from typing_extensions import TypedDict

PaperKind = Literal[
    "right", "other-way", "error", "slip", "miscopied", "unfinished", "answer", "blank"
]


class InventedPaper(TypedDict):
    """The lines of one student, what was meant, and the error that was put in.

    ``answer``: nothing but the answer was written. ``worked_on``: the problem as it was miscopied.
    """

    lines: list[str]
    kind: PaperKind
    error: NotRequired[str]
    worked_on: NotRequired[str]


class Invented(TypedDict):
    """One paper for each student asked for, in their order."""

    papers: list[InventedPaper]
