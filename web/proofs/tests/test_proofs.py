"""Proofing a key through the API: the report, accepting corrections, the mended key."""

from typing import Any

from api.testing import ApiClient

KEY = """Solve.
1. 3(x - 2) = 9    x = 5
2. x^2 = 49    x = 7
3. 2x + @ = 3   x = 1
4. 3(y - 2) = 9   y = 5

Factor.
5. 2x^2 - 18
   2(x^2 - 9)
6. x^2 - 25
"""


def _proofed(teacher: ApiClient, text: str = KEY) -> dict[str, Any]:
    begun = teacher.call("POST", "/proofs", {"title": "Sheet 7", "text": text})
    assert begun.status_code == 201, begun.json()
    found: dict[str, Any] = teacher.call("GET", f"/proofs/{begun.json()['id']}").json()
    return found


def test_each_item_gets_its_report(ada: ApiClient) -> None:
    found = _proofed(ada)

    report = found["report"]
    assert [item["status"] for item in report] == [
        "holds",
        "wrong",
        "unreadable",
        "holds",
        "unfinished",
        "no-answer",
    ]
    assert (report[1]["error"], report[1]["missing"]) == ("quad-missing-plus-minus", ["x = -7"])
    assert report[1]["correction"] == ["x = 7 or x = -7"]
    assert report[3]["repeats"] == {"of": 0, "how": "same"}
    assert found["job"]["state"] == "done"
    assert ada.listed("/proofs")[0]["faulty"] == 4


def test_accepted_corrections_make_a_key_that_holds(ada: ApiClient) -> None:
    found = _proofed(ada)
    path = f"/proofs/{found['id']}"

    accepted = ada.call("PUT", f"{path}/accepted", {"places": [1, 2, 4, 5, 99, -1]}).json()
    text = ada.call("GET", f"{path}/key.txt").content.decode()
    again = _proofed(ada, text)

    assert accepted["accepted"] == [1, 4, 5]  # what cannot be read has no correction
    assert [item["status"] for item in again["report"]] == [
        "holds",
        "holds",
        "unreadable",
        "holds",
        "holds",
        "holds",
    ]
    made = ada.call("POST", f"{path}/set").json()
    assert made["set"]["items"][1]["example"]["lines"] == ["x = 7 or x = -7"]
    assert made["set"]["items"][2]["example"]["given"] == "2x + @ = 3"


def test_a_key_comes_from_a_file_too(ada: ApiClient) -> None:
    table = b"task,given,answer\nsolve,2x=6,x=3\nsolve,2x=8,x=3\n"

    for name, content in (("key.txt", KEY.encode()), ("key.csv", table)):
        begun = ada.upload("/proofs/file", name, content).json()
        report = ada.call("GET", f"/proofs/{begun['id']}").json()["report"]
        assert [item["status"] for item in report][:2] == ["holds", "wrong"]


def test_what_is_no_key_is_refused(ada: ApiClient, ben: ApiClient) -> None:
    found = _proofed(ada)
    path = f"/proofs/{found['id']}"

    many = "\n".join(f"{n}. x = 1" for n in range(1, 210))
    assert ada.call("POST", "/proofs", {"text": many}).status_code == 413
    assert ada.upload("/proofs/file", "key.exe", b"MZ").status_code == 422
    assert ben.call("GET", path).status_code == 404
    assert ben.call("PUT", f"{path}/accepted", {"places": [1]}).status_code == 404
    assert ada.call("DELETE", path).status_code == 204
    assert ada.call("GET", path).status_code == 404
    assert ada.call("POST", f"{path}/restore").json()["title"] == "Sheet 7"
