"""A line of plain notation in every notation that a screen needs: read here, no algebra is asked."""

from typing import Any

from uchuu_core.failures import Failure
from uchuu_core.notation import plain, read, shown


def reading(text: str) -> dict[str, Any] | None:
    """Return a line in every notation; None where it cannot be read."""
    try:
        line = read(text)
    except Failure:
        return None
    return {"text": plain(line), **shown(line)}


def shown_line(text: str) -> dict[str, Any]:
    """Return a line in every notation; as words, without LaTeX, where it cannot be read."""
    words = {"text": text, "latex": "", "spoken": text}
    return reading(text) or {**words, "sides": {"left": "", "sign": "", "right": ""}}
