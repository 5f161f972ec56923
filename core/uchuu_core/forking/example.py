"""The example whose forks are looked for: its own lines as far as they hold, or the worked ones."""

from collections.abc import Iterator
from contextlib import suppress
from dataclasses import dataclass, field, replace

from uchuu_core.checking.context import Context, context_of
from uchuu_core.checking.entries import Entry, readable_lines
from uchuu_core.checking.line import judged
from uchuu_core.checking.naming import named_key
from uchuu_core.checking.reasons import said_at
from uchuu_core.checking.steps import Step, judged_steps
from uchuu_core.checking.worked_reasons import Asked
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure
from uchuu_core.forking.candidates import Candidate
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.lawbook.law import Law
from uchuu_core.methods.catalogue import chosen
from uchuu_core.methods.method import Method, at_density
from uchuu_core.tree.nodes import Line
from uchuu_core.working.lines import worked_lines


@dataclass(frozen=True, slots=True)
class Example:
    """A worked problem: its lines, the given first, and the laws that lead to each.

    ``laws`` is as long as ``lines``; of a line that nothing explains it is empty. ``numbers``: on which
    written line each stands, remarks and side work counted. ``slips``: wrong lines that were crossed out.
    """

    context: Context
    method: Method | None
    lines: list[Line]
    laws: list[frozenset[Law]]
    numbers: list[int]
    slips: list[Candidate] = field(default_factory=list)


def read_example(problem: Problem) -> Example:
    """Return the example that *problem* poses; raises as ``forks``."""
    return example_of(context_of(problem, readable_lines(problem)))


def example_of(context: Context, *, by_method: bool = False) -> Example:
    """Return the example of the problem: its own lines as far as they hold, or the worked ones.

    ``by_method``: the worked ones in any case.

    Raises:
        MethodDoesNotApply, OutOfScope: it has no lines and cannot be worked.
    """
    problem = context.problem
    if by_method or not problem.lines:
        method = chosen(context.posed, problem.task, problem.method)
        worked = [line.moment.line for line in worked_lines(context, method, "board")]
        laws = _laws_between(method, context, worked)
        lines = [context.given, *worked]
        return Example(context, method, lines, [frozenset(), *laws], [*range(len(lines))])
    written = _as_written(context)
    with suppress(Failure):
        return replace(written, method=chosen(context.posed, problem.task, problem.method))
    return written


def _as_written(context: Context) -> Example:
    """Return the example of the problem's own lines, as far as they hold."""
    entries = readable_lines(context.problem)
    example = Example(context, None, [context.given], [frozenset()], [0])
    steps = judged_steps(entries, context)
    for number, (entry, step) in enumerate(zip(entries, steps, strict=True), start=1):
        if isinstance(entry, Entry) and entry.told.is_struck:
            example.slips.extend(_slip(entry.told.remark, example))
            continue
        if not isinstance(step, Step) or step.judgement.verdict not in ("ok", "may-add"):
            break
        if not step.judgement.is_aside:
            example.lines.append(step.line)
            example.laws.append(_laws_of(step, context))
            example.numbers.append(number)
    return example


def _slip(text: str, example: Example) -> Iterator[Candidate]:
    """Yield the wrong line that was crossed out under the last line of *example*, where its error is known."""
    before, context, after = example.lines[-1], example.context, len(example.lines) - 1
    try:
        line = context.problem.read(text)
        judgement = judged(before, line, context)
    except (Failure, NotRational, Undefined):
        return
    if judgement.verdict in ("wrong", "loses") and not judgement.is_aside:
        error = named_key(before, line, judgement, context)
        if error is not None:
            yield Candidate(after, error, before, line, (error, "crossed out", after))


def _laws_of(step: Step, context: Context) -> frozenset[Law]:
    """Return the laws that explain a teacher's own line, none where nothing is said of it."""
    problem = context.problem
    asked = Asked(problem.task, problem.method, problem.house.density)
    says = said_at(context.posed, step.before, step.line, asked, context.ring)
    return says.laws if says else frozenset()


def _laws_between(method: Method, context: Context, worked: list[Line]) -> list[frozenset[Law]]:
    """Return the laws that lead to each line of *worked*, those left out at board density too."""
    found: list[frozenset[Law]] = []
    laws: set[Law] = set()
    for moment in at_density(method.moments(context.posed), "fine"):
        laws.add(moment.law)
        if len(found) < len(worked) and moment.line == worked[len(found)]:
            found.append(frozenset(laws))
            laws = set()
    return [*found, *[frozenset[Law]()] * (len(worked) - len(found))]
