"""Answers do not depend on the clock: on a slow machine, cold or warm, they are the same."""

import ast
import sys
from collections.abc import Iterator
from pathlib import Path
from types import FrameType

import pytest

from uchuu_core import check, forks, limits, problem_from
from uchuu_core.answers.checked import Checked
from uchuu_core.moves import places
from uchuu_core.moves.catalogue import ERRORS
from uchuu_core.moves.move import Move
from uchuu_core.notation import plain, read

CORE = Path(__file__).parents[1]
CLOCKS = {"time", "datetime", "threading", "signal"}
PAPERS = [
    ("solve", "3(2x-5) = 9", ["6x-5 = 9", "6x = 14", "x = 14/6"]),
    ("solve", "x/3+1/2 = 5", ["2x+3 = 5", "2x = 8", "x = 4"]),
    ("simplify", "(x+3)^2-(x-1)", ["x^2+9-x-1", "x^2-x+8"]),
    ("evaluate", "20-6*3+2^3", ["14*3+2^3", "42+6", "48"]),
    ("simplify", "sqrt(18)+sqrt(8)", ["sqrt(26)"]),
    ("solve", "x^2-5x+6 = 0", ["(x-2)(x-3) = 0", "x = 2 or x = 3"]),
    ("solve", "1/x+1/2 = 3/4", ["4+2x = 3x", "x = 4"]),
    ("factor", "6x^2+7x-3", ["(2x+3)(3x-1)"]),
]


def _answer(paper: tuple[str, str, list[str]]) -> Checked:
    task, given, lines = paper
    return check(problem_from({"task": task, "given": given, "lines": lines}))


def _forget_everything() -> None:
    """Clear what the core remembers between questions."""
    for name, module in list(sys.modules.items()):
        if name.startswith("uchuu_core") and not name.endswith("reading"):
            for value in vars(module).values():
                if hasattr(value, "cache_clear"):
                    value.cache_clear()
    places._parts.clear()


def test_no_module_of_the_core_looks_at_a_clock() -> None:
    for path in CORE.rglob("*.py"):
        if "tests" in path.parts:
            continue
        for node in ast.walk(ast.parse(path.read_text("utf-8"))):
            names = [alias.name for alias in node.names] if isinstance(node, ast.Import) else []
            names += [node.module or ""] if isinstance(node, ast.ImportFrom) else []
            assert not CLOCKS & {name.partition(".")[0] for name in names}, path


@pytest.fixture
def slow_machine() -> Iterator[None]:
    """Every call of a function takes many times as long as it should."""

    def dawdle(_frame: FrameType, event: str, _arg: object) -> None:
        if event == "call":
            sum(range(60))

    sys.setprofile(dawdle)
    yield
    sys.setprofile(None)


@pytest.mark.parametrize("paper", PAPERS, ids=lambda paper: paper[1])
def test_a_cold_machine_and_a_warm_one_answer_alike(paper: tuple[str, str, list[str]]) -> None:
    for other in PAPERS:
        _answer(other)
    warm = _answer(paper)
    _forget_everything()

    assert _answer(paper) == warm


@pytest.mark.parametrize("paper", PAPERS[:4], ids=lambda paper: paper[1])
def test_a_slow_machine_answers_like_a_fast_one(
    paper: tuple[str, str, list[str]], request: pytest.FixtureRequest
) -> None:
    fast = _answer(paper)
    _forget_everything()
    request.getfixturevalue("slow_machine")

    assert _answer(paper) == fast


@pytest.mark.parametrize("effort", [0, 50, 400, 2000])
def test_a_search_that_is_cut_short_is_cut_at_the_same_place(
    effort: int, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr(limits, "SEARCH_EFFORT", effort)
    _forget_everything()
    first = [_answer(paper) for paper in PAPERS]
    _forget_everything()
    again = [_answer(paper) for paper in reversed(PAPERS)][::-1]

    assert first == again
    _forget_everything()


def test_searches_inside_one_another_have_effort_of_their_own() -> None:
    with limits.within(5):
        limits.spend(4)
        with pytest.raises(limits.OutOfEffort), limits.within(2):
            limits.spend(3)
        limits.spend(1)
        with pytest.raises(limits.OutOfEffort):
            limits.spend(1)
    limits.spend(1_000_000)


@pytest.mark.slow  # many problems
def test_what_a_match_finds_does_not_depend_on_the_matches_before_it(
    monkeypatch: pytest.MonkeyPatch,
) -> None:
    monkeypatch.setattr(limits, "MATCH_EFFORT", 400)
    line = read("2x*(x+3)*5y - 3(x-4) + 6x*y*2 - 4(y+1) + 7x")

    def found(one: Move) -> set[str]:
        return {plain(step.result) for step in one.apply(line)}

    apart = []
    for one in ERRORS:
        _forget_everything()
        with limits.within(10**6):
            apart.append(found(one))
    _forget_everything()
    with limits.within(10**6):
        assert [found(one) for one in ERRORS] == apart
    assert any(apart)
    _forget_everything()


def test_forks_are_the_same_when_they_are_asked_for_again() -> None:
    problem = problem_from({"task": "solve", "given": "3(2x-5) = 9"})
    found = forks(problem)
    _forget_everything()

    assert forks(problem) == found
