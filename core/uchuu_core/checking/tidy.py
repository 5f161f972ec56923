"""The light tidying that a writer does without thinking: numbers of a term joined, signs merged."""

from typing import Any

from uchuu_core.moves.laws.expanding import coefficient_and_rest, joined_powers
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Line, Product, Sum
from uchuu_core.tree.paths import rebuild


def tidied(line: Line) -> Line:
    """Return *line* with each term's numbers multiplied and double signs merged."""
    return rebuild(line, _change)  # type: ignore[no-any-return]


def _change(part: Any) -> Any:
    if isinstance(part, Product) and not any(isinstance(f, Sum) for f in part.factors):
        number, rest = coefficient_and_rest(part)
        return build.times(number, joined_powers(list(build.factors_of(rest))))
    if isinstance(part, Sum):
        return build.total(build.as_term(t.body, t.sign) for t in part.terms)
    return part
