"""Two years of made-up papers, to see and measure a log that has grown."""

from typing import Any

from django.contrib.auth.models import User
from django.core.management.base import BaseCommand, CommandError, CommandParser
from django.db import transaction

from log.made_up import made_class


class Command(BaseCommand):
    """``make_years --teacher NAME``."""

    help = "Make up classes with two years of sittings for a teacher."

    def add_arguments(self, parser: CommandParser) -> None:
        """Add whose they are, and how many."""
        parser.add_argument("--teacher", required=True)
        parser.add_argument("--classes", type=int, default=5)
        parser.add_argument("--codes", type=int, default=30)
        parser.add_argument("--sittings", type=int, default=30)
        parser.add_argument("--items", type=int, default=10)
        parser.add_argument("--seed", type=int, default=1)

    @transaction.atomic
    def handle(self, *args: Any, **options: Any) -> None:
        """Make them, all or none."""
        teacher = User.objects.filter(username=options["teacher"]).first()
        if teacher is None:
            raise CommandError(f"There is no teacher “{options['teacher']}”.")
        sizes = {name: options[name] for name in ("codes", "sittings", "items")}
        works = 0
        for number in range(options["classes"]):
            seed = options["seed"] + number
            title = f"Made up {seed}"
            _, written = made_class(teacher, seed, days=24, title=title, **sizes)
            works += len(written)
        self.stdout.write(f"{options['classes']} classes, {works} pieces of work.")
