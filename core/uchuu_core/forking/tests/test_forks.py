"""Forks: what they say is what the judges say of the same line, and where they end is computed."""

from contextlib import suppress
from fractions import Fraction
from os import environ
from random import Random
from typing import Any

import pytest
import sympy

from uchuu_core import check, forks, problem_from, work
from uchuu_core.answers.forked import Fork
from uchuu_core.failures import Failure
from uchuu_core.forking.candidates import as_written
from uchuu_core.lawbook import register as lawbook
from uchuu_core.lawbook.law import Family
from uchuu_core.moves.catalogue import ERRORS, commonness, error_named
from uchuu_core.notation import plain, read
from uchuu_core.tests.support.problems import EQUATIONS, EXPRESSIONS, Made

SEEDS = range(int(environ.get("UCHUU_FORKED", "1")))
TASKS = [
    Made("simplify", "(x^2-9)/(x^2+6x+9)"),
    Made("expand", "(2x-3)^2"),
    Made("factor", "6x^2-7x-3"),
    Made("evaluate", "20-6*3+4/2"),
    Made("simplify", "1/(x-1)-1/(x+1)"),
    Made("domain", "(x-3)/((x-3)(x+5))"),
    Made("study", "(x^2-x-6)/(x^2-9)"),
    Made("study", "(x^2+3x+5)/(x+1)"),
    Made("study", "1/(x-4)+2"),
]
KINDS = [*EQUATIONS.values(), *EXPRESSIONS.values()]


def record_of(made: Made) -> dict[str, Any]:
    return {
        "task": made.task,
        "given": made.given,
        "numbers": made.numbers,
        "variable": made.variable,
    }


def test_what_every_class_has_comes_before_what_is_seen_now_and_then() -> None:
    found = [
        fork["error"]
        for fork in forks(problem_from({"task": "solve", "given": "4(x-2) = 3x+1"}))["forks"]
    ]

    assert found[0] == "distribute-first-term-only"


@pytest.mark.slow  # many problems
def test_slips_of_the_pen_are_no_forks_of_an_example() -> None:
    for made in TASKS:
        found = [fork["error"] for fork in forks(problem_from(record_of(made)))["forks"]]
        assert not [key for key in found if key.startswith("copy-")]


def _hold(made: Made) -> int:
    """Hold the forks of a problem against the judges; return how many there are."""
    record = record_of(made)
    try:
        lines = [line["text"] for line in work(problem_from(record))["lines"]]
    except Failure:
        return 0
    found = forks(problem_from(record))["forks"]
    for fork in found:
        kept = lines[: fork["after"]]
        judged = check(problem_from({**record, "lines": [*kept, fork["wrong"]]}))
        line = judged["lines"][-1]
        if fork.get("hidden"):
            named = line.get("doubt") or judged["error"]
            assert named == fork["error"], (fork, judged)
        else:
            assert line["verdict"] in ("wrong", "loses"), fork
            assert judged["error"] == fork["error"], (fork, judged)
            assert not judged["answer"]["right"], fork
        _hold_end(fork, record, lines[-1])
    common = [(bool(f.get("hidden")), commonness(f["error"])) for f in found]
    assert common == sorted(common)
    return len(found)


def _hold_end(fork: Fork, record: dict[str, Any], answer: str) -> None:
    """What a fork ends in follows from its wrong line, and is the right answer only when hidden."""
    if fork["ends_in"] is None or record["task"] in ("domain", "study"):
        return
    honest = check(problem_from({**record, "given": fork["wrong"], "lines": [fork["ends_in"]]}))
    held = ("ok", "may-add", "unfinished", "unproved")  # the whole jump may be beyond the judge
    assert honest["lines"][0]["verdict"] in held, (fork, honest)
    against = check(problem_from({**record, "lines": [fork["ends_in"]]}))["answer"]["right"]
    assert against is bool(fork.get("hidden")), (fork, answer)


@pytest.mark.slow
@pytest.mark.parametrize("make", KINDS, ids=lambda make: make.__name__)
def test_forks_of_random_problems_are_what_the_judges_say(make: Any) -> None:
    for seed in SEEDS:
        _hold(make(Random(seed)))


@pytest.mark.parametrize("made", TASKS, ids=lambda made: made.given)
def test_forks_of_every_task_are_what_the_judges_say(made: Made) -> None:
    assert _hold(made) >= 3


@pytest.mark.slow  # many problems
def test_ends_of_linear_forks_are_those_of_an_independent_solver() -> None:
    x = sympy.Symbol("x")
    compared = 0
    for seed in range(12):
        made = EQUATIONS["linear"](Random(seed))
        for fork in forks(problem_from(record_of(made)))["forks"]:
            end = fork["ends_in"] or ""
            if not end.startswith("x = "):
                continue
            left, right = fork["wrong"].split("=")
            sides = [
                sympy.parse_expr(
                    side.replace("^", "**"),
                    transformations=(
                        *sympy.parsing.sympy_parser.standard_transformations,
                        sympy.parsing.sympy_parser.implicit_multiplication,
                    ),
                )
                for side in (left, right)
            ]
            expected = sympy.solve(sympy.Eq(*sides), x)
            assert expected == [sympy.Rational(str(Fraction(end[4:])))], fork
            compared += 1
    assert compared > 40


def _errors(given: str, task: str = "solve", **more: Any) -> dict[str, Fork]:
    found = forks(problem_from({"task": task, "given": given, **more}))["forks"]
    return {fork["error"]: fork for fork in found}


@pytest.mark.parametrize(
    ("task", "given", "error", "after", "wrong", "end"),
    [
        ("solve", "3(2x-4) = 2x+8", "distribute-first-term-only", 0, "6x - 4 = 2x + 8", "x = 3"),
        ("solve", "(x-4)^2 = 25", "quad-missing-plus-minus", 0, "x - 4 = 5", "x = 9"),
        ("solve", "x^2-5x+6 = 0", "branch-lost", 2, "x = 2", "x = 2"),
        ("solve", "sqrt(x+6) = x", "radical-eq-extraneous-kept", 5, "x = 3 or x = -2", None),
        ("solve", "x/(x-3) = 3/(x-3)", "rateq-extraneous-kept", 1, "x = 3", "x = 3"),
        ("evaluate", "20-6*3", "order-add-before-multiply", 0, "14*3", "42"),
        ("simplify", "2^2*2^3", "exponent-product-multiplied", 0, "2^(2*3)", "64"),
        (
            "study",
            "(x^2-x-6)/(x^2-9)",
            "ratfun-hole-as-asymptote",
            4,
            "vertical asymptote: x = 3",
            None,
        ),
        ("domain", "5/(x+8)", "ratexpr-excluded-sign", 2, "all real numbers except 8", None),
    ],
)
def test_the_fork_that_a_teacher_expects_is_there(
    task: str, given: str, error: str, after: int, wrong: str, end: str | None
) -> None:
    fork = _errors(given, task)[error]

    assert fork["wrong"] == wrong
    assert fork["after"] == after
    assert end is None or fork["ends_in"] == end
    assert fork["because"]


def test_an_error_that_ends_in_the_right_answer_is_marked_hidden() -> None:
    hidden = _errors("1/2+1/2", "evaluate")["fraction-own-denominator-multiplied"]

    assert hidden["hidden"] is True
    assert hidden["ends_in"] == "1"


def test_forks_follow_the_lines_that_a_teacher_wrote() -> None:
    lines = ["6x - 12 = 2x + 8", "4x = 20", "x = 5"]

    found = forks(problem_from({"task": "solve", "given": "3(2x-4) = 2x+8", "lines": lines}))[
        "forks"
    ]

    assert {fork["after"] for fork in found} <= {0, 1, 2}
    assert any(fork["wrong"] == "x = 20" for fork in found)


@pytest.mark.parametrize("made", TASKS[:5], ids=lambda made: made.given)
def test_an_error_that_is_not_due_is_not_invited(made: Made) -> None:
    """Errors of the formula, of completing a square, of clearing: only where that is done."""
    errors = [fork["error"] for fork in forks(problem_from(record_of(made)))["forks"]]

    assert not [error for error in errors if error.startswith(("formula-", "csq-", "rateq-"))]
    assert all(error_named(key).is_invited for key in errors)


@pytest.mark.parametrize("family", list(Family), ids=lambda family: family.name)
def test_every_family_has_laws_and_errors_that_are_due_at_them(family: Family) -> None:
    assert [law for law in lawbook.LAWS.values() if family in law.families]
    assert [error for error in ERRORS if family in error.due]


@pytest.mark.parametrize(
    ("error", "law", "is_due"),
    [
        ("distribute-first-term-only", "multiply-into-bracket", True),
        ("distribute-first-term-only", "common-factor", False),
        ("trinomial-signs-flipped", "sum-product", True),
        ("trinomial-signs-flipped", "collect-like-terms", False),
        ("like-unlike-terms-joined", "collect-like-terms", True),
        ("csq-one-side-only", "complete-the-square", True),
        ("csq-one-side-only", "divide-both-sides", False),
        ("formula-minus-b-sign", "quadratic-formula", True),
        ("cancel-equal-terms", "divide-out", True),
        ("cancel-equal-terms", "multiply-by-lcd", False),
        ("lineq-same-sign-when-moved", "subtract-on-both-sides", True),
        ("lineq-same-sign-when-moved", "divide-both-sides", False),
        ("lineq-negative-coefficient-lost", "divide-both-sides", True),
        ("quad-missing-plus-minus", "root-both-sides", True),
        ("exponent-as-multiplier", "work-out-power", True),
    ],
)
def test_an_error_is_due_where_its_law_comes_next(error: str, law: str, is_due: bool) -> None:
    families = lawbook.LAWS[law].families & error_named(error).due

    assert bool(families) is is_due


@pytest.mark.parametrize(
    ("wrong", "before", "written"),
    [
        ("(4+3)x", "4x+3", "7x"),
        ("(1-6)x^2", "x^2-6", "-5x^2"),
        ("(20-6)*3", "20-6*3", "14*3"),
        ("(-9)/(6x+9)", "(x^2-9)/(x^2+6x+9)", "-9/(6x + 9)"),
        ("2*(-3x)", "2-3x", "-6x"),
        ("x+3", "x+4", "x + 3"),
    ],
)
def test_a_wrong_line_is_shown_as_a_student_writes_it(
    wrong: str, before: str, written: str
) -> None:
    assert plain(as_written(read(wrong), read(before))) == written


def test_hostile_examples_have_no_forks_or_say_why() -> None:
    for given in ("9^9^9^9", "x^200/(x-1)", "1/0", "sqrt(-4)", "x = x", "0 = 1", "0/0", "x"):
        task = "solve" if "=" in given else "simplify"
        for lines in ([], ["x = = ("], ["1"] * 5):
            with suppress(Failure):
                found = forks(problem_from({"task": task, "given": given, "lines": lines}))
                assert isinstance(found["forks"], list)


def test_a_line_that_was_crossed_out_is_the_first_fork_and_counts_as_a_line() -> None:
    lines = ["~~2x = 14~~", "subtract 4", "2x = 6", "~~x = 6/2 = 4~~", "x = 3"]

    found = forks(problem_from({"task": "solve", "given": "2x+4 = 10", "lines": lines}))["forks"]

    assert (found[0]["wrong"], found[0]["after"]) == ("2x = 14", 0)
    assert found[0]["crossed_out"] is True
    assert "also" not in found[0]  # the example invites the same error: it is no other one
    assert found[0]["error"] == "lineq-same-sign-when-moved"
    assert not any(fork.get("crossed_out") for fork in found[1:])
    assert {fork["after"] for fork in found} <= {0, 3, 5}  # on the lines that are written there


@pytest.mark.parametrize(
    "given", ["20 - 8 + 3*2^2 - 12 ÷ 3 * 2", "(3x - 6)/(x^2 - 4)", "2(x - 3) + 4 = 3x - 5"]
)
def test_more_forks_are_the_same_first_ones_and_others(given: str) -> None:
    task = "evaluate" if "x" not in given else "solve" if "=" in given else "simplify"

    few, many = (
        forks(problem_from({"task": task, "given": given, "most": most}))["forks"]
        for most in (3, 6)
    )

    def wrongs(found: list[Any], after: int) -> list[str]:
        return [fork["wrong"] for fork in found if fork["after"] == after and "hidden" not in fork]

    for after in {fork["after"] for fork in few}:
        assert set(wrongs(few, after)) <= set(wrongs(many, after))
        assert len(wrongs(few, after)) <= 3
    assert len(many) > len(few)
