"""Planted slips of every kind are found, clean keys pass; nothing that holds is called wrong."""

from typing import Any

import pytest

from uchuu_core import Failure, Problem, find_the_mistake, proof, work
from uchuu_core.notation import latex, read
from uchuu_core.proofing.proof import repeats
from uchuu_core.tests.support.cases import cases

DEFAULTS = Problem("simplify", "")
VERBS = {
    "evaluate": "Evaluate",
    "simplify": "Simplify",
    "factor": "Factor",
    "expand": "Expand",
    "solve": "Solve",
    "domain": "Find the domain of",
}
WORKED = [
    case for case in cases("work") if case["task"] in VERBS and case.get("numbers") != "complex"
]


def _problem(case: dict[str, Any]) -> Problem:
    return Problem(case["task"], case["given"])


def _key(cases_and_lines: list[tuple[dict[str, Any], list[str]]]) -> str:
    return "\n\n".join(
        "\n".join([f"{n}. {VERBS[case['task']]}: {case['given']}", *(f"   {t}" for t in lines)])
        for n, (case, lines) in enumerate(cases_and_lines, start=1)
    )


@pytest.mark.slow  # a whole key
@pytest.mark.parametrize("whole", [True, False], ids=["all lines", "answers only"])
def test_a_clean_key_passes(whole: bool) -> None:
    listed = []
    for case in WORKED:
        lines = [line["text"] for line in work(_problem(case))["lines"]]
        if lines:
            listed.append((case, lines if whole else lines[-1:]))

    report = proof(_key(listed), DEFAULTS)

    failing = {
        r["given"]: (r["status"], r["lines"]) for r in report["items"] if r["status"] != "holds"
    }
    assert failing == {}
    assert len(report["items"]) == len(listed) > 40


@pytest.mark.slow  # a whole key
def test_a_planted_mistake_is_found_at_its_line_and_mended() -> None:
    listed, planted = [], []
    for seed, case in enumerate(WORKED):
        try:
            found = find_the_mistake(Problem(case["task"], case["given"], seed=seed))
        except Failure:
            continue
        listed.append((case, [line["text"] for line in found["lines"]]))
        planted.append(found)

    report = proof(_key(listed), DEFAULTS)["items"]

    assert len(planted) > 30
    for item, found in zip(report, planted, strict=True):
        assert (item["status"], item["line"]) == ("wrong", found["mistake_at"]), item["given"]
        assert item["error"] == found["error"]
        assert item["task"] and item["correction"]
        typeset = [latex(read(text)) for text in item["correction"]]
        assert item["correction_latex"] == typeset
        mended = Problem(item["task"], item["given"], lines=tuple(item["correction"]))
        again = proof(
            _key([({"task": item["task"], "given": item["given"]}, list(mended.lines))]), DEFAULTS
        )
        assert again["items"][0]["status"] == "holds"


def test_wrong_answers_alone_are_found_too() -> None:
    """An answer of another problem of the same kind never passes as this one's."""
    texts = [f"1. Solve: {n}x + {n + 1} = {5 * n + 1}\n   x = {n}/4" for n in range(2, 9)]
    for text in texts:
        assert proof(text, DEFAULTS)["items"][0]["status"] == "wrong"


@pytest.mark.parametrize(
    ("text", "status", "line"),
    [
        ("1. Solve x^2 = 49\n x = 7", "wrong", 1),
        ("1. Solve sqrt(2x + 3) = x\n x = 3 or x = -1", "wrong", 1),
        ("1. Solve sqrt(2x + 3) = x\n no solution", "wrong", 1),
        ("1. Solve 3/(x - 6) + 4/x = 18/(x^2 - 6x)\n x = 6", "wrong", 1),
        ("1. Factor 2x^2 - 18\n 2(x^2 - 9)", "unfinished", 1),
        ("1. Simplify 6/8\n 6/8", "unfinished", 1),
        ("1. Solve 2x + @ = 3\n x = 1", "unreadable", None),
        ("1. Solve 2x + 1 = 3\n x = @", "unreadable", 1),
        ("1. Solve 2x + 1 = 3", "no-answer", None),
        ("1. Solve 2x + 1 = 7\n 3", "holds", None),
        ("1. Solve 2x + 1 = 2x + 5. no solution", "holds", None),
        ("1. Factor x^2 + x + 1\n prime", "holds", None),
        ("1. Solve for x: y = (x + 1)/(x - 2)\n x = (2y + 1)/(y - 1)", "holds", None),
        ("1. Solve for x: y = (x + 1)/(x - 2)\n x = (2y - 1)/(y - 1)", "wrong", 1),
        ("1. Solve 2x + 3   =   7\n x   =   2", "holds", None),
        ("1. Factor x^2 - 9   =   (x - 3)(x + 3)", "holds", None),
        ("1. Evaluate 3 - 8    -5", "holds", None),
    ],
)
def test_each_kind_of_fault_has_its_name(text: str, status: str, line: int | None) -> None:
    item = proof(text, DEFAULTS)["items"][0]

    assert (item["status"], item["line"]) == (status, line)


def test_choices_right_twice_never_or_misnamed_are_told_and_distractors_explained() -> None:
    text = """1. Simplify sqrt(16) + sqrt(9)
    a) 7   b) 5   c) sqrt(25)
    Answer: b
2. Evaluate 18 - 3*(7 - 2)
    a) 75   b) 3   c) 3.0   d) x +
    Answer: b
3. Evaluate 2 + 3*4
    a) 20  b) 15
4. Evaluate 2 + 3*4
    a) 20  b) 14
    Answer: b"""

    first, second, third, fourth = proof(text, DEFAULTS)["items"]

    assert "Choices b and c say the same." in first["faults"]
    assert "The key names choice b, which is not right; right is a." in first["faults"]
    assert first["options"][1]["error"] == "radical-sum-merged"
    assert second["faults"] == ["Choices b and c are both right."]
    assert second["options"][3]["failure"]["code"] == "unreadable"
    assert third["faults"] == ["None of the choices is right."]
    assert (fourth["status"], fourth["faults"]) == ("holds", [])
    assert fourth["options"][0]["error"] == "order-add-before-multiply"


def test_what_is_said_twice_is_named() -> None:
    found = repeats(["3x + 4 = 10", "5x = 1", "3y + 4 = 10", "4 + 3x = 10", "7z + 2 = 9", "x +"])

    assert found == [
        None,
        None,
        {"of": 0, "how": "same"},
        {"of": 0, "how": "same"},
        {"of": 0, "how": "structure"},
        None,
    ]


def test_an_end_that_cannot_be_held_against_the_given_is_never_called_wrong() -> None:
    for text in (
        "1. Solve for x: a = sqrt(x^2 + b)\n a^2 = x^2 + b\n x^2 = a^2 - b",
        "1. Solve x*2^x = 8\n x = 2",
    ):
        assert proof(text, DEFAULTS)["items"][0]["status"] in ("undecided", "unfinished", "holds")


def test_a_per_cent_sign_is_a_comment_only_in_latex() -> None:
    noted = proof("1. Simplify 6/8\n This is 50% of what it was before.\n 3/4", DEFAULTS)

    assert noted["items"][0]["notes"] == ["This is 50% of what it was before."]
