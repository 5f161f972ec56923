"""Parts of a line that are written with something round them: lit, struck, ringed.

A part is known by its identity; ``copied`` makes a line in which every part is an object of its own.
"""

from collections.abc import Callable, Iterator, Mapping
from contextlib import contextmanager
from contextvars import ContextVar
from copy import copy
from types import MappingProxyType
from typing import Any

from uchuu_core.tree.paths import children, with_children

Round = Callable[[str], str]
"""What is written round the text of a part, in the notation of the writer."""
_rounds: ContextVar[Mapping[int, Round]] = ContextVar("rounds", default=MappingProxyType({}))


@contextmanager
def decorating(rounds: Mapping[int, Round]) -> Iterator[None]:
    """Write the parts whose ``id`` is in *rounds* with what is put round them, while this is open."""
    token = _rounds.set(rounds)
    try:
        yield
    finally:
        _rounds.reset(token)


def decorated(part: Any, text: str) -> str:
    """Return the *text* of a part with what is put round it."""
    put = _rounds.get().get(id(part))
    return put(text) if put else text


def copied(line: Any) -> Any:
    """Return *line* again, every part an object of its own."""
    parts = children(line)
    return with_children(line, tuple(map(copied, parts))) if parts else copy(line)


def carried(part: Any, new: Any) -> Any:
    """Return *new*, an object of its own that is written in the place of *part*, with what is put round that."""
    rounds = _rounds.get()
    put, inner = rounds.get(id(part)), rounds.get(id(new))
    if put is not None and isinstance(rounds, dict):
        rounds[id(new)] = put if inner is None else lambda text: put(inner(text))
    return new
