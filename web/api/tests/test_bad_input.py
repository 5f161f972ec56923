"""What broke the server once, as rows: each is refused in words, or taken; never a fault of ours."""

import io
import json
import zipfile
from typing import Any

import pytest
from algebra import pool
from django.test import override_settings

from api.testing import ApiClient

SOLVE = {"task": "solve", "given": "2x = 6"}
UNSTORABLE = ["a\x00b", "\x07", "\ud800", "x\uffff", "\x1b[2J"]


@pytest.mark.parametrize("text", UNSTORABLE, ids=ascii)
@pytest.mark.parametrize(
    ("method", "path", "body"),
    [
        ("POST", "/examples", lambda text: {**SOLVE, "title": text}),
        ("POST", "/examples", lambda text: {**SOLVE, "lines": ["x = 3", text]}),
        ("POST", "/examples", lambda text: {**SOLVE, "reasons": {text: "because"}}),
        ("POST", "/sets", lambda text: {"title": text}),
        ("POST", "/algebra/check", lambda text: {**SOLVE, "lines": [text]}),
        ("POST", "/errors", lambda text: {"name": text, "before": "a", "after": "b"}),
        ("POST", "/proofs", lambda text: {"title": "", "text": text}),
        ("POST", "/session", lambda text: {"username": text, "password": text}),
    ],
)
def test_text_that_cannot_be_stored_is_refused_with_its_place(
    ada: ApiClient, method: str, path: str, body: Any, text: str
) -> None:
    reply = ada.call(method, path, body(text))

    assert reply.status_code == 422
    assert reply.json()["code"] == "bad-text"
    assert "cannot be kept" in reply.json()["message"]


def test_what_is_sent_as_something_else_is_looked_at_too(ada: ApiClient) -> None:
    body = json.dumps({**SOLVE, "title": "a\x00b"})
    headers = {"X-CSRFToken": ada.http.cookies["csrftoken"].value}

    reply = ada.http.post("/api/examples", body, content_type="text/plain", headers=headers)

    assert (reply.status_code, reply.json()["code"]) == (422, "bad-text")


def test_what_only_looks_like_it_is_kept(ada: ApiClient) -> None:
    """A tab, a new line, an emoji in two halves, a backslash before u0000 as somebody types it."""
    for text in ("a\tb\nc", "😀", r"\u0000 is no letter", "é − ×"):
        stored = ada.call("POST", "/examples", {**SOLVE, "title": text[:200]})
        assert stored.status_code == 201, stored.json()
        assert stored.json()["title"] == text


def test_an_unknown_address_of_the_api_is_refused_as_one(ada: ApiClient) -> None:
    for method, path, status in (
        ("GET", "/nothing", 404),
        ("POST", "/examples/nothing/at/all", 404),
        ("PATCH", "/examples", 405),
    ):
        reply = ada.call(method, path, {})
        assert (reply.status_code, bool(reply.json()["message"])) == (status, True)


def test_a_fault_of_ours_and_a_missing_token_are_records_too(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    def broken(*_: Any) -> None:
        raise ZeroDivisionError

    ada.http.raise_request_exception = False
    monkeypatch.setattr(pool, "run_text", broken)
    fault = ada.call("POST", "/algebra/check", {**SOLVE, "lines": []})
    forged = ada.call("POST", "/examples", SOLVE, token=False)

    assert (fault.status_code, fault.json()["code"]) == (500, "our-fault")
    assert (forged.status_code, forged.json()["code"]) == (403, "csrf")


def test_what_a_teacher_owns_is_kept_in_no_cache(ada: ApiClient) -> None:
    for path in ("/examples", "/session", "/nothing", "/keep/everything.json"):
        assert ada.call("GET", path)["Cache-Control"] == "no-store"
    page = ada.http.get("/sets")
    for answer in (page, ada.call("GET", "/examples")):
        assert "form-action 'self'" in answer["Content-Security-Policy"]
        assert "camera=()" in answer["Permissions-Policy"]


def test_a_body_that_is_too_large_is_refused_as_one(ada: ApiClient) -> None:
    with override_settings(DATA_UPLOAD_MAX_MEMORY_SIZE=1000):
        reply = ada.call("POST", "/examples", {**SOLVE, "note": "x" * 2000})

    assert (reply.status_code, reply.json()["code"]) == (413, "too-large")


def test_the_fifth_wrong_password_says_that_the_name_is_locked(anybody: ApiClient) -> None:
    replies = [anybody.sign_in("ada", "wrong") for _ in range(6)]

    assert [reply.status_code for reply in replies] == [401] * 4 + [429] * 2
    assert all(reply.json()["message"] for reply in replies)


def _package(*files: tuple[str, str]) -> bytes:
    packed = io.BytesIO()
    with zipfile.ZipFile(packed, "w") as archive:
        for name, text in files:
            archive.writestr(name, text)
    return packed.getvalue()


@pytest.mark.parametrize(
    ("name", "content"),
    [
        ("a.xlsx", _package(("xl/workbook.xml", "<x"), ("[Content_Types].xml", "<"))),
        ("a.xlsx", _package(("[Content_Types].xml", "<Types/>"))),
        ("a.xlsx", b"PK\x03\x04garbage"),
        ("a.csv", b"given,marks\n2x = 6,\xc2\xb2\n"),
        ("a.csv", b"given,marks,minutes\n2x = 6,-1,1e999\n"),
        ("a.csv", b"given\n\x01\x02\n"),
        (
            "a.json",
            b'{"format":"uchuu-set","version":1,"items":[{"task":"solve","given":"\\u0000"}]}',
        ),
        (
            "a.json",
            b'{"format":"uchuu-set","version":1,"items":[{"task":"solve","given":"\\ud800"}]}',
        ),
        ("a.txt", b"1. Solve: \x07 x = 2"),
    ],
)
def test_a_broken_file_is_taken_in_part_or_refused(
    ada: ApiClient, name: str, content: bytes
) -> None:
    reply = ada.upload("/exchange/set", name, content)

    assert reply.status_code in (201, 422), reply.content[:300]
    if reply.status_code == 422:
        assert reply.json()["message"]


@pytest.mark.parametrize(
    "title", ["--- three --- dashes ---", "a]]>b", "<&\"'>", "=1+1", "Ünï cödé"]
)
@pytest.mark.parametrize(
    "ending", ["qti.zip", "items.xlsx", "items.csv", "set.json", "sheet/key.html"]
)
def test_every_export_takes_every_title(ada: ApiClient, title: str, ending: str) -> None:
    stored = ada.set_of({**SOLVE, "title": title}, title=title, instruction=title)

    reply = ada.call("GET", f"/give/{stored['id']}/{ending}")

    assert reply.status_code == 200, reply.content[:300]


def test_a_file_keeps_the_letters_of_its_name(ada: ApiClient) -> None:
    stored = ada.set_of(SOLVE, title="Ünï cödé № 5: x²")

    header = ada.call("GET", f"/give/{stored['id']}/set.json")["Content-Disposition"]

    assert "filename*=utf-8''" in header.lower()
    assert "%C3%9Cn%C3%AF" in header


def _everything(ada: ApiClient, **changes: Any) -> Any:
    document = {**ada.call("GET", "/keep/everything.json").json(), **changes}
    return ada.upload("/keep/restore", "a.json", json.dumps(document).encode())


def test_what_the_forms_refuse_a_restore_refuses_too(ada: ApiClient) -> None:
    own = {"name": "", "before": "a*b", "after": "a + b", "when": [], "says": ""}
    many = [
        {**own, "name": f"error {number}", "after": f"a + {number}*b"} for number in range(2, 44)
    ]
    example = {
        **SOLVE,
        "lines": [],
        "title": "",
        "note": "",
        "reasons": {},
        "form": [],
        "house": {},
    }
    example |= {"variable": "", "numbers": "real"}

    replies = [
        _everything(ada, own_errors=many),
        _everything(
            ada, proofs=[{"title": "", "text": "", "report": [{"junk": 1}], "accepted": []}]
        ),
        _everything(ada, examples=[{**example, "title": "a\x00b"}]),
    ]

    assert [reply.status_code for reply in replies] == [201, 201, 422]
    assert [reply.json()["state"] for reply in replies[:2]] == ["failed", "failed"]
    assert ada.listed("/proofs") == []
    assert ada.call("POST", "/algebra/check", {**SOLVE, "lines": ["x = 3"]}).status_code == 200


def test_lists_in_requests_are_bounded(ada: ApiClient) -> None:
    for body in (
        {**SOLVE, "form": ["exact"] * 5000},
        {**SOLVE, "reasons": {str(n): "" for n in range(5000)}},
        {**SOLVE, "variable": "x" * 5000},
    ):
        assert ada.call("POST", "/examples", body).status_code == 422
    asked = {**SOLVE, "form": ["exact"] * 5000}
    assert ada.call("POST", "/algebra/work", asked).status_code == 422


def test_what_collects_to_one_term_is_factored_or_said_to_be_finished(ada: ApiClient) -> None:
    reply = ada.call("POST", "/algebra/work", {"task": "factor", "given": "2x+3x"})

    assert reply.status_code == 200
    assert reply.json()["answer"] == "5x"
