"""Division of polynomials: every line is the given, long and synthetic division end alike, Python's own arithmetic agrees."""

from fractions import Fraction
from typing import Any

from flint import fmpq
from hypothesis import assume, given, settings
from hypothesis import strategies as st

from uchuu_core.kernel.points import value_at
from uchuu_core.notation import read
from uchuu_core.operations import answer
from uchuu_core.tree.nodes import Feature

coefficient = st.integers(-6, 6)
CONVENIENT = (Fraction(7), Fraction(-11), Fraction(23))


def studied(posed: str, method: str | None = None) -> Any:
    return answer("work", {"id": "1", "task": "study", "given": posed, "method": method})


def polynomial(values: list[int]) -> str:
    """Write a polynomial, the highest power first."""
    degree = len(values) - 1
    terms = [f"{'+' if v >= 0 else '-'} {abs(v)}x^{degree - n}" for n, v in enumerate(values)]
    return " ".join(terms).removeprefix("+ ")


def at(values: list[int], x: Fraction) -> Fraction:
    total = Fraction(0)
    for value in values:
        total = total * x + value
    return total


@settings(max_examples=60, deadline=None)
@given(st.lists(coefficient, min_size=3, max_size=4), st.integers(-5, 5))
def test_long_and_synthetic_division_end_alike(top: list[int], zero: int) -> None:
    assume(top[0] and at(top, Fraction(zero)) != 0)
    posed = f"({polynomial(top)})/(x - ({zero}))"
    ends = []
    for method in ("long-division", "synthetic-division"):
        record = studied(posed, method)
        assume("square roots" not in record.get("failure", {}).get("message", ""))
        assert "failure" not in record, record
        lines = [line for line in record["lines"] if line["law"] == "polynomial-division"]
        for line in lines:
            tree: Any = read(line["text"])
            assert not isinstance(tree, Feature)
            for x in CONVENIENT:
                known = at(top, x) / (x - zero)
                assert (
                    Fraction(str(value_at(tree, {"x": fmpq(x.numerator, x.denominator)}))) == known
                ), line["text"]
        ends.append(lines[-1]["text"])
    assert ends[0] == ends[1]


@settings(max_examples=40)
@given(st.integers(-9, 9), st.integers(-9, 9), st.integers(-9, 9))
def test_shifts_are_read_off_the_form(a: int, h: int, k: int) -> None:
    assume(a != 0)
    inside = f"x - {h}" if h > 0 else f"x + {-h}" if h else "x"
    fraction = f"{abs(a)}/({inside})"
    tail = f" + {k}" if k > 0 else f" - {-k}" if k else ""
    record = studied(f"{'-' if a < 0 else ''}{fraction}{tail}")
    assert record["method"] == "read-the-shifts"
    said = {line["text"].partition(":")[0]: line["text"] for line in record["lines"]}
    assert said["domain"] == f"domain: x != {h}"
    assert said["vertical asymptote"] == f"vertical asymptote: x = {h}"
    assert said["horizontal asymptote"] == f"horizontal asymptote: y = {k}"
    assert said["range"] == f"range: y != {k}"
    assert said["points"] == f"points: ({h + 1}, {k + a}), ({h - 1}, {k - a})"
    other = studied(f"{'-' if a < 0 else ''}{fraction}{tail}", "factor-and-compare-degrees")
    assert other["features"] == record["features"]


@settings(max_examples=40)
@given(st.integers(1, 6), st.integers(-6, 6), st.integers(-6, 6))
def test_one_more_point_lies_on_the_graph_and_on_the_paper(a: int, b: int, c: int) -> None:
    assume(b != c)
    record = studied(f"({a}x + {b})/(x - ({c}))")
    for line in record.get("lines", []):
        if line["law"] == "one-more-point":
            x, y = (
                Fraction(part) for part in line["text"].partition("(")[2].rstrip(")").split(",")
            )
            assert (a * x + b) / (x - c) == y
            assert max(abs(x), abs(y)) <= 10
            assert x and y
