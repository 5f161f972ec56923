"""The light tidying that a writer does without thinking: signs merged, numbers of a term joined."""

from typing import Any

from uchuu_core.moves.laws.expanding import coefficient_and_rest, joined_powers
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Line, Product, Quotient, Signed, Sum
from uchuu_core.tree.paths import letters, rebuild


def signs_merged(line: Line) -> Line:
    """Return *line* with ``a - (-b)`` written ``a + b``."""

    def change(part: Any) -> Any:
        if isinstance(part, Sum):
            return build.total(build.as_term(t.body, t.sign) for t in part.terms)
        return part

    return rebuild(line, change)  # type: ignore[no-any-return]


def tidied(line: Line) -> Line:
    """Return *line* with signs merged, the minus of a numerator in front of its fraction, and the
    numbers of each term with letters multiplied.
    """

    def change(part: Any) -> Any:
        if isinstance(part, Quotient) and isinstance(part.numerator, Signed):
            if part.numerator.sign == "-":
                return build.negative(Quotient(part.numerator.body, part.denominator, part.mark))
        if not isinstance(part, Product) or any(isinstance(f, Sum) for f in part.factors):
            return part
        number, rest = coefficient_and_rest(part)
        return build.times(number, joined_powers(list(build.factors_of(rest))))

    return signs_merged(rebuild(line, change)) if letters(line) else signs_merged(line)
