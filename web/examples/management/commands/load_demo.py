"""Load the demo teachers and their examples; by default only where there are none."""

import json
from pathlib import Path
from typing import Any

from django.conf import settings
from django.contrib.auth.models import User
from django.core.management.base import BaseCommand, CommandParser

from examples.actions.import_examples import import_examples
from examples.models import Example

PASSWORD = "harbour-42"
TEACHERS = ("marin", "okafor")


class Command(BaseCommand):
    """``load_demo [--reset]``."""

    help = "Load the made-up demo teachers and examples."

    def add_arguments(self, parser: CommandParser) -> None:
        """Add ``--reset``: the demo teachers' examples are thrown away first."""
        parser.add_argument("--reset", action="store_true")

    def handle(self, *args: Any, **options: Any) -> None:
        """Create what is missing."""
        folder: Path = settings.ROOT / "demo"
        for name in TEACHERS:
            teacher, created = User.objects.get_or_create(username=name)
            if created or options["reset"]:
                teacher.set_password(PASSWORD)
                teacher.save()
            if options["reset"]:
                Example.objects.filter(teacher=teacher).delete()
            if not Example.objects.filter(teacher=teacher).exists():
                document = json.loads((folder / f"{name}.json").read_text("utf-8"))
                stored = import_examples(teacher=teacher, document=document)
                self.stdout.write(f"{name}: {len(stored)} examples")
