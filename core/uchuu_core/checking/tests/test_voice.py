"""What a method writes comes back with the method's law and sentence, under the other task too."""

import json
from random import Random
from typing import Any

import pytest
from gallery.__main__ import problems

from uchuu_core import check, problem_from, work
from uchuu_core.contract import Density
from uchuu_core.failures import Failure
from uchuu_core.tests.support.problems import EQUATIONS, EXPRESSIONS, Made
from uchuu_core.tests.support.voice import never_said

OTHER = {"simplify": "evaluate", "evaluate": "simplify"}
KINDS = {**EQUATIONS, **EXPRESSIONS}
DENSITIES: tuple[Density, ...] = ("fine", "board", "key")


def _record(made: Made) -> dict[str, Any]:
    record: dict[str, Any] = {"task": made.task, "given": made.given, "numbers": made.numbers}
    return record | ({"variable": made.variable} if made.variable else {})


def _all() -> list[dict[str, Any]]:
    found = [
        {key: value for key, value in record.items() if key != "topic"} for record in problems()
    ]
    found += [_record(KINDS[kind](Random(f"voice {kind}{n}"))) for kind in KINDS for n in range(3)]
    for number, record in enumerate(found):
        record["house"] = {"density": DENSITIES[number % 3]}
    return found


def _tasks(record: dict[str, Any]) -> list[str]:
    has_letters = any(c.isalpha() for c in record["given"].replace("sqrt", "").replace("cbrt", ""))
    other = OTHER.get(record["task"])
    return [record["task"], *([other] if other and not has_letters else [])]


@pytest.mark.parametrize("record", _all(), ids=json.dumps)
def test_a_line_that_was_written_by_a_method_keeps_its_law_and_its_sentence(
    record: dict[str, Any],
) -> None:
    try:
        worked = work(problem_from(record))["lines"]
    except Failure:
        pytest.skip("no method serves it")
    for task in _tasks(record):
        paper = record | {"task": task, "lines": [line["text"] for line in worked]}
        for wrote, line in zip(worked, check(problem_from(paper))["lines"], strict=True):
            assert (line["law"], line["says"]) == (wrote["law"], wrote["says"]), (task, line)
            assert not never_said(line["says"], is_equation="=" in record["given"]), line["says"]
