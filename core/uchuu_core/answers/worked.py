"""A problem worked, nudged on, worked two ways, and looked at before the first move."""

from typing import NotRequired

from typing_extensions import TypedDict

from uchuu_core.answers.checked import CandidateCheck
from uchuu_core.answers.features import Curve, Features
from uchuu_core.answers.sentences import Ambiguity, LawLine, Piece, Reading, Sides
from uchuu_core.answers.terms import Task, Verdict

_Conditions = TypedDict("_Conditions", {"if": NotRequired[list[str]]})


class WorkedLine(_Conditions, LawLine):
    """A line that a method wrote."""

    verdict: Verdict


class Difficulty(TypedDict):
    """How hard a problem is to work, with reasons."""

    score: float
    reasons: list[str]


class Rejected(TypedDict):
    """A candidate that fails in the given, and why."""

    value: str
    why: str


class Worked(TypedDict):
    """A problem worked by a method.

    ``answers`` of an equation; ``says``: why it was finished already; ``multiplied_back``: the factors
    of the answer multiplied out; the features and the curve of a function that is studied, and which
    line (from 1) found which feature.
    """

    task: Task
    reads: Reading
    method: str
    methods: list[str]
    lines: list[WorkedLine]
    answer: str
    answers: NotRequired[list[str]]
    outcome: str | None
    says: NotRequired[str]
    excluded: list[str]
    rejected: list[Rejected]
    checks: list[CandidateCheck]
    multiplied_back: NotRequired[list[str]]
    features: NotRequired[Features]
    found_by: NotRequired[dict[str, int]]
    curve: NotRequired[Curve]
    difficulty: Difficulty


class Studied(TypedDict):
    """A function studied; ``found_by``: which line (from 1) found which feature."""

    reads: Reading
    features: Features
    lines: list[WorkedLine]
    found_by: dict[str, int]
    curve: Curve


class Nudged(TypedDict):
    """The next step at three depths; only ``says`` when nothing is left to do."""

    done: bool
    says: str
    parts: NotRequired[list[Piece]]
    method: NotRequired[str]
    notice: NotRequired[str]
    law: NotRequired[str]
    law_name: NotRequired[str]
    text: NotRequired[str]
    latex: NotRequired[str]
    sides: NotRequired[Sides]
    spoken: NotRequired[str]


class Path(TypedDict):
    """One method's path, with the largest number on it and how many lines hold fractions."""

    method: str
    why: str
    largest: str
    with_fractions: int
    lines: list[LawLine]


class Compared(TypedDict):
    """Two paths; ``meet``: line numbers from 1 where they come together again."""

    reads: Reading
    paths: list[Path]
    same_until: int
    meet: list[int] | None
    shorter: str | None
    smaller: str | None
    fewer_fractions: str | None


class Notice(TypedDict):
    """Something worth noticing before the first move."""

    code: str
    says: str
    parts: list[Piece]
    where: str | None


class MethodOffered(TypedDict):
    """A method that applies, why, and how many lines it takes."""

    method: str
    why: str
    lines: int


class Inspected(TypedDict):
    """What kind of problem it is and what is worth noticing."""

    kind: str
    reads: Reading
    unknown: str | None
    notices: list[Notice]
    ambiguities: list[Ambiguity]
    excluded: list[str]
    methods: list[MethodOffered]
    traps: NotRequired[list[str]]
    finished_means: list[str]
