"""What gunicorn does beside serving: figures of a process that ended are put away."""

from typing import Any

from prometheus_client import multiprocess


def child_exit(_server: Any, worker: Any) -> None:
    """Put the figures of a process that ended to those of the others."""
    multiprocess.mark_process_dead(worker.pid)  # type: ignore[no-untyped-call]
