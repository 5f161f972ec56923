"""A key press asks the database for nothing that was asked for a moment ago, and never shows old rules."""

from typing import Any

from api.testing import ApiClient
from django.contrib.auth.models import User
from uchuu_core.operations import OPERATIONS

BODY = {"task": "solve", "given": "2x + 4 = 10", "lines": ["2x = 6"]}
OWN = {"name": "Mine", "before": "a*b", "after": "a + b"}


def _check(client: ApiClient, body: Any = BODY) -> Any:
    reply = client.call("POST", "/algebra/check", body)
    return reply.json() if reply.status_code == 200 else reply.status_code


def test_the_answer_passes_as_the_core_wrote_it(ada: ApiClient) -> None:
    assert _check(ada) == OPERATIONS["check"].ask({**BODY})


def test_changed_rules_and_own_errors_hold_from_the_next_key_on(ada: ApiClient) -> None:
    comma = {"task": "simplify", "given": "0,5x", "lines": []}
    wrong = {"task": "simplify", "given": "3*y", "lines": ["3+y"]}
    assert _check(ada, comma) == 422
    assert _check(ada, wrong)["lines"][0]["verdict"] == "wrong"
    rules = ada.call("GET", "/house").json()

    ada.call("PUT", "/house", {**rules, "decimal": "comma"})
    assert _check(ada, comma) != 422
    own = ada.call("POST", "/errors", OWN).json()
    found = _check(ada, wrong)["lines"][0]["error"]
    assert f"own-{own['id']}" in [found["id"], *found["also"]]
    ada.call("DELETE", f"/errors/{own['id']}")
    found = _check(ada, wrong)["lines"][0]["error"]
    assert found is None or f"own-{own['id']}" not in [found["id"], *found["also"]]


def test_who_signs_out_or_may_not_come_in_is_out_with_the_next_key(
    ada: ApiClient, ben: ApiClient
) -> None:
    assert _check(ada) != 401
    assert _check(ben) != 401

    ada.call("DELETE", "/session")
    user = User.objects.get(username="ben")
    user.is_active = False
    user.save()

    assert (_check(ada), _check(ben)) == (401, 401)
