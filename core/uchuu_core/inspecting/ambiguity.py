"""Notation that is read in two ways: both readings, and the value of each."""

from math import lcm
from typing import Any

from uchuu_core.answers.sentences import Ambiguity, ReadingValue
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.methods.written import polynomial_tree, ring_of
from uchuu_core.notation import latex, plain, read
from uchuu_core.notation.brackets import Juxtaposition
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Line, Number, Power, Quotient, Relation, Signed, Sum
from uchuu_core.tree.paths import walk

_BARS = "÷ and / stand in one line: every / is a fraction bar and binds first."
_EQUAL = "An unwritten multiplication stands behind a division: it is read with equal rank."
_TIGHTER = "An unwritten multiplication stands behind a division: it is read first."
_POWER = "A minus stands before a power: the power belongs to the number only."


def ambiguities(problem: Problem) -> list[Ambiguity]:
    """Return what in the given others may read differently; the reading taken stands first.

    ``{"says", "readings": [{"text", "latex", "value"}]}``.

    Raises:
        Unreadable, TooLarge: the given cannot be read.
    """
    text, rule, decimal = problem.given, problem.house.juxtaposition, problem.house.decimal
    other: Juxtaposition = "tighter" if rule == "equal" else "equal"
    here = problem.read(text)
    found: list[Ambiguity] = []
    there = _reading(text, other, decimal)
    if there is not None and here != there:
        says = _EQUAL if rule == "equal" else _TIGHTER
        found.append({"says": says, "readings": [_shown(here), _shown(there)]})
    if "÷" in text and "/" in text:
        strict = _reading(text.replace("/", "÷"), rule, decimal)
        taken, otherwise = _value(here), strict and _value(strict)
        if strict is not None and taken != otherwise:
            found.append({"says": _BARS, "readings": [_shown(here), _shown(strict)]})
    if any(_is_minus_power(part) for _, part in walk(here)):
        found.append({"says": _POWER, "readings": [_shown(here)]})
    return found


def _reading(text: str, rule: Juxtaposition, decimal: Any) -> Line | None:
    try:
        return read(text, None, rule, decimal)
    except Failure:
        return None


def _is_minus_power(part: Line) -> bool:
    match part:
        case Signed("-", Power(Number(), _)):
            return True
        case Sum(terms):
            first = terms[0]
            return first.sign == "-" and isinstance(first.body, Power)
        case _:
            return False


def _value(line: Line) -> str | None:
    """Return what an expression comes to, in lowest terms; None where that is not seen."""
    if isinstance(line, Relation):
        return None
    algebra = ring_of(line)
    try:
        value = algebra.lowest(algebra.function(line))  # type: ignore[arg-type]
    except Undefined:
        return "no value"
    except (NotRational, Failure):
        return None
    constant = value.constant()
    if constant is not None:
        return str(constant)
    common = lcm(*(int(c.q) for p in (value.numerator, value.denominator) for c in p.coeffs()))
    top = polynomial_tree(value.numerator * common, algebra)
    bottom = polynomial_tree(value.denominator * common, algebra)
    return plain(top if bottom == build.ONE else Quotient(top, bottom))


def _shown(line: Line) -> ReadingValue:
    return {"text": plain(line), "latex": latex(line), "value": _value(line)}
