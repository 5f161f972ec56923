"""Wrong lines that say something false, where no rewriting is wrong: branches, domains, features."""

from collections.abc import Iterator

from flint import fmpq

from uchuu_core.checking.context import Context
from uchuu_core.checking.state_errors import lists_several
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
    turned = [Algebraic.of(-x.rational) for x in gaps if x.rational]
    for error, left in (
        (errors.EXCLUDED_SIGN, turned if len(turned) == len(gaps) else []),
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
    for number, line in enumerate(states[1:]):
        for error, label, value in wrongs:
            if isinstance(line, Feature) and line.label.removesuffix("s") == label:
                yield _candidate(number, error, states[number], f"{label}: {value}")


def _wrong_features(found: Features, unknown: str) -> Iterator[tuple[Move, str, str]]:
    top, bottom = found.top, found.bottom
    holes = [(number_text(x), y) for x, y in found.holes if y is not None]
    vertical = [x.rational for x in found.vertical]
    for x, _ in holes:
        yield errors.HOLE_AS_ASYMPTOTE, "vertical asymptote", f"{unknown} = {x}"
        yield errors.HOLE_HEIGHT, "hole", f"({x}, 0)"
        zeros = "".join(f", ({number_text(z)}, 0)" for z in found.zeros)
        yield errors.INTERCEPT_AT_HOLE, "x-intercept", f"({x}, 0){zeros}"
    if vertical and all(vertical):
        values = ", ".join(f"{unknown} = {-x}" for x in vertical if x is not None)
        yield errors.SHIFT_SIGN, "vertical asymptote", values
        yield (
            errors.INTERCEPTS_SWAPPED,
            "x-intercept",
            ", ".join(f"({x}, 0)" for x in vertical if x is not None),
        )
    if bottom.degree() > 0 and top.degree() <= bottom.degree():
        yield from _heights(found)
    if found.is_oblique:
        slope = top[top.degree()] / bottom[bottom.degree()]
        yield errors.NOT_DIVIDED, "oblique asymptote", f"y = ({slope}){unknown}"


def _heights(found: Features) -> Iterator[tuple[Move, str, str]]:
    top, bottom = found.top, found.bottom
    lead = top[top.degree()] / bottom[bottom.degree()]
    right = lead if top.degree() == bottom.degree() else fmpq(0)
    mixed = lead if right == 0 else fmpq(0)
    yield errors.DEGREE_MIXUP, "horizontal asymptote", f"y = {mixed}"
    if right != 0:
        yield errors.END_SIGN, "end left", str(-right)
        if bottom[0] != 0:
            yield errors.COEFFICIENTS, "horizontal asymptote", f"y = {top[0] / bottom[0]}"
