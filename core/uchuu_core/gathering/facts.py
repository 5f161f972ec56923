"""The facts of a problem that a set shows: answer, difficulty, skills, what it reveals, what it is like."""

import hashlib
from typing import Any

from uchuu_core.answers.made import Facts
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure
from uchuu_core.forking.uses import screen
from uchuu_core.inspecting.problem import inspect
from uchuu_core.notation import latex, read
from uchuu_core.tree.shape import structure, unnamed
from uchuu_core.working.problem import work


def facts(problem: Problem) -> Facts:
    """Return what a set shows of one problem; never refuses for what cannot be worked.

    ``{"reads", "kind", "answer", "answer_latex", "answers", "outcome", "method", "lines": n, "skills": [law…],
    "difficulty": {"score","reasons"} | None, "reveals", "hides", "same", "structure", "refused": sentence}``.
    ``same`` and ``structure`` are keys: equal for the same exercise (at most with other letters), and for
    exercises of the same look that are worked by the same laws.

    Raises:
        Unreadable, TooLarge: the given cannot be read.
    """
    given = problem.read(problem.given)
    seen = inspect(problem)
    found: Facts = {
        "reads": seen["reads"],
        "kind": seen["kind"],
        "answer": "",
        "answer_latex": "",
        "answers": [],
        "outcome": None,
        "method": None,
        "lines": 0,
        "skills": [],
        "difficulty": None,
        "reveals": [],
        "hides": [],
        "same": _key(problem, unnamed(given)),
        "structure": _key(problem, structure(given)),  # of what cannot be worked: its look alone
        "refused": "",
    }
    try:
        worked = work(problem)
    except Failure as failure:
        found["refused"] = failure.message
        return found
    found["answer"], found["outcome"] = worked["answer"], worked["outcome"]
    found["method"], found["difficulty"] = worked["method"], worked["difficulty"]
    found["answer_latex"] = latex(read(worked["answer"]))
    found["answers"] = worked.get("answers", [])
    found["lines"] = len(worked["lines"])
    laws = [line["law"] for line in worked["lines"]]
    found["skills"] = list(dict.fromkeys(laws))
    # signs tell exercises apart: x² − 7x + 12 asks for other pairs than x² + x − 12
    found["structure"] = _key(problem, (structure(given), laws))
    try:
        screened = screen(problem)
        found["reveals"], found["hides"] = screened["reveals"], screened["hides"]
    except Failure as failure:
        found["refused"] = failure.message
    return found


def _key(problem: Problem, look: Any) -> str:
    return hashlib.sha256(f"{problem.task} {look!r}".encode()).hexdigest()[:24]
