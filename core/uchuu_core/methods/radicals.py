"""Roots: simplified, multiplied, like ones collected, taken out of a denominator."""

from collections.abc import Callable
from functools import lru_cache
from typing import Any

from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import Ring
from uchuu_core.lawbook.expanding import EVERY_TERM_BY_EVERY_TERM, WRITE_POWER_AS_PRODUCT
from uchuu_core.lawbook.radicals import (
    ADD_COEFFICIENTS,
    IN_PRIMES,
    IS_A_POWER,
    LARGEST_POWER_FACTOR,
    LIKE_RADICALS_IS,
    MAKE_POWER_BELOW,
    MAKE_SQUARE_BELOW,
    POWERS_FIRST,
    ROOT_OF_QUOTIENT_SPLIT,
    ROOT_OF_SQUARE_ABSOLUTE,
    ROOT_TIMES_ITSELF,
    TAKE_OUT,
    TAKE_OUT_ABSOLUTE,
    UNDER_ONE_ROOT,
)
from uchuu_core.lawbook.says import Says, in_order
from uchuu_core.methods.fractions_in_letters import ONE, Product
from uchuu_core.methods.method import BOARD, KEY, RIDES_ALONG, Moment
from uchuu_core.methods.rationalising import RootBelow, has_root_below
from uchuu_core.methods.roots import (
    Roots,
    not_negative,
    power_part,
    roots_of_tree,
    split,
    taken_out,
)
from uchuu_core.methods.written import integer_factors, polynomial_tree, product_tree, ring_of
from uchuu_core.notation import index_name
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Absolute, Expr, Number, Power, Quotient, Root, Sum, Term
from uchuu_core.tree.nodes import Product as ProductNode
from uchuu_core.tree.paths import parts

LARGEST, PRIMES = "largest-square-factor", "prime-factorisation"
COMBINE, SIMPLIFY, CONJUGATE = "combine-then-rationalise", "simplify-then-rationalise", "conjugate"
Wrap = Callable[[Expr], Expr]


def _itself(node: Expr) -> Expr:
    return node


class Radicals:
    """Works one expression; ``moments`` grows as it goes.

    Args:
        given: An expression without brackets that could be left out.
        school: How radicands are split, or how a root leaves a denominator.
        non_negative: Letters under even roots are not negative.
        wrap: Writes the expression into the whole line.
    """

    def __init__(
        self, given: Expr, school: str, algebra: Ring, non_negative: bool, wrap: Wrap = _itself
    ) -> None:
        self.algebra, self.school, self._assumes = algebra, school, non_negative
        self._known = not_negative(given, algebra)
        self.now = wrap(given)
        self.end = given
        self._given, self._wrap = given, wrap
        self.moments: list[Moment] = []
        self.techniques: set[str] = set()

    def write(self, line: Expr, says: Says, weight: int = BOARD) -> None:
        self.end = line
        whole = self._wrap(line)
        if whole != self.now:
            self.now = whole
            self.moments.append(Moment(whole, says, weight))

    def is_safe(self, polynomial: Any) -> bool:
        return self._assumes or polynomial in self._known

    def work(self) -> None:
        """Write all lines.

        Raises:
            OutOfScope: it is of a kind that is not worked.
        """
        given = self._given
        if isinstance(given, Sum) and any(has_root_below(term.body) for term in given.terms):
            given = self._terms_first(given)
        match given:
            case Root(2, Quotient(top, bottom, _)) if self._may_both_be_negative(top, bottom):
                self._stretched(top, bottom)
                return
            case Root(index, Quotient(top, bottom, _)):
                given = Quotient(Root(index, top), Root(index, bottom))
                says = ROOT_OF_QUOTIENT_SPLIT()
                self.write(given, says)
        if isinstance(given, Quotient) and has_root_below(given):
            RootBelow(self).write(given)
            return
        self.sum(roots_of_tree(given, self.algebra), _itself, is_given=True)

    def _may_both_be_negative(self, top: Expr, bottom: Expr) -> bool:
        """Whether the root of a quotient has a value where those of top and bottom have none."""
        if self._assumes:
            return False
        for side in (top, bottom):
            try:
                _, factors = self.algebra.factored(self.algebra.function(side).numerator)
            except (NotRational, Undefined):
                return False
            odd = [f.polynomial for f, power in factors if power % 2]
            if not odd or all(self.is_safe(polynomial) for polynomial in odd):
                return False
        return True

    def _stretched(self, top: Expr, bottom: Expr) -> None:
        """Make the denominator under a square root a square: its root is an absolute value."""
        above = self.algebra.function(build.product((top, bottom))).numerator
        number, factors = integer_factors(above, self.algebra)
        inside = product_tree(int(number), factors, self.algebra)
        says = MAKE_SQUARE_BELOW(bottom)
        self.write(Root(2, Quotient(inside, Power(bottom, Number("2")))), says)
        says = ROOT_OF_SQUARE_ABSOLUTE(bottom)
        root: Expr = Root(2, inside)
        self.write(Quotient(root, Absolute(bottom)), says)
        simpler = Radicals(
            root, self.school, self.algebra, self._assumes,
            lambda part: self._wrap(Quotient(part, Absolute(bottom))),
        )  # fmt: skip
        simpler.now = self.now
        simpler.work()
        self.moments += simpler.moments
        self.end, self.now = Quotient(simpler.end, Absolute(bottom)), simpler.now

    def _terms_first(self, given: Sum) -> Expr:
        """Take the roots out of the denominators, term by term."""
        terms = list(given.terms)
        for place, term in enumerate(terms):
            if not has_root_below(term.body):
                continue

            def inside(new: Expr, place: int = place, term: Term = term) -> Expr:
                changed = [*terms[:place], build.as_term(new, term.sign), *terms[place + 1 :]]
                return self._wrap(build.add(*(build.total((t,)) for t in changed)))

            part = Radicals(term.body, self.school, self.algebra, self._assumes, inside)
            part.work()
            self.moments += part.moments
            self.techniques |= part.techniques
            terms[place] = build.as_term(part.end, term.sign)
        self.end = build.add(*(build.total((term,)) for term in terms))
        self.now = self._wrap(self.end)
        return self.end

    def sum(self, value: Roots, wrap: Wrap, is_given: bool = False) -> Roots:
        """Multiply, split, take out, collect; *wrap* writes the part into the whole."""
        if is_given and _multiplies(self._given):
            self._multiplied(value, wrap)
        elif is_given and any(
            isinstance(p, Root) and isinstance(p.radicand, Quotient) for p in parts(self._given)
        ):
            says = MAKE_POWER_BELOW()
            self.write(wrap(value.tree()), says)
        simplest = value.simplest(self.is_safe)
        if simplest != value:
            self.techniques.add(LARGEST)
            line = value.tree(
                lambda inside: (
                    split(inside, value.index, self.algebra, self.school == PRIMES)
                    if self._opens(inside, value.index)
                    else inside.tree(self.algebra)
                )
            )
            says = self._split_says(value)
            is_exact = all(t.inside == ONE for t in simplest.terms) and not self.algebra.names
            weight = RIDES_ALONG if is_exact else BOARD
            self.write(wrap(line), says, weight)
            is_absolute = any(term.absolute for term in simplest.terms)
            says = (TAKE_OUT_ABSOLUTE if is_absolute else TAKE_OUT)(_ordinal(value.index))
            value = simplest
            self.write(wrap(value.tree()), says)
        if value.collected() != value:
            terms, value = value.tree(), value.collected()
            is_one = len(value.terms) == 1
            says = LIKE_RADICALS_IS(terms, value.tree()) if is_one else ADD_COEFFICIENTS()
            self.write(wrap(value.tree()), says, KEY)
        return value

    def _multiplied(self, value: Roots, wrap: Wrap) -> None:
        """Multiply roots; a sum squared is written twice, then every term is multiplied by every term."""
        given = self._given
        if (
            isinstance(given, Power)
            and isinstance(given.base, Sum)
            and given.exponent == Number("2")
        ):
            self.write(wrap(build.product((given.base, given.base))), WRITE_POWER_AS_PRODUCT())
        if any(isinstance(part, Sum) for part in parts(given)):
            says = EVERY_TERM_BY_EVERY_TERM()
        else:
            says = ROOT_TIMES_ITSELF() if _is_root_squared(given) else UNDER_ONE_ROOT()
        self.write(wrap(value.tree()), says)

    def _opens(self, inside: Product, index: int) -> bool:
        outside, absolute, _ = taken_out(inside, index, self.is_safe)
        return outside != ONE or bool(absolute)

    def _split_says(self, value: Roots) -> Says:
        said: list[Says] = []
        kind = _ordinal(value.index)
        for term in value.terms:
            inside = term.inside
            if not self._opens(inside, value.index):
                continue
            number = inside.tree(self.algebra)
            outside, rest = power_part(abs(inside.number), value.index)
            if self.school == PRIMES:
                said.append(IN_PRIMES(number, value.index))
            elif [n for _, n in inside.factors] == [value.index] and abs(inside.number) == 1:
                polynomial = polynomial_tree(inside.polynomial(self.algebra), self.algebra)
                root = polynomial_tree(inside.factors[0][0], self.algebra)
                said.append(IS_A_POWER(polynomial, kind, root))
            elif inside.factors:
                written = split(inside, value.index, self.algebra, in_primes=False)
                said.append(POWERS_FIRST(number, written, kind))
            elif rest == 1:
                said.append(IS_A_POWER(number, kind, outside))
            else:
                power = outside**value.index
                said.append(LARGEST_POWER_FACTOR(number, power, rest, kind))
        return in_order(said)


def _is_root_squared(given: Expr) -> bool:
    match given:
        case ProductNode((Root(2, inside), Root(2, other)), _):
            return inside == other
        case Power(Root(2), Number("2")):
            return True
        case _:
            return False


def _multiplies(given: Expr) -> bool:
    """Whether roots are multiplied in *given*."""
    for part in parts(given):
        if isinstance(part, ProductNode):
            held = [f for f in part.factors if any(isinstance(p, Root) for p in parts(f))]
            if len(held) > 1 or any(isinstance(f, Sum) for f in held):
                return True
        if isinstance(part, Power) and any(isinstance(p, Root) for p in parts(part.base)):
            return True
    return False


def _ordinal(index: int) -> str:
    return index_name(index) if index < 4 else f"{index_name(index)} power"


@lru_cache(maxsize=64)
def worked(start: Expr, school: str, non_negative: bool) -> Radicals:
    """Return the worked expression.

    Raises:
        OutOfScope: it is of a kind that is not worked.
    """
    found = Radicals(start, school, ring_of(start), non_negative)
    found.work()
    return found
