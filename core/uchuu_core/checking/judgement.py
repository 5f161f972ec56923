"""What the kernel's verdict on one line consists of."""

from dataclasses import dataclass, field, replace

from uchuu_core.contract import Proof, Verdict
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.equality import Counter
from uchuu_core.lawbook.says import Says
from uchuu_core.tree.nodes import (
    AllExcept,
    Builder,
    Chain,
    Either,
    Feature,
    Line,
    Outcome,
    Relation,
    Union,
    ValueSet,
)

_STATEMENTS = (
    Relation, Chain, Either, ValueSet, Outcome, AllExcept, Feature, Union, Builder,
)  # fmt: skip


@dataclass(slots=True)
class Judgement:
    """What the kernel knows of one line.

    ``is_aside``: a line that is judged by itself and is not the next state of the work: a
    candidate put into the given, or a remark on excluded values.
    ``says``: a sentence where the verdict itself gives the reason.
    ``candidate``: the number that a check puts in.
    ``rejects``: candidates that the line leaves out because they fail in the given.
    """

    verdict: Verdict
    proof: Proof = "exact"
    conditions: list[str] = field(default_factory=list)
    adds: list[str] = field(default_factory=list)
    drops: list[str] = field(default_factory=list)
    tested: str | None = None
    counter: Counter | None = None
    is_aside: bool = False
    says: Says | None = None
    rejects: list[Algebraic] = field(default_factory=list)
    candidate: Algebraic | None = None

    def copy(self) -> "Judgement":
        """Return one that may be changed without changing this one."""
        lists = (self.conditions, self.adds, self.drops, self.rejects)
        conditions, adds, drops, rejects = (list(one) for one in lists)
        return replace(self, conditions=conditions, adds=adds, drops=drops, rejects=rejects)  # type: ignore[arg-type]


def is_statement(line: Line) -> bool:
    """Return whether *line* says something that is true or false (it is no bare expression)."""
    return isinstance(line, _STATEMENTS)
