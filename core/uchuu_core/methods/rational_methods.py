"""The contract's methods for rational expressions."""

from collections.abc import Callable, Iterator

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.methods.factoring import SCHOOLS, route
from uchuu_core.methods.factoring_methods import FACTORING, TECHNIQUES
from uchuu_core.methods.method import Method, Moment, Posed
from uchuu_core.methods.rational import COMBINE, THROUGH, worked
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Absolute, Power, Quotient, Relation, Root, Signed
from uchuu_core.tree.paths import letters, parts

PLAIN = "factor-and-divide-out"


def _refusal(school: str) -> Callable[[Posed], str | None]:
    def refusal(posed: Posed) -> str | None:
        given = posed.given
        if isinstance(given, Relation) or not letters(given):
            return "there is no fraction with letters"
        if any(isinstance(part, (Root, Absolute)) for part in parts(given)):
            return "it holds roots or absolute values"
        start = build.without_brackets(given)
        if not any(
            (isinstance(p, Quotient) and letters(p.denominator))
            or (isinstance(p, Power) and isinstance(p.exponent, Signed))
            for p in parts(start)
        ):
            return "no letter stands below a bar"
        try:
            found = worked(start, school)
        except (NotRational, Undefined, OutOfScope) as reason:
            return getattr(reason, "message", "an exponent in it is not a whole number")
        if not found.moments:
            return "it is in lowest terms already"
        if (school != PLAIN) is not found.is_complex:
            return (
                "a fraction stands inside a fraction"
                if found.is_complex
                else "no fraction stands inside a fraction"
            )
        return None

    return refusal


def _moments(school: str) -> Callable[[Posed], Iterator[Moment]]:
    def moments(posed: Posed) -> Iterator[Moment]:
        return iter(worked(build.without_brackets(posed.given), school).moments)

    return moments


def _technique_refusal(key: str) -> Callable[[Posed], str | None]:
    """Refuse unless some top or bottom is factored by the technique *key*."""
    refusal = _refusal(PLAIN)

    def by_technique(posed: Posed) -> str | None:
        reason = refusal(posed)
        if reason is not None:
            return reason
        school = key if key in SCHOOLS else SCHOOLS[0]
        for part in parts(build.without_brackets(posed.given)):
            if isinstance(part, Quotient):
                for side in (part.numerator, part.denominator):
                    found = route(side, school) if letters(side) else ""
                    if not isinstance(found, str) and key in found.techniques:
                        return None
        return "no top or bottom is factored that way"

    return by_technique


_WHY = {
    COMBINE: "Make top and bottom one fraction each, then multiply by the reciprocal.",
    THROUGH: "Multiply top and bottom by the LCD of all fractions inside.",
    PLAIN: "Factor, divide out common factors; sums over the LCD.",
}
RATIONAL = (
    *(
        Method(key=key, tasks=("simplify",), refusal=_refusal(key), why=why, moments=_moments(key))
        for key, why in _WHY.items()
    ),
    *(
        Method(
            key=method.key,
            tasks=("simplify",),
            refusal=_technique_refusal(method.key),
            why=f"{method.why} Then divide out.",
            moments=_moments(PLAIN),
        )
        for method in FACTORING
        if method.key in TECHNIQUES
    ),
)
