"""What may never be said at a line, whoever wrote it."""

import re

_NEVER = {
    "an absurd multiplier": r"both sides by \(.*\)\s*/\s*\(",
    "by 1": r"(Divide|Multiply) (both sides|every term) by 1\b",
    "on both sides": r"\b(Add|Subtract)\b[^.]*\bon both sides",
    "typed notation": r"sqrt\(|cbrt\(|root\(|abs\(|\*|!=|<=|>=|\^\d|\bNone\b|\(1,\)",
    "a hyphen for a minus": r"(?<![a-z])-|-(?![a-z])",
    "nothing": r"Several steps|^The (solutions|value)s?\b.*same|is worked out|^The same is done",
    "an empty part": r" ,|  |\(\)|: \.|^\.",
}
_SIDES = r"both sides|each side|one side"


def never_said(text: str, *, is_equation: bool) -> str:
    """Return what is wrong with a sentence, empty for nothing.

    Args:
        text: The sentence.
        is_equation: Whether it stands at an equation: an expression has no sides.
    """
    for fault, pattern in _NEVER.items():
        if re.search(pattern, text):
            return fault
    return "sides of an expression" if not is_equation and re.search(_SIDES, text, re.I) else ""
