"""Lines that name numbers on the way: "a = 2, b = 3, c = -2", "D = 9 + 16 = 25".

They are judged by themselves and are not the next state of the work. The coefficients are those of
the equation with 0 on one side, the discriminant is theirs; a common factor of all is allowed.
"""

from flint import fmpq

from uchuu_core.checking.context import Context
from uchuu_core.checking.judgement import Judgement
from uchuu_core.kernel.points import NotRational, Undefined, value_at
from uchuu_core.tree.nodes import Chain, Either, Line, Relation, Symbol
from uchuu_core.tree.paths import letters

_COEFFICIENTS = {"a": 2, "b": 1, "c": 0}
_DISCRIMINANTS = ("D", "d", "Δ", "δ")
Named = dict[str, list[fmpq]]
"""Each letter with all values that the line gives it (a chain gives several)."""


def named_numbers(before: Line, line: Line, context: Context) -> Judgement | None:
    """Return the verdict of a line that names coefficients or the discriminant.

    None when *line* is no such line, or the line before is no quadratic equation.
    """
    named = _named(line, letters(context.given) | {context.unknown})
    if not named:
        return None
    if any(len(set(values)) > 1 for values in named.values()):
        return Judgement("wrong", "exact", is_aside=True)
    found = {name: values[0] for name, values in named.items()}
    wanted = _quadratic(before, context)
    if wanted is None:
        return None
    if set(found) <= set(_COEFFICIENTS):
        return Judgement("ok" if _are_multiples(found, wanted) else "wrong", is_aside=True)
    if len(found) == 1 and next(iter(found)) in _DISCRIMINANTS:
        (value,) = found.values()
        return Judgement("ok" if _is_discriminant(value, wanted) else "wrong", is_aside=True)
    return None


def _named(line: Line, known: frozenset[str]) -> Named:
    options = line.options if isinstance(line, Either) else (line,)
    found: Named = {}
    for option in options:
        match option:
            case Relation(Symbol(name), "=", right):
                values = [right]
            case Chain((Symbol(name), *rest)):
                values = list(rest)
            case _:
                return {}
        if name in known or name in found:
            return {}
        try:
            found[name] = [value_at(value, {}) for value in values]
        except (NotRational, Undefined):
            return {}
    return found


def _quadratic(before: Line, context: Context) -> tuple[fmpq, fmpq, fmpq] | None:
    """Return c, b, a of an equation of the second degree in the unknown alone."""
    if not isinstance(before, Relation) or letters(before) != {context.unknown}:
        return None
    try:
        zero = context.ring.function(before.left).minus(context.ring.function(before.right))
    except (NotRational, Undefined):
        return None
    if not zero.denominator.is_constant():
        return None
    place = context.ring.names.index(context.unknown)
    by_degree = {int(m[place]): c for m, c in zero.numerator.terms()}
    if max(by_degree, default=0) != 2:
        return None
    c, b, a = (by_degree.get(n, fmpq(0)) for n in range(3))
    return c, b, a


def _are_multiples(found: dict[str, fmpq], wanted: tuple[fmpq, fmpq, fmpq]) -> bool:
    pairs = [(value, wanted[_COEFFICIENTS[name]]) for name, value in found.items()]
    scale = next((mine / theirs for mine, theirs in pairs if theirs != 0), fmpq(1))
    return scale != 0 and all(mine == theirs * scale for mine, theirs in pairs)


def _is_discriminant(value: fmpq, wanted: tuple[fmpq, fmpq, fmpq]) -> bool:
    c, b, a = wanted
    discriminant = b * b - 4 * a * c
    if discriminant == 0 or value == 0:
        return bool(discriminant == value)
    ratio = value / discriminant
    return bool(ratio > 0 and ratio.p.is_square() and ratio.q.is_square())
