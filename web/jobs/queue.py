"""Handing work to the workers' queue in PostgreSQL."""

import contextlib
from typing import Any

from django.db import transaction
from procrastinate.contrib.django import app
from procrastinate.exceptions import AlreadyEnqueued


def hand_to_workers(
    task: str, once: str, *, priority: int = 0, seconds: int = 0, **words: Any
) -> None:
    """Queue *task* with *words* once the running transaction is stored, to begin in so many *seconds*.

    While one of the same name *once* waits in the queue, no other one is added.
    """

    def hand() -> None:
        wish: dict[str, Any] = {"queueing_lock": once, "priority": priority}
        if seconds:
            wish["schedule_in"] = {"seconds": seconds}
        with contextlib.suppress(AlreadyEnqueued):
            app.configure_task(task, **wish).defer(**words)

    transaction.on_commit(hand)
