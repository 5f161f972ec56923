"""Lines that state a feature of the given function, each judged against the given."""

from flint import fmpq

from uchuu_core.checking.context import Context
from uchuu_core.checking.domain_lines import judged_domain, stated_set
from uchuu_core.checking.judgement import Judgement
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.features import INFINITY, MINUS_INFINITY, Features, features_of
from uchuu_core.kernel.points import NotRational, Undefined, value_at
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solutions import SolutionSet, complement
from uchuu_core.kernel.solving import solution_set
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import (
    AllExcept,
    Builder,
    Coordinates,
    Either,
    Feature,
    Line,
    Outcome,
    Relation,
    Signed,
    Symbol,
    Union,
    ValueSet,
)
from uchuu_core.tree.paths import letters


class _WrongLetter(NotRational):
    """A vertical line is written as y = …, or a horizontal one as x = …"""


Point = tuple[Algebraic, Algebraic]


def judged_feature(line: Feature, context: Context) -> Judgement:
    """Return whether the given function has the feature.

    Raises:
        NotRational: the given is no rational function of the letter, or the line is of another kind.
    """
    features = features_of(without_brackets(context.given), context.unknown)
    label = line.label if line.label == "asymptotes" else line.label.removesuffix("s")
    if label == "domain":
        return _judged_domain(line, context)
    judges = {
        "hole": _holes,
        "vertical asymptote": _vertical,
        "horizontal asymptote": _horizontal,
        "oblique asymptote": _oblique,
        "x-intercept": _x_intercepts,
        "y-intercept": _y_intercept,
        "end left": _end,
        "end right": _end,
        "end behavior": _end,
        "range": _range,
        "asymptotes": _asymptotes,
        "point": _on_graph,
        "shift": _shift,
    }
    try:
        right = judges[label](line, features, context)
    except _WrongLetter:
        right = False
    return Judgement("ok", "exact") if right else Judgement("wrong", "refuted")


def _judged_domain(line: Feature, context: Context) -> Judgement:
    if any(isinstance(item, Relation) and item.sign == "=" for item in line.items):
        return Judgement("wrong", "refuted")  # a value that is put in, not one that is left out
    return judged_domain(_set_line(line), context)


def _set_line(line: Feature) -> Line:
    """Return the items of a domain or range as one line that has them as its solutions.

    Raises:
        NotRational: they are no such line.
    """
    if len(line.items) == 1 and isinstance(
        line.items[0], (Relation, AllExcept, Outcome, Union, Builder, ValueSet)
    ):
        return line.items[0]
    if line.items and all(isinstance(item, Relation) for item in line.items):
        return Either(line.items)  # type: ignore[arg-type]
    raise NotRational


def number_of(node: object) -> Algebraic:
    """Return the number that *node* writes.

    Raises:
        NotRational: it is none.
    """
    line = Relation(Symbol("x"), "=", node)  # type: ignore[arg-type]
    found: SolutionSet = solution_set(line, "x", ring(("x",)))
    points = list(found.points)
    if len(points) != 1 or not isinstance(points[0], Algebraic):
        raise NotRational
    return points[0]


def _points(line: Feature) -> set[Point]:
    """Return the points of the line.

    Raises:
        NotRational: it lists something else.
    """
    if not all(isinstance(item, Coordinates) for item in line.items):
        raise NotRational
    return {(number_of(i.x), number_of(i.y)) for i in line.items if isinstance(i, Coordinates)}


def lines_at(line: Feature, letter: str, sign: str = "=") -> set[Algebraic]:
    """Return the numbers c of the items ``letter = c`` (with another *sign*: of those only).

    Plain numbers count as ``letter = c``.

    Raises:
        NotRational: an item is something else.
    """
    found = set()
    for item in line.items:
        match item:
            case Relation(Symbol(name), written, value) if name == letter and written == sign:
                found.add(number_of(value))
            case Relation(Symbol(), "=", _) if sign == "=":
                raise _WrongLetter
            case Relation() | Coordinates() | Outcome():
                raise NotRational
            case _ if sign == "=":
                found.add(number_of(item))
            case _:
                raise NotRational
    return found


def _holes(line: Feature, features: Features, context: Context) -> bool:
    if line.items and not any(isinstance(item, Coordinates) for item in line.items):
        return lines_at(line, context.unknown) == {x for x, _ in features.holes}
    if any(y is None for _, y in features.holes):
        raise NotRational
    return _points(line) == {(x, Algebraic.of(y)) for x, y in features.holes if y is not None}


def _vertical(line: Feature, features: Features, context: Context) -> bool:
    return lines_at(line, context.unknown) == set(features.vertical)


def _horizontal(line: Feature, features: Features, _context: Context) -> bool:
    height = features.horizontal
    if features.bottom.degree() == 0 and line.items:
        raise NotRational  # the graph itself is a line: a matter of definition
    right = set() if height is None else {Algebraic.of(height)}
    return lines_at(line, "y") == right


def _oblique(line: Feature, features: Features, context: Context) -> bool:
    if features.bottom.degree() == 0 and line.items:
        raise NotRational
    if not features.is_oblique or not line.items:
        return not features.is_oblique and not line.items
    if len(line.items) != 1:
        return False
    (item,) = line.items
    stated = item
    if isinstance(item, Relation):
        if item.left != Symbol("y") or item.sign != "=":
            raise NotRational
        stated = item.right
    algebra = ring((context.unknown,))
    try:
        value = algebra.function(stated)  # type: ignore[arg-type]
    except Undefined:
        return False
    wanted = algebra.one * 0
    for degree in range(features.quotient.degree() + 1):
        wanted += algebra.letter(context.unknown) ** degree * features.quotient[degree]
    return bool(value.numerator == wanted * value.denominator)


def _x_intercepts(line: Feature, features: Features, context: Context) -> bool:
    zero = Algebraic.of(fmpq(0))
    if not features.top:
        raise NotRational  # the graph is the x-axis itself
    if line.items and not isinstance(line.items[0], Coordinates):
        return lines_at(line, context.unknown) == set(features.zeros)
    stated = _points(line)
    return stated == {(x, zero) for x in features.zeros}


def _y_intercept(line: Feature, features: Features, _context: Context) -> bool:
    zero = Algebraic.of(fmpq(0))
    if line.items and not isinstance(line.items[0], Coordinates):
        stated = {(zero, y) for y in lines_at(line, "y")}
    else:
        stated = _points(line)
    if features.at_zero is None:
        return not stated
    return stated == {(zero, Algebraic.of(features.at_zero))}


def _end(line: Feature, features: Features, _context: Context) -> bool:
    if line.label == "end behavior" and features.left != features.right:
        return False
    end = features.left if line.label == "end left" else features.right
    if len(line.items) != 1:
        return False
    item = line.items[0]
    stated = _infinity(item)
    if stated is not None or isinstance(end, str):
        return stated == end
    return lines_at(line, "y") == {Algebraic.of(end)}


def _asymptotes(line: Feature, features: Features, context: Context) -> bool:
    """All asymptotes under one label: lines x = … and lines y = …"""
    upright = tuple(
        i for i in line.items if isinstance(i, Relation) and i.left == Symbol(context.unknown)
    )
    others = tuple(item for item in line.items if item not in upright)
    judge = _oblique if features.is_oblique else _horizontal
    return _vertical(Feature("vertical asymptotes", upright), features, context) and judge(
        Feature("oblique asymptote", others), features, context
    )


def _on_graph(line: Feature, features: Features, context: Context) -> bool:
    """Whether every point lies on the graph."""
    for x, y in _points(line):
        place = {context.unknown: x.rational, "y": y.rational}
        if None in place.values() or x in features.excluded:
            return False
        whole = Relation(Symbol("y"), "=", without_brackets(context.given))
        try:
            if value_at(whole.right, place) != place["y"]:
                return False
        except Undefined:
            return False
    return bool(line.items)


def _shift(line: Feature, features: Features, _context: Context) -> bool:
    """Some or all of a, h, k of a/(x - h) + k."""
    if features.shift is None:
        return False
    wanted = dict(zip("ahk", features.shift, strict=True))
    for item in line.items:
        assert isinstance(item, Relation) and isinstance(item.left, Symbol)
        if number_of(item.right) != Algebraic.of(wanted[item.left.name]):
            return False
    return True


def as_feature(line: Line, context: Context) -> Line:
    """Return "a = 2, h = 8, k = 3" as a feature, anything else as it is."""
    options = line.options if isinstance(line, Either) else (line,)
    for option in options:
        match option:
            case Relation(Symbol("a" | "h" | "k" as name), "=", right) if name not in letters(
                context.given
            ) and not letters(right):
                continue
            case _:
                return line
    return Feature("shift", options)  # type: ignore[arg-type]


def _infinity(item: object) -> str | None:
    match item:
        case Symbol("infinity"):
            return INFINITY
        case Signed("-", Symbol("infinity")):
            return MINUS_INFINITY
        case _:
            return None


def _range(line: Feature, features: Features, _context: Context) -> bool:
    degree = max(features.top.degree(), features.bottom.degree())
    if degree > 1:
        raise NotRational  # its range may have gaps that are intervals
    if degree == 1:
        wanted = complement(SolutionSet(frozenset(Algebraic.of(y) for y in features.missed)))
    else:
        wanted = SolutionSet(frozenset({Algebraic.of(features.top[0])}))
    return bool(line.items) and stated_set(_set_line(line), "y").same_solutions(wanted)
