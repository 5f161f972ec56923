"""What stands on a sheet, ready for any writer."""

from dataclasses import asdict, dataclass, field
from typing import Any, Literal

What = Literal["handout", "short", "key", "mistakes", "choices", "slides"]
Room = Literal["lines", "grid", "none"]
Density = Literal["fine", "board", "key"]


@dataclass(frozen=True, slots=True)
class Math:
    """A line in every notation; only ``text`` where it cannot be read.

    ``inside``: how it is written inside a sentence that is plain text.
    ``left``, ``right``: the Typst of its sides, "" where it is no relation; ``sign``: on what it hangs.
    ``tracks``: the relations that "or" joins or a ± stands for (``join``), each with its sides.
    """

    text: str
    latex: str = ""
    typst: str = ""
    mathml: str = ""
    inside: str = ""
    left: str = ""
    sign: str = "="
    right: str = ""
    tracks: tuple[dict[str, str], ...] = ()
    join: str = "or"


@dataclass(frozen=True, slots=True)
class Piece:
    """A piece of a sentence: words, or mathematics where ``math`` is given."""

    text: str
    math: Math | None = None


@dataclass(frozen=True, slots=True)
class Written:
    """A line of a worked key, with what is said of it; ``mark``: the shape of its stop."""

    math: Math
    says: list[Piece] = field(default_factory=list)
    mark: Literal["ok", "condition", "may-add"] = "ok"


@dataclass(frozen=True, slots=True)
class Held:
    """A candidate put into the given: both sides worked out, and whether they balance."""

    candidate: Math
    left: list[Math]
    right: list[Math]
    holds: bool
    says: str


@dataclass(frozen=True, slots=True)
class Leaving:
    """Where students leave: after line ``after`` (0: the given), the wrong line, where it ends."""

    after: int
    name: str
    wrong: Math
    ends: Math | None


@dataclass(frozen=True, slots=True)
class Choice:
    """A choice of a question; ``because`` is the reason behind a distractor."""

    letter: str
    math: Math
    right: bool
    name: str = ""
    because: str = ""


@dataclass(frozen=True, slots=True)
class Mistake:
    """A planted mistake: the lines, where it stands, its name, and what should stand there."""

    lines: list[Math]
    at: int
    name: str
    because: str
    instead: Math | None


@dataclass(slots=True)
class SheetItem:
    """One problem on a sheet."""

    number: int
    task: str
    task_words: str
    given: Math
    instruction: str = ""
    marks: int | None = None
    room: int = 4
    answer: Math | None = None
    features: list[Math] = field(default_factory=list)
    """Of a function that is studied: all of its features."""
    lines: list[Written] = field(default_factory=list)
    checks: list[Held] = field(default_factory=list)
    beside: list[dict[str, Any]] = field(default_factory=list)
    """Side work, as the core has it; ``line``: at which of the lines that are shown."""
    leavings: list[Leaving] = field(default_factory=list)
    choices: list[Choice] = field(default_factory=list)
    mistake: Mistake | None = None
    written: list[str] = field(default_factory=list)
    """Lines that stand in the room already, as a student wrote them."""
    refused: str = ""


@dataclass(slots=True)
class Sheet:
    """A whole sheet; ``total`` counts the marks."""

    title: str
    form: str
    instruction: str
    what: What
    room: Room
    paper: str
    items: list[SheetItem]
    code: str = ""
    """Of the student whose copy it is; empty where all copies are alike."""
    page_marks: list[str] = field(default_factory=list)
    """For each page a machine-readable mark, as SVG."""

    @property
    def has_key_apart(self) -> bool:
        """Whether what students get comes first and the key after it."""
        return self.what in ("choices", "mistakes")

    @property
    def total(self) -> int:
        """All marks."""
        return sum(item.marks or 0 for item in self.items)

    def as_record(self) -> dict[str, Any]:
        """Return it as JSON values."""
        return {**asdict(self), "total": self.total}


@dataclass(frozen=True, slots=True)
class Wish:
    """How a sheet is wanted."""

    what: What = "handout"
    room: Room = "lines"
    density: Density | None = None
    forks: bool = False
    marks: bool = False
    """Whether the marks of a hand are drawn on the lines of a key or of slides."""
    beside: bool = False
    """Whether side work stands under a key, and before its line on slides."""
    paper: Literal["a4", "us-letter"] = "a4"
    seed: int = 1
    versions: bool = False
    """Whether all parallel versions come in one file."""
