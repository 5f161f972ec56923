"""Products of powers: a bracket's power goes to every factor, same bases are gathered, then negative exponents cross the bar."""

from collections.abc import Callable, Iterator
from fractions import Fraction
from functools import lru_cache

from uchuu_core.failures import OutOfScope
from uchuu_core.lawbook.exponents import (
    ADD_EXPONENTS,
    ADD_OR_SUBTRACT_EXPONENTS,
    CROSSES_THE_BAR,
    EXPONENT_ZERO,
    EXPONENTS_WORKED_OUT,
    NUMBERS_AS_POWERS_OF,
    NUMBERS_AS_PRIMES,
    POWER_TO_EVERY_FACTOR_OF,
    POWERS_OF_POWERS,
    SUBTRACT_EXPONENTS,
)
from uchuu_core.lawbook.numbers import DECIMALS_AS_FRACTIONS, NUMBERS_IN_FRONT, NUMBERS_WORKED_OUT
from uchuu_core.lawbook.says import Says, listed
from uchuu_core.limits import LARGEST_POWER
from uchuu_core.methods.bases import Base, as_primes, common_base
from uchuu_core.methods.distribution import Distribution
from uchuu_core.methods.method import BOARD, KEY, Method, Moment, Posed
from uchuu_core.methods.order_of_operations import better_in_primes, fractions_for_decimals
from uchuu_core.methods.orders import Rule, chain, rewritten
from uchuu_core.methods.powers import Exponents, Powers, powers_of, same_factors
from uchuu_core.methods.written import ring_of
from uchuu_core.moves.conditions import numeral
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Absolute,
    Expr,
    Line,
    Number,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Signed,
)
from uchuu_core.tree.paths import parts
from uchuu_core.tree.shape import unordered

PRIMES, ONE_BASE, LAWS = "prime-factorisation", "same-base", "laws-of-exponents"


def numbers_in(node: Expr) -> list[Fraction]:
    """Return the positive numbers that stand as factors or bases, fractions as one number."""
    match node:
        case Number():
            return [node.value]
        case Quotient(Number() as top, Number() as bottom, _) if bottom.value:
            return [top.value / bottom.value]
        case Power(base, _):
            return numbers_in(base)
        case Root(_, radicand):
            return numbers_in(radicand)
        case Signed(_, body):
            return numbers_in(body)
        case Product(factors, _):
            return [n for factor in factors for n in numbers_in(factor)]
        case Quotient(top, bottom, _):
            return [*numbers_in(top), *numbers_in(bottom)]
        case _:
            return []


def in_base(node: Expr, base: Base) -> Expr:
    """Write every number of *node* that stands as a factor or a base as a power of *base*."""
    match node:
        case Number() | Quotient(Number(), Number(), _):
            (value,) = numbers_in(node)
            exponent = base.exponent_of(value)
            if not exponent or exponent == 1:
                return node
            return Power(base.tree, build.number(exponent))
        case Power(below, exponent):
            return Power(in_base(below, base), exponent)
        case Root(index, radicand):
            power = base.exponent_of(numbers_in(radicand)[0]) if numbers_in(radicand) else None
            if power is None:
                return node
            return Power(base.tree, build.number(Fraction(power, index)))
        case Signed(sign, body):
            return Signed(sign, in_base(body, base))
        case Product(factors, _):
            return build.product(in_base(factor, base) for factor in factors)
        case Quotient(top, bottom, mark):
            return Quotient(in_base(top, base), in_base(bottom, base), mark)
        case _:
            return node


def _in_primes(part: Line) -> Line:
    """Write composite numbers outside exponents as products of primes."""
    match part:
        case Number() if part.is_whole and part.value > 1:
            return as_primes(int(part.text))
        case Power(base, exponent):
            return Power(_in_primes(base), exponent)  # type: ignore[arg-type]
        case Signed(sign, body):
            return Signed(sign, _in_primes(body))  # type: ignore[arg-type]
        case Product(factors, _):
            return build.product(_in_primes(factor) for factor in factors)  # type: ignore[misc]
        case Quotient(top, bottom, mark):
            return Quotient(_in_primes(top), _in_primes(bottom), mark)  # type: ignore[arg-type]
        case _:
            return part


_MISSING = {
    LAWS: "a number in it has a fraction as exponent: write it in primes",
    PRIMES: "no number in it is composite",
    ONE_BASE: "its numbers are not powers of one base",
}


def _holds_root_of_number(node: Expr) -> bool:
    return any(
        isinstance(part, Power)
        and numeral(part.base) is not None
        and (value := numeral(part.exponent)) is not None
        and value.denominator != 1
        for part in parts(node)
    )


def _in_shape(given: Expr, school: str) -> tuple[Expr, Says | None] | None:
    """Write the numbers as the school wants them; None when the school is not for them."""
    if school == LAWS:
        return None if _holds_root_of_number(given) else (given, None)
    if school == PRIMES:
        new = _in_primes(given)
        return (new, NUMBERS_AS_PRIMES()) if new != given else None  # type: ignore[return-value]
    numbers = numbers_in(given)
    base = common_base(numbers)
    if base is None or len(set(numbers)) < 2:
        return None
    says = NUMBERS_AS_POWERS_OF(base.tree)
    return in_base(given, base), says


@lru_cache(maxsize=64)
def _worked(given: Expr, school: str, largest: int) -> list[Moment]:
    """Return the moments.

    Raises:
        OutOfScope: it is no product of powers, or the school is not for it.
    """
    return list(_moments(given, school, largest))


def _moments(given: Expr, school: str, largest: int) -> Iterator[Moment]:
    exponents = Exponents(ring_of(given))
    order = chain(
        rewritten(fractions_for_decimals, lambda _: DECIMALS_AS_FRACTIONS()),
        _shaped_for(school),
        lambda line: product_of_powers(line, exponents, school != LAWS, largest),
    )
    return order(given)


def _shaped_for(school: str) -> Rule:
    """Return the rule that writes the numbers as the *school* wants them.

    Raises:
        OutOfScope: the school is not for this line.
    """

    def work(line: Expr) -> Iterator[Moment]:
        shape = _in_shape(line, school)
        if shape is None:
            raise OutOfScope(_MISSING[school])
        new, says = shape
        if new != line and says is not None:
            yield Moment(new, says)

    return work


def product_of_powers(
    node: Expr, exponents: Exponents, keeps_powers: bool, largest: int = LARGEST_POWER
) -> Iterator[Moment]:
    """Yield the lines from a product of powers to its simplest form.

    ``keeps_powers``: powers of numbers are worked out only at the end; those above *largest* are left.

    Raises:
        OutOfScope: it is no product of powers.
    """

    def read(line: Expr) -> Powers:
        return powers_of(line, exponents)

    def numbers_in_front(line: Expr) -> Iterator[Moment]:
        powers = read(line)
        if keeps_powers or largest < LARGEST_POWER or _repeats_number(powers):
            return
        early = _positive_worked(powers)
        if not same_factors(early, powers):
            yield Moment(early.tree(), NUMBERS_IN_FRONT())

    def gathered(line: Expr) -> Iterator[Moment]:
        powers = read(line)
        joined, written = powers.gathered()
        if joined != powers:
            yield Moment(written, _said_of_bases(powers))
            yield Moment(joined.tree(), EXPONENTS_WORKED_OUT(), BOARD)

    def crossed(line: Expr) -> Iterator[Moment]:
        powers = read(line)
        over = powers.crossed()
        if over != powers:
            yield Moment(over.tree(), CROSSES_THE_BAR(), KEY)

    order = chain(
        _taken_apart(exponents),
        numbers_in_front,
        gathered,
        crossed,
        rewritten(
            lambda line: read(line).worked_out(largest).tree(), lambda _: NUMBERS_WORKED_OUT(), KEY
        ),
    )
    return order(node)


def _taken_apart(exponents: Exponents) -> Rule:
    """Return the rule that gives every power a single base."""

    def work(line: Expr) -> Iterator[Moment]:
        apart = Distribution(exponents)
        new = apart.of(line)
        if apart.met:
            is_nested = all(isinstance(getattr(p, "base", None), Power) for p in apart.met)
            says = POWERS_OF_POWERS if is_nested else POWER_TO_EVERY_FACTOR_OF
            yield Moment(new, says(listed(apart.met)))

    return work


def _said_of_bases(powers: Powers) -> Says:
    """Say what is done where bases meet; where none does, an exponent is 0."""
    above, below = ([base for base, _ in side] for side in (powers.above, powers.below))
    adds = len(set(above)) < len(above) or len(set(below)) < len(below)
    if set(above) & set(below):
        return ADD_OR_SUBTRACT_EXPONENTS() if adds else SUBTRACT_EXPONENTS()
    return ADD_EXPONENTS() if adds else EXPONENT_ZERO()


def _repeats_number(powers: Powers) -> bool:
    bases = [base for base, _ in (*powers.above, *powers.below) if isinstance(base, Number)]
    return len(set(bases)) < len(bases)


def _positive_worked(powers: Powers) -> Powers:
    """Work out the powers of numbers with positive whole exponents, and reduce."""
    waiting = Powers(
        powers.exponents,
        1,
        tuple(f for f in powers.above if not _is_ready(f, powers.exponents)),
        tuple(f for f in powers.below if not _is_ready(f, powers.exponents)),
    )
    ready = Powers(
        powers.exponents,
        powers.sign,
        tuple(f for f in powers.above if _is_ready(f, powers.exponents)),
        tuple(f for f in powers.below if _is_ready(f, powers.exponents)),
    ).worked_out()
    return Powers(
        powers.exponents,
        ready.sign,
        (*ready.above, *waiting.above),
        (*ready.below, *waiting.below),
    )


def _is_ready(factor: tuple[Expr, object], exponents: Exponents) -> bool:
    base, exponent = factor
    value = exponents.number(exponent)
    return isinstance(base, Number) and value is not None and value.denominator == 1 and value > 0


def _refusal(school: str) -> Callable[[Posed], str | None]:
    def refusal(posed: Posed) -> str | None:
        if isinstance(posed.given, Relation):
            return "this is an equation"
        start = build.without_brackets(posed.given)
        if not any(isinstance(part, Power) for part in parts(start)):
            return "it holds no power"
        if any(isinstance(part, (Root, Absolute)) for part in parts(start)):
            return "it holds roots or absolute values"
        try:
            found = _worked(start, school, posed.house.powers_up_to)
        except OutOfScope as reason:
            return reason.clause
        comes_back = found and unordered(found[-1].line) == unordered(start)
        return "it is in simplest form already" if comes_back or not found else None

    return refusal


def _method_moments(school: str) -> Callable[[Posed], Iterator[Moment]]:
    return lambda posed: iter(
        _worked(build.without_brackets(posed.given), school, posed.house.powers_up_to)
    )


def _suits(school: str) -> Callable[[Posed], bool]:
    """Return whether the laws suit: not where bases only meet once they are written in primes."""

    def suits(posed: Posed) -> bool:
        given = posed.given
        return school != LAWS or not better_in_primes(given) or _in_primes(given) == given

    return suits


_WHY = {
    ONE_BASE: "The numbers are powers of one base: only exponents are left to work with.",
    LAWS: "A product of powers: gather same bases.",
    PRIMES: "Primes show which bases meet.",
}
EXPONENTS = tuple(
    Method(
        key=school,
        tasks=("simplify", "evaluate"),
        refusal=_refusal(school),
        why=why,
        moments=_method_moments(school),
        suits=_suits(school),
    )
    for school, why in _WHY.items()
)
