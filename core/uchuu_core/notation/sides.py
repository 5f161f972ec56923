"""A line cut at its relation sign, so that a drawing can stand the signs under each other."""

from functools import lru_cache

from uchuu_core.answers.sentences import Shown, Sides
from uchuu_core.notation.writers.latex import latex
from uchuu_core.notation.writers.spoken import spoken
from uchuu_core.tree.nodes import Chain, Either, Line, Outcome, Relation, ValueSet

_SHOWN = {"=": "=", "!=": "≠", "<": "<", ">": ">", "<=": "≤", ">=": "≥"}


def sides(line: Line) -> Sides:
    """Return ``left`` and ``right`` in LaTeX and the ``sign`` between; ``left`` may be empty.

    An expression hangs on its ``=``; words and sets stand right of ``∴``.
    """
    match line:
        case Relation(left, sign, right):
            return {"left": latex(left), "sign": _SHOWN[sign], "right": latex(right)}
        case Chain(parts):
            rest = "=".join(latex(part) for part in parts[1:])
            return {"left": latex(parts[0]), "sign": "=", "right": rest}
        case Either(options):
            first = options[0]
            whole, head = latex(line), latex(first.left)
            cut = len(latex(first)) - len(latex(first.right))
            return {"left": head, "sign": _SHOWN[first.sign], "right": whole[cut:]}
        case Outcome() | ValueSet():
            return {"left": "", "sign": "∴", "right": latex(line)}
        case _:
            return {"left": "", "sign": "=", "right": latex(line)}


def shown(line: Line) -> Shown:
    """Return what a screen needs of a line: its LaTeX, its sides, and how it is said."""
    found = _shown(line)
    return {**found, "sides": {**found["sides"]}}


@lru_cache(maxsize=2048)
def _shown(line: Line) -> Shown:
    return {"latex": latex(line), "sides": sides(line), "spoken": spoken(line)}
