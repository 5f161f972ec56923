"""Teaching again: chosen with reasons, put into a lesson or a set, reviewed on time, better since."""

from datetime import date
from typing import Any

from api.testing import ApiClient
from lessons.models import LessonItem

ERROR = "distribute-first-term-only"
LINEAR = {"task": "solve", "given": "3(x - 2) = 15"}
WRONG = ["3x - 2 = 15", "3x = 17", "x = 17/3"]
RIGHT = ["3x - 6 = 15", "3x = 21", "x = 7"]


def sat(
    teacher: ApiClient, wrong: int, day: str = "2026-11-20", school_class: str = ""
) -> dict[str, Any]:
    """Give a set to a class of four, of whom so many make the error; return the sitting."""
    if not school_class:
        codes = ["01", "02", "03", "04"]
        body = {"title": "Algebra 2", "year": "2026", "codes": codes}
        school_class = teacher.call("POST", "/classes", body).json()["id"]
    given = teacher.set_of(LINEAR)
    body = {"school_class": school_class, "set": given["id"], "date": day}
    grid: dict[str, Any] = teacher.call("POST", "/sittings", body).json()
    rows = [
        ";".join([student["code"], "1", *(WRONG if place < wrong else RIGHT)])
        for place, student in enumerate(grid["students"])
    ]
    reply = teacher.call("POST", f"/sittings/{grid['id']}/table", {"text": "\n".join(rows)})
    assert reply.status_code == 200, reply.json()
    return {**grid, "class_id": school_class}


def test_what_to_teach_again_has_reasons_the_class_own_line_and_a_contrast(ada: ApiClient) -> None:
    sitting = sat(ada, 3)
    (found,) = ada.call("GET", f"/log/{sitting['class_id']}/next?on=2026-11-30").json()
    assert (found["error"], found["count"], found["of"], found["coming"]) == (ERROR, 3, 4, 0)
    assert found["own"]["wrong"]["text"] == "3x - 2 = 15"
    assert found["own"]["before"]["text"] == "3(x - 2) = 15"
    assert found["own"]["count"] == 3
    assert found["contrast"]["beside"]["text"] == "4(5x)"
    assert found["says"]
    log = ada.call("GET", f"/log/{sitting['class_id']}").json()
    (row,) = log["rows"]
    assert row["cells"] == [{"count": 3, "of": 4}]


def test_into_a_lesson_held_and_reviewed_on_time_until_it_is_done(ada: ApiClient) -> None:
    sitting = sat(ada, 2)
    path = f"/log/{sitting['class_id']}"
    body = {"error": ERROR, "into": "lesson", "date": "2026-11-23"}
    lesson = ada.call("POST", f"{path}/again", body).json()["lesson"]
    plan = ada.call("GET", f"/lessons/{lesson}").json()
    assert [item["purpose"] for item in plan["items"]] == ["reteach"] * 6 + ["exit"]
    assert plan["items"][0]["given"] == LINEAR["given"]
    assert "2 wrote" in plan["items"][0]["note"]
    assert len({item["given"] for item in plan["items"]}) == 7
    assert ada.call("GET", f"{path}/taught").json() == []  # planned is not taught

    hold(ada, plan)
    (taught,) = ada.call("GET", f"{path}/taught").json()
    assert (taught["taught"], taught["due"]) == ("2026-11-23", "2026-11-25")
    today = ada.call("GET", "/today?on=2026-11-25").json()
    assert [one["error"] for one in today["classes"][0]["due"]] == [ERROR]
    assert ada.call("GET", "/today?on=2026-11-24").json()["classes"][0]["due"] == []

    for day, due in (
        ("2026-11-25", "2026-11-30"),
        ("2026-12-02", "2026-12-16"),
        ("2026-12-16", None),
    ):
        made = ada.call(
            "POST", "/lessons", {"school_class": sitting["class_id"], "date": day}
        ).json()
        warm = ada.call("POST", f"/lessons/{made['id']}/warm-up").json()
        assert warm["added"] == 1
        assert ada.call("POST", f"/lessons/{made['id']}/warm-up").json()["added"] == 0
        hold(ada, warm["lesson"])
        assert ada.call("GET", f"{path}/taught").json()[0]["due"] == due
    givens = LessonItem.objects.values_list("given", flat=True)
    assert len(set(givens)) == len(givens)  # every review is another problem

    givens_before = set(givens)
    # taught once more, its reviews begin anew
    lesson = ada.call("POST", f"{path}/again", body | {"date": "2026-12-17"}).json()["lesson"]
    hold(ada, ada.call("GET", f"/lessons/{lesson}").json())
    (taught,) = ada.call("GET", f"{path}/taught").json()
    assert (taught["reviews"], taught["due"]) == ([], "2026-12-21")
    again = LessonItem.objects.filter(lesson=lesson).values_list("given", flat=True)
    assert set(again) & givens_before == {LINEAR["given"]}  # the class's own, and new twins

    # the next sitting is better, so it is not pressed for any more
    sat(ada, 0, "2026-12-18", sitting["class_id"])
    (row,) = ada.call("GET", path).json()["rows"]
    assert (row["trend"], row["lesson"]) == ("better", lesson)
    assert ada.call("GET", f"{path}/next?on=2026-12-20").json() == []


def hold(teacher: ApiClient, plan: dict[str, Any]) -> None:
    for item in plan["items"]:
        body = {"seconds": 60, "shown": 2, "lines": 2}
        reply = teacher.call("PUT", f"/lessons/{plan['id']}/items/{item['id']}/held", body)
        assert reply.status_code == 204, reply.json()
    teacher.call("POST", f"/lessons/{plan['id']}/end")


def test_the_line_above_is_the_one_it_was_made_of_not_a_word_beside_it(ada: ApiClient) -> None:
    sitting = sat(ada, 0)
    rows = "\n".join(f"{c};1;3x - 6 = 15;now add six;3x = 9;x = 3" for c in ("01", "02"))
    ada.call("POST", f"/sittings/{sitting['id']}/table", {"text": rows})
    (found,) = ada.call("GET", f"/log/{sitting['class_id']}/next?on=2026-11-30").json()
    own = found["own"]
    assert (own["before"]["text"], own["wrong"]["text"], own["count"]) == (
        "3x - 6 = 15",
        "3x = 9",
        2,
    )


def test_into_a_set_and_what_cannot_be(ada: ApiClient, ben: ApiClient) -> None:
    sitting = sat(ada, 2)
    path = f"/log/{sitting['class_id']}/again"
    body = {"error": ERROR, "into": "set", "date": "2026-11-23"}
    made = ada.call("POST", path, body).json()["set"]
    assert len(ada.call("GET", f"/sets/{made}").json()["items"]) == 6
    assert ada.call("POST", path, body | {"error": "cancel-equal-terms"}).status_code == 404
    assert ben.call("POST", path, body).status_code == 404
    other = ada.call("POST", "/classes", {"title": "Other", "year": "", "codes": ["1"]}).json()[
        "id"
    ]
    lesson = ada.call("POST", "/lessons", {"school_class": other, "date": "2026-11-23"}).json()[
        "id"
    ]
    refused = ada.call("POST", path, body | {"into": "lesson", "lesson": lesson})
    assert refused.status_code == 404


def test_before_a_lesson_what_classes_did_at_this_problem(ada: ApiClient, ben: ApiClient) -> None:
    sitting = sat(ada, 3)
    example = sitting["items"][0]["example"]
    (found,) = ada.call("GET", f"/log/example/{example}").json()
    assert (found["title"], found["of"]) == ("Algebra 2", 4)
    assert [(one["error"], one["count"]) for one in found["errors"]] == [(ERROR, 3)]
    assert ben.call("GET", f"/log/example/{example}").status_code == 404


def test_today_says_what_to_do_first_and_what_waits(ada: ApiClient) -> None:
    empty = ada.call("GET", "/today?on=2026-11-30").json()
    assert (empty["classes"], empty["last"]) == ([], None)
    assert empty["steps"] == {"example": False, "set": False, "school_class": False}
    sitting = sat(ada, 1)
    lesson = {"school_class": sitting["class_id"], "date": "2026-12-01", "title": "Brackets"}
    ada.call("POST", "/lessons", lesson)
    found = ada.call("GET", "/today?on=2026-11-30").json()
    (one,) = found["classes"]
    assert [row["title"] for row in one["lessons"]] == ["Brackets"]
    assert (one["next"]["error"], one["next"]["count"], one["next"]["of"]) == (ERROR, 1, 4)
    assert date.fromisoformat(found["date"]) == date(2026, 11, 30)


def test_one_item_shows_the_class_on_its_spine_and_names_what_nobody_knew(ada: ApiClient) -> None:
    sitting = sat(ada, 2)
    path = f"/sittings/{sitting['id']}/items/1"
    odd = {"text": "04;1;3x - 6 = 15;3x = 4;x = 4/3"}
    ada.call("POST", f"/sittings/{sitting['id']}/table", odd)
    spine = ada.call("GET", path).json()["spine"]
    first = spine["leavings"][0]
    assert (first["after"], first["error"], len(first["students"])) == (0, ERROR, 2)
    assert spine["leavings"][0]["parallel"] == 2
    assert [end["text"] for end in spine["leavings"][0]["ends"]] == ["x = 17/3"]
    assert [stop["passed"] for stop in spine["stops"]][:2] == [4, 2]
    groups = [*spine["leavings"][1:], *spine["unexplained"]]
    (line,) = [one["line"]["text"] for one in groups]
    named = ada.call(
        "PUT", f"{path}/name", {"line": "3x = 4", "name": "Took six away twice"}
    ).json()
    assert [one["name"] for one in named["spine"]["leavings"]][1] == "Took six away twice"
    assert line == "3x = 4"
    assert ada.call("GET", f"/log/{sitting['class_id']}/unnamed").json() == []
    refused = ada.call("PUT", f"{path}/name", {"line": "3x = 5", "name": "x"})
    assert refused.status_code == 404


def test_the_teacher_s_own_slips_are_kept_in_sight(ada: ApiClient, ben: ApiClient) -> None:
    body = {"task": "solve", "given": "2x = 8", "lines": ["~~x = 6~~", "x = 4"], "title": "Crates"}
    ada.call("POST", "/examples", body)
    found = ada.call("GET", "/log/own-slips").json()
    assert [(one["title"], one["line"]["text"]) for one in found["lines"]] == [("Crates", "x = 6")]
    assert ben.call("GET", "/log/own-slips").json() == {"lines": [], "keys": []}
