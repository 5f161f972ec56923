"""Signs to a power with a letter: (-z)^n is z^n for even n, and -z^n for odd n."""

from itertools import product as choices
from typing import Any

from uchuu_core.tree.nodes import Bracket, Expr, Number, Power, Product, Signed, Sum, Symbol
from uchuu_core.tree.paths import letters, parts, rebuild

Parity = dict[str, int]


def holds_sign_to_a_letter(node: Expr) -> bool:
    """Return whether a power with a minus sign in front of its base has a letter in its exponent."""
    return any(
        isinstance(part, Power) and _is_negative(part.base) and letters(part.exponent)
        for part in parts(node)
    )


def by_parity(node: Expr, other: Expr) -> list[Expr]:
    """Return *node* for every choice of even and odd for the letters in such exponents of both."""
    names: set[str] = set()
    for part in (*parts(node), *parts(other)):
        if isinstance(part, Power) and _is_negative(part.base):
            names |= letters(part.exponent)
    ordered = sorted(names)
    return [
        _settled(node, dict(zip(ordered, bits, strict=True)))
        for bits in choices((0, 1), repeat=len(ordered))
    ]


def _is_negative(base: Expr) -> bool:
    inner = base.body if isinstance(base, Bracket) else base
    return isinstance(inner, Signed) and inner.sign == "-"


def _settled(node: Expr, parity: Parity) -> Expr:
    def change(part: Any) -> Any:
        if not (isinstance(part, Power) and _is_negative(part.base) and letters(part.exponent)):
            return part
        is_odd = _parity(part.exponent, parity)
        if is_odd is None:
            return part
        inner = part.base.body if isinstance(part.base, Bracket) else part.base
        assert isinstance(inner, Signed)
        positive = Power(inner.body, part.exponent)
        return Bracket(Signed("-", positive)) if is_odd else positive

    return rebuild(node, change)  # type: ignore[no-any-return]


def _parity(node: Expr, parity: Parity) -> int | None:
    """Return a whole exponent modulo two; None where it is not seen."""
    match node:
        case Number() if node.is_whole:
            return int(node.text) % 2
        case Symbol(name):
            return parity.get(name)
        case Signed("-", body) | Bracket(body):
            return _parity(body, parity)
        case Sum(terms):
            found = [_parity(term.body, parity) for term in terms]
            return None if None in found else sum(found) % 2  # type: ignore[arg-type]
        case Product(factors, _):
            found = [_parity(factor, parity) for factor in factors]
            if 0 in found:
                return 0
            return None if None in found else 1
        case _:
            return None
