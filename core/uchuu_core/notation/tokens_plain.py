"""Plain notation, as typed on a keyboard, cut into tokens (contract, "Plain notation")."""

import re
from collections.abc import Iterator

from uchuu_core.notation.tokens import VULGAR_FRACTIONS, Piece, finish, scan

_VULGAR = "".join(VULGAR_FRACTIONS)

_OPENING = re.compile(r"(?i)\s*((let|thus|hence|therefore)\b|∴|⇒|⟹|=>|→)")
TABLE = re.compile(
    rf"""(?ix)
    (?P<SKIP>[ \t\u00a0]+)
  | (?P<EXCEPT>all\ ((real\ numbers|values|reals)\ )?except\ (the\ )?excluded(\ (values|ones))?)
  | (?P<ALL_BUT>all\ (real\ numbers|values|reals|numbers)\ except(\ for)?)
  | (?P<NO_SOLUTION>no\ (real\ )?(solutions?|values?|roots?)|not?\ (a\ )?real(\ numbers?)?|undefined|not\ defined|does\ not\ exist|∅)
  | (?P<PRIME>prime|irreducible|not\ factorable|cannot\ be\ factored(\ over\ the\ integers)?)
  | (?P<ALL_REALS>all\ (real\ numbers|reals|real\ values|numbers|values)|infinitely\ many\ solutions|ℝ)
  | (?P<OR>\bor\b|\band\b|∨|;)
  | (?P<IN>∈|\bin\b)
  | (?P<ABSOLUTE>abs(?=\s*\())
  | (?P<SQUARE_ROOT>sqrt|√)
  | (?P<CUBE_ROOT>cbrt|∛)
  | (?P<ROOT>root(?=\s*\())
  | (?P<MIXED>[0-9]+[ ]+[0-9]+/[0-9]+(?![0-9.])|[0-9]+[{_VULGAR}])
  | (?P<NUMBER>[0-9]+\.[0-9]+|[0-9]+|\.[0-9]+)
  | (?P<VULGAR>[{_VULGAR}])
  | (?P<SUPERSCRIPT>[⁻]?[⁰¹²³⁴⁵⁶⁷⁸⁹]+)
  | (?P<NAME>[a-zα-ω](_[0-9]+|[₀-₉]+)?)
  | (?P<PLUS_MINUS>\+-|\+/-|±)
  | (?P<PLUS>\+)
  | (?P<MINUS>[-−–])
  | (?P<TIMES>[*×·⋅])
  | (?P<DIVIDE>÷)
  | (?P<SLASH>[/∕])
  | (?P<CARET>\^|\*\*)
  | (?P<OPEN>[(\[])
  | (?P<CLOSE>[)\]])
  | (?P<OPEN_SET>\{{)
  | (?P<CLOSE_SET>\}})
  | (?P<BAR>\|)
  | (?P<COMMA>,)
  | (?P<RELATION>!=|≠|<=|>=|≤|≥|<|>)
  | (?P<EQUALS>=)
    """
)


def tokens(text: str) -> Iterator[Piece]:
    """Yield the tokens of a line in plain notation; a word like "let" or "thus" leads nowhere."""
    opening = _OPENING.match(text)
    if opening:
        text = " " * opening.end() + text[opening.end() :]
    return finish(scan(text, TABLE))
