"""The log of constructed classes: every figure is what was written, in every place that shows it."""

import csv
import io
from datetime import date
from typing import Any

import pytest
from api.testing import ApiClient
from django.contrib.auth.models import User
from errors.models import OwnError
from papers.models import Overruling, SittingItem, Work
from papers.naming import name_line
from papers.queries import cells_of
from papers.spine import class_spine

from log.made_up import ERRORS, judged, made_class, write
from log.queries.errors import log_of, trend
from log.queries.papers import papers_behind
from log.queries.student import student_log
from log.table import table_of


@pytest.fixture
def teacher(db: None) -> User:
    return User.objects.create_user("ada", password="right")


def _expected(
    school_class: Any, written: list[tuple[int, str, str, str]]
) -> dict[tuple[int, str], tuple[int, int]]:
    """Count by hand: for each sitting and error who made it, and who gave something where it can be made."""
    can: dict[tuple[int, str], set[str]] = {}
    for number, sitting in enumerate(school_class.sittings.order_by("date")):
        for item in sitting.items.all():
            can[number, str(item.number)] = set(item.chances["errors"])
    for number, _, place, error in written:
        if error in ERRORS:
            can[number, place].add(error)
    found: dict[tuple[int, str], tuple[set[str], set[str]]] = {}
    for number, code, place, made in written:
        for error in can[number, place]:
            who = found.setdefault((number, error), (set(), set()))
            who[1].add(code)
            if made == error:
                who[0].add(code)
    return {key: (len(made), len(could)) for key, (made, could) in found.items()}


@pytest.mark.parametrize("seed", range(8))
def test_counts_and_chances_are_those_that_were_written(teacher: User, seed: int) -> None:
    school_class, written = made_class(teacher, seed)
    expected = _expected(school_class, written)
    log = log_of(school_class)
    found = {
        (place, row["error"]): (cell["count"], cell["of"])
        for row in log["rows"]
        for place, cell in enumerate(row["cells"])
        if cell
    }
    made = {error for *_, error in written if error in ERRORS}
    assert {row["error"] for row in log["rows"]} == made
    assert found == {key: count for key, count in expected.items() if key[1] in made}


@pytest.mark.parametrize("seed", range(4))
def test_log_grid_spine_codes_papers_and_table_agree(teacher: User, seed: int) -> None:
    school_class, _ = made_class(teacher, seed)
    log = log_of(school_class)
    rows = {row["error"]: row for row in log["rows"]}
    table = {row[0]: row for row in table_of(school_class)[1:]}
    logs = [student_log(student)["rows"] for student in school_class.students.all()]
    for place, column in enumerate(log["columns"]):
        sitting = column["of"]
        cells = cells_of(sitting)
        spines = [class_spine(item) for item in sitting.items.all()]
        for error, row in rows.items():
            count = row["cells"][place]["count"] if row["cells"][place] else 0
            assert count == len({c["student"] for c in cells if c["error"] == ERRORS[error]})
            left = {
                s
                for spine in spines
                for one in spine["leavings"]
                if one["error"] == error
                for s in one["students"]
            }
            assert count == len(left)
            behind = papers_behind(school_class, error, sitting)
            assert count == len({work.student_id for work in behind})
            times = [t for of in logs for r in of if r["error"] == error for t in r["times"]]
            assert behind.count() == sum(t["sitting"] == sitting.pk for t in times)
            assert table[ERRORS[error]][3 + 2 * place] == (count if row["cells"][place] else "")


@pytest.mark.parametrize("seed", range(3))
def test_every_paper_stands_once_on_the_spine(teacher: User, seed: int) -> None:
    school_class, _ = made_class(teacher, seed)
    for item in SittingItem.objects.filter(sitting__school_class=school_class):
        spine = class_spine(item)
        groups = [*spine["leavings"], *spine["unexplained"], *spine["stopped"]]
        placed = [s for one in groups for s in one["students"]]
        placed += [*spine["arrived"], *spine["undecided"]]
        assert sorted(placed) == sorted(item.works.values_list("student_id", flat=True))
        passed = [stop["passed"] for stop in spine["stops"]]
        assert passed == sorted(passed, reverse=True)
        assert passed[0] == spine["of"] - spine["waiting"]


def test_nothing_is_counted_twice_after_judging_anew_overruling_and_deleting_a_code(
    teacher: User,
) -> None:
    school_class, _ = made_class(teacher, 5)
    before = log_of(school_class)
    work = Work.objects.exclude(error="").first()
    assert work is not None
    Overruling.objects.create(work=work, key="answer", earned=1)
    Work.objects.update(ground="other")  # judged anew it says the same
    assert _cells(log_of(school_class)) == _cells(before)

    gone = work.student
    made = {(w.item.sitting_id, w.error) for w in gone.works.exclude(error="")}
    counts = {
        (c["of"].pk, r["error"]): r["cells"][n]
        for r in before["rows"]
        for n, c in enumerate(before["columns"])
    }
    gone.delete()
    after = log_of(school_class)
    for row in after["rows"]:
        for place, column in enumerate(after["columns"]):
            then = counts[column["of"].pk, row["error"]] or {"count": 0}
            now = row["cells"][place] or {"count": 0}
            assert then["count"] - now["count"] == ((column["of"].pk, row["error"]) in made)


def _cells(log: dict[str, Any]) -> list[Any]:
    return [(row["error"], row["cells"], row["trend"]) for row in log["rows"]]


def test_an_unexplained_line_is_named_once_for_all_and_counted_as_named(teacher: User) -> None:
    school_class, _ = made_class(teacher, 2, sittings=1, items=1)
    item = SittingItem.objects.get(sitting__school_class=school_class)
    item.works.all().delete()
    students = list(school_class.students.all())
    for student in students[:3]:
        write(item, student, "?", "4x + 1 = 15")
    write(item, students[3], "?", "x = 9")
    (first, second) = class_spine(item)["unexplained"]
    assert sorted([len(first["students"]), len(second["students"])]) == [1, 3]

    assert name_line(item, "4x + 1 = 15", "Forgets the eight") == 3
    (leaving,) = class_spine(item)["leavings"]
    assert (leaving["name"], len(leaving["students"])) == ("Forgets the eight", 3)
    (row,) = log_of(school_class)["rows"]
    assert (row["name"], row["count"], row["cells"][0]["of"]) == ("Forgets the eight", 3, 4)
    # a name of the catalogue is that error, one of the teacher's own is that
    assert name_line(item, "x = 9", "multiplies only the first term of the bracket") == 1
    assert Work.objects.filter(error="distribute-first-term-only").count() == 1
    own = OwnError.objects.create(teacher=teacher, name="Counts twice", before="a", after="b")
    assert name_line(item, "x = 9", "counts twice") == 1
    assert Work.objects.filter(error=f"own-{own.pk}").count() == 1
    assert name_line(item, "4x + 1 = 15", "") == 3
    assert not Work.objects.filter(error_name="Forgets the eight").exists()


def test_an_error_is_closed_after_two_right_ones_and_stops_too_soon_stand_apart(
    teacher: User,
) -> None:
    school_class, _ = made_class(teacher, 3, codes=1, sittings=3, items=1)
    student = school_class.students.get()
    Work.objects.all().delete()
    error = "like-unlike-terms-joined"
    items = list(SittingItem.objects.order_by("sitting__date"))
    SittingItem.objects.update(chances={"core": "made", "errors": [error]})
    write(items[0], student, error)
    (row,) = student_log(student)["rows"]
    assert (row["closed"], row["right_since"]) == (False, 0)
    write(items[1], student, "")
    assert not student_log(student)["rows"][0]["closed"]
    last = write(items[2], student, "")
    assert student_log(student)["rows"][0]["closed"]
    found = judged("stop-like-terms-left", soon=True)
    Work.objects.filter(pk=last.pk).update(
        judged=found, stop="unfinished", error="stop-like-terms-left", error_name="Stops too soon"
    )
    rows = student_log(student)["rows"]
    assert [(one["too_soon"], one["closed"]) for one in rows] == [(True, False), (False, True)]


def test_who_stops_too_soon_stands_at_the_last_right_line_and_left_nowhere(teacher: User) -> None:
    school_class, _ = made_class(teacher, 6, codes=2, sittings=1, items=1)
    item = SittingItem.objects.get()
    item.works.all().delete()
    for student in school_class.students.all():
        work = write(item, student, "")
        found = judged("stop-unknown-not-alone", "4x = 23", soon=True)
        Work.objects.filter(pk=work.pk).update(
            judged=found, stop="unfinished", error="stop-unknown-not-alone"
        )
    spine = class_spine(item)
    assert (spine["leavings"], spine["unexplained"], spine["arrived"]) == ([], [], [])
    (stopped,) = spine["stopped"]
    assert len(stopped["students"]) == 2
    assert spine["stops"][stopped["after"]]["text"] == "4x = 23"
    (row,) = log_of(school_class)["rows"]
    assert (row["too_soon"], row["cells"]) == (True, [{"count": 2, "of": 2}])


def test_better_or_worse_since_the_lesson_that_taught_it() -> None:
    days = [date(2026, 9, n) for n in (7, 14, 21, 28)]
    assert trend([(days[0], 3, 10)], None) == ""
    assert trend([(days[0], 3, 10), (days[1], 6, 10)], None) == "worse"
    shares = [(days[0], 6, 10), (days[1], 1, 10), (days[2], 2, 10)]
    assert trend(shares, None) == "same"  # against the one before
    assert trend(shares, date(2026, 9, 10)) == "better"  # against the one before the lesson
    assert trend(shares, days[3]) == "same"  # the lesson was after all of it


def test_the_log_as_files_and_nobody_elses(ada: ApiClient, ben: ApiClient) -> None:
    school_class, _ = made_class(User.objects.get(username="ada"), 4)
    path = f"/log/{school_class.pk}"
    log = ada.call("GET", path).json()
    assert len(log["columns"]) == 4
    text = ada.call("GET", f"{path}/log.csv").content.decode()
    rows = list(csv.reader(io.StringIO(text)))
    assert len(rows) == len(log["rows"]) + 1
    record = ada.call("GET", f"{path}/log.json").json()
    assert [one["cells"] for one in record["errors"]] == [one["cells"] for one in log["rows"]]
    assert ada.call("GET", f"{path}/log.xlsx").content[:2] == b"PK"
    student = school_class.students.first()
    assert student is not None
    for one in (
        path,
        f"{path}/next?on=2026-10-01",
        f"{path}/students/{student.pk}",
        f"{path}/log.csv",
    ):
        assert ada.call("GET", one).status_code == 200
        assert ben.call("GET", one).status_code == 404
