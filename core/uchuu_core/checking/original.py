"""The check in the original: each candidate goes into the given, both sides worked out."""

from collections.abc import Iterator
from contextlib import suppress
from functools import lru_cache
from itertools import islice
from typing import Any

from flint import fmpq

from uchuu_core.answers.checked import CandidateCheck
from uchuu_core.answers.sentences import Typeset
from uchuu_core.failures import Failure
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.equality import difference, value_texts
from uchuu_core.kernel.exact import Exact, Undecided
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.solutions import Point
from uchuu_core.kernel.written import number_text, tree_of
from uchuu_core.lawbook.says import mathematics
from uchuu_core.methods.catalogue import serving
from uchuu_core.methods.method import Posed, at_density
from uchuu_core.methods.order_of_operations import worked_out
from uchuu_core.notation import latex, plain
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Relation, Symbol
from uchuu_core.tree.paths import rebuild
from uchuu_core.tree.shape import unordered

MOST_LINES = 5
"""So many lines a check takes on each side, the candidate put in and the value among them."""


def put_in(side: Expr, unknown: str, value: Expr) -> Expr:
    """Return *side* with *value* in the place of *unknown*; juxtaposed factors get a dot."""

    def change(part: Any) -> Any:
        if part == Symbol(unknown):
            return value
        return build.sign_in_front(build.dotted(part))

    return rebuild(side, change)  # type: ignore[no-any-return]


def candidate_checks(given: Line, unknown: str, found: frozenset[Point]) -> list[CandidateCheck]:
    """Return the check records of all numbers among *found*: real ones ascending, then complex."""
    numbers = [p for p in found if isinstance(p, Algebraic)]
    numbers.sort(key=lambda p: (not p.is_real, p.approximation.real, p.approximation.imag))
    return [candidate_check(given, unknown, number) for number in numbers]


def candidate_check(given: Line, unknown: str, value: Algebraic) -> CandidateCheck:
    """Return the contract's check record of one candidate in the given equation.

    Besides ``value, left, right, holds`` it has the arithmetic: ``left_lines`` and
    ``right_lines`` as plain and LaTeX texts, and ``says``: balances, does not balance, undefined.
    Whether it holds is exact; a value that is not rational is shown rounded, unless the other side
    says what it is.
    """
    found = _candidate_check(given, unknown, value)
    return {
        **found,
        "left_lines": [{**line} for line in found["left_lines"]],
        "right_lines": [{**line} for line in found["right_lines"]],
    }


@lru_cache(maxsize=512)
def _candidate_check(given: Line, unknown: str, value: Algebraic) -> CandidateCheck:
    assert isinstance(given, Relation)
    rational = value.rational
    place: dict[str, fmpq | Algebraic] = {unknown: value if rational is None else rational}
    written = tree_of(value) or Symbol(unknown)
    is_complex = not value.is_real
    left, right = value_texts(given.left, given.right, place, is_complex=is_complex)
    values = [None if text == "no real value" else text for text in (left, right)]
    try:
        holds = Exact(place, is_complex=is_complex).sign(difference(given.left, given.right)) == 0
        says = "balances" if holds else "does not balance"
    except Undefined:
        holds, says = False, "undefined: " + _why_undefined(given, place)
    except (Undecided, NotRational):
        holds, says = False, "not decided"
    exact = [text for text in values if text and not text.startswith("about")]
    if holds and exact:
        values = [exact[0], exact[0]]
    worked: list[list[Typeset]] = []
    for side, result in zip((given.left, given.right), values, strict=True):
        filled = put_in(side, unknown, written)
        lines = [filled] if result is None else _worked_side(filled, result, rational is not None)
        worked.append([{"text": plain(x), "latex": latex(x)} for x in lines])
    return {
        "value": f"{unknown} = {number_text(value)}",
        "value_latex": f"{unknown} = {latex(written)}"
        if tree_of(value)
        else f"{unknown} = {number_text(value)}",
        "left": values[0],
        "right": values[1],
        "left_lines": worked[0],
        "right_lines": worked[1],
        "holds": holds,
        "says": says,
    }


def _worked_side(filled: Expr, result: str, is_rational: bool) -> list[Line]:
    """Return a side with the candidate in it and how it is worked out: at most ``MOST_LINES``."""
    lines: list[Line] = [filled, *(worked_out(filled) if is_rational else _with_roots(filled))]
    end = mathematics(result)
    if not isinstance(end, str) and unordered(lines[-1]) != unordered(end):
        lines.append(end)
    if len(lines) > MOST_LINES:
        lines = [*lines[: MOST_LINES - 1], lines[-1]]
    return lines


def _with_roots(filled: Expr) -> Iterator[Line]:
    """Yield the lines that a method writes from an expression with roots and i, as far as one does."""
    posed = Posed(build.without_brackets(filled))
    with suppress(Failure, NotRational, Undefined):
        for method in islice(serving(posed, "simplify"), 1):
            for moment in at_density(method.moments(posed), "board"):
                yield moment.line


def _why_undefined(given: Relation, place: dict[str, fmpq | Algebraic]) -> str:
    """Say whether it is a root of a negative or a division by zero."""
    try:
        Exact(place, is_complex=True).sign(difference(given.left, given.right))
    except Undefined:
        return "divides by zero"
    except Undecided:
        pass
    return "root of a negative number"
