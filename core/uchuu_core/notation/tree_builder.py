"""From grammar rules to our tree; here equal rank and implied brackets are settled.

Multiplication and division have equal rank, left to right. ``juxtaposition="tighter"`` is the
house rule under which an unwritten product binds first. Where ``÷`` stands in a product, every ``/``
in it is a fraction bar and binds first.
"""

from fractions import Fraction
from typing import Any, cast

from lark import Token, Transformer, v_args

from uchuu_core import limits
from uchuu_core.failures import Unreadable
from uchuu_core.notation.brackets import Juxtaposition, Notation, Place, needs
from uchuu_core.notation.tokens import GREEK, SUPERSCRIPTS, VULGAR_FRACTIONS
from uchuu_core.tree.nodes import (
    Absolute,
    AllExcept,
    Bracket,
    Builder,
    Chain,
    Either,
    Expr,
    Interval,
    Join,
    Line,
    Log,
    Mixed,
    Number,
    Outcome,
    Power,
    Product,
    Quotient,
    QuotientMark,
    Relation,
    RelationSign,
    Root,
    Sign,
    Signed,
    Sum,
    Symbol,
    Term,
    Union,
    ValueSet,
)
from uchuu_core.tree.paths import letters

Joined = tuple[str, Expr]
_LOWERED = str.maketrans("₀₁₂₃₄₅₆₇₈₉", "0123456789")
_RELATIONS: dict[str, RelationSign] = {
    "≠": "!=", "≤": "<=", "≥": ">=", r"\ne": "!=", r"\neq": "!=", r"\le": "<=", r"\leq": "<=",
    r"\ge": ">=", r"\geq": ">=", r"\lt": "<", r"\gt": ">",
}  # fmt: skip
_SIGNS: dict[str, Sign] = {"PLUS": "+", "MINUS": "-", "PLUS_MINUS": "+-"}


def _is_and(token: Token) -> bool:
    """Whether both relations hold: ``x >= 1 and x < 5``."""
    return any(word in str(token) for word in ("and", "∧", "wedge"))


@v_args(inline=True)
class TreeBuilder(Transformer[Token, Any]):
    """Builds the tree of one line, bottom-up, while it is parsed."""

    def __init__(self, notation: Notation, juxtaposition: Juxtaposition = "equal") -> None:
        super().__init__()
        self.notation = notation
        self.juxtaposition = juxtaposition

    def _at(self, place: Place, node: Expr) -> Expr:
        """Take brackets away where the place implies them."""
        if isinstance(node, Bracket) and place in ("numerator", "denominator", "exponent"):
            return node.body if self.notation == "plain" else node
        if isinstance(node, Bracket) and needs(self.notation, place, node.body):
            return node.body
        return node

    # leaves
    def numeral(self, token: Token) -> Expr:
        text = str(token).replace("{,}", ".").replace(",", ".")
        return Number(f"0{text}" if text.startswith(".") else text)

    def letter(self, token: Token) -> Expr:
        if token.startswith("\\mathrm{"):
            return Symbol(token[8:-1])
        if token.startswith("\\"):
            return Symbol(GREEK.get(token[1:], "i"))
        if token[0] == '"':
            return Symbol(token.strip('"'))
        name = str(token).translate(_LOWERED)
        name = name.replace("{", "").replace("}", "").replace("_", "")
        return Symbol(name if len(name) == 1 else f"{name[0]}_{name[1:]}")

    def mixed(self, token: Token) -> Expr:
        text = str(token)
        if text[-1] in VULGAR_FRACTIONS:
            text = f"{text[:-1].strip()} {VULGAR_FRACTIONS[text[-1]]}"
        whole, fraction = text.split()
        top, bottom = (int(part) for part in fraction.split("/"))
        if bottom == 0:
            raise Unreadable(f"The mixed number {text} divides by zero.", token.start_pos)
        return Mixed(int(whole), top, bottom)

    def vulgar(self, token: Token) -> Expr:
        value = Fraction(VULGAR_FRACTIONS[str(token)])
        return Quotient(Number(str(value.numerator)), Number(str(value.denominator)))

    # atoms
    def bracket(self, _open: Token, body: Expr, _close: Token) -> Expr:
        return Bracket(body)

    def group(self, _open: Token, body: Expr, _close: Token) -> Expr:
        return body

    def absolute(self, *parts: Any) -> Expr:
        return Absolute(parts[-2])

    def square_root(self, _name: Token, body: Expr) -> Expr:
        return Root(2, self._radicand(body))

    def cube_root(self, _name: Token, body: Expr) -> Expr:
        return Root(3, self._radicand(body))

    def _radicand(self, body: Expr) -> Expr:
        """Take away the brackets by which plain notation shows how far a root reaches."""
        return body.body if self.notation == "plain" and isinstance(body, Bracket) else body

    def nth_root(self, name: Token, *parts: Any) -> Expr:
        index, radicand = (part for part in parts if not isinstance(part, Token))
        if not (isinstance(index, Number) and index.is_whole and int(index.text) >= 2):
            raise Unreadable("The index of a root is a whole number from 2 on.", name.start_pos)
        limits.require(
            int(index.text) <= limits.ROOT_INDEX,
            f"The index of a root is at most {limits.ROOT_INDEX}.",
            name.start_pos,
        )
        return Root(int(index.text), radicand)

    def fraction(self, _name: Token, numerator: Expr, denominator: Expr) -> Expr:
        return Quotient(numerator, denominator)

    def log(self, token: Token, argument: Expr) -> Expr:
        argument = argument.body if isinstance(argument, Bracket) else argument
        if letters(argument) - {"e"}:
            raise Unreadable(
                "Logarithms of a letter are not worked here; log(5)/log(2) is read as a number.",
                token.start_pos,
            )
        digits = "".join(c for c in str(token).translate(_LOWERED) if c.isdigit())
        base = int(digits) if digits else None
        if base is not None and base < 2:
            raise Unreadable(
                "The base of a logarithm is a whole number from 2 on.", token.start_pos
            )
        return Log("ln" if "ln" in token else "log", base, argument)

    # powers
    def power(self, base: Expr, caret: Token, exponent: Expr) -> Expr:
        plain_exponent = exponent.body if isinstance(exponent, Bracket) else exponent
        if isinstance(plain_exponent, Number) and plain_exponent.is_whole:
            limits.require(
                int(plain_exponent.text) <= limits.EXPONENT,
                f"Exponents are read up to {limits.EXPONENT:,}.",
                caret.start_pos,
            )
        return Power(self._at("base", base), self._at("exponent", exponent))

    def superscript(self, base: Expr, token: Token) -> Expr:
        text = str(token).translate(SUPERSCRIPTS)
        digits = Number(text.lstrip("-"))
        exponent: Expr = Signed("-", digits) if text.startswith("-") else digits
        return self.power(base, token, exponent)

    # products
    def joined(self, operator: Token, factor: Expr) -> Joined:
        if operator.type == "SLASH" and (self.notation == "latex" or operator == "∕"):
            return "INLINE", factor
        return operator.type, factor

    def product(self, first: Expr, *rest: Joined) -> Expr:
        chain = list(rest)
        kinds = {kind for kind, _ in chain}
        if self.juxtaposition == "tighter" and "JUXTAPOSED" in kinds:
            first, chain = self._fold(first, chain, lambda _a, kind, _b: kind == "JUXTAPOSED")
        if ("SLASH" in kinds and len(kinds) > 1) or {"INLINE", "DIVIDE"} <= kinds:
            above = ("JUXTAPOSED",) if "DIVIDE" in kinds else ("TIMES", "JUXTAPOSED")
            first, chain = self._bars(first, chain, above)
        result, _ = self._fold(first, chain, lambda *_: True)
        return result

    def _bars(
        self, first: Expr, chain: list[Joined], joints: tuple[str, ...]
    ) -> tuple[Expr, list[Joined]]:
        """Join each fraction bar with the factors that stand above it, joined by *joints*.

        Beside ``÷`` these stand side by side, so that every bar binds before it; elsewhere they are
        all factors since the last bar: ``p/q*r/s`` is a product of two fractions.
        """
        operands: list[Joined] = [("", first)]
        bars = ("SLASH", "INLINE") if any(kind == "DIVIDE" for kind, _ in chain) else ("SLASH",)
        above = 1
        """How many of the last operands stand above a bar that comes next."""
        for kind, factor in chain:
            if kind in bars and above:
                run = operands[-above:]
                top, _ = self._fold(run[0][1], run[1:], lambda *_: True)
                operands[-above:] = [(run[0][0], self._join(top, kind, factor))]
                above = 0
            elif kind in bars:
                before_kind, before = operands[-1]
                operands[-1] = (before_kind, self._join(before, kind, factor))
            else:
                run_goes_on = above and kind in joints
                above = above + 1 if run_goes_on else 1
                operands.append((kind, factor))
        return operands[0][1], operands[1:]

    def _fold(self, first: Expr, chain: list[Joined], chosen: Any) -> tuple[Expr, list[Joined]]:
        """Join neighbours for which *chosen* holds, from left to right; keep the others."""
        operands: list[Joined] = [("", first)]
        for kind, factor in chain:
            before_kind, before = operands[-1]
            if chosen(before, kind, factor):
                operands[-1] = (before_kind, self._join(before, kind, factor))
            else:
                operands.append((kind, factor))
        return operands[0][1], operands[1:]

    def _join(self, left: Expr, kind: str, right: Expr) -> Expr:
        if kind == "SLASH":
            return Quotient(self._at("numerator", left), self._at("denominator", right))
        if kind in ("DIVIDE", "INLINE"):
            mark: QuotientMark = "÷" if kind == "DIVIDE" else "∕"
            dividend: Place = "dividend" if kind == "DIVIDE" else "slash dividend"
            return Quotient(self._at(dividend, left), self._at("divisor", right), mark)
        join: Join = "*" if kind == "TIMES" else ""
        right = self._at("factor" if join else "juxtaposed factor", right)
        if isinstance(left, Product):
            return Product((*left.factors, right), (*left.joins, join))
        place: Place = "dotted first factor" if join else "first factor"
        return Product((self._at(place, left), right), (join,))

    # sums
    def sign(self, token: Token) -> Sign:
        return _SIGNS[token.type]

    def opposite(self, _sign: Token, body: Expr) -> Expr:
        return Signed("-", self._at("signed", body))

    def same(self, _sign: Token, body: Expr) -> Expr:
        return body

    def either_sign(self, _sign: Token, body: Expr) -> Expr:
        return Signed("+-", self._at("signed", body))

    def sum(self, first: Expr, *rest: Any) -> Expr:
        if not rest:
            return first
        if isinstance(first, Signed):
            terms = [Term(first.sign, first.body)]
        else:
            terms = [Term("+", self._at("term", first))]
        for sign, body in zip(rest[::2], rest[1::2], strict=True):
            terms.append(Term(sign, self._at("term", body)))
        return Sum(tuple(terms))

    # lines
    def relation(self, left: Expr, sign: Token, right: Expr) -> Relation:
        return Relation(left, _RELATIONS.get(str(sign), cast(RelationSign, str(sign))), right)

    def between(self, low: Expr, first: Token, middle: Expr, second: Token, high: Expr) -> Either:
        return Either((self.relation(low, first, middle), self.relation(middle, second, high)))

    def chain(self, *parts: Any) -> Chain:
        return Chain(tuple(part for part in parts if not isinstance(part, Token)))

    def continued(self, *parts: Any) -> Line:
        sides = tuple(part for part in parts if not isinstance(part, Token))
        if len(sides) == 1:
            return sides[0]  # type: ignore[no-any-return]
        return Chain(sides) if len(sides) > 2 else Relation(sides[0], "=", sides[1])

    def either(self, first: Relation, *rest: Any) -> Either:
        options = [first]
        for part in rest:
            if isinstance(part, Token):
                continue
            same = Relation(first.left, first.sign, part)
            options.append(part if isinstance(part, Relation) else same)
        is_or = any(getattr(part, "type", "") == "OR" and not _is_and(part) for part in rest)
        orders = all(option.sign in ("<", ">", "<=", ">=") for option in options)
        return Either(tuple(options), "or" if is_or and orders else "")

    def set(self, *parts: Any) -> ValueSet:
        return parts[-1]  # type: ignore[no-any-return]

    def listed(self, *parts: Any) -> ValueSet:
        members = tuple(p for p in parts if p is not None and not isinstance(p, Token))
        return ValueSet(members)

    def infinite(self, *_tokens: Token) -> None:
        return None

    def interval(self, opened: Token, low: Any, _comma: Token, high: Any, closed: Token) -> Any:
        return Interval(low, high, str(opened).endswith("["), str(closed).endswith("]"))

    def union(self, *parts: Any) -> Union:
        members = tuple(part for part in parts if isinstance(part, (Interval, ValueSet)))
        return Union(members)

    def builder(self, *parts: Any) -> Builder:
        opened = next(part for part in parts if getattr(part, "type", "") == "BUILD")
        name = next(c for c in str(opened).replace("\\", " ") if c.isalpha())
        return Builder(Symbol(name), parts[-2])

    def values(self, *parts: Any) -> ValueSet:
        return ValueSet(tuple(part for part in parts if not isinstance(part, Token)))

    def all_except(self, *parts: Any) -> AllExcept:
        start = next(n for n, p in enumerate(parts) if getattr(p, "type", "") == "ALL_BUT")
        members = [p for p in parts[start:] if p is not None and not isinstance(p, Token)]
        return AllExcept(tuple(m.right if isinstance(m, Relation) else m for m in members))

    def outcome(self, *parts: Any) -> Outcome:
        token = parts[-1]
        match token.type:
            case "NO_SOLUTION":
                return Outcome("no solution")
            case "ALL_REALS":
                return Outcome("all real numbers")
            case "PRIME":
                return Outcome("prime")
            case _:
                return Outcome("all except excluded")

    def start(self, line: Any) -> Any:
        return line
