"""A mark scheme, and a paper marked by it."""

from typing import Literal, NotRequired

from typing_extensions import TypedDict

from uchuu_core.answers.checked import Checked

School = Literal["method-accuracy", "deductions"]
MarkKind = Literal["method", "accuracy", "form", "check"]


class SchemeMark(TypedDict):
    """One mark of a scheme: what it is worth and what earns it.

    ``steps``: the steps of accepted ways that earn it; ``law``: the law of the first way's step. What is
    taken off has a negative worth.
    """

    key: str
    kind: MarkKind
    worth: int
    says: str
    steps: list[str]
    law: NotRequired[str]


class Scheme(TypedDict):
    """What an item's marks are for; ``total``: the most that a paper can earn."""

    school: School
    marks: list[SchemeMark]
    total: int


class EarnedMark(TypedDict):
    """One mark of a paper, with the line (from 1) that earned or lost it, and why."""

    key: str
    kind: MarkKind
    worth: int
    earned: int
    line: NotRequired[int]
    because: str


class Question(TypedDict):
    """What a teacher must decide, and at which line."""

    line: NotRequired[int]
    says: str


class Marked(Checked):
    """A paper judged and marked: ``earned`` ``of`` the scheme's total."""

    school: School
    marks: list[EarnedMark]
    earned: int
    of: int
    ask: list[Question]
