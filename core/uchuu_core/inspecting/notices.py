"""What a practitioner notices before the first move."""

from collections import Counter

from uchuu_core.answers.worked import Notice
from uchuu_core.checking.context import Context
from uchuu_core.failures import Failure
from uchuu_core.inspecting.shapes import shapes_of
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.lawbook.noticing import (
    DECIMALS,
    LCD_IS,
    MINUS_BEFORE_BRACKET,
    ON_BOTH_SIDES,
    REPEATED_BRACKET,
)
from uchuu_core.lawbook.says import Says
from uchuu_core.methods.catalogue import chosen
from uchuu_core.methods.fractions_in_letters import fraction_in_factors, least_common
from uchuu_core.notation import plain
from uchuu_core.tree import build
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Expr, Line, Number, Product, Relation, Signed, Sum, Symbol
from uchuu_core.tree.paths import letters, walk


def notices(context: Context) -> list[Notice]:
    """Return notices as ``code``, ``says``, ``parts`` and ``where`` (a part in plain notation, or None)."""
    given = without_brackets(context.given)
    found: list[Notice] = []
    if isinstance(given, Relation):
        _about_equation(given, context, found)
    repeated = _repeated_bracket(given)
    if repeated:
        found.append(_notice("repeated-bracket", REPEATED_BRACKET()))
    if any(_is_minus_before_bracket(part) for _, part in walk(given)) and _is_opened(context):
        found.append(_notice("minus-before-bracket", MINUS_BEFORE_BRACKET()))
    if any(isinstance(p, Number) and not p.is_whole for _, p in walk(given)):
        found.append(_notice("decimals", DECIMALS()))
    for code, says, where in shapes_of(given, context):
        found.append(_notice(code, says, None if where is None else plain(where)))
    return found


_OPENED = (
    "take-minus-into-bracket",
    "multiply-into-bracket",
    "multiply-brackets",
    "collect-like-terms",
)


def _is_opened(context: Context) -> bool:
    """Whether the way that is taken opens brackets: elsewhere a minus before one does no harm."""
    try:
        way = chosen(context.posed, context.problem.task, None)
        return any(moment.law.key in _OPENED for moment in way.moments(context.posed))
    except (Failure, NotRational, Undefined):
        return True


def _notice(code: str, says: Says, where: str | None = None) -> Notice:
    return {"code": code, **says.record(), "where": where}


def _about_equation(given: Relation, context: Context, found: list[Notice]) -> None:
    unknown, letter = context.unknown, Symbol(context.unknown)
    on_sides = [
        any(getattr(p, "name", "") == unknown for _, p in walk(s))
        for s in (given.left, given.right)
    ]
    if all(on_sides):
        found.append(_notice("unknown-on-both-sides", ON_BOTH_SIDES(letter)))
    common = _lcd(given)
    if common is not None:
        found.append(_notice("common-denominator", LCD_IS(common)))


def _lcd(given: Relation) -> Expr | None:
    """Return the LCD of all terms, None where nothing stands below a bar."""
    algebra = ring(tuple(sorted(letters(given))))
    below = []
    for side in (given.left, given.right):
        for term in build.terms_of(side):
            fraction = fraction_in_factors(term.body, algebra)
            if fraction is None or fraction.bottom.number == 0:
                return None
            below.append(fraction.bottom)
    several = {bottom.tree(algebra) for bottom in below} - {build.ONE}
    return least_common(below).tree(algebra) if several else None


def _repeated_bracket(given: Line) -> bool:
    brackets = [
        factor
        for _, part in walk(given)
        if isinstance(part, Product)
        for factor in part.factors
        if isinstance(factor, Sum)
    ]
    return any(count > 1 for count in Counter(brackets).values())


def _is_minus_before_bracket(part: Line) -> bool:
    match part:
        case Signed("-", Sum()):
            return True
        case Sum(terms):
            return any(
                t.sign == "-"
                and (
                    isinstance(t.body, Sum)
                    or (
                        isinstance(t.body, Product)
                        and any(isinstance(f, Sum) for f in t.body.factors)
                    )
                )
                for t in terms
            )
        case _:
            return False
