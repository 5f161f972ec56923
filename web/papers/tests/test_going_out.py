"""What goes out and comes back: versions, release, schemes, comments, slips, redo sheets, exports."""

import json
from io import BytesIO
from typing import Any

import pytest
from algebra import pool
from api.testing import ApiClient
from openpyxl import load_workbook
from sets.models import ProblemSet

from papers.models import SittingItem, Work
from papers.tests.test_papers import FIRST_ONLY, RIGHT, grid_of, sitting_of, write


def _versions(teacher: ApiClient, codes: tuple[str, ...] = ("01", "02", "03")) -> dict[str, Any]:
    """Give two parallel versions, made by hand, to a class."""
    made = teacher.call("POST", "/classes", {"title": "Algebra 2", "year": "", "codes": codes})
    first = teacher.set_of({"task": "solve", "given": "3(x - 2) = 15"})
    second = teacher.set_of({"task": "solve", "given": "2(x - 3) = 10"})
    ProblemSet.objects.filter(pk=first["id"]).update(form="A")
    ProblemSet.objects.filter(pk=second["id"]).update(form="B", made_from=first["id"])
    body = {"school_class": made.json()["id"], "set": first["id"], "date": "2026-11-20"}
    reply = teacher.call("POST", "/sittings", {**body, "versions": True})
    assert reply.status_code == 201, reply.json()
    found: dict[str, Any] = reply.json()
    return found


def test_each_is_judged_in_the_version_that_they_had(ada: ApiClient) -> None:
    grid = _versions(ada)
    assert grid["versions"] == ["A", "B"]
    assert list(grid["had"].values()) == ["A", "B", "A"]
    text = json.dumps(
        {
            "format": "uchuu-papers",
            "version": 1,
            "papers": [
                {"code": "01", "works": [{"item": 1, "lines": RIGHT}]},
                {
                    "code": "02",
                    "works": [{"item": 1, "lines": ["2x - 6 = 10", "2x = 16", "x = 8"]}],
                },
                {"code": "03", "form": "B", "works": [{"item": 1, "lines": RIGHT}]},
            ],
        }
    )

    taken = ada.call("POST", f"/sittings/{grid['id']}/table", {"text": text}).json()
    assert [row["taken"] for row in taken["rows"]] == [True, True, True]
    stops = {cell["student"]: cell["stop"] for cell in grid_of(ada, grid)["cells"]}
    one, two, three = (student["id"] for student in grid["students"])
    assert (stops[one], stops[two]) == ("ok", "ok")
    assert stops[three] == "wrong"  # worked on version A, said to have had B
    path = f"/sittings/{grid['id']}/papers/{three}/version"
    back = ada.call("PUT", path, {"version": "A"}).json()
    assert back["version"] == "A"
    (cell,) = [c for c in grid_of(ada, grid)["cells"] if c["student"] == three]
    assert cell["stop"] == "ok"
    assert ada.call("PUT", path, {"version": "Z"}).json()["version"] == "A"
    assert Work.objects.count() == 3


def test_what_is_released_does_not_move(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    write(ada, grid, "01", item1=FIRST_ONLY)
    path = f"/sittings/{grid['id']}"
    assert "proposed" in ada.call("GET", f"{path}/marks.csv")["Content-Disposition"]
    assert ada.call("PUT", f"{path}/release", {"released": True}).json()["released"]
    assert "proposed" not in ada.call("GET", f"{path}/marks.csv")["Content-Disposition"]

    change = {"title": "T", "date": "2026-11-20", "school": "deductions", "accuracy_follows": False}
    ada.call("PUT", path, change)
    assert grid_of(ada, grid)["cells"][0]["earned"] == 2
    write(ada, grid, "02", item1=RIGHT)  # what comes in late is marked
    assert all(cell["earned"] is not None for cell in grid_of(ada, grid)["cells"])
    ada.call("PUT", f"{path}/release", {"released": False})
    works = Work.objects.order_by("student__position")
    assert works[0].judged is not None
    assert works[0].judged["school"] == "deductions"


def test_a_scheme_of_the_teachers_own_counts_and_can_be_taken_back(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    write(ada, grid, "01", item1=FIRST_ONLY)
    path = f"/sittings/{grid['id']}/items/1/scheme"
    made = ada.call("GET", path).json()
    assert not made["is_own"]
    assert [line["text"] for line in made["way"]][-1] == "x = 7"
    answer = next(mark for mark in made["marks"] if mark["key"] == "answer")

    own = ada.call("PUT", path, {"marks": [{**answer, "worth": 5}]}).json()
    assert (own["is_own"], own["total"]) == (True, 5)
    (cell,) = grid_of(ada, grid)["cells"]
    assert (cell["earned"], cell["of"]) == (0, 5)
    twice = ada.call("PUT", path, {"marks": [answer, answer]})
    assert twice.status_code == 422
    assert ada.call("PUT", path, {"marks": [{**answer, "worth": -2}]}).status_code == 422
    assert ada.call("PUT", path, {"marks": []}).json()["is_own"] is False
    assert grid_of(ada, grid)["cells"][0]["of"] == made["total"]
    assert ada.call("GET", f"/sittings/{grid['id']}/items/9/scheme").status_code == 404


def test_slips_have_comment_right_line_and_a_twin_that_stays(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    paper = write(ada, grid, "02", item1=FIRST_ONLY)
    write(ada, grid, "01", item1=RIGHT)
    assert paper["works"][0]["draft"].startswith("Line 1, “3x - 2 = 15”:")
    path = f"/sittings/{grid['id']}"
    body = {"item": paper["works"][0]["item"], "comment": " Look at the bracket. "}
    ada.call("PUT", f"{path}/papers/{paper['student']['id']}/comment", body)

    (slip,) = ada.call("GET", f"{path}/slips").json()
    (entry,) = slip["entries"]
    assert (slip["code"], slip["earned"], entry["line"]) == ("02", 2, 1)
    assert entry["comment"] == "Look at the bracket."
    assert entry["instead"]["text"] == "3x - 6 = 15"
    twin = entry["twin"]["text"]
    assert twin != "3(x - 2) = 15"
    assert ada.call("GET", f"{path}/slips").json()[0]["entries"][0]["twin"]["text"] == twin
    assert SittingItem.objects.filter(twin__isnull=False).count() == 1
    for kind in ("slips", "redo"):
        reply = ada.call("GET", f"{path}/{kind}.pdf")
        assert reply.content.startswith(b"%PDF-")
        assert reply["X-Content-Type-Options"] == "nosniff"


def test_marks_go_out_as_table_workbook_and_document(ada: ApiClient) -> None:
    grid = sitting_of(ada, ("=1+1", "02"))
    write(ada, grid, "02", item1=FIRST_ONLY)
    path = f"/sittings/{grid['id']}/marks"
    assert ada.call("GET", f"{path}.csv").content.decode().splitlines() == [
        "code,1,2,total",
        "'=1+1,,,0",
        "02,2,,2",
    ]
    book = load_workbook(BytesIO(ada.call("GET", f"{path}.xlsx").content))
    rows = [[cell.value for cell in row] for row in book["Marks"].rows]
    assert (rows[1][0], rows[2]) == ("'=1+1", ["02", 2, None, 2])
    record = ada.call("GET", f"{path}.json").json()
    assert record["papers"][0]["lines"] == FIRST_ONLY
    assert record["released"] is None


@pytest.mark.parametrize(
    ("text", "expected"),
    [
        (
            "Code: 01\n1. 3x - 6 = 15\n   3x = 21\n   x = 7\n2) x = 3\n\n02\n1. x = 7",
            {("01", 1): RIGHT, ("01", 2): ["x = 3"], ("02", 1): ["x = 7"]},
        ),
        ("01\n\nitem 2. x = 3\nso x is 3", {("01", 2): ["x = 3", "so x is 3"]}),
    ],
)
def test_papers_under_one_another_as_text(
    ada: ApiClient, text: str, expected: dict[tuple[str, int], list[str]]
) -> None:
    grid = sitting_of(ada)
    taken = ada.upload(f"/sittings/{grid['id']}/file", "papers.txt", text.encode()).json()
    assert all(row["taken"] for row in taken["rows"]), taken["rows"]
    works = {(w.student.code, w.item.number): w.lines for w in Work.objects.all()}
    assert works == expected


@pytest.mark.parametrize(
    "content",
    [
        b"{",
        b"[]",
        b'{"format": "uchuu-papers", "version": 2, "papers": []}',
        b'{"format": "uchuu-papers", "version": 1, "papers": [{"code": "01"}]}',
        b'{"format":' * 3000,
        b"\xff\xfe",
    ],
)
def test_a_document_that_is_none_changes_nothing_and_says_why(
    ada: ApiClient, content: bytes
) -> None:
    grid = sitting_of(ada)
    reply = ada.upload(f"/sittings/{grid['id']}/file", "papers.json", content)
    assert reply.status_code == 422
    assert reply.json()["message"].startswith("Nothing was imported.")
    assert not Work.objects.exists()


def test_a_version_that_is_none_is_told_and_its_lines_are_not_taken(ada: ApiClient) -> None:
    grid = _versions(ada)
    papers = [
        {"code": "01", "form": "Z", "works": [{"item": 1, "lines": RIGHT}]},
        {"code": "02", "form": "A", "works": [{"item": 1, "lines": RIGHT}]},
    ]
    text = json.dumps({"format": "uchuu-papers", "version": 1, "papers": papers})
    taken = ada.call("POST", f"/sittings/{grid['id']}/table", {"text": text}).json()
    assert [(row["at"], row["taken"]) for row in taken["rows"]] == [(1, False), (2, True)]
    assert taken["rows"][0]["says"] == "There is no version “Z” of this sitting."
    assert [work.student.code for work in Work.objects.all()] == ["02"]


def test_a_twin_that_was_not_made_in_time_is_remembered_nowhere(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    grid = sitting_of(ada)
    write(ada, grid, "01", item1=FIRST_ONLY)
    run = pool.run

    def late(*_: Any) -> Any:
        raise pool.TookTooLong("It took too long.")

    monkeypatch.setattr(pool, "run", late)
    path = f"/sittings/{grid['id']}/slips"
    assert ada.call("GET", path).json()[0]["entries"][0]["twin"] is None
    assert not SittingItem.objects.filter(twin__isnull=False).exists()
    monkeypatch.setattr(pool, "run", run)
    assert ada.call("GET", path).json()[0]["entries"][0]["twin"]
