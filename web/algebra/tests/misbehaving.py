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


def work(seconds: float) -> float:
    """Work for so many seconds of the processor, however long that lasts."""
    ends = time.process_time() + seconds
    while time.process_time() < ends:
        pass
    return seconds


def place() -> tuple[int, list[int]]:
    """Return how far this process gives way, and the cores that it may run on."""
    return os.nice(0), sorted(os.sched_getaffinity(0))
