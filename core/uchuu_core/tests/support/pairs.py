"""Random pairs of expressions: equal by laws applied at random places, or damaged at one place.

The laws here are written down anew, without the product's own: they test it.
"""

import random
from collections.abc import Callable
from typing import Any

from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Absolute,
    Bracket,
    Expr,
    Number,
    Power,
    Product,
    Quotient,
    Root,
    Signed,
    Sum,
    Symbol,
    Term,
)
from uchuu_core.tree.paths import replace_at, walk

Chance = random.Random
_TWO, _HALF = Number("2"), Quotient(Number("1"), Number("2"))


def _number(chance: Chance) -> Expr:
    return Number(str(chance.choice([1, 2, 2, 3, 3, 4, 5, 6, 8, 9, 12, 18, 27, 50])))


def expression(chance: Chance, names: tuple[str, ...], depth: int = 3) -> Expr:
    """Return an expression as school has them: sums, products, fractions, roots, exponents."""
    if depth == 0 or chance.random() < 0.15:
        return Symbol(chance.choice(names)) if names and chance.random() < 0.6 else _number(chance)

    def part() -> Expr:
        return expression(chance, names, depth - 1)

    match chance.randrange(13):
        case 0 | 1 | 2 | 3:
            signs = [chance.choice("+-") for _ in range(chance.choice([2, 2, 3]))]
            return Sum(tuple(Term(sign, part()) for sign in signs))  # type: ignore[arg-type]
        case 4 | 5:
            return Product((part(), part()), ("*",))
        case 6 | 7:
            return Quotient(part(), part())
        case 8:
            return Power(part(), Number(str(chance.choice([2, 2, 3]))))
        case 9:
            return Root(chance.choice([2, 2, 2, 3]), part())
        case 10:
            exponent = Quotient(Number(str(chance.choice([1, 2, 3]))), Number(chance.choice("23")))
            return Power(Symbol(chance.choice(names)) if names else _number(chance), exponent)
        case 11:
            return Absolute(part())
        case _:
            if not names:
                return Root(2, part())
            linear = Sum((Term("+", Symbol(chance.choice(names))), Term("-", _number(chance))))
            return Power(Number(chance.choice(["2", "3", "4", "6", "9"])), linear)


# laws: each returns an equal expression (wherever both have a value), or None where it does not fit


def _commuted(node: Expr, chance: Chance) -> Expr | None:
    if isinstance(node, Sum):
        return Sum(tuple(chance.sample(node.terms, len(node.terms))))
    if isinstance(node, Product):
        return Product(node.factors[::-1], node.joins)
    return None


def _distributed(node: Expr, chance: Chance) -> Expr | None:
    if isinstance(node, Product) and isinstance(node.factors[-1], Sum) and len(node.factors) == 2:
        first = node.factors[0]
        terms = node.factors[1].terms  # type: ignore[union-attr]
        return Sum(tuple(Term(t.sign, Product((first, t.body), ("*",))) for t in terms))
    return None


def _squared(node: Expr, chance: Chance) -> Expr | None:
    if isinstance(node, Power) and node.exponent == _TWO:
        return Product((node.base, node.base), ("*",))
    return None


def _times_one(node: Expr, chance: Chance) -> Expr:
    other = Number(chance.choice("235"))
    return Quotient(Product((node, other), ("*",)), other)


def _plus_nothing(node: Expr, chance: Chance) -> Expr:
    other = Root(2, Number("2")) if isinstance(node, Root) else _number(chance)
    return Sum((Term("+", node), Term("+", other), Term("-", other)))


def _root_as_power(node: Expr, chance: Chance) -> Expr | None:
    if isinstance(node, Root):
        return Power(node.radicand, Quotient(Number("1"), Number(str(node.index))))
    return None


def _root_of_square(node: Expr, chance: Chance) -> Expr | None:
    if isinstance(node, Absolute):
        return Root(2, Power(node.body, _TWO))
    return None


def _square_out_of_root(node: Expr, chance: Chance) -> Expr | None:
    if isinstance(node, Root) and isinstance(node.radicand, Number):
        for factor in (3, 2):
            whole = int(node.radicand.text)
            if whole % factor**node.index == 0:
                rest = Number(str(whole // factor**node.index))
                return Product((Number(str(factor)), Root(node.index, rest)), ("*",))
    return None


def _conjugate(node: Expr, chance: Chance) -> Expr | None:
    """1/(a + √b) = (a - √b)/(a² - b)."""
    if not (isinstance(node, Quotient) and isinstance(node.denominator, Sum)):
        return None
    terms = node.denominator.terms
    root = terms[-1].body
    if len(terms) != 2 or not isinstance(root, Root) or root.index != 2:
        return None
    other = Sum((terms[0], Term("-" if terms[1].sign == "+" else "+", root)))
    square = Sum((Term("+", Power(terms[0].body, _TWO)), Term("-", root.radicand)))
    return Quotient(Product((node.numerator, other), ("*",)), square)


def _base_split(node: Expr, chance: Chance) -> Expr | None:
    if isinstance(node, Power) and node.base in (Number("4"), Number("9")):
        base = Number("2") if node.base == Number("4") else Number("3")
        return Power(base, Product((_TWO, node.exponent), ("*",)))
    return None


def _exponent_split(node: Expr, chance: Chance) -> Expr | None:
    if isinstance(node, Power) and isinstance(node.exponent, Sum):
        return build.product(
            Power(node.base, Signed("-", t.body) if t.sign == "-" else t.body)
            for t in node.exponent.terms
        )
    return None


def _by_reciprocal(node: Expr, chance: Chance) -> Expr | None:
    if isinstance(node, Quotient):
        return Product((node.numerator, Power(node.denominator, Signed("-", Number("1")))), ("*",))
    return None


def _divided_through(node: Expr, chance: Chance) -> Expr | None:
    if isinstance(node, Quotient) and isinstance(node.numerator, Sum):
        terms = node.numerator.terms
        return Sum(tuple(Term(t.sign, Quotient(t.body, node.denominator)) for t in terms))
    return None


def _turned_difference(node: Expr, chance: Chance) -> Expr | None:
    if isinstance(node, Sum):
        opposite = tuple(Term("-" if t.sign == "+" else "+", t.body) for t in node.terms)
        return Signed("-", Sum(opposite))
    return None


def _bracketed(node: Expr, chance: Chance) -> Expr:
    return Bracket(node)


LAWS: tuple[Callable[[Any, Chance], Any], ...] = (
    _commuted,
    _distributed,
    _squared,
    _times_one,
    _plus_nothing,
    _root_as_power,
    _root_of_square,
    _square_out_of_root,
    _conjugate,
    _base_split,
    _exponent_split,
    _by_reciprocal,
    _divided_through,
    _turned_difference,
    _bracketed,
)


def rewritten(node: Expr, chance: Chance, steps: int) -> Expr:
    """Return *node* after *steps* random laws at random places."""
    for _ in range(steps):
        places = [(p, part) for p, part in walk(node)]
        for _ in range(12):
            path, part = chance.choice(places)
            new = chance.choice(LAWS)(part, chance)
            if new is not None:
                node = replace_at(node, path, new)  # type: ignore[assignment]
                break
    return node


# damage: what usually, not always, changes the value


def _damaged_part(part: Expr, chance: Chance) -> Expr | None:
    match part:
        case Number(text) if "." not in text:
            return Number(str(int(text) + chance.choice([1, 1, 2])))
        case Sum(terms):
            place = chance.randrange(len(terms))
            term = terms[place]
            if chance.random() < 0.5 and len(terms) > 2:
                return Sum(terms[:place] + terms[place + 1 :])
            turned = Term("-" if term.sign == "+" else "+", term.body)
            return Sum((*terms[:place], turned, *terms[place + 1 :]))
        case Absolute(body):
            return body
        case Root(2, radicand):
            return Root(3, radicand)
        case Root(_, Sum(terms)):
            return Sum(tuple(Term(t.sign, Root(2, t.body)) for t in terms))
        case Power(Sum(terms), exponent):
            return Sum(tuple(Term(t.sign, Power(t.body, exponent)) for t in terms))
        case Quotient(numerator, denominator, _):
            return Quotient(denominator, numerator)
        case Product(factors, _):
            return factors[0]
        case _:
            return None


def damaged(node: Expr, chance: Chance) -> Expr:
    """Return *node* with one place changed as a slip would change it."""
    places = [(p, part) for p, part in walk(node)]
    for _ in range(30):
        path, part = chance.choice(places)
        new = _damaged_part(part, chance)
        if new is not None:
            return replace_at(node, path, new)  # type: ignore[return-value]
    return build.add(node, Number("1"))


def pair(seed: int) -> tuple[Expr, Expr, tuple[str, ...]]:
    """Return two expressions and their letters; every other pair is damaged."""
    chance = random.Random(seed)
    names = chance.choice([(), ("x",), ("x",), ("x", "y")])
    one = expression(chance, names, chance.choice([2, 3]))
    other = rewritten(one, chance, chance.choice([1, 2, 3]))
    if seed % 2:
        other = damaged(other, chance)
    return one, other, names
