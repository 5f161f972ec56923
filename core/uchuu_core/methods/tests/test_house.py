"""Every convention: its lines are held, its answers have its form, and whoever answers in another form is right too."""

from typing import Any

import pytest
from hypothesis import assume, given, settings
from hypothesis import strategies as st

from uchuu_core.contract import problem_from
from uchuu_core.failures import Failure, ProducedLineRefused
from uchuu_core.methods.conventions import CONVENTIONS
from uchuu_core.notation import read
from uchuu_core.operations import answer
from uchuu_core.tests.support.cases import cases
from uchuu_core.tree.nodes import Builder, Mixed, Power, Product, Quotient, Signed, Sum, Union
from uchuu_core.tree.paths import parts
from uchuu_core.working.problem import work

small = st.integers(1, 9)
above = st.integers(2, 9)


def worked(task: str, posed: str, **house: str) -> Any:
    return answer("work", {"id": "1", "task": task, "given": posed, "house": house})


def checked(task: str, posed: str, line: str, **house: str) -> Any:
    asked = {"id": "1", "task": task, "given": posed, "lines": [line], "house": house}
    return answer("check", asked)


@st.composite
def posed(draw: Any) -> tuple[str, str, str]:
    """A convention and a problem that its choices answer otherwise."""
    a, b, c = draw(above), draw(small), draw(small)
    key, task, text = draw(
        st.sampled_from(
            [
                ("plus_minus", "solve", f"x^2 - {2 * a}x - {b} = 0"),
                ("plus_minus", "solve", f"{a}x^2 + {b}x - {c} = 0"),
                ("no_real_root", "solve", f"x^2 + {2 * b}x + {b * b + a * a} = 0"),
                ("fractions", "evaluate", f"{a}/{a + 1} + {b}/{b + 1}"),
                ("fractions", "solve", f"{a}x = {a * b + 1}"),
                ("powers", "simplify", f"({a}x^{b + 1})^{c + 1}"),
                ("numerators", "simplify", f"1/x + 1/(x + {2 * a})"),
                ("numerators", "simplify", f"(x + {a})/(x - {b})*(x + {c})/(x - {b + 1})"),
                ("domains", "domain", f"1/(x^2 - {a * a})"),
                ("domains", "domain", f"sqrt(x - {a})/(x - {a + b})"),
                ("checks", "solve", f"{a}x + {b} = {c}"),
            ]
        )
    )
    return key, task, text


@settings(max_examples=60)
@given(posed())
def test_an_answer_in_another_schools_form_is_right(problem: tuple[str, str, str]) -> None:
    key, task, text = problem
    choices = next(one.choices for one in CONVENTIONS if one.key == key)
    ends = {choice: worked(task, text, **{key: choice})["lines"][-1]["text"] for choice in choices}
    for mine in choices:
        for other, end in ends.items():
            found = checked(task, text, end, **{key: mine})
            assert found["answer"]["right"], (mine, other, end)
            if key != "powers":
                assert found["lines"][0]["verdict"] in ("ok", "may-add"), (mine, other, end)


@pytest.mark.parametrize(
    ("key", "choice", "task", "text", "end"),
    [
        ("fractions", "mixed", "evaluate", "2/3 + 3/4", "1 5/12"),
        ("fractions", "mixed", "evaluate", "1/4 - 3", "-2 3/4"),
        ("fractions", "mixed", "solve", "2x = 7", "x = 3 1/2"),
        ("plus_minus", "kept", "solve", "x^2 - 6x - 3 = 0", "x = 3 ± 2sqrt(3)"),
        ("plus_minus", "kept", "solve", "x^2 - 6x + 5 = 0", "x = 5 or x = 1"),
        ("no_real_root", "complex", "solve", "x^2 - 4x + 13 = 0", "x = 2 + 3i or x = 2 - 3i"),
        ("no_real_root", "complex", "solve", "sqrt(x) = -3", "no solution"),
        ("powers", "left", "simplify", "(2x^3)^4", "2^4x^12"),
        ("powers", "small", "simplify", "(12x)^4", "12^4x^4"),
        ("powers", "small", "simplify", "(2x)^4", "16x^4"),
        ("numerators", "factored", "simplify", "1/x + 1/(x + 2)", "2(x + 1)/(x(x + 2))"),
        ("numerators", "expanded", "simplify", "(x + 1)/x*(x + 2)/(x - 1)", "(x^2 + 3x + 2)/(x(x - 1))"),
        ("domains", "interval", "domain", "sqrt(x - 1)/sqrt(5 - x)", "[1, 5)"),
        ("domains", "set-builder", "domain", "1/(x - 3)", "{x | x != 3}"),
    ],
)  # fmt: skip
def test_a_house_leaves_its_answers_in_its_own_form(
    key: str, choice: str, task: str, text: str, end: str
) -> None:
    assert worked(task, text, **{key: choice})["lines"][-1]["text"] == end


@settings(max_examples=40)
@given(
    st.sampled_from(
        [
            "{p} + {b}", "{p}x + {b}x", "{p}*{n}", "{n}x*{p}", "{p}*{q}x", "{p}x/{q}", "x/{p} + {b}x/{q}",
            "({m}x)^{k}/({n}x)^{h}", "-{p}x^2 + {b}x^2",
        ]
    ),
    above, above, small, st.integers(2, 60), st.integers(2, 5), st.integers(2, 4),
)  # fmt: skip
def test_a_power_stays_only_where_no_other_number_meets_it(
    shape: str, m: int, n: int, b: int, k: int, h: int, scale: int
) -> None:
    m *= scale
    n *= scale  # the bases share a factor
    text = shape.format(p=f"{m}^{k}", q=f"{n}^{h}", m=m, n=n, b=b, k=k, h=h)
    for rule in ("left", "small", "worked-out"):
        found = checked("simplify", text, text, powers=rule)
        assert found["lines"][0]["verdict"] == "unfinished", (text, rule)
    lone = checked("simplify", f"({m}x)^{k}", f"{m}^{k}*x^{k}", powers="left")
    assert lone["lines"][0]["verdict"] == "ok"
    if "x" not in text:
        assert checked("evaluate", text, text)["lines"][0]["verdict"] == "unfinished"
    lone = checked("evaluate", f"{m}^{k}", f"{m}^{k}", powers="left")
    assert lone["lines"][0]["verdict"] == "unfinished"


@pytest.mark.parametrize(
    "text",
    ["(6x)^5/(2x)^3", "4x*(2x)^4", "(12x)^4/(6x)^2", "(2x)^4 + 3x^4", "6^5/2^3", "2^50 + 3", "(4x)^3*(2x)^5"],
)  # fmt: skip
def test_what_a_house_works_is_finished_by_its_own_rules(text: str) -> None:
    for rule in ("left", "small", "worked-out"):
        end = worked("simplify", text, powers=rule)["lines"][-1]["text"]
        assert checked("simplify", text, end, powers=rule)["lines"][0]["verdict"] == "ok", rule


@given(above, small)
def test_plus_minus_is_split_as_soon_as_a_root_is_taken(a: int, b: int) -> None:
    lines = worked("solve", f"(x - {a})^2 = {b}", plus_minus="split")["lines"]
    split = next(n for n, line in enumerate(lines) if line["law"] == "both-solutions")
    assert all("±" not in line["text"] for line in lines[split:])
    assert any("±" in line["text"] for line in lines[:split])


def test_which_checks_are_asked_for() -> None:
    linear, radical = "2x + 3 = 11", "sqrt(x + 6) = x"
    for rule, wanted in (("every", (1, 2)), ("where-needed", (0, 2)), ("none", (0, 1))):
        found = tuple(
            len(worked("solve", text, checks=rule)["checks"]) for text in (linear, radical)
        )
        assert found == wanted, rule
    for school in ("method-accuracy", "deductions"):
        for rule, is_marked in (("every", True), ("none", False)):
            asked = {"task": "solve", "given": radical, "house": {"checks": rule}, "school": school}
            kinds = [mark["kind"] for mark in answer("scheme", asked)["marks"]]
            assert ("check" in kinds) is is_marked, (school, rule)


def test_a_form_that_the_problem_asks_for_goes_before_the_house() -> None:
    asked = {"id": "1", "task": "evaluate", "given": "1/4 - 3", "form": ["mixed number"]}
    assert answer("work", asked)["answer"] == "-2 3/4"


@settings(max_examples=30)
@given(above, above, small)
def test_a_complex_course_and_a_real_one_hold_each_others_answers(a: int, b: int, c: int) -> None:
    text = f"x^2 + {2 * c}x + {c * c + a * b} = 0"
    assume(a != b)
    right = worked("solve", text, no_real_root="complex")["lines"][-1]["text"]
    assert "i" in right
    assert checked("solve", text, right)["answer"]["right"]
    assert checked("solve", text, "no real solution", no_real_root="complex")["answer"]["right"]
    one = right.partition(" or ")[0]
    assert checked("solve", text, one)["lines"][0]["verdict"] == "loses"
    assert not checked("solve", text.replace("+", "-", 1).replace(f"+ {c * c + a * b}", "- 1"), right)["answer"]["right"]  # fmt: skip


def _has_form(line: Any, kind: str) -> bool:
    match kind:
        case "mixed":
            return any(isinstance(part, Mixed) for part in parts(line))
        case "factored":
            body = line.body if isinstance(line, Signed) else line
            return isinstance(body, Quotient) and not isinstance(body.numerator, Sum)
        case "expanded":
            body = line.body if isinstance(line, Signed) else line
            top = body.numerator if isinstance(body, Quotient) else body
            return not (
                isinstance(top, Product) and sum(isinstance(f, Sum) for f in top.factors) > 1
            )
        case "interval":
            return isinstance(line, Union)
        case "set-builder":
            return isinstance(line, Builder)
        case _:
            return any(isinstance(p, Power) for p in parts(line))


@given(above, above, small)
def test_the_top_of_an_answer_has_the_form_of_the_house(a: int, b: int, c: int) -> None:
    text = f"(x + {a})/(x - {c})*(x + {b})/(x - {c + 1})"
    for rule in ("expanded", "factored"):
        end = read(worked("simplify", text, numerators=rule)["lines"][-1]["text"])
        assert _has_form(end, rule), (rule, end)


@pytest.mark.slow  # every problem by every method
@pytest.mark.parametrize("case", list(cases("work")), ids=lambda case: case["id"])
def test_every_method_that_applies_works_every_case(case: Any) -> None:
    """A method that says that it applies ends in the answer; the judge of papers has held its lines."""
    first = work(problem_from(case))
    for method in first["methods"]:
        try:
            found = work(problem_from({**case, "method": method}))
        except ProducedLineRefused:
            raise
        except Failure as failure:
            raise AssertionError(f"{method}: {failure.message}") from failure
        assert found["lines"], method
        if case["task"] == "solve":
            assert len(found["answers"]) == len(first["answers"]), method
            assert found["outcome"] == first["outcome"], method
