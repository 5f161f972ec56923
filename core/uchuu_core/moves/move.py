"""A Move: a named rewrite, either a law (always holds under its conditions) or an error.

A move yields *steps*; whether a step is true is the kernel's business, never the move's.
"""

from collections.abc import Callable, Iterator
from dataclasses import dataclass, replace
from enum import Enum, IntEnum
from functools import cached_property, lru_cache
from typing import Literal, TypedDict, TypeVar, Unpack, get_args

from uchuu_core import limits
from uchuu_core.lawbook.law import Family
from uchuu_core.lawbook.says import Says, Sentence
from uchuu_core.moves.conditions import Condition, Nonzero
from uchuu_core.moves.pattern import (
    EMPTY,
    Rules,
    filled,
    matches,
    may_fit_kind,
    pattern,
    runs_in_product,
    runs_in_sum,
)
from uchuu_core.moves.places import Places, Rewritten, places_of, put, term_of
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Absolute,
    Expr,
    Line,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Sum,
)
from uchuu_core.tree.paths import Path, walk


class Effect(Enum):
    """What a move does to a line, in the contract's words."""

    OK = "ok"
    MAY_ADD = "may-add"
    LOSES = "loses"
    WRONG = "wrong"
    UNFINISHED = "unfinished"
    JUDGED = "judged"
    """Found by the judge from what the lines say; never applied."""


@dataclass(frozen=True)
class Rewrite:
    """One pattern and what it becomes, in plain notation, with conditions on its variables.

    ``units``: coefficients that also fit the unwritten 1.
    """

    before: str
    after: str
    conditions: tuple[Condition, ...] = ()
    units: str = ""

    @cached_property
    def wanted(self) -> Line:
        """The tree that is looked for."""
        return pattern(self.before)

    @cached_property
    def needs(self) -> frozenset[type]:
        """The telling kinds of parts without which nothing fits."""
        return frozenset(type(part) for _, part in walk(self.wanted)) & _TELLING

    @cached_property
    def template(self) -> Line:
        """The tree that it becomes."""
        return pattern(self.after)

    @cached_property
    def rules(self) -> Rules:
        """What is asked of the variables one by one."""
        by_name: dict[str, tuple[Condition, ...]] = {}
        for condition in self.conditions:
            if len(condition.names) == 1:
                by_name[condition.names[0]] = (*by_name.get(condition.names[0], ()), condition)
        return Rules(frozenset(self.units), by_name)


@dataclass(frozen=True, slots=True)
class Example:
    """A line and what the move makes of it, in plain notation."""

    before: str
    after: str


@dataclass(frozen=True, slots=True)
class Step:
    """One application: the new line, where it happened, and what is owed to the kernel."""

    result: Line
    at: Path
    owes: tuple[Expr, ...] = ()


_T = TypeVar("_T")

CANDIDATE_EFFORT = 10
"""What it takes to write a candidate and to compare it, in visits of a part."""
_EVERY_KIND: tuple[type, ...] = get_args(Expr)
_kinds_of: dict["Move", frozenset[type]] = {}
_needs_of: dict["Move", tuple[frozenset[type], ...]] = {}
_TELLING = frozenset({Root, Power, Quotient, Absolute})
"""Kinds of parts that a pattern finds only where one is written."""
_fitting: dict[tuple["Move", type], tuple[Rewrite, ...]] = {}


class Common(IntEnum):
    """How often an error is met: a teacher's estimate; there is no count behind it.

    Where a class's papers have been marked, their count is better.
    """

    IN_EVERY_CLASS = 0
    OFTEN = 1
    NOW_AND_THEN = 2


class Known(TypedDict, total=False):
    """What is known of an error besides how it rewrites; see ``Move``."""

    common: Common
    due: Family
    is_invited: bool
    is_searched: bool
    is_ending: bool
    may_be_luck: bool
    goes_on: bool


Rewriter = Callable[[Line], Iterator[Line]]
"""Logic that a pattern cannot say: yields what a whole line, or a part of one, may become."""


@dataclass(frozen=True, slots=True, eq=False)
class Move:
    """A law or an error.

    Args:
        key: Stable kebab-case fact; for an error the id in the catalogue.
        effect: What it does; OK for a law.
        rewrites: Patterns, tried at every place.
        function: What patterns cannot say: given a node, yields what it becomes.
        whole_line: ``function`` wants whole lines (equations), not parts.
        distorts: For an error: the law it is mistaken for; it gives the right line.
        examples: Shown in the manual and run by the catalogue test.
        refuses: Nearest lines that must not match.
        says: For a law: its sentence, with gaps for the part and what it becomes.
        common: For an error: how often it is met.
        due: For an error: it is made only where a law of these families comes next; NONE: anywhere.
        is_invited: Whether a line invites it; any line may suffer a slip of the pen.
        is_searched: Whether it is looked for; the others are found from what the lines say.
        is_ending: Whether it is a way of ending, so that nothing else is done on its line.
        may_be_luck: Whether a right line may be doubted for it; else too many look like it.
        goes_on: Whether a finished line invites it too: it goes on too far.
    """

    key: str
    effect: Effect = Effect.OK
    rewrites: tuple[Rewrite, ...] = ()
    function: Rewriter | None = None
    whole_line: bool = False
    distorts: str = ""
    examples: tuple[Example, ...] = ()
    refuses: tuple[str, ...] = ()
    says: Sentence | Callable[[Line, Line], Says] | None = None
    common: Common = Common.OFTEN
    due: Family = Family.NONE
    is_invited: bool = True
    is_searched: bool = True
    is_ending: bool = False
    may_be_luck: bool = True
    goes_on: bool = False

    def said(self, old: Line, new: Line) -> Says | None:
        """Return what a law says where it makes *new* of the part *old*; None for nothing."""
        if self.says is None:
            return None
        if isinstance(self.says, Sentence):
            return self.says(*(old, new)[: len(self.says.gaps)])
        return self.says(old, new)

    @property
    def kind(self) -> Literal["law", "error"]:
        """Which of the two folders it belongs to."""
        return "law" if self.effect in (Effect.OK, Effect.MAY_ADD) else "error"

    def apply(self, line: Line) -> Iterator[Step]:
        """Yield every application to *line* (without redundant brackets), at every place."""
        parts = places_of(line)
        if self.may_do_something(parts.kinds):
            yield from self.apply_at(line, parts)

    def apply_at(
        self, line: Line, parts: Places, only: frozenset[Path] | None = None
    ) -> Iterator[Step]:
        """Do as ``apply``, with the ``Places`` of *line* found before, for a move that is ``able`` to.

        ``only``: of the parts, those at these places (with a term, the term with its sign).
        """
        found = parts.steps(self)
        if found is None:
            with limits.remembering():
                found = [*self._on_whole(line)], [*self._on_parts(line, parts, only)]
            if only is None:
                parts.keep(self, *found)
        whole, of_parts = found
        yield from whole
        limits.spend(len(parts.all))
        for step in of_parts:
            if only is not None and term_of(step.at) not in only:
                continue  # known from before: it counts as little as where it is not
            limits.spend(CANDIDATE_EFFORT)
            yield step

    def _on_whole(self, line: Line) -> Iterator[Step]:
        if self.function is not None and self.whole_line:
            yield from (Step(result, ()) for result in self.function(line))
        for rewrite in self.rewrites:
            if isinstance(rewrite.wanted, Relation):
                yield from _until_out_of_effort(_on_equation(rewrite, rewrite.wanted, line))

    def _on_parts(self, line: Line, parts: Places, only: frozenset[Path] | None) -> Iterator[Step]:
        for path, part, known in parts.of(self._kinds()):
            if only is not None and term_of(path) not in only:
                continue
            made = known.get(self)
            if made is None:
                made = known[self] = self._made_of(part)
            for new, owes in made:
                yield Step(put(line, path, new), path, owes)

    def _made_of(self, part: Expr) -> list[Rewritten]:
        return list(_until_out_of_effort(self._on_part(part)))

    def may_do_something(self, kinds: frozenset[type]) -> bool:
        """Return whether a line with parts of these *kinds* can hold what the move is about."""
        needs = _needs_of.get(self)
        if needs is None:
            needs = () if self.function else tuple({r.needs for r in self.rewrites})
            _needs_of[self] = needs
        if needs and not any(need <= kinds for need in needs):
            return False
        if self.whole_line and self.function is not None:
            return True
        of_equations = any(isinstance(rewrite.wanted, Relation) for rewrite in self.rewrites)
        return (of_equations and Relation in kinds) or not kinds.isdisjoint(self._kinds())

    def _kinds(self) -> frozenset[type]:
        """Return the kinds of parts to which the move can do anything."""
        found = _kinds_of.get(self)
        if found is None:
            any_kind = self.function is not None and not self.whole_line
            found = frozenset(k for k in _EVERY_KIND if any_kind or self._fitting(k))
            _kinds_of[self] = found
        return found

    def _fitting(self, kind: type) -> tuple[Rewrite, ...]:
        """Return the rewrites that parts of this kind may fit at all."""
        found = _fitting.get((self, kind))
        if found is None:
            found = tuple(r for r in self.rewrites if may_fit_kind(r.wanted, kind, r.rules))
            _fitting[self, kind] = found
        return found

    def _on_part(self, part: Expr) -> Iterator[Rewritten]:
        if self.function is not None and not self.whole_line:
            yield from ((new, ()) for new in self.function(part))  # type: ignore[misc]
        for rewrite in self._fitting(type(part)):
            yield from _rewritten(rewrite, part)


@lru_cache(maxsize=512)
def able(moves: tuple[Move, ...], kinds: frozenset[type]) -> tuple[Move, ...]:
    """Return the *moves* that can do anything to a line with parts of these *kinds*, in their order."""
    return tuple(move for move in moves if move.may_do_something(kinds))


def error_in_part(
    key: str, function: Rewriter, before: str, after: str, refuses: str, **known: Unpack[Known]
) -> Move:
    """Return an error that only *function* can say, with its example and what it refuses."""
    return Move(
        key=key,
        effect=Effect.WRONG,
        function=function,
        examples=(Example(before, after),),
        refuses=(refuses,),
        **known,
    )


def error_of(
    key: str,
    rewrites: tuple[Rewrite, ...],
    before: str,
    after: str,
    refuses: str,
    **known: Unpack[Known],
) -> Move:
    """Return an error that patterns say, with its example and what it refuses."""
    return replace(
        error_in_part(key, _nothing, before, after, refuses, **known),
        function=None,
        rewrites=rewrites,
    )


def _nothing(_part: Line) -> Iterator[Line]:
    return iter(())


def error_on_line(
    key: str, function: Rewriter, before: str, after: str, refuses: str, **known: Unpack[Known]
) -> Move:
    """Do as ``error_in_part``, for a *function* that rewrites whole lines."""
    return replace(error_in_part(key, function, before, after, refuses, **known), whole_line=True)


def _until_out_of_effort(found: Iterator[_T]) -> Iterator[_T]:
    """Yield what a match finds within its own bound."""
    limits.begin_match()
    try:
        yield from found
    except limits.OutOfMatchEffort:
        return


def _owed(rewrite: Rewrite, bound: dict[str, Expr]) -> tuple[Expr, ...] | None:
    """Return what the kernel must find nonzero, or None when a condition fails."""
    for condition in rewrite.conditions:
        if not condition.holds(bound):
            return None
    return tuple(bound[c.name] for c in rewrite.conditions if isinstance(c, Nonzero))


def _rewritten(rewrite: Rewrite, part: Expr) -> Iterator[Rewritten]:
    wanted, after, rules = rewrite.wanted, rewrite.template, rewrite.rules
    if isinstance(wanted, Sum) and isinstance(part, Sum):
        for taken, found in runs_in_sum(wanted, part, rules):
            owes = _owed(rewrite, dict(found))
            if owes is None:
                continue
            new = filled(after, found)
            terms = [t for n, t in enumerate(part.terms) if n not in taken]
            terms[taken[0] : taken[0]] = build.terms_of(new)  # type: ignore[arg-type]
            yield build.total(terms), owes
        return
    if isinstance(wanted, Product) and isinstance(part, Product):
        for run in runs_in_product(wanted, part, rules):
            owes = _owed(rewrite, dict(run.bound))
            if owes is not None:
                yield run.put(filled(after, run.bound)), owes  # type: ignore[arg-type]
        return
    for found in matches(wanted, part, EMPTY, rules):
        owes = _owed(rewrite, dict(found))
        if owes is not None:
            yield filled(after, found), owes  # type: ignore[misc]


def _on_equation(rewrite: Rewrite, wanted: Relation, line: Line) -> Iterator[Step]:
    if not (isinstance(line, Relation) and line.sign == "="):
        return
    after, rules = rewrite.template, rewrite.rules
    for turned in (False, True):
        sides = Relation(line.right, "=", line.left) if turned else line
        for found in matches(wanted, sides, EMPTY, rules):
            owes = _owed(rewrite, dict(found))
            if owes is None:
                continue
            new = filled(after, found)
            if turned and isinstance(new, Relation):
                new = Relation(new.right, "=", new.left)
            yield Step(new, (), owes)
