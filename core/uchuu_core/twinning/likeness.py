"""What a problem is like to work: by what route, to what kind of answer, with how large numbers."""

from dataclasses import dataclass
from fractions import Fraction
from typing import Any

from uchuu_core.checking.context import Context
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.solutions import Logarithm, Point
from uchuu_core.methods.catalogue import chosen
from uchuu_core.studying.study import features_record
from uchuu_core.tree.nodes import Line, Mixed, Number, Quotient, Relation, Root
from uchuu_core.tree.paths import parts
from uchuu_core.tree.shape import outline
from uchuu_core.working.lines import WorkedLine, worked_lines


@dataclass(frozen=True, slots=True)
class Likeness:
    """A worked problem, as far as twins share it.

    Attributes:
        method: the method it was worked by.
        laws: the law of each line.
        kind: of its answer: of each solution, of each feature, or the answer's outline.
        rejected: how many candidates fail in the given.
        largest: the largest numeral on its lines; fractions and roots: how many lines hold one.
    """

    method: str
    laws: tuple[str, ...]
    kind: Any
    rejected: int
    largest: Fraction
    fractions: int
    roots: int

    def is_as_nice(self, other: "Likeness") -> bool:
        """Whether working it is no more awkward than working *other*."""
        return (
            self.largest <= max(2 * other.largest, Fraction(30))
            and self.fractions <= other.fractions
            and self.roots <= other.roots
        )

    def is_like(self, other: "Likeness") -> bool:
        """Whether both end in the same kind of answer by the same method."""
        return (self.method, self.kind, self.rejected) == (
            other.method,
            other.kind,
            other.rejected,
        )


def likeness(context: Context, method_key: str | None) -> tuple[Likeness, list[WorkedLine]]:
    """Work the problem; return what it is like, and its lines.

    Raises:
        Failure: it cannot be worked by the method named (the default one for None).
    """
    problem: Problem = context.problem
    method = chosen(context.posed, problem.task, method_key)
    lines = worked_lines(context, method, "board")
    written = [line.moment.line for line in lines]
    whole: list[Any] = [part for line in (context.given, *written) for part in parts(line)]
    end = written[-1] if written else context.given
    found = Likeness(
        method.key,
        tuple(line.moment.law.key for line in lines),
        _kind(context, end),
        len({point for line in lines for point in line.rejects}),
        max(
            (part.value for part in whole if isinstance(part, (Number, Mixed))), default=Fraction(0)
        ),
        sum(_holds_fraction(line) for line in written),
        sum(any(isinstance(part, Root) for part in parts(line)) for line in written),
    )
    return found, lines


def _holds_fraction(line: Line) -> bool:
    return any(
        isinstance(part, Mixed)
        or (
            isinstance(part, Quotient)
            and isinstance(part.numerator, Number)
            and isinstance(part.denominator, Number)
        )
        for part in parts(line)
    )


def _kind(context: Context, end: Line) -> Any:
    if context.problem.task == "study":
        found = features_record(context.given, context.unknown)
        return tuple(_size(name, value) for name, value in sorted(found.items()))
    if (kinds := kind_of_solutions(context)) is not None:
        return kinds
    return outline(end)


def _size(name: str, value: Any) -> Any:
    if name in ("points", "stretches", "range_excluded", "end"):
        return None
    if name == "horizontal":
        return value and value == "y=0"
    return len(value) if isinstance(value, list) else value is None


def quick_kind(context: Context) -> Any:
    """Return what the kernel alone can say of the answer's kind; None where that is nothing."""
    if isinstance(context.given, Relation):
        return kind_of_solutions(context)
    try:
        value = context.ring.lowest(context.ring.function(context.given))  # type: ignore[arg-type]
    except (NotRational, Undefined, ArithmeticError, Failure):
        return None
    return tuple(_factors(context, part) for part in (value.numerator, value.denominator))


def _factors(context: Context, polynomial: Any) -> Any:
    """Return degrees, terms and exponents of the factors, and whether a number stands before them."""
    constant, found = context.ring.factored(polynomial)
    looks = sorted((f.polynomial.total_degree(), len(f.polynomial), power) for f, power in found)
    return abs(constant) == 1, looks


def kind_of_solutions(context: Context) -> Any:
    """Return the kinds of the solutions, None where there are no exact ones in one letter."""
    found = context.original
    if found is None or len(context.ring.names) != 1 or found.has_opaque:
        return None
    if found.everything or found.intervals:
        return ("everything", len(found.intervals), bool(found.excluded))
    kinds = sorted(_kind_of(point) for point in found.points)
    return (*kinds, f"{len(found.sheets - found.points)} not solutions")


def _kind_of(point: Point) -> str:
    if isinstance(point, Logarithm):
        return "logarithm"
    if not isinstance(point, Algebraic):
        return "other"
    if point.degree == 1:
        return "zero" if point.coefficients[0] == 0 else "whole" if _is_whole(point) else "fraction"
    return f"degree {point.degree} {'real' if point.is_real else 'complex'} {_below(point)}"


def _is_whole(point: Algebraic) -> bool:
    return point.coefficients[1] == 1


def _below(point: Algebraic) -> str:
    """Say whether a root of a quadratic needs a denominator."""
    if point.degree != 2:
        return ""
    c, b, a = point.coefficients
    return "over 1" if b % (2 * a) == 0 and c % a == 0 else "over more"
