"""Functions made from chosen zeros, holes and asymptotes are studied back to them."""

from collections.abc import Iterator
from fractions import Fraction
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from uchuu_core import Failure, check, problem_from, study
from uchuu_core.answers.features import Curve
from uchuu_core.notation import latex, plain, read
from uchuu_core.tests.support.quick import examples

SMALL = st.integers(-6, 6)


@st.composite
def functions(draw: st.DrawFn) -> dict[str, Any]:
    """A quotient of products, by the places of its zeros, poles and holes (all different)."""
    places = draw(st.lists(SMALL, min_size=1, max_size=5, unique=True))
    poles = draw(st.integers(0, min(2, len(places))))
    holes = draw(st.integers(0, min(1, len(places) - poles)))
    lead = draw(st.sampled_from([1, 2, -1, 3]))
    return {
        "lead": lead,
        "poles": places[:poles],
        "holes": places[poles : poles + holes],
        "zeros": places[poles + holes :],
    }


def _product(places: list[int]) -> str:
    return "".join(f"(x + ({-p}))" for p in places) or "1"


def _value(f: dict[str, Any], x: Fraction | int) -> Fraction:
    top, below = Fraction(f["lead"]), Fraction(1)
    for zero in f["zeros"]:
        top *= x - zero
    for pole in f["poles"]:
        below *= x - pole
    return top / below


@given(functions())
@examples(60)
def test_every_feature_is_found_again(f: dict[str, Any]) -> None:
    text = (
        f"({f['lead']}*{_product(f['zeros'] + f['holes'])})/({_product(f['poles'] + f['holes'])})"
    )
    found = study(problem_from({"task": "study", "given": text, "variable": "x"}))
    features = found["features"]

    assert features["domain_excluded"] == [str(x) for x in sorted(f["poles"] + f["holes"])]
    assert features["vertical"] == [f"x={x}" for x in sorted(f["poles"])]
    assert features["holes"] == [[str(x), str(_value(f, x))] for x in sorted(f["holes"])]
    assert features["x_intercepts"] == [str(x) for x in sorted(f["zeros"])]
    if 0 not in f["poles"] + f["holes"]:
        assert features["y_intercept"] == str(_value(f, 0))
    difference = len(f["zeros"]) - len(f["poles"])
    if f["poles"]:
        level = {0: f"y={f['lead']}"}.get(difference, "y=0" if difference < 0 else None)
        assert features["horizontal"] == level
        assert (features["oblique"] is not None) == (difference == 1)
    for x, y in features["points"]:
        assert _value(f, int(Fraction(x))) == Fraction(y)
    for stretch in features["stretches"]:
        at, height = map(Fraction, stretch["point"])
        assert _value(f, at) == height
        assert stretch["sign"] == ("+" if height > 0 else "-")
    assert {line["verdict"] for line in found["lines"]} == {"ok"}
    _plotted(found["curve"], f)


def _plotted(curve: Curve, f: dict[str, Any]) -> None:
    """The curve lies on the function, in branches that cross no asymptote."""
    for branch in curve["branches"]:
        xs = [x for x, _ in branch]
        assert xs == sorted(xs)
        assert not any(min(xs) < pole < max(xs) for pole in f["poles"])
        low, high = curve["window"]["y"]
        for x, y in branch[1:-1]:
            below = abs(float(_near(f["poles"], x)))
            if below > 1e-3 and low < y < high:
                exact = f["lead"] * float(_near(f["zeros"], x)) / float(_near(f["poles"], x))
                assert abs(exact - y) < 1e-2 * (1 + abs(exact))


def _near(places: list[int], x: float) -> float:
    result = 1.0
    for place in places:
        result *= x - place
    return result


@given(functions(), st.integers(1, 3))
@examples(40)
def test_a_feature_that_is_off_is_wrong(f: dict[str, Any], off: int) -> None:
    text = (
        f"({f['lead']}*{_product(f['zeros'] + f['holes'])})/({_product(f['poles'] + f['holes'])})"
    )
    lines = list(_damaged(f, off))
    found = check(problem_from({"task": "study", "given": text, "variable": "x", "lines": lines}))

    assert [line["verdict"] for line in found["lines"]] == ["wrong"] * len(lines)


def _damaged(f: dict[str, Any], off: int) -> Iterator[str]:
    taken = {*f["poles"], *f["holes"], *f["zeros"]}
    free = next(x for x in range(7 + off, 20) if x not in taken)
    yield f"vertical asymptote: x = {free}"
    yield f"hole: ({free}, 1)"
    yield f"x-intercept: ({free}, 0)"
    yield f"domain: x != {free}"
    if f["holes"]:
        (x,) = f["holes"]
        yield f"hole: ({x}, {_value(f, x) + off})"
    if 0 not in f["poles"] + f["holes"]:
        yield f"y-intercept: (0, {_value(f, 0) + off})"


@pytest.mark.parametrize(
    ("given", "line", "verdict"),
    [
        ("1/(x-3)", "domain: x = 3", "wrong"),
        ("1/(x-3)", "range: y = 0", "wrong"),
        ("1/(x-3)", "range: 0", "unproved"),
        ("1/(x-3)", "range: all real numbers", "wrong"),
        ("1/(x-3)", "range: all real numbers except 0", "ok"),
        ("1/(x-3)", "range: y < 0 or y > 0", "ok"),
        ("(3x-3)/(x-1)", "range: y = 3", "ok"),
        ("(3x-3)/(x-1)", "range: none", "wrong"),
        ("(x-x)/(x-2)", "range: y != 0", "wrong"),
        ("(x-x)/(x-2)", "x-intercept: none", "unproved"),
        ("(x-x)/(x-2)", "x-intercept: (3, 0)", "unproved"),
        ("x^2", "domain: none", "unproved"),
        ("1/(x-3)", "range: y != 0", "ok"),
        ("x^2/(x^2-1)", "range: y != 1", "unproved"),
        ("1/(x-3)", "vertical asymptote: x != 3", "unproved"),
        ("1/(x-3)", "end left: x = 0", "wrong"),
        ("1/(x-3)", "end left: y = 0", "ok"),
        ("1/(x-3)", "y-intercept: x = -1/3", "wrong"),
        ("(x^2-1)/(x-1)", "oblique asymptote: y = x + 1", "unproved"),
        ("(x-1)/(x-1)", "horizontal asymptote: y = 1", "unproved"),
        ("(x^2-1)/(x-1)", "y = x + 1", "ok"),
        ("(x^2-1)/(x-1)", "f(x) = x + 1", "ok"),
        ("(x^2-1)/(x-1)", "f(x) = x - 1", "wrong"),
    ],
)
def test_what_a_feature_line_says_is_taken_at_its_word(given: str, line: str, verdict: str) -> None:
    """Each was judged otherwise once."""
    found = check(problem_from({"task": "study", "given": given, "lines": [line]}))

    assert found["lines"][0]["verdict"] == verdict


@pytest.mark.parametrize(
    "text",
    [
        "domain: x != 3, x != -5",
        "holes: (-2, 5), (1/2, -3/4)",
        "vertical asymptotes: x = 2, x = -2",
        "horizontal asymptote: none",
        "oblique asymptote: y = 2x - 1",
        "end left: -infinity",
        "domain: all real numbers except 2 and 3",
    ],
)
def test_a_feature_line_reads_back(text: str) -> None:
    line = read(text)

    assert plain(line) == text
    assert read(latex(line)) == line


@pytest.mark.parametrize(
    "given", ["sqrt(x)", "2^x", "x*y", "x = 3", "1/(x-x)", "(x(x^2-2))/(x^2-2)"]
)
def test_what_is_no_rational_function_says_so(given: str) -> None:
    with pytest.raises(Failure):
        study(problem_from({"task": "study", "given": given}))


@pytest.mark.parametrize(
    ("given", "line", "instead"),
    [
        ("1/(x-4)+2", "vertical asymptote: x = -4", "vertical asymptote: x = 4"),
        ("(x^2-1)/(x-1)", "hole: (1, 0)", "hole: (1, 2)"),
        ("(3x)/(x^2+1)", "horizontal asymptote: y = 3", "horizontal asymptote: y = 0"),
    ],
)
def test_a_wrong_feature_is_answered_by_the_right_one(given: str, line: str, instead: str) -> None:
    paper = problem_from({"task": "study", "given": given, "lines": [line]})

    error = check(paper)["lines"][0]["error"]
    assert error is not None
    assert error["instead"] == instead
