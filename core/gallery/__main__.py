"""Write ``docs/gallery.md``: one worked example per topic and method, at board density.

python -m gallery > ../docs/gallery.md
"""

import json
from itertools import groupby
from pathlib import Path

from uchuu_core.contract import problem_from
from uchuu_core.failures import Failure
from uchuu_core.working.problem import work

PROBLEMS = Path(__file__).with_name("problems.txt")


def problems() -> list[dict[str, object]]:
    """Return the records of ``problems.txt``, each with its ``topic``."""
    found = []
    for line in PROBLEMS.read_text("utf-8").splitlines():
        if not line.strip() or line.startswith("#"):
            continue
        topic, task, given, method, *more = (part.strip() for part in line.split(" | "))
        record = {"topic": topic, "task": task, "given": given, "method": method}
        found.append(record | (json.loads(more[0]) if more else {}))
    return found


def worked_example(record: dict[str, object]) -> list[str]:
    """Return the Markdown of one worked example."""
    text = [f"### {record['task']} `{record['given']}` by {record['method']}", ""]
    try:
        found = work(problem_from(record))
    except Failure as failure:
        return [*text, f"FAILS: {failure.message}", ""]
    if found["excluded"]:
        text += ["Excluded: " + ", ".join(found["excluded"]), ""]
    text += [f"{n}. `{line['text']}` · {line['says']}" for n, line in enumerate(found["lines"], 1)]
    return [*text, ""]


def gallery() -> str:
    """Return the whole page."""
    text = [
        "# Worked examples, topic by topic",
        "",
        "Written by `python -m gallery` in `core/`; a test holds it current.",
        "",
    ]
    for topic, records in groupby(problems(), key=lambda record: record["topic"]):
        text += [f"## {topic}", ""]
        for record in records:
            text += worked_example(record)
    return "\n".join(text)


if __name__ == "__main__":
    print(gallery(), end="")
