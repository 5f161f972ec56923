"""What was once read, judged or worked wrongly: every case, through the operations as a script asks them."""

import json
from pathlib import Path
from typing import Any

import pytest

from uchuu_core.__main__ import answer
from uchuu_core.kernel.equality import agreement
from uchuu_core.kernel.numbers import Numbers
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solving import solution_set
from uchuu_core.notation import read
from uchuu_core.tree.nodes import ValueSet

FOLDER = Path(__file__).parent / "support" / "truths"
CASES = [
    json.loads(line)
    for file in sorted(FOLDER.glob("*.jsonl"))
    for line in file.read_text("utf-8").splitlines()
]
HOLDS = {"ok", "may-add", "unfinished"}


def _asked(case: dict[str, Any]) -> dict[str, Any]:
    return answer(case["op"], json.dumps(case))


def _alike(verdict: str) -> str:
    return "ok" if verdict == "may-add" else verdict


@pytest.mark.parametrize(
    "case", [c for c in CASES if c["op"] == "check"], ids=lambda case: case["id"]
)
def test_a_paper_is_judged_as_it_is_meant(case: dict[str, Any]) -> None:
    expected, found = case["expect"], _asked(case)
    if "or" in expected and "failure" in found:
        assert "comma" in found["failure"]["message"]
        return
    verdicts = [line["verdict"] for line in found["lines"]]

    if "verdicts" in expected and not ("or" in expected and "unreadable" in verdicts):
        assert [*map(_alike, verdicts)] == [*map(_alike, expected["verdicts"])]
    assert not set(verdicts) & set(expected.get("verdicts_not", []))
    assert expected.get("verdicts_none") not in verdicts
    if "line" in expected:
        assert _alike(verdicts[expected["line"] - 1]) == _alike(expected["verdict"])
    if expected.get("not_all_ok"):
        assert not set(verdicts) <= HOLDS
    for name, value in expected.get("answer", {}).items():
        assert found["answer"][name] is value, name
    assert "(1,)" not in json.dumps(found)


@pytest.mark.parametrize(
    "case", [c for c in CASES if c["op"] != "check"], ids=lambda case: case["id"]
)
def test_a_problem_is_worked_or_refused_by_name(case: dict[str, Any]) -> None:
    expected, found = case["expect"], _asked(case)
    numbers = Numbers(case.get("numbers") == "complex", False)

    if "failure" in expected:
        assert found["failure"]["code"] == expected["failure"]
        return
    if expected.get("answers_or_clear_failure") or expected.get("no_crash"):
        assert found.get("failure", {}).get("code") != "produced-line-refused"
        return
    assert "failure" not in found, found["failure"]["message"]
    if "answer" in expected:
        wanted, given = read(expected["answer"]), read(found["answer"])
        assert agreement(wanted, given, numbers).verdict == "equal"  # type: ignore[arg-type]
        assert len(found["answer"]) <= 1.4 * len(expected["answer"]) + 4
    if "answers" in expected:
        sets = [
            solution_set(ValueSet(tuple(map(read, texts))), "x", ring(("x",)), numbers)  # type: ignore[arg-type]
            for texts in (expected["answers"], found["answers"])
        ]
        assert sets[0].same_solutions(sets[1])
