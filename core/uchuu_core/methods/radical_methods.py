"""The contract's methods for radicals."""

from collections.abc import Callable, Iterator

from uchuu_core.failures import OutOfScope
from uchuu_core.methods.method import Method, Moment, Posed
from uchuu_core.methods.radicals import COMBINE, CONJUGATE, LARGEST, PRIMES, SIMPLIFY, worked
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Relation, Root
from uchuu_core.tree.paths import parts

PLAIN = "radicals"
_MISSING = {
    LARGEST: "no radicand has a square factor",
    PRIMES: "no radicand has a square factor",
    COMBINE: "no single root stands below a bar",
    SIMPLIFY: "no single root stands below a bar",
    CONJUGATE: "no sum with a root stands below a bar",
    PLAIN: "it is in simplest form already",
}


def _refusal(key: str) -> Callable[[Posed], str | None]:
    def refusal(posed: Posed) -> str | None:
        if isinstance(posed.given, Relation):
            return "this is an equation"
        start = build.without_brackets(posed.given)
        if not any(isinstance(part, Root) for part in parts(start)):
            return "it holds no root"
        try:
            found = worked(start, key, posed.numbers.non_negative)
        except OutOfScope as reason:
            return reason.clause
        if not found.moments:
            return _MISSING[PLAIN]
        used = found.techniques | ({PRIMES} if LARGEST in found.techniques else set())
        if key == PLAIN:
            return None
        return None if key in used else _MISSING[key]

    return refusal


def _moments(key: str) -> Callable[[Posed], Iterator[Moment]]:
    def moments(posed: Posed) -> Iterator[Moment]:
        start = build.without_brackets(posed.given)
        return iter(worked(start, key, posed.numbers.non_negative).moments)

    return moments


_WHY = {
    SIMPLIFY: "Simplify the root below first, then multiply by one: smaller numbers.",
    COMBINE: "Multiply by one first, simplify afterwards.",
    CONJUGATE: "The conjugate makes a difference of squares below.",
    LARGEST: "The largest square factor comes out at once.",
    PRIMES: "Primes in pairs come out.",
    PLAIN: "Multiply roots, collect like ones.",
}
RADICALS = tuple(
    Method(
        key=key,
        tasks=("simplify", "evaluate", "expand"),
        refusal=_refusal(key),
        why=why,
        moments=_moments(key),
    )
    for key, why in _WHY.items()
)
