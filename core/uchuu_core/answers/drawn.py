"""What a hand draws on lines: marks, and the side work beside them."""

from typing import Literal, NotRequired

from typing_extensions import TypedDict

from uchuu_core.answers.sentences import Mathematics, Piece, Sides

MarkKind = Literal["strike", "beneath", "box", "ring", "bracket", "arrow", "join", "swap", "times"]
"""*strike*: goes, in pairs; *beneath*: done to this side; *box*: a place to be filled; *ring*: dealt with next;
*bracket*: acts as one; *arrow*: from a factor to a term; *join*: belong together; *swap*: turned over;
*times*: top and bottom by the same."""


class DrawnMark(TypedDict):
    """A mark on a line.

    ``on``: the number of the line on which it is drawn, 0 for the given. ``part``: the name of the part in the
    line's ``latex``, ``\\htmlClass{m-…}{…}``; ``to``: where an arrow ends. ``pair``: marks with one number belong together. ``text``: what is written there, after
    ``sign``. ``signed``: the part is a term of a sum, its sign stands before it. A whole side that is a sum is not
    named in ``latex``: ``m-1-0`` is the left side of line 1, ``m-1`` all of it.
    """

    kind: MarkKind
    on: int
    part: str
    to: NotRequired[str]
    pair: int
    sign: str
    signed: bool
    text: Mathematics | None


class DrawnLine(TypedDict):
    """A line with its parts that bear marks named; ``typst`` (``typst_sides``: cut at the sign), ``tex`` and ``mathml``:
    with marks drawn, for paper.

    Marks of the step that follows are drawn on it too. ``says``: what is drawn at the step to this line, in words.
    """

    text: str
    sides: Sides
    marks: list[DrawnMark]
    says: str
    parts: list[Piece]
    typst: str
    typst_sides: Sides
    tex: str
    mathml: str


class DrawnLines(TypedDict):
    """The given and the lines under it, with the marks of a hand; lines that cannot be read have none."""

    lines: list[DrawnLine]
