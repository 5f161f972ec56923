"""A teacher's own error as a move: two patterns in plain notation and conditions in plain words."""

import re
from collections.abc import Callable
from functools import lru_cache

from uchuu_core import limits
from uchuu_core.contract import OwnError
from uchuu_core.failures import BadRequest
from uchuu_core.moves.conditions import (
    Above,
    Condition,
    Different,
    Even,
    Nonzero,
    NotNumeral,
    Numeral,
)
from uchuu_core.moves.move import Effect, Move, Rewrite
from uchuu_core.notation import read
from uchuu_core.tree.nodes import Expr, Line, Relation, Symbol
from uchuu_core.tree.paths import letters

_SENTENCES: tuple[tuple[str, Callable[..., Condition]], ...] = (
    (r"(\w+) is a number", Numeral),
    (r"(\w+) is positive", lambda name: Numeral(name, positive=True)),
    (r"(\w+) holds a letter", NotNumeral),
    (r"(\w+) is even", Even),
    (r"(\w+) is odd", lambda name: Even(name, odd=True)),
    (r"(\w+) is not 0", Nonzero),
    (r"(\w+) > (\d+)", lambda name, least: Above(name, int(least))),
    (r"(\w+) is not (\w+)", Different),
)
CONDITIONS = (
    "a is a number",
    "a is positive",
    "a holds a letter",
    "a is even",
    "a is odd",
    "a is not 0",
    "a > 1",
    "a is not b",
)
"""What may be said of a variable, as examples."""


def condition_from(sentence: str, names: frozenset[str]) -> Condition:
    """Return the condition that *sentence* states about variables among *names*.

    Raises:
        BadRequest: it is none of ``CONDITIONS``, or speaks of a letter that is not in the pattern.
    """
    for wanted, make in _SENTENCES:
        match = re.fullmatch(wanted, sentence.strip())
        if match is None:
            continue
        condition = make(*match.groups())
        strange = [name for name in condition.names if name not in names]
        if strange:
            raise BadRequest(f"“{sentence}” speaks of {strange[0]}, which is not in the pattern.")
        return condition
    raise BadRequest(f"“{sentence}” is no condition that is known. Known: {'; '.join(CONDITIONS)}.")


@lru_cache(maxsize=512)
def own_move(own: OwnError) -> Move:
    """Return *own* as a move that is tried like the errors of the catalogue.

    A variable that “is a number” also fits the unwritten 1 of ``x``.

    Raises:
        Unreadable, TooLarge: a pattern cannot be read.
        BadRequest: a pattern is no rewrite, or a condition is not known.
    """
    before, after = read(own.before, "plain"), read(own.after, "plain")
    names = letters(before)
    limits.require(
        len(names) <= limits.PATTERN_LETTERS,
        f"A pattern has at most {limits.PATTERN_LETTERS} letters; this one has {len(names)}.",
    )
    _require_rewrite(before, after)
    new = sorted(letters(after) - names)
    if new:
        raise BadRequest(f"{new[0]} stands only on the right: nothing says what it should be.")
    conditions = tuple(condition_from(sentence, names) for sentence in own.when)
    units = "".join(c.name for c in conditions if isinstance(c, Numeral) and len(c.name) == 1)
    rewrite = Rewrite(own.before, own.after, conditions, units)
    return Move(key=own.id, effect=Effect.WRONG, rewrites=(rewrite,))


def _require_rewrite(before: Line, after: Line) -> None:
    if isinstance(before, Symbol):
        raise BadRequest("The left side is one letter: that would fit everything.")
    kinds = tuple(isinstance(side, Relation) and side.sign == "=" for side in (before, after))
    if kinds[0] != kinds[1] or not all(
        is_equation or isinstance(side, Expr)
        for side, is_equation in zip((before, after), kinds, strict=True)
    ):
        raise BadRequest("Write an expression on both sides, or an equation on both sides.")
    if before == after:
        raise BadRequest("Both sides are the same.")
