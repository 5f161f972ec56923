"""Wrong lines that say something false, where no rewriting is wrong: branches, domains, features."""

from collections.abc import Iterator

from flint import fmpq

from uchuu_core.checking.context import Context
from uchuu_core.checking.state_errors import lists_several, top_at_zero
from uchuu_core.forking.candidates import Candidate
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.features import Features, features_of
from uchuu_core.kernel.written import number_text
from uchuu_core.moves.errors import found_otherwise as errors
from uchuu_core.moves.move import Move
from uchuu_core.notation import plain, read
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import AllExcept, Either, Feature, Line, Outcome, Relation


def stated(states: list[Line], context: Context) -> Iterator[Candidate]:
    """Yield what may be said wrongly in the place of a line of *states* (the given first).

    Raises:
        NotRational, Undefined: the features or gaps are not worked out.
    """
    task = context.problem.task
    if task == "domain":
        yield from _domains(states, context)
    elif task == "study":
        yield from _features(states, context)
    elif task == "solve":
        yield from _answers(states)


def _candidate(after: int, error: Move, before: Line, text: str) -> Candidate:
    return Candidate(after, error.key, before, read(text), error.key)


def _answers(states: list[Line]) -> Iterator[Candidate]:
    """Yield one branch kept of several, where "or" or ± stands in the line before the answer."""
    end = states[-1]
    if not isinstance(end, Either) or len(states) < 2:
        return
    lists = [n for n, line in enumerate(states[:-1]) if lists_several(line)]
    for option in end.options[-1:] if lists else ():
        yield Candidate(
            lists[-1], errors.BRANCH_LOST.key, states[lists[-1]], option, errors.BRANCH_LOST.key
        )


def kept_candidates(states: list[Line]) -> Iterator[tuple[int, Line]]:
    """Yield the line whose candidates the next one rejects: a student stops there."""
    for number in range(len(states) - 1):
        if isinstance(states[number], (Either, Relation)) and _rejects(states, number):
            yield number, states[number]


def _rejects(states: list[Line], number: int) -> bool:
    had, has = _options(states[number]), _options(states[number + 1])
    return bool(had) and (states[number + 1] == Outcome("no solution") or (has and has < had))  # type: ignore[return-value]


def _options(line: Line) -> set[str]:
    options = line.options if isinstance(line, Either) else (line,)
    return {plain(option) for option in options if isinstance(option, Relation)}


# excluded values


def _domains(states: list[Line], context: Context) -> Iterator[Candidate]:
    found = features_of(without_brackets(context.given), context.unknown)
    gaps = sorted({*found.vertical, *(x for x, _ in found.holes)})
    last, unknown = len(states) - 2, context.unknown
    turned = [Algebraic.of(-x.rational) for x in gaps if x.rational is not None]
    is_other = len(turned) == len(gaps) and set(turned) != set(gaps)
    for error, left in (
        (errors.EXCLUDED_SIGN, turned if is_other else []),
        (errors.EXCLUDED_FROM_TOP, list(found.zeros)),
        (errors.FACTOR_MISSED, gaps[1:]),
        (errors.FROM_REDUCED, list(found.vertical) if found.holes else []),
    ):
        values = [number_text(x) for x in sorted(left)]
        if isinstance(states[-1], AllExcept):
            text = "all real numbers except " + " and ".join(values)
        else:
            text = ", ".join(f"{unknown} != {value}" for value in values)
        if values:
            yield _candidate(last, error, states[last], text)


# features of a function


def _features(states: list[Line], context: Context) -> Iterator[Candidate]:
    given = without_brackets(context.given)
    found = features_of(given, context.unknown)
    wrongs = list(_wrong_features(found, context.unknown))
    above = top_at_zero(given, context.unknown)
    if above is not None and found.at_zero is not None and above != Algebraic.of(found.at_zero):
        text = f"y-intercept: (0, {number_text(above)})"
        wrongs.append((errors.Y_FROM_TOP, "y-intercept", text))
    for number, line in enumerate(states[1:]):
        for error, place, text in wrongs:
            if isinstance(line, Feature) and line.label.removesuffix("s") == place:
                yield _candidate(number, error, states[number], text)


def _wrong_features(found: Features, unknown: str) -> Iterator[tuple[Move, str, str]]:
    """Yield the error, the feature at whose line it is made, and the line."""
    for error, label, value in _of_places(found, unknown):
        yield error, label, f"{label}: {value}"
    for x, _ in () if found.vertical else found.holes:  # else it is said at the asymptote's line
        yield errors.HOLE_AS_ASYMPTOTE, "hole", f"vertical asymptote: {unknown} = {number_text(x)}"
    if found.bottom.degree() > 0 and found.top.degree() <= found.bottom.degree():
        yield from _heights(found, unknown)


def _of_places(found: Features, unknown: str) -> Iterator[tuple[Move, str, str]]:
    holes = [(number_text(x), y) for x, y in found.holes if y is not None]
    vertical = [x.rational for x in found.vertical if x.rational is not None]
    zeros = [number_text(z) for z in found.zeros]
    for x, _ in holes:
        yield errors.HOLE_AS_ASYMPTOTE, "vertical asymptote", f"{unknown} = {x}"
        yield errors.HOLE_HEIGHT, "hole", f"({x}, 0)"
        listed = "".join(f", ({zero}, 0)" for zero in zeros)
        yield errors.INTERCEPT_AT_HOLE, "x-intercept", f"({x}, 0){listed}"
    if vertical and all(vertical):
        values = ", ".join(f"{unknown} = {-x}" for x in vertical)
        yield errors.SHIFT_SIGN, "vertical asymptote", values
        points = ", ".join(f"({x}, 0)" for x in vertical)
        yield errors.INTERCEPTS_SWAPPED, "x-intercept", points
    if vertical and unknown != "y":
        lines = ", ".join(f"y = {x}" for x in vertical)
        yield errors.LETTERS_SWAPPED, "vertical asymptote", lines
    if zeros and zeros != ["0"]:
        points = ", ".join(f"(0, {zero})" for zero in zeros)
        yield errors.COORDINATES_SWAPPED, "x-intercept", points
    if found.is_oblique:
        slope = found.top[found.top.degree()] / found.bottom[found.bottom.degree()]
        yield errors.NOT_DIVIDED, "oblique asymptote", f"y = ({slope}){unknown}"


def _heights(found: Features, unknown: str) -> Iterator[tuple[Move, str, str]]:
    top, bottom = found.top, found.bottom
    lead = top[top.degree()] / bottom[bottom.degree()]
    right = lead if top.degree() == bottom.degree() else fmpq(0)
    mixed = lead if right == 0 else fmpq(0)
    level = "horizontal asymptote"
    yield errors.DEGREE_MIXUP, level, f"{level}: y = {mixed}"
    if unknown != "y":
        yield errors.LETTERS_SWAPPED, level, f"{level}: {unknown} = {right}"
    if right != 0:
        yield errors.END_SIGN, "end left", f"end left: {-right}"
        yield errors.VERTICAL_SHIFT, level, f"{level}: y = {-right}"
        if bottom[0] != 0:
            yield errors.COEFFICIENTS, level, f"{level}: y = {top[0] / bottom[0]}"
