"""Whether a complex number is brought to the form a + bi."""

from collections.abc import Iterator

from uchuu_core.tree.nodes import Expr, Power, Product, Quotient, Root, Signed, Sum, Symbol
from uchuu_core.tree.paths import letters, parts

I = Symbol("i")  # noqa: E741


def not_a_plus_bi(node: Expr) -> Iterator[Expr]:
    """Yield the parts of a number that keep it from being a + bi: i², i below a bar, √(−4), sums."""
    for part in parts(node):
        match part:
            case Power(base, _) if "i" in letters(base):
                yield part
            case Quotient(_, below, _) if "i" in letters(below):
                yield part
            case Root(_, Signed("-", _)):
                yield part
            case Product(factors, _):
                if sum("i" in letters(f) for f in factors) > 1 or any(
                    isinstance(f, Sum) for f in factors
                ):
                    yield part
            case Sum(terms):
                imaginary = sum("i" in letters(term.body) for term in terms)
                plain = sum(not letters(term.body) and not _holds_root(term.body) for term in terms)
                if imaginary > 1 or plain > 1:
                    yield part


def _holds_root(node: Expr) -> bool:
    return any(isinstance(part, Root) for part in parts(node))
