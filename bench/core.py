"""Times of the core on the cases, beside the general algebra system in the same run.

Prints medians and 95th percentiles in milliseconds, and ratios; run by ``./uchuu bench core``.
"""

import gc
import json
import resource
import signal
import statistics
import subprocess
import sys
import time
from collections.abc import Callable, Iterator
from concurrent.futures import ProcessPoolExecutor
from contextlib import suppress
from dataclasses import replace
from typing import Any, NamedTuple

import sympy
from sympy.core.cache import clear_cache
from uchuu_core import check, forks, nudge, problem_from, proof, screen, study, twin, work
from uchuu_core.checking.context import Context, context_of
from uchuu_core.checking.diagnosis import errors_that_reproduce
from uchuu_core.checking.entries import Entry, readable_lines
from uchuu_core.checking.line import judged
from uchuu_core.contract import Problem
from uchuu_core.drawing.draw import draw
from uchuu_core.failures import Failure
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solving import solution_set
from uchuu_core.methods import exponents, radicals, rational
from uchuu_core.methods.catalogue import _applicable
from uchuu_core.methods.equations.methods import _routed
from uchuu_core.methods.factoring import route
from uchuu_core.notation import plain, read
from uchuu_core.notation.reading import _read
from uchuu_core.sidework.beside import beside
from uchuu_core.tests.support.cases import cases
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Join, Line, Product, Relation
from uchuu_core.tree.paths import letters, rebuild

Times = list[float]
PATIENCE = 5
"""Seconds that the general system is given for one line."""
_STAR: Join = "*"


class Step(NamedTuple):
    """A line of a case, with the line before it."""

    text: str
    before: Line
    line: Line
    context: Context
    expected: str


def _timed(action: Callable[[], object]) -> float:
    started = time.perf_counter()
    action()
    return (time.perf_counter() - started) * 1000


def _shown(name: str, times: Times) -> float:
    median = statistics.median(times)
    high = statistics.quantiles(times, n=20)[18]
    print(f"{name:<44}{len(times):>6}{median:>10.2f}{high:>10.2f}{max(times):>10.2f}")
    return median


def _judged_cases() -> Iterator[dict[str, Any]]:
    """Yield the cases whose lines are judged: all but features of functions."""
    return (case for case in cases("check") if case["task"] != "study")


def _steps() -> list[Step]:
    """Return every line of the cases with the line before it and what was expected."""
    found = []
    for case in _judged_cases():
        problem = problem_from(case)
        lines = readable_lines(problem)
        context = context_of(problem, lines)
        before: Line = context.given
        for text, line, verdict in zip(case["lines"], lines, case["verdicts"], strict=True):
            if isinstance(line, Entry) and len(line.lines) == 1:
                found.append(Step(text, before, line.lines[0], context, verdict))
                before = line.lines[0]
    return found


def _oracle(line: Line) -> Any:
    def dotted(part: Any) -> Any:
        if isinstance(part, Product):
            return Product(part.factors, tuple(_STAR for _ in part.joins))
        return part

    def side(node: Line) -> Any:
        text = plain(rebuild(without_brackets(node), dotted))
        return sympy.sympify(text.replace("^", "**").replace("÷", "/"), rational=True)

    if isinstance(line, Relation):
        return side(line.left) - side(line.right)
    return side(line)


def _alike(one: Any, other: Any, *, is_equation: bool) -> bool:
    """Compare two lines as the general system would: zero difference, or equal solution sets."""
    if is_equation:
        reals = sympy.S.Reals
        return bool(sympy.solveset(one, domain=reals) == sympy.solveset(other, domain=reals))
    return bool(sympy.simplify(one - other) == 0)


def _out_of_patience(*_: object) -> None:
    raise TimeoutError


def _beside_oracle(steps: list[Step], *, is_equation: bool) -> float:
    """Print the general system's times on *steps* and return the median ratio of comparing.

    Lines are read by both before; nothing is remembered. Left out of the ratio are lines that the
    general system settles while it reads (their difference is a number already). A line is given
    ``PATIENCE`` seconds. Wrong: not alike though the line is ok, or alike though it is wrong.
    """
    signal.signal(signal.SIGALRM, _out_of_patience)
    times, ratios, wrong, failed = [], [], 0, 0
    for step in steps:
        clear_cache()
        signal.alarm(PATIENCE)
        try:
            one, other = _oracle(step.before), _oracle(step.line)
            started = time.perf_counter()
            alike = _alike(one, other, is_equation=is_equation)
        except Exception:  # whatever it raises, the line was not compared
            failed += 1
            continue
        finally:
            signal.alarm(0)
        times.append((time.perf_counter() - started) * 1000)
        if step.expected in ("ok", "wrong"):
            wrong += alike != (step.expected == "ok")
        if is_equation or not (one - other).is_number:
            solution_set.cache_clear()
            mine = _timed(lambda s=step: judged(s.before, s.line, s.context))  # type: ignore[misc]
            ratios.append(times[-1] / mine)
    _shown("  comparing, by the general system", times)
    print(f"  which judged {wrong} of {len(steps)} lines wrongly and could not judge {failed}")
    return statistics.median(ratios)


def _read_and_judge(step: Step) -> None:
    """Judge a line from its text, as when it is typed under a line that was judged."""
    _read.cache_clear()
    judged(step.before, read(step.text), step.context)


def _judge_anew(step: Step) -> None:
    """The same with the line before worked out anew."""
    solution_set.cache_clear()
    _read_and_judge(step)


def _read_anew(text: str) -> None:
    _read.cache_clear()
    read(text)


def _solve_and_check(text: str) -> None:
    """Solve an equation and put every candidate back, from its text."""
    _read.cache_clear()
    solution_set.cache_clear()
    line = read(text)
    unknown = sorted(letters(line) - {"i"})[0]
    solution_set(line, unknown, ring((unknown,)))


def _forget_methods() -> None:
    """Make every memory of worked problems empty."""
    for remembered in (
        _routed,
        radicals.worked,
        rational.worked,
        exponents._worked,
        route,
        _applicable,
    ):
        remembered.cache_clear()
    solution_set.cache_clear()
    _read.cache_clear()


def _worked_anew(problem: Problem) -> None:
    _forget_methods()
    work(problem)


def _import_cost(package: str) -> tuple[float, float]:
    """Return milliseconds and megabytes of importing *package* in a new process."""
    script = (
        f"import time;t=time.perf_counter();import {package};d=time.perf_counter()-t;"
        "status=open('/proc/self/status').read();"
        "print(d*1000, int(status.split('VmHWM:')[1].split()[0])/1024)"
    )
    costs = []
    for _ in range(5):
        done = subprocess.run([sys.executable, "-c", script], capture_output=True, text=True)
        costs.append([float(word) for word in done.stdout.split()])
    return statistics.median(c[0] for c in costs), statistics.median(c[1] for c in costs)


def _measured(name: str, action: Callable[[Any], object], items: list[Any]) -> float:
    return _shown(name, [_timed(lambda item=item: action(item)) for item in items])  # type: ignore[misc]


def _forks_anew(problem: Problem) -> None:
    """Find the forks of an example that nobody has worked yet."""
    _forget_methods()
    forks(problem)


def _twin_or_refusal(problem: Problem) -> None:
    """Make a twin; one structure of the cases has no number and is refused."""
    with suppress(Failure):
        twin(problem)


def _drawing(problems: list[Problem]) -> None:
    """Measure what marks of a hand and side work cost, by the line, beside judging the same lines."""
    written = [replace(p, lines=tuple(m["text"] for m in work(p)["lines"])) for p in problems]
    lines = sum(len(p.lines) for p in written)
    for p in written:  # what is remembered of a line is remembered for all three
        draw(p)
    times = {
        name: sum(_timed(lambda p=p, ask=ask: ask(p)) for p in written)  # type: ignore[misc]
        for name, ask in (("check", check), ("draw", draw), ("beside", beside))
    }
    for name in ("draw", "beside"):
        each, ratio = times[name] / lines, times[name] / times["check"]
        print(f"{name}: {each:.1f} ms a line, × {ratio:.1f} of checking the same lines")


def _keys(problems: list[Problem]) -> list[str]:
    """Return keys of twenty items, every line of each."""
    verbs = {"domain": "Find the domain of"}
    items = []
    for problem in problems:
        lines = [line["text"] for line in work(problem)["lines"]]
        verb = verbs.get(problem.task, problem.task.capitalize())
        if problem.task != "study" and lines:
            items.append("\n".join([f"{verb}: {problem.given}", *lines]))
    return [
        "\n".join(f"{n}. {item}" for n, item in enumerate(items[start : start + 20], start=1))
        for start in range(0, len(items) - 19, 10)
    ]


def _proof_key(text: str) -> None:
    solution_set.cache_clear()
    proof(text, Problem("simplify", ""))


def _paper_lines(records: list[dict[str, Any]]) -> int:
    """Judge and explain papers, each line to the end; return how many lines there were."""
    for record in records:
        while check(problem_from(record))["unexplained"]:
            pass
    return sum(len(record["lines"]) for record in records)


def _papers() -> float:
    """Return seconds for 1,800 lines of thirty students on two processes, named errors and all.

    Thirty papers of sixty lines: the cases in turn, each student another mixture.
    """
    listed = [case for case in cases("check") if case["lines"]]
    papers: list[list[dict[str, Any]]] = []
    for student in range(30):
        paper: list[dict[str, Any]] = []
        number = student * 7
        while sum(len(record["lines"]) for record in paper) < 60:
            paper.append(listed[number % len(listed)])
            number += 11
        papers.append(paper)
    with ProcessPoolExecutor(2) as pool:
        list(pool.map(_paper_lines, papers[:2]))  # both processes are warm, as a server's are
        started = time.perf_counter()
        lines = sum(pool.map(_paper_lines, papers))
        seconds = time.perf_counter() - started
    print(f"{lines} lines of {len(papers)} papers", end="; ")
    return seconds


def main() -> None:
    """Measure and print."""
    texts = [t for case in cases("check") for t in (case["given"], *case["lines"]) if ":" not in t]
    read("1")
    _read.cache_clear()
    steps = _steps()
    gc.freeze()  # the general system's objects would be walked in our times
    equations = [
        case["given"]
        for case in _judged_cases()
        if case["task"] == "solve" and len(letters(read(case["given"]))) == 1
    ]
    verdicts = [judged(s.before, s.line, s.context).verdict for s in steps]
    print(f"{len(steps)} lines of all topics; not decided: {verdicts.count('unproved')}")
    print(f"{'':<44}{'n':>6}{'median':>10}{'95 %':>10}{'worst':>10}   (ms)")
    _measured("reading a line", _read_anew, texts)
    ours = _measured("judging a line", lambda s: judged(s.before, s.line, s.context), steps)
    ratios = {}
    everything = _measured("text to verdict", _read_and_judge, steps)
    for kind in ("expressions", "equations"):
        part = [s for s in steps if isinstance(s.before, Relation) is (kind == "equations")]
        _measured(f"{kind}: text to verdict", _read_and_judge, part)
        _measured("  nothing remembered of the line before", _judge_anew, part)
        ratios[kind] = round(_beside_oracle(part, is_equation=kind == "equations"))
    _measured("solving an equation and checking", _solve_and_check, equations)
    _measured(
        "naming the error of a wrong line",
        lambda s: errors_that_reproduce(s.before, s.line),
        [step for step in steps if step.expected == "wrong"],
    )
    _measured("checking a whole paper", check, [problem_from(c) for c in _judged_cases()])
    problems = [problem_from(case) for case in cases("work")]
    _measured("working a problem", _worked_anew, problems)
    _measured("the next step under a problem", nudge, [p for p in problems if p.task != "study"])
    _measured("studying a function", study, [p for p in problems if p.task == "study"])
    _measured("forks of a whole example", _forks_anew, problems)
    _measured("screening an exercise", screen, problems)
    worked = _measured("working a problem, remembered", work, problems)
    twins = _measured("a twin of a problem", _twin_or_refusal, problems)
    print(f"a twin costs {twins / worked:.0f} workings at the median")
    _drawing(problems)
    _measured("proofing a key of 20 items with all lines", _proof_key, _keys(problems))
    print(f"thirty papers, two processes: {_papers():.1f} s")
    for package in ("uchuu_core", "sympy"):
        milliseconds, megabytes = _import_cost(package)
        print(f"importing {package}: {milliseconds:.0f} ms, {megabytes:.0f} MB")
    most = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss / 1024
    print(f"this process, the general system included: {most:.0f} MB")
    print(f"judging, at the median: {ratios} times as fast as the general system in this run")
    print(
        json.dumps(
            {
                "judging_median_ms": round(ours, 3),
                "text_to_verdict_ms": round(everything, 3),
                "ratios": ratios,
            }
        )
    )


if __name__ == "__main__":
    main()
