"""Random problems of every kind, worked by every method that applies, each line held by the judge.

``UCHUU_WORKED`` sets how many of a kind; ``./uchuu test long`` works 400 of each.
"""

import os
from collections.abc import Callable
from functools import cache
from random import Random
from typing import Any

import pytest
import sympy
from sympy.parsing.sympy_parser import (
    implicit_multiplication,
    parse_expr,
    standard_transformations,
)

from uchuu_core.checking.context import context_of
from uchuu_core.contract import Problem
from uchuu_core.kernel.finished import unmet_forms
from uchuu_core.methods.catalogue import applicable
from uchuu_core.notation import plain, read
from uchuu_core.tests.support.oracle import seem_equal
from uchuu_core.tests.support.problems import EQUATIONS, EXPRESSIONS, Made
from uchuu_core.tree.nodes import Either, Expr, Line, Outcome, Relation
from uchuu_core.tree.paths import letters
from uchuu_core.tree.shape import unordered
from uchuu_core.working.lines import worked_lines

MANY = int(os.environ.get("UCHUU_WORKED", "6"))
MAY_BE_BEYOND = ("radical_two", "substitution")
"""Kinds in which a problem may need logarithms, or have its roots fall away: refused, with a reason."""
MAY_BE_DONE = ("roots_of_monomials", "root_below", "numbers_of_one_base")
"""Kinds in which a problem may be in simplest form already."""
FORMS = ("rationalised", "positive exponents")


def _ends(made: Made) -> dict[str, Line]:
    """Return the last line of every method; every line is held on the way, and none is written twice."""
    context = context_of(Problem(made.task, made.given, made.variable, numbers=made.numbers), [])  # type: ignore[arg-type]
    found = {}
    for method in applicable(context.posed, made.task):  # type: ignore[arg-type]
        lines = worked_lines(context, method, "fine")
        written = [plain(line.moment.line) for line in lines]
        assert len(set(written)) == len(written), (made.given, method.key, written)
        assert unordered(lines[-1].moment.line) != unordered(context.given), (
            made.given,
            method.key,
        )
        found[method.key] = lines[-1].moment.line
    return found


def _made(kinds: dict[str, Callable[[Random], Made]]) -> list[Any]:
    return [pytest.param(name, seed, id=f"{name}-{seed}") for name in kinds for seed in range(MANY)]


@pytest.mark.parametrize(("kind", "seed"), _made(EQUATIONS))
def test_an_equation_is_solved_by_every_method_that_applies(kind: str, seed: int) -> None:
    made = EQUATIONS[kind](Random(f"{kind}{seed}"))
    ends = _ends(made)

    assert ends or kind in MAY_BE_BEYOND, made.given
    for method, end in ends.items():
        options = end.options if isinstance(end, Either) else (end,)
        if made.answers is not None:
            values = {sympy.Rational(a.numerator, a.denominator) for a in made.answers}
            assert {_sympy(o) for o in options} == values, (made.given, method)
        elif made.numbers == "real" and not isinstance(end, Outcome):
            if letters(end) == {"x"}:
                assert all(_satisfies(made.given, option) for option in options), (made.given, end)


@cache
def _parsed(text: str) -> Any:
    return sympy.sympify(text.replace("^", "**"), rational=True)


def _sympy(option: Line) -> Any:
    assert isinstance(option, Relation)
    return _parsed(_as_sympy(option.right))


def _as_sympy(side: Expr) -> str:
    """Write with every multiplication sign, and roots that the general system knows."""
    text = plain(side).replace("^", "**").replace("abs", "Abs")
    rules = (*standard_transformations, implicit_multiplication)
    return str(parse_expr(text, transformations=rules, local_dict={"cbrt": sympy.cbrt}))


def _satisfies(given: str, option: Line) -> bool:
    """Return whether the general system finds both sides equal, to 40 digits."""
    line = read(given)
    assert isinstance(line, Relation)
    x = sympy.Symbol("x")
    found = _parsed(_as_sympy(option.right))  # type: ignore[union-attr]
    sides = [_parsed(_as_sympy(side)).subs(x, found) for side in (line.left, line.right)]
    difference = sympy.N(sides[0] - sides[1], 40)
    return bool(abs(difference) < sympy.Float("1e-25"))


@pytest.mark.parametrize(("kind", "seed"), _made(EXPRESSIONS))
def test_an_expression_is_worked_to_its_finished_form(kind: str, seed: int) -> None:
    made = EXPRESSIONS[kind](Random(f"{kind}{seed}"))
    context = context_of(Problem(made.task, made.given), [])  # type: ignore[arg-type]
    ends = _ends(made)

    assert ends or kind in MAY_BE_DONE, made.given
    for method, end in ends.items():
        unmet = unmet_forms(end, made.task, FORMS, context.unknown)
        assert unmet == (), (made.given, method, plain(end))
        names = tuple(sorted(letters(context.given)))
        agree = seem_equal(context.given, end, names, Random(made.given))  # type: ignore[arg-type]
        assert agree is not False, (made.given, method, plain(end))
