"""What runs inside an algebra worker process: no Django here."""

from typing import Any

from uchuu_core import check, compare, inspect, nudge, problem_from, study, work
from uchuu_core.failures import Failure
from uchuu_core.notation import mathml, plain, read, shown, typst

_OPERATIONS = {
    "check": check,
    "inspect": inspect,
    "nudge": nudge,
    "study": study,
    "work": work,
}


def warm() -> None:
    """Load grammar and catalogue, so that the first call is as fast as the next."""
    answer("check", {"task": "solve", "given": "2x+1=7", "lines": ["2x=6", "x=4"]})
    answer("read", {"text": r"\frac12", "juxtaposition": "equal"})


def answer(operation: str, record: dict[str, Any]) -> dict[str, Any]:
    """Return the answer, or ``{"failure": …}``: exceptions of ours do not cross processes."""
    try:
        if operation == "read":
            line = read(record["text"], juxtaposition=record["juxtaposition"])
            others = {"mathml": mathml(line), "typst": typst(line)}
            return {"text": plain(line), **shown(line), **others}
        if operation == "compare":
            first, second = record["methods"]
            return compare(problem_from(record), first, second)
        return _OPERATIONS[operation](problem_from(record))
    except Failure as failure:
        return {"failure": failure.as_record()}
    except RecursionError:
        message = "This line is nested too deep. Simplify it."
        return {"failure": {"code": "too-large", "message": message, "at": None}}
