"""Chains ``a = b = c`` in which the equals sign is written for "then"."""

from uchuu_core.kernel.equality import agreement
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.tree.nodes import Chain, Expr, Line
from uchuu_core.tree.paths import letters, parts

_SEVERAL_EQUATIONS = (
    "The equals sign is used for “then”: several equations stand in one chain. "
    "Write each on a line of its own."
)
_RUNNING_TOTAL = (
    "The equals sign is used for “then”: a result is worked on in the same chain, "
    "and its sides are not equal. Start a new line."
)


def misused_equals(line: Line, unknown: str) -> str | None:
    """Return a sentence when the chain *line* says "then" with an equals sign, else None.

    Two kinds: ``2x = 6 = x = 3`` (the unknown stands in two places that are not next to each
    other's value), and a running total ``3 + 4 = 7*2 = 14``.
    """
    if not isinstance(line, Chain):
        return None
    with_unknown = [unknown in letters(side) for side in line.sides]
    if any(with_unknown[2:]) and not all(with_unknown):
        return _SEVERAL_EQUATIONS
    for before, after in zip(line.sides, line.sides[1:], strict=False):
        if not letters(before) and not letters(after) and _goes_on(before, after):
            return _RUNNING_TOTAL
    return None


def _goes_on(before: Expr, after: Expr) -> bool:
    """Whether *after* holds the value of *before* as a part, but is not equal to it."""
    try:
        if agreement(before, after).verdict != "different":
            return False
        inside = [part for part in parts(after) if part is not after]
        return any(agreement(before, part).verdict == "equal" for part in inside)
    except (NotRational, Undefined):
        return False
