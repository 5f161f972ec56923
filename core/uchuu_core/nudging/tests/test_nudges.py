"""Nudges: followed to the end from any line of any worked path, they arrive."""

import os
from dataclasses import replace
from random import Random
from typing import Any

import pytest

from uchuu_core import Failure, check, nudge, problem_from
from uchuu_core.checking.context import context_of
from uchuu_core.contract import Problem
from uchuu_core.lawbook.register import LAWS
from uchuu_core.methods.catalogue import applicable
from uchuu_core.notation import plain
from uchuu_core.tests.support.problems import EQUATIONS, EXPRESSIONS, Made
from uchuu_core.tree.paths import letters

MANY = int(os.environ.get("UCHUU_WORKED", "2"))
LONGEST = 40
KINDS = {**EQUATIONS, **EXPRESSIONS}
STUDIES = [
    Made("study", "(2x^2-18)/(x^2-2x-15)"),
    Made("study", "2/(x-5)-4"),
    Made("domain", "sqrt(x+2)/(x-3)"),
    Made("factor", "m^2-16m+36"),
]


def _problems() -> list[Any]:
    found = [(kind, KINDS[kind](Random(f"{kind}{n}"))) for kind in KINDS for n in range(MANY)]
    found += [(made.given, made) for made in STUDIES]
    return [pytest.param(made, id=f"{kind}-{n}") for n, (kind, made) in enumerate(found)]


@pytest.mark.parametrize("made", _problems())
def test_followed_from_any_line_they_arrive(made: Made) -> None:
    problem = Problem(made.task, made.given, made.variable, numbers=made.numbers, explains=False)  # type: ignore[arg-type]
    context = context_of(problem, [])
    for method in applicable(context.posed, problem.task):
        route = [plain(moment.line) for moment in method.moments(context.posed)]
        chance = Random(f"{made.given}{method.key}")
        for start in {0, chance.randint(0, len(route)), len(route) - 1}:
            _walk(replace(problem, lines=tuple(route[:start])), context.given)


def _walk(problem: Problem, given: Any) -> None:
    for _ in range(LONGEST):
        step = nudge(problem)
        if step["done"]:
            break
        assert LAWS[step["law"]].notice == step["notice"]
        problem = replace(problem, lines=(*problem.lines, step["text"]))
    else:
        pytest.fail(f"no end: {problem.given} {problem.lines[-3:]}")
    found = check(problem)
    assert {line["verdict"] for line in found["lines"]} <= {"ok", "may-add"}, problem.lines
    assert found["answer"]["right"] or len(letters(given)) > 1


@pytest.mark.parametrize(
    ("given", "lines", "method", "text"),
    [
        ("2x^2+x=6", ["2x^2+x-6=0"], "factor-and-zero-product", "2x^2 + 4x - 3x - 6 = 0"),
        ("x^2-8x-20=0", ["x^2-8x=20"], "complete-the-square", "x^2 - 8x + 16 = 20 + 16"),
        ("(x-1)/2+x/3=4", ["3(x-1)+2x=24"], "clear-fractions", "3x - 3 + 2x = 24"),
        ("sqrt(x+6)=x", ["x=3 or x=-2"], "isolate-and-square", "x = 3"),
    ],
)
def test_the_route_that_was_begun_is_followed(
    given: str, lines: list[str], method: str, text: str
) -> None:
    step = nudge(problem_from({"task": "solve", "given": given, "lines": lines}))

    assert (step["method"], step["text"]) == (method, text)


def test_after_a_wrong_line_it_says_so_first() -> None:
    problem = problem_from({"task": "solve", "given": "2x=6", "lines": ["x=4"]})

    with pytest.raises(Failure, match="Line 1 does not follow"):
        nudge(problem)
