"""Which law explains a right line, in one sentence with the actual numbers.

A reason is shown only where it reproduces the line; a line may be right without one.
"""

from contextlib import suppress
from dataclasses import dataclass
from functools import lru_cache
from typing import Any

from uchuu_core import limits
from uchuu_core.checking.tidy import signs_merged
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import RationalFunction, Ring, polynomial_text
from uchuu_core.moves.catalogue import LAWS
from uchuu_core.moves.move import Step
from uchuu_core.notation import plain
from uchuu_core.tree import build
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Either, Line, Outcome, Relation, Sum
from uchuu_core.tree.paths import part_at
from uchuu_core.tree.shape import unordered

SENTENCES = {
    "work-out-power": "The power is worked out.",
    "multiply-numbers": "The product is worked out.",
    "divide-numbers": "The division is worked out.",
    "add-numbers": "The numbers are added.",
    "subtract-numbers": "The numbers are subtracted.",
    "add-fractions": "The fractions are brought to one denominator and added.",
    "minus-negative-is-plus": "Taking away a negative is adding.",
    "plus-negative-is-minus": "Adding a negative is taking away.",
    "collect-like-terms": "Like terms are collected.",
    "multiply-into-bracket": "The factor multiplies every term of the bracket.",
    "take-minus-into-bracket": "The minus changes every sign in the bracket.",
    "multiply-brackets": "Every term of one bracket multiplies every term of the other.",
    "power-as-product": "The power is written as a product.",
    "square-binomial": "The square of a binomial has its middle term twice.",
    "divide-each-term": "Every term of the top is divided.",
    "turn-equation-round": "The sides change places.",
    "read-an-identity": "The line is true for every value.",
    "read-a-contradiction": "The line is never true.",
    "simplify": "One side is worked out.",
    "simplify-both-sides": "Each side is worked out.",
    "same-solutions": "The solutions are the same.",
}
GENERAL = frozenset(("simplify", "simplify-both-sides", "same-solutions", "move-and-scale"))
"""Reasons that say little: the sentence of a method is better."""


_AT_TWO_PLACES = {
    "work-out-power",
    "multiply-numbers",
    "divide-numbers",
    "add-numbers",
    "collect-like-terms",
    "multiply-into-bracket",
}


@dataclass(frozen=True, slots=True)
class Reason:
    """The law's key and one sentence."""

    law: str
    says: str


@lru_cache(maxsize=2048)
def reason_for(before: Line, line: Line, ring: Ring) -> Reason | None:
    """Return the reason of a line that the kernel has called right, None when none is found."""
    start, end = without_brackets(before), without_brackets(line)
    if unordered(start) == unordered(end):
        return _turned(start, end)
    with limits.within(limits.SEARCH_SECONDS), suppress(limits.OutOfTime):
        reason = _by_law(start, end, ring)
        if reason is not None:
            return reason
    try:
        return _by_values(start, end, ring)
    except (NotRational, Undefined):
        return None


def _by_law(start: Line, end: Line, ring: Ring) -> Reason | None:
    """Find the law whose one application, or two of one kind, gives the line as written."""
    shape = unordered(signs_merged(end))
    for move in LAWS:
        for step in move.apply(start):
            if unordered(signs_merged(step.result)) == shape:
                if move.key == "clear-denominators":
                    return _cleared(start, end, ring)
                return Reason(move.key, _sentence(move.key, start, [step], end, ring))
            if move.key not in _AT_TWO_PLACES:
                continue
            for second in move.apply(step.result):
                if unordered(signs_merged(second.result)) == shape:
                    return Reason(move.key, _sentence(move.key, start, [step, second], end, ring))
    return None


def _turned(start: Line, end: Line) -> Reason:
    if isinstance(start, Relation) and isinstance(end, Relation) and start.left != end.left:
        if unordered(start.left) == unordered(end.right):
            return Reason("turn-equation-round", SENTENCES["turn-equation-round"])
    return Reason("reorder", "The same, written in another order.")


def _cleared(start: Line, end: Line, ring: Ring) -> Reason | None:
    """Say by what every term was multiplied."""
    reason = _on_both_sides(start, end, ring)
    sides = (start.left, start.right) if isinstance(start, Relation) else ()
    if reason is None or all(len(build.terms_of(side)) == 1 for side in sides):
        return reason
    return Reason("clear-denominators", reason.says.replace("both sides", "every term"))


_WORKED_OUT = {"work-out-power", "multiply-numbers", "divide-numbers", "add-numbers"}


def _sentence(law: str, start: Line, steps: list[Step], end: Line, ring: Ring) -> str:
    """Say what was done with the actual numbers where they are short, else in general."""
    if law in _WORKED_OUT:
        said, now = [], start
        for step in steps:
            said.append(_equation_of(now, step))
            now = step.result
        if all(said):
            return ", ".join(said) + "."
    reason = _on_both_sides(start, end, ring) if law not in SENTENCES else None
    return SENTENCES.get(law) or (reason.says if reason else "The same is done to both sides.")


def _equation_of(before: Line, step: Step) -> str:
    """Write "old part = new part" of a step, empty where it is long or not in one place."""
    path = step.at[:-1] if step.at[-1:] == (-1,) else step.at
    old, new = part_at(before, path), part_at(step.result, path)
    if isinstance(old, Sum) and new is not None:
        old, new = _changed_terms(old, new)
    if old is None or new is None or isinstance(old, Relation):
        return ""
    text = f"{plain(old)} = {plain(new)}".replace("-", "−").replace("*", " × ")
    return text if len(text) <= 32 else ""


def _changed_terms(old: Sum, new: Line) -> tuple[Line, Line]:
    """Return the two terms of *old* that were joined, and what they became."""
    after = build.terms_of(new)  # type: ignore[arg-type]
    same = (n for n, (a, b) in enumerate(zip(old.terms, after, strict=False)) if a != b)
    start = next(same, len(after))
    kept = len(old.terms) - start - 2
    became = after[start : len(after) - kept] if kept else after[start:]
    return build.total(old.terms[start : start + 2]), build.total(became)


def _by_values(start: Line, end: Line, ring: Ring) -> Reason | None:
    if isinstance(start, Relation) and isinstance(end, Relation):
        return _equation_reason(start, end, ring)
    if isinstance(end, (Outcome, Either)) or isinstance(start, (Outcome, Either)):
        return Reason("same-solutions", SENTENCES["same-solutions"])
    if isinstance(start, Relation) or isinstance(end, Relation):
        return None
    if isinstance(start, Sum) and isinstance(end, Sum) and _same_terms(start, end, ring):
        return Reason("rewrite-terms", "Each term is written in another form.")
    return Reason("simplify", "Several steps at once: the value stays the same.")


def _same_terms(start: Sum, end: Sum, ring: Ring) -> bool:
    """Whether both have the same terms in value, one by one (a common denominator, say)."""
    if len(start.terms) != len(end.terms):
        return False
    pairs = zip(start.terms, end.terms, strict=True)
    return all(
        a.sign == b.sign and ring.function(a.body).equals(ring.function(b.body)) for a, b in pairs
    )


def _equation_reason(start: Relation, end: Relation, ring: Ring) -> Reason | None:
    left, right = ring.function(start.left), ring.function(start.right)
    new_left, new_right = ring.function(end.left), ring.function(end.right)
    same = (left.equals(new_left), right.equals(new_right))
    if all(same):
        changed = [a != b for a, b in ((start.left, end.left), (start.right, end.right))]
        key = "simplify-both-sides" if all(changed) else "simplify"
        return Reason(key, SENTENCES[key])
    if left.equals(new_right) and right.equals(new_left):
        return Reason("turn-equation-round", SENTENCES["turn-equation-round"])
    return _on_both_sides(start, end, ring)


def _on_both_sides(start: Line, end: Line, ring: Ring) -> Reason | None:
    """Find what was added to both sides, or what both were multiplied by."""
    if not (isinstance(start, Relation) and isinstance(end, Relation)):
        return None
    for turned in (False, True):
        now = Relation(end.right, "=", end.left) if turned else end
        try:
            was = (ring.function(start.left), ring.function(start.right))
            has = (ring.function(now.left), ring.function(now.right))
        except NotRational:
            return None
        for reason in (_added(was, has), _scaled(was, has)):
            if reason is not None:
                return reason
        moved = _moved_and_scaled(was, has)
        if moved is not None and not turned:
            return moved
    return None


def _added(
    was: tuple[RationalFunction, RationalFunction],
    has: tuple[RationalFunction, RationalFunction],
) -> Reason | None:
    first, second = has[0].minus(was[0]), has[1].minus(was[1])
    if not first.equals(second) or first.is_zero:
        return None
    terms = _terms(first)
    if terms is None:
        return Reason("add-on-both-sides", f"Add {shown(first)} on both sides.")
    parts = [f"{'subtract' if sign == '-' else 'add'} {text}" for sign, text in terms]
    says = " and ".join(parts) + " on both sides."
    law = "subtract-on-both-sides" if terms[0][0] == "-" else "add-on-both-sides"
    return Reason(law, says[0].upper() + says[1:])


def _terms(function: RationalFunction) -> list[tuple[str, str]] | None:
    """Return sign and size of each term of a polynomial, None for a true fraction."""
    if not function.denominator.is_one():
        return None
    text = _polynomial(function.numerator).replace(" - ", " + -")
    return [
        ("-", term[1:].strip()) if term.startswith("-") else ("+", term)
        for term in text.split(" + ")
    ]


def _scaled(
    was: tuple[RationalFunction, RationalFunction],
    has: tuple[RationalFunction, RationalFunction],
) -> Reason | None:
    if was[0].is_zero and was[1].is_zero:
        return None
    pairs = [(h, w) for h, w in zip(has, was, strict=True) if not w.is_zero]
    ratios = [h.over(w) for h, w in pairs]
    if any(r is None or not r.equals(ratios[0]) for r in ratios):  # type: ignore[arg-type]
        return None
    if any(not h.is_zero for h, w in zip(has, was, strict=True) if w.is_zero):
        return None
    ratio = ratios[0]
    assert ratio is not None
    number = ratio.constant()
    if number is None:
        common = ratio.numerator.gcd(ratio.denominator)
        top, bottom = ratio.numerator / common, ratio.denominator / common
        if not bottom.is_constant():
            return None  # nobody multiplies by a quotient of polynomials
        factor = top / bottom.leading_coefficient()
        ratio = RationalFunction(factor, factor * 0 + 1)
        return Reason("multiply-both-sides", f"Multiply both sides by {shown(ratio)}.")
    if number == -1:
        return Reason("multiply-both-sides", "Multiply both sides by −1.")
    if abs(number.p) == 1:
        return Reason("divide-both-sides", f"Divide both sides by {_signed(1 / number)}.")
    return Reason("multiply-both-sides", f"Multiply both sides by {_signed(number)}.")


def _moved_and_scaled(
    was: tuple[RationalFunction, RationalFunction],
    has: tuple[RationalFunction, RationalFunction],
) -> Reason | None:
    before, now = was[0].minus(was[1]), has[0].minus(has[1])
    ratio = now.over(before)
    factor = ratio.constant() if ratio is not None else None
    if factor is None:
        return None
    if abs(factor) == 1:
        return Reason("move-terms", "Terms are moved with the inverse operation on both sides.")
    return Reason("move-and-scale", "Several steps at once: the solutions stay the same.")


def _signed(number: object) -> str:
    return str(number).replace("-", "−")


def shown(function: RationalFunction) -> str:
    """Write a rational function for a sentence: ``3x``, ``x + 2``, ``-5/2``."""
    top = _polynomial(function.numerator)
    if function.denominator.is_one():
        return top
    return f"({top})/({_polynomial(function.denominator)})"


def _polynomial(polynomial: Any) -> str:
    return polynomial_text(polynomial).replace("*", "")
