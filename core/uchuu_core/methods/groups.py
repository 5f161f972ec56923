"""Like terms joined one group at a time: what stands between a line and its collected form when every move is written."""

from collections.abc import Iterator
from math import lcm

from uchuu_core.lawbook.numbers import FRACTIONS_TO_LCD
from uchuu_core.lawbook.says import Says
from uchuu_core.methods.method import RIDES_ALONG, Moment
from uchuu_core.moves.laws.expanding import coefficient_and_rest, collected, like_terms, open_sums
from uchuu_core.moves.said import collected_says
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Number, Quotient, Sum, Term
from uchuu_core.tree.paths import parts, rebuild

Group = tuple[Term, ...]


def group_by_group(line: Line, end: Line) -> Iterator[Moment]:
    """Yield the lines between *line* and its collected form *end*, each with one group of like terms more joined.

    Fractions of a group are brought over their LCD first; what comes to zero is written as 0. They are only
    written where every move is, and say nothing elsewhere.
    """
    for node in open_sums(line):
        now: Expr = node
        for group in map(tuple, like_terms(node)):
            for new, says in _joined(now, group):
                line = _with(line, now, new)
                now = new
                if line != end:
                    yield Moment(line, says, RIDES_ALONG, is_quiet=True)


def _with(line: Line, old: Expr, new: Expr) -> Line:
    return rebuild(line, lambda part: new if part == old else part)  # type: ignore[no-any-return]


def _joined(node: Expr, group: Group) -> Iterator[tuple[Expr, Says]]:
    """Yield *node* with the group's fractions over their LCD, where they are unlike, and with the group joined."""
    terms = build.terms_of(node)
    stretched = _over_one_denominator(group)
    if stretched is not None:
        places = dict(zip(map(id, group), stretched, strict=True))
        terms = tuple(places.get(id(term), term) for term in terms)
        (common,) = {term.body.denominator for term in stretched if isinstance(term.body, Quotient)}
        yield Sum(terms), FRACTIONS_TO_LCD(common)
        group = stretched
    says = collected_says(build.total(group))
    first = next(n for n, term in enumerate(terms) if any(term is one for one in group))
    kept = [term for term in terms if not any(term is one for one in group)]
    whole = collected(Sum(group))
    if whole != build.ZERO or kept:
        kept.insert(first, build.as_term(whole))
    if whole != build.ZERO:
        yield build.total(kept), says
    else:
        yield Sum(tuple(kept)) if len(kept) > 1 else whole, says


def _over_one_denominator(group: Group) -> Group | None:
    """Return the terms of a group over their LCD, None where they have one denominator, or decimals."""
    parts = [coefficient_and_rest(term.body) for term in group]
    bottoms = {number.denominator for number, _ in parts}
    plain = all(_is_plain(term) for term in group)
    if len(bottoms) == 1 or not plain:
        return None
    common = lcm(*bottoms)
    return tuple(
        Term(
            term.sign,
            Quotient(build.times(number * common, rest), Number(str(common))),
        )
        for term, (number, rest) in zip(group, parts, strict=True)
    )


def _is_plain(term: Term) -> bool:
    """Whether the number in front is a whole number or a fraction, with a plus in front of it."""
    number, _ = coefficient_and_rest(term.body)
    numbers = (part for part in parts(term.body) if isinstance(part, Number))
    return number > 0 and all(part.is_whole for part in numbers)
