"""Each error of the catalogue is found from its own example, written out as a student would."""

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from uchuu_core import check, problem_from
from uchuu_core.moves.catalogue import ERRORS, wordings
from uchuu_core.moves.move import Effect
from uchuu_core.notation import read
from uchuu_core.tree.nodes import Relation

WRITTEN = [error.key for error in ERRORS if error.effect is Effect.WRONG]
SECOND = {"fraction-own-denominator-multiplied"}
"""Errors whose example another one reproduces as well: named among "or"."""


@pytest.mark.parametrize("key", WRITTEN)
def test_the_example_of_the_catalogue_is_named(key: str) -> None:
    example = wordings()[key].example
    task = "solve" if isinstance(read(example.before), Relation) else "simplify"
    numbers = "complex" if key == "radical-negative-pulled-out" else "real"
    record = {"task": task, "given": example.before, "lines": [example.after], "numbers": numbers}

    error = check(problem_from(record))["lines"][0]["error"]

    assert error is not None
    if key in SECOND:
        assert key in error["also"]
    else:
        assert error["id"] == key


@given(st.integers(2, 5), st.integers(2, 7), st.integers(2, 7))
def test_an_error_with_a_power_of_a_product_is_named_whatever_the_exponent(
    number: int, inner: int, outer: int
) -> None:
    assume(inner + outer != inner * outer and number * outer != number**outer)
    for line, key in (
        (f"{number**outer}x^{inner + outer}", "exponent-power-of-power-added"),
        (f"{number * outer}x^{inner * outer}", "exponent-as-multiplier"),
        (f"{number}x^{inner * outer}", "exponent-power-skips-factor"),
    ):
        record = {"task": "simplify", "given": f"({number}x^{inner})^{outer}", "lines": [line]}
        assert check(problem_from(record))["error"] == key, record
