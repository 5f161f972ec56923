"""Spoken English, for a screen reader and for hearing a miscopied sign.

Grouping is said where the ear would lose it: "the quantity … end quantity", "over", "all over".
"""

from uchuu_core.notation.tokens import GREEK
from uchuu_core.tree.nodes import (
    Absolute,
    AllExcept,
    Bracket,
    Chain,
    Coordinates,
    Either,
    Expr,
    Feature,
    Line,
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
    ValueSet,
)

_RELATIONS = {
    "=": "equals", "!=": "is not", "<": "is less than", ">": "is greater than",
    "<=": "is at most", ">=": "is at least",
}  # fmt: skip
_SIGNS = {"+": "plus", "-": "minus", "+-": "plus or minus"}
_GREEK = {letter: name for name, letter in GREEK.items()}
_ORDINALS = {4: "fourth", 5: "fifth", 6: "sixth", 7: "seventh", 8: "eighth", 9: "ninth"}
_PARTS = {2: "half", 3: "third", 4: "quarter", 5: "fifth", 6: "sixth", 8: "eighth", 10: "tenth"}


def spoken(line: Line) -> str:
    """Say *line* in English words; one sentence without a full stop."""
    match line:
        case Relation(left, sign, right):
            return f"{spoken(left)} {_RELATIONS[sign]} {spoken(right)}"
        case Chain(sides):
            return ", equals ".join(spoken(side) for side in sides)
        case Either(options, _):
            word = ", or " if line.is_or else ", and "
            return word.join(spoken(option) for option in options)
        case ValueSet(members):
            return "the set of " + ", ".join(spoken(member) for member in members)
        case AllExcept(members):
            return "all real numbers except " + " and ".join(spoken(m) for m in members)
        case Coordinates(x, y):
            return f"the point {spoken(x)}, {spoken(y)}"
        case Feature(label, items):
            return f"{label}: " + (" and ".join(spoken(item) for item in items) or "none")
        case Outcome(says):
            return says
        case _:
            return _expression(line)


def _group(node: Expr) -> str:
    text = _expression(node)
    return text if isinstance(node, (Number, Symbol, Mixed)) else f"the quantity {text}"


def _factor(node: Expr) -> str:
    if isinstance(node, (Sum, Signed, Bracket)):
        return f"the quantity {_expression(node)}, end quantity,"
    return _expression(node)


def _quotient(numerator: Expr, denominator: Expr) -> str:
    if isinstance(numerator, Number) and isinstance(denominator, Number):
        top, bottom = numerator.text, denominator.text
        if bottom.isdigit() and int(bottom) in _PARTS and top.isdigit():
            part = _PARTS[int(bottom)]
            plural = "halves" if part == "half" else f"{part}s"
            return f"one {part}" if top == "1" else f"{top} {plural}"
    above, below = _expression(numerator), _expression(denominator)
    return f"{above}{', all' if isinstance(numerator, Sum) else ''} over {below}"


def _power(base: Expr, exponent: Expr) -> str:
    said = _group(base)
    match exponent:
        case Number("2"):
            return f"{said} squared"
        case Number("3"):
            return f"{said} cubed"
        case _:
            return f"{said} to the power {_expression(exponent)}"


def _expression(node: Expr) -> str:
    match node:
        case Symbol(name):
            return _GREEK.get(name[0], name[0]) + name[1:].replace("_", " sub ")
        case Number(text):
            return text
        case Mixed(whole, top, bottom):
            return f"{whole} and {_quotient(Number(str(top)), Number(str(bottom)))}"
        case Signed(sign, body):
            word = "negative" if sign == "-" and isinstance(body, Number) else _SIGNS[sign]
            return f"{word} {_factor(body)}".rstrip(",")
        case Sum(terms):
            first, *rest = terms
            lead = {"+": "", "-": "negative ", "+-": "plus or minus "}[first.sign]
            said = [lead + _factor(first.body)]
            said += [f"{_SIGNS[term.sign]} {_factor(term.body)}" for term in rest]
            return " ".join(said).rstrip(",")
        case Product(factors, joins):
            text = _factor(factors[0])
            for join, factor in zip(joins, factors[1:], strict=True):
                silent = not join and not isinstance(factor, (Sum, Signed, Bracket))
                text += (" " if silent else " times ") + _factor(factor)
            return text.rstrip(",")
        case Quotient(numerator, denominator, "/"):
            return _quotient(numerator, denominator)
        case Quotient(numerator, denominator, _):
            return f"{_factor(numerator)} divided by {_factor(denominator)}".rstrip(",")
        case Power(base, exponent):
            return _power(base, exponent)
        case Root(index, radicand):
            name = {2: "square", 3: "cube"}.get(index, _ORDINALS.get(index, f"{index}-th"))
            return f"the {name} root of {_expression(radicand)}"
        case Absolute(body):
            return f"the absolute value of {_expression(body)}"
        case Bracket(body):
            return _factor(node.body) if isinstance(body, Sum) else f"bracket {_expression(body)}"
