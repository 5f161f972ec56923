"""Plain notation; reading it back gives the same tree."""

from typing import ClassVar

from uchuu_core.notation.brackets import FUNCTIONS, Place, needs, spells_word
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


class Writer:
    """Writes lines; a subclass says how signs, powers and roots look."""

    signs: ClassVar[dict[str, str]] = {"+": "+", "-": "-", "+-": "±"}

    def line(self, line: Line) -> str:
        """Return *line* as text."""
        write = self.line
        match line:
            case Relation(left, sign, right):
                return f"{write(left)} {self.relation(sign)} {write(right)}"
            case Chain(sides):
                return " = ".join(write(side) for side in sides)
            case Either(options, _):
                word = " or " if line.is_or else ", "
                return word.join(write(option) for option in options)
            case ValueSet(members):
                return "{" + ", ".join(write(member) for member in members) + "}"
            case AllExcept(members):
                *most, last = (write(member) for member in members)
                listed = f"{', '.join(most)} and {last}" if most else last
                return f"all real numbers except {listed}"
            case Coordinates(x, y):
                return f"({write(x)}, {write(y)})"
            case Interval(low, high):
                infinity = (f"{self.signs['-']}∞", "∞")
                ends = [
                    i if e is None else write(e) for i, e in zip(infinity, (low, high), strict=True)
                ]
                opening, closing = "[" if line.has_low else "(", "]" if line.has_high else ")"
                return f"{opening}{', '.join(ends)}{closing}"
            case Union(members):
                return " ∪ ".join(write(member) for member in members)
            case Builder(letter, condition):
                return f"{{{write(letter)} | {write(condition)}}}"
            case Feature(label, items):
                return f"{label}: " + (", ".join(write(item) for item in items) or "none")
            case Outcome(says):
                return says
            case _:
                return self.expression(line)

    def unit(self, name: str) -> str:
        """Return a letter that is a word."""
        return f'"{name}"'

    def relation(self, sign: str) -> str:
        """Return the sign between two sides."""
        return sign

    def power(self, base: str, exponent: str) -> str:
        """Return a power of written parts."""
        return f"{base}^{exponent}"

    def root(self, index: int, radicand: str) -> str:
        """Return a root of a written radicand."""
        match index:
            case 2:
                return f"sqrt({radicand})"
            case 3:
                return f"cbrt({radicand})"
            case _:
                return f"root({index}, {radicand})"

    def absolute(self, body: str) -> str:
        """Return an absolute value."""
        return f"abs({body})"

    def times(self, _factors: tuple[Expr, ...]) -> str:
        """Return a written multiplication sign of a product."""
        return "*"

    def beside(self, _before: Expr) -> str:
        """Return what parts two factors without a sign."""
        return ""

    def _in(self, place: Place, node: Expr) -> str:
        text = self.expression(node)
        return f"({text})" if needs("plain", place, node) else text

    def expression(self, node: Expr) -> str:
        """Return an expression as text."""
        put, signs = self._in, self.signs
        match node:
            case Number(text):
                return text
            case Mixed(whole, numerator, denominator):
                return f"{whole} {numerator}/{denominator}"
            case Symbol(name):
                return self.unit(name) if is_unit(name) else name
            case Signed(sign, body):
                return signs[sign] + put("signed", body)
            case Sum(terms):
                first, *rest = terms
                text = ("" if first.sign == "+" else signs[first.sign]) + put("term", first.body)
                return text + "".join(f" {signs[t.sign]} {put('term', t.body)}" for t in rest)
            case Product(factors, joins):
                return self._product(factors, joins)
            case Quotient(numerator, denominator, "/"):
                return f"{put('numerator', numerator)}/{put('denominator', denominator)}"
            case Quotient(numerator, denominator, mark):
                dividend: Place = "dividend" if mark == "÷" else "slash dividend"
                between = " ÷ " if mark == "÷" else "∕"
                return f"{put(dividend, numerator)}{between}{put('divisor', denominator)}"
            case Power(base, exponent):
                return self.power(put("base", base), put("exponent", exponent))
            case Root(index, radicand):
                return self.root(index, self.expression(radicand))
            case Absolute(body):
                return self.absolute(self.expression(body))
            case Log(name, base, argument):
                return f"{name}{'' if base is None else f'_{base}'}({self.expression(argument)})"
            case Bracket(body):
                return f"({self.expression(body)})"

    def _product(self, factors: tuple[Expr, ...], joins: tuple[str, ...]) -> str:
        text = self._in("dotted first factor" if joins[0] else "first factor", factors[0])
        is_apart = spells_word(factors)
        for before, join, factor in zip(factors, joins, factors[1:], strict=False):
            part = self._in("factor" if join else "juxtaposed factor", factor)
            before_word = text[-1].isalpha() and part.startswith(FUNCTIONS)
            if join:
                text += self.times(factors)
            else:
                text += " " if is_apart or before_word else self.beside(before)
            text += part
        return text


_PLAIN = Writer()


def plain(line: Line) -> str:
    """Write *line* as a person would type it."""
    return _PLAIN.line(line)
