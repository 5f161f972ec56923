"""Fetching what waits in the tray, as a job: a paper a step, stored before it is acknowledged."""

from typing import Any

from jobs.models import Job
from papers.actions.marking import mark
from papers.models import Sitting

from deliveries import tray
from deliveries.actions.take import take


def plan(job: Job) -> list[str]:
    """Return the ids that wait.

    Raises:
        TrayFails: the tray does not answer.
    """
    return tray.waiting(job.params["sitting"])


def one_paper(job: Job, name: str) -> dict[str, Any]:
    """Take in one paper; a worker that is killed before the tray was told does it again, to no effect.

    Raises:
        TrayFails: the tray does not answer.
    """
    sitting = Sitting.objects.filter(pk=job.params["sitting"], deleted=None).first()
    if sitting is None:
        return {"state": "gone"}  # deleted meanwhile: the paper stays in the tray
    try:
        record = tray.paper(name, str(sitting.pk))
    except tray.NotAPaper as wrong:
        return {"state": "refused", "says": str(wrong)}
    delivery = take(sitting, record)
    tray.acknowledge(name)
    return {"state": delivery.state, "says": delivery.says}


def finish(job: Job) -> tuple[dict[str, Any], str]:
    """Say how many came in, how many wait, and what was no paper; then mark."""
    sitting = Sitting.objects.filter(pk=job.params["sitting"]).first()
    if sitting is not None:
        mark(sitting)
    states = [result["state"] for result in job.results]
    refused = [result["says"] for result in job.results if result["state"] == "refused"]
    outcome = {state: states.count(state) for state in ("taken", "waiting", "refused")}
    if not refused:
        return outcome, ""
    return outcome, f"{len(refused)} of them are no papers and stay in the tray. {refused[0]}"
