"""Answers that came in, where they belong."""

from typing import Literal, NotRequired

from typing_extensions import TypedDict

from uchuu_core.answers.sentences import Reading

Where = Literal["right", "unfinished", "fork", "unexplained", "unreadable", "blank"]


class Explained(TypedDict):
    """A wrong line after line ``after`` (0: the given) that ends in the answer.

    ``also``: the second error, where two were made on the way; ``method``: where it leaves the lines of
    another method than the example's. ``says``: what to say to somebody who wrote it.
    """

    id: str
    name: str
    says: str
    after: int
    wrong: str
    wrong_latex: str
    also: NotRequired[str]
    also_name: NotRequired[str]
    method: NotRequired[str]


class PlacedGroup(TypedDict):
    """Equal answers. ``members``: their places among the answers; ``errors``: most likely first.

    ``tells_apart``: the line to ask for where several errors end in this answer; ``tells_after`` its
    number less one.
    """

    members: list[int]
    value: str
    latex: str
    spoken: str
    where: Where
    errors: list[Explained]
    tells_apart: NotRequired[str]
    tells_apart_latex: NotRequired[str]
    tells_after: NotRequired[int]


class Placed(TypedDict):
    """Answers in groups, the largest first; ``lines``: the example on which they are placed.

    ``numbers``: on which written line each of them stands, remarks counted; the given is 0.
    """

    groups: list[PlacedGroup]
    lines: list[Reading]
    numbers: list[int]
