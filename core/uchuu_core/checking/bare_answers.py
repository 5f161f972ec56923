"""A bare answer, as it comes on a slip or stands in a key, as a line of the paper."""

import re

from uchuu_core.checking.context import Context
from uchuu_core.checking.equations import same_by_special_cases
from uchuu_core.checking.steps import same_end
from uchuu_core.failures import Failure
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.tree.nodes import Line
from uchuu_core.tree.paths import letters
from uchuu_core.tree.shape import unordered

_STATES = re.compile(r"[=<>≤≥≠∈{:]")
_WORDS = ("solution", "real", "all", "none", "∅", "no ")
_NONE = re.compile(
    r"(?i)(none|no (real )?(sol(\.|utions?|ns?)?|answers?|roots?)|n\.? ?s\.?|d\.?n\.?e\.?|∅|\{ *\})\.?"
)
"""How somebody writes that an equation has no solution."""


def as_answer(text: str, context: Context) -> str:
    """Write a bare value as a value of the unknown, where an equation is solved.

    Values of the unknown side by side (``x = 3  x = -2``) are alternatives; the usual words and signs for “no solution”
    are written so.
    """
    text = text.strip()
    if not context.is_equation or not context.unknown:
        return text
    if _NONE.fullmatch(text):
        return "no solution"
    unknown = re.escape(context.unknown)
    if re.match(rf"{unknown}\s*=", text):
        text = re.sub(rf"(?<=[\d)}}])\s+(?={unknown}\s*=)", " or ", text)
    if _STATES.search(text) or any(word in text.lower() for word in _WORDS):
        return text
    return f"{context.unknown} = {text}"


def is_same_answer(one: Line, other: Line, context: Context) -> bool:
    """Whether two answers to the problem are the same: written alike, or equal in value or in solutions.

    Features and domains are compared as they are written. Solutions with letters in them are compared in
    special cases.
    """
    if unordered(one) == unordered(other):
        return True
    if context.problem.task in ("domain", "study"):
        return False
    try:
        same = same_end(one, other, context)
        if same is None and context.is_equation and len(letters(context.given)) > 1:
            same = same_by_special_cases(one, other, context)
    except (Failure, ArithmeticError, NotRational, Undefined):
        return False
    return same is True
