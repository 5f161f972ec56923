"""A new example that is posed as another problem is, with another given."""

from contextlib import suppress
from typing import Any

from asking.asker import Asker, Problem
from uchuu_core.failures import Failure

from examples.schemas import ExampleIn


class Posed:
    """A problem posed as *like* is, to ask the core about."""

    def __init__(self, like: Problem, given: str) -> None:
        self.given = given
        self.task, self.variable, self.numbers = like.task, like.variable, like.numbers
        self.form, self.house = like.form, like.house


def posed_like(like: Problem, given: str, **more: Any) -> ExampleIn:
    """Return *given* posed as *like* is; *more*: its title, note, lines."""
    kept = {n: getattr(like, n) for n in ("task", "variable", "numbers", "form", "house")}
    return ExampleIn.model_validate({**kept, "given": given, **more})


def worked_like(asker: Asker, like: Problem, given: str, **more: Any) -> ExampleIn:
    """Do as ``posed_like``, with the lines by which it is worked; without lines where it cannot be."""
    posed = posed_like(like, given, **more)
    with suppress(Failure):
        worked = asker.ask("work", Posed(like, given))
        posed.lines = [line["text"] for line in worked["lines"]]
    return posed
