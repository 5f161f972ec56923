"""Mathematics inside a sentence, as text: √ and ², never ``sqrt(`` or ``^2``. Not meant to be read back."""

import re
from typing import ClassVar

from uchuu_core.notation.writers.plain import Writer
from uchuu_core.tree.nodes import Expr, Line, Number, Root

_RAISED = str.maketrans("0123456789-−", "⁰¹²³⁴⁵⁶⁷⁸⁹⁻⁻")
_RELATIONS = {"!=": "≠", "<=": "≤", ">=": "≥"}
_ROOTS = {2: "√", 3: "∛"}
_BARE_ROOT = re.compile("[⁰¹²³⁴⁵⁶⁷⁸⁹]*[√∛]")


class _Readable(Writer):
    signs: ClassVar[dict[str, str]] = {"+": "+", "-": "−", "+-": "±"}

    def relation(self, sign: str) -> str:
        return _RELATIONS.get(sign, sign)

    def unit(self, name: str) -> str:
        return f" {name}"

    def power(self, base: str, exponent: str) -> str:
        bare = exponent.removeprefix("(").removesuffix(")")
        base = f"({base})" if _BARE_ROOT.match(base) else base
        is_whole = bare.removeprefix("−").isdecimal()
        return base + (bare.translate(_RAISED) if is_whole else f"^{exponent}")

    def root(self, index: int, radicand: str) -> str:
        sign = _ROOTS.get(index) or str(index).translate(_RAISED) + "√"
        return sign + (radicand if radicand.isdecimal() or len(radicand) == 1 else f"({radicand})")

    def absolute(self, body: str) -> str:
        return f"|{body}|"

    def times(self, factors: tuple[Expr, ...]) -> str:
        return " × " if all(isinstance(factor, Number) for factor in factors) else " · "

    def beside(self, before: Expr) -> str:
        return "·" if isinstance(before, Root) else ""


_WRITER = _Readable()


def readable(line: Line) -> str:
    """Write *line* for a reader of a sentence that is plain text."""
    return re.sub("(^|(?<=[ (/])) +", "", _WRITER.line(line))
