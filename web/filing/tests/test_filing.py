"""Units in two levels, filing many things at once, each teacher's own."""

from typing import Any
from uuid import uuid4

import pytest
from api.testing import ApiClient

from filing.models import MOST_TAGS, MOST_UNITS, Unit

PROBLEM = {"task": "solve", "given": "x + 1 = 3"}


def _unit(client: ApiClient, title: str, parent: str | None = None) -> str:
    reply = client.call("POST", "/units", {"title": title, "parent": parent})
    assert reply.status_code == 201, reply.json()
    return str(reply.json()["id"])


def _tree(client: ApiClient) -> list[tuple[str, bool]]:
    return [
        (unit["title"], unit["parent"] is not None) for unit in client.call("GET", "/units").json()
    ]


def _example(client: ApiClient) -> str:
    return str(client.call("POST", "/examples", PROBLEM).json()["id"])


def test_units_keep_their_order_and_change_places(ada: ApiClient) -> None:
    ids = [_unit(ada, title) for title in ("Lines", "Squares", "Roots")]

    moved = ada.call("PUT", f"/units/{ids[2]}", {"title": "Radicals", "position": 0})

    assert moved.json()["position"] == 0
    assert _tree(ada) == [("Radicals", False), ("Lines", False), ("Squares", False)]


def test_there_are_two_levels(ada: ApiClient) -> None:
    top = _unit(ada, "Lines")
    part = _unit(ada, "With brackets", top)

    deeper = ada.call("POST", "/units", {"title": "Too deep", "parent": part})
    under_itself = ada.call(
        "PUT", f"/units/{top}", {"title": "Lines", "parent": part, "position": 0}
    )

    assert [reply.status_code for reply in (deeper, under_itself)] == [422, 422]
    assert deeper.json()["code"] == "too-deep"


def test_a_unit_shows_what_is_filed_in_its_parts_too(ada: ApiClient) -> None:
    top = _unit(ada, "Lines")
    part = _unit(ada, "With brackets", top)
    other = _unit(ada, "Squares")
    for unit in (top, part, other):
        ada.call("POST", "/examples/file", {"ids": [_example(ada)], "unit": unit})
        made = ada.call("POST", "/sets", {"title": "S"}).json()
        ada.call("POST", "/sets/file", {"ids": [made["id"]], "unit": unit})

    for place in ("/examples", "/sets"):
        assert {row["unit"] for row in ada.listed(f"{place}?unit={top}")} == {top, part}
        assert {row["unit"] for row in ada.listed(f"{place}?unit={part}")} == {part}


def test_deleting_a_unit_deletes_nothing_that_is_filed_there(ada: ApiClient) -> None:
    unit = _unit(ada, "Lines")
    part = _unit(ada, "Part", unit)
    ada.call("POST", "/examples/file", {"ids": [_example(ada)], "unit": part})

    assert ada.call("DELETE", f"/units/{unit}").status_code == 204
    assert _tree(ada) == []
    assert [row["unit"] for row in ada.listed("/examples")] == [None]


def test_tags_come_and_go_and_filing_is_no_change_of_content(ada: ApiClient) -> None:
    one, unit = _example(ada), _unit(ada, "Lines")
    before = ada.call("GET", f"/examples/{one}").json()

    def file(**wish: Any) -> Any:
        return ada.call("POST", "/examples/file", {"ids": [one], **wish})

    assert file(unit=unit, add=["week 2", "test"]).json() == {"count": 1}
    assert file(drop=["test"], add=["week 2"]).status_code == 200
    row = ada.listed("/examples")[0]
    assert (row["tags"], row["unit"]) == (["week 2"], unit), "a unit that is not named stays"
    assert file(unit=None).status_code == 200
    assert ada.listed("/examples?tag=week 2")[0]["unit"] is None
    assert ada.call("GET", "/examples/tags").json() == ["week 2"]
    assert ada.call("GET", "/sets/tags").json() == []
    assert ada.call("GET", f"/examples/{one}").json() == before


def test_nobody_files_under_another_ones_unit_or_another_ones_things(
    ada: ApiClient, ben: ApiClient
) -> None:
    unit, example = _unit(ada, "Lines"), _example(ada)

    assert ben.call("POST", "/examples/file", {"ids": [example], "add": ["mine"]}).json() == {
        "count": 0
    }
    own = _example(ben)
    assert ben.call("POST", "/examples/file", {"ids": [own], "unit": unit}).status_code == 404
    assert ben.call("PUT", f"/units/{unit}", {"title": "x", "position": 0}).status_code == 404
    assert ben.call("DELETE", f"/units/{unit}").status_code == 404
    assert ben.call("POST", "/units", {"title": "x", "parent": unit}).status_code == 404
    assert ben.listed(f"/examples?unit={unit}") == []


@pytest.mark.parametrize(
    "wish",
    [
        {"add": [""]},
        {"add": [" edge "]},
        {"add": ["t" * 41]},
        {"add": [f"tag {n}" for n in range(MOST_TAGS + 1)]},
        {"unit": "nowhere"},
        {"ids": []},
        {"ids": [str(uuid4())] * 201},
    ],
)
def test_wishes_have_bounds(ada: ApiClient, wish: dict[str, Any]) -> None:
    body = {"ids": [_example(ada)], **wish}
    assert ada.call("POST", "/examples/file", body).status_code == 422


def test_tags_together_have_bounds(ada: ApiClient) -> None:
    one = _example(ada)
    ada.call("POST", "/examples/file", {"ids": [one], "add": [f"a{n}" for n in range(MOST_TAGS)]})

    assert ada.call("POST", "/examples/file", {"ids": [one], "add": ["more"]}).status_code == 422
    assert len(ada.listed("/examples")[0]["tags"]) == MOST_TAGS


def test_units_have_bounds(ada: ApiClient, django_user_model: Any) -> None:
    me = django_user_model.objects.get(username="ada")
    Unit.objects.bulk_create([Unit(teacher=me, title=str(n)) for n in range(MOST_UNITS)])

    assert ada.call("POST", "/units", {"title": "one more"}).status_code == 422
