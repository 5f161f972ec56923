"""Bring the database up to date and load the demo data where there are none: one start of Django."""

from typing import Any

from django.core.management import call_command
from django.core.management.base import BaseCommand, CommandParser


class Command(BaseCommand):
    """``set_up [--reset]``."""

    help = "Migrate, then load the demo data."

    def add_arguments(self, parser: CommandParser) -> None:
        """Add ``--reset``, as ``load_demo`` has it."""
        parser.add_argument("--reset", action="store_true")

    def handle(self, *args: Any, **options: Any) -> None:
        """Do both."""
        call_command("migrate", interactive=False, verbosity=0)
        call_command("load_demo", reset=options["reset"], stdout=self.stdout)
