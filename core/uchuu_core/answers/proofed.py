"""A key of somebody's, item by item."""

from typing import Literal, NotRequired

from typing_extensions import TypedDict

from uchuu_core.answers.sentences import Refusal
from uchuu_core.answers.terms import Role, Task, Verdict

Status = Literal["holds", "wrong", "unfinished", "undecided", "unreadable", "no-answer"]
"""What is said of an item; "wrong" includes missing and rejected solutions."""


class KeyLine(TypedDict):
    """A line under an item, with its verdict ("unread" where it was not judged)."""

    text: str
    latex: str | None
    verdict: Verdict | Literal["unread"]
    role: NotRequired[Role]
    remark: NotRequired[str]


class Option(TypedDict):
    """A choice; ``right`` is None where it is not decided."""

    letter: str
    text: str
    right: bool | None
    name: NotRequired[str]
    error: NotRequired[str]
    failure: NotRequired[Refusal]


class Repeats(TypedDict):
    """The earlier item (from 0) that an item repeats: the same, or the same structure."""

    of: int
    how: Literal["same", "structure"]


class ProofItem(TypedDict):
    """What is known of one item of a key.

    ``line``: the first line that fails, from 1; ``reading``: a sentence, where the item could have been
    meant otherwise; ``correction``: the texts that should stand instead.
    """

    number: str
    at: int
    task: Task | None
    given: str
    latex: str | None
    lines: list[KeyLine]
    options: list[Option]
    faults: list[str]
    notes: list[str]
    reading: str
    chosen: str
    variable: str | None
    status: Status
    line: int | None
    error: str | None
    name: str | None
    says: str | None
    counter: str | None
    instead: str | None
    message: str | None
    answer: str | None
    unmet: list[str]
    missing: list[str]
    extra: list[str]
    correction: list[str] | None
    correction_latex: NotRequired[list[str]]
    repeats: NotRequired[Repeats | None]


class Proofed(TypedDict):
    """A whole key, and how many of its items have each status."""

    items: list[ProofItem]
    counts: dict[Status, int]
