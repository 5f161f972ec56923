"""Lists of examples: pages that miss nothing, searches over what the core knows, how much PostgreSQL reads."""

from datetime import timedelta
from functools import partial
from typing import Any

import pytest
from algebra.pool import TookTooLong
from api import pages
from api.testing import ApiClient
from asking.asker import Asker
from django.contrib.auth.models import User
from django.db import connection
from django.utils import timezone
from errors.models import OwnError
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from uchuu_core.failures import Failure

from examples import learning
from examples.actions import write_facts
from examples.actions.write_facts import learn, try_late_again
from examples.models import Example, ExampleFacts
from examples.queries import ORDERS, Wanted, found_of

LINEAR = {"task": "solve", "given": "3x - 2 = 10", "title": "Rope"}
QUADRATIC = {"task": "solve", "given": "x^2 - 5x + 6 = 0"}


def _stored(client: ApiClient, **content: Any) -> str:
    reply = client.call("POST", "/examples", content)
    assert reply.status_code == 201
    return str(reply.json()["id"])


def _learn() -> bool:
    return learn(User.objects.get(username="ada"))


def _names(client: ApiClient, query: str = "") -> list[str]:
    return [row["title"] or row["given"] for row in client.listed(f"/examples?{query}")]


def _all_pages(client: ApiClient, query: str) -> list[list[str]]:
    pages: list[list[str]] = []
    cursor: str | None = ""
    while cursor is not None:
        page = client.call("GET", f"/examples?{query}&cursor={cursor}").json()
        pages.append([row["title"] for row in page["results"]])
        cursor = page["next"]
        assert len(pages) < 20
    return pages


def test_search_finds_by_text_tag_topic_skill_error_and_difficulty(ada: ApiClient) -> None:
    rope, _ = _stored(ada, **LINEAR), _stored(ada, **QUADRATIC)
    ada.call("POST", "/examples/file", {"ids": [rope], "add": ["week 3"]})
    assert _names(ada, "words=rope") == ["Rope"], (
        "its own words are found before anything is learnt"
    )
    _learn()

    assert _names(ada, "words=WEEK") == ["Rope"]
    assert _names(ada, "words=3x-2=10") == ["Rope"]
    assert _names(ada, "words=quadratic") == [QUADRATIC["given"]]
    assert _names(ada, "words=zero-product") == [QUADRATIC["given"]]
    assert _names(ada, "words=factors reversed") == [QUADRATIC["given"]]
    assert _names(ada, "words=nothing+of+the+kind") == _names(ada, "words=%25") == []
    assert _names(ada, "words=solve&hardest=3") == ["Rope"]
    assert _names(ada, "easiest=3") == [QUADRATIC["given"]]
    assert _names(ada, "order=hardest") == [QUADRATIC["given"], "Rope"]
    why = ada.listed("/examples?words=factors reversed")[0]["why"]
    assert why.startswith("reveals: ")
    assert ada.listed("/examples?words=rope")[0]["why"] == ""


@pytest.mark.parametrize(
    ("lines", "stop"),
    [
        ([], ""),
        (["3x = 12", "x = 4"], "ok"),
        (["3x = 12"], "unfinished"),
        (["3x = 8"], "wrong"),
        (["3x = 8", "x = 8/3"], "parallel"),
        (["3x = "], "unreadable"),
        (["3x = 12", "check: 3*4 - 2 = 10"], "unfinished"),
        (["3x = 8", "x = 4"], "back"),
        (["3x = 8", "3x = 12", "x = 4"], "ok"),
    ],
)
def test_a_row_shows_the_stop_of_its_last_line(ada: ApiClient, lines: list[str], stop: str) -> None:
    _stored(ada, **LINEAR, lines=lines)
    assert ada.listed("/examples")[0]["known"] is False

    _learn()

    row = ada.listed("/examples")[0]
    assert (row["known"], row["stop"], row["line_count"]) == (True, stop, len(lines))


def test_what_changed_is_learnt_again_and_only_that(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    first = _stored(ada, **LINEAR, lines=["3x = 12"])
    _stored(ada, **QUADRATIC)
    _learn()
    asked: list[str] = []

    def note(_: Any, example: Example) -> dict[str, Any]:
        asked.append(example.given)
        return {}

    monkeypatch.setattr(write_facts, "_asked", note)

    ada.call("PUT", f"/examples/{first}", {**LINEAR, "lines": ["3x = 12", "x = 4"], "version": 1})
    assert ada.listed("/examples?words=rope")[0]["known"] is False
    _learn()
    assert asked == [LINEAR["given"]]
    ada.call("PUT", "/house", {**ada.call("GET", "/house").json(), "density": "fine"})
    _learn()
    assert sorted(asked[1:]) == sorted([LINEAR["given"], QUADRATIC["given"]])


def test_an_example_that_changes_while_it_is_learnt_is_learnt_again(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    _stored(ada, **LINEAR)
    real = write_facts._asked

    def changed(asker: Any, example: Example) -> dict[str, Any] | None:
        Example.objects.filter(pk=example.pk).update(version=2)
        return real(asker, example)

    monkeypatch.setattr(write_facts, "_asked", changed)
    _learn()
    assert ada.listed("/examples")[0]["known"] is False


def test_what_is_not_finished_in_time_says_so_and_is_tried_again_at_the_next_start(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    _stored(ada, **LINEAR, lines=["3x = 12", "x = 4"])

    def late(*_: Any) -> Any:
        raise TookTooLong("late")

    with monkeypatch.context() as slow:
        slow.setattr("asking.asker.Asker.facts", late)
        slow.setattr("asking.asker.Asker.judged", late)
        assert _learn() is False
    row = ada.listed("/examples")[0]
    assert (row["known"], row["stop"], row["difficulty"]) == (True, "late", None)
    _learn()
    assert ada.listed("/examples")[0]["stop"] == "late", "not for ever"

    try_late_again()
    _learn()
    assert ada.listed("/examples")[0]["stop"] == "ok"


def test_what_is_put_aside_is_learnt_too(ada: ApiClient) -> None:
    one = _stored(ada, **LINEAR, lines=["3x = 12", "x = 4"])
    ada.call("DELETE", f"/examples/{one}")
    _learn()
    assert ada.listed("/examples?aside=true")[0]["stop"] == "ok"


def test_tags_that_are_given_while_an_example_is_learnt_are_found(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    one = _stored(ada, **LINEAR)
    real = write_facts._asked

    def tagged(asker: Any, example: Example) -> dict[str, Any] | None:
        ada.call("POST", "/examples/file", {"ids": [one], "add": ["week 3"]})
        return real(asker, example)

    monkeypatch.setattr(write_facts, "_asked", tagged)
    _learn()
    assert _names(ada, "words=week 3") == _names(ada, "words=linear") == ["Rope"]


def test_a_problem_that_is_refused_has_an_unreadable_stop(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    def refuse(*_: Any) -> Any:
        raise Failure("no")

    _stored(ada, task="solve", given="((", lines=["x = 4"])
    monkeypatch.setattr("asking.asker.Asker.judged", refuse)
    _learn()
    assert ada.listed("/examples")[0]["stop"] == "unreadable"


def test_learning_goes_on_a_while_at_a_time(ada: ApiClient) -> None:
    for n in range(3):
        _stored(ada, task="solve", given=f"x + {n} = 5")

    teacher = User.objects.get(username="ada")
    assert learn(teacher, most=2) is True
    assert learn(teacher, most=2) is False
    assert ExampleFacts.objects.exclude(known_for=1).count() == 0


def test_used_in_names_the_sets_that_are_there(ada: ApiClient) -> None:
    sheet = ada.set_of(LINEAR, title="Sheet one")
    assert [one["title"] for one in ada.listed("/examples")[0]["in_sets"]] == ["Sheet one"]

    ada.call("DELETE", f"/sets/{sheet['id']}")
    assert ada.listed("/examples")[0]["in_sets"] == []


def test_what_was_opened_last_comes_first(ada: ApiClient) -> None:
    ids = [_stored(ada, task="solve", given="x = 1", title=name) for name in "abc"]
    for one in (ids[2], ids[0]):
        ada.call("GET", f"/examples/{one}")

    assert _names(ada, "order=opened") == ["a", "c"]


@settings(
    max_examples=12,
    deadline=None,
    suppress_health_check=[HealthCheck.function_scoped_fixture],
)
@given(
    titles=st.lists(st.sampled_from("abcdeé"), min_size=0, max_size=14),
    order=st.sampled_from(sorted(ORDERS)),
    size=st.integers(1, 5),
)
def test_pages_together_hold_each_example_once_and_in_order(
    ada: ApiClient, titles: list[str], order: str, size: int
) -> None:
    Example.objects.all().delete()
    for title in titles:
        one = _stored(ada, task="solve", given="x = 1", title=title)
        ada.call("GET", f"/examples/{one}")
    ExampleFacts.objects.update(difficulty=2.5)
    before, pages.PAGE = pages.PAGE, size
    try:
        found = _all_pages(ada, f"order={order}")
    finally:
        pages.PAGE = before

    assert all(len(page) <= size for page in found)
    shown = [title for page in found for title in page]
    assert sorted(shown) == sorted(titles)
    if order == "name":
        with connection.cursor() as cursor:  # in the order of the database's language
            cursor.execute("SELECT t FROM unnest(%s::text[]) t ORDER BY t", [titles])
            assert shown == [row[0] for row in cursor.fetchall()]
    if order == "changed":
        assert shown == titles[::-1]


def test_a_cursor_that_is_none_of_ours_is_refused(ada: ApiClient) -> None:
    for cursor in ("%00", "????", "cD1ub3doZXJl", "cD1ub3doZXJlJm89OTk5OTk5"):
        reply = ada.call("GET", f"/examples?cursor={cursor}")
        assert reply.status_code == 422, cursor


def test_lists_and_searches_use_indexes_among_many(ada: ApiClient) -> None:
    """20,000 examples of one teacher among 200 others: no list reads the whole table."""
    me = User.objects.get(username="ada")
    with connection.cursor() as cursor:
        cursor.execute(
            "INSERT INTO auth_user (username, password, is_superuser, first_name, last_name, email,"
            " is_staff, is_active, date_joined) SELECT 't' || n, '', false, '', '', '', false, true,"
            " now() FROM generate_series(1, 200) n"
        )
        cursor.execute(
            "INSERT INTO examples_example (id, teacher_id, title, task, given, variable, numbers,"
            " form, house, note, reasons, version, created, changed, tags)"
            " SELECT gen_random_uuid(), CASE WHEN n <= 20000 THEN %s ELSE (SELECT min(id) FROM"
            " auth_user WHERE username LIKE 't%%') + n %% 200 END, 'Example ' || n, 'solve',"
            " 'x + ' || n || ' = 7', '', 'real', '[]', '{}', '', '{}', 1, now(),"
            " now() - n * interval '1 minute', CASE WHEN n %% 500 = 0 THEN '{rare}'::text[] ELSE"
            " '{}'::text[] END FROM generate_series(1, 60000) n",
            [me.pk],
        )
        cursor.execute(
            "INSERT INTO examples_examplefacts (example_id, name, lines, words, latex, kind, method, skills,"
            " reveals, stop, ground) SELECT id, lower(title), 0, lower(title || ' ' || given), '', '', '',"
            " '{}', '{}', '', '' FROM examples_example"
        )
        cursor.execute("ANALYZE")
    plans = {
        "changed": found_of(me, Wanted()).order_by(*ORDERS["changed"])[:51],
        "opened": found_of(me, Wanted(), "opened").order_by(*ORDERS["opened"])[:51],
        "rare words": found_of(me, Wanted(words="4711")).order_by(*ORDERS["changed"])[:51],
        "tag": found_of(me, Wanted(tag="rare")).order_by(*ORDERS["changed"])[:51],
    }
    for name, plan in plans.items():
        told = plan.explain()
        assert "Seq Scan on examples_example" not in told, f"{name}: {told}"
        assert "Index" in told, f"{name}: {told}"


def test_an_own_error_makes_all_facts_old(ada: ApiClient) -> None:
    _stored(ada, **LINEAR)
    _learn()
    teacher = User.objects.get(username="ada")
    OwnError.objects.create(teacher=teacher, name="n", before="a*b", after="a+b")

    assert write_facts.to_learn(teacher, Asker(teacher).ground).count() == 1


def test_what_is_being_typed_is_learnt_when_it_rests(
    ada: ApiClient, settings: Any, monkeypatch: pytest.MonkeyPatch
) -> None:
    settings.LEARN_AFTER = 30
    queued: list[tuple[int, int]] = []
    monkeypatch.setattr(learning, "_queue", lambda *said: queued.append(said))
    teacher = User.objects.get(username="ada").pk
    for content in (LINEAR, QUADRATIC):
        _stored(ada, **content)
    rests = Example.objects.filter(given=QUADRATIC["given"])
    rests.update(changed=timezone.now() - timedelta(seconds=31))

    learning.learn_of(teacher)
    known = {facts.example.given for facts in ExampleFacts.objects.exclude(known_for=None)}
    assert known == {QUADRATIC["given"]}
    assert queued == [(teacher, 30)], "somebody looks again"

    Example.objects.update(changed=timezone.now() - timedelta(seconds=31))
    monkeypatch.setattr(learning, "learn", partial(learn, most=0))
    learning.learn_of(teacher)
    assert queued.pop() == (teacher, 1), "what rests and is left comes soon"
    monkeypatch.setattr(learning, "learn", learn)
    learning.learn_of(teacher)
    assert not ExampleFacts.objects.filter(known_for=None).exists()
    assert len(queued) == 1, "nothing is left"
