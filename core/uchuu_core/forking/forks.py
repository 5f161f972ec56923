"""The ``forks`` operation of the contract: where students leave, and where each fork would end."""

from collections.abc import Iterator
from contextlib import suppress
from dataclasses import dataclass, replace
from typing import Any

from uchuu_core.answers.forked import Fork as ForkRecord
from uchuu_core.answers.forked import Forks
from uchuu_core.checking.context import Context, context_of
from uchuu_core.checking.diagnosis import directly_reproduced
from uchuu_core.checking.judgement import Judgement
from uchuu_core.checking.line import judged
from uchuu_core.checking.naming import counter_says, named_key
from uchuu_core.checking.own_errors import moves_of, wording_of
from uchuu_core.checking.steps import same_end, solutions_or_none
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure, OutOfScope
from uchuu_core.forking.candidates import Candidate, State, candidates
from uchuu_core.forking.example import Example, read_example
from uchuu_core.forking.order import how_known, told_in_order
from uchuu_core.forking.stated import kept_candidates, stated
from uchuu_core.kernel.finished import unmet_forms
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.written import described
from uchuu_core.lawbook.says import Says
from uchuu_core.methods.catalogue import applicable
from uchuu_core.methods.method import Method
from uchuu_core.moves.catalogue import commonness
from uchuu_core.moves.errors import found_otherwise
from uchuu_core.notation import plain, read, shown
from uchuu_core.tree.nodes import Feature, Line, Outcome
from uchuu_core.tree.shape import unordered
from uchuu_core.working.lines import WorkedLine, worked_lines

MOST_PER_LINE = 3
"""Forks of one line that a teacher is shown unless more are asked for: more would hide the common ones."""
MOST_TRIED = 3
"""Candidates that are carried on for each fork of a line that is asked for; the others are less likely."""
MOST_ASKED = 6
"""Forks of one line that choices are taken from, or that a teacher may ask for."""


@dataclass(frozen=True, slots=True)
class Fork:
    """A wrong line after line ``after`` (0: the given) and where it ends, carried on by laws.

    ``end`` is None when no method goes on from the wrong line; ``hidden``: the end equals the right
    answer, so the exercise cannot tell this error from the law; ``also``: errors that write the same
    line; ``is_crossed_out``: the line stands crossed out in the example.
    """

    after: int
    error: str
    wrong: Line
    end: Line
    counter: Says | None
    hidden: bool
    also: tuple[str, ...] = ()
    is_crossed_out: bool = False


def forks(problem: Problem) -> Forks:
    """Return the contract's ``forks`` answer, most common first, at most ``problem.most`` after a line.

    The example is *problem*'s own lines as far as they hold, or the worked lines where it has none.

    Raises:
        Unreadable, TooLarge: the given cannot be read.
        MethodDoesNotApply, OutOfScope: it has no lines and cannot be worked.
    """
    example = read_example(problem)
    found = forks_of(example, max(1, min(problem.most, MOST_ASKED)))
    placed = [replace(fork, after=example.numbers[fork.after]) for fork in found]
    return {"forks": [as_record(fork, problem) for fork in placed]}


def forks_of(example: Example, most: int = MOST_PER_LINE) -> list[Fork]:
    """Return the forks of *example*, those that hide last, most common first."""
    by_line: dict[int, list[Candidate]] = {}
    for candidate in invited(example):
        by_line.setdefault(candidate.after, []).append(candidate)
    found: dict[tuple[str, str], Fork] = {}
    for slip in example.slips:
        by_line.setdefault(slip.after, [])
    for after, listed in by_line.items():
        slips = [slip for slip in example.slips if slip.after == after]
        told = [*slips, *told_in_order(listed, example.laws, example.lines)]
        for fork in _of_line(told, example, most):
            same = found.setdefault((fork.error, plain(fork.end)), fork)
            if _known(fork, example) < _known(same, example):  # due twice: where one warns of it
                found[fork.error, plain(fork.end)] = fork
    forked = [*found.values(), *stopped(example)]
    return sorted(forked, key=_place)


def _place(fork: Fork) -> tuple[bool, bool, int, int]:
    """What was really crossed out here comes first; hidden ones last."""
    return fork.hidden, not fork.is_crossed_out, commonness(fork.error), fork.after


def _known(fork: Fork, example: Example) -> tuple[int, int]:
    return how_known(fork.error, fork.after, example.laws)


def invited(example: Example) -> list[Candidate]:
    """Return every wrong line that *example* invites, judged by nobody yet."""
    context, lines = example.context, example.lines
    found: list[Candidate] = []
    with suppress(NotRational, Undefined, Failure):
        found += stated(lines, context)
    if context.problem.task == "domain":
        return found
    rewritten = [n for n, line in enumerate(lines) if not isinstance(line, Feature)]
    following = [*rewritten[1:], None]
    states = [
        State(
            number,
            lines[number],
            None if after is None else lines[after],
            example.laws[after] if after is not None else frozenset(),
        )
        for number, after in zip(rewritten, following, strict=True)
    ]
    return found + candidates(states, moves_of(context.problem.own), context.problem.task)


def _of_line(listed: list[Candidate], example: Example, most: int) -> Iterator[Fork]:
    """Yield the first *most* forks of one line that the judges call what they are, and a hidden one.

    Errors that write the same line are one fork.
    """
    errors: set[str] = set()
    lines: dict[Any, Fork] = {}
    hidden = tried = 0
    for candidate in listed:
        form = unordered(candidate.wrong)
        if form in lines:
            same = lines[form]
            if candidate.error not in (same.error, *same.also):
                lines[form] = replace(same, also=(*same.also, candidate.error))
            continue
        if candidate.error in errors or len(lines) - hidden == most or tried == MOST_TRIED * most:
            continue
        tried += 1
        fork = _fork(candidate, example)
        if fork is not None and not (fork.hidden and hidden):
            errors.add(candidate.error)
            hidden += fork.hidden
            lines[form] = fork
    yield from lines.values()


def left_by(candidate: Candidate, context: Context) -> Judgement | None:
    """Return the judgement of a line that is wrong and has this error's name; None where it is not so."""
    judgement = _judged(candidate, context)
    if judgement is None or judgement.verdict == "ok":
        return None
    return judgement if _is_named(candidate, judgement, context) else None


def _judged(candidate: Candidate, context: Context) -> Judgement | None:
    try:
        found = judged(candidate.before, candidate.wrong, context)
    except Failure:
        return None
    return found if found.verdict in ("wrong", "loses", "ok") and not found.is_aside else None


def _is_named(candidate: Candidate, judgement: Judgement, context: Context) -> bool:
    """Whether somebody who writes this line is told this error."""
    before, wrong = candidate.before, candidate.wrong
    own = moves_of(context.problem.own)
    if judgement.verdict == "ok":
        luck = directly_reproduced(before, wrong, own)
        return luck is not None and luck.error == candidate.error
    return named_key(before, wrong, judgement, context) == candidate.error


def carried_on(wrong: Line, problem: Problem, method: Method | None) -> list[WorkedLine] | None:
    """Return the lawful lines after a wrong one, by the same method where it still applies.

    Empty when the line is an answer already; None when no method goes on.
    """
    posed = replace(problem, given=plain(wrong), lines=(), method=None)
    context = context_of(posed, [])
    is_finished = not unmet_forms(context.given, problem.task, problem.form, context.unknown)
    if is_finished and context.is_equation:
        return []
    serving = applicable(context.posed, problem.task)
    same = [m for m in serving if method is not None and m.key == method.key]
    for way in (*same, *serving)[:1]:
        try:
            return worked_lines(context, way, "board")
        except OutOfScope:
            break
    return [] if is_finished else None


def _fork(candidate: Candidate, example: Example) -> Fork | None:
    """Return the fork that *candidate* is, None where the judges call it otherwise or it has no end."""
    wrong, context = candidate.wrong, example.context
    judgement = _judged(candidate, context)
    if judgement is None or not _is_named(candidate, judgement, context):
        return None
    end = _end(wrong, example)
    hidden = end is not None and _is_right(end, context)
    if end is None or (judgement.verdict == "ok" and not hidden):
        return None
    counter = counter_says(judgement.counter, wrong)
    crossed_out = candidate in example.slips
    return Fork(candidate.after, candidate.error, wrong, end, counter, hidden, (), crossed_out)


def _end(wrong: Line, example: Example) -> Line | None:
    context = example.context
    if isinstance(wrong, Feature) or context.problem.task == "domain":
        return wrong
    if context.problem.task == "study":
        return None
    path = carried_on(wrong, context.problem_in_its_letter, example.method)
    if path is None:
        return _known_end(wrong, context)
    return path[-1].moment.line if path else wrong


def _known_end(wrong: Line, context: Context) -> Line | None:
    """Return the exact solutions of *wrong* as a line, where no method goes on but they are known."""
    found = solutions_or_none(wrong, context) if context.is_equation else None
    if found is None or found.everything or found.intervals or len(found.points) > 4:
        return None
    if found.is_empty:
        return Outcome("no solution")
    try:
        end = read(" or ".join(sorted(described(p, context.unknown) for p in found.points)))
    except Failure:
        return None
    has = solutions_or_none(end, context)
    return end if has is not None and has.same_solutions(found) else None


def _is_right(end: Line, context: Context) -> bool:
    """Whether *end* has the value, or the solutions, of the given."""
    if context.problem.task in ("domain", "study"):
        return False
    return same_end(context.given, end, context) is True


def stopped(example: Example) -> Iterator[Fork]:
    """Yield the candidates that are kept although the original refuses them."""
    context = example.context
    if not context.is_equation:
        return
    below = context.domain(context.given).excluded
    error = found_otherwise.RATIONAL_EXTRANEOUS if below else found_otherwise.RADICAL_EXTRANEOUS
    for number, line in kept_candidates(example.lines):
        if unmet_forms(line, "solve", (), context.unknown):
            continue  # what is rejected there is no candidate for the unknown itself
        yield Fork(number, error.key, line, line, None, hidden=False)


def as_record(fork: Fork, problem: Problem) -> ForkRecord:
    """Return *fork* as the contract has it, with what a screen needs."""
    wording = wording_of(fork.error, problem.own)
    record: ForkRecord = {
        "after": fork.after,
        "error": fork.error,
        "name": wording.name,
        "says": wording.repair,
        "because": wording.why,
        "counter": fork.counter.text if fork.counter else None,
        "counter_parts": fork.counter.parts if fork.counter else [],
        "wrong": plain(fork.wrong),
        "wrong_latex": shown(fork.wrong)["latex"],
        "ends_in": plain(fork.end),
        "ends_in_latex": shown(fork.end)["latex"],
    }
    if fork.also:
        record["also"] = list(fork.also)
        record["also_names"] = [wording_of(error, problem.own).name for error in fork.also]
    if fork.hidden:
        record["hidden"] = True
    if fork.is_crossed_out:
        record["crossed_out"] = True
    return record
