r"""LaTeX as a math editor produces it, cut into the tokens of plain notation.

After a bare ``^`` exactly one digit belongs to the exponent (``x^10`` is x¹0), as LaTeX has it.
"""

import re
from collections.abc import Iterator

from uchuu_core.notation.meanings import meant
from uchuu_core.notation.tokens import GREEK, Decimal, Piece, finish, scan

_GREEK = "|".join(GREEK)

_PATTERN = rf"""(?x)
    (?P<SKIP>\s+|\\mid(?![a-zA-Z])(?=\s*$)|\\[,;:!\ ]|\\q?quad|\\left(?=[(\[|]|\\\{{)|\\right(?=[)\]|]|\\\}})|~|\\displaystyle)
  | (?P<BUILD>\\\{{\s*[a-zA-Z]\s*(\\in\s*(\\mathbb\{{R\}}|\\R\b)\s*)?(\\mid(?![a-zA-Z])|:|\||\\vert(?![a-zA-Z])))
  | (?P<INFINITY>\\infty(?![a-zA-Z])|∞)
  | (?P<UNION>\\cup(?![a-zA-Z])|∪)
  | (?P<LOG>\\?(log(_\{{[0-9]+\}}|_[0-9])?|ln)(?![a-zA-Z]))
  | (?P<FUNCTION>\\?(arc)?(sin|cos|tan|cot|sec|csc)h?(?![a-zA-Z])|\\(lim|exp)(?![a-zA-Z]))
  | (?P<ALL_BUT>\\(text|mathrm)\{{\s*all\ real(s|\ numbers),?\ except\s*\}}|\\mathbb\{{R\}}\s*\\(setminus|smallsetminus)(?=\s*\\?\{{))
  | (?P<NO_SOLUTION>\\(text|mathrm)\{{\s*no\ (real\ )?solutions?\s*\}}|\\(varnothing|emptyset))
  | (?P<PRIME>\\(text|mathrm)\{{\s*prime\s*\}})
  | (?P<ALL_REALS>\\(text|mathrm)\{{\s*all\ real\ numbers\s*\}}|\\mathbb\{{R\}}|\\R\b)
  | (?P<OR>\\(text|mathrm|textrm|operatorname)\{{\s*(or|and)\s*\}}|\\(lor|vee|land|wedge)\b|\bor\b|;)
  | (?P<IN>\\in\b)
  | (?P<INDEXED_ROOT>\\sqrt\s*\[)
  | (?P<SQUARE_ROOT>\\?sqrt(?![a-zA-Z]))
  | (?P<CUBE_ROOT>\\?cbrt(?![a-zA-Z]))
  | (?P<UNIT>\\mathrm\{{[A-Za-z]{{2,20}}\}}|"[A-Za-z]{{1,20}}")
  | (?P<FRACTION>\\[dt]?frac(?![a-zA-Z]))
  | (?P<PLUS_MINUS>\\pm(?![a-zA-Z]))
  | (?P<TIMES>\\(cdot|times|ast)(?![a-zA-Z])|[*·×])
  | (?P<DIVIDE>\\div(?![a-zA-Z])|\\colon(?![a-zA-Z])|[÷:])
  | (?P<RELATION>\\(neq|ne|leq|le|geq|ge|lt|gt)(?![a-zA-Z])|[<>≠])
  | (?P<OPEN_SET>\\\{{|\\lbrace(?![a-zA-Z]))
  | (?P<CLOSE_SET>\\\}}|\\rbrace(?![a-zA-Z]))
  | (?P<BAR>\\(left|right)?[|]|\\[lr]?vert(?![a-zA-Z])|\|)
  | (?P<NUMBER>NUMERAL)
  | (?P<NAME>[a-zA-Zα-ωΑ-Ω](_[0-9]|_\{{[0-9]+\}})?|\\(imaginaryI|{_GREEK})(?![a-zA-Z]))
  | (?P<PLUS>\+)
  | (?P<MINUS>[-−])
  | (?P<SLASH>/)
  | (?P<CARET>\^)
  | (?P<OPEN>\\lparen|\\lbrack|\(|\[)
  | (?P<CLOSE>\\rparen|\))
  | (?P<OPEN_GROUP>\{{)
  | (?P<CLOSE_GROUP>\}})
  | (?P<CLOSE_INDEX>\]|\\rbrack)
  | (?P<COMMA>,)
  | (?P<EQUALS>=)
    """
_POINT = r"[0-9]+\.[0-9]+|[0-9]+|\.[0-9]+"
_TABLES = {
    "point": re.compile(_PATTERN.replace("NUMERAL", _POINT)),
    "comma": re.compile(_PATTERN.replace("NUMERAL", r"[0-9]+(?:,|\{,\})[0-9]+|" + _POINT)),
}


def _single_digits(found: Iterator[Piece]) -> Iterator[Piece]:
    r"""Cut ``12`` into ``1`` and ``2`` where LaTeX takes one digit: after ``^`` and ``\frac``."""
    due = 0
    for token in found:
        if due and token.type == "NUMBER" and len(token.text) > 1:
            for offset, digit in enumerate(token.text[:due]):
                yield Piece("NUMBER", digit, token.at + offset)
            if len(token.text) > due:
                yield Piece("NUMBER", token.text[due:], token.at + due)
            due = 0
            continue
        yield token
        due = {"CARET": 1, "FRACTION": 2}.get(token.type, due - 1 if token.type == "NUMBER" else 0)


_MIXED = re.compile(r"(?<![\d.^])(\d+)\s*\\[dt]?frac\s*(?:\{(\d+)\}\s*\{(\d+)\}|(\d)(\d)(?!\d))")


def tokens(text: str, decimal: Decimal = "point", unknown: str | None = None) -> Iterator[Piece]:
    """Yield the tokens of a line in LaTeX; a numeral before a numeral fraction is mixed."""
    return finish(meant(list(_with_mixed(text, _TABLES[decimal])), unknown))


def _with_mixed(text: str, table: re.Pattern[str]) -> Iterator[Piece]:
    position = 0
    for match in _MIXED.finditer(text):
        yield from _shifted(text[position : match.start()], position, table)
        whole, a, b, c, d = match.groups()
        yield Piece("MIXED", f"{whole} {a or c}/{b or d}", match.start())
        position = match.end()
    yield from _shifted(text[position:], position, table)


def _shifted(part: str, start: int, table: re.Pattern[str]) -> Iterator[Piece]:
    for token in _single_digits(scan(part, table)):
        yield Piece(token.type, token.text, start + token.at)
