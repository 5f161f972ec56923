"""A letter put for a part of the equation: "let u = x²", written or only done.

Lines in the new letter are judged with the part put back.
"""

from collections.abc import Iterator
from itertools import islice
from typing import Any

from uchuu_core.checking.context import Context
from uchuu_core.checking.judgement import Judgement
from uchuu_core.failures import Failure
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.tree.nodes import Expr, Line, Number, Power, Product, Relation, Root, Symbol
from uchuu_core.tree.paths import letters, parts, rebuild

MOST_TRIED = 40


class Substitution:
    """What a student's new letter stands for, in one paper."""

    def __init__(self, context: Context) -> None:
        self.context = context
        self.known = letters(context.given) | {context.unknown} | self._imaginary()
        self.letter: str | None = None
        self.meaning: Expr | None = None

    def _imaginary(self) -> set[str]:
        return {"i"} if self.context.numbers.is_complex else set()

    def define(self, line: Line) -> Judgement | None:
        """Note a line like ``u = x²``; None when *line* is no such definition."""
        if not isinstance(line, Relation) or line.sign != "=":
            return None
        for name, part in ((line.left, line.right), (line.right, line.left)):
            is_new = isinstance(name, Symbol) and name.name not in self.known
            if is_new and self.context.unknown in letters(part) <= self.known:
                if self.letter not in (None, name.name):  # type: ignore[union-attr]
                    return None
                if self.meaning is not None:
                    return None  # the letter is put back: judged as an equation
                self.letter, self.meaning = name.name, part  # type: ignore[union-attr]
                return Judgement("ok", is_aside=True)
        return None

    def put_back(self, before: Line, line: Line) -> Line:
        """Return *line* with the new letter's meaning in its place; guess it where need be."""
        new = letters(line) - self.known
        if len(new) != 1:
            return line
        (name,) = new
        if self.meaning is None:
            self.meaning = self._guessed(before, line, name)
            self.letter = name if self.meaning is not None else None
        if self.letter != name or self.meaning is None:
            return line
        return _with(line, name, self.meaning)

    def _guessed(self, before: Line, line: Line, name: str) -> Expr | None:
        """Return the part of the line before for which *line* has the same solutions."""
        if self.context.unknown in letters(line):
            return None
        try:
            was = self.context.solutions(before)
        except (NotRational, Undefined, Failure):
            return None
        for part in islice(_candidates(before, self.context.unknown), MOST_TRIED):
            try:
                has = self.context.solutions(_with(line, name, part))
            except (NotRational, Undefined, Failure):
                continue
            if has.same_solutions(was) and was.sheets == has.sheets:
                return part
        return None


def _with(line: Line, name: str, meaning: Expr) -> Line:
    def change(part: Any) -> Any:
        return meaning if part == Symbol(name) else part

    return rebuild(line, change)  # type: ignore[no-any-return]


def _candidates(line: Line, unknown: str) -> Iterator[Expr]:
    """Yield parts that a letter is usually put for, the largest repeated ones first."""
    seen: set[Expr] = {Symbol(unknown)}
    for part in _likely(line, unknown):
        if part not in seen and unknown in letters(part):
            seen.add(part)
            yield part


def _likely(line: Line, unknown: str) -> Iterator[Expr]:
    x = Symbol(unknown)
    inside: list[Any] = [part for part in parts(line) if unknown in letters(part)]
    for part in inside:
        match part:
            case Power(base, Number(text)) if text.isdigit() and int(text) > 1:
                yield base
                if int(text) % 2 == 0 and int(text) > 2:
                    yield Power(base, Number(str(int(text) // 2)))
                if int(text) % 3 == 0 and int(text) > 3:
                    yield Power(base, Number(str(int(text) // 3)))
                yield part
            case Power(Number(text), exponent):
                yield part
                for prime in ("2", "3", "5", "7"):
                    if text.isdigit() and int(text) % int(prime) == 0:
                        yield Power(Number(prime), x)
                if isinstance(exponent, Product):
                    yield Power(Number(text), x)
            case Root() | Power():
                yield part
    yield Root(2, x)
    yield Power(x, Number("2"))
    yield from (part for part in inside if not isinstance(part, Relation))
