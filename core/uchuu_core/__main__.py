"""JSON lines in, JSON lines out: ``python -m uchuu_core work < problems.jsonl``.

One answer per line, same ``id``, same order, flushed at once. A line that cannot be done gives
``{"id", "failure"}`` and the run goes on; the exit code is 0 unless the stream cannot be read.
"""

import io
import json
import sys
from typing import Any

from uchuu_core.failures import BadRequest
from uchuu_core.operations import CONTRACT
from uchuu_core.operations import answer as answer_to


def answer(operation: str, text: str) -> dict[str, Any]:
    """Return the answer record to one JSON line."""
    identity = None
    try:
        record = json.loads(text)
        identity = record.get("id") if isinstance(record, dict) else None
        return {"id": identity, **answer_to(operation, record)}
    except ValueError as wrong:
        failure = BadRequest(f"This line is not JSON: {wrong}.")
        return {"id": identity, "failure": failure.as_record()}
    except Exception as fault:  # a bug of ours must not take the answers behind it along
        print(f"{identity}: {fault!r}", file=sys.stderr)
        message = "This one could not be done: a fault of ours. The others go on."
        return {"id": identity, "failure": {"code": "fault", "message": message, "at": None}}


def main() -> int:
    """Run the operation named on the command line over standard input."""
    if len(sys.argv) != 2 or sys.argv[1] not in CONTRACT:
        print(f"usage: python -m uchuu_core {'|'.join(sorted(CONTRACT))}", file=sys.stderr)
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
