"""Fill the tray with made-up papers for a set and a class, as a school's service would hold them."""

from datetime import date
from typing import Any

from classes.models import SchoolClass
from django.core.management.base import BaseCommand, CommandError, CommandParser
from papers.actions.give_set import give_set
from papers.models import Sitting
from sets.models import ProblemSet

from deliveries import tray
from deliveries.filling import deliveries_of, made_papers


class Command(BaseCommand):
    """``fill_tray --teacher … --set … --class … [--seed 1] [--push]``."""

    help = "Fill the tray with made-up papers."

    def add_arguments(self, parser: CommandParser) -> None:
        """Add whose they are, for what, and whether the tray hands them over by itself."""
        parser.add_argument("--teacher", required=True)
        parser.add_argument("--set", required=True)
        parser.add_argument("--class", required=True, dest="school_class")
        parser.add_argument("--seed", type=int, default=1)
        parser.add_argument("--push", action="store_true")

    def handle(self, *args: Any, **options: Any) -> None:
        """Make the papers and put them in."""
        sitting = sitting_for(options["teacher"], options["set"], options["school_class"])
        papers = made_papers(sitting, options["seed"])
        deliveries = deliveries_of(sitting, papers, options["seed"])
        try:
            new = tray.put(deliveries)
            for delivery in deliveries if options["push"] else []:
                tray.push(delivery["id"])
        except tray.TrayFails as failure:
            raise CommandError(f"{failure.message} Is Uchuu running? ./uchuu start") from None
        self.stdout.write(f"{new} papers wait in the tray for “{sitting.title}”.")


def sitting_for(teacher: str, title: str, school_class: str) -> Sitting:
    """Return the latest sitting of a set for a class; given today where there is none.

    Raises:
        CommandError: there is no such set or class.
    """
    sets = ProblemSet.objects.filter(teacher__username=teacher, title=title, deleted=None)
    classes = SchoolClass.objects.filter(
        teacher__username=teacher, title=school_class, deleted=None
    )
    problem_set, found = sets.order_by("created").first(), classes.first()
    if problem_set is None or found is None:
        what = f"set “{title}”" if problem_set is None else f"class “{school_class}”"
        raise CommandError(f"{teacher} has no {what}.")
    known = Sitting.objects.filter(set=problem_set, school_class=found, deleted=None).first()
    return known or give_set(school_class=found, problem_set=problem_set, on=date.today())
