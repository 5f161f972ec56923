"""Parts that are no rational functions, named by letters so that the rest can be compared."""

from fractions import Fraction
from typing import Any

from uchuu_core.kernel.rational_functions import Ring, ring
from uchuu_core.lawbook.says import Listed, Part, Said, Says
from uchuu_core.tree.nodes import (
    Absolute,
    Expr,
    Line,
    Log,
    Number,
    Power,
    Relation,
    Root,
    Signed,
    Sum,
    Symbol,
    Term,
)
from uchuu_core.tree.paths import letters, rebuild
from uchuu_core.tree.shape import unordered

_PREFIX = "q_"
"""No letter of a problem looks like this."""


class Atoms:
    """Letters for roots, powers with letters above, absolute values and ± in lines of one step."""

    def __init__(self, algebra: Ring) -> None:
        self._algebra = algebra
        self._names: dict[Any, str] = {}
        self._meaning: dict[str, Expr] = {}

    def in_letters(self, line: Relation) -> Relation:
        """Return *line* with a letter for every such part, the same for equal ones."""
        return rebuild(line, self._named)  # type: ignore[no-any-return]

    def ring(self) -> Ring:
        """Return the ring in all letters."""
        return ring((*self._algebra.names, *self._meaning)) if self._meaning else self._algebra

    def put_back(self, says: Says) -> Says:
        """Return *says* with the parts in the place of their letters."""
        if not self._meaning:
            return says
        return Says(
            tuple(
                Said(said.sentence, tuple((name, self._meant(part)) for name, part in said.parts))
                for said in says.said
            )
        )

    def _meant(self, part: Part) -> Part:
        match part:
            case Listed(items, between, before_last):
                return Listed(tuple(map(self._meant, items)), between, before_last)
            case Says():
                return self.put_back(part)
            case str() | int() | Fraction():
                return part
            case _:
                found: Part = rebuild(part, self._unnamed)
                return found

    def _unnamed(self, part: Line) -> Line:
        if isinstance(part, Symbol):
            meant = self._meaning.get(part.name)
            whole: Line = part if meant is None else rebuild(meant, self._unnamed)
            return whole
        return part

    def _letter(self, part: Expr) -> Symbol:
        name = self._names.setdefault(unordered(part), f"{_PREFIX}{len(self._names)}")
        self._meaning.setdefault(name, part)
        return Symbol(name)

    def _named(self, part: Line) -> Line:
        match part:
            case Root() | Absolute() | Log():
                return self._letter(part)
            case Power(_, exponent) if letters(exponent) or not _is_whole(exponent):
                return self._letter(part)
            case Signed("+-", _):
                return self._letter(part)
            case Sum(terms) if any(term.sign == "+-" for term in terms):
                return Sum(
                    tuple(
                        Term("+", self._letter(Signed("+-", t.body))) if t.sign == "+-" else t
                        for t in terms
                    )
                )
            case _:
                return part


def _is_whole(exponent: Expr) -> bool:
    body = exponent.body if isinstance(exponent, Signed) else exponent
    return isinstance(body, Number) and body.is_whole
