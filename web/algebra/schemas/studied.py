"""A function's features, and how a problem looks before the first move."""

from ninja import Field, Schema

from algebra.schemas.problem import Ambiguity, Piece, Reading
from algebra.schemas.worked import WorkedLine


class End(Schema):
    """Where a function goes at both ends: a number, ``infinity`` or ``-infinity``."""

    left: str
    right: str


class Shift(Schema):
    """a, h and k of a/(x − h) + k."""

    a: str
    h: str
    k: str


class Stretch(Schema):
    """An interval without zeros or breaks, its sign, and a point of the graph in it."""

    start: str | None = Field(validation_alias="from")
    end: str | None = Field(validation_alias="to")
    sign: str
    point: list[str]


class Features(Schema):
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


class Window(Schema):
    """The part of the plane that is shown: from and to."""

    x: list[float]
    y: list[float]


class CurveMarks(Schema):
    """What a plot marks, rounded."""

    vertical: list[float]
    horizontal: float | None
    oblique: list[float] | None
    zeros: list[float]
    at_zero: float | None
    holes: list[list[float]]


class Curve(Schema):
    """Branches as points, ready to plot."""

    window: Window
    branches: list[list[list[float]]]
    marks: CurveMarks


class Studied(Schema):
    """A function studied; ``found_by``: which line (from 1) found which feature."""

    reads: Reading
    features: Features
    lines: list[WorkedLine]
    found_by: dict[str, int]
    curve: Curve


class Notice(Schema):
    """Something worth noticing before the first move."""

    code: str
    says: str
    parts: list[Piece] = []
    where: str | None


class MethodOffered(Schema):
    """A method that applies, why, and how many lines it takes."""

    method: str
    why: str
    lines: int


class Inspected(Schema):
    """What kind of problem it is and what is worth noticing."""

    kind: str
    reads: Reading
    unknown: str | None
    notices: list[Notice]
    ambiguities: list[Ambiguity]
    excluded: list[str]
    methods: list[MethodOffered]
    traps: list[str] = []
    finished_means: list[str]
