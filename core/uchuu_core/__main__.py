"""JSON lines in, JSON lines out: ``python -m uchuu_core work < problems.jsonl``.

One answer per line, same ``id``, same order, flushed at once. A line that cannot be done gives
``{"id", "failure"}`` and the run goes on; the exit code is 0 unless the stream cannot be read.
"""

import io
import json
import sys
from collections.abc import Callable
from typing import Any

from uchuu_core import Problem, check, forks, inspect, nudge, problem_from, study, twin, work
from uchuu_core.failures import BadRequest, Failure

OPERATIONS: dict[str, Callable[[Problem], dict[str, Any]]] = {
    "check": check,
    "forks": forks,
    "inspect": inspect,
    "nudge": nudge,
    "study": study,
    "twin": twin,
    "work": work,
}


def answer(operation: str, text: str) -> dict[str, Any]:
    """Return the answer record to one JSON line."""
    identity = None
    try:
        try:
            record = json.loads(text)
        except ValueError as wrong:
            raise BadRequest(f"This line is not JSON: {wrong}.") from None
        identity = record.get("id") if isinstance(record, dict) else None
        return {"id": identity, **OPERATIONS[operation](problem_from(record))}
    except Failure as failure:
        return {"id": identity, "failure": failure.as_record()}
    except RecursionError:
        code = {"code": "too-large", "message": "This line is nested too deep.", "at": None}
        return {"id": identity, "failure": code}
    except Exception as fault:  # a bug of ours must not take the answers behind it along
        print(f"{identity}: {fault!r}", file=sys.stderr)
        message = "This one could not be done: a fault of ours. The others go on."
        return {"id": identity, "failure": {"code": "fault", "message": message, "at": None}}


def main() -> int:
    """Run the operation named on the command line over standard input."""
    if len(sys.argv) != 2 or sys.argv[1] not in OPERATIONS:
        print(f"usage: python -m uchuu_core {'|'.join(sorted(OPERATIONS))}", file=sys.stderr)
        return 2
    for stream in (sys.stdin, sys.stdout):
        if isinstance(stream, io.TextIOWrapper):
            stream.reconfigure(encoding="utf-8")
    try:
        for line in sys.stdin:
            if line.strip():
                print(json.dumps(answer(sys.argv[1], line), ensure_ascii=False), flush=True)
    except (OSError, UnicodeDecodeError) as wrong:
        print(f"The stream could not be read: {wrong}", file=sys.stderr)
        return 1
    return 0


if __name__ == "__main__":
    sys.exit(main())
