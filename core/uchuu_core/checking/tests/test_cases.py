"""The project's cases: every verdict, every error, every worked answer of the built topics."""

from typing import Any

import pytest

from uchuu_core import check, problem_from, work
from uchuu_core.answers.features import Features
from uchuu_core.kernel.equality import agreement
from uchuu_core.kernel.finished import unmet_forms
from uchuu_core.kernel.numbers import COMPLEX, REAL
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solving import solution_set
from uchuu_core.notation import read
from uchuu_core.tests.support.cases import BUILT_TOPICS, cases
from uchuu_core.tree.nodes import Relation, Symbol


def _listed(kind: str, topics: tuple[str, ...] | None) -> list[Any]:
    return [pytest.param(case, id=case["id"]) for case in cases(kind, topics)]


@pytest.mark.parametrize("case", _listed("check", BUILT_TOPICS))
def test_a_paper_is_judged_and_its_error_named(case: dict[str, Any]) -> None:
    answer = check(problem_from(case))

    lines = answer["lines"]
    assert [line["verdict"] for line in lines] == case["verdicts"]
    assert answer["error"] == case["error"]
    assert answer["first_wrong"] == case["error_line"]
    doubts = {number: line["doubt"] for number, line in enumerate(lines, 1) if "doubt" in line}
    assert doubts == ({case["doubt_line"]: case["doubt"]} if "doubt" in case else {})


@pytest.mark.parametrize("case", _listed("work", None))
def test_a_problem_is_worked_to_its_answer(case: dict[str, Any]) -> None:
    answer = work(problem_from(case))

    assert answer["outcome"] == case.get("outcome") or answer["outcome"] == "prime"
    assert set(answer["excluded"]) == set(case.get("excluded", answer["excluded"]))
    if "features" in case:
        _has_features(answer["features"], case["features"])
    elif "answers" in case:
        unknown = case.get("variable", "x")
        is_complex = case.get("numbers") == "complex"
        points, wanted = (
            {_point(text, unknown, is_complex) for text in texts}
            for texts in (answer["answers"], case["answers"])
        )
        assert points == wanted
        rejected = sorted(record["value"] for record in answer["rejected"])
        assert rejected == sorted(case.get("rejected", rejected))
    else:
        found, known = read(answer["answer"]), read(case["answer"])
        if case["task"] != "domain":
            assert agreement(found, known).verdict == "equal"  # type: ignore[arg-type]
        if answer["outcome"] != "prime":
            forms = tuple(case.get("form", ()))
            assert unmet_forms(found, case["task"], forms, "x") == ()
        assert all(record["holds"] for record in answer["checks"])
    assert answer["method"] == case.get("method", answer["method"])


def _point(text: str, unknown: str, is_complex: bool) -> Any:
    line = Relation(Symbol(unknown), "=", read(text))  # type: ignore[arg-type]
    numbers = COMPLEX if is_complex else REAL
    (point,) = solution_set(line, unknown, ring((unknown,)), numbers).points
    return point


def _has_features(found: Features, known: dict[str, Any]) -> None:
    for name, value in known.items():
        has: Any = dict(found)[name]
        if name == "points":
            assert all(point in has for point in value)
        elif isinstance(value, list):
            assert sorted(has) == sorted(value)
        else:
            assert has == value


@pytest.mark.parametrize("case", _listed("check", None))
def test_every_line_of_every_topic_is_judged_rightly(case: dict[str, Any]) -> None:
    """The kernel alone decides."""
    answer = check(problem_from({**case, "explains": False}))

    assert [line["verdict"] for line in answer["lines"]] == case["verdicts"]
