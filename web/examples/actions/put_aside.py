"""Putting an example aside, and bringing it back: nothing is destroyed."""

from django.utils import timezone

from examples.models import Example


def put_aside(*, example: Example) -> Example:
    """Take the example out of the list."""
    example.deleted = timezone.now()
    example.save(update_fields=["deleted"])
    return example


def bring_back(*, example: Example) -> Example:
    """Bring an example back that was put aside."""
    example.deleted = None
    example.save(update_fields=["deleted"])
    return example
