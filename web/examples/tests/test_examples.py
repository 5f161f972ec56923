"""Examples: each teacher's own, versions, putting aside, the exchange format."""

import json
from datetime import timedelta
from pathlib import Path
from typing import Any

import pytest
from api.testing import ApiClient
from django.conf import settings
from django.contrib.auth.models import User
from django.core.management import call_command
from pytest_django import DjangoAssertNumQueries

from examples.actions import save_example
from examples.models import Example

CONTENT = {"title": "One", "task": "solve", "given": "2x = 6", "lines": ["x = 3", "what? ("]}


def _created(client: ApiClient) -> dict[str, Any]:
    reply = client.call("POST", "/examples", CONTENT)
    assert reply.status_code == 201
    found: dict[str, Any] = reply.json()
    return found


def test_what_was_typed_comes_back_unreadable_or_not(ada: ApiClient) -> None:
    stored = _created(ada)

    found = ada.call("GET", f"/examples/{stored['id']}").json()

    assert {key: found[key] for key in CONTENT} == CONTENT


def test_each_teacher_sees_only_their_own(ada: ApiClient, ben: ApiClient) -> None:
    stored = _created(ada)
    path = f"/examples/{stored['id']}"

    replies = [
        ben.call("GET", path),
        ben.call("PUT", path, {**CONTENT, "version": 1}),
        ben.call("DELETE", path),
        ben.call("POST", f"{path}/restore"),
    ]

    assert [reply.status_code for reply in replies] == [404] * 4
    assert ben.listed("/examples") == []
    assert ada.call("GET", path).status_code == 200


def test_earlier_versions_are_kept_one_for_every_while_and_only_for_their_teacher(
    ada: ApiClient, ben: ApiClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    path = f"/examples/{_created(ada)['id']}"
    for version, lines in enumerate((["a"], ["b"]), start=1):
        ada.call("PUT", path, {**CONTENT, "lines": lines, "version": version})
    monkeypatch.setattr(save_example, "TOGETHER", timedelta(0))
    monkeypatch.setattr(save_example, "MOST_SNAPSHOTS", 2)
    for version, lines in enumerate((["c"], ["d"]), start=3):
        ada.call("PUT", path, {**CONTENT, "lines": lines, "version": version})

    kept = ada.call("GET", f"{path}/history").json()

    assert [(item["version"], item["content"]["lines"]) for item in kept] == [
        (4, ["c"]),
        (3, ["b"]),
    ]
    assert ben.call("GET", f"{path}/history").status_code == 404


def test_a_change_on_an_old_version_never_overwrites(ada: ApiClient) -> None:
    path = f"/examples/{_created(ada)['id']}"
    first = {**CONTENT, "lines": ["x = 6/2"], "version": 1}
    second = {**CONTENT, "lines": ["x = 4"], "version": 1}

    assert ada.call("PUT", path, first).json()["version"] == 2
    stale = ada.call("PUT", path, second)

    assert (stale.status_code, stale.json()["code"]) == (409, "stale")
    assert stale.json()["current"]["lines"] == ["x = 6/2"]
    assert ada.call("GET", path).json()["lines"] == ["x = 6/2"]
    assert ada.call("PUT", path, {**second, "version": 2}).json()["version"] == 3


def test_an_opened_example_comes_with_what_the_algebra_would_answer(
    ada: ApiClient, ben: ApiClient
) -> None:
    problem = {"task": "solve", "given": "2x + 1 = 7", "lines": ["2x = 8", "x = 4"]}
    stored = ada.call("POST", "/examples", problem).json()
    opened = ada.call("GET", f"/examples/{stored['id']}/opened").json()

    alone = ada.call("GET", f"/examples/{stored['id']}").json()
    assert {**opened["example"], "changed": alone["changed"]} == alone
    assert opened["checked"] == ada.call("POST", "/algebra/check", problem).json()
    asked = {**problem, "lines": [], "traps": False}
    assert opened["inspected"] == ada.call("POST", "/algebra/inspect", asked).json()
    assert ben.call("GET", f"/examples/{stored['id']}/opened").status_code == 404


@pytest.mark.parametrize("given", ["2x + = (", "", "  "])
def test_what_cannot_be_judged_opens_all_the_same(ada: ApiClient, given: str) -> None:
    stored = ada.call("POST", "/examples", {"task": "solve", "given": given}).json()
    opened = ada.call("GET", f"/examples/{stored['id']}/opened").json()
    assert opened["example"]["given"] == given
    assert (opened["checked"], opened["inspected"]) == (None, None)


def test_storing_the_same_again_changes_nothing(ada: ApiClient) -> None:
    """A client that did not hear the answer may send its change once more."""
    path = f"/examples/{_created(ada)['id']}"
    change = {**CONTENT, "lines": ["x = 6/2"], "version": 1}

    versions = [ada.call("PUT", path, change).json()["version"] for _ in range(2)]

    assert versions == [2, 2]


def test_what_is_put_aside_can_be_brought_back(ada: ApiClient) -> None:
    path = f"/examples/{_created(ada)['id']}"

    assert ada.call("DELETE", path).status_code == 204
    assert ada.listed("/examples") == []
    assert ada.call("POST", f"{path}/restore").json()["lines"] == CONTENT["lines"]

    assert len(ada.listed("/examples")) == 1


def test_export_and_import_lose_nothing(ada: ApiClient, ben: ApiClient) -> None:
    _created(ada)
    document = ada.call("GET", "/examples/export").json()

    assert ben.call("POST", "/examples/import", document).json() == {"count": 1}

    assert ben.call("GET", "/examples/export").json() == document


@pytest.mark.parametrize(
    ("document", "where"),
    [
        ({}, "the document"),
        ({"format": "uchuu-examples", "version": 2, "examples": []}, "version"),
        (
            {"format": "uchuu-examples", "version": 1, "examples": [{"task": "sing", "given": ""}]},
            "examples → 0 → task",
        ),
    ],
)
def test_a_bad_file_imports_nothing_and_says_where(
    ada: ApiClient, document: Any, where: str
) -> None:
    reply = ada.call("POST", "/examples/import", document)

    assert reply.status_code == 422
    assert where in reply.json()["message"]
    assert not Example.objects.exists()


def test_the_list_takes_the_same_queries_however_long(
    ada: ApiClient, django_assert_max_num_queries: DjangoAssertNumQueries
) -> None:
    for _ in range(5):
        _created(ada)

    with django_assert_max_num_queries(3):
        assert len(ada.listed("/examples")) == 5


def test_the_demo_is_in_the_format_and_set_anew_on_request(db: None) -> None:
    call_command("load_demo", verbosity=0)
    marin = User.objects.get(username="marin")
    Example.objects.filter(teacher=marin).update(title="changed")

    call_command("load_demo", "--reset", verbosity=0)

    document = json.loads((Path(settings.ROOT) / "demo" / "marin.json").read_text("utf-8"))
    titles = list(Example.objects.filter(teacher=marin).values_list("title", flat=True))
    assert titles == [entry["title"] for entry in document["examples"]]
    assert len(titles) >= 12
