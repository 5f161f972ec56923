"""Problems made for a set: twins, runs, families, parallel versions; facts, copies, search."""

from typing import Any

import pytest
from algebra import known, pool
from algebra.models import Known
from api.testing import ApiClient
from pytest_django import DjangoAssertNumQueries
from uchuu_core import Problem, check

LINEAR = {"task": "solve", "given": "3x + 4 = 10", "title": "Rope"}
QUADRATIC = {"task": "solve", "given": "x^2 - 7x + 12 = 0"}
BARE = {"task": "simplify", "given": "(m*n)/m"}
UNREADABLE = {"task": "solve", "given": "2x + = 3"}


def _givens(found: dict[str, Any]) -> list[str]:
    return [item["example"]["given"] for item in found["items"]]


def test_twins_stand_behind_their_problem_and_repeat_nothing(ada: ApiClient) -> None:
    stored = ada.set_of(LINEAR, QUADRATIC, UNREADABLE)
    body = {"example": stored["items"][0]["example"]["id"], "count": 4, "seed": 2}

    made = ada.call("POST", f"/sets/{stored['id']}/twins", body).json()

    givens = _givens(made["set"])
    assert (made["added"], made["refused"]) == (4, [])
    assert givens[0] == LINEAR["given"]
    assert givens[5:] == [QUADRATIC["given"], UNREADABLE["given"]]
    assert len(set(givens)) == 7
    assert {item["example"]["title"] for item in made["set"]["items"][:5]} == {"Rope"}
    assert made["set"]["version"] == stored["version"] + 1


def test_twins_say_which_point_they_keep(ada: ApiClient) -> None:
    stored = ada.set_of({"task": "simplify", "given": "2/(3a) + 5/(4a)"}, LINEAR)
    body = {"example": stored["items"][0]["example"]["id"], "count": 2, "seed": 3}

    made = ada.call("POST", f"/sets/{stored['id']}/twins", body).json()

    assert made["keeps"] == ["The denominators stay unlike."]


def test_tempting_twins_are_asked_for_as_such(ada: ApiClient) -> None:
    stored = ada.set_of({"task": "evaluate", "given": "20 - 8 ÷ 4*2", "title": "Order"})
    body = {"example": stored["items"][0]["example"]["id"], "count": 1, "seed": 3}

    plain, tempting = (
        ada.call("POST", f"/sets/{stored['id']}/twins", {**body, "tempting": tempting}).json()
        for tempting in (False, True)
    )

    assert plain["added"] == tempting["added"] == 1
    asked = [
        ada.call("POST", "/algebra/forks", {"task": "evaluate", "given": _givens(made["set"])[1]})
        for made in (plain, tempting)
    ]
    ends = [answer.json()["forks"][0]["ends_in"] for answer in asked]
    assert ends[1].removeprefix("-").isdecimal()
    assert ends[0] != ends[1]


def test_what_has_no_room_for_twins_says_why_and_changes_nothing_else(ada: ApiClient) -> None:
    stored = ada.set_of(BARE, LINEAR)
    body = {"example": stored["items"][0]["example"]["id"], "count": 2}

    made = ada.call("POST", f"/sets/{stored['id']}/twins", body).json()

    assert made["added"] == 0
    assert "no number" in made["refused"][0]
    assert _givens(made["set"]) == _givens(stored)
    missing = {"example": "00000000-0000-0000-0000-000000000000"}
    assert ada.call("POST", f"/sets/{stored['id']}/twins", missing).status_code == 404


def test_a_run_climbs_and_families_keep_their_wish(ada: ApiClient) -> None:
    stored = ada.set_of(QUADRATIC)
    path = f"/sets/{stored['id']}"
    body = {"example": stored["items"][0]["example"]["id"], "count": 5, "climbs": True}

    run = ada.call("POST", f"{path}/twins", body).json()
    wish = {"family": "rational-extraneous", "wish": 4, "count": 2}
    made = ada.call("POST", f"{path}/family", wish).json()

    assert (run["added"], made["added"]) == (5, 2)
    for given in _givens(made["set"])[-2:]:
        last = check(Problem("solve", given, lines=("x = 4",)))
        assert last["lines"][0]["verdict"] == "wrong"
    refused = ada.call("POST", f"{path}/family", {"family": "trinomial", "wish": 0}).json()
    assert (refused["added"], len(refused["refused"])) == (0, 1)
    assert {"key", "name", "task", "wish"} == set(ada.call("GET", "/sets/families").json()[0])


def test_parallel_versions_are_sets_of_twins_and_nothing_stands_twice(ada: ApiClient) -> None:
    stored = ada.set_of(LINEAR, QUADRATIC, BARE)

    job = ada.call("POST", f"/sets/{stored['id']}/versions", {"count": 2, "seed": 5}).json()

    assert (job["state"], job["done"], job["outcome"]["without_twin"]) == ("done", 6, 2)
    sets = [ada.call("GET", f"/sets/{one}").json() for one in job["outcome"]["sets"]]
    assert [one["form"] for one in sets] == ["B", "C"]
    assert ada.call("GET", f"/sets/{stored['id']}").json()["form"] == "A"
    for place in (0, 1):
        assert len({_givens(one)[place] for one in (stored, *sets)}) == 3
    assert {_givens(one)[2] for one in sets} == {BARE["given"]}
    assert {one["made_from"] for one in sets} == {stored["id"]}


def test_facts_are_worked_out_once_and_come_with_the_set(
    ada: ApiClient, django_assert_max_num_queries: DjangoAssertNumQueries
) -> None:
    stored = ada.set_of(LINEAR, UNREADABLE)
    path = f"/sets/{stored['id']}"
    assert [item["facts"] for item in stored["items"]] == [None, None]

    ids = [item["example"]["id"] for item in stored["items"]]
    with django_assert_max_num_queries(19):
        found = ada.call("POST", f"{path}/facts", {"examples": ids}).json()
    first, second = (found["facts"][one] for one in ids)

    assert (first["answer"], first["difficulty"]["score"] > 0) == ("x = 2", True)
    assert first["reveals"]
    assert second["refused"]
    with django_assert_max_num_queries(9):
        opened = ada.call("GET", path).json()
    assert [item["facts"] for item in opened["items"]] == [first, second]
    stranger = {"examples": [stored["id"]]}
    assert ada.call("POST", f"{path}/facts", stranger).json() == {"facts": {}, "late": []}
    assert ada.call("POST", f"/sets/{ids[0]}/facts", stranger).status_code == 404


def test_the_memory_keeps_refusals_and_forgets_what_took_too_long(
    db: None, monkeypatch: pytest.MonkeyPatch
) -> None:
    question = {"task": "solve", "given": "2x + = 3"}
    for _ in range(2):
        with pytest.raises(pool.Relayed):
            known.ask("facts", question)
    assert Known.objects.count() == 1

    def late(*_: Any) -> None:
        raise pool.TookTooLong("late")

    monkeypatch.setattr(pool, "run", late)
    with pytest.raises(pool.TookTooLong):
        known.ask("facts", {"task": "solve", "given": "x = 1"})
    assert Known.objects.count() == 1


def test_what_took_too_long_is_not_called_unworkable(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    stored = ada.set_of(LINEAR)
    one = stored["items"][0]["example"]["id"]
    asked = ("POST", f"/sets/{stored['id']}/facts", {"examples": [one]})

    def late(*_: Any) -> None:
        raise pool.TookTooLong("late")

    with monkeypatch.context() as patched:
        patched.setattr(pool, "run", late)
        late_at_first = ada.call(*asked).json()
    again = ada.call(*asked).json()

    assert late_at_first == {"facts": {}, "late": [one]}
    assert again["facts"][one]["answer"] == "x = 2"


def test_house_rules_of_a_set_reach_its_facts(ada: ApiClient) -> None:
    problem = {"task": "solve", "given": "x^2 - 6x + 8 = 0"}
    stored = ada.set_of(problem, house={"methods": ["complete-the-square"]})

    one = stored["items"][0]["example"]["id"]
    found = ada.call("POST", f"/sets/{stored['id']}/facts", {"examples": [one]}).json()
    facts = found["facts"][one]

    assert facts["method"] == "complete-the-square"


def test_a_copy_has_examples_of_its_own(ada: ApiClient, ben: ApiClient) -> None:
    stored = ada.set_of({**LINEAR, "lines": ["3x = 6", "x = 2"]})

    copy = ada.call("POST", f"/sets/{stored['id']}/copy").json()

    one, other = stored["items"][0]["example"], copy["items"][0]["example"]
    assert one["id"] != other["id"]
    assert (one["given"], one["lines"]) == (other["given"], other["lines"])
    assert ben.call("POST", f"/sets/{stored['id']}/copy").status_code == 404


def test_sets_are_found_by_their_words(ada: ApiClient) -> None:
    ada.set_of(LINEAR, title="Harbour sheet", instruction="Rope by rope.")
    ada.set_of(QUADRATIC, title="Other")

    def found(words: str) -> list[tuple[str, int]]:
        return [(one["title"], one["item_count"]) for one in ada.listed(f"/sets?words={words}")]

    assert found("harbour rope") == [("Harbour sheet", 1)]
    assert found("harbour nothing") == []
    assert found("%") == []


def test_aside_sets_are_listed_apart(ada: ApiClient) -> None:
    stored = ada.set_of(LINEAR)
    ada.call("DELETE", f"/sets/{stored['id']}")

    assert ada.listed("/sets") == []
    assert [one["id"] for one in ada.listed("/sets?aside=true")] == [stored["id"]]
