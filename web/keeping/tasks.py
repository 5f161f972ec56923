"""What is put in order once an hour, by whichever worker comes first."""

from django.core.management import call_command
from django.utils import timezone
from procrastinate.contrib.django import app
from teachers.audit import forget_old
from teachers.models import Invitation
from teachers.sessions import forget_ended

from keeping.leaving import delete_due


@app.periodic(cron="17 * * * *")
@app.task(name="tidy", queueing_lock="tidy", pass_context=False)
def tidy(timestamp: int) -> None:
    """Delete accounts whose time has come, sessions that ended, entries and invitations that are old."""
    delete_due()
    call_command("clearsessions", verbosity=0)
    forget_ended()
    forget_old()
    Invitation.objects.filter(expires__lt=timezone.now()).delete()
