"""Typst mathematics (what stands between ``$`` signs), for printed pages."""

from uchuu_core.notation.brackets import Place, needs
from uchuu_core.notation.decorating import decorated
from uchuu_core.notation.units import is_unit
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

_RELATIONS = {"=": "=", "!=": "!=", "<": "<", ">": ">", "<=": "<=", ">=": ">="}
_SIGNS = {"+": "+", "-": "-", "+-": "plus.minus"}


def typst(line: Line) -> str:
    """Write *line* in Typst's mathematics."""
    match line:
        case Relation(left, sign, right):
            return f"{typst(left)} {_RELATIONS[sign]} {typst(right)}"
        case Chain(sides):
            return " = ".join(typst(side) for side in sides)
        case Either(options, _):
            word = ' " or " ' if line.is_or else ", "
            return word.join(typst(option) for option in options)
        case ValueSet(members):
            return "{" + ", ".join(typst(member) for member in members) + "}"
        case AllExcept(members):
            return '"all real numbers except " ' + ", ".join(typst(m) for m in members)
        case Coordinates(x, y):
            return "(" + typst(x) + ", " + typst(y) + ")"
        case Interval(low, high):
            start = "-infinity" if low is None else typst(low)
            end = "infinity" if high is None else typst(high)
            ends = ("[" if line.has_low else "(", "]" if line.has_high else ")")
            return f"lr({ends[0]}{start}, {end}{ends[1]})"
        case Union(members):
            return " union ".join(typst(member) for member in members)
        case Builder(letter, condition):
            return f"{{{typst(letter)} | {typst(condition)}}}"
        case Feature(label, items):
            return f'"{label}: " ' + (", ".join(typst(item) for item in items) or '"none"')
        case Outcome(says):
            return f'"{says}"'
        case _:
            return _expression(line)


def _in(place: Place, node: Expr) -> str:
    text = _expression(node)
    return f"({text})" if needs("latex", place, node) else text


def _expression(node: Expr) -> str:
    return decorated(node, _written(node))


def _written(node: Expr) -> str:
    match node:
        case Number(text):
            return text
        case Mixed(whole, numerator, denominator):
            return f"{whole} frac({numerator}, {denominator})"
        case Symbol("infinity"):
            return "infinity"
        case Symbol(name):
            return f'upright("{name}")' if is_unit(name) else name
        case Signed(sign, body):
            return f"{_SIGNS[sign]} {_in('signed', body)}"
        case Sum(terms):
            first, *rest = terms
            text = ("" if first.sign == "+" else f"{_SIGNS[first.sign]} ") + _in("term", first.body)
            return text + "".join(f" {_SIGNS[t.sign]} {_in('term', t.body)}" for t in rest)
        case Product(factors, joins):
            text = _in("dotted first factor" if joins[0] else "first factor", factors[0])
            for join, factor in zip(joins, factors[1:], strict=True):
                place: Place = "factor" if join else "juxtaposed factor"
                text += (" dot " if join else " ") + _in(place, factor)
            return text
        case Quotient(numerator, denominator, "/"):
            return f"frac({_expression(numerator)}, {_expression(denominator)})"
        case Quotient(numerator, denominator, mark):
            dividend: Place = "dividend" if mark == "÷" else "slash dividend"
            between = "div" if mark == "÷" else "\\/"
            return f"{_in(dividend, numerator)} {between} {_in('divisor', denominator)}"
        case Power(base, exponent):
            return f"{_in('base', base)}^({_expression(exponent)})"
        case Root(2, radicand):
            return f"sqrt({_expression(radicand)})"
        case Root(index, radicand):
            return f"root({index}, {_expression(radicand)})"
        case Absolute(body):
            return f"abs({_expression(body)})"
        case Log(name, base, argument):
            return f"{name}{'' if base is None else f'_{base}'}({_expression(argument)})"
        case Bracket(body):
            return f"({_expression(body)})"
