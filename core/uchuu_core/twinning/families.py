"""Families of problems made to order: short answers from long looks, chosen solutions, chosen traps.

A family is only a way of drawing: every problem it gives is worked before it leaves, and the feature it
promises is read off the worked problem.
"""

from collections.abc import Callable
from dataclasses import dataclass
from math import gcd
from random import Random

from uchuu_core.answers.made import FamilyProblem
from uchuu_core.answers.worked import Worked
from uchuu_core.contract import Problem, Task
from uchuu_core.failures import BadRequest, Failure, OutOfScope
from uchuu_core.notation import plain, read
from uchuu_core.working.problem import work

TRIES = 60
"""Draws before a wish is said to be too narrow."""


@dataclass(frozen=True, slots=True)
class Family:
    """A kind of problem that is made to order.

    Attributes:
        key, name: what it is called.
        task: its task.
        wish: the one number that may be asked for ("" for none): a solution, a factor.
        draw: gives a given in plain notation, by chance and the wish.
        keeps: whether a worked problem is what the family promises.
    """

    key: str
    name: str
    task: Task
    wish: str
    draw: Callable[[Random, int | None], str]
    keeps: Callable[[Worked, int | None], bool]


def _term(value: int) -> str:
    return f"- {-value}" if value < 0 else f"+ {value}"


def _x(zero: int) -> str:
    return "x" if zero == 0 else f"(x {_term(-zero)})"


def _some(chance: Random, top: int = 9) -> int:
    return chance.choice([n for n in range(-top, top + 1) if n])


def _trinomial(p: int, q: int) -> str:
    """Write (x − p)(x − q) multiplied out."""
    middle, last = -(p + q), p * q
    parts = ["x^2"]
    if middle:
        parts.append(f"{'-' if middle < 0 else '+'} {'' if abs(middle) == 1 else abs(middle)}x")
    if last:
        parts.append(_term(last))
    return " ".join(parts)


def _collapsing(chance: Random, _wish: int | None) -> str:
    a, b, c, d, e = chance.sample([n for n in range(-9, 10) if n], 5)
    return (
        f"(({_trinomial(a, b)})/({_trinomial(b, c)})) * (({_trinomial(c, d)})/({_trinomial(d, e)}))"
    )


def _collapsing_quotient(chance: Random, _wish: int | None) -> str:
    a, b, c, d, e = chance.sample([n for n in range(-9, 10) if n], 5)
    return (
        f"(({_trinomial(a, b)})/({_trinomial(b, c)})) ÷ (({_trinomial(d, e)})/({_trinomial(c, d)}))"
    )


def _trinomial_with(chance: Random, wish: int | None) -> str:
    a = wish if wish is not None else 1
    while True:
        p, r = chance.choice([(p, abs(a) // p) for p in range(1, abs(a) + 1) if a % p == 0])
        q, s = _some(chance), _some(chance)
        if gcd(p, q) == gcd(r, s) == 1 and p * s + q * r:
            break
    middle, last = p * s + q * r, q * s
    sign = -1 if a < 0 else 1
    lead = "" if abs(a) == 1 else str(abs(a))
    middle, last = sign * middle, sign * last
    between = "" if abs(middle) == 1 else str(abs(middle))
    return f"{'-' if a < 0 else ''}{lead}x^2 {'-' if middle < 0 else '+'} {between}x {_term(last)}"


def _perfect_square(chance: Random, wish: int | None) -> str:
    a, b = wish or chance.randint(1, 5), _some(chance)
    middle = 2 * a * b
    lead = "" if a == 1 else str(a * a)
    return f"{lead}x^2 {'-' if middle < 0 else '+'} {abs(middle)}x {_term(b * b)}"


def _linear_solution(chance: Random, wish: int | None) -> str:
    x = wish if wish is not None else _some(chance)
    a, b, c = chance.randint(2, 6), _some(chance), _some(chance)
    if c == a:
        c += 1
    right = a * (x - b) - c * x
    return f"{a}{_x(b)} = {'-' if c < 0 else ''}{'' if abs(c) == 1 else abs(c)}x {_term(right)}"


def _quadratic_solution(chance: Random, wish: int | None) -> str:
    x = wish if wish is not None else _some(chance)
    other = chance.choice([n for n in range(-9, 10) if n not in (0, x)])
    return f"{_trinomial(x, other)} = 0"


def _radical_solution(chance: Random, wish: int | None, *, extraneous: bool = False) -> str:
    """√(ax + b) = x + c; its square has the solutions x and x', of which one may fail."""
    x = wish if wish is not None else chance.randint(1, 9)
    a, c = chance.randint(1, 6), _some(chance, 6)
    if (x + c < 0) is not extraneous:
        c = -x - chance.randint(1, 5) if extraneous else -x + chance.randint(1, 5)
    b = (x + c) ** 2 - a * x
    under = f"{'' if a == 1 else a}x" + (f" {_term(b)}" if b else "")
    return f"sqrt({under}) = x" + (f" {_term(c)}" if c else "")


def _radical_extraneous(chance: Random, wish: int | None) -> str:
    return _radical_solution(chance, wish, extraneous=True)


def _rational_extraneous(chance: Random, wish: int | None) -> str:
    """A fraction whose cleared equation is solved by its own excluded value, and by one more."""
    x = wish if wish is not None else _some(chance, 6)
    other = chance.choice([n for n in range(-6, 7) if n not in (0, x)])
    # (x − p)(x − q) = 0 over (x − p): x²/(x−p) = ((p+q)x − pq)/(x−p)
    middle, last = x + other, x * other
    top = f"{'-' if middle < 0 else ''}{'' if abs(middle) == 1 else abs(middle)}x {_term(-last)}"
    if middle == 0:
        top = str(-last)
    return f"x^2/{_x(x)} = ({top})/{_x(x)}"


def _radicals_combining(chance: Random, wish: int | None) -> str:
    inside = wish if wish is not None else chance.choice((2, 3, 5, 6, 7, 10, 11))
    parts = chance.sample(range(2, 8), 3)
    roots = [f"sqrt({n * n * inside})" for n in parts]
    return f"{roots[0]} {chance.choice('+-')} {roots[1]} {chance.choice('+-')} {roots[2]}"


def _has_solution(record: Worked, wish: int | None) -> bool:
    return bool(record["answers"]) and (wish is None or str(wish) in record["answers"])


def _rejects(record: Worked, wish: int | None) -> bool:
    values = [item["value"] for item in record["rejected"]]
    return bool(values) and (wish is None or str(wish) in values)


def _is_short(record: Worked, _wish: int | None) -> bool:
    return len(record["answer"].replace(" ", "")) <= 15


def _factors(record: Worked, _wish: int | None) -> bool:
    return record["outcome"] is None


def _one_root(record: Worked, wish: int | None) -> bool:
    answer = record["answer"]
    return answer.count("sqrt") == 1 and (wish is None or f"sqrt({wish})" in answer)


FAMILIES = (
    Family("collapsing-product", "a product of fractions that collapses", "simplify", "", _collapsing, _is_short),
    Family("collapsing-quotient", "a quotient of fractions that collapses", "simplify", "", _collapsing_quotient, _is_short),
    Family("trinomial", "a trinomial with a chosen leading coefficient", "factor", "leading coefficient", _trinomial_with, _factors),
    Family("perfect-square", "a perfect-square trinomial", "factor", "root of the leading coefficient", _perfect_square, _factors),
    Family("linear-solution", "a linear equation with a chosen solution", "solve", "solution", _linear_solution, _has_solution),
    Family("quadratic-solution", "a quadratic equation with a chosen solution", "solve", "solution", _quadratic_solution, _has_solution),
    Family("radical-solution", "a radical equation with a chosen solution", "solve", "solution", _radical_solution, _has_solution),
    Family("radical-extraneous", "a radical equation with an extraneous solution", "solve", "extraneous solution", _radical_extraneous, _rejects),
    Family("rational-extraneous", "a rational equation with an extraneous solution", "solve", "extraneous solution", _rational_extraneous, _rejects),
    Family("combining-radicals", "radicals that combine", "simplify", "radicand that is left", _radicals_combining, _one_root),
)  # fmt: skip


def family(
    key: str, wish: int | None, seed: int, taken: frozenset[str] = frozenset()
) -> FamilyProblem:
    """Return ``{"task", "given", "answer"|"answers", "method", "seed"}``: one problem of the family.

    Args:
        key: The family's.
        wish: The number asked for, where the family knows one.
        seed: The same seed gives the same problem.
        taken: Givens, as ``plain`` writes them, that it must not be.

    Raises:
        BadRequest: there is no such family, or the wish is out of bounds.
        OutOfScope: no problem with this wish was found.
    """
    found = next((item for item in FAMILIES if item.key == key), None)
    if found is None:
        raise BadRequest(f"“{key}” is no family of problems that is known.")
    if wish is not None and (abs(wish) > 99 or (wish == 0 and "root" in found.wish)):
        raise BadRequest(f"The {found.wish} should be a whole number from -99 to 99, and not 0.")
    if found.wish == "leading coefficient" and wish == 0:
        raise BadRequest("The leading coefficient of a trinomial is not 0.")
    chance = Random(f"{seed} {key} {wish}")
    for _ in range(TRIES):
        given = plain(read(found.draw(chance, wish)))
        if given in taken:
            continue
        try:
            record = work(Problem(found.task, given))
        except Failure:
            continue
        if found.keeps(record, wish):
            problem: FamilyProblem = {
                "task": found.task,
                "given": given,
                "answer": record["answer"],
                "method": record["method"],
                "outcome": record["outcome"],
                "seed": seed,
            }
            if "answers" in record:
                problem["answers"] = record["answers"]
            return problem
    raise OutOfScope(f"No such problem was found. Ask for another {found.wish or 'family'}.")
