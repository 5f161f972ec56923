"""Which way of stopping too early an unmet form is: by the form, and by the part that shows it."""

from uchuu_core.kernel.finished import (
    ALONE,
    EXPANDED,
    FACTORED,
    LIKE_TERMS,
    LOWEST_TERMS,
    MIXED_NUMBER,
    SINGLE_FRACTION,
    WORKED_OUT,
    Unmet,
)
from uchuu_core.kernel.finished_roots import (
    NEGATIVE_EXPONENT,
    RATIONALISED,
    SIMPLEST_ROOTS,
    has_root_below,
    holds_root,
)
from uchuu_core.moves.conditions import numeral
from uchuu_core.moves.errors import answers
from uchuu_core.moves.move import Move
from uchuu_core.tree.nodes import Expr, Line, Power, Product, Quotient, Signed, Sum
from uchuu_core.tree.paths import letters

_BY_FORM = {
    ALONE: answers.STOP_UNKNOWN_NOT_ALONE,
    LOWEST_TERMS: answers.STOP_NOT_LOWEST_TERMS,
    SIMPLEST_ROOTS: answers.STOP_ROOT_NOT_SIMPLIFIED,
    RATIONALISED: answers.STOP_ROOT_IN_DENOMINATOR,
    FACTORED: answers.STOP_NOT_FULLY_FACTORED,
    NEGATIVE_EXPONENT: answers.STOP_NEGATIVE_EXPONENT,
    EXPANDED: answers.STOP_NOT_EXPANDED,
    SINGLE_FRACTION: answers.STOP_SEVERAL_FRACTIONS,
    MIXED_NUMBER: answers.STOP_NOT_MIXED,
}


def stop_for(unmet: list[Unmet], asked: tuple[str, ...]) -> Move:
    """Return the stop that one is told of: the asked form first, then an exponent, then in order."""
    first = min(unmet, key=lambda item: (item.form not in asked, item.form != NEGATIVE_EXPONENT))
    return _stop(first)


def _stop(item: Unmet) -> Move:
    part = item.part
    if item.form == LOWEST_TERMS and _is_whole(part):
        return answers.STOP_LIKE_TERMS_LEFT  # a division that is still to be worked out
    if item.form == LIKE_TERMS and isinstance(part, Sum) and not letters(part) and holds_root(part):
        return answers.STOP_ROOT_NOT_SIMPLIFIED
    if item.form == WORKED_OUT:
        return _not_worked_out(part)
    return _BY_FORM.get(item.form, answers.STOP_LIKE_TERMS_LEFT)


def _not_worked_out(part: Line) -> Move:
    if has_root_below(part):
        return answers.STOP_ROOT_IN_DENOMINATOR
    if _is_power_left(part):
        return answers.STOP_POWERS_LEFT
    if isinstance(part, Product) and holds_root(part):
        return answers.STOP_ROOT_NOT_SIMPLIFIED
    return answers.STOP_LIKE_TERMS_LEFT


def _is_power_left(part: Line) -> bool:
    """Whether a power of a number is left, or two powers of one base side by side."""
    match part:
        case Power():
            return True
        case Signed(_, body):
            return _is_power_left(body)
        case Sum(terms):
            return any(_is_power_left(term.body) for term in terms)
        case Quotient(top, bottom, _):
            return _is_power_left(top) or _is_power_left(bottom)
        case Product(factors):
            bases = [f.base if isinstance(f, Power) else f for f in factors if _counts(f)]
            return len(set(bases)) < len(bases) or any(
                isinstance(f, Power) and not letters(f) for f in factors
            )
        case _:
            return False


def _counts(factor: Expr) -> bool:
    return isinstance(factor, Power) or bool(letters(factor))


def _is_whole(part: Line) -> bool:
    """Whether a fraction of numbers is a division without rest."""
    body = part.body if isinstance(part, Signed) else part
    value = numeral(body) if isinstance(body, Quotient) else None
    return value is not None and value.denominator == 1
