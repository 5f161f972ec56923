"""The check of an expression's answer: values tried in the given and in the answer."""

from typing import Any

from uchuu_core.answers.checked import CandidateCheck
from uchuu_core.answers.sentences import Typeset
from uchuu_core.checking.original import put_in
from uchuu_core.kernel.equality import letters_of
from uchuu_core.kernel.points import NotRational, Undefined, simple_points, value_at
from uchuu_core.notation import latex, plain
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line

_LEAST = 2
"""Values 0 and 1 hide too many errors to be tried."""


def value_checks(given: Line, answer: Line) -> list[CandidateCheck]:
    """Return one check record: all letters set to different numbers above 1, both sides worked out.

    Empty where there are no letters, or no rational value to compare.
    """
    names = letters_of(given, answer)  # type: ignore[arg-type]
    if not names:
        return []
    for point in simple_points(names):
        if any(abs(value) < _LEAST for value in point.values()):
            continue
        try:
            left, right = _value(given, point), _value(answer, point)
        except (NotRational, Undefined):
            continue
        at = ", ".join(f"{name} = {value}" for name, value in point.items())
        holds = left == right
        return [
            {
                "value": at,
                "value_latex": at,
                "left": str(left),
                "right": str(right),
                "left_lines": _lines(given, point, left),
                "right_lines": _lines(answer, point, right),
                "holds": holds,
                "says": "same value" if holds else "another value",
            }
        ]
    return []


def _lines(line: Line, point: dict[str, Any], value: Any) -> list[Typeset]:
    """Write *line* with its letters filled in, and its value."""
    filled: Expr = line  # type: ignore[assignment]
    for name, number in point.items():
        filled = put_in(filled, name, build.number_of(number))
    written = (filled, build.number_of(value))
    return [{"text": plain(part), "latex": latex(part)} for part in written]


def _value(line: Line, point: dict[str, Any]) -> Any:
    node: Expr = line  # type: ignore[assignment]
    return value_at(node, point)
