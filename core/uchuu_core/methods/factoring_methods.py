"""The contract's methods of factoring: one route, named by the techniques that it uses."""

from collections.abc import Iterator
from typing import Any

from uchuu_core.methods.factoring import SCHOOLS, Route, route, school_of
from uchuu_core.methods.method import Method, Moment, Posed


def _refusal(key: str) -> Any:
    def refusal(posed: Posed) -> str | None:
        found = route(posed.given, key if key in SCHOOLS else school_of(posed.house))
        if isinstance(found, str):
            return found
        if key == "factor":
            named = found.techniques & set(TECHNIQUES)
            return "a technique with a name of its own serves" if named else None
        if key in found.techniques:
            return None
        return _MISSING[key]

    return refusal


_MISSING = {
    "common-factor": "the terms have no common factor",
    "difference-of-squares": "no difference of two squares turns up",
    "sum-of-cubes": "no sum or difference of two cubes turns up",
    "perfect-square": "no perfect square trinomial turns up",
    "sum-product": "no trinomial with leading coefficient 1 turns up",
    "split-middle-and-group": "no trinomial with another leading coefficient than 1 turns up",
    "divide-and-reduce": "no trinomial with another leading coefficient than 1 turns up",
    "by-inspection": "no trinomial with another leading coefficient than 1 turns up",
    "grouping": "there are no four terms to group",
}
_WHY = {
    "split-middle-and-group": "Split the middle term by the pair, group, take out: every line is proved.",
    "divide-and-reduce": "Divide the pair by the leading coefficient, reduce, clear the denominators.",
    "by-inspection": "Try first and last terms until outer and inner product make the middle one.",
    "sum-product": "A pair with the last number as product and the middle one as sum.",
    "difference-of-squares": "One square less another.",
    "sum-of-cubes": "Two cubes.",
    "perfect-square": "The ends are squares and the middle is twice their product.",
    "grouping": "Four terms that share a bracket two by two.",
    "common-factor": "All terms share a factor.",
    "factor": "Common factor, then patterns.",
}


def _moments(key: str) -> Any:
    def moments(posed: Posed) -> Iterator[Moment]:
        found = route(posed.given, key if key in SCHOOLS else school_of(posed.house))
        assert isinstance(found, Route)
        return iter(found.moments)

    return moments


TECHNIQUES = tuple(key for key in _WHY if key not in ("factor", "grouping"))
"""The methods that are a way to take one polynomial apart."""
FACTORING = tuple(
    Method(key=key, tasks=("factor",), refusal=_refusal(key), why=why, moments=_moments(key))
    for key, why in _WHY.items()
)
