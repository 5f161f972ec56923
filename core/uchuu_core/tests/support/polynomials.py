"""Strategies for factoring and rational expressions: products that are known, multiplied out."""

import sympy
from hypothesis import strategies as st

X, Y = sympy.symbols("x y")


def text(expression: sympy.Expr) -> str:
    """Write an expression of the oracle in plain notation."""
    return str(expression).replace("**", "^")


@st.composite
def binomials(draw: st.DrawFn, *, letters: int = 1) -> sympy.Expr:
    """Return a·x + b, or a·x + b·y with two letters."""
    slope = draw(st.sampled_from([1, 1, 1, 2, 3, 5, -1]))
    last = draw(st.integers(-9, 9).filter(bool))
    return slope * X + last * (Y if letters == 2 else 1)


@st.composite
def products(draw: st.DrawFn) -> sympy.Expr:
    """Return a polynomial that was multiplied out of up to three factors and a monomial."""
    letters = draw(st.sampled_from([1, 1, 1, 2]))
    result = sympy.Integer(draw(st.sampled_from([1, 1, 2, 3, -1, 6])))
    result *= X ** draw(st.integers(0, 2))
    for _ in range(draw(st.integers(1, 2))):
        result *= draw(binomials(letters=letters))
    if draw(st.integers(0, 3)) == 0:
        result *= X**2 + draw(st.sampled_from([1, 2, -2, -3]))
    return sympy.expand(result)


@st.composite
def fractions(draw: st.DrawFn) -> str:
    """Return one fraction of products, in plain notation."""
    top, bottom = draw(products()), draw(products())
    return f"({text(top)})/({text(bottom)})"


@st.composite
def rational_expressions(draw: st.DrawFn) -> str:
    """Return fractions multiplied, divided, added, subtracted, or one inside another."""
    one, other = draw(fractions()), draw(fractions())
    small = f"{draw(st.integers(1, 9))}/({text(draw(binomials()))})"
    match draw(st.integers(0, 5)):
        case 0:
            return one
        case 1:
            return f"{one}*({other})"
        case 2:
            return f"{one}÷({other})"
        case 3:
            return f"{one} {draw(st.sampled_from('+-'))} {small}"
        case 4:
            return f"(1 + {small})/({small} - 2)"
        case _:
            return f"({one})/({small})"
