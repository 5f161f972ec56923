"""What workers do for accounts."""

from procrastinate.contrib.django import app

from teachers import resets


@app.task(name="mail_link")
def mail_link(teacher: int) -> None:
    """Send a link for a new password; only whose it is stands in the queue."""
    resets.mail_link(teacher)
