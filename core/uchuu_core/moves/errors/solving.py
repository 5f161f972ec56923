"""Errors in rational, radical and exponential equations."""

from collections.abc import Iterator
from fractions import Fraction
from math import lcm

from uchuu_core.moves.conditions import Different, Nonzero, NotNumeral, Numeral, numeral
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.moves.move import Common, Effect, Example, Move, Rewrite, error_on_line
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Number, Power, Quotient, Relation, Root, Sum, Term
from uchuu_core.tree.paths import letters

TWO = Number("2")

CROSS_STRAIGHT = Move(
    key="rateq-cross-straight",
    effect=Effect.WRONG,
    rewrites=(Rewrite("a/b = c/d", "a*c = b*d"),),
    examples=(Example("4/x=3/(x-2)", "4*3=x(x-2)"),),
    refuses=("4=x",),
    common=Common.NOW_AND_THEN,
)
NUMERATORS_EQUATED = Move(
    key="rateq-numerators-equated",
    effect=Effect.WRONG,
    rewrites=(Rewrite("a/b = c/d", "a = c", (Different("b", "d"),)),),
    examples=(Example("8/(x+1)=x/3", "8=x"),),
    refuses=("8/x=3/x",),
)
CROSS_SUM = Move(
    key="rateq-cross-multiplied-sum",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a/x + b/y = c", "a*y + b*x = c", (Nonzero("c"),)),
        Rewrite("a/x - b/y = c", "a*y - b*x = c", (Nonzero("c"),)),
    ),
    examples=(Example("3/x+1/2=2", "3*2+1*x=2"),),
    refuses=("3/x=2",),
)
FLIPPED_TERMWISE = Move(
    key="rateq-flipped-termwise",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("1/x + 1/a = 1/b", "x + a = b"),
        Rewrite("1/x - 1/a = 1/b", "x - a = b"),
        Rewrite("a/b + c/d = e/f", "b/a + d/c = f/e"),
        Rewrite("a/b - c/d = e/f", "b/a - d/c = f/e"),
        Rewrite("1/x + 1/a = b", "x + a = 1/b"),
    ),
    examples=(Example("1/x+1/6=1/2", "x+6=2"),),
    refuses=("1/x=1/2",),
    common=Common.NOW_AND_THEN,
)


def _below(term: Term) -> Expr | None:
    body = term.body
    return body.denominator if isinstance(body, Quotient) and letters(body.denominator) else None


def _term_missed(line: Line) -> Iterator[Line]:
    """Multiply the fractions by a denominator with the unknown, and not all other terms."""
    if not isinstance(line, Relation) or line.sign != "=":
        return
    sides = [build.terms_of(line.left), build.terms_of(line.right)]
    every = [(n, k) for n in (0, 1) for k in range(len(sides[n]))]
    below = [b for side in sides for term in side if (b := _below(term)) is not None]
    split = [coefficient_and_rest(each) for each in below]
    factors = list(dict.fromkeys(rest for _, rest in split))
    number = (
        lcm(*(int(size) for size, _ in split)) if all(s.denominator == 1 for s, _ in split) else 1
    )
    free = [
        (n, k)
        for n, k in every
        if _below(sides[n][k]) is None and sides[n][k].body != build.ZERO  # 0 times anything is 0
    ]
    if not free or len(free) == len(every) or len(factors) > 2:
        return
    for mask in range(1, 2 ** len(free)):
        missed = {free[n] for n in range(len(free)) if mask >> n & 1}
        new: list[list[Term]] = [[], []]
        for n, k in every:
            term = sides[n][k]
            body = term.body
            size, own = coefficient_and_rest(_below(term) or build.ONE)
            rest = [factor for factor in factors if factor != own]
            if number != size:
                rest.insert(0, build.number(number / size))
            if (n, k) in missed or body == build.ZERO:
                new[n].append(term)
                continue
            if isinstance(body, Quotient) and (n, k) not in free:
                body = body.numerator
            new[n].append(build.as_term(build.product((*rest, body)), term.sign))
        yield Relation(build.total(new[0]), "=", build.total(new[1]))


LCD_MISSED = error_on_line(
    "rateq-lcd-missed-term",
    _term_missed,
    "6/x+1=4",
    "6+1=4x",
    "6x+1=4",
    common=Common.IN_EVERY_CLASS,
)


def _roots(line: Line) -> Iterator[tuple[Fraction, Root, list[Term], Expr]]:
    """Yield coefficient, root, the other terms of its side, and the other side."""
    if not isinstance(line, Relation) or line.sign != "=":
        return
    for side, other in ((line.left, line.right), (line.right, line.left)):
        terms = build.terms_of(side)
        for place, term in enumerate(terms):
            number, body = coefficient_and_rest(term.body)
            if isinstance(body, Root) and body.index == 2 and letters(body):
                rest = [*terms[:place], *terms[place + 1 :]]
                yield (-number if term.sign == "-" else number), body, rest, other


def _square(node: Expr) -> Expr:
    value = numeral(node)
    if value is not None:
        return build.number(value * value)
    return node.radicand if isinstance(node, Root) and node.index == 2 else Power(node, TWO)


def _squared_terms(terms: list[Term]) -> list[Term]:
    found = []
    for term in terms:
        number, rest = coefficient_and_rest(term.body)
        body = build.number(number * number) if rest == build.ONE else None
        if body is None:
            squared = rest.radicand if isinstance(rest, Root) else Power(rest, TWO)
            body = build.times(number * number, squared)
        found.append(Term(term.sign, body))
    return found


def _squared_termwise(line: Line) -> Iterator[Line]:
    for number, root, rest, other in _roots(line):
        inside = build.times(number * number, root.radicand)
        left = build.add(inside, build.total(_squared_terms(rest)))
        right = build.total(_squared_terms(list(build.terms_of(other))))
        if rest or isinstance(other, Sum):
            yield Relation(left, "=", right)
            if rest:
                minus = [Term("-" if t.sign == "+" else "+", t.body) for t in _squared_terms(rest)]
                yield Relation(build.add(inside, build.total(minus)), "=", right)


def _not_isolated(line: Line) -> Iterator[Line]:
    for number, root, rest, other in _roots(line):
        if rest:
            inside = build.times(number * number, root.radicand)
            yield Relation(build.add(inside, build.total(rest)), "=", _square(other))


def _one_side_squared(line: Line) -> Iterator[Line]:
    for number, root, rest, other in _roots(line):
        if number == 1 and not rest:
            yield Relation(root.radicand, "=", other)
            value = numeral(other)
            if value is not None:
                yield Relation(root.radicand, "=", build.number(2 * value))
                yield Relation(root.radicand, "=", build.number(value**3))
    if isinstance(line, Relation) and line.sign == "=":
        for side, other in ((line.left, line.right), (line.right, line.left)):
            if isinstance(side, Root) and side.index > 2 and letters(side):
                yield from _raised_wrongly(side, other)


def _raised_wrongly(root: Root, other: Expr) -> Iterator[Line]:
    """Remove a higher root and raise the other side to no power, to another, or times the index."""
    value = numeral(other)
    yield Relation(root.radicand, "=", other)
    yield Relation(root.radicand, "=", build.product((Number(str(root.index)), other)))
    for power in (2, 3):
        if power != root.index:
            raised = Power(other, Number(str(power)))
            yield Relation(
                root.radicand, "=", raised if value is None else build.number(value**power)
            )


def _coefficient_not_squared(line: Line) -> Iterator[Line]:
    for number, root, rest, other in _roots(line):
        if number != 1 and not rest:
            yield Relation(build.times(number, root.radicand), "=", _square(other))


SQUARED_TERMWISE = error_on_line(
    "radical-eq-squared-termwise",
    _squared_termwise,
    "sqrt(x+7)=x-5",
    "x+7=x^2-25",
    "x+7=5",
    common=Common.IN_EVERY_CLASS,
)
NOT_ISOLATED = error_on_line(
    "radical-eq-not-isolated",
    _not_isolated,
    "sqrt(x)+3=7",
    "x+3=49",
    "sqrt(x)=7",
    common=Common.IN_EVERY_CLASS,
)
ONE_SIDE_SQUARED = error_on_line(
    "radical-eq-one-side-squared",
    _one_side_squared,
    "sqrt(2x+1)=5",
    "2x+1=5",
    "2x+1=5",
    may_be_luck=False,
)
COEFFICIENT_NOT_SQUARED = error_on_line(
    "radical-eq-coefficient-not-squared",
    _coefficient_not_squared,
    "3sqrt(x)=12",
    "3x=144",
    "sqrt(x)=12",
    common=Common.NOW_AND_THEN,
)
UNLIKE_BASES = Move(
    key="expeq-unlike-bases-equated",
    effect=Effect.WRONG,
    rewrites=(Rewrite("a^x = b^n", "x = n", (Numeral("a"), Numeral("b"), Different("a", "b"))),),
    examples=(Example("9^x=3^6", "x=6"),),
    refuses=("3^x=3^6",),
)
DIVIDES_BY_BASE = Move(
    key="expeq-divides-by-base",
    effect=Effect.WRONG,
    rewrites=(Rewrite("a^x = b", "x = b/a", (Numeral("a"), Numeral("b"), NotNumeral("x"))),),
    examples=(Example("2^x=32", "x=32/2"),),
    refuses=("x^2=32",),
)


def _sum_of_powers(line: Line) -> Iterator[Line]:
    """Add the exponents of powers that are added."""
    if not isinstance(line, Relation) or line.sign != "=":
        return
    totals: list[Expr] = []
    bases = set()
    for side in (line.left, line.right):
        exponents = []
        for term in build.terms_of(side):
            if term.sign != "+" or not isinstance(term.body, Power):
                return
            bases.add(term.body.base)
            exponents.append(term.body.exponent)
        totals.append(build.add(*exponents))
    if len(bases) == 1 and (isinstance(line.left, Sum) or isinstance(line.right, Sum)):
        yield Relation(totals[0], "=", totals[1])


EXPONENTS_ADDED = error_on_line(
    "expeq-exponents-added-from-sum",
    _sum_of_powers,
    "2^x+2^3=2^4",
    "x+3=4",
    "2^x=2^4",
    common=Common.NOW_AND_THEN,
)


def _negative_value(line: Line) -> Iterator[Line]:
    """Carry the minus of the value into the exponent: ``2^x = −8`` becomes ``x = −3``."""
    match line:
        case Relation(Power(base, exponent), "=", right):
            b, value = numeral(base), numeral(right)
            if b is not None and value is not None and b > 1 and value < 0:
                for power in range(13):
                    if b**power == -value:
                        yield Relation(exponent, "=", build.number(-power))


NEGATIVE_VALUE = error_on_line(
    "expeq-negative-as-negative-exponent",
    _negative_value,
    "2^x=-8",
    "x=-3",
    "2^x=8",
    common=Common.NOW_AND_THEN,
)
ONE_AS_EXPONENT = Move(
    key="expeq-one",
    effect=Effect.WRONG,
    rewrites=(Rewrite("a^x = 1", "x = 1", (Numeral("a"), NotNumeral("x"))),),
    examples=(Example("10^x=1", "x=1"),),
    refuses=("10^x=10",),
    common=Common.NOW_AND_THEN,
)
SUM_ON_THE_LINE = Move(
    key="expeq-sum-leaves-exponent",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a^(x+b)", "a^x + b", (Numeral("a"), Numeral("b"), NotNumeral("x"))),
        Rewrite("a^(x+b)", "a^x + a^b", (Numeral("a"), Numeral("b"), NotNumeral("x"))),
    ),
    examples=(Example("3^(x+1)=9", "3^x+1=9"), Example("3^(x+1)=9", "3^x+3^1=9")),
    refuses=("3^(2x)=9",),
    common=Common.NOW_AND_THEN,
)


def _reciprocal(line: Line) -> Iterator[Line]:
    match line:
        case Relation(Power(Quotient(Number("1"), below), exponent), "=", right):
            yield Relation(Power(below, exponent), "=", right)
    match line:
        case Relation(Power(base, exponent), "=", Quotient(Number("1"), below, _)):
            b, value = numeral(base), numeral(below)
            if isinstance(below, Power) and below.base == base:
                yield Relation(exponent, "=", below.exponent)
            if b is not None and value is not None and b > 1:
                for power in range(1, 13):
                    if b**power == value:
                        yield Relation(exponent, "=", Number(str(power)))


RECIPROCAL_SIGN = error_on_line(
    "expeq-reciprocal-sign-lost",
    _reciprocal,
    "5^x=1/25",
    "x=2",
    "5^x=25",
    common=Common.NOW_AND_THEN,
)

ERRORS = (
    LCD_MISSED,
    CROSS_SUM,
    CROSS_STRAIGHT,
    NUMERATORS_EQUATED,
    FLIPPED_TERMWISE,
    SQUARED_TERMWISE,
    NOT_ISOLATED,
    ONE_SIDE_SQUARED,
    COEFFICIENT_NOT_SQUARED,
    UNLIKE_BASES,
    DIVIDES_BY_BASE,
    EXPONENTS_ADDED,
    RECIPROCAL_SIGN,
    NEGATIVE_VALUE,
    ONE_AS_EXPONENT,
    SUM_ON_THE_LINE,
)
