"""Laws of exponents. Sources of the rules: any secondary algebra course; the kernel proves each example."""

from uchuu_core.lawbook.exponents import (
    ADD_OR_SUBTRACT_EXPONENTS,
    EXPONENT_AS_ROOT,
    EXPONENT_ZERO,
    EXPONENTS_MULTIPLIED,
    ONE_OVER_THE_POWER,
    POWER_TO_EVERY_FACTOR_OF,
)
from uchuu_core.moves.conditions import Above, Different, Even, Numeral, Unsigned
from uchuu_core.moves.move import Example, Move, Rewrite

PRODUCT_OF_POWERS = Move(
    key="same-base",
    says=ADD_OR_SUBTRACT_EXPONENTS,
    rewrites=(
        Rewrite("a^m * a^n", "a^(m+n)"),
        Rewrite("a * a^n", "a^(1+n)"),
        Rewrite("a^m / a^n", "a^(m-n)"),
        Rewrite("a^m / a", "a^(m-1)"),
    ),
    examples=(
        Example("x^2*x^5", "x^(2+5)"),
        Example("x*x^5", "x^(1+5)"),
        Example("y^7/y^3", "y^(7-3)"),
        Example("y^4/y", "y^(4-1)"),
        Example("3^2*3^5", "3^(2+5)"),
    ),
    refuses=("x^2*y^5", "x^2+x^5", "x^2-x^5"),
)
POWER_OF_POWER = Move(
    key="power-of-power",
    says=EXPONENTS_MULTIPLIED,
    rewrites=(
        Rewrite("(a^m)^n", "a^(m*n)", (Numeral("n", positive=True), Even("n", odd=True))),
        Rewrite("(a^m)^n", "a^(m*n)", (Above("m", 0, whole=True), Above("n", 1), Even("n"))),
    ),
    examples=(
        Example("(x^2)^3", "x^(2*3)"),
        Example("(k^(-2))^5", "k^((-2)*5)"),
        Example("(x^3)^4", "x^(3*4)"),
    ),
    refuses=("x^2*x^3", "(x^2+1)^3", "(x^2)^(1/2)"),
)
POWER_OF_PRODUCT = Move(
    key="power-of-product",
    says=POWER_TO_EVERY_FACTOR_OF,
    rewrites=(
        Rewrite("(a*b)^n", "a^n*b^n", (Above("n", 1, whole=True),)),
        Rewrite("(a/b)^n", "a^n/b^n", (Above("n", 1, whole=True),)),
    ),
    examples=(
        Example("(2x)^3", "2^3*x^3"),
        Example("(5y)^2", "5^2*y^2"),
        Example("(x/3)^2", "x^2/3^2"),
        Example("(2/y)^3", "2^3/y^3"),
        Example("(3y^2)^4", "3^4*(y^2)^4"),
    ),
    refuses=("(2+x)^3", "2x^3", "(2x)^(1/2)"),
)
NEGATIVE_EXPONENT = Move(
    key="negative-exponent",
    says=ONE_OVER_THE_POWER,
    rewrites=(
        Rewrite("a^(-n)", "1/a^n", (Unsigned("n"),)),
        Rewrite("b/a^(-n)", "b*a^n", (Unsigned("n"),)),
        Rewrite("(a/b)^(-n)", "(b/a)^n", (Unsigned("n"), Different("a", "b"))),
    ),
    examples=(
        Example("x^(-3)", "1/x^3"),
        Example("2/y^(-4)", "2*y^4"),
        Example("(2/3)^(-2)", "(3/2)^2"),
    ),
    refuses=("x^3", "-x^3"),
)
ZERO_EXPONENT = Move(
    key="zero-exponent",
    says=EXPONENT_ZERO,
    rewrites=(Rewrite("a^0", "1"),),
    examples=(Example("5*x^0", "5*1"), Example("7^0+1", "1+1")),
    refuses=("0*x", "x^10"),
)
ROOT_AS_EXPONENT = Move(
    key="rational-exponent",
    says=EXPONENT_AS_ROOT,
    rewrites=(
        Rewrite("a^(1/2)", "sqrt(a)"),
        Rewrite("a^(1/3)", "cbrt(a)"),
        Rewrite("a^(n/2)", "sqrt(a)^n", (Numeral("n", positive=True), Even("n", odd=True))),
        Rewrite("a^(n/3)", "cbrt(a)^n", (Numeral("n", positive=True),)),
    ),
    examples=(
        Example("9^(1/2)", "sqrt(9)"),
        Example("x^(1/3)", "cbrt(x)"),
        Example("4^(3/2)", "sqrt(4)^3"),
        Example("8^(2/3)", "cbrt(8)^2"),
    ),
    refuses=("9*1/2", "x^3"),
)

LAWS = (
    PRODUCT_OF_POWERS,
    POWER_OF_POWER,
    POWER_OF_PRODUCT,
    NEGATIVE_EXPONENT,
    ZERO_EXPONENT,
    ROOT_AS_EXPONENT,
)
