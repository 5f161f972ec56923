"""Solutions written one under the other: ``x - 2 = 0``, ``x = 2``, ``x - 3 = 0``, ``x = 3``."""

from uchuu_core.checking.context import Context
from uchuu_core.checking.judgement import Judgement
from uchuu_core.failures import Failure
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.solutions import Point, SolutionSet
from uchuu_core.lawbook.judging import CASES_TOGETHER, ONE_CASE
from uchuu_core.tree.nodes import Chain, Either, Line, Relation


def as_relation(line: Line) -> Line:
    """Return ``x = 10/2 = 5`` as its first and last side."""
    return Relation(line.sides[0], "=", line.sides[-1]) if isinstance(line, Chain) else line


class Branches:
    """Lines that each keep some of the solutions of one line, and together all of them."""

    def __init__(self, context: Context) -> None:
        self.context = context
        self.wanted: frozenset[Point] = frozenset()
        self.covered: frozenset[Point] = frozenset()
        self.openers: list[Judgement] = []
        """Verdicts of the lines that began a branch: “loses” until all are there."""
        self.ends: list[Relation] = []
        """The last line of each branch."""

    def open_or_next(
        self, before: Line, line: Line, judgement: Judgement, *, is_sound: bool
    ) -> Judgement | None:
        """Take note of a line that keeps only some solutions; return its verdict in a branch.

        None: it is no branch, or the first one (its verdict stands until the others follow).
        """
        line = as_relation(line)
        has = self._points(line)
        if has is None or not isinstance(line, (Relation, Either)):
            return None
        if isinstance(line, Either):
            if not self.openers or has != self.wanted:
                return None
            self._complete()
            self.ends = []
            return Judgement("ok", says=CASES_TOGETHER())
        if judgement.verdict == "loses" and is_sound and not self.openers:
            was = self._points(before)
            if was is not None and has < was:
                self.wanted, self.covered = was, has
                self.openers, self.ends = [judgement], [line]
            return None
        if not self.openers or not has or not has <= self.wanted - self.covered:
            return None
        self.covered |= has
        self.ends.append(line)
        if self.covered == self.wanted:
            return self._complete()
        return Judgement("ok", says=ONE_CASE())

    def _complete(self) -> Judgement:
        self.covered = self.wanted
        for opener in self.openers:
            opener.verdict, opener.drops, opener.says = "ok", [], ONE_CASE()
        return Judgement("ok", says=ONE_CASE())

    def merged(self, line: Line, judgement: Judgement) -> Line:
        """Return the state after *line*: all branches together once they are complete."""
        case = as_relation(line)
        if not self.ends or not isinstance(case, Relation):
            self.ends = []
            return line
        if judgement.verdict == "ok" and self.ends[-1] != case:
            self.ends[-1] = case
        complete = self.covered == self.wanted
        if not complete or len(self.ends) < 2:
            return line
        return Either(tuple(self.ends))

    @property
    def is_open(self) -> bool:
        """Whether some, but not all solutions have a branch."""
        return bool(self.openers) and self.covered != self.wanted

    def _points(self, line: Line) -> frozenset[Point] | None:
        try:
            found: SolutionSet = self.context.widened(line).solutions(line)
        except (NotRational, Undefined, Failure):
            return None
        return None if found.everything or found.intervals else found.points
