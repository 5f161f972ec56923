"""The log of what was done to an account and taken out of it."""

from datetime import timedelta

from django.conf import settings
from django.contrib.auth.models import User
from django.http import HttpRequest
from django.utils import timezone

from teachers.models import AuditEntry


def note(teacher: User, says: str, request: HttpRequest | None = None) -> None:
    """Write down what was done to *teacher*'s account, by whom and from where.

    Without a *request* it was done on the command line or by the server itself.
    """
    user = getattr(request, "user", None)
    by = user.get_username() if user is not None and user.is_authenticated else ""
    if request is not None and not by:
        by = teacher.get_username()  # with a link, or at the sign-in
    AuditEntry.objects.create(
        teacher=teacher,
        says=says[:300],
        by=by or "the server",
        address=request.META.get("REMOTE_ADDR") if request is not None else None,
    )


def forget_old() -> None:
    """Drop what is older than entries are kept."""
    oldest = timezone.now() - timedelta(days=settings.AUDIT_KEPT_DAYS)
    AuditEntry.objects.filter(at__lt=oldest).delete()
