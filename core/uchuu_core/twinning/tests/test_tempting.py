"""Tempting twins: a common wrong route ends in an answer that looks as right as the right one."""

import pytest

from uchuu_core import forks, problem_from, twin
from uchuu_core.failures import OutOfScope
from uchuu_core.notation import read
from uchuu_core.tree.nodes import Either, Quotient, Root
from uchuu_core.tree.paths import parts


def _awkward(text: str) -> int:
    return sum(isinstance(part, (Quotient, Root)) for part in parts(read(text)))


@pytest.mark.parametrize("seed", [1, 2, 3])
@pytest.mark.parametrize(
    ("task", "given"),
    [
        ("evaluate", "20 - 8 ÷ 4*2"),
        ("solve", "3(2x-4) = 2x+8"),
        ("solve", "x^2 - 5x + 6 = 0"),
        ("solve", "(x-1)/2 + (x+3)/4 = 5"),
        ("expand", "(x+4)^2"),
    ],
)
def test_the_first_fork_ends_as_nicely_as_the_answer(task: str, given: str, seed: int) -> None:
    found = twin(problem_from({"task": task, "given": given, "seed": seed, "tempting": True}))

    posed = problem_from({"task": task, "given": found["given"]})
    first = next(fork for fork in forks(posed)["forks"] if not fork.get("hidden"))
    assert _awkward(first["ends_in"]) <= _awkward(found["answer"])
    wrong, right = read(first["ends_in"]), read(found["answer"])
    assert isinstance(wrong, Either) == isinstance(right, Either)
    assert wrong != right


@pytest.mark.slow
def test_an_ordinary_twin_need_not_tempt_and_a_refusal_says_what_to_do() -> None:
    record = {"task": "solve", "given": "sqrt(x+6) = x", "seed": 3}

    assert twin(problem_from(record))["given"]
    with pytest.raises(OutOfScope, match="ordinary twin"):
        twin(problem_from({**record, "tempting": True}))
