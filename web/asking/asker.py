"""Asking the core about a stored problem: a set's house rules over the teacher's, the problem's over both."""

from typing import Any, Protocol

from algebra import known, pool
from algebra.turns import Busy, HasLeft, stays
from django.contrib.auth.models import User
from errors.queries import for_core as own_errors
from house.queries import for_core as house_rules
from uchuu_core.failures import Failure


class Problem(Protocol):
    """What is asked about: an example."""

    task: str
    given: str
    variable: str
    numbers: str
    form: Any
    house: Any


class Asker:
    """Asks the core about the problems of one set (or of none), with the rules read once."""

    def __init__(self, teacher: User, house: dict[str, Any] | None = None) -> None:
        self._rules = {**house_rules(teacher), **(house or {})}
        self._own = own_errors(teacher)
        self._whose = teacher.pk

    def record(self, problem: Problem, **more: Any) -> dict[str, Any]:
        """Return the question about *problem*, without its lines."""
        return {
            "task": problem.task,
            "given": problem.given,
            "variable": problem.variable or None,
            "numbers": problem.numbers,
            "form": problem.form,
            "house": {**self._rules, **problem.house},
            "own": self._own,
            "lines": [],
            **more,
        }

    def ask(self, operation: str, problem: Problem, **more: Any) -> dict[str, Any]:
        """Return the core's answer, remembered or worked out now; raises ``Failure`` as it does."""
        return known.ask(operation, self.record(problem, **more), self._whose)

    def text(
        self, operation: str, problem: Problem, has_left: HasLeft = stays, **more: Any
    ) -> str | None:
        """Return the core's answer as JSON, worked out now; None where it has none, or none in time."""
        try:
            return pool.run_text(operation, self.record(problem, **more), self._whose, has_left)
        except Failure:
            return None

    def judged(self, problem: Problem, lines: list[str]) -> dict[str, Any]:
        """Return the core's judgement of *lines*, worked out now; raises ``Failure`` as it does."""
        return pool.run("check", self.record(problem, lines=lines), self._whose)

    def remembered(self, operation: str, problems: list[Any]) -> list[dict[str, Any] | None]:
        """Return what is known already of each problem, in order."""
        return known.remembered(operation, [self.record(problem) for problem in problems])

    def facts(self, problem: Problem) -> dict[str, Any]:
        """Return the facts of one problem, worked out now where they are not known.

        Raises:
            TookTooLong, Busy: they may be known when somebody asks again.
        """
        try:
            return self.ask("facts", problem)
        except (pool.TookTooLong, Busy):
            raise
        except Failure as failure:
            return {"refused": failure.message}

    @property
    def ground(self) -> str:
        """Return a digest of all that answers depend on besides the problem: rules, own errors, the core."""
        return self.ground_with({})

    def ground_with(self, more: dict[str, Any]) -> str:
        """Return the digest of the ground with *more* that an answer depends on."""
        return known.digest_of("", {"rules": self._rules, "own": self._own, **more})[:16]
