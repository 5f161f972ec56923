"""Lines beside the chain: candidates put into the given, and true statements about a part."""

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import combinations, islice, pairwise
from typing import Any

from flint import fmpq

from uchuu_core.checking.context import Context
from uchuu_core.checking.entries import Entry
from uchuu_core.checking.judgement import Judgement, is_statement
from uchuu_core.checking.line import sides_of
from uchuu_core.checking.rejections import points_of_line
from uchuu_core.failures import Failure
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.equality import Counter, agreement, difference, value_texts
from uchuu_core.kernel.exact import Exact, Undecided
from uchuu_core.kernel.finished import ALONE, unmet_forms
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.solutions import Point, SolutionSet
from uchuu_core.kernel.written import number_text
from uchuu_core.lawbook.judging import CHECK_FAILS
from uchuu_core.lawbook.says import mathematics
from uchuu_core.tree import build
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import (
    Chain,
    Either,
    Expr,
    Line,
    Number,
    Relation,
    Signed,
    Sum,
    Symbol,
)
from uchuu_core.tree.paths import letters, parts
from uchuu_core.tree.shape import unordered

_MOST_CANDIDATES = 6
_MOST_NEIGHBOURS = 8


@dataclass(slots=True)
class _Failing:
    """A check that came out false: right, if its candidate is left out in the end."""

    candidate: Algebraic
    judgement: Judgement
    is_marked: bool


class Checks:
    """The checks of one paper: which candidates were put in, and which came out false."""

    def __init__(self, context: Context) -> None:
        self.context = context
        self._candidates: list[Algebraic] = []
        self._lines: list[Line] = []
        self.pending: list[_Failing] = []
        self.rejected: set[Point] = set()
        self.last: tuple[Expr, ...] = ()
        """The sides of the check line before, while one check goes on."""
        self.last_candidate: Algebraic | None = None

    @property
    def failed(self) -> frozenset[Point]:
        """The candidate of the last check, if it failed."""
        return frozenset({self.pending[-1].candidate}) if self.pending else frozenset()

    def note(self, line: Line) -> None:
        """Keep a line of the chain: what it lists may be put into the given below it."""
        self.last = ()
        self._lines.append(line)

    @property
    def candidates(self) -> list[Algebraic]:
        """The candidates of all solved lines so far; found when a line asks for them."""
        for line in self._lines:
            if not is_statement(line) or ALONE in unmet_forms(
                line, "solve", (), self.context.unknown
            ):
                continue
            for point in islice(points_of_line(line, self.context), _MOST_CANDIDATES):
                if isinstance(point, Algebraic) and point.is_real and point not in self._candidates:
                    self._candidates.append(point)
        self._lines = []
        return self._candidates

    def reject(self, lines: tuple[Line, ...]) -> None:
        """Take note of candidates that words reject."""
        for line in lines:
            self.rejected |= points_of_line(line, self.context)

    def settle(self, end: SolutionSet | None) -> None:
        """A false check is right when its candidate is marked, rejected or left out in the end."""
        for check in self.pending:
            left_out = end is not None and not end.holds(check.candidate)
            if check.is_marked or left_out or check.candidate in self.rejected:
                said = mathematics(f"{self.context.unknown} = {number_text(check.candidate)}")
                check.judgement.verdict, check.judgement.proof = "ok", "exact"
                check.judgement.says = CHECK_FAILS(said)
                check.judgement.counter = None

    def judged(self, line: Line, entry: Entry) -> Judgement | None:
        """Return the verdict of a line that puts a candidate into the given; None if it does not."""
        given = self.context.given
        if letters(line) or not isinstance(given, Relation) or given.sign != "=":
            return None
        if letters(given) != {self.context.unknown}:
            return None
        sides: tuple[Expr, ...] = line.sides if isinstance(line, Chain) else ()
        if isinstance(line, Relation) and line.sign in ("=", "!="):
            sides = (line.left, line.right)
        elif not is_statement(line):
            sides = (line,)  # type: ignore[assignment]
        if not sides:
            return None
        if not self.candidates and not entry.told.is_check:
            return None
        try:
            return self._of_sides(sides, line, entry)
        except (Undefined, Undecided, NotRational, Failure):
            return None

    def _of_sides(self, sides: tuple[Expr, ...], line: Line, entry: Entry) -> Judgement | None:
        candidate, matched = self._candidate(sides)
        goes_on = bool(self.last) and all(
            any(_equal(mine, theirs) for theirs in self.last) for mine in (sides[0], sides[-1])
        )
        goes_on = goes_on or (
            len(sides) == 1 and bool(self.last) and _equal(sides[0], self.last[0])
        )
        if not matched and not goes_on and not entry.told.is_check:
            return None
        if len(sides) == 1:
            if not goes_on and any(_is(sides[0], c) for c in self.candidates):
                return None  # the value alone
            self.last, self.last_candidate = sides, candidate or self.last_candidate
            return Judgement("ok", is_aside=True) if matched or goes_on else None
        if isinstance(line, Relation) and line.sign == "!=":
            true = not _equal(*sides)
            if true and (candidate or self.last_candidate):
                self._fails(Judgement("ok", is_aside=True), candidate, is_marked=True)
            return Judgement("ok" if true else "wrong", is_aside=True)
        differing = [(a, b) for a, b in pairwise(sides) if not _equal(a, b)]
        previous, self.last = self.last, sides
        if not differing:
            self.last_candidate = candidate or self.last_candidate
            return Judgement("ok", is_aside=True)
        found = Judgement(
            "wrong",
            "refuted",
            counter=Counter((), *value_texts(*differing[0])),
            is_aside=True,
            candidate=candidate or self.last_candidate,
        )
        ends = (sides[0], sides[-1])
        is_faithful = matched == 2 or (goes_on and not _equal(previous[0], previous[-1]))
        if len(differing) == 1 and (is_faithful or entry.told.fails):
            self._fails(found, candidate if matched else None, is_marked=entry.told.fails)
        elif len(differing) == 1 and entry.told.is_check and not _equal(*ends):
            self._fails(found, candidate, is_marked=entry.told.fails)
        return found

    def _fails(self, found: Judgement, candidate: Algebraic | None, *, is_marked: bool) -> None:
        candidate = candidate or self.last_candidate
        if candidate is None and len(self.candidates) == 1:
            candidate = self.candidates[0]
        if candidate is not None:
            self.last_candidate = candidate
            self.pending.append(_Failing(candidate, found, is_marked))

    def _candidate(self, sides: tuple[Expr, ...]) -> tuple[Algebraic | None, int]:
        """Return the candidate at which most of *sides* are sides of the given, and how many."""
        given = self.context.given
        assert isinstance(given, Relation)
        best: tuple[Algebraic | None, int] = (None, 0)
        for candidate in self.candidates[:_MOST_CANDIDATES]:
            ends = (sides[0], sides[-1])
            for first, second in (ends, ends[::-1]):
                found = int(_side_is(first, given.left, candidate, self.context))
                if len(sides) > 1:
                    found += int(_side_is(second, given.right, candidate, self.context))
                elif not found:
                    found = int(_side_is(first, given.right, candidate, self.context))
                if found > best[1]:
                    best = (candidate, found)
        return best


def _place(candidate: Algebraic, unknown: str) -> dict[str, Any]:
    value = candidate.rational
    return {unknown: candidate if value is None else value}


def _side_is(mine: Expr, theirs: Expr, candidate: Algebraic, context: Context) -> bool:
    try:
        return Exact(_place(candidate, context.unknown)).sign(difference(mine, theirs)) == 0
    except (Undefined, Undecided, NotRational):
        return False


def _equal(a: Expr, b: Expr) -> bool:
    return Exact({}).sign(difference(a, b)) == 0


def _is(node: Expr, candidate: Algebraic) -> bool:
    place: dict[str, fmpq | Algebraic] = _place(candidate, "x")
    return Exact(place).sign(difference(node, Symbol("x"))) == 0


# side work


def side_line(before: Line, line: Line, context: Context) -> Judgement | None:
    """Return the verdict of a statement about a part of the work; None when *line* is none.

    It is told by what it speaks of: a part of the line before or of the given, numbers under a line
    with letters, or the discriminant. A false one is side work only where it cannot be the chain's
    next line: an expression's part, set equal to something else.
    """
    claims = _claims(line)
    if not claims:
        return None
    holds = [_holds(sides, context) for sides in claims]
    if None in holds:
        return None
    shapes = _shapes(before, context)
    speaks_of_parts = all(
        any(_is_worked(side) and unordered(without_brackets(side)) in shapes for side in sides)
        for sides in claims
    )
    numbers_only = not any(letters(side) for sides in claims for side in sides)
    beside_letters = (
        numbers_only
        and bool(letters(before))
        and all(any(_is_worked(side) for side in sides) for sides in claims)
    )
    of_numbers = numbers_only and all(_says_of_a_number(sides, shapes) for sides in claims)
    if all(holds):
        if speaks_of_parts or beside_letters or of_numbers:
            return Judgement("ok", is_aside=True)
        return None
    is_chain = context.is_equation and not (numbers_only and speaks_of_parts)
    if is_chain or context.problem.task in ("domain", "study") or not speaks_of_parts:
        return None
    a, b = next(pair for sides, true in zip(claims, holds, strict=True) if not true
                for pair in pairwise(sides) if _holds(pair, context) is False)  # fmt: skip
    found = agreement(a, b, context.numbers)
    return Judgement("wrong", "refuted", counter=found.counter, is_aside=True)


def _claims(line: Line) -> list[tuple[Expr, ...]]:
    """Return the equalities that *line* claims, each as its sides."""
    if isinstance(line, Either):
        if line.is_or and any(letters(option) for option in line.options):
            return []
        return [s for option in line.options if len(s := sides_of(option)) > 1]
    sides = sides_of(line)
    return [sides] if len(sides) > 1 else []


def _holds(sides: tuple[Expr, ...], context: Context) -> bool | None:
    try:
        found = [agreement(a, b, context.numbers).verdict for a, b in pairwise(sides)]
    except (NotRational, Undefined, Failure):
        return None
    if "undecided" in found:
        return None
    return "different" not in found


def _is_worked(node: Expr) -> bool:
    """Whether *node* is more than a number or a letter."""
    inner = node.body if isinstance(node, Signed) else node
    return not isinstance(inner, Number) and bool(len(list(parts(inner))) > 1)


def _says_of_a_number(sides: tuple[Expr, ...], shapes: frozenset[Any]) -> bool:
    """Whether a number that stands in the work is written otherwise: ``16 = 2^4``."""
    numbers = [side for side in sides if isinstance(side, Number) and side.text not in ("0", "1")]
    return any(unordered(n) in shapes for n in numbers) and any(map(_is_worked, sides))


def _shapes(before: Line, context: Context) -> frozenset[Any]:
    """Return all proper parts of the line before and of the given, in comparable form."""
    found: set[Any] = set()
    for line in {before, context.given}:
        whole = without_brackets(line)
        for part in parts(whole):
            if part is not whole or is_statement(whole):
                found.add(unordered(part))
            found.update(unordered(p) for p in _neighbours(part) if p != whole)
    return frozenset(found)


def _neighbours(part: Any) -> Iterator[Expr]:
    """Yield two or three of the terms or factors of a part, in their order."""
    listed = part.terms if isinstance(part, Sum) else getattr(part, "factors", ())
    if len(listed) > _MOST_NEIGHBOURS:
        return
    for size in (2, 3):
        for chosen in combinations(listed, size) if size < len(listed) else ():
            yield build.total(chosen) if isinstance(part, Sum) else build.product(chosen)
