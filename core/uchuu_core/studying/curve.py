"""The graph as points, one list a branch, and the window that shows what matters."""

from dataclasses import dataclass
from fractions import Fraction
from itertools import pairwise

from flint import fmpq

from uchuu_core.kernel.features import Features

SAMPLES = 160
"""Points a branch."""
_LEAST, _MOST = 8.0, 24.0


@dataclass(frozen=True, slots=True)
class Window:
    """The part of the plane that is shown."""

    left: float
    right: float
    low: float
    high: float


def window_of(features: Features) -> Window:
    """Return a window with all zeros, breaks and holes in it, symmetric about the origin."""
    xs = [x.approximation.real for x in (*features.zeros, *features.excluded)]
    ys = [float(Fraction(int(y.p), int(y.q))) for _, y in features.holes if y is not None]
    for value in (features.horizontal, features.at_zero):
        if value is not None:
            ys.append(int(value.p) / int(value.q))
    if features.is_oblique:
        line = features.quotient
        ys += [int(v.p) / int(v.q) for v in (line(fmpq(x)) for x in (-4, 4))]
    width = min(max(_LEAST, *(abs(x) + 3 for x in [0.0, *xs])), 60.0)
    height = min(max(_LEAST, *(abs(y) + 4 for y in [0.0, *ys])), _MOST)
    return Window(-width, width, -height, height)


def branches(features: Features, window: Window) -> list[list[tuple[float, float]]]:
    """Return each branch between vertical asymptotes as points inside *window*.

    Points crowd towards an asymptote; one point outside the window ends a branch.
    """
    cuts = [x.approximation.real for x in features.vertical]
    inside = [x for x in cuts if window.left < x < window.right]
    ends = [window.left, *inside, window.right]
    found = []
    for low, high in pairwise(ends):
        points = _branch(features, low, high, low in cuts, high in cuts)
        found += _within(points, window)
    return found


def _branch(
    features: Features, low: float, high: float, low_cut: bool, high_cut: bool
) -> list[tuple[float, float]]:
    points = []
    for number in range(SAMPLES + 1):
        t = number / SAMPLES
        if low_cut and high_cut:
            t = t * t * (3 - 2 * t)
        elif low_cut:
            t = t * t
        elif high_cut:
            t = 1 - (1 - t) ** 2
        x = low + (high - low) * t
        y = _value(features, x)
        if y is not None:
            points.append((x, y))
    return points


def _value(features: Features, x: float) -> float | None:
    top = below = 0.0
    for degree in range(features.top.degree(), -1, -1):
        top = top * x + _float(features.top[degree])
    for degree in range(features.bottom.degree(), -1, -1):
        below = below * x + _float(features.bottom[degree])
    return None if abs(below) < 1e-12 else top / below


def _float(value: fmpq) -> float:
    return int(value.p) / int(value.q)


def _within(points: list[tuple[float, float]], window: Window) -> list[list[tuple[float, float]]]:
    """Cut a branch where it leaves the window; the first point outside stays, cut to twice it."""
    found: list[list[tuple[float, float]]] = []
    run: list[tuple[float, float]] = []
    before: tuple[float, float] | None = None
    reach = 2 * window.high
    for x, y in points:
        is_inside = window.low <= y <= window.high
        cut = (round(x, 5), round(max(-reach, min(reach, y)), 5))
        if is_inside:
            if not run and before is not None:
                run.append(before)
            run.append(cut)
        elif run:
            run.append(cut)
            found.append(run)
            run = []
        before = cut
    if run:
        found.append(run)
    return [branch for branch in found if len(branch) > 1]
