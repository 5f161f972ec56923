"""Plain notation, as typed on a keyboard, cut into tokens (contract, "Plain notation")."""

import re
from collections.abc import Iterator

from uchuu_core.notation.meanings import meant
from uchuu_core.notation.tokens import VULGAR_FRACTIONS, Decimal, Piece, finish, scan
from uchuu_core.notation.units import QUOTED

_VULGAR = "".join(VULGAR_FRACTIONS)

_OPENING = re.compile(r"(?i)\s*((let|thus|hence|therefore)\b|∴|⇒|⟹|=>|→)")
_ALL = r"(all|every|any)\ (real\ numbers?|reals?|real\ values?|numbers?|values?)"
_EXCEPT = r"\ ?(except(\ for|\ when|\ where)?|but|other\ than|excluding|without|[∖\\])"
_PATTERN = rf"""(?ix)
    (?P<SKIP>[ \t\u00a0]+)
  | (?P<MIXED>[0-9]+[ ]+[0-9]+/[0-9]+(?![0-9.])|[0-9]+[{_VULGAR}])
  | (?P<NUMBER>NUMERAL)
  | (?P<PLUS_MINUS>\+-|\+/-|±)
  | (?P<PLUS>\+)
  | (?P<MINUS>[-−–])
  | (?P<CARET>\^|\*\*)
  | (?P<TIMES>[*×·⋅])
  | (?P<OPEN>[(\[])
  | (?P<CLOSE>[)\]])
  | (?P<EQUALS>=)
  | (?P<SLASH>[/∕])
  | (?P<EXCEPT>all\ ((real\ numbers|values|reals)\ )?except\ (the\ )?excluded(\ (values|ones))?)
  | (?P<ALL_BUT>{_ALL},?{_EXCEPT}|ℝ\ *([∖\\−-](?=\ *\{{)|{_EXCEPT}))
  | (?P<NO_SOLUTION>(has\ )?no\ (real\ )?(solutions?|values?|roots?|answers?)|not?\ (a\ )?real(\ numbers?)?|undefined|not\ defined|does\ not\ exist|∅)
  | (?P<PRIME>(is\ )?prime|irreducible|unfactorable|(not|un)\ ?factorable|(cannot|can['’]t|does\ not|doesn['’]t)\ (be\ )?factor(ed)?(\ over\ the\ integers|\ further)?)
  | (?P<ALL_REALS>{_ALL}|infinitely\ many(\ solutions)?|always\ true|identity|(is\ )?true\ for\ (all|every|any)(\ real)?(\ (numbers?|values?(\ of\ [a-z])?|[a-z]\b))?|ℝ)
  | (?P<OR>\bor\b|\band\b|∨|∧|;)
  | (?P<IN>∈|\bin\b)
  | (?P<INFINITY>∞|infinity\b)
  | (?P<UNION>∪|\bunion\b)
  | (?P<BUILD>\{{\ *(?-i:[a-zA-Zα-ω])\ *((∈|\bin\b)\ *(ℝ|R\b)\ *)?[|:∣])
  | (?P<LOG>log(_[0-9]+|[₀-₉]+)?(?![a-z])|ln(?![a-z]))
  | (?P<FUNCTION>(?<![a-z])(arc|a)?(sin|cos|tan|cot|sec|csc)h?(?=[a-zα-ω]?\b|\ *\(|[²^])|(?<![a-z])(log|ln|lim|exp)(?=[a-z_]?\b|\ *\())
  | (?P<ABSOLUTE>abs(?=\s*\())
  | (?P<SQUARE_ROOT>sqrt|√)
  | (?P<CUBE_ROOT>cbrt|∛)
  | (?P<ROOT>root(?=\s*\())
  | (?P<VULGAR>[{_VULGAR}])
  | (?P<SUPERSCRIPT>[⁻]?[⁰¹²³⁴⁵⁶⁷⁸⁹]+)
  | (?P<UNIT>{QUOTED})
  | (?P<NAME>(?-i:[a-zA-Zα-ωΑ-Ω])(_[0-9]+|[₀-₉]+)?)
  | (?P<DIVIDE>÷|:)
  | (?P<OPEN_SET>\{{)
  | (?P<CLOSE_SET>\}})
  | (?P<BAR>\|)
  | (?P<COMMA>,)
  | (?P<RELATION>!=|≠|<=|>=|≤|≥|<|>)
    """
_POINT = r"[0-9]+\.[0-9]+|[0-9]+|\.[0-9]+"
_TABLES = {
    "point": re.compile(_PATTERN.replace("NUMERAL", _POINT)),
    "comma": re.compile(_PATTERN.replace("NUMERAL", r"[0-9]+,[0-9]+|" + _POINT)),
}


def tokens(text: str, decimal: Decimal = "point", unknown: str | None = None) -> Iterator[Piece]:
    """Yield the tokens of a line in plain notation; a word like "let" or "thus" leads nowhere.

    ``decimal``: the house rule; under "comma", ``1,5`` is a number. ``unknown``: see ``meant``.
    """
    opening = _OPENING.match(text)
    if opening:
        text = " " * opening.end() + text[opening.end() :]
    return finish(meant(list(scan(text, _TABLES[decimal])), unknown))
