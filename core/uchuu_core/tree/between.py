"""Where one line must be changed so that another one can come out.

Only one part is exchanged: everything beside it stays, so it must be found on the other line.
"""

from collections import Counter
from collections.abc import Iterable, Iterator, Sequence

from uchuu_core.tree.nodes import (
    Absolute,
    Bracket,
    Expr,
    Line,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
    Term,
)
from uchuu_core.tree.paths import Path, children, walk
from uchuu_core.tree.shape import factors_within, terms_within, unordered


def places_between(line: Line, other: Line) -> frozenset[Path]:
    """Return the places of *line* such that exchanging the part at one of them may give *other*.

    Both without redundant brackets, and compared as ``unordered`` does. A place that is returned may
    still lead nowhere; one that is not does for certain. A term with its sign is the place of its term.
    """
    return frozenset(_places(line, other, ()))


def _places(line: Line, other: Line, path: Path) -> Iterator[Path]:
    yield path
    for number, wanted in _into(line, other):
        place = (*path, number)
        if wanted is None:
            yield from (at for at, _ in walk(children(line)[number], place))
        else:
            yield from _places(children(line)[number], wanted, place)


_Wanted = tuple[int, Line | None]
"""A part by its number, and what it must become; None where that is not known."""


def _into(line: Line, other: Line) -> Iterable[_Wanted]:
    """Yield the parts of *line* of which one may be exchanged, so that *other* comes out."""
    match line, other:
        case Relation(_, sign, _), Relation(left, mark, right) if sign == mark:
            straight = _by_turns(line, (left, right))
            return straight if sign != "=" else (*straight, *_by_turns(line, (right, left)))
        case Sum(terms), Sum(others):
            return _of_sum(terms, _all_terms(others))
        case Product(factors), Product(others):
            return _of_product(factors, _all_factors(others))
        case (Quotient(), Quotient()) | (Power(), Power()) | (Absolute(), Absolute()):
            return _by_turns(line, children(other))
        case Root(index), Root(same) if index == same:
            return _by_turns(line, children(other))
        case _ if type(line) is not type(other) and not _may_hide({type(line), type(other)}):
            return ()
        case _:
            return [(number, None) for number in range(len(children(line)))]


def _may_hide(kinds: set[type]) -> bool:
    """Whether parts of different *kinds* may look alike: a sign before a product is a sum of one term."""
    return not kinds.isdisjoint((Signed, Bracket))


def _by_turns(line: Line, wanted: Sequence[Line]) -> list[_Wanted]:
    """Return each part that alone differs from its *wanted* one."""
    same = [unordered(a) == unordered(b) for a, b in zip(children(line), wanted, strict=True)]
    return [
        (number, new)
        for number, new in enumerate(wanted)
        if all(same[:number]) and all(same[number + 1 :])
    ]


def _of_sum(terms: tuple[Term, ...], wanted: list[tuple[str, Term]]) -> Iterator[_Wanted]:
    forms = [terms_within(term) for term in terms]
    for number, left in _left_over(forms, [form for form, _ in wanted]):
        new = next((term for form, term in wanted if form == left), None)
        kept = new is not None and new.sign == terms[number].sign and len(forms[number]) == 1
        yield number, new.body if new is not None and kept else None


def _of_product(factors: tuple[Expr, ...], wanted: list[tuple[str, Expr]]) -> Iterator[_Wanted]:
    forms = [factors_within(factor) for factor in factors]
    for number, left in _left_over(forms, [form for form, _ in wanted]):
        new = next((factor for form, factor in wanted if form == left), None)
        yield number, new if len(forms[number]) == 1 else None


def _left_over(had: list[list[str]], wanted: list[str]) -> Iterator[tuple[int, str | None]]:
    """Yield each place whose others are all wanted, with what else is, where that is one thing."""
    whole, found = Counter(wanted), Counter(form for forms in had for form in forms)
    for number, forms in enumerate(had):
        rest = found - Counter(forms)
        if rest <= whole:
            left = list((whole - rest).elements())
            yield number, left[0] if len(left) == 1 else None


def _all_terms(terms: Iterable[Term]) -> list[tuple[str, Term]]:
    found: list[tuple[str, Term]] = []
    for term in terms:
        if term.sign == "+" and isinstance(term.body, Sum):
            found += _all_terms(term.body.terms)
        else:
            found.append((terms_within(term)[0], term))
    return found


def _all_factors(factors: Iterable[Expr]) -> list[tuple[str, Expr]]:
    found: list[tuple[str, Expr]] = []
    for factor in factors:
        if isinstance(factor, Product):
            found += _all_factors(factor.factors)
        else:
            found.append((unordered(factor), factor))
    return found
