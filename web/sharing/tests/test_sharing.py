"""A department: what is shared is read and copied, nobody edits another's; classes are handed over, said twice."""

from typing import Any

import pytest
from api.testing import ApiClient
from classes.models import SchoolClass
from django.contrib.auth.models import User
from django.utils import timezone
from examples.models import Example
from papers.models import SittingItem
from papers.tests.test_papers import sitting_of, write
from sets.models import ProblemSet
from teachers.models import AuditEntry, Department, Person

PROBLEMS = (
    {"task": "solve", "given": "2x = 6", "lines": ["x = 3"]},
    {"task": "factor", "given": "x^2 - 9"},
)
OWN_ERROR = {
    "name": "adds the tops and the bottoms",
    "before": "a/b + c/d",
    "after": "(a+c)/(b+d)",
    "when": [],
    "says": "Halves and thirds are not fifths.",
}


@pytest.fixture(autouse=True)
def _department(ada: ApiClient, ben: ApiClient) -> Department:
    """Put both into one department."""
    found = Department.objects.create(title="Mathematics")
    for name in ("ada", "ben"):
        Person.objects.create(teacher=User.objects.get(username=name), department=found)
    return found


def _share(who: ApiClient, kind: str, key: Any = "") -> dict[str, Any]:
    reply = who.call("POST", "/shared", {"kind": kind, "key": str(key)})
    assert reply.status_code == 201, reply.json()
    found: dict[str, Any] = reply.json()
    return found


def _seen(who: ApiClient) -> list[dict[str, Any]]:
    found: list[dict[str, Any]] = who.call("GET", "/shared").json()["shared"]
    return found


def _sets(name: str) -> list[ProblemSet]:
    return list(ProblemSet.objects.filter(teacher__username=name).order_by("created"))


def test_a_set_is_read_and_copied_and_the_copy_is_ones_own(ada: ApiClient, ben: ApiClient) -> None:
    made = ada.set_of(*PROBLEMS, title="Linear")
    shared = _share(ada, "set", made["id"])

    assert [(one["title"], one["owner"], one["count"]) for one in _seen(ben)] == [
        ("Linear", "ada", 2)
    ]
    content = ben.call("GET", f"/shared/{shared['id']}").json()
    assert [one["given"] for one in content["sets"][0]["problems"]] == ["2x = 6", "x^2 - 9"]
    assert content["sets"][0]["problems"][0]["lines"] == ["x = 3"]
    assert ben.call("GET", f"/sets/{made['id']}").status_code == 404, "it is read here, not there"

    job = ben.call("POST", f"/shared/{shared['id']}/copy").json()
    assert (job["state"], job["outcome"]["sets"]) == ("done", 1)
    copy = _sets("ben")[0]
    assert (copy.title, copy.tags) == ("Linear", ["from ada"])
    assert [item.example.teacher.username for item in copy.items.all()] == ["ben"] * len(PROBLEMS)
    assert (_seen(ben)[0]["copied"], _seen(ben)[0]["changed"]) == (True, False)

    Example.objects.filter(teacher__username="ben").update(given="9x = 6")
    assert (
        ada.call("GET", f"/shared/{shared['id']}").json()["sets"][0]["problems"][0]["given"]
        == "2x = 6"
    )


def test_a_change_since_one_copied_is_told(ada: ApiClient, ben: ApiClient) -> None:
    made = ada.set_of(*PROBLEMS, title="Linear")
    shared = _share(ada, "set", made["id"])
    ben.call("POST", f"/shared/{shared['id']}/copy")
    first = made["items"][0]["example"]
    example = ada.call("GET", f"/examples/{first['id']}").json()
    body = {**{k: example[k] for k in ("task", "given", "version")}, "lines": ["x = 6/2", "x = 3"]}
    assert ada.call("PUT", f"/examples/{first['id']}", body).status_code == 200

    assert _seen(ben)[0]["changed"]
    ben.call("POST", f"/shared/{shared['id']}/copy")
    assert not _seen(ben)[0]["changed"]
    assert [one.items.all()[0].example.lines.count() for one in _sets("ben")] == [1, 2]


def test_copying_again_what_did_not_change_makes_nothing_new(
    ada: ApiClient, ben: ApiClient
) -> None:
    shared = _share(ada, "set", ada.set_of(*PROBLEMS)["id"])
    for _ in range(2):
        ben.call("POST", f"/shared/{shared['id']}/copy")
    assert len(_sets("ben")) == 1
    assert Example.objects.filter(teacher__username="ben").count() == len(PROBLEMS)


def test_a_unit_is_shared_with_its_parts(ada: ApiClient, ben: ApiClient) -> None:
    unit = ada.call("POST", "/units", {"title": "Equations"}).json()
    part = ada.call("POST", "/units", {"title": "Linear", "parent": unit["id"]}).json()
    for title, where in (("one", unit), ("two", part), ("elsewhere", None)):
        made = ada.set_of(PROBLEMS[0], title=title)
        ProblemSet.objects.filter(pk=made["id"]).update(unit=where["id"] if where else None)
    shared = _share(ada, "unit", unit["id"])
    assert (shared["title"], shared["count"]) == ("Equations", 2)

    ben.call("POST", f"/shared/{shared['id']}/copy")
    assert {(one.title, one.unit.title) for one in _sets("ben") if one.unit} == {
        ("one", "Equations"),
        ("two", "Linear"),
    }


def test_an_own_error_is_proved_anew_when_it_is_copied(ada: ApiClient, ben: ApiClient) -> None:
    made = ada.call("POST", "/errors", OWN_ERROR).json()
    shared = _share(ada, "error", made["id"])
    assert ben.call("GET", f"/shared/{shared['id']}").json()["errors"] == [OWN_ERROR]
    ben.call("POST", f"/shared/{shared['id']}/copy")
    mine = ben.call("GET", "/errors").json()
    assert [one["name"] for one in mine] == [OWN_ERROR["name"]]
    assert mine[0]["counter"]


def test_house_rules_are_taken_over_whole(ada: ApiClient, ben: ApiClient) -> None:
    rules = ada.call("GET", "/house").json()
    ada.call("PUT", "/house", {**rules, "decimal": "comma", "fractions": "mixed"})
    shared = _share(ada, "house")
    assert ben.call("GET", f"/shared/{shared['id']}").json()["rules"]["decimal"] == "comma"
    assert ben.call("POST", f"/shared/{shared['id']}/copy").status_code == 204
    assert ben.call("GET", "/house").json()["fractions"] == "mixed"
    assert not _seen(ben)[0]["changed"]
    ada.call("PUT", "/house", rules)
    assert _seen(ben)[0]["changed"]


def test_a_copy_of_a_set_leaves_the_own_house_as_it_is(ada: ApiClient, ben: ApiClient) -> None:
    ada.call("PUT", "/house", {**ada.call("GET", "/house").json(), "decimal": "comma"})
    shared = _share(ada, "set", ada.set_of(PROBLEMS[0])["id"])
    ben.call("POST", f"/shared/{shared['id']}/copy")
    assert ben.call("GET", "/house").json()["decimal"] == "point"


def test_only_what_is_ones_own_is_shared_and_only_with_the_department(
    ada: ApiClient, ben: ApiClient, anybody: ApiClient, _department: Department
) -> None:
    made = ada.set_of(PROBLEMS[0])
    theirs = ben.call("POST", "/shared", {"kind": "set", "key": made["id"]})
    assert theirs.status_code == 404
    for kind, key in (("set", "no key"), ("error", "x"), ("error", "99999"), ("unit", made["id"])):
        assert ada.call("POST", "/shared", {"kind": kind, "key": key}).status_code == 404, (
            kind,
            key,
        )
    shared = _share(ada, "set", made["id"])

    User.objects.create_user("cleo", password="right")
    anybody.sign_in("cleo")
    assert _seen(anybody) == []
    for method, path in (("GET", ""), ("POST", "/copy"), ("DELETE", "")):
        assert anybody.call(method, f"/shared/{shared['id']}{path}").status_code == 404
    assert ben.call("DELETE", f"/shared/{shared['id']}").status_code == 404, "its owner's alone"
    assert (
        anybody.call("POST", "/shared", {"kind": "house", "key": ""}).json()["code"]
        == "no-department"
    )
    assert ada.call("POST", f"/shared/{shared['id']}/copy").json()["code"] == "own"


@pytest.mark.parametrize("how", ["leaves", "locked", "moved", "deleted", "aside", "unshared"])
def test_what_a_colleague_takes_away_is_gone_and_copies_stay(
    ada: ApiClient, ben: ApiClient, how: str
) -> None:
    made = ada.set_of(*PROBLEMS)
    shared = _share(ada, "set", made["id"])
    ben.call("POST", f"/shared/{shared['id']}/copy")
    person = Person.objects.get(teacher__username="ada")
    match how:
        case "leaves":
            Person.objects.filter(pk=person.pk).update(leaves=timezone.now())
        case "locked":
            User.objects.filter(username="ada").update(is_active=False)
        case "moved":
            Person.objects.filter(pk=person.pk).update(department=None)
        case "deleted":
            person.teacher.delete()
        case "aside":
            ada.call("DELETE", f"/sets/{made['id']}")
        case _:
            assert ada.call("DELETE", f"/shared/{shared['id']}").status_code == 204
    assert _seen(ben) == []
    assert ben.call("GET", f"/shared/{shared['id']}").status_code == 404
    copy = _sets("ben")[0]
    assert ben.call("GET", f"/sets/{copy.pk}").status_code == 200
    assert copy.items.count() == len(PROBLEMS)


def _class_with_papers(who: ApiClient) -> tuple[str, str]:
    """Give a set to the class 4b, with one paper; return class and sitting."""
    grid = sitting_of(who)
    write(who, grid, "01", item1=["3x - 2 = 15"])
    found = SchoolClass.objects.get()
    SchoolClass.objects.update(title="4b")
    return str(found.pk), grid["id"]


def test_a_class_is_handed_over_with_its_papers_said_twice(ada: ApiClient, ben: ApiClient) -> None:
    identity, sitting = _class_with_papers(ada)
    offer = {"school_class": identity, "to": "ben", "title": "4"}
    assert ada.call("POST", "/handed", offer).json()["code"] == "not-said"
    assert ada.call("POST", "/handed", {**offer, "title": "4b", "to": "cleo"}).status_code == 422
    assert ben.call("POST", "/handed", {**offer, "title": "4b", "to": "ada"}).status_code == 404
    made = ada.call("POST", "/handed", {**offer, "title": "4b"}).json()

    assert ben.call("GET", f"/sittings/{sitting}").status_code == 404, "not before it is taken"
    assert [one["title"] for one in ben.call("GET", "/shared").json()["handed"]] == ["4b"]
    assert ada.call("POST", f"/handed/{made['id']}/take").status_code == 404
    assert ben.call("POST", f"/handed/{made['id']}/take").status_code == 204

    assert ada.call("GET", f"/sittings/{sitting}").status_code == 404
    assert ada.call("GET", f"/classes/{identity}").status_code == 404
    found = ben.call("GET", f"/sittings/{sitting}")
    assert found.status_code == 200, found.json()
    marks = ben.call("GET", f"/sittings/{sitting}/marks.json").json()
    assert marks["papers"][0]["lines"] == ["3x - 2 = 15"]
    assert not SittingItem.objects.filter(example__teacher__username="ada").exists()
    for name in ("ada", "ben"):
        assert AuditEntry.objects.filter(
            teacher__username=name, says__contains="went from ada to ben"
        ).exists()
    assert ada.call("GET", "/shared").json()["handed"] == []


def test_an_offer_is_taken_back_or_left(ada: ApiClient, ben: ApiClient) -> None:
    identity, sitting = _class_with_papers(ada)
    offer = {"school_class": identity, "to": "ben", "title": "4b"}
    for who in (ada, ben):
        made = ada.call("POST", "/handed", offer).json()
        assert who.call("DELETE", f"/handed/{made['id']}").status_code == 204
        assert ben.call("POST", f"/handed/{made['id']}/take").status_code == 404
    assert ada.call("GET", f"/sittings/{sitting}").status_code == 200


def test_student_records_that_go_out_are_written_down(ada: ApiClient) -> None:
    identity, sitting = _class_with_papers(ada)
    for path in (f"{sitting}/marks.csv", f"{sitting}/marks.json", f"class/{identity}.json"):
        assert ada.call("GET", f"/sittings/{path}").status_code == 200
    says = [one["says"] for one in ada.call("GET", "/account/audit").json()["results"]]
    assert [one for one in says if one.startswith("Student records went out")] == [
        "Student records went out: the class “4b”, as a file.",
        "Student records went out: the marks (json) of “Sheet”.",
        "Student records went out: the marks (csv) of “Sheet”.",
    ]
