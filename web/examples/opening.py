"""An example as it is opened: with its lines judged and what is worth noticing, in one answer."""

from algebra.turns import HasLeft
from asking.asker import Asker

from examples.models import Example
from examples.schemas import ExampleOut


def opened(example: Example, has_left: HasLeft) -> str:
    """Return the record ``Opened`` as JSON: what the core answers passes as it was written.

    Raises:
        Gone: whoever opens it has left.
    """
    asker = Asker(example.teacher)
    lines = example.texts
    stored = ExampleOut.from_orm(example).model_dump_json()
    if not example.given.strip():
        return f'{{"example": {stored}, "checked": null, "inspected": null}}'
    checked = (
        asker.text("check", example, has_left, lines=lines, explains=True, goes_on=True) or "null"
    )
    inspected = "null"
    if checked != "null":  # what took too long once is asked for apart
        inspected = asker.text("inspect", example, has_left, traps=False) or "null"
    return f'{{"example": {stored}, "checked": {checked}, "inspected": {inspected}}}'
