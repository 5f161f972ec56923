"""Twins of a problem, one after another, none equal to another."""

from collections.abc import Iterable
from typing import Any, NamedTuple

from uchuu_core.failures import Failure
from uchuu_core.notation import read

from asking.asker import Asker, Problem


class Twins(NamedTuple):
    """Twins of a problem: their givens, why there are not more, and what they keep of it, as sentences."""

    givens: list[str]
    refused: list[str]
    keeps: list[str]


def twins_of(
    asker: Asker, like: Problem, count: int, avoid: Iterable[str], seed: int, **wish: Any
) -> Twins:
    """Return so many twins of a problem, none of *avoid*."""
    taken = readable(avoid)
    made: list[str] = []
    kept: dict[str, None] = {}
    try:
        for number in range(seed, seed + count):
            found = asker.ask("twin", like, seed=number, avoid=[*taken, *made], **wish)
            made.append(found["given"])
            kept |= dict.fromkeys(one["says"] for one in found["keeps"])
    except Failure as failure:
        return Twins(made, [failure.message], list(kept))
    return Twins(made, [], list(kept))


def readable(givens: Iterable[str]) -> list[str]:
    """Leave out what cannot be read: the core would refuse to avoid it."""
    found = []
    for text in givens:
        try:
            read(text)
        except Failure:
            continue
        found.append(text)
    return found
