"""Spoken English, for a screen reader and for hearing a miscopied sign.

Different lines are said in different words: where a root, an exponent, a fraction or a bracketed
part holds more than one thing, its end is said. Plain cases stay plain: "one half", "x squared".
"""

import re

from uchuu_core.notation.tokens import GREEK
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

_RELATIONS = {
    "=": "equals", "!=": "is not", "<": "is less than", ">": "is greater than",
    "<=": "is at most", ">=": "is at least",
}  # fmt: skip
_SIGNS = {"+": "plus", "-": "minus", "+-": "plus or minus"}
_GREEK = {letter: name for name, letter in GREEK.items()}
_TIMES = {
    (False, False): "", (False, True): "times", (True, False): "times", (True, True): "multiplied by",
}  # fmt: skip
"""What is said between factors, by whether a sign is written and whether a group follows."""
_ORDINALS = {4: "fourth", 5: "fifth", 6: "sixth", 7: "seventh", 8: "eighth", 9: "ninth"}
_PARTS = {2: "half", 3: "third", 4: "quarter", 5: "fifth", 6: "sixth", 8: "eighth", 10: "tenth"}


def spoken(line: Line) -> str:
    """Say *line* in English words; one sentence without a full stop."""
    return re.sub(r",(?: ?,)+", ",", _said(line)).strip(" ,").replace(" ,", ",")


def _said(line: Line) -> str:
    match line:
        case Relation(left, sign, right):
            return f"{_said(left)} {_RELATIONS[sign]} {_said(right)}"
        case Chain(sides):
            return ", equals ".join(_said(side) for side in sides)
        case Either(options, _):
            word = ", or " if line.is_or else ", and "
            return word.join(_said(option) for option in options)
        case ValueSet(members):
            return "the set of " + ", ".join(_said(member) for member in members)
        case AllExcept(members):
            return "all real numbers except " + " and ".join(_said(m) for m in members)
        case Coordinates(x, y):
            return f"the point {_said(x)}, {_said(y)}"
        case Interval(low, high):
            start = "minus infinity" if low is None else _said(low)
            end = "infinity" if high is None else _said(high)
            ends = [f", {'included' if has else 'not included'}," if bound is not None else ""
                    for bound, has in ((low, line.has_low), (high, line.has_high))]  # fmt: skip
            return f"from {start}{ends[0]} to {end}{ends[1]}"
        case Union(members):
            return ", together with ".join(_said(member) for member in members)
        case Builder(letter, condition):
            return f"all {_said(letter)} such that {_said(condition)}"
        case Feature(label, items):
            return f"{label}: " + (" and ".join(_said(item) for item in items) or "none")
        case Outcome(says):
            return says
        case _:
            return _expression(line)


def _ended(opening: str, node: Expr, ending: str) -> str:
    return f"{opening} {_expression(node)}, {ending},"


def _closed(node: Expr) -> str:
    """Say a part so that what follows cannot be taken for more of it."""
    match node:
        case Number() | Symbol() | Root() | Absolute() | Bracket() | Log():
            return _expression(node)
        case Quotient():
            return _ended("the fraction", node, "end fraction")
        case _:
            return _ended("the quantity", node, "end quantity")


def _is_said_as_parts(node: Expr) -> bool:
    """Whether *node* is a fraction with a name of its own: one half, 3 quarters."""
    match node:
        case Quotient(Number(top), Number(bottom), "/"):
            return top.isdigit() and bottom.isdigit() and int(bottom) in _PARTS
        case _:
            return False


def _quotient(numerator: Expr, denominator: Expr) -> str:
    if _is_said_as_parts(Quotient(numerator, denominator)):
        assert isinstance(numerator, Number) and isinstance(denominator, Number)
        part = _PARTS[int(denominator.text)]
        if numerator.text == "1" and denominator.text == str(int(denominator.text)):
            return f"one {part}"
        if denominator.text == str(int(denominator.text)):
            return f"{numerator.text} {'halves' if part == 'half' else f'{part}s'}"
    return f"{_bar_part(numerator)} over {_bar_part(denominator)}"


def _bar_part(node: Expr) -> str:
    """Say a numerator or denominator: letters and powers side by side need no end."""
    factors = node.factors if isinstance(node, Product) and not any(node.joins) else (node,)
    simple = all(isinstance(f, (Number, Symbol)) or _is_plain_power(f) for f in factors)
    return _expression(node) if simple else _closed(node)


def _is_plain_power(node: Expr) -> bool:
    return (
        isinstance(node, Power)
        and isinstance(node.base, Symbol)
        and node.exponent in (Number("2"), Number("3"))
    )


def _power(base: Expr, exponent: Expr) -> str:
    said = _closed(base)
    match exponent:
        case Number("2"):
            return f"{said} squared"
        case Number("3"):
            return f"{said} cubed"
        case Number() | Symbol():
            return f"{said} to the power {_expression(exponent)},"
        case _:
            return f"{said} {_ended('to the power of', exponent, 'end power')}"


def _factor(node: Expr, *, is_first: bool = False) -> str:
    if isinstance(node, (Sum, Signed, Product)):
        return _ended("the quantity", node, "end quantity")
    if isinstance(node, Quotient):
        return _expression(node) if is_first and _is_said_as_parts(node) else _closed(node)
    return f"the number {_expression(node)}," if isinstance(node, Mixed) else _expression(node)


def _term(node: Expr) -> str:
    return _closed(node) if isinstance(node, (Sum, Signed)) else _expression(node)


def _later_term(node: Expr) -> str:
    return _expression(node) if _is_negative_number(node) else _term(node)


def _is_negative_number(node: Expr) -> bool:
    return isinstance(node, Signed) and node.sign == "-" and isinstance(node.body, Number)


def _expression(node: Expr) -> str:
    match node:
        case Symbol(name):
            letter = _GREEK.get(name[0].lower(), name[0])
            capital = "capital " if name[0].isupper() else ""
            return capital + letter + name[1:].replace("_", " sub ")
        case Number(text):
            return text
        case Mixed(whole, top, bottom):
            return f"{whole} and {_quotient(Number(str(top)), Number(str(bottom)))}"
        case Signed("-", Number(text)):
            return f"negative {text}"
        case Signed(sign, body):
            return f"{_SIGNS[sign]} {_closed(body) if isinstance(body, Quotient) else _term(body)}"
        case Sum(terms):
            first, *rest = terms
            lead = {"+": "", "-": "negative ", "+-": "plus or minus "}[first.sign]
            said = [lead + _term(first.body)]
            said += [f"{_SIGNS[term.sign]} {_later_term(term.body)}" for term in rest]
            return " ".join(said)
        case Product(factors, joins):
            text = _factor(factors[0], is_first=True)
            for join, factor in zip(joins, factors[1:], strict=True):
                said_so = _factor(factor)
                is_group = said_so.startswith(("the ", "bracket "))
                word = _TIMES[bool(join), is_group]
                text += f" {word} {said_so}" if word else f" {said_so}"
            return text
        case Quotient(numerator, denominator, "/"):
            return _quotient(numerator, denominator)
        case Quotient(numerator, denominator, mark):
            word = "divided by" if mark == "÷" else "slash"
            return f"{_closed_operand(numerator)} {word} {_closed_operand(denominator)}"
        case Power(base, exponent):
            return _power(base, exponent)
        case Root(index, radicand):
            return _ended(f"the {index_name(index)} root of", radicand, "end root")
        case Absolute(body):
            return _ended("the absolute value of", body, "end absolute value")
        case Log(name, base, argument):
            head = name if base is None else f"{name} base {base}"
            return _ended(f"{head} of", argument, "end log")
        case Bracket(body):
            return _ended("bracket", body, "end bracket")


def index_name(index: int) -> str:
    """Return what a root of *index* is called: square, cube, fourth, …, 12th."""
    return {2: "square", 3: "cube"}.get(index) or _ORDINALS.get(index, f"{index}th")


def _closed_operand(node: Expr) -> str:
    return _expression(node) if isinstance(node, (Number, Symbol, Power)) else _closed(node)
