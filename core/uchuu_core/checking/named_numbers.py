"""Lines that name numbers on the way: "a = 2, b = 3, c = -2", "D = 9 + 16 = 25".

They are judged by themselves and are not the next state of the work. The coefficients are those of
the equation with 0 on one side, the discriminant is theirs. All three may have a common factor; one
or two of them, or the discriminant, with another factor than -1 or the content are left undecided.
"""

from flint import fmpq

from uchuu_core.checking.context import Context
from uchuu_core.checking.judgement import Judgement
from uchuu_core.kernel.algebraic import primitive
from uchuu_core.kernel.points import NotRational, Undefined, value_at
from uchuu_core.tree.nodes import Chain, Either, Line, Relation, Symbol
from uchuu_core.tree.paths import letters

_COEFFICIENTS = {"a": 2, "b": 1, "c": 0}
_DISCRIMINANTS = ("D", "d", "Δ", "δ")
Coefficients = tuple[fmpq, fmpq, fmpq]
"""c, b, a: from the constant up."""
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
        return _judged_coefficients(found, wanted)
    if len(found) == 1 and next(iter(found)) in _DISCRIMINANTS:
        (value,) = found.values()
        return _judged_discriminant(value, wanted)
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


def _quadratic(before: Line, context: Context) -> Coefficients | None:
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


_UNDECIDED = "the equation may have been multiplied first"


def _usual(wanted: Coefficients) -> list[Coefficients]:
    """Return the equation's coefficients as they stand, divided by their content, and opposite."""
    whole = primitive(list(wanted))
    found = [wanted, (fmpq(whole[0]), fmpq(whole[1]), fmpq(whole[2]))]
    return [*found, *((-c, -b, -a) for c, b, a in found)]


def _judged_coefficients(found: dict[str, fmpq], wanted: Coefficients) -> Judgement:
    mine = {_COEFFICIENTS[name]: value for name, value in found.items()}
    if any(all(usual[n] == v for n, v in mine.items()) for usual in _usual(wanted)):
        return Judgement("ok", is_aside=True)
    scale = next((v / wanted[n] for n, v in mine.items() if wanted[n] != 0), fmpq(1))
    if scale == 0 or any(v != wanted[n] * scale for n, v in mine.items()):
        return Judgement("wrong", is_aside=True)
    if len(mine) == len(_COEFFICIENTS):
        return Judgement("ok", is_aside=True)
    return Judgement("unproved", "tested", tested=_UNDECIDED, is_aside=True)


def _judged_discriminant(value: fmpq, wanted: Coefficients) -> Judgement:
    known = [b * b - 4 * a * c for c, b, a in _usual(wanted)]
    if value in known:
        return Judgement("ok", is_aside=True)
    ratio = value / known[0] if known[0] != 0 else fmpq(0)
    if ratio > 0 and ratio.p.is_square() and ratio.q.is_square():
        return Judgement("unproved", "tested", tested=_UNDECIDED, is_aside=True)
    return Judgement("wrong", is_aside=True)
