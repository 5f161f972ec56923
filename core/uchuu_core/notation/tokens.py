"""What both notations share when a text is cut into tokens.

Bars are told apart (opening or closing) and unwritten multiplication is made a token of its own,
so that one small grammar reads both notations. Raises ``Unreadable`` or ``TooLarge`` with a place.
"""

import re
from collections.abc import Iterable, Iterator
from typing import Literal, NamedTuple

from uchuu_core import limits
from uchuu_core.failures import Unreadable

ENDS_OPERAND = {
    "NUMBER", "MIXED", "VULGAR", "NAME", "CLOSE", "CLOSE_GROUP", "CLOSE_BAR", "SUPERSCRIPT",
}  # fmt: skip
STARTS_OPERAND = {
    "MIXED", "VULGAR", "NAME", "OPEN", "OPEN_GROUP", "OPEN_BAR", "ABSOLUTE", "SQUARE_ROOT",
    "CUBE_ROOT", "ROOT", "INDEXED_ROOT", "FRACTION", "NUMBER", "LOG",
}  # fmt: skip
OPENERS = {"OPEN", "OPEN_GROUP", "OPEN_BAR", "OPEN_SET", "BUILD", "INDEXED_ROOT"}
CLOSERS = {"CLOSE", "CLOSE_GROUP", "CLOSE_BAR", "CLOSE_SET", "CLOSE_INDEX"}
_STACKED = {
    "CARET", "PLUS", "MINUS", "PLUS_MINUS", "SQUARE_ROOT", "CUBE_ROOT", "FRACTION", "LOG",
}  # fmt: skip
_KEEPS_STACK = {"NAME", "OPEN_GROUP", "CLOSE_GROUP"}
SUPERSCRIPTS = str.maketrans("⁰¹²³⁴⁵⁶⁷⁸⁹⁻", "0123456789-")
VULGAR_FRACTIONS = {
    "½": "1/2", "⅓": "1/3", "⅔": "2/3", "¼": "1/4", "¾": "3/4", "⅛": "1/8",
    "⅕": "1/5", "⅖": "2/5", "⅗": "3/5", "⅘": "4/5", "⅙": "1/6", "⅚": "5/6", "⅜": "3/8",
    "⅝": "5/8", "⅞": "7/8",
}  # fmt: skip
_GREEK_NAMES = """alpha beta gamma delta epsilon zeta eta theta iota kappa lambda mu nu xi omicron
pi rho sigma tau upsilon phi chi psi omega"""
GREEK = dict(zip(_GREEK_NAMES.split(), "αβγδεζηθικλμνξοπρστυφχψω", strict=True))


Decimal = Literal["point", "comma"]
"""House rule: what stands before the decimals of a number."""


class Piece(NamedTuple):
    """A token: its kind in the grammar, its text, and its 0-based place.

    Our own, so that importing the core does not load the parser library.
    """

    type: str
    text: str
    at: int


def scan(text: str, table: re.Pattern[str]) -> Iterator[Piece]:
    """Yield the tokens of *text* by a table of named patterns; spaces (``SKIP``) are dropped."""
    limits.require(
        len(text) <= limits.CHARACTERS,
        f"This line has {len(text)} characters; at most {limits.CHARACTERS} are read. Split it.",
    )
    position = 0
    while position < len(text):
        match = table.match(text, position)
        if match is None or match.end() == position:
            shown = text[position]
            raise Unreadable(f"“{shown}” has no meaning here. Take it out or replace it.", position)
        if match.lastgroup == "FUNCTION":
            name = match.group().lstrip("\\")
            raise Unreadable(
                f"“{name}” is a function that is not worked here. Use powers, roots and fractions.",
                position,
            )
        if match.lastgroup == "UNIT":
            yield Piece("NAME", match.group(), position)
        elif match.lastgroup != "SKIP":
            yield Piece(str(match.lastgroup), match.group(), position)
        position = match.end()


def _checked_number(token: Piece) -> None:
    limits.require(
        sum(character.isdigit() for character in token.text) <= limits.DIGITS,
        f"This number has more than {limits.DIGITS} digits. Use a shorter one.",
        token.at,
    )


def finish(tokens: Iterable[Piece]) -> Iterator[Piece]:
    """Tell opening from closing bars, insert ``JUXTAPOSED``, and bound digits and nesting."""
    before: Piece | None = None
    open_bars: list[int] = []
    chain = 0
    """Signs or powers stacked on each other without a bracket: ``---x``, ``x^x^x``."""
    due = [0]
    """Per open bracket: atoms that a ``\\frac`` still takes, which multiply nothing."""
    for token in tokens:
        kind = token.type
        if kind == "BAR":
            closing = bool(open_bars) and before is not None and before.type in ENDS_OPERAND
            kind = "CLOSE_BAR" if closing and open_bars.pop() == len(due) - 1 else "OPEN_BAR"
            if kind == "OPEN_BAR":
                open_bars.append(len(due))
            token = Piece(kind, token.text, token.at)
        if kind in ("NUMBER", "MIXED"):
            _checked_number(token)
        if kind in _STACKED:
            chain += 1
            limits.require(
                chain <= limits.NESTING,
                f"More than {limits.NESTING} signs or powers are stacked here. Simplify the line.",
                token.at,
            )
        elif kind not in _KEEPS_STACK:
            chain = 0
        if kind in STARTS_OPERAND:
            if due[-1]:
                due[-1] -= 1
            elif before is not None and before.type in ENDS_OPERAND:
                yield _multiplication(before, token)
        if kind == "FRACTION":
            due[-1] += 2
        if kind in OPENERS:
            due.append(0)
            limits.require(
                len(due) <= limits.NESTING + 1,
                f"Brackets are nested deeper than {limits.NESTING}. Simplify the line.",
                token.at,
            )
        elif kind in CLOSERS and len(due) > 1:
            due.pop()
        yield token
        before = token


def _multiplication(before: Piece, token: Piece) -> Piece:
    if token.type in ("NUMBER", "MIXED"):
        raise Unreadable(
            f"The number {token.text} follows “{before.text}” with nothing between. "
            "Write * to multiply, ^ for a power, or the number first.",
            token.at,
        )
    return Piece("JUXTAPOSED", "", token.at)
