"""One number of an equation chosen so that a wanted value solves it."""

from fractions import Fraction
from random import Random

from flint import fmpq

from uchuu_core.checking.original import put_in
from uchuu_core.failures import Failure
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solving import rational_solutions, solution_set
from uchuu_core.tree.build import number
from uchuu_core.tree.nodes import Number, Relation, Symbol
from uchuu_core.tree.paths import letters, part_at, replace_at
from uchuu_core.twinning.places import numerals, with_numeral

_WANTED = "w_0"
"""A letter that no problem has."""


def fitted(line: Relation, unknown: str, wanted: Fraction, chance: Random) -> Relation | None:
    """Return *line* with one of its numbers (equal ones together) exchanged so that *wanted* solves it.

    None when the number drawn for that cannot do it with a whole number.
    """
    groups: dict[str, list[tuple[int, ...]]] = {}
    for numeral in numerals(line):
        if not numeral.is_exponent and "." not in numeral.text:
            groups.setdefault(numeral.text, []).append(numeral.path)
    if not groups or letters(line) - {unknown}:
        return None
    text = chance.choice(sorted(groups))
    open_line = line
    for path in groups[text]:
        open_line = replace_at(open_line, path, Symbol(_WANTED))  # type: ignore[assignment]
    left, right = (put_in(s, unknown, number(wanted)) for s in (open_line.left, open_line.right))
    try:
        found = solution_set(Relation(left, "=", right), _WANTED, ring((_WANTED,)))
    except (NotRational, Undefined, ArithmeticError, Failure):
        return None
    values = [v for v in rational_solutions(found) if v.q == 1 and v != 0]
    if not values or found.everything:
        return None
    value: fmpq = chance.choice(sorted(values))
    fit = line
    for path in groups[text]:
        if not isinstance(part_at(fit, path), Number):
            return None  # the sign that was turned before it stands around it now
        changed = with_numeral(fit, path, Fraction(int(value.p)))
        if changed is None:
            return None
        fit = changed  # type: ignore[assignment]
    return fit
