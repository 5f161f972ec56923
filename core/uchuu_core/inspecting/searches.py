"""The pairs of whole numbers that are tried before a trinomial is taken apart, or found to be prime."""

from dataclasses import dataclass
from math import gcd, isqrt

from uchuu_core.lawbook.factoring import PRIME
from uchuu_core.lawbook.law import Family
from uchuu_core.methods.factoring_trinomials import Trinomial, trinomial_in
from uchuu_core.methods.method import Moment
from uchuu_core.tree.nodes import Line, Sum
from uchuu_core.tree.paths import parts


@dataclass(frozen=True, slots=True)
class Search:
    """One trinomial: its leading coefficient, and how many pairs are tried until one fits, or all in vain."""

    leading: int
    trials: int


def searches(given: Line, moments: list[Moment]) -> list[Search]:
    """Return the searches that a work asks for: each trinomial once that a step of factoring deals with."""
    found: dict[tuple[int, int, int], Search] = {}
    before = given
    for moment in moments:
        if Family.FACTORS in moment.law.families or moment.law is PRIME:
            after = set(parts(moment.line))
            for part in parts(before):
                one = trinomial_in(part) if isinstance(part, Sum) and part not in after else None
                if one is not None and one.b:
                    found.setdefault((one.a, one.b, one.c), _search(one))
        before = moment.line
    return list(found.values())


def _search(one: Trinomial) -> Search:
    """Try the pairs of a·c in order, a common factor taken out first."""
    shared = gcd(one.a, one.b, one.c)
    a, b, c = one.a // shared, one.b // shared, one.c // shared
    size, tried = abs(a * c), 0
    for small in range(1, isqrt(size) + 1):
        if size % small:
            continue
        tried += 1
        large = size // small
        if (small + large if a * c > 0 else large - small) == abs(b):
            break
    return Search(a, tried)
