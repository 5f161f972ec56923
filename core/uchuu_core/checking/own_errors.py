"""A teacher's own errors: refused with proof when they are laws, and tried on examples at once."""

from collections.abc import Iterator
from fractions import Fraction
from functools import lru_cache
from itertools import islice, product

from uchuu_core import limits
from uchuu_core.answers.made import Become, Examined, Is, TriedLine
from uchuu_core.checking.context import context_of
from uchuu_core.checking.line import judged
from uchuu_core.contract import OwnError, Problem
from uchuu_core.failures import Failure
from uchuu_core.kernel.equality import agreement, has_value
from uchuu_core.kernel.numbers import REAL
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.moves.catalogue import Wording, wordings
from uchuu_core.moves.conditions import NotNumeral
from uchuu_core.moves.move import Example, Move
from uchuu_core.moves.own import condition_from, own_move
from uchuu_core.moves.pattern import filled
from uchuu_core.notation import plain, read, shown
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Relation, Symbol
from uchuu_core.tree.paths import letters

_VALUES = tuple(map(Fraction, ("2", "3", "5", "-2", "4", "1/2", "-3", "1", "0", "7")))
_MOST_TRIED = 400
_UNKNOWN = "x"


def moves_of(own: tuple[OwnError, ...]) -> tuple[Move, ...]:
    """Return *own* as moves; one that cannot be read any more is left out."""
    found = []
    for error in own:
        try:
            found.append(own_move(error))
        except Failure:
            continue
    return tuple(found)


def wording_of(key: str, own: tuple[OwnError, ...]) -> Wording:
    """Return the wording of an error of the catalogue, or of one of the teacher's own."""
    return next((_own_wording(error) for error in own if error.id == key), None) or wordings()[key]


def _own_wording(error: OwnError) -> Wording:
    return Wording(
        id=error.id,
        name=error.name,
        topic="own",
        type="value",
        before=error.before,
        instead=error.after,
        when=", ".join(error.when),
        correct="",
        example=Example("", ""),
        right="",
        why="",
        repair=error.says,
        counter="",
        looks_like=(),
    )


def examine(own: OwnError, examples: tuple[str, ...] = ()) -> Examined:
    """Return whether *own* is an error, with proof, and what it makes of *examples*.

    ``{"is": "error" | "law" | "undecided", "says", "counter", "examples": [{"line", "becomes":
    [{"text","latex","verdict"}], "failure"?}]}``. “law”: the two sides are equal for all values, or
    for all values tried where conditions narrow them (then it says so).

    Raises:
        Unreadable, TooLarge, BadRequest: it is no pattern; see ``own_move``.
    """
    move = own_move(own)
    before, after = (move.rewrites[0].wanted, move.rewrites[0].template)
    record = _decided(own, before, after)
    record["examples"] = [_tried(move, text) for text in examples if text.strip()]
    return record


def _record(kind: Is, says: str, counter: str | None = None) -> Examined:
    return {"is": kind, "says": says, "counter": counter, "examples": []}


def _decided(own: OwnError, before: Line, after: Line) -> Examined:
    if not isinstance(before, Relation) and not own.when:
        try:
            if agreement(before, after).verdict == "equal":  # type: ignore[arg-type]
                return _record("law", "This always holds: both sides are equal for all values.")
        except (NotRational, Undefined, Failure):
            pass
    tried = 0
    for bound in islice(_assignments(own, before), _MOST_TRIED):
        verdict = _verdict(filled(before, bound), filled(after, bound))
        if verdict == "different":
            return _record("error", "This does not hold.", _counter(before, after, bound))
        tried += verdict == "equal"
    if tried >= 3:
        return _record("law", f"This holds for all {tried} choices of numbers that were tried.")
    return _record(
        "undecided", "No numbers were found that could decide this. Check the conditions."
    )


def _assignments(own: OwnError, before: Line) -> Iterator[dict[str, Expr]]:
    """Yield values for the variables that meet the conditions, simple ones first."""
    names = sorted(letters(before))
    conditions = [condition_from(sentence, frozenset(names)) for sentence in own.when]
    with_letter = {c.name for c in conditions if isinstance(c, NotNumeral)}
    if isinstance(before, Relation) and _UNKNOWN in names:
        with_letter |= {_UNKNOWN}
    choices = [
        [Symbol(name)] if name in with_letter else [build.number(v) for v in _VALUES]
        for name in names
    ]
    spread = sorted(product(*(range(len(listed)) for listed in choices)), key=sum)
    for picked in islice(spread, 20_000):
        bound = {n: c[i] for n, c, i in zip(names, choices, picked, strict=True)}
        if all(condition.holds(bound) for condition in conditions):
            yield bound


def _verdict(before: Line, after: Line) -> str:
    """Return “equal”, “different” or “undecided” for two filled lines."""
    try:
        if not isinstance(before, Relation):
            if not (has_value(before, REAL) and has_value(after, REAL)):  # type: ignore[arg-type]
                return "undecided"  # nothing is refuted where one of them has no value
            return agreement(before, after).verdict  # type: ignore[arg-type]
        problem = Problem("solve", plain(before), _UNKNOWN)
        verdict = judged(before, after, context_of(problem, [])).verdict
    except (NotRational, Undefined, Failure):
        return "undecided"
    return {"ok": "equal", "may-add": "equal", "wrong": "different", "loses": "different"}.get(
        verdict, "undecided"
    )


def _counter(before: Line, after: Line, bound: dict[str, Expr]) -> str:
    values = ", ".join(f"{name} = {plain(node)}" for name, node in bound.items())
    left, right = (plain(filled(side, bound)) for side in (before, after))
    word = "does not lead to" if isinstance(before, Relation) else "is not"
    return f"Try {values}: {left} {word} {right}."


@lru_cache(maxsize=256)
def _tried(move: Move, text: str) -> TriedLine:
    """Return what *move* makes of the line *text*, each with the kernel's verdict."""
    try:
        line = read(text)
        task = "solve" if isinstance(line, Relation) else "simplify"
        context = context_of(Problem(task, text), [])  # type: ignore[arg-type]
        becomes: list[Become] = []
        with limits.within(limits.SEARCH_EFFORT):
            for step in islice(move.apply(build.without_brackets(line)), 6):
                verdict = judged(line, step.result, context).verdict
                becomes.append(
                    {"text": plain(step.result), **shown(step.result), "verdict": verdict}
                )
    except limits.OutOfEffort:
        return {"line": text, "becomes": []}
    except Failure as failure:
        return {"line": text, "becomes": [], "failure": failure.as_record()}
    return {"line": text, "becomes": becomes}
