"""Lines that name numbers on the way: "a = 2, b = 3, c = -2", "D = 9 + 16 = 25".

They are judged by themselves and are not the next state of the work. The coefficients are those of
the equation with 0 on one side, the discriminant is theirs. All three may have a common factor; one
or two of them, or the discriminant, with another factor than -1 or the content are left undecided.
"""

from functools import lru_cache
from typing import Any

from flint import fmpq

from uchuu_core.checking.context import Case, Context
from uchuu_core.checking.judgement import Judgement
from uchuu_core.failures import TooLarge
from uchuu_core.kernel.algebraic import primitive
from uchuu_core.kernel.points import NotRational, Undefined, value_at
from uchuu_core.tree.build import number_of
from uchuu_core.tree.nodes import Bracket, Chain, Either, Line, Number, Relation, Symbol
from uchuu_core.tree.paths import letters, rebuild

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
    found = _remembered(before, line, context.case)
    return found and found.copy()


@lru_cache(maxsize=2048)
def _remembered(before: Line, line: Line, case: Case) -> Judgement | None:
    context = case.context
    known = letters(context.given) | {context.unknown}
    wanted = _quadratic(before, context)
    if wanted is not None:
        line = _with_coefficients(line, wanted, known)
    if isinstance(line, Relation) and line.sign != "=":
        return _judged_sign(line, wanted, known)
    named = _named(line, known)
    if not named:
        return None if wanted is None else _judged_formula(line, wanted)
    if any(len(set(values)) > 1 for values in named.values()):
        return Judgement("wrong", "exact", is_aside=True)
    found = {name: values[0] for name, values in named.items()}
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
        except (NotRational, Undefined, TooLarge):
            return {}
    return found


def _quadratic(before: Line, context: Context) -> Coefficients | None:
    """Return c, b, a of an equation of the second degree in the unknown alone."""
    if not isinstance(before, Relation) or letters(before) != {context.unknown}:
        return None
    try:
        zero = context.ring.function(before.left).minus(context.ring.function(before.right))
    except (NotRational, Undefined, TooLarge):
        return None
    if not zero.denominator.is_constant():
        return None
    place = context.ring.names.index(context.unknown)
    by_degree = {int(m[place]): c for m, c in zero.numerator.terms()}
    if max(by_degree, default=0) != 2:
        return None
    c, b, a = (by_degree.get(n, fmpq(0)) for n in range(3))
    return c, b, a


def _with_coefficients(line: Line, wanted: Coefficients, known: frozenset[str]) -> Line:
    """Return *line* with the coefficients in the places of a, b, c that stand in a formula."""
    if not (letters(line) & set(_COEFFICIENTS)) or set(_COEFFICIENTS) & known:
        return line
    if isinstance(line, Either) or (isinstance(line, Relation) and isinstance(line.left, Symbol)
                                    and line.left.name in _COEFFICIENTS):  # fmt: skip
        return line

    def change(part: Any) -> Any:
        if isinstance(part, Symbol) and part.name in _COEFFICIENTS:
            return Bracket(number_of(wanted[_COEFFICIENTS[part.name]]))
        return part

    return rebuild(line, change)  # type: ignore[no-any-return]


def _judged_formula(line: Line, wanted: Coefficients) -> Judgement | None:
    """Judge "b² - 4ac = 25 - 24 = 1" or its numbers alone; None when it is nothing of the kind."""
    match line:
        case Relation(left, "=", right):
            sides = [left, right]
        case Chain(parts):
            sides = list(parts)
        case _:
            return None
    try:
        values = [value_at(side, {}) for side in sides]
    except (NotRational, Undefined, TooLarge):
        return None
    known = [b * b - 4 * a * c for c, b, a in _usual(wanted)]
    if values[0] not in known or isinstance(sides[0], Number):
        return None
    return Judgement("ok" if len(set(values)) == 1 else "wrong", is_aside=True)


def _judged_sign(
    line: Relation, wanted: Coefficients | None, known: frozenset[str]
) -> Judgement | None:
    """Judge "D > 0" or "b² - 4ac < 0"; None when it is nothing of the kind."""
    if wanted is None or line.right != Number("0"):
        return None
    value = wanted[1] * wanted[1] - 4 * wanted[2] * wanted[0]
    if isinstance(line.left, Symbol):
        if line.left.name not in _DISCRIMINANTS or line.left.name in known:
            return None
    else:
        try:
            if value_at(line.left, {}) != value:
                return None
        except (NotRational, Undefined, TooLarge):
            return None
    holds = {"<": value < 0, ">": value > 0, "<=": value <= 0, ">=": value >= 0, "!=": value != 0}
    return Judgement("ok" if holds[line.sign] else "wrong", is_aside=True)


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
