"""Presentation MathML, for web pages, word processors and screen readers."""

from xml.sax.saxutils import escape

from uchuu_core.notation.brackets import Place, needs
from uchuu_core.notation.decorating import decorated
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

_RELATIONS = {"=": "=", "!=": "≠", "<": "<", ">": ">", "<=": "≤", ">=": "≥"}
_SIGNS = {"+": "+", "-": "−", "+-": "±"}
_APPLIED = "<mo>\u2062</mo>"
"""Invisible multiplication."""


def mathml(line: Line) -> str:
    """Write *line* as one ``math`` element."""
    return f'<math xmlns="http://www.w3.org/1998/Math/MathML">{_line(line)}</math>'


def _line(line: Line) -> str:
    match line:
        case Relation(left, sign, right):
            return _row(_line(left), _sign(_RELATIONS[sign]), _line(right))
        case Chain(sides):
            return _row(_sign("=").join(_line(side) for side in sides))
        case Either(options, _):
            word = "<mtext> or </mtext>" if line.is_or else _sign(",")
            return _row(word.join(_line(option) for option in options))
        case ValueSet(members):
            return _row(_sign("{"), _sign(",").join(_line(m) for m in members), _sign("}"))
        case AllExcept(members):
            listed = _sign(",").join(_line(member) for member in members)
            return _row("<mtext>all real numbers except </mtext>", listed)
        case Coordinates(x, y):
            return _row(_sign("("), _line(x), _sign(","), _line(y), _sign(")"))
        case Interval(low, high):
            start = _sign("−") + "<mi>∞</mi>" if low is None else _line(low)
            end = "<mi>∞</mi>" if high is None else _line(high)
            ends = (_sign("[" if line.has_low else "("), _sign("]" if line.has_high else ")"))
            return _row(ends[0], start, _sign(","), end, ends[1])
        case Union(members):
            return _row(_sign("∪").join(_line(member) for member in members))
        case Builder(letter, condition):
            return _row(_sign("{"), _line(letter), _sign("|"), _line(condition), _sign("}"))
        case Feature(label, items):
            listed = _sign(",").join(_line(item) for item in items) or "<mtext>none</mtext>"
            return _row(f"<mtext>{escape(label)}: </mtext>", listed)
        case Outcome(says):
            return f"<mtext>{escape(says)}</mtext>"
        case _:
            return _expression(line)


def _row(*parts: str) -> str:
    return f"<mrow>{''.join(parts)}</mrow>"


def _sign(text: str) -> str:
    return f"<mo>{escape(text)}</mo>"


def _in(place: Place, node: Expr) -> str:
    text = _expression(node)
    return _row(_sign("("), text, _sign(")")) if needs("latex", place, node) else text


def _expression(node: Expr) -> str:
    return decorated(node, _written(node))


def _written(node: Expr) -> str:
    match node:
        case Number(text):
            return f"<mn>{text}</mn>"
        case Mixed(whole, numerator, denominator):
            fraction = f"<mfrac><mn>{numerator}</mn><mn>{denominator}</mn></mfrac>"
            return _row(f"<mn>{whole}</mn>", fraction)
        case Symbol("infinity"):
            return "<mi>∞</mi>"
        case Symbol(name):
            letter, _, index = name.partition("_")
            if index:
                return f"<msub><mi>{escape(letter)}</mi><mn>{index}</mn></msub>"
            return f"<mi>{escape(letter)}</mi>"
        case Signed(sign, body):
            return _row(_sign(_SIGNS[sign]), _in("signed", body))
        case Sum(terms):
            first, *rest = terms
            listed = [] if first.sign == "+" else [_sign(_SIGNS[first.sign])]
            listed.append(_in("term", first.body))
            listed += [_sign(_SIGNS[t.sign]) + _in("term", t.body) for t in rest]
            return _row(*listed)
        case Product(factors, joins):
            text = _in("dotted first factor" if joins[0] else "first factor", factors[0])
            for join, factor in zip(joins, factors[1:], strict=True):
                place: Place = "factor" if join else "juxtaposed factor"
                text += (_sign("·") if join else _APPLIED) + _in(place, factor)
            return _row(text)
        case Quotient(numerator, denominator, "/"):
            return f"<mfrac>{_expression(numerator)}{_expression(denominator)}</mfrac>"
        case Quotient(numerator, denominator, mark):
            dividend: Place = "dividend" if mark == "÷" else "slash dividend"
            between = _sign("÷" if mark == "÷" else "/")
            return _row(_in(dividend, numerator), between, _in("divisor", denominator))
        case Power(base, exponent):
            return f"<msup>{_in('base', base)}{_expression(exponent)}</msup>"
        case Root(2, radicand):
            return f"<msqrt>{_expression(radicand)}</msqrt>"
        case Root(index, radicand):
            return f"<mroot>{_expression(radicand)}<mn>{index}</mn></mroot>"
        case Absolute(body):
            return _row(_sign("|"), _expression(body), _sign("|"))
        case Log(name, base, argument):
            head = f"<mi>{name}</mi>"
            if base is not None:
                head = f"<msub>{head}<mn>{base}</mn></msub>"
            return _row(head, _sign("("), _expression(argument), _sign(")"))
        case Bracket(body):
            return _row(_sign("("), _expression(body), _sign(")"))
