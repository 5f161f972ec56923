"""The contract's command line: one JSON line in, one out, in order, and the run goes on."""

import json
import subprocess
import sys
from pathlib import Path

import pytest

import uchuu_core
from uchuu_core.__main__ import answer

CORE = Path(uchuu_core.__file__).resolve().parents[1]


def _run(operation: str, text: str) -> subprocess.CompletedProcess[str]:
    return subprocess.run(
        [sys.executable, "-m", "uchuu_core", operation],
        input=text,
        capture_output=True,
        text=True,
        cwd=CORE,
        timeout=60,
        check=False,
    )


def test_a_bad_line_does_not_stop_the_run() -> None:
    records = [
        {"id": 1, "task": "solve", "given": "2x=6", "lines": ["x=3"]},
        {"id": 2, "task": "solve", "given": "2x=", "lines": []},
        {"id": 3, "task": "evaluate", "given": "1+1", "lines": ["2"]},
    ]
    text = "\n".join([*map(json.dumps, records), "not json"]) + "\n"

    done = _run("check", text)

    replies = [json.loads(line) for line in done.stdout.splitlines()]
    assert done.returncode == 0
    assert [reply["id"] for reply in replies] == [1, 2, 3, None]
    assert [reply.get("failure", {}).get("code") for reply in replies] == [
        None,
        "unreadable",
        None,
        "bad-request",
    ]
    assert replies[1]["failure"]["at"] == 3


def test_an_unknown_operation_is_refused() -> None:
    assert _run("guess", "").returncode == 2


@pytest.mark.parametrize(
    "record",
    [
        [],
        {"task": "sing", "given": "x"},
        {"task": "solve"},
        {"task": "solve", "given": 5},
        {"task": "solve", "given": "x", "lines": "x"},
        {"task": "solve", "given": "x", "lines": ["x"] * 201},
        {"task": "solve", "given": "x", "house": {"density": "thin"}},
        {"task": "solve", "given": "x", "numbers": "imaginary"},
    ],
)
def test_a_record_that_breaks_the_contract_is_refused(record: object) -> None:
    failure = answer("check", json.dumps(record))["failure"]

    assert failure["code"] in ("bad-request", "too-large")


def test_inspect_says_kind_methods_and_both_readings() -> None:
    reply = answer("inspect", json.dumps({"task": "evaluate", "given": "6÷2(1+2)"}))

    assert reply["kind"] == "expression of numbers"
    [ambiguity] = [item for item in reply["ambiguities"] if len(item["readings"]) == 2]
    assert [reading["value"] for reading in ambiguity["readings"]] == ["9", "1"]
    assert reply["methods"][0]["method"] == "left-to-right-precedence"


def test_the_public_list_is_what_can_be_imported() -> None:
    assert sorted(uchuu_core.__all__) == uchuu_core.__all__
    assert all(hasattr(uchuu_core, name) for name in uchuu_core.__all__)
