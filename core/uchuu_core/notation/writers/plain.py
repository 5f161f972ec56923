"""Plain notation; reading it back gives the same tree."""

from uchuu_core.notation.brackets import FUNCTIONS, Place, needs, spells_word
from uchuu_core.tree.nodes import (
    Absolute,
    AllExcept,
    Bracket,
    Builder,
    Chain,
    Coordinates,
    Either,
    Expr,
    Feature,
    Interval,
    Line,
    Log,
    Mixed,
    Number,
    Outcome,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
    Symbol,
    Union,
    ValueSet,
)

_SIGNS = {"+": "+", "-": "-", "+-": "±"}


def plain(line: Line) -> str:
    """Write *line* as a person would type it."""
    match line:
        case Relation(left, sign, right):
            return f"{plain(left)} {sign} {plain(right)}"
        case Chain(sides):
            return " = ".join(plain(side) for side in sides)
        case Either(options, _):
            word = " or " if line.is_or else ", "
            return word.join(plain(option) for option in options)
        case ValueSet(members):
            return "{" + ", ".join(plain(member) for member in members) + "}"
        case AllExcept(members):
            *most, last = (plain(member) for member in members)
            return "all real numbers except " + (f"{', '.join(most)} and {last}" if most else last)
        case Coordinates(x, y):
            return "(" + plain(x) + ", " + plain(y) + ")"
        case Interval(low, high):
            ends = ("-∞" if low is None else plain(low), "∞" if high is None else plain(high))
            return f"{'[' if line.has_low else '('}{', '.join(ends)}{']' if line.has_high else ')'}"
        case Union(members):
            return " ∪ ".join(plain(member) for member in members)
        case Builder(letter, condition):
            return f"{{{plain(letter)} | {plain(condition)}}}"
        case Feature(label, items):
            return f"{label}: " + (", ".join(plain(item) for item in items) or "none")
        case Outcome(says):
            return says
        case _:
            return _expression(line)


def _in(place: Place, node: Expr) -> str:
    text = _expression(node)
    return f"({text})" if needs("plain", place, node) else text


def _expression(node: Expr) -> str:
    match node:
        case Number(text):
            return text
        case Mixed(whole, numerator, denominator):
            return f"{whole} {numerator}/{denominator}"
        case Symbol(name):
            return name
        case Signed(sign, body):
            return _SIGNS[sign] + _in("signed", body)
        case Sum(terms):
            first, *rest = terms
            text = ("" if first.sign == "+" else _SIGNS[first.sign]) + _in("term", first.body)
            return text + "".join(f" {_SIGNS[t.sign]} {_in('term', t.body)}" for t in rest)
        case Product(factors, joins):
            text = _in("dotted first factor" if joins[0] else "first factor", factors[0])
            is_apart = spells_word(factors)
            for join, factor in zip(joins, factors[1:], strict=True):
                part = _in("factor" if join else "juxtaposed factor", factor)
                before_word = text[-1].isalpha() and part.startswith(FUNCTIONS)
                text += (join or (" " if is_apart or before_word else "")) + part
            return text
        case Quotient(numerator, denominator, "/"):
            return f"{_in('numerator', numerator)}/{_in('denominator', denominator)}"
        case Quotient(numerator, denominator, mark):
            dividend: Place = "dividend" if mark == "÷" else "slash dividend"
            between = " ÷ " if mark == "÷" else "∕"
            return f"{_in(dividend, numerator)}{between}{_in('divisor', denominator)}"
        case Power(base, exponent):
            return f"{_in('base', base)}^{_in('exponent', exponent)}"
        case Root(2, radicand):
            return f"sqrt({_expression(radicand)})"
        case Root(3, radicand):
            return f"cbrt({_expression(radicand)})"
        case Root(index, radicand):
            return f"root({index}, {_expression(radicand)})"
        case Absolute(body):
            return f"abs({_expression(body)})"
        case Log(name, base, argument):
            return f"{name}{'' if base is None else f'_{base}'}({_expression(argument)})"
        case Bracket(body):
            return f"({_expression(body)})"
