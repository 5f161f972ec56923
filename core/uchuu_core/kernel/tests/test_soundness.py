"""No unsound verdict on random pairs and equations, held against 120-digit values.

CI takes some hundreds; the long suite (``./uchuu test long``) takes ``UCHUU_PAIRS`` of them.
"""

import os
import random
from collections import Counter
from fractions import Fraction
from typing import Any

import mpmath
import pytest

from uchuu_core.failures import Failure
from uchuu_core.kernel.algebraic import Algebraic, precision
from uchuu_core.kernel.equality import agreement
from uchuu_core.kernel.points import Undefined
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solutions import Logarithm, Point
from uchuu_core.kernel.solving import solution_set
from uchuu_core.notation import plain
from uchuu_core.tests.support.equations import equation, sides, zeros_by_looking
from uchuu_core.tests.support.oracle import NoValue, are_close, seem_equal, value
from uchuu_core.tests.support.pairs import pair

PAIRS = int(os.environ.get("UCHUU_PAIRS", "600"))
SHARES = 4
"""Tests that the pairs are spread over, so that a failure names its part."""


def _counter_holds(counter: Any, one: Any, other: Any) -> bool:
    point = {name: Fraction(text) for name, text in counter.point}
    try:
        return not are_close(value(one, point), value(other, point))
    except NoValue:
        return False


@pytest.mark.parametrize("share", range(SHARES))
def test_no_verdict_on_a_random_pair_is_unsound(share: int, capsys: Any) -> None:
    met: Counter[str] = Counter()
    for seed in range(share, PAIRS, SHARES):
        one, other, names = pair(seed)
        try:
            found = agreement(one, other)
        except (Undefined, Failure):
            met["no value"] += 1
            continue
        seen = seem_equal(one, other, names, random.Random(seed))
        met[found.verdict] += 1
        text = f"{seed}: {plain(one)} | {plain(other)}"
        if found.verdict == "equal":
            assert seen is not False, text
        elif found.verdict == "different":
            proved = found.counter is not None and _counter_holds(found.counter, one, other)
            assert proved or seen is not True, text
    assert met["undecided"] < 0.03 * sum(met.values())
    with capsys.disabled():
        print(f" {dict(met)}", end="")


def _near(point: Point) -> Fraction:
    """Return a solution as a fraction, to about 80 digits."""
    if isinstance(point, Algebraic):
        with precision(400):
            mantissa, exponent = point.ball().mid().man_exp()
        return Fraction(int(mantissa)) * Fraction(2) ** int(exponent)
    assert isinstance(point, Logarithm)
    if isinstance(point.argument, Algebraic):
        near = _near(point.argument)
        top = mpmath.log(mpmath.mpf(near.numerator) / near.denominator)
    else:
        top = _log(point.argument)
    return Fraction(int(mpmath.floor(top / _log(point.base) * mpmath.mpf(10) ** 80)), 10**80)


def _log(powers: Any) -> Any:
    return mpmath.fsum(mpmath.log(p) * int(k.p) / int(k.q) for p, k in powers)


@pytest.mark.parametrize("share", range(SHARES))
def test_solutions_of_random_equations_hold_and_none_is_missed(share: int) -> None:
    for seed in range(share, PAIRS // 5, SHARES):
        line = equation(seed)
        found = solution_set(line, "x", ring(("x",)))
        text = f"{seed}: {plain(line)}"
        near = [_near(point) for point in found.points]
        for at in near:
            left, right = sides(line, at)
            assert abs(left - right) < mpmath.mpf(10) ** -30 * (1 + abs(left)), text
        if found.everything or found.intervals:
            continue
        for zero in zeros_by_looking(line):
            assert any(abs(zero - at) < Fraction(1, 10**9) for at in near), f"{text} at {zero}"
