"""A common factor that is taken out and then not written."""

from collections.abc import Iterator

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.conditions import Letter, NotNumeral, Numeral
from uchuu_core.moves.conditions import NumberOrSum as Bracketed
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.moves.move import Effect, Example, Move, Rewrite
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Number, Power, Sum, Symbol, Term


def _without_common_letter(part: Line) -> Iterator[Line]:
    """Divide every term by the letters that all have: taken out, and then not written before the rest."""
    if not isinstance(part, Sum):
        return
    powers = [_letters_of(term.body) for term in part.terms]
    common = {
        letter: min(found.get(letter, 0) for found in powers)
        for letter in powers[0]
        if all(found.get(letter, 0) for found in powers)
    }
    if not common:
        return
    terms = []
    for term, found in zip(part.terms, powers, strict=True):
        number, _ = coefficient_and_rest(term.body)
        left = [(letter, found[letter] - common.get(letter, 0)) for letter in found]
        rest = [
            Symbol(letter) if n == 1 else Power(Symbol(letter), Number(str(n)))
            for letter, n in left
            if n
        ]
        terms.append(Term(term.sign, build.times(number, build.product(rest))))
    yield build.total(terms)


def _letters_of(body: Expr) -> dict[str, int]:
    """Return the letters of a monomial with their exponents; empty where it is none."""
    _, rest = coefficient_and_rest(body)
    found: dict[str, int] = {}
    for factor in build.factors_of(rest):
        match factor:
            case Symbol(name) if name not in found:
                found[name] = 1
            case Power(Symbol(name), Number() as n) if n.is_whole and name not in found:
                found[name] = int(n.value)
            case _:
                return {}
    return found


GCF_LOST = Move(
    key="gcf-lost",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a*b", "b", (Numeral("a"), Bracketed("b"))),
        Rewrite("a*b", "b", (Letter("a"), Bracketed("b"), NotNumeral("b"))),
    ),
    function=_without_common_letter,
    distorts="common-factor",
    examples=(Example("3(x^2+7x+10)", "x^2+7x+10"), Example("c^3-2c^2-24c", "c^2-2c-24")),
    refuses=("3x", "c^3-2c^2-24"),
    due=Family.FACTORS,
)
