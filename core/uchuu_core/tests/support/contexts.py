"""Every pattern of the catalogue, filled with numbers and letters, in the places of real lines.

Alone, in a longer sum and product, on either side of an equation, over and under a bar, beside a lawful step
and after one. Run as a program it prints what is not found: ``python -m uchuu_core.tests.support.contexts 3``.
"""

import re
import sys
from collections import Counter
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from random import Random

from uchuu_core.checking.diagnosis import SEARCHED
from uchuu_core.checking.tidy import tidied
from uchuu_core.forking.candidates import as_written
from uchuu_core.moves.conditions import Letter, NotNumeral
from uchuu_core.moves.move import Move, Rewrite
from uchuu_core.notation import plain, read
from uchuu_core.tests.support.planting import Planted, judged_planting
from uchuu_core.tree import build
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Expr, Line, Number, Quotient, Relation, Sum, Term
from uchuu_core.tree.paths import parts, replace_at, walk
from uchuu_core.tree.shape import unordered

_LETTERS = ("x", "y", "n", "x", "x + 2", "2x")
_TRIES = 300
Context = Callable[[Expr], Line]


def _read(text: str) -> Expr:
    return read(text)  # type: ignore[return-value]


def _same(place: Context) -> tuple[Context, Context]:
    return place, place


CONTEXTS: dict[str, tuple[Context, Context]] = {
    "alone": _same(lambda e: e),
    "in a sum": _same(lambda e: build.add(e, _read("7"))),
    "after a letter": _same(lambda e: build.add(_read("4k"), e)),
    "in a product": _same(lambda e: build.product((_read("5k"), e))),
    "left side": _same(lambda e: Relation(e, "=", _read("29"))),
    "right side": _same(lambda e: Relation(_read("k"), "=", e)),
    "over a bar": _same(lambda e: Quotient(e, _read("11"))),
    "under a bar": _same(lambda e: Quotient(_read("11"), e)),
    "beside a step": (
        lambda e: build.total((*build.terms_of(e), Term("+", _read("2*3")))),
        lambda e: build.add(e, _read("6")),
    ),
}
"""By name: the place before, and the place of the wrong part."""
AFTER_A_STEP = "after a step"


@dataclass(frozen=True, slots=True)
class Placed:
    """A planted error and the place where it stands."""

    place: str
    planted: Planted


def instances(rewrite: Rewrite, chance: Random) -> dict[str, Expr] | None:
    """Return numbers and letters for the variables of a pattern, None where none are found."""
    names = sorted(
        {name for part in parts(rewrite.wanted) if (name := getattr(part, "name", None))}
    )
    asked = {name: [c for c in rewrite.conditions if c.names == (name,)] for name in names}
    plain_only = chance.random() < 0.4
    for _ in range(_TRIES):
        bound: dict[str, Expr] = {}
        for name in names:
            needs_letter = any(isinstance(c, (NotNumeral, Letter)) for c in asked[name])
            wants = needs_letter or (not plain_only and name not in "mnk" and chance.random() < 0.4)
            text = chance.choice(_LETTERS) if wants else str(chance.randint(2, 9))
            bound[name] = without_brackets(_read(text))
        distinct = len(set(bound.values())) == len(bound)
        if distinct and all(condition.holds(bound) for condition in rewrite.conditions):
            return bound
    return None


def placed(move: Move, chance: Random) -> Iterator[Placed]:
    """Yield the patterns of *move*, filled, at every place where each can stand."""
    for rewrite in move.rewrites:
        bound = instances(rewrite, chance)
        if bound is None:
            continue
        before, wrong = _typed(rewrite.before, bound), _typed(rewrite.after, bound)
        if not _is_made(move, before, wrong):
            continue
        if isinstance(before, Relation):
            yield Placed("alone", Planted(move.key, before, as_written(wrong, before)))
            continue
        for place, (was, has) in CONTEXTS.items():
            line = without_brackets(was(before))  # type: ignore[arg-type]
            yield Placed(place, Planted(move.key, line, as_written(has(wrong), line)))  # type: ignore[arg-type]
        yield from _after_a_step(move, before, wrong)


def _typed(text: str, bound: dict[str, Expr]) -> Line:
    """Return a pattern as a student types it, its variables in brackets."""
    names = "|".join(bound)
    filled = re.sub(rf"(?<![a-z])({names})(?![a-z])", lambda m: f"({plain(bound[m[1]])})", text)
    return without_brackets(read(filled))  # type: ignore[no-any-return]


def _is_made(move: Move, before: Line, wrong: Line) -> bool:
    """Whether the move makes this line of it: some patterns need a sign that is written twice."""
    made = {unordered(tidied(step.result)) for step in move.apply(before)}
    return unordered(tidied(wrong)) in made


def _after_a_step(move: Move, before: Line, wrong: Line) -> Iterator[Placed]:
    """Write a number of the part as a sum that is worked out on the same line."""
    for path, part in walk(before):
        if isinstance(part, Number) and part.is_whole and int(part.text) > 3 and path:
            whole = Sum((Term("+", Number(str(int(part.text) - 1))), Term("+", build.ONE)))
            line = replace_at(before, path, whole)
            yield Placed(AFTER_A_STEP, Planted(move.key, line, as_written(wrong, line)))
            return


def main() -> None:
    """Print what is not named, and the table of places."""
    rounds = int(sys.argv[1]) if len(sys.argv) > 1 else 1
    only = sys.argv[2] if len(sys.argv) > 2 else ""
    chance = Random(7)
    counts: Counter[tuple[str, str]] = Counter()
    for _ in range(rounds):
        for move in SEARCHED:
            for item in placed(move, chance) if only in move.key else ():
                named = judged_planting(item.planted)
                if named is None:
                    continue
                result = (
                    "none"
                    if not named
                    else "first"
                    if named[0] == move.key
                    else "among"
                    if move.key in named
                    else "other"
                )
                counts[item.place, result] += 1
                if result != "first":
                    print(
                        f"{result:6} {item.place:15} {move.key:38} {plain(item.planted.before)}  →  {plain(item.planted.wrong)}   {named[:2]}"
                    )
    for place in (*CONTEXTS, AFTER_A_STEP):
        print(place, {r: counts[place, r] for r in ("first", "among", "other", "none")})
    print(
        "all",
        {
            r: sum(c for (_, k), c in counts.items() if k == r)
            for r in ("first", "among", "other", "none")
        },
    )


if __name__ == "__main__":
    main()
