"""What forks are good for: a planted mistake, and what an exercise reveals or hides."""

from random import Random

from uchuu_core.answers.forked import Instead, Mistake, Screened, Screening
from uchuu_core.answers.sentences import LawLine
from uchuu_core.checking.own_errors import wording_of
from uchuu_core.checking.paper import check
from uchuu_core.contract import Problem
from uchuu_core.failures import BadRequest, OutOfScope
from uchuu_core.forking.example import Example, read_example
from uchuu_core.forking.forks import (
    MOST_ASKED,
    Fork,
    as_record,
    carried_on,
    forks_of,
)
from uchuu_core.moves.catalogue import commonness, wordings
from uchuu_core.notation import plain, shown
from uchuu_core.tree.nodes import Line


def find_the_mistake(problem: Problem, error: str | None = None) -> Mistake:
    """Return the problem worked with exactly one planted error, carried on by laws to its end.

    ``{"lines": [{"text","latex","spoken"}], "mistake_at": n (1-based), "error", "name", "because",
    "instead"}``. ``problem.seed`` chooses among the common errors, or *error* names the one.

    Raises:
        As ``forks``; OutOfScope: no error (or not the named one) can be planted here; BadRequest: there is no
            such error.
    """
    if error is not None and error not in wordings() | {own.id: own for own in problem.own}:
        raise BadRequest(f"“{error}” is no error that is known.")
    example = read_example(problem)
    planted = [
        fork
        for fork in forks_of(example, MOST_ASKED)
        if not fork.hidden
        and (error is None or fork.error == error)
        and _is_on_the_way(fork, example)
    ]
    chance = Random(problem.seed)
    chance.shuffle(planted)
    planted.sort(key=lambda fork: commonness(fork.error))
    if error is None:  # any of the more common half, so that a seed gives variety
        half = planted[: max(1, (len(planted) + 1) // 2)]
        chance.shuffle(half)
        planted[: len(half)] = half
    for fork in planted:
        lines = _with(fork, example)
        if lines is not None and _has_one_mistake(lines, fork, example):
            told = as_record(fork, problem)
            return {
                "lines": [{"text": plain(line), **shown(line)} for line in lines],
                "mistake_at": fork.after + 1,
                **_instead(fork, example),
                "error": told["error"],
                "name": told["name"],
                "says": told["says"],
                "because": told["because"],
                "counter": told["counter"],
                "counter_parts": told["counter_parts"],
            }
    what = f"“{wording_of(error, problem.own).name}” cannot" if error else "No common error can"
    raise OutOfScope(f"{what} be planted in this example.")


def _instead(fork: Fork, example: Example) -> Instead:
    """Return the right line in the place of the planted one, None after the last."""
    if fork.after + 1 == len(example.lines):
        return {"instead": None, "instead_latex": None}
    line = example.lines[fork.after + 1]
    return {"instead": plain(line), "instead_latex": shown(line)["latex"]}


def _is_on_the_way(fork: Fork, example: Example) -> bool:
    """Whether a fork leaves before the last line: after the finished one there is nothing to mend."""
    return len(example.lines) == 1 or fork.after < len(example.lines) - 1


def _with(fork: Fork, example: Example) -> list[Line] | None:
    """Return the lines after the given with *fork* in them, None when it cannot be carried on."""
    if example.context.problem.task in ("domain", "study"):
        after = example.lines[fork.after + 2 :]
    else:
        path = carried_on(fork.wrong, example.context.problem_in_its_letter, example.method)
        if path is None:
            return None
        after = [line.moment.line for line in path]
    return [*example.lines[1 : fork.after + 1], fork.wrong, *after]


def _has_one_mistake(lines: list[Line], fork: Fork, example: Example) -> bool:
    record = check(example.context.problem_with([plain(line) for line in lines]))
    wrong = [
        n for n, line in enumerate(record["lines"], 1) if line["verdict"] in ("wrong", "loses")
    ]
    return wrong == [fork.after + 1] and bool(record["error"] == fork.error)


def screen(problem: Problem) -> Screened:
    """Return which errors the exercise would reveal and which it would hide.

    ``{"reveals": [{"error","name","after","wrong","ends_in"}], "hides": [...]}``, most common first.
    An error is hidden when it ends in the right answer wherever it fits.

    Raises:
        As ``forks``.
    """
    found = forks_of(read_example(problem), MOST_ASKED)
    revealed = {fork.error for fork in found if not fork.hidden}
    reveals: dict[str, Screening] = {}
    hides: dict[str, Screening] = {}
    for fork in found:
        told = as_record(fork, problem)
        kept: Screening = {
            "error": told["error"],
            "name": told["name"],
            "after": told["after"],
            "wrong": told["wrong"],
            "ends_in": told["ends_in"],
        }
        if not fork.hidden:
            reveals.setdefault(fork.error, kept)
        elif fork.error not in revealed:
            hides.setdefault(fork.error, kept)
    return {"reveals": list(reveals.values()), "hides": list(hides.values())}


def fork_path(problem: Problem, wrong: Line) -> list[LawLine] | None:
    """Return the lawful lines after *wrong*, each with its law; None when no method goes on.

    Raises:
        As ``forks``.
    """
    example = read_example(problem)
    path = carried_on(wrong, example.context.problem_in_its_letter, example.method)
    if path is None:
        return None
    return [
        {
            "text": plain(line.moment.line),
            **shown(line.moment.line),
            "law": line.moment.law.key,
            **line.moment.says.record(),
        }
        for line in path
    ]
