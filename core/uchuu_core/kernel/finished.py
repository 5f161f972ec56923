"""Is a right line in the form that the task asks for? Says what is unmet; knows no moves."""

from math import gcd

from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import Key, Ring, ring
from uchuu_core.tree.nodes import (
    Chain,
    Either,
    Expr,
    Line,
    Mixed,
    Number,
    Outcome,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
    Symbol,
    ValueSet,
)
from uchuu_core.tree.paths import letters, walk

LOWEST_TERMS = "lowest terms"
LIKE_TERMS = "like terms collected"
WORKED_OUT = "worked out"
EXPANDED = "expanded"
ALONE = "unknown alone"


def is_finished_number(node: Expr) -> bool:
    """Return whether *node* is one number in lowest terms: integer, decimal, fraction or mixed."""
    match node:
        case Number():
            return True
        case Mixed(_, top, bottom):
            return top < bottom and gcd(top, bottom) == 1
        case Signed("-", body):
            return not isinstance(body, Signed) and is_finished_number(body)
        case Quotient(Number() | Signed("-", Number()) as top, Number() as bottom, "/"):
            above = top.body if isinstance(top, Signed) else top
            if not (isinstance(above, Number) and above.is_whole and bottom.is_whole):
                return False
            return int(bottom.text) > 1 and gcd(int(above.text), int(bottom.text)) == 1
        case _:
            return False


def unmet_forms(
    line: Line, task: str, forms: tuple[str, ...] = (), unknown: str = ""
) -> tuple[str, ...]:
    """Return the forms that *line* does not meet, in the order in which to mend them.

    Args:
        line: A line that is right in value.
        task: The contract's task.
        forms: Forms that the problem asks for besides those of the task.
        unknown: The letter to solve for.
    """
    match line:
        case Chain(sides):
            return unmet_forms(sides[-1], task, forms, unknown)
        case Either(parts):
            return _first_unmet([unmet_forms(p, task, forms, unknown) for p in parts])
        case ValueSet(members):
            return _first_unmet([_unmet_value(m) for m in members])
        case Outcome():
            return ()
        case Relation(left, "=", right) if task == "solve":
            return _unmet_solution(left, right, unknown)
        case Relation():
            return unmet_forms(line.right, task, forms, unknown) if task != "solve" else (ALONE,)
        case _:
            return _unmet_expression(line, task, forms)


def _first_unmet(found: list[tuple[str, ...]]) -> tuple[str, ...]:
    return tuple(dict.fromkeys(form for part in found for form in part))


def _unmet_solution(left: Expr, right: Expr, unknown: str) -> tuple[str, ...]:
    if right == Symbol(unknown) and unknown not in letters(left):
        left, right = right, left
    if left != Symbol(unknown) or unknown in letters(right):
        return (ALONE,)
    return _unmet_value(right)


def _unmet_value(node: Expr) -> tuple[str, ...]:
    if letters(node):
        return _unmet_expression(node, "simplify", ())
    if _holds_root(node) or is_finished_number(node):
        return ()
    if _is_plain_fraction(node):
        return (LOWEST_TERMS,)
    return (WORKED_OUT,)


def _holds_root(node: Expr) -> bool:
    return any(isinstance(part, (Root, Power)) for _, part in walk(node))


def _is_plain_fraction(node: Expr) -> bool:
    match node:
        case Signed("-", body):
            return _is_plain_fraction(body)
        case Quotient(Number() | Signed("-", Number()), Number() | Signed("-", Number()), _):
            return True
        case _:
            return False


def _unmet_expression(node: Expr, task: str, forms: tuple[str, ...]) -> tuple[str, ...]:
    found: list[str] = []
    if not letters(node):
        if not is_finished_number(node) and not _holds_root(node):
            found.append(LOWEST_TERMS if _is_plain_fraction(node) else WORKED_OUT)
        if task == "evaluate" and isinstance(node, Power):
            found.append(WORKED_OUT)
    else:
        algebra = ring(tuple(sorted(letters(node))))
        found.extend(_unmet_algebra(node, algebra))
        if task == "expand" and _holds_bracket(node):
            found.insert(0, EXPANDED)
    if "mixed number" in forms and isinstance(node, Quotient):
        found.append("mixed number")
    return tuple(dict.fromkeys(found))


def _holds_bracket(node: Expr) -> bool:
    for _, part in walk(node):
        if isinstance(part, Product) and any(isinstance(f, Sum) for f in part.factors):
            return True
        if isinstance(part, Power) and isinstance(part.base, (Sum, Product)):
            return True
        if isinstance(part, Sum) and any(isinstance(t.body, Sum) for t in part.terms):
            return True
    return False


def _unmet_algebra(node: Expr, algebra: Ring) -> list[str]:
    found = []
    for _, part in walk(node):
        if isinstance(part, Sum) and _has_like_terms(part, algebra):
            found.append(LIKE_TERMS)
        elif isinstance(part, Product) and _has_open_product(part):
            found.append(WORKED_OUT)
        elif isinstance(part, Quotient) and not _in_lowest_terms(part, algebra):
            found.append(LOWEST_TERMS)
        elif isinstance(part, Power) and not letters(part) and not isinstance(part.exponent, Sum):
            found.append(WORKED_OUT)
    return found


def _has_like_terms(node: Sum, algebra: Ring) -> bool:
    seen: set[tuple[Key, Key]] = set()
    for term in node.terms:
        try:
            value = algebra.function(term.body)
        except (NotRational, Undefined):
            continue
        shape = (algebra.key(value.numerator), algebra.key(value.denominator))
        if shape in seen or value.is_zero or isinstance(term.body, Sum):
            return True
        seen.add(shape)
    return False


def _has_open_product(node: Product) -> bool:
    numbers = [f for f in node.factors if not letters(f) and not _holds_root(f)]
    names = [f.name for f in node.factors if isinstance(f, Symbol)]
    bases = [
        f.base.name for f in node.factors if isinstance(f, Power) and isinstance(f.base, Symbol)
    ]
    return len(numbers) > 1 or len({*names, *bases}) < len(names) + len(bases)


def _in_lowest_terms(node: Quotient, algebra: Ring) -> bool:
    try:
        above, below = algebra.function(node.numerator), algebra.function(node.denominator)
    except (NotRational, Undefined):
        return True
    if not (above.denominator.is_one() and below.denominator.is_one()):
        return False
    if not above.numerator.gcd(below.numerator).is_constant():
        return False
    numbers = [*above.numerator.coeffs(), *below.numerator.coeffs()]
    if any(n.q != 1 for n in numbers):
        return False
    common = gcd(*(int(n.p) for n in numbers))
    return common == 1 and not below.numerator.is_one()
