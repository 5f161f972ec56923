"""Papers marked: follow-through, an error paid once, other ways, and nothing lost that nobody decided."""

from collections.abc import Iterator
from random import Random
from typing import Any

import pytest

from uchuu_core.operations import answer as ask
from uchuu_core.tests.support.cases import cases
from uchuu_core.tests.support.problems import EQUATIONS, EXPRESSIONS

KINDS = {**EQUATIONS, **EXPRESSIONS}
LINEAR = ("solve", "3(x-2) = 15")
RADICAL = ("solve", "sqrt(x+6) = x")


def mark(task: str, given: str, lines: list[str], **more: Any) -> dict[str, Any]:
    found = ask("mark", {"task": task, "given": given, "lines": lines, **more})
    assert "failure" not in found, found
    assert 0 <= found["earned"] <= found["of"]
    for one in found["marks"]:
        assert one["earned"] in (0, one["worth"]) or 0 > one["earned"] >= one["worth"]
        assert one["because"]
    assert found["earned"] == max(0, sum(one["earned"] for one in found["marks"]))
    return found


def lost(found: dict[str, Any]) -> list[tuple[str, int | None]]:
    return [(m["key"], m.get("line")) for m in found["marks"] if m["earned"] < max(0, m["worth"])]


def taken(found: dict[str, Any]) -> list[tuple[str, int | None, int]]:
    return [(m["key"], m.get("line"), m["earned"]) for m in found["marks"] if m["worth"] < 0]


@pytest.mark.parametrize(
    ("problem", "lines", "expected"),
    [
        (LINEAR, ["3x - 6 = 15", "3x = 21", "x = 7"], []),
        (LINEAR, ["x - 2 = 5", "x = 7"], []),  # another way
        (LINEAR, ["x = 7"], []),
        # follow-through: an error is paid at its line, the rest earns its method
        (LINEAR, ["3x - 2 = 15", "3x = 17", "x = 17/3"], [("opens-brackets", 1), ("answer", 1)]),
        (LINEAR, ["3x - 6 = 15", "3x = 9", "x = 3"], [("brings-together", 2), ("answer", 2)]),
        # a slip of the pen costs the result, not the method
        (LINEAR, ["3x - 6 = 15", "3x = 22", "x = 22/3"], [("answer", 2)]),
        # stopped too soon
        (LINEAR, ["3x - 6 = 15", "3x = 21"], [("divides-both-sides", None), ("answer", 2)]),
        # a candidate that fails is kept
        (
            RADICAL,
            ["x + 6 = x^2", "x^2 - x - 6 = 0", "(x-3)(x+2) = 0", "x = 3 or x = -2"],
            [("answer", 4), ("check", 4)],
        ),
        (
            RADICAL,
            ["x + 6 = x^2", "x^2 - x - 6 = 0", "(x-3)(x+2) = 0", "x = 3 or x = -2", "x = 3"],
            [],
        ),
        # an error that leaves nothing of a later step is paid once
        (
            ("solve", "6w^2 = 84"),
            ["w^2 = 14", "w = sqrt(14)"],
            [("both-roots", 2), ("answer", 2)],
        ),
        # a miscopied problem is judged as copied
        (
            ("solve", "3x + 4 = 10"),
            ["3x - 4 = 10", "3x = 14", "x = 14/3"],
            [("answer", 1)],
        ),
        (("factor", "6x^2 + 9x"), ["3(2x^2 + 3x)"], [("answer", 1)]),
        (
            ("solve", "x^2 - x - 6 = 0"),
            ["x^2 - x = 6", "x^2 - x + 1/4 = 25/4", "(x - 1/2)^2 = 25/4", "x - 1/2 = 5/2", "x = 3"],
            [("both-cases", 4), ("answer", 4)],
        ),
        (("simplify", "(x^2-9)/(x+3)"), ["(x-3)(x+3)/(x+3)", "x - 3", "x + 3"], [("answer", 3)]),
    ],
)
def test_marks_are_lost_where_they_were_lost_and_nowhere_else(
    problem: tuple[str, str], lines: list[str], expected: list[tuple[str, int | None]]
) -> None:
    assert lost(mark(*problem, lines)) == expected


def test_accuracy_follows_where_the_house_says_so() -> None:
    lines = ["3x - 2 = 15", "3x = 17", "x = 17/3"]
    assert lost(mark(*LINEAR, lines, accuracy_follows=True)) == [("opens-brackets", 1)]


def test_a_bare_answer_is_marked_and_named_by_what_ends_in_it() -> None:
    assert lost(mark(*LINEAR, [], answer="7")) == []
    wrong = mark(*LINEAR, [], answer="17/3")
    assert (wrong["earned"], wrong["error"]) == (0, "distribute-first-term-only")
    assert mark(*LINEAR, [], answer="")["earned"] == mark(*LINEAR, [])["earned"] == 0


@pytest.mark.parametrize(
    ("lines", "expected"),
    [
        (["3x - 6 = 15", "3x = 21", "x = 7"], []),
        (["3x - 2 = 15", "3x = 17", "x = 17/3"], [("concept-1", 1, -2)]),
        (["3x - 6 = 15", "3x = 22", "x = 22/3"], [("slip-1", 2, -1)]),
        (
            ["3x - 6 = 15"],
            [("missing-1", None, -1), ("missing-2", None, -1), ("missing-3", None, -1)],
        ),
    ],
)
def test_points_are_taken_off_once_for_each_error(
    lines: list[str], expected: list[tuple[str, int | None, int]]
) -> None:
    found = mark(*LINEAR, lines, school="deductions", worth=5)
    assert taken(found) == expected


STUDY = ("study", "(x^2-x-6)/(x^2-4)")
FEATURES = ["domain", "hole", "vertical-asymptote", "end-asymptote", "x-intercept", "y-intercept"]


@pytest.mark.parametrize(
    ("lines", "given"),
    [
        (["hole: (-2, 5/4)"], {"hole"}),
        (["y-intercept: (0, 3/2)", "x-intercept: (3, 0)"], {"y-intercept", "x-intercept"}),
        (["hole: (-2, 0)", "vertical asymptote: x = 2"], {"vertical-asymptote"}),
        (["vertical asymptote: x = -2", "horizontal asymptote: y = 1"], {"end-asymptote"}),
    ],
)
def test_a_feature_earns_its_own_mark_and_no_other(lines: list[str], given: set[str]) -> None:
    found = mark(*STUDY, lines)
    earned = {m["key"] for m in found["marks"] if m["earned"] and m["kind"] == "accuracy"}
    assert earned == given
    off = mark(*STUDY, lines, school="deductions", worth=20)
    assert off["earned"] <= 20 - (len(FEATURES) - len(given))


def test_a_study_that_is_complete_has_all_marks() -> None:
    lines = [line["text"] for line in ask("work", {"task": "study", "given": STUDY[1]})["lines"]]
    for school in ("method-accuracy", "deductions"):
        found = mark(*STUDY, lines, school=school)
        assert found["earned"] == found["of"]


def test_words_after_an_equation_do_not_make_it_an_answer() -> None:
    found = mark(*LINEAR, ["3x - 6 = 15", "3x = 21", "ran out of time"])
    assert lost(found) == [("divides-both-sides", None), ("answer", 3)]
    assert mark(*LINEAR, [], answer="x = 17/3 !")["error"] == "distribute-first-term-only"


@pytest.mark.parametrize("worth", [-1, 101, 10**9])
def test_an_item_is_worth_something_bounded(worth: int) -> None:
    for operation in ("scheme", "mark"):
        asked = {"task": "solve", "given": LINEAR[1], "lines": ["x = 7"], "worth": worth}
        assert ask(operation, asked)["failure"]["code"] == "bad-request"
    assert mark(*LINEAR, ["x = 7"], worth=0)["of"] == 0


def test_never_more_is_taken_off_than_there_is() -> None:
    lines = ["3x - 2 = 15", "3x = 13", "x = 13 - 3"]
    assert mark(*LINEAR, lines, school="deductions", worth=3)["earned"] == 0
    assert mark(*LINEAR, [], school="deductions", worth=5)["earned"] == 0


def test_what_cannot_be_read_or_decided_costs_nothing_and_asks() -> None:
    found = mark(*LINEAR, ["3x - 6 = 15", "3x = = 21", "x = 7"])
    assert lost(found) == []
    assert [(one["line"]) for one in found["ask"]] == [2]
    last = mark(*LINEAR, ["3x - 6 = 15", "x = = 7"])
    assert lost(last) == []
    assert [one["line"] for one in last["ask"]] == [2]


def test_a_right_end_after_a_wrong_line_is_asked_about() -> None:
    found = mark(*LINEAR, ["3x - 2 = 15", "x = 7"])
    assert found["ask"]
    assert "line 1" in found["ask"][0]["says"]


def test_a_teachers_scheme_is_what_counts() -> None:
    made = ask("scheme", {"task": "solve", "given": LINEAR[1]})
    made["marks"][0]["worth"] = 5
    del made["marks"][1]
    lines = ["3x - 2 = 15", "3x = 17", "x = 17/3"]
    found = mark(*LINEAR, lines, scheme=made)
    assert (found["earned"], found["of"]) == (1, 7)
    assert mark(*LINEAR, lines, scheme=made["marks"])["marks"] == found["marks"]
    twice = {**made, "marks": [*made["marks"], made["marks"][0]]}
    bad = ask("mark", {"task": "solve", "given": LINEAR[1], "lines": lines, "scheme": twice})
    assert bad["failure"]["code"] == "bad-request"


def papers(kind: str) -> Iterator[tuple[dict[str, Any], list[str], str | None]]:
    """Yield papers whose error is known: the worked lines, with a fork taken, carried on to its end."""
    made = KINDS[kind](Random(4))
    record: dict[str, Any] = {"task": made.task, "given": made.given, "numbers": made.numbers}
    record["variable"] = made.variable
    worked = ask("work", record)
    if "failure" in worked:
        return
    lines = [line["text"] for line in worked["lines"]]
    yield record, lines, None
    for fork in ask("forks", record)["forks"]:
        path = ask("fork", {**record, "wrong": fork["wrong"]}).get("path")
        if path is not None and not fork.get("hidden"):
            after = [line["text"] for line in path]
            yield record, [*lines[: fork["after"]], fork["wrong"], *after], fork["error"]


@pytest.mark.slow  # every kind of problem
@pytest.mark.parametrize("kind", KINDS)
def test_made_up_papers_are_marked_as_their_maker_meant(kind: str) -> None:
    """Right papers have all marks; one error loses the answer, and at most the step that it distorts."""
    for record, lines, error in papers(kind):
        for school in ("method-accuracy", "deductions"):
            found = mark(lines=lines, **record, school=school)
            about = (
                record,
                lines,
                error,
                [(m["key"], m["earned"], m["because"]) for m in found["marks"]],
            )
            if error is None:
                assert found["earned"] == found["of"], about
                continue
            faults = [n for n in found["lines"] if n["verdict"] in ("wrong", "loses")]
            if found["answer"]["right"] or len(faults) > 1:
                continue
            assert found["earned"] < found["of"], about
            methods = [m for m in found["marks"] if m["kind"] == "method" and m["worth"] > 0]
            assert sum(m["earned"] == 0 for m in methods) <= 1, about


@pytest.mark.slow  # every shared paper
def test_shared_papers_are_marked_within_bounds_and_right_ones_in_full() -> None:
    for case in cases("check"):
        record = {
            k: v for k, v in case.items() if k in ("task", "given", "variable", "numbers", "form")
        }
        for school in ("method-accuracy", "deductions"):
            more = {**record, "school": school, "worth": 4}
            found = mark(lines=case["lines"], **more)
            is_all = case["task"] != "study"  # a study asks for more than its last line
            if found["first_wrong"] is None and found["answer"]["right"] and is_all:
                is_asked = bool(found["ask"])
                keys = [key for key, _ in lost(found)] + [key for key, _, _ in taken(found)]
                only_check = all(key.startswith("check") for key in keys)
                assert is_asked or only_check, (case["id"], found["marks"])
