"""How a key is read is corrected in place: what changed is judged again, what did not stays accepted."""

from typing import Any

from api.testing import ApiClient

from proofs.models import Proof

KEY = """Review

Solve
1. x^2 = 49     x = 7
2. 3x = 9       x = 3
   x + 2 = 6
   x = 4
"""


def _proofed(ada: ApiClient, purpose: str = "key") -> dict[str, Any]:
    made = ada.call("POST", "/proofs", {"title": "", "text": KEY, "purpose": purpose}).json()
    found: dict[str, Any] = ada.call("GET", f"/proofs/{made['id']}").json()
    return found


def _items(proof: dict[str, Any]) -> list[dict[str, Any]]:
    return [
        {
            "number": item["number"],
            "at": item["at"],
            "task": item["task"],
            "given": item["given"],
            "lines": [line["text"] for line in item["lines"]],
            "notes": item["notes"],
        }
        for item in proof["report"]
    ]


def test_an_item_is_parted_and_judged_again_and_acceptance_stays(ada: ApiClient) -> None:
    proof = _proofed(ada)
    assert proof["title"] == "Review"
    assert [item["status"] for item in proof["report"]] == ["wrong", "wrong"]
    ada.call("PUT", f"/proofs/{proof['id']}/accepted", {"places": [0]})
    items = _items(proof)
    items[1:] = [
        {**items[1], "lines": ["x = 3"]},
        {**items[1], "number": "3", "given": "x + 2 = 6", "lines": ["x = 4"]},
    ]

    changed = ada.call("PUT", f"/proofs/{proof['id']}/items", {"items": items}).json()

    assert [item["status"] for item in changed["report"]] == ["wrong", "holds", "holds"]
    assert [item["number"] for item in changed["report"]] == ["1", "2", "3"]
    assert changed["accepted"] == [0]
    items[0] = {**items[0], "lines": ["x = 7 or x = -7"]}
    again = ada.call("PUT", f"/proofs/{proof['id']}/items", {"items": items}).json()
    assert ([item["status"] for item in again["report"]], again["accepted"]) == (["holds"] * 3, [])


def test_a_task_is_corrected_and_a_sheet_becomes_a_set(ada: ApiClient) -> None:
    proof = _proofed(ada, "sheet")
    items = [{**item, "lines": []} for item in _items(proof)]
    items[0] = {**items[0], "task": "factor", "given": "x^2 - 49"}

    changed = ada.call("PUT", f"/proofs/{proof['id']}/items", {"items": items}).json()
    made = ada.call("POST", f"/proofs/{proof['id']}/set").json()["set"]

    assert changed["purpose"] == "sheet"
    assert [item["status"] for item in changed["report"]] == ["no-answer", "no-answer"]
    assert [i["example"]["task"] for i in made["items"]] == ["factor", "solve"]


def test_a_key_that_is_still_read_and_somebody_elses_are_refused(
    ada: ApiClient, ben: ApiClient
) -> None:
    made = ada.call("POST", "/proofs", {"title": "", "text": KEY}).json()
    Proof.objects.filter(pk=made["id"]).update(report=[])
    body: dict[str, Any] = {"items": []}

    assert ada.call("PUT", f"/proofs/{made['id']}/items", body).json()["code"] == "not-ready"
    assert ben.call("PUT", f"/proofs/{made['id']}/items", body).status_code == 404
    bad = {"items": [{"task": "sing", "given": "x", "lines": []}]}
    assert ada.call("PUT", f"/proofs/{made['id']}/items", bad).status_code == 422
