"""How hard a problem is to work, as a score with its reasons; grows with each of them."""

from typing import Any

from uchuu_core.methods.method import Moment
from uchuu_core.tree.nodes import Line, Mixed, Number, Quotient, Signed, Sum
from uchuu_core.tree.paths import walk


def difficulty(given: Line, lines: list[Moment]) -> dict[str, Any]:
    """Return ``score`` (one decimal, from 0 up) and ``reasons`` (what counted, as sentences)."""
    parts = [part for _, part in walk(given)]
    laws = {moment.law for moment in lines}
    fractions = sum(isinstance(part, (Quotient, Mixed)) for part in parts)
    minuses = sum(isinstance(part, Signed) and part.sign == "-" for part in parts) + sum(
        term.sign == "-" for part in parts if isinstance(part, Sum) for term in part.terms
    )
    large = sum(isinstance(part, Number) and part.value >= 100 for part in parts)
    counted = (
        (0.5 * len(lines), f"{len(lines)} lines"),
        (0.4 * len(laws), f"{len(laws)} different laws"),
        (0.4 * fractions, f"{fractions} fractions"),
        (0.2 * minuses, f"{minuses} minus signs"),
        (0.3 * large, f"{large} numbers from 100 up"),
    )
    reasons = [
        text.replace("1 lines", "1 line").replace("1 different laws", "1 law")
        for weight, text in counted
        if weight
    ]
    return {"score": round(sum(weight for weight, _ in counted), 1), "reasons": reasons}
