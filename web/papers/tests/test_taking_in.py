"""Papers as they are taken in: whatever comes in whatever order, what stands last is stored once."""

from typing import Any

import pytest
from algebra import pool
from api.testing import ApiClient
from django.contrib.auth.models import User
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from papers.actions import marking
from papers.actions.take_in import Given, digest, take_in, tidy
from papers.documents import is_plain_text, rows_of_document, rows_of_text
from papers.models import Overruling, Paper, Sitting, Work
from papers.tests.test_going_out import _versions
from papers.tests.test_papers import FIRST_ONLY, RIGHT, grid_of, sitting_of, write
from papers.versions import Versions, change_version

LINES = st.lists(st.sampled_from(["x = 7", "3x = 21", "", "  ", "words", "x = = 1"]), max_size=3)
STEPS = st.lists(st.tuples(st.integers(0, 2), st.integers(0, 1), LINES), max_size=8)
STEADY = settings(
    max_examples=40,
    deadline=None,
    suppress_health_check=[HealthCheck.function_scoped_fixture],
)


def _stored() -> dict[tuple[str, int], list[str]]:
    return {(work.student.code, work.item.number): work.lines for work in Work.objects.all()}


@given(STEPS, st.booleans())
@STEADY
def test_what_came_last_is_what_is_stored(
    ada: ApiClient, steps: list[tuple[int, int, list[str]]], at_once: bool
) -> None:
    """Taken in at once or one after another, the end is the same, and what is new is counted."""
    if not Sitting.objects.exists():
        sitting_of(ada)
    Work.objects.all().delete()
    sitting = Sitting.objects.get()
    students, items = list(sitting.school_class.students.all()), list(sitting.items.all())
    expected: dict[tuple[str, int], list[str]] = {}
    works = [Given(students[who], items[what], lines) for who, what, lines in steps]
    if at_once:
        take_in(works)
    for one in works:
        key, lines = (one.student.code, one.item.number), tidy(one.lines)
        before = expected.pop(key, [])
        if lines:
            expected[key] = lines
        if not at_once:
            assert take_in([one]) == (lines != before)
    assert _stored() == expected
    assert take_in(works[-1:]) == 0
    for work in Work.objects.all():
        assert work.wrote == digest(work.lines, alone=work.answer_alone)
        assert work.answer_alone == (len(work.lines) == 1)


CODES = ("01", "a b", "x", "7")
ONE_LINE = st.sampled_from(
    ["3x = 21", "x = 7", "so x is 7", "x = 3 or x = -2", "(x + 1)/2", "-4   -4"]
)
WRITTEN = st.dictionaries(
    st.sampled_from(CODES),
    st.dictionaries(
        st.integers(1, 30), st.lists(ONE_LINE, min_size=1, max_size=3), min_size=1, max_size=3
    ),
    min_size=1,
)
NUMBERED = st.sampled_from(["{}. ", "{}) ", "no. {}. ", "item {}: ", "#{}. "])
HEADED = st.sampled_from(["Code: {}", "code {}", "{}", "{}:", "Paper of {}", "Student: {}"])


@given(WRITTEN, NUMBERED, HEADED)
@settings(max_examples=200, deadline=None)
def test_papers_as_text_are_read_as_they_were_written(
    papers: dict[str, dict[int, list[str]]], numbered: str, headed: str
) -> None:
    text = "\n\n".join(
        "\n".join(
            [
                headed.format(code),
                *(
                    line if n else numbered.format(number) + line
                    for number, lines in works.items()
                    for n, line in enumerate(lines)
                ),
            ]
        )
        for code, works in papers.items()
    )
    codes = {code.casefold() for code in CODES}
    assert is_plain_text(text, codes)
    expected = [
        [code, str(number), *lines]
        for code, works in papers.items()
        for number, lines in works.items()
    ]
    assert rows_of_text(text, codes) == expected


@pytest.mark.parametrize(
    "text", ["01,1,x = 7", "code,item,lines\n01,1,x", "code;item", "01\t1\tx = 7", "x = 7", ""]
)
def test_a_table_is_no_plain_text(text: str) -> None:
    assert not is_plain_text(text, {"01"})


def test_lines_before_any_item_are_told_and_not_lost() -> None:
    rows = rows_of_text("01\nx = 7\n1. x = 3", {"01"})
    assert rows == [["01", "", "x = 7"], ["01", "1", "x = 3"]]


def test_a_document_says_who_had_which_version() -> None:
    text = """{"format": "uchuu-papers", "version": 1, "papers": [
        {"code": "01", "form": "B", "works": [{"item": 2, "lines": ["x = 1"]}]},
        {"code": "02", "works": []}]}"""
    assert rows_of_document(text) == ([["01", "2", "x = 1"]], {"01": "B"})


def test_changed_and_changed_back_a_version_leaves_everything_as_it_was(ada: ApiClient) -> None:
    grid = _versions(ada)
    write(ada, grid, "01", item1=RIGHT)
    sitting = Sitting.objects.get()
    student = sitting.school_class.students.get(code="01")
    before = [(cell["stop"], cell["earned"]) for cell in grid_of(ada, grid)["cells"]]
    assert change_version(sitting=sitting, student=student, version="B")
    assert not change_version(sitting=sitting, student=student, version="B")
    assert [cell["stop"] for cell in grid_of(ada, grid)["cells"]] == ["wrong"]
    assert change_version(sitting=sitting, student=student, version="A")
    assert [(cell["stop"], cell["earned"]) for cell in grid_of(ada, grid)["cells"]] == before
    assert Paper.objects.get(student=student).version == "A"
    assert Work.objects.count() == 1


def test_a_decision_about_another_version_is_not_carried_over(ada: ApiClient) -> None:
    grid = _versions(ada)
    paper = write(ada, grid, "01", item1=FIRST_ONLY)
    key = paper["works"][0]["marks"][0]["key"]
    body = {"item": paper["works"][0]["item"], "key": key, "earned": 1}
    path = f"/sittings/{grid['id']}/papers/{paper['student']['id']}"
    ada.call("PUT", f"{path}/decision", body)
    assert Overruling.objects.count() == 1
    ada.call("PUT", f"{path}/version", {"version": "B"})
    assert not Overruling.objects.exists()


def test_who_has_no_version_has_the_first(ada: ApiClient) -> None:
    grid = _versions(ada)
    ada.call("POST", f"/classes/{_class(ada)}/students", {"codes": ["late"]})
    sitting = Sitting.objects.get(pk=grid["id"])
    late = sitting.school_class.students.get(code="late")
    versions = Versions(sitting)
    assert versions.of(late) == "A"
    item = versions.item(late, 1)
    assert item is not None
    assert (item.version, versions.item(late, 9)) == ("A", None)


def _class(teacher: ApiClient) -> str:
    return str(teacher.call("GET", "/classes").json()[0]["id"])


def test_versions_with_different_numbers_of_problems_are_refused(ada: ApiClient) -> None:
    from_two = ada.set_of(
        {"task": "solve", "given": "2x = 6"}, {"task": "solve", "given": "3x = 6"}
    )
    from_one = ada.set_of({"task": "solve", "given": "2x = 8"})
    made = ada.call("POST", "/classes", {"title": "C", "year": "", "codes": ["01"]}).json()
    teacher = User.objects.get(username="ada")
    first = teacher.sets.get(pk=from_two["id"])
    teacher.sets.filter(pk=first.pk).update(form="A")
    teacher.sets.filter(pk=from_one["id"]).update(form="B", made_from=first)
    body = {
        "school_class": made["id"],
        "set": from_two["id"],
        "date": "2026-11-20",
        "versions": True,
    }
    reply = ada.call("POST", "/sittings", body)
    assert (reply.status_code, reply.json()["code"]) == (422, "uneven-versions")
    assert not Sitting.objects.exists()


def test_one_paper_that_takes_too_long_holds_up_no_other(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    """A batch that is not done in time is asked for paper by paper."""
    run_many, sizes = pool.run_many, []

    def late(operation: str, records: list[Any], *more: Any) -> Any:
        sizes.append(len(records))
        if any(record["lines"][-1:] == ["x = 17/3"] for record in records):
            raise pool.TookTooLong("It took too long.")
        return run_many(operation, records, *more)

    monkeypatch.setattr(pool, "run_many", late)
    grid = sitting_of(ada)
    table = "\n".join(
        ";".join([code, "1", *lines])
        for code, lines in (("01", RIGHT), ("02", FIRST_ONLY), ("03", ["3x = 21", "x = 7"]))
    )
    ada.call("POST", f"/sittings/{grid['id']}/table", {"text": table})
    assert sizes == [3, 1, 1, 1]
    earned = {cell["student"]: cell["earned"] for cell in grid_of(ada, grid)["cells"]}
    assert list(earned.values()).count(None) == 1
    late_one = Work.objects.get(earned=None)
    assert (late_one.student.code, late_one.judged["late"]) == ("02", True)  # type: ignore[index]


def test_batches_are_of_one_item_and_the_longest_come_first(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    run_many, asked = pool.run_many, []

    def seen(operation: str, records: list[Any], *more: Any) -> Any:
        asked.append([(record["given"], len(record["lines"])) for record in records])
        return run_many(operation, records, *more)

    monkeypatch.setattr(pool, "run_many", seen)
    monkeypatch.setattr(marking, "AT_ONCE", 1)
    monkeypatch.setattr(marking, "A_BATCH", 2)
    grid = sitting_of(ada)
    rows = ["01;1;3x = 21;x = 7", "02;1;x - 2 = 5;3x = 21;x = 7", "03;1;x = 8;x = 7", "01;2;x = 3"]
    ada.call("POST", f"/sittings/{grid['id']}/table", {"text": "\n".join(rows)})
    assert all(len({given for given, _ in batch}) == 1 for batch in asked)
    lengths = [sum(lines for _, lines in batch) for batch in asked]
    assert lengths == sorted(lengths, reverse=True)
    assert sorted(len(batch) for batch in asked) == [1, 1, 2]
