"""The worker learns what the core knows of each example, a while after it was changed."""

from datetime import timedelta
from typing import Any

from django.conf import settings
from django.contrib.auth.models import User
from django.core.cache import cache
from django.db import transaction
from django.utils import timezone
from jobs.queue import hand_to_workers

from examples.actions.write_facts import is_typed, learn


def learn_soon(teacher: int) -> None:
    """Have the worker learn of this teacher's changed examples; once, however often it is said meanwhile."""
    if not settings.JOBS_AT_ONCE:
        transaction.on_commit(lambda: _hand(teacher))


def _hand(teacher: int) -> None:
    """Hand it to the workers, but where this process just did: that one begins later and sees this change too."""
    if cache.add(f"learn-{teacher}", True, settings.LEARN_AFTER - 1):
        _queue(teacher, settings.LEARN_AFTER)


def _queue(teacher: int, seconds: int) -> None:
    hand_to_workers("learn", f"learn-{teacher}", priority=-1, seconds=seconds, teacher=teacher)


def learn_again(instance: Any, **_: Any) -> None:
    """Have all of a teacher's examples learnt anew: a rule or an own error was changed (a signal's receiver)."""
    learn_soon(instance.teacher_id)


def learn_of(teacher: int) -> None:
    """Learn of some of the teacher's examples, of none that is being typed; others have their turn before the next."""
    stored = User.objects.filter(pk=teacher).first()
    since = timezone.now() - timedelta(seconds=settings.LEARN_AFTER)
    if stored is None:
        return
    if learn(stored, since=since):
        _queue(teacher, 1)
    elif is_typed(stored):
        _queue(teacher, settings.LEARN_AFTER)
