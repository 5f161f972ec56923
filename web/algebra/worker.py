"""What runs inside an algebra worker process: no Django here."""

from dataclasses import asdict
from typing import Any

from uchuu_core import (
    check,
    choices,
    climb,
    compare,
    examine,
    facts,
    family,
    find_the_mistake,
    fork_path,
    forks,
    inspect,
    nudge,
    own_errors_from,
    problem_from,
    screen,
    study,
    tell,
    twin,
    work,
)
from uchuu_core.checking.context import refuse_systems
from uchuu_core.failures import Failure
from uchuu_core.inspecting.ambiguity import ambiguities
from uchuu_core.notation import mathml, plain, read, shown, typst
from uchuu_core.proofing.items import KeyItem, key_of
from uchuu_core.proofing.proof import proof_item

_OPERATIONS = {
    "check": check,
    "choices": choices,
    "facts": facts,
    "forks": forks,
    "inspect": inspect,
    "nudge": nudge,
    "screen": screen,
    "study": study,
    "tell": tell,
    "twin": twin,
    "work": work,
}


def warm() -> None:
    """Load grammar and catalogue, so that the first call is as fast as the next."""
    answer("check", {"task": "solve", "given": "2x+1=7", "lines": ["2x=6", "x=4"]})
    answer("read", {"text": r"\frac12"})


def answer(operation: str, record: dict[str, Any]) -> dict[str, Any]:
    """Return the answer, or ``{"failure": …}``: exceptions of ours do not cross processes."""
    try:
        if operation == "read":
            asked = {**record, "given": record["text"], "task": record.get("task") or "simplify"}
            problem = problem_from(asked)
            line = problem.read(record["text"])
            if problem.task == "solve":
                refuse_systems(line, record["text"])
            others = {
                "mathml": mathml(line),
                "typst": typst(line),
                "ambiguities": ambiguities(problem),
            }
            return {"text": plain(line), **shown(line), **others}
        if operation == "compare":
            first, second = record["methods"]
            return compare(problem_from(record), first, second)
        if operation == "examine":
            return examine(own_errors_from([record["own"]])[0], tuple(record["examples"]))
        if operation == "fork":
            return {"path": fork_path(problem_from(record), read(record["wrong"]))}
        if operation == "climb":
            return {"run": climb(problem_from(record), record["count"])}
        if operation == "family":
            taken = frozenset(record["avoid"])
            return family(record["family"], record["wish"], record["seed"], taken)
        if operation == "key-items":
            return asdict(key_of(record["text"]))
        if operation == "proof-item":
            return proof_item(KeyItem(**record["item"]), problem_from(record))
        if operation == "mistake":
            return find_the_mistake(problem_from(record), record["error"])
        return _OPERATIONS[operation](problem_from(record))
    except Failure as failure:
        return {"failure": failure.as_record()}
    except RecursionError:
        message = "This line is nested too deep. Simplify it."
        return {"failure": {"code": "too-large", "message": message, "at": None}}
