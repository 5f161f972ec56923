"""The schools: kinds of problems that courses work differently, and the ways among which one is taught."""

from dataclasses import dataclass

from uchuu_core.contract import Task
from uchuu_core.methods.catalogue import METHODS


@dataclass(frozen=True, slots=True)
class School:
    """One kind of problem: ``given`` shows each of its ``methods``."""

    key: str
    task: Task
    given: str
    methods: tuple[str, ...]


def _school(key: str, task: Task, given: str, *methods: str) -> School:
    built = {method.key for method in METHODS if task in method.tasks}
    if not built.issuperset(methods):
        raise LookupError(f"No method for {task}: {set(methods) - built}")
    return School(key, task, given, methods)


SCHOOLS = (
    _school(
        "linear",
        "solve",
        "4x - 6 = 2x + 10",
        "simplify-both-sides-then-undo",
        "divide-every-term-first",
    ),
    _school(
        "fractions",
        "solve",
        "x/2 + 1 = x/3 + 4",
        "clear-fractions",
        "keep-fractions",
    ),
    _school(
        "quadratic",
        "solve",
        "x^2 - 6x + 8 = 0",
        "factor-and-zero-product",
        "complete-the-square",
        "quadratic-formula",
    ),
    _school(
        "trinomial",
        "factor",
        "6x^2 + 7x - 3",
        "split-middle-and-group",
        "divide-and-reduce",
        "by-inspection",
    ),
    _school("root", "simplify", "sqrt(72)", "largest-square-factor", "prime-factorisation"),
    _school(
        "below", "simplify", "6/sqrt(12)", "simplify-then-rationalise", "combine-then-rationalise"
    ),
    _school("rational", "solve", "2/x + 1/3 = 1", "multiply-by-lcd", "common-denominators"),
    _school("proportion", "solve", "5/(2x) = 7/(4x - 6)", "multiply-by-lcd", "cross-multiply"),
    _school(
        "complex",
        "simplify",
        "(1 + 1/x)/(1 - 1/x)",
        "combine-then-divide",
        "multiply-through-by-lcd",
    ),
    _school("division", "study", "(x^2 + 3x + 5)/(x - 1)", "long-division", "synthetic-division"),
)
