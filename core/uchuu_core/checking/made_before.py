"""Errors that a student made before: what the asker knows of, and those above on the same paper."""

from functools import cached_property

from uchuu_core.checking.context import Context
from uchuu_core.checking.naming import named_key
from uchuu_core.checking.steps import Step
from uchuu_core.failures import Failure


class MadeBefore:
    """Their keys; those of the paper are looked for only when somebody asks.

    They do not depend on which of the lines above are explained in this call.
    """

    def __init__(self, above: list[Step | Failure], context: Context) -> None:
        self._above, self._context = above, context

    def __contains__(self, error: object) -> bool:
        return error in self._context.problem.seen or error in self._on_the_paper

    @cached_property
    def _on_the_paper(self) -> frozenset[str | None]:
        refused = [
            step
            for step in self._above
            if isinstance(step, Step)
            and step.judgement.verdict in ("wrong", "loses")
            and not step.judgement.is_aside
        ]
        return frozenset(
            named_key(step.before, step.line, step.judgement, self._context) for step in refused
        )
