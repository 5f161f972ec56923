"""work-out-the-parts: what stands inside a bar or a root is worked out first, then the rest as always.

Serves where no method applies as the expression stands, ``5/(x + x + 1)`` or ``√(9·2 + 4·2)``.
"""

from collections.abc import Callable, Iterator
from dataclasses import replace

from uchuu_core.lawbook.exponents import POWERS_OF_A_LETTER
from uchuu_core.methods.method import Method, Moment, Posed
from uchuu_core.methods.orders import Rule, chain, exhaust, first_of, rewritten
from uchuu_core.methods.polynomials import (
    LEAVE_BRACKETS_OUT,
    REDUCE,
    collected_inside,
    everywhere,
    flattened,
)
from uchuu_core.moves.laws import arithmetic
from uchuu_core.moves.laws.expanding import open_sums
from uchuu_core.moves.said import collected_says
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Line, Power, Product, Relation
from uchuu_core.tree.paths import letters, rebuild


def _joined(part: Line) -> Line:
    """Write ``x(4x)`` as ``4x²``; a product in which no letter stands twice stays as it is."""
    if not isinstance(part, Product):
        return part
    new = flattened(part)
    bases = [
        factor.base if isinstance(factor, Power) else factor
        for outer in part.factors
        for factor in build.factors_of(outer)
        if letters(factor)
    ]
    return new if len(set(bases)) < len(bases) else part


PARTS: Rule = chain(
    LEAVE_BRACKETS_OUT,
    exhaust(first_of(*map(everywhere, (arithmetic.POWER, arithmetic.MULTIPLY, arithmetic.DIVIDE)))),
    rewritten(collected_inside, lambda line: collected_says(*open_sums(line))),
    rewritten(lambda line: rebuild(line, _joined), lambda _: POWERS_OF_A_LETTER()),
    REDUCE,
)


def _refusal(posed: Posed) -> str | None:
    if isinstance(posed.given, Relation):
        return "this is an equation"
    first = next(PARTS(build.without_brackets(posed.given)), None)
    return "no part of it can be worked out" if first is None else None


def parts_first(rest: Callable[[Posed], Iterator[Moment]]) -> Method:
    """Return the method that works the parts out and goes on with *rest* from there."""

    def moments(posed: Posed) -> Iterator[Moment]:
        line = build.without_brackets(posed.given)
        for moment in PARTS(line):
            line = moment.line
            yield moment
        yield from rest(replace(posed, given=line))

    return Method(
        key="work-out-the-parts",
        tasks=("simplify", "evaluate"),
        refusal=_refusal,
        why="What stands inside is worked out first.",
        moments=moments,
    )
