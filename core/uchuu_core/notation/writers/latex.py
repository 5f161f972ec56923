r"""LaTeX for typesetting; reading it back gives the same tree.

``\left…\right`` only where the content is tall, so that short brackets keep their size.
"""

from uchuu_core.notation.brackets import Place, needs, spells_word
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

_RELATIONS = {"=": "=", "!=": r"\ne ", "<": "<", ">": ">", "<=": r"\le ", ">=": r"\ge "}
_SIGNS = {"+": "+", "-": "-", "+-": r"\pm "}


def latex(line: Line) -> str:
    """Write *line* in LaTeX (math mode)."""
    match line:
        case Relation(left, sign, right):
            return f"{latex(left)}{_RELATIONS[sign]}{latex(right)}"
        case Chain(sides):
            return "=".join(latex(side) for side in sides)
        case Either(options, _):
            word = r"\;\text{ or }\;" if line.is_or else r",\; "
            return word.join(latex(option) for option in options)
        case ValueSet(members):
            return r"\{" + ", ".join(latex(member) for member in members) + r"\}"
        case AllExcept(members):
            listed = ", ".join(latex(member) for member in members)
            return r"\text{all real numbers except }" + listed
        case Coordinates(x, y):
            return r"\left(" + latex(x) + ", " + latex(y) + r"\right)"
        case Interval(low, high):
            start = r"-\infty" if low is None else latex(low)
            end = r"\infty" if high is None else latex(high)
            ends = ("[" if line.has_low else "(", "]" if line.has_high else ")")
            return rf"\left{ends[0]}{start}, {end}\right{ends[1]}"
        case Union(members):
            return r" \cup ".join(latex(member) for member in members)
        case Builder(letter, condition):
            return rf"\{{{latex(letter)} \mid {latex(condition)}\}}"
        case Feature(label, items):
            return rf"\text{{{label}: }}" + (
                r",\ ".join(latex(item) for item in items) or r"\text{none}"
            )
        case Outcome(says):
            return rf"\text{{{says}}}"
        case _:
            return _expression(line)


def _bracketed(text: str) -> str:
    tall = r"\frac" in text or r"\sqrt" in text
    return rf"\left({text}\right)" if tall else f"({text})"


def _in(place: Place, node: Expr) -> str:
    text = _expression(node)
    return _bracketed(text) if needs("latex", place, node) else text


def _expression(node: Expr) -> str:
    return decorated(node, _written(node))


def _written(node: Expr) -> str:
    match node:
        case Number(text):
            return text
        case Mixed(whole, numerator, denominator):
            return rf"{whole}\frac{{{numerator}}}{{{denominator}}}"
        case Symbol("infinity"):
            return r"\infty"
        case Symbol(name):
            if is_unit(name):
                return rf"\,\mathrm{{{name}}}"
            letter, _, index = name.partition("_")
            return f"{letter}_{{{index}}}" if index else letter
        case Signed(sign, body):
            return _SIGNS[sign] + _in("signed", body)
        case Sum(terms):
            first, *rest = terms
            text = ("" if first.sign == "+" else _SIGNS[first.sign]) + _in("term", first.body)
            return text + "".join(_SIGNS[term.sign] + _in("term", term.body) for term in rest)
        case Product(factors, joins):
            text = _in("dotted first factor" if joins[0] else "first factor", factors[0])
            between = r"\ " if spells_word(factors) else ""
            for join, factor in zip(joins, factors[1:], strict=True):
                place: Place = "factor" if join else "juxtaposed factor"
                text += (r" \cdot " if join else between) + _in(place, factor)
            return text
        case Quotient(numerator, denominator, "/"):
            return rf"\frac{{{_expression(numerator)}}}{{{_expression(denominator)}}}"
        case Quotient(numerator, denominator, mark):
            dividend: Place = "dividend" if mark == "÷" else "slash dividend"
            between = r" \div " if mark == "÷" else "/"
            return f"{_in(dividend, numerator)}{between}{_in('divisor', denominator)}"
        case Power(base, exponent):
            return f"{_in('base', base)}^{{{_expression(exponent)}}}"
        case Root(2, radicand):
            return rf"\sqrt{{{_expression(radicand)}}}"
        case Root(index, radicand):
            return rf"\sqrt[{index}]{{{_expression(radicand)}}}"
        case Absolute(body):
            return rf"\left|{_expression(body)}\right|"
        case Log(name, base, argument):
            text = _expression(argument)
            return rf"\{name}{'' if base is None else f'_{{{base}}}'}\left({text}\right)"
        case Bracket(body):
            return _bracketed(_expression(body))
