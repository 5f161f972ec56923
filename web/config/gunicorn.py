"""What gunicorn does beside serving: processes that are ready for calls; figures of those that ended are put away."""

import gc
import os
from typing import Any

from prometheus_client import multiprocess

GARBAGE = (20_000, 20, 20)
"""Things made before they are looked through for garbage: a call makes thousands that go by themselves."""


def post_worker_init(_worker: Any) -> None:
    """Have the search for garbage go past what is loaded now: it stays."""
    gc.collect()
    gc.freeze()
    gc.set_threshold(*GARBAGE)


def child_exit(_server: Any, worker: Any) -> None:
    """Put the figures of a process that ended to those of the others."""
    if "PROMETHEUS_MULTIPROC_DIR" in os.environ:
        multiprocess.mark_process_dead(worker.pid)  # type: ignore[no-untyped-call]
