"""A line cut at its relation sign, so that a drawing can stand the signs under each other."""

from collections.abc import Callable
from copy import copy
from functools import lru_cache
from typing import Any

from uchuu_core.answers.sentences import Shown, Sides, Track
from uchuu_core.notation.decorating import carried
from uchuu_core.notation.writers.latex import latex
from uchuu_core.notation.writers.spoken import spoken
from uchuu_core.tree.nodes import (
    Chain,
    Either,
    Feature,
    Line,
    Outcome,
    Relation,
    Sign,
    Signed,
    Sum,
    Term,
    ValueSet,
)
from uchuu_core.tree.paths import parts, rebuild

_SHOWN = {"=": "=", "!=": "≠", "<": "<", ">": ">", "<=": "≤", ">=": "≥"}


Writer = Callable[[Line], str]


def sides(line: Line, write: Writer = latex) -> Sides:
    """Return ``left`` and ``right`` as *write* has them, and the ``sign`` between; ``left`` may be empty.

    An expression hangs on its ``=``; words and sets stand right of ``∴``; a feature hangs on no sign.
    """
    match line:
        case Relation():
            found: Sides = {**_track(line, write)}
            if both := both_signs(line):
                found |= {"tracks": [_track(one, write) for one in both], "join": "±"}
            return found
        case Chain(links):
            rest = "=".join(write(part) for part in links[1:])
            return {"left": write(links[0]), "sign": "=", "right": rest}
        case Either(options):
            first = options[0]
            whole, head = write(line), write(first.left)
            cut = len(write(first)) - len(write(first.right))
            found = {"left": head, "sign": _SHOWN[first.sign], "right": whole[cut:]}
            if line.is_or:
                found |= {"tracks": [_track(option, write) for option in options], "join": "or"}
            return found
        case Feature():
            return {"left": "", "sign": "", "right": write(line)}
        case Outcome() | ValueSet():
            return {"left": "", "sign": "∴", "right": write(line)}
        case _:
            return {"left": "", "sign": "=", "right": write(line)}


def both_signs(relation: Relation) -> tuple[Relation, Relation] | None:
    """Return the two relations that a ± on the right of *relation* stands for; None without one.

    Only where the ± is the last thing that is done there, and the only one: a formula under one bar
    stays whole.
    """
    signs = [sign for part in parts(relation) for sign in _signs(part)]
    if signs.count("+-") != 1 or "+-" not in _signs(relation.right):
        return None
    plus, minus = (rebuild(relation.right, _with_sign(sign)) for sign in ("+", "-"))
    return (
        Relation(relation.left, relation.sign, plus),
        Relation(relation.left, relation.sign, minus),
    )


def _signs(part: Any) -> tuple[str, ...]:
    match part:
        case Signed(sign, _):
            return (sign,)
        case Sum(terms):
            return tuple(term.sign for term in terms)
        case _:
            return ()


def _with_sign(sign: Sign) -> Callable[[Any], Any]:
    def change(part: Any) -> Any:
        match part:
            case Signed("+-", body):
                new = carried(body, copy(body)) if sign == "+" else Signed("-", body)
                return carried(part, new)
            case Sum(terms):
                return Sum(tuple(Term(sign, t.body) if t.sign == "+-" else t for t in terms))
            case _:
                return part

    return change


def _track(relation: Relation, write: Writer) -> Track:
    sign = _SHOWN[relation.sign]
    return {"left": write(relation.left), "sign": sign, "right": write(relation.right)}


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
