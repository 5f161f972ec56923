"""The marks of one step: every sentence that is said of it is asked for its law's."""

from dataclasses import replace

from uchuu_core.drawing.makers.parts import whatever_goes
from uchuu_core.drawing.makers.products import struck_anywhere
from uchuu_core.drawing.mark import MOST_MARKS, Drawn, Maker, Mark
from uchuu_core.drawing.table import BY_SENTENCE, MARKED
from uchuu_core.lawbook.law import Family
from uchuu_core.lawbook.says import Said, Says, Sentence
from uchuu_core.moves.move import Move
from uchuu_core.tree.nodes import Line


def marks_of(before: Line, line: Line, says: Says) -> list[Mark]:
    """Return what a hand would mark on *before* and *line*, in the order in which it draws.

    Args:
        before: The line above.
        line: The line that follows.
        says: What is said of the step; its laws and their parts decide what is drawn.
    """
    found: list[Mark] = []
    pairs = 0
    for said in says.said:
        law = said.sentence.law
        maker = BY_SENTENCE.get(said.sentence) or (MARKED.get(law.key) if law else None)
        if maker is None:
            continue
        made = [mark for mark in maker(Drawn(before, line, said)) if not _is_taken(mark, found)]
        found += [_numbered(mark, pairs) for mark in made]
        pairs += max((mark.pair for mark in made), default=0)
    if not found and any(law.key in MARKED for law in says.laws):
        found = list(whatever_goes(Drawn(before, line, says.said[0])))
    return found[:MOST_MARKS]


def marks_of_error(before: Line, line: Line, error: Move) -> list[Mark]:
    """Return what a student would have marked who made this *error*: struck what may not be struck, else what went."""
    drawn = Drawn(before, line, Said(Sentence("")))
    strikes = [struck_anywhere] if Family.CANCELS in error.due else []
    makers: list[Maker | None] = [*strikes, MARKED.get(error.distorts or ""), whatever_goes]
    for maker in makers:
        marks = list(maker(drawn)) if maker else []
        if marks:
            return marks[:MOST_MARKS]
    return []


def _is_taken(mark: Mark, found: list[Mark]) -> bool:
    """Whether the same is drawn there already, for another sentence of the step."""
    return any(
        (m.kind, m.at, m.is_here, m.to, m.text, m.sign)
        == (mark.kind, mark.at, mark.is_here, mark.to, mark.text, mark.sign)
        for m in found
    )


def _numbered(mark: Mark, pairs: int) -> Mark:
    return replace(mark, pair=mark.pair + pairs) if mark.pair else mark
