"""Inspection and difficulty."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from uchuu_core import inspect, problem_from, work
from uchuu_core.answers.worked import Inspected
from uchuu_core.tests.support.quick import examples


def _inspected(task: str, text: str) -> Inspected:
    return inspect(problem_from({"task": task, "given": text}))


@pytest.mark.parametrize(
    ("task", "text", "kind"),
    [
        ("solve", "5x - 3 = 2x + 12", "linear equation"),
        ("solve", "x^2 = 4", "quadratic equation"),
        ("solve", "x^3 = 4", "polynomial equation"),
        ("solve", "1/x = 4", "rational equation"),
        ("solve", "sqrt(x) = 4", "radical equation"),
        ("solve", "2^x = 8", "exponential equation"),
        ("study", "1/x", "rational function"),
        ("evaluate", "3 + 4*5", "expression of numbers"),
        ("simplify", "3x + 4x", "polynomial"),
        ("expand", "3(x + 2) - 2(x - 3)", "expression with brackets"),
        ("simplify", "(2x^3)^4", "product of powers"),
        ("simplify", "12a^3/(4a)", "rational expression"),
        ("simplify", "3/x + 4x", "rational expression"),
        ("simplify", "sqrt(x)", "expression"),
    ],
)
def test_the_kind_is_named_in_the_fields_words(task: str, text: str, kind: str) -> None:
    assert _inspected(task, text)["kind"] == kind


@pytest.mark.parametrize(
    ("text", "code"),
    [
        ("5x = 2x + 9", "unknown-on-both-sides"),
        ("x/2 + x/3 = 5", "common-denominator"),
        ("5(x-1) - 3(x-1) = 12", "repeated-bracket"),
        ("8 - (2 - x) = 3x", "minus-before-bracket"),
        ("0.5x = 3", "decimals"),
        ("(x - 1)/7 + (x - 2)/6 + (x - 3)/5 = 3", "equal-after-one"),
        ("(x + 1)/6 + (x + 2)/5 = -(x + 3)/4 - 3", "equal-after-one"),
        ("(x + 2)/3 = (x + 2)/5", "equal-numerators"),
        ("3x^2 - 75 = 0", "squares-behind"),
        ("x^2 + 9x + 36 = 0", "near-square"),
        ("x^2 + 6x - 9 = 0", "near-square"),
        ("3/(x-6) = 5/(6-x) + 1", "opposite-denominators"),
        ("4x^2 - 20x + 25 = 9", "perfect-square"),
        ("6x^2 + 9x = 0", "common-factor"),
        ("9^x = 27", "one-base"),
        ("2x^2 + 5x + 3 = 0", "leading-coefficient"),
        ("x^2 - 5x + 6 = 0", "discriminant-square"),
        ("x^2 + 6x - 3 = 0", "even-middle"),
        ("3x^2 = 12", "no-middle-term"),
        ("x^2 + x + 5 = 0", "discriminant-negative"),
        ("(x+5)/(x+4) = (x+8)/(x+7)", "equal-after-one"),
        ("sqrt(x+1) = x - 1", "radicals"),
    ],
)
def test_what_a_practitioner_looks_for_is_noticed(text: str, code: str) -> None:
    assert code in [notice["code"] for notice in _inspected("solve", text)["notices"]]


@pytest.mark.parametrize(
    ("task", "text", "says"),
    [
        ("simplify", "sqrt(12) + sqrt(75)", "√12 and √75 look unlike, but each holds √3."),
        ("simplify", "(12*18^2)/6^5", "All its numbers are made of the primes 2 and 3."),
        (
            "evaluate",
            "36 ÷ 4 * 9",
            "× and ÷ stand side by side and have equal rank: work from the left.",
        ),
        (
            "factor",
            "x^2 + 9x + 36",
            "x² and 36 are squares, but the middle is 9x, not 12x: no perfect square.",
        ),
        ("factor", "12x^3 - 27x", "Behind the common factor 3x stands a difference of squares."),
    ],
)
def test_what_hides_behind_the_first_look_is_told(task: str, text: str, says: str) -> None:
    assert says in [notice["says"] for notice in _inspected(task, text)["notices"]]


@pytest.mark.parametrize(
    ("task", "text", "code"),
    [
        ("solve", "2x + 4 = 2(x + 2)", "identity"),
        ("solve", "5 - (x - 2)^2 = 1", "minus-before-bracket"),
        ("factor", "x^2 + 12x + 36", "near-square"),
        ("simplify", "sqrt(2) + sqrt(3)", "one-root-inside"),
    ],
)
def test_what_is_not_worth_saying_is_not_said(task: str, text: str, code: str) -> None:
    assert code not in [notice["code"] for notice in _inspected(task, text)["notices"]]


@pytest.mark.parametrize(
    ("text", "words"),
    [
        ("1/2x", "unwritten multiplication"),
        ("6÷2(1+2)", "unwritten multiplication"),
        ("1/2÷1/4", "fraction bar"),
        ("-3^2", "minus stands before a power"),
    ],
)
def test_ambiguous_notation_is_named(text: str, words: str) -> None:
    found = _inspected("simplify", text)["ambiguities"]

    assert any(words in item["says"] for item in found)


def test_plain_notation_has_no_ambiguity() -> None:
    assert _inspected("solve", "2(x + 1) = 3/4")["ambiguities"] == []


def test_methods_say_why_and_how_long() -> None:
    methods = _inspected("solve", "x/2 + 3 = 7")["methods"]

    assert [item["method"] for item in methods] == [
        "simplify-both-sides-then-undo",
        "clear-fractions",
        "divide-every-term-first",
        "undo-in-reverse-order",
        "keep-fractions",
    ]
    assert all(item["why"] and item["lines"] >= 1 for item in methods)


def _score(text: str) -> float:
    record = {"task": "evaluate", "given": text}
    return float(work(problem_from(record))["difficulty"]["score"])


@given(st.lists(st.integers(2, 9), min_size=2, max_size=5), st.integers(2, 9))
def test_one_more_operation_is_never_easier(numbers: list[int], more: int) -> None:
    text = " + ".join(map(str, numbers))

    assert _score(f"{text} + {more}") >= _score(text)
    assert _score(f"{text} - {more}") >= _score(f"{text} + {more}")


def _harder(task: str, easy: str, hard: str) -> bool:
    low, high = (
        work(problem_from({"task": task, "given": text}))["difficulty"]["score"]
        for text in (easy, hard)
    )
    return bool(low < high)


@pytest.mark.slow  # many papers
@given(st.integers(2, 9), st.integers(1, 9), st.integers(2, 9))
@examples(20)
def test_an_equation_grows_harder_in_every_way(a: int, b: int, x: int) -> None:
    c = a * x + b
    easy = f"{a}x + {b} = {c}"

    assert _harder("solve", easy, f"{10 * a}x + {10 * b} = {10 * c}"), "longer numbers"
    assert _harder("solve", easy, f"-{a}x + {b} = -{c}"), "more signs"
    assert _harder("solve", easy, f"x/{a} + {b} = {c}/{a + 7}"), "fractions"
    assert _harder("solve", easy, f"{a}x + {b} = {c + x} - x"), "the unknown twice"
    assert _harder("solve", f"{a}(x + {b}) = {c}", f"{c} - {a}(x - {b}) = 2x"), "a minus before it"
    assert _harder("solve", easy, f"{a}x^2 + {b}x = {c}"), "a higher degree"


@pytest.mark.slow  # many papers
@given(st.integers(2, 6), st.integers(2, 6), st.integers(2, 9))
def test_an_expression_grows_harder_in_every_way(a: int, b: int, c: int) -> None:
    assert _harder("evaluate", f"{a} + {b}", f"{a} + {b}*{c}")
    assert _harder("evaluate", f"{a} + {b}*{c}", f"{a} - {b}*{c}")
    assert _harder("evaluate", f"{a} + {b}*{c}", f"{a} + {b}*({c} - {b}^2)")
    assert _harder("evaluate", f"{a} + {c}", f"{a}/{b + 5} + {c}")
    assert _harder("expand", f"{a}(x + {b})", f"(x + {a})(x + {b})")
    assert _harder("simplify", f"{a}sqrt(12)", f"{a}sqrt(12) + {c}sqrt(27)")


def test_difficulty_gives_its_reasons() -> None:
    found = work(problem_from({"task": "evaluate", "given": "1/2 - 3*(120 - 7)"}))["difficulty"]

    for word in ("numbers and letters", "different laws", "fraction", "minus signs", "digits"):
        assert any(word in reason for reason in found["reasons"]), word
