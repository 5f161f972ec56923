"""Usual ways to write a line, brought to the notation's own signs; every character keeps its place."""

import re

from uchuu_core.failures import Unreadable

_INDEXED = re.compile(r"(?<![A-Za-z0-9])([a-z])([1-9])(?=\s*=[^=])")
_BOTH = re.compile(
    r"^(\s*[a-z])(?:_\{\s*1\s*[,;/]\s*2\s*\}|_1\s*[,/]\s*_?2|1,\s?2|₁\s*[,/]\s*₂)(?=\s*=[^=])"
)
_LOWERED = str.maketrans("123456789", "₁₂₃₄₅₆₇₈₉")
_REALS = re.compile(r"(?<![A-Za-z])R(\s*)(?:\\|∖|\\setminus)(\s*)(?=\{)")
_IN_REALS = re.compile(r"((?:∈|\bin)\s*)(?:R(?![A-Za-z])|ℜ)")
_REAL_LETTER = re.compile(r"^\s*[a-z]\s*∈\s*ℝ\s*[,;|]|[,;]\s*[a-z]\s*∈\s*ℝ\s*$")
_SET_NAME = re.compile(r"^\s*(?:S|L|𝕃|𝕊|[Ss]olution set)\s*=\s*(?=\\?\{|∅)")
_UNION = re.compile(r"(?<=[)\]}])(\s*)U(?=\s*[(\[{])")
_ENDING = re.compile(r"(?<=[^\s.])\s*[.!]\s*$")
_COMMA = re.compile(r"(?<![\d,])\d+,\d+(?![\d,])")


def _blank(found: re.Match[str]) -> str:
    return " " * len(found.group())


def spelled(text: str) -> str:
    """Return *text*, as long as before, with x1 as x₁, x_{1,2} as x, ``S =`` before a set left out, and so on."""
    text = text.replace("≟", "=").replace("⩵", "=")
    text = _BOTH.sub(lambda m: m.group(1) + " " * (len(m.group()) - len(m.group(1))), text)
    if "=" in text and len(set(_INDEXED.findall(text))) > 1:
        text = _INDEXED.sub(lambda m: m.group(1) + m.group(2).translate(_LOWERED), text)
    if "R" in text or "ℜ" in text:
        text = _REALS.sub(lambda m: "ℝ∖" + " " * (len(m.group()) - 2), text)
        text = _IN_REALS.sub(r"\1ℝ", text)
    if "ℝ" in text:
        text = _REAL_LETTER.sub(_blank, text)
    if "U" in text and ("∞" in text or "inf" in text):
        text = _UNION.sub(r"\1∪", text)
    if "{" in text or "∅" in text:
        text = _SET_NAME.sub(_blank, text)
    return _ENDING.sub(_blank, text)


def decimal_comma(text: str) -> None:
    """Refuse a number with a decimal comma, which the house rules do not ask for.

    Raises:
        Unreadable: *text* holds one.
    """
    found = _COMMA.search(text)
    if found:
        number = found.group()
        raise Unreadable(
            f"{number} is written with a comma. Write {number.replace(',', '.')}, or choose the "
            "decimal comma in the house rules.",
            found.start(),
        )
