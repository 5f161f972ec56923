"""The cases that were made for this project: worked problems, wrong work, long work."""

import json
from collections.abc import Iterator
from pathlib import Path
from typing import Any

FOLDER = Path(__file__).parent / "cases"
BUILT_TOPICS = (
    "order of operations",
    "signed numbers",
    "fractions",
    "like terms and distributing",
    "expanding",
    "linear equations",
    "exponents",
    "radicals",
    "complex fractions",
    "power equations",
    "radical equations",
    "exponential equations",
    "rational functions",
    "rational equations",
    "rational expressions",
)
"""Topics in which the error of every case is named as expected."""


def cases(kind: str, topics: tuple[str, ...] | None = None) -> Iterator[dict[str, Any]]:
    """Yield the cases of *kind* (``work`` or ``check``), of all topics or only *topics*."""
    for file in sorted(FOLDER.glob("*.jsonl")):
        for line in file.read_text("utf-8").splitlines():
            case = json.loads(line)
            if case["kind"] == kind and (topics is None or case["topic"] in topics):
                yield case
