"""Reading a line: text → tokens → tree, with the place and the expectation when it fails."""

from __future__ import annotations

from functools import lru_cache
from importlib import resources
from typing import TYPE_CHECKING, Any

from uchuu_core import limits
from uchuu_core.failures import Unreadable
from uchuu_core.notation import tokens_latex, tokens_plain
from uchuu_core.notation.brackets import Juxtaposition, Notation
from uchuu_core.notation.features import read_feature
from uchuu_core.notation.spelling import decimal_comma, spelled
from uchuu_core.notation.tokens import Decimal, Piece
from uchuu_core.tree.nodes import Line, Mixed, Number, Signed, ValueSet
from uchuu_core.tree.paths import depth, letters

if TYPE_CHECKING:
    from lark import Lark, UnexpectedInput


_TOKENS = {"plain": tokens_plain.tokens, "latex": tokens_latex.tokens}
_NEEDS_OPERAND = "a number, a letter or a bracket should stand here"


@lru_cache(maxsize=8)
def _parser(notation: Notation, juxtaposition: Juxtaposition) -> Lark:
    """Return a parser that builds our tree as it goes.

    The library behind it is loaded with the first line that is read.
    """
    from lark import Lark, Token
    from lark.lexer import Lexer

    from uchuu_core.notation.tree_builder import TreeBuilder

    class Pieces(Lexer):
        """Hands lark the tokens that were cut before."""

        def __init__(self, _conf: Any) -> None:
            pass

        def lex(self, lexer_state: Any, parser_state: Any = None) -> Any:  # noqa: ARG002
            return (Token(p.type, p.text, start_pos=p.at) for p in lexer_state)

    builder = TreeBuilder(notation, juxtaposition)
    grammar = resources.files("uchuu_core.notation").joinpath("grammar.lark").read_text("utf-8")
    return Lark(grammar, parser="lalr", lexer=Pieces, maybe_placeholders=True, transformer=builder)


def notation_of(text: str) -> Notation:
    r"""Return the notation of *text*: plain notation never holds ``\``, ``^{`` or ``_{``."""
    return "latex" if "\\" in text or "^{" in text or "_{" in text else "plain"


def read(
    text: str,
    notation: Notation | None = None,
    juxtaposition: Juxtaposition = "equal",
    decimal: Decimal = "point",
    unknown: str | None = None,
) -> Line:
    """Return the tree of one written line.

    Args:
        text: Plain notation or LaTeX, at most ``limits.CHARACTERS`` characters.
        notation: Which of the two; by default told from the text.
        juxtaposition: The house rule for ``1/2x``: equal rank with ``*``, or tighter.
        decimal: The house rule for decimals; under "comma", ``;`` stands between solutions.
        unknown: What is solved for, where that is known: it tells ± from plus a negative.
    Raises:
        Unreadable: the place in *text* and what was expected there.
        TooLarge: a bound of ``limits`` is passed.
    Example:
        >>> read("2(x+1) = 6").sign
        '='
    """
    text = spelled(text)
    return _read(text, notation or notation_of(text), juxtaposition, decimal, unknown)


@lru_cache(maxsize=4096)
def _read(
    text: str,
    notation: Notation,
    juxtaposition: Juxtaposition,
    decimal: Decimal,
    unknown: str | None,
) -> Line:
    if not text.strip():
        raise Unreadable("This line is empty. Type an expression or an equation.", 0)
    feature = read_feature(
        text, lambda part: _read(part, notation, juxtaposition, decimal, unknown)
    )
    if feature is not None:
        return feature
    from lark import UnexpectedInput

    found = list(_TOKENS[notation](text, decimal, unknown))
    parser = _parser(notation, juxtaposition)
    try:
        tree: Any = parser.parse(found)
    except UnexpectedInput as unexpected:
        if decimal == "point":
            decimal_comma(text)
        raise _explained(unexpected, text, found) from None
    if decimal == "point" and isinstance(tree, ValueSet) and not text.lstrip().startswith("{"):
        if not all(is_number(member) for member in tree.members):
            decimal_comma(text)
    limits.require(
        depth(tree) <= limits.NESTING,
        f"This line is nested deeper than {limits.NESTING}. Simplify it.",
    )
    limits.require(
        len(letters(tree)) <= limits.LETTERS,
        f"This line has more than {limits.LETTERS} different letters. Use fewer.",
    )
    line: Line = tree
    return line


def is_number(node: Any) -> bool:
    """Return whether *node* is a numeral with or without a sign."""
    return isinstance(node.body if isinstance(node, Signed) else node, (Number, Mixed))


def _explained(unexpected: UnexpectedInput, text: str, found: list[Piece]) -> Unreadable:
    token = getattr(unexpected, "token", None)
    if token is None or token.type == "$END":
        opened = sum(t.type in ("OPEN", "OPEN_GROUP") for t in found)
        closed = sum(t.type in ("CLOSE", "CLOSE_GROUP") for t in found)
        if opened > closed:
            return Unreadable("A bracket is opened and never closed. Add “)”.", len(text))
        return Unreadable(f"The line stops too early: {_NEEDS_OPERAND}.", len(text))
    place = token.start_pos or 0
    match token.type:
        case "CLOSE" | "CLOSE_GROUP" if _balance(found, place) < 0:
            message = "This bracket closes nothing. Take it out, or open one before it."
        case "CLOSE" | "CLOSE_GROUP" | "CLOSE_BAR":
            message = f"Before “{token}” {_NEEDS_OPERAND}."
        case "EQUALS" | "RELATION":
            message = f"“{token}” cannot stand here: an expression should come before it."
        case "JUXTAPOSED":
            message = "Two parts stand side by side here in a way that cannot be read. Add a sign."
        case _:
            message = f"“{token}” was not expected here: {_NEEDS_OPERAND}."
    return Unreadable(message, place)


def _balance(found: list[Piece], place: int) -> int:
    upto = [token.type for token in found if token.at <= place]
    opened = sum(kind in ("OPEN", "OPEN_GROUP") for kind in upto)
    return opened - sum(kind in ("CLOSE", "CLOSE_GROUP") for kind in upto)
