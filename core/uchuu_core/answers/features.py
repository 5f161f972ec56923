"""The features of a rational function, and its curve."""

from typing_extensions import TypedDict


class End(TypedDict):
    """Where a function goes at both ends: a number, ``infinity`` or ``-infinity``."""

    left: str
    right: str


class Shift(TypedDict):
    """a, h and k of a/(x − h) + k."""

    a: str
    h: str
    k: str


_Interval = TypedDict("_Interval", {"from": str | None, "to": str | None})


class Stretch(_Interval):
    """An interval without zeros or breaks, its sign, and a point of the graph in it."""

    sign: str
    point: list[str]


class Features(TypedDict):
    """The features of a rational function, exact."""

    domain_excluded: list[str]
    holes: list[list[str]]
    vertical: list[str]
    horizontal: str | None
    oblique: str | None
    x_intercepts: list[str]
    y_intercept: str | None
    end: End
    range_excluded: list[str]
    points: list[list[str]]
    shift: Shift | None
    stretches: list[Stretch]


class Window(TypedDict):
    """The part of the plane that is shown: from and to."""

    x: list[float]
    y: list[float]


class CurveMarks(TypedDict):
    """What a plot marks, rounded."""

    vertical: list[float]
    horizontal: float | None
    oblique: list[float] | None
    zeros: list[float]
    at_zero: float | None
    holes: list[list[float]]


class Curve(TypedDict):
    """Branches as points, ready to plot."""

    window: Window
    branches: list[list[list[float]]]
    marks: CurveMarks
