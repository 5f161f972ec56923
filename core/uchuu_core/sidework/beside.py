"""The operation ``beside``: side work for each line of an example."""

from uchuu_core.answers.sidework import SideWork, SideWorks
from uchuu_core.contract import Problem
from uchuu_core.drawing.mark import Drawn
from uchuu_core.drawing.steps import DrawnStep, steps_of
from uchuu_core.lawbook.says import Said, Sentence
from uchuu_core.sidework.piece import Maker
from uchuu_core.sidework.table import BESIDE, OF_A_WRONG_LINE, WITHOUT_LAW

MOST_WORKS = 4
"""At one line no more stands on a board."""


def beside(problem: Problem) -> SideWorks:
    """Return what can be worked out beside the lines, in their order.

    Raises:
        Unreadable, TooLarge: the given itself cannot be read.
    """
    found: dict[tuple[str, str], SideWork] = {}
    for step in steps_of(problem):
        for work in _of(step):
            again = work["kind"] == "balance"
            found.setdefault((work["kind"], f"{step.number}" if again else work["says"]), work)
    return {"works": list(found.values())}


def _of(step: DrawnStep) -> list[SideWork]:
    if step.says is not None:
        return _made(step, [(one, _makers(one)) for one in step.says.said])
    if step.is_wrong:
        law = (step.error and step.error.distorts) or ""
        return _made(step, [(Said(Sentence("")), BESIDE.get(law, OF_A_WRONG_LINE))])
    return []


def _makers(said: Said) -> tuple[Maker, ...]:
    return BESIDE.get(said.sentence.law.key, ()) if said.sentence.law else WITHOUT_LAW


def _made(step: DrawnStep, said: list[tuple[Said, tuple[Maker, ...]]]) -> list[SideWork]:
    found: list[SideWork] = []
    for one, makers in said:
        for maker in makers:
            for piece in maker(Drawn(step.above, step.line, one), step.context):
                record = piece.record(step.number)
                if record not in found:
                    found.append(record)
    return found[:MOST_WORKS]
