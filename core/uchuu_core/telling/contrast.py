"""The contrast of an error: a small line done wrong and right, beside one that looks alike and differs."""

from contextlib import suppress

from uchuu_core.answers.made import Contrast
from uchuu_core.answers.sentences import Reading
from uchuu_core.answers.terms import Task
from uchuu_core.contract import Problem
from uchuu_core.failures import BadRequest, Failure
from uchuu_core.moves.catalogue import ERRORS, wordings
from uchuu_core.notation import plain, read, shown
from uchuu_core.tree.nodes import Relation
from uchuu_core.tree.paths import letters
from uchuu_core.working.problem import work

_REFUSES = {move.key: move.refuses for move in ERRORS}


def contrast(error: str) -> Contrast:
    """Return the catalogue's own example of *error*, wrong and right, and the line it is mistaken for.

    ``beside`` is the nearest line for which the error's move does nothing, with what it becomes by law: there
    the tempting step is right, or does not arise. It is left out where that line is an equation, or is
    finished as it stands.

    Raises:
        BadRequest: there is no such error in the catalogue.
    """
    wording = wordings().get(error)
    if wording is None:
        raise BadRequest(f"There is no error “{error}” in the catalogue.")
    found: Contrast = {
        "error": error,
        "name": wording.name,
        "before": _line(wording.example.before),
        "wrong": _line(wording.example.after),
        "right": _line(wording.right),
        "says": wording.repair,
    }
    for text in _REFUSES.get(error, ()):
        becomes = _becomes(text)
        if becomes is not None:
            found["beside"], found["becomes"] = _line(text), _line(becomes)
            break
    return found


def _becomes(text: str) -> str | None:
    """Return what a line becomes when it is worked; None where nothing is done to it, or it cannot be."""
    line = read(text)
    if isinstance(line, Relation):
        return None
    with suppress(Failure):
        task: Task = "simplify" if letters(line) else "evaluate"
        answer = work(Problem(task=task, given=text))["answer"]
        return answer if answer != plain(line) else None
    return None


def _line(text: str) -> Reading:
    line = read(text)
    return {"text": plain(line), **shown(line)}
