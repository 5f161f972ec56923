"""Errors with rational expressions: what is struck out, and what is cleared without an equation."""

from collections.abc import Iterator

from uchuu_core.moves.errors.equations import cleared_terms
from uchuu_core.moves.move import Effect, Example, Move, Rewrite
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Line, Sum

CANCEL_EQUAL_TERMS = Move(
    key="cancel-equal-terms",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("(a+b)/(a+c)", "b/c"),
        Rewrite("(a+b)/a", "b"),
        Rewrite("a/(a+b)", "1/b"),
    ),
    distorts="divide-numbers",
    examples=(Example("(x+8)/(x+2)", "8/2"), Example("2/(8+2)", "1/8")),
    refuses=("(8x)/(2x)",),
)


def _cleared(part: Line) -> Iterator[Line]:
    if isinstance(part, Sum):
        new = cleared_terms(part.terms)
        if new is not None:
            yield build.total(new)


TREATED_AS_EQUATION = Move(
    key="expression-treated-as-equation",
    effect=Effect.WRONG,
    function=_cleared,
    distorts="add-fractions",
    examples=(Example("x/2+x/3", "3x+2x"),),
    refuses=("x+2",),
)

ERRORS = (CANCEL_EQUAL_TERMS, TREATED_AS_EQUATION)
