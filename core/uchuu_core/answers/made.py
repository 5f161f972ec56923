"""Problems made of others, keys proofed, facts for a set, and own errors examined."""

from typing import Literal, NotRequired, Required

from typing_extensions import TypedDict

from uchuu_core.answers.features import Features
from uchuu_core.answers.forked import Screening
from uchuu_core.answers.sentences import Reading, Refusal, Saying
from uchuu_core.answers.terms import Task, Verdict
from uchuu_core.answers.worked import Difficulty


class Twin(TypedDict):
    """A problem with the same structure and method and other numbers; the seed gives it again."""

    given: str
    answer: str
    answers: NotRequired[list[str]]
    outcome: str | None
    method: str
    seed: int
    keeps: list[Saying]
    features: NotRequired[Features]
    score: NotRequired[float]


class Climb(TypedDict):
    """A run of practice, easier problems first; each has its ``score``."""

    run: list[Twin]


class FamilyProblem(TypedDict):
    """One problem of a family."""

    task: Task
    given: str
    answer: str
    answers: NotRequired[list[str]]
    outcome: str | None
    method: str
    seed: int


class Facts(TypedDict, total=False):
    """What a set shows of a problem; only ``refused``, a sentence, where it cannot be read.

    ``same`` and ``structure`` are equal for repeated exercises.
    """

    reads: Reading
    kind: str
    answer: str
    answer_latex: str
    answers: list[str]
    outcome: str | None
    method: str | None
    lines: int
    skills: list[str]
    difficulty: Difficulty | None
    reveals: list[Screening]
    hides: list[Screening]
    same: str
    structure: str
    refused: Required[str]


class Contrast(TypedDict):
    """An error's own small line, wrong and right; ``beside``: one that looks alike, and what it becomes."""

    error: str
    name: str
    before: Reading
    wrong: Reading
    right: Reading
    says: str
    beside: NotRequired[Reading]
    becomes: NotRequired[Reading]


class Become(Reading):
    """What an own error makes of a line, with the kernel's verdict."""

    verdict: Verdict


class TriedLine(TypedDict):
    """A line on which an own error is tried."""

    line: str
    becomes: list[Become]
    failure: NotRequired[Refusal]


Is = Literal["error", "law", "undecided"]
_Is = TypedDict("_Is", {"is": Is})


class Examined(_Is):
    """Whether an own error is one, and what it makes of examples."""

    says: str
    counter: str | None
    examples: list[TriedLine]
