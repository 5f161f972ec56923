"""The points of a problem: what it was chosen for, which its twins keep."""

from collections.abc import Iterator
from math import isqrt

from uchuu_core.checking.context import Context
from uchuu_core.inspecting.shapes import shapes_of
from uchuu_core.lawbook import twinning as said
from uchuu_core.lawbook.says import Sentence
from uchuu_core.methods.factoring_trinomials import trinomial_in
from uchuu_core.tree.build import ONE, without_brackets
from uchuu_core.tree.nodes import Line, Number, Outcome, Quotient, Sum
from uchuu_core.tree.paths import parts

POINTS: dict[str, Sentence] = {
    "unlike-denominators": said.UNLIKE_DENOMINATORS,
    "equal-denominators": said.EQUAL_DENOMINATORS,
    "tempting-pair": said.TEMPTING_PAIR,
    "one-base": said.ONE_BASE_STAYS,
    "two-primes": said.TWO_PRIMES_STAY,
    "one-root-inside": said.ONE_ROOT_STAYS,
    "perfect-square": said.PERFECT_SQUARE_STAYS,
    "near-square": said.NEAR_SQUARE_STAYS,
    "difference-of-squares": said.DIFFERENCE_STAYS,
    "squares-behind": said.SQUARES_BEHIND_STAY,
    "common-factor": said.COMMON_FACTOR_STAYS,
    "opposite-denominators": said.OPPOSITE_STAYS,
    "leading-coefficient": said.LEADING_STAYS,
    "equal-after-one": said.EQUAL_TOPS_STAY,
    "even-middle": said.EVEN_MIDDLE_STAYS,
    "discriminant-square": said.FACTORS_STILL,
}
"""What is seen in the given, by the code of its notice or a name of its own; what is said where it is kept."""
_OF_OUR_OWN = {"unlike-denominators", "equal-denominators", "tempting-pair"}
ENDS: dict[str, Sentence] = {
    "one": said.CANCELS_TO_ONE,
    "candidate-fails": said.CANDIDATE_FAILS,
    "no-solution": said.NO_SOLUTION_STAYS,
    "always-true": said.ALWAYS_TRUE_STAYS,
    "prime": said.STAYS_PRIME,
}
"""What is seen at the end."""


def points_of(context: Context) -> frozenset[str]:
    """Return the points that the given shows."""
    given = without_brackets(context.given)
    seen = {code for code, _, _ in shapes_of(given, context)}
    return frozenset({*seen, *_denominators(given), *_tempting(given)} & set(POINTS))


def shows(context: Context, wanted: frozenset[str]) -> bool:
    """Return whether the given shows all the points *wanted*; looked for no further than needed."""
    given = without_brackets(context.given)
    left = set(wanted) - {*_denominators(given)}
    if "tempting-pair" in left:
        left -= {*_tempting(given)}
    if left & _OF_OUR_OWN:
        return False
    if left:
        for code, _, _ in shapes_of(given, context):
            left.discard(code)
            if not left:
                break
    return not left


def ends_of(end: Line, rejected: int) -> frozenset[str]:
    """Return the points that the end of the work shows."""
    found = {
        "one": end == ONE,
        "candidate-fails": rejected > 0,
        "no-solution": end == Outcome("no solution"),
        "always-true": end in (Outcome("all real numbers"), Outcome("all except excluded")),
        "prime": end == Outcome("prime"),
    }
    return frozenset(name for name, holds in found.items() if holds)


def _denominators(given: Line) -> Iterator[str]:
    below = [p.denominator for p in parts(given) if isinstance(p, Quotient) and p.mark == "/"]
    if len(below) > 1:
        yield "equal-denominators" if len(set(below)) == 1 else "unlike-denominators"


def _tempting(given: Line) -> Iterator[str]:
    """A trinomial of whose numbers another pair is tempting: its product or its sum differs by the sign alone."""
    for part in parts(given):
        found = trinomial_in(part) if isinstance(part, Sum) else None
        if found is not None and found.b and _has_pair(-found.a * found.c, found.b):
            yield "tempting-pair"
            return


def _has_pair(product: int, total: int) -> bool:
    """Whether two whole numbers have this product and, but for its sign, this sum."""
    under = total * total - 4 * product
    return under >= 0 and isqrt(under) ** 2 == under


def is_trivial(line: Line) -> bool:
    """Whether numbers have made it empty: a factor 0 or 1, a denominator 1, that nobody would write."""
    return any(
        isinstance(part, Quotient) and part.denominator == Number("1") for part in parts(line)
    )
