"""Drawing other numbers: what was shared stays shared, what was written stays written so."""

from fractions import Fraction
from random import Random
from typing import Any

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from uchuu_core.kernel.rational_functions import ring
from uchuu_core.notation import plain, read
from uchuu_core.tests.support.oracle import are_close, value
from uchuu_core.tests.support.quick import examples
from uchuu_core.tree.nodes import Number, Power, Relation
from uchuu_core.tree.paths import parts
from uchuu_core.tree.shape import outline, structure, unnamed, unordered
from uchuu_core.twinning.draws import (
    by_bases,
    by_equal_values,
    by_factors,
    draws_for,
)
from uchuu_core.twinning.fitting import fitted
from uchuu_core.twinning.places import numerals, polynomials, rewritten

ZERO = st.integers(-9, 9).filter(bool)
SEED = st.integers(0, 10**6)


def _trinomial(p: int, q: int) -> str:
    middle, last = -(p + q), p * q
    return f"x^2 {'-' if middle < 0 else '+'} {abs(middle)}x {'-' if last < 0 else '+'} {abs(last)}"


def _factors(text: str) -> list[tuple[int, int]]:
    algebra = ring(("x",))
    _, found = algebra.factored(algebra.function(read(text)).numerator)  # type: ignore[arg-type]
    return sorted((f.polynomial.total_degree(), power) for f, power in found)


@given(ZERO, ZERO, SEED)
def test_what_factors_still_factors(p: int, q: int, seed: int) -> None:
    if abs(p + q) <= 1:
        return
    text = _trinomial(p, q)

    changed = by_factors(read(text), Random(seed))

    assume(changed is not None)
    assert changed is not None
    assert _factors(plain(changed)) == _factors(text)
    assert outline(changed) == outline(read(text))


@given(ZERO, ZERO, ZERO, SEED)
def test_a_factor_above_and_below_the_bar_stays_common(p: int, q: int, r: int, seed: int) -> None:
    if len({p, q, r}) < 3 or 1 in (abs(p + q), abs(p + r)) or 0 in (p + q, p + r):
        return
    line = read(f"({_trinomial(p, q)})/({_trinomial(p, r)})")

    changed: Any = by_factors(line, Random(seed))

    assume(changed is not None)
    algebra = ring(("x",))
    whole = algebra.lowest(algebra.function(changed))
    assert whole.numerator.total_degree() == whole.denominator.total_degree() == 1


@pytest.mark.parametrize(
    "text", ["7/(x + 7) + 3 = 7x", "2/((x + h)^2 - 5) - 2/(x^2 - 5)", "4*12 + 12 - 4"]
)
@given(SEED)
def test_equal_numbers_stay_equal_and_the_look_stays(text: str, seed: int) -> None:
    line = read(text)
    changed = by_equal_values(line, Random(seed))
    assume(changed is not None)
    assert changed is not None
    assert outline(changed) == outline(line)
    became: dict[str, set[str]] = {}
    for old, new in zip(numerals(line), numerals(changed), strict=True):
        became.setdefault(old.text, set()).add(new.text)
    assert all(len(texts) == 1 for texts in became.values()), became


@given(SEED)
def test_powers_of_one_base_stay_powers_of_one_base(seed: int) -> None:
    changed = by_bases(read("27^(x + 1) = 9^(2x)"), Random(seed))
    assume(changed is not None)
    assert changed is not None
    powers = [part for part in parts(changed) if isinstance(part, Power)]
    bases = [power.base.value for power in powers if isinstance(power.base, Number)]
    big, small = max(bases), min(bases)
    assert big**2 == small**3


@given(st.integers(-9, 9), SEED)
@examples(60)
def test_a_fitted_equation_has_the_wanted_solution(wanted: int, seed: int) -> None:
    line = read("3(x + 4) - 5 = 2x + 11")
    assert isinstance(line, Relation)

    found = fitted(line, "x", wanted, Random(seed))  # type: ignore[arg-type]

    assume(found is not None)
    assert found is not None
    place = {"x": Fraction(wanted)}
    assert are_close(value(found.left, place), value(found.right, place))


@given(SEED)
def test_every_way_of_drawing_keeps_decimals_roots_and_signs_apart(seed: int) -> None:
    for text in ("0.25x + 1.5 = 3", "cbrt(54) - 2sqrt(50)", "1/2 ÷ (3/4)", "12 ÷ 4*(18 ÷ 6)"):
        line = read(text)
        for draw in draws_for(line):
            changed = draw(line, Random(seed))
            if changed is not None:
                assert unordered(read(plain(changed))) == unordered(changed)
                places = [len(n.text.partition(".")[2]) for n in numerals(line)]
                assert [len(n.text.partition(".")[2]) for n in numerals(changed)] == places or (
                    len(numerals(changed)) < len(places)
                )


def test_a_polynomial_is_written_as_before() -> None:
    (polynomial,) = polynomials(read("12 - 7x + x^2"))

    same = rewritten(polynomial, polynomial.coefficients)
    other = rewritten(polynomial, {(): 20, (("x", 1),): -9, (("x", 2),): 1})
    lead = rewritten(polynomial, {(): 20, (("x", 1),): -9, (("x", 2),): 2})
    gone = rewritten(polynomial, {(): 20, (("x", 2),): 1})

    assert same == polynomial.node
    assert other is not None
    assert plain(other) == "20 - 9x + x^2"
    assert lead is gone is None


@pytest.mark.parametrize(
    ("one", "other", "alike"),
    [
        ("3x + 4 = 10", "5y + 2 = 12", True),
        ("3x + 4 = 10", "4 + 3x = 10", True),
        ("3x - 4 = 10", "3x + 4 = 10", False),
        ("x + 4 = 10", "3x + 4 = 10", False),
        ("x*y + x", "a*b + a", True),
        ("x*y + z", "a*b + a", False),
    ],
)
def test_a_structure_is_what_is_left_without_numbers_and_names(
    one: str, other: str, alike: bool
) -> None:
    assert (structure(read(one)) == structure(read(other))) is alike


@pytest.mark.parametrize(
    ("one", "other", "alike"),
    [
        ("x*y + x", "a*b + b", True),
        ("x*y + x", "b + a*b", True),
        ("2x + 3y = 1", "2b + 3a = 1", True),
        ("2x + 3y = 1", "3x + 2y = 1", True),
        ("x^2*y = x", "a^2*b = b", False),
        ("x + y", "x + x", False),
    ],
)
def test_names_of_letters_make_no_other_exercise(one: str, other: str, alike: bool) -> None:
    assert (unnamed(read(one)) == unnamed(read(other))) is alike
