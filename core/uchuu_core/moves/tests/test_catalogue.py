"""Laws are true and errors false: decided by the kernel, which knows no moves."""

import re

import pytest

from uchuu_core import check, problem_from
from uchuu_core.kernel.equality import agreement
from uchuu_core.kernel.numbers import COMPLEX, REAL, Numbers
from uchuu_core.kernel.points import value_at
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solving import solution_set
from uchuu_core.moves.catalogue import ERRORS, LAWS, wordings
from uchuu_core.moves.move import Effect, Example, Move
from uchuu_core.notation import plain, read
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Either, Feature, Line, Outcome, Relation, Root
from uchuu_core.tree.paths import letters, parts
from uchuu_core.tree.shape import unordered

MOVES = (*LAWS, *ERRORS)
_NUMBERS = re.compile(r"\b(?:[3-9]|\d\d+)\b")
JUDGED = {error.key for error in ERRORS if error.effect is Effect.JUDGED}
EXAMPLES = [
    pytest.param(move, example, id=f"{move.key}: {example.before}")
    for move in MOVES
    for example in move.examples
]


def _line(text: str) -> Line:
    return without_brackets(read(text))  # type: ignore[no-any-return]


def _agrees(before: Line, after: Line, numbers: Numbers = REAL) -> bool:
    """Return whether the kernel finds the same value or the same solutions."""
    if isinstance(before, Relation):
        if not isinstance(after, (Relation, Outcome, Either)):
            return False
        names = tuple(sorted(letters(before) | letters(after) | {"x"}))
        unknown = next(iter(letters(before)), "x")
        was, has = (solution_set(line, unknown, ring(names)) for line in (before, after))
        squared = any(isinstance(part, Root) for part in parts(before))
        return was.same_solutions(has) or (squared and bool(was.points) and was.within(has))
    return agreement(before, after, numbers).verdict == "equal"  # type: ignore[arg-type]


def _judged_wrong(example: Example, key: str) -> bool:
    """Return whether the judge of papers finds this error."""
    line = read(example.after)
    task = "solve" if isinstance(read(example.before), Relation) else "domain"
    task = "study" if isinstance(line, Feature) else task
    lines = [example.after]
    if key == "radical-eq-extraneous-kept":
        lines = ["x+6=x^2", "(x-3)(x+2)=0", example.after]
    if key == "rateq-extraneous-kept":
        lines = ["x=3"]
    if key == "check-in-miscopied-equation":
        lines = ["x=3", example.after]
    record = {"task": task, "given": example.before, "lines": lines}
    return bool(check(problem_from(record))["error"] == key)


@pytest.mark.parametrize(("move", "example"), EXAMPLES)
def test_an_example_is_reproduced_exactly(move: Move, example: Example) -> None:
    if move.effect in (Effect.UNFINISHED, Effect.JUDGED):
        assert not list(move.apply(_line(example.before)))
        return
    results = [unordered(step.result) for step in move.apply(_line(example.before))]

    assert unordered(_line(example.after)) in results


@pytest.mark.parametrize(("move", "example"), EXAMPLES)
def test_effect_is_what_the_kernel_finds(move: Move, example: Example) -> None:
    holds = move.effect in (Effect.OK, Effect.UNFINISHED)
    if move.effect is Effect.JUDGED:
        assert _judged_wrong(example, move.key)
        return

    assert _agrees(_line(example.before), _line(example.after)) is holds


@pytest.mark.parametrize("move", MOVES, ids=lambda move: move.key)
def test_the_nearest_other_lines_do_not_match(move: Move) -> None:
    for text in move.refuses:
        assert [plain(step.result) for step in move.apply(_line(text))] == []


@pytest.mark.parametrize("law", LAWS, ids=lambda law: law.key)
def test_a_law_holds_at_every_place_of_every_example(law: Move) -> None:
    """Also on lines that other moves were made for: nothing that a law yields may be wrong."""
    for move in MOVES:
        for example in move.examples:
            before = _line(example.before)
            for step in law.apply(before):
                if any(letters(owed) for owed in step.owes):
                    continue  # holds only where what is owed is not zero
                assert _agrees(before, step.result), plain(step.result)


def test_keys_are_unique_and_distort_known_laws() -> None:
    keys = [move.key for move in MOVES]
    laws = {law.key for law in LAWS}

    assert len(set(keys)) == len(keys)
    assert all(not error.distorts or error.distorts in laws for error in ERRORS)


def test_errors_and_wording_have_the_same_ids() -> None:
    assert {error.key for error in ERRORS} == set(wordings())


@pytest.mark.parametrize("key", list(wordings()))
def test_the_wordings_example_shows_an_error_and_its_repair(key: str) -> None:
    wording = wordings()[key]
    before, wrong, right = (
        _line(text) for text in (wording.example.before, wording.example.after, wording.right)
    )

    assert wording.name
    assert wording.why
    assert wording.repair
    spoken, shown = (
        set(_NUMBERS.findall(text)) for text in (wording.repair, wording.example.before)
    )
    assert not spoken & shown, "a repair is told about every line: it quotes no example"
    numbers = COMPLEX if "i" in letters(right) else REAL
    if key in JUDGED:
        assert _judged_wrong(wording.example, key)
        return
    assert _agrees(before, right, numbers)
    assert _agrees(before, wrong, numbers) is (wording.type == "unfinished")


def test_a_condition_is_sampled_on_its_edge() -> None:
    """Dividing by the number 0 is refused by the move; by a letter, that it is not 0 is owed."""
    [divide] = [law for law in LAWS if law.key == "divide-both-sides"]

    steps = list(divide.apply(_line("0*x=3")))
    assert [plain(owed) for step in steps for owed in step.owes] == ["x"]
    [step] = [s for s in divide.apply(_line("a*x=3")) if plain(s.result) == "x = 3/a"]
    assert [plain(owed) for owed in step.owes] == ["a"]
    assert value_at(read("3/1"), {}) == 3  # type: ignore[arg-type]
