"""Every operation answers with the record that its type promises: no key more, none less, no other type."""

import json
from typing import Any

import pytest
from pydantic import TypeAdapter

from uchuu_core.operations import CONTRACT, OPERATIONS, answer
from uchuu_core.tests.support.cases import cases

PROBLEMS: list[dict[str, Any]] = [
    {"task": "evaluate", "given": "20 - 6*3 + 4^2/8"},
    {"task": "simplify", "given": "(x^2-9)/(x^2-3x)"},
    {"task": "simplify", "given": "2sqrt(3) + 5sqrt(2)"},
    {"task": "factor", "given": "6x^2+7x-3"},
    {"task": "factor", "given": "x^2+x+1"},
    {"task": "expand", "given": "(x-3)(2x+5)"},
    {"task": "solve", "given": "3(x-2)+4 = x-8"},
    {"task": "solve", "given": "x^2-5x+6 = 0", "method": "complete-the-square"},
    {"task": "solve", "given": "sqrt(x+6) = x"},
    {"task": "solve", "given": "x/(x-2) = 2/(x-2)"},
    {"task": "solve", "given": "x^2+4x+13 = 0", "numbers": "complex"},
    {"task": "solve", "given": "2x+1 = 2x+5"},
    {"task": "domain", "given": "(x+1)/(x^2-4)"},
    {"task": "study", "given": "(x^2-1)/(x-2)"},
    {"task": "solve", "given": "sin x = 1"},
    {"task": "simplify", "given": "3x + ("},
]
PAPERS: list[dict[str, Any]] = [
    {"task": "solve", "given": "3(x-2)+4 = x-8", "lines": ["3x-2+4 = x-8", "2x = -10", "x = -5"]},
    {"task": "solve", "given": "sqrt(x+6) = x", "lines": ["x+6 = x^2", "x = 3 or x = -2", "x = 3"]},
    {"task": "solve", "given": "x^2 = 9", "lines": ["x = 3"]},
    {
        "task": "simplify",
        "given": "12/18",
        "lines": ["6/9 (divide by 2)", "check: 6*18", "2x+", "6/9"],
    },
    {"task": "evaluate", "given": "4/2 + 4/2", "lines": ["8/4 + 4/2", "4"]},
    {"task": "study", "given": "(x^2-1)/(x-1)", "lines": ["hole: (1, 2)", "vertical: x = 1"]},
]
OWN = {
    "id": "own-1",
    "name": "Halves",
    "before": "(a+b)/2",
    "after": "a/2+b",
    "when": [],
    "says": "",
}
FURTHER: dict[str, list[dict[str, Any]]] = {
    "climb": [{**problem, "count": 3} for problem in PROBLEMS[:4]],
    "compare": [{**PROBLEMS[7], "methods": ["complete-the-square", "quadratic-formula"]}],
    "contrast": [{"error": "expand-square-termwise"}, {"error": "quad-missing-plus-minus"}],
    "examine": [{"own": OWN, "examples": ["(x+4)/2", "3x +"]}, {"own": {**OWN, "after": "a/2+b/2"}, "examples": []}],
    "family": [{"family": "trinomial", "wish": 2, "seed": 1, "avoid": []}],
    "fork": [{**PROBLEMS[6], "wrong": "3x-2+4 = x-8"}, {**PROBLEMS[6], "wrong": "3x^7 = x-8"}],
    "invent": [{**problem, "count": 3, "inclined": []} for problem in PROBLEMS[3:7]],
    "key-items": [{"text": "Title\n1. Solve 2x = 6\nx = 3\n2. Factor x^2-1. a) (x-1)^2 b) (x-1)(x+1)"}],
    "mistake": [{**problem, "error": None} for problem in PROBLEMS],
    "proof-item": [
        {"task": "simplify", "given": "", "item": {"number": "1", "at": 1, "task": "solve", "given": "2x = 6", "lines": ["x = 4"]}},
        {"task": "simplify", "given": "", "item": {"number": "2", "at": 1, "task": "factor", "given": "x^2-1", "options": [["a", "(x-1)^2"], ["b", "(x-1)(x+1)"], ["c", "x("]]}},
    ],
    "read": [{"text": "6/2(1+2)"}, {"text": "-3^2", "task": "evaluate"}],
}  # fmt: skip


def _asked(operation: str) -> list[dict[str, Any]]:
    if operation == "check":
        shared = [c for kind in ("solve", "simplify") for c in cases("check") if c["task"] == kind]
        return PAPERS + PROBLEMS + shared[::40]
    return FURTHER.get(operation, PROBLEMS)


@pytest.mark.parametrize("operation", OPERATIONS)
def test_an_answer_is_what_its_type_says(operation: str) -> None:
    typed: TypeAdapter[Any] = TypeAdapter(OPERATIONS[operation].answers)
    answered = 0

    for record in _asked(operation):
        found = answer(operation, record)
        if "failure" in found:
            assert set(found["failure"]) == {"code", "message", "at"}
            continue
        answered += 1
        sent = json.dumps(found)
        assert typed.dump_python(typed.validate_json(sent, strict=True), mode="json") == json.loads(
            sent
        )
    assert answered


def test_what_others_may_ask_is_part_of_one_table() -> None:
    assert CONTRACT.items() <= OPERATIONS.items()
