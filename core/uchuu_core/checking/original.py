"""The check in the original: each candidate goes into the given, both sides worked out."""

from typing import Any

from flint import fmpq

from uchuu_core.kernel.points import NotRational, Undefined, value_at
from uchuu_core.methods.order_of_operations import worked_out
from uchuu_core.notation import latex, plain
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Relation, Symbol
from uchuu_core.tree.paths import rebuild


def put_in(side: Expr, unknown: str, value: fmpq) -> Expr:
    """Return *side* with the number in the place of *unknown*; juxtaposed factors get a dot."""
    number = build.number_of(value)

    def change(part: Any) -> Any:
        if part == Symbol(unknown):
            return number
        return build.sign_in_front(build.dotted(part))

    return rebuild(side, change)  # type: ignore[no-any-return]


def candidate_check(given: Line, unknown: str, value: fmpq) -> dict[str, Any]:
    """Return the contract's check record of one candidate in the given equation.

    Besides ``value, left, right, holds`` it has the arithmetic: ``left_lines`` and
    ``right_lines`` as plain and LaTeX texts, and ``says``: balances, does not balance, undefined.
    """
    assert isinstance(given, Relation)
    sides: dict[str, Any] = {}
    values: list[fmpq | None] = []
    for name, side in (("left", given.left), ("right", given.right)):
        filled = put_in(side, unknown, value)
        try:
            result: fmpq | None = value_at(filled, {})
        except (Undefined, NotRational):
            result = None
        values.append(result)
        sides[name] = None if result is None else str(result)
        lines = [filled] if result is None else [filled, *worked_out(filled)]
        sides[f"{name}_lines"] = [{"text": plain(x), "latex": latex(x)} for x in lines]
    holds = None not in values and values[0] == values[1]
    if None in values:
        says = "undefined: divides by zero"
    else:
        says = "balances" if holds else "does not balance"
    return {"value": f"{unknown} = {value}", **sides, "holds": holds, "says": says}
