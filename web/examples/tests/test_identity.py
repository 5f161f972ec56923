"""A written line keeps its key while its example is edited: what hangs on it stays."""

import pytest
from api.testing import ApiClient
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from examples.models import WrittenLine

LINES = ["6x - 12 = 2x + 8", "4x = 20", "x = 5"]


def _keys(identity: str) -> list[int]:
    return list(WrittenLine.objects.filter(example__pk=identity).values_list("pk", flat=True))


@pytest.mark.parametrize(
    ("lines", "kept"),
    [
        (LINES, {0: 0, 1: 1, 2: 2}),
        ([*LINES, "check"], {0: 0, 1: 1, 2: 2}),
        ([LINES[0], "4x - 12 = 8", *LINES[1:]], {0: 0, 2: 1, 3: 2}),
        ([LINES[0], "4x = 21", LINES[2]], {0: 0, 1: 1, 2: 2}),
        ([LINES[0], LINES[2]], {0: 0, 1: 2}),
        (LINES[::-1], {0: 2, 1: 1, 2: 0}),
        ([], {}),
    ],
)
def test_a_line_that_stays_moves_or_is_reworded_keeps_its_key(
    ada: ApiClient, lines: list[str], kept: dict[int, int]
) -> None:
    content = {"task": "solve", "given": "3(2x-4) = 2x+8", "lines": LINES}
    stored = ada.call("POST", "/examples", content).json()
    before = _keys(stored["id"])

    saved = ada.call("PUT", f"/examples/{stored['id']}", {**stored, "lines": lines}).json()

    after = _keys(saved["id"])
    assert saved["lines"] == lines
    assert {place: before.index(key) for place, key in enumerate(after) if key in before} == kept


texts = st.lists(st.sampled_from(["a = 1", "b = 2", "c = 3", "", "d"]), max_size=6)


@given(st.lists(texts, min_size=2, max_size=4))
@settings(
    max_examples=25, deadline=None, suppress_health_check=[HealthCheck.function_scoped_fixture]
)
def test_any_edit_is_stored_as_it_was_written(ada: ApiClient, edits: list[list[str]]) -> None:
    stored = ada.call("POST", "/examples", {"task": "solve", "given": "x = 1"}).json()
    for lines in edits:
        before = dict(zip(_keys(stored["id"]), stored["lines"], strict=True))
        stored = ada.call("PUT", f"/examples/{stored['id']}", {**stored, "lines": lines}).json()
        after = dict(zip(_keys(stored["id"]), lines, strict=True))
        assert stored["lines"] == lines
        same = sum(min(list(before.values()).count(t), lines.count(t)) for t in set(lines))
        assert len(before.keys() & after.keys()) >= same
