"""A multiple-choice question: the right answer among answers in which errors end."""

from collections.abc import Iterator
from contextlib import suppress
from dataclasses import replace
from random import Random

from uchuu_core.answers.forked import Choice, Choices
from uchuu_core.checking.context import Context
from uchuu_core.checking.steps import same_end
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure, OutOfScope
from uchuu_core.forking.example import Example, example_of, read_example
from uchuu_core.forking.forks import (
    MOST_ASKED,
    Fork,
    as_record,
    forks_of,
)
from uchuu_core.moves.errors import found_otherwise
from uchuu_core.notation import plain, shown
from uchuu_core.tree.nodes import Either, Feature, Line
from uchuu_core.tree.shape import unordered

MOST_CHOICES = 8
_KEPT = {found_otherwise.RATIONAL_EXTRANEOUS.key, found_otherwise.RADICAL_EXTRANEOUS.key}
MOST_SECOND = 2
"""Wrong lines from which a second error is looked for, where one error gives too few ends."""


def choices(problem: Problem, count: int = 4) -> Choices:
    """Return a multiple-choice question: the right answer among answers in which errors end.

    ``{"choices": [{"text","latex","spoken","right","error"?,"name"?,"because"?}], "asked": count}``:
    all different in value and in look; fewer than *count* where no more errors end elsewhere, nor two
    of them. What keeps a candidate that fails is offered where there is one; then what has as many
    solutions as the right answer, the most common errors first. ``problem.seed`` and the problem decide
    the order.

    Raises:
        As ``forks``; OutOfScope: no error ends in another answer.
    """
    example = read_example(problem)
    worked = example_of(example.context, by_method=True).lines
    found = [fork for fork in forks_of(example, MOST_ASKED) if not fork.hidden]
    right = worked[-1]
    if problem.task == "study":
        right, found = _one_feature(worked, found)
    taken: list[tuple[Line, Fork | None]] = [(right, None)]
    for fork in (*_tempting(found, right), *_second(found, example)):
        if len(taken) == min(count, MOST_CHOICES):
            break
        if all(_differ(fork.end, line, example.context) for line, _ in taken):
            taken.append((fork.end, fork))
    if len(taken) == 1:
        raise OutOfScope(
            "No common error ends in another answer here: there is nothing to choose from."
        )
    Random(f"{problem.seed} {problem.given}").shuffle(taken)
    return {"choices": [_choice(line, fork, problem) for line, fork in taken], "asked": count}


def _tempting(found: list[Fork], right: Line) -> list[Fork]:
    """Return forks with the most tempting ends first: those that look like the right answer."""
    longest = 2 * len(plain(right)) + 10
    return sorted(
        found,
        key=lambda fork: (
            fork.error not in _KEPT,
            len(plain(fork.end)) > longest,
            _number(fork.end) != _number(right),
        ),
    )


def _number(line: Line) -> int:
    """Return how many solutions a line lists."""
    return len(line.options) if isinstance(line, Either) else 1


def _second(found: list[Fork], example: Example) -> Iterator[Fork]:
    """Yield where somebody ends who makes one error and, on the way from there, another."""
    context = example.context
    if context.problem.task in ("domain", "study"):
        return
    for fork in found[:MOST_SECOND]:
        with suppress(Failure):
            posed = read_example(_posed(context.problem_in_its_letter, fork.wrong))
            for second in forks_of(posed):
                if not second.hidden:
                    yield Fork(
                        fork.after, fork.error, fork.wrong, second.end, second.counter, hidden=False
                    )


def _posed(problem: Problem, line: Line) -> Problem:
    return replace(problem, given=plain(line), lines=(), method=None)


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
        record["after"], record["wrong_latex"] = told["after"], told["wrong_latex"]
    return record


def _differ(one: Line, other: Line, context: Context) -> bool:
    """Whether two answers differ in look and, as far as that is decided, in value."""
    if unordered(one) == unordered(other) or plain(one) == plain(other):
        return False
    if context.problem.task in ("domain", "study"):
        return True
    return same_end(one, other, context) is False
