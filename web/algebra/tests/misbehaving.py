"""Stand-ins for an algebra call that hangs, or takes its worker down. No Django: workers load it."""

import os
import time
from typing import Any


def sleep(_operation: str, _record: dict[str, Any]) -> dict[str, Any]:
    """Never answer in time."""
    time.sleep(30)
    return {}


def die(_operation: str, _record: dict[str, Any]) -> dict[str, Any]:
    """End the worker process."""
    os._exit(1)


def refuse(number: int) -> None:
    """Raise what the caller can tell from others'."""
    raise ValueError(number)


def unsendable() -> Any:
    """Return what cannot be sent."""
    return lambda: None
