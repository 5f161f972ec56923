"""Problems made to order, and runs that climb."""

import pytest

from uchuu_core import FAMILIES, Problem, check, climb, family, work
from uchuu_core.failures import BadRequest, OutOfScope
from uchuu_core.notation import read
from uchuu_core.tree.shape import unordered
from uchuu_core.twinning.families import Family


@pytest.mark.slow
@pytest.mark.parametrize("kind", FAMILIES, ids=lambda item: item.key)
def test_a_family_keeps_what_it_promises(kind: Family) -> None:
    given = set()
    for seed in range(12):
        made = family(kind.key, None, seed)
        record = work(Problem(kind.task, made["given"]))
        assert kind.keeps(record, None)
        lines = tuple(line["text"] for line in record["lines"])
        answer = check(Problem(kind.task, made["given"], lines=lines, explains=False))["answer"]
        assert answer["right"]
        assert answer["finished"]
        given.add(made["given"])
    assert len(given) > 8
    assert family(kind.key, None, 3) == family(kind.key, None, 3)


def test_wishes_are_granted_or_refused() -> None:
    assert "7" in family("quadratic-solution", 7, 1)["answers"]
    assert "-4" in family("linear-solution", -4, 1)["answers"]
    extraneous = work(Problem("solve", family("rational-extraneous", 5, 1)["given"]))
    assert [item["value"] for item in extraneous["rejected"]] == ["5"]
    with pytest.raises(OutOfScope):
        family("combining-radicals", 4, 1)
    for key, wish in (("trinomial", 0), ("linear-solution", 10**9), ("no such family", None)):
        with pytest.raises(BadRequest):
            family(key, wish, 1)


@pytest.mark.slow
@pytest.mark.parametrize(
    ("task", "given"),
    [
        ("solve", "3(x - 2) = 9"),
        ("factor", "6x^2 + 7x - 3"),
        ("simplify", "sqrt(28) + sqrt(63)"),
        ("simplify", "(x^2 - 9)/(x^2 - x - 6)"),
    ],
)
def test_a_run_climbs_and_repeats_nothing(task: str, given: str) -> None:
    run = climb(Problem(task, given), 6)  # type: ignore[arg-type]

    scores = [item["score"] for item in run]
    assert scores == sorted(scores)
    assert scores[0] < scores[-1]
    assert len({unordered(read(item["given"])) for item in run}) == len(run) == 6
    for item in run:
        assert work(Problem(task, item["given"]))["answer"] == item["answer"]  # type: ignore[arg-type]
