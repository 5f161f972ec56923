"""A line cut at its relation sign, so that a drawing can stand the signs under each other."""

from functools import lru_cache

from uchuu_core.answers.sentences import Shown, Sides, Track
from uchuu_core.notation.writers.latex import latex
from uchuu_core.notation.writers.spoken import spoken
from uchuu_core.tree.nodes import Chain, Either, Feature, Line, Outcome, Relation, ValueSet

_SHOWN = {"=": "=", "!=": "≠", "<": "<", ">": ">", "<=": "≤", ">=": "≥"}


def sides(line: Line) -> Sides:
    """Return ``left`` and ``right`` in LaTeX and the ``sign`` between; ``left`` may be empty.

    An expression hangs on its ``=``; words and sets stand right of ``∴``; a feature hangs on no sign.
    """
    match line:
        case Relation():
            return {**_track(line)}
        case Chain(parts):
            rest = "=".join(latex(part) for part in parts[1:])
            return {"left": latex(parts[0]), "sign": "=", "right": rest}
        case Either(options):
            first = options[0]
            whole, head = latex(line), latex(first.left)
            cut = len(latex(first)) - len(latex(first.right))
            found: Sides = {"left": head, "sign": _SHOWN[first.sign], "right": whole[cut:]}
            if line.is_or:
                found["tracks"] = [_track(option) for option in options]
            return found
        case Feature():
            return {"left": "", "sign": "", "right": latex(line)}
        case Outcome() | ValueSet():
            return {"left": "", "sign": "∴", "right": latex(line)}
        case _:
            return {"left": "", "sign": "=", "right": latex(line)}


def _track(relation: Relation) -> Track:
    sign = _SHOWN[relation.sign]
    return {"left": latex(relation.left), "sign": sign, "right": latex(relation.right)}


def shown(line: Line) -> Shown:
    """Return what a screen needs of a line: its LaTeX, its sides, and how it is said."""
    found = _shown(line)
    cut: Sides = {**found["sides"]}
    if "tracks" in cut:  # whoever gets it may change it: what is remembered stays
        cut["tracks"] = [{**track} for track in cut["tracks"]]
    return {**found, "sides": cut}


@lru_cache(maxsize=2048)
def _shown(line: Line) -> Shown:
    return {"latex": latex(line), "sides": sides(line), "spoken": spoken(line)}
