"""The right line in the place of a wrong one: what the law that was distorted would have given."""

from uchuu_core.checking.context import Context
from uchuu_core.failures import Failure
from uchuu_core.methods.catalogue import next_line
from uchuu_core.notation import plain
from uchuu_core.tree.nodes import Line


def right_line(before: Line, line: Line, context: Context) -> str | None:
    """Return a right next line after *before*, in plain notation, None when no method has one."""
    try:
        new = next_line(before, context.problem.task, context.unknown)
    except Failure:
        return None
    return plain(new) if new is not None else None
