"""What forks are good for: choices, a planted mistake, and what an exercise reveals or hides."""

from random import Random

from uchuu_core.answers.forked import Choice, Choices, Mistake, Screened, Screening
from uchuu_core.answers.sentences import LawLine
from uchuu_core.checking.context import Context
from uchuu_core.checking.own_errors import wording_of
from uchuu_core.checking.paper import check
from uchuu_core.checking.steps import same_end
from uchuu_core.contract import Problem
from uchuu_core.failures import BadRequest, OutOfScope
from uchuu_core.forking.forks import (
    Example,
    Fork,
    as_record,
    carried_on,
    example_of,
    forks_of,
    read_example,
)
from uchuu_core.moves.catalogue import commonness, wordings
from uchuu_core.notation import plain, shown
from uchuu_core.tree.nodes import Feature, Line
from uchuu_core.tree.shape import unordered

MOST_CHOICES = 8


def choices(problem: Problem, count: int = 4) -> Choices:
    """Return a multiple-choice question: the right answer among answers in which errors end.

    ``{"choices": [{"text","latex","spoken","right","error"?,"name"?,"because"?}], "asked": count}``:
    all different in value and in look; fewer than *count* where no more errors end elsewhere. The
    most common errors are taken; ``problem.seed`` decides the order.

    Raises:
        As ``forks``; OutOfScope: no error ends in another answer.
    """
    example = read_example(problem)
    worked = example_of(example.context, by_method=True).lines
    found = [fork for fork in forks_of(example) if not fork.hidden and fork.end is not None]
    right = worked[-1]
    if problem.task == "study":
        right, found = _one_feature(worked, found)
    taken: list[tuple[Line, Fork | None]] = [(right, None)]
    longest = 2 * len(plain(right)) + 10
    for fork in sorted(found, key=lambda f: f.end is not None and len(plain(f.end)) > longest):
        if len(taken) == min(count, MOST_CHOICES):
            break
        if fork.end is not None and all(
            _differ(fork.end, line, example.context) for line, _ in taken
        ):
            taken.append((fork.end, fork))
    if len(taken) == 1:
        raise OutOfScope(
            "No common error ends in another answer here: there is nothing to choose from."
        )
    Random(problem.seed).shuffle(taken)
    return {"choices": [_choice(line, fork, problem) for line, fork in taken], "asked": count}


def _one_feature(worked: list[Line], found: list[Fork]) -> tuple[Line, list[Fork]]:
    """Return the feature that most errors misstate, and these: a study asks for one at a time.

    Raises:
        OutOfScope: none is misstated.
    """
    labels = [fork.wrong.label for fork in found if isinstance(fork.wrong, Feature)]
    features = [line for line in worked if isinstance(line, Feature) and line.label in labels]
    if not features:
        raise OutOfScope("No common error misstates a feature of this function.")
    right = max(features, key=lambda line: labels.count(line.label))
    same = [f for f in found if isinstance(f.wrong, Feature) and f.wrong.label == right.label]
    return right, same


def _choice(line: Line, fork: Fork | None, problem: Problem) -> Choice:
    record: Choice = {"text": plain(line), **shown(line), "right": fork is None}
    if fork is not None:
        told = as_record(fork, problem)
        record["error"], record["name"] = told["error"], told["name"]
        record["because"], record["wrong"] = told["because"], told["wrong"]
        record["after"] = told["after"]
    return record


def _differ(one: Line, other: Line, context: Context) -> bool:
    """Whether two answers differ in look and, as far as that is decided, in value."""
    if unordered(one) == unordered(other) or plain(one) == plain(other):
        return False
    if context.problem.task in ("domain", "study"):
        return True
    return same_end(one, other, context) is False


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
        for fork in forks_of(example)
        if not fork.hidden and (error is None or fork.error == error)
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
                "instead": plain(example.lines[fork.after + 1])
                if fork.after + 1 < len(example.lines)
                else None,
                "error": told["error"],
                "name": told["name"],
                "says": told["says"],
                "because": told["because"],
                "counter": told["counter"],
                "counter_parts": told["counter_parts"],
            }
    what = f"“{wording_of(error, problem.own).name}” cannot" if error else "No common error can"
    raise OutOfScope(f"{what} be planted in this example.")


def _with(fork: Fork, example: Example) -> list[Line] | None:
    """Return the lines after the given with *fork* in them, None when it cannot be carried on."""
    if example.context.problem.task in ("domain", "study"):
        if fork.end is None:
            return None
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
    found = forks_of(read_example(problem))
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
