"""The balance picture of a linear equation: what lies on each side, and what is done to both."""

from fractions import Fraction

from uchuu_core.answers.worked import Balance, Side
from uchuu_core.failures import OutOfScope
from uchuu_core.lawbook.says import Says
from uchuu_core.methods.equations.polynomials import coefficients
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Line, Relation


def balance(given: Line, lines: list[tuple[Line, Says]], unknown: str) -> list[Balance]:
    """Return a picture for the given and each line that is linear with no brackets to open.

    Each has ``line`` (0 for the given), ``left`` and ``right`` as ``{"unknown", "number"}`` (exact,
    as texts), and ``done``: what was done to both sides to come here, empty for the given.
    Empty when the given is not linear.

    Args:
        given: The equation.
        lines: The lines under it, each with its sentence.
        unknown: The letter.
    """
    found: list[Balance] = []
    for number, (line, says) in enumerate([(given, Says()), *lines]):
        sides = _sides(line, unknown)
        if sides is None:
            if number == 0:
                return []
            continue
        left, right = sides
        found.append({"line": number, "left": left, "right": right, "done": says.text})
    return found


def _sides(line: Line, unknown: str) -> tuple[Side, Side] | None:
    if not isinstance(line, Relation) or line.sign != "=":
        return None
    found: list[Side] = []
    for side in (line.left, line.right):
        try:
            values = coefficients(Relation(side, "=", build.ZERO), unknown)
        except OutOfScope:
            return None
        if len(values) > 2:
            return None
        number, many = (*values, Fraction(0), Fraction(0))[:2]
        found.append({"unknown": str(many), "number": str(number)})
    return found[0], found[1]
