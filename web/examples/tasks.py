"""The task that workers take from the queue."""

from procrastinate.contrib.django import app

from examples.learning import learn_of


@app.task(name="learn")
def learn(teacher: int) -> None:
    """Learn what the core knows of a teacher's changed examples."""
    learn_of(teacher)
