"""The error behind a wrong line, as the contract has it: its name, what to say, the right line, numbers."""

from collections.abc import Container
from dataclasses import replace

from uchuu_core.answers.checked import NamedError
from uchuu_core.checking.context import Context
from uchuu_core.checking.diagnosis import errors_that_reproduce
from uchuu_core.checking.judgement import Judgement, is_statement
from uchuu_core.checking.original import put_in
from uchuu_core.checking.own_errors import moves_of, wording_of
from uchuu_core.checking.right_line import right_feature, right_line
from uchuu_core.checking.state_errors import state_error
from uchuu_core.checking.steps import (
    Step,
)
from uchuu_core.checking.target import Found
from uchuu_core.checking.telling_apart import is_as_near, told_apart
from uchuu_core.contract import LineError, OwnError
from uchuu_core.kernel.equality import Counter
from uchuu_core.kernel.written import tree_of
from uchuu_core.lawbook.judging import FITS_BEFORE_NOT_HERE, IS_NOT, TRY
from uchuu_core.lawbook.says import Says, listed, mathematics
from uchuu_core.moves.errors import copying, found_otherwise
from uchuu_core.notation import latex, plain
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.changes import changed_parts
from uchuu_core.tree.nodes import Feature, Line, Number, Relation

PEN = {error.key for error in copying.ERRORS}
"""Slips of the pen."""


def named_error(step: Step, context: Context, seen: Container[str] = ()) -> LineError | None:
    """Return the error behind a line that was refused, None when none is found.

    ``seen``: errors that the student made before: named first of those that are equally near.
    """
    before, line, judgement = step.before, step.line, step.judgement
    if judgement.is_aside:
        return _error_beside(step, context)
    counter = counter_says(judgement.counter, line)
    state = state_error(before, line, judgement, context)
    own = context.problem.own
    if state is not None:
        if isinstance(line, Feature):
            instead = right_feature(line, context.posed)
        else:
            instead = right_line(before, line, None, context)
        return worded(state, instead, counter, [], own)
    found = _made_before_first(errors_that_reproduce(before, line, moves_of(own)), seen)
    if not found:
        return None
    instead = right_line(before, line, found[0], context)
    also = [item.error for item in found[1:4] if item.error != found[0].error]
    named = worded(found[0].error, instead, counter, also, own)
    return replace(named, apart=told_apart(before, found, own))


def named_key(before: Line, line: Line, judgement: Judgement, context: Context) -> str | None:
    """Return the key of the error behind a refused line of the chain, None when none is found."""
    state = state_error(before, line, judgement, context)
    if state is not None:
        return state
    found = errors_that_reproduce(before, line, moves_of(context.problem.own))
    return found[0].error if found else None


def _made_before_first(found: list[Found], seen: Container[str]) -> list[Found]:
    """Return *found* with an error that was made before in front, where it is as near as the first."""
    for item in found[1:]:
        if item.error in seen and found[0].error not in seen and is_as_near(item, found[0]):
            return [item, *(other for other in found if other is not item)]
    return found


def _error_beside(step: Step, context: Context) -> LineError | None:
    """Name the error of side work (left turned into right), or of a check in a miscopied equation."""
    line, candidate = step.line, step.judgement.candidate
    if not isinstance(line, Relation) or line.sign != "=":
        return None
    own, is_check = context.problem.own, step.role == "check"
    before: Line = line.left
    after: Line = line.right
    if is_check:
        written_out = candidate and tree_of(candidate)
        if written_out is None or not isinstance(context.given, Relation):
            return None
        left, right = (
            put_in(side, context.unknown, written_out)  # type: ignore[arg-type]
            for side in (context.given.left, context.given.right)
        )
        before, after = Relation(left, "=", right), line
    counter = counter_says(step.judgement.counter, line)
    if is_check:
        if not _is_miscopied(before, after):
            return None
        return worded(found_otherwise.CHECK_MISCOPIED.key, before, counter, [], own)
    named = errors_that_reproduce(before, after, moves_of(own))
    return worded(named[0].error, None, counter, [], own) if named else None


def _is_miscopied(before: Line, after: Line) -> bool:
    """Whether one number, sign or term changed between what was to be put in and what was."""
    changed = changed_parts(without_brackets(before), without_brackets(after))
    if len(changed) == 1 and isinstance(changed[0], Number):
        return True
    return any(found.error in PEN for found in errors_that_reproduce(before, after))


def worded(
    key: str, instead: Line | None, counter: Says | None, also: list[str], own: tuple[OwnError, ...]
) -> LineError:
    """Return the error *key* in the words that a teacher reads."""
    wording = wording_of(key, own)
    return LineError(key, wording.name, wording.repair, instead, counter, also)


def error_record(error: LineError, own: tuple[OwnError, ...]) -> NamedError:
    """Return the contract's record of *error*."""
    record: NamedError = {
        "id": error.id,
        "name": error.name,
        "says": error.says,
        "instead": plain(error.instead) if error.instead else None,
        "instead_latex": latex(error.instead) if error.instead else None,
        "counter": error.counter.text if error.counter else None,
        "counter_parts": error.counter.parts if error.counter else [],
        "also": error.also,
        "also_names": [wording_of(key, own).name for key in error.also],
    }
    if error.apart is not None:
        record |= {"apart": error.apart.text, "apart_parts": error.apart.parts}
    return record


def counter_says(counter: Counter | None, line: Line) -> Says | None:
    """Say a counter-example to *line* with its numbers."""
    if counter is None:
        return None
    left, right = mathematics(counter.left), mathematics(counter.right)
    if not counter.point:
        return IS_NOT(left, right)
    point = listed(
        (mathematics(f"{name} = {value}") for name, value in counter.point), before_last=", "
    )
    return (FITS_BEFORE_NOT_HERE if is_statement(line) else TRY)(point, left, right)
