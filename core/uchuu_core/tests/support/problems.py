"""Random problems of each kind, in plain notation, by seed; most with the answers they were made from."""

from collections.abc import Callable
from dataclasses import dataclass, field
from fractions import Fraction
from random import Random


@dataclass(frozen=True, slots=True)
class Made:
    """A problem and, where it was built from them, its solutions (rational ones, as texts)."""

    task: str
    given: str
    answers: frozenset[Fraction] | None = None
    variable: str | None = None
    numbers: str = "real"
    record: dict[str, object] = field(default_factory=dict)


def _n(value: Fraction | int) -> str:
    value = Fraction(value)
    return f"({value})" if value < 0 or value.denominator > 1 else str(value)


def _some(r: Random, low: int = -9, high: int = 9) -> int:
    return r.choice([n for n in range(low, high + 1) if n])


def _line(a: Fraction | int, b: Fraction | int, letter: str = "x") -> str:
    """Write ``a x + b``."""
    return f"{_n(a)}{letter} + {_n(b)}"


def linear(r: Random) -> Made:
    """Brackets and terms on both sides."""
    x, a, b, c = Fraction(r.randint(-9, 9)), _some(r), r.randint(-9, 9), r.randint(-9, 9)
    k = _some(r, -5, 5)
    if k * a == c:
        c += 1
    d = k * (a * x + b) - c * x
    return Made("solve", f"{_n(k)}({_line(a, b)}) = {_line(c, d)}", frozenset({x}))


def linear_fractions(r: Random) -> Made:
    """Terms over numbers."""
    x, p, q = Fraction(r.randint(-9, 9)), r.randint(2, 6), r.randint(2, 6)
    a, b, c = _some(r), r.randint(-9, 9), r.randint(-9, 9)
    if Fraction(a, p) == Fraction(c, q):
        c += 1
    d = (a * x + b) / p - c * x / q
    return Made("solve", f"({_line(a, b)})/{p} = {_n(c)}x/{q} + {_n(d)}", frozenset({x}))


def quadratic_factored(r: Random) -> Made:
    """Multiplied out from two linear factors, some terms across."""
    p, s = r.randint(1, 4), r.randint(1, 4)
    q, t = r.randint(-9, 9), r.randint(-9, 9)
    k = r.choice([1, 1, 1, 2, -1, 3])
    a, b, c = k * p * s, k * (p * t + q * s), k * q * t
    moved_b, moved_c = r.choice([0, b, _some(r)]), r.choice([0, c, _some(r)])
    left = f"{_n(a)}x^2 + {_n(b - moved_b)}x + {_n(c - moved_c)}"
    right = f"{_n(-moved_b)}x + {_n(-moved_c)}" if moved_b or moved_c else "0"
    return Made("solve", f"{left} = {right}", frozenset({Fraction(-q, p), Fraction(-t, s)}))


def quadratic_any(r: Random) -> Made:
    """Any coefficients, real or complex."""
    a, b, c = _some(r, -4, 4), r.randint(-12, 12), r.randint(-12, 12)
    numbers = r.choice(["real", "complex"])
    return Made("solve", f"{_n(a)}x^2 + {_n(b)}x + {_n(c)} = 0", numbers=numbers)


def square(r: Random) -> Made:
    """One square to isolate."""
    p, q, k = _some(r, -4, 4), r.randint(-7, 7), _some(r, -4, 4)
    value, across = Fraction(r.randint(-20, 60), r.choice([1, 1, 4])), r.randint(-9, 9)
    given = f"{_n(k)}({_line(p, q)})^2 + {_n(across)} = {_n(k * value + across)}"
    return Made("solve", given, numbers=r.choice(["real", "complex"]))


def polynomial(r: Random) -> Made:
    """A product that is zero, or a cubic multiplied out from small zeros."""
    zeros = [r.randint(-4, 4) for _ in range(3)]
    if r.random() < 0.5:
        given = "".join(f"(x + {_n(-z)})" for z in zeros) + " = 0"
    else:
        a, b, c = zeros
        given = f"x^3 + {_n(-(a + b + c))}x^2 + {_n(a * b + b * c + a * c)}x + {_n(-a * b * c)} = 0"
    return Made("solve", given, frozenset(map(Fraction, zeros)))


def rational(r: Random) -> Made:
    """Fractions with linear denominators, sometimes one that is a product."""
    b, d = r.sample(range(-6, 7), 2)
    a, c, e = _some(r), _some(r), r.randint(-3, 3)
    first, second = f"{_n(a)}/(x + {_n(b)})", f"{_n(c)}/(x + {_n(d)})"
    third = r.choice([_n(e), f"{_n(_some(r))}/((x + {_n(b)})(x + {_n(d)}))", f"x/(x + {_n(d)})"])
    if r.random() < 0.3:
        third = f"{_n(_some(r))}/(x^2 + {_n(b + d)}x + {_n(b * d)})"
    return Made(
        "solve", r.choice([f"{first} + {second} = {third}", f"{first} = {second} + {third}"])
    )


def proportion(r: Random) -> Made:
    """One fraction on each side."""
    b = r.randint(-5, 5)
    return Made(
        "solve",
        f"{_n(_some(r))}/(x + {_n(b)}) = ({_line(_some(r, -3, 3), r.randint(-5, 5))})/{r.randint(2, 6)}",
    )


def radical_one(r: Random) -> Made:
    """A root and a polynomial."""
    x, c, d = r.randint(-4, 9), _some(r, -2, 2), r.randint(-4, 6)
    value = c * x + d
    a = _some(r, -5, 5)
    b = value * value - a * x
    k, s = r.choice([1, 1, 2]), r.randint(-3, 3)
    return Made("solve", f"{k}sqrt({_line(a, b)}) + {s} = {_line(k * c, k * d + s)}")


def radical_two(r: Random) -> Made:
    """Two roots, a number between them."""
    u, v, x = r.randint(0, 5), r.randint(0, 5), r.randint(-3, 9)
    a, c = _some(r, 1, 4), _some(r, 1, 4)
    sign, total = r.choice([("+", u + v), ("-", u - v)])
    first, second = f"sqrt({_line(a, u * u - a * x)})", f"sqrt({_line(c, v * v - c * x)})"
    return Made("solve", f"{first} {sign} {second} = {_n(total)}")


def power(r: Random) -> Made:
    """The unknown once, inside a power or a root."""
    p, q, k, across = _some(r, -3, 3), r.randint(-5, 5), _some(r, -4, 4), r.randint(-9, 9)
    n, value = r.choice([(3, r.randint(-3, 3)), (4, r.randint(0, 2)), (5, r.randint(-2, 2))])
    given = f"{_n(k)}({_line(p, q)})^{n} + {_n(across)} = {_n(k * value**n + across)}"
    return Made("solve", given)


def exponential(r: Random) -> Made:
    """Powers of one base on both sides."""
    base, x = r.choice([2, 3, 5]), r.randint(-3, 4)
    i, j = r.randint(1, 3), r.randint(1, 3)
    p, q = _some(r, -2, 3), r.randint(-3, 3)
    total = i * (p * x + q)
    s = _some(r, -2, 2)
    if j * s == i * p:
        s += 1
    t = Fraction(total - j * s * x, j)
    given = f"{base**i}^({_line(p, q)}) = {base**j}^({_line(s, t)})"
    return Made("solve", given, frozenset({Fraction(x)}))


def exponential_sum(r: Random) -> Made:
    """A repeated power to factor out."""
    base, x, k, m = r.choice([2, 3, 5]), r.randint(0, 3), r.randint(1, 3), r.randint(1, 4)
    value = base ** (x + k) + m * base**x
    return Made("solve", f"{base}^(x + {k}) + {m}*{base}^x = {value}", frozenset({Fraction(x)}))


def substitution(r: Random) -> Made:
    """A quadratic in a power, a bracket, or a power of two."""
    u, v = r.choice([(1, 4), (4, 9), (2, 3), (-1, 4), (1, 16), (-2, 5)])
    b, c = -(u + v), u * v
    part = r.choice(["x", "(x^2 + 2x)", "(x - 3)", "2^"])
    if part == "2^":
        return Made("solve", f"4^x + {_n(b)}*2^x + {_n(c)} = 0")
    power = "x^4 + {}x^2 + {} = 0" if part == "x" else part + "^2 + {}" + part + " + {} = 0"
    return Made("solve", power.format(_n(b), _n(c)))


def formula(r: Random) -> Made:
    """Further letters; solved for x."""
    given = r.choice(
        [
            f"{_some(r)}x + a = b + {_some(r)}",
            f"ax + {_some(r)} = bx + c",
            f"a/x = b + {_some(r, 1, 9)}",
            f"y = (x + {_some(r, 1, 9)})/(x - {_some(r, 1, 9)})",
            f"{_some(r, 1, 5)}(x - a) = {_some(r, 6, 9)}x + b",
            f"p = (q*x^2)/{_some(r, 2, 5)}",
            "1/x = 1/a + 1/b",
        ]
    )
    return Made("solve", given, variable="x")


def monomials(r: Random) -> Made:
    """Powers of products and quotients, exponents of both signs."""

    def one() -> str:
        powers = "*".join(f"{letter}^{_n(_some(r, -4, 5))}" for letter in r.sample("abx", 2))
        return f"{r.choice([2, 3, 4, 6])}*{powers}"

    shape = r.choice(["({})^{}*{}", "{}/({})", "(({})/({}))^{}", "({})^{}/({})"])
    match shape.count("{}"):
        case 2:
            given = shape.format(one(), one())
        case 3 if shape.startswith("(("):
            given = shape.format(one(), one(), _n(r.choice([-2, -1, 2, 3])))
        case _:
            given = shape.format(one(), _n(r.choice([-2, -1, 2, 3])), one())
    return Made("simplify", given)


def numbers_of_one_base(r: Random) -> Made:
    """Powers of 2, 3 or 5 with letters in the exponents."""
    base = r.choice([2, 3, 5])
    i, j = r.randint(1, 3), r.randint(1, 3)
    first = f"{base**i}^({_line(_some(r, -3, 3), r.randint(-2, 2), 'n')})"
    second = f"{base**j}^({_line(_some(r, -3, 3), r.randint(-2, 2), 'n')})"
    return Made("simplify", f"{first}{r.choice('*/')}{second}")


def powers_of_numbers(r: Random) -> Made:
    """Numbers with exponents of all kinds."""
    base, n = r.choice([(4, 2), (8, 3), (9, 2), (16, 4), (27, 3), (25, 2)])
    first = f"{base}^{_n(Fraction(_some(r, -3, 3), n))}"
    second = f"{r.choice([2, 3, 5])}^{_n(_some(r, -3, 3))}"
    return Made("evaluate", f"{first}{r.choice('+-*/')}{second}")


def roots_of_monomials(r: Random) -> Made:
    """A root of a product of powers, squares in it or not."""
    name = r.choice(["sqrt", "sqrt", "cbrt"])
    inside = f"{r.randint(2, 80)}x^{r.randint(1, 6)}*y^{r.randint(1, 5)}"
    return Made("simplify", f"{r.randint(1, 5)}{name}({inside})")


def like_roots(r: Random) -> Made:
    """Sums of roots over one letter."""
    terms = [f"{_n(_some(r, -4, 4))}sqrt({r.choice([2, 8, 18, 32, 3, 12, 27])}x)" for _ in range(3)]
    return Made("simplify", " + ".join(terms))


def root_below(r: Random) -> Made:
    """Roots with or without letters below a bar."""
    a, b = r.randint(2, 30), r.randint(1, 9)
    below = r.choice(
        [f"sqrt({a})", f"sqrt({a}x)", f"sqrt(x) + {b}", f"sqrt({a}) - {b + 7}", f"{b}sqrt({a})"]
    )
    top = r.choice([str(b), f"{b}x", f"sqrt({a}) + {b}", "sqrt(x)"])
    return Made("simplify", f"({top})/({below})")


def mixed_numbers(r: Random) -> Made:
    """Mixed numbers, fractions and decimals."""

    def one() -> str:
        return r.choice(
            [
                f"{r.randint(1, 5)} {r.randint(1, 4)}/{r.randint(5, 7)}",
                f"{r.randint(1, 9)}/{r.randint(2, 9)}",
                f"({_n(_some(r))})",
            ]
        )

    return Made("evaluate", f"{one()} {r.choice('+-')} {one()} {r.choice('+-*')} {one()}")


def decimals(r: Random) -> Made:
    """Decimals in brackets and products."""
    a, b, c, d = (r.randint(1, 99) / 10 for _ in range(4))
    return Made("evaluate", f"{a}*({b} - {c}) {r.choice('+-')} {d}")


EXPRESSIONS: dict[str, Callable[[Random], Made]] = {
    made.__name__: made
    for made in (
        monomials,
        numbers_of_one_base,
        powers_of_numbers,
        roots_of_monomials,
        like_roots,
        root_below,
        mixed_numbers,
        decimals,
    )
}
EQUATIONS: dict[str, Callable[[Random], Made]] = {
    made.__name__: made
    for made in (
        linear,
        linear_fractions,
        quadratic_factored,
        quadratic_any,
        square,
        polynomial,
        rational,
        proportion,
        radical_one,
        radical_two,
        power,
        exponential,
        exponential_sum,
        substitution,
        formula,
    )
}
