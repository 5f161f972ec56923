"""Lines of a method for a tree, each held by the judge of papers."""

from uchuu_core.checking.context import context_of
from uchuu_core.contract import Density, Problem, Task
from uchuu_core.methods.method import Method, Moment
from uchuu_core.notation import plain
from uchuu_core.tree.nodes import Line
from uchuu_core.working.lines import worked_lines


def held(
    given: Line, task: Task, method: Method, density: Density, unknown: str = ""
) -> list[Moment]:
    """Return the moments that *method* writes under *given*; raises when one is refused."""
    context = context_of(Problem(task, plain(given), unknown or None), [])
    return [line.moment for line in worked_lines(context, method, density)]
