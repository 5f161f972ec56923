"""Every operation by name, record in and record out: the command line and the server ask here."""

from collections.abc import Callable
from dataclasses import asdict
from typing import Any

from uchuu_core.checking.context import refuse_systems
from uchuu_core.checking.own_errors import examine
from uchuu_core.checking.paper import check
from uchuu_core.contract import Problem, own_errors_from, problem_from
from uchuu_core.failures import BadRequest, Failure
from uchuu_core.forking.forks import forks
from uchuu_core.forking.uses import choices, find_the_mistake, fork_path, screen
from uchuu_core.gathering.facts import facts
from uchuu_core.inspecting.ambiguity import ambiguities
from uchuu_core.inspecting.problem import inspect
from uchuu_core.notation import mathml, plain, read, shown, typst
from uchuu_core.nudging.nudges import nudge
from uchuu_core.proofing.items import KeyItem, key_of
from uchuu_core.proofing.proof import proof_item
from uchuu_core.telling.tell import tell
from uchuu_core.twinning.climbs import climb
from uchuu_core.twinning.families import family
from uchuu_core.twinning.twin import twin
from uchuu_core.working.comparison import compare
from uchuu_core.working.problem import study, work

Operation = Callable[[dict[str, Any]], dict[str, Any]]


def _of_problem(operation: Callable[[Problem], dict[str, Any]]) -> Operation:
    return lambda record: operation(problem_from(record))


def _read(record: dict[str, Any]) -> dict[str, Any]:
    """Return how one line is read, in every notation, and what others may read differently."""
    text = record["text"]
    asked = {**record, "given": text, "task": record.get("task") or "simplify"}
    problem = problem_from(asked)
    line = problem.read(text)
    if problem.task == "solve":
        refuse_systems(line, text)
    others = {"mathml": mathml(line), "typst": typst(line), "ambiguities": ambiguities(problem)}
    return {"text": plain(line), **shown(line), **others}


def _family(record: dict[str, Any]) -> dict[str, Any]:
    taken = frozenset(record["avoid"])
    return family(record["family"], record["wish"], record["seed"], taken)


CONTRACT: dict[str, Operation] = {
    "check": _of_problem(check),
    "forks": _of_problem(forks),
    "inspect": _of_problem(inspect),
    "nudge": _of_problem(nudge),
    "study": _of_problem(study),
    "twin": _of_problem(twin),
    "work": _of_problem(work),
}
"""What scripts and tests of others may ask for."""
OPERATIONS: dict[str, Operation] = {
    **CONTRACT,
    "choices": _of_problem(choices),
    "climb": lambda record: {"run": climb(problem_from(record), record["count"])},
    "compare": lambda record: compare(problem_from(record), *record["methods"]),
    "examine": lambda record: examine(
        own_errors_from([record["own"]])[0], tuple(record["examples"])
    ),
    "facts": _of_problem(facts),
    "family": _family,
    "fork": lambda record: {"path": fork_path(problem_from(record), read(record["wrong"]))},
    "key-items": lambda record: asdict(key_of(record["text"])),
    "mistake": lambda record: find_the_mistake(problem_from(record), record["error"]),
    "proof-item": lambda record: proof_item(KeyItem(**record["item"]), problem_from(record)),
    "read": _read,
    "screen": _of_problem(screen),
    "tell": _of_problem(tell),
}


def answer(operation: str, record: dict[str, Any]) -> dict[str, Any]:
    """Return the answer record, or ``{"failure": …}``: nothing of ours is raised.

    Raises:
        KeyError: there is no such operation.
    """
    asked = OPERATIONS[operation]
    try:
        if not isinstance(record, dict):
            raise BadRequest("A request is one JSON object a line.")
        return asked(record)
    except Failure as failure:
        return {"failure": failure.as_record()}
    except RecursionError:
        message = "This line is nested too deep. Simplify it."
        return {"failure": {"code": "too-large", "message": message, "at": None}}
