"""Where a notation needs brackets around a part: writers put them, readers take them as implied.

Sharing this one rule makes reading back what was written give the same tree.
"""

from typing import Literal

from uchuu_core.tree.nodes import (
    Absolute,
    Bracket,
    Expr,
    Mixed,
    Number,
    Power,
    Product,
    Quotient,
    Root,
    Signed,
    Sum,
    Symbol,
)

Notation = Literal["plain", "latex"]
Juxtaposition = Literal["equal", "tighter"]
"""House rule: the rank of an unwritten multiplication."""
Place = Literal[
    "term", "signed", "first factor", "dotted first factor", "factor", "juxtaposed factor",
    "numerator", "denominator", "dividend", "slash dividend", "divisor", "base", "exponent", "free",
]  # fmt: skip

FUNCTIONS = ("sqrt", "cbrt", "root", "abs")
_WORDS = (
    *FUNCTIONS, "or", "and", "in", "prime", "undefined", "irreducible", "identity", "infinity",
    "union", "sin", "cos", "tan", "cot", "sec", "csc", "log", "ln", "lim", "exp",
)  # fmt: skip


def spells_word(factors: tuple[Expr, ...]) -> bool:
    """Return whether letters side by side would be read as a word of the notation."""
    run = "".join(f.name.lower() if isinstance(f, Symbol) else " " for f in factors)
    return any(word in run for word in _WORDS)


def starts_with_digit(node: Expr) -> bool:
    """Return whether *node* is written with a numeral first."""
    match node:
        case Number() | Mixed():
            return True
        case Power(base, _):
            return isinstance(base, (Number, Mixed))
        case Quotient(numerator, _, _):
            return starts_with_digit(numerator)
        case Product(factors, _):
            return starts_with_digit(factors[0])
        case _:
            return False


def _begins_with_division(node: Expr) -> bool:
    if isinstance(node, Product):
        return any(joins_division(factor) for factor in node.factors)
    return joins_division(node)


def joins_division(node: Expr) -> bool:
    """Return whether *node* is a division written with ÷, or goes on after one."""
    return isinstance(node, Quotient) and (
        node.mark == "÷" or (node.mark == "∕" and joins_division(node.numerator))
    )


def _plain_bar_part(node: Expr, *, below: bool) -> bool:
    match node:
        case Number() | Symbol() | Root() | Absolute() | Power():
            return False
        case Product(factors, joins) if not below:
            return any(joins) or any(isinstance(f, (Quotient, Mixed)) for f in factors)
        case _:
            return True


def needs(notation: Notation, place: Place, node: Expr) -> bool:
    """Return whether *node* must stand in brackets at *place* of its parent."""
    if isinstance(node, Bracket):
        return place in ("numerator", "denominator", "exponent") and notation == "plain"
    plain = notation == "plain"
    match place:
        case "free":
            return False
        case "term" | "signed":
            return isinstance(node, (Sum, Signed))
        case "first factor" | "dotted first factor":
            if isinstance(node, Quotient):
                return (plain or node.mark != "/") and place == "first factor"
            return isinstance(node, (Sum, Signed, Product))
        case "factor" | "juxtaposed factor":
            if isinstance(node, Quotient):
                if not plain and node.mark == "/" and place == "juxtaposed factor":
                    return isinstance(node.numerator, Number)
                return plain or node.mark != "/"
            if place == "juxtaposed factor" and starts_with_digit(node):
                return True
            return isinstance(node, (Sum, Signed, Product))
        case "numerator" | "denominator":
            return plain and _plain_bar_part(node, below=place == "denominator")
        case "dividend":
            return isinstance(node, (Sum, Signed))
        case "slash dividend":  # beside ÷ a slash binds first
            return isinstance(node, (Sum, Signed)) or _begins_with_division(node)
        case "divisor":
            if isinstance(node, Quotient):
                return plain or node.mark != "/"
            return isinstance(node, (Sum, Signed, Product))
        case "base":
            return not isinstance(node, (Number, Symbol, Absolute, Root))
        case "exponent":
            return plain and not isinstance(node, (Number, Symbol))
