"""The task that workers take from the queue."""

from procrastinate.contrib.django import app

from jobs.running import run


@app.task(name="run_job")
def run_job(identity: str) -> None:
    """Do one job."""
    run(identity)
