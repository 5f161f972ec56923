"""What gunicorn does beside serving: processes that are ready for calls; figures of those that ended are put away."""

import gc
import os
import sys
from typing import Any

from prometheus_client import multiprocess

SWITCH = 0.005
"""Seconds after which a thread lets another one go on: many wait for the database at the same time."""

GARBAGE = (20_000, 20, 20)
"""Things made before they are looked through for garbage: a call makes thousands that go by themselves."""


def post_worker_init(_worker: Any) -> None:
    """Have threads take turns often: an answer of the database waits for its turn, and each call has several.

    What is loaded now stays: the search for garbage goes past it.
    """
    sys.setswitchinterval(SWITCH)
    gc.collect()
    gc.freeze()
    gc.set_threshold(*GARBAGE)


def child_exit(_server: Any, worker: Any) -> None:
    """Put the figures of a process that ended to those of the others."""
    if "PROMETHEUS_MULTIPROC_DIR" in os.environ:
        multiprocess.mark_process_dead(worker.pid)  # type: ignore[no-untyped-call]
