"""Laws of like terms, distributing and expanding."""

from collections.abc import Iterator
from fractions import Fraction
from functools import lru_cache
from math import gcd

from uchuu_core import limits
from uchuu_core.lawbook.expanding import (
    COLLECT_TERMS,
    DIVIDE_EVERY_TERM_OF_TOP,
    EVERY_TERM_BY_EVERY_TERM_OF,
    MINUS_CHANGES_SIGNS_IN,
    MULTIPLY_EVERY_TERM_OF,
    SQUARE_HAS_MIDDLE_TERM,
    WRITE_POWER_AS_PRODUCT,
)
from uchuu_core.moves.conditions import numeral
from uchuu_core.moves.laws.arithmetic import written
from uchuu_core.moves.move import Example, Move, Rewrite
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Expr,
    Line,
    Number,
    Power,
    Product,
    Quotient,
    Signed,
    Sum,
    Symbol,
    Term,
)
from uchuu_core.tree.paths import walk


@lru_cache(maxsize=8192)
def coefficient_and_rest(node: Expr) -> tuple[Fraction, Expr]:
    """Split a term into its number factor and the rest (1 when it is a plain number)."""
    value = numeral(node)
    if value is not None:
        return value, build.ONE
    match node:
        case Signed("-", body):
            number, rest = coefficient_and_rest(body)
            return -number, rest
        case Product(factors, _):
            number, others = Fraction(1), []
            for factor in factors:
                value, rest = coefficient_and_rest(factor)
                number *= value
                if rest != build.ONE:
                    others.append(rest)
            return number, build.product(others)
        case Quotient(top, bottom, _) if below := numeral(bottom):
            number, rest = coefficient_and_rest(top)
            return number / below, rest
        case _:
            return Fraction(1), node


def common_number(terms: tuple[Term, ...]) -> int:
    """Return the greatest number that divides every coefficient, 1 where one is no whole number."""
    numbers = [coefficient_and_rest(term.body)[0] for term in terms]
    whole = all(number.denominator == 1 for number in numbers)
    return gcd(*(int(number) for number in numbers)) if whole else 1


def divided_terms(terms: tuple[Term, ...], by: int) -> list[Term]:
    """Return *terms* with their coefficients divided by a number."""
    split = [coefficient_and_rest(term.body) for term in terms]
    return [
        build.as_term(build.times(number / by, rest), term.sign)
        for (number, rest), term in zip(split, terms, strict=True)
    ]


Kind = Expr | frozenset[tuple[str, int]]
"""What two like terms share: letters with their powers, else the part itself."""


def _alike(node: Expr) -> Kind:
    powers: dict[str, int] = {}
    for factor in build.factors_of(node):
        match factor:
            case Symbol(name):
                powers[name] = powers.get(name, 0) + 1
            case Power(Symbol(name), Number() as exponent) if exponent.is_whole:
                powers[name] = powers.get(name, 0) + int(exponent.text)
            case _:
                return node
    return frozenset(powers.items())


def like_terms(node: Sum) -> list[list[Term]]:
    """Return the terms of *node* in groups of like ones, only groups of several."""
    groups: dict[Kind, list[Term]] = {}
    for term in node.terms:
        groups.setdefault(_alike(coefficient_and_rest(term.body)[1]), []).append(term)
    return [group for group in groups.values() if len(group) > 1]


def open_sums(line: Line) -> list[Sum]:
    """Return the sums in *line* that have like terms, numbers among them."""
    return [
        part
        for _, part in walk(line)
        if isinstance(part, Sum)
        and like_terms(part)
        and all(term.sign != "+-" for term in part.terms)
    ]


def collected(node: Sum) -> Expr:
    """Return *node* with like terms joined, each where its first one stood."""
    found: dict[Kind, tuple[Fraction, Expr]] = {}
    for term in node.terms:
        number, rest = coefficient_and_rest(term.body)
        number = number if term.sign == "+" else -number
        kind = _alike(rest)
        before, first = found.get(kind, (Fraction(0), rest))
        found[kind] = (before + number, first)
    terms = [
        build.as_term(_scaled(number, rest, node)) for number, rest in found.values() if number
    ]
    return build.total(terms)


def _scaled(number: Fraction, rest: Expr, like: Line) -> Expr:
    """Write a number times the rest, decimals kept where the line has them."""
    shown = written(abs(number), like)
    if rest == build.ONE or not isinstance(shown, Number) or shown.is_whole:
        return build.times(number, rest) if rest != build.ONE else written(number, like)
    product = build.product((shown, rest))
    return build.negative(product) if number < 0 else product


def _collect(part: Line) -> Iterator[Line]:
    if isinstance(part, Sum) and all(term.sign != "+-" for term in part.terms):
        new = collected(part)
        if new != part and len(build.terms_of(new)) < len(part.terms):
            yield new


def term_product(left: Expr, right: Expr) -> Expr:
    """Multiply two single terms: numbers together, powers of one letter together."""
    a, first = coefficient_and_rest(left)
    b, second = coefficient_and_rest(right)
    rest = [f for f in (*build.factors_of(first), *build.factors_of(second)) if f != build.ONE]
    return _scaled(a * b, joined_powers(rest), build.product((left, right)))


def joined_powers(factors: list[Expr]) -> Expr:
    """Return the product of *factors* with powers of one base joined, where first met."""
    powers: dict[Expr, int] = {}
    for factor in factors:
        match factor:
            case Power(base, Number() as exponent) if exponent.is_whole:
                powers[base] = powers.get(base, 0) + int(exponent.text)
            case _:
                powers[factor] = powers.get(factor, 0) + 1
    return build.product(
        base if count == 1 else Power(base, Number(str(count))) for base, count in powers.items()
    )


def multiplied_out(node: Product) -> Expr | None:
    """Return a product with its last bracket multiplied by what stands before it.

    None when there is no bracket, or when it would be longer than ``limits.WRITTEN_TERMS``.
    """
    sums = [n for n, factor in enumerate(node.factors) if isinstance(factor, Sum)]
    if not sums:
        return None
    if len(sums) == 1:
        outside = build.product(f for n, f in enumerate(node.factors) if n != sums[0])
        inside = node.factors[sums[0]]
        assert isinstance(inside, Sum)
        if len(inside.terms) > limits.WRITTEN_TERMS:
            return None
        return _spread((Term("+", outside),), inside.terms)
    first, second = node.factors[sums[0]], node.factors[sums[1]]
    assert isinstance(first, Sum) and isinstance(second, Sum)
    if len(first.terms) * len(second.terms) > limits.WRITTEN_TERMS:
        return None
    new = _spread(first.terms, second.terms)
    rest = [f for n, f in enumerate(node.factors) if n not in sums[:2]]
    return build.product((*rest, new)) if rest else new


def _spread(left: tuple[Term, ...], right: tuple[Term, ...]) -> Expr:
    terms = []
    for a in left:
        for b in right:
            new = build.as_term(term_product(a.body, b.body))
            sign = new.sign if a.sign == b.sign else build.OPPOSITE[new.sign]
            terms.append(Term(sign, new.body))
    return build.total(terms)


def _into_bracket(part: Line) -> Iterator[Line]:
    if isinstance(part, Product) and sum(isinstance(f, Sum) for f in part.factors) == 1:
        new = multiplied_out(part)
        if new is not None:
            yield new


def _brackets(part: Line) -> Iterator[Line]:
    if isinstance(part, Product) and sum(isinstance(f, Sum) for f in part.factors) > 1:
        new = multiplied_out(part)
        if new is not None:
            yield new


def _minus_into_bracket(part: Line) -> Iterator[Line]:
    match part:
        case Signed("-", Sum(terms)):
            yield build.total(Term(build.OPPOSITE[t.sign], t.body) for t in terms)


def _shared_denominator(part: Line) -> Iterator[Line]:
    """Give each term of a numerator its own fraction, numbers divided out."""
    match part:
        case Quotient(Sum(terms), below, "/") if divisor := numeral(below):
            new = []
            for term in terms:
                number, rest = coefficient_and_rest(term.body)
                scaled = _scaled(number / divisor, rest, part)
                new.append(build.as_term(scaled, term.sign))
            yield build.total(new)


COLLECT = Move(
    key="collect-like-terms",
    says=COLLECT_TERMS,
    function=_collect,
    examples=(Example("9k+7-8k", "k+7"), Example("2x+3-2x", "3"), Example("0.5x+0.2x", "0.7x")),
    refuses=("9k+7", "x^2+x"),
)
INTO_BRACKET = Move(
    key="multiply-into-bracket",
    says=MULTIPLY_EVERY_TERM_OF,
    function=_into_bracket,
    examples=(Example("4(x+5)", "4x+20"), Example("2x(x-3)", "2x^2-6x")),
    refuses=("4x", "(x+1)(x+2)"),
)
MINUS_INTO_BRACKET = Move(
    key="take-minus-into-bracket",
    says=MINUS_CHANGES_SIGNS_IN,
    function=_minus_into_bracket,
    examples=(Example("9-(x-4)", "9-x+4"), Example("-(x+1)", "-x-1")),
    refuses=("9+(x-4)",),
)
MULTIPLY_BRACKETS = Move(
    key="multiply-brackets",
    says=EVERY_TERM_BY_EVERY_TERM_OF,
    function=_brackets,
    examples=(Example("(x+4)(x+7)", "x^2+7x+4x+28"), Example("(x+9)(x-9)", "x^2-9x+9x-81")),
    refuses=("4(x+7)",),
)
SQUARE_BINOMIAL = Move(
    key="square-binomial",
    says=SQUARE_HAS_MIDDLE_TERM,
    rewrites=(Rewrite("(a+b)^2", "a^2 + 2*a*b + b^2"),),
    examples=(Example("(x+7)^2", "x^2+2x*7+7^2"),),
    refuses=("(7x)^2",),
)
POWER_AS_PRODUCT = Move(
    key="power-as-product",
    says=WRITE_POWER_AS_PRODUCT,
    rewrites=(Rewrite("a^2", "a*a"), Rewrite("a^3", "a*a*a")),
    examples=(Example("(y+4)^2", "(y+4)(y+4)"),),
    refuses=("y^4",),
)
SPLIT_FRACTION = Move(
    key="divide-each-term",
    says=DIVIDE_EVERY_TERM_OF_TOP,
    function=_shared_denominator,
    examples=(Example("(6x+4)/2", "3x+2"), Example("(x-1)/3", "x/3-1/3")),
    refuses=("2/(x+1)", "(2x)/3"),
)

LAWS = (
    COLLECT,
    INTO_BRACKET,
    MINUS_INTO_BRACKET,
    MULTIPLY_BRACKETS,
    SQUARE_BINOMIAL,
    POWER_AS_PRODUCT,
    SPLIT_FRACTION,
)
