"""The record of a study: the contract's features, each with the line that found it, and curves."""

from flint import fmpq

from uchuu_core.answers.features import Curve, Shift
from uchuu_core.answers.features import Features as FeaturesRecord
from uchuu_core.answers.features import Stretch as StretchRecord
from uchuu_core.answers.worked import WorkedLine
from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.features import Features, Stretch, features_of
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.written import number_text
from uchuu_core.methods.written import univariate
from uchuu_core.notation import plain
from uchuu_core.studying.curve import branches, window_of
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Line, Relation, Symbol

_FOUND_BY = {
    "domain_excluded": "domain",
    "holes": "hole",
    "vertical": "vertical-asymptote",
    "horizontal": "horizontal-asymptote",
    "oblique": "oblique-asymptote",
    "x_intercepts": "x-intercept",
    "y_intercept": "y-intercept",
    "end": "end-behaviour",
    "shift": "polynomial-division",
}


def features_record(given: Line, unknown: str) -> FeaturesRecord:
    """Return the contract's ``features`` of a function.

    Raises:
        OutOfScope: it is no rational function of one letter.
    """
    try:
        found = features_of(without_brackets(given), unknown)
    except (NotRational, Undefined) as reason:
        raise OutOfScope("This is no rational function of one letter.") from reason
    return {
        "domain_excluded": [number_text(x) for x in found.excluded],
        "holes": [
            [number_text(x), "not rational" if y is None else str(y)] for x, y in found.holes
        ],
        "vertical": [f"{unknown}={number_text(x)}" for x in found.vertical],
        "horizontal": None if found.horizontal is None else f"y={found.horizontal}",
        "oblique": _oblique(found),
        "x_intercepts": [number_text(x) for x in found.zeros],
        "y_intercept": None if found.at_zero is None else str(found.at_zero),
        "end": {"left": str(found.left), "right": str(found.right)},
        "range_excluded": [str(y) for y in found.missed],
        "points": [[str(x), str(y)] for x, y in found.points],
        "shift": _shift(found),
        "stretches": [_stretch(part) for part in found.stretches],
    }


def _oblique(found: Features) -> str | None:
    if not found.is_oblique:
        return None
    line = Relation(Symbol("y"), "=", univariate(found.quotient, found.unknown))
    return plain(line).replace(" ", "")


def _shift(found: Features) -> Shift | None:
    if found.shift is None:
        return None
    a, h, k = found.shift
    return {"a": str(a), "h": str(h), "k": str(k)}


def _stretch(part: Stretch) -> StretchRecord:
    sign = "0" if part.y == 0 else "+" if part.y > 0 else "-"
    return {
        "from": None if part.low is None else number_text(part.low),
        "to": None if part.high is None else number_text(part.high),
        "sign": sign,
        "point": [str(part.x), str(part.y)],
    }


def found_by(lines: list[WorkedLine]) -> dict[str, int]:
    """Return for each feature the number of the line that found it, from 1."""
    laws = {line["law"]: number for number, line in enumerate(lines, 1)}
    return {name: laws[law] for name, law in _FOUND_BY.items() if law in laws}


def curves(given: Line, unknown: str) -> Curve:
    """Return the window and the branches, ready to plot: floats, rounded."""
    found = features_of(without_brackets(given), unknown)
    window = window_of(found)
    return {
        "window": {"x": [window.left, window.right], "y": [window.low, window.high]},
        "branches": [[list(at) for at in branch] for branch in branches(found, window)],
        "marks": {
            "vertical": [_rounded(x) for x in found.vertical],
            "horizontal": None if found.horizontal is None else _float(found.horizontal),
            "oblique": _line_of(found),
            "at_zero": None if found.at_zero is None else _float(found.at_zero),
            "zeros": [_rounded(x) for x in found.zeros],
            "holes": [[_rounded(x), _float(y)] for x, y in found.holes if y is not None],
        },
    }


def _line_of(found: Features) -> list[float] | None:
    """Return slope and height at 0 of the oblique asymptote."""
    if not found.is_oblique:
        return None
    return [_float(found.quotient[1]), _float(found.quotient[0])]


def _rounded(number: Algebraic) -> float:
    return float(round(number.approximation.real, 6))


def _float(value: fmpq) -> float:
    return int(value.p) / int(value.q)
