"""A line cut for a drawing: what stands on its pieces is the line, whatever it is."""

import re

import pytest
from hypothesis import given
from hypothesis import strategies as st

from uchuu_core.notation import latex, read, shown, spoken
from uchuu_core.notation.sides import sides

TERMS = st.sampled_from(
    ["x", "2x - 1", "-3", "5/4", "sqrt(x + 2)", "(x - 1)^2", "1/(x + 3)", "|x|", "2^x", "0.5"]
)
SIGNS = st.sampled_from(["=", "<", ">", "<=", ">=", "!="])
RELATIONS = st.tuples(TERMS, SIGNS, TERMS).map(" ".join)
EQUATIONS = st.tuples(TERMS, st.just("="), TERMS).map(" ".join)
FEATURES = st.sampled_from(
    [
        "domain: x != 2",
        "hole: (2, 1/3)",
        "vertical asymptote: x = 2",
        "horizontal asymptote: y = 3",
        "x-intercepts: 1, 2",
        "y-intercept: none",
    ]
)
_IN_LATEX = {"≤": r"\le ", "≥": r"\ge ", "≠": r"\ne "}


def _joined(left: str, sign: str, right: str) -> str:
    return left + _IN_LATEX.get(sign, sign) + right


@given(RELATIONS)
def test_a_relation_is_its_two_sides(text: str) -> None:
    line = read(text)
    cut = sides(line)
    assert set(cut) == {"left", "sign", "right"}
    assert _joined(cut["left"], cut["sign"], cut["right"]) == latex(line)


@given(st.lists(EQUATIONS, min_size=2, max_size=5))
def test_tracks_joined_by_or_are_the_line_and_each_is_a_line_of_its_own(texts: list[str]) -> None:
    line = read(" or ".join(texts))
    cut = sides(line)
    tracks = cut["tracks"]
    assert [dict(track) for track in tracks] == [dict(sides(read(text))) for text in texts]
    assert r"\;\text{ or }\;".join(_joined(**track) for track in tracks) == latex(line)
    # whoever does not draw tracks shows the first one's sides and the rest after it
    assert _joined(cut["left"], cut["sign"], cut["right"]) == latex(line)
    assert (cut["left"], cut["sign"]) == (tracks[0]["left"], tracks[0]["sign"])


@pytest.mark.parametrize(
    ("text", "plus", "minus"),
    [
        ("x = +-3", "x = 3", "x = -3"),
        ("x - 3 = +-sqrt(5)", "x - 3 = sqrt(5)", "x - 3 = -sqrt(5)"),
        ("x = 2 +- sqrt(3)", "x = 2 + sqrt(3)", "x = 2 - sqrt(3)"),
        ("2x = +-(a + b)", "2x = (a + b)", "2x = -(a + b)"),
    ],
)
def test_plus_or_minus_stands_for_two_tracks(text: str, plus: str, minus: str) -> None:
    cut = sides(read(text))
    wanted = [sides(read(one)) for one in (plus, minus)]
    assert cut["join"] == "±"
    bare = [
        (one["left"], one["right"].replace(r"\left", "").replace(r"\right", "").strip("()"))
        for one in (*cut["tracks"], *wanted)
    ]
    assert bare[:2] == bare[2:]
    assert _joined(cut["left"], cut["sign"], cut["right"]) == latex(read(text))


@pytest.mark.parametrize(
    "text", ["x = 3", "+-x = 3", "x = 1 +- 2 +- 3", "x +- 1", "x = (-5 +- sqrt(13))/2"]
)
def test_anything_else_stays_whole(text: str) -> None:
    assert "tracks" not in sides(read(text))


@given(TERMS)
def test_an_expression_hangs_on_its_sign(text: str) -> None:
    assert sides(read(text)) == {"left": "", "sign": "=", "right": latex(read(text))}


@given(FEATURES)
def test_a_feature_hangs_on_no_sign(text: str) -> None:
    line = read(text)
    assert sides(line) == {"left": "", "sign": "", "right": latex(line)}


@given(st.one_of(RELATIONS, TERMS, FEATURES, st.lists(EQUATIONS, min_size=2).map(" or ".join)))
def test_what_is_shown_is_the_callers_own(text: str) -> None:
    line = read(text)
    first = shown(line)
    first["sides"]["right"] = "changed"
    for track in first["sides"].get("tracks", []):
        track["left"] = "changed"
    assert shown(line)["sides"] == sides(line)
    assert (shown(line)["latex"], shown(line)["spoken"]) == (latex(line), spoken(line))
    assert not re.search(r"\btext\b(?!\{)", first["latex"])
