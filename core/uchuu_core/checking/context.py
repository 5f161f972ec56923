"""What every line of one paper is judged with: the problem, its letters, the original."""

import re
from collections.abc import Sequence
from dataclasses import dataclass, field, replace
from typing import Any

from uchuu_core.checking.entries import Entry
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure, OutOfScope
from uchuu_core.kernel.domains import Domain, domain_of
from uchuu_core.kernel.equality import difference
from uchuu_core.kernel.numbers import Numbers
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import Ring, ring
from uchuu_core.kernel.solutions import SolutionSet
from uchuu_core.kernel.solving import solution_set
from uchuu_core.methods.method import Posed
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import (
    Absolute,
    Either,
    Line,
    Outcome,
    Power,
    Product,
    Relation,
    Root,
    Symbol,
)
from uchuu_core.tree.paths import letters, parts, rebuild


@dataclass(frozen=True, slots=True)
class Context:
    """The problem read once, with one ring for all its lines."""

    problem: Problem
    given: Line
    unknown: str
    ring: Ring
    numbers: Numbers
    original: SolutionSet | None
    is_sound: bool = True
    """Whether no line so far was wrong: only then may a list leave failing candidates out."""

    def widened(self, *lines: Line) -> "Context":
        """Return the context with a ring that has the letters of *lines* as well."""
        names = frozenset().union(*(letters(line) for line in lines))
        names -= {"i"} if self.numbers.is_complex else set()
        if names <= set(self.ring.names):
            return self
        algebra = ring(tuple(sorted({*self.ring.names, *names})))
        wider = replace(self, ring=algebra)
        if self.original is None:
            return wider
        return replace(wider, original=wider.solutions(self.given))

    @property
    def case(self) -> "Case":
        """The context as what a judgement of a line depends on."""
        problem = self.problem
        key = (problem.task, self.given, self.unknown, self.ring.names, self.numbers)
        return Case((*key, self.original is None, self.is_sound), self)

    @property
    def posed(self) -> Posed:
        """The problem as methods see it."""
        problem = self.problem
        return Posed(self.given, self.unknown, self.numbers, problem.house, problem.form)

    @property
    def problem_in_its_letter(self) -> Problem:
        """The problem with its unknown named, so that other lines are read with the same one."""
        return replace(self.problem, variable=self.unknown or None)

    def problem_with(self, lines: list[str]) -> Problem:
        """Return the problem with *lines* as what was written."""
        return replace(self.problem, lines=tuple(lines))

    @property
    def is_equation(self) -> bool:
        """Whether the lines are equations to be solved."""
        return self.problem.task == "solve"

    def solutions(self, line: Line) -> SolutionSet:
        """Return the solutions of *line* among the numbers of the problem.

        Raises:
            NotRational, Undefined: see ``solution_set``.
        """
        return solution_set(line, self.unknown, self.ring, self.numbers)

    def domain(self, line: Line) -> Domain:
        """Return the conditions under which *line* has a value, as written."""
        return domain_of(line, self.ring, self.numbers)


@dataclass(frozen=True, slots=True)
class Case:
    """A context, equal to another one in which the same lines are judged alike."""

    key: tuple[Any, ...]
    context: Context = field(compare=False, repr=False)


def numbers_of(problem: Problem) -> Numbers:
    """Return which numbers *problem* is about."""
    return Numbers(problem.numbers == "complex", problem.house.radicals == "non-negative")


def context_of(problem: Problem, entries: Sequence[Entry | Failure]) -> Context:
    """Read the given and settle unknown and ring.

    A letter that only stands on a later line is none of the problem's: see ``Context.widened``.

    Raises:
        Unreadable, TooLarge: the given cannot be read.
    """
    given = problem.read(problem.given)
    if problem.task in ("study", "domain"):
        given, named = function_of(given)
        problem = replace(problem, variable=problem.variable or named)
    elif problem.task == "solve":
        refuse_systems(given, problem.given)
    numbers = numbers_of(problem)
    names: frozenset[str] = letters(given) - {"e"} if _is_base(given) else letters(given)
    if numbers.is_complex:
        names -= {"i"}
    lines = [line for e in entries if isinstance(e, Entry) for line in e.lines]
    unknown = problem.variable or guessed_unknown(given, lines, names)
    algebra = ring(tuple(sorted(names | {unknown} if unknown else names)))
    context = Context(problem, given, unknown, algebra, numbers, None)
    if not context.is_equation:
        return context
    try:
        original = context.solutions(given)
    except (NotRational, Undefined):
        return context
    if original.is_empty and _means_complex(context, lines):
        return context_of(replace(problem, numbers="complex"), entries)
    return replace(context, original=original)


def _means_complex(context: Context, lines: list[Line]) -> bool:
    """Whether a polynomial equation without a real solution is to be answered with i.

    The house says so, or the paper does: a right answer in another school's form is right.
    """
    if context.numbers.is_complex or "i" in letters(context.given):
        return False
    if any(line == Outcome("no solution") for line in lines):
        return False
    if any(isinstance(part, (Root, Absolute)) for part in parts(context.given)):
        return False
    asked = context.problem.house.no_real_root == "complex"
    if not asked and not any("i" in letters(line) for line in lines):
        return False
    try:
        zero = context.ring.function(difference(context.given.left, context.given.right))  # type: ignore[union-attr]
    except (NotRational, Undefined, Failure):
        return False
    return zero.denominator.is_constant() and not zero.numerator.is_constant()


def with_unknown(line: Line, unknown: str, given: frozenset[str]) -> Line:
    """Return *line* with ``x₁ = 2, x₂ = 3`` read as values of *unknown*, unless the given has x₁."""

    def change(part: Any) -> Any:
        if isinstance(part, Symbol) and part.name not in given:
            letter, _, index = part.name.partition("_")
            if index and letter == unknown:
                return Symbol(unknown)
        return part

    indexed = any("_" in name for name in letters(line) - given)
    return rebuild(line, change) if indexed else line


def function_of(given: Line) -> tuple[Line, str | None]:
    """Return what ``y = …`` or ``f(x) = …`` says the function is, and its letter where it is named.

    Of another equation, whose domain is asked for, left minus right: it has a value where both have.
    """
    match given:
        case Relation(Symbol(name), "=", right) if name not in letters(right):
            return right, None
        case Relation(left, "=", Symbol(name)) if name == "y" and name not in letters(left):
            return left, None
        case Relation(Product((Symbol(name), argument), _), "=", right) if name not in letters(
            right
        ):
            inner = without_brackets(argument)
            return right, inner.name if isinstance(inner, Symbol) else None
        case Relation(left, "=", right):
            return difference(left, right), None
        case _:
            return given, None


def refuse_systems(given: Line, text: str) -> None:
    """Refuse two equations side by side, of which both are meant to hold.

    Raises:
        OutOfScope: *given* is such a system.
    """
    if not isinstance(given, Either) or not given.is_or or re.search(r"\bor\b|∨|\\l?or", text):
        return
    if len(letters(given)) > 1:
        raise OutOfScope(
            "These are two equations that hold together, a system. One equation is worked at a time."
        )


def _is_base(given: Line) -> bool:
    """Return whether e stands as the base of a power: it is a number then."""
    return any(isinstance(p, Power) and p.base == Symbol("e") for p in parts(given))


def guessed_unknown(given: Line, lines: list[Line], names: frozenset[str]) -> str:
    """Return the letter that is solved for: the only one, else the one left alone, else x.

    ``names``: the letters that may be meant (not the imaginary unit).
    """
    found = sorted((letters(given) & names) - {"π"})
    if len(found) <= 1:
        return found[0] if found else "x"
    for line in reversed(lines):
        if isinstance(line, Relation):
            for side in (line.left, line.right):
                if len(getattr(side, "name", "")) and side.name in found:  # type: ignore[union-attr]
                    return side.name  # type: ignore[union-attr]
    return "x" if "x" in found else found[-1]
