"""What gunicorn does beside serving: figures of a process that ended are put away."""

import sys
from typing import Any

from prometheus_client import multiprocess

SWITCH = 0.001
"""Seconds after which a thread lets another one go on: many wait for the database at the same time."""


def post_worker_init(_worker: Any) -> None:
    """Have threads take turns often: an answer of the database waits for its turn, and each call has several."""
    sys.setswitchinterval(SWITCH)


def child_exit(_server: Any, worker: Any) -> None:
    """Put the figures of a process that ended to those of the others."""
    multiprocess.mark_process_dead(worker.pid)  # type: ignore[no-untyped-call]
