"""Where an item of a key begins: ``12.``, ``12.3``, ``(4)``, ``Q4:``, ``#7``, ``a)``, ``5 (…)``.

The same sign may be an item in one key and a choice, or a plain number, in another: what a whole text
does decides.
"""

import re
from dataclasses import dataclass
from itertools import pairwise

_NAMED = re.compile(
    r"\s*(?:(?:problem|question|exercise|item|task|ex|no|q)\.?\s*|#\s*)(\d{1,3}(?:\.\d{1,3})?[a-z]?)\s*[.):]?\s+(?=\S)",
    re.I,
)
_DOTTED = re.compile(r"\s*(?:\((\d{1,3})\)|(\d{1,3})\s*[.):])(?:\s+|(?=[(\[√]))(?=\S)")
_SECTION = re.compile(r"\s*(\d{1,3}\.\d{1,3})\s*[.):]?\s+(?=\S)")
_BARE = re.compile(r"\s*(\d{1,3})(?:\s{2,}|\s+(?=[(\[A-Za-z\\√|]))(?=\S)")
_LETTER = re.compile(r"\s*\(?([A-Za-z])\s*[.)]\s+(?=\S)")
_CAPITAL = re.compile(r"\s*([A-Z])(?:\s{2,}|\t)(?=\S)")
_ALONE = re.compile(
    r"\s*(?:\((\d{1,3})\)|(?:#|Q\.?\s*)?(\d{1,3}(?:\.\d{1,3})?)\s*[.):]|#\s*(\d{1,3})|([A-Z]))\s*$"
)


@dataclass(frozen=True, slots=True)
class Numbering:
    """Which signs begin an item in one text."""

    section: bool
    bare: bool
    letters: bool
    capitals: bool
    sub_items: bool

    def begins(self, line: str) -> tuple[str, int] | None:
        """Return the number that *line* begins with and where the item's text starts, or None."""
        for pattern, is_used in (
            (_NAMED, True),
            (_SECTION, self.section),
            (_DOTTED, True),
            (_BARE, self.bare),
            (_LETTER, self.letters),
            (_CAPITAL, self.capitals),
        ):
            found = pattern.match(line) if is_used else None
            if found:
                return next(group for group in found.groups() if group), found.end()
        alone = _ALONE.match(line)
        if alone:
            number = next(group for group in alone.groups() if group)
            if number.isalpha() and not (self.letters or self.capitals):
                return None
            return number, len(line)
        return None

    def sub_item(self, line: str) -> tuple[str, int] | None:
        """Return the letter that *line* begins with, when letters may part an item."""
        found = _LETTER.match(line) if self.sub_items else None
        return (found.group(1).lower(), found.end()) if found else None


def numbering_of(lines: list[str]) -> Numbering:
    """Return how the items of a text are numbered."""
    dotted = _found(lines, _DOTTED, _NAMED)
    sections = _found(lines, _SECTION)
    letters = [letter.lower() for letter in _found(lines, _LETTER)]
    capitals = _found(lines, _CAPITAL, re.compile(r"\s*([A-Z])\s*$"))
    bare = [int(number) for number in _found(lines, _BARE)]
    has_numbers = bool(dotted or sections)
    is_run = _climbs([ord(letter) for letter in letters])
    return Numbering(
        section=len(sections) > 1 and _same_chapter(sections),
        bare=_fits_between(bare, dotted) if has_numbers else _climbs(bare) and bare[0] == 1,
        letters=not has_numbers and is_run and len(letters) > 1,
        capitals=not has_numbers and not letters and _climbs([ord(c) for c in capitals]),
        sub_items=has_numbers,
    )


def _found(lines: list[str], *patterns: re.Pattern[str]) -> list[str]:
    """Return the number of every line that begins as one of *patterns* says."""
    found = []
    for line in lines:
        matches = [match for pattern in patterns if (match := pattern.match(line))]
        if matches:
            found.append(next(group for group in matches[0].groups() if group))
    return found


def _climbs(numbers: list[int]) -> bool:
    return len(numbers) > 1 and all(b == a + 1 for a, b in pairwise(numbers))


def _same_chapter(sections: list[str]) -> bool:
    parted = [tuple(map(int, number.split("."))) for number in sections]
    return len({chapter for chapter, _ in parted}) == 1 and all(
        b[1] > a[1] for a, b in pairwise(parted)
    )


def _fits_between(bare: list[int], dotted: list[str]) -> bool:
    """Whether the bare numbers are those that the dotted ones leave out."""
    known = {int(number) for number in dotted if number.isdigit()}
    return bool(bare) and all(n not in known and n - 1 in known | set(bare) for n in bare)
