"""What runs inside an algebra worker process: no Django here."""

from typing import Any

from uchuu_core import operations


def warm() -> None:
    """Load grammar and catalogue, so that the first call is as fast as the next."""
    answer("check", {"task": "solve", "given": "2x+1=7", "lines": ["2x=6", "x=4"]})
    answer("read", {"text": r"\frac12"})


def answer(operation: str, record: dict[str, Any]) -> dict[str, Any]:
    """Return the answer, or ``{"failure": …}``: exceptions of ours do not cross processes."""
    return operations.answer(operation, record)
