"""Unit words: several letters that are one, quoted ("crates") or known (km) beside a number."""

import re
from functools import lru_cache

KNOWN = (
    "km", "cm", "mm", "dm", "nm", "kg", "mg", "ml", "mL", "cl", "kW", "kWh", "min", "sec", "hr", "hrs", "ft", "yd",
    "mi", "lb", "lbs", "oz", "gal", "mph", "kph", "rpm", "mile", "miles", "hour", "hours", "minute", "minutes",
    "second", "seconds", "metre", "metres", "meter", "meters", "foot", "feet", "inch", "inches", "yard", "yards",
    "litre", "litres", "liter", "liters", "gram", "grams", "gallon", "gallons", "dollar", "dollars", "cent", "cents",
    "euro", "euros", "pound", "pounds", "ounce", "ounces", "day", "days", "week", "weeks", "month", "months",
    "year", "years",
)  # fmt: skip
"""Words that are units where a number and a space stand before them."""
QUOTED = r'"[A-Za-z]{1,20}"'
_ANY = "|".join(sorted(KNOWN, key=len, reverse=True))
_BESIDE_NUMBER = re.compile(rf"(?<=[0-9] )(?:{_ANY})(?![A-Za-z])")
_WORD = re.compile(rf"(?<![A-Za-z\"\\{{_])(?:{_ANY})(?![A-Za-z\"])")
_QUOTED = re.compile(QUOTED)


def is_unit(name: str) -> bool:
    """Return whether the name of a letter is a word."""
    return len(name) > 1 and name.isalpha() and name != "infinity"


@lru_cache(maxsize=512)
def units_in(text: str) -> frozenset[str]:
    """Return the unit words of a problem: those in quotes, and known ones where one stands beside a number.

    Of "hour" and "hours" the first is meant.
    """
    found = {word.strip('"') for word in _QUOTED.findall(text)}
    if _BESIDE_NUMBER.search(text):
        found |= set(_WORD.findall(text))
    return frozenset(unit for unit in found if not found & {*_forms(unit)} - {f"{unit}s"})


def quoted(text: str, units: frozenset[str]) -> str:
    """Return *text* with the unit words of its problem in quotes, in the number in which the problem has them."""
    if not units:
        return text
    known = {form: unit for unit in units for form in (*_forms(unit), unit)}
    words = "|".join(sorted(map(re.escape, known), key=len, reverse=True))
    pattern = rf"(?<![A-Za-z\"\\{{_])(?:{words})(?![A-Za-z\"])"
    return re.sub(pattern, lambda found: f'"{known[found.group()]}"', text)


def _forms(unit: str) -> tuple[str, ...]:
    """Return the same word for one and for several."""
    if len(unit) < 4:
        return ()
    return (unit.removesuffix("s"),) if unit.endswith("s") else (f"{unit}s",)
