"""Papers made up from what the core knows: worked lines, other ways, forks carried on, slips, blanks.

Everything follows from the problem's seed and a paper's number; equal requests give equal papers.
"""

from collections.abc import Callable
from contextlib import suppress
from dataclasses import dataclass, replace
from fractions import Fraction
from functools import cached_property
from random import Random

from uchuu_core.answers.invented import Invented, InventedPaper, PaperKind
from uchuu_core.checking.context import context_of
from uchuu_core.contract import Problem
from uchuu_core.failures import BadRequest, Failure
from uchuu_core.forking.example import read_example
from uchuu_core.forking.forks import Fork, carried_on, forks_of
from uchuu_core.methods.catalogue import applicable
from uchuu_core.notation import plain, read
from uchuu_core.tree.nodes import Line
from uchuu_core.twinning.places import numerals, with_numeral
from uchuu_core.working.lines import worked_lines

MOST_PAPERS = 200
SKIPS = 0.25
"""The share of right papers that leave a line out."""
_OFTEN: dict[PaperKind, int] = {
    "right": 52,
    "error": 24,
    "other-way": 6,
    "slip": 5,
    "unfinished": 4,
    "answer": 4,
    "miscopied": 2,
    "blank": 3,
}
"""How many of a hundred papers are of each kind."""


@dataclass(frozen=True, slots=True)
class Wish:
    """How many papers are wanted, and which errors more often than usual: in so many of a hundred."""

    count: int
    inclined: tuple["Inclined", ...] = ()


@dataclass(frozen=True, slots=True)
class Inclined:
    """An error, and how many of a hundred students make it where the problem invites it."""

    error: str
    percent: int


def invent(problem: Problem, wish: Wish) -> Invented:
    """Return papers for *problem*, which is worked first.

    Raises:
        As ``forks``; BadRequest: too many are asked for.
    """
    if not 0 <= wish.count <= MOST_PAPERS:
        raise BadRequest(f"At most {MOST_PAPERS} papers can be made up at once.")
    maker = _Maker(replace(problem, lines=()))
    return {
        "papers": [
            maker.paper(Random(f"{problem.seed} {problem.given} {number}"), wish)
            for number in range(wish.count)
        ]
    }


class _Maker:
    """Makes papers of one problem; what many papers need is found once."""

    def __init__(self, problem: Problem) -> None:
        self._problem = problem
        self._example = read_example(problem)
        self._context = context_of(problem, [])

    @cached_property
    def _right(self) -> list[str]:
        return [plain(line) for line in self._example.lines[1:]]

    @cached_property
    def _forks(self) -> list[Fork]:
        return [fork for fork in forks_of(self._example) if not fork.hidden]

    @cached_property
    def _other_ways(self) -> list[list[str]]:
        found = []
        for method in applicable(self._context.posed, self._problem.task)[:4]:
            with suppress(Failure):
                lines = worked_lines(self._context, method, "board")
                found.append([plain(line.moment.line) for line in lines])
        return [lines for lines in found if lines and lines != self._right]

    def paper(self, chance: Random, wish: Wish) -> InventedPaper:
        """Return one paper; where the drawn kind cannot be made, a right one."""
        for inclined in wish.inclined:
            meant = [fork for fork in self._forks if fork.error == inclined.error]
            if meant and chance.randrange(100) < inclined.percent:
                return self._with_fork(meant[0]) or self._all_right(chance)
        (kind,) = chance.choices(list(_OFTEN), list(_OFTEN.values()))
        makers: dict[PaperKind, Callable[[Random], InventedPaper | None]] = {
            "error": self._error,
            "other-way": self._other_way,
            "slip": self._slip,
            "miscopied": self._miscopied,
            "unfinished": self._unfinished,
            "answer": self._answer,
            "blank": lambda _: {"lines": [], "kind": "blank"},
        }
        made = makers[kind](chance) if kind in makers else None
        return made or self._all_right(chance)

    def _all_right(self, chance: Random) -> InventedPaper:
        """Return the worked lines; now and then one in the middle is done in the head."""
        lines = list(self._right)
        if len(lines) > 2 and self._problem.task != "study" and chance.random() < SKIPS:
            del lines[chance.randrange(len(lines) - 1)]
        return {"lines": lines, "kind": "right"}

    def _error(self, chance: Random) -> InventedPaper | None:
        if not self._forks:
            return None
        often = [1 / (1 + place) for place in range(len(self._forks))]
        return self._with_fork(chance.choices(self._forks, often)[0])

    def _with_fork(self, fork: Fork) -> InventedPaper | None:
        """Return a paper that leaves at *fork* and goes on from there by the laws."""
        wrong = plain(fork.wrong)
        before = self._right[: fork.after]
        is_listed = self._problem.task in ("domain", "study")
        after = self._right[fork.after + 1 :] if is_listed else self._on_from(fork.wrong)
        if after is None:
            return None
        return {"lines": [*before, wrong, *after], "kind": "error", "error": fork.error}

    def _on_from(self, line: Line) -> list[str] | None:
        with suppress(Failure, ArithmeticError):
            path = carried_on(line, self._context.problem_in_its_letter, self._example.method)
            return None if path is None else [plain(one.moment.line) for one in path]
        return None

    def _other_way(self, chance: Random) -> InventedPaper | None:
        ways = self._other_ways
        return {"lines": chance.choice(ways), "kind": "other-way"} if ways else None

    def _slip(self, chance: Random) -> InventedPaper | None:
        """Return a paper with one number a little off, carried on."""
        middle = range(1, len(self._example.lines) - 1)
        if not middle:
            return None
        at = chance.choice(middle)
        off = _a_little_off(self._example.lines[at], chance)
        after = None if off is None else self._on_from(off)
        if off is None or after is None:
            return None
        return {"lines": [*self._right[: at - 1], plain(off), *after], "kind": "slip"}

    def _miscopied(self, chance: Random) -> InventedPaper | None:
        """Return the right work of a problem with one number copied wrongly."""
        copied = _a_little_off(self._example.lines[0], chance)
        after = None if copied is None else self._on_from(copied)
        if not after or copied is None:
            return None
        text = plain(copied)
        return {"lines": [text, *after], "kind": "miscopied", "worked_on": text}

    def _unfinished(self, chance: Random) -> InventedPaper | None:
        if len(self._right) < 2:
            return None
        return {
            "lines": self._right[: -chance.randint(1, 2)] or self._right[:1],
            "kind": "unfinished",
        }

    def _answer(self, chance: Random) -> InventedPaper | None:
        """Return an answer alone: the right one, or the end of a fork."""
        fork = chance.choice(self._forks) if self._forks and chance.random() < 0.4 else None
        if fork is None:
            return {"lines": self._right[-1:], "kind": "answer"}
        return {"lines": [plain(fork.end)], "kind": "answer", "error": fork.error}


def _a_little_off(line: Line, chance: Random) -> Line | None:
    """Return the line with one of its numbers a little larger or smaller; None where it has none."""
    places = numerals(line)
    if not places:
        return None
    chosen = chance.choice(places)
    value = chosen.value + chance.choice((-2, -1, 1, 2)) * _unit(chosen.text)
    places_after = len(chosen.text.partition(".")[2])
    changed = with_numeral(line, chosen.path, value, places_after) if value > 0 else None
    if changed is None:
        return None
    with suppress(Failure):
        return read(plain(changed))
    return None


def _unit(text: str) -> Fraction:
    """Return the value of a numeral's last place."""
    return Fraction(1, 10 ** len(text.partition(".")[2]))
