"""What stands beside a line: small tables, a number line, a balance."""

from typing import Literal, NotRequired

from typing_extensions import TypedDict

from uchuu_core.answers.sentences import Mathematics, Piece

SideKind = Literal[
    "calculation",
    "pairs",
    "box",
    "primes",
    "long-division",
    "synthetic-division",
    "denominator",
    "list",
    "number-line",
    "done",
    "balance",
]
CellMark = Literal["", "head", "fits", "rule", "rest"]
"""*head*: a heading; *fits*: what was looked for; *rule*: under a rule; *rest*: what is left."""


class SideCell(TypedDict):
    """A cell of a table: words, mathematics after a sign, or nothing."""

    text: str
    math: Mathematics | None
    typst: str
    mark: CellMark


class NumberMark(TypedDict):
    """A number on the number line; ``is_open``: it does not belong. ``at``: where, as a decimal number."""

    math: Mathematics
    typst: str
    at: float
    is_open: bool


class LineStretch(TypedDict):
    """Between two marks of the number line, or beyond the last: whether it belongs."""

    belongs: bool


class Pan(TypedDict):
    """What lies on a pan: weights, and those of them that are taken off, or put on."""

    weights: list[SideCell]


class SideWork(TypedDict):
    """One piece of side work at the step to line ``line``.

    ``rows``: of a table. ``marks`` and ``stretches``: of a number line, from left to right, one stretch more than
    marks. ``left``, ``right``, ``tilt`` (−1: left is heavier, 0, 1) ``off`` (what is done to both, after ``off_sign``): of a balance. ``lines``: what of it
    can be written as side lines.
    """

    kind: SideKind
    line: int
    says: str
    parts: list[Piece]
    rows: list[list[SideCell]]
    lines: list[str]
    marks: NotRequired[list[NumberMark]]
    stretches: NotRequired[list[LineStretch]]
    left: NotRequired[Pan]
    right: NotRequired[Pan]
    tilt: NotRequired[int]
    off: NotRequired[Mathematics | None]
    off_sign: NotRequired[str]
    off_typst: NotRequired[str]


class SideWorks(TypedDict):
    """All side work of an example, by the line at which it stands."""

    works: list[SideWork]
