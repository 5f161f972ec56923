"""Lessons through the API: planned, changed, held with counts, stopped early, carried over, reviewed."""

import io
from typing import Any

import pypdfium2 as pdfium
import pytest
from api.testing import ApiClient
from hypothesis import given
from hypothesis import strategies as st

from lessons.minutes import estimated, to_drop
from lessons.models import Hands, LessonItem, OpenedFork

PROBLEMS = (
    {"task": "solve", "given": "3(x - 2) = 15"},
    {"task": "solve", "given": "x^2 - x - 6 = 0"},
    {"task": "solve", "given": "4(x - 3) = 20"},
)


def class_of(teacher: ApiClient, title: str = "Algebra 2") -> str:
    body = {"title": title, "year": "2026", "codes": ["01", "02", "03"]}
    return str(teacher.call("POST", "/classes", body).json()["id"])


def lesson_of(teacher: ApiClient, *problems: dict[str, Any], **more: Any) -> dict[str, Any]:
    given_set = teacher.set_of(*(problems or PROBLEMS))
    body = {"school_class": class_of(teacher), "set": given_set["id"], "date": "2026-12-01", **more}
    reply = teacher.call("POST", "/lessons", body)
    assert reply.status_code == 201, reply.json()
    found: dict[str, Any] = reply.json()
    return found


def plan_of(lesson: dict[str, Any], **changes: Any) -> dict[str, Any]:
    names = ("version", "title", "date", "minutes", "note", "unit")
    own = ("id", "example", "role", "note", "star", "first_move", "minutes")
    items = [{name: item[name] for name in own} for item in lesson["items"]]
    return {**{name: lesson[name] for name in names}, "items": items, **changes}


def held(**more: Any) -> dict[str, Any]:
    return {"seconds": 90, "shown": 3, "lines": 3, **more}


def test_a_lesson_is_planned_from_a_set_and_changed(ada: ApiClient) -> None:
    lesson = lesson_of(ada)
    assert [item["given"] for item in lesson["items"]] == [one["given"] for one in PROBLEMS]
    assert {item["role"] for item in lesson["items"]} == {"shown"}
    plan = plan_of(lesson, title="Monday")
    plan["items"] = [plan["items"][2], plan["items"][0] | {"role": "tried", "note": "ask Kim"}]
    changed = ada.call("PUT", f"/lessons/{lesson['id']}", plan).json()
    assert [item["id"] for item in changed["items"]] == [
        lesson["items"][2]["id"],
        lesson["items"][0]["id"],
    ]
    assert changed["items"][1]["note"] == "ask Kim"
    # the answer was lost, it is sent again; another window had the old one
    assert ada.call("PUT", f"/lessons/{lesson['id']}", plan).status_code == 200
    stale = ada.call("PUT", f"/lessons/{lesson['id']}", plan | {"title": "Tuesday"})
    assert stale.status_code == 409
    assert stale.json()["current"]["title"] == "Monday"


def test_what_is_alike_is_said_and_goes_first_when_time_runs_out(ada: ApiClient) -> None:
    lesson = lesson_of(ada)
    ada.call(
        "POST",
        f"/sets/{lesson['set']}/facts",
        {"examples": [i["example"] for i in lesson["items"]]},
    )
    found = ada.call("GET", f"/lessons/{lesson['id']}").json()
    assert [item["like"] for item in found["items"]] == [None, None, 0]
    assert not any(item["drop"] for item in found["items"])
    short = ada.call("PUT", f"/lessons/{lesson['id']}", plan_of(found, minutes=5)).json()
    assert [item["drop"] for item in short["items"]][2]
    star = plan_of(short)
    star["items"][2]["star"] = True
    starred = ada.call("PUT", f"/lessons/{lesson['id']}", star).json()
    assert not starred["items"][2]["drop"]


def test_held_counted_stopped_early_and_carried_over(ada: ApiClient) -> None:
    lesson = lesson_of(ada)
    path = f"/lessons/{lesson['id']}"
    first, second, third = (item["id"] for item in lesson["items"])
    assert ada.call("POST", f"{path}/begin").json()["begun"]
    wrong = {
        "label": "B",
        "text": "x = 17/3",
        "error": "distribute-first-term-only",
        "name": "First only",
    }
    counts = [{"label": "A", "text": "x = 7", "right": True, "count": 20}, {**wrong, "count": 8}]
    body = held(
        hands=[{"after": 0, "kind": "choices", "counts": counts}],
        forks=[{"after": 0, "error": "distribute-first-term-only", "name": "First only"}],
    )
    for _ in range(2):  # sent twice it stores once
        assert ada.call("PUT", f"{path}/items/{first}/held", body).status_code == 204
    ada.call(
        "PUT", f"{path}/items/{first}/held", held(seconds=10, shown=1)
    )  # late: nothing goes back
    ada.call("PUT", f"{path}/items/{second}/held", held(shown=1))  # broken off
    ended = ada.call("POST", f"{path}/end").json()
    assert (Hands.objects.count(), OpenedFork.objects.count()) == (1, 1)
    assert [item["done"] for item in ended["items"]] == [True, False, False]
    assert ended["items"][0]["seconds"] == 90
    assert ended["items"][0]["hands"][0]["counts"][1]["count"] == 8

    carried = ada.call("POST", f"{path}/carry", {"date": "2026-12-05"})
    assert carried.status_code == 201
    assert carried.json()["date"] == "2026-12-07"  # not on a Saturday
    assert [item["given"] for item in carried.json()["items"]] == [
        PROBLEMS[1]["given"],
        PROBLEMS[2]["given"],
    ]
    again = ada.call("POST", f"{path}/carry", {"date": "2026-12-04"}).json()
    assert again["id"] == carried.json()["id"]
    assert ada.call("GET", path).json()["carried_to"] == again["id"]
    # what was held cannot be planned away, and an interrupted lesson goes on
    kept = ada.call("PUT", path, plan_of(ended, items=[])).json()
    assert [item["id"] for item in kept["items"]] == [first, second]
    assert ada.call("POST", f"{path}/begin").json()["ended"] is None
    assert LessonItem.objects.filter(pk=third).count() == 0


def test_two_more_like_it_stand_in_place_and_are_worked(ada: ApiClient) -> None:
    lesson = lesson_of(ada)
    item = lesson["items"][0]["id"]
    made = ada.call("POST", f"/lessons/{lesson['id']}/items/{item}/more", {"count": 2}).json()
    items = made["lesson"]["items"]
    assert (made["added"], len(items)) == (2, 5)
    twins = [one["given"] for one in items[1:3]]
    assert len({*twins, *(one["given"] for one in PROBLEMS)}) == 5
    example = ada.call("GET", f"/examples/{items[1]['example']}").json()
    assert len(example["lines"]) >= 2
    assert example["given"] == twins[0]


def test_beside_what_cannot_be_read_there_are_more_and_where_there_are_none_none_is_said(
    ada: ApiClient,
) -> None:
    no_room = {"task": "simplify", "given": "(m*n)/m"}
    lesson = lesson_of(ada, PROBLEMS[0], {"task": "solve", "given": "x (( ="}, no_room)
    path = f"/lessons/{lesson['id']}/items"
    made = ada.call("POST", f"{path}/{lesson['items'][0]['id']}/more", {"count": 2}).json()
    assert (made["added"], made["refused"]) == (2, [])
    none = ada.call("POST", f"{path}/{lesson['items'][2]['id']}/more", {"count": 2}).json()
    assert none["added"] == 0
    assert len(none["refused"]) == 1


@pytest.mark.parametrize("name", ["desk", "first-moves"])
def test_the_plan_and_the_first_moves_print(ada: ApiClient, name: str) -> None:
    lesson = lesson_of(ada)
    plan = plan_of(lesson)
    plan["items"] = [
        {**one, "note": "a long note " * 40, "star": True, "first_move": "open"}
        for one in plan["items"]
    ]
    ada.call("PUT", f"/lessons/{lesson['id']}", plan)
    content = ada.call("GET", f"/lessons/{lesson['id']}/{name}.pdf").content
    pages = pdfium.PdfDocument(io.BytesIO(content))
    text = "".join(page.get_textpage().get_text_bounded() for page in pages)
    assert len(pages) == (1 if name == "desk" else 2)
    assert "★" in text if name == "desk" else "Key: First moves" in text
    moves = ada.call("GET", f"/lessons/{lesson['id']}/first-moves").json()
    assert all(one["says"] for one in moves)


def test_bad_plans_are_refused_and_nobody_elses_lesson_is_seen(
    ada: ApiClient, ben: ApiClient
) -> None:
    lesson = lesson_of(ada)
    path = f"/lessons/{lesson['id']}"
    foreign = ben.set_of(PROBLEMS[0])["items"][0]["example"]["id"]
    plan = plan_of(lesson)
    plan["items"].append({"id": None, "example": foreign})
    assert ada.call("PUT", path, plan).status_code == 422
    for days, free in (([7, 2], []), ([2], [["2026-12-24", "2026-12-20"]])):
        body = {"days": days, "free": free}
        assert ada.call("PUT", f"/lessons/reviews/{lesson['class_id']}", body).status_code == 422
    body = held(shown=300)
    item = lesson["items"][0]["id"]
    assert ada.call("PUT", f"{path}/items/{item}/held", body).status_code == 422
    for method, where, sent in (
        ("GET", path, None),
        ("PUT", path, plan_of(lesson)),
        ("POST", f"{path}/begin", None),
        ("POST", f"{path}/end", None),
        ("POST", f"{path}/carry", {"date": "2026-12-03"}),
        ("PUT", f"{path}/items/{item}/held", held()),
        ("GET", f"{path}/desk.pdf", None),
        ("DELETE", path, None),
        ("GET", f"/lessons/reviews/{lesson['class_id']}", None),
    ):
        assert ben.call(method, where, sent).status_code == 404, (method, where)
    assert ada.call("DELETE", path).status_code == 204
    assert ada.call("GET", path).status_code == 404
    assert ada.call("POST", f"{path}/restore").json()["title"] == lesson["title"]


ITEMS = st.lists(
    st.tuples(
        st.sampled_from(["shown", "tried", "homework", "spare"]), st.booleans(), st.integers(0, 30)
    ),
    max_size=12,
)


@given(ITEMS, st.integers(5, 90), st.data())
def test_what_is_dropped_is_enough_or_all_that_may_go(
    planned: list[tuple[str, bool, int]], most: int, data: st.DataObject
) -> None:
    items = [LessonItem(role=role, star=star, minutes=minutes) for role, star, minutes in planned]
    minutes = [estimated(item, 4, 45) for item in items]
    like = [data.draw(st.sampled_from([None, *range(place)])) for place in range(len(items))]
    drop = to_drop(items, minutes, like, most)
    assert len(set(drop)) == len(drop)
    assert not any(items[place].star for place in drop)
    left = sum(minutes) - sum(minutes[place] for place in drop)
    may_go = [place for place, item in enumerate(items) if minutes[place] and not item.star]
    assert left <= most or sorted(drop) == may_go
    if drop:  # none goes in vain
        assert left + minutes[drop[-1]] > most
