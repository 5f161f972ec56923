"""Errors planted at random places of generated problems: how often each is found, and as what.

Every error that is seen in how a line is written is applied at every line of worked problems, of all
kinds, and of the catalogue's own examples with other numbers. The wrong line is then judged as a student's.
Run as a program it prints the table: ``python -m uchuu_core.tests.support.planting 40``.
"""

import re
import sys
from collections.abc import Iterator
from dataclasses import dataclass
from random import Random

from uchuu_core import check, problem_from, work
from uchuu_core.checking.diagnosis import SEARCHED
from uchuu_core.checking.tidy import tidied
from uchuu_core.failures import Failure
from uchuu_core.forking.candidates import as_written
from uchuu_core.moves.catalogue import wordings
from uchuu_core.moves.move import Move
from uchuu_core.notation import plain, read
from uchuu_core.tests.support.problems import EQUATIONS, EXPRESSIONS, Made
from uchuu_core.tree.build import ZERO, without_brackets
from uchuu_core.tree.nodes import Chain, Line, Relation, Sum
from uchuu_core.tree.paths import parts
from uchuu_core.tree.shape import unordered

_COMPLEX = {"radical-negative-pulled-out"}


BY_CONVENTION = {
    # a vanished term or factor, and nothing else, is "one side only" in an equation (3)
    *(
        (error, "lineq-one-side-only")
        for error in (
            "copy-term-lost",
            "gcf-lost",
            "gcf-one-vanishes",
            "like-invisible-one",
            "like-unlike-terms-joined",
            "lineq-clearing-missed-term",
            "lineq-constant-as-answer",
        )
    ),
    # a changed sign that a rule of signs explains takes that id (16)
    *(
        ("copy-sign-changed", error)
        for error in (
            "sign-product-rule",
            "sign-square-swallows-minus",
            "lineq-negative-coefficient-lost",
            "sign-minus-negative",
            "lineq-same-sign-when-moved",
            "distribute-minus-first-term-only",
        )
    ),
    # a number beside = 0 moves with its sign: the more general of two that write the same line
    ("lineq-constant-as-answer", "lineq-same-sign-when-moved"),
    # a lost factor or a lost 1 explains a vanished term better than the pen (1: copy- last)
    *(
        ("copy-term-lost", error)
        for error in (
            "gcf-one-vanishes",
            "like-unlike-terms-joined",
            "like-invisible-one",
        )
    ),
}
"""Errors that write the same line, and which of the two the catalogue's conventions name."""


@dataclass(slots=True)
class Count:
    """How often an error was planted, named first, first by convention, and named at all."""

    planted: int = 0
    first: int = 0
    by_convention: int = 0
    among: int = 0


@dataclass(frozen=True, slots=True)
class Planted:
    """A wrong line under a right one."""

    error: str
    before: Line
    wrong: Line
    numbers: str = "real"


_SQUARES = [str(n * n) for n in range(3, 12)]
_KEPT = {"expeq-one", "expeq-reciprocal-sign-lost", "complex-fraction-flip-termwise"}
"""Examples that keep their numbers: others would be no example of this error."""


def _renumbered(text: str, chance: Random, *, is_cube: bool) -> str:
    """Return *text* with its numerals, exponents excepted, changed a little: the same ones alike.

    A square becomes a square; where the example is about cubes, a cube becomes a cube.
    """
    changed: dict[str, str] = {}

    def other(match: re.Match[str]) -> str:
        was = match.group()
        if was not in changed:
            low = 2 if int(was) < 10 else int(was) // 2
            changed[was] = str(chance.randint(low, max(9, 2 * int(was))))
            if is_cube:
                changed[was] = chance.choice(["8", "27", "64", "125"])
            elif was in _SQUARES:
                changed[was] = chance.choice(_SQUARES)
            elif was == "0":
                changed[was] = was
        return changed[was]

    return re.sub(r"(?<![\^\d.])(?<!\^\()(?<!\^\(-)\d+(?![\d.])", other, text)


def like_the_catalogues(key: str, chance: Random) -> Line:
    """Return the line of the catalogue's example of *key* with other numbers."""
    text = wordings()[key].example.before
    if key in _KEPT:
        return read(text)
    return read(_renumbered(text, chance, is_cube=key.startswith("cubes-")))


def worked_lines_of(made: Made) -> list[Line]:
    """Return the given and the worked lines but the last; nothing where it cannot be worked."""
    record = {"task": made.task, "given": made.given, "numbers": made.numbers}
    try:
        lines = work(problem_from({**record, "variable": made.variable}))["lines"]
    except Failure:
        return []
    return [read(made.given), *(read(line["text"]) for line in lines[:-1])]


def planted_in(line: Line, moves: tuple[Move, ...], chance: Random, most: int) -> Iterator[Planted]:
    """Yield at most *most* plantings of each of *moves* in *line* that the kernel calls wrong."""
    start = without_brackets(line)
    if isinstance(start, Chain) or any(part == ZERO for part in _terms_in(start)):
        return  # a discriminant worked out in a row; “+ 0”, which nobody writes
    for move in moves:
        wrongs = {}
        for step in move.apply(start):
            wrong = tidied(step.result) if move.is_ending else as_written(step.result, start)
            if unordered(wrong) != unordered(start):
                wrongs[unordered(wrong)] = wrong
        listed = list(wrongs.values())
        chance.shuffle(listed)
        for wrong in listed[:most]:
            yield Planted(move.key, start, wrong, "complex" if move.key in _COMPLEX else "real")


def _terms_in(line: Line) -> Iterator[Line]:
    for part in parts(line):
        if isinstance(part, Sum):
            yield from (term.body for term in part.terms)


def judged_planting(item: Planted) -> list[str] | None:
    """Return the errors that are named, best first; None where the line is not wrong."""
    task = "solve" if isinstance(item.before, Relation) else "simplify"
    lines = [
        plain(item.wrong),
        plain(item.wrong),
    ]  # twice: what the last line owes is not asked here
    record = {"task": task, "given": plain(item.before), "lines": lines, "numbers": item.numbers}
    try:
        first = check(problem_from(record))["lines"][0]
    except Failure:
        return None
    if first["verdict"] not in ("wrong", "loses"):
        return None
    error = first.get("error")
    return [error["id"], *error["also"]] if error else []


def counted(rounds: int, seed: int = 0, most: int = 1) -> dict[str, Count]:
    """Plant every error in *rounds* problems of each kind and in as many renumbered examples."""
    chance = Random(seed)
    counts = {move.key: Count() for move in SEARCHED}
    for number in range(rounds):
        for move in SEARCHED:
            line = like_the_catalogues(move.key, chance)
            _count(planted_in(line, (move,), chance, most), counts)
        for make in (*EQUATIONS.values(), *EXPRESSIONS.values()):
            if number % 4 == 0:  # these hold many lines each
                for line in worked_lines_of(make(chance)):
                    _count(planted_in(tidied(line), SEARCHED, chance, most), counts)
    return counts


def _count(planted: Iterator[Planted], counts: dict[str, Count]) -> None:
    for item in planted:
        named = judged_planting(item)
        if named is None:
            continue
        count = counts[item.error]
        count.planted += 1
        count.among += item.error in named
        if named:
            count.first += named[0] == item.error
            count.by_convention += named[0] == item.error or (
                item.error in named and (item.error, named[0]) in BY_CONVENTION
            )


def main() -> None:
    """Print the table for as many rounds as the command line says."""
    counts = counted(int(sys.argv[1]) if len(sys.argv) > 1 else 4)
    names = ("planted", "first", "by_convention", "among")
    for key, count in counts.items():
        print(f"{key:<42}" + "".join(f"{getattr(count, name):>7}" for name in names))
    total = [sum(getattr(count, name) for count in counts.values()) for name in names]
    print("all", *total, *(f"{100 * part / total[0]:.1f} %" for part in total[1:]))


if __name__ == "__main__":
    main()
