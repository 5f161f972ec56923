"""left-to-right-precedence: brackets from the inside, powers, × and ÷, + and −, equal ranks from the left."""

import itertools
from collections.abc import Iterator
from fractions import Fraction
from math import gcd, lcm, log

from flint import fmpz

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.points import NotRational, Undefined, value_at
from uchuu_core.lawbook.numbers import DECIMALS_AS_FRACTIONS, FRACTIONS_TO_LCD, MIXED_AS_IMPROPER
from uchuu_core.lawbook.says import Says, listed
from uchuu_core.methods.across import Written, multiplied_across
from uchuu_core.methods.method import BOARD, RIDES_ALONG, Method, Moment, Posed
from uchuu_core.methods.orders import chain, exhaust, rewritten
from uchuu_core.moves.conditions import numeral
from uchuu_core.moves.laws import arithmetic
from uchuu_core.moves.laws.arithmetic import written
from uchuu_core.moves.said import worked_out as says_of
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Absolute,
    Bracket,
    Expr,
    Line,
    Mixed,
    Number,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
    Term,
)
from uchuu_core.tree.paths import Path, children, letters, parts, rebuild, replace_at, walk

_RANKS = {"work-out-power": 0, "multiply-numbers": 1, "divide-numbers": 1, "add-numbers": 2}
_LAWS = (arithmetic.POWER, arithmetic.DIVIDE, arithmetic.MULTIPLY, arithmetic.ADD)


Groups = tuple[Path, ...]
"""The brackets around a part, as paths, outermost first."""


class _Place:
    """A part that one operation works out, with its turn."""

    def __init__(self, path: Path, part: Expr, new: Expr, law: str, groups: Groups) -> None:
        self.path, self.part, self.new, self.law = path, part, new, law
        self.groups, self.rank = groups, _RANKS[law]


def _is_group(parent: Line, child: Expr, number: int) -> bool:
    """Whether brackets, a bar or a root hold *child*, part *number* of *parent*, together."""
    if isinstance(parent, Product) and number > 0:
        if isinstance(child, Product) or (isinstance(child, Quotient) and child.mark == "÷"):
            return True
    if isinstance(child, Bracket) or isinstance(parent, (Root, Absolute)):
        return True
    if isinstance(parent, Quotient) and parent.mark == "/":
        return isinstance(child, (Sum, Product, Power, Quotient))
    return isinstance(child, Sum) and not isinstance(parent, (Bracket, Relation))


def _places(node: Expr, path: Path = (), groups: Groups = ()) -> Iterator[_Place]:
    for number, child in enumerate(children(node)):
        if _is_ready_to_add(node, child):
            continue
        place = (*path, number)
        inside = (*groups, place) if _is_group(node, child, number) else groups
        yield from _places(child, place, inside)
    part = build.without_brackets(node)
    for law in _LAWS:
        assert law.function is not None
        for new in law.function(part):
            yield _Place(path, node, new, law.key, groups)  # type: ignore[arg-type]
            return
    if isinstance(node, (Absolute, Root)):
        yield from _root_or_absolute(node, path, groups)
    elif isinstance(node, Power):
        yield from _fractional_power(node, path, groups)


def _is_ready_to_add(node: Expr, child: Expr) -> bool:
    """Whether *child* is a fraction beside one with its denominator: they are added before they are reduced."""
    if not (isinstance(node, Sum) and _bottom(child)):
        return False
    alike = [term.body for term in node.terms if _bottom(term.body) == _bottom(child)]
    values = [numeral(part) for part in alike]
    return len(alike) > 1 and any(value is not None and value.denominator > 1 for value in values)


def _bottom(part: Expr) -> str:
    """Return the number below the bar of a fraction of plain numbers, "" for anything else."""
    match part:
        case Quotient(Number(), Number(text), "/"):
            return text
        case _:
            return ""


def _root_or_absolute(node: Absolute | Root, path: Path, groups: Groups) -> Iterator[_Place]:
    if isinstance(node, Absolute):
        value = numeral(node.body)
        if value is not None:
            yield _Place(path, node, build.number(abs(value)), "work-out-power", groups)
        return
    value = numeral(node.radicand)
    if value is None or value < 0:
        return
    root = exact_root(value, node.index)
    if root is not None:
        yield _Place(path, node, build.number(root), "work-out-power", groups)


def _fractional_power(node: Power, path: Path, groups: Groups) -> Iterator[_Place]:
    base, exponent = numeral(node.base), numeral(node.exponent)
    if base is None or exponent is None or base < 0 or exponent.denominator > 60:
        return
    root = exact_root(base, exponent.denominator)
    if root is not None and (root or exponent > 0) and abs(exponent.numerator) < 60:
        yield _Place(path, node, build.number(root**exponent.numerator), "work-out-power", groups)


def exact_root(value: Fraction, index: int) -> Fraction | None:
    """Return the root of *value* (from 0 up) when it is rational, else None."""
    roots = [fmpz(side).root(index) for side in (value.numerator, value.denominator)]
    found = Fraction(int(roots[0]), int(roots[1]))
    return found if found**index == value else None


def _stretched(node: Sum) -> tuple[Sum, int] | None:
    """Return *node* with its first two fractions over their LCD, and it; None if not needed."""
    values = [numeral(term.body) for term in node.terms]
    for place, (a, b) in enumerate(itertools.pairwise(values)):
        if a is None or b is None:
            continue
        if (bottom := _bottom(node.terms[place].body)) and bottom == _bottom(
            node.terms[place + 1].body
        ):
            return None
        below = (a.denominator, b.denominator)
        if below[0] == below[1]:
            return None
        common = lcm(*below)
        terms = list(node.terms)
        for offset, value in enumerate((a, b)):
            old = terms[place + offset]
            top = abs(value.numerator) * (common // value.denominator)
            sign = old.sign if value >= 0 else build.OPPOSITE[old.sign]
            terms[place + offset] = Term(sign, Quotient(Number(str(top)), Number(str(common))))
        return Sum(tuple(terms)), common
    return None


def _has_decimals(line: Line) -> bool:
    return any(isinstance(p, Number) and not p.is_whole for _, p in walk(line))


def moments(line: Line) -> Iterator[Moment]:
    """Yield the lines that work out an expression of plain numbers.

    Raises:
        OutOfScope: it divides by zero, or holds a root that is not exact.
    """
    order = chain(
        rewritten(_without_mixed, lambda _: MIXED_AS_IMPROPER()),
        rewritten(_without_unusual_decimals, lambda _: DECIMALS_AS_FRACTIONS()),
        exhaust(_one_rank),
        _one_number,
    )
    return order(line)


def _without_mixed(line: Line) -> Line:
    return line if isinstance(line, Mixed) else rebuild(line, _improper)


def _without_unusual_decimals(line: Line) -> Line:
    """Write decimals as fractions where an exponent is no plain number."""
    unusual = _has_decimals(line) and any(_is_unusual_power(part) for _, part in walk(line))
    return fractions_for_decimals(line) if unusual else line


def _one_rank(line: Line) -> Iterator[Moment]:
    """Do what has its turn: all of one rank in the innermost groups."""
    now: Expr = rebuild(line, _fractions_together)
    decimals = _has_decimals(now)
    places = list(_places(now))
    if not places:
        return
    ready = _whose_turn(places)
    chosen = [p for p in ready if not any(_inside(q, p) for q in ready)]
    if not decimals:
        yield from _common_denominators(now, chosen)
    for number, place in enumerate(chosen):
        says = says_of(now, place.path, place.part, place.new)
        last = number == len(chosen) - 1
        before = now
        for part, why, weight in _steps(place, says, decimals):
            now = _tidy(replace_at(before, place.path, part))  # type: ignore[arg-type]
            yield Moment(now, why, weight if last else RIDES_ALONG)


def _steps(place: _Place, says: Says, decimals: bool) -> list[Written]:
    """Return what is written for one place, one line or some."""
    if not decimals and place.law in ("multiply-numbers", "divide-numbers"):
        across = list(multiplied_across(build.without_brackets(place.part)))
        if across:
            return across
    return [(_fitting(place.new, decimals), says, BOARD)]


def _one_number(line: Line) -> Iterator[Moment]:
    if numeral(build.without_brackets(line)) is None:
        raise OutOfScope(
            "This expression cannot be worked out to one number by whole steps: "
            "it divides by zero, or holds a root that is not exact."
        )
    yield from ()


def _whose_turn(places: list[_Place]) -> list[_Place]:
    """Return the places of lowest rank in each of the innermost groups."""
    innermost = max(len(place.groups) for place in places)
    inside = [place for place in places if len(place.groups) == innermost]
    ranks: dict[Groups, int] = {}
    for place in inside:
        ranks[place.groups] = min(place.rank, ranks.get(place.groups, place.rank))
    return [place for place in inside if place.rank == ranks[place.groups]]


def _fitting(node: Expr, decimals: bool) -> Expr:
    value = numeral(node)
    return written(value, Number("0.5")) if decimals and value is not None else node


def _inside(inner: _Place, outer: _Place) -> bool:
    """Whether *inner* lies within *outer*, which therefore waits."""
    return len(inner.path) > len(outer.path) and inner.path[: len(outer.path)] == outer.path


def _common_denominators(now: Expr, chosen: list[_Place]) -> Iterator[Moment]:
    stretched = now
    commons = []
    for place in chosen:
        part = build.without_brackets(place.part)
        new = _stretched(part) if isinstance(part, Sum) else None
        if new is not None:
            stretched = replace_at(stretched, place.path, new[0])  # type: ignore[assignment]
            commons.append(new[1])
    if commons:
        below = listed(commons)
        yield Moment(stretched, FRACTIONS_TO_LCD(below), BOARD)


def _is_unusual_power(part: Line) -> bool:
    return isinstance(part, Power) and not isinstance(part.exponent, Number)


def _fractions_together(part: Line) -> Line:
    """Read ``3/4*2/9``, which is typed in one line, as a product of two fractions."""
    match part:
        case Quotient(Product(factors, _), Number() as below, "/") if len(factors) > 1:
            *first, last = factors
            if isinstance(last, Number) and any(isinstance(f, Quotient) for f in first):
                return build.product([*first, Quotient(last, below)])
    return part


def fractions_for_decimals(line: Line) -> Line:
    """Return *line* with decimals and mixed numbers written as common fractions."""

    def change(part: Line) -> Line:
        if isinstance(part, Mixed) or (isinstance(part, Number) and not part.is_whole):
            return build.number(part.value)
        return part

    return rebuild(line, change)  # type: ignore[no-any-return]


def _improper(part: Line) -> Line:
    return build.number(part.value) if isinstance(part, Mixed) else part


def _tidy(node: Expr) -> Expr:
    """Take away brackets around a single unsigned number; write ``+ (-3)`` as ``- 3``."""

    def change(part: Line) -> Line:
        if isinstance(part, Sum):
            terms = (build.as_term(t.body) if t.sign == "+" else t for t in part.terms)
            return Sum(tuple(terms))
        if isinstance(part, Product):
            return build.dotted(part)
        if isinstance(part, Bracket) and isinstance(part.body, (Number, Quotient)):
            return part.body
        if isinstance(part, Signed) and isinstance(part.body, Signed):
            return part.body.body if part.body.sign == "-" else part
        return part

    return rebuild(node, change)  # type: ignore[no-any-return]


def worked_out(node: Expr) -> list[Line]:
    """Return the lines that work out *node*, at most the last three; none where it cannot be."""
    try:
        found = list(moments(_tidy(node)))
    except OutOfScope:
        return []
    kept = [m.line for m in found if m.weight >= BOARD]
    return kept[-3:] if len(kept) > 3 else kept


_LARGE = 1000
"""Powers whose product is above are not worked out by hand before bases are compared."""


def better_in_primes(line: Line) -> bool:
    """Return whether it is a product of powers of numbers that share bases or primes, and the powers are large."""
    if any(
        isinstance(part, (Sum, Root, Absolute, Mixed)) for part in parts(line) if part is not line
    ):
        return False
    powers = [part for part in parts(line) if isinstance(part, Power)]
    sizes = [
        float(abs(exponent)) * log(max(abs(base.numerator), base.denominator))
        for part in powers
        if (base := numeral(part.base)) and (exponent := numeral(part.exponent)) is not None
    ]
    if sum(sizes) <= log(_LARGE):
        return False
    if len({part.base for part in powers}) < len(powers):
        return True
    bases = {part for part in parts(line) if isinstance(part, Number) and part.is_whole}
    exponents = {inner for part in powers for inner in parts(part.exponent)}
    numbers = [int(base.text) for base in bases - exponents if base.value > 1]
    composite = any(not fmpz(number).is_prime() for number in numbers)
    return composite and any(gcd(a, b) > 1 for a, b in itertools.combinations(numbers, 2))


def _refusal(posed: Posed) -> str | None:
    line = posed.given
    if isinstance(line, Relation):
        return "this is an equation; the order of operations works out expressions"
    if letters(line):
        return "the expression holds letters, so it has no single value"
    if any(
        isinstance(p, Power) and isinstance(p.base, Signed) and isinstance(p.exponent, Quotient)
        for p in parts(line)
    ):
        return "a negative number has a fraction for its exponent"
    try:
        value_at(line, {})  # type: ignore[arg-type]
    except Undefined:
        return None  # said where the work comes to it
    except NotRational:
        try:
            list(moments(line))
        except OutOfScope:
            return "it holds a root that is not exact"
    return None


LEFT_TO_RIGHT = Method(
    key="left-to-right-precedence",
    tasks=("evaluate", "simplify"),
    refusal=_refusal,
    why="Only numbers: brackets first, then powers, then × and ÷, then + and −, from the left.",
    moments=lambda posed: moments(posed.given),
    suits=lambda posed: not better_in_primes(posed.given),
)
