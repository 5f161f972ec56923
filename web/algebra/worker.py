"""What runs inside an algebra worker process: no Django here."""

import json
from typing import Any

from uchuu_core import operations
from uchuu_core.failures import Failure
from uchuu_core.notation import read


def warm() -> None:
    """Load grammar and catalogue, so that the first call is as fast as the next."""
    answer("check", {"task": "solve", "given": "2x+1=7", "lines": ["2x=6", "x=4"]})
    answer("read", {"text": r"\frac12"})


def unread(texts: list[str]) -> list[str]:
    """Return for each text why it cannot be read as mathematics; "" where it can."""
    return [_why_unread(text) for text in texts]


def _why_unread(text: str) -> str:
    try:
        read(text)
    except Failure as failure:
        return failure.message
    return ""


def answers(operation: str, records: list[dict[str, Any]]) -> str:
    """Return the answers to several records, and the failures among them, as one JSON list.

    Records of one problem are answered faster by one worker: it knows the problem after the first.
    """
    return json.dumps([operations.answer(operation, one) for one in records], ensure_ascii=False)


def answer(operation: str, record: dict[str, Any]) -> tuple[bool, str]:
    """Return whether it is an answer, and its JSON; else that of ``{"failure": …}``.

    Exceptions of ours do not cross processes, and nobody between here and the browser reads the text.
    """
    found = operations.answer(operation, record)
    return "failure" not in found, json.dumps(found, ensure_ascii=False)
