"""Every operation by name, record in and record out: the command line and the server ask here."""

from collections.abc import Callable
from dataclasses import asdict, dataclass
from typing import Any, get_type_hints

from uchuu_core.answers.forked import ForkPath, Mistake
from uchuu_core.answers.invented import Invented
from uchuu_core.answers.made import Climb, Contrast, Examined, FamilyProblem
from uchuu_core.answers.marked import Marked, Scheme
from uchuu_core.answers.proofed import ProofItem
from uchuu_core.answers.sentences import Notations
from uchuu_core.answers.worked import Compared
from uchuu_core.checking.context import refuse_systems
from uchuu_core.checking.own_errors import examine
from uchuu_core.checking.paper import check
from uchuu_core.contract import Problem, own_error_from, problem_from
from uchuu_core.drawing.draw import draw
from uchuu_core.failures import BadRequest, Failure
from uchuu_core.forking.choices import choices
from uchuu_core.forking.forks import forks
from uchuu_core.forking.uses import find_the_mistake, fork_path, screen
from uchuu_core.gathering.facts import facts
from uchuu_core.inspecting.ambiguity import ambiguities
from uchuu_core.inspecting.problem import inspect
from uchuu_core.inventing.papers import Wish, invent
from uchuu_core.lawbook.spelling import Wording, worded_record
from uchuu_core.marking.mark import Marking, mark
from uchuu_core.marking.scheme import scheme
from uchuu_core.notation import mathml, plain, read, shown, typst
from uchuu_core.nudging.nudges import nudge
from uchuu_core.placing.place import place
from uchuu_core.proofing.items import Key, KeyItem, key_of
from uchuu_core.proofing.proof import proof_item
from uchuu_core.requests import read_record
from uchuu_core.sidework.beside import beside
from uchuu_core.telling.contrast import contrast
from uchuu_core.telling.tell import tell
from uchuu_core.twinning.asked import twin
from uchuu_core.twinning.climbs import climb
from uchuu_core.twinning.families import family
from uchuu_core.working.comparison import compare
from uchuu_core.working.problem import study, work


@dataclass(frozen=True, slots=True)
class Operation:
    """What is asked of the core by name.

    ``ask``: a request record in, an answer out; ``answers``: the type of the answer, from which the
    server's schemas are made.
    """

    ask: Callable[[dict[str, Any]], Any]
    answers: Any


def _of_problem(operation: Callable[[Problem], Any]) -> Operation:
    answers = get_type_hints(operation)["return"]
    return Operation(lambda record: operation(problem_from(record)), answers)


def _read(record: dict[str, Any]) -> Notations:
    """Return how one line is read, in every notation, and what others may read differently."""
    text = record["text"]
    asked = {**record, "given": text, "task": record.get("task") or "simplify"}
    problem = problem_from(asked)
    line = problem.read(text)
    if problem.task == "solve":
        refuse_systems(line, text)
    return {
        "text": plain(line),
        **shown(line),
        "mathml": mathml(line),
        "typst": typst(line),
        "ambiguities": ambiguities(problem),
    }


def _family(record: dict[str, Any]) -> FamilyProblem:
    taken = frozenset(record["avoid"])
    return family(record["family"], record["wish"], record["seed"], taken)


def _examine(record: dict[str, Any]) -> Examined:
    return examine(own_error_from(record["own"]), tuple(record["examples"]))


def _fork(record: dict[str, Any]) -> ForkPath:
    return {"path": fork_path(problem_from(record), read(record["wrong"]))}


def _proof_item(record: dict[str, Any]) -> ProofItem:
    return proof_item(KeyItem(**record["item"]), problem_from(record))


def _climb(record: dict[str, Any]) -> Climb:
    return {"run": climb(problem_from(record), record["count"])}


def _marking(record: dict[str, Any]) -> Marking:
    """Return how a paper is marked; a scheme may come as ``scheme`` answered it."""
    made = record.get("scheme")
    marks = made.get("marks") if isinstance(made, dict) else made
    school = made.get("school") if isinstance(made, dict) else None
    asked = {"school": school, **{k: v for k, v in record.items() if v is not None}, "marks": marks}
    return read_record(Marking, asked)


def _scheme(record: dict[str, Any]) -> Scheme:
    asked = _marking(record)
    return scheme(problem_from(record), asked.school, asked.worth)


def _mark(record: dict[str, Any]) -> Marked:
    return mark(problem_from(record), _marking(record))


def _invent(record: dict[str, Any]) -> Invented:
    return invent(problem_from(record), read_record(Wish, record))


CONTRACT: dict[str, Operation] = {
    "check": _of_problem(check),
    "forks": _of_problem(forks),
    "inspect": _of_problem(inspect),
    "mark": Operation(_mark, Marked),
    "nudge": _of_problem(nudge),
    "place": _of_problem(place),
    "scheme": Operation(_scheme, Scheme),
    "study": _of_problem(study),
    "twin": _of_problem(twin),
    "work": _of_problem(work),
}
"""What scripts and tests of others may ask for."""
OPERATIONS: dict[str, Operation] = {
    **CONTRACT,
    "beside": _of_problem(beside),
    "choices": _of_problem(choices),
    "climb": Operation(_climb, Climb),
    "compare": Operation(lambda r: compare(problem_from(r), *r["methods"]), Compared),
    "contrast": Operation(lambda r: contrast(str(r["error"])), Contrast),
    "draw": _of_problem(draw),
    "examine": Operation(_examine, Examined),
    "facts": _of_problem(facts),
    "family": Operation(_family, FamilyProblem),
    "fork": Operation(_fork, ForkPath),
    "invent": Operation(_invent, Invented),
    "key-items": Operation(lambda r: asdict(key_of(r["text"])), Key),
    "mistake": Operation(lambda r: find_the_mistake(problem_from(r), r["error"]), Mistake),
    "proof-item": Operation(_proof_item, ProofItem),
    "read": Operation(_read, Notations),
    "screen": _of_problem(screen),
    "tell": _of_problem(tell),
}


def _wording(record: dict[str, Any]) -> Wording:
    house = record.get("house")
    return Wording.of(house if isinstance(house, dict) else {})


def answer(operation: str, record: dict[str, Any]) -> dict[str, Any]:
    """Return the answer record, or ``{"failure": …}``: nothing of ours is raised.

    Raises:
        KeyError: there is no such operation.
    """
    asked = OPERATIONS[operation].ask
    try:
        if not isinstance(record, dict):
            raise BadRequest("A request is one JSON object a line.")
        return worded_record(asked(record), _wording(record))  # type: ignore[no-any-return]
    except Failure as failure:
        return {"failure": failure.as_record()}
    except RecursionError:
        message = "This line is nested too deep. Simplify it."
        return {"failure": {"code": "too-large", "message": message, "at": None}}
