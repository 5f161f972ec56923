"""Classes, sittings and papers through the API: in by every way, marked, overruled, taken away, kept apart."""

from typing import Any

import pytest
from algebra import pool
from api.testing import ApiClient
from jobs.models import Job
from openpyxl import Workbook

from papers.actions import marking
from papers.models import Overruling, Work

LINEAR = {"task": "solve", "given": "3(x - 2) = 15"}
SQUARE = {"task": "solve", "given": "x^2 - x - 6 = 0"}
RIGHT = ["3x - 6 = 15", "3x = 21", "x = 7"]
FIRST_ONLY = ["3x - 2 = 15", "3x = 17", "x = 17/3"]


def sitting_of(teacher: ApiClient, codes: tuple[str, ...] = ("01", "02", "03")) -> dict[str, Any]:
    made = teacher.call("POST", "/classes", {"title": "Algebra 2", "year": "2026", "codes": codes})
    assert made.status_code == 201, made.json()
    given = teacher.set_of(LINEAR, SQUARE)
    body = {"school_class": made.json()["id"], "set": given["id"], "date": "2026-11-20"}
    reply = teacher.call("POST", "/sittings", body)
    assert reply.status_code == 201, reply.json()
    found: dict[str, Any] = reply.json()
    return found


def write(
    teacher: ApiClient, grid: dict[str, Any], code: str, **lines: list[str]
) -> dict[str, Any]:
    """Write a paper: ``item1=[…]``."""
    student = next(one["id"] for one in grid["students"] if one["code"] == code)
    had = grid["had"][str(student)]
    mine = [item for item in grid["items"] if item["version"] == had]
    items = {f"item{item['number']}": item["id"] for item in mine}
    works = [{"item": items[name], "lines": written} for name, written in lines.items()]
    path = f"/sittings/{grid['id']}/papers/{student}"
    reply = teacher.call("PUT", path, {"works": works})
    assert reply.status_code == 200, reply.json()
    found: dict[str, Any] = teacher.call("GET", path).json()
    return found


def grid_of(teacher: ApiClient, grid: dict[str, Any]) -> dict[str, Any]:
    reply = teacher.call("GET", f"/sittings/{grid['id']}")
    assert reply.status_code == 200, reply.json()
    found: dict[str, Any] = reply.json()
    return found


def test_a_paper_is_marked_line_by_line_with_follow_through(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    paper = write(ada, grid, "02", item1=FIRST_ONLY, item2=["x = 3 or x = -2"])

    first, second = paper["works"]
    assert [line["verdict"] for line in first["checked"]] == ["wrong", "ok", "ok"]
    assert (first["earned"], first["of"]) == (2, 4)
    assert first["marks"][0]["because"].startswith("Line 1: Multiplies only the first term")
    assert second["answer_alone"]
    assert second["earned"] == second["of"]
    cells = grid_of(ada, grid)["cells"]
    assert {(cell["stop"], cell["earned"]) for cell in cells} == {("wrong", 2), ("ok", 3)}
    assert [cell["error"] for cell in cells if cell["error"]] == [
        "Multiplies only the first term of the bracket"
    ]


def test_equal_work_is_marked_once_and_equal_work_again_changes_nothing(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    grid = sitting_of(ada)
    asked: list[str] = []
    run_many = pool.run_many

    def counted(operation: str, records: list[Any], *more: Any) -> Any:
        asked.extend(operation for _ in records)
        return run_many(operation, records, *more)

    monkeypatch.setattr(pool, "run_many", counted)
    table = "\n".join(f"{code};1;{';'.join(FIRST_ONLY)}" for code in ("01", "02", "03"))

    taken = ada.call("POST", f"/sittings/{grid['id']}/table", {"text": table}).json()
    assert taken["changed"] == 3
    assert asked == ["mark"]
    again = ada.call("POST", f"/sittings/{grid['id']}/table", {"text": table}).json()
    assert (again["changed"], asked) == (0, ["mark"])


def test_a_table_is_told_row_by_row(ada: ApiClient) -> None:
    grid = sitting_of(ada, ("c1", "c2"))
    text = "code,item,line 1,line 2\nc1,1,3x = 21,x = 7\nC2,no. 2,x = 3\nC2,2,x = -2\nc9,1,x\nc1,7,x\nc1\n"

    taken = ada.call("POST", f"/sittings/{grid['id']}/table", {"text": text}).json()
    assert [row["at"] for row in taken["rows"] if not row["taken"]] == [5, 6, 7]
    assert "no code of this class" in taken["rows"][3]["says"]
    works = {work.student.code: work.lines for work in Work.objects.all()}
    assert works == {"c1": ["3x = 21", "x = 7"], "c2": ["x = 3", "x = -2"]}


def test_a_workbook_and_a_file_of_another_kind(ada: ApiClient, tmp_path: Any) -> None:
    grid = sitting_of(ada)
    book = Workbook()
    for row in (["code", "item", "line"], ["01", 1, "x = 7"], ["01", 2, "=1+2"]):
        book.active.append(row)  # type: ignore[union-attr]
    book.save(tmp_path / "papers.xlsx")
    path = f"/sittings/{grid['id']}/file"

    taken = ada.upload(path, "papers.xlsx", (tmp_path / "papers.xlsx").read_bytes()).json()
    assert taken["changed"] == 1
    assert "formula" in taken["rows"][-1]["says"]
    assert ada.upload(path, "papers.xlsx", b"PK nothing").status_code == 422
    assert ada.upload(path, "papers.exe", b"x").status_code == 422


def test_what_the_teacher_decides_counts_and_survives_a_new_judgement(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    for code in ("01", "02"):
        paper = write(ada, grid, code, item1=FIRST_ONLY)
    assert paper["works"][0]["alike"] == 1
    item, key = paper["works"][0]["item"], paper["works"][0]["marks"][0]["key"]
    path = f"/sittings/{grid['id']}/papers/{paper['student']['id']}/decision"
    body = {"item": item, "key": key, "earned": 1, "why": "read aloud rightly", "alike": True}

    decided = ada.call("PUT", path, body).json()["works"][0]
    assert (decided["earned"], decided["marks"][0]["proposed"]) == (3, 0)
    assert decided["marks"][0]["why"] == "read aloud rightly"
    assert [cell["earned"] for cell in grid_of(ada, grid)["cells"]] == [3, 3]
    Work.objects.update(ground="another core")
    assert [cell["earned"] for cell in grid_of(ada, grid)["cells"]] == [3, 3]
    assert Work.objects.exclude(ground="another core").count() == 2
    assert ada.call("PUT", path, {**body, "earned": 5}).status_code == 422
    assert ada.call("PUT", path, {**body, "key": "nothing"}).status_code == 422
    back = ada.call("PUT", path, {**body, "earned": None}).json()["works"][0]
    assert back["earned"] == 2
    assert not Overruling.objects.exists()


def test_a_decision_about_a_mark_that_is_not_there_any_more_counts_nowhere(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    paper = write(ada, grid, "01", item1=FIRST_ONLY)
    Overruling.objects.create(work=Work.objects.get(), key="no-such-mark", earned=1)
    (cell,) = grid_of(ada, grid)["cells"]
    assert cell["earned"] == paper["works"][0]["earned"] == 2


def test_what_was_not_marked_in_time_is_no_answer_and_is_marked_again_on_request(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    run_many = pool.run_many

    def late(*_: Any) -> Any:
        raise pool.TookTooLong("It took too long.")

    monkeypatch.setattr(pool, "run_many", late)
    grid = sitting_of(ada)
    work = write(ada, grid, "01", item1=RIGHT)["works"][0]
    assert (work["late"], work["refused"], work["earned"]) == (True, "It took too long.", None)
    begun = Job.objects.filter(kind="marking").count()
    grid_of(ada, grid)
    assert Job.objects.filter(kind="marking").count() == begun  # looking at it is no request
    monkeypatch.setattr(pool, "run_many", run_many)
    again = ada.call("POST", f"/sittings/{grid['id']}/mark").json()
    assert [cell["earned"] for cell in again["cells"]] == [4]


def test_work_that_is_written_anew_loses_its_marks_and_work_that_is_emptied_goes(
    ada: ApiClient,
) -> None:
    grid = sitting_of(ada)
    write(ada, grid, "01", item1=FIRST_ONLY)
    assert write(ada, grid, "01", item1=RIGHT)["works"][0]["earned"] == 4
    assert write(ada, grid, "01", item1=["", " "])["works"][0]["lines"] == []
    assert not Work.objects.exists()


def test_how_a_sitting_is_marked_may_change_and_everything_is_marked_anew(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    write(ada, grid, "01", item1=FIRST_ONLY)
    body = {
        "title": "Quiz",
        "date": "2026-11-21",
        "school": "deductions",
        "accuracy_follows": False,
    }
    ada.call("PUT", f"/sittings/{grid['id']}", body)
    (cell,) = grid_of(ada, grid)["cells"]
    assert (cell["earned"], cell["of"]) == (3, 5)


def test_a_set_that_changes_later_does_not_change_what_was_given(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    found = ada.listed("/sets")[0]
    ada.call("DELETE", f"/sets/{found['id']}")
    assert [item["given"] for item in grid_of(ada, grid)["items"]] == [
        LINEAR["given"],
        SQUARE["given"],
    ]


def test_the_marks_leave_as_a_table_in_which_no_code_is_a_formula(ada: ApiClient) -> None:
    grid = sitting_of(ada, ("=1+1", "02"))
    write(ada, grid, "02", item1=RIGHT)
    text = ada.call("GET", f"/sittings/{grid['id']}/marks.csv").content.decode()
    assert text.splitlines() == ["code,1,2,total", "'=1+1,,,0", "02,4,,4"]


def test_one_item_has_the_class_on_its_spine(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    write(ada, grid, "01", item1=[*RIGHT, "check: 3(7-2) = 15"])
    write(ada, grid, "02", item1=FIRST_ONLY)
    write(ada, grid, "03", item1=["17/3"])
    found = ada.call("GET", f"/sittings/{grid['id']}/items/1").json()
    spine = found["spine"]
    assert [len(one["students"]) for one in spine["leavings"]] == [2]
    assert spine["leavings"][0]["error"] == "distribute-first-term-only"
    assert len(spine["arrived"]) == 1
    # an answer without lines is also placed by where it ends
    assert found["codes"] == ["03"]
    (group,) = found["placed"]["groups"]
    assert group["errors"][0]["id"] == "distribute-first-term-only"
    assert ada.call("GET", f"/sittings/{grid['id']}/items/9").status_code == 404


def test_a_slip_says_where_a_student_first_left_and_what_to_say(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    write(ada, grid, "01", item1=RIGHT)
    write(ada, grid, "02", item1=["3x - 6 = 15", "3x = 9", "x = 3"], item2=["x = 3 or x = 2"])
    (slip,) = ada.call("GET", f"/sittings/{grid['id']}/slips").json()
    assert slip["code"] == "02"
    first = slip["entries"][0]
    assert (first["number"], first["line"], first["wrote"]["text"]) == (1, 2, "3x = 9")
    assert first["instead"]["latex"]
    assert first["says"]
    assert [entry["number"] for entry in slip["entries"]] == [1, 2]


def test_a_class_leaves_whole_as_one_file(ada: ApiClient, ben: ApiClient) -> None:
    grid = sitting_of(ada)
    write(ada, grid, "02", item1=FIRST_ONLY)
    school_class = ada.call("GET", "/classes").json()[0]
    path = f"/sittings/class/{school_class['id']}.json"
    record = ada.call("GET", path).json()
    assert record["codes"] == ["01", "02", "03"]
    (paper,) = record["sittings"][0]["papers"]
    assert (paper["code"], paper["item"], paper["lines"], paper["earned"]) == (
        "02",
        1,
        FIRST_ONLY,
        2,
    )
    assert ben.call("GET", path).status_code == 404


def test_a_code_and_a_class_go_with_everything_under_them(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    write(ada, grid, "01", item1=RIGHT)
    write(ada, grid, "02", item1=RIGHT)
    school_class = ada.call("GET", "/classes").json()[0]
    path = f"/classes/{school_class['id']}"
    student = next(one for one in grid["students"] if one["code"] == "01")

    left = ada.call("DELETE", f"{path}/students/{student['id']}").json()
    assert [one["code"] for one in left["students"]] == ["02", "03"]
    assert Work.objects.count() == 1
    assert ada.call("DELETE", f"{path}?for_good=true").status_code == 404  # put aside first
    ada.call("DELETE", path)
    assert ada.call("GET", "/sittings").json() == []
    ada.call("POST", f"{path}/restore")
    assert len(ada.call("GET", "/sittings").json()) == 1
    ada.call("DELETE", path)
    ada.call("DELETE", f"{path}?for_good=true")
    assert not Work.objects.exists()


def test_codes_are_added_once_and_bounded(ada: ApiClient) -> None:
    made = ada.call("POST", "/classes", {"title": "A", "codes": ["1", " 1 ", "", "2"]}).json()
    path = f"/classes/{made['id']}/students"
    assert [one["code"] for one in made["students"]] == ["1", "2"]
    again = ada.call("POST", path, {"codes": ["2", "3"]}).json()
    assert [one["code"] for one in again["students"]] == ["1", "2", "3"]
    assert ada.call("POST", path, {"codes": ["x" * 25]}).status_code == 422
    assert ada.call("POST", path, {"codes": [str(n) for n in range(4, 203)]}).status_code == 422
    assert ada.call("POST", "/classes", {"title": ""}).status_code == 422


def test_two_teachers_never_see_each_others_classes(ada: ApiClient, ben: ApiClient) -> None:
    grid = sitting_of(ada)
    paper = write(ada, grid, "01", item1=RIGHT)
    school_class = ada.call("GET", "/classes").json()[0]
    student = paper["student"]["id"]
    other = sitting_of(ben)

    assert [one["id"] for one in ben.call("GET", "/sittings").json()] == [other["id"]]
    for method, path, body in (
        ("GET", f"/classes/{school_class['id']}", None),
        ("DELETE", f"/classes/{school_class['id']}", None),
        ("POST", f"/classes/{school_class['id']}/students", {"codes": ["9"]}),
        ("GET", f"/sittings/{grid['id']}", None),
        ("GET", f"/sittings/{grid['id']}/marks.csv", None),
        ("GET", f"/sittings/{grid['id']}/papers/{student}", None),
        ("GET", f"/sittings/{other['id']}/papers/{student}", None),
        ("PUT", f"/sittings/{other['id']}/papers/{student}", {"works": []}),
        ("POST", f"/sittings/{grid['id']}/table", {"text": "01,1,x"}),
    ):
        assert ben.call(method, path, body).status_code == 404, (method, path)
    given = {"school_class": school_class["id"], "set": other["id"], "date": "2026-11-20"}
    assert ben.call("POST", "/sittings", given).status_code == 404
    item = grid["items"][0]["id"]
    mine = other["students"][0]["id"]
    theirs = {"works": [{"item": item, "lines": ["x"]}]}
    assert ben.call("PUT", f"/sittings/{other['id']}/papers/{mine}", theirs).status_code == 404


def test_a_step_that_is_done_twice_marks_nothing_twice(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    write(ada, grid, "01", item1=FIRST_ONLY)
    work = Work.objects.get()
    work.ground = ""
    work.save(update_fields=["ground"])
    job = Job.objects.filter(kind="marking").latest("created")
    job.params = {"sitting": grid["id"]}
    (step,) = marking.plan(job)
    for _ in range(2):
        assert marking.some_papers(job, step) == 1
    work.refresh_from_db()
    assert (work.earned, Work.objects.count()) == (2, 1)
    assert marking.plan(job) == []


def test_nothing_is_begun_where_everything_is_marked(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    write(ada, grid, "01", item1=FIRST_ONLY)
    begun = Job.objects.filter(kind="marking").count()
    for _ in range(2):
        grid_of(ada, grid)
    assert Job.objects.filter(kind="marking").count() == begun == 1


@pytest.mark.parametrize("lines", [["x" * 2001], ["x"] * 61, ["\x00"], [5], "x = 7"])
def test_lines_beyond_the_bounds_are_refused(ada: ApiClient, lines: object) -> None:
    grid = sitting_of(ada)
    path = f"/sittings/{grid['id']}/papers/{grid['students'][0]['id']}"
    body = {"works": [{"item": grid["items"][0]["id"], "lines": lines}]}
    assert ada.call("PUT", path, body).status_code == 422


@pytest.mark.parametrize("line", ["9^9^9^9 = x", "x = = 7", "🙂", "\\frac{1}{0}", "((((((((x"])
def test_hostile_lines_ask_the_teacher_and_never_stop_the_marking(
    ada: ApiClient, line: str
) -> None:
    grid = sitting_of(ada)
    paper = write(ada, grid, "01", item1=["3x - 6 = 15", line], item2=[line])
    assert not any(work["waiting"] for work in paper["works"])
    assert all(work["earned"] is None or work["earned"] <= work["of"] for work in paper["works"])


def test_a_hand_shows_what_the_student_did_where_it_was_left(
    ada: ApiClient, ben: ApiClient
) -> None:
    grid = sitting_of(ada)
    paper = write(ada, grid, "02", item1=FIRST_ONLY)
    item, student = paper["works"][0]["item"], paper["student"]["id"]
    path = f"/sittings/{grid['id']}/papers/{student}/items/{item}/drawn"

    lines = ada.call("GET", path).json()["lines"]
    assert [line["text"] for line in lines] == ["3(x - 2) = 15", *FIRST_ONLY]
    assert {mark["on"] for mark in lines[1]["marks"]} == {0}
    assert ben.call("GET", path).status_code == 404
    assert ada.call("GET", path.replace(f"items/{item}", "items/999999")).status_code == 404
