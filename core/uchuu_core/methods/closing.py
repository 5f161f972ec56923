"""The form in which an answer is left, as the house has it: what a method writes after its last line.

A method ends in a right and finished line. Courses differ in how that is left: an improper fraction or a mixed number,
the top of a fraction multiplied out or in factors. What is written here is one more line, of another school.
"""

from collections.abc import Callable, Iterator
from dataclasses import replace

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.finished import FACTORED, MIXED_NUMBER
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.lawbook.expanding import COLLECT_TERMS
from uchuu_core.lawbook.fractions import FACTOR_TOP
from uchuu_core.lawbook.numbers import AS_MIXED
from uchuu_core.methods.fractions_in_letters import in_factors, is_polynomial
from uchuu_core.methods.method import BOARD, KEY, Method, Moment, Posed
from uchuu_core.methods.polynomials import expansions
from uchuu_core.methods.written import polynomial_tree, ring_of
from uchuu_core.moves.conditions import numeral
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Either,
    Expr,
    Line,
    Mixed,
    Number,
    Power,
    Product,
    Quotient,
    Relation,
    Signed,
    Sum,
)
from uchuu_core.tree.paths import letters


def closing(method: Method) -> Method:
    """Return *method*, its answer left in the form that the house has."""

    def moments(posed: Posed) -> Iterator[Moment]:
        last: Moment | None = None
        for last in method.moments(posed):
            yield last
        if last is not None:
            yield from _closed(last.line, posed)

    return replace(method, moments=moments)


def _closed(line: Line, posed: Posed) -> Iterator[Moment]:
    if posed.house.fractions == "mixed" or MIXED_NUMBER in posed.forms:
        yield from _as_mixed(line)
    if isinstance(line, (Quotient, Signed)):
        is_factored = posed.house.numerators == "factored" or FACTORED in posed.forms
        yield from _with_top(line, is_factored)


# mixed numbers


def _as_mixed(line: Line) -> Iterator[Moment]:
    """Write an answer that is a fraction above 1, or below −1, as a mixed number."""
    ends = line.options if isinstance(line, Either) else (line,)
    values = [end.right if isinstance(end, Relation) else end for end in ends]
    pairs = [(value, _mixed(value)) for value in values]  # type: ignore[arg-type]
    changed = [(old, new) for old, new in pairs if new is not None]
    if not changed:
        return
    written: list[Line] = [
        line if new is None else replace(line, right=new) if isinstance(line, Relation) else new
        for line, (_, new) in zip(ends, pairs, strict=True)
    ]
    whole: Line = written[0]
    if isinstance(line, Either):
        whole = replace(line, options=tuple(written))  # type: ignore[arg-type]
    yield Moment(whole, AS_MIXED(fraction=changed[0][0], value=changed[0][1]), KEY)


def _mixed(node: Expr) -> Expr | None:
    if not isinstance(node, (Quotient, Signed)) or letters(node):
        return None
    value = numeral(node)
    if value is None or value.denominator == 1 or abs(value) < 1:
        return None
    whole, top = divmod(abs(value.numerator), value.denominator)
    mixed = Mixed(whole, top, value.denominator)
    return build.negative(mixed) if value < 0 else mixed


# the top of a fraction over letters


def _with_top(line: Expr, is_factored: bool) -> Iterator[Moment]:
    """Write the top multiplied out, or in factors; the bottom stays as it is."""
    fraction = line.body if isinstance(line, Signed) else line
    if not isinstance(fraction, Quotient) or not letters(fraction.denominator):
        return
    top, below = fraction.numerator, fraction.denominator
    algebra = ring_of(line)
    if not is_polynomial(top, algebra) or not is_polynomial(below, algebra):
        return

    def over(new: Expr) -> Expr:
        whole = Quotient(new, below)
        return Signed(line.sign, whole) if isinstance(line, Signed) else whole

    try:
        polynomial = algebra.function(top).numerator
        if is_factored:
            factored = in_factors(polynomial, algebra)
            yield from _in_factors(top, factored.tree(algebra), over)
        elif _is_product_of_sums(top):
            opened = [moment for moment in expansions(top) if moment.weight >= BOARD]
            yield from (replace(m, line=over(m.line)) for m in opened)  # type: ignore[arg-type]
            end = polynomial_tree(polynomial, algebra)
            if not opened or end != opened[-1].line:
                yield Moment(over(end), COLLECT_TERMS(), KEY)
    except (OutOfScope, NotRational, Undefined):
        return


def _in_factors(top: Expr, factored: Expr, over: Callable[[Expr], Expr]) -> Iterator[Moment]:
    if isinstance(top, Sum) and not isinstance(factored, Sum):
        yield Moment(over(factored), FACTOR_TOP(), KEY)


def _is_product_of_sums(top: Expr) -> bool:
    """Whether two brackets are multiplied; one with a number or a letter before it is as easy to read as it is."""
    body = top.body if isinstance(top, Signed) else top
    return _brackets(body) > 1


def _brackets(node: Expr) -> int:
    match node:
        case Product(factors, _):
            return sum(_brackets(factor) for factor in factors)
        case Power(Sum(), Number() as exponent) if exponent.is_whole:
            return int(exponent.text)
        case Sum():
            return 1
        case _:
            return 0
