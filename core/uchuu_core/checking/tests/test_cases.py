"""The project's cases: every verdict, every error, every worked answer of the built topics."""

from typing import Any

import pytest

from uchuu_core import check, problem_from, work
from uchuu_core.kernel.equality import agreement
from uchuu_core.kernel.finished import unmet_forms
from uchuu_core.notation import read
from uchuu_core.tests.support.cases import BUILT_TOPICS, WORKED_TOPICS, cases


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


@pytest.mark.parametrize("case", _listed("work", WORKED_TOPICS))
def test_a_problem_is_worked_to_its_answer(case: dict[str, Any]) -> None:
    answer = work(problem_from(case))

    if "answers" in case:
        assert sorted(answer["answers"]) == sorted(case["answers"])
        assert all(record["holds"] for record in answer["checks"])
    else:
        found, known = read(answer["answer"]), read(case["answer"])
        assert agreement(found, known).verdict == "equal"  # type: ignore[arg-type]
        if answer["outcome"] != "prime":
            forms = tuple(case.get("form", ()))
            assert unmet_forms(found, case["task"], forms, "x") == ()
        assert answer["outcome"] == case.get("outcome")
        assert sorted(answer["excluded"]) == sorted(case.get("excluded", answer["excluded"]))
        assert all(record["holds"] for record in answer["checks"])
    assert answer["method"] == case.get("method", answer["method"])


@pytest.mark.parametrize("case", _listed("check", None))
def test_every_line_of_every_topic_is_judged_rightly(case: dict[str, Any]) -> None:
    """The kernel alone decides; features of functions (``study``) are not judged yet."""
    answer = check(problem_from({**case, "explains": False}))

    verdicts = [line["verdict"] for line in answer["lines"]]
    if case["task"] == "study":
        assert set(verdicts) <= {"unproved", "unreadable"}
    else:
        assert verdicts == case["verdicts"]
