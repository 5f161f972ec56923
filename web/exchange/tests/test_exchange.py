"""Files in: what is written reads back the same; what is hostile is refused with the reason."""

import io
import json
import zipfile
from pathlib import Path
from typing import Any

import pytest
from api.testing import ApiClient
from jsonschema import Draft202012Validator
from openpyxl import Workbook

PROBLEMS: tuple[dict[str, Any], ...] = (
    {"task": "solve", "given": "-3x + 5 = 2", "title": "Rope", "lines": ["-3x = -3", "x = 1"]},
    {"task": "factor", "given": "x^2 - 9", "title": "=SUM(A1)"},
    {"task": "solve", "given": "2x + = 3"},
)


def _bring(teacher: ApiClient, name: str, content: bytes) -> Any:
    return teacher.upload("/exchange/set", name, content)


def _essence(found: dict[str, Any]) -> list[Any]:
    names = ("title", "task", "given", "lines", "form", "variable", "numbers")
    return [
        [item["example"][name] for name in names] + [item["marks"], item["instruction"]]
        for item in found["items"]
    ]


def _stored(teacher: ApiClient) -> dict[str, Any]:
    stored = teacher.set_of(*PROBLEMS, instruction="Show every line.", house={"density": "key"})
    items = [
        {"example": item["example"]["id"], "marks": n, "minutes": 3, "instruction": f"Item {n}"}
        for n, item in enumerate(stored["items"], start=1)
    ]
    body = {**stored, "items": items}
    found: dict[str, Any] = teacher.call("PUT", f"/sets/{stored['id']}", body).json()
    return found


def test_our_format_reads_back_to_the_same_set(ada: ApiClient, ben: ApiClient) -> None:
    stored = _stored(ada)
    content = ada.call("GET", f"/give/{stored['id']}/set.json").content
    formats = sorted(Path(__file__).resolve().parents[2].glob("*/format/*.schema.json"))
    assert len(formats) >= 5
    for schema in formats:
        Draft202012Validator.check_schema(json.loads(schema.read_text("utf-8")))

    made = _bring(ben, "set.json", content).json()
    again = ben.call("GET", f"/give/{made['set']['id']}/set.json").content

    assert json.loads(again) == json.loads(content)
    assert [row["taken"] for row in made["rows"]] == [True] * 3
    assert made["rows"][2]["says"].startswith("kept as text")


@pytest.mark.parametrize("ending", ["csv", "xlsx"])
def test_tables_read_back_and_no_cell_is_calculated(ada: ApiClient, ending: str) -> None:
    stored = _stored(ada)
    content = ada.call("GET", f"/give/{stored['id']}/items.{ending}").content

    made = _bring(ada, f"items.{ending}", content).json()

    assert _essence(made["set"]) == _essence(stored)
    if ending == "csv":
        assert b"'=SUM" in content
        assert b"'-3x + 5" in content


def test_plain_text_and_latex_become_problems(ada: ApiClient) -> None:
    text = "Solve.\n1. 2x = 6\n   x = 3\n2. 3x = 9\n"
    latex = rb"\begin{enumerate}\item Solve $\frac{x}{2}=3$ \end{enumerate}"

    plain = _bring(ada, "sheet.txt", text.encode()).json()["set"]
    typeset = _bring(ada, "sheet.tex", latex).json()["set"]

    assert [item["example"]["given"] for item in plain["items"]] == ["2x = 6", "3x = 9"]
    assert plain["items"][0]["example"]["lines"] == ["x = 3"]
    assert typeset["items"][0]["example"]["given"] == r"\frac{x}{2}=3"


def test_an_import_says_row_by_row_and_is_taken_back_as_one(ada: ApiClient) -> None:
    rows = [
        "task,given,marks",
        "solve,2x=6,2",
        "sing,3x=9,1",
        "solve,2x=8,many",
        "solve,,1",
        "solve,2x + = 1,1",
    ]

    made = _bring(ada, "sheet.csv", "\n".join(rows).encode()).json()

    assert [(row["at"], row["taken"]) for row in made["rows"]] == [
        (2, True),
        (3, False),
        (4, False),
        (5, False),
        (6, True),
    ]
    assert "no task" in made["rows"][1]["says"]
    assert ada.call("DELETE", f"/exchange/set/{made['set']['id']}").status_code == 204
    assert ada.listed("/sets") == ada.listed("/examples") == []


def _book(value: str) -> bytes:
    book = Workbook()
    sheet = book.active
    assert sheet is not None
    sheet.append(["task", "given"])
    sheet.append(["solve", value])
    sheet.append(["solve", "2x=6"])
    out = io.BytesIO()
    book.save(out)
    return out.getvalue()


def _zip(name: str, content: bytes) -> bytes:
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as packed:
        packed.writestr(name, content)
    return out.getvalue()


@pytest.mark.parametrize(
    ("name", "content", "says"),
    [
        ("a.json", b"{", "not JSON"),
        ("a.json", b"[" * 100_000, "too deep"),
        ("a.json", b'{"format": "other"}', "not in the format"),
        (
            "a.json",
            b'{"format": "uchuu-set", "version": 1, "items": [{"task": "sing"}]}',
            "items → 0",
        ),
        ("a.txt", b"\xff\xfe\x00x", "UTF-8"),
        ("a.txt", b"1. x = 1\0", "zero bytes"),
        ("a.txt", b"only words, and no problem at all", "No problem"),
        ("a.csv", b"task,problemo\nsolve,x=1", "given"),
        ("a.csv", b"", "empty"),
        ("a.xlsx", b"PK not a zip", "workbook"),
        ("a.xlsx", _zip("xl/workbook.xml", b"0" * 30_000_000), "too large"),
        ("a.xlsx", _zip("../../etc/passwd", b"x"), "paths"),
        ("a.xlsx", _zip("other.xml", b"x"), "workbook"),
        ("a.exe", b"MZ", "Files that are read"),
        ("noname", b"x", "Files that are read"),
        ("a.txt", b"1. x = 1\n" * 300_000, "larger than"),
        ("a.csv", b"given\n" + b"x=1\n" * 300, "at most 100"),
        ("a.txt", b"1. Solve x = " + b"1" * 30_000, "more than 20,000"),
    ],
    ids=lambda value: value if isinstance(value, str) else None,
)
def test_hostile_files_are_refused_with_the_reason(
    ada: ApiClient, name: str, content: bytes, says: str
) -> None:
    reply = _bring(ada, name, content)

    assert reply.status_code == 422
    assert says in reply.json()["message"]
    assert ada.listed("/sets") == []


def test_a_formula_in_a_cell_is_not_taken(ada: ApiClient) -> None:
    made = _bring(ada, "a.xlsx", _book("=1+1")).json()

    assert [row["taken"] for row in made["rows"]] == [False, True]
    assert "formula" in made["rows"][0]["says"]


def test_a_path_in_a_file_name_means_nothing(ada: ApiClient) -> None:
    made = _bring(ada, "..%2F..\\evil/../sheet.txt", b"1. Solve 2x = 6").json()

    assert made["set"]["title"] == "sheet"


def test_problems_are_typed_one_a_line_or_as_a_list(ada: ApiClient) -> None:
    stored = ada.set_of()
    path = f"/exchange/typed/{stored['id']}"

    plain = ada.call("POST", path, {"text": "2x = 6\nFactor.\nx^2 - 9\nx + = 1"}).json()
    listed = ada.call("POST", path, {"text": "1. Solve 3x = 9\n   x = 3\n2. 4x = 8"}).json()
    long = ada.call("POST", path, {"text": "x" * 50_000})

    assert (plain["added"], len(plain["refused"])) == (3, 1)
    tasks = [(i["example"]["task"], i["example"]["lines"]) for i in listed["set"]["items"]]
    assert tasks == [
        ("solve", []),
        ("factor", []),
        ("factor", []),
        ("solve", ["x = 3"]),
        ("solve", []),
    ]
    assert long.status_code == 200
    assert long.json()["added"] == 0
    assert "characters" in long.json()["refused"][0]
