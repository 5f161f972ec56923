"""A paper judged line by line."""

from typing import NotRequired

from typing_extensions import TypedDict

from uchuu_core.answers.sentences import Piece, Refusal, Sides, Typeset
from uchuu_core.answers.terms import Proof, Role, Verdict


class NamedError(TypedDict):
    """The error behind a line. ``also``: other errors that reproduce it; ``instead``: a right line.

    ``apart``: what to ask for where the first of the others explains the line as well.
    """

    id: str
    name: str
    says: str
    instead: str | None
    instead_latex: str | None
    counter: str | None
    counter_parts: list[Piece]
    also: list[str]
    also_names: list[str]
    apart: NotRequired[str]
    apart_parts: NotRequired[list[Piece]]


_Conditions = TypedDict(
    "_Conditions", {"if": NotRequired[list[str]], "if_parts": NotRequired[list[Piece]]}
)
"""What a line needs to be true; ``if`` is no name in Python."""


class Entered(TypedDict):
    """What a screen needs of a line, and the words on it."""

    latex: NotRequired[str]
    sides: NotRequired[Sides]
    spoken: NotRequired[str]
    remark: NotRequired[str]
    mathematics: NotRequired[str]
    operation: NotRequired[str]
    struck: NotRequired[bool]


class CheckedLine(_Conditions, Entered):
    """One line with its verdict and what explains it.

    ``law``: the last of the ``laws`` that are named. ``adds``/``drops``: solutions that came or went. ``unmet``/``unmet_at``: the forms that are asked
    for, and where they are not met. ``changed``: what is new on a wrong line that no error explains;
    ``copied``: what changed on the way, where that alone explains it. ``role``: only lines of the
    chain are judged against one another. ``back``: it follows from the last line that held. ``remark``:
    the words on the line, ``mathematics``: the line without them. ``operation``: what is done to both
    sides. ``struck``: crossed out. ``feature``: judged against the given alone. ``doubt``: the error
    that reproduces a line which is right in value.
    """

    text: str
    verdict: Verdict
    proof: NotRequired[Proof]
    role: NotRequired[Role]
    law: NotRequired[str]
    laws: NotRequired[list[str]]
    says: NotRequired[str]
    parts: NotRequired[list[Piece]]
    adds: NotRequired[list[str]]
    drops: NotRequired[list[str]]
    unmet: NotRequired[list[str]]
    unmet_at: NotRequired[list[str]]
    note: NotRequired[str]
    tested: NotRequired[str]
    counter: NotRequired[str]
    counter_parts: NotRequired[list[Piece]]
    back: NotRequired[bool]
    feature: NotRequired[bool]
    copied: NotRequired[list[str]]
    changed: NotRequired[list[str]]
    doubt: NotRequired[str]
    doubt_name: NotRequired[str]
    error: NotRequired[NamedError | None]
    failure: NotRequired[Refusal]


class Answer(TypedDict):
    """The last line against the given alone."""

    right: bool
    finished: bool
    missing: list[str]
    extra: list[str]


class CandidateCheck(TypedDict):
    """A candidate put into the given: both sides worked out.

    ``missing``: a solution that the answer does not have.
    """

    value: str
    value_latex: str
    left: str | None
    right: str | None
    left_lines: list[Typeset]
    right_lines: list[Typeset]
    holds: bool
    missing: NotRequired[bool]
    says: str


class FollowThrough(TypedDict):
    """How a paper goes on after its first wrong line.

    ``carried``: whether it ends where that line honestly leads; None when that is not decided.
    """

    carried: bool | None
    honest_end: list[str] | None
    slips: int


class Checked(TypedDict):
    """A whole paper judged; ``checks``: its candidates in the original.

    ``unexplained``: some lines have verdicts only; ``explained``: so many first lines have more. Asked
    again with that number, the next ones are explained.
    """

    lines: list[CheckedLine]
    first_wrong: int | None
    error: str | None
    answer: Answer
    follow_through: FollowThrough | None
    checks: list[CandidateCheck]
    unexplained: bool
    explained: int
