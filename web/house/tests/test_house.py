"""House rules belong to a teacher and are obeyed by the algebra."""

import json
from collections.abc import Iterator
from dataclasses import asdict
from importlib import import_module
from pathlib import Path
from types import SimpleNamespace
from typing import Any, get_args, get_type_hints
from unittest.mock import Mock

import pytest
from algebra.schemas import OwnRules
from api.testing import ApiClient
from uchuu_core.contract import AS_USUAL, House

from house.models import HouseRules

WEB = Path(__file__).parents[2]
DEFAULTS = {
    "juxtaposition": "equal",
    "decimal": "point",
    "density": "board",
    "radicals": "any",
    "methods": [],
    "spelling": "us",
    "no_real_root": "no-solution",
    "plus_minus": "written-out",
    "fractions": "improper",
    "numerators": "expanded",
    "domains": "except",
    "powers": "worked-out",
    "removing": "divide-out",
    "undoing": "inverse",
    "checks": "every",
}


def test_rules_start_with_the_defaults_and_are_kept(ada: ApiClient) -> None:
    assert ada.call("GET", "/house").json() == DEFAULTS

    ada.call("PUT", "/house", {**DEFAULTS, "density": "fine"})
    ada.call("PUT", "/house", {**DEFAULTS, "density": "key"})

    assert ada.call("GET", "/house").json() == {**DEFAULTS, "density": "key"}


def test_the_rules_are_the_cores() -> None:
    assert {**asdict(AS_USUAL), "methods": []} == DEFAULTS
    own = set(OwnRules.model_fields)
    assert set(DEFAULTS) - own == {"spelling"}


def _rules_in(schema: Any) -> Iterator[dict[str, Any]]:
    """Yield every place of a format in which house rules stand."""
    if isinstance(schema, dict):
        if isinstance(schema.get("juxtaposition"), dict):
            yield schema
        for part in schema.values():
            yield from _rules_in(part)


@pytest.mark.parametrize("path", sorted(WEB.glob("*/format/*.schema.json")), ids=lambda p: p.name)
def test_the_formats_know_every_rule_and_its_choices(path: Path) -> None:
    wanted = {name: set(get_args(kind)) for name, kind in get_type_hints(House).items()}
    for rules in _rules_in(json.loads(path.read_text())):
        assert set(DEFAULTS) - set(rules) <= {"spelling", "decimal"}
        for name, choices in rules.items():
            if name != "methods":
                assert set(choices["enum"]) - {None} == wanted[name], name


def test_rules_of_columns_are_gathered_into_one() -> None:
    row = SimpleNamespace(
        juxtaposition="tighter", decimal="comma", density="key", radicals="any",
        methods=["quadratic-formula"], spelling="uk", save=Mock(),
    )  # fmt: skip
    apps = Mock()
    apps.get_model.return_value.objects.all.return_value = [row]

    import_module("house.migrations.0006_rules").gathered(apps, None)

    assert row.rules["decimal"] == "comma"
    assert row.rules["methods"] == ["quadratic-formula"]
    row.save.assert_called_once_with(update_fields=["rules"])
    assert HouseRules(rules=row.rules).for_core() == {**DEFAULTS, **row.rules}


def test_a_rule_that_is_no_longer_there_is_left_out() -> None:
    assert HouseRules(rules={"colour": "red", "density": "key"}).for_core() == {
        **DEFAULTS,
        "density": "key",
    }


def test_every_convention_is_obeyed_by_its_live_example(ada: ApiClient) -> None:
    for convention in ada.call("GET", "/house/conventions").json():
        key, seen = convention["key"], []
        assert convention["choices"][0] == DEFAULTS[key]
        for number, choice in enumerate(convention["choices"]):
            ada.call("PUT", "/house", {**DEFAULTS, key: choice})
            if convention["says"]:
                seen.append(convention["says"][number])
                continue
            asked = {"task": convention["task"], "given": convention["given"]}
            here = ada.call("POST", "/algebra/work", {**asked, "house": {key: choice}}).json()
            worked = ada.call("POST", "/algebra/work", asked).json()
            assert worked == here  # of the teacher, or of the example alone
            seen.append(str([line["text"] for line in worked["lines"]]) + str(worked["checks"]))
        assert len(set(seen)) >= min(len(seen), 2), key


def test_each_teacher_has_rules_of_their_own(ada: ApiClient, ben: ApiClient) -> None:
    ada.call("PUT", "/house", {**DEFAULTS, "juxtaposition": "tighter"})

    assert ben.call("GET", "/house").json() == DEFAULTS


def test_an_unknown_rule_is_refused_and_nothing_changes(ada: ApiClient) -> None:
    reply = ada.call("PUT", "/house", {**DEFAULTS, "density": "thin"})

    assert reply.status_code == 422
    assert "density" in reply.json()["message"]
    assert ada.call("GET", "/house").json() == DEFAULTS


@pytest.mark.parametrize(("density", "count"), [("fine", 5), ("board", 2), ("key", 1)])
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
