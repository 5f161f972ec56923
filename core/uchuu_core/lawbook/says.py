"""A sentence is a value: a template of the lawbook and the trees, numbers and words that fill it.

Text is made at the edge, in the notation that the place has. Nothing looks into a sentence to decide.
"""

import re
from collections.abc import Iterable, Iterator
from contextlib import suppress
from dataclasses import dataclass, field
from fractions import Fraction
from functools import cached_property, lru_cache
from typing import TYPE_CHECKING, Union

from uchuu_core.answers.sentences import Mathematics, Piece, Saying
from uchuu_core.failures import Failure
from uchuu_core.notation import latex, plain, read, readable, spoken
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Line

if TYPE_CHECKING:
    from uchuu_core.lawbook.law import Law

Part = Union["Line", Fraction, int, str, "Says", "Listed"]
"""What fills a gap: mathematics, a number, a word, a sentence, or several of them."""

_GAP = re.compile(r"\{(\w+)\}")
_WORD = re.compile(r"\b(?!sqrt|cbrt|root|abs|log)[a-z]{3}")


class WrongParts(TypeError):
    """A sentence was filled with other parts than its template has gaps."""


@dataclass(frozen=True, slots=True)
class Listed:
    """Several parts with something between them, at least one."""

    items: tuple[Part, ...]
    between: str = ", "
    before_last: str = " and "

    @property
    def parts(self) -> list[Piece]:
        """The list alone, as the parts of a sentence."""
        return Sentence("{these}")(self).parts


def listed(parts: Iterable[Part], between: str = ", ", before_last: str = " and ") -> Listed:
    """Return *parts*, each once, as a list in a sentence: ``x, y and z``."""
    return Listed(tuple(dict.fromkeys(parts)), between, before_last)


@dataclass(frozen=True, eq=False)
class Sentence:
    """A template: words with gaps in braces. ``law``: whose it is; None for no law's.

    ``lead``: what comes before it, said once of several in a row: "Brackets first".

    Called with its parts, by name or in the order of the gaps, it gives a ``Says``.
    """

    template: str
    law: "Law | None" = None
    lead: str = ""

    @cached_property
    def gaps(self) -> tuple[str, ...]:
        """The names of what is filled in, each once, in order."""
        return tuple(dict.fromkeys(_GAP.findall(self.template)))

    def __call__(self, *parts: Part, **named: Part) -> "Says":
        """Return the sentence with its *parts*.

        Raises:
            WrongParts: too many, too few, or under other names.
        """
        filled = dict(zip(self.gaps, parts, strict=False)) | named
        if len(parts) + len(named) != len(self.gaps) or filled.keys() != set(self.gaps):
            raise WrongParts(f"“{self.template}” takes {self.gaps}, not {[*parts, *named]}.")
        return Says((Said(self, tuple(filled.items())),))


@dataclass(frozen=True, slots=True)
class Said:
    """One sentence with what fills its gaps."""

    sentence: Sentence
    parts: tuple[tuple[str, Part], ...] = ()

    def pieces(self) -> Iterator[str | Line]:
        """Yield words and mathematics in order."""
        parts = dict(self.parts)
        for number, piece in enumerate(_GAP.split(self.sentence.template)):
            if number % 2:
                yield from _pieces(parts[piece])
            elif piece:
                yield piece


@dataclass(frozen=True, slots=True)
class Says:
    """What is said: one sentence, or some after one another."""

    said: tuple[Said, ...] = field(default=())

    def __add__(self, other: "Says") -> "Says":
        """Return both, each sentence once."""
        return Says(tuple(dict.fromkeys((*self.said, *other.said))))

    @property
    def law(self) -> "Law":
        """The law of the last sentence.

        Raises:
            LookupError: no law's sentence is said.
        """
        law = self.law_or_none
        if law is None:
            raise LookupError("Nothing that a law says.")
        return law

    @property
    def laws(self) -> "frozenset[Law]":
        """All laws whose sentences are said."""
        return frozenset(said.sentence.law for said in self.said if said.sentence.law is not None)

    @property
    def law_or_none(self) -> "Law | None":
        """The law of the last sentence that is a law's, None for none."""
        laws = (said.sentence.law for said in reversed(self.said))
        return next((law for law in laws if law is not None), None)

    def pieces(self) -> list[str | Line]:
        """Return words and mathematics in order, neighbouring words joined."""
        found: list[str | Line] = []
        lead = ""
        for number, said in enumerate(self.said):
            opening = f"{said.sentence.lead}: " if said.sentence.lead not in ("", lead) else ""
            lead = said.sentence.lead
            for piece in (f" {opening}" if number else opening, *said.pieces()):
                if not piece:
                    continue
                if isinstance(piece, str) and found and isinstance(found[-1], str):
                    found[-1] += piece
                else:
                    found.append(piece)
        if found and isinstance(found[0], str):
            found[0] = found[0][:1].upper() + found[0][1:]
        return found

    @property
    def text(self) -> str:
        """The sentence as plain text for a reader: ``√``, ``²``, ``≠``."""
        return "".join(p if isinstance(p, str) else readable(p) for p in self.pieces())

    @property
    def parts(self) -> list[Piece]:
        """The sentence as the contract has it: ``{"text"}`` and ``{"math": …}`` in order."""
        return [{"text": p} if isinstance(p, str) else {"math": _math(p)} for p in self.pieces()]

    def record(self) -> Saying:
        """Return the sentence twice, as text and in parts, for an answer record."""
        text, parts = _recorded(self)
        return {"says": text, "parts": [_copied(piece) for piece in parts]}


def _copied(piece: Piece) -> Piece:
    return {"math": {**piece["math"]}} if "math" in piece else {**piece}


@lru_cache(maxsize=1024)
def _recorded(said: Says) -> tuple[str, tuple[Piece, ...]]:
    return said.text, tuple(said.parts)


def in_order(said: Iterable[Says]) -> Says:
    """Return sentences one after another, equal ones once."""
    return sum(said, Says())


def mathematics(text: str) -> "Line | str":
    """Return what the kernel wrote in plain notation as a tree; as words where it is none."""
    if not _WORD.search(text):
        with suppress(Failure):
            return read(text)
    return text.replace("-", "−")


def words(text: str) -> Says:
    """Return words that are in no template: a teacher's own."""
    return Says((Said(Sentence(text.replace("{", "(").replace("}", ")"))),)) if text else Says()


def _math(line: Line) -> Mathematics:
    return {"text": plain(line), "latex": latex(line), "spoken": spoken(line)}


def _pieces(part: Part) -> Iterator[str | Line]:
    match part:
        case str():
            yield part
        case int() | Fraction():
            yield build.number(Fraction(part))
        case Says(said):
            for sentence in said:
                yield from sentence.pieces()
        case Listed(items, between, before_last):
            for number, one in enumerate(items):
                if number:
                    yield before_last if number == len(items) - 1 else between
                yield from _pieces(one)
        case _:
            yield part
