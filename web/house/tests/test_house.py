"""House rules belong to a teacher and are obeyed by the algebra."""

import pytest
from api.testing import ApiClient

DEFAULTS = {
    "juxtaposition": "equal",
    "decimal": "point",
    "density": "board",
    "radicals": "any",
    "methods": [],
    "spelling": "us",
}


def test_rules_start_with_the_defaults_and_are_kept(ada: ApiClient) -> None:
    assert ada.call("GET", "/house").json() == DEFAULTS

    ada.call("PUT", "/house", {**DEFAULTS, "density": "fine"})
    ada.call("PUT", "/house", {**DEFAULTS, "density": "key"})

    assert ada.call("GET", "/house").json() == {**DEFAULTS, "density": "key"}


def test_each_teacher_has_rules_of_their_own(ada: ApiClient, ben: ApiClient) -> None:
    ada.call("PUT", "/house", {**DEFAULTS, "juxtaposition": "tighter"})

    assert ben.call("GET", "/house").json() == DEFAULTS


def test_an_unknown_rule_is_refused_and_nothing_changes(ada: ApiClient) -> None:
    reply = ada.call("PUT", "/house", {**DEFAULTS, "density": "thin"})

    assert reply.status_code == 422
    assert "density" in reply.json()["message"]
    assert ada.call("GET", "/house").json() == DEFAULTS


@pytest.mark.parametrize(("density", "count"), [("fine", 4), ("board", 2), ("key", 1)])
def test_the_density_decides_how_many_lines_are_worked(
    ada: ApiClient, density: str, count: int
) -> None:
    ada.call("PUT", "/house", {**DEFAULTS, "density": density})

    problem = {"task": "solve", "given": "5x - 3 = 12"}
    worked = ada.call("POST", "/algebra/work", problem).json()

    assert len(worked["lines"]) == count
    assert worked["answers"] == ["3"]


def test_inspection_obeys_the_rules(ada: ApiClient) -> None:
    problem = {"task": "evaluate", "given": "6÷2(1+2)"}
    values = []
    for rule in ("equal", "tighter"):
        ada.call("PUT", "/house", {**DEFAULTS, "juxtaposition": rule})
        found = ada.call("POST", "/algebra/inspect", problem).json()
        values.append([reading["value"] for reading in found["ambiguities"][0]["readings"]])

    assert values == [["9", "1"], ["1", "9"]]


def test_letters_under_roots_obey_the_rules(ada: ApiClient) -> None:
    paper = {"task": "simplify", "given": "sqrt(9x^2)", "lines": ["3x"]}
    lines = []
    for rule in ("any", "non-negative"):
        ada.call("PUT", "/house", {**DEFAULTS, "radicals": rule})
        lines.append(ada.call("POST", "/algebra/check", paper).json()["lines"][0])

    assert [line["verdict"] for line in lines] == ["wrong", "ok"]
    assert lines[1]["if"] == ["x >= 0"]


def test_the_methods_taught_come_first_and_an_example_may_differ(ada: ApiClient) -> None:
    problem = {"task": "solve", "given": "x^2 - 5x + 6 = 0"}
    ada.call("PUT", "/house", {**DEFAULTS, "methods": ["quadratic-formula"]})
    here = {"methods": ["complete-the-square"], "density": "key"}

    taught = ada.call("POST", "/algebra/work", problem).json()
    differs = ada.call("POST", "/algebra/work", {**problem, "house": here}).json()
    wrong = ada.call("POST", "/algebra/work", {**problem, "house": {"density": "thin"}})

    assert taught["method"] == "quadratic-formula"
    assert differs["method"] == "complete-the-square"
    assert len(differs["lines"]) < len(taught["lines"]) + 4
    assert wrong.status_code == 422


def test_the_schools_offer_what_is_built_and_a_choice_is_obeyed(ada: ApiClient) -> None:
    schools = ada.call("GET", "/house/schools").json()

    assert {"linear", "quadratic", "root"} <= {school["key"] for school in schools}
    for school in schools[:3]:
        ada.call("PUT", "/house", {**DEFAULTS, "methods": [school["methods"][-1]]})
        asked = {"task": school["task"], "given": school["given"]}
        worked = ada.call("POST", "/algebra/work", asked).json()
        assert worked["method"] == school["methods"][-1]
