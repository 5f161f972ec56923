"""Errors that follow from what lines say: extra candidates kept, branches lost, features misplaced."""

from flint import fmpq

from uchuu_core.checking.context import Context
from uchuu_core.checking.domain_lines import domain_set
from uchuu_core.checking.feature_lines import lines_at, number_of
from uchuu_core.checking.judgement import Judgement
from uchuu_core.checking.steps import solutions_or_none
from uchuu_core.failures import Failure
from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.features import Features, features_of
from uchuu_core.kernel.finished import unmet_forms
from uchuu_core.kernel.points import NotRational, Undefined, value_at
from uchuu_core.kernel.solutions import SolutionSet
from uchuu_core.kernel.solving import excluded_points
from uchuu_core.kernel.written import described
from uchuu_core.methods.equations.polynomials import is_product_equal_zero
from uchuu_core.moves.errors import answers, equations, undoing
from uchuu_core.moves.errors import found_otherwise as errors
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import (
    AllExcept,
    Coordinates,
    Either,
    Expr,
    Feature,
    Line,
    Number,
    Outcome,
    Power,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
    Symbol,
)
from uchuu_core.tree.paths import letters, parts

_ZERO = Algebraic.of(fmpq(0))


def state_error(before: Line, line: Line, judgement: Judgement, context: Context) -> str | None:
    """Name the error that follows from what the lines say, None when it is one of writing."""
    try:
        if isinstance(line, Feature) and context.problem.task == "study":
            return _feature_error(line, context)
        if context.problem.task == "domain":
            return _domain_error(line, context)
        return _solution_error(before, line, judgement, context) if context.is_equation else None
    except (NotRational, Undefined, Failure):
        return None


def _solution_error(before: Line, line: Line, judgement: Judgement, context: Context) -> str | None:
    was, has = solutions_or_none(before, context), solutions_or_none(line, context)
    if was is None or has is None:
        return None
    is_answer = isinstance(line, Outcome) or not unmet_forms(line, "solve", (), context.unknown)
    if was.everything and not has.everything and isinstance(before, Relation) and is_answer:
        return equations.IDENTITY_MISREAD.key
    if was.is_empty and not has.is_empty and is_answer and _is_plain(before):
        if any(step.result == line for step in undoing.ZERO_MISREAD.apply(before)):
            return undoing.ZERO_MISREAD.key
        return equations.CONTRADICTION_MISREAD.key
    if has.is_empty and isinstance(line, Outcome) and not was.is_empty:
        return answers.SOLUTION_WRONGLY_REJECTED.key
    if judgement.verdict == "wrong" and is_answer and judgement.adds:
        kept = _extraneous(context, judgement)
        excluded = kept == errors.RATIONAL_EXTRANEOUS.key
        if was.same_solutions(has) or (
            was.is_empty
            and before == context.given
            and (excluded or _holds_squared(before, has, context))
        ):
            return kept
    if judgement.verdict == "loses" and has.points < was.points:
        is_listed = lists_several(before)
        if is_listed and is_answer and _may_have_extra(context.given):
            return answers.SOLUTION_WRONGLY_REJECTED.key
        if is_listed or _stand_as_factors(before, line, context):
            return errors.BRANCH_LOST.key
    return None


def _stand_as_factors(before: Line, line: Line, context: Context) -> bool:
    """Whether all solutions stood in the line before as factors of 0, and *line* has some of them."""
    return (
        isinstance(before, Relation)
        and isinstance(line, (Relation, Either))
        and is_product_equal_zero(before, context.unknown)
    )


def _is_plain(line: Line) -> bool:
    """Whether nothing but a plain contradiction stands there: no power, root or unknown below a bar."""
    return not _may_have_extra(line) and not any(
        isinstance(part, (Power, Root)) for part in parts(line)
    )


def lists_several(line: Line) -> bool:
    """Whether "or" or ± stands in the line."""
    return isinstance(line, Either) or any(
        (isinstance(part, Signed) and part.sign == "+-")
        or (isinstance(part, Sum) and any(term.sign == "+-" for term in part.terms))
        for part in parts(line)
    )


def _may_have_extra(given: Line) -> bool:
    return any(
        (isinstance(part, Root) and letters(part))
        or (isinstance(part, Quotient) and letters(part.denominator))
        for part in parts(given)
    )


def _holds_squared(given: Line, has: SolutionSet, context: Context) -> bool:
    """Whether what a line says holds in the given with both sides squared."""
    if not isinstance(given, Relation):
        return False
    squared = Relation(Power(given.left, Number("2")), "=", Power(given.right, Number("2")))
    found = solutions_or_none(squared, context)
    return found is not None and has.within(found)


def _extraneous(context: Context, judgement: Judgement) -> str:
    excluded = excluded_points(context.domain(context.given).excluded, context.unknown)
    texts = {described(point, context.unknown) for point in excluded}
    if texts & set(judgement.adds):
        return errors.RATIONAL_EXTRANEOUS.key
    return errors.RADICAL_EXTRANEOUS.key


# domains


def _domain_error(line: Line, context: Context) -> str | None:
    if isinstance(line, AllExcept):
        stated = {number_of(member) for member in line.members}
    else:
        options = line.options if isinstance(line, Either) else (line,)
        if not all(isinstance(option, Relation) and option.sign == "!=" for option in options):
            return None
        stated = {number_of(option.right) for option in options if isinstance(option, Relation)}
    given = without_brackets(context.given)
    wanted = _gaps(given, context.unknown)
    negated = {_negative(point) for point in stated}
    if stated != negated and any(p not in wanted and n in wanted for p, n in _turned(stated)):
        return errors.EXCLUDED_SIGN.key
    if stated < wanted:
        reduced = set(features_of(given, context.unknown).vertical)
        return (errors.FROM_REDUCED if stated == reduced else errors.FACTOR_MISSED).key
    if stated <= set(features_of(given, context.unknown).zeros):
        return errors.EXCLUDED_FROM_TOP.key
    return None


def _turned(stated: set[Algebraic]) -> list[tuple[Algebraic, Algebraic]]:
    return [(point, _negative(point)) for point in stated]


def _gaps(given: Expr, unknown: str) -> set[Algebraic]:
    found = domain_set(given, unknown)
    return {i.high for i in found.intervals[:-1] if i.high is not None}


def _negative(point: Algebraic) -> Algebraic:
    value = point.rational
    return point if value is None else Algebraic.of(-value)


# features of a function


def _feature_error(line: Feature, context: Context) -> str | None:
    found = features_of(without_brackets(context.given), context.unknown)
    match line.label.removesuffix("s"):
        case "vertical asymptote":
            return _vertical(line, found, context)
        case "hole":
            return _hole(line, found)
        case "horizontal asymptote":
            return _horizontal(line, found, context)
        case "oblique asymptote":
            return errors.NOT_DIVIDED.key if found.is_oblique and line.items else None
        case "x-intercept":
            return _x_intercept(line, found)
        case "y-intercept":
            return _y_intercept(line, found, context)
        case "end left" | "end right":
            return _end(line, found)
        case "domain":
            items = tuple(item for item in line.items if isinstance(item, Relation))
            return _domain_error(Either(items) if len(items) > 1 else items[0], context)
        case _:
            return None


def _vertical(line: Feature, found: Features, context: Context) -> str | None:
    if context.unknown != "y" and _with_letter(line, "y") & set(found.vertical):
        return errors.LETTERS_SWAPPED.key
    stated = lines_at(line, context.unknown)
    if any(x in stated for x, _ in found.holes):
        return errors.HOLE_AS_ASYMPTOTE.key
    wrong = stated - set(found.vertical)
    if wrong and all(_negative(x) in found.vertical for x in wrong):
        return errors.SHIFT_SIGN.key
    return errors.EXCLUDED_FROM_TOP.key if stated and stated <= set(found.zeros) else None


def _with_letter(line: Feature, letter: str) -> set[Algebraic]:
    """Return the numbers c of the items ``letter = c``; empty where an item is something else."""
    items = [item for item in line.items if isinstance(item, Relation)]
    if len(items) < len(line.items) or any(item.left != Symbol(letter) for item in items):
        return set()
    return {number_of(item.right) for item in items}


def _hole(line: Feature, found: Features) -> str | None:
    places = {x for x, _ in found.holes}
    stated = {number_of(i.x) for i in line.items if isinstance(i, Coordinates)}
    return errors.HOLE_HEIGHT.key if stated == places and places else None


def _horizontal(line: Feature, found: Features, context: Context) -> str | None:
    height = Algebraic.of(found.right) if isinstance(found.right, fmpq) else None
    if context.unknown != "y" and height in _with_letter(line, context.unknown):
        return errors.LETTERS_SWAPPED.key
    if found.top.degree() != found.bottom.degree():
        return errors.DEGREE_MIXUP.key
    stated = lines_at(line, "y")
    if height is not None and isinstance(without_brackets(context.given), Sum):
        if stated == {_negative(height)} != {height}:
            return errors.VERTICAL_SHIFT.key
    return errors.COEFFICIENTS.key if line.items else errors.DEGREE_MIXUP.key


def _coordinates(line: Feature, turned: bool = False) -> set[tuple[Algebraic, Algebraic]]:
    """Return the points that a line states; *turned*: with their coordinates exchanged."""
    points = [item for item in line.items if isinstance(item, Coordinates)]
    pairs = [(number_of(point.x), number_of(point.y)) for point in points]
    return {(y, x) for x, y in pairs} if turned else set(pairs)


def _x_intercept(line: Feature, found: Features) -> str | None:
    stated = {x for x, _ in _coordinates(line)}
    zeros = {(zero, _ZERO) for zero in found.zeros}
    if zeros and _coordinates(line, turned=True) == zeros:
        return errors.COORDINATES_SWAPPED.key
    if any(x in stated for x, _ in found.holes):
        return errors.INTERCEPT_AT_HOLE.key
    if stated & set(found.vertical) or _at_zero(stated, found):
        return errors.INTERCEPTS_SWAPPED.key
    return None


def _at_zero(stated: set[Algebraic], found: Features) -> bool:
    return found.at_zero is not None and stated == {Algebraic.of(found.at_zero)}


def top_at_zero(given: Expr, unknown: str) -> Algebraic | None:
    """Return the value of the numerator as it is written where the unknown is 0; None without a bar."""
    if not isinstance(given, Quotient):
        return None
    return Algebraic.of(value_at(given.numerator, {unknown: fmpq(0)}))


def _y_intercept(line: Feature, found: Features, context: Context) -> str | None:
    stated = {y for _, y in _coordinates(line)}
    if found.at_zero is not None:
        if _coordinates(line, turned=True) == {(_ZERO, Algebraic.of(found.at_zero))}:
            return errors.COORDINATES_SWAPPED.key
        if stated == {top_at_zero(without_brackets(context.given), context.unknown)}:
            return errors.Y_FROM_TOP.key
    return errors.INTERCEPTS_SWAPPED.key if stated & {*found.zeros, *found.vertical} else None


def _end(line: Feature, found: Features) -> str | None:
    end = found.left if line.label == "end left" else found.right
    if isinstance(end, str) or len(line.items) != 1:
        return None
    return errors.END_SIGN.key if number_of(line.items[0]) == Algebraic.of(-end) else None
