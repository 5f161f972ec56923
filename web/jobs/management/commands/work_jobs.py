"""Work jobs off, for as long as it runs: what was left lying first."""

import contextlib
from typing import Any

from django.conf import settings
from django.core.management.base import BaseCommand
from procrastinate.contrib.django import app

from jobs.kinds import KINDS
from jobs.running import requeue_left


class Command(BaseCommand):
    """``work_jobs``."""

    help = "Take up what was left lying, then do every job that comes."

    def handle(self, *args: Any, **options: Any) -> None:
        """Run until it is ended."""
        for kind in KINDS.values():
            if kind.begin is not None:
                kind.begin()
        requeue_left(settings.JOB_SLOT)
        connector = app.connector.get_worker_connector()  # type: ignore[attr-defined]
        with contextlib.suppress(KeyboardInterrupt), app.replace_connector(connector) as worker:
            worker.run_worker(concurrency=1, fetch_job_polling_interval=2, delete_jobs="successful")
