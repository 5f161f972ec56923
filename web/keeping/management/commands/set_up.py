"""Bring the database up to date, load the demo data of a new installation, drop what is old: one start of Django."""

from datetime import timedelta
from typing import Any

from algebra.models import Known
from asking.asker import Asker
from django.apps import apps
from django.conf import settings
from django.contrib.auth.models import User
from django.core.management import call_command
from django.core.management.base import BaseCommand, CommandError, CommandParser
from django.db import connection
from django.db.migrations.loader import MigrationLoader
from django.utils import timezone
from examples.actions.write_facts import to_learn, try_late_again
from examples.learning import learn_soon
from papers import chances
from teachers.accounts import has_demo
from teachers.sessions import forget_ended

_LOCK = 0x75636875
KEPT = timedelta(days=180)
"""Answers that were remembered longer ago are worked out again when somebody asks."""


class Command(BaseCommand):
    """``set_up [--reset]``."""

    help = "Migrate, then load the demo data."

    def add_arguments(self, parser: CommandParser) -> None:
        """Add ``--reset``, as ``load_demo`` has it, and ``--own``: no demo data."""
        parser.add_argument("--reset", action="store_true")
        parser.add_argument("--own", action="store_true")

    def handle(self, *args: Any, **options: Any) -> None:
        """Do all three, and name the demo's sign-in where there is one."""
        with connection.cursor() as cursor:  # of several hosts that start, one migrates
            cursor.execute("SELECT pg_advisory_lock(%s)", [_LOCK])
            try:
                self._refuse_newer()
                call_command("migrate", interactive=False, verbosity=0)
            finally:
                cursor.execute("SELECT pg_advisory_unlock(%s)", [_LOCK])
        call_command("clearsessions", verbosity=0)
        forget_ended()
        Known.objects.filter(made__lt=timezone.now() - KEPT).delete()
        if not options["own"]:
            call_command("load_demo", reset=options["reset"], stdout=self.stdout)
        try_late_again()
        chances.try_late_again()
        for teacher in User.objects.filter(is_active=True):  # a new core may know more
            if to_learn(teacher, Asker(teacher).ground).exists():
                learn_soon(teacher.pk)
        if not User.objects.exists():
            self.stdout.write("Nobody can sign in yet.")
        elif has_demo():
            self.stdout.write("The demo teachers can sign in.")

    def _refuse_newer(self) -> None:
        """Refuse data that a newer version of the application has changed."""
        here = MigrationLoader(connection)
        ours = {
            app.label for app in apps.get_app_configs() if app.path.startswith(str(settings.ROOT))
        }
        unknown = [key for key in here.applied_migrations if key not in here.disk_migrations]
        if any(app in ours for app, _ in unknown):
            raise CommandError(
                "The data were changed by a newer version of Uchuu. Start that version; nothing was changed."
            )
