"""The task that workers take from the queue."""

from procrastinate.contrib.django import app

from jobs.running import requeue_left, run


@app.task(name="run_job")
def run_job(identity: str) -> None:
    """Do one job."""
    run(identity)


@app.periodic(cron="* * * * *")
@app.task(name="take_up", queueing_lock="take_up", pass_context=False)
def take_up(timestamp: int) -> None:
    """Look once a minute for work that a worker left lying."""
    requeue_left()
