"""Write a scanned stack for a set and a class: printed handouts, written on, shuffled and turned."""

from pathlib import Path
from typing import Any

from deliveries.filling import made_papers
from deliveries.management.commands.fill_tray import sitting_for
from django.core.management.base import BaseCommand, CommandParser

from scans.made_stack import made_stack


class Command(BaseCommand):
    """``make_stack FILE --teacher … --set … --class … [--seed 1]``."""

    help = "Write a scanned stack, made by ourselves."

    def add_arguments(self, parser: CommandParser) -> None:
        """Add the file, whose stack it is and for what."""
        parser.add_argument("file")
        parser.add_argument("--teacher", required=True)
        parser.add_argument("--set", required=True)
        parser.add_argument("--class", required=True, dest="school_class")
        parser.add_argument("--seed", type=int, default=1)

    def handle(self, *args: Any, **options: Any) -> None:
        """Make the papers, print and scan them."""
        sitting = sitting_for(options["teacher"], options["set"], options["school_class"])
        papers = made_papers(sitting, options["seed"])
        place = Path(options["file"])
        place.write_bytes(made_stack(sitting, papers, options["seed"]))
        self.stdout.write(f"{place} holds the scanned pages of “{sitting.title}”.")
