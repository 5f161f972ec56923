"""What marks are given for: the steps of accepted ways, and the sentences of a proposal.

A step is what a teacher's mark scheme names: “clears the denominators”, “both cases”. Every law belongs to
one step, or to none where it only tidies up; the same step earns the same mark on every way.
"""

from dataclasses import dataclass

from uchuu_core.lawbook import (
    complex_numbers,
    equations,
    expanding,
    exponents,
    factoring,
    fractions,
    functions,
    linear,
    numbers,
    quadratics,
    radicals,
)
from uchuu_core.lawbook.law import Law
from uchuu_core.lawbook.says import Sentence


@dataclass(frozen=True, eq=False)
class MarkStep:
    """One step that earns a method mark.

    Attributes:
        key: Stable kebab-case name.
        does: What a line does that shows it, as the predicate of a sentence about that line.
        laws: The laws that show it.
        is_plain: Whether it is everyday work: its mark comes last where there are few.
    """

    key: str
    does: str
    laws: frozenset[Law]
    is_plain: bool = False


def _step(key: str, does: str, *laws: Law) -> MarkStep:
    return MarkStep(key, does, frozenset(laws))


def _plain(key: str, does: str, *laws: Law) -> MarkStep:
    return MarkStep(key, does, frozenset(laws), is_plain=True)


n, x, r, e = numbers, exponents, radicals, expanding
f, q, t, eq = fractions, quadratics, factoring, equations

STEPS: tuple[MarkStep, ...] = (
    # numbers and fractions
    _step("powers-first", "works the powers out", n.WORK_OUT_POWER),
    _step("products-first", "multiplies and divides before it adds", n.MULTIPLY_NUMBERS, n.DIVIDE_NUMBERS),
    _plain(
        "signs",
        "turns two signs into one",
        n.MINUS_NEGATIVE_IS_PLUS,
        n.PLUS_NEGATIVE_IS_MINUS,
    ),
    _step("one-denominator", "brings the fractions over one denominator", n.COMMON_DENOMINATOR, n.MULTIPLY_BY_ONE),
    _plain("adds-fractions", "adds the numerators", n.ADD_FRACTIONS, f.ONE_NUMERATOR),
    _step("multiplies-fractions", "multiplies numerators and denominators", n.MULTIPLY_FRACTIONS),
    _step("reciprocal", "multiplies by the reciprocal", n.MULTIPLY_BY_RECIPROCAL),
    # exponents and roots
    _step("adds-exponents", "adds or subtracts the exponents of one base", x.SAME_BASE, x.SPLIT_EXPONENT),
    _step("multiplies-exponents", "multiplies the exponents", x.POWER_OF_POWER),
    _step("every-factor", "gives the power to every factor", x.POWER_OF_PRODUCT),
    _step("special-exponents", "reads the zero and negative exponents", x.ZERO_EXPONENT, x.NEGATIVE_EXPONENT),
    _step("fractional-exponents", "reads the fractional exponents", x.RATIONAL_EXPONENT, x.POWER_AS_ROOT),
    _step("one-base", "writes both as powers of one base", x.NUMBERS_AS_POWERS),
    _plain(
        "splits-root",
        "takes the root of a factor",
        r.SPLIT_RADICAND,
        r.SPLIT_ROOT,
        r.TAKE_ROOT_OUT,
        r.ROOT_OF_SQUARE,
        r.SIMPLIFY_ROOT,
        r.NESTED_ROOT,
    ),
    _step(
        "joins-roots",
        "writes the roots as one",
        r.MULTIPLY_ROOTS,
        r.DIVIDE_ROOTS,
        r.ROOT_OF_QUOTIENT,
        r.ROOT_OF_FRACTION,
    ),
    _step("like-radicals", "joins like radicals", r.COLLECT_LIKE_RADICALS),
    _step("rationalises", "rationalises the denominator", r.RATIONALISE),
    _step("imaginary", "uses that the square of i is -1", complex_numbers.IMAGINARY_UNIT, complex_numbers.ROOT_OF_NEGATIVE),
    # expressions
    _plain(
        "opens-brackets",
        "opens the brackets",
        e.EXPAND_BRACKETS,
        e.MULTIPLY_INTO_BRACKET,
        e.MULTIPLY_BRACKETS,
        e.TAKE_MINUS_INTO_BRACKET,
        e.POWER_AS_PRODUCT,
        e.SQUARE_BINOMIAL,
        e.POWER_OF_BINOMIAL,
        e.DIVIDE_EACH_TERM,
    ),
    _plain("like-terms", "joins like terms", e.COLLECT_LIKE_TERMS),
    _step("common-factor", "takes out the common factor", t.COMMON_FACTOR, t.GROUPING, t.GROUP, linear.FACTOR_OUT),
    _step(
        "factors",
        "writes it as a product",
        t.FACTOR,
        t.DIFFERENCE_OF_SQUARES,
        t.WRITE_AS_SQUARES,
        t.SUM_OF_CUBES,
        t.WRITE_AS_CUBES,
        t.PERFECT_SQUARE,
        t.SUM_PRODUCT,
        t.DIVIDE_AND_REDUCE,
        t.FACTOR_BY_TRYING,
        t.PRIME,
        f.FACTOR_TOP_AND_BOTTOM,
        f.FACTOR_EVERYTHING,
        f.FACTOR_DENOMINATOR,
        f.FACTOR_DENOMINATORS,
    ),
    _step("splits-middle", "splits the middle term by the right pair", t.SPLIT_MIDDLE, t.SPLIT_MIDDLE_AND_GROUP, t.BY_INSPECTION),
    _step("divides-out", "divides out the common factor", f.DIVIDE_OUT, f.OPPOSITE_FACTORS, n.REDUCE_FRACTIONS),
    # equations
    _step(
        "clears-denominators",
        "clears the denominators",
        linear.CLEAR_DENOMINATORS,
        f.MULTIPLY_BY_LCD,
        eq.CROSS_MULTIPLY,
        eq.RECIPROCAL,
        eq.EQUAL_NUMERATORS,
    ),
    _plain(
        "brings-together",
        "brings the unknown to one side and the rest to the other",
        linear.ADD_ON_BOTH_SIDES,
        linear.SUBTRACT_ON_BOTH_SIDES,
        linear.COLLECT_THE_LETTER,
    ),
    _step(
        "divides-both-sides",
        "divides or multiplies both sides so that the unknown stands alone",
        linear.DIVIDE_BOTH_SIDES,
        linear.MULTIPLY_BOTH_SIDES,
    ),
    _step("reads-outcome", "says what the line without the unknown means", linear.READ_AN_IDENTITY, linear.READ_A_CONTRADICTION),
    _step("zero-on-one-side", "gets zero on one side", linear.ZERO_ON_ONE_SIDE),
    _step("both-cases", "sets each factor to zero", q.ZERO_PRODUCT),
    _step("isolates", "gets the square, root or power alone", q.ISOLATE_THE_SQUARE, eq.ISOLATE_RADICAL, eq.ISOLATE_THE_POWER),
    _step("completes-square", "completes the square", q.CONSTANT_ACROSS, q.COMPLETE_THE_SQUARE, t.DIVIDE_BY_LEADING),
    _step("both-roots", "takes both square roots", q.ROOT_BOTH_SIDES, q.ABSOLUTE_VALUE),
    _step("both-solutions", "writes both solutions out", q.BOTH_SOLUTIONS),
    _step("formula", "puts the right numbers into the formula", q.DISCRIMINANT, q.QUADRATIC_FORMULA),
    _step("substitutes", "names the part that repeats", q.SUBSTITUTE),
    _step("puts-back", "goes back to the unknown", q.PUT_BACK),
    _step("raises", "raises whole sides to the power", eq.RAISE_BOTH_SIDES),
    _step("common-top", "makes the tops equal and uses that they are", eq.ONE_FROM_EACH, eq.COMMON_TOP),
    _step("equal-exponents", "sets the exponents equal", eq.EQUATE_EXPONENTS),
    _step(
        "no-solution",
        "says why there is no solution",
        q.SQUARE_NEVER_NEGATIVE,
        eq.ROOT_NEVER_NEGATIVE,
        eq.POWER_POSITIVE,
    ),
    # functions
    _step("zero-denominator", "asks where the denominator is zero", functions.DENOMINATOR_ZERO),
    _step("radicand", "asks where the radicand is not negative", functions.RADICAND_NOT_NEGATIVE),
    _step("domain", "gives the domain", functions.DOMAIN),
    _step("hole", "gives the hole", functions.HOLE),
    _step("vertical-asymptote", "gives the vertical asymptote", functions.VERTICAL_ASYMPTOTE),
    _step(
        "end-asymptote",
        "gives the asymptote far out",
        functions.HORIZONTAL_ASYMPTOTE,
        functions.OBLIQUE_ASYMPTOTE,
        functions.POLYNOMIAL_DIVISION,
    ),
    _step("x-intercept", "gives the x-intercepts", functions.X_INTERCEPT),
    _step("y-intercept", "gives the y-intercept", functions.Y_INTERCEPT),
    _step("end-behaviour", "gives the end behaviour", functions.END_BEHAVIOUR),
)  # fmt: skip
STEP_OF: dict[Law, MarkStep] = {law: step for step in STEPS for law in step.laws}
FEATURES = {
    "domain": "domain",
    "hole": "hole",
    "holes": "hole",
    "vertical asymptote": "vertical-asymptote",
    "vertical asymptotes": "vertical-asymptote",
    "asymptotes": "vertical-asymptote",
    "horizontal asymptote": "end-asymptote",
    "oblique asymptote": "end-asymptote",
    "x-intercept": "x-intercept",
    "x-intercepts": "x-intercept",
    "y-intercept": "y-intercept",
    "end left": "end-behaviour",
    "end right": "end-behaviour",
    "end behavior": "end-behaviour",
}
"""The step of each feature, by its label: a result of its own, which no other line shows."""
TIDIES = frozenset(
    (n.ADD_NUMBERS, n.SUBTRACT_NUMBERS, n.DECIMAL_AS_FRACTION, n.IMPROPER_FRACTION, n.REORDER)
    + (functions.SHIFTS, functions.ONE_MORE_POINT)
    + (linear.TURN_EQUATION_ROUND, linear.SOLVE_LINEAR)
)
"""Laws that tidy up: they earn no mark of their own."""
CHECKS = frozenset((eq.REJECT_CANDIDATE,))
"""Laws that show the check in the original."""

IN_LINE = Sentence("Line {line} {does}.")
IN_LINE_WITH_SLIP = Sentence("Line {line} {does}, with a slip: {error}.")
IN_LINE_BY_LUCK = Sentence("Line {line} is right in value, but looks like “{error}”.")
SHOWN_LATER = Sentence("Line {line} cannot be reached without it.")
ANSWER_SHOWS = Sentence("The answer is right, so this was done.")
BEFORE_OFF = Sentence("All points, before anything is taken off.")
NOTHING_LEFT = Sentence("After line {line} nothing of it is left to do.")
NOT_HERE = Sentence("Line {line}: {error}.")
NOT_FOLLOWING = Sentence("Line {line} does not follow.")
NO_LINE = Sentence("No line {does}.")
ANSWER_RIGHT = Sentence("The answer is right.")
ANSWER_FOLLOWS = Sentence("The answer follows from the error above it.")
ANSWER_WRONG = Sentence("The answer is not right.")
ANSWER_OPEN = Sentence("The answer is not finished.")
ANSWER_MISSING = Sentence("There is no answer.")
CHECKED = Sentence("The candidates are checked in the original.")
NOT_CHECKED = Sentence("The candidates are not checked in the original.")
FORM_MET = Sentence("The answer has the form that is asked for.")
UNDECIDED = Sentence(
    "Line {line} could not be decided. Decide it yourself; it costs nothing until then."
)
UNREADABLE = Sentence(
    "Line {line} could not be read. Decide it yourself; it costs nothing until then."
)
RIGHT_AFTER_ERROR = Sentence(
    "The answer is right although line {line} is not. Decide whether it counts."
)

MARK_FOR = Sentence("{does}")
OR_FOR = Sentence("{does}; or {other}")
FOR_ANSWER = Sentence("Right answer.")
FOR_FORM = Sentence("Answer in the form that is asked for.")
FOR_CHECK = Sentence("Candidates checked in the original.")
FOR_POINTS = Sentence("All points for complete right work.")
OFF_CONCEPT = Sentence("Off for an error of thinking, once for each error.")
OFF_SLIP = Sentence("Off for a slip of the pen.")
OFF_FORM = Sentence("Off for an answer that is not in the form that is asked for.")
OFF_CHECK = Sentence("Off for a missing check.")
OFF_MISSING = Sentence("Off for each step that is not there.")
