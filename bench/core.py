"""Times of the core on the built topics' cases, beside the general algebra system in the same run.

Prints medians and 95th percentiles in milliseconds, and ratios; run by ``./uchuu bench core``.
"""

import json
import statistics
import subprocess
import sys
import time
from collections.abc import Callable
from typing import Any

import sympy
from uchuu_core import check, problem_from, work
from uchuu_core.checking.context import context_of, readable_lines
from uchuu_core.checking.diagnosis import errors_that_reproduce
from uchuu_core.checking.line import judged
from uchuu_core.failures import Failure
from uchuu_core.notation import plain, read
from uchuu_core.notation.reading import _read
from uchuu_core.testing.cases import BUILT_TOPICS, cases
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Join, Line, Product, Relation
from uchuu_core.tree.paths import rebuild

Times = list[float]
_STAR: Join = "*"


def _timed(action: Callable[[], object]) -> float:
    started = time.perf_counter()
    action()
    return (time.perf_counter() - started) * 1000


def _shown(name: str, times: Times) -> float:
    median = statistics.median(times)
    high = statistics.quantiles(times, n=20)[18]
    print(f"{name:<44}{len(times):>6}{median:>10.2f}{high:>10.2f}")
    return median


def _steps() -> list[tuple[Line, Line, Any, bool]]:
    """Return every (line before, line, context, is wrong) of the cases."""
    found = []
    for case in cases("check", BUILT_TOPICS):
        problem = problem_from(case)
        lines = readable_lines(problem)
        context = context_of(problem, lines)
        before: Line = context.given
        for line, verdict in zip(lines, case["verdicts"], strict=True):
            if not isinstance(line, Failure):
                found.append((before, line, context, verdict == "wrong"))
                before = line
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


def _by_oracle(before: Line, line: Line) -> object:
    one, other = _oracle(before), _oracle(line)
    if isinstance(before, Relation):
        return sympy.solveset(one) == sympy.solveset(other)
    return sympy.simplify(one - other) == 0


def _oracle_times(steps: list[tuple[Line, Line, Any, bool]]) -> Times:
    """Time reading and comparing by the general system; lines that it cannot hold are left out."""
    times = []
    for before, line, _, _ in steps:
        try:
            times.append(_timed(lambda pair=(before, line): _by_oracle(*pair)))  # type: ignore[misc]
        except (sympy.SympifyError, SyntaxError, TypeError, ValueError, AttributeError):
            continue
    return times


def _read_and_judge(step: tuple[Line, Line, Any, bool]) -> None:
    before, line, context, _ = step
    _read.cache_clear()
    read(plain(before)), read(plain(line))
    judged(before, line, context)


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


def main() -> None:
    """Measure and print."""
    texts = [t for case in cases("check") for t in (case["given"], *case["lines"]) if ":" not in t]
    read("1")
    _read.cache_clear()
    steps = _steps()
    wrong = [step for step in steps if step[3]]
    print(f"{'':<44}{'n':>6}{'median':>10}{'95 %':>10}   (ms)")
    _shown("reading a line", [_timed(lambda text=text: read(text)) for text in texts])  # type: ignore[misc]
    ours = _shown(
        "judging a line",
        [_timed(lambda s=s: judged(s[0], s[1], s[2])) for s in steps],  # type: ignore[misc]
    )
    both = _shown(
        "reading two lines and judging",
        [_timed(lambda s=s: _read_and_judge(s)) for s in steps],  # type: ignore[misc]
    )
    theirs = _shown("the same by the general system", _oracle_times(steps))
    _shown(
        "naming the error of a wrong line",
        [_timed(lambda s=s: errors_that_reproduce(s[0], s[1])) for s in wrong],  # type: ignore[misc]
    )
    papers = [problem_from(case) for case in cases("check", BUILT_TOPICS)]
    _shown("checking a whole paper", [_timed(lambda p=p: check(p)) for p in papers])  # type: ignore[misc]
    problems = [problem_from(case) for case in cases("work", BUILT_TOPICS)]
    _shown("working a problem", [_timed(lambda p=p: work(p)) for p in problems])  # type: ignore[misc]
    for package in ("uchuu_core", "sympy"):
        milliseconds, megabytes = _import_cost(package)
        print(f"importing {package}: {milliseconds:.0f} ms, {megabytes:.0f} MB")
    print(f"judging is {theirs / both:.0f} times as fast as the general system in this run")
    print(json.dumps({"judging_median_ms": round(ours, 3), "ratio": round(theirs / both, 1)}))


if __name__ == "__main__":
    main()
